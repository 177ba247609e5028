<script setup lang="ts">
/** One recipe: its lines and steps, to read and to edit. */
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { recipeSchema, ROLES, TECHNIQUES, type Recipe } from '@lea/core'
import { inWords } from '../api'
import Notice from '../parts/Notice.vue'
import { useDoor } from '../stores/door'
import { useHouse } from '../stores/house'
import JobsByAge from './JobsByAge.vue'
import ReadRecipe from './ReadRecipe.vue'
import RecipeLines from './RecipeLines.vue'
import RecipeSteps from './RecipeSteps.vue'
import RecipeYield from './RecipeYield.vue'

const route = useRoute()
const router = useRouter()
const house = useHouse()
const door = useDoor()
const id = computed(() => String(route.params['id']))
const isNew = computed(() => id.value === 'new')
const draft = ref<Recipe | null>(null)
const fault = ref('')
const saved = ref('')
/** Ingredient lines of a pasted recipe that were not read and are not settled. */
const open = ref<string[]>([])

const blank = (): Recipe => ({
  schema: 1,
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
function begin(): void {
  const known = house.recipes.find((r) => r.id === id.value)?.recipe
  draft.value = isNew.value ? blank() : known ? toPlain(known) : null
}
const toPlain = (r: Recipe): Recipe => JSON.parse(JSON.stringify(r)) as Recipe
onMounted(async () => {
  await house.load()
  begin()
})
watch(id, begin)

async function save(): Promise<void> {
  if (!draft.value) return
  fault.value = ''
  saved.value = ''
  if (open.value.length > 0) {
    fault.value = `Not in the recipe yet: ${open.value.join('; ')}. Add each below, or tick it where it is listed.`
    return
  }
  try {
    const recipe = (await recipeSchema.validate(toPlain(draft.value), { stripUnknown: true })) as Recipe
    const row = await house.saveRecipe(recipe, isNew.value ? undefined : id.value)
    saved.value = 'Saved.'
    if (isNew.value) await router.replace(`/recipes/${row}`)
  } catch (e) {
    fault.value = inWords(e)
  }
}
const list = (text: string): string[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter((t) => t !== '')
const themes = computed({
  get: () => draft.value?.themes.join(', ') ?? '',
  set: (v) => draft.value && (draft.value.themes = list(v)),
})
const equipment = computed({
  get: () => draft.value?.equipment.join(', ') ?? '',
  set: (v) => draft.value && (draft.value.equipment = list(v)),
})
const system = computed(() => (house.setting?.rules.country === 'us' ? 'us' : 'uk'))
/** What was read stands in the form; the id stays the new recipe's own. */
function take(read: Recipe): void {
  if (draft.value) draft.value = { ...toPlain(read), id: draft.value.id }
}
const roles = [...ROLES]
const techniques = TECHNIQUES.map((t) => ({ id: t.id, name: t.name }))
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <p v-if="!house.loaded && !house.fault" role="status">Opening the recipe …</p>
    <Notice v-else-if="!draft" tone="fault">
      {{ house.fault || 'This recipe is not there (any more).' }}
      <RouterLink class="underline" to="/recipes">All recipes</RouterLink>
    </Notice>
    <form v-else @submit.prevent="save">
      <div class="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 class="text-3xl">{{ draft.title || 'New recipe' }}</h1>
        <button v-if="door.isLeader()" type="submit" class="btn btn-main">Save the recipe</button>
      </div>
      <Notice v-if="fault" tone="fault" class="mb-3">{{ fault }} Nothing you wrote is lost.</Notice>
      <p v-if="saved" role="status" class="mb-3">{{ saved }}</p>
      <ReadRecipe v-if="isNew && door.isLeader()" :system="system" @read="take" @open="open = $event" />
      <fieldset :disabled="!door.isLeader()">
        <div class="patch mb-5 grid gap-3 p-4 sm:grid-cols-6">
          <label class="font-semibold sm:col-span-4"
            >Title<input v-model="draft.title" class="field mt-1 font-normal" maxlength="80"
          /></label>
          <label class="font-semibold sm:col-span-2"
            >Serves (children)<input
              v-model.number="draft.serves"
              type="number"
              min="1"
              class="field mt-1 font-normal"
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
          :foods="house.foods"
          :system="system"
          class="mb-5"
        />
        <RecipeSteps v-model="draft.steps" :lines="draft.lines" :techniques="techniques" />
      </fieldset>
      <JobsByAge :lines="draft.lines" :foods="house.foods" />
    </form>
  </main>
</template>
