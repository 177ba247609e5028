<script setup lang="ts">
/** Who does what, when: each child's lane of turns against the clock, as a list of the plan. */
import { computed } from 'vue'
import { clockAfter, type Turn } from '@lea/core'
import Mat from '../parts/Mat.vue'
import { useMats } from '../parts/useMats'
import { useSession } from '../stores/session'

const session = useSession()
const { matOf } = useMats()
const end = computed(() => Math.max(60, session.plan?.totals.seconds ?? 60))
const sittingOf = computed(() => new Map(session.plan?.schedule.map((s) => [s.step, s.sitting]) ?? []))
const tasks = computed(() => new Map(session.plan?.tasks.map((t) => [t.id, t]) ?? []))
const firstSitting = (t: Turn): boolean => sittingOf.value.get(tasks.value.get(t.task)?.step ?? '') === 1
const lanes = computed(() =>
  (session.plan?.totals.perChild ?? []).map((p) => ({
    ...p,
    turns: (session.plan?.turns ?? []).filter((t) => t.child === p.child && firstSitting(t)),
    count: p.turns,
    wait: Math.round(p.longestWait / 30) / 2,
  })),
)
const nameOfTask = (t: Turn): string => tasks.value.get(t.task)?.name ?? ''
const clock = (seconds: number): string =>
  clockAfter(session.plan?.totals.startsAt ?? '00:00', Math.floor(seconds / 60))
const barred = computed(() => {
  const rows = new Map<string, string>()
  for (const t of session.plan?.tasks ?? [])
    for (const b of t.barred) rows.set(`${b.child}: ${b.why}`, `${session.nameOf(b.child)}: ${b.why}`)
  return [...rows.values()]
})
</script>

<template>
  <section v-if="session.plan" aria-label="Jobs" class="min-w-0">
    <div class="patch overflow-x-auto p-3" tabindex="0" role="region" aria-label="Lanes of the children">
      <table class="w-full min-w-[44rem] border-collapse text-sm">
        <thead>
          <tr class="text-left">
            <th scope="col" class="w-36 p-1">Child</th>
            <th scope="col" class="p-1">
              <span class="flex justify-between"
                ><span>{{ clock(0) }}</span
                ><span>{{ clock(end / 2) }}</span
                ><span>{{ clock(end) }}</span></span
              >
            </th>
            <th scope="col" class="w-16 p-1">Turns</th>
            <th scope="col" class="w-24 p-1">Longest wait</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="lane in lanes" :key="lane.child" class="border-t border-line">
            <th scope="row" class="p-1 text-left">
              <span class="flex items-center gap-2"
                ><Mat :name="session.nameOf(lane.child)" :mat="matOf(lane.child)" />{{
                  session.nameOf(lane.child)
                }}</span
              >
            </th>
            <td class="p-1">
              <span class="relative block h-7 bg-porcelain">
                <span
                  v-for="t in lane.turns"
                  :key="t.id"
                  class="absolute inset-y-0.5 overflow-hidden rounded-sm border border-ink bg-white px-0.5 text-[0.65rem] leading-6"
                  :style="{
                    left: `${(100 * t.start) / end}%`,
                    width: `${Math.max(0.6, (100 * (t.end - t.start)) / end)}%`,
                  }"
                  :title="`${clock(t.start)} ${nameOfTask(t)}`"
                  ><span class="sr-only">{{ clock(t.start) }} </span>{{ nameOfTask(t) }}</span
                >
              </span>
            </td>
            <td class="numeral p-1 text-lg">{{ lane.count }}</td>
            <td class="p-1">{{ lane.wait }} min</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-2 text-sm text-soft">
      Turns run from {{ session.plan.bounds.leastTurns }} to {{ session.plan.bounds.mostTurns }}. Pin a turn
      in the open column of the weave.
    </p>
    <template v-if="barred.length > 0">
      <h2 class="mb-1 mt-4 text-lg">Who sits out of what, and why</h2>
      <ul class="list-inside list-disc text-sm">
        <li v-for="b in barred" :key="b">{{ b }}</li>
      </ul>
    </template>
  </section>
</template>
