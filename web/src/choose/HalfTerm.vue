<script setup lang="ts">
/** Some weeks of sessions laid out, so that techniques, targets and foods come round; moved about by hand, then added to the days to come. */
import { computed, onMounted, reactive, ref } from 'vue'
import { ArrowDown, ArrowUp, Pin } from '@lucide/vue'
import { countText, clockAfter, dayAfter, weekdayOf } from '@lea/core/amount'
import { type TermPlan, type TermProblem, termDays, termRecipes } from '@lea/core/choose'
import { techniqueOf } from '@lea/core/craft'
import { targetOf } from '@lea/core/learn'
import { pictureOf } from '@lea/core/recipe'
import { type StoredSession, inputsOf } from '@lea/core/setting'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import Picture from '../parts/pictures/Picture.vue'
import { useSettingStore } from '../stores/setting'
import { useShelf } from '../stores/shelf'
import { dayText, todayText } from '../shared/dates'
import { termInWorker } from '../workers/shelf'

const settingStore = useSettingStore()
const shelf = useShelf()
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const input = reactive({
  from: dayAfter(todayText(), 1),
  weeks: 6,
  weekdays: [weekdayOf(dayAfter(todayText(), 1))],
  start: '10:15',
  minutes: 75,
})
const plan = ref<TermPlan | null>(null)
const pins = ref<Record<string, string>>({})
const working = ref(false)
const fault = ref('')
const sent = ref(0)
const sending = ref(false)

onMounted(async () => {
  await settingStore.load()
  // As it was done last: that weekday, that hour.
  const last = [...settingStore.sessions].sort((a, b) => (a.date < b.date ? 1 : -1))[0]
  if (last) {
    input.weekdays = [weekdayOf(last.date)]
    input.start = last.start
  }
  // Whoever opens this page wants weeks: they are laid out by what was done last, and again by the button.
  if (settingStore.children.length > 0) await layOut()
})

const taken = computed(() => new Set(settingStore.sessions.map((s) => s.date)))
const dates = computed(() => termDays(input.from, input.weeks, input.weekdays))
const filled = computed(() => plan.value?.days.filter((d) => d.recipe).length ?? 0)
/** Days that have a session already stay as they are; what is made on them counts. */
const free = computed(() => dates.value.filter((d) => !taken.value.has(d)))
const session = (date: string): StoredSession => ({
  id: 'term',
  date,
  start: input.start,
  until: clockAfter(input.start, input.minutes),
  recipe: '',
  children: settingStore.children.map((c) => c.id),
  guests: [],
  adults: settingStore.adults.map((a) => a.id),
  seats: [],
  decisions: [],
  state: 'planned',
})

async function layOut(): Promise<void> {
  const [first] = free.value
  if (!first) return
  working.value = true
  fault.value = ''
  sent.value = 0
  try {
    const wish = shelf.wishOf(session(first))
    if (wish) await shelf.look(wish)
    await work()
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    working.value = false
  }
}
/** Only what this group can make comes into a term; what a person set stays whatever it is. */
const problem = computed((): TermProblem => {
  const fine = shelf.standing.filter(
    (s) => s.look.against.length === 0 || Object.values(pins.value).includes(s.row.id),
  )
  return {
    days: free.value.map((date) => ({ date, ...(pins.value[date] && { pinned: pins.value[date] }) })),
    recipes: termRecipes(
      fine.map((s) => ({ id: s.row.id, recipe: s.row.recipe, targets: s.look.figures.targets })),
    ),
    beside: settingStore.sessions.map((s) => ({ date: s.date, recipe: s.recipe })),
    targets: settingStore.setting?.rules.targets ?? [],
  }
})
async function work(): Promise<void> {
  plan.value = await termInWorker(JSON.parse(JSON.stringify(problem.value)) as TermProblem)
}
const titleOf = (id: string): string => settingStore.recipe(id)?.title ?? ''
const pictureFor = (id: string): string => {
  const recipe = settingStore.recipe(id)
  return recipe ? pictureOf(recipe) : 'bowl'
}

/** What a person moves is set, and stays when the rest is laid out anew. */
async function set(changes: Record<string, string>): Promise<void> {
  pins.value = { ...pins.value, ...changes }
  await work()
}
async function exchange(i: number, j: number): Promise<void> {
  const [a, b] = [plan.value?.days[i], plan.value?.days[j]]
  if (a && b) await set({ [a.date]: b.recipe, [b.date]: a.recipe })
}
async function unpin(date: string): Promise<void> {
  pins.value = Object.fromEntries(Object.entries(pins.value).filter(([d]) => d !== date))
  await work()
}
const dragged = ref(-1)

