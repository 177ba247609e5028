<script setup lang="ts">
/** The steps that Lea made of a text: what is done, by whom, with what; and what it is not sure of. */
import { foodName } from '@lea/core/food'
import { type ReadQuestion, type RecipeRead, stepWork } from '@lea/core/recipe'
import Picture from '../parts/pictures/Picture.vue'
import { useFoods } from '../parts/useFoods'
import AskLine from './AskLine.vue'

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
    <h3 class="mt-3 border-b border-ink text-lg">Is done</h3>
    <ol>
      <li
        v-for="s in read.recipe.steps"
        :key="s.id"
        class="grid grid-cols-[2.2rem_1fr] gap-2 border-b border-line py-1.5"
      >
        <Picture :name="s.picture" class="size-8" />
        <div>
          <p>{{ s.says }}</p>
          <ul class="flex flex-wrap gap-x-2 gap-y-0.5 text-sm">
            <li
              v-for="(w, k) in stepWork(s)"
              :key="k"
              class="rounded-sm border px-1.5"
              :class="
                w.by === 'adult'
                  ? 'border-ochre font-semibold text-ochre'
                  : w.by === 'wait'
                    ? 'border-dashed border-slate text-slate'
                    : 'border-beet text-beet'
              "
            >
              {{ w.by === 'adult' ? `an adult: ${w.says}` : w.says }}
            </li>
            <li v-if="goesIn(s.uses)" class="text-teal">with {{ goesIn(s.uses) }}</li>
          </ul>
          <AskLine v-for="q in asked(s.id)" :key="q.key" :question="q" @answer="$emit('answer', q, $event)" />
        </div>
      </li>
    </ol>
  </div>
</template>
