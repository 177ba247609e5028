<script setup lang="ts">
/** The kitchen scale beside what is wanted; what it says is shown only while it can be trusted. */
import { computed, ref } from 'vue'
import { type ScaleReading, scaleState, weighAgainst } from '@lea/core/amount'
import { useReadings } from './readings'

const props = defineProps<{ wanted?: string }>()
const { list, now, away } = useReadings<ScaleReading>('scale')
const tare = ref(0)
const state = computed(() => scaleState(list.value, now.value.getTime(), tare.value))
const missing = computed(() =>
  props.wanted && state.value.is === 'weight' ? weighAgainst(props.wanted, state.value.grams) : '',
)
function setToNought(): void {
  tare.value = list.value.at(-1)?.grams ?? 0
}
</script>

<template>
  <section
    class="flex flex-wrap items-center gap-4 border-y border-line py-2"
    aria-label="What the scale says"
  >
    <p v-if="away && list.length === 0" class="text-soft">No network: read the scale itself.</p>
    <template v-else-if="state.is === 'weight'">
      <p aria-live="off">
        <span class="numeral text-5xl">{{ state.grams }}</span> g
        <span class="text-soft">{{ state.still ? '' : '…' }}</span>
      </p>
      <p v-if="missing" role="status" class="text-2xl font-semibold">{{ state.still ? missing : '' }}</p>
    </template>
    <p v-else role="status" class="max-w-prose font-semibold">{{ state.says }}</p>
    <button
      v-if="state.is === 'weight' || state.is === 'drifts'"
      type="button"
      class="btn btn-table ml-auto"
      @click="setToNought"
    >
      Set to 0
    </button>
  </section>
</template>
