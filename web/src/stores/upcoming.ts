import { countText } from '@lea/core/amount'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Plan } from '@lea/core/plan'
import { type StoredSession, assemble } from '@lea/core/setting'
import { compileInWorker } from '../workers/planner'
import { dayText, todayText } from '../shared/dates'
import { useSettingStore } from './setting'

export interface UpcomingEntry {
  stops: number
  adults: number
  fault: string
}

/** What each session to come still has to settle, compiled in the worker one after another. */
export const useUpcoming = defineStore('upcoming', () => {
  const settingStore = useSettingStore()
  const standing = shallowRef<Record<string, UpcomingEntry>>({})
  let round = 0

  const ahead = computed(() =>
    settingStore.sessions
      .filter((s) => s.state !== 'finished' && s.date >= todayText())
      .sort((a, b) => order(a).localeCompare(order(b))),
  )
  const order = (s: StoredSession): string => `${s.date} ${s.start}`

  async function look(): Promise<void> {
    round += 1
    const mine = round
    for (const session of ahead.value) {
      const recipe = settingStore.recipe(session.recipe)
      if (session.state !== 'planned' || !recipe || !settingStore.setting) continue
      const answer = await compileInWorker(
        assemble(session, {
          setting: settingStore.setting,
          recipe,
          children: settingStore.children,
          adults: settingStore.adults,
        }),
      )
      if (mine !== round) return
      standing.value = {
        ...standing.value,
        [session.id]: standingOf(
          'plan' in answer ? answer.plan : null,
          'error' in answer ? answer.error.says : '',
        ),
      }
    }
  }

  const next = computed(() => {
    const session = ahead.value[0]
    if (!session) return ''
    const left = standing.value[session.id]
    const title = settingStore.recipe(session.recipe)?.title ?? ''
    const settle =
      left === undefined
        ? ''
        : left.stops === 0
          ? ', no stop'
          : `, ${countText(left.stops, 'stop')} to settle`
    return `Next: ${title}, ${dayText(session.date)} ${session.start}${session.state === 'cooking' ? ', at the table now' : settle}`
  })

  return { standing, ahead, look, next }
})

const standingOf = (plan: Plan | null, fault: string): UpcomingEntry => ({
  stops: plan?.findings.filter((f) => f.grade === 'stop').length ?? 0,
  adults: plan?.findings.filter((f) => f.grade === 'adult').length ?? 0,
  fault,
})
