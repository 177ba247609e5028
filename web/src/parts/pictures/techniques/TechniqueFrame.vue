<script setup lang="ts">
/** One picture of a technique: hands, tool and food, drawn for Lea; mirrored for a left hand. */
import { computed, defineAsyncComponent, type Component } from 'vue'
import { FRAME, scene } from './scene'

const FoodInFrame = defineAsyncComponent(() => import('./FoodInFrame.vue') as Promise<Component>)
const props = defineProps<{ line: string; tool: string; food?: string | null; left?: boolean }>()
const items = computed(() => scene(props.line, props.tool))
</script>

<template>
  <svg
    :viewBox="`0 0 ${FRAME.width} ${FRAME.height}`"
    aria-hidden="true"
    class="text-ink"
    :style="left ? 'transform: scaleX(-1)' : undefined"
  >
    <template v-for="(item, i) in items" :key="i">
      <FoodInFrame
        v-if="item.food && food"
        :food="food"
        :x="item.x - item.size / 2"
        :y="item.y - item.size / 2"
        :width="item.size"
        :height="item.size"
      />
      <g v-else :transform="item.transform">
        <path v-if="item.paper" :d="item.paper" fill="#fff" />
        <path v-if="item.drawing.fill" :d="item.drawing.fill" fill="currentColor" opacity="0.4" />
        <path
          v-if="item.drawing.line"
          :d="item.drawing.line"
          fill="none"
          stroke="currentColor"
          :stroke-width="item.line"
          stroke-linecap="round"
          stroke-linejoin="round"
        />
      </g>
    </template>
  </svg>
</template>
