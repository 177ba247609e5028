<script setup lang="ts">
/** Lines down, children with a concern across; only cells that say something speak; one change for all; packets; the hygiene plan. */
import { countText, lowered } from '@lea/core/amount'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { MEETING_WORDS, concernName } from '@lea/core/food'
import { type Decision, checkHeads, checkKeyText, checkRows, swapSetText } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import LabelText from '../../parts/packets/LabelText.vue'
import { useAuthStore } from '../../stores/auth'
import { useSettingStore } from '../../stores/setting'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useFoods } from '../../parts/useFoods'
import { useSession } from '../../stores/session/session'
import { timeText } from '../../shared/dates'
import OtherRecipes from '../OtherRecipes.vue'

const session = useSession()
const settingStore = useSettingStore()
const foods = useFoods()
const auth = useAuthStore()
const route = useRoute()
const rows = computed(() => (session.plan ? checkRows(session.plan) : []))
const heads = computed(() => (session.plan ? checkHeads(session.plan) : []))
const { matOf } = useMats()
const lines = computed(() => new Map(session.plan?.bowls.flatMap((b) => b.lines).map((l) => [l.id, l]) ?? []))
const recipeLine = (id: string) => {
  const line = lines.value.get(id)
  return line?.swappedFrom
    ? settingStore.recipe(session.stored?.recipe ?? '')?.lines.find((l) => l.id === line.line)
    : undefined
}
const about = (id: string): string => concernName(id, settingStore.setting?.rules.diets)
const packets = computed(() => (session.stored?.decisions ?? []).filter((d) => d.kind === 'packet'))
const set = computed(() => session.plan?.swapSet ?? null)
/** The other way: an own bowl, for as many as one decision can set apart. */
const ownBowl = computed(() => {
  const ways = (session.plan?.findings ?? []).flatMap((f) =>
    f.fixes.flatMap(
      (fix): { label: string; cost: string; decision: Extract<Decision, { kind: 'apart' }> }[] =>
        fix.action.do === 'decide' && fix.action.decision.kind === 'apart'
          ? [{ label: fix.label, cost: fix.cost, decision: fix.action.decision }]
          : [],
    ),
  )
  return ways.sort((a, b) => b.decision.children.length - a.decision.children.length)[0] ?? null
})
const canChange = computed(() => !session.frozen && auth.isLeader())
const look = {
  lists: 'bg-paprika text-white font-bold',
  may: 'border-2 border-paprika text-paprika font-bold',
  ask: 'border-2 border-dashed border-ink font-bold',
  nothing: '',
}
const HYGIENE = {
  before: 'Before',
  order: 'Order of work',
  table: 'At the table',
  after: 'Heat and leftovers',
}
const hygiene = computed(() =>
  (['before', 'order', 'table', 'after'] as const)
    .map((when) => ({ when, notes: (session.plan?.hygiene ?? []).filter((h) => h.when === when) }))
    .filter((g) => g.notes.length > 0),
)
const sources = computed(() => [...new Set(session.plan?.hygiene.map((h) => h.source) ?? [])])
const text = ref('')
</script>

