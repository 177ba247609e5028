<script setup lang="ts">
/** After the last step: taste tokens without pressure, three lines to remember. */
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { TASTE_WORDS, TASTES, TASTING_WORDS, voteTalk, type Taste } from '@lea/core'
import Amount from '../parts/Amount.vue'
import Mat from '../parts/Mat.vue'
import Notice from '../parts/Notice.vue'
import { useMats } from '../parts/useMats'
import { useDoor } from '../stores/door'
import { useHouse } from '../stores/house'
import { useSession } from '../stores/session'
import { useTable } from '../stores/table'

const route = useRoute()
const router = useRouter()
const session = useSession()
const table = useTable()
const house = useHouse()
const door = useDoor()
const { matOf } = useMats()
const id = computed(() => String(route.params['id']))
const lines = ref(['', '', ''])
const LABELS = ['What worked', 'What to change', 'For next time']

onMounted(async () => {
  await session.open(id.value)
  if (session.stored?.state === 'planned') {
    await router.replace(`/session/${id.value}/weave`)
    return
  }
  await table.open(id.value, () => void session.refresh(), session.join)
  lines.value = LABELS.map((_, i) => table.state.memo[i] ?? '')
})

onUnmounted(() => table.close())

const plan = computed(() => session.plan)
const tally = computed(() =>
  TASTES.map((t) => ({
    taste: t,
    who: Object.entries(table.state.tastes)
      .filter(([, x]) => x === t)
      .map(([c]) => c),
  })),
)
const asks = computed(() => (plan.value ? voteTalk(plan.value, table.state.tastes) : []))
const storage = computed(() => (session.stored ? (house.recipe(session.stored.recipe)?.storage ?? '') : ''))

const taste = (child: string, choice: Taste): Promise<string> =>
  table.add({ kind: 'taste', body: { child, taste: choice } })

async function finish(): Promise<void> {
  await table.add({ kind: 'memo', body: { lines: lines.value.map((l) => l.trim().slice(0, 300)) } })
  if (!table.state.finished) await table.add({ kind: 'finish', body: {} })
  await table.send()
  if (table.waiting > 0) return
  await router.push(door.isLeader() ? `/record/sessions/${id.value}` : '/diary')
}
</script>

<template>
  <main id="main" class="px-5 py-4">
    <p v-if="!plan" role="status">{{ session.planFault || 'Clearing the table …' }}</p>
    <template v-else>
      <h1 class="text-3xl">Finish: {{ plan.recipe.title }}</h1>
      <p class="mb-4 text-soft">
        Hold up the tokens. A “not today” is a fine answer, and smelling counts as trying.
      </p>
      <Notice v-if="table.waiting > 0" class="mb-3"
        >{{ table.waiting }} kept on this device, not sent yet. {{ table.fault }}</Notice
      >
      <div class="grid items-start gap-5 lg:grid-cols-[2fr_1fr]">
        <section class="patch p-4" aria-label="Tastes">
          <ul class="grid gap-2">
            <li
              v-for="c in plan.children"
              :key="c.id"
              class="flex flex-wrap items-center gap-3 border-b border-line pb-2"
            >
              <span class="flex w-40 items-center gap-3"
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
        </section>
        <div class="grid gap-4">
          <section class="patch p-4" aria-label="All tokens together">
            <h2 class="mb-2 text-xl">Let us count</h2>
            <div
              v-for="row in tally"
              :key="row.taste"
              class="mb-2 flex items-center gap-2 border-b border-line pb-2"
            >
              <span class="w-28">{{ TASTE_WORDS[row.taste] }}</span>
              <span class="flex flex-1 flex-wrap gap-0.5"
                ><Mat v-for="c in row.who" :key="c" :name="session.nameOf(c)" :mat="matOf(c)"
              /></span>
              <span class="numeral text-2xl">{{ row.who.length }}</span>
            </div>
            <ul v-if="asks.length > 0" class="mt-2" aria-label="What to ask of it">
              <li v-for="a in asks" :key="a.says" class="py-0.5">
                “<Amount :text="a.says" />” <span class="text-sm text-soft"><Amount :text="a.answer" /></span>
              </li>
            </ul>
          </section>
          <section class="patch p-4" aria-label="Words for how it was">
            <h2 class="mb-1 text-xl">How was it?</h2>
            <dl class="grid grid-cols-[5rem_1fr] text-sm">
              <template v-for="(words, sense) in TASTING_WORDS" :key="sense">
                <dt class="font-semibold">{{ sense }}</dt>
                <dd>{{ words.join(', ') }}</dd>
              </template>
            </dl>
          </section>
          <section class="patch p-4">
            <h2 class="mb-2 text-xl">Three lines to remember</h2>
            <label v-for="(label, i) in LABELS" :key="label" class="mb-2 block font-semibold"
              >{{ label }}<input v-model="lines[i]" class="field mt-1 font-normal" maxlength="300"
            /></label>
            <p v-if="storage" class="mb-2 text-sm text-soft">Leftovers: {{ storage }}</p>
            <div class="flex gap-2">
              <RouterLink class="btn" :to="`/session/${id}/cook`">Back to the table</RouterLink>
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
