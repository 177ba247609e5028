<script setup lang="ts">
/** A recipe as people cook from it: what goes in for so many, what is done, by whom, how long; and out again as a file. */
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { passesText, sceneOfRecipe, variantsOf } from '@lea/core/plan'
import {
  type BowlAndSpoon,
  bowlAndSpoon,
  changesIn,
  growingText,
  layersText,
  linesFor,
  pictureOf,
  tastingText,
  type Scene,
  themeWords,
  wayText,
  toJsonLd,
} from '@lea/core/recipe'
import { foodName } from '@lea/core/food'
import { recipeToJson, recipeToText } from '@lea/core/schema'
import Notice from '../parts/Notice.vue'
import Picture from '../parts/pictures/Picture.vue'
import ScenePicture from '../parts/pictures/ScenePicture.vue'
import StillLife from '../parts/pictures/StillLife.vue'
import Amount from '../parts/Amount.vue'
import RecipeFacts from '../choose/RecipeFacts.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useFoods } from '../parts/useFoods'
import StepWork from './step/StepWork.vue'
import { saveText } from '../shared/save-text'
import JobsByAge from './JobsByAge.vue'

const route = useRoute()
const settingStore = useSettingStore()
const foods = useFoods()
const auth = useAuthStore()
const row = computed(() => settingStore.recipes.find((r) => r.id === route.params['id']))
const recipe = computed(() => row.value?.recipe)
const chosen = ref(0)
const serves = computed({
  get: () => chosen.value || (recipe.value?.serves ?? 1),
  set: (n) => (chosen.value = Math.min(200, Math.max(1, Math.round(n) || 1))),
})
const lines = computed(() => (recipe.value ? linesFor(recipe.value, serves.value, foods.value) : []))
const bare = computed<BowlAndSpoon>(() => bowlAndSpoon(recipe.value ?? { steps: [] }))
const changes = computed(() => (recipe.value ? changesIn(recipe.value, foods.value) : null))
onMounted(() => void settingStore.load())

const ABOUT = { culture: 'Where it comes from', foods: 'Of the foods', story: 'To tell', tip: 'Tip' } as const
const lineName = (id: string): string => lines.value.find((l) => l.id === id)?.name ?? id
const sceneOf = (scene: Scene) =>
  sceneOfRecipe(
    scene,
    (id) => recipe.value?.lines.find((l) => l.id === id)?.food ?? '',
    (food) => foodName(foods.value.of(food)),
  )
