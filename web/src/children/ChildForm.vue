<script setup lang="ts">
/** A child: nickname, birth month, allergies with their level, diets, languages, hand and needs. */
import { Trash2 } from '@lucide/vue'
import { useFieldArray, useForm } from 'vee-validate'
import { computedAsync } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef } from 'vue'
import { TECHNIQUES, agesOf } from '@lea/core/craft'
import {
  ALLERGENS,
  type Concern,
  DIETS,
  LEVELS,
  LEVEL_WORDS,
  allergenFromField,
  allergenInField,
  dietName,
} from '@lea/core/food'
import { LANGUAGES, languageName } from '@lea/core/learn'
import { NEEDS } from '@lea/core/plan'
import type { StoredChild } from '@lea/core/setting'
import { ApiFault, inWords } from '../shared/api'
import CardConflict from './CardConflict.vue'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import TextField from '../parts/TextField.vue'
import { useSettingStore } from '../stores/setting'
import { todayText } from '../shared/dates'
import { formSchema, reader } from '../workers/reader'

type ChildValues = Omit<StoredChild, 'id'>

const props = defineProps<{ child: StoredChild | null }>()
const emit = defineEmits<{ close: [] }>()
const settingStore = useSettingStore()
const fault = ref('')
const ownDiets = computed(() => settingStore.setting?.rules.diets ?? [])
const allDiets = computed(() => [...DIETS, ...ownDiets.value.map((d) => d.id)])
const { handleSubmit, isSubmitting, defineField, errors } = useForm({
  validationSchema: formSchema<ChildValues>('child', todayText()),
  initialValues: {
    nickname: props.child?.nickname ?? '',
    birth: props.child?.birth ?? '',
    concerns: (props.child?.concerns ?? []).map((c) => ({ ...c, allergen: allergenInField(c.allergen) })),
    diets: [...(props.child?.diets ?? [])],
    languages: [...(props.child?.languages ?? [])],
    hand: props.child?.hand,
    needs: [...(props.child?.needs ?? [])],
    carePlan: props.child?.carePlan ?? '',
    limits: [...(props.child?.limits ?? [])],
    mat: props.child?.mat,
  },
})
const [diets] = defineField('diets')
const [languages] = defineField('languages')
/** Lea's languages, those the setting has words of, and the child's own. */
const offered = computed(() => [
  ...new Set([
    ...Object.keys(LANGUAGES),
    ...(settingStore.setting?.words ?? []).flatMap((w) => w.home.map((h) => h.language)),
    ...languages.value,
  ]),
])
const languageFault = ref('')
function addLanguage(event: Event): void {
  const input = event.target as HTMLInputElement
  const code = input.value.trim()
  languageFault.value = code === '' || languageName(code) ? '' : `${code} is no language code Lea knows`
  if (code === '' || languageFault.value) return
  languages.value = [...new Set([...languages.value, code])]
  input.value = ''
}
const [hand] = defineField('hand')
const [needs] = defineField('needs')
const [carePlan] = defineField('carePlan')
const [limits] = defineField('limits')
const techniques = TECHNIQUES.filter((t) => agesOf(t).from !== null).sort((a, b) =>
  a.name.localeCompare(b.name),
)
/** What is wrong with one row, or with the list where it is of no row. */
const faultOf = (row?: number): string =>
  Object.entries(errors.value).find(([key]) =>
    row === undefined ? key === 'concerns' : key.startsWith(`concerns[${row}]`),
  )?.[1] ?? ''
const concernRows = useFieldArray<Concern>('concerns')
const { fields } = concernRows
/** What Lea takes the words of each for. */
const meanings = computedAsync(() => reader().concernTexts(fields.value.map((f) => f.value.allergen)), [])
const NEED_WORDS = {
  wheelchair: 'uses a wheelchair',
  'limited-grip': 'limited grip',
  'no-wet-food': 'does not touch wet food',
}

/** The version of the card that was seen: first the one that was opened, then the one that was shown beside what was written. */
const version = ref(props.child?.version)
/** The card as somebody else saved it meanwhile, and what was to be saved. */
const conflict = shallowRef<{ theirs: StoredChild; mine: ChildValues } | null>(null)
const form = ref<HTMLFormElement | null>(null)
const save = handleSubmit(
  (values) =>
    store({
      ...values,
      concerns: values.concerns.map((c) => ({ ...c, allergen: allergenFromField(c.allergen) })),
    }),
  () => void nextTick(() => form.value?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()),
)
async function store(values: ChildValues): Promise<void> {
  fault.value = ''
  conflict.value = null
  try {
    await settingStore.saveChild({ ...values, version: version.value }, props.child?.id)
    emit('close')
  } catch (e) {
    if (e instanceof ApiFault && e.status === 409 && e.field === 'version')
      conflict.value = { theirs: e.more['now'] as StoredChild, mine: values }
    else fault.value = inWords(e)
  }
}
async function saveMine(): Promise<void> {
  if (!conflict.value) return
  version.value = conflict.value.theirs.version
  await store(conflict.value.mine)
}
async function takeTheirs(): Promise<void> {
  await settingStore.loadChildren()
  emit('close')
}
</script>

