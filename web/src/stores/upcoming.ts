import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Plan } from '@lea/core/plan'
import type { SessionCard } from '@lea/core/session'
import { type StoredSession, assemble } from '@lea/core/setting'
import { getCached } from '../offline-cache/answers'
import { inWords } from '../shared/api'
import { cardInWorker, cardOfInWorker } from '../workers/planner'
import { dayText, todayText } from '../shared/dates'
import { useSettingStore } from './setting'

/** What stands before a session, or why it has no plan. */
export type UpcomingEntry = { card: SessionCard } | { fault: string }

/** Each session to come at a glance, compiled in the worker one after another. */
export const useUpcoming = defineStore('upcoming', () => {
  const settingStore = useSettingStore()
  const standing = shallowRef<Record<string, UpcomingEntry>>({})
  let round = 0
  let takes = 0

  const ahead = computed(() =>
    settingStore.sessions
      .filter((s) => s.state !== 'finished' && s.date >= todayText())
      .sort((a, b) => order(a).localeCompare(order(b))),
  )
  const order = (s: StoredSession): string => `${s.date} ${s.start}`

  /** @param most so many of them, the next first */
  async function look(most = Infinity): Promise<void> {
    round += 1
    const mine = round
    for (const session of ahead.value.slice(0, most)) {
      const entry = await lookAt(session)
      if (mine !== round) return
      if (entry) standing.value = { ...standing.value, [session.id]: entry }
    }
  }

  async function lookAt(session: StoredSession): Promise<UpcomingEntry | null> {
    if (session.state === 'cooking') return ofTable(session)
    const recipe = settingStore.recipe(session.recipe)
    if (!settingStore.setting) return null
    if (!recipe) return { fault: 'Its recipe is gone.' }
    return cardInWorker(
      assemble(session, {
        setting: settingStore.setting,
        recipe,
        children: settingStore.children,
        adults: settingStore.adults,
      }),
    )
  }
  /** At the table: the plan that is in force. */
  async function ofTable(session: StoredSession): Promise<UpcomingEntry | null> {
    try {
      const { plan } = await getCached<{ plan: Plan | null }>(`/sessions/${session.id}`)
      return plan && { card: await cardOfInWorker(plan) }
    } catch (fault) {
      return { fault: inWords(fault) }
    }
  }

  /** The plan of a session as it has just become on its own page: nothing is compiled for it again. */
  async function take(plan: Plan): Promise<void> {
    takes += 1
    const mine = takes
    const card = await cardOfInWorker(plan)
    if (mine === takes) standing.value = { ...standing.value, [plan.session]: { card } }
  }

  const cardOf = (id: string): SessionCard | undefined => {
    const entry = standing.value[id]
    return entry && 'card' in entry ? entry.card : undefined
  }
  const faultOf = (id: string): string => {
    const entry = standing.value[id]
    return entry && 'fault' in entry ? entry.fault : ''
  }

  const next = computed(() => {
    const session = ahead.value[0]
    if (!session) return ''
    const title = settingStore.recipe(session.recipe)?.title ?? ''
    const when = `Next: ${title}, ${dayText(session.date)} ${session.start}`
    if (session.state === 'cooking') return `${when}, at the table now`
    const card = cardOf(session.id)
    return card && card.mustFix > 0 ? `${when}, ${card.short}` : when
  })

  return { standing, ahead, look, take, next, cardOf, faultOf }
})
