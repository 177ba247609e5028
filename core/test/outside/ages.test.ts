/**
 * Against published ages: DfE EYFS statutory framework 2025 (ratios), FSA/OHID choking guidance and CACFP (shapes), NHS
 * (honey, rice drink), British Nutrition Foundation core competences (techniques); from memory.
 */
import { describe, expect, it } from 'vitest'
import { adultsNeeded } from '../../src/craft/ratios'
import { ageText, monthsOn } from '../../src/craft/ages'
import { formFor } from '../../src/craft/form'
import { type Technique, techniqueOf } from '../../src/craft/techniques'
import { shapeBreach, shapeRow } from '../../src/food/by-age/choking'
import { earlyRowsOf, isTooEarly } from '../../src/food/by-age/too-early'
import { formsOfCodes } from '../../src/food/by-age/forms'
import { isUnknown } from '../../src/food/foods'
import { foodBook } from '../../src/food/own-foods'

const technique = (id: string): Technique => {
  const found = techniqueOf(id)
  if (!found) throw new Error(id)
  return found
}

describe('completed months', () => {
  it.each([
    ['2023-11', '2026-11-29', 35],
    ['2023-11', '2026-11-30', 36],
    ['2024-02', '2026-02-28', 23],
    ['2024-02', '2025-03-01', 12],
    ['2025-01', '2026-02-28', 12],
    ['2026-11', '2026-11-26', 0],
  ])('born in %s, on %s: %i months; of the month the last day counts', (birth, day, months) => {
    expect(monthsOn(birth, day)).toBe(months)
  })
  it('says months under two and years after', () => {
    expect([ageText(11), ageText(1), ageText(24), ageText(59)]).toEqual([
      '11 months',
      '1 month',
      '2 years',
      '4 years',
    ])
  })
})

describe('adults by the EYFS (1:3 under 2, 1:5 at 2, 1:8 from 3)', () => {
  it.each([
    [[], 0],
    [[12, 13, 14], 1],
    [[12, 13, 14, 15], 2],
    [[24, 25, 26, 27, 28], 1],
    [Array<number>(8).fill(40), 1],
    [Array<number>(9).fill(40), 2],
    [[30, 30, 30, 30, 30, ...Array<number>(8).fill(40)], 2],
  ])('%j need %i', (ages, adults) => {
    expect(adultsNeeded(ages, 'uk')).toBe(adults)
  })
  it('in the US by Caring for Our Children 1:7 at three', () => {
    expect(adultsNeeded(Array<number>(8).fill(40), 'us')).toBe(2)
  })
})

describe('techniques by age (BNF, CDC, common practice)', () => {
  it.each([
    ['snip-scissors', 35, 'not-yet'],
    ['snip-scissors', 36, 'do'],
    ['peel-peeler', 59, 'not-yet'],
    ['crack-egg', 36, 'do'],
    ['use-oven', 95, 'adult'],
    ['use-oven', 96, 'do'],
    ['carry-hot', 155, 'adult'],
    ['handle-raw-meat', 155, 'adult'],
  ])('%s at %i months: %s', (id, months, kind) => {
    expect(formFor(technique(id), months).kind).toBe(kind)
  })
  it('offers no pointed knife by default, and a soft tool first', () => {
    const form = formFor(technique('bridge-cut'), 80)
    expect(form).toMatchObject({ kind: 'do', tool: 'nylon-knife' })
    const early = formFor(technique('bridge-cut'), 80, { knives: 'real-early' })
    expect(early).toMatchObject({
      kind: 'do',
      tool: 'round-tip-knife',
      code: 'B',
      perAdult: 2,
    })
  })
})

describe('shapes and too-early foods', () => {
  const foods = foodBook()
  const breach = (id: string, shape: string | undefined, months: number): string => {
    const food = foods.of(id)
    if (isUnknown(food)) return 'unknown'
    const early = earlyRowsOf(food.id).find((r) => !r.note && isTooEarly(r, formsOfCodes(shape), months))
    return (
      early?.verdict ?? shapeBreach(shapeRow(food.shape), formsOfCodes(shape), months)?.rule.verdict ?? 'ok'
    )
  }
  it.each([
    ['grapes', undefined, 59, 'stop'],
    ['grapes', 'QL', 59, 'ok'],
    ['grapes', undefined, 60, 'ok'],
    ['apple', 'SLICE', 35, 'stop'],
    ['apple', 'SLICE', 36, 'change'],
    ['apple', 'GRATE', 12, 'ok'],
    ['popcorn', 'CHOP', 59, 'stop'],
    ['marshmallow', undefined, 59, 'stop'],
    ['mixed-nuts', undefined, 59, 'stop'],
    ['honey', undefined, 11, 'stop'],
    ['honey', 'COOKSOFT', 11, 'stop'],
    ['honey', undefined, 12, 'ok'],
    ['rice-drink', undefined, 59, 'stop'],
    ['cheddar', undefined, 40, 'change'],
    ['cheddar', 'GRATE', 12, 'ok'],
    ['chickpeas-tin', undefined, 40, 'change'],
  ])('%s as %s at %i months: %s', (food, shape, months, verdict) => {
    expect(breach(food, shape, months)).toBe(verdict)
  })
})
