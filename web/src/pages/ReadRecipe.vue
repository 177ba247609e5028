<script setup lang="ts">
/** A recipe pasted as text, or a page that was saved: read into the form below, with what could not be read beside the text. */
import { computed, ref, watch } from 'vue'
import { readJsonLd, readRecipe, type Recipe, type RecipeRead, type System } from '@lea/core'
import { inWords } from '../api'
import Notice from '../parts/Notice.vue'

const props = defineProps<{ system: System }>()
const emit = defineEmits<{ read: [recipe: Recipe]; open: [lines: string[]] }>()
const text = ref('')
const fault = ref('')
const read = ref<RecipeRead | null>(null)

/**
 * Ingredient lines that stand in no line of the recipe: until each is settled the recipe is not kept, for what is not in it is not
 * looked for in anybody's allergies.
 */
const settled = ref<string[]>([])
const openLines = computed(() =>
  (read.value?.unread ?? [])
    .filter((u) => u.part === 'ingredient' && u.text !== '' && !settled.value.includes(u.text))
    .map((u) => u.text),
)
watch(openLines, (lines) => emit('open', lines))

/** A page or data begins with a bracket; anything else is a recipe in words. */
const isData = (source: string): boolean => /^\s*[<{[]/.test(source)
function understand(): void {
  fault.value = ''
  read.value = null
  settled.value = []
  try {
    const source = text.value
    const result = isData(source) ? readJsonLd(source, props.system) : readRecipe(source, props.system)
    read.value = result
    emit('read', result.recipe)
  } catch (e) {
    fault.value = `The recipe ${inWords(e)}`
  }
}
async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  text.value = await file.text()
  input.value = ''
  understand()
}
</script>

<template>
  <section class="patch mb-5 p-4" aria-labelledby="read-recipe">
    <h2 id="read-recipe" class="text-xl">From words</h2>
    <p class="mb-2 text-sm text-soft">
      Paste a recipe, or open a page that you saved. Lea reads what it can into the form below and lists the
      rest; look each line and step over before you keep it.
    </p>
    <div class="grid gap-4 md:grid-cols-2">
      <div>
        <label class="font-semibold"
          >The recipe<textarea v-model="text" class="field mt-1 font-normal" rows="10" maxlength="5000000" />
        </label>
        <p class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="btn" :disabled="text.trim() === ''" @click="understand">
            Read the recipe
          </button>
          <label class="btn"
            >Open a saved page<input
              type="file"
              accept=".html,.htm,.json,.jsonld,.txt,text/html,application/json,text/plain"
              class="sr-only"
              @change="open"
          /></label>
        </p>
      </div>
      <div aria-live="polite">
        <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
        <template v-else-if="read">
          <p class="font-semibold">
            {{ read.recipe.lines.length }} lines and {{ read.recipe.steps.length }} steps were read.
          </p>
          <template v-if="read.unread.length > 0">
            <p class="mt-2 font-semibold">For you to settle</p>
            <ul class="border-l-4 border-slate pl-3 text-sm">
              <li v-for="(u, i) in read.unread" :key="i" class="py-0.5">
                <span v-if="u.text">“{{ u.text }}”: </span>{{ u.why }}
                <label
                  v-if="u.part === 'ingredient' && u.text"
                  class="mt-0.5 flex items-center gap-2 font-semibold"
                  ><input v-model="settled" type="checkbox" :value="u.text" class="size-5" />it stands below,
                  or is left out</label
                >
              </li>
            </ul>
          </template>
          <details v-if="read.notes.length > 0" class="mt-2 text-sm">
            <summary>What Lea took it for</summary>
            <ul>
              <li v-for="n in read.notes" :key="n">{{ n }}</li>
            </ul>
          </details>
        </template>
        <p v-else class="text-soft">What Lea understood will stand here.</p>
      </div>
    </div>
  </section>
</template>
