/** The open session: what is said of a change is said of the plan that knows it, and cooking begins by the plan of the last change. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createPinia, setActivePinia } from 'pinia'
import type { PlanRequest } from '@lea/core/plan'
import type { StoredSession } from '@lea/core/setting'

/** Each compile waits until it is let go, in any order; its plan's digest names who was planned for. */
let waiting: { for: string; go: () => void }[] = []
let made: string[] = []
const planFor = (children: readonly string[]) => ({
  digest: `for ${children.join('+')}`,
  bowls: [{ id: 'b' }],
  findings: [],
  totals: { seconds: 60, bound: { seconds: 60 } },
  children: children.map((id) => ({ id })),
})

vi.mock('../src/workers/planner', () => ({
  compileInWorker: (request: PlanRequest) =>
    new Promise((done) => {
      const children = request.children as unknown as string[]
      waiting.push({
        for: children.join('+'),
        go: () => {
          made.push(children.join('+'))
          done({ plan: planFor(children), took: 1 })
        },
      })
    }),
  refineInWorker: () => new Promise(() => undefined),
}))
vi.mock('../src/workers/reader', () => ({ reader: () => ({ atTable: async () => [] }) }))
vi.mock('@lea/core/setting', async (whole) => ({
  ...(await whole<typeof import('@lea/core/setting')>()),
  assemble: (session: StoredSession, { recipe }: { recipe: unknown }) => ({
    children: session.children,
    recipe,
  }),
}))
vi.mock('@lea/core/plan', async (whole) => ({
  ...(await whole<typeof import('@lea/core/plan')>()),
  whatChanged: (was: { digest: string } | null, now: { digest: string }) => `${was?.digest} → ${now.digest}`,
}))
vi.mock('../src/offline-cache/answers', () => ({
  getCached: async () => ({ session, plan: null }),
  cacheAnswer: async () => undefined,
}))
vi.mock('../src/offline-cache/offline-starts', () => ({ startedOffline: async () => null }))
vi.mock('../src/stores/setting', () => ({
  useSettingStore: () => ({
    load: async () => undefined,
    loadChildren: async () => undefined,
    recipe: () => ({ id: 'soda-bread', about }),
    reload: async () => {
      about = others.join('+')
    },
    setting: {},
    children: [],
    adults: [],
    names: new Map(),
  }),
}))

/** What the recipe says; another page changes it. */
let about = ''
const session = {
  id: 'one',
  date: '2026-11-27',
  start: '10:00',
  until: '11:00',
  recipe: 'soda-bread',
  children: ['a'],
  guests: [],
  adults: ['p'],
  seats: [],
  decisions: [],
  state: 'planned',
  version: 1,
} as unknown as StoredSession

/** What came to the server; its session after each change has somebody whom another device has added. */
let came: { path: string; body: Record<string, unknown> }[]
let others: string[]
/** The network is gone. */
let offline = false
/** An answer to "how is it now?" that waits. */
let asked: (() => void) | null
beforeEach(() => {
  waiting = []
  made = []
  came = []
  others = []
  asked = null
  offline = false
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    if (offline) throw new TypeError('Failed to fetch')
    came.push({ path, body: JSON.parse(String(init.body ?? '{}')) as Record<string, unknown> })
    if (path.endsWith('/cook'))
      return new Response(JSON.stringify({ session: { ...session, state: 'cooking' }, plan: planFor(['x']) }))
    if (init.method === 'GET') {
      // Answered by what was there when it was asked, and on its way for long.
      await new Promise<void>((go) => (asked = go))
      return new Response(JSON.stringify({ session, plan: null }))
    }
    return new Response(
      JSON.stringify({ session: { ...session, version: 2, children: ['a', 'b', ...others] } }),
    )
  })
})
const until = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 2 })

