<script setup lang="ts">
/** Four short questions, each with near answers to tap. */
import { computed } from 'vue'
import { nearDays } from '@lea/core/amount'
import { seasonOf } from '@lea/core/choose'
import { HEATS, heatWord, themeWords } from '@lea/core/recipe'
import type { SessionAnswers } from './session-answers'
import Chip from '../parts/Chip.vue'
import { useSettingStore } from '../stores/setting'
import { dayText, todayText } from '../shared/dates'

const props = defineProps<{
  until: string
  themes: { name: string; kind: string; n: number }[]
  budgetFault: string
}>()
const emit = defineEmits<{ guest: [] }>()
const a = defineModel<SessionAnswers>({ required: true })
const settingStore = useSettingStore()

const toggle = (list: string[], id: string): void => {
  const at = list.indexOf(id)
  if (at < 0) list.push(id)
  else list.splice(at, 1)
}
const days = computed(() => nearDays(todayText(), settingStore.setting?.rules.kind))
const LENGTHS = [30, 45, 60, 75, 90]
const near = computed(() => {
  const season = seasonOf(a.value.date)
  const some = props.themes.filter((t) => t.name === season || t.kind !== 'season').slice(0, 8)
  return props.themes.filter((t) => t.name === season).concat(some.filter((t) => t.name !== season))
})
const allIn = computed(() => a.value.children.length === settingStore.children.length)
</script>

<template>
  <form class="grid gap-2 md:grid-cols-2 lg:grid-cols-1" @submit.prevent>
    <fieldset class="patch px-3 pb-3 pt-1">
      <legend class="px-1 font-title text-lg font-bold">Who cooks?</legend>
      <div class="flex flex-wrap gap-1.5">
        <Chip
          v-for="c in settingStore.children"
          :key="c.id"
          :on="a.children.includes(c.id)"
          @click="toggle(a.children, c.id)"
        >
          {{ c.nickname }}
        </Chip>
        <Chip
          v-for="g in a.guests"
          :key="g.id"
          :on="true"
          :aria-pressed="undefined"
          :aria-label="`${g.nickname}, a guest: take out`"
          @click="a.guests = a.guests.filter((x) => x !== g)"
        >
          {{ g.nickname }} ×
        </Chip>
        <button
          v-if="settingStore.children.length > 0"
          type="button"
          class="px-2 py-1 underline"
          @click="a.children = allIn ? [] : settingStore.children.map((c) => c.id)"
        >
          {{ allIn ? 'None of them' : 'All of them' }}
        </button>
        <button type="button" class="px-2 py-1 underline" @click="emit('guest')">Add a guest</button>
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-1.5">
        <span class="text-sm text-soft">with</span>
        <Chip
          v-for="adult in settingStore.adults"
          :key="adult.id"
          :on="a.adults.includes(adult.id)"
          @click="toggle(a.adults, adult.id)"
        >
          {{ adult.name }}
        </Chip>
      </div>
    </fieldset>
    <fieldset class="patch px-3 pb-3 pt-1">
      <legend class="px-1 font-title text-lg font-bold">When?</legend>
      <div class="flex flex-wrap gap-1.5">
        <Chip v-for="d in days" :key="d" :on="a.date === d" @click="a.date = d">
          {{ dayText(d) }}
        </Chip>
      </div>
      <div class="mt-2 grid grid-cols-2 gap-3">
        <label class="text-sm font-semibold"
          >Another day<input v-model="a.date" type="date" class="field mt-1 font-normal"
        /></label>
        <label class="text-sm font-semibold"
          >Begins at<input v-model="a.start" type="time" class="field mt-1 font-normal"
        /></label>
      </div>
    </fieldset>
    <fieldset class="patch px-3 pb-3 pt-1">
      <legend class="px-1 font-title text-lg font-bold">How long?</legend>
      <div class="flex flex-wrap items-center gap-1.5">
        <Chip v-for="n in LENGTHS" :key="n" :on="a.minutes === n" @click="a.minutes = n">
          {{ n }}
        </Chip>
        <label class="flex items-center gap-1.5 text-sm"
          ><input
            v-model.number.lazy="a.minutes"
            type="number"
            min="10"
            max="240"
            aria-label="Minutes"
            class="field !w-20"
          />minutes</label
        >
      </div>
      <p class="mt-2 text-soft">Home time: {{ until }}</p>
    </fieldset>
    <fieldset class="patch px-3 pb-3 pt-1">
      <legend class="px-1 font-title text-lg font-bold">What kind?</legend>
      <div class="flex flex-wrap gap-1.5">
        <Chip :on="!a.theme" @click="a.theme = ''"> any </Chip>
        <Chip
          v-for="t in near"
          :key="t.name"
          :on="a.theme === t.name"
          @click="a.theme = a.theme === t.name ? '' : t.name"
        >
          {{ themeWords(t) }}
        </Chip>
      </div>
      <div class="mt-2 flex flex-wrap items-end gap-3 text-sm">
        <label class="block font-semibold"
          >Heat<select v-model="a.heat" aria-label="Heat" class="field mt-1 block !w-36 font-normal">
            <option value="">any</option>
            <option v-for="h in HEATS" :key="h" :value="h">{{ heatWord(h) }}</option>
          </select></label
        >
        <label class="block font-semibold"
          >Most to spend per child<input
            v-model.lazy="a.budget"
            class="field mt-1 block !w-28 font-normal"
            placeholder="85p"
            :aria-invalid="budgetFault ? 'true' : undefined"
        /></label>
        <label class="flex items-center gap-1.5 pb-2"
          ><input v-model="a.fromCupboard" type="checkbox" class="size-5" />from the cupboard first</label
        >
      </div>
      <p v-if="budgetFault" role="alert" class="mt-1 text-sm font-semibold text-paprika">{{ budgetFault }}</p>
    </fieldset>
  </form>
</template>
