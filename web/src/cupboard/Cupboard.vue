<script setup lang="ts">
/** Measures and tools, stock, packets and foods: one part at a time. */
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { type Measure, drawnLength, measureText, unitLabel } from '@lea/core/amount'
import type { Kit } from '@lea/core/plan'
import { measureSchema } from '@lea/core/schema'
import { inWords } from '../shared/api'
import Amount from '../parts/Amount.vue'
import MeasurePicture from '../parts/pictures/MeasurePicture.vue'
import Notice from '../parts/Notice.vue'
import { useAttempt } from '../parts/useAttempt'
import { useSettingStore } from '../stores/setting'
import PacketRegister from './PacketRegister.vue'
import StockList from './StockList.vue'
import FoodList from './FoodList.vue'
import KitRoom from './KitRoom.vue'
import KitTools from './KitTools.vue'

const settingStore = useSettingStore()
const route = useRoute()
const router = useRouter()
onMounted(() => void settingStore.load())
const fault = ref('')
const measure = ref({ name: '', size: '', unit: 'cup_m' })
const UNITS = ['cup_m', 'tbsp_m', 'tsp_m', 'cup_us', 'tbsp_us', 'tsp_us', 'tbsp_au', 'mL']

/** The part that is open stands in the address. */
const PARTS = ['measures', 'stock', 'packets', 'foods'] as const
const WORDS = {
  measures: 'Measures and tools',
  stock: 'Stock and prices',
  packets: 'Packets',
  foods: 'Foods',
}
const open = computed(() => Math.max(0, PARTS.indexOf(String(route.query['part']) as (typeof PARTS)[number])))
const show = (at: number): unknown => router.replace({ query: { part: PARTS[at] ?? 'measures' } })

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
const measureAttempt = useAttempt('measure-fault')
const addMeasure = (): Promise<void> =>
  measureAttempt.attempt(async () => {
    const { name } = measure.value
    const all = settingStore.setting?.kit.measures ?? []
    const id = `own-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${all.length + 1}`
    const checked = await measureSchema.validate({ ...measure.value, id, count: 1 })
    const kit = settingStore.setting?.kit
    if (kit) await settingStore.saveKit({ ...kit, measures: [...all, checked] })
    measure.value = { name: '', size: '', unit: 'cup_m' }
  }, 'In the box.')
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <h1 class="mb-2 text-3xl">Cupboard</h1>
    <Notice v-if="fault || settingStore.fault" tone="fault" class="mb-3">{{
      fault || settingStore.fault
    }}</Notice>
    <TabGroup :selected-index="open" @change="show">
      <TabList class="mb-4 flex flex-wrap gap-2" aria-label="Parts of the cupboard">
        <Tab v-for="p in PARTS" :key="p" v-slot="{ selected }" as="template"
          ><button type="button" class="btn" :class="selected ? '!bg-ink !text-white' : ''">
            {{ WORDS[p] }}
          </button></Tab
        >
      </TabList>
      <TabPanels>
        <TabPanel class="grid items-start gap-6 lg:grid-cols-2">
          <section aria-labelledby="box" class="min-w-0">
            <h2 id="box" class="mb-2 text-xl">Measures in the box</h2>
            <ul>
              <li
                v-for="m in settingStore.setting?.kit.measures ?? []"
                :key="m.id"
                class="flex items-center gap-2 border-t border-line py-1.5"
              >
                <span class="flex w-20 shrink-0 justify-end" aria-hidden="true"
                  ><MeasurePicture
                    :size="m.size"
                    :unit="m.unit"
                    :name="m.name"
                    :class="m.count === 0 ? 'opacity-40' : ''"
                    :style="{ width: `${drawnLength(m) * 4}rem` }"
                /></span>
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
                  v-bind="measureAttempt.at('name')"
                  maxlength="40"
              /></label>
              <label class="text-sm font-semibold"
                >Size<input
                  v-model="measure.size"
                  v-bind="measureAttempt.at('size')"
                  class="field mt-1 font-normal"
                  placeholder="1/3"
              /></label>
              <label class="text-sm font-semibold"
                >Unit<select v-model="measure.unit" class="field mt-1 font-normal">
                  <option v-for="u in UNITS" :key="u" :value="u">{{ unitLabel(u) }}</option>
                </select></label
              >
              <button type="submit" class="btn col-span-3 justify-self-start">Put it in the box</button>
              <p
                v-if="measureAttempt.fault.value"
                id="measure-fault"
                role="alert"
                class="col-span-3 font-semibold text-paprika"
              >
                {{ measureAttempt.fault.value }}
              </p>
            </form>
          </section>
          <div v-if="settingStore.setting" class="min-w-0">
            <KitRoom :kit="settingStore.setting.kit" @keep="keep" @fault="fault = $event" />
            <KitTools class="mt-5" :kit="settingStore.setting.kit" @keep="keep" @fault="fault = $event" />
          </div>
        </TabPanel>
        <TabPanel><StockList /></TabPanel>
        <TabPanel><PacketRegister /></TabPanel>
        <TabPanel><FoodList /></TabPanel>
      </TabPanels>
    </TabGroup>
  </main>
</template>
