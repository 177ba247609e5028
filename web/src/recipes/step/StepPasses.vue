<script setup lang="ts">
/** Whether something goes round the table in a step: how often, and what is said from one to the next. */
import { canPass, passesOf, type RecipeStep, ROUNDS_MOST, timesText, withPasses } from '@lea/core/recipe'

const step = defineModel<RecipeStep>({ required: true })
const value = (e: Event): string => (e.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <div v-if="canPass(step)" class="flex flex-wrap items-end gap-3 text-sm">
    <label class="block"
      >Goes round the table<select
        class="field mt-1 block"
        :value="passesOf(step)?.times ?? 0"
        @change="step = withPasses(step, Number(value($event)))"
      >
        <option :value="0">no</option>
        <option v-for="n in ROUNDS_MOST" :key="n" :value="n">{{ timesText(n) }}</option>
      </select></label
    >
    <template v-if="passesOf(step)">
      <label class="block min-w-52 flex-1"
        >Who passes it on says<input
          class="field mt-1"
          maxlength="80"
          :value="passesOf(step)?.asks"
          @change="step = withPasses(step, passesOf(step)?.times ?? 1, { asks: value($event) })"
      /></label>
      <label class="block min-w-52 flex-1"
        >The other answers<input
          class="field mt-1"
          maxlength="80"
          :value="passesOf(step)?.answers"
          @change="step = withPasses(step, passesOf(step)?.times ?? 1, { answers: value($event) })"
      /></label>
      <p class="basis-full text-soft">
        Amounts are for all rounds: each child’s part is shared over them. Who wants none passes it on.
      </p>
    </template>
  </div>
</template>
