<script setup lang="ts">
/** A table of children read in: columns matched, every row shown with what it is taken for, and nothing kept before it was looked at. */
import { monthText, countText } from '@lea/core/amount'
import Papa from 'papaparse'
import { computedAsync, watchDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { LEVEL_WORDS, allergenName } from '@lea/core/food'
import { languageName } from '@lea/core/learn'
import { ROSTER_FIELDS, type RosterColumns, type RosterField } from '@lea/core/schema'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import { reader } from '../workers/reader'
import { useSettingStore } from '../stores/setting'
import { todayText } from '../shared/dates'

const emit = defineEmits<{ close: []; done: [says: string] }>()
const settingStore = useSettingStore()
const FIELD_WORDS: Record<RosterField, string> = {
  nickname: 'Nickname',
  birth: 'Birth month',
  allergies: 'Allergies',
  diets: 'Diets',
  languages: 'Languages at home',
  hand: 'Hand',
  needs: 'Needs',
  plan: 'Care plan',
}
const heading = ref<string[]>([])
/** The rows, each with its line and, of pasted lines, what stands there. */
const table = ref<{ line: number; cells: string[]; written?: string }[]>([])
const pasted = ref('')
/** The text of which the rows below are: what was written since is not among them yet. Null where they are a file's. */
const readText = ref<string | null>('')
const READ_AFTER_MS = 350
let takes = 0
const free = ref(false)
const columns = ref<RosterColumns | null>(null)
const fault = ref('')
const saving = ref(false)
const noAllergies = ref(false)

async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  fault.value = ''
  const text = file.size > 1_000_000 ? '' : await file.text()
  input.value = ''
  if (file.size > 1_000_000) fault.value = 'The file is larger than 1 MB: a roster is a short table.'
  else await take(text, true)
}
/** Lines as people write them, or a table with headings: a file always is one, in whatever words its headings are. */
async function take(text: string, file = false): Promise<void> {
  takes += 1
  const mine = takes
  fault.value = ''
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const [first = [], ...rest] = data
  const asLines = !file && !(await reader().hasHeadings([...first]))
  const lines = asLines ? await reader().rosterLines(text) : null
  const found = lines ? lines.columns : await reader().rosterColumns(first)
  // Written on meanwhile: the later reading counts.
  if (mine !== takes) return
  free.value = asLines
  readText.value = file ? null : text
  const all = lines ? lines.rows : rest.map((cells, i) => ({ line: i + 2, cells }))
  if (all.length === 0) {
    columns.value = null
    fault.value =
      'There are no children in it. Write one to a line: a nickname, the month of birth, allergies.'
    return
  }
  heading.value = lines ? [] : first
  table.value = all.slice(0, 300)
  if (all.length > 300) fault.value = `The first 300 of ${all.length} rows are shown: a roster holds no more.`
  columns.value = found
}
// Read as they are written: no row below is ever of an older text than the one above.
watchDebounced(
  pasted,
  (text) => {
    if (text.trim() !== '') void take(text)
    else if (readText.value !== null) {
      takes += 1
      readText.value = text
      columns.value = null
    }
  },
  { debounce: READ_AFTER_MS },
)
const evaluating = ref(false)
const waiting = computed(
  () => evaluating.value || (readText.value !== null && pasted.value !== readText.value),
)
const rows = computedAsync(
  async () => {
    const { value } = columns
    if (!value) return []
    const lines = table.value.map(({ line, cells }) => ({ line, cells: [...cells] }))
    return reader().readRoster(lines, { ...value }, todayText(), [...settingStore.children])
  },
  [],
  evaluating,
)
const writtenAt = (line: number): string => table.value.find((r) => r.line === line)?.written ?? ''
const good = computed(() => rows.value.filter((r) => r.child !== null))
const bad = computed(() => rows.value.filter((r) => r.child === null))
/** Columns of the file that nothing is taken from: something of a child may stand there. */
const unused = computed(() =>
  heading.value.filter((h, i) => h.trim() !== '' && !Object.values(columns.value ?? {}).includes(i)),
)
const asksAllergies = computed(() => columns.value?.allergies === null)
watch(asksAllergies, () => (noAllergies.value = false))

