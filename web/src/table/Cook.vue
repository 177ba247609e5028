<script setup lang="ts">
/** The table view: one step, whose turn, what to say, what to watch. No typing, no holding, every tap taken back. */
import { useNow, useWakeLock } from '@vueuse/core'
import { Undo2, UserX, NotebookPen } from '@lucide/vue'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { turnText } from '@lea/core/plan'
import { againstPlan, newsAgeText } from '@lea/core/session'
import type { StoredGuest } from '@lea/core/setting'
import { onlyInPage } from '../offline-cache/outbox'
import Notice from '../parts/Notice.vue'
import Picture from '../parts/pictures/Picture.vue'
import { useMats } from '../parts/mats/useMats'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'
import GuestForm from '../parts/GuestForm.vue'
import { timeText } from '../shared/dates'
import ArrivalPanel from './gates/ArrivalPanel.vue'
import ChangeSheet from './sheets/ChangeSheet.vue'
import CookBar from './CookBar.vue'
import CorePanel from './gates/CorePanel.vue'
import CookHeader from './CookHeader.vue'
import CookStep from './step/CookStep.vue'
import Emergency from './sheets/Emergency.vue'
import GatePanel from './gates/GatePanel.vue'
import IncidentSheet from './sheets/IncidentSheet.vue'
import KeyHelp from './sheets/KeyHelp.vue'
import MeanwhileList from './step/Meanwhile.vue'
import SecondScreenSheet from './sheets/SecondScreenSheet.vue'
import NoteSheet from './sheets/NoteSheet.vue'
import TableSay from './step/TableSay.vue'
import TableTop from '../parts/mats/TableTop.vue'
import TableWatch from './step/TableWatch.vue'
import Timers from './Timers.vue'
import { useTableKeys } from './useTableKeys'
import { useTableNow } from './useTableNow'

const route = useRoute()
const router = useRouter()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const id = computed(() => String(route.params['id']))
const emergency = ref(false)
/** Whom the note is about; null while none is written. */
const noting = ref<string | null>(null)
const incident = ref(false)
const keyHelp = ref(false)
const someoneCame = ref(false)
const changing = ref(false)
const screen = ref(false)
async function arrive(guest: StoredGuest): Promise<void> {
  someoneCame.value = false
  refusal.value = (await session.arrive(guest)) ?? ''
}
const refusal = ref('')
const heading = ref<HTMLElement | null>(null)
const say = ref<{ simpler: () => void; harder: () => void } | null>(null)
const timer = ref<{ start: () => Promise<void> | void } | null>(null)
const { request: keepAwake, isSupported: canKeepAwake } = useWakeLock()
const now = useNow({ interval: 15000 })

onMounted(async () => {
  await session.open(id.value)
  if (session.stored?.state === 'planned') {
    await router.replace(`/session/${id.value}/weave`)
    return
  }
  await table.open(id.value, () => void session.refresh(), session.join)
  if (!table.state.begun) await table.add({ kind: 'begin', body: {} })
  if (canKeepAwake.value) await keepAwake('screen').catch(() => undefined)
})

onUnmounted(() => table.close())

const here = useTableNow()
const { plan, step, index, time, bowl, tasks, turn, gates } = here
const { shown, following, waiting, talk, timers, isLast, saying } = here
const pace = computed(() => {
  const begun = table.state.begun
  if (!plan.value || !begun) return ''
  const { behind, left } = againstPlan(
    plan.value,
    step.value,
    (now.value.getTime() + table.behind - Date.parse(begun)) / 1000,
  )
  return `${behind > 0 ? `${behind} min behind` : 'on time'} · ${left} min left`
})
/** Seconds since the server last said how things are. */
const age = computed(() => (now.value.getTime() && performance.now() - table.newsAt) / 1000)
const sending = computed(() =>
  session.startedOffline
    ? `begun without a network at ${timeText(session.startedOffline)}: ${table.kept} kept here`
    : table.waiting === 0
      ? table.fault
        ? 'no network, nothing waits'
        : newsAgeText(age.value) || 'all sent'
      : table.words,
)

watch(step, () => heading.value?.focus())

