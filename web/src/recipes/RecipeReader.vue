<script setup lang="ts">
/**
 * A recipe in words, read into Lea's: the text at the left, what Lea understood at the right, a short question in line wherever it is not
 * sure. Answers can be taken back one by one; the text and the answers are kept on this device until the recipe is.
 */
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import {
  type AnswerGiven,
  type ReadQuestion,
  type Recipe,
  type RecipeRead,
  answerGiven,
  linesFor,
  readCount,
  readStatus,
  roleWords,
} from '@lea/core/recipe'
import { reader } from '../workers/reader'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import Amount from '../parts/Amount.vue'
import { useSettingStore } from '../stores/setting'
import { useFoods } from '../parts/useFoods'
import AnsweredList from './AnsweredList.vue'
import AskLine from './AskLine.vue'
import ReadSteps from './ReadSteps.vue'

const KEY = 'lea-recipe-draft:read'
const settingStore = useSettingStore()
const foods = useFoods()
const router = useRouter()
const text = ref('')
/** In the order in which they were given. */
const answers = ref<AnswerGiven[]>([])
const read = ref<RecipeRead | null>(null)
const fault = ref('')
const saving = ref(false)

onMounted(async () => {
  await settingStore.load()
  const kept = localStorage.getItem(KEY)
  if (!kept) return
  const draft = JSON.parse(kept) as { text: string; answers: Partial<AnswerGiven>[] }
  text.value = draft.text
  // Answers of an older version go by keys that are no more.
  answers.value = draft.answers.filter((a): a is AnswerGiven => a.text !== undefined && a.asks !== undefined)
  void understand()
})
const keep = (): void => {
  if (text.value.trim() === '') localStorage.removeItem(KEY)
  // A page of megabytes is not kept: its file is still there.
  else if (text.value.length < 500_000)
    localStorage.setItem(KEY, JSON.stringify({ text: text.value, answers: answers.value }))
}
watch([text, answers], keep, { deep: true })

const system = computed(() => (settingStore.setting?.rules.country === 'us' ? 'us' : 'uk'))
/** The words of which it was read. What is written after that is in no recipe yet, so nothing is saved before it is read too. */
const readWords = ref('')
const stale = computed(() => read.value !== null && text.value !== readWords.value)
/** Only the answer to what was asked last is shown. */
let readings = 0
async function understand(): Promise<void> {
  fault.value = ''
  const mine = (readings += 1)
  const words = text.value
  try {
    const given = Object.fromEntries(answers.value.map((a) => [a.key, a.answer]))
    const own = settingStore.setting?.foods ?? []
    const answer = await reader().readRecipe(words, system.value, own, given)
    if (mine !== readings) return
    read.value = answer
    readWords.value = words
  } catch (e) {
    if (mine !== readings) return
    read.value = null
    fault.value = e instanceof Error ? `The recipe ${e.message}.` : inWords(e)
  }
}
function begin(): void {
  answers.value = []
  void understand()
}
function answer(question: ReadQuestion, value: string): void {
  if (value.trim() === '') return
  const rest = answers.value.filter((a) => a.key !== question.key)
  answers.value = [...rest, answerGiven(question, value.trim())]
  void understand()
}
function takeBack(key: string): void {
  answers.value = answers.value.filter((a) => a.key !== key)
  void understand()
}
async function openFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  if (file.size > 5_000_000) fault.value = 'The file is larger than 5 MB.'
  else {
    text.value = await file.text()
    begin()
  }
  input.value = ''
}

const asked = (where: (q: ReadQuestion) => boolean): ReadQuestion[] =>
  (read.value?.questions ?? []).filter(where)
const status = computed(() => (read.value ? readStatus(read.value, stale.value) : { open: 0, says: '' }))
const lines = computed(() =>
  read.value ? linesFor(read.value.recipe, read.value.recipe.serves, foods.value) : [],
)
const roleOf = (id: string): string => {
  const line = read.value?.recipe.lines.find((l) => l.id === id)
  return line ? roleWords(line.role) : ''
}
const ofLine = (id: string | null, key: string): ReadQuestion[] =>
  asked((q) => q.key === key || (id !== null && q.about.line === id))
