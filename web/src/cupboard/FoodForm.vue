<script setup lang="ts">
/** A food of the setting's own: what its packet lists, in allergen words. */
import { computedAsync } from '@vueuse/core'
import { ref } from 'vue'
import { ALLERGENS, type FoodFact, type Verdict, allergenName } from '@lea/core/food'
import { reader } from '../workers/reader'
import Sheet from '../parts/Sheet.vue'

const emit = defineEmits<{ add: [food: FoodFact]; close: [] }>()
const name = ref('')
const compound = ref(true)
const found = ref<Record<string, '' | 'contains' | 'may'>>({})
const diet = ref<Record<string, Verdict>>({
  vegetarian: 'check',
  vegan: 'check',
  halal: 'check',
  'no-pork': 'check',
})
const fault = ref('')
/** What the name says counts, whatever is chosen below. */
const said = computedAsync(async () => {
  const { contains, extras } = await reader().nameHolds(name.value)
  return [...contains, ...extras].map(allergenName).join(', ')
}, '')
const list = ALLERGENS.filter((a) => (a.uk14 || a.us9) && a.kind === 'regulated')

function add(): void {
  const slug = name.value
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
  if (!slug) {
    fault.value = 'Name is missing: write what stands on the packet.'
    return
  }
  const of = (what: string): string[] => list.filter((a) => found.value[a.id] === what).map((a) => a.id)
  emit('add', {
    id: `own:${slug}`,
    name: name.value.trim(),
    aliases: [],
    contains: of('contains'),
    extras: [],
    mayContain: of('may'),
    compound: compound.value,
    diets: { ...diet.value },
    confidence: 'own',
    source: 'entered by this setting',
  })
}
</script>

<template>
  <Sheet open wide title="A food" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="add">
      <label class="font-semibold"
        >Name<input v-model="name" class="field mt-1 font-normal" maxlength="60"
      /></label>
      <p v-if="said" class="text-sm" aria-live="polite">Its name says: {{ said }}. That counts as listed.</p>
      <label class="flex items-center gap-2"
        ><input v-model="compound" type="checkbox" class="size-5" /> Made of several ingredients: its packet
        is read for each session</label
      >
      <fieldset>
        <legend class="font-semibold">What it holds</legend>
        <div class="grid max-h-72 gap-x-5 overflow-y-auto sm:grid-cols-2" tabindex="0">
          <label v-for="a in list" :key="a.id" class="flex items-center gap-2 border-b border-line py-1"
            ><span class="flex-1">{{ allergenName(a.id) }}</span>
            <select v-model="found[a.id]" class="rounded-sm border border-line bg-white p-1">
              <option :value="undefined">not listed</option>
              <option value="contains">lists it</option>
              <option value="may">may contain</option>
            </select></label
          >
        </div>
      </fieldset>
      <fieldset class="flex flex-wrap gap-4">
        <legend class="font-semibold">Suits</legend>
        <label v-for="(_, d) in diet" :key="d"
          >{{ d }}
          <select v-model="diet[d]" class="rounded-sm border border-line bg-white p-1">
            <option value="yes">yes</option>
            <option value="no">no</option>
            <option value="check">depends</option>
          </select></label
        >
      </fieldset>
      <p v-if="fault" role="alert" class="font-semibold text-paprika">{{ fault }}</p>
      <button type="submit" class="btn btn-main justify-self-start">Keep it</button>
    </form>
  </Sheet>
</template>
