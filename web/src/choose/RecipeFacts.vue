<script setup lang="ts">
/** What a recipe is like, in a line of words: from what age, minutes, heat, what it holds. */
import { type Recipe, type RecipeFacts, heatWords } from '@lea/core/recipe'

defineProps<{ recipe: Recipe; facts: RecipeFacts | undefined; minutes?: string }>()
</script>

<template>
  <span class="block text-sm text-soft">
    <template v-if="facts">{{ facts.from }} · </template><template v-if="minutes">{{ minutes }} · </template
    >{{ heatWords(recipe)
    }}<template v-if="facts">
      · <span class="sr-only">usually holds </span>
      <span :class="facts.holds ? '' : 'italic'">{{
        facts.holds || 'lists none of the allergens Lea knows'
      }}</span></template
    >
  </span>
</template>
