<script setup lang="ts">
/** A recipe written or changed, beside its weave: a leader sees at once what a change does. */
import { computed, onMounted, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { TECHNIQUES } from '@lea/core/craft'
import { RECIPE_SCHEMA, ROLES, type Recipe, servesChanged, shippedOf, themeOf } from '@lea/core/recipe'
import { recipeSchema } from '@lea/core/schema'
import { Redo2, Undo2 } from '@lucide/vue'
import Notice from '../parts/Notice.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useFoods } from '../parts/useFoods'
import JobsByAge from './JobsByAge.vue'
import PutTogether from './PutTogether.vue'
import RecipeLines from './RecipeLines.vue'
import RecipeMore from './RecipeMore.vue'
import RecipePreview from './RecipePreview.vue'
import RecipeSteps from './RecipeSteps.vue'
import RecipeYield from './RecipeYield.vue'
import { useAttempt } from '../parts/useAttempt'
import { useDraft } from '../stores/recipe-draft'

const route = useRoute()
const router = useRouter()
const settingStore = useSettingStore()
const foods = useFoods()
const auth = useAuthStore()
const id = computed(() => String(route.params['id'] ?? 'new'))
const isNew = computed(() => id.value === 'new')
const { draft, begin, undo, redo, done, touched, restored, canUndo, canRedo } = useDraft()
const { attempt, fault, said, at } = useAttempt('recipe-fault')

const blank = (): Recipe => ({
  schema: RECIPE_SCHEMA,
  id: `own:${Date.now().toString(36)}`,
  title: '',
  about: '',
  serves: 8,
  themes: [],
  equipment: [],
  storage: '',
  lines: [],
  steps: [],
})
const open = (): void =>
  begin(
    id.value,
    isNew.value ? blank() : (settingStore.recipes.find((r) => r.id === id.value)?.recipe ?? null),
  )
onMounted(async () => {
  await settingStore.load()
  open()
})
watch(id, open)

async function save(): Promise<void> {
  if (!draft.value) return
  const plain = JSON.parse(JSON.stringify(draft.value)) as Recipe
  await attempt(async () => {
    const recipe = await recipeSchema.validate(plain, { stripUnknown: true })
    const row = await settingStore.saveRecipe(recipe, isNew.value ? undefined : id.value)
    done()
    await router.replace(`/recipes/${row}`)
  }, 'Saved.')
}
function throwAway(): void {
  done()
  open()
}
/** Lea's own stands again, if it was one of hers. */
const shipped = computed(() => (draft.value ? shippedOf(draft.value.id) : undefined))
function putBack(): void {
  if (shipped.value) draft.value = JSON.parse(JSON.stringify(shipped.value)) as Recipe
}
const list = (text: string): string[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter((t) => t !== '')
const themes = computed({
  get: () => draft.value?.themes.map((t) => t.name).join(', ') ?? '',
  set: (v) => {
    if (!draft.value) return
    const known = draft.value.themes
    draft.value.themes = list(v).map((n) => known.find((t) => t.name === n) ?? themeOf(n))
  },
})
const equipment = computed({
  get: () => draft.value?.equipment.join(', ') ?? '',
  set: (v) => draft.value && (draft.value.equipment = list(v)),
})
const system = computed(() => (settingStore.setting?.rules.country === 'us' ? 'us' : 'uk'))
const roles = [...ROLES]
/** What each child has stays what it was. By the hand that writes it alone: a draft that is opened or taken back has its own amounts. */
function setServes(serves: number): void {
  const recipe = draft.value
  if (recipe) draft.value = { ...recipe, serves, lines: servesChanged(recipe.lines, recipe.serves, serves) }
}
const techniques = TECHNIQUES.map((t) => ({ id: t.id, name: t.name }))
</script>

<template>
  <main id="main" class="mx-auto max-w-[88rem] px-5 py-4">
    <p v-if="!settingStore.loaded && !settingStore.fault" role="status">Opening the recipe …</p>
    <Notice v-else-if="!draft" tone="fault">
      {{ settingStore.fault || 'This recipe is not there (any more).' }}
      <RouterLink class="underline" to="/recipes">All recipes</RouterLink>
    </Notice>
    <form v-else @submit.prevent="save">
      <div class="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 class="text-3xl">{{ draft.title || 'New recipe' }}</h1>
        <span v-if="auth.isLeader()" class="flex flex-wrap gap-2">
          <button type="button" class="btn" :disabled="!canUndo" @click="undo">
            <Undo2 class="size-4" aria-hidden="true" />Undo
          </button>
          <button type="button" class="btn" :disabled="!canRedo" @click="redo">
            <Redo2 class="size-4" aria-hidden="true" />Redo
          </button>
          <button type="submit" class="btn btn-main">Save the recipe</button>
        </span>
      </div>
      <Notice v-if="fault" id="recipe-fault" tone="fault" class="mb-3"
        >{{ fault }} Nothing you wrote is lost.</Notice
      >
      <p v-if="said" role="status" class="mb-3">{{ said }}</p>
      <Notice v-if="restored" class="mb-3">
        You had begun to change it: your draft of this device is open, not saved yet.
        <button type="button" class="underline" @click="throwAway">Throw the draft away</button>
      </Notice>
      <p v-else-if="touched" role="status" class="mb-3 text-sm text-soft">
        Kept as a draft on this device until you save it.
      </p>
      <div class="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_24rem]">
        <div>
          <PutTogether
            v-if="
              isNew && draft.lines.length === 0 && draft.steps.length === 0 && settingStore.recipes.length > 1
            "
            :id="draft.id"
            :recipes="settingStore.recipes"
            @made="draft = $event"
          />
          <fieldset :disabled="!auth.isLeader()">
            <div class="patch mb-5 grid gap-3 p-4 sm:grid-cols-6">
              <label class="font-semibold sm:col-span-4"
                >Title<input
                  v-model="draft.title"
                  class="field mt-1 font-normal"
                  maxlength="80"
                  v-bind="at('title')"
              /></label>
              <label class="font-semibold sm:col-span-2"
                >Serves (children)<input
                  :value="draft.serves"
                  type="number"
                  min="1"
                  class="field mt-1 font-normal"
                  v-bind="at('serves')"
                  @change="setServes(Number(($event.target as HTMLInputElement).value))"
              /></label>
              <label class="font-semibold sm:col-span-6"
                >About<input v-model="draft.about" class="field mt-1 font-normal" maxlength="300"
              /></label>
              <label class="font-semibold sm:col-span-2"
                >Themes, with commas<input v-model.lazy="themes" class="field mt-1 font-normal"
              /></label>
              <label class="font-semibold sm:col-span-2"
                >Equipment, with commas<input v-model.lazy="equipment" class="field mt-1 font-normal"
              /></label>
              <label class="font-semibold sm:col-span-2"
                >How it keeps<input v-model="draft.storage" class="field mt-1 font-normal" maxlength="200"
              /></label>
              <RecipeYield v-model="draft" />
            </div>
            <RecipeLines
              v-model="draft.lines"
              :roles="roles"
              :foods="foods"
              :system="system"
              :serves="draft.serves"
              class="mb-5"
            />
            <RecipeSteps v-model="draft.steps" :lines="draft.lines" :foods="foods" :techniques="techniques" />
            <RecipeMore v-model="draft" :foods="foods" class="mt-5" />
          </fieldset>
          <p v-if="shipped && auth.isLeader()" class="mt-4">
            <button type="button" class="btn" @click="putBack">Put Lea’s own recipe back</button>
          </p>
          <JobsByAge :lines="draft.lines" :foods="foods" />
        </div>
        <RecipePreview
          :recipe="draft"
          tabindex="0"
          class="xl:sticky xl:top-4 xl:max-h-[calc(100vh-2rem)] xl:overflow-y-auto"
        />
      </div>
    </form>
  </main>
</template>
