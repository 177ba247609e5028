<script setup lang="ts">
/** The scoop strip without names: each scoop in the weave of the mat that did it. */
import { computed } from 'vue'
import type { ShowRow } from '@lea/core/session'
import MatPattern from '../mats/MatPattern.vue'
import StripMarks from '../mats/StripMarks.vue'

const props = defineProps<{ row: ShowRow }>()
const widths = computed(() => {
  const { own, shares } = props.row
  return shares.length === own.length ? shares : own.map(() => 100 / own.length)
})
</script>

<template>
  <div>
    <div class="flex h-[clamp(4rem,15cqh,8rem)]" aria-hidden="true">
      <span
        v-for="(turn, i) in row.own"
        :key="i"
        class="-ml-px min-w-0 shrink overflow-hidden rounded-sm border-2"
        :style="{ flexBasis: `${widths[i] ?? 0}%` }"
        :class="
          turn.done
            ? turn.skipped
              ? 'border-dashed border-soft'
              : 'border-ink'
            : 'border-dashed border-line'
        "
        :data-done="turn.done && !turn.skipped"
        ><MatPattern v-if="turn.done && !turn.skipped" :mat="turn.who"
      /></span>
    </div>
    <StripMarks :marks="row.marks" :widths="widths" :room="14" :total="row.total" class="mt-1 h-6 text-lg" />
  </div>
</template>
