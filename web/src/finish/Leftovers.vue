<script setup lang="ts">
/** What is left: how much, where it is kept and until which day; a label to print; where the scraps go. */
import { computed, ref } from 'vue'
import type { Plan } from '@lea/core/plan'
import {
  KEPT_WORDS,
  type KeptPlace,
  SCRAP_WAYS,
  type ScrapWay,
  keptPlaces,
  leftoverUntil,
} from '@lea/core/session'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'
import { dayText } from '../shared/dates'

const props = defineProps<{ plan: Plan; id: string }>()
const auth = useAuthStore()
const settingStore = useSettingStore()
const session = useSession()
const table = useTable()
const amount = ref('')
const scraps = ref('')
const keeps = computed(() => settingStore.recipe(session.stored?.recipe ?? '')?.keeps ?? [])
const until = (place: KeptPlace): string =>
  leftoverUntil(props.plan, session.stored?.date ?? '', keeps.value, place)
async function keep(place: KeptPlace): Promise<void> {
  await table.add({
    kind: 'leftover',
    body: { what: props.plan.recipe.title, amount: amount.value.trim(), place, until: until(place) },
  })
  amount.value = ''
}
async function scrap(to: ScrapWay): Promise<void> {
  await table.add({ kind: 'scrap', body: { what: scraps.value.trim() || 'peel and ends', to } })
  scraps.value = ''
}
</script>

<template>
  <p class="mb-2 text-sm text-soft">
    Cooled and covered within two hours. Nothing from a child’s plate is kept. (FSA, USDA, from memory)
  </p>
  <label class="block font-semibold"
    >How much is left<input
      v-model="amount"
      class="field mt-1 font-normal"
      maxlength="120"
      placeholder="4 pieces"
  /></label>
  <div class="mt-2 flex flex-wrap gap-2">
    <button v-for="p in keptPlaces(keeps)" :key="p" type="button" class="btn" @click="keep(p)">
      {{ KEPT_WORDS[p] }}, until {{ dayText(until(p)) }}
    </button>
  </div>
  <ul v-if="table.state.leftovers.length > 0" class="mt-2" aria-label="Kept">
    <li v-for="l in table.state.leftovers" :key="l.event" class="border-t border-line py-1">
      {{ l.amount || 'some' }} {{ KEPT_WORDS[l.place] }}, eat until <strong>{{ dayText(l.until) }}</strong>
    </li>
  </ul>
  <p v-if="table.state.leftovers.length > 0 && auth.isLeader()" class="mt-1">
    <a class="btn" :href="`/api/sessions/${id}/papers/labels.pdf`" target="_blank">Print the labels</a>
  </p>
  <h3 class="mt-3 text-lg">Scraps</h3>
  <label class="block font-semibold"
    >What<input v-model="scraps" class="field mt-1 font-normal" maxlength="120" placeholder="peel and ends"
  /></label>
  <div class="mt-2 flex flex-wrap gap-2">
    <button v-for="w in SCRAP_WAYS" :key="w" type="button" class="btn" @click="scrap(w)">{{ w }}</button>
  </div>
  <p v-for="(s, i) in table.state.scraps" :key="i" class="text-sm">{{ s.what }}: {{ s.to }}</p>
</template>
