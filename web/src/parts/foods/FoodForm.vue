<script setup lang="ts">
/** A food that Lea does not know, said once for the setting: what is in it, its shape, what it is used as. */
import { computedAsync } from '@vueuse/core'
import { computed, ref } from 'vue'
import {
  ALLERGENS,
  type FoodFact,
  SHAPE_ANSWERS,
  type ShapeAnswer,
  type Verdict,
  allergenName,
  foodFault,
  settledFood,
} from '@lea/core/food'
import { ROLES, roleWords } from '@lea/core/recipe'
import { inWords } from '../../shared/api'
import { todayText } from '../../shared/dates'
import { useSettingStore } from '../../stores/setting'
import { checked, inTime, reader } from '../../workers/reader'
import LabelText from '../packets/LabelText.vue'
import Notice from '../Notice.vue'
import Sheet from '../Sheet.vue'

const props = defineProps<{ food?: { food: string; name: string } }>()
const emit = defineEmits<{ kept: [food: FoodFact]; close: [] }>()
const settingStore = useSettingStore()
const name = ref(props.food?.name ?? '')
const label = ref('')
const compound = ref(true)
const found = ref<Record<string, '' | 'contains' | 'may'>>({})
const shapes = ref<ShapeAnswer[]>([])
const noShape = ref(false)
const role = ref('main')
const diet = ref<Record<string, Verdict>>({
  vegetarian: 'check',
  vegan: 'check',
  halal: 'check',
  'no-pork': 'check',
})
const fault = ref('')
const saving = ref(false)
/** What the name and the packet say counts, whatever is chosen below. */
async function readNow(words: string, named: string) {
  const [packet] = await reader().packetWords([words])
  const own = await reader().nameHolds(named)
  return { name: [...own.contains, ...own.extras], lists: packet?.lists ?? [], may: packet?.may ?? [] }
}
const said = computedAsync(() => readNow(label.value, name.value), null)
const list = ALLERGENS.filter((a) => (a.uk14 || a.us9) && a.kind === 'regulated')
const isRegulated = (id: string): boolean => ALLERGENS.some((a) => a.id === id && a.kind === 'regulated')
const names = (ids: readonly string[]): string => ids.map(allergenName).join(', ')
const isNone = computed({
  get: () => noShape.value,
  set: (none: boolean) => {
    noShape.value = none
    if (none) shapes.value = []
  },
})

async function keep(): Promise<void> {
  fault.value = foodFault({ name: name.value, shapes: shapes.value }, noShape.value)
  if (fault.value) return
  saving.value = true
  // What stands there now is read, whatever was read on the way; what cannot be read is not kept.
  let read: Awaited<ReturnType<typeof readNow>>
  try {
    read = await inTime(readNow(label.value, name.value))
  } catch (e) {
    fault.value = `The words could not be read. ${inWords(e)}`
    saving.value = false
    return
  }
  const ticked = (what: string): string[] => list.filter((a) => found.value[a.id] === what).map((a) => a.id)
  const { lists } = read
  const food = settledFood({
    ...(props.food && { id: props.food.food }),
    name: name.value,
    contains: [...new Set([...ticked('contains'), ...lists.filter(isRegulated)])],
    extras: lists.filter((id) => !isRegulated(id)),
    mayContain: [...new Set([...ticked('may'), ...read.may])],
    compound: compound.value,
    shapes: shapes.value,
    role: role.value,
    diets: { ...diet.value },
  })
  try {
    const kept = await checked<FoodFact>('food', food, todayText())
    await settingStore.saveFood(kept)
    emit('kept', kept)
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <Sheet open wide :title="food ? `What is ${food.name}?` : 'A food'" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="keep">
      <label class="font-semibold"
        >Name<input v-model="name" class="field mt-1 font-normal" maxlength="60"
      /></label>
      <p v-if="said && said.name.length > 0" class="text-sm" aria-live="polite">
        Its name says: {{ names(said.name) }}. That counts as listed.
      </p>
      <fieldset class="grid gap-2">
        <legend class="text-lg font-bold">1. What is in it?</legend>
        <label class="text-sm font-semibold"
          >The words of its packet<textarea
            v-model="label"
            class="field mt-1 font-normal"
            rows="3"
            maxlength="6000"
            dir="auto"
          />
        </label>
        <section v-if="label.trim()" class="patch p-3" aria-label="What Lea reads on it">
          <LabelText :text="label" />
        </section>
        <label class="flex items-center gap-2"
          ><input v-model="compound" type="checkbox" class="size-5" /> Made of several ingredients: its packet
          is read for each session</label
        >
        <details>
          <summary class="cursor-pointer font-semibold">Tick what it holds instead</summary>
          <div class="mt-1 grid max-h-60 gap-x-5 overflow-y-auto sm:grid-cols-2" tabindex="0">
            <label v-for="a in list" :key="a.id" class="flex items-center gap-2 border-b border-line py-1"
              ><span class="flex-1">{{ allergenName(a.id) }}</span>
              <select v-model="found[a.id]" class="rounded-sm border border-line bg-white p-1">
                <option :value="undefined">not listed</option>
                <option value="contains">lists it</option>
                <option value="may">may contain</option>
              </select></label
            >
          </div>
        </details>
      </fieldset>
      <fieldset>
        <legend class="text-lg font-bold">2. How is it, as children eat it?</legend>
        <div class="grid gap-x-5 sm:grid-cols-2">
          <label v-for="s in SHAPE_ANSWERS" :key="s.id" class="flex items-center gap-2 py-1"
            ><input
              v-model="shapes"
              type="checkbox"
              class="size-5"
              :value="s.id"
              @change="noShape = false"
            />{{ s.says }}</label
          >
          <label class="flex items-center gap-2 py-1"
            ><input v-model="isNone" type="checkbox" class="size-5" />none of these: soft, smooth or
            fine</label
          >
        </div>
      </fieldset>
      <fieldset class="grid gap-2">
        <legend class="text-lg font-bold">3. What is it used as?</legend>
        <label class="text-sm font-semibold"
          >In the recipe<select v-model="role" class="field mt-1 font-normal">
            <option v-for="r in ROLES" :key="r" :value="r">{{ roleWords(r) }}</option>
          </select></label
        >
        <div class="flex flex-wrap gap-4">
          <label v-for="(_, d) in diet" :key="d"
            >{{ d }}
            <select v-model="diet[d]" class="rounded-sm border border-line bg-white p-1">
              <option value="yes">yes</option>
              <option value="no">no</option>
              <option value="check">depends</option>
            </select></label
          >
        </div>
      </fieldset>
      <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
      <button type="submit" class="btn btn-main justify-self-start" :disabled="saving">Save it</button>
    </form>
  </Sheet>
</template>