const print = (): void => window.print()
function asJson(): void {
  if (recipe.value) saveText(`${fileName.value}.lea.json`, 'application/json', recipeToJson(recipe.value))
}
function asJsonLd(): void {
  if (recipe.value)
    saveText(
      `${fileName.value}.jsonld`,
      'application/ld+json',
      JSON.stringify(toJsonLd(recipe.value, foods.value), null, 2),
    )
}
function asText(): void {
  if (recipe.value) saveText(`${fileName.value}.txt`, 'text/plain', recipeToText(recipe.value, foods.value))
}
const fileName = computed(() => (recipe.value?.id ?? 'recipe').replace(/[^a-z0-9-]+/gi, '-'))
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4">
    <p v-if="!settingStore.loaded && !settingStore.fault" role="status">Opening the recipe …</p>
    <Notice v-else-if="!recipe || !row" tone="fault">
      {{ settingStore.fault || 'This recipe is not there (any more).' }}
      <RouterLink class="underline" to="/recipes">All recipes</RouterLink>
    </Notice>
    <article v-else>
      <div class="mb-4 flex flex-wrap items-start justify-between gap-3">
        <div class="flex items-start gap-4">
          <StillLife v-if="row?.look" :look="row.look" class="!w-32 shrink-0" />
          <Picture v-else :name="pictureOf(recipe)" class="size-16 shrink-0" />
          <div>
            <h1 class="text-3xl">{{ recipe.title }}</h1>
            <p class="text-lg">{{ recipe.about }}</p>
            <RecipeFacts :recipe="recipe" :facts="row.facts" />
            <p v-if="recipe.themes.length > 0" class="text-sm text-soft">
              <span v-for="(t, i) in recipe.themes" :key="i" class="mr-4">{{ themeWords(t) }}</span>
            </p>
          </div>
        </div>
        <span class="flex flex-wrap gap-2 print:hidden">
          <RouterLink v-if="auth.isLeader()" class="btn btn-main" :to="`/today/new?recipe=${row.id}`"
            >Plan it</RouterLink
          >
          <RouterLink v-if="auth.isLeader()" class="btn" :to="`/recipes/${row.id}/edit`"
            >Change it</RouterLink
          >
        </span>
      </div>

      <div class="grid gap-6 md:grid-cols-[minmax(15rem,1fr)_2fr]">
        <section aria-labelledby="goes-in">
          <div class="flex items-end justify-between gap-3 border-b border-ink pb-1">
            <h2 id="goes-in" class="text-xl">Ingredients</h2>
            <label class="flex items-center gap-2 text-sm font-semibold"
              >For<input
                v-model.number.lazy="serves"
                type="number"
                min="1"
                max="200"
                aria-label="For how many children"
                class="field numeral w-20 text-lg"
              />children</label
            >
          </div>
          <ul>
            <li v-for="l in lines" :key="l.id" class="border-b border-line py-1.5">
              <Amount :text="l.amount" class="font-bold" /> {{ l.name
              }}<span v-if="l.prep" class="text-soft">, {{ l.prep }}</span
              ><span v-if="l.optional" class="text-soft"> (may be left out)</span>
            </li>
          </ul>
          <p v-for="c in recipe.choices ?? []" :key="c.id" class="mt-2">
            <span class="font-semibold">Free choice, {{ c.what }}:</span>
            {{ c.lines.map(lineName).join(', ') }}.
          </p>
          <p v-if="recipe.equipment.length > 0" class="mt-3">
            <span class="font-semibold">Tools:</span> {{ recipe.equipment.join(', ') }}
          </p>
          <p v-if="recipe.storage" class="mt-2">
            <span class="font-semibold">What is left:</span> {{ recipe.storage }}
          </p>
        </section>

        <section aria-labelledby="is-done">
          <h2 id="is-done" class="border-b border-ink pb-1 text-xl">Steps</h2>
          <ol>
            <li
              v-for="(step, i) in recipe.steps"
              :key="step.id"
              class="grid grid-cols-[2.2rem_3rem_1fr] gap-3 border-b border-line py-2.5"
            >
              <span class="numeral text-2xl text-soft">{{ i + 1 }}</span>
              <Picture :name="step.picture" class="size-11" />
              <div>
                <h3 class="text-lg leading-tight">
                  {{ step.title }}<span v-if="step.nextSitting" class="text-soft"> (the next time)</span>
                </h3>
                <p v-if="step.says">{{ step.says }}</p>
                <p v-if="passesText(step)" class="text-sm">{{ passesText(step) }}</p>
                <p v-if="step.tasting" class="text-sm">{{ tastingText(step, lineName) }}</p>
                <p v-if="step.layers" class="text-sm">{{ layersText(step) }}</p>
                <div v-if="step.scene" class="my-1 flex items-center gap-3">
                  <ScenePicture :scene="sceneOf(step.scene)" class="w-40 shrink-0" />
                  <ul class="text-sm">
                    <li v-for="r in sceneOf(step.scene).rows" :key="r">{{ r }}</li>
                  </ul>
                </div>
                <p v-for="w in step.ways ?? []" :key="w.lacks" class="text-sm">{{ wayText(w) }}</p>
                <p v-for="v in variantsOf(step)" :key="v.ages" class="text-sm">
                  <span class="font-semibold">{{ v.ages }}:</span> {{ v.says }}
                </p>
                <StepWork :step="step" pictures class="mt-0.5" />
                <p v-if="step.rests" class="text-sm text-soft">It may rest here: {{ step.rests.how }}.</p>
              </div>
            </li>
          </ol>
        </section>
      </div>

      <section v-if="recipe.grows" aria-labelledby="it-grows" class="mt-5">
        <h2 id="it-grows" class="border-b border-ink pb-1 text-xl">{{ growingText(recipe.grows) }}</h2>
        <ol>
          <li v-for="l in recipe.grows.looks" :key="l.day" class="flex gap-3 border-b border-line py-1">
            <span class="numeral w-16 shrink-0 text-soft">Day {{ l.day }}</span> {{ l.says }}
          </li>
        </ol>
      </section>
      <dl v-if="(recipe.notes ?? []).length > 0" class="mt-5 grid gap-2 sm:grid-cols-2">
        <div v-for="n in recipe.notes" :key="n.says" class="border-l-4 border-moss pl-3">
          <dt class="text-sm font-semibold">{{ ABOUT[n.about] }}</dt>
          <dd>{{ n.says }}</dd>
        </div>
      </dl>
      <section v-if="changes && changes.length > 0" aria-labelledby="changed" class="patch mt-5 p-4">
        <h2 id="changed" class="text-xl">What you changed in Lea’s recipe</h2>
        <ul class="list-disc pl-5">
          <li v-for="c in changes" :key="c">{{ c }}</li>
        </ul>
      </section>
      <details class="patch mt-5 p-4 print:hidden">
        <summary class="cursor-pointer text-xl font-bold">With nothing but a bowl and a spoon</summary>
        <p class="mt-1 font-semibold">{{ bare.says }}</p>
        <ol v-if="bare.works">
          <li v-for="r in bare.rows" :key="r.step" class="border-b border-line py-1">
            <span class="font-semibold">{{ r.title }}:</span> {{ r.says.join('; ') || 'as it is' }}
          </li>
        </ol>
      </details>
      <JobsByAge :lines="recipe.lines" :foods="foods" class="print:hidden" />
      <p class="mt-5 flex flex-wrap items-center gap-2 print:hidden">
        <span class="font-semibold">Take it along:</span>
        <button type="button" class="btn" @click="print">Print</button>
        <button type="button" class="btn" @click="asJson">Lea’s file (JSON)</button>
        <button type="button" class="btn" @click="asText">Plain text</button>
        <button type="button" class="btn" @click="asJsonLd">For web pages (schema.org)</button>
      </p>
    </article>
  </main>
</template>
