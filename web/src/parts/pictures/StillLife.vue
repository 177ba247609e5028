<script setup lang="ts">
/** A recipe as a still life: its main foods in, or on, the vessel that it is made in. The title stands beside it: it says nothing itself. */
import type { StillLife, Vessel } from '@lea/core/recipe'
import { defineAsyncComponent, type Component } from 'vue'

/** The pictures of foods are many: they come into a place that is kept for them. */
const WordPicture = defineAsyncComponent(() => import('./WordPicture.vue') as Promise<Component>)

defineProps<{ look: StillLife }>()

/** The vessel in a field of 120 x 90, drawn for Lea: its outline, what is seen of its inside, and how high the foods stand in it. */
const DRAWN: Record<Vessel, { body: string; rim?: string; foods: number }> = {
  bowl: { body: 'M14 46H106C104 70 88 84 60 84S16 70 14 46Z', rim: 'M8 46H112', foods: 12 },
  pot: { body: 'M22 44H98V78Q98 84 92 84H28Q22 84 22 78Z', rim: 'M8 52H22M98 52H112M16 44H104', foods: 10 },
  pan: { body: 'M14 62H86Q84 78 74 78H26Q16 78 14 62Z', rim: 'M86 66H116', foods: 26 },
  tin: { body: 'M12 52H108L100 82H20Z', rim: 'M8 52H112', foods: 16 },
  tray: { body: 'M8 70H112L104 80H16Z', rim: 'M4 70H116', foods: 34 },
  jar: {
    body: 'M36 40H84Q92 40 92 50V78Q92 86 84 86H36Q28 86 28 78V50Q28 40 36 40Z',
    rim: 'M32 32H88V40H32Z',
    foods: 0,
  },
  cup: { body: 'M34 40H86L80 84H40Z', rim: 'M30 40H90', foods: 5 },
  foil: { body: 'M10 60L24 50L40 60L60 48L80 60L96 50L110 60L98 84H22Z', foods: 18 },
  plate: { body: 'M6 70H114Q104 82 60 82T6 70Z', foods: 34 },
}
/** Where up to four foods stand, in hundredths of the width: side by side, the main one in the middle. */
const PLACES = [[36], [20, 50], [36, 10, 62], [24, 50, 4, 70]] as const
const SIZE = 30
</script>

<template>
  <span class="relative block aspect-[4/3] w-full" aria-hidden="true">
    <WordPicture
      v-for="(food, i) in look.foods"
      :key="food"
      :word="food"
      :label="food"
      class="absolute"
      :style="{
        left: `${PLACES[look.foods.length - 1]?.[i] ?? 36}%`,
        top: `${DRAWN[look.vessel].foods + (i > 1 ? 8 : 0)}%`,
        width: `${SIZE}%`,
        height: `${(SIZE * 4) / 3}%`,
      }"
    />
    <svg viewBox="0 0 120 90" class="absolute inset-0 h-full w-full">
      <path
        :d="DRAWN[look.vessel].body"
        fill="#dfe9e4"
        stroke="var(--color-ink)"
        stroke-width="3"
        stroke-linejoin="round"
      />
      <path
        v-if="DRAWN[look.vessel].rim"
        :d="DRAWN[look.vessel].rim"
        fill="#fff"
        stroke="var(--color-ink)"
        stroke-width="4"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </svg>
  </span>
</template>
