<script setup lang="ts">
/** What was made and done over a period, for what comes next: sessions, turns, cost, what has not come round. No ranks. */
import { countText } from '@lea/core/amount'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { Bar } from 'vue-chartjs'
import { moneyText } from '@lea/core/amount'
import {
  type NextRound,
  type Overview,
  type SessionRecord,
  costPoints,
  turnsInOrder,
} from '@lea/core/session'
import { api, inWords } from '../shared/api'
import { barOptions } from '../parts/charts'
import Mat from '../parts/mats/Mat.vue'
import WovenPatch from '../parts/pictures/WovenPatch.vue'
import Fold from '../parts/layout/Fold.vue'
import Notice from '../parts/Notice.vue'
import NotCoveredYet from './NotCoveredYet.vue'
import { useMats } from '../parts/mats/useMats'
import { useSettingStore } from '../stores/setting'
import { dayText } from '../shared/dates'

interface Answer {
  from: string
  to: string
  sessions: SessionRecord[]
  overview: Overview
  next: NextRound
}
const settingStore = useSettingStore()
const { matOf } = useMats()
const answer = shallowRef<Answer | null>(null)
const fault = ref('')
const from = ref('')
const to = ref('')
const words = ref('')

async function load(): Promise<void> {
  fault.value = ''
  const query = new URLSearchParams({
    ...(from.value && { from: from.value }),
    ...(to.value && { to: to.value }),
  })
  try {
    answer.value = await api<Answer>('GET', `/record?${query.toString()}`)
  } catch (e) {
    fault.value = inWords(e)
  }
}
onMounted(async () => {
  await settingStore.load()
  await load()
  from.value = answer.value?.from ?? ''
  to.value = answer.value?.to ?? ''
})
watch([from, to], () => {
  if (answer.value && (from.value !== answer.value.from || to.value !== answer.value.to)) void load()
})
const nameOf = (id: string): string => settingStore.names.get(id) ?? 'a guest'
const sessions = computed(() =>
  (answer.value?.sessions ?? []).filter((s) =>
    s.title.toLowerCase().includes(words.value.trim().toLowerCase()),
  ),
)
const view = computed(() => answer.value?.overview)
const unread = computed(() => (view.value?.incidents ?? []).filter((i) => !i.seen))
/** In the order of the roster: nobody is first. */
const fair = computed(() =>
  view.value
    ? turnsInOrder(
        view.value,
        settingStore.children.map((c) => c.id),
      )
    : [],
)
const turnsChart = computed(() => ({
  labels: fair.value.map((t) => nameOf(t.child)),
  datasets: [
    { label: 'turns', data: fair.value.map((t) => t.turns), backgroundColor: '#8a1e4d', maxBarThickness: 28 },
  ],
}))
const costChart = computed(() => {
  const points = view.value ? costPoints(view.value) : []
  return {
    labels: points.map((p) => p.day),
    datasets: [
      { label: 'a child', data: points.map((p) => p.value), backgroundColor: '#0e6e74', maxBarThickness: 28 },
    ],
  }
})
const turnsOptions = barOptions('turns')
const costOptions = computed(() => barOptions(view.value?.cost[0]?.currency ?? '', false))
</script>

