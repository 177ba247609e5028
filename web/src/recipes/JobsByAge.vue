<script setup lang="ts">
/** What each age does with the foods of a recipe. */
import { computed } from 'vue'
import { AGE_BANDS, JOBS_SOURCE, ageText, jobsOf } from '@lea/core/craft'
import { type FoodBook, foodName } from '@lea/core/food'
import type { RecipeLine } from '@lea/core/recipe'

const props = defineProps<{ lines: readonly RecipeLine[]; foods: FoodBook }>()
const rows = computed(() =>
  props.lines.flatMap((l) => {
    const jobs = jobsOf(l.food)
    return jobs ? [{ id: l.id, name: foodName(props.foods.of(l.food)), jobs }] : []
  }),
)
</script>

<template>
  <details v-if="rows.length > 0" class="patch mt-5 p-4">
    <summary class="cursor-pointer text-xl font-bold">What each age does with it</summary>
    <div class="mt-2 overflow-x-auto" tabindex="0" role="region" aria-label="What each age does with it">
      <table class="w-full min-w-[52rem] text-sm">
        <thead>
          <tr class="text-left align-bottom">
            <th scope="col" class="p-1">Food</th>
            <th v-for="b in AGE_BANDS" :key="b.id" scope="col" class="p-1">from {{ ageText(b.from) }}</th>
            <th scope="col" class="p-1">An adult</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.id" class="border-t border-line align-top">
            <th scope="row" class="p-1 text-left">{{ r.name }}</th>
            <td v-for="(job, i) in r.jobs.byBand" :key="i" class="p-1">{{ job }}</td>
            <td class="p-1">{{ r.jobs.adult }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-1 text-xs text-soft">{{ JOBS_SOURCE }}.</p>
  </details>
</template>
