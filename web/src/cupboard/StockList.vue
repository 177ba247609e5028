<script setup lang="ts">
/** What is on the shelf and what it costs: one row for each food that the setting keeps. */
import { computed, ref } from 'vue'
import { amountText, moneyText, nationOf } from '@lea/core/amount'
import type { CupboardItem, CupboardPack } from '@lea/core/plan'
import Amount from '../parts/Amount.vue'
import Notice from '../parts/Notice.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { countryText } from '../shared/country'
import { useFoods } from '../parts/useFoods'
import StockForm from './StockForm.vue'

const settingStore = useSettingStore()
const foods = useFoods()
const auth = useAuthStore()
const search = ref('')
const editing = ref<CupboardItem | null>(null)
const currency = computed(() => nationOf(settingStore.setting?.rules ?? { country: 'uk' }).currency)
const all = computed(() =>
  [...(settingStore.setting?.cupboard ?? [])]
    .map((item) => ({ item, name: foods.value.of(item.food).name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const found = computed(() => {
  const words = search.value.trim().toLowerCase()
  return all.value.filter((r) => [r.name, countryText(r.name)].some((t) => t.toLowerCase().includes(words)))
})
const packText = (p: CupboardPack): string => {
  const size = p.unit === 'item' ? p.size : amountText(p.size, p.unit)
  return `${size} ${p.price === null ? 'without a price' : `for ${moneyText(p.price, currency.value)}`}`
}
</script>

<template>
  <section aria-labelledby="stock-title">
    <div class="mb-2 flex flex-wrap items-end gap-3">
      <h2 id="stock-title" class="text-xl">Stock and prices: {{ all.length }}</h2>
      <label class="ml-auto font-semibold"
        >Find <input v-model="search" type="search" class="field !inline-block !w-40 font-normal"
      /></label>
      <button v-if="auth.isLeader()" type="button" class="btn" @click="editing = { food: '', packs: [] }">
        Add
      </button>
    </div>
    <Notice v-if="all.length === 0"
      >Nothing written down yet. With packs and prices Lea works out what to buy and what a child's portion
      costs.</Notice
    >
    <p v-else-if="found.length === 0" class="text-soft">No food of that name in the cupboard.</p>
    <ul class="patch max-h-[70vh] overflow-y-auto" tabindex="0" aria-label="Stock">
      <li
        v-for="{ item, name } in found"
        :key="item.food"
        class="flex items-center gap-3 border-b border-line px-3 py-1.5"
      >
        <span class="min-w-0 flex-1">
          <span class="font-semibold">{{ name }}</span>
          <span v-if="item.have" class="ml-2 rounded-sm border border-ink px-1 text-sm"
            >has
            <Amount
              :text="
                item.have.unit === 'item' ? item.have.amount : amountText(item.have.amount, item.have.unit)
              "
          /></span>
          <span class="block text-sm text-soft">{{
            item.packs.map(packText).join(' · ') || 'no packs written down'
          }}</span>
        </span>
        <button
          v-if="auth.isLeader()"
          type="button"
          class="btn"
          :aria-label="`Change ${name}`"
          @click="editing = item"
        >
          Change
        </button>
      </li>
    </ul>
    <StockForm v-if="editing" :item="editing" @close="editing = null" />
  </section>
</template>