<template>
  <Sheet open wide :title="child ? child.nickname : 'A child'" @close="emit('close')">
    <form ref="form" class="grid gap-4" novalidate @submit="save">
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField name="nickname" label="Nickname" hint="as the group calls the child" />
        <TextField name="birth" label="Birth month" type="month" hint="such as 2022-04; no day is kept" />
      </div>
      <fieldset>
        <legend class="font-semibold">Allergies and intolerances</legend>
        <datalist id="allergens">
          <option v-for="a in ALLERGENS" :key="a.id" :value="allergenInField(a.id)">{{ a.name }}</option>
        </datalist>
        <div
          v-for="(f, i) in fields"
          :key="f.key"
          class="mt-2 grid items-end gap-2 sm:grid-cols-[1fr_2fr_auto]"
        >
          <label class="text-sm"
            >To what<input
              v-model="f.value.allergen"
              class="field mt-1"
              list="allergens"
              placeholder="milk, or free words"
              maxlength="60"
              :aria-invalid="faultOf(i) ? 'true' : undefined"
              :aria-describedby="faultOf(i) ? `allergy-fault-${i}` : undefined"
          /></label>
          <label class="text-sm"
            >Level, as the family or clinic says<select v-model="f.value.level" class="field mt-1">
              <option v-for="l in LEVELS" :key="l" :value="l">{{ LEVEL_WORDS[l] }}</option>
            </select></label
          >
          <button
            type="button"
            class="btn"
            :aria-label="`Remove allergy ${i + 1}`"
            @click="concernRows.remove(i)"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
          <p
            v-if="faultOf(i)"
            :id="`allergy-fault-${i}`"
            class="text-sm font-semibold text-paprika sm:col-span-3"
          >
            {{ faultOf(i) }}
          </p>
          <p v-else-if="meanings[i]" class="text-sm sm:col-span-3" aria-live="polite">{{ meanings[i] }}</p>
        </div>
        <p v-if="faultOf()" role="alert" class="text-sm font-semibold text-paprika">{{ faultOf() }}</p>
        <button
          type="button"
          class="btn mt-2"
          @click="concernRows.push({ allergen: '', level: 'allergy-strict' })"
        >
          Add an allergy
        </button>
      </fieldset>
      <div class="grid gap-4 sm:grid-cols-3">
        <fieldset>
          <legend class="font-semibold">Diet</legend>
          <label v-for="d in allDiets" :key="d" class="flex items-center gap-2"
            ><input v-model="diets" type="checkbox" :value="d" class="size-5" />{{
              dietName(d, ownDiets)
            }}</label
          >
        </fieldset>
        <fieldset>
          <legend class="font-semibold">Spoken at home</legend>
          <label v-for="code in offered" :key="code" class="flex items-center gap-2"
            ><input v-model="languages" type="checkbox" :value="code" class="size-5" />{{
              languageName(code)
            }}</label
          >
          <label class="mt-1 block text-sm"
            >Another, as a code<input
              class="field mt-1"
              maxlength="20"
              placeholder="so for Somali"
              @change="addLanguage"
          /></label>
          <p v-if="languageFault || errors.languages" role="alert" class="text-sm font-semibold text-paprika">
            {{ languageFault || errors.languages }}
          </p>
        </fieldset>
        <fieldset>
          <legend class="font-semibold">Hands</legend>
          <label class="block"
            ><span class="sr-only">Hand</span>
            <select v-model="hand" class="field">
              <option :value="undefined">either hand</option>
              <option value="left">left-handed</option>
              <option value="right">right-handed</option>
            </select></label
          >
          <label v-for="n in NEEDS" :key="n" class="mt-1 flex items-center gap-2"
            ><input v-model="needs" type="checkbox" :value="n" class="size-5" />{{ NEED_WORDS[n] }}</label
          >
        </fieldset>
      </div>
      <label class="font-semibold"
        >Care plan, what an adult must know at once<textarea
          v-model="carePlan"
          class="field mt-1 font-normal"
          rows="2"
          maxlength="600"
        />
      </label>
      <details>
        <summary class="cursor-pointer font-semibold">
          Left out by the child’s own plan{{ (limits ?? []).length > 0 ? `: ${(limits ?? []).length}` : '' }}
        </summary>
        <p class="text-sm text-soft">Whatever the age: these the child does not do here.</p>
        <div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
          <label v-for="t in techniques" :key="t.id" class="flex items-center gap-1 text-sm"
            ><input v-model="limits" type="checkbox" :value="t.id" class="size-5" />{{ t.name }}</label
          >
        </div>
      </details>
      <CardConflict
        v-if="conflict"
        :theirs="conflict.theirs"
        :mine="conflict.mine"
        @theirs="takeTheirs"
        @mine="saveMine"
      />
      <Notice v-if="fault" tone="fault">{{ fault }} Nothing you wrote is lost.</Notice>
      <button type="submit" class="btn btn-main justify-self-start" :disabled="isSubmitting">Save</button>
    </form>
  </Sheet>
</template>
