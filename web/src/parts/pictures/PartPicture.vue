<script setup lang="ts">
/** Wholes as circles in equal parts that fill scoop by scoop, the same amount in fewer parts laid over; beside it the bar on its line. */
import { computed } from 'vue'
import type { PartPicture } from '@lea/core/session'
import Amount from '../Amount.vue'
import PartLine from './PartLine.vue'

const props = withDefaults(
  /** `bare`: the amount stands beside it in figures; `lined`: with the bar on its number line; `far`: to be seen across a room. */
  defineProps<{ picture: PartPicture; size?: number; bare?: boolean; lined?: boolean; far?: boolean }>(),
  { size: 56, bare: false, lined: false, far: false },
)
/** Of what it stands in, or in pixels. */
const width = computed(() => (props.far ? '17cqh' : `${props.size}px`))
const lineHeight = computed(() => (props.far ? '16cqh' : `${Math.max(44, props.size * 0.9)}px`))

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
      :style="{ width, height: width }"
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
      <template v-if="picture.same?.whole === n">
        <path
          v-for="i in picture.same.filled"
          :key="`over ${i}`"
          :d="slice(i - 1, picture.same.parts)"
          fill="none"
          class="stroke-ochre"
          stroke-width="1.800"
          stroke-linejoin="round"
        />
      </template>
    </svg>
    <PartLine v-if="lined" :picture="picture" :style="{ height: lineHeight }" class="min-w-0" />
    <figcaption class="leading-tight">
      <strong v-if="!bare" class="numeral block text-lg"><Amount :text="picture.label" /></strong>
      <span v-if="picture.same" class="numeral" :class="far ? 'text-[6cqh]' : ''"
        ><Amount :text="picture.same.says"
      /></span>
    </figcaption>
  </figure>
</template>
