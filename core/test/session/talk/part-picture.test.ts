/** Amounts as pictures: what is drawn is the running total of the strip, exactly. */
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { runningTotal, scoopsOf } from '../../../src/plan/model/scoop-sequence'
import { factPicture, partPicture } from '../../../src/session/talk/part-picture'
import { tables } from './tables'

const parse = (text: string) =>
  text
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞⅙⅚]/g, (c) => ` ${c.normalize('NFKD').replace('\u2044', '/')}`)
    .trim()
    .split(/\s+/)
    .reduce((sum, part) => sum.add(part), ratio(0))

const scoops = (target: string, measure: string) =>
  ({ kind: 'scoop', food: 'flour', unit: 'cup_m', unitWord: 'cup', k: 0, target, measure }) as const

describe('parts of a whole', () => {
  it('fill as the strip does: parts that are in make the running total, scoop by scoop', () => {
    let drawn = 0
    for (const { plan } of tables())
      for (const task of plan.tasks) {
        const { measured } = task
        if (measured?.by !== 'scoop') continue
        for (let k = 0; k <= measured.n; k++) {
          const picture = partPicture(task, k)
          if (!picture) continue
          drawn += 1
          const filled = picture.wholes.reduce((n, w) => n + w.filled, 0)
          const running = parse(runningTotal(measured, scoopsOf(measured).slice(0, k)).number)
          expect(ratio(filled).div(picture.parts).equals(running), task.id).toBe(true)
          for (const w of picture.wholes) expect(w.filled).toBeLessThanOrEqual(w.wanted)
          if (picture.same) {
            const over = running.sub(running.floor())
            expect(ratio(picture.same.filled).div(picture.same.parts).equals(over)).toBe(true)
          }
        }
      }
    expect(drawn).toBeGreaterThan(300)
  })
  it('two quarters are the same as a half; a whole has no other name', () => {
    expect(factPicture(scoops('1/2', '1/4'))).toMatchObject({
      parts: 4,
      wholes: [{ filled: 2, wanted: 2 }],
      same: { parts: 2, filled: 1, says: '2/4 = 1/2', whole: 0 },
    })
    expect(factPicture(scoops('3/2', '1/4'))?.same).toMatchObject({ says: '1 2/4 = 1 1/2', whole: 1 })
    expect(factPicture(scoops('1', '1/3'))?.same).toBeUndefined()
  })
  it('lie on a number line: a tick a part, a name where there is room, and a mark where the amount ends', () => {
    const line = factPicture(scoops('3/4', '1/4'))?.line
    expect(line?.ticks.map((t) => t.label)).toEqual(['0', '1/4', '1/2', '3/4', '1'])
    expect(line?.now).toBe(0.75)
    const long = factPicture(scoops('5/2', '1/4'))?.line
    expect(long?.ticks.filter((t) => t.whole).map((t) => t.label)).toEqual(['0', '1', '2', '3'])
    expect(long?.ticks).toHaveLength(13)
    expect(long?.now).toBeCloseTo(2.5 / 3)
  })
  it('shows a half and two quarters as one cup, a cut piece in the whole thing, and an uneven share', () => {
    const sum = factPicture({
      kind: 'vessel',
      food: 'flour',
      k: 0,
      parts: [
        { name: '1/2 cup', size: '1/2', unit: 'cup_m', n: 1 },
        { name: '1/4 cup', size: '1/4', unit: 'cup_m', n: 2 },
      ],
    })
    expect(sum).toMatchObject({ parts: 4, wholes: [{ filled: 4, wanted: 4 }], label: '1 cup' })
    expect(factPicture({ kind: 'cut', food: 'apple', items: 1, pieces: 2, held: '1/2' })).toMatchObject({
      parts: 4,
      wholes: [{ filled: 1, wanted: 2 }],
      label: '1/4',
    })
    expect(factPicture({ kind: 'share', food: 'scones', n: 9, people: 6, cuttable: true })).toMatchObject({
      parts: 2,
      label: '1 1/2',
    })
  })
  it('draws nothing of parts that no picture shows, of pieces without a name, of things that are not cut', () => {
    expect(factPicture(scoops('2', '1'))).toBeNull()
    expect(factPicture(scoops('1', '1/12'))).toBeNull()
    expect(factPicture(scoops('9', '1/4'))).toBeNull()
    expect(factPicture({ kind: 'cut', food: 'pepper', items: 1, pieces: 4, unnamed: true })).toBeNull()
    expect(factPicture({ kind: 'share', food: 'pots', n: 9, people: 6 })).toBeNull()
    expect(factPicture({ kind: 'share', food: 'rolls', n: 12, people: 7, cuttable: true })).toBeNull()
    expect(factPicture(null)).toBeNull()
  })
})