async function opened() {
  const { useSession } = await import('../src/stores/session/session')
  const store = useSession()
  const open = store.open('one')
  await until(() => expect(waiting).toHaveLength(1))
  waiting[0]?.go()
  await open
  expect(store.plan?.digest).toBe('for a')
  return store
}
const plansOf = (who: string) => waiting.filter((w) => w.for === who)

describe('a change whose plan is overtaken by another', () => {
  for (const order of ['in order', 'the later one first'] as const)
    it(`is said of the plan that is on the screen: ${order}`, async () => {
      const store = await opened()
      others = ['c']
      const change = store.change({ children: ['a', 'b'] })
      // The server's answer knows of somebody more: planned anew, while the first plan is still under way.
      await until(() => expect(plansOf('a+b+c')).toHaveLength(1))
      const both = [...plansOf('a+b'), ...plansOf('a+b+c')]
      for (const one of order === 'in order' ? both : both.reverse()) {
        one.go()
        await new Promise((next) => setTimeout(next, 5))
      }
      await change
      expect(store.plan?.digest).toBe('for a+b+c')
      expect(store.changed).toBe('for a → for a+b+c')
      expect(store.working).toBe(false)
    })
})

describe('cooking that begins at the moment of a change', () => {
  it('waits for the plan of that change, and names it to the server', async () => {
    const store = await opened()
    void store.change({ children: ['a', 'b'] })
    const cook = store.cook()
    await until(() => expect(came.some((c) => c.path.endsWith('/changes'))).toBe(true))
    await new Promise((next) => setTimeout(next, 20))
    expect(came.filter((c) => c.path.endsWith('/cook'))).toEqual([])
    for (const one of plansOf('a+b')) one.go()
    expect(await cook).toBeNull()
    expect(came.find((c) => c.path.endsWith('/cook'))?.body['digest']).toBe('for a+b')
  })

  it('knows what another has changed with the same answer', async () => {
    const store = await opened()
    others = ['c']
    void store.change({ children: ['a', 'b'] })
    const cook = store.cook()
    await until(() => expect(plansOf('a+b+c')).toHaveLength(1))
    for (const one of [...plansOf('a+b'), ...plansOf('a+b+c')]) one.go()
    expect(await cook).toBeNull()
    expect(came.find((c) => c.path.endsWith('/cook'))?.body['digest']).toBe('for a+b+c')
  })
})

describe('an answer that was on its way while a change was saved', () => {
  it('is from before it, and takes nothing back', async () => {
    const store = await opened()
    const refresh = store.refresh()
    await until(() => expect(asked).not.toBeNull())
    const change = store.change({ children: ['a', 'b'] })
    await until(() => expect(plansOf('a+b').length).toBeGreaterThan(0))
    for (const one of plansOf('a+b')) one.go()
    await change
    asked?.()
    await refresh
    expect(store.stored?.children).toEqual(['a', 'b'])
    expect(store.plan?.digest).toBe('for a+b')
  })
})

describe('a change that is not saved', () => {
  it('is said until it is, whatever else fails meanwhile', async () => {
    const store = await opened()
    offline = true
    const change = store.change({ children: ['a', 'b'] })
    await until(() => expect(plansOf('a+b').length).toBeGreaterThan(0))
    for (const one of plansOf('a+b')) one.go()
    await change
    expect(store.saveFault).toMatch(/^Not saved/)
    await store.refresh()
    expect(store.saveFault).toMatch(/^Not saved/)
    offline = false
    await until(() => expect(store.saveFault).toBe(''))
    expect(came.some((c) => c.path.endsWith('/changes'))).toBe(true)
  })
})

describe('a recipe or a rule that somebody else has changed', () => {
  it('makes the plan anew, and nothing that moves nothing does', async () => {
    const store = await opened()
    const before = made.length
    await store.refreshSetting()
    expect([made.length, waiting.length]).toEqual([before, before])
    others = ['with oats']
    const heard = store.refreshSetting()
    await until(() => expect(waiting.length).toBe(before + 1))
    waiting.at(-1)?.go()
    await heard
    expect(made.length).toBe(before + 1)
  })
})
