<script setup lang="ts">
/** What is laid in a step: names in their order, how often they come, and how they lie. */
import {
  LAYERS_MOST,
  ROWS_LIE,
  ROWS_MOST,
  ROWS_WORDS,
  layersText,
  type RecipeStep,
  withLayers,
  withRows,
} from '@lea/core/recipe'

const step = defineModel<RecipeStep>({ required: true })
const value = (e: Event): string => (e.target as HTMLInputElement | HTMLSelectElement).value
const lieOf = (text: string) => ROWS_LIE.find((l) => l === text)
</script>

<template>
  <div class="flex flex-wrap items-end gap-3 text-sm">
    <label class="block min-w-52 flex-1"
      >Laid on one another or in a row, with commas (two to {{ LAYERS_MOST }})<input
        class="field mt-1"
        maxlength="170"
        :value="step.layers?.join(', ') ?? ''"
        placeholder="oats, pear"
        @change="step = withLayers(step, value($event))"
    /></label>
    <template v-if="step.layers">
      <label class="block"
        >Comes so many times<input
          class="field mt-1 block !w-24"
          type="number"
          min="1"
          :max="ROWS_MOST"
          :value="step.rows?.times ?? 1"
          @change="step = withRows(step, Number(value($event)))"
      /></label>
      <label class="block"
        >It lies<select
          class="field mt-1 block"
          :value="step.rows?.lie ?? 'stack'"
          @change="step = withRows(step, step.rows?.times ?? 1, lieOf(value($event)))"
        >
          <option v-for="l in ROWS_LIE" :key="l" :value="l">{{ ROWS_WORDS[l] }}</option>
        </select></label
      >
      <p class="basis-full text-soft">{{ layersText(step) }}</p>
    </template>
  </div>
</template>
