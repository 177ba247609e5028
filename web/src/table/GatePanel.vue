<script setup lang="ts">
/** A gate that cannot be skipped silently: who checked it, by name and time. */
import { computed, ref, watch } from 'vue'
import type { GateNeed } from '@lea/core'
import { useSession } from '../stores/session'
import { useTable } from '../stores/table'

const props = defineProps<{ need: GateNeed }>()
const session = useSession()
const table = useTable()
const chosen = ref<string[]>([])
watch(
  () => props.need,
  () => {
    chosen.value = []
  },
)
const needed = computed(() => (props.need.gate === 'packets' ? 2 : 1))
const adults = computed(() => session.stored?.adults ?? [])
const word = computed(
  () => ({ hands: 'Hands washed', packets: 'We read them all', stand: 'In place' })[props.need.gate],
)

/** An adult alone reads twice: the same name may stand twice. */
function tap(id: string): void {
  if (chosen.value.length < needed.value) chosen.value = [...chosen.value, id]
}
async function pass(): Promise<void> {
  const step = props.need.gate === 'stand' ? { step: props.need.step } : {}
  await table.add({ kind: 'gate', body: { gate: props.need.gate, by: chosen.value, ...step } })
}
</script>

<template>
  <div class="grid content-start gap-3">
    <h2 class="text-3xl">{{ need.says }}</h2>
    <p v-if="need.gate === 'packets'" class="max-h-40 overflow-y-auto text-lg" tabindex="0">
      {{ need.foods.join(' · ') }}
    </p>
    <p class="text-soft">
      {{
        need.gate === 'packets'
          ? 'Two adults sign. An adult alone reads twice and taps twice.'
          : 'Which adult says so?'
      }}
    </p>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="a in adults"
        :key="a"
        type="button"
        class="btn btn-table"
        :aria-pressed="chosen.includes(a)"
        @click="tap(a)"
      >
        {{ session.nameOf(a) }}
      </button>
    </div>
    <p aria-live="polite">
      {{ chosen.length === 0 ? 'Nobody yet' : chosen.map((c) => session.nameOf(c)).join(' and ') }}
      <button v-if="chosen.length > 0" type="button" class="ml-2 underline" @click="chosen = []">
        again
      </button>
    </p>
    <button
      type="button"
      class="btn btn-main btn-table justify-self-start"
      :disabled="chosen.length < needed"
      @click="pass"
    >
      {{ word }}
    </button>
  </div>
</template>
