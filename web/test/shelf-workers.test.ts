/** The shelf in several workers: each recipe is looked at once, by whoever is free, and a long plan holds up none of it. */
import { describe, expect, it, vi } from 'vitest'
import type { Evaluation, SelectionCriteria, ShelfRow } from '@lea/core/choose'
import { looksInWorkers } from '../src/workers/shelf'

const busy = new Set<string>()
const asked: [string, number][] = []
/** Called before each answer. */
let before: (name: string) => void = () => undefined

vi.mock('../src/workers/pool', () => ({
  poolNames: () => ['beside', 'front', 'more-1'],
  isFree: (name: string) => !busy.has(name),
  ask: async (name: string, what: (core: unknown) => Promise<Evaluation[]>) => {
    const looks = await what({
      looks: (rows: ShelfRow[]) => Promise.resolve(rows.map((r) => ({ recipe: r.id }) as Evaluation)),
    })
    asked.push([name, looks.length])
    before(name)
    return looks
  },
}))
const rows = Array.from({ length: 23 }, (_, n) => ({ id: `r${n}` }) as ShelfRow)

async function lookThrough(wanted = (): boolean => true): Promise<string[]> {
  asked.length = 0
  const seen: string[] = []
  await looksInWorkers(
    rows,
    {} as SelectionCriteria,
    (looks) => seen.push(...looks.map((l) => l.recipe)),
    wanted,
  )
  return seen.sort()
}
const all = rows.map((r) => r.id).sort()

describe('the shelf in workers', () => {
  it('looks at each recipe once, with all that are free', async () => {
    expect(await lookThrough()).toEqual(all)
    expect(new Set(asked.map(([name]) => name)).size).toBe(3)
  })
  it.each([['beside'], ['front'], ['more-1']])('with %s at something long the others do it', async (name) => {
    busy.add(name)
    expect(await lookThrough()).toEqual(all)
    expect(asked.filter(([by]) => by === name)).toEqual([])
    busy.clear()
  })
  it('one that gets something long in between hands the rest on; with all of them busy it is done all the same', async () => {
    before = (name) => busy.add(name)
    expect(await lookThrough()).toEqual(all)
    before = () => undefined
    expect(await lookThrough()).toEqual(all)
    expect(new Set(asked.map(([name]) => name))).toEqual(new Set(['front']))
    busy.clear()
  })
  it('stops when nobody waits for it', async () => {
    expect((await lookThrough(() => asked.length === 0)).length).toBeLessThan(rows.length)
  })
})
