<script setup lang="ts">
/** Each line from recipe to group as a scoop strip, and the box of measures to tap 'in the box' or 'lost'. */
import { computed } from 'vue'
import { howText, nearText, type PlanLine } from '@lea/core'
import Amount from '../parts/Amount.vue'
import Mat from '../parts/Mat.vue'
import ScoopStrip from '../parts/ScoopStrip.vue'
import { useMats } from '../parts/useMats'
import { useDoor } from '../stores/door'
import { useHouse } from '../stores/house'
import { useSession } from '../stores/session'

const session = useSession()
const house = useHouse()
const door = useDoor()
const { matOf } = useMats()

const bowl = computed(() => session.plan?.bowls.find((b) => b.id === session.bowl))
interface Row {
  line: PlanLine
  how: string
  strip: string[]
  near: string
}
const rows = computed(() => (bowl.value?.lines ?? []).map(rowOf))

function rowOf(line: PlanLine): Row {
  const task = session.plan?.tasks.find((t) => t.bowl === session.bowl && t.measured && t.uses[0] === line.id)
  const m = task?.measured
  if (!task || !m) return { line, how: '', strip: [], near: '' }
  const turns = session.plan?.turns.filter((t) => t.task === task.id) ?? []
  const scooped = m.by === 'scoop'
  return {
    line,
    how: howText(m),
    strip: scooped ? turns.map((t) => t.child) : [],
    near: scooped && m.errPct !== '0' ? nearText(m.errPct) : '',
  }
}
const box = computed(() => house.setting?.kit.measures ?? [])

async function toggle(id: string): Promise<void> {
  const kit = house.setting?.kit
  if (!kit) return
  await house.saveKit({
    ...kit,
    measures: kit.measures.map((m) => (m.id === id ? { ...m, count: m.count > 0 ? 0 : 1 } : m)),
  })
  await session.recompute()
}
</script>

<template>
  <section v-if="session.plan && bowl" aria-label="Amounts" class="min-w-0">
    <div class="mb-4 patch p-3">
      <h2 class="mb-1 text-lg">The box of measures</h2>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="m in box"
          :key="m.id"
          type="button"
          class="rounded-patch border-2 px-3 py-1.5 text-left"
          :class="m.count > 0 ? 'border-ink bg-white' : 'border-dashed border-soft text-soft'"
          :aria-pressed="m.count > 0"
          :disabled="session.frozen || !door.isLeader()"
          @click="toggle(m.id)"
        >
          <Amount :text="m.name" />
          <span class="block text-xs">{{ m.count > 0 ? 'in the box' : 'lost' }}</span>
        </button>
      </div>
    </div>
    <div v-if="session.plan.bowls.length > 1" class="mb-2 flex flex-wrap gap-2">
      <button
        v-for="b in session.plan.bowls"
        :key="b.id"
        type="button"
        class="rounded-patch border px-3 py-1 text-sm"
        :class="b.id === session.bowl ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
        :aria-pressed="b.id === session.bowl"
        @click="session.bowl = b.id"
      >
        {{ b.name }}, {{ b.children.length }} children
      </button>
    </div>
    <div class="overflow-x-auto">
      <table class="patch w-full border-collapse">
        <thead>
          <tr class="text-left text-sm">
            <th scope="col" class="p-2">Line</th>
            <th scope="col" class="p-2">Recipe, for {{ session.plan.recipe.serves }}</th>
            <th scope="col" class="p-2">{{ bowl.name }}, for {{ bowl.children.length }}</th>
            <th scope="col" class="p-2">In scoops</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="{ line, how, strip, near } in rows"
            :key="line.id"
            class="border-t border-line align-top"
          >
            <th scope="row" class="p-2 text-left">
              {{ line.name
              }}<span v-if="line.swappedFrom" class="block text-xs font-normal text-soft"
                >instead of {{ line.swappedFrom }}</span
              >
            </th>
            <td class="p-2"><Amount :text="line.recipeText" /></td>
            <td class="p-2 font-semibold"><Amount :text="line.text" /></td>
            <td class="min-w-56 p-2">
              <p v-if="how" class="text-sm">
                <Amount :text="how" /><span v-if="near" class="text-soft"> · {{ near }}</span>
              </p>
              <ScoopStrip v-if="strip.length > 0" :children="strip" :mats="matOf" :names="session.nameOf" />
              <span v-if="!how" class="text-sm text-soft">goes in whole or by hand</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <h2 class="mb-2 mt-5 text-lg">Turns for each child</h2>
    <ul class="flex flex-wrap gap-2">
      <li
        v-for="p in session.plan.totals.perChild"
        :key="p.child"
        class="patch flex items-center gap-2 px-2 py-1"
      >
        <Mat :name="session.nameOf(p.child)" :mat="matOf(p.child)" /><span>{{ session.nameOf(p.child) }}</span
        ><span class="numeral text-lg">{{ p.turns }}</span>
      </li>
    </ul>
  </section>
</template>
