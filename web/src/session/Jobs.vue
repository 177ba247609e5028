<script setup lang="ts">
/** Lanes of children and adults against the clock; a turn set down in another lane is pinned there; how near to the best it is. */
import { computed, ref, shallowRef } from 'vue'
import { certificate, laneChart, waits, whyNotTo, type LaneBlock } from '@lea/core'
import Notice from '../parts/Notice.vue'
import LaneRow from '../jobs/LaneRow.vue'
import ShorterList from '../jobs/ShorterList.vue'
import { useDoor } from '../stores/door'
import { useSession } from '../stores/session'

const session = useSession()
const door = useDoor()
const fixed = computed(() => session.frozen || !door.isLeader())
const held = shallowRef<LaneBlock | null>(null)
const refused = ref('')
const said = ref('')
const chart = computed(() => (session.plan ? laneChart(session.plan, session.stored?.decisions ?? []) : null))
const proof = computed(() => (session.plan ? certificate(session.plan) : null))
const long = computed(() => (session.plan ? waits(session.plan) : []))
const pins = computed(() =>
  (session.stored?.decisions ?? []).flatMap((d) => {
    if (d.kind !== 'pin') return []
    const job = session.plan?.tasks.find((t) => t.id === d.task)?.name ?? 'a job that is gone'
    return [{ decision: d, says: `${session.nameOf(d.child)}: ${job}` }]
  }),
)
const spare = computed(() => {
  const { spareMinutes: n, latestStart } = session.plan?.totals ?? {}
  if (n === undefined || latestStart === undefined) return ''
  if (n < 0) return `${-n} minutes too late for the families.`
  return n === 0
    ? 'It ends just when the families come.'
    : `${n} minutes spare before the families come: it could begin as late as ${latestStart}.`
})
const barred = computed(() => {
  const rows = new Map<string, string>()
  for (const t of session.plan?.tasks ?? [])
    for (const b of t.barred) rows.set(`${b.child}: ${b.why}`, `${session.nameOf(b.child)}: ${b.why}`)
  return [...rows.values()]
})

function take(block: LaneBlock): void {
  refused.value = ''
  said.value = ''
  held.value = block
}
async function set(child: string): Promise<void> {
  const block = held.value
  if (!block || !session.plan) return
  held.value = null
  const why = whyNotTo(session.plan, block.task, child)
  if (why) {
    refused.value = session.say(why)
    return
  }
  await session.choose({ kind: 'pin', task: block.task, child })
  said.value = `Pinned: ${session.nameOf(child)} has a turn of ${block.label}.`
}
</script>

<template>
  <section v-if="session.plan && chart" aria-label="Jobs" class="min-w-0">
    <div v-if="proof" class="mb-3 patch p-3">
      <p class="font-semibold">
        {{ proof.length }} <span class="font-normal">{{ session.say(proof.cause) }}</span>
      </p>
      <p v-if="proof.fairness" class="text-sm">{{ proof.fairness }}</p>
      <p v-if="spare" class="text-sm">{{ spare }}</p>
    </div>
    <Notice v-if="refused" tone="fault" class="mb-2">Not there. {{ refused }}</Notice>
    <p v-if="said" role="status" class="mb-2 text-sm font-semibold">{{ said }}</p>
    <p v-if="held" role="status" class="mb-2 text-sm">
      Taken up: {{ held.at }} {{ held.label }}. Choose the child who shall have it.
      <button type="button" class="underline" @click="held = null">Leave it where it is</button>
    </p>
    <div
      class="relative patch overflow-x-auto p-2"
      tabindex="0"
      role="region"
      aria-label="Lanes against the clock"
    >
      <table class="w-full min-w-[46rem] table-fixed border-collapse">
        <thead>
          <tr class="text-left text-sm">
            <th scope="col" class="w-40 p-1">Who</th>
            <th scope="col" class="p-0.5">
              <span class="relative block h-5"
                ><span
                  v-for="t in chart.ticks"
                  :key="t.at"
                  class="absolute border-l border-ink pl-1 text-xs font-normal"
                  :style="{ left: `${t.left}%` }"
                  >{{ t.at }}</span
                ></span
              >
            </th>
            <th scope="col" class="w-14 p-1 text-center">Turns</th>
            <th scope="col" class="w-20 p-1">Longest wait</th>
            <th v-if="!fixed" scope="col" class="w-32 p-1">
              <span class="sr-only">{{ held ? 'Set down' : 'Hand over' }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <LaneRow
            v-for="lane in chart.lanes"
            :key="lane.who"
            :lane="lane"
            :chart="chart"
            :held="held"
            :disabled="fixed"
            @take="take"
            @set="set"
          />
        </tbody>
      </table>
    </div>
    <div class="mt-4 grid items-start gap-4 md:grid-cols-3">
      <ShorterList :plan="session.plan" :disabled="fixed" />
      <div v-if="long.length > 0">
        <h2 class="mb-1 text-lg">While it waits</h2>
        <ul class="text-sm">
          <li v-for="w in long" :key="w.step" class="border-t border-line py-1">
            <strong>{{ w.at }} {{ w.title }}, {{ w.minutes }} min:</strong> {{ w.says }}
          </li>
        </ul>
      </div>
      <div v-if="pins.length > 0">
        <h2 class="mb-1 text-lg">Pinned</h2>
        <ul class="text-sm">
          <li v-for="p in pins" :key="p.says" class="border-t border-line py-1">
            {{ p.says }}
            <button v-if="!fixed" type="button" class="ml-1 underline" @click="session.takeBack(p.decision)">
              unpin
            </button>
          </li>
        </ul>
      </div>
      <div v-if="barred.length > 0">
        <h2 class="mb-1 text-lg">Who sits out of what, and why</h2>
        <ul class="list-inside list-disc text-sm">
          <li v-for="b in barred" :key="b">{{ b }}</li>
        </ul>
      </div>
    </div>
  </section>
</template>

<style scoped>
:deep(.hatched) {
  background: repeating-linear-gradient(135deg, #dfe8e3 0 4px, transparent 4px 9px);
}
</style>
