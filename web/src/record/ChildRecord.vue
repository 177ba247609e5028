<script setup lang="ts">
/** A child over all sessions: turns, techniques, tastes. No scores, no ranks. */
import { computed, onMounted, ref, shallowRef } from 'vue'
import { Bar } from 'vue-chartjs'
import { useRoute } from 'vue-router'
import { monthText, countText, shortDay } from '@lea/core/amount'
import { HOW_WORDS } from '@lea/core/craft'
import { type ChildRecord, MET_WORDS, TASTES, TASTE_WORDS } from '@lea/core/session'
import type { StoredChild } from '@lea/core/setting'
import { api, inWords } from '../shared/api'
import { barOptions } from '../parts/charts'
import Mat from '../parts/mats/Mat.vue'
import Notice from '../parts/Notice.vue'
import { useMats } from '../parts/mats/useMats'
import { useSettingStore } from '../stores/setting'
import { dayText } from '../shared/dates'

const route = useRoute()
const settingStore = useSettingStore()
const { matOf } = useMats()
const record = shallowRef<(ChildRecord & { child: StoredChild; older: boolean }) | null>(null)
const fault = ref('')
onMounted(async () => {
  await settingStore.load()
  try {
    record.value = await api('GET', `/record/children/${String(route.params['id'])}`)
  } catch (e) {
    fault.value = inWords(e)
  }
})
const oldestFirst = computed(() => [...(record.value?.sessions ?? [])].reverse())
const chart = computed(() => ({
  labels: oldestFirst.value.map((s) => shortDay(s.date)),
  datasets: [
    {
      label: 'turns',
      data: oldestFirst.value.map((s) => s.turns),
      backgroundColor: '#0e6e74',
      maxBarThickness: 40,
    },
  ],
}))
const options = barOptions('turns')
const chartWords = computed(
  () => `Turns: ${oldestFirst.value.map((s) => `${dayText(s.date)} ${s.turns}`).join(', ')}`,
)
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <Notice v-if="fault" tone="fault"
      >{{ fault }} <RouterLink class="underline" to="/record">All records</RouterLink></Notice
    >
    <p v-else-if="!record" role="status">Opening the record …</p>
    <template v-else>
      <p><RouterLink class="underline" to="/record">Record</RouterLink></p>
      <div class="mb-4 flex items-center gap-4">
        <Mat :name="record.child.nickname" :mat="matOf(record.child.id)" size="turn" beside />
        <div>
          <h1 class="text-3xl">{{ record.child.nickname }}</h1>
          <p class="text-soft">
            born {{ monthText(record.child.birth) }} · {{ countText(record.sessions.length, 'session') }},
            {{ record.turns }} turns<template v-if="record.older">; what is older is in the export</template>
          </p>
        </div>
      </div>
      <Notice v-if="record.sessions.length === 0"
        >No session yet. After the first one, what the hands did stands here.</Notice
      >
      <div v-else class="grid items-start gap-5 lg:grid-cols-3">
        <section class="patch min-w-0 overflow-x-auto p-4 lg:col-span-2">
          <h2 class="mb-2 text-xl">Sessions</h2>
          <div class="relative mb-3 h-40 w-full">
            <Bar :data="chart" :options="options" :aria-label="chartWords" />
          </div>
          <table class="w-full border-collapse text-left">
            <thead>
              <tr class="text-sm">
                <th scope="col" class="p-1">Day</th>
                <th scope="col" class="p-1">Recipe</th>
                <th scope="col" class="p-1">Turns</th>
                <th scope="col" class="p-1">Jobs</th>
                <th scope="col" class="p-1">Taste</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="s in record.sessions" :key="s.id" class="border-t border-line">
                <td class="p-1">{{ dayText(s.date) }}</td>
                <td class="p-1">
                  <RouterLink class="underline" :to="`/record/sessions/${s.id}`">{{ s.title }}</RouterLink>
                </td>
                <td class="p-1">{{ s.turns }}</td>
                <td class="p-1">{{ s.jobs }}</td>
                <td class="p-1">{{ s.taste ? TASTE_WORDS[s.taste] : '–' }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <div class="grid gap-4">
          <section class="patch p-4">
            <h2 class="mb-1 text-xl">What the hands did</h2>
            <ul>
              <li
                v-for="t in record.techniques"
                :key="t.name"
                class="flex justify-between border-t border-line py-1"
              >
                <span>{{ t.name }}</span><span class="text-soft">{{ countText(t.times, 'session') }}</span>
              </li>
            </ul>
          </section>
          <section v-if="record.seen.length > 0" class="patch p-4">
            <h2 class="mb-1 text-xl">As last seen</h2>
            <ul>
              <li
                v-for="s in record.seen"
                :key="s.technique"
                class="flex justify-between border-t border-line py-1"
              >
                <span>{{ s.technique }}</span><span class="text-soft">{{ HOW_WORDS[s.how] }}</span>
              </li>
            </ul>
          </section>
          <section v-if="record.talk.length > 0" class="patch p-4">
            <h2 class="mb-1 text-xl">Words and numbers we heard</h2>
            <ul>
              <li
                v-for="t in record.talk"
                :key="t.target"
                class="flex justify-between gap-3 border-t border-line py-1"
              >
                <span>{{ t.target }}</span><span class="shrink-0 text-right text-sm text-soft"
                  >{{ t.claim }}<br />{{ dayText(t.last) }}</span
                >
              </li>
            </ul>
            <p class="mt-1 text-xs text-soft">
              What was noted while cooking; what is not here was not asked. It says nothing about other days.
            </p>
          </section>
          <section class="patch p-4">
            <h2 class="mb-1 text-xl">Tastes</h2>
            <p v-for="t in TASTES" :key="t" class="flex justify-between">
              <span>{{ TASTE_WORDS[t] }}</span><span>{{ record.tastes[t] }}</span>
            </p>
          </section>
          <section v-if="record.notes.length > 0" class="patch p-4">
            <h2 class="mb-1 text-xl">Notes</h2>
            <p v-for="n in record.notes" :key="n.date + n.text">
              <span class="text-soft">{{ dayText(n.date) }}</span> <span translate="no">{{ n.text }}</span>
            </p>
          </section>
          <section v-if="record.met.length > 0" class="patch p-4" aria-labelledby="foods-met">
            <h2 id="foods-met" class="mb-1 text-lg">Foods that were met</h2>
            <ul class="text-sm">
              <li v-for="m in record.met" :key="m.food" class="border-t border-line py-1">
                <strong>{{ m.food }}</strong>:
                {{ m.ways.map((w) => `${MET_WORDS[w.how]}, ${dayText(w.on)}`).join('; ') }}
              </li>
            </ul>
          </section>
        </div>
      </div>
    </template>
  </main>
</template>
