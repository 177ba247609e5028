<script setup lang="ts">
/** Words of the setting: a family's own word, a language Lea has none of; one by one, or as a file to hand to a speaker. */
import { computed, ref } from 'vue'
import { GLOSSARY_ROWS, Glossary, languageName, localeFor, runsRightToLeft } from '@lea/core/learn'
import { ownWordSchema } from '@lea/core/schema'
import { ApiFault, inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import { useSettingStore } from '../stores/setting'

const settingStore = useSettingStore()
const own = computed(() => settingStore.setting?.words ?? [])
const glossary = computed(() => new Glossary(own.value, localeFor(settingStore.setting?.rules.country)))
const choices = computed(() =>
  [...new Set([...GLOSSARY_ROWS.map((r) => r.id), ...own.value.map((w) => w.id)])]
    .map((id) => ({ id, english: glossary.value.english(id), kind: glossary.value.kind(id) ?? '' }))
    .sort((a, b) => a.english.localeCompare(b.english)),
)
const fault = ref('')
const rows = ref<{ line: number; says: string }[]>([])
const said = ref('')
const blank = { id: '', english: '', language: '', word: '', reading: '', checked: false }
const draft = ref({ ...blank })

async function attempt(work: () => Promise<string>): Promise<void> {
  fault.value = ''
  said.value = ''
  rows.value = []
  try {
    said.value = await work()
  } catch (e) {
    fault.value = inWords(e)
    if (e instanceof ApiFault) rows.value = (e.more['faults'] as typeof rows.value | undefined) ?? []
  }
}
const keep = (): Promise<void> =>
  attempt(async () => {
    const d = draft.value
    const isNew = d.id === ''
    const id = isNew
      ? d.english
          .trim()
          .toLowerCase()
          .replace(/[^\p{L}\p{N}]+/gu, '-')
      : d.id
    const known = own.value.find((w) => w.id === id)
    const word = await ownWordSchema.validate({
      id,
      kind: glossary.value.kind(id) ?? 'concept',
      ...((isNew || known?.english) && { english: isNew ? d.english.trim() : known?.english }),
      home: [
        ...(known?.home ?? []).filter((h) => h.language !== d.language.trim()),
        {
          language: d.language.trim(),
          word: d.word.trim(),
          ...(d.reading.trim() && { reading: d.reading.trim() }),
          ...(d.checked && { checked: true }),
        },
      ],
    })
    await settingStore.saveWord(word)
    draft.value = { ...blank, language: d.language }
    return 'Saved. Word cards and the table use it.'
  })
const remove = (id: string): Promise<void> =>
  attempt(async () => {
    await settingStore.removeWord(id)
    return 'Taken out: Lea’s own word stands again.'
  })
const readFile = (event: Event): Promise<void> =>
  attempt(async () => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return ''
    const text = await file.text()
    input.value = ''
    const n = await settingStore.readWords(text)
    return `${n} words read from ${file.name}.`
  })
</script>

<template>
  <section aria-label="Words of home">
    <p class="mb-2 text-sm text-soft">
      Lea’s words in eight languages are from memory; families’ own words stand over them. Take the file to a
      speaker, and read it back: columns id, kind, english, language, word, reading, checked.
    </p>
    <Notice v-if="fault" tone="fault" class="mb-2">{{ fault }}</Notice>
    <ul v-if="rows.length > 0" class="mb-2 max-h-40 overflow-y-auto text-sm">
      <li v-for="r in rows" :key="`${r.line} ${r.says}`">line {{ r.line }}: {{ r.says }}</li>
    </ul>
    <p v-if="said" role="status">{{ said }}</p>
    <p class="mb-3 flex flex-wrap items-center gap-3">
      <a class="btn" href="/api/words/words.csv" download="words.csv">Words as a file</a>
      <label class="btn"
        >Read a file<input type="file" accept=".csv,text/csv" class="sr-only" @change="readFile"
      /></label>
    </p>
    <ul v-if="own.length > 0" class="mb-3 max-h-64 overflow-y-auto">
      <li v-for="w in own" :key="w.id" class="flex flex-wrap items-center gap-3 border-t border-line py-1">
        <strong class="w-28">{{ glossary.english(w.id) }}</strong>
        <span class="flex-1">
          <span v-for="h in w.home" :key="h.language" class="mr-3 inline-block text-sm"
            ><span class="text-soft">{{ languageName(h.language) }} </span
            ><bdi :lang="h.language" :dir="runsRightToLeft(h.word) ? 'rtl' : 'ltr'">{{ h.word }}</bdi
            ><em v-if="!h.checked" class="text-soft"> ask a speaker</em></span
          >
        </span>
        <button
          type="button"
          class="btn"
          :aria-label="`Take out ${glossary.english(w.id)}`"
          @click="remove(w.id)"
        >
          Take out
        </button>
      </li>
    </ul>
    <form class="grid items-end gap-2 sm:grid-cols-3" @submit.prevent="keep">
      <label class="text-sm font-semibold"
        >Word<select v-model="draft.id" class="field mt-1 font-normal">
          <option value="">a new word …</option>
          <option v-for="c in choices" :key="c.id" :value="c.id">{{ c.english }} ({{ c.kind }})</option>
        </select></label
      >
      <label class="text-sm font-semibold"
        >In English<input
          v-model="draft.english"
          class="field mt-1 font-normal"
          maxlength="60"
          :disabled="draft.id !== ''"
      /></label>
      <label class="text-sm font-semibold"
        >Language, as a code<input
          v-model="draft.language"
          class="field mt-1 font-normal"
          maxlength="20"
          placeholder="so"
      /></label>
      <label class="text-sm font-semibold"
        >The word<input v-model="draft.word" class="field mt-1 font-normal" maxlength="80" dir="auto"
      /></label>
      <label class="text-sm font-semibold"
        >As it sounds<input v-model="draft.reading" class="field mt-1 font-normal" maxlength="80"
      /></label>
      <label class="flex min-h-10 items-center gap-2 text-sm"
        ><input v-model="draft.checked" type="checkbox" class="size-5" />a speaker checked it</label
      >
      <button type="submit" class="btn justify-self-start">Save the word</button>
    </form>
  </section>
</template>
