<script setup lang="ts">
/** How it tasted: towers of mats that stand on one line and grow; whoever wants none of it today stands as tall as the others. */
import more from '~icons/fluent-emoji-flat/face-savoring-food'
import tried from '~icons/fluent-emoji-flat/slightly-smiling-face'
import notToday from '~icons/fluent-emoji-flat/raised-hand'
import { computed, type Component } from 'vue'
import { type ShowFrame, type Taste, TASTE_WORDS } from '@lea/core/session'
import MatPattern from '../mats/MatPattern.vue'

const props = defineProps<{ tastes: ShowFrame['tastes'] }>()
const FACES: Record<Taste, Component> = { more, tried, 'not-today': notToday }
/** All towers in the same measure: the tallest fills the height. */
const height = computed(
  () => `${Math.min(13, 56 / Math.max(1, ...props.tastes.map((t) => t.who.length)))}cqh`,
)
</script>

<template>
  <ul class="grid h-full w-full grid-cols-3 items-end gap-[4cqw]" data-moment="tastes">
    <li
      v-for="t in tastes"
      :key="t.taste"
      class="grid justify-items-center gap-2"
      :aria-label="TASTE_WORDS[t.taste]"
    >
      <span class="numeral text-[9cqh] leading-none">{{ t.who.length || '' }}</span>
      <span class="flex flex-col-reverse items-center">
        <span
          v-for="w in t.who"
          :key="w"
          class="aspect-square overflow-hidden rounded-patch border-2 border-ink"
          :style="{ height }"
          ><MatPattern :mat="w"
        /></span>
      </span>
      <span class="grid w-full justify-items-center border-t-8 border-ink pt-2"
        ><component :is="FACES[t.taste]" class="size-[20cqh]" aria-hidden="true"
      /></span>
    </li>
  </ul>
</template>