async function send(): Promise<void> {
  fault.value = ''
  sending.value = true
  const swaps = new Map(shelf.standing.map((s) => [s.row.id, s.look.decisions]))
  try {
    for (const day of plan.value?.days ?? []) {
      if (!day.recipe || taken.value.has(day.date)) continue
      const inputs = inputsOf(session(day.date))
      await settingStore.addSession({ ...inputs, recipe: day.recipe }, swaps.get(day.recipe) ?? [])
      sent.value += 1
    }
    plan.value = null
    pins.value = {}
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    sending.value = false
  }
}
const missing = computed(() => {
  const m = plan.value?.missing
  if (!m) return []
  return [
    ...m.targets.map((t) => `target: ${targetOf(t)?.says ?? t}`),
    ...m.techniques.map((t) => techniqueOf(t)?.name ?? t),
  ]
})
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4">
    <h1 class="text-3xl">Plan several weeks</h1>
    <p class="mb-3 text-soft">
      Only what your whole group can make. Lea mixes jobs, goals and foods, and repeats nothing too soon.
    </p>
    <Notice v-if="settingStore.fault" tone="fault">{{ settingStore.fault }}</Notice>
    <p v-else-if="!settingStore.loaded" role="status">Opening your lists …</p>
    <template v-else>
      <form class="patch mb-4 flex flex-wrap items-end gap-4 p-4" @submit.prevent="layOut">
        <label class="text-sm font-semibold"
          >From<input v-model="input.from" type="date" class="field mt-1 font-normal"
        /></label>
        <label class="block text-sm font-semibold"
          >Weeks<input
            v-model.number="input.weeks"
            type="number"
            min="1"
            max="20"
            class="field mt-1 block !w-20 font-normal"
        /></label>
        <fieldset>
          <legend class="text-sm font-semibold">On</legend>
          <span class="flex flex-wrap gap-x-3 gap-y-1 pt-2">
            <label v-for="(w, i) in WEEKDAYS" :key="w" class="flex items-center gap-1 text-sm"
              ><input v-model="input.weekdays" type="checkbox" :value="i" class="size-5" />{{ w }}</label
            >
          </span>
        </fieldset>
        <label class="text-sm font-semibold"
          >Begins at<input v-model="input.start" type="time" class="field mt-1 font-normal"
        /></label>
        <label class="text-sm font-semibold"
          >Minutes<input
            v-model.number="input.minutes"
            type="number"
            min="10"
            max="240"
            class="field mt-1 block !w-20 font-normal"
        /></label>
        <button
          type="submit"
          class="btn btn-main"
          :disabled="working || free.length === 0 || settingStore.children.length === 0"
        >
          Plan these weeks
        </button>
      </form>
      <Notice v-if="settingStore.children.length === 0"
        >Nobody is on your lists yet: begin with
        <RouterLink class="underline" to="/children">the children</RouterLink>.</Notice
      >
      <Notice v-if="fault || shelf.fault" tone="fault" class="mb-3">{{ fault || shelf.fault }}</Notice>
      <p v-if="working" role="status">
        Looking at {{ shelf.of }} recipes with this group: {{ shelf.done }} done …
      </p>
      <p v-else-if="sent > 0 && !sending" role="status" class="mb-3 font-semibold">
        {{ countText(sent, 'session is', 'sessions are') }} planned.
        <RouterLink class="underline" to="/today">See them under Today</RouterLink>.
      </p>
      <template v-if="plan && !working">
        <ol>
          <li
            v-for="(day, i) in plan.days"
            :key="day.date"
            class="grid items-center gap-3 border-t border-ink py-2 sm:grid-cols-[11rem_1fr_auto]"
            @dragover.prevent
            @drop.prevent="exchange(dragged, i)"
          >
            <h2 class="text-lg">{{ dayText(day.date) }}</h2>
            <div
              class="patch flex cursor-grab items-center gap-3 p-2.5"
              draggable="true"
              @dragstart="dragged = i"
              @dragend="dragged = -1"
            >
              <Picture :name="pictureFor(day.recipe)" class="size-9 shrink-0" />
              <div class="min-w-0 flex-1">
                <p class="font-title text-lg font-bold leading-tight">
                  {{ titleOf(day.recipe) || 'nothing fits' }}
                </p>
                <p class="text-sm text-soft">{{ day.why.join(' · ') }}</p>
              </div>
              <button
                v-if="day.pinned"
                type="button"
                class="flex items-center gap-1 text-sm underline"
                @click="unpin(day.date)"
              >
                <Pin class="size-4" aria-hidden="true" />Fixed: undo
              </button>
            </div>
            <span class="flex items-center gap-1">
              <label class="sr-only" :for="`other-${i}`">Another recipe on {{ dayText(day.date) }}</label>
              <select
                :id="`other-${i}`"
                class="field w-40"
                :value="day.recipe"
                @change="set({ [day.date]: ($event.target as HTMLSelectElement).value })"
              >
                <option v-for="s in shelf.standing" :key="s.row.id" :value="s.row.id">
                  {{ s.row.recipe.title
                  }}{{ s.look.against.length > 0 ? ` (${countText(s.look.against.length, 'problem')})` : '' }}
                </option>
              </select>
              <button
                type="button"
                class="btn"
                :disabled="i === 0"
                :aria-label="`Earlier: ${titleOf(day.recipe)}`"
                @click="exchange(i, i - 1)"
              >
                <ArrowUp class="size-4" aria-hidden="true" />
              </button>
              <button
                type="button"
                class="btn"
                :disabled="i === plan.days.length - 1"
                :aria-label="`Later: ${titleOf(day.recipe)}`"
                @click="exchange(i, i + 1)"
              >
                <ArrowDown class="size-4" aria-hidden="true" />
              </button>
            </span>
          </li>
        </ol>
        <p v-if="dates.length > free.length" class="border-t border-ink pt-2 text-sm text-soft">
          {{ countText(dates.length - free.length, 'day has', 'days have') }} a session already; it stays, and
          counts.
        </p>
        <details v-if="missing.length > 0" class="mt-3">
          <summary class="cursor-pointer font-semibold">
            {{ missing.length }} that your recipes have do not come up in these weeks
          </summary>
          <p class="text-sm">{{ missing.join(', ') }}</p>
        </details>
        <p class="mt-4 flex flex-wrap items-center gap-3">
          <button v-if="filled > 0" type="button" class="btn btn-main" :disabled="sending" @click="send">
            Add {{ countText(filled, 'session') }}
          </button>
          <span v-else>{{
            free.length === 0
              ? 'Every day of these weeks has a session already.'
              : 'No recipe fits these days: there is nothing to add.'
          }}</span>
          <span v-if="sending" role="status">{{ sent }} sent …</span>
        </p>
      </template>
    </template>
  </main>
</template>
