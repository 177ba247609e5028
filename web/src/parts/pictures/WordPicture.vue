<script setup lang="ts">
/** The picture of a word: packaged (MIT, Fluent emoji) or drawn for Lea. A word that has none shows its first letters. */
import { computed, type Component } from 'vue'
import DrawnPicture from './DrawnPicture.vue'
import { DRAWINGS } from './word-drawings'
import { WORD_ICONS } from './word-icons'

const props = defineProps<{ word: string; label: string }>()
const icon = computed<Component | undefined>(() => WORD_ICONS[props.word])
const drawing = computed(() => DRAWINGS[props.word])
</script>

<template>
  <component :is="icon" v-if="icon" aria-hidden="true" />
  <DrawnPicture v-else-if="drawing" :drawing="drawing" />
  <span
    v-else
    class="inline-flex items-center justify-center rounded-patch border-2 border-line font-title font-bold"
    aria-hidden="true"
    >{{ label.slice(0, 2) }}</span
  >
</template>
