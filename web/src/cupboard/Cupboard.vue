<script setup lang="ts">
/** Foods that Lea knows, the setting's own, and the measures in the box. */
import { computed, onMounted, ref } from 'vue'
import { type Measure, measureText, unitLabel } from '@lea/core/amount'
import { type FoodFact, allergenName, keepsHow } from '@lea/core/food'
import type { Kit } from '@lea/core/plan'
import { measureSchema } from '@lea/core/schema'
import { inWords } from '../shared/api'
import Amount from '../parts/Amount.vue'
import Notice from '../parts/Notice.vue'
import { useSettingStore } from '../stores/setting'
import { useFoods } from '../parts/useFoods'
import PacketRegister from './PacketRegister.vue'
import StockList from './StockList.vue'
import FoodForm from '../parts/foods/FoodForm.vue'
import KitRoom from './KitRoom.vue'
import KitTools from './KitTools.vue'

const settingStore = useSettingStore()
const foods = useFoods()
onMounted(() => void settingStore.load())
const search = ref('')
const fault = ref('')
const adding = ref(false)
const measure = ref({ name: '', size: '', unit: 'cup_m' })
const UNITS = ['cup_m', 'tbsp_m', 'tsp_m', 'cup_us', 'tbsp_us', 'tsp_us', 'tbsp_au', 'mL']

const found = computed(() => {
  const words = search.value.trim().toLowerCase()
  const all = [...foods.value.all].sort((a, b) => a.name.localeCompare(b.name))
  return words === ''
    ? all
    : all.filter((f) => [f.name, f.plural ?? '', ...f.aliases].some((n) => n.toLowerCase().includes(words)))
})
const holds = (f: FoodFact): string => [...f.contains, ...f.extras].map(allergenName).join(', ')
const country = computed(() => settingStore.setting?.rules.country ?? 'uk')
/** How it keeps, and once it is open or cooked, where that differs. */
const keeps = (f: FoodFact): { when: string; how: string }[] =>
  (['closed', 'opened', 'cooked'] as const)
    .map((when) => ({ when, how: keepsHow(f, when, country.value) }))
    .filter((k) => k.how !== '')
const may = (f: FoodFact): string => f.mayContain.map(allergenName).join(', ')

const keepKit = async (measures: Measure[]): Promise<void> => {
  const kit = settingStore.setting?.kit
  if (kit) await keep({ ...kit, measures })
}
async function keep(kit: Kit): Promise<void> {
  fault.value = ''
  try {
    await settingStore.saveKit(kit)
  } catch (e) {
    fault.value = inWords(e)
  }
}
const setCount = (m: Measure, count: number): Promise<void> =>
  keepKit((settingStore.setting?.kit.measures ?? []).map((x) => (x.id === m.id ? { ...x, count } : x)))
async function addMeasure(): Promise<void> {
  const id = `own-${measure.value.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${(settingStore.setting?.kit.measures.length ?? 0) + 1}`
  try {
    const checked = await measureSchema.validate({ ...measure.value, id, count: 1 })
    await keepKit([...(settingStore.setting?.kit.measures ?? []), checked])
    measure.value = { name: '', size: '', unit: 'cup_m' }
  } catch (e) {
    fault.value = inWords(e)
  }
}
</script>

