<script setup lang="ts">
/** A bar as long as the amount, cut into scoops, each in the weave of its child; labels stand exactly under the ends. */
import { computed } from 'vue'
import StripMarks from './StripMarks.vue'
import MatPattern from './MatPattern.vue'

const props = withDefaults(
  defineProps<{
    children: string[]
    mats: (id: string) => number
    names: (id: string) => string
    marks?: string[]
    /** Length of each scoop, in per cent; even where it is not given. */
    shares?: number[]
    size?: 'small' | 'large'
  }>(),
  { marks: () => [], shares: () => [], size: 'small' },
)
const n = computed(() => props.children.length)
const widths = computed(() =>
  props.shares.length === n.value ? props.shares : props.children.map(() => 100 / n.value),
)
const label = computed(() => `${n.value} scoops: ${props.children.map((c) => props.names(c)).join(', ')}`)
</script>

<template>
  <div role="img" :aria-label="label">
    <div class="flex" :class="size === 'small' ? 'h-6' : 'h-12'">
      <div
        v-for="(child, i) in children"
        :key="i"
        class="min-w-0 overflow-hidden border border-ink/60"
        :class="i > 0 ? '-ml-px' : ''"
        :style="{ width: `${widths[i] ?? 0}%` }"
      >
        <MatPattern :mat="mats(child)" />
      </div>
    </div>
    <StripMarks
      :marks="marks"
      :widths="widths"
      :room="size === 'small' ? 24 : 12"
      class="mt-0.5 h-4 text-xs"
    />
  </div>
</template>
