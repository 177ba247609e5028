<script setup lang="ts">
/** When a step has to follow soon, and where a session may be cut in two. */
import { computed } from 'vue'
import type { RecipeStep } from '@lea/core/recipe'

const step = defineModel<RecipeStep>({ required: true })
const soonMinutes = computed(() => (step.value.soon ? step.value.soon.seconds / 60 : ''))
const restHours = computed(() => (step.value.rests ? step.value.rests.seconds / 3600 : ''))
function setSoon(text: string): void {
  const minutes = Number(text)
  step.value =
    text.trim() === '' || !(minutes > 0)
      ? { ...step.value, soon: undefined }
      : {
          ...step.value,
          soon: { why: 'It must not stand.', ...step.value.soon, seconds: Math.round(minutes * 60) },
        }
}
function setRest(text: string): void {
  const hours = Number(text)
  step.value =
    text.trim() === '' || !(hours > 0)
      ? { ...step.value, rests: undefined }
      : {
          ...step.value,
          rests: {
            how: 'covered, in the fridge',
            place: 'fridge',
            ...step.value.rests,
            seconds: Math.round(hours * 3600),
          },
        }
}
const value = (e: Event): string => (e.target as HTMLInputElement).value
</script>

<template>
  <div class="flex flex-wrap items-end gap-3 text-sm">
    <label class="block"
      >Begins at most so many minutes after the step before<input
        class="field mt-1 block !w-24"
        inputmode="decimal"
        :value="soonMinutes"
        placeholder="no limit"
        @change="setSoon(value($event))"
    /></label>
    <label v-if="step.soon" class="block min-w-48 flex-1"
      >Because<input
        class="field mt-1"
        maxlength="200"
        :value="step.soon.why"
        @change="step = { ...step, soon: { ...step.soon, why: value($event) } }"
    /></label>
    <label class="block"
      >After it, it may rest so many hours<input
        class="field mt-1 block !w-24"
        inputmode="decimal"
        :value="restHours"
        placeholder="no"
        @change="setRest(value($event))"
    /></label>
    <label v-if="step.rests" class="block min-w-48 flex-1"
      >How it rests<input
        class="field mt-1"
        maxlength="120"
        :value="step.rests.how"
        @change="step = { ...step, rests: { ...step.rests, how: value($event) } }"
    /></label>
  </div>
</template>