<template>
  <main id="main" class="mx-auto max-w-7xl px-5 py-4">
    <div class="mb-3 flex flex-wrap items-end justify-between gap-3">
      <h1 class="text-3xl">Record</h1>
      <div class="flex flex-wrap items-end gap-3">
        <label class="text-sm font-semibold"
          >From<input v-model.lazy="from" type="date" class="field mt-1 block !w-40 font-normal"
        /></label>
        <label class="text-sm font-semibold"
          >To<input v-model.lazy="to" type="date" class="field mt-1 block !w-40 font-normal"
        /></label>
        <label class="text-sm font-semibold"
          >Recipe<input v-model="words" placeholder="all" class="field mt-1 block !w-40 font-normal"
        /></label>
      </div>
    </div>
    <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
    <p v-else-if="!answer" role="status">Opening the record …</p>
    <template v-else>
      <Notice v-if="unread.length > 0" tone="fault" class="mb-3">
        {{ unread.length === 1 ? 'Something happened' : `${unread.length} things happened` }} that the owner
        has not read yet:
        <RouterLink
          v-for="i in unread"
          :key="i.event"
          class="mr-3 underline"
          :to="`/record/sessions/${i.session}`"
          >{{ dayText(i.date) }}</RouterLink
        >
      </Notice>
      <div class="grid grid-cols-1 items-start gap-5 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="rec-sessions">
          <h2 id="rec-sessions" class="text-xl">Sessions</h2>
          <Notice v-if="answer.sessions.length === 0"
            >Nothing in this period. What is tapped at the table stands here afterwards.</Notice
          >
          <p v-else-if="sessions.length === 0">No recipe of this period is called so.</p>
          <ul>
            <li v-for="r in sessions" :key="r.id" class="border-t border-line py-2">
              <RouterLink :to="`/record/sessions/${r.id}`" class="flex items-center gap-3 hover:underline">
                <WovenPatch :patch="r.patch" class="h-12 w-24 shrink-0" />
                <span class="min-w-0">
                  <span class="font-title text-lg font-bold">{{ r.title }}</span>
                  <span v-if="!r.finished" class="ml-3 font-semibold">not closed</span>
                  <span class="block text-sm text-soft"
                    >{{ dayText(r.date) }}, {{ countText(r.children.length, 'child', 'children')
                    }}<span v-if="r.memo[0]" translate="no">. “{{ r.memo[0] }}”</span></span
                  >
                </span>
              </RouterLink>
            </li>
          </ul>
          <h2 v-if="settingStore.children.length > 0" class="mt-5 text-xl">By child</h2>
          <ul v-if="settingStore.children.length > 0" class="flex flex-wrap gap-2 border-t border-line pt-2">
            <li v-for="c in settingStore.children" :key="c.id">
              <RouterLink class="btn !gap-2" :to="`/record/children/${c.id}`"
                ><Mat :name="c.nickname" :mat="matOf(c.id)" beside />{{ c.nickname }}</RouterLink
              >
            </li>
          </ul>
          <Fold v-if="view" title="Not done yet" class="mt-5"
            ><NotCoveredYet :next="answer.next" :view="view"
          /></Fold>
        </section>
        <div class="grid min-w-0 grid-cols-1 gap-5">
          <section v-if="fair.length > 0" class="patch min-w-0 p-4" aria-labelledby="rec-turns">
            <h2 id="rec-turns" class="text-xl">Turns</h2>
            <p class="text-sm text-soft">Is anybody left out over the weeks?</p>
            <div class="relative h-40 min-w-0" aria-hidden="true">
              <Bar :data="turnsChart" :options="turnsOptions" />
            </div>
            <details class="mt-1">
              <summary class="min-h-6 cursor-pointer py-0.5">In figures</summary>
              <div
                class="relative mt-2 max-h-56 overflow-auto"
                tabindex="0"
                role="region"
                aria-label="Turns of each child"
              >
                <table class="w-full border-collapse text-left text-sm">
                  <thead>
                    <tr>
                      <th scope="col" class="p-1">Child</th>
                      <th scope="col" class="p-1">Sessions</th>
                      <th scope="col" class="p-1">Turns</th>
                      <th scope="col" class="p-1">Jobs</th>
                    </tr>
                  </thead>
                  <tbody>
                    <tr v-for="t in fair" :key="t.child" class="border-t border-line">
                      <th scope="row" class="p-1 font-semibold">
                        <RouterLink
                          class="inline-flex min-h-6 items-center gap-1.5 underline"
                          :to="`/record/children/${t.child}`"
                          ><Mat :name="nameOf(t.child)" :mat="matOf(t.child)" beside />{{
                            nameOf(t.child)
                          }}</RouterLink
                        >
                      </th>
                      <td class="p-1">{{ t.sessions }}</td>
                      <td class="p-1">{{ t.turns }}</td>
                      <td class="p-1">{{ t.jobs }}</td>
                    </tr>
                  </tbody>
                </table>
              </div>
            </details>
          </section>
          <section v-if="view && view.cost.length > 0" class="patch min-w-0 p-4" aria-labelledby="rec-cost">
            <h2 id="rec-cost" class="text-xl">What it cost, a child</h2>
            <div class="relative h-32 min-w-0" aria-hidden="true">
              <Bar :data="costChart" :options="costOptions" />
            </div>
            <details class="mt-1">
              <summary class="cursor-pointer">In figures</summary>
              <ul class="text-sm">
                <li v-for="c in view.cost" :key="c.session">
                  {{ dayText(c.date) }}, {{ c.title }}:
                  {{ c.perChild === null ? 'a price is missing' : moneyText(c.perChild, c.currency) }}
                </li>
              </ul>
            </details>
          </section>
          <Fold title="Recipes made" :count="view?.made.length">
            <ul class="text-sm">
              <li v-for="m in view?.made ?? []" :key="m.title">
                {{ m.title }}, {{ m.times }}×, last {{ dayText(m.last) }}
              </li>
            </ul>
          </Fold>
        </div>
      </div>
    </template>
  </main>
</template>