/** A tap that was meant for the turn before, which another device took in the same moment, is not taken for the next. */
const MOMENT_MS = 500
let moved = -MOMENT_MS
watch(
  () => turn.value?.turn.id,
  () => {
    if (performance.now() - table.heardAt() < 50) moved = performance.now()
  },
)
const isMeant = (): boolean => performance.now() - moved >= MOMENT_MS

async function done(): Promise<void> {
  if (!turn.value || gates.value.length > 0 || !isMeant()) return
  await table.add({ kind: 'turn', body: { turn: turn.value.turn.id, child: turn.value.turn.child } })
  heading.value?.focus()
}
async function notToday(): Promise<void> {
  if (!turn.value || !isMeant()) return
  await table.add({ kind: 'skip', body: { turn: turn.value.turn.id, child: turn.value.turn.child } })
  heading.value?.focus()
}
async function go(by: number): Promise<void> {
  const to = plan.value?.schedule[index.value + by]
  if (!to) {
    if (by > 0) await router.push(`/session/${id.value}/finish`)
    return
  }
  await table.add({ kind: 'step', body: { step: to.step } })
}
async function undo(): Promise<void> {
  await table.undo()
  heading.value?.focus()
}

const { on: keysOn } = useTableKeys({
  next: () => void (turn.value ? done() : go(1)),
  forward: () => void go(1),
  back: () => void go(-1),
  timer: () => void timer.value?.start(),
  simpler: () => say.value?.simpler(),
  harder: () => say.value?.harder(),
  note: () => (noting.value = ''),
  help: () => (keyHelp.value = true),
})
</script>

