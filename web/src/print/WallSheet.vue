<script setup lang="ts">
/** The allergy sheet, one page for the kitchen wall: children by mat and nickname, what each must not have, what on this table matters. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { emergencyNumber, LEVEL_WORDS, MEETING_WORDS, allergenName, dietName } from '@lea/core/food'
import { checkRows } from '@lea/core/plan'
import Mat from '../parts/mats/Mat.vue'
import { useMats } from '../parts/mats/useMats'
import { useSettingStore } from '../stores/setting'
import { dayText } from '../shared/dates'
import PaperBar from './PaperBar.vue'
import { useOpenSession } from '../parts/useOpenSession'

const session = useOpenSession()
const settingStore = useSettingStore()
const route = useRoute()
const { matOf } = useMats()
const people = computed(() => {
  const all = [...settingStore.children, ...(session.stored?.guests ?? [])]
  const here = new Set([
    ...(session.stored?.children ?? []),
    ...(session.stored?.guests ?? []).map((g) => g.id),
  ])
  return all.filter((p) => here.has(p.id) && (p.concerns.length > 0 || p.diets.length > 0))
})
const rows = computed(() => (session.plan ? checkRows(session.plan) : []))
const matters = (child: string): string =>
  rows.value
    .flatMap((r) => {
      const m = r.meetings[child]
      return m && m.meeting !== 'nothing' ? [`${r.name}: ${MEETING_WORDS[m.meeting]}`] : []
    })
    .join('; ')
const rules = computed(() => (session.plan?.hygiene ?? []).filter((h) => h.when !== 'after'))
</script>

<template>
  <main id="main" class="mx-auto max-w-4xl px-5 py-4 print:max-w-none print:p-0">
    <PaperBar
      back="Back to Check"
      :to="`/session/${route.params['id']}/check`"
      page="; margin: 12mm"
      button="Print this page"
      ><span class="text-sm text-soft"
        >For staff eyes: not where families or children read it.</span
      ></PaperBar
    >
    <p v-if="!session.plan" role="status">{{ session.planFault || 'Laying out the sheet …' }}</p>
    <article v-else class="patch p-5 print:border-0 print:p-0">
      <h1 class="text-2xl">Allergy sheet: {{ session.plan.recipe.title }}</h1>
      <p class="text-sm">
        {{ dayText(session.stored?.date ?? '') }}, {{ session.stored?.start }} ·
        {{ settingStore.setting?.name }}
      </p>
      <p v-if="people.length === 0" class="mt-3">
        Nobody in this session has an allergy or a diet on their card. Ask again at the door.
      </p>
      <table v-else class="mt-3 w-full border-collapse text-sm">
        <thead>
          <tr class="border-b-2 border-ink text-left">
            <th scope="col" class="w-20 p-1">Mat</th>
            <th scope="col" class="p-1">Child</th>
            <th scope="col" class="p-1">Must not have</th>
            <th scope="col" class="p-1">On this table</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in people" :key="p.id" class="border-b border-line align-top">
            <td class="p-1"><Mat :name="p.nickname" :mat="matOf(p.id)" size="seat" beside /></td>
            <th scope="row" class="p-1 text-left text-base">{{ p.nickname }}</th>
            <td class="p-1">
              <p v-for="c in p.concerns" :key="c.allergen">
                <strong>{{ allergenName(c.allergen) }}</strong>: {{ LEVEL_WORDS[c.level] }}
              </p>
              <p v-if="p.diets.length > 0">
                {{ p.diets.map((d) => dietName(d, settingStore.setting?.rules.diets)).join(', ') }}
              </p>
              <p v-if="p.carePlan" class="font-semibold">
                Care plan: <span translate="no">{{ p.carePlan }}</span>
              </p>
            </td>
            <td class="p-1">{{ matters(p.id) || 'nothing found: check the packet' }}</td>
          </tr>
        </tbody>
      </table>
      <h2 class="mt-4 text-base">Today</h2>
      <ul class="list-inside list-disc text-sm">
        <li v-for="h in rules" :key="h.says">{{ session.say(h.says) }}</li>
      </ul>
      <p class="mt-3 border-t-2 border-ink pt-2 text-sm">
        <strong
          >Severe, or in doubt: adrenaline first, at once; then call
          {{ emergencyNumber(settingStore.setting?.rules) }}, say “anaphylaxis”.</strong
        >
        The child’s own care plan comes first. Packets change: two adults read each one today. This sheet
        replaces neither.
      </p>
    </article>
  </main>
</template>
