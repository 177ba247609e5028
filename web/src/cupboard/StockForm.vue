<script setup lang="ts">
/** One food of the cupboard: how much is there, in what packs it is bought, what it weighs here. Faults stand at their field. */
import { computed, ref } from 'vue'
import { ValidationError } from 'yup'
import { moneyField, readMoney, unitLabel } from '@lea/core/amount'
import { resolveFood } from '@lea/core/food'
import type { CupboardItem } from '@lea/core/plan'
import { cupboardSchema } from '@lea/core/schema'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import { useSettingStore } from '../stores/setting'
import { useFoods } from '../parts/useFoods'

const props = defineProps<{ item: CupboardItem }>()
const emit = defineEmits<{ close: [] }>()
const settingStore = useSettingStore()
const foods = useFoods()
const UNITS = ['g', 'kg', 'mL', 'L', 'item', 'oz', 'lb', 'cup_m', 'cup_us', 'tbsp_m', 'tsp_m']
const food = ref(props.item.food === '' ? '' : foods.value.of(props.item.food).name)
const have = ref({ amount: props.item.have?.amount ?? '', unit: props.item.have?.unit ?? 'g' })
const weighs = ref({ grams: props.item.weighs?.grams ?? '', unit: props.item.weighs?.unit ?? 'cup_m' })
const packs = ref(
  props.item.packs.map((p) => ({
    size: p.size,
    unit: p.unit,
    price: p.price === null ? '' : moneyField(p.price),
  })),
)
const fault = ref<{ at: string; says: string } | null>(null)
const isNew = computed(() => props.item.food === '')

function foodId(): string {
  if (!isNew.value) return props.item.food
  const id = resolveFood(food.value, foods.value)?.id
  if (id) return id
  throw new ValidationError('Lea does not know this food: add it under Foods first', food.value, 'food')
}
const priceOf = (text: string, i: number): number | null => {
  if (text.trim() === '') return null
  try {
    return readMoney(text)
  } catch (e) {
    throw new ValidationError(e instanceof Error ? e.message : String(e), text, `packs[${i}].price`)
  }
}
async function save(): Promise<void> {
  fault.value = null
  try {
    const item = await cupboardSchema.validate({
      food: foodId(),
      ...(have.value.amount.trim() !== '' && { have: have.value }),
      ...(weighs.value.grams.trim() !== '' && { weighs: weighs.value }),
      packs: packs.value.map((p, i) => ({ ...p, price: priceOf(p.price, i) })),
    })
    await settingStore.saveStock(item)
    emit('close')
  } catch (e) {
    fault.value =
      e instanceof ValidationError ? { at: e.path ?? '', says: e.message } : { at: '', says: inWords(e) }
  }
}
async function remove(): Promise<void> {
  try {
    await settingStore.removeStock(props.item.food)
    emit('close')
  } catch (e) {
    fault.value = { at: '', says: inWords(e) }
  }
}
const at = (path: string): string => (fault.value?.at === path ? fault.value.says : '')
const AT_FIELD = /^(food|have\.|weighs\.|packs\[)/
</script>

<template>
  <Sheet open :title="isNew ? 'A food of the cupboard' : food" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <Notice v-if="fault && !AT_FIELD.test(fault.at)" tone="fault">{{ fault.says }}</Notice>
      <label v-if="isNew" class="font-semibold"
        >Food<input
          v-model="food"
          class="field mt-1 font-normal"
          list="stock-foods"
          :aria-invalid="at('food') ? 'true' : undefined"
        />
        <datalist id="stock-foods">
          <option v-for="f in foods.all" :key="f.id" :value="f.name" />
        </datalist>
        <span v-if="at('food')" role="alert" class="text-sm text-paprika">{{ at('food') }}</span>
      </label>
      <fieldset>
        <legend class="font-semibold">On the shelf</legend>
        <div class="mt-1 flex gap-2">
          <input
            v-model="have.amount"
            class="field !w-28"
            aria-label="Amount on the shelf"
            placeholder="none"
            :aria-invalid="at('have.amount') ? 'true' : undefined"
          />
          <select v-model="have.unit" class="field !w-32" aria-label="Unit on the shelf">
            <option v-for="u in UNITS" :key="u" :value="u">{{ unitLabel(u) }}</option>
          </select>
        </div>
        <p v-if="at('have.amount')" role="alert" class="text-sm font-semibold text-paprika">
          {{ at('have.amount') }}
        </p>
      </fieldset>
      <fieldset>
        <legend class="font-semibold">Packs that are bought</legend>
        <div v-for="(p, i) in packs" :key="i" class="mt-1">
          <div class="flex flex-wrap items-center gap-2">
            <input
              v-model="p.size"
              class="field !w-24"
              :aria-label="`Size of pack ${i + 1}`"
              placeholder="500"
              :aria-invalid="at(`packs[${i}].size`) ? 'true' : undefined"
            />
            <select v-model="p.unit" class="field !w-32" :aria-label="`Unit of pack ${i + 1}`">
              <option v-for="u in UNITS" :key="u" :value="u">{{ unitLabel(u) }}</option>
            </select>
            <span>for</span>
            <input
              v-model="p.price"
              class="field !w-24"
              :aria-label="`Price of pack ${i + 1}`"
              placeholder="1.35"
              :aria-invalid="at(`packs[${i}].price`) ? 'true' : undefined"
            />
            <button
              type="button"
              class="btn"
              :aria-label="`Remove pack ${i + 1}`"
              @click="packs = packs.filter((x) => x !== p)"
            >
              Remove
            </button>
          </div>
          <p
            v-if="at(`packs[${i}].size`) || at(`packs[${i}].price`)"
            role="alert"
            class="text-sm font-semibold text-paprika"
          >
            {{ at(`packs[${i}].size`) || at(`packs[${i}].price`) }}
          </p>
        </div>
        <button
          type="button"
          class="btn mt-2"
          @click="packs = [...packs, { size: '', unit: 'g', price: '' }]"
        >
          Add a pack
        </button>
      </fieldset>
      <fieldset>
        <legend class="font-semibold">
          Weighed here <span class="font-normal text-soft">(stands over Lea's table)</span>
        </legend>
        <div class="mt-1 flex items-center gap-2">
          <span>1</span>
          <select v-model="weighs.unit" class="field !w-36" aria-label="Unit that was weighed">
            <option v-for="u in ['cup_m', 'cup_us', 'tbsp_m', 'tsp_m', 'item']" :key="u" :value="u">
              {{ u === 'item' ? 'piece' : unitLabel(u) }}
            </option>
          </select>
          <span>weighs</span>
          <input
            v-model="weighs.grams"
            class="field !w-24"
            aria-label="Grams"
            placeholder="as Lea's"
            :aria-invalid="at('weighs.grams') ? 'true' : undefined"
          />
          <span>g</span>
        </div>
        <p v-if="at('weighs.grams')" role="alert" class="text-sm font-semibold text-paprika">
          {{ at('weighs.grams') }}
        </p>
      </fieldset>
      <div class="flex flex-wrap gap-2">
        <button type="submit" class="btn btn-main">Save</button>
        <button type="button" class="btn" @click="emit('close')">Leave as it was</button>
        <button v-if="!isNew" type="button" class="btn ml-auto" @click="remove">
          Take out of the cupboard
        </button>
      </div>
    </form>
  </Sheet>
</template>
