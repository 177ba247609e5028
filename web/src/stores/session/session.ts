import { defineStore } from 'pinia'
import { computedAsync } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import {
  type Decision,
  type Plan,
  type PlanRequest,
  type Present,
  decide,
  decisionKey,
  openStops,
  undecide,
  whatChanged,
} from '@lea/core/plan'
import { childrenNotCoveredByPlan } from '@lea/core/session'
import { MADE_UP, type SessionInputs, type StoredSession, assemble, inputsOf } from '@lea/core/setting'
import { api, ApiFault, inWords } from '../../shared/api'
import { compileInWorker } from '../../workers/planner'
import { getCached, cacheAnswer } from '../../offline-cache/answers'
import { startedOffline } from '../../offline-cache/offline-starts'
import { reader } from '../../workers/reader'
import { useSettingStore } from '../setting'
import { improvingOf } from './improving'
import { madeUpHere, saveUnlessMadeUp } from './made-up'
import { namesOf } from './naming'
import { offlineSession } from './offline'
import { questions } from './questions'
import { isOlder, savingOf } from './saving'
import { startCooking } from './start-cooking'
import { tableActions } from './at-table'

type SessionAnswer = { session: StoredSession; plan: Plan | null }

/** One session: its inputs and decisions, and the plan derived from them at each change. */
export const useSession = defineStore('session', () => {
  const settingStore = useSettingStore()
  const stored = shallowRef<StoredSession | null>(null)
  const plan = shallowRef<Plan | null>(null)
  const planFault = ref('')
  const working = ref(false)
  const bowl = ref('')
  /** What the last change of who comes has changed, in one sentence (names as tokens). */
  const changed = ref('')
  /** At the table: the plan that would see somebody who came; not in force yet. */
  const preview = shallowRef<Plan | null>(null)
  /** What others have changed meanwhile is on the screen, and in the plan. */
  const saving = savingOf(stored, (session) => {
    if (stored.value?.id === session.id) void adopt(session)
  })
  const saveFault = saving.fault
  let asked = 0
  let opening = ''
  const { names, say, nameOf } = namesOf(stored)
  const stops = computed(() => (plan.value ? openStops(plan.value) : []))
  const frozen = computed(() => stored.value !== null && stored.value.state !== 'planned')
  const madeUp = computed(() => stored.value?.id === MADE_UP)
  const save = saveUnlessMadeUp(saving)

  const present = computed(() => [
    ...(stored.value?.children ?? []),
    ...(stored.value?.guests ?? []).map((g) => g.id),
  ])
  /** At the table: who came, or has another card than the plan in force was made for. */
  const arrived = computed(() =>
    plan.value && stored.value ? childrenNotCoveredByPlan(plan.value, atWork.value) : [],
  )
  /** What the cards ask now, worked out beside; of the session that was open when it was asked. */
  const cards = computedAsync(async () => {
    const session = stored.value
    if (session?.state !== 'cooking') return null
    return { session: session.id, present: await reader().atTable(session, settingStore.children) }
  }, null)
  const atWork = computed<Present[]>(() => {
    const known = cards.value?.session === stored.value?.id ? (cards.value?.present ?? []) : []
    return present.value.map((id) => known.find((p) => p.id === id) ?? { id })
  })

  function request(): PlanRequest | null {
    const session = stored.value
    const recipe = session && settingStore.recipe(session.recipe)
    if (!session || !recipe || !settingStore.setting) return null
    return assemble(session, {
      setting: settingStore.setting,
      recipe,
      children: settingStore.children,
      adults: settingStore.adults,
    })
  }

  /** The plan that is being made for the last change; whoever waits for an earlier one waits for it. */
  let latest: Promise<void> = Promise.resolve()
  function recompute(): Promise<void> {
    const wanted = request()
    if (!wanted || (frozen.value && arrived.value.length === 0)) return latest
    latest = planFor(wanted)
    return latest
  }

  async function planFor(wanted: PlanRequest): Promise<void> {
    asked += 1
    const mine = asked
    working.value = true
    const answer = await compileInWorker(wanted).catch((fault: unknown) => ({
      error: { field: '', says: inWords(fault) },
    }))
    if (mine !== asked) return latest
    working.value = false
    if (frozen.value) {
      preview.value = 'plan' in answer ? answer.plan : null
      return
    }
    stop()
    if ('plan' in answer) {
      show(answer.plan)
      improve()
    } else {
      plan.value = null
      planFault.value = answer.error.says
    }
  }

  // A card that turns out to have changed is planned for as somebody who comes.
  watch(arrived, (now) => {
    if (frozen.value && now.length > 0) void recompute()
  })

  function show(next: Plan): void {
    plan.value = next
    planFault.value = ''
    if (!next.bowls.some((b) => b.id === bowl.value)) bowl.value = next.bowls[0]?.id ?? ''
  }

  async function open(id: string): Promise<void> {
    if (stored.value?.id !== id) {
      stored.value = null
      plan.value = null
      planFault.value = ''
      bowl.value = ''
      changed.value = ''
      off.against.value = []
    }
    saving.seen()
    opening = id
    if (id === MADE_UP) {
      await settingStore.load()
      stored.value ??= madeUpHere(settingStore)
      return recompute()
    }
    try {
      // Beside the lists, not after them.
      const [answer] = await Promise.all([getCached<SessionAnswer>(`/sessions/${id}`), settingStore.load()])
      // Begun here, and not told yet: the table goes on from this device's plan.
      const begun = await startedOffline(id)
      // Somebody went on to another session meanwhile.
      if (opening !== id || isOlder(answer.session, stored.value)) return
      off.startedOffline.value = begun?.at ?? ''
      const known = saving.over(answer.session)
      stored.value = begun ? { ...known, state: 'cooking' } : known
      const inForce = begun?.plan ?? answer.plan
      if (inForce) show(inForce)
      await recompute()
    } catch (fault) {
      if (opening === id) planFault.value = inWords(fault)
    }
  }

  /** A session as the server has it now, with what is on its way to it. @returns whether it is another one than on the screen */
  async function adopt(session: StoredSession): Promise<boolean> {
    if (isOlder(session, stored.value)) return false
    const other = saving.take(session)
    if (other) await recompute()
    return other
  }

  /** The session as it is now: another device has changed the plan in force, or who is here. */
  async function refresh(): Promise<void> {
    const id = stored.value?.id
    if (!id || madeUp.value) return
    try {
      const answer = await api<SessionAnswer>('GET', `/sessions/${id}`)
      if (stored.value?.id !== id || isOlder(answer.session, stored.value)) return
      void cacheAnswer(`/sessions/${id}`, answer)
      const other = saving.take(answer.session)
      if (answer.plan && answer.plan.digest !== plan.value?.digest) show(answer.plan)
      await settingStore.loadChildren()
      const came = arrived.value.length > 0
      if (!came) preview.value = null
      if (other || came) await recompute()
    } catch (fault) {
      // That something is not saved is said until it is: another fault does not hide it.
      if (!saving.pending()) saveFault.value = inWords(fault)
    }
  }

  /** What the setting keeps, as it is now: somebody has changed a recipe, a rule, a card, a packet. A plan that it moves is made anew. */
  async function refreshSetting(): Promise<void> {
    const id = stored.value?.id
    const was = JSON.stringify(request())
    await settingStore.reload('setting', 'children', 'recipes', 'packets')
    if (stored.value?.id === id && JSON.stringify(request()) !== was) await recompute()
  }

  /** Several decisions at once: the smallest set of swaps. */
  const chooseAll = (decisions: readonly Decision[]): Promise<void> =>
    keepDecisions(decisions.reduce(decide, stored.value?.decisions ?? []))

  async function keepDecisions(decisions: Decision[]): Promise<void> {
    const before = stored.value
    if (!before) return
    stored.value = { ...before, decisions }
    // Sent at once, not after the plan: who reloads when the plan shows has it saved.
    const saved = save(before)
    await recompute()
    await saved
  }
  const choose = (decision: Decision): Promise<void> =>
    keepDecisions(decide(stored.value?.decisions ?? [], decision))
  const takeBack = (...decisions: Decision[]): Promise<void> =>
    keepDecisions(
      decisions.reduce((list, d) => undecide(list, decisionKey(d)), stored.value?.decisions ?? []),
    )

  /** Changes inputs (who, when, seats); what could not be saved stays on the screen and is said. */
  async function change(inputs: Partial<SessionInputs>): Promise<void> {
    const before = stored.value
    if (!before) return
    const was = plan.value
    stored.value = { ...before, ...inputs }
    const saved = save(before)
    await recompute()
    if ((inputs.children ?? inputs.guests) && plan.value) changed.value = whatChanged(was, plan.value)
    const fault = await saved
    if (!(fault instanceof ApiFault) || fault.status !== 400 || stored.value.id !== before.id) return
    stored.value = { ...stored.value, ...inputsOf(before) }
    await recompute()
  }

  const { improving, improvedBy, improveFault, effort, handAtJobs, improve, stop } = improvingOf({
    plan,
    frozen,
    request,
    show,
  })
  const table = tableActions({ stored, preview, show, recompute, after: saving.after })
  const off = offlineSession({ stored, plan, stops, effort, show, request, after: saving.after })
  const asks = questions({ stored, plan, request, recompute, after: saving.after })

  const cook = startCooking({
    stored,
    plan,
    effort,
    request,
    show,
    recompute,
    after: saving.after,
    settled: () => latest,
    cookOffline: off.cookOffline,
  })

  return {
    stored,
    plan,
    planFault,
    saveFault,
    conflicts: saving.conflicts,
    settleConflict: saving.settle,
    working,
    bowl,
    changed,
    preview,
    present,
    atWork,
    arrived,
    ...table,
    names,
    stops,
    frozen: computed(() => frozen.value || madeUp.value),
    madeUp,
    say,
    nameOf,
    open,
    refresh,
    refreshSetting,
    join: off.join,
    against: off.against,
    startedOffline: off.startedOffline,
    choose,
    chooseAll,
    takeBack,
    change,
    cook,
    recompute,
    ...asks,
    improving,
    improvedBy,
    improveFault,
    handAtJobs,
    request,
  }
})
