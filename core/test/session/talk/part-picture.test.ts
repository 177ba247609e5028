/** Amounts as pictures: what is drawn is the running total of the strip, exactly. */
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { runningTotal, scoopsOf } from '../../../src/plan/model/scoop-sequence'
import { amountPicture, partPicture } from '../../../src/session/talk/part-picture'
import { tables } from './tables'

const parse = (text: string) =>
  text
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞⅙⅚]/g, (c) => ` ${c.normalize('NFKD').replace('\u2044', '/')}`)
    .trim()
    .split(/\s+/)
    .reduce((sum, part) => sum.add(part), ratio(0))

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
    const two = amountPicture({ target: '1/2', measure: '1/4', unit: 'cup_m' })
    expect(two).toMatchObject({ parts: 4, wholes: [{ filled: 2, wanted: 2 }], same: { parts: 2, filled: 1 } })
    expect(amountPicture({ target: '1', measure: '1/3', unit: 'cup_m' })?.same).toBeUndefined()
  })
  it('draws nothing of parts that no picture shows', () => {
    expect(amountPicture({ target: '2', measure: '1', unit: 'cup_m' })).toBeNull()
    expect(amountPicture({ target: '1', measure: '1/12', unit: 'cup_m' })).toBeNull()
    expect(amountPicture({ target: '9', measure: '1/4', unit: 'cup_m' })).toBeNull()
  })
})
