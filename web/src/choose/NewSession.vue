<script setup lang="ts">
/** A new session in four short answers: who, when, how long, what kind; then the shelf in the order in which it fits. */
import {
  type Component,
  computed,
  defineAsyncComponent,
  nextTick,
  onMounted,
  reactive,
  ref,
  watch,
} from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDebounceFn } from '@vueuse/core'
import { clockAfter, dayAfter, readMoney } from '@lea/core/amount'
import { type ShelfFilter, isWanted, themesOn } from '@lea/core/choose'
import { pictureOf } from '@lea/core/recipe'
import { type StoredGuest, type StoredSession, inputsOf } from '@lea/core/setting'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import Picture from '../parts/pictures/Picture.vue'
import StillLife from '../parts/pictures/StillLife.vue'
import { useSettingStore } from '../stores/setting'
import { useShelf, type ShelfEntry } from '../stores/shelf'
import { startPool } from '../workers/pool'
import { dayIn, dayText, todayText } from '../shared/dates'
import FitLine from './FitLine.vue'
import type { SessionAnswers } from './session-answers'
import FourAnswers from './FourAnswers.vue'
import ShelfWaiting from './ShelfWaiting.vue'
import { usePieces } from './usePieces'

const GuestForm = defineAsyncComponent(() => import('../parts/GuestForm.vue') as Promise<Component>)
const route = useRoute()
const router = useRouter()
const settingStore = useSettingStore()
const shelf = useShelf()
const ready = ref(false)
const fault = ref('')
const saving = ref(false)
const addingGuest = ref(false)

const answers = reactive<SessionAnswers>({
  children: [] as string[],
  guests: [] as StoredGuest[],
  adults: [] as string[],
  date: dayAfter(todayText(), 1),
  start: '10:15',
  minutes: 75,
  theme: '',
  heat: '',
  budget: '',
  fromCupboard: false,
})

startPool()
onMounted(async () => {
  await settingStore.load()
  answers.children = settingStore.children.map((c) => c.id)
  answers.adults = settingStore.adults.map((a) => a.id)
  // Asked for from Today.
  const day = dayIn(route.query['date'])
  if (day) answers.date = day
  // At home one cooks with what is there.
  answers.fromCupboard = settingStore.setting?.rules.kind === 'home'
  if (settingStore.setting?.rules.kind === 'library') answers.minutes = 45
  // What was filled in here is no changed answer.
  await nextTick()
  ready.value = true
  await look()
})

const until = computed(() => clockAfter(answers.start, answers.minutes))
const session = computed((): StoredSession => ({
  id: 'new',
  date: answers.date,
  start: answers.start,
  until: until.value,
  recipe: '',
  children: [...answers.children],
  guests: [...answers.guests],
  adults: [...answers.adults],
  seats: [...answers.children, ...answers.guests.map((g) => g.id)],
  decisions: [],
  state: 'planned',
}))
const budgetFault = ref('')
const budget = computed((): number | undefined => {
  if (answers.budget.trim() === '') return undefined
  try {
    return readMoney(answers.budget)
  } catch {
    return NaN
  }
})
watch(budget, (b) => {
  budgetFault.value = Number.isNaN(b)
    ? `'${answers.budget}' is not a price: write it such as 1.35 or 85p`
    : ''
})
const nobody = computed(() => answers.children.length + answers.guests.length === 0)

/** What stands on the shelf is of this group and day. */
const ours = ref(false)
async function look(): Promise<void> {
  if (!ready.value || nobody.value) return
  const wish = shelf.wishOf(session.value, {
    ...(answers.theme && { theme: answers.theme }),
    // A price that cannot be read is said at its field, and counts as none.
    ...(budget.value !== undefined && !Number.isNaN(budget.value) && { budget: budget.value }),
    ...(answers.fromCupboard && { fromCupboard: true }),
  })
  ours.value = true
  if (wish) await shelf.look(wish)
}
const soon = useDebounceFn(() => void look(), 250)
watch(
  answers,
  () => {
    if (!ready.value) return
    ours.value = false
    void soon()
  },
  { deep: true },
)

const themes = computed(() => themesOn(settingStore.recipes.map((r) => r.recipe)))
const filter = computed((): ShelfFilter => ({
  ...(answers.theme && { theme: answers.theme }),
  ...(answers.heat && { heat: answers.heat }),
}))
const wanted = computed(() => String(route.query['recipe'] ?? ''))
/** In the order of the shelf; a recipe that was asked for by name stands first. */
const list = computed(() => {
  const all = shelf.standing.filter((s) => isWanted(s.row.recipe, s.row.facts, filter.value, s.look))
  return [...all.filter((s) => s.row.id === wanted.value), ...all.filter((s) => s.row.id !== wanted.value)]
})
const waiting = computed(() => !ours.value || shelf.looking)
const lookOf = (id: string) => settingStore.recipes.find((r) => r.id === id)?.look
const { shown, next, more } = usePieces(list)

