<script setup lang="ts">
/** A bar on its number line, filled up to what is in; over it the same amount in fewer parts, where it has another name. */
import { computed } from 'vue'
import type { PartPicture } from '@lea/core/session'

const props = defineProps<{ picture: PartPicture }>()
const WIDTH = 300
const wholes = computed(() => props.picture.wholes.length)
/** Each part of the bar with its place and whether it is in, still to come, or no part of the amount. */
const bar = computed(() => {
  const { parts, wholes: list } = props.picture
  const wide = WIDTH / (parts * list.length)
  return list.flatMap((w, n) =>
    Array.from({ length: parts }, (_, i) => ({
      x: (n * parts + i) * wide,
      wide,
      tone: i < w.filled ? 'fill-indigo' : i < w.wanted ? 'fill-white' : 'fill-transparent',
      dashed: i >= w.wanted,
    })),
  )
})
const over = computed(() => {
  const { same } = props.picture
  if (!same) return []
  const wide = WIDTH / wholes.value / same.parts
  return Array.from({ length: same.filled }, (_, i) => ({
    x: (same.whole * WIDTH) / wholes.value + i * wide,
    wide,
  }))
})
</script>

<template>
  <svg :viewBox="`-8 0 ${WIDTH + 16} 58`" class="text-ink" aria-hidden="true">
    <rect
      v-for="(p, i) in bar"
      :key="i"
      :x="p.x"
      y="10"
      :width="p.wide"
      height="20"
      :class="p.tone"
      stroke="currentColor"
      stroke-width="1.2"
      :stroke-dasharray="p.dashed ? '2 3' : undefined"
    />
    <rect
      v-for="(o, i) in over"
      :key="`over ${i}`"
      :x="o.x + 1.5"
      y="4"
      :width="o.wide - 3"
      height="32"
      fill="none"
      class="stroke-ochre"
      stroke-width="3.200"
    />
    <template v-for="(t, i) in picture.line.ticks" :key="`tick ${i}`">
      <line
        :x1="t.at * WIDTH"
        :x2="t.at * WIDTH"
        y1="30"
        :y2="t.whole ? 42 : 38"
        stroke="currentColor"
        :stroke-width="t.whole ? 2 : 1.2"
      />
      <text
        v-if="t.label !== null"
        :x="t.at * WIDTH"
        y="55"
        text-anchor="middle"
        font-size="13"
        fill="currentColor"
        :font-weight="t.whole ? 700 : 400"
      >
        <tspan v-for="(p, k) in t.label.split(' ')" :key="k" :class="p.includes('/') ? 'frac' : ''">
          {{ p }}
        </tspan>
      </text>
    </template>
    <line
      :x1="picture.line.now * WIDTH"
      :x2="picture.line.now * WIDTH"
      y1="2"
      y2="42"
      stroke="currentColor"
      stroke-width="3"
    />
  </svg>
</template>