<template>
  <main id="main" class="mx-auto grid max-w-6xl gap-6 px-5 py-4 lg:grid-cols-[1fr_2fr]">
    <section aria-labelledby="box" class="min-w-0">
      <h1 class="mb-3 text-3xl">Cupboard</h1>
      <Notice v-if="fault || settingStore.fault" tone="fault" class="mb-3">{{
        fault || settingStore.fault
      }}</Notice>
      <h2 id="box" class="mb-2 text-xl">Measures in the box</h2>
      <ul>
        <li
          v-for="m in settingStore.setting?.kit.measures ?? []"
          :key="m.id"
          class="flex items-center gap-2 border-t border-line py-1.5"
        >
          <span class="min-w-0 flex-1" :class="m.count === 0 ? 'text-soft line-through' : ''"
            ><Amount :text="m.name" />
            <span class="text-xs text-soft">{{ measureText(m.size, m.unit) }}</span></span
          >
          <button
            type="button"
            class="btn !min-h-9 !px-3"
            :aria-label="`One ${m.name} fewer`"
            :disabled="m.count === 0"
            @click="setCount(m, m.count - 1)"
          >
            −
          </button>
          <span class="w-12 text-center"
            ><span class="sr-only">{{ m.name }}: </span>{{ m.count === 0 ? 'lost' : m.count }}</span
          >
          <button
            type="button"
            class="btn !min-h-9 !px-3"
            :aria-label="`One ${m.name} more`"
            :disabled="m.count >= 50"
            @click="setCount(m, m.count + 1)"
          >
            +
          </button>
        </li>
      </ul>
      <form class="mt-3 grid grid-cols-[2fr_1fr_1fr] items-end gap-2" @submit.prevent="addMeasure">
        <label class="text-sm font-semibold"
          >Name<input
            v-model="measure.name"
            class="field mt-1 font-normal"
            placeholder="blue scoop"
            maxlength="40"
        /></label>
        <label class="text-sm font-semibold"
          >Size<input v-model="measure.size" class="field mt-1 font-normal" placeholder="1/3"
        /></label>
        <label class="text-sm font-semibold"
          >Unit<select v-model="measure.unit" class="field mt-1 font-normal">
            <option v-for="u in UNITS" :key="u" :value="u">{{ unitLabel(u) }}</option>
          </select></label
        >
        <button type="submit" class="btn col-span-3 justify-self-start">Put it in the box</button>
      </form>
      <KitRoom
        v-if="settingStore.setting"
        class="mt-5"
        :kit="settingStore.setting.kit"
        @keep="keep"
        @fault="fault = $event"
      />
      <KitTools
        v-if="settingStore.setting"
        class="mt-5"
        :kit="settingStore.setting.kit"
        @keep="keep"
        @fault="fault = $event"
      />
    </section>
    <div class="grid min-w-0 content-start gap-6">
      <StockList />
      <PacketRegister />
      <section aria-labelledby="foods">
        <div class="mb-2 flex flex-wrap items-end gap-3">
          <h2 id="foods" class="text-xl">Foods: {{ found.length }}</h2>
          <label class="ml-auto font-semibold"
            >Find <input v-model="search" type="search" class="field !inline-block !w-52 font-normal"
          /></label>
          <button type="button" class="btn" @click="adding = true">Add a food</button>
        </div>
        <p class="mb-2 text-sm text-soft">
          Typical recipes, from memory. The packet in hand always comes first.
        </p>
        <Notice v-if="found.length === 0"
          >Lea does not know that food. In a recipe it will be asked about for every concern; or add it
          here.</Notice
        >
        <ul class="patch max-h-[26rem] overflow-y-auto" tabindex="0" aria-label="Foods">
          <li v-for="f in found" :key="f.id" class="border-b border-line px-3 py-1.5">
            <span class="font-semibold">{{ f.name }}</span>
            <span v-if="f.id.startsWith('own:')" class="ml-1 rounded-sm border border-ink px-1 text-xs"
              >own</span
            >
            <span v-if="f.compound" class="ml-1 rounded-sm border border-line px-1 text-xs"
              >depends on the packet</span
            >
            <span class="block text-sm">
              <template v-if="holds(f)">holds {{ holds(f) }}</template
              ><template v-if="holds(f) && may(f)">; </template
              ><template v-if="may(f)">may hold {{ may(f) }}</template
              ><span v-if="!holds(f) && !may(f)" class="text-soft"
                >nothing of the list found in the typical recipe</span
              >
            </span>
            <details v-if="keeps(f).length > 0" class="text-sm text-soft">
              <summary class="cursor-pointer">how it keeps</summary>
              <p v-for="k in keeps(f)" :key="k.when">{{ k.when }}: {{ k.how }}</p>
            </details>
          </li>
        </ul>
      </section>
    </div>
    <FoodForm v-if="adding" @kept="adding = false" @close="adding = false" />
  </main>
</template>