<template>
  <section v-if="session.plan" aria-label="Check" class="grid min-w-0 gap-5">
    <div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
      <p v-if="heads.length > 0" class="max-w-2xl">
        <span
          class="mr-1 inline-block size-3 rounded-full border-2 border-soft align-[-1px]"
          aria-hidden="true"
        />
        <span class="sr-only">A ring: </span>{{ checkKeyText(session.plan) }}
      </p>
      <p v-else-if="rows.length === 0" class="max-w-2xl">
        This recipe has no ingredient: there is nothing to look up yet.
      </p>
      <p v-else class="max-w-2xl">
        Nobody in this session has an allergy or a diet on the card. Ask again at the door.
      </p>
      <RouterLink class="btn" :to="`/session/${session.plan.session}/sheet`">Allergy sheet</RouterLink>
    </div>
    <div
      v-if="heads.length > 0"
      class="patch overflow-x-auto"
      tabindex="0"
      role="region"
      aria-label="Ingredients against children"
    >
      <table class="w-full border-collapse text-sm">
        <thead>
          <tr>
            <th scope="col" class="sticky left-0 z-10 bg-white p-2 text-left">
              <span class="sr-only">Ingredient</span>
            </th>
            <th v-for="h in heads" :key="h.child" scope="col" class="min-w-20 p-2 text-center align-bottom">
              <span class="mb-1 block" aria-hidden="true"
                ><Mat
                  :name="session.nameOf(h.child)"
                  :mat="matOf(h.child)"
                  size="small"
                  class="!size-8"
                  beside
              /></span>
              <span class="block text-base">{{ session.nameOf(h.child) }}</span>
              <span class="block text-xs font-normal text-soft">{{ h.about.map(about).join(', ') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.line" class="border-t border-line">
            <th scope="row" class="sticky left-0 z-10 bg-white p-2 text-left text-base">
              {{ row.name }}
              <span v-if="lines.get(row.line)?.only" class="block text-xs font-normal">{{
                lines.get(row.line)?.only === 'apart' ? 'own bowl only' : 'not in the own bowl'
              }}</span>
              <span v-if="recipeLine(row.line)" class="block text-xs font-normal text-soft"
                ><s
                  ><Amount :text="lines.get(row.line)?.recipeText ?? ''" />
                  {{ lines.get(row.line)?.swappedFrom }}</s
                ><br />now <Amount :text="lines.get(row.line)?.text ?? ''"
              /></span>
            </th>
            <td v-for="{ child: c } in heads" :key="c" class="p-1 text-center">
              <template v-if="row.meetings[c]">
                <span v-if="row.meetings[c].meeting === 'nothing'"
                  ><span
                    class="inline-block size-3 rounded-full border-2 border-soft"
                    aria-hidden="true"
                  /><span class="sr-only">{{ MEETING_WORDS.nothing }}</span></span
                >
                <span
                  v-else
                  class="block rounded-sm px-1.5 py-1.5 leading-tight"
                  :class="look[row.meetings[c].meeting]"
                >
                  {{ MEETING_WORDS[row.meetings[c].meeting]
                  }}<span class="block text-xs font-normal"
                    >{{ about(row.meetings[c].about)
                    }}{{ row.meetings[c].contact ? ', not eaten' : '' }}</span
                  ></span
                >
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div
      v-if="set && canChange && (set.decisions.length > 0 || set.stuck.length > 0)"
      class="patch flex flex-wrap items-center gap-x-4 gap-y-2 border-2 !border-ink p-3"
    >
      <p class="min-w-0 flex-1">
        <strong
          >One pot for all: {{ countText(set.decisions.length, 'change clears', 'changes clear') }}
          {{ set.stuck.length === 0 ? 'every line' : 'all but ' + set.stuck.join(', ') }}.</strong
        >
        {{ swapSetText(set) }}
        {{
          set.packets.length > 0
            ? `Then still to read: ${set.packets.join(', ')}.`
            : 'Packets are still read on the day.'
        }}
        <template v-if="set.stuck.length > 0">
          No good swap for {{ set.stuck.join(', ') }}: see other recipes below.
        </template>
      </p>
      <button
        v-if="set.decisions.length > 0"
        type="button"
        class="btn btn-main"
        @click="session.chooseAll(set.decisions)"
      >
        Make {{ set.decisions.length === 1 ? 'this change' : 'these changes' }}
      </button>
      <p v-if="ownBowl" class="flex w-full flex-wrap items-center gap-x-4 gap-y-2 border-t border-line pt-2">
        <span class="min-w-0 flex-1"
          ><strong>Or an {{ lowered(session.say(ownBowl.label)) }}.</strong> {{ ownBowl.cost }}.</span
        >
        <button type="button" class="btn" @click="session.choose(ownBowl.decision)">Set it apart</button>
      </p>
    </div>
    <OtherRecipes v-if="(set?.stuck.length ?? 0) > 0 || route.query['other']" />
    <div class="grid gap-5 lg:grid-cols-2">
      <section aria-labelledby="hygiene" class="patch p-4">
        <h2 id="hygiene" class="text-xl">Keep clean, keep apart</h2>
        <template v-for="group in hygiene" :key="group.when">
          <h3 class="mt-2 text-sm text-slate">{{ HYGIENE[group.when] }}</h3>
          <ul class="list-inside list-disc text-sm">
            <li v-for="h in group.notes" :key="h.says">{{ session.say(h.says) }}</li>
          </ul>
        </template>
        <details class="mt-2 text-sm text-soft">
          <summary class="min-h-6 cursor-pointer py-0.5">Where this comes from</summary>
          <ul>
            <li v-for="source in sources" :key="source">{{ source }}</li>
          </ul>
        </details>
      </section>
      <div class="grid content-start gap-5">
        <section aria-labelledby="reader" class="patch p-4">
          <h2 id="reader" class="text-xl">Read a label</h2>
          <label class="text-sm"
            >Paste or type the words of a packet; nothing is kept.
            <textarea v-model="text" class="field mt-1" rows="3" maxlength="6000" dir="auto" />
          </label>
          <LabelText v-if="text.trim()" class="mt-2" :text="text" />
        </section>
        <section aria-labelledby="read" class="patch p-4">
          <h2 id="read" class="text-xl">Packets read</h2>
          <p v-if="packets.length === 0" class="text-sm text-soft">
            None yet for this session. A line that asks has its button in the Settle panel; the register is in
            the
            <RouterLink class="underline" to="/cupboard">Cupboard</RouterLink>.
          </p>
          <ul v-else class="text-sm">
            <li v-for="p in packets" :key="p.food" class="border-t border-line py-1 first:border-0">
              <strong>{{ foods.of(p.food).name }}</strong>: read {{ timeText(p.at) }} by
              {{ p.readBy.map((id) => session.nameOf(id)).join(' and ') }};
              {{
                p.lists.length > 0
                  ? `lists ${p.lists.map(about).join(', ')}`
                  : 'nothing found of what was looked for'
              }}
              {{ p.may.length > 0 ? `; may contain ${p.may.map(about).join(', ')}` : '' }}
              {{ (p.open ?? []).length > 0 ? `; still to ask: ${(p.open ?? []).join(', ')}` : '' }}
            </li>
          </ul>
        </section>
      </div>
    </div>
  </section>
</template>
