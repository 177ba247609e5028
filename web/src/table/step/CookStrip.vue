<script setup lang="ts">
/** The scoop strip at the table: each scoop filled with the weave of the child who did it; the next one is to tap. */
import { computed } from 'vue'
import type { TableTask } from '@lea/core/session'
import StripMarks from '../../parts/mats/StripMarks.vue'
import MatPattern from '../../parts/mats/MatPattern.vue'

const props = defineProps<{
  row: TableTask
  mats: (id: string) => number
  names: (id: string) => string
}>()
const emit = defineEmits<{ tap: [] }>()
const n = computed(() => props.row.own.length)
const widths = computed(() =>
  props.row.shares.length === n.value ? props.row.shares : props.row.own.map(() => 100 / n.value),
)
</script>

<template>
  <div>
    <div class="flex h-[clamp(4rem,15vh,8rem)]">
      <template v-for="(turn, i) in row.own" :key="turn.id">
        <button
          v-if="turn.id === row.next?.id"
          type="button"
          class="min-w-14 grow rounded-sm border-4 border-ink bg-white font-bold"
          :style="{ flexBasis: `${widths[i] ?? 0}%` }"
          :aria-label="`Count one for ${names(turn.who)}`"
          @click="emit('tap')"
        >
          Tap
        </button>
        <span
          v-else
          class="-ml-px min-w-0 shrink overflow-hidden rounded-sm border-2"
          :style="{ flexBasis: `${widths[i] ?? 0}%` }"
          :class="
            turn.done
              ? turn.skipped
                ? 'border-dashed border-soft'
                : 'border-ink'
              : 'border-dashed border-line'
          "
        >
          <MatPattern v-if="turn.done && !turn.skipped" :mat="mats(turn.who)" />
          <span class="sr-only">{{
            turn.done
              ? turn.skipped
                ? 'not today'
                : `done by ${names(turn.who)}`
              : `waits for ${names(turn.who)}`
          }}</span>
        </span>
      </template>
    </div>
    <StripMarks :marks="row.marks" :widths="widths" :room="14" :total="row.total" class="mt-1 h-6 text-lg" />
  </div>
</template>
