<script setup lang="ts">
/** How many children to an adult: the country's published numbers, or the setting's own. */
import { Plus, Trash2 } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { ratioSource, type RatioRow, ageText, ratioRows } from '@lea/core/craft'
import type { HouseRules } from '@lea/core/plan'

const props = defineProps<{ rules: HouseRules; disabled: boolean }>()
const emit = defineEmits<{ save: [rules: HouseRules] }>()
const published = computed(() => ratioRows(props.rules))
const own = computed(() => (props.rules.ratios ?? []).length > 0)
const rows = ref<RatioRow[]>([])
// By content: what is being typed outlives a reload of the setting that changes nothing.
watch(
  () => JSON.stringify(own.value ? props.rules.ratios : published.value),
  (text) => (rows.value = JSON.parse(text) as RatioRow[]),
  { immediate: true },
)
const ageOf = (row: RatioRow, i: number): string => {
  const from = rows.value[i - 1]?.below ?? 0
  return row.below === null ? `from ${ageText(from)}` : `under ${ageText(row.below)}`
}
const save = (): void => emit('save', { ...props.rules, ratios: rows.value })
const back = (): void => emit('save', { ...props.rules, ratios: [] })
function split(i: number): void {
  const row = rows.value[i]
  const before = rows.value[i - 1]?.below ?? 0
  if (row) rows.value.splice(i, 0, { below: before + 12, children: row.children })
}
</script>

<template>
  <section aria-label="Children to an adult">
    <p class="mb-2 text-sm text-soft">
      {{ own ? 'Your own numbers.' : `Published least: ${ratioSource(rules)}.` }} Your local rule comes first:
      write it here where it is another. Counted in nurseries; in a library or at home one adult at least.
    </p>
    <form @submit.prevent="save">
      <fieldset :disabled="disabled">
        <div
          v-for="(row, i) in rows"
          :key="i"
          class="grid grid-cols-2 items-end gap-2 border-t border-line py-1.5 sm:grid-cols-[1fr_6rem_6rem_6rem]"
        >
          <span class="pb-2 font-semibold">{{ ageOf(row, i) }}</span>
          <label v-if="row.below !== null" class="block text-sm"
            >Under, months<input
              v-model.number="row.below"
              type="number"
              min="1"
              max="216"
              class="field mt-1"
          /></label>
          <span v-else aria-hidden="true" />
          <label class="block text-sm"
            >Children<span class="sr-only"> to one adult, {{ ageOf(row, i) }}</span
            ><input v-model.number="row.children" type="number" min="1" max="40" class="field mt-1"
          /></label>
          <span class="flex gap-2">
            <button
              type="button"
              class="btn !px-2"
              :aria-label="`An age more before row ${i + 1}`"
              title="an age more"
              @click="split(i)"
            >
              <Plus class="size-4" aria-hidden="true" />
            </button>
            <button
              v-if="row.below !== null"
              type="button"
              class="btn !px-2"
              :aria-label="`Remove row ${i + 1}`"
              @click="rows.splice(i, 1)"
            >
              <Trash2 class="size-4" aria-hidden="true" />
            </button>
          </span>
        </div>
        <span class="mt-2 flex gap-2">
          <button type="submit" class="btn">Save these numbers</button>
          <button v-if="own" type="button" class="btn" @click="back">Back to the published</button>
        </span>
      </fieldset>
    </form>
  </section>
</template>