async function layOut(s: ShelfEntry, remedied: boolean): Promise<void> {
  fault.value = ''
  saving.value = true
  const input = inputsOf(session.value)
  const start = (remedied && s.remedy?.start) || input.start
  const decisions = remedied && s.remedy?.decisions ? s.remedy.decisions : s.look.decisions
  try {
    const made = await settingStore.addSession({ ...input, start, recipe: s.row.id }, decisions)
    await router.push(`/session/${made}/${settingStore.setting?.rules.kind === 'library' ? 'who' : 'weave'}`)
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    saving.value = false
  }
}
const canRemedy = (s: ShelfEntry): boolean => Boolean(s.remedy?.decisions ?? s.remedy?.start)
function addGuest(guest: StoredGuest): void {
  answers.guests.push(guest)
  addingGuest.value = false
}
</script>

<template>
  <main id="main" class="mx-auto max-w-[88rem] px-5 py-4">
    <h1 class="mb-3 text-3xl">What shall we make?</h1>
    <Notice v-if="settingStore.fault" tone="fault">{{ settingStore.fault }}</Notice>
    <p v-else-if="!ready" role="status">Opening your lists …</p>
    <div v-else class="grid items-start gap-5 lg:grid-cols-[25rem_minmax(0,1fr)]">
      <FourAnswers
        v-model="answers"
        :until="until"
        :themes="themes"
        :budget-fault="budgetFault"
        @guest="addingGuest = true"
      />
      <section aria-labelledby="the-shelf">
        <div class="mb-2 flex flex-wrap items-end justify-between gap-2 border-b border-ink pb-1">
          <h2 id="the-shelf" class="text-2xl">Recipes for {{ dayText(answers.date) }}</h2>
          <p role="status" class="text-sm text-soft">
            {{
              nobody
                ? ''
                : waiting
                  ? `Looked at ${shelf.done} of ${settingStore.recipes.length} recipes …`
                  : `${list.length} of ${settingStore.recipes.length} recipes, what fits best first`
            }}
          </p>
        </div>
        <Notice v-if="fault || shelf.fault" tone="fault" class="mb-2">{{ fault || shelf.fault }}</Notice>
        <Notice v-if="nobody">
          Nobody is chosen yet.
          <RouterLink v-if="settingStore.children.length === 0" class="underline" to="/children"
            >Begin with the children</RouterLink
          ><template v-if="settingStore.children.length === 0">, or add a guest above.</template>
        </Notice>
        <ShelfWaiting v-else-if="waiting && list.length === 0" wide />
        <Notice v-else-if="list.length === 0">No recipe is like that. Take a filter away.</Notice>
        <ol class="grid gap-3">
          <li
            v-for="(s, i) in nobody ? [] : shown"
            :key="s.row.id"
            class="patch grid gap-3 p-4 sm:grid-cols-[8rem_1fr_auto]"
          >
            <StillLife v-if="lookOf(s.row.id)" :look="lookOf(s.row.id)!" class="max-w-32" />
            <Picture v-else :name="pictureOf(s.row.recipe)" class="size-12" />
            <div class="min-w-0">
              <h3 class="text-xl leading-tight">{{ s.row.recipe.title }}</h3>
              <FitLine :standing="s" class="mt-1.5" :class="waiting ? 'invisible' : ''" />
            </div>
            <span class="flex flex-col items-stretch gap-1.5 sm:w-44">
              <button
                type="button"
                class="btn"
                :class="i === 0 && s.look.against.length === 0 ? 'btn-main' : ''"
                :disabled="saving || waiting"
                @click="layOut(s, false)"
              >
                {{
                  s.look.swaps.length > 1
                    ? 'Plan it with the swaps'
                    : s.look.swaps.length === 1
                      ? 'Plan it with the swap'
                      : 'Plan it'
                }}<span class="sr-only">: {{ s.row.recipe.title }}</span>
              </button>
              <button
                v-if="s.look.against.length > 0 && canRemedy(s)"
                type="button"
                class="btn"
                :disabled="saving || waiting"
                @click="layOut(s, true)"
              >
                With this change<span class="sr-only">: {{ s.row.recipe.title }}</span>
              </button>
            </span>
          </li>
        </ol>
        <button v-if="!nobody && next > 0" type="button" class="btn mt-3" @click="more">
          Show {{ next }} more
        </button>
      </section>
      <GuestForm v-if="addingGuest" @add="addGuest" @close="addingGuest = false" />
    </div>
  </main>
</template>
