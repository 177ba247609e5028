<script setup lang="ts">
/** The middle of the table view: whose turn and how, the strip, the running total. */
import { computed } from 'vue'
import { passText, sceneView } from '@lea/core/plan'
import {
  tableChoices,
  tableTasting,
  tookLines,
  partPicture,
  type TableTask,
  type TableTurn,
} from '@lea/core/session'
import ScaleBox from '../../parts/devices/ScaleBox.vue'
import Amount from '../../parts/Amount.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'
import ScenePicture from '../../parts/pictures/ScenePicture.vue'
import ChoiceTaker from './ChoiceTaker.vue'
import TasteTaker from './TasteTaker.vue'
import CookStrip from './CookStrip.vue'
import PartPicture from '../../parts/pictures/PartPicture.vue'
import MeasurePicture from '../../parts/pictures/MeasurePicture.vue'

const props = defineProps<{
  tasks: TableTask[]
  shown: TableTask | null
  turn: TableTurn | null
  says: string
  words: string
}>()
const emit = defineEmits<{ tap: [] }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
/** What this child wants for it: left-handed scissors, the bowl on the lap tray. */
const helps = computed(() =>
  (props.shown?.task.helps ?? []).filter((h) => h.child === props.turn?.child).map((h) => h.says),
)
/** What is chosen freely in this step, by those at this bowl. */
const choices = computed(() => {
  const task = props.tasks[0]?.task
  const bowl = session.plan?.bowls.find((b) => b.id === task?.bowl)
  return session.plan && task && bowl ? tableChoices(session.plan, table.state, task.step, bowl.children) : []
})
/** What is tasted one by one in this step, by those at this bowl. */
const tasting = computed(() => {
  const task = props.tasks[0]?.task
  const bowl = session.plan?.bowls.find((b) => b.id === task?.bowl)
  if (!session.plan || !task || !bowl || props.shown?.task.technique === 'wash-hands') return null
  return tableTasting(session.plan, table.state, task.step, bowl.children)
})
/** What is said from seat to seat, where it goes round. */
const passes = computed(() =>
  props.shown && props.turn
    ? session.say(passText(props.shown.task, props.turn.child, props.shown.count))
    : '',
)
/** The picture that is built here, of what this child took or is reckoned to take. */
const scene = computed(() => {
  const step = props.tasks[0]?.task.step
  const child = props.turn?.child
  if (!session.plan || step === undefined) return null
  return sceneView(session.plan, step, child ?? null, tookLines(table.state, child))
})
/** The amount so far in parts of a whole. */
const picture = computed(() => (props.shown ? partPicture(props.shown.task, props.shown.count) : null))
const anyCup = (row: TableTask): boolean =>
  row.task.measured?.by === 'scoop' && row.task.measured.any === true
const lineName = (row: TableTask): string => {
  const line = session.plan?.bowls
    .find((b) => b.id === row.task.bowl)
    ?.lines.find((l) => l.id === row.task.uses[0])
  return row.task.measured && line ? line.name : row.task.name
}
</script>

<template>
  <p class="mt-1 text-xl">
    <template v-if="turn"
      ><strong>{{ session.nameOf(turn.child) }}:</strong>{{ ' ' }}<Amount :text="words" />.</template
    >
    <template v-else>All turns of this step are done.</template>
    <template v-if="shown?.task.adult"
      >{{ ' ' }}{{ session.nameOf(shown.task.adult) }}
      {{ shown.task.mode === 'ADULT' ? 'does this' : 'beside' }}.</template
    >
  </p>
  <p v-for="h in helps" :key="h" class="text-lg font-semibold">{{ h }}</p>
  <p v-if="passes" class="text-lg font-semibold">{{ passes }}</p>
  <p v-if="says" class="text-soft">{{ says }}</p>
  <template v-if="shown && shown.turns.length > 0">
    <p class="mt-2 text-sm text-soft">{{ lineName(shown) }}</p>
    <ScaleBox v-if="shown.task.measured?.by === 'weight' && turn" :wanted="shown.task.measured.text" />
    <CookStrip :row="shown" :mats="matOf" :names="session.nameOf" @tap="emit('tap')" />
    <div v-if="choices.length === 0 && !tasting" class="mt-2 flex items-end gap-4" aria-live="polite">
      <span class="numeral text-7xl leading-none">{{ shown.count }}</span>
      <span v-if="shown.running" class="leading-tight">
        <span class="block text-soft">{{ shown.count === 1 ? 'scoop' : 'scoops' }} so far</span>
        <span class="numeral text-4xl"><Amount :text="shown.running" /></span> {{ shown.unitWord }}
      </span>
      <span v-else class="pb-1 text-soft">of {{ shown.own.length }}</span>
      <PartPicture v-if="picture" class="ml-auto" :picture="picture" bare lined />
      <MeasurePicture
        v-if="shown.scoop && !anyCup(shown)"
        class="h-20 w-32"
        :class="picture ? '' : 'ml-auto'"
        :size="shown.scoop.size"
        :unit="shown.scoop.unit"
        :name="shown.scoop.name"
      />
    </div>
  </template>
  <figure v-if="scene" class="mt-2 flex items-center gap-4">
    <ScenePicture :scene="scene" class="w-44 shrink-0" />
    <figcaption>
      <ul>
        <li v-for="r in scene.rows" :key="r">{{ r }}</li>
      </ul>
    </figcaption>
  </figure>
  <TasteTaker v-if="tasting" :tasting="tasting" :turn="turn?.who ?? null" />
  <ChoiceTaker v-for="c in choices" :key="c.id" :choice="c" :turn="turn?.who ?? null" />
  <ul v-if="tasks.length > 1" class="mt-2 flex flex-wrap gap-2 text-sm" aria-label="Tasks of this step">
    <li
      v-for="row in tasks"
      :key="row.task.id"
      class="rounded-full border px-2.5"
      :class="row === shown ? 'border-ink font-bold' : 'border-line'"
    >
      {{ lineName(row) }}<template v-if="row.turns.length > 0"> · {{ row.progress }}</template>
    </li>
  </ul>
</template>
