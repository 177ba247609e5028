<script setup lang="ts">
/** A technique in its pictures, side by side; where asked they come one after another, once, and rest. */
import { computed } from 'vue'
import TechniqueFrame from './TechniqueFrame.vue'
import { framesOf } from './scene'

const props = defineProps<{
  technique: string
  tool: string
  food?: string | null
  left?: boolean
  /** Comes one picture after another. */
  play?: boolean
  /** Only the picture of what the hands do. */
  one?: boolean
}>()
const frames = computed(() => {
  const all = framesOf(props.technique)
  return props.one ? all.slice(1, 2) : all
})
</script>

<template>
  <span v-if="frames.length > 0" class="inline-flex max-w-full gap-[2%]" aria-hidden="true" data-technique>
    <TechniqueFrame
      v-for="(line, i) in frames"
      :key="`${technique} ${line}`"
      class="h-full min-w-0"
      :class="play ? 'comes' : ''"
      :style="play ? { animationDelay: `${i * 0.7}s` } : undefined"
      :line="line"
      :tool="tool"
      :food="food ?? null"
      :left="left ?? false"
    />
  </span>
</template>

<style scoped>
@media (prefers-reduced-motion: no-preference) {
  .comes {
    animation: comes 0.5s ease-out backwards;
  }
}
@keyframes comes {
  from {
    opacity: 0.1;
  }
}
</style>
