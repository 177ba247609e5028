<script setup lang="ts">
/** The shelf narrowed down. */
import { computed } from 'vue'
import { readMoney } from '@lea/core/amount'
import { type ShelfFilter, themesOn } from '@lea/core/choose'
import { techniqueOf } from '@lea/core/craft'
import { ALLERGENS, allergenName } from '@lea/core/food'
import { HEATS, type Heat, type Recipe, heatWord, techniquesOf, themeWords } from '@lea/core/recipe'

const props = defineProps<{ recipes: readonly Recipe[]; withGroup: boolean }>()
const filter = defineModel<ShelfFilter>({ required: true })
const themes = computed(() => themesOn(props.recipes))
const common = ALLERGENS.filter((a) => (a.uk14 || a.us9) && a.parent === null).map((a) => a.id)
const techniques = computed(() =>
  [...new Set(props.recipes.flatMap(techniquesOf))]
    .map((id) => ({ id, name: techniqueOf(id)?.name ?? id }))
    .sort((a, b) => a.name.localeCompare(b.name)),
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
const isOn = (event: Event): boolean => (event.target as HTMLInputElement).checked
</script>

<template>
  <form role="search" class="mb-4 flex flex-wrap items-end gap-3" @submit.prevent>
    <label class="min-w-52 flex-1 text-sm font-semibold"
      >Find<input
        class="field mt-1 font-normal"
        type="search"
        placeholder="soup, pear, winter …"
        :value="filter.words ?? ''"
        @input="set({ words: textOf($event) })"
    /></label>
    <label class="text-sm font-semibold"
      >Theme<select
        aria-label="Theme"
        class="field mt-1 font-normal"
        :value="filter.theme ?? ''"
        @change="set({ theme: textOf($event) })"
      >
        <option value="">any</option>
        <option v-for="t in themes" :key="t.name" :value="t.name">{{ themeWords(t) }} ({{ t.n }})</option>
      </select></label
    >
    <label class="text-sm font-semibold"
      >Heat<select
        aria-label="Heat"
        class="field mt-1 font-normal"
        :value="filter.heat ?? ''"
        @change="
          (e: Event) => {
            const { heat: _, ...rest } = filter
            filter = textOf(e) ? { ...rest, heat: textOf(e) as Heat } : rest
          }
        "
      >
        <option value="">any</option>
        <option v-for="h in HEATS" :key="h" :value="h">{{ heatWord(h) }}</option>
      </select></label
    >
    <fieldset class="flex flex-wrap gap-x-4 gap-y-1 pb-2 text-sm">
      <legend class="sr-only">Only those that</legend>
      <label class="flex items-center gap-1.5"
        ><input
          type="checkbox"
          class="size-5"
          :checked="filter.oneSitting ?? false"
          @change="set({ oneSitting: isOn($event) })"
        />one sitting</label
      >
      <template v-if="withGroup">
        <label class="flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="size-5"
            :checked="filter.fits ?? false"
            @change="set({ fits: isOn($event) })"
          />fits the group</label
        >
        <label class="flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="size-5"
            :checked="filter.notLately ?? false"
            @change="set({ notLately: isOn($event) })"
          />not made lately</label
        >
      </template>
    </fieldset>
    <details class="w-full text-sm">
      <summary class="cursor-pointer font-semibold">
        More: without an allergen, by technique, time, cost
      </summary>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <label class="block font-semibold"
          >Lists none of<select
            aria-label="Lists none of"
            class="field mt-1 block font-normal"
            :value="filter.without?.[0] ?? ''"
            @change="set({ without: textOf($event) ? [textOf($event)] : [] })"
          >
            <option value="">anything goes</option>
            <option v-for="a in common" :key="a" :value="a">{{ allergenName(a) }}</option>
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
          By what the typical packet lists; a packet in hand may differ, and recipes with a food that Lea does
          not know are left out.
        </p>
      </div>
    </details>
  </form>
</template>
