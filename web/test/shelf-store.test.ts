/** The shelf: looks as they come, in their rank; what would help those with something against them; and nothing of a look that was overtaken. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Evaluation, Remedy, SelectionCriteria } from '@lea/core/choose'
import { useShelf } from '../src/stores/shelf'

const look = (recipe: string, against: number, cost: number): Evaluation =>
  ({ recipe, against: Array.from({ length: against }, () => ({})), cost }) as unknown as Evaluation

let batches: Evaluation[][]
/** A batch waits until it is let go. */
let gate: (n: number) => Promise<void>
let remedies: Record<string, Remedy | null | Error>
let helped: string[]
/** Help waits here while it is held. */
let working: Promise<void> | null

vi.mock('@lea/core/choose', async (whole) => ({
  ...(await whole<typeof import('@lea/core/choose')>()),
  ranked: (list: { against: unknown[]; cost: number }[]) =>
    [...list].sort((a, b) => a.against.length - b.against.length || a.cost - b.cost),
}))
vi.mock('../src/workers/shelf', () => ({
  looksInWorkers: async (
    _rows: unknown,
    _wish: unknown,
    got: (more: Evaluation[]) => void,
    wanted: () => boolean,
  ) => {
    for (const [n, batch] of batches.entries()) {
      await gate(n)
      if (!wanted()) return
      got(batch)
    }
  },
  remedyInWorker: async (of: Evaluation) => {
    helped.push(of.recipe)
    await working
    const found = remedies[of.recipe]
    if (found instanceof Error) throw found
    return found ?? null
  },
}))
vi.mock('../src/stores/setting', () => ({
  useSettingStore: () => ({
    recipes: ['soup', 'bread', 'dip'].map((id) => ({ id, recipe: { id }, made: [], version: 1 })),
    setting: {},
    children: [],
    adults: [],
  }),
}))
const wish = {} as SelectionCriteria
const another = { theme: 'bread' } as SelectionCriteria
const remedy = { says: 'an adult more' } as unknown as Remedy

beforeEach(() => {
  setActivePinia(createPinia())
  batches = [[look('soup', 1, 5)], [look('bread', 0, 9), look('dip', 0, 2)]]
  gate = () => Promise.resolve()
  remedies = { soup: remedy }
  helped = []
  working = null
})

describe('the shelf', () => {
  it('stands in its rank, with what would help beside what has something against it', async () => {
    const shelf = useShelf()
    await shelf.look(wish)
    expect(shelf.standing.map((e) => e.row.id)).toEqual(['dip', 'bread', 'soup'])
    expect([shelf.done, shelf.of]).toEqual([3, 3])
    await vi.waitFor(() => expect(shelf.standing.at(-1)?.remedy).toEqual(remedy))
    // What has nothing against it wants no help, and none is looked for.
    expect(shelf.standing[0]?.remedy).toBeNull()
    expect(helped).toEqual(['soup'])
  })
  it('while it is looked for, help is not known; where none was found it is said to be none', async () => {
    remedies = { soup: null }
    let go: () => void = () => undefined
    working = new Promise((done) => (go = done))
    const shelf = useShelf()
    await shelf.look(wish)
    expect(shelf.standing.at(-1)?.remedy).toBeUndefined()
    go()
    await vi.waitFor(() => expect(shelf.standing.at(-1)?.remedy).toBeNull())
  })
  it('help that could not be worked out is not told as that there is none', async () => {
    remedies = { soup: new Error('the worker has stopped') }
    const shelf = useShelf()
    await shelf.look(wish)
    await vi.waitFor(() => expect(shelf.fault).toMatch(/could not be worked out/))
    expect(shelf.standing.at(-1)?.remedy).toBeUndefined()
  })
  it('a look that was overtaken puts nothing on the shelf of the next', async () => {
    const shelf = useShelf()
    let go: () => void = () => undefined
    gate = () => new Promise((done) => (go = done))
    const first = shelf.look(wish)
    batches = [[look('dip', 0, 1)]]
    const letFirstGo = go
    gate = () => Promise.resolve()
    await shelf.look(another)
    letFirstGo()
    await first
    expect(shelf.standing.map((e) => e.row.id)).toEqual(['dip'])
  })
  it('nothing stands before all of it is looked at, and what stands then keeps its place', async () => {
    const shelf = useShelf()
    const goes: (() => void)[] = []
    gate = () => new Promise((done) => goes.push(done))
    const looked = shelf.look(wish)
    await vi.waitFor(() => expect(goes.length).toBe(1))
    goes[0]?.()
    await vi.waitFor(() => expect(shelf.done).toBe(1))
    expect([shelf.looking, shelf.standing]).toEqual([true, []])
    await vi.waitFor(() => expect(goes.length).toBe(2))
    goes[1]?.()
    await looked
    expect([shelf.looking, shelf.standing.map((e) => e.row.id)]).toEqual([false, ['dip', 'bread', 'soup']])
    await vi.waitFor(() => expect(shelf.standing.at(-1)?.remedy).toEqual(remedy))
    expect(shelf.standing.map((e) => e.row.id)).toEqual(['dip', 'bread', 'soup'])
  })
  it('the same group is looked at once; who turns back finds its shelf with its help at once', async () => {
    let asked = 0
    gate = () => (asked++, Promise.resolve())
    const shelf = useShelf()
    await Promise.all([shelf.look(wish), shelf.look(wish)])
    await vi.waitFor(() => expect(shelf.standing.at(-1)?.remedy).toEqual(remedy))
    expect(asked).toBe(2)
    await shelf.look(another)
    expect(asked).toBe(4)
    helped = []
    void shelf.look(wish)
    expect([shelf.looking, shelf.standing.length, shelf.standing.at(-1)?.remedy]).toEqual([false, 3, remedy])
    expect([asked, helped]).toEqual([4, []])
  })
  it('a shelf that could not be looked at shows nothing of the group before it, and is tried again', async () => {
    const shelf = useShelf()
    await shelf.look(wish)
    gate = () => Promise.reject(new Error('the worker has stopped'))
    await shelf.look(another)
    expect([shelf.fault, shelf.looking, shelf.standing]).toEqual(['The worker has stopped.', false, []])
    gate = () => Promise.resolve()
    await shelf.look(another)
    expect([shelf.fault, shelf.standing.length]).toEqual(['', 3])
  })
})
