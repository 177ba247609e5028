<script setup lang="ts">
/** Wholes as circles in equal parts that fill scoop by scoop; under them the same as a bar, and another way to say it. */
import { computed } from 'vue'
import type { PartPicture } from '@lea/core/session'

const props = withDefaults(
  /** `bare`: the amount stands beside it in figures. */
  defineProps<{ picture: PartPicture; size?: number; bare?: boolean }>(),
  { size: 56, bare: false },
)

/** A slice of a circle of radius 10 around 12, 12: part i of n, from the top, clockwise. */
function slice(i: number, n: number): string {
  const at = (k: number): string => {
    const a = (2 * Math.PI * k) / n - Math.PI / 2
    return `${(12 + 10 * Math.cos(a)).toFixed(3)} ${(12 + 10 * Math.sin(a)).toFixed(3)}`
  }
  return `M12 12L${at(i)}A10 10 0 ${n === 1 ? 1 : 0} 1 ${at(i + 1)}Z`
}
const parts = computed(() => Array.from({ length: props.picture.parts }, (_, i) => i))
const tone = (i: number, whole: { filled: number; wanted: number }): string =>
  i < whole.filled ? 'fill-indigo' : i < whole.wanted ? 'fill-white' : 'fill-transparent'
</script>

<template>
  <figure class="flex flex-wrap items-center gap-2" :aria-label="picture.label" role="img">
    <svg
      v-for="(w, n) in picture.wholes"
      :key="n"
      viewBox="0 0 24 24"
      :width="size"
      :height="size"
      class="text-ink"
      aria-hidden="true"
    >
      <path
        v-for="i in parts"
        :key="i"
        :d="slice(i, picture.parts)"
        :class="tone(i, w)"
        stroke="currentColor"
        stroke-width="0.7"
        :stroke-dasharray="i < w.wanted ? undefined : '1 1.2'"
        stroke-linejoin="round"
      />
    </svg>
    <figcaption class="leading-tight">
      <strong v-if="!bare" class="numeral block" :class="size > 99 ? 'text-5xl' : 'text-lg'">{{
        picture.label
      }}</strong>
      <span v-if="picture.same" class="flex items-center gap-1 text-sm">
        the same as {{ picture.same.label }}
        <svg viewBox="0 0 24 24" width="24" height="24" class="text-ink" aria-hidden="true">
          <path
            v-for="i in picture.same.parts"
            :key="i"
            :d="slice(i - 1, picture.same.parts)"
            :class="i <= picture.same.filled ? 'fill-indigo' : 'fill-white'"
            stroke="currentColor"
            stroke-width="0.9"
          />
        </svg>
      </span>
    </figcaption>
  </figure>
</template>
