/** What is still to settle before the sessions to come: in their order, of the newest look only, and in words. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { dayAfter } from '@lea/core/amount'
import { todayText } from '../src/shared/dates'
import { useUpcoming } from '../src/stores/upcoming'

type Answer = { plan: { findings: { grade: string }[] } } | { error: { says: string } }
let answers: Record<string, Answer>
let asked: string[]
/** Compiles wait here while they are held. */
let hold: Promise<void> | null
let sessions: StoredSession[]

vi.mock('../src/workers/planner', () => ({
  compileInWorker: async (of: { id: string }) => {
    asked.push(of.id)
    await hold
    return answers[of.id]
  },
}))
vi.mock('@lea/core/setting', async (whole) => ({
  ...(await whole<typeof import('@lea/core/setting')>()),
  assemble: (session: StoredSession) => ({ id: session.id }),
}))
vi.mock('../src/stores/setting', () => ({
  useSettingStore: () => ({
    get sessions() {
      return sessions
    },
    recipe: (id: string) => (id === 'gone' ? undefined : { id, title: `The ${id}` }),
    setting: {},
    children: [],
    adults: [],
  }),
}))

const session = (id: string, more: Partial<StoredSession> = {}): StoredSession =>
  ({ id, date: todayText(), start: '10:00', state: 'planned', recipe: 'soup', ...more }) as StoredSession
const findings = (...grades: string[]): Answer => ({ plan: { findings: grades.map((grade) => ({ grade })) } })

beforeEach(() => {
  setActivePinia(createPinia())
  asked = []
  hold = null
  answers = {}
})

describe('sessions to come', () => {
  it('stand by day and hour; what is over or past is not among them', () => {
    const tomorrow = dayAfter(todayText(), 1)
    sessions = [
      session('late', { start: '14:00' }),
      session('tomorrow', { date: tomorrow, start: '09:00' }),
      session('early', { start: '09:30' }),
      session('done', { state: 'finished' }),
      session('past', { date: dayAfter(todayText(), -1) }),
      session('now', { start: '08:00', state: 'cooking' }),
    ]
    expect(useUpcoming().ahead.map((s) => s.id)).toEqual(['now', 'early', 'late', 'tomorrow'])
  })
  it('are looked at one after another, those that can still be planned alone; a fault is said and holds up nobody', async () => {
    sessions = [
      session('a'),
      session('b', { start: '11:00' }),
      session('c', { start: '12:00', state: 'cooking' }),
    ]
    sessions.push(session('d', { start: '13:00', recipe: 'gone' }), session('e', { start: '14:00' }))
    answers = {
      a: findings('stop', 'adult', 'know', 'stop'),
      b: { error: { says: 'nobody is here' } },
      e: findings(),
    }
    const upcoming = useUpcoming()
    await upcoming.look()
    expect(asked).toEqual(['a', 'b', 'e'])
    expect(upcoming.standing).toEqual({
      a: { stops: 2, adults: 1, fault: '' },
      b: { stops: 0, adults: 0, fault: 'nobody is here' },
      e: { stops: 0, adults: 0, fault: '' },
    })
  })
  it('a look that was overtaken says nothing any more', async () => {
    sessions = [session('a')]
    answers = { a: findings('stop') }
    const upcoming = useUpcoming()
    let go: () => void = () => undefined
    hold = new Promise((done) => (go = done))
    const first = upcoming.look()
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    answers = { a: findings() }
    const second = upcoming.look()
    go()
    await Promise.all([first, second])
    expect(upcoming.standing['a']?.stops).toBe(0)
  })
  it('the next one is said with what is to settle', async () => {
    sessions = []
    const upcoming = useUpcoming()
    expect(upcoming.next).toBe('')
    sessions = [session('a')]
    setActivePinia(createPinia())
    const again = useUpcoming()
    expect(again.next).toBe('Next: The soup, today 10:00')
    answers = { a: findings('stop') }
    await again.look()
    expect(again.next).toBe('Next: The soup, today 10:00, 1 stop to settle')
    answers = { a: findings() }
    await again.look()
    expect(again.next).toBe('Next: The soup, today 10:00, no stop')
  })
})
