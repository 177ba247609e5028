<script setup lang="ts">
/** The measure to fetch, drawn: a cup with a handle, or a spoon; its size as a numeral on it. */
import { computed } from 'vue'
import { numberText } from '@lea/core/amount'

const props = defineProps<{ size: string; unit: string; name: string }>()
const isSpoon = computed(() => /^(tsp|tbsp|dsp)/.test(props.unit))
const numeral = computed(() => numberText(props.size))
</script>

<template>
  <svg viewBox="0 0 130 80" role="img" :aria-label="`Fetch the ${name}`" stroke="#17312B" stroke-width="3">
    <template v-if="isSpoon">
      <path d="M62 30 H122 A5 5 0 0 1 122 42 H62" fill="#fff" />
      <ellipse cx="36" cy="36" rx="32" ry="24" fill="#e9dab3" />
    </template>
    <template v-else>
      <rect x="84" y="16" width="42" height="13" rx="6" fill="#fff" />
      <path d="M8 12 V64 A12 12 0 0 0 20 76 H76 A12 12 0 0 0 88 64 V12 Z" fill="#e9dab3" />
      <path d="M2 12 H94" stroke-width="5" />
    </template>
    <text
      :x="isSpoon ? 36 : 48"
      :y="isSpoon ? 44 : 54"
      text-anchor="middle"
      :class="{ frac: /^\d+\/\d+$/.test(numeral) }"
      font-size="24"
      font-weight="700"
      fill="#17312B"
      stroke="none"
    >
      {{ numeral }}
    </text>
  </svg>
</template>
