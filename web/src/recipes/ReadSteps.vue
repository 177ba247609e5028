<script setup lang="ts">
/** The steps that Lea made of a text: what is done, by whom, with what; and what it is not sure of. */
import { foodName } from '@lea/core/food'
import type { ReadQuestion, RecipeRead } from '@lea/core/recipe'
import Picture from '../parts/pictures/Picture.vue'
import { useFoods } from '../parts/useFoods'
import AskLine from './AskLine.vue'
import StepWork from './step/StepWork.vue'

const props = defineProps<{ read: RecipeRead; asked: (step: string) => ReadQuestion[] }>()
defineEmits<{ answer: [question: ReadQuestion, text: string] }>()
const foods = useFoods()
const goesIn = (uses: { line: string }[]): string =>
  uses
    .map((u) => props.read.recipe.lines.find((l) => l.id === u.line))
    .flatMap((l) => (l ? foodName(foods.value.of(l.food)) : []))
    .join(', ')
</script>

<template>
  <div>
    <h3 class="mt-3 border-b border-ink text-lg">Steps</h3>
    <ol>
      <li
        v-for="s in read.recipe.steps"
        :key="s.id"
        class="grid grid-cols-[2.2rem_1fr] gap-2 border-b border-line py-1.5"
      >
        <Picture :name="s.picture" class="size-8" />
        <div>
          <p>{{ s.says }}</p>
          <StepWork :step="s"
            ><li v-if="goesIn(s.uses)" class="text-teal">with {{ goesIn(s.uses) }}</li></StepWork
          >
          <AskLine v-for="q in asked(s.id)" :key="q.key" :question="q" @answer="$emit('answer', q, $event)" />
        </div>
      </li>
    </ol>
  </div>
</template>
