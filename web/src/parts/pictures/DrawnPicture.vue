<script setup lang="ts">
/** A drawing on a square of 24: what is filled, and its lines. */
import type { Drawing } from './drawing'

defineProps<{ drawing: Drawing }>()
</script>

<template>
  <svg viewBox="0 0 24 24" aria-hidden="true" class="text-ink">
    <path v-if="drawing.fill" :d="drawing.fill" fill="currentColor" opacity="0.45" />
    <path
      v-if="drawing.line"
      :d="drawing.line"
      fill="none"
      stroke="currentColor"
      stroke-width="1.6"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>
