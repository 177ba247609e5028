<script setup lang="ts">
/** What a recipe is like, in a line of words: from what age, minutes, heat, what it holds. */
import { type Recipe, type RecipeFacts, heatWords } from '@lea/core/recipe'

defineProps<{ recipe: Recipe; facts: RecipeFacts | undefined; minutes?: string }>()
</script>

<template>
  <span class="flex flex-wrap gap-x-4 text-sm text-soft">
    <span v-if="facts">{{ facts.from }}</span>
    <span v-if="minutes">{{ minutes }}</span>
    <span>{{ heatWords(recipe) }}</span>
    <span v-if="facts" :class="facts.holds ? '' : 'italic'"
      ><span class="sr-only">usually holds </span
      >{{ facts.holds || 'lists none of the allergens Lea knows' }}</span
    >
  </span>
</template>
