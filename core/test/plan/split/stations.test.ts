/** Stations side by side: everybody at every station once, nobody at two, an adult at each that needs one. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanAdult, PlanRequest } from '../../../src/plan/model/request'
import { breaches } from '../../../src/plan/check/check'
import { adultsApart } from '../../../src/plan/split/adult-for'
import type { Recipe } from '../../../src/recipe/recipe'
import { wavesOf } from '../../../src/plan/split/waves'
import { child, recipeOf, request } from '../../group'

const adults = (n: number): PlanAdult[] =>
  Array.from({ length: n }, (_, i) => ({ id: `adult-${i}`, leads: ['knives', 'heat'] }))
const outside = (ages: readonly number[], helpers = 3, more: Partial<PlanRequest> = {}): PlanRequest => {
  const kids = ages.map((a, i) => child(`c${i}`, a))
  const base = request(kids, { recipe: recipeOf('embers-hot-pot'), adults: adults(helpers), ...more })
  return { ...base, kit: { ...base.kit, equipment: ['fire', 'fridge'] } }
}
const stations = (plan: Plan) => plan.tasks.filter((t) => t.step === 'stations' && t.shows === undefined)

describe('stations', () => {
  it('every child comes to each it may do exactly once, and to one at a time', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 130 }), { minLength: 2, maxLength: 16 }), (ages) => {
        const plan = compile(outside(ages))
        for (const task of stations(plan)) {
          const able = task.forms.flatMap((f) => f.children)
          const came = plan.turns.filter((t) => t.task === task.id).map((t) => t.child)
          expect([...came].sort()).toEqual([...able].sort())
        }
        const ids = new Set(stations(plan).map((t) => t.id))
        for (const { id } of plan.children) {
          const own = plan.turns
            .filter((t) => t.child === id && ids.has(t.task))
            .sort((a, b) => a.start - b.start)
          own.slice(1).forEach((t, i) => expect(t.start).toBeGreaterThanOrEqual(own[i]?.end ?? 0))
        }
      }),
      { numRuns: 40 },
    )
  })
  it('stand side by side: three take far less than one after another', () => {
    const together = compile(outside([60, 62, 64, 66, 68, 70]))
    const oneAdult = compile(outside([60, 62, 64, 66, 68, 70], 1))
    expect(stations(together).every((t) => t.mode === 'STATION')).toBe(true)
    const shown = (p: Plan) =>
      p.tasks.reduce((n, t) => n + (t.step === 'stations' && t.shows !== undefined ? t.seconds : 0), 0)
    const seconds = (p: Plan) => (p.schedule.find((s) => s.step === 'stations')?.seconds ?? 0) - shown(p)
    // Three rounds of three minutes at most; the knife station sets the pace.
    expect(seconds(together)).toBeLessThanOrEqual(3 * 180)
    expect(oneAdult.tasks.filter((t) => t.mode === 'STATION').length).toBeLessThanOrEqual(3)
  })
  it('where there are not adults enough they become jobs one after another, and it is said', () => {
    // Twos and threes: an adult beside at the knife, the tub and the herbs.
    const plan = compile(outside([30, 30, 36, 36], 2))
    expect(stations(plan).map((t) => t.mode)).not.toContain('STATION')
    expect(plan.findings.find((f) => f.rule === 'stations')?.says).toContain('one after another instead')
  })
  it('groups are of mixed ages: the oldest and the youngest of a pair of groups are not all in one', () => {
    const plan = compile(outside([40, 44, 48, 90, 96, 102]))
    const first = stations(plan).map((t) => t.rounds?.[0] ?? [])
    const months = (id: string) => plan.children.find((c) => c.id === id)?.months ?? 0
    for (const group of first.filter((g) => g.length === 2))
      expect(group.some((c) => months(c) < 60) && group.some((c) => months(c) > 60)).toBe(true)
  })
  it('a child that must not touch the food has something else in that round', () => {
    const base = outside([60, 62, 64])
    const kids = base.children.map((c, i) =>
      i === 0 ? { ...c, concerns: [{ allergen: 'parsley', level: 'allergy-strict' as const }] } : c,
    )
    const plan = compile({ ...base, children: kids })
    for (const task of stations(plan))
      for (const b of task.barred) expect(task.rounds?.flat()).not.toContain(b.child)
  })
})

describe('two jobs at one time', () => {
  const twoJobs = (stay: boolean, seconds = 150): Recipe => ({
    ...recipeOf('couscous-jars'),
    steps: recipeOf('couscous-jars').steps.map((s) =>
      s.id === 'cut'
        ? {
            ...s,
            id: 'stations',
            uses: [
              { line: 'pepper', part: '1' },
              { line: 'parsley', part: '1' },
            ],
            ...(stay && { stay }),
            tasks: [
              { technique: 'bridge-cut', mode: 'STATION' as const, seconds, lines: ['pepper'] },
              { technique: 'tear', mode: 'STATION' as const, seconds, lines: ['parsley'] },
            ],
          }
        : s,
    ),
  })
  const planOf = (ages: number[], stay: boolean, helpers = 1): Plan => {
    const kids = ages.map((a, i) => child(`c${i}`, a, { skills: { 'bridge-cut': 'alone', tear: 'alone' } }))
    const of = request(kids, { recipe: twoJobs(stay), adults: adults(helpers) })
    const plan = compile(of)
    expect(breaches(plan, of)).toEqual([])
    return plan
  }
  const work = (plan: Plan): number => {
    const own = stations(plan)
    return Math.max(...own.map((t) => t.end ?? 0)) - Math.min(...own.map((t) => t.start ?? 0))
  }
  it('a knife and a blunt job take 300 seconds with one adult, not 600; each child at one of them 150', () => {
    expect(work(planOf([60, 64, 68, 72], false))).toBe(300)
    expect(work(planOf([60, 64, 68, 72], true))).toBe(150)
  })
  it('in two bowls one adult at the blades reaches one of them: a plan is there for any number of any age', () => {
    for (const months of [30, 36, 48, 72])
      for (const n of [4, 5, 6, 7, 8, 12])
        for (const helpers of [1, 2, 3]) {
          const base = outside(
            Array.from({ length: n }, () => months),
            helpers,
          )
          const of = { ...base, rules: { ...base.rules, grouping: 'groups' as const } }
          expect(breaches(compile(of), of), `${n} at ${months}, ${helpers}`).toEqual([])
        }
  })
  it('beyond one adult’s reach the blunt job waits for eyes of its own', () => {
    expect(work(planOf([60, 62, 64, 66, 68, 72], false))).toBeGreaterThan(300)
    // Two at the knife with their adult, so two rounds.
    expect(work(planOf([60, 62, 64, 66, 68, 72], true, 2))).toBe(300)
  })
  it('who may not cut is at the other job, and everybody has one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 26, max: 110 }), { minLength: 2, maxLength: 12 }),
        fc.integer({ min: 1, max: 4 }),
        (ages, helpers) => {
          const plan = planOf(ages, true, helpers)
          const own = stations(plan).filter((t) => t.rounds)
          if (own.length < 2) return
          for (const { id } of plan.children) {
            const had = own.filter((t) => plan.turns.some((x) => x.task === t.id && x.child === id))
            expect(had.length, id).toBe(own.some((t) => t.forms.some((f) => f.children.includes(id))) ? 1 : 0)
            for (const t of had) expect(t.forms.some((f) => f.children.includes(id))).toBe(true)
          }
          const free = own.every((t) => t.forms.flatMap((f) => f.children).length === plan.children.length)
          const sizes = own.map((t) => t.rounds?.flat().length ?? 0)
          if (free) expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('an adult for each of several', () => {
  it('is found by changing who stands where', () => {
    const list: PlanAdult[] = [
      { id: 'both', leads: ['knives', 'heat'] },
      { id: 'knives', leads: ['knives'] },
    ]
    expect(adultsApart(['knives', 'heat'], list)).toEqual(['knives', 'both'])
    expect(adultsApart(['heat', 'heat'], list)).toBeNull()
    expect(adultsApart([], [])).toEqual([])
  })
})

describe('bowls by the rule of the house', () => {
  const kids = [child('two', 30), child('three', 40), child('four', 52), child('five', 61)]
  const bowls = (rules: Partial<PlanRequest['rules']>) => {
    const base = request(kids)
    return compile({ ...base, rules: { ...base.rules, ...rules } }).bowls.map((b) => b.children)
  }
  it('an own bowl for every child', () => {
    expect(bowls({ grouping: 'own' })).toEqual([['two'], ['three'], ['four'], ['five']])
  })
  it('under three an own bowl, the others share one', () => {
    expect(bowls({ ownUnder: 36 })).toEqual([['three', 'four', 'five'], ['two']])
  })
  it('an own bowl is offered first where the house wants that, else one pot for all', () => {
    const milk = { concerns: [{ allergen: 'milk', level: 'allergy-strict' as const }] }
    const first = (allergy?: 'own-bowl') => {
      const base = request([child('a', 50, milk), child('b', 50)])
      const plan = compile({ ...base, rules: { ...base.rules, ...(allergy && { allergy }) } })
      const fix = plan.findings.find((f) => f.grade === 'stop')?.fixes[0]
      return fix?.action.do === 'decide' ? fix.action.decision.kind : fix?.action.do
    }
    expect(first()).not.toBe('apart')
    expect(first('own-bowl')).toBe('apart')
  })
  it('nobody left to share: only own bowls', () => {
    const base = request(kids.slice(0, 1))
    const plan = compile({ ...base, rules: { ...base.rules, ownUnder: 36 } })
    expect(plan.bowls.map((b) => b.children)).toEqual([['two']])
  })
})

describe('waves', () => {
  it('no more with a tool than there are, and everybody comes to it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 5 }), (n, count) => {
        const kids = Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i))
        const base = request(kids)
        const snip = compile(base).tasks.find((t) => t.technique === 'snip-scissors')
        if (!snip) throw new Error('no task')
        const tools = snip.forms.map((f) => ({ tool: f.tool, count }))
        const waves = wavesOf(snip, { ...base, kit: { ...base.kit, tools } })
        expect(waves.flat().sort()).toEqual(kids.map((k) => k.id).sort())
        for (const wave of waves)
          for (const form of snip.forms)
            expect(wave.filter((c) => form.children.includes(c)).length).toBeLessThanOrEqual(count)
      }),
      { numRuns: 40 },
    )
  })
  it('fewer scissors take longer, one pair more is tried as a mend', () => {
    const kids = Array.from({ length: 8 }, (_, i) => child(`c${i}`, 62 + i))
    const base = request(kids)
    const tool = compile(base).tasks.find((t) => t.technique === 'snip-scissors')?.forms[0]?.tool ?? ''
    const few = { ...base, kit: { ...base.kit, tools: [{ tool, count: 1 }] } }
    expect(compile(few).totals.seconds).toBeGreaterThan(compile(base).totals.seconds)
  })
})
