<script setup lang="ts">
/** The picture of a word: packaged (MIT, Fluent emoji) or drawn for Lea. A word that has none shows its first letters. */
import { computed, type Component } from 'vue'
import { DRAWINGS } from './word-drawings'
import { WORD_ICONS } from './word-icons'

const props = defineProps<{ word: string; label: string }>()
const icon = computed<Component | undefined>(() => WORD_ICONS[props.word])
const drawing = computed(() => DRAWINGS[props.word])
</script>

<template>
  <component :is="icon" v-if="icon" aria-hidden="true" />
  <svg v-else-if="drawing" viewBox="0 0 24 24" aria-hidden="true" class="text-ink">
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
  <span
    v-else
    class="inline-flex items-center justify-center rounded-patch border-2 border-line font-title font-bold"
    aria-hidden="true"
    >{{ label.slice(0, 2) }}</span
  >
</template>
