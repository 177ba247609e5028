<script setup lang="ts">
/** The probe thermometer against what a food has to reach; the reading is taken by an adult, or typed where the probe does not answer. */
import { computed, ref } from 'vue'
import {
  type Probe,
  coreSays,
  coreSource,
  coreWords,
  heldReading,
  judgeCore,
  keptReading,
  probeFault,
  readTyped,
} from '@lea/core/food'
import { useReadings } from './readings'

const props = defineProps<{ probe: Probe; looksOnly?: boolean }>()
const emit = defineEmits<{ take: [reading: { celsius: number; held: number }, from: 'probe' | 'typed'] }>()
const { list, now, away } = useReadings<{ celsius: number }>('probe')
const fault = computed(() => probeFault(list.value, now.value.getTime()))
const reading = computed(() =>
  fault.value ? null : heldReading(list.value, props.probe.kind, props.probe.country),
)
const shown = computed(() => list.value.at(-1)?.celsius.toFixed(1) ?? '')
const verdict = computed(() =>
  reading.value ? judgeCore(reading.value, props.probe.kind, props.probe.country) : null,
)
const typing = ref(false)
const celsius = ref('')
const held = ref('0')
const typed = computed(() => readTyped(celsius.value, held.value))
const typedVerdict = computed(() =>
  typed.value ? judgeCore(typed.value, props.probe.kind, props.probe.country) : null,
)
</script>

<template>
  <section class="grid gap-2" :aria-label="`Probe: ${probe.name}`">
    <p class="text-lg">
      <strong>{{ probe.name }}</strong>: {{ coreWords(probe.kind, probe.country) }}, thickest part, clean
      probe, an adult.
      <span class="text-sm text-soft">{{ coreSource(probe.country) }}</span>
    </p>
    <template v-if="!fault && !away">
      <p>
        <span class="numeral text-6xl">{{ shown }}</span> °C
      </p>
      <p
        v-if="verdict"
        role="status"
        class="font-semibold"
        :class="verdict.verdict === 'reached' ? 'text-moss' : ''"
      >
        {{ coreSays(verdict) }}
      </p>
      <button
        v-if="reading && !looksOnly"
        type="button"
        class="btn btn-table justify-self-start"
        @click="emit('take', keptReading(reading), 'probe')"
      >
        Take this reading
      </button>
    </template>
    <p v-else role="status" class="font-semibold">
      {{ away ? 'No network: read the probe itself, and write it down here.' : fault }}
    </p>
    <button
      v-if="!typing && !looksOnly"
      type="button"
      class="justify-self-start underline"
      @click="typing = true"
    >
      Write a reading by hand
    </button>
    <div v-else-if="typing" class="flex flex-wrap items-end gap-3">
      <label class="font-semibold"
        >°C<input v-model="celsius" inputmode="decimal" class="field mt-1 block !w-28 font-normal" /></label
      ><label class="font-semibold"
        >Held for, seconds<input
          v-model="held"
          inputmode="numeric"
          class="field mt-1 block !w-28 font-normal"
      /></label>
      <button
        type="button"
        class="btn btn-table"
        :disabled="!typed"
        @click="typed && emit('take', typed, 'typed')"
      >
        Save it
      </button>
      <p v-if="typedVerdict" role="status">{{ coreSays(typedVerdict) }}</p>
    </div>
  </section>
</template>
