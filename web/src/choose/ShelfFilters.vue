<script setup lang="ts">
/** The shelf narrowed down. */
import { type Component, computed, defineAsyncComponent, ref } from 'vue'
import { type ShelfFilter, themesOn } from '@lea/core/choose'
import { HEATS, type Heat, heatWord, themeWords } from '@lea/core/recipe'
import type { RecipeRow } from '../stores/setting'

/** Its lists come when somebody opens them. */
const ShelfFiltersMore = defineAsyncComponent(() => import('./ShelfFiltersMore.vue') as Promise<Component>)
const props = defineProps<{ rows: readonly RecipeRow[]; withGroup: boolean }>()
const filter = defineModel<ShelfFilter>({ required: true })
const themes = computed(() => themesOn(props.rows.map((r) => r.recipe)))
const opened = ref(false)
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
    <details class="w-full text-sm" @toggle="opened = true">
      <summary class="cursor-pointer font-semibold">
        More: without an allergen, by technique, time, cost
      </summary>
      <ShelfFiltersMore v-if="opened" v-model="filter" :rows="rows" :with-group="withGroup" />
    </details>
  </form>
</template>
