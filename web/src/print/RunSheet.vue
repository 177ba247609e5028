<script setup lang="ts">
/** The whole session on one page: when, what, who, which measure, who stands where. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { type WeaveColumn, watchOnPaper, weave, wovenPatch } from '@lea/core/plan'
import { clearingUp, sheetRows } from '@lea/core/session'
import Amount from '../parts/Amount.vue'
import WovenPatch from '../parts/pictures/WovenPatch.vue'
import { useSettingStore } from '../stores/setting'
import { dayText } from '../shared/dates'
import WhoUsesWhat from '../parts/jobs/WhoUsesWhat.vue'
import PaperBar from './PaperBar.vue'
import { useOpenSession } from '../parts/useOpenSession'

const session = useOpenSession()
const settingStore = useSettingStore()
const route = useRoute()
const plan = computed(() => session.plan)
const bowls = computed(() =>
  (plan.value?.bowls ?? []).map((b) => ({ ...b, columns: plan.value ? weave(plan.value, b.id) : [] })),
)
const rows = computed(() => (plan.value ? sheetRows(plan.value) : []))
const clearing = computed(() => (plan.value ? clearingUp(plan.value) : []))
const watchOf = (column: WeaveColumn | undefined, index: number) =>
  column ? watchOnPaper(column, index) : []
const names = (ids: readonly string[]): string => ids.map((c) => session.nameOf(c)).join(', ')
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4 print:max-w-none print:p-0">
    <PaperBar
      back="Back to Ready"
      :to="`/session/${route.params['id']}/ready`"
      page="landscape; margin: 9mm"
      button="Print this page"
    />
    <p v-if="!plan" role="status">{{ session.planFault || 'Laying out the sheet …' }}</p>
    <article v-else class="patch p-4 print:border-0 print:p-0">
      <WovenPatch :patch="wovenPatch(plan)" class="float-right ml-4 h-14 w-32" />
      <h1 class="text-2xl">{{ plan.recipe.title }}</h1>
      <p class="text-sm">
        {{ dayText(session.stored?.date ?? '') }}, {{ plan.totals.startsAt }} to {{ plan.totals.endsAt }} ·
        {{ settingStore.setting?.name }} · {{ names(plan.adults) }}
      </p>
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Steps and bowls">
        <table class="mt-2 w-full border-collapse text-xs">
          <thead>
            <tr class="border-b-2 border-ink text-left">
              <th scope="col" class="w-12 p-1">When</th>
              <th scope="col" class="w-28 p-1">Step</th>
              <th v-for="b in bowls" :key="b.id" scope="col" class="p-1">
                {{ b.name }}: {{ names(b.children) }}
              </th>
            </tr>
          </thead>
          <tbody>
            <template v-for="r in rows" :key="'ready' in r ? r.ready.says : r.step.step">
              <tr v-if="'ready' in r" class="border-b border-line align-top">
                <td class="numeral p-1">{{ r.ready.at }}</td>
                <th scope="row" class="p-1 text-left" :colspan="bowls.length + 1">
                  {{ r.ready.says
                  }}<span class="font-normal"
                    >{{ r.ready.adult ? `, ${session.nameOf(r.ready.adult)}` : ', an adult'
                    }}{{ r.ready.sitting > 1 ? `, for sitting ${r.ready.sitting}` : '' }}</span
                  >
                </th>
              </tr>
              <tr v-else class="border-b border-line align-top">
                <td class="numeral p-1">{{ r.step.at }}</td>
                <th scope="row" class="p-1 text-left">
                  {{ r.step.title
                  }}<span class="block font-normal text-soft"
                    >{{ bowls[0]?.columns[r.index]?.minutes }} min</span
                  >
                </th>
                <td v-for="(b, i) in bowls" :key="b.id" class="p-1">
                  <p v-for="m in b.columns[r.index]?.measure ?? []" :key="m.line">
                    <strong><Amount :text="m.amount" /></strong> {{ m.food }}: <Amount :text="m.how" />
                  </p>
                  <p v-for="h in b.columns[r.index]?.handsShort ?? []" :key="h.task">
                    {{ h.job }}<template v-if="h.children.length > 0">: {{ names(h.children) }}</template
                    ><template v-if="h.adult">
                      · <em>{{ session.nameOf(h.adult) }}</em></template
                    >
                  </p>
                  <p v-for="w in watchOf(b.columns[r.index], i)" :key="w.says" class="font-semibold">
                    ! {{ session.say(w.says) }}
                  </p>
                </td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
      <WhoUsesWhat :plan="plan" class="mt-3 break-inside-avoid" />
      <p v-if="clearing.length > 0" class="mt-2 text-xs">
        <strong>{{
          plan.totals.clearUp ? 'Clearing up, at the end:' : 'Clearing up, while all wait:'
        }}</strong>
        <template v-for="(c, i) in clearing" :key="c.says"
          >{{ i > 0 ? ' · ' : ' ' }}{{ c.says }}: {{ names(c.children) }}</template
        >
      </p>
      <ul v-if="(plan.ownRules ?? []).length > 0" class="mt-2 list-inside list-disc text-xs">
        <li v-for="r in plan.ownRules" :key="r">{{ r }}</li>
      </ul>
      <p class="mt-2 border-t-2 border-ink pt-1 text-xs">
        Two adults read every packet today. The child’s own care plan comes first. Turns may be handed on: the
        order is a help, not a rule.
      </p>
    </article>
  </main>
</template>
