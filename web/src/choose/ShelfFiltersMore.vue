<script setup lang="ts">
/** What is asked of the shelf more seldom: an allergen, a technique, time, cost, what is to be bought. */
import { computed } from 'vue'
import { readMoney } from '@lea/core/amount'
import type { ShelfFilter } from '@lea/core/choose'
import { allergenName } from '@lea/core/food'
import { COMMON_ALLERGENS } from '@lea/core/recipe'
import type { RecipeRow } from '../stores/setting'

const props = defineProps<{ rows: readonly RecipeRow[]; withGroup: boolean }>()
const filter = defineModel<ShelfFilter>({ required: true })
const techniques = computed(() =>
  [...new Map(props.rows.flatMap((r) => r.facts?.techniques ?? []).map((t) => [t.id, t])).values()].sort(
    (a, b) => a.name.localeCompare(b.name),
  ),
)
/** A figure that is no longer wanted is gone; one that cannot be read is none. */
const most = (key: 'minutes' | 'cost' | 'toBuy', text: string): void => {
  const { [key]: _, ...rest } = filter.value.most ?? {}
  const value = figure(key, text)
  set({ most: value === undefined ? rest : { ...rest, [key]: value } })
}
function figure(key: 'minutes' | 'cost' | 'toBuy', text: string): number | undefined {
  if (text.trim() === '') return undefined
  if (key !== 'cost') return Number.isFinite(Number(text)) ? Number(text) : undefined
  try {
    return readMoney(text)
  } catch {
    return undefined
  }
}
const set = (more: ShelfFilter): void => {
  filter.value = { ...filter.value, ...more }
}
const textOf = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="mt-2 flex flex-wrap items-end gap-3">
    <label class="block font-semibold"
      >Lists none of<select
        aria-label="Lists none of"
        class="field mt-1 block font-normal"
        :value="filter.without?.[0] ?? ''"
        @change="set({ without: textOf($event) ? [textOf($event)] : [] })"
      >
        <option value="">anything goes</option>
        <option v-for="a in COMMON_ALLERGENS" :key="a" :value="a">{{ allergenName(a) }}</option>
      </select></label
    >
    <label class="block font-semibold"
      >With<select
        aria-label="With the technique"
        class="field mt-1 block font-normal"
        :value="filter.technique ?? ''"
        @change="set({ technique: textOf($event) })"
      >
        <option value="">any technique</option>
        <option v-for="t in techniques" :key="t.id" :value="t.id">{{ t.name }}</option>
      </select></label
    >
    <template v-if="withGroup">
      <label class="block font-semibold"
        >At most, minutes<input
          class="field mt-1 block !w-24 font-normal"
          inputmode="numeric"
          @input="most('minutes', textOf($event))"
      /></label>
      <label class="block font-semibold"
        >Cost a child, at most<input
          class="field mt-1 block !w-24 font-normal"
          placeholder="85p"
          aria-label="At most, a child"
          @input="most('cost', textOf($event))"
      /></label>
      <label class="block font-semibold"
        >Foods to buy<input
          class="field mt-1 block !w-24 font-normal"
          inputmode="numeric"
          aria-label="At most so many foods to buy"
          @input="most('toBuy', textOf($event))"
      /></label>
    </template>
    <p v-if="filter.without?.length" class="w-full text-soft">
      By what the typical packet lists; a packet in hand may differ, and recipes with a food that Lea does not
      know are left out.
    </p>
  </div>
</template>
