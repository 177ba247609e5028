<script setup lang="ts">
/** A picture that is built of food, as it lies on its ground: drawn for Lea, the foods by their words. What it shows stands beside it in words. */
import type { SceneView } from '@lea/core/plan'
import { defineAsyncComponent, type Component } from 'vue'

/** The pictures of foods are many: they come into a place that is kept for them. */
const WordPicture = defineAsyncComponent(() => import('./WordPicture.vue') as Promise<Component>)

const props = defineProps<{ scene: Pick<SceneView, 'on' | 'pieces'> }>()
/** Half the width and height of what it lies on, in hundredths of the drawing; and how large a piece is. */
const GROUND = { round: [48, 48], oval: [48, 33], square: [46, 46] } as const
const SIZE = 17
const left = (x: number): string => `${50 + x * (GROUND[props.scene.on][0] - 4) - SIZE / 2}%`
const top = (y: number): string => `${50 + y * (GROUND[props.scene.on][1] - 4) - SIZE / 2}%`
</script>

<template>
  <span class="relative block aspect-square" aria-hidden="true">
    <svg viewBox="0 0 100 100" class="absolute inset-0 h-full w-full">
      <rect
        :x="50 - GROUND[scene.on][0]"
        :y="50 - GROUND[scene.on][1]"
        :width="2 * GROUND[scene.on][0]"
        :height="2 * GROUND[scene.on][1]"
        :rx="scene.on === 'square' ? 6 : 48"
        fill="#fff"
        stroke="var(--color-ink)"
        stroke-width="1.6"
      />
      <rect
        :x="53 - GROUND[scene.on][0]"
        :y="53 - GROUND[scene.on][1]"
        :width="2 * GROUND[scene.on][0] - 6"
        :height="2 * GROUND[scene.on][1] - 6"
        :rx="scene.on === 'square' ? 4 : 45"
        fill="#dfe9e4"
      />
    </svg>
    <template v-for="(p, i) in scene.pieces" :key="i">
      <WordPicture
        v-if="p.word"
        :word="p.word"
        label=""
        class="absolute"
        :style="{ left: left(p.x), top: top(p.y), width: `${SIZE}%`, height: `${SIZE}%` }"
      />
      <span
        v-else
        class="absolute rounded-full border-2 border-dashed border-soft"
        :style="{ left: left(p.x), top: top(p.y), width: `${SIZE}%`, height: `${SIZE}%` }"
      ></span>
    </template>
  </span>
</template>
