<script setup lang="ts">
/** One timer: runs for everyone who looks, rings and flashes until somebody has seen it. */
import { useIntervalFn, useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useTable } from '../stores/table'

const props = defineProps<{ name: string; seconds: number }>()
const table = useTable()
const now = useNow({ interval: 500 })
const timer = computed(() => table.state.timers.filter((t) => !t.seen).at(-1) ?? null)
const left = computed(() =>
  timer.value
    ? Math.ceil((Date.parse(timer.value.started) + timer.value.seconds * 1000 - now.value.getTime()) / 1000)
    : 0,
)
const rings = computed(() => timer.value !== null && left.value <= 0)
const text = computed(() => {
  const s = Math.abs(left.value)
  return `${left.value < 0 ? '+' : ''}${String(Math.floor(s / 60)).padStart(2, '0')}:${String(s % 60).padStart(2, '0')}`
})

let sound: AudioContext | null = null
useIntervalFn(() => {
  if (!rings.value || typeof AudioContext === 'undefined') return
  sound ??= new AudioContext()
  const tone = sound.createOscillator()
  tone.frequency.value = 880
  tone.connect(sound.destination)
  tone.start()
  tone.stop(sound.currentTime + 0.25)
}, 2000)

const start = (): Promise<string> =>
  table.add({ kind: 'timer', body: { name: props.name, seconds: props.seconds } })
const seen = (): void => {
  if (timer.value) void table.add({ kind: 'timer-seen', body: { timer: timer.value.id } })
}
defineExpose({ start, seen })
</script>

<template>
  <button v-if="!timer" type="button" class="btn btn-table border-dashed text-left" @click="start()">
    timer {{ Math.round(seconds / 60) }} min
  </button>
  <button
    v-else
    type="button"
    class="btn btn-table !justify-start"
    :class="rings ? 'rings' : ''"
    :aria-label="rings ? `${timer.name} is done: seen` : `${timer.name}, ${text} left; end it`"
    @click="seen"
  >
    <span class="text-left text-sm leading-tight"
      >{{ rings ? 'seen?' : timer.name }}<span class="numeral block text-xl">{{ text }}</span></span
    >
  </button>
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
