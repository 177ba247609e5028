<script setup lang="ts">
/** One lane: a child's or an adult's blocks against the clock; a turn can be taken up and set down in another lane. */
import type { Lane, LaneBlock, LaneChart } from '@lea/core/plan'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import TechniqueStrip from '../../parts/pictures/techniques/TechniqueStrip.vue'
import MatPattern from '../../parts/mats/MatPattern.vue'
import { useSession } from '../../stores/session/session'

/** Which of its blocks is taken up, or ''. What is taken up elsewhere is no business of a lane: thirty of them are not drawn anew for it. */
const props = defineProps<{ lane: Lane; chart: LaneChart; held: string; disabled: boolean }>()
const emit = defineEmits<{ take: [block: LaneBlock]; set: [child: string, left?: number] }>()
const session = useSession()
const { matOf } = useMats()

const KIND = {
  turn: 'turn',
  each: 'each does it',
  beside: 'beside',
  does: 'does it',
  meanwhile: 'while waiting',
  ready: 'gets it ready',
} as const
const says = (b: LaneBlock): string => `${b.at} ${b.label}, ${KIND[b.kind]}${b.pinned ? ', pinned' : ''}`
/** A turn goes to another child, a job of an adult to another adult. */
const canTake = (b: LaneBlock): boolean =>
  !props.disabled && (b.kind === 'turn' || b.kind === 'beside' || b.kind === 'does')
function choose(list: HTMLSelectElement): void {
  const block = props.lane.blocks.find((b) => b.id === list.value)
  list.value = ''
  if (block) emit('take', block)
}
function drag(event: DragEvent, b: LaneBlock): void {
  event.dataTransfer?.setData('text/plain', b.id)
  emit('take', b)
}
/** Where on the clock it was set down, in per cent of the lane. */
function drop(event: DragEvent): void {
  const lane = (event.currentTarget as HTMLElement).querySelector('[data-lane]')?.getBoundingClientRect()
  const left = lane && lane.width > 0 ? (100 * (event.clientX - lane.left)) / lane.width : undefined
  emit('set', props.lane.who, left !== undefined && left >= 0 && left <= 100 ? left : undefined)
}
const LOOK: Record<LaneBlock['kind'], string> = {
  turn: 'border-ink/70 bg-white',
  each: 'border-ink/70 bg-white',
  beside: 'border-ochre bg-white',
  does: 'border-ochre bg-[#f3e8cf]',
  meanwhile: 'border-dashed border-ink/40',
  ready: 'border-dashed border-ochre bg-white',
}
</script>

<template>
  <tr class="border-t border-line" @dragover.prevent @drop.prevent="drop">
    <th scope="row" class="w-40 p-1 text-left font-semibold">
      <span class="flex items-center gap-2">
        <Mat v-if="!lane.adult" :name="session.nameOf(lane.who)" :mat="matOf(lane.who)" />
        <span class="min-w-0 truncate">{{ session.nameOf(lane.who) }}</span>
      </span>
    </th>
    <td class="p-0.5">
      <!-- A lane that is not on the screen is not painted, and none is painted for another. -->
      <div class="relative h-8 [content-visibility:auto]" data-lane>
        <span
          v-for="p in chart.passive"
          :key="p.step"
          class="hatched absolute inset-y-0"
          :style="{ left: `${p.left}%`, width: `${p.width}%` }"
          aria-hidden="true"
        />
        <span
          v-for="b in lane.blocks"
          :key="b.id"
          :draggable="canTake(b)"
          class="absolute inset-y-0.5 min-w-1 overflow-hidden border"
          :class="[
            LOOK[b.kind],
            held === b.id ? 'outline-3 outline-indigo' : '',
            b.pinned ? 'border-2 border-beet' : '',
            canTake(b) ? 'cursor-grab' : '',
          ]"
          :style="{ left: `${b.left}%`, width: `${b.width}%` }"
          :title="says(b)"
          @dragstart="canTake(b) && drag($event, b)"
        >
          <MatPattern v-if="!lane.adult && b.kind !== 'meanwhile'" :mat="matOf(lane.who)" />
          <span
            v-if="b.picture && b.width > 2.6"
            class="absolute inset-y-0 left-1/2 flex -translate-x-1/2 items-center bg-white/90"
            ><TechniqueStrip v-bind="b.picture" one class="h-6 w-8"
          /></span>
          <span class="sr-only">{{ says(b) }}. </span>
        </span>
      </div>
    </td>
    <td class="numeral w-14 p-1 text-center text-lg">{{ lane.adult ? '' : lane.turns }}</td>
    <td class="w-20 p-1 text-sm">{{ lane.wait }}</td>
    <td v-if="!disabled" class="w-24 p-1">
      <button
        type="button"
        class="btn hidden !min-h-8 w-full truncate !px-2 text-sm"
        :class="
          lane.adult ? 'group-data-[held=job]/lanes:inline-flex' : 'group-data-[held=turn]/lanes:inline-flex'
        "
        @click="emit('set', lane.who)"
      >
        To {{ session.nameOf(lane.who) }}
      </button>
      <select
        class="field !min-h-8 !w-12 !py-0 !pl-2 !pr-0 text-sm group-data-[held]/lanes:hidden"
        :aria-label="`Hand over a ${lane.adult ? 'job' : 'turn'} of ${session.nameOf(lane.who)}`"
        @change="choose($event.target as HTMLSelectElement)"
      >
        <option value="">⇄</option>
        <option v-for="b in lane.blocks.filter(canTake)" :key="b.id" :value="b.id">
          {{ b.at }} {{ b.label }}
        </option>
      </select>
    </td>
  </tr>
</template>
