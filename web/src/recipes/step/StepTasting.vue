<script setup lang="ts">
/** Whether foods are tasted in a step: side by side, or with eyes covered. */
import { computed } from 'vue'
import {
  canTaste,
  type RecipeLine,
  type RecipeStep,
  TASTES_MOST,
  tastingFault,
  withTasting,
} from '@lea/core/recipe'

const props = defineProps<{ lines: RecipeLine[]; nameOf: (line: RecipeLine) => string }>()
const step = defineModel<RecipeStep>({ required: true })
const here = computed(() => props.lines.filter((l) => step.value.uses.some((u) => u.line === l.id)))
const fault = computed(() => tastingFault(step.value))
const how = computed(() => (!step.value.tasting ? 'no' : step.value.tasting.covered ? 'covered' : 'open'))
function choose(event: Event): void {
  const said = (event.target as HTMLSelectElement).value
  step.value = withTasting(step.value, said === 'no' ? null : { covered: said === 'covered' })
}
function toggle(id: string): void {
  const lines = step.value.tasting?.lines ?? []
  step.value = withTasting(step.value, {
    lines: lines.includes(id) ? lines.filter((l) => l !== id) : [...lines, id],
  })
}
</script>

<template>
  <div v-if="step.tasting || canTaste(step)" class="grid gap-2 text-sm">
    <label class="block justify-self-start"
      >Tasted one by one<select class="field mt-1 block" :value="how" @change="choose">
        <option value="no">no</option>
        <option value="open">side by side</option>
        <option value="covered">with eyes covered, guessing</option>
      </select></label
    >
    <template v-if="step.tasting">
      <span class="flex flex-wrap gap-3" role="group" aria-label="What is tasted">
        <label v-for="l in here" :key="l.id" class="flex items-center gap-1"
          ><input
            type="checkbox"
            class="size-5"
            :checked="step.tasting.lines.includes(l.id)"
            :disabled="!step.tasting.lines.includes(l.id) && step.tasting.lines.length >= TASTES_MOST"
            @change="toggle(l.id)"
          />{{ nameOf(l) }}</label
        >
      </span>
      <p class="text-soft">
        {{
          step.tasting.covered
            ? 'Nobody sees what is on the spoon: what one child must not have stops the game for all, until it is swapped or eyes stay open. An adult gives each taste.'
            : 'Each child tastes what its card and its age allow; a thumb is put for each.'
        }}
      </p>
      <p v-if="fault" role="alert" class="font-semibold text-paprika">{{ fault }}.</p>
    </template>
  </div>
</template>
