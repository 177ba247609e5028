/** What a setting keeps, as pages read it: each list asked for once, anew where it was changed, and never older than what was sent. */
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { StoredChild } from '@lea/core/setting'
import { useSettingStore } from '../src/stores/setting'

const LISTS = ['setting', 'children', 'recipes', 'sessions', 'packets'] as const
let asked: string[]
let answers: Record<string, unknown>
let fails: Record<string, number>

beforeEach(() => {
  setActivePinia(createPinia())
  asked = []
  fails = {}
  answers = {
    '/setting': {
      name: 'Number 9, Ropewalk',
      adults: [{ id: 'a', name: 'Alder Finch', leads: [], signIn: null }],
      foods: [],
      versions: { rules: 3, kit: 5 },
    },
    '/children': [{ id: 'c', nickname: 'Xanthe' }],
    '/recipes': [{ id: 'r', recipe: { title: 'Chapati and dal' } }],
    '/sessions': [],
    '/packets': [],
  }
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    const path = url.replace('/api', '')
    asked.push(`${init.method ?? 'GET'} ${path}`)
    await Promise.resolve()
    const status = fails[path]
    if (status !== undefined && init.method === 'GET')
      return new Response(JSON.stringify({ error: { says: 'something broke' } }), { status })
    if (init.method === 'DELETE') return new Response(null, { status: 204 })
    if (init.method !== 'GET')
      return new Response(JSON.stringify({ id: 'new', ...(JSON.parse(String(init.body)) as object) }))
    return new Response(JSON.stringify(answers[path]))
  })
})
afterEach(() => vi.unstubAllGlobals())
const gets = (): string[] => asked.filter((a) => a.startsWith('GET')).map((a) => a.slice(5))

describe('the lists of a setting', () => {
  it('are asked for once where two pages want them at the same time', async () => {
    const store = useSettingStore()
    await Promise.all([store.load(), store.load(), store.load()])
    expect(gets().sort()).toEqual([...LISTS].sort())
    expect(store.loaded).toBe(true)
    expect(store.names.get('c')).toBe('Xanthe')
    expect(store.names.get('a')).toBe('Alder Finch')
    expect(store.recipe('r')?.title).toBe('Chapati and dal')
  })
  it('are not asked for again by a page that opens right after', async () => {
    const store = useSettingStore()
    await store.load()
    await store.load()
    expect(gets()).toHaveLength(LISTS.length)
  })
  it('are asked for anew once something was sent, however soon', async () => {
    const store = useSettingStore()
    await store.load()
    await store.addSession({ date: '2026-11-27' })
    answers['/sessions'] = [{ id: 'new', date: '2026-11-27' }]
    await store.load()
    expect(gets().filter((p) => p === 'sessions')).toHaveLength(2)
    expect(store.sessions.map((s) => s.id)).toEqual(['new'])
  })
  it.each([
    [
      'a child',
      ['children'],
      (s: ReturnType<typeof useSettingStore>) =>
        s.saveChild({ nickname: 'Dilwyn' } as Omit<StoredChild, 'id'>),
    ],
    [
      'a child that is erased',
      ['children', 'sessions'],
      (s: ReturnType<typeof useSettingStore>) => s.eraseChild('c'),
    ],
    [
      'an adult',
      ['setting'],
      (s: ReturnType<typeof useSettingStore>) => s.saveAdult({ name: 'Alder Finch' }),
    ],
    [
      'a kit',
      ['setting'],
      (s: ReturnType<typeof useSettingStore>) => s.saveKit({ measures: [], equipment: [] }),
    ],
    [
      'a recipe',
      ['recipes'],
      (s: ReturnType<typeof useSettingStore>) => s.saveRecipe({ title: 'Oats' } as never),
    ],
  ] as const)('%s asks only for what it touches', async (_, lists, change) => {
    const store = useSettingStore()
    await store.load()
    asked = []
    await change(store)
    expect(gets().sort()).toEqual([...lists].sort())
  })
  it('an answer from before a save never stands in the way of what was saved', async () => {
    const store = useSettingStore()
    // The first answer of the server is slow, and was made before the save.
    let letGo = (): void => undefined
    const held = new Promise<void>((done) => (letGo = done))
    const usual = globalThis.fetch
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
      const answer = await usual(url, init)
      if (url === '/api/setting' && gets().filter((g) => g === 'setting').length === 1) await held
      return answer
    })
    const opening = store.load()
    await vi.waitFor(() => expect(gets()).toContain('setting'))
    const saving = store.saveRules({ kind: 'home' } as never)
    await vi.waitFor(() => expect(asked).toContain('PUT /setting/rules'))
    answers['/setting'] = { name: 'Renamed', adults: [], foods: [], versions: { rules: 2, kit: 1 } }
    letGo()
    await Promise.all([opening, saving])
    expect(store.setting?.name).toBe('Renamed')
    expect(store.fault).toBe('')
    expect(store.loaded).toBe(true)
  })
  it('a packet that is kept stands in its list by name, without asking', async () => {
    const store = useSettingStore()
    await store.load()
    asked = []
    await store.savePacket({ name: 'Mill flour' })
    await store.savePacket({ id: 'older', name: 'Estuary seeds' })
    expect(gets()).toEqual([])
    expect(store.packets.map((p) => p.name)).toEqual(['Estuary seeds', 'Mill flour'])
    await store.removePacket('older')
    expect(store.packets.map((p) => p.name)).toEqual(['Mill flour'])
  })
  it('asked for again and again while they are on their way, are said to have failed to nobody', async () => {
    const store = useSettingStore()
    await store.load()
    const known = globalThis.fetch
    let n = 0
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
      n += 1
      answers['/children'] = [{ id: 'c', nickname: `Xanthe ${n}` }]
      await new Promise((done) => setTimeout(done, 15))
      return known(url, init)
    })
    const all: Promise<void>[] = []
    for (let i = 0; i < 6; i++) {
      all.push(store.reload('children'), store.loadChildren())
      await new Promise((done) => setTimeout(done, 4))
    }
    await Promise.all(all)
    expect(store.fault).toBe('')
    expect(store.children[0]?.nickname).toBe(`Xanthe ${n}`)
  })
  it('a fault of one list is said, and what is known stays', async () => {
    const store = useSettingStore()
    await store.load()
    fails['/children'] = 500
    await store.saveChild({ nickname: 'Jarek' } as Omit<StoredChild, 'id'>).catch(() => undefined)
    expect(store.children.map((c) => c.nickname)).toEqual(['Xanthe'])
    expect(store.fault).toBe('Something broke.')
  })
  it('a server that does not answer leaves the last answers of this device', async () => {
    const first = useSettingStore()
    await first.load()
    await vi.waitFor(async () => {
      setActivePinia(createPinia())
      vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')))
      const store = useSettingStore()
      await store.load()
      expect(store.fault).toBe('')
      expect(store.names.get('c')).toBe('Xanthe')
    })
  })
})
