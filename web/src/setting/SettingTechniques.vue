<script setup lang="ts">
/** Ages and tools of techniques that the setting moves, and those that everybody should come to this week. */
import { computed, ref, watch } from 'vue'
import { type HouseTechnique, TECHNIQUES, ageText, agesOf, rungText, techniqueOf } from '@lea/core/craft'
import type { HouseRules } from '@lea/core/plan'

const props = defineProps<{ rules: HouseRules; disabled: boolean }>()
const emit = defineEmits<{ save: [rules: HouseRules] }>()
const chosen = ref('snip-scissors')
const from = ref<number | ''>('')
const oversee = ref<number | ''>('')
const tools = ref<Record<string, number>>({})
const moved = computed(() => props.rules.techniques ?? [])
const week = computed(() => props.rules.week ?? [])
const technique = computed(() => techniqueOf(chosen.value))
const usual = computed(() => (technique.value ? agesOf(technique.value) : { from: null, oversee: null }))
const sorted = [...TECHNIQUES].sort((a, b) => a.name.localeCompare(b.name))
const nameOf = (id: string): string => techniqueOf(id)?.name ?? id

// By content: what is being typed outlives a reload of the setting that changes nothing.
watch(
  [chosen, () => JSON.stringify(moved.value)],
  () => {
    const own = moved.value.find((m) => m.technique === chosen.value)
    from.value = own?.from ?? usual.value.from ?? ''
    oversee.value = own?.oversee ?? usual.value.oversee ?? ''
    tools.value = Object.fromEntries(
      (technique.value?.ladder ?? []).map((r) => [
        r.id,
        own?.tools?.find((t) => t.tool === r.id || t.tool === r.was)?.from ?? r.fromMonths,
      ]),
    )
  },
  { immediate: true },
)

function save(): void {
  const ladder = technique.value?.ladder ?? []
  const other = ladder
    .filter((r) => tools.value[r.id] !== r.fromMonths)
    .map((r) => ({ tool: r.id, from: tools.value[r.id] ?? r.fromMonths }))
  const next: HouseTechnique = {
    technique: chosen.value,
    ...(from.value !== '' && from.value !== usual.value.from && { from: from.value }),
    ...(oversee.value !== '' && oversee.value !== usual.value.oversee && { oversee: oversee.value }),
    ...(other.length > 0 && { tools: other }),
  }
  const rest = moved.value.filter((m) => m.technique !== chosen.value)
  const same = Object.keys(next).length === 1
  emit('save', { ...props.rules, techniques: same ? rest : [...rest, next] })
}
const back = (id: string): void =>
  emit('save', { ...props.rules, techniques: moved.value.filter((m) => m.technique !== id) })
const saysOf = (m: HouseTechnique): string =>
  [
    ...(m.from ? [`from ${ageText(m.from)}`] : []),
    ...(m.oversee ? [`overseen from ${ageText(m.oversee)}`] : []),
    ...(m.tools ?? []).map((t) => `${rungText(m.technique, t.tool)} from ${ageText(t.from)}`),
  ].join('; ')
function toggleWeek(id: string): void {
  const next = week.value.includes(id) ? week.value.filter((w) => w !== id) : [...week.value, id]
  emit('save', { ...props.rules, week: next })
}
const usualText = computed(() => {
  const { from: begins, oversee: alone } = usual.value
  if (begins === null) return 'In the catalogue an adult always does this.'
  const beside = `In the catalogue from ${ageText(begins)}`
  return alone === null
    ? `${beside}, always with an adult beside.`
    : `${beside}, overseen from ${ageText(alone)}.`
})
</script>

<template>
  <section aria-label="Ages of techniques">
    <p class="mb-2 text-sm text-soft">
      Lea’s ages are planning figures (common practice, from memory); you know your children. Heat never comes
      sooner than in the catalogue; for a blade that comes sooner, plan one adult for each child.
    </p>
    <ul v-if="moved.length > 0" class="mb-2">
      <li
        v-for="m in moved"
        :key="m.technique"
        class="flex flex-wrap items-center gap-3 border-t border-line py-1.5"
      >
        <span class="font-semibold">{{ nameOf(m.technique) }}</span>
        <span class="text-sm text-soft">{{ saysOf(m) }}</span>
        <button
          v-if="!disabled"
          type="button"
          class="btn ml-auto"
          :aria-label="`${nameOf(m.technique)} as in the catalogue`"
          @click="back(m.technique)"
        >
          As in the catalogue
        </button>
      </li>
    </ul>
    <form @submit.prevent="save">
      <fieldset class="grid items-end gap-2 sm:grid-cols-3" :disabled="disabled">
        <label class="text-sm font-semibold"
          >Technique<select v-model="chosen" class="field mt-1 font-normal">
            <option v-for="t in sorted" :key="t.id" :value="t.id">{{ t.name }}</option>
          </select></label
        >
        <label class="text-sm font-semibold"
          >Children from, months<input
            v-model.number="from"
            type="number"
            min="12"
            max="216"
            class="field mt-1 font-normal"
            :disabled="usual.from === null"
        /></label>
        <label class="text-sm font-semibold"
          >An adult watches from, months<input
            v-model.number="oversee"
            type="number"
            min="12"
            max="216"
            class="field mt-1 font-normal"
            :disabled="usual.oversee === null"
        /></label>
        <p class="text-sm text-soft sm:col-span-3">{{ usualText }}</p>
        <label v-for="r in technique?.ladder ?? []" :key="r.id" class="text-sm sm:col-span-3"
          ><span class="flex items-center gap-2"
            ><span class="flex-1">{{ r.says }}, from months</span
            ><input v-model.number="tools[r.id]" type="number" min="12" max="216" class="field !w-24" /></span
        ></label>
        <button type="submit" class="btn justify-self-start">Save these ages</button>
      </fieldset>
    </form>
    <h3 class="mt-4 text-lg">This week everybody should come to</h3>
    <p class="text-sm">
      {{ week.length > 0 ? week.map(nameOf).join(', ') : 'Nothing in particular.' }}
      <span class="text-soft">Turns go first to those who have not come to it in the last seven days.</span>
    </p>
    <details class="mt-1">
      <summary class="cursor-pointer text-sm font-semibold">choose</summary>
      <fieldset class="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm" :disabled="disabled">
        <legend class="sr-only">Techniques of the week</legend>
        <label
          v-for="t in sorted.filter((x) => agesOf(x).from !== null)"
          :key="t.id"
          class="flex items-center gap-1"
          ><input
            type="checkbox"
            class="size-5"
            :checked="week.includes(t.id)"
            @change="toggleWeek(t.id)"
          />{{ t.name }}</label
        >
      </fieldset>
    </details>
  </section>
</template>
