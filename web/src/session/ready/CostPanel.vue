<script setup lang="ts">
/** What goes in costs so much, what is paid today so much; for each child; against the ready-made thing. */
import { computed, ref, watch } from 'vue'
import { moneyField, readMoney } from '@lea/core/amount'
import { costText, type Plan } from '@lea/core/plan'
import type { Recipe } from '@lea/core/recipe'
import { recipeSchema } from '@lea/core/schema'
import BigFigures from '../../parts/layout/BigFigures.vue'
import { inWords } from '../../shared/api'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan; recipe: Recipe | undefined; recipeId: string; disabled: boolean }>()
const session = useSession()
const settingStore = useSettingStore()
const cost = computed(() => props.plan.cost)
const words = computed(() => costText(cost.value))
const price = ref('')
const portions = ref('')
const fault = ref('')
watch(
  () => props.recipe?.ready,
  (ready) => {
    price.value = ready ? moneyField(ready.price) : ''
    portions.value = ready ? String(ready.portions) : ''
  },
  { immediate: true },
)
async function compare(): Promise<void> {
  fault.value = ''
  if (!props.recipe) return
  try {
    const ready = { price: readMoney(price.value), portions: Number(portions.value) }
    const recipe = await recipeSchema.validate({ ...props.recipe, ready })
    await settingStore.saveRecipe(recipe, props.recipeId)
    await session.recompute()
  } catch (e) {
    fault.value = inWords(e)
  }
}
</script>

<template>
  <section class="patch p-4" aria-labelledby="cost-title">
    <h2 id="cost-title" class="text-xl">Cost</h2>
    <BigFigures :figures="words.figures" label="Cost in figures" class="mt-1" />
    <p v-if="cost.unknown.length > 0" class="mt-2 text-sm">
      No price known for {{ cost.unknown.join(', ') }}: write it into the
      <RouterLink class="underline" to="/cupboard">Cupboard</RouterLink>.
    </p>
    <details class="no-print mt-2">
      <summary class="min-h-6 cursor-pointer py-0.5 text-sm">
        Worth of what goes in, and the ready-made thing
      </summary>
      <dl class="mt-1 grid max-w-md grid-cols-[1fr_auto] gap-x-4 gap-y-1">
        <template v-for="(r, i) in words.rows" :key="i">
          <dt :class="r.part && 'text-sm text-soft'">{{ r.what }}</dt>
          <dd class="numeral text-right" :class="r.part && 'text-sm'">{{ r.sum }}</dd>
        </template>
      </dl>
      <p v-if="words.ready" class="mt-2 text-sm">
        Ready-made: {{ words.ready.perPortion }} a portion. By what goes in,
        <strong>{{ words.ready.byUse }}</strong>; by what is paid today,
        <strong>{{ words.ready.byPurchase }}</strong>.
      </p>
      <form v-if="!disabled" class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="compare">
        <label class="text-sm font-semibold"
          >Ready-made costs
          <input
            v-model="price"
            class="field !w-20 font-normal"
            placeholder="1.80"
            :aria-invalid="fault ? 'true' : undefined"
            :aria-describedby="fault ? 'ready-fault' : undefined" /></label
        ><label class="text-sm font-semibold"
          >For portions
          <input v-model="portions" class="field !w-16 font-normal" inputmode="numeric" placeholder="6"
        /></label>
        <button type="submit" class="btn">Compare</button>
      </form>
      <p v-if="fault" id="ready-fault" role="alert" class="mt-1 text-sm font-semibold text-paprika">
        {{ fault }}
      </p>
    </details>
  </section>
</template>
