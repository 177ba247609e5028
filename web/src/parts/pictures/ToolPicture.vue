<script setup lang="ts">
/** The picture of a tool, drawn for Lea. A tool that has none shows nothing: its name stands beside it. */
import { computed } from 'vue'
import { TOOL_DRAWINGS } from './tool-drawings'

const props = defineProps<{ tool: string }>()
const drawing = computed(() => TOOL_DRAWINGS[props.tool])
</script>

<template>
  <svg v-if="drawing" viewBox="0 0 24 24" aria-hidden="true" class="text-ink">
    <path v-if="drawing.fill" :d="drawing.fill" fill="currentColor" opacity="0.4" />
    <path
      :d="drawing.line"
      fill="none"
      stroke="currentColor"
      stroke-width="1.6"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>
