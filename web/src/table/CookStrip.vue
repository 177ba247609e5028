<script setup lang="ts">
/** The scoop strip at the table: each scoop filled with the weave of the child who did it; the next one is to tap. */
import { computed } from 'vue'
import { amountText, type TableTask } from '@lea/core'
import Amount from '../parts/Amount.vue'
import Weft from '../parts/Weft.vue'

const props = defineProps<{
  row: TableTask
  mats: (id: string) => number
  names: (id: string) => string
  active: boolean
}>()
const emit = defineEmits<{ tap: [] }>()
const n = computed(() => props.row.turns.length)
const every = computed(() => Math.max(1, Math.ceil(n.value / 6)))
const shown = computed(() =>
  props.row.marks.flatMap((text, i) =>
    i === 0 || i === n.value || (i % every.value === 0 && n.value - i >= Math.max(2, every.value))
      ? [{ text, i, left: (100 * i) / n.value }]
      : [],
  ),
)
const unit = computed(() => (props.row.task.measured?.by === 'scoop' ? props.row.task.measured.unit : ''))
const last = computed(() =>
  props.row.task.measured?.by === 'scoop' ? amountText(props.row.marks.at(-1) ?? '0', unit.value) : '',
)
</script>

<template>
  <div>
    <div class="flex h-[clamp(4rem,15vh,8rem)]">
      <template v-for="turn in row.turns" :key="turn.id">
        <button
          v-if="active && turn.id === row.next?.id"
          type="button"
          class="min-w-0 flex-1 rounded-sm border-4 border-ink bg-white font-bold"
          :aria-label="`Count one for ${names(turn.who)}`"
          @click="emit('tap')"
        >
          tap
        </button>
        <span
          v-else
          class="-ml-px min-w-0 flex-1 overflow-hidden rounded-sm border-2"
          :class="
            turn.done
              ? turn.skipped
                ? 'border-dashed border-soft'
                : 'border-ink'
              : 'border-dashed border-line'
          "
        >
          <Weft v-if="turn.done && !turn.skipped" :mat="mats(turn.who)" />
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
    <div v-if="shown.length > 0" class="relative mt-1 h-6 text-lg" aria-hidden="true">
      <span
        v-for="m in shown"
        :key="m.i"
        class="absolute whitespace-nowrap"
        :class="m.i === 0 ? '' : m.i === n ? '-translate-x-full' : '-translate-x-1/2'"
        :style="{ left: `${m.left}%` }"
        ><Amount :text="m.i === n ? last : m.text"
      /></span>
    </div>
  </div>
</template>
