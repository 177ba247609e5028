/** Whose work is next: each setting in its turn, however much one of them asks for. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { openTurns } from '../src/limits/turns'

const BOUNDS = { atOnce: 2, atOnceEach: 1, mostEach: 50, most: 200, patienceMs: 5000 }
const rest = () => new Promise((done) => setImmediate(done))

describe('turns', () => {
  it('one who asks for fifty keeps another waiting for no more than what is being done', async () => {
    const turns = openTurns(BOUNDS)
    const order: string[] = []
    const work = (whose: string) => () => rest().then(() => void order.push(whose))
    const loud = Array.from({ length: 50 }, () => turns.take('loud', work('loud')))
    await rest()
    await turns.take('calm', work('calm'))
    expect(order.length).toBeLessThanOrEqual(4)
    await Promise.all(loud)
    expect(order.filter((o) => o === 'loud')).toHaveLength(50)
  })

  it('never more at once than there may be, of one and of all; all is done; no setting is passed over twice', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ whose: fc.integer({ min: 0, max: 4 }), long: fc.integer({ min: 0, max: 3 }) }), {
          minLength: 1,
          maxLength: 60,
        }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 4 }),
        async (asked, atOnce, atOnceEach) => {
          const turns = openTurns({ ...BOUNDS, atOnce, atOnceEach })
          const now = new Map<string, number>()
          const begun: string[] = []
          let running = 0
          await Promise.all(
            asked.map(({ whose, long }) =>
              turns.take(`s${whose}`, async () => {
                begun.push(`s${whose}`)
                running += 1
                now.set(`s${whose}`, (now.get(`s${whose}`) ?? 0) + 1)
                expect(running).toBeLessThanOrEqual(atOnce)
                expect(now.get(`s${whose}`)).toBeLessThanOrEqual(atOnceEach)
                for (let n = 0; n < long; n++) await rest()
                running -= 1
                now.set(`s${whose}`, (now.get(`s${whose}`) ?? 0) - 1)
              }),
            ),
          )
          expect(begun).toHaveLength(asked.length)
          expect([turns.waiting(), turns.running()]).toEqual([0, 0])
        },
      ),
      { numRuns: 200 },
    )
  })

  it('who leaves is out of the queue; work that fails gives its turn back; too many are refused at once', async () => {
    const turns = openTurns({ ...BOUNDS, atOnce: 1, mostEach: 2 })
    let letGo = (): void => undefined
    const first = turns.take('a', () => new Promise<void>((done) => (letGo = done)))
    const left = new AbortController()
    const second = turns.take('a', () => Promise.resolve(), left.signal)
    const third = turns.take('a', () => Promise.reject(new Error('no')))
    await expect(turns.take('a', () => Promise.resolve())).rejects.toMatchObject({ status: 503 })
    left.abort()
    await expect(second).rejects.toMatchObject({ status: 503 })
    letGo()
    await first
    await expect(third).rejects.toThrow('no')
    expect([turns.waiting(), turns.running()]).toEqual([0, 0])
    expect(await turns.take('a', () => Promise.resolve(7))).toBe(7)
  })
  it('whose turn does not come is told so', async () => {
    const turns = openTurns({ ...BOUNDS, atOnce: 1, patienceMs: 20 })
    const stuck = turns.take('a', () => new Promise((done) => setTimeout(done, 120)))
    await expect(turns.take('b', () => Promise.resolve())).rejects.toMatchObject({ status: 503 })
    await stuck
  })
})
