<script setup lang="ts">
/** What else a recipe says: how long it keeps in days, free choices, notes, and ways by age. */
import { Trash2 } from '@lucide/vue'
import { type FoodBook, foodName } from '@lea/core/food'
import {
  type FreeChoice,
  KEPT_IN,
  NOTE_ABOUT,
  ownChoices,
  type Recipe,
  type StepVariant,
} from '@lea/core/recipe'
import RecipeGrows from './RecipeGrows.vue'

const props = defineProps<{ foods: FoodBook }>()
const recipe = defineModel<Recipe>({ required: true })

const NOTE_WORDS = { culture: 'where it comes from', foods: 'of the foods', story: 'to tell', tip: 'tip' }
const KEPT_WORDS = { room: 'in a closed tin', fridge: 'in the fridge', freezer: 'in the freezer' }
const number = (event: Event): number | undefined => {
  const text = (event.target as HTMLInputElement).value.trim()
  return text === '' ? undefined : Number(text)
}
const lineName = (food: string): string => foodName(props.foods.of(food))
const set = (more: Partial<Recipe>): void => {
  recipe.value = { ...recipe.value, ...more }
}
function addChoice(): void {
  const all = recipe.value.choices ?? []
  set({ choices: [...all, { id: `choice-${all.length + 1}`, what: '', lines: [], take: 1 }] })
}
function setChoiceStep(choice: FreeChoice, event: Event): void {
  const step = (event.target as HTMLSelectElement).value
  if (step) choice.step = step
  else delete choice.step
}
const isOwn = (choice: FreeChoice): boolean =>
  choice.lines.length < 2 || ownChoices(recipe.value).some((c) => c.id === choice.id)
function toggleLine(lines: string[], line: string): void {
  const at = lines.indexOf(line)
  if (at < 0) lines.push(line)
  else lines.splice(at, 1)
}
function setVariant(step: string, variants: StepVariant[]): void {
  set({ steps: recipe.value.steps.map((s) => (s.id === step ? { ...s, variants } : s)) })
}
</script>

