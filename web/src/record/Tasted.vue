<script setup lang="ts">
/** What several tastes were found like, food by food, and how often they were named rightly. */
import { THUMBS, THUMB_WORDS, type TasteTally } from '@lea/core/session'
import Mat from '../parts/mats/Mat.vue'
import { useMats } from '../parts/mats/useMats'

defineProps<{ title: string; foods: TasteTally[]; nameOf: (id: string) => string }>()
const { matOf } = useMats()
</script>

<template>
  <section class="patch p-4" aria-label="Tasted">
    <h2 class="mb-1 text-lg">{{ title }}</h2>
    <div class="overflow-x-auto" tabindex="0" role="region" :aria-label="title">
      <table class="w-full border-collapse text-left text-sm">
        <thead>
          <tr>
            <th scope="col" class="p-1">Taste</th>
            <th v-for="t in THUMBS" :key="t" scope="col" class="p-1">{{ THUMB_WORDS[t] }}</th>
            <th v-if="foods.some((f) => f.guessed)" scope="col" class="p-1">named rightly</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in foods" :key="f.name" class="border-t border-line align-top">
            <th scope="row" class="p-1">{{ f.name }}</th>
            <td v-for="t in THUMBS" :key="t" class="p-1">
              <span class="flex flex-wrap gap-1"
                ><Mat v-for="c in f.who[t]" :key="c" :name="nameOf(c)" :mat="matOf(c)"
              /></span>
            </td>
            <td v-if="foods.some((x) => x.guessed)" class="p-1">
              {{ f.guessed ? `${f.guessed.right} of ${f.guessed.of}` : '–' }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
