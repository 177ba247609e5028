/**
 * Ratios, core temperatures and eggs by nation against published rules as they are remembered: EYFS 2025, the Welsh and Northern Irish
 * minimum standards, the Care Inspectorate, Ireland's 2016 regulations, CFOC, Ontario's CCEYA, Australia's r. 123, New Zealand's 2008
 * regulations; FSA, FSS, FSAI, USDA, Health Canada, FSANZ, MPI. All from memory.
 */
import { emergencyNumber, emergencySteps } from '../../src/food/emergency'
import { describe, expect, it } from 'vitest'
import { adultsNeeded, ratioRows, ratioSource } from '../../src/craft/ratios'
import { CORE_KINDS, corePoints, coreSource, coreWords, judgeCore } from '../../src/food/core-temperature'
import { guidanceOf, NATIONS, nationOf, type Nation } from '../../src/amount/nation/nations'
import { compile } from '../../src/plan/compile'
import { child, recipeOf, request } from '../group'

const of = (nation: Nation) => ({ country: nationOf({ country: 'uk', nation }).country, nation })
/** The most children of one age that one adult may have. */
const toOne = (nation: Nation, months: number): number => {
  let n = 1
  while (
    adultsNeeded(
      Array.from({ length: n + 1 }, () => months),
      of(nation),
    ) === 1
  )
    n++
  return n
}

describe('children to an adult', () => {
  it.each([
    ['england', 30, 5],
    ['england', 40, 8],
    ['wales', 30, 4],
    ['wales', 100, 10],
    ['scotland', 20, 3],
    ['scotland', 30, 5],
    ['northern-ireland', 30, 4],
    ['ireland', 11, 3],
    ['ireland', 20, 5],
    ['ireland', 30, 6],
    ['ireland', 60, 8],
    ['united-states', 40, 7],
    ['canada', 17, 3],
    ['canada', 29, 5],
    ['australia', 20, 4],
    ['australia', 30, 5],
    ['new-zealand', 20, 5],
    ['new-zealand', 30, 10],
  ] as const)('%s at %i months: 1 to %i', (nation, months, children) => {
    expect(toOne(nation, months)).toBe(children)
  })
  it('older children never need more adults than younger ones, and each nation names its source', () => {
    for (const { id } of NATIONS) {
      const rows = ratioRows(of(id))
      expect(rows.map((r) => r.children)).toEqual([...rows].map((r) => r.children).sort((a, b) => a - b))
      expect(ratioSource(of(id))).toMatch(/from memory; your (regulator|state rule) comes first/)
    }
  })
  it('who has only said its country is taken for England, or the United States', () => {
    expect(ratioRows('uk')).toEqual(ratioRows(of('england')))
    expect(ratioRows({ country: 'us' })).toEqual(ratioRows(of('united-states')))
  })
})

describe('cooked through', () => {
  it.each([
    ['uk', 'mince', 70, 120, 'reached'],
    ['uk', 'mince', 70, 119, 'hold'],
    ['scotland', 'reheat', 81, 600, 'low'],
    ['scotland', 'reheat', 82, 0, 'reached'],
    ['scotland', 'poultry', 75, 30, 'reached'],
    ['ie', 'poultry', 75, 0, 'reached'],
    ['ie', 'mince', 70, 60, 'hold'],
    ['us', 'poultry', 74, 0, 'reached'],
    ['us', 'poultry', 73, 600, 'low'],
    ['ca', 'fish', 69, 600, 'low'],
    ['ca', 'fish', 70, 0, 'reached'],
    ['ca', 'egg', 73, 0, 'low'],
    ['au', 'mince', 74, 600, 'low'],
    ['au', 'egg', 72, 0, 'reached'],
    ['nz', 'poultry', 70, 179, 'hold'],
    ['nz', 'poultry', 70, 180, 'reached'],
    ['nz', 'poultry', 65, 600, 'reached'],
  ] as const)('%s, %s at %i °C for %i s: %s', (region, kind, celsius, held, verdict) => {
    expect(judgeCore({ celsius, held }, kind, region).verdict).toBe(verdict)
  })
  it('every region says its points in words, with its source', () => {
    for (const { core } of NATIONS)
      for (const kind of CORE_KINDS) {
        expect(corePoints(kind, core).length).toBeGreaterThan(0)
        expect(coreWords(kind, core)).toMatch(/^\d+ °C/)
        expect(coreSource(core)).toMatch(/from memory/)
      }
  })
})

