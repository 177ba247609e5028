<script setup lang="ts">
/** A session as a small piece of cloth: its steps along the warp, its five threads across; each thread has a binding of its own. */
import { PATCH_WARPS, type Thread, THREADS, type WovenPatch } from '@lea/core/plan'

defineProps<{ patch: WovenPatch }>()
const COLOUR: Record<Thread, string> = {
  hands: 'var(--color-beet)',
  measure: 'var(--color-teal)',
  count: 'var(--color-moss)',
  say: 'var(--color-indigo)',
  watch: 'var(--color-slate)',
}
const WARP = 4
const ROW = 20
const WIDTH = PATCH_WARPS * WARP
const HEIGHT = THREADS.length * ROW
const THICK = [0, 8, 12, 16]
const y = (thread: Thread): number => ROW * (THREADS.indexOf(thread) + 0.5)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    preserveAspectRatio="none"
    role="img"
    :aria-label="patch.says"
    class="block rounded-patch border border-ink bg-cloth"
  >
    <rect
      v-for="w in patch.waits"
      :key="`wait ${w.at}`"
      :x="w.at * WARP"
      y="0"
      :width="w.over * WARP"
      :height="HEIGHT"
      fill="var(--color-line)"
      opacity="0.5"
    />
    <line
      v-for="n in PATCH_WARPS"
      :key="n"
      :x1="(n - 0.5) * WARP"
      :x2="(n - 0.5) * WARP"
      y1="0"
      :y2="HEIGHT"
      stroke="var(--color-line)"
      stroke-width="1.6"
    />
    <line
      v-for="thread in THREADS"
      :key="thread"
      x1="0"
      :x2="WIDTH"
      :y1="y(thread)"
      :y2="y(thread)"
      :stroke="COLOUR[thread]"
      stroke-width="1.2"
    />
    <rect
      v-for="f in patch.floats"
      :key="`${f.thread} ${f.at}`"
      :x="f.at * WARP + 0.3"
      :y="y(f.thread) - (THICK[f.weight] ?? 0) / 2"
      :width="f.over * WARP - 0.6"
      :height="THICK[f.weight]"
      rx="1.8"
      :fill="COLOUR[f.thread]"
    />
    <line
      v-for="at in patch.steps"
      :key="`step ${at}`"
      :x1="at * WARP"
      :x2="at * WARP"
      y1="0"
      :y2="HEIGHT"
      stroke="var(--color-ink)"
      stroke-width="0.8"
      stroke-dasharray="3 2"
    />
  </svg>
</template>
