<script setup lang="ts">
/** What a recipe is like, in a line of words: from what age, minutes, heat, what it holds. */
import { computed } from 'vue'
import { ageText } from '@lea/core/craft'
import { type FoodBook, allergenName } from '@lea/core/food'
import { type Recipe, fromMonths, heatWords, holdsOf } from '@lea/core/recipe'

const props = defineProps<{ recipe: Recipe; foods: FoodBook; minutes?: string }>()
const holds = computed(() => {
  const { lists, unknown } = holdsOf(props.recipe, props.foods)
  return [...lists.map(allergenName), ...unknown.map((u) => `${u} (not known to Lea)`)].join(', ')
})
</script>

<template>
  <span class="block text-sm text-soft">
    from {{ ageText(fromMonths(recipe)) }}<template v-if="minutes"> · {{ minutes }}</template> ·
    {{ heatWords(recipe) }} · <span class="sr-only">usually holds </span>
    <span :class="holds ? '' : 'italic'">{{ holds || 'lists none of the allergens Lea knows' }}</span>
  </span>
</template>
