<script setup lang="ts">
/** How much is made: by children, portions, pieces, batches, a tin or cases; what is over; batch sizes in whole eggs. */
import { computed, ref, watch } from 'vue'
import { countText, numberText, ratio, toMixed } from '@lea/core/amount'
import { type Plan, batchText, makingText, ovenText, roundsRows } from '@lea/core/plan'
import { COMMON_CASES, COMMON_TINS, type Make, ROUNDS_MOST, type Recipe, timesText } from '@lea/core/recipe'
import { makeSchema } from '@lea/core/schema'
import Amount from '../../parts/Amount.vue'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan; recipe: Recipe | undefined; disabled: boolean }>()
const session = useSession()
const fault = ref('')
const by = ref<Make['by']>('children')
const text = ref('0')
const tin = ref(COMMON_TINS[1]?.name ?? '')
const kind = ref(COMMON_CASES[2]?.name ?? '')
const WORDS: Record<Make['by'], string> = {
  children: 'portions more than children',
  portions: 'portions',
  pieces: 'pieces',
  batches: 'batches of the recipe',
  tin: 'another tin',
  cases: 'cases',
}
const offered = computed(() =>
  (Object.keys(WORDS) as Make['by'][]).filter(
    (b) => (b !== 'pieces' || props.recipe?.pieces) && (b !== 'tin' || props.recipe?.tin),
  ),
)
watch(
  () => props.plan.making.make,
  (make) => {
    by.value = make.by
    fault.value = ''
    if (make.by === 'children') text.value = String(make.more)
    else if (make.by === 'portions') text.value = toMixed(ratio(make.portions))
    else if (make.by === 'pieces') text.value = String(make.pieces)
    else if (make.by === 'batches') text.value = toMixed(ratio(make.batches))
    else if (make.by === 'cases') text.value = String(make.cases)
  },
  { immediate: true },
)

function wanted(): unknown {
  const typed = text.value.trim()
  switch (by.value) {
    case 'children':
      return { by: 'children', more: typed === '' ? undefined : Number(typed) }
    case 'pieces':
      return { by: 'pieces', pieces: typed === '' ? undefined : Number(typed) }
    case 'portions':
      return { by: 'portions', portions: typed }
    case 'batches':
      return { by: 'batches', batches: typed }
    case 'tin':
      return { by: 'tin', tin: COMMON_TINS.find((t) => t.name === tin.value)?.tin }
    case 'cases': {
      const size = COMMON_CASES.find((c) => c.name === kind.value)
      return { by: 'cases', cases: typed === '' ? undefined : Number(typed), mL: size?.mL, fill: size?.fill }
    }
  }
}
/** What cannot be read is said at the field; what is typed stays there. */
async function use(): Promise<void> {
  fault.value = ''
  try {
    const make = await makeSchema.validate(wanted())
    await session.choose({ kind: 'make', make })
  } catch (e) {
    fault.value = e instanceof Error ? e.message : String(e)
  }
}
const choose = (make: Make): Promise<void> => session.choose({ kind: 'make', make })
/** With enough of everything for all rounds. */
const goRound = (step: string, times: number): Promise<void> =>
  session.choose({ kind: 'rounds', step, times })
</script>

<template>
  <section class="patch p-3" aria-labelledby="much-title">
    <h2 id="much-title" class="text-lg">How much</h2>
    <p class="font-semibold"><Amount :text="makingText(plan)" /></p>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="use">
      <label v-if="by !== 'tin'" class="text-sm font-semibold"
        >Make
        <input
          v-model="text"
          class="field !w-20 font-normal"
          inputmode="decimal"
          :disabled="disabled"
          :aria-invalid="fault ? 'true' : undefined"
          :aria-describedby="fault ? 'much-fault' : undefined"
      /></label>
      <label class="text-sm font-semibold"
        ><span class="sr-only">Counted in</span>
        <select v-model="by" class="field font-normal" :disabled="disabled">
          <option v-for="b in offered" :key="b" :value="b">{{ WORDS[b] }}</option>
        </select></label
      >
      <label v-if="by === 'tin'" class="text-sm font-semibold"
        ><span class="sr-only">Which tin</span>
        <select v-model="tin" class="field font-normal" :disabled="disabled">
          <option v-for="t in COMMON_TINS" :key="t.name" :value="t.name">{{ t.name }}</option>
        </select></label
      >
      <label v-if="by === 'cases'" class="text-sm font-semibold"
        ><span class="sr-only">Which cases</span>
        <select v-model="kind" class="field font-normal" :disabled="disabled">
          <option v-for="c in COMMON_CASES" :key="c.name" :value="c.name">{{ c.name }}, {{ c.mL }} mL</option>
        </select></label
      >
      <button type="submit" class="btn" :disabled="disabled">Use</button>
    </form>
    <div v-for="r in roundsRows(plan)" :key="r.step" class="mt-2 flex flex-wrap items-center gap-2 text-sm">
      <label class="font-semibold"
        >Round the table, {{ r.title }}:
        <select
          class="field !w-auto font-normal"
          :value="r.times"
          :disabled="disabled"
          @change="goRound(r.step, Number(($event.target as HTMLSelectElement).value))"
        >
          <option v-for="n in ROUNDS_MOST" :key="n" :value="n">{{ timesText(n) }}</option>
        </select></label
      >
    </div>
    <p v-if="fault" id="much-fault" role="alert" class="mt-1 text-sm font-semibold text-paprika">
      {{ fault }}
    </p>
    <p v-if="plan.making.refused" class="mt-1 text-sm font-semibold">{{ plan.making.refused }}</p>
    <details v-if="plan.making.batches.length + plan.making.tins.length + plan.making.cases.length > 0">
      <summary class="mt-2 min-h-6 cursor-pointer py-0.5 text-sm">Other batches, tins and cases</summary>
      <template v-if="plan.making.batches.length > 0">
        <h3 class="mt-3 text-sm text-soft">In batches, the least left over first</h3>
        <ul class="mt-1 grid gap-1">
          <li v-for="b in plan.making.batches" :key="b.batches">
            <button
              type="button"
              class="w-full rounded-patch border px-2.5 py-1 text-left text-sm"
              :class="b.chosen ? 'border-2 border-teal font-semibold' : 'border-line hover:border-ink'"
              :aria-pressed="b.chosen"
              :disabled="disabled"
              @click="choose({ by: 'batches', batches: b.batches })"
            >
              <Amount :text="batchText(b)" />
            </button>
          </li>
        </ul>
      </template>
      <template v-if="plan.making.tins.length > 0">
        <h3 class="mt-3 text-sm text-soft">Tins that this amount fills</h3>
        <ul class="text-sm">
          <li v-for="t in plan.making.tins" :key="t.name">
            {{ t.name }}: <Amount :text="numberText(t.fills)" /> of one<strong v-if="t.near">
              · as it is, watch the time</strong
            >
          </li>
        </ul>
      </template>
      <template v-if="plan.making.cases.length > 0">
        <h3 class="mt-3 text-sm text-soft">
          Or in cases, two thirds full<template v-if="plan.making.cases[0]?.estimated">, about</template>
        </h3>
        <ul class="text-sm">
          <li v-for="c in plan.making.cases" :key="c.name">
            {{ c.n }} {{ c.name }} ({{ countText(c.tins, 'tin') }})
          </li>
        </ul>
      </template>
    </details>
    <p v-if="plan.making.oven" class="mt-2 text-sm"><Amount :text="ovenText(plan.making)" />.</p>
  </section>
</template>
