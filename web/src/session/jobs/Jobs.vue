<script setup lang="ts">
/** Lanes of children and adults against the clock; a turn set down in another lane is pinned there; how near to the best it is. */
import { refAutoReset, useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { minutesText } from '@lea/core/amount'
import { techniqueOf } from '@lea/core/craft'
import {
  type Decision,
  type LaneBlock,
  type PlanFigures,
  certificate,
  childLoads,
  headline,
  jobCards,
  laneChart,
  planFigures,
  turnAt,
  cannotSupervise,
  whyNotTo,
} from '@lea/core/plan'
import { clearingUp } from '@lea/core/session'
import Notice from '../../parts/Notice.vue'
import BigFigures from '../../parts/layout/BigFigures.vue'
import Fold from '../../parts/layout/Fold.vue'
import FiguresTable from './FiguresTable.vue'
import FitTable from './FitTable.vue'
import LaneRow from './LaneRow.vue'
import RotationPanel from './RotationPanel.vue'
import ShorterList from './ShorterList.vue'
import WhoUsesWhat from '../../parts/jobs/WhoUsesWhat.vue'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'

const session = useSession()
const auth = useAuthStore()
const fixed = computed(() => session.frozen || !auth.isLeader())
const held = shallowRef<LaneBlock | null>(null)
/** A pointer that is down, or was moved over the lanes a moment ago. */
const pressed = ref(false)
useEventListener(window, ['pointerup', 'pointercancel', 'dragend'], () => {
  pressed.value = false
})
const near = refAutoReset(false, 1500)
watch([pressed, near, held], () => {
  session.handAtJobs = pressed.value || near.value || held.value !== null
})
onScopeDispose(() => {
  session.handAtJobs = false
})
const refused = ref('')
const said = ref('')
const chart = computed(() => (session.plan ? laneChart(session.plan, session.stored?.decisions ?? []) : null))
const proof = computed(() => (session.plan ? certificate(session.plan) : null))
const fits = computed(() => {
  const wanted = session.request()
  return session.plan && wanted ? childLoads(session.plan, wanted) : []
})
const waiting = computed(() =>
  session.plan ? jobCards(session.plan).filter((c) => c.waiting.length > 0) : [],
)
const background = computed(() => session.plan?.background ?? [])
const clearing = computed(() => (session.plan ? clearingUp(session.plan) : []))
/** The plan before the last change, for setting the two beside each other. */
const compared = shallowRef<{ before: PlanFigures; after: PlanFigures } | null>(null)
watch(
  () => session.plan,
  (now, was) => {
    if (!now || !was || now.session !== was.session || now.digest === was.digest) return
    const [before, after] = [planFigures(was), planFigures(now)]
    compared.value = JSON.stringify(before) === JSON.stringify(after) ? null : { before, after }
  },
)
const KEPT: readonly Decision['kind'][] = ['pin', 'stands', 'adult-does', 'two-sittings', 'scooping']
function keptText(d: Decision): string {
  const job = (id: string): string =>
    session.plan?.tasks.find((t) => t.id === id)?.name ?? 'a job that is gone'
  if (d.kind === 'pin')
    return `${session.nameOf(d.child)}: ${job(d.task)}${d.number ? `, turn ${d.number}` : ''}`
  if (d.kind === 'stands') return `${session.nameOf(d.adult)}: ${job(d.task)}`
  if (d.kind === 'adult-does') return `an adult does: ${job(d.task)}`
  if (d.kind === 'two-sittings')
    return `two sittings, a rest after ${session.plan?.schedule.find((s) => s.step === d.after)?.title ?? d.after}`
  return d.kind === 'scooping' && d.way === 'quick' ? 'few scoops instead of even turns' : 'even turns'
}
const pins = computed(() =>
  (session.stored?.decisions ?? []).flatMap((d) => {
    return KEPT.includes(d.kind) ? [{ decision: d, says: keptText(d) }] : []
  }),
)
const head = computed(() => (session.plan ? headline(session.plan) : null))
const improving = computed(() => {
  if (session.improving === 'looking') return 'Looking for a shorter plan …'
  if (session.improving !== 'done') return ''
  if (session.improveFault) return `A shorter plan could not be looked for: ${session.improveFault}`
  return session.improvedBy > 0 ? `A shorter plan was found: ${minutesText(session.improvedBy)} less.` : ''
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
/** @param left where on the clock it was set down; none where only the child was chosen */
async function set(child: string, left?: number): Promise<void> {
  const block = held.value
  const ofAdult = chart.value?.lanes.some((l) => l.who === child && l.adult)
  // A turn goes to a child, an adult's job to an adult: elsewhere it stays taken up.
  if (!block || !session.plan || ofAdult !== (block.kind !== 'turn')) return
  held.value = null
  if (block.kind !== 'turn') {
    await stand(block, child)
    return
  }
  const why = whyNotTo(session.plan, block.task, child)
  const at = left === undefined ? wantedTurn.value || null : turnAt(session.plan, block.task, left)
  wantedTurn.value = 0
  if (why || (at !== null && typeof at === 'object')) {
    refused.value = session.say(why ?? (at as { refused: string }).refused)
    return
  }
  await session.choose({ kind: 'pin', task: block.task, child, ...(at !== null && { number: at }) })
  said.value = `Pinned: ${session.nameOf(child)} has ${at === null ? 'a turn' : `turn ${at}`} of ${block.label}.`
}
/** An adult's job set down in another adult's lane. */
async function stand(block: LaneBlock, adult: string): Promise<void> {
  const task = session.plan?.tasks.find((t) => t.id === block.task)
  const technique = techniqueOf(task?.shows ?? task?.technique ?? '')
  const who = session.request()?.adults.find((a) => a.id === adult)
  const why = technique ? cannotSupervise(technique, who) : 'This job is not in the plan any more.'
  if (why) {
    refused.value = session.say(why)
    return
  }
  await session.choose({ kind: 'stands', task: block.task, adult })
  said.value = `Pinned: ${session.nameOf(adult)} stands at ${block.label}.`
}
/** By keyboard: which turn; 0 leaves it to Lea. */
const wantedTurn = ref(0)
const turnsOfHeld = computed(
  () => session.plan?.turns.filter((t) => t.task === held.value?.task).map((t) => t.number) ?? [],
)
</script>

<template>
  <section v-if="session.plan && chart" aria-label="Jobs" class="min-w-0">
    <div v-if="head" class="mb-3">
      <BigFigures :figures="head.figures" label="The plan in figures" />
      <!-- Stands there without words too: nothing below may move while a turn is dragged. -->
      <p role="status" class="min-h-5 text-sm text-soft">{{ improving }}</p>
      <details v-if="proof || head.spare" class="mt-1 text-sm">
        <summary class="min-h-6 cursor-pointer py-0.5">Could it be shorter or fairer?</summary>
        <template v-if="proof">
          <p class="font-semibold">
            {{ proof.length }} <span class="font-normal">{{ session.say(proof.cause) }}</span>
          </p>
          <p v-if="proof.fairness">{{ proof.fairness }}</p>
          <p v-if="proof.waiting">{{ proof.waiting }}</p>
        </template>
        <p v-if="head.spare">{{ head.spare }}</p>
      </details>
    </div>
    <!-- As high with words as without: what is being dragged must not move under the hand. -->
    <div v-if="!fixed" class="mb-1 flex min-h-16 items-center">
      <Notice v-if="refused" tone="fault" class="w-full">Not there. {{ refused }}</Notice>
      <p v-if="said" role="status" class="text-sm font-semibold">{{ said }}</p>
      <p v-if="!refused && !said && !held" class="text-sm text-soft">Drag a turn, or choose it with ⇄.</p>
      <p v-if="held" role="status" class="text-sm">
        Taken up: {{ held.at }} {{ held.label }}. Set it down in a lane, or choose who shall have it.
        <label v-if="held.kind === 'turn'"
          >Which turn
          <select v-model.number="wantedTurn" class="field !min-h-8 !w-24 !py-0">
            <option :value="0">any</option>
            <option v-for="n in turnsOfHeld" :key="n" :value="n">turn {{ n }}</option>
          </select></label
        >
        <button type="button" class="underline" @click="held = null">Leave it where it is</button>
      </p>
    </div>
    <div
      class="relative patch overflow-x-auto p-2"
      tabindex="0"
      role="region"
      aria-label="Lanes against the clock"
      @pointermove="near = true"
      @pointerdown="pressed = true"
    >
      <table
        class="group/lanes w-full min-w-[46rem] table-fixed border-collapse"
        :data-held="held ? (held.kind === 'turn' ? 'turn' : 'job') : undefined"
      >
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
            <th scope="col" class="w-20 p-1">Wait</th>
            <th v-if="!fixed" scope="col" class="w-24 p-1">
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
            :held="lane.blocks.find((b) => b.id === held?.id)?.id ?? ''"
            :disabled="fixed"
            @take="take"
            @set="set"
          />
        </tbody>
      </table>
    </div>
    <div v-if="compared" class="mt-2 patch max-w-sm p-2" role="status">
      <h2 class="text-base font-semibold">The last change</h2>
      <FiguresTable
        :before="compared.before"
        :after="compared.after"
        caption="Before and after the last change"
      />
    </div>
    <div class="mt-4 grid grid-cols-[minmax(0,1fr)] items-start gap-3 md:grid-cols-2">
      <ShorterList :plan="session.plan" :disabled="fixed" />
      <div v-if="pins.length > 0" class="patch p-3">
        <h2 class="mb-1 text-lg">Chosen by hand</h2>
        <ul class="text-sm">
          <li v-for="p in pins" :key="p.says" class="border-t border-line py-1">
            {{ p.says }}
            <button v-if="!fixed" type="button" class="ml-1 underline" @click="session.takeBack(p.decision)">
              Undo<span class="sr-only">: {{ p.says }}</span>
            </button>
          </li>
        </ul>
      </div>
      <Fold title="Who uses what" open><WhoUsesWhat :plan="session.plan" bare /></Fold>
      <Fold title="While they wait" :count="waiting.length">
        <ul class="text-sm">
          <li v-for="w in waiting" :key="w.child" class="border-t border-line py-1 first:border-0">
            <strong>{{ session.nameOf(w.child) }}:</strong> {{ w.waiting.join(', ') }}
          </li>
        </ul>
      </Fold>
      <Fold v-if="barred.length > 0" title="Who sits out of what, and why" :count="barred.length">
        <ul class="list-inside list-disc text-sm">
          <li v-for="b in barred" :key="b">{{ b }}</li>
        </ul>
      </Fold>
      <Fold v-if="background.length > 0" title="Ready in time" :count="background.length">
        <ul class="text-sm">
          <li v-for="b in background" :key="b.says" class="border-t border-line py-1 first:border-0">
            <span class="numeral">{{ b.at }}</span> {{ b.says
            }}{{ b.adult ? `, ${session.nameOf(b.adult)}` : '' }}{{ b.start < 0 ? ', before it begins' : ''
            }}{{ b.sitting > 1 ? `, sitting ${b.sitting}` : '' }}
          </li>
        </ul>
      </Fold>
      <Fold v-if="clearing.length > 0" title="Clearing up" :count="clearing.length">
        <p class="text-sm text-soft">
          {{ session.plan.totals.clearUp ? 'After the end.' : 'While everybody waits.' }}
        </p>
        <ul class="text-sm">
          <li v-for="c in clearing" :key="c.says" class="border-t border-line py-1">
            <strong>{{ c.says }}:</strong> {{ c.children.map(session.nameOf).join(', ') }}
          </li>
        </ul>
      </Fold>
      <Fold v-if="session.plan.children.length > 2" title="Small groups one after another">
        <RotationPanel :plan="session.plan" :disabled="fixed" />
      </Fold>
      <Fold title="Turns, waits and fit" class="md:col-span-2"><FitTable :fits="fits" /></Fold>
    </div>
  </section>
</template>

<style scoped>
:deep(.hatched) {
  background: repeating-linear-gradient(135deg, #dfe8e3 0 4px, transparent 4px 9px);
}
</style>
