<script setup lang="ts">
/** Every timer that runs at this table, by name: for everyone who looks, ringing and flashing until somebody has seen it. */
import { useIntervalFn, useNow } from '@vueuse/core'
import { computed, ref } from 'vue'
import { type TimerView, timersAt } from '@lea/core/session'
import Sheet from '../parts/Sheet.vue'
import { useTable } from '../stores/table/table'

interface Offer {
  name: string
  seconds: number
  every?: number
}
const props = defineProps<{ name: string; offers: Offer[] }>()
const table = useTable()
const now = useNow({ interval: 500 })
const running = computed(() => timersAt(table.state.timers, now.value.getTime() + table.behind))
const choosing = ref(false)
const MINUTES = [1, 2, 3, 5, 10, 15, 20, 30]

let sound: AudioContext | null = null
useIntervalFn(() => {
  if (!running.value.some((t) => t.rings) || typeof AudioContext === 'undefined') return
  sound ??= new AudioContext()
  const tone = sound.createOscillator()
  tone.frequency.value = 880
  tone.connect(sound.destination)
  tone.start()
  tone.stop(sound.currentTime + 0.25)
}, 2000)

const minutes = (seconds: number): string =>
  seconds % 60 === 0 ? `${seconds / 60} min` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`
async function run(offer: Offer): Promise<void> {
  choosing.value = false
  await table.add({ kind: 'timer', body: { ...offer } })
}
/** What the step asks for; where it asks for nothing, a choice. */
function start(): void {
  const [first] = props.offers
  if (first) void run(first)
  else choosing.value = true
}
/** A round that rings was seen; one that still runs is ended. Both can be taken back. */
const seen = (t: TimerView): Promise<string> =>
  table.add({ kind: 'timer-seen', body: { timer: t.id, ...(t.rings && { round: t.round }) } })
const words = (t: TimerView): string =>
  t.rings
    ? `${t.name}${t.rounds > 1 ? `, ${t.round} of ${t.rounds},` : ''} is due: seen`
    : `${t.name}${t.rounds > 1 ? `, ${t.round} of ${t.rounds}` : ''}, ${t.text} left; end it`
defineExpose({ start })
</script>

<template>
  <div class="flex max-w-full flex-wrap gap-2" role="group" aria-label="Timers">
    <button
      v-for="t in running"
      :key="t.id"
      type="button"
      class="btn btn-table !justify-start"
      :class="t.rings ? 'rings' : ''"
      :aria-label="words(t)"
      @click="seen(t)"
    >
      <span class="max-w-40 text-left text-sm leading-tight"
        ><span class="block truncate"
          >{{ t.rings ? 'seen? ' : '' }}{{ t.name }}{{ t.rounds > 1 ? ` ${t.round}/${t.rounds}` : '' }}</span
        ><span class="numeral block text-xl">{{ t.text }}</span></span
      >
    </button>
    <button
      v-for="o in offers"
      :key="o.name"
      type="button"
      class="btn btn-table border-dashed text-left"
      @click="run(o)"
    >
      Timer {{ minutes(o.seconds) }}<template v-if="o.every">, each {{ minutes(o.every) }}</template>
    </button>
    <button type="button" class="btn btn-table border-dashed" @click="choosing = true">
      {{ offers.length > 0 ? 'Other' : 'Timer' }}<span v-if="offers.length > 0" class="sr-only"> timer</span>
    </button>
    <Sheet v-if="choosing" open title="A timer" @close="choosing = false">
      <p class="mb-2">It is called “{{ name }}”, and rings on every device at this table until it is seen.</p>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="m in MINUTES"
          :key="m"
          type="button"
          class="btn btn-table"
          @click="run({ name, seconds: m * 60 })"
        >
          {{ m }} min
        </button>
      </div>
      <p class="mb-1 mt-3 font-semibold">Again and again, for 20 minutes</p>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="m in [1, 2, 5]"
          :key="m"
          type="button"
          class="btn btn-table"
          @click="run({ name, seconds: 1200, every: m * 60 })"
        >
          Each {{ m }} min
        </button>
      </div>
    </Sheet>
  </div>
</template>

<style scoped>
.rings {
  animation: flash 1s steps(2, jump-none) infinite;
  border-color: var(--color-beet);
}
@keyframes flash {
  to {
    background: var(--color-beet);
    color: #fff;
  }
}
</style>
