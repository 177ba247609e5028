<script setup lang="ts">
/** Foods that Lea knows and the setting's own: what each holds in a typical recipe, and how it keeps. */
import { computed, ref } from 'vue'
import { type FoodFact, allergenName, keepsHow } from '@lea/core/food'
import Notice from '../parts/Notice.vue'
import FoodForm from '../parts/foods/FoodForm.vue'
import { countryText } from '../shared/country'
import { useFoods } from '../parts/useFoods'
import { useSettingStore } from '../stores/setting'

const settingStore = useSettingStore()
const foods = useFoods()
const search = ref('')
const adding = ref(false)
const found = computed(() => {
  const words = search.value.trim().toLowerCase()
  const all = [...foods.value.all].sort((a, b) => a.name.localeCompare(b.name))
  return words === ''
    ? all
    : all.filter((f) =>
        [f.name, f.plural ?? '', ...f.aliases].some((n) =>
          [n, countryText(n)].some((t) => t.toLowerCase().includes(words)),
        ),
      )
})
const holds = (f: FoodFact): string => [...f.contains, ...f.extras].map(allergenName).join(', ')
const country = computed(() => settingStore.setting?.rules.country ?? 'uk')
/** How it keeps, and once it is open or cooked, where that differs. */
const keeps = (f: FoodFact): { when: string; how: string }[] =>
  (['closed', 'opened', 'cooked'] as const)
    .map((when) => ({ when, how: keepsHow(f, when, country.value) }))
    .filter((k) => k.how !== '')
const may = (f: FoodFact): string => f.mayContain.map(allergenName).join(', ')
</script>

<template>
  <section aria-labelledby="foods">
    <div class="mb-2 flex flex-wrap items-end gap-3">
      <h2 id="foods" class="text-xl">Foods: {{ found.length }}</h2>
      <label class="ml-auto font-semibold"
        >Find <input v-model="search" type="search" class="field !inline-block !w-52 font-normal"
      /></label>
      <button type="button" class="btn" @click="adding = true">Add a food</button>
    </div>
    <p class="mb-2 text-sm text-soft">Typical recipes, from memory. The packet in hand always comes first.</p>
    <Notice v-if="found.length === 0"
      >Lea does not know that food. In a recipe it will be asked about for every concern; or add it
      here.</Notice
    >
    <ul class="patch max-h-[70vh] overflow-y-auto" tabindex="0" aria-label="Foods">
      <li v-for="f in found" :key="f.id" class="border-b border-line px-3 py-1.5">
        <span class="font-semibold">{{ f.name }}</span>
        <span v-if="f.id.startsWith('own:')" class="ml-1 rounded-sm border border-ink px-1 text-xs">own</span>
        <span v-if="f.compound" class="ml-1 rounded-sm border border-line px-1 text-xs"
          >depends on the packet</span
        >
        <span class="block text-sm">
          <template v-if="holds(f)">holds {{ holds(f) }}</template
          ><template v-if="holds(f) && may(f)">; </template
          ><template v-if="may(f)">may hold {{ may(f) }}</template
          ><span v-if="!holds(f) && !may(f)" class="text-soft"
            >nothing of the list found in the typical recipe</span
          >
        </span>
        <details v-if="keeps(f).length > 0" class="text-sm text-soft">
          <summary class="cursor-pointer">how it keeps</summary>
          <p v-for="k in keeps(f)" :key="k.when">{{ k.when }}: {{ k.how }}</p>
        </details>
      </li>
    </ul>
    <FoodForm v-if="adding" @kept="adding = false" @close="adding = false" />
  </section>
</template>