const ofStep = (id: string): ReadQuestion[] => asked((q) => q.about.step === id)
/** What only a step names, and for how many: beside no line of the list. */
const others = computed(() => {
  const keys = new Set((read.value?.lines ?? []).map((l) => l.key))
  return asked((q) => !q.about.line && !q.about.step && !keys.has(q.key))
})
const only = computed(() => (read.value?.unread ?? []).filter((u) => !u.kind && u.part !== 'other'))
/** It is kept as a recipe of the setting, and opened in the editor or on its page. */
async function keepIt(then: 'page' | 'edit'): Promise<void> {
  if (!read.value) return
  saving.value = true
  fault.value = ''
  try {
    const recipe: Recipe = { ...read.value.recipe, id: `own:${read.value.recipe.id}`.slice(0, 60) }
    const row = await settingStore.saveRecipe(recipe)
    localStorage.removeItem(KEY)
    await router.push(then === 'page' ? `/recipes/${row}` : `/recipes/${row}/edit`)
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <main id="main" class="mx-auto max-w-[88rem] px-5 py-4">
    <div class="mb-3 flex flex-wrap items-end justify-between gap-3">
      <div>
        <h1 class="text-3xl">Read a recipe in</h1>
        <p class="text-soft">Paste its words, or open a page or a file that you saved. Nothing is fetched.</p>
      </div>
      <span v-if="read" class="flex flex-wrap items-center gap-2">
        <button
          type="button"
          class="btn"
          :disabled="status.open > 0 || saving"
          aria-describedby="read-status"
          @click="keepIt('edit')"
        >
          Save it and go on writing
        </button>
        <button
          type="button"
          class="btn btn-main"
          :disabled="status.open > 0 || saving"
          aria-describedby="read-status"
          @click="keepIt('page')"
        >
          Save it
        </button>
      </span>
    </div>
    <Notice v-if="fault" tone="fault" class="mb-3">{{ fault }}</Notice>
    <div class="grid items-start gap-5 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <section aria-labelledby="its-text">
        <h2 id="its-text" class="sr-only">Its words</h2>
        <label class="font-semibold"
          >The recipe<textarea
            v-model="text"
            class="field mt-1 min-h-[26rem] font-normal"
            rows="22"
            maxlength="5000000"
          />
        </label>
        <p class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="btn btn-main" :disabled="text.trim() === ''" @click="begin">
            Read the recipe
          </button>
          <label class="btn focus-within:outline-3 focus-within:outline-indigo"
            >Open a saved page or file<input
              type="file"
              accept=".html,.htm,.json,.jsonld,.txt,text/html,application/json,text/plain"
              class="sr-only"
              @change="openFile"
          /></label>
        </p>
      </section>
      <section aria-labelledby="understood" aria-live="polite">
        <h2 id="understood" class="sr-only">What Lea understood</h2>
        <div v-if="!read" class="patch p-5 text-soft">
          What Lea understood will stand here, beside the words: each line, each step, and a short question
          wherever it is not sure. What it cannot read is listed, and nothing is made up.
        </div>
        <div v-else class="patch p-4">
          <p class="text-2xl font-bold font-title">{{ read.recipe.title }}</p>
          <p class="mb-2">
            for {{ read.recipe.serves
            }}<template v-if="read.recipe.pieces">
              · {{ read.recipe.pieces.n }} {{ read.recipe.pieces.what }}</template
            >
            · {{ readCount(read) }}
          </p>
          <p
            id="read-status"
            role="status"
            class="mb-2 border-l-4 pl-2 font-semibold"
            :class="status.open > 0 ? 'border-paprika text-paprika' : 'border-moss text-moss'"
          >
            {{ status.says }}
          </p>
          <AnsweredList v-if="answers.length > 0" :answers="answers" @take-back="takeBack" />
          <AskLine v-for="q in others" :key="q.key" :question="q" @answer="answer(q, $event)" />
          <h3 class="mt-2 border-b border-ink text-lg">Ingredients</h3>
          <ul>
            <li v-for="l in read.lines" :key="l.key" class="border-b border-line py-1">
              <span v-if="l.line" class="flex flex-wrap gap-x-2">
                <template v-for="x in lines.filter((y) => y.id === l.line)" :key="x.id">
                  <span><Amount :text="x.amount" class="font-bold" /> {{ x.name }}</span>
                  <span v-if="x.prep" class="text-soft">{{ x.prep }}</span>
                  <span class="text-sm text-soft">· {{ roleOf(x.id) }}</span>
                  <span v-if="x.optional" class="text-sm text-soft">· may be left out</span>
                </template>
              </span>
              <span v-else-if="l.out" class="text-soft line-through">{{ l.text }}</span>
              <AskLine
                v-for="q in ofLine(l.line, l.key)"
                :key="q.key"
                :question="q"
                @answer="answer(q, $event)"
                @settled="understand"
              />
            </li>
          </ul>
          <ReadSteps :read="read" :asked="ofStep" @answer="answer" />
          <p v-if="read.recipe.equipment.length > 0" class="mt-2">
            <span class="font-semibold">Tools:</span> {{ read.recipe.equipment.join(', ') }}
          </p>
          <template v-if="only.length > 0">
            <h3 class="mt-3 text-lg">Not read</h3>
            <ul class="border-l-4 border-slate pl-3 text-sm">
              <li v-for="(u, i) in only" :key="i">
                <span v-if="u.text">“{{ u.text }}”: </span>{{ u.why }}
              </li>
            </ul>
          </template>
          <details v-if="read.notes.length > 0" class="mt-2 text-sm">
            <summary class="cursor-pointer">What was read beside</summary>
            <ul class="list-disc pl-5">
              <li v-for="n in read.notes" :key="n">{{ n }}</li>
            </ul>
          </details>
        </div>
      </section>
    </div>
  </main>
</template>
