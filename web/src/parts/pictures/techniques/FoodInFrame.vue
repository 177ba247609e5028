<script setup lang="ts">
/** The picture of a food within a frame: packaged, drawn for Lea, or any round one. Comes after the frame: the pictures of foods are many. */
import { computed, type Component } from 'vue'
import { foodWord } from '@lea/core/learn'
import DrawnPicture from '../DrawnPicture.vue'
import { DRAWINGS } from '../word-drawings'
import { WORD_ICONS } from '../word-icons'
import { FOODS } from './shapes'

const props = defineProps<{ food: string }>()
/** A word, or a food by its word. */
const word = computed(() =>
  WORD_ICONS[props.food] || DRAWINGS[props.food] ? props.food : foodWord(props.food),
)
const icon = computed<Component | undefined>(() => WORD_ICONS[word.value])
const drawing = computed(() => DRAWINGS[word.value] ?? FOODS['round'] ?? { line: '' })
</script>

<template>
  <component :is="icon" v-if="icon" />
  <DrawnPicture v-else :drawing="drawing" />
</template>
