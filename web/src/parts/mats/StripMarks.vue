<script setup lang="ts">
/** What the bowl holds after each scoop, exactly under its end; of labels too near each other some are left out. */
import { computed } from 'vue'
import Amount from '../Amount.vue'
import { roomFor } from './marks'

const props = defineProps<{
  marks: readonly string[]
  /** Length of each scoop, per cent. */
  widths: readonly number[]
  /** That a label takes, per cent of the strip. */
  room: number
  /** Said at the end instead of the last mark. */
  total?: string
}>()
const shown = computed(() => roomFor(props.marks, props.widths, props.room))
const end = computed(() => props.widths.length)
</script>

<template>
  <div v-if="shown.length > 0" class="relative" aria-hidden="true">
    <span
      v-for="m in shown"
      :key="m.i"
      class="absolute whitespace-nowrap"
      :class="m.i === 0 ? '' : m.i === end || m.left > 99 ? '-translate-x-full' : '-translate-x-1/2'"
      :style="{ left: `${m.left}%` }"
      ><Amount :text="m.i === end && total ? total : m.text"
    /></span>
  </div>
</template>