<template>
  <main id="main" class="flex min-h-dvh flex-col lg:h-dvh lg:min-h-0">
    <p v-if="!plan || !time || !bowl || !table.opened" role="status" class="p-6 text-xl">
      {{ session.planFault || 'Setting the table …' }}
      <RouterLink v-if="session.planFault" class="underline" to="/today">Back to Today</RouterLink>
    </p>
    <template v-else>
      <CookHeader :plan="plan" :step="step" :pace="`${pace} · ${sending}`" :to="`/session/${id}/weave`" />
      <Notice v-if="refusal" tone="fault" class="m-2 !py-2">{{ refusal }}</Notice>
      <Notice v-if="session.against.length > 0" tone="fault" class="m-2 !py-2">
        This table was begun without a network, by the plan of this device. With what is known now there would
        stand against it:
        <ul class="list-disc pl-5">
          <li v-for="a in session.against" :key="a">{{ session.say(a) }}</li>
        </ul>
        <button type="button" class="underline" @click="session.against = []">We have seen it</button>
      </Notice>
      <Notice v-if="table.refused" tone="fault" class="m-2 !py-2">
        The server did not take a tap: {{ table.refused }} It is not counted, and kept apart on this device
        until you sign out. The others went through.
      </Notice>
      <Notice v-if="table.fault && table.waiting > 0" class="m-2 !py-2">
        {{ table.fault }} {{ onlyInPage > 0 ? '' : 'Nothing that was tapped is lost; go on.' }}
      </Notice>
      <Notice v-if="onlyInPage > 0" tone="fault" class="m-2 !py-2">
        This device can write nothing down: {{ onlyInPage }} tapped here and not with the server yet. Leave
        this page open until it says “all sent”.
      </Notice>
      <div
        class="grid min-h-0 flex-1 gap-3 p-3 lg:grid-cols-[minmax(15rem,1fr)_minmax(20rem,1.4fr)_minmax(15rem,0.9fr)]"
      >
        <section class="patch min-h-0 overflow-y-auto p-2" aria-label="The table" tabindex="0">
          <div
            v-if="plan.bowls.length > 1"
            class="mb-1 flex flex-wrap gap-1.5"
            role="group"
            aria-label="Which bowl this screen is at"
          >
            <button
              v-for="b in plan.bowls"
              :key="b.id"
              type="button"
              class="min-h-14 flex-1 rounded-patch border-2 px-2 font-semibold"
              :class="b.id === bowl.id ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
              :aria-pressed="b.id === bowl.id"
              @click="session.bowl = b.id"
            >
              {{ b.name }}
            </button>
          </div>
          <TableTop
            class="mt-6"
            :seats="bowl.children"
            :names="session.nameOf"
            :mats="matOf"
            :turn="gates.length === 0 ? (turn?.turn.child ?? null) : null"
            :fullness="shown && shown.task.measured ? shown.fullness : null"
            :fill="shown?.fill ?? ''"
            pickable
            :movable="false"
            @pick="(child) => (noting = child)"
          />
          <p v-if="following.length > 0" class="pt-7 text-center text-soft">
            next: {{ following.join(', then ') }}
          </p>
          <MeanwhileList :waiting="waiting" />
        </section>
        <section
          class="patch min-h-0 overflow-y-auto p-4 max-lg:order-first"
          aria-label="The step"
          tabindex="0"
        >
          <ArrivalPanel v-if="gates[0]?.gate === 'arrival'" />
          <CorePanel v-else-if="gates[0]?.gate === 'core'" :need="gates[0]" />
          <!-- The same gate stays as it is while others are heard: what is chosen is kept. -->
          <GatePanel v-else-if="gates[0]" :key="JSON.stringify(gates[0])" :need="gates[0]" />
          <template v-else>
            <div class="flex items-center gap-3">
              <Picture :name="time.picture" class="size-12 shrink-0" />
              <h1 ref="heading" tabindex="-1" class="text-4xl leading-tight outline-none">
                {{ time.title }}
              </h1>
            </div>
            <CookStep
              :tasks="tasks"
              :shown="shown"
              :turn="turn?.turn ?? null"
              :says="time.says ?? ''"
              :words="turn ? turnText(turn.task.task, turn.turn.number) : ''"
              @tap="done"
            />
            <div class="mt-3 grid grid-cols-3 gap-3">
              <button type="button" class="btn btn-table" :disabled="!table.canUndo" @click="undo">
                <Undo2 class="size-5" aria-hidden="true" />undo
              </button>
              <button type="button" class="btn btn-table" :disabled="!turn" @click="notToday">
                <UserX class="size-5" aria-hidden="true" />not today
              </button>
              <button type="button" class="btn btn-table" @click="noting = ''">
                <NotebookPen class="size-5" aria-hidden="true" />note
              </button>
            </div>
          </template>
        </section>
        <div class="grid min-h-0 gap-3 lg:grid-rows-[minmax(0,1.7fr)_minmax(0,1fr)]">
          <TableSay ref="say" :talk="talk" :now="saying" :children="bowl.children" />
          <TableWatch
            :plan="plan"
            :step="step"
            :next="plan.schedule[index + 1]?.step ?? ''"
            :bowl="bowl.id"
          />
        </div>
      </div>
      <CookBar
        :doer="turn ? session.nameOf(turn.turn.child) : null"
        :blocked="gates.length > 0"
        :first="index <= 0"
        :last="isLast"
        :show="`/session/${id}/show`"
        @back="go(-1)"
        @next="go(1)"
        @done="done"
        @change="changing = true"
        @screen="screen = true"
        @keys="keyHelp = true"
        @emergency="emergency = true"
        ><Timers ref="timer" :name="time.title" :offers="timers"
      /></CookBar>
      <Emergency v-if="emergency" @close="emergency = false" />
      <NoteSheet
        v-if="noting !== null"
        :children="bowl.children"
        :task="shown?.task"
        :about="noting"
        @close="noting = null"
        @incident="((noting = null), (incident = true))"
      />
      <IncidentSheet v-if="incident" @close="incident = false" />
      <ChangeSheet
        v-if="changing"
        :step="step"
        @came="((changing = false), (someoneCame = true))"
        @close="changing = false"
      />
      <GuestForm v-if="someoneCame" @add="arrive" @close="someoneCame = false" />
      <SecondScreenSheet v-if="screen" :session="id" :bowl="bowl.id" @close="screen = false" />
      <KeyHelp v-if="keyHelp" v-model:on="keysOn" @close="keyHelp = false" />
    </template>
  </main>
</template>