async function keep(): Promise<void> {
  fault.value = ''
  saving.value = true
  try {
    const { added, changed } = await settingStore.saveRoster(
      good.value.map((r) => ({ child: r.child, ...(r.known && { known: r.known }) })),
    )
    emit('done', `${added} added, ${changed} changed.`)
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <Sheet open wide title="Children from a list" @close="emit('close')">
    <p class="mb-2">
      Only nicknames and birth months are kept, no full names and no days. Nothing is kept before you have
      looked.
    </p>
    <label class="mb-1 block font-semibold"
      >One child to a line
      <textarea
        v-model="pasted"
        class="field mt-1 h-32 font-normal"
        maxlength="60000"
        placeholder="Robin, April 2022, milk allergy, Welsh at home"
      ></textarea>
    </label>
    <label class="btn"
      >Open a CSV file<input type="file" accept=".csv,text/csv,text/plain" class="sr-only" @change="open"
    /></label>
    <Notice v-if="fault" tone="fault" class="mt-3">{{ fault }}</Notice>
    <template v-if="columns">
      <fieldset v-if="!free" class="mt-4">
        <legend class="font-semibold">Which column is what</legend>
        <div class="grid gap-2 sm:grid-cols-4">
          <label v-for="f in ROSTER_FIELDS" :key="f" class="text-sm font-semibold"
            >{{ FIELD_WORDS[f]
            }}<select
              v-model="columns[f]"
              class="field mt-1 font-normal"
              :aria-label="`Column for ${FIELD_WORDS[f]}`"
            >
              <option :value="null">none</option>
              <option v-for="(h, i) in heading" :key="i" :value="i">{{ h || `column ${i + 1}` }}</option>
            </select></label
          >
        </div>
        <p v-if="unused.length > 0" class="mt-1 text-sm">
          Nothing is taken from: <span class="font-semibold">{{ unused.join(', ') }}</span>
        </p>
        <label
          v-if="asksAllergies"
          class="mt-2 flex items-center gap-2 border-l-4 border-paprika pl-3 font-semibold"
          ><input v-model="noAllergies" type="checkbox" class="size-5" />No column says the allergies: I will
          put each child’s in by hand</label
        >
      </fieldset>
      <div
        class="mt-4 max-h-80 overflow-auto"
        tabindex="0"
        role="region"
        aria-label="What each row is taken for"
      >
        <table class="w-full text-sm">
          <thead>
            <tr class="text-left">
              <th scope="col" class="p-1">Line</th>
              <th scope="col" class="p-1">Nickname</th>
              <th scope="col" class="p-1">Born</th>
              <th scope="col" class="p-1">Allergies</th>
              <th scope="col" class="p-1">Other notes</th>
              <th scope="col" class="p-1">Result</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in rows" :key="r.line" class="border-t border-line align-top">
              <td class="numeral p-1">{{ r.line }}</td>
              <th scope="row" class="p-1 text-left">
                {{ r.nickname
                }}<span v-if="writtenAt(r.line)" class="block text-sm font-normal text-soft" translate="no">{{
                  writtenAt(r.line)
                }}</span>
              </th>
              <td class="p-1">{{ r.child ? monthText(r.child.birth) : '' }}</td>
              <td class="p-1">
                {{
                  (r.child?.concerns ?? [])
                    .map((c) => `${allergenName(c.allergen)}: ${LEVEL_WORDS[c.level]}`)
                    .join('; ')
                }}
              </td>
              <td class="p-1">
                {{
                  r.child
                    ? [
                        ...r.child.diets,
                        ...r.child.languages.map((l) => languageName(l) ?? l),
                        ...r.child.needs,
                      ].join(', ')
                    : ''
                }}
              </td>
              <td class="p-1">
                <span v-if="r.fault" class="font-semibold text-paprika">{{ r.fault }}: not taken</span>
                <span v-else>{{ r.known ? 'changes the one you have' : 'new' }}</span>
                <span v-for="n in r.notes" :key="n" class="block text-soft">{{ n }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="bad.length > 0" role="status" class="mt-2 font-semibold">
        {{ countText(bad.length, 'row cannot', 'rows cannot') }} be taken. Put it right
        {{ free ? 'above' : 'in the file and open it again' }}, or go on without.
      </p>
      <button
        type="button"
        class="btn btn-main mt-3"
        :disabled="saving || waiting || good.length === 0 || (asksAllergies && !noAllergies)"
        @click="keep"
      >
        Add {{ countText(good.length, 'child', 'children') }}
      </button>
    </template>
  </Sheet>
</template>
