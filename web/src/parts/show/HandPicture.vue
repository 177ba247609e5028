<script setup lang="ts">
/** A hand with the part that is washed now filled: palms, backs, between the fingers, thumbs, tips, wrists. */
import { computed } from 'vue'

const props = defineProps<{ part: string }>()
const HAND =
  'M8.500 12V5.500a1 1 0 0 1 2 0V11m0-6.500V4a1 1 0 0 1 2 0v7m0-6.500a1 1 0 0 1 2 0V11m0-5a1 1 0 0 1 2 0v8c0 3-1.500 5-4 5h-1c-2 0-3-1-4-3l-2.300-4c-.7-1.300 1-2.200 1.800-1.200l1.500 2M9.500 19v3m5-3v3'
const FILL: Record<string, string> = {
  palms: 'M9 12h7v3c0 2-1 3.500-3.500 3.500S9 16.500 9 14.500z',
  backs: 'M8.500 5.500h8v9c0 3-1.500 4.500-4 4.500s-4-2-4-4.500z',
  between: 'M10.200 6.500h.9V12h-.9zM12.200 6.500h.9V12h-.9zM14.200 6.500h.9V12h-.9z',
  thumbs: 'M5 12.500l1.500-1.300L10 16l-1 2z',
  tips: 'M8.500 4.500h2v2.500h-2zM10.500 3h2v2.500h-2zM12.500 3.500h2V6h-2zM14.500 5h2v2.500h-2z',
  wrists: 'M9.500 18.500h5V22h-5z',
}
const fill = computed(() => FILL[props.part] ?? '')
</script>

<template>
  <svg viewBox="3 1 17 22" aria-hidden="true" class="text-ink">
    <path :d="fill" class="fill-indigo" />
    <path
      :d="HAND"
      fill="none"
      stroke="currentColor"
      stroke-width="0.9"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>
