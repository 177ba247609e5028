<script setup lang="ts">
/** The table from above: mats around it, whose turn in size and a thick rim, the bowl filling in proportion. */
import { computed } from 'vue'
import Mat from './Mat.vue'
import { seatsFor } from './seating'

const props = withDefaults(
  defineProps<{
    seats: string[]
    names: (id: string) => string
    mats: (id: string) => number
    turn?: string | null
    fullness?: number | null
    fill?: string
    /** A tap on a mat is told; where seats are arranged it can be dragged too. */
    pickable?: boolean
    movable?: boolean
    picked?: string | null
  }>(),
  { turn: null, fullness: null, fill: '', pickable: false, movable: true, picked: null },
)
const emit = defineEmits<{ pick: [id: string]; drop: [from: string, to: string] }>()
const layout = computed(() => seatsFor(props.seats.length))
const level = computed(() => 84 - 68 * (props.fullness ?? 0))

function dragStart(event: DragEvent, id: string): void {
  event.dataTransfer?.setData('text/plain', id)
}
function dropOn(event: DragEvent, to: string): void {
  const from = event.dataTransfer?.getData('text/plain')
  if (from && from !== to) emit('drop', from, to)
}
</script>

<template>
  <div class="grid gap-3" :class="layout.tables > 1 ? 'sm:grid-cols-2' : ''">
    <div v-for="t in layout.tables" :key="t" class="relative mx-auto aspect-square w-[90%] max-w-[26rem]">
      <div class="absolute inset-[17%] rounded-3xl border-2 border-ink bg-white" aria-hidden="true" />
      <div class="absolute inset-[20%] rounded-2xl border border-dashed border-line" aria-hidden="true" />
      <svg
        v-if="fullness !== null && t === 1"
        viewBox="0 0 100 100"
        class="absolute inset-[28%] h-[44%] w-[44%]"
        role="img"
        :aria-label="`The bowl is ${fill}`"
      >
        <defs>
          <clipPath id="bowl-clip"><circle cx="50" cy="50" r="45" /></clipPath>
        </defs>
        <circle cx="50" cy="50" r="46" fill="#eef3f0" stroke="#17312B" stroke-width="2" />
        <g clip-path="url(#bowl-clip)">
          <rect
            v-if="fullness > 0"
            x="0"
            :y="level"
            width="100"
            height="100"
            fill="#e9dab3"
            class="bowl-fill"
          />
          <line x1="4" y1="50" x2="96" y2="50" stroke="#7d7252" stroke-width="1" stroke-dasharray="3 3" />
        </g>
        <text x="50" y="46" text-anchor="middle" font-size="10" fill="#17312B">{{ fill }}</text>
      </svg>
      <component
        :is="pickable ? 'button' : 'span'"
        v-for="s in layout.seats.filter((x) => x.table === t - 1)"
        :key="seats[s.index]"
        :type="pickable ? 'button' : undefined"
        class="absolute -translate-x-1/2 -translate-y-1/2 rounded-patch"
        :class="[
          seats[s.index] === turn ? 'z-10 ring-4 ring-ink' : '',
          seats[s.index] === picked ? 'z-10 ring-4 ring-indigo' : '',
        ]"
        :style="{ left: `${s.left}%`, top: `${s.top}%` }"
        :draggable="pickable && movable"
        :aria-pressed="pickable && movable ? seats[s.index] === picked : undefined"
        @dragstart="dragStart($event, seats[s.index] ?? '')"
        @dragover.prevent
        @drop.prevent="dropOn($event, seats[s.index] ?? '')"
        @click="pickable && emit('pick', seats[s.index] ?? '')"
      >
        <Mat
          :name="names(seats[s.index] ?? '')"
          :mat="mats(seats[s.index] ?? '')"
          :size="seats[s.index] === turn ? 'turn' : 'seat'"
        />
      </component>
    </div>
  </div>
</template>

<style scoped>
.bowl-fill {
  transition: y 0.4s ease-out;
}
</style>