describe('a plan by nation', () => {
  const planIn = (nation: Nation, recipe: string, months: number[]) => {
    const base = request(
      months.map((m, i) => child(`c${i}`, m)),
      { recipe: recipeOf(recipe) },
    )
    return compile({ ...base, rules: { ...base.rules, ...of(nation), kind: 'nursery' } })
  }
  it('five two-year-olds with one adult: enough in England, not in Wales and Northern Ireland', () => {
    const short = (nation: Nation): boolean => {
      const base = request(
        Array.from({ length: 5 }, (_, i) => child(`c${i}`, 30)),
        { recipe: recipeOf('cucumber-mint-raita') },
      )
      const plan = compile({
        ...base,
        adults: base.adults.slice(0, 1),
        rules: { ...base.rules, ...of(nation), kind: 'nursery' },
      })
      return plan.findings.some((f) => f.rule === 'ratio')
    }
    expect([short('england'), short('wales'), short('northern-ireland'), short('new-zealand')]).toEqual([
      false,
      true,
      true,
      false,
    ])
  })
  it('the probe asks for that nation’s temperature, and money is its own', () => {
    const plans = NATIONS.map(({ id }) => planIn(id, 'chicken-sweetcorn-broth', [44, 50]))
    expect(plans.map((p) => p.probes?.[0]?.country)).toEqual(NATIONS.map((n) => n.core))
    expect(plans.map((p) => p.cost.currency)).toEqual(NATIONS.map((n) => n.currency))
  })
  it('advice on food that is known of the UK and the US only: elsewhere the stricter of both', () => {
    expect(NATIONS.map(({ id }) => guidanceOf(of(id)))).toEqual([
      'uk',
      'uk',
      'uk',
      'uk',
      undefined,
      'us',
      undefined,
      undefined,
      undefined,
    ])
  })
})

describe('keeping and calling, nation by nation', () => {
  // FSA: hot food at 63 °C or above, 8 °C the law and 5 °C the advice; Food Standards Scotland: reheated to 82 °C; USDA: 140 °F (60 °C) hot,
  // 165 °F (74 °C) reheated, 40 °F (4 °C) cold; Health Canada: 60, 74, 4 °C; FSANZ 3.2.2 and MPI: 60 °C hot, 5 °C cold. From memory.
  it.each([
    ['england', 63, 75, 5, /999/],
    ['scotland', 63, 82, 5, /999/],
    ['ireland', 63, 75, 5, /112/],
    ['united-states', 60, 74, 4, /911/],
    ['canada', 60, 74, 4, /911/],
    ['australia', 60, 75, 5, /000/],
    ['new-zealand', 60, 75, 5, /111/],
  ] as const)('%s: hot %i, reheated %i, cold %i °C', (nation, hot, reheat, fridge, number) => {
    const facts = nationOf({ country: 'uk', nation })
    expect(facts.keeping).toMatchObject({ hot, reheat, fridge })
    expect(emergencyNumber({ country: 'uk', nation })).toMatch(number)
    const steps = emergencySteps({ country: 'uk', nation }).flatMap((p) => p.steps)
    expect(steps.filter((s) => number.test(s)).length).toBeGreaterThanOrEqual(2)
    expect(steps.join(' ')).not.toContain('{number}')
  })
  it('where nobody has signed in every number is there', () => {
    expect(
      emergencySteps(undefined)
        .flatMap((p) => p.steps)
        .join(' '),
    ).toContain('Call the emergency number')
    for (const n of ['999', '112', '911', '000', '111']) expect(emergencyNumber(undefined)).toContain(n)
  })
})
