<script setup lang="ts">
/** What one batch makes: pieces, on trays, in a tin, mL of batter; so that it can be scaled by any of them. */
import { computed } from 'vue'
import type { Tin } from '@lea/core/amount'
import type { Recipe } from '@lea/core/recipe'

const recipe = defineModel<Recipe>({ required: true })
type Shape = Tin['shape'] | 'none'
const set = (more: Partial<Recipe>): void => {
  recipe.value = { ...recipe.value, ...more }
}
const what = computed({
  get: () => recipe.value.pieces?.what ?? '',
  set: (v) => {
    const { pieces, ...rest } = recipe.value
    recipe.value =
      v.trim() === '' ? rest : { ...rest, pieces: { ...pieces, n: pieces?.n ?? rest.serves, what: v } }
  },
})
const shape = computed({
  get: (): Shape => recipe.value.tin?.shape ?? 'none',
  set: (v: Shape) => {
    const { tin, ...rest } = recipe.value
    recipe.value = v === 'none' ? rest : { ...rest, tin: { shape: v, unit: tin?.unit ?? 'cm', ...START[v] } }
  },
})
const START = { round: { d: '20' }, square: { s: '20' }, rect: { a: '30', b: '20' } } as const
const SIDES = { round: ['d'], square: ['s'], rect: ['a', 'b'] } as const
const WORDS = { d: 'Across', s: 'Side', a: 'Long side', b: 'Short side' } as const
const side = (key: 'd' | 's' | 'a' | 'b', value: string): void => {
  if (recipe.value.tin) set({ tin: { ...recipe.value.tin, [key]: value } })
}
const number = (text: string): number | undefined => (text.trim() === '' ? undefined : Number(text))
</script>

<template>
  <div class="grid items-end gap-3 sm:col-span-6 sm:grid-cols-6">
    <label class="font-semibold sm:col-span-2"
      >It makes (pieces)<input
        v-model.lazy="what"
        class="field mt-1 font-normal"
        placeholder="squares"
        maxlength="30"
    /></label>
    <template v-if="recipe.pieces">
      <label class="font-semibold"
        >How many<input
          class="field mt-1 font-normal"
          inputmode="numeric"
          :value="recipe.pieces.n"
          @change="
            set({
              pieces: {
                ...recipe.pieces,
                n: number(($event.target as HTMLInputElement).value) ?? recipe.serves,
              },
            })
          "
      /></label>
      <label class="font-semibold"
        >On one tray<input
          class="field mt-1 font-normal"
          inputmode="numeric"
          placeholder="no tray"
          :value="recipe.pieces.perTray ?? ''"
          @change="
            set({ pieces: { ...recipe.pieces, perTray: number(($event.target as HTMLInputElement).value) } })
          "
      /></label>
    </template>
    <label class="font-semibold"
      >Tin<select v-model="shape" class="field mt-1 font-normal">
        <option value="none">none</option>
        <option value="round">round</option>
        <option value="square">square</option>
        <option value="rect">oblong</option>
      </select></label
    >
    <template v-if="recipe.tin">
      <label v-for="key in SIDES[recipe.tin.shape]" :key="key" class="font-semibold"
        >{{ WORDS[key] }}, cm<input
          class="field mt-1 font-normal"
          inputmode="decimal"
          :value="recipe.tin[key]"
          @change="side(key, ($event.target as HTMLInputElement).value)"
      /></label>
    </template>
  </div>
</template>