<template>
  <details class="patch p-4">
    <summary class="cursor-pointer text-xl font-bold">
      Choices, what grows on, ways by age, notes, how long it keeps
    </summary>
    <section aria-labelledby="free" class="mt-3">
      <h3 id="free" class="text-lg">Free choice</h3>
      <p class="mb-2 text-sm text-soft">
        Each takes for itself. Write the amount of each food as if everybody took of it; Lea lays out and buys
        for those who will.
      </p>
      <div v-for="(c, i) in recipe.choices ?? []" :key="c.id" class="mb-2 border-l-4 border-line pl-3">
        <div class="flex flex-wrap items-end gap-2">
          <label class="text-sm font-semibold"
            >What is chosen<input v-model="c.what" class="field mt-1 font-normal" maxlength="40"
          /></label>
          <label class="text-sm font-semibold"
            >Each takes up to<input
              class="field mt-1 w-20 font-normal"
              type="number"
              min="1"
              max="6"
              :value="c.take ?? 1"
              @change="c.take = number($event)"
          /></label>
          <label class="text-sm font-semibold"
            >Asked at<select
              class="field mt-1 font-normal"
              :value="c.step ?? ''"
              @change="setChoiceStep(c, $event)"
            >
              <option value="">where the foods come</option>
              <option v-for="s in recipe.steps" :key="s.id" :value="s.id">{{ s.title || 'a step' }}</option>
            </select></label
          >
          <button
            type="button"
            class="btn"
            :aria-label="`Remove choice ${i + 1}`"
            @click="set({ choices: (recipe.choices ?? []).filter((x) => x !== c) })"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </div>
        <p v-if="!isOwn(c)" class="mt-1 text-sm">
          What all eat of is mixed after it: a food of it that one child must not have stops it for all. Give
          everybody a part of their own first (a pot, a roll, a piece).
        </p>
        <span class="mt-1 flex flex-wrap gap-3">
          <label v-for="l in recipe.lines" :key="l.id" class="flex items-center gap-1 text-sm"
            ><input
              type="checkbox"
              class="size-5"
              :checked="c.lines.includes(l.id)"
              @change="toggleLine(c.lines, l.id)"
            />{{ lineName(l.food) || 'a line without food' }}</label
          >
        </span>
      </div>
      <button type="button" class="btn" @click="addChoice">Add a free choice</button>
    </section>
    <RecipeGrows v-model="recipe" />
    <section aria-labelledby="by-age" class="mt-4">
      <h3 id="by-age" class="text-lg">Another way at some ages</h3>
      <div v-for="s in recipe.steps" :key="s.id">
        <div v-for="(v, i) in s.variants ?? []" :key="i" class="mb-2 flex flex-wrap items-end gap-2">
          <span class="w-40 truncate pb-2 font-semibold">{{ s.title }}</span>
          <label class="text-sm"
            >From, months<input
              class="field mt-1 w-24"
              type="number"
              min="0"
              :value="v.from ?? ''"
              @change="v.from = number($event)"
          /></label>
          <label class="text-sm"
            >Below, months<input
              class="field mt-1 w-24"
              type="number"
              min="1"
              :value="v.below ?? ''"
              @change="v.below = number($event)"
          /></label>
          <label class="min-w-52 flex-1 text-sm"
            >What they do<input v-model="v.says" class="field mt-1" maxlength="200"
          /></label>
          <button
            type="button"
            class="btn"
            aria-label="Remove this way"
            @click="
              setVariant(
                s.id,
                (s.variants ?? []).filter((x) => x !== v),
              )
            "
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </div>
      </div>
      <span class="flex flex-wrap gap-2">
        <button
          v-for="s in recipe.steps"
          :key="s.id"
          type="button"
          class="btn"
          @click="setVariant(s.id, [...(s.variants ?? []), { below: 36, says: '' }])"
        >
          {{ s.title || 'Step' }}: another way
        </button>
      </span>
    </section>
    <section aria-labelledby="notes" class="mt-4">
      <h3 id="notes" class="text-lg">Notes</h3>
      <div v-for="(n, i) in recipe.notes ?? []" :key="i" class="mb-2 flex flex-wrap items-end gap-2">
        <label class="text-sm font-semibold"
          >About<select v-model="n.about" class="field mt-1 font-normal" aria-label="About">
            <option v-for="a in NOTE_ABOUT" :key="a" :value="a">{{ NOTE_WORDS[a] }}</option>
          </select></label
        >
        <label class="min-w-60 flex-1 text-sm font-semibold"
          >Note<input v-model="n.says" class="field mt-1 font-normal" maxlength="400"
        /></label>
        <button
          type="button"
          class="btn"
          :aria-label="`Remove note ${i + 1}`"
          @click="set({ notes: (recipe.notes ?? []).filter((x) => x !== n) })"
        >
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </div>
      <button
        type="button"
        class="btn"
        @click="set({ notes: [...(recipe.notes ?? []), { about: 'tip', says: '' }] })"
      >
        Add a note
      </button>
    </section>
    <section aria-labelledby="keeps" class="mt-4">
      <h3 id="keeps" class="text-lg">What is left keeps</h3>
      <div v-for="(k, i) in recipe.keeps ?? []" :key="i" class="mb-2 flex flex-wrap items-end gap-2">
        <label class="text-sm font-semibold"
          >Where<select v-model="k.where" class="field mt-1 font-normal" aria-label="Where it keeps">
            <option v-for="w in KEPT_IN" :key="w" :value="w">{{ KEPT_WORDS[w] }}</option>
          </select></label
        >
        <label class="text-sm font-semibold"
          >Days after the session<input
            v-model.number="k.days"
            class="field mt-1 w-24 font-normal"
            type="number"
            min="0"
            max="90"
        /></label>
        <button
          type="button"
          class="btn"
          aria-label="Remove"
          @click="set({ keeps: (recipe.keeps ?? []).filter((x) => x !== k) })"
        >
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </div>
      <button
        v-if="(recipe.keeps ?? []).length < 3"
        type="button"
        class="btn"
        @click="set({ keeps: [...(recipe.keeps ?? []), { where: 'fridge', days: 1 }] })"
      >
        Add a place
      </button>
    </section>
  </details>
</template>
