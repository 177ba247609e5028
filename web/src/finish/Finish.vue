<script setup lang="ts">
/** After the last step: taste tokens without pressure, three lines to remember. */
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { TASTING_WORDS } from '@lea/core/learn'
import { TASTES, TASTE_WORDS, type Taste, openProbes, tally, voteTalk } from '@lea/core/session'
import BackToRecipe from './BackToRecipe.vue'
import CleanUp from './CleanUp.vue'
import FoodsMet from './FoodsMet.vue'
import Leftovers from './Leftovers.vue'
import LookBack from './LookBack.vue'
import Pictograph from './Pictograph.vue'
import Amount from '../parts/Amount.vue'
import Mat from '../parts/mats/Mat.vue'
import Notice from '../parts/Notice.vue'
import { useMats } from '../parts/mats/useMats'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'

const route = useRoute()
const router = useRouter()
const session = useSession()
const table = useTable()
const settingStore = useSettingStore()
const auth = useAuthStore()
const { matOf } = useMats()
const id = computed(() => String(route.params['id']))
const lines = ref(['', '', ''])
const LABELS = ['What worked', 'What to change', 'For next time']

/** Nothing can be tapped or written before the table is open: it would be of no table, or be written over. */
const ready = ref(false)
onMounted(async () => {
  await session.open(id.value)
  if (session.stored?.state === 'planned') {
    await router.replace(`/session/${id.value}/weave`)
    return
  }
  await table.open(id.value, () => void session.refresh(), session.join)
  lines.value = LABELS.map((_, i) => table.state.memo[i] ?? '')
  ready.value = true
})

onUnmounted(() => table.close())

const plan = computed(() => session.plan)
const cold = computed(() => (plan.value ? openProbes(plan.value, table.state) : []))
const tokens = computed(() => (plan.value ? tally(plan.value, table.state) : []))
const asks = computed(() => (plan.value ? voteTalk(plan.value, table.state.tastes) : []))
const storage = computed(() =>
  session.stored ? (settingStore.recipe(session.stored.recipe)?.storage ?? '') : '',
)
const said = (word: string): boolean => table.state.tasteWords.some((w) => w.word === word)
async function say(word: string): Promise<void> {
  if (!said(word)) await table.add({ kind: 'taste-word', body: { word } })
}

const taste = (child: string, choice: Taste): Promise<string> =>
  table.add({ kind: 'taste', body: { child, taste: choice } })

/** Who has no token yet: all of them at one tap, each changed by itself afterwards. */
const untasted = computed(
  () => plan.value?.children.filter((c) => table.state.tastes[c.id] === undefined).map((c) => c.id) ?? [],
)
async function tasteAll(choice: Taste): Promise<void> {
  for (const child of untasted.value) await taste(child, choice)
}

async function finish(): Promise<void> {
  await table.add({ kind: 'memo', body: { lines: lines.value.map((l) => l.trim().slice(0, 300)) } })
  if (!table.state.finished) await table.add({ kind: 'finish', body: {} })
  await table.send()
  if (table.waiting > 0) return
  await router.push(auth.isLeader() ? `/record/sessions/${id.value}` : '/today')
}
</script>

