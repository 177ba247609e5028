<script setup lang="ts">
/** A gate that cannot be skipped silently: who checked it, by name and time. */
import { Check } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { GateNeed } from '@lea/core/session'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

const props = defineProps<{ need: Exclude<GateNeed, { gate: 'arrival' | 'core' }> }>()
const session = useSession()
const table = useTable()
const chosen = ref<string[]>([])
const ticked = ref<string[]>([])
/** What is ticked one by one: each packet, each child's plan. */
const items = computed(() =>
  props.need.gate === 'packets'
    ? props.need.foods.map((id) => ({ id, word: id }))
    : props.need.gate === 'plans'
      ? props.need.children.map((id) => ({ id, word: session.nameOf(id) }))
      : [],
)
const missing = computed(() => items.value.filter((i) => !ticked.value.includes(i.id)))
function tick(id: string): void {
  ticked.value = ticked.value.includes(id) ? ticked.value.filter((x) => x !== id) : [...ticked.value, id]
}
const needed = computed(() => (props.need.gate === 'packets' ? 2 : 1))
const refusal = computed(() => {
  const parts = []
  if (missing.value.length > 0)
    parts.push(
      `${props.need.gate === 'packets' ? 'not read yet' : 'not acknowledged yet'}: ${missing.value.map((i) => i.word).join(', ')}`,
    )
  const left = needed.value - chosen.value.length
  if (left > 0) parts.push(left === 2 ? 'two names' : 'one name')
  return parts.length > 0 ? `Still missing: ${parts.join('; ')}.` : ''
})
const adults = computed(() => session.stored?.adults ?? [])
const word = computed(
  () =>
    ({ hands: 'Hands washed', plans: 'We know the plans', packets: 'We read them all', stand: 'In place' })[
      props.need.gate
    ],
)

/** An adult alone reads twice: the same name may stand twice. */
function tap(id: string): void {
  if (chosen.value.length < needed.value) chosen.value = [...chosen.value, id]
}
async function pass(): Promise<void> {
  const step = props.need.gate === 'stand' ? { step: props.need.step } : {}
  const what =
    props.need.gate === 'packets'
      ? { foods: ticked.value }
      : props.need.gate === 'plans'
        ? { children: ticked.value }
        : {}
  await table.add({ kind: 'gate', body: { gate: props.need.gate, by: chosen.value, ...step, ...what } })
}
</script>

<template>
  <div class="grid content-start gap-3">
    <h1 class="text-3xl">{{ need.says }}</h1>
    <div v-if="items.length > 0" class="flex flex-wrap gap-2" role="group" :aria-label="need.says">
      <button
        v-for="item in items"
        :key="item.id"
        type="button"
        class="btn btn-table"
        :class="ticked.includes(item.id) ? '!bg-ink !text-white' : ''"
        :aria-pressed="ticked.includes(item.id)"
        @click="tick(item.id)"
      >
        <Check v-if="ticked.includes(item.id)" class="size-5" aria-hidden="true" />{{ item.word }}
      </button>
      <button
        v-if="missing.length > 1"
        type="button"
        class="btn btn-table border-dashed"
        @click="ticked = items.map((i) => i.id)"
      >
        All of them
      </button>
    </div>
    <p v-if="need.gate === 'plans'" class="text-lg">
      Their plans are one tap away under <strong>emergency</strong>. Medicines in reach, a trained adult here
      the whole time.
    </p>
    <p class="text-soft">
      {{
        need.gate === 'packets'
          ? 'Tap each packet as it is read aloud today; then two adults sign. An adult alone reads twice and taps twice.'
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
    <p v-if="refusal" class="font-semibold" role="status">{{ refusal }}</p>
    <p aria-live="polite">
      {{ chosen.length === 0 ? 'Nobody yet' : chosen.map((c) => session.nameOf(c)).join(' and ') }}
      <button v-if="chosen.length > 0" type="button" class="ml-2 underline" @click="chosen = []">
        Again
      </button>
    </p>
    <button
      type="button"
      class="btn btn-main btn-table justify-self-start"
      :disabled="refusal !== ''"
      @click="pass"
    >
      {{ word }}
    </button>
  </div>
</template>
