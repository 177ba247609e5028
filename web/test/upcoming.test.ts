/** What is still to settle before the sessions to come: in their order, of the newest look only, and in words. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { dayAfter } from '@lea/core/amount'
import { todayText } from '../src/shared/dates'
import { useUpcoming } from '../src/stores/upcoming'

type Answer = { card: { mustFix: number; short: string } } | { fault: string }
let answers: Record<string, Answer>
let asked: string[]
/** Compiles wait here while they are held. */
let hold: Promise<void> | null
let sessions: StoredSession[]

vi.mock('../src/workers/planner', () => ({
  cardInWorker: async (of: { id: string }) => {
    asked.push(of.id)
    await hold
    return answers[of.id]
  },
  cardOfInWorker: async (plan: { of: string; slow?: Promise<void> }) => {
    await plan.slow
    return { mustFix: 0, short: `in force: ${plan.of}` }
  },
}))
vi.mock('../src/offline-cache/answers', () => ({
  getCached: (path: string) =>
    path.endsWith('/lost')
      ? Promise.reject(new Error('no network'))
      : Promise.resolve({ plan: { of: path.split('/').at(-1) } }),
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
const card = (mustFix: number): Answer => ({ card: { mustFix, short: `${mustFix} to fix` } })

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
  it('are looked at one after another, at the table the plan that is in force; a fault is said and holds up nobody', async () => {
    sessions = [
      session('a'),
      session('b', { start: '11:00' }),
      session('c', { start: '12:00', state: 'cooking' }),
    ]
    sessions.push(session('d', { start: '13:00', recipe: 'gone' }), session('e', { start: '14:00' }))
    sessions.push(session('lost', { start: '15:00', state: 'cooking' }))
    answers = {
      a: card(2),
      b: { fault: 'nobody is here' },
      e: card(0),
    }
    const upcoming = useUpcoming()
    await upcoming.look()
    expect(asked).toEqual(['a', 'b', 'e'])
    expect(upcoming.standing).toEqual({
      a: card(2),
      b: { fault: 'nobody is here' },
      c: { card: { mustFix: 0, short: 'in force: c' } },
      d: { fault: 'Its recipe is gone.' },
      e: card(0),
      lost: { fault: 'No network.' },
    })
    expect(upcoming.cardOf('b')).toBeUndefined()
    expect(upcoming.faultOf('b')).toBe('nobody is here')
    expect(upcoming.faultOf('a')).toBe('')
  })
  it('where only the next one is said, no other is looked at', async () => {
    sessions = [session('b', { start: '11:00' }), session('a')]
    answers = { a: card(1), b: card(0) }
    await useUpcoming().look(1)
    expect(asked).toEqual(['a'])
  })
  it('a look that was overtaken says nothing any more', async () => {
    sessions = [session('a')]
    answers = { a: card(1) }
    const upcoming = useUpcoming()
    let go: () => void = () => undefined
    hold = new Promise((done) => (go = done))
    const first = upcoming.look()
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    answers = { a: card(0) }
    const second = upcoming.look()
    go()
    await Promise.all([first, second])
    expect(upcoming.cardOf('a')?.mustFix).toBe(0)
  })
  it('what a session’s own page has made of its plan is said at once, the newest of it', async () => {
    sessions = [session('a')]
    answers = { a: card(1) }
    const upcoming = useUpcoming()
    await upcoming.look()
    expect(upcoming.next).toBe('Next: The soup, today 10:00, 1 to fix')
    type Made = Parameters<typeof upcoming.take>[0]
    let go: () => void = () => undefined
    const slow = new Promise<void>((done) => (go = done))
    const older = upcoming.take({ session: 'a', of: 'older', slow } as unknown as Made)
    await upcoming.take({ session: 'a', of: 'newer' } as unknown as Made)
    expect(upcoming.next).toBe('Next: The soup, today 10:00')
    go()
    await older
    expect(upcoming.cardOf('a')?.short).toBe('in force: newer')
  })
  it('the next one is said with what is to settle', async () => {
    sessions = []
    const upcoming = useUpcoming()
    expect(upcoming.next).toBe('')
    sessions = [session('a')]
    setActivePinia(createPinia())
    const again = useUpcoming()
    expect(again.next).toBe('Next: The soup, today 10:00')
    answers = { a: card(1) }
    await again.look()
    expect(again.next).toBe('Next: The soup, today 10:00, 1 to fix')
    answers = { a: card(0) }
    await again.look()
    expect(again.next).toBe('Next: The soup, today 10:00')
  })
})