<template>
  <main id="main" class="px-5 py-4">
    <p v-if="!plan || !ready" role="status">{{ session.planFault || 'Clearing the table …' }}</p>
    <template v-else>
      <h1 class="text-3xl">Finish: {{ plan.recipe.title }}</h1>
      <p class="mb-4 text-soft">
        Hold up the tokens. A “not today” is a fine answer, and smelling counts as trying.
      </p>
      <Notice v-if="session.arrived.length > 0" tone="fault" class="mb-3">
        The plan does not know {{ session.arrived.map((a) => session.nameOf(a)).join(', ') }} as they are now:
        a card has changed, or somebody came. Nobody tastes before it does.
        <RouterLink class="underline" :to="`/session/${id}/cook`">Back to the table</RouterLink>
      </Notice>
      <Notice v-if="cold.length > 0" tone="fault" class="mb-3">
        Not shown to be cooked through: {{ cold.map((p) => p.name).join(', ') }}. Nobody eats of it before it
        is measured.
        <RouterLink class="underline" :to="`/session/${id}/cook`">Measure it</RouterLink>
      </Notice>
      <Notice v-if="table.waiting > 0" class="mb-3">{{ table.words }}. {{ table.fault }}</Notice>
      <div class="grid items-start gap-5 lg:grid-cols-[2fr_1fr]">
        <div class="grid gap-4">
          <section class="patch p-4" aria-label="Tastes">
            <div
              v-if="untasted.length > 1"
              role="group"
              aria-label="How was it for everybody"
              class="mb-2 flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2"
            >
              <span class="w-16 font-semibold sm:w-40">{{
                untasted.length === plan.children.length ? 'Everybody' : 'All others'
              }}</span>
              <span class="flex flex-1 flex-wrap gap-2">
                <button
                  v-for="t in TASTES"
                  :key="t"
                  type="button"
                  class="btn btn-table flex-1"
                  @click="tasteAll(t)"
                >
                  {{ TASTE_WORDS[t] }}
                </button>
              </span>
            </div>
            <ul class="grid gap-2">
              <li
                v-for="c in plan.children"
                :key="c.id"
                class="flex flex-wrap items-center gap-3 border-b border-line pb-2"
              >
                <span class="flex w-16 items-center gap-3 sm:w-40"
                  ><Mat :name="session.nameOf(c.id)" :mat="matOf(c.id)" size="seat"
                /></span>
                <span
                  role="group"
                  :aria-label="`How was it for ${session.nameOf(c.id)}`"
                  class="flex flex-1 flex-wrap gap-2"
                >
                  <button
                    v-for="t in TASTES"
                    :key="t"
                    type="button"
                    class="btn btn-table flex-1"
                    :class="table.state.tastes[c.id] === t ? '!bg-ink !text-white' : ''"
                    :aria-pressed="table.state.tastes[c.id] === t"
                    @click="taste(c.id, t)"
                  >
                    {{ TASTE_WORDS[t] }}
                  </button>
                </span>
              </li>
            </ul>
            <h2 class="mb-2 mt-5 text-xl">Foods that were met</h2>
            <FoodsMet :plan="plan" />
          </section>
          <LookBack :plan="plan" />
          <div class="grid items-start gap-4 md:grid-cols-2">
            <section class="patch p-4" aria-label="Leftovers and scraps">
              <h2 class="mb-1 text-xl">What is left</h2>
              <p v-if="storage" class="mb-1 text-sm">{{ storage }}</p>
              <Leftovers :id="id" :plan="plan" />
            </section>
            <section class="patch p-4" aria-label="Clearing up">
              <h2 class="mb-1 text-xl">Clearing up</h2>
              <CleanUp :plan="plan" />
            </section>
          </div>
        </div>
        <div class="grid gap-4">
          <section class="patch p-4" aria-label="All tokens together">
            <h2 class="mb-2 text-xl">Let us count</h2>
            <Pictograph :rows="tokens" />
            <ul v-if="asks.length > 0" class="mt-2" aria-label="What to ask of it">
              <li v-for="a in asks" :key="a.says" class="py-0.5">
                “<Amount :text="a.says" />”
                <span class="text-sm text-soft"><Amount v-if="a.answer" :text="a.answer" /></span>
              </li>
            </ul>
          </section>
          <section class="patch p-4" aria-label="Words for how it was">
            <h2 class="mb-1 text-xl">How was it?</h2>
            <p class="mb-2 text-sm text-soft">Tap the words that the children said.</p>
            <div v-for="(words, sense) in TASTING_WORDS" :key="sense" class="mb-2">
              <h3 class="text-sm">{{ sense }}</h3>
              <div class="flex flex-wrap gap-1.5">
                <button
                  v-for="w in words"
                  :key="w"
                  type="button"
                  class="btn !min-h-9 !px-2.5 !py-1 text-sm"
                  :class="said(w) ? '!bg-ink !text-white' : ''"
                  :aria-pressed="said(w)"
                  @click="say(w)"
                >
                  {{ w }}
                </button>
              </div>
            </div>
          </section>
          <BackToRecipe :plan="plan" />
          <section class="patch p-4">
            <h2 class="mb-2 text-xl">Three lines to remember</h2>
            <label v-for="(label, i) in LABELS" :key="label" class="mb-2 block font-semibold"
              >{{ label }}<input v-model="lines[i]" class="field mt-1 font-normal" maxlength="300"
            /></label>
            <div class="flex flex-wrap gap-2">
              <RouterLink class="btn" :to="`/session/${id}/cook`">Back to the table</RouterLink>
              <RouterLink v-if="auth.isLeader()" class="btn" :to="`/session/${id}/family`"
                >For the family</RouterLink
              >
              <button type="button" class="btn btn-main" @click="finish">
                {{ table.state.finished ? 'Save' : 'Close the session' }}
              </button>
            </div>
          </section>
        </div>
      </div>
    </template>
  </main>
</template>
