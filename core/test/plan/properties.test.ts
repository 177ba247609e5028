/** Whatever the group, the recipe and the rules: the hard rules hold, seen from outside the passes. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { meet } from '../../src/food/concerns'
import { foodBook } from '../../src/food/own-foods'
import { compile, openStops } from '../../src/plan/compile'
import type { PlanChild, PlanRequest } from '../../src/plan/model/request'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { breaches } from '../../src/plan/check/check'
import { child, request } from '../group'
import type { Concern } from '../../src/food/concern'

const concern: fc.Arbitrary<Concern> = fc.record({
  allergen: fc.constantFrom(
    'milk',
    'egg',
    'wheat',
    'sesame',
    'soya',
    'celery',
    'cashew',
    'coeliac',
    'kiwi',
    'mustard',
  ),
  level: fc.constantFrom(
    'allergy-strict',
    'anaphylaxis-risk',
    'allergy-ingredient',
    'preference',
    'intolerance',
    'not-in-room',
  ),
})
const kid = (i: number): fc.Arbitrary<PlanChild> =>
  fc
    .record({ months: fc.integer({ min: 6, max: 150 }), concerns: fc.array(concern, { maxLength: 2 }) })
    .map(({ months, concerns }) => child(`c${i}`, months, { concerns }))
const kids = fc
  .integer({ min: 1, max: 30 })
  .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => kid(i))))
const requests: fc.Arbitrary<PlanRequest> = fc
  .record({
    children: kids,
    recipe: fc.constantFrom(...SHIPPED_RECIPES),
    grouping: fc.constantFrom('together' as const, 'groups' as const),
    groupSize: fc.integer({ min: 1, max: 6 }),
    knives: fc.constantFrom('soft-first' as const, 'real-early' as const),
  })
  .map(({ children, recipe, ...rules }) =>
    request(children, { recipe, rules: { ...request([]).rules, ...rules } }),
  )

describe('every plan', () => {
  it('keeps the hard rules of the independent checker', () => {
    fc.assert(
      fc.property(requests, (r) => {
        expect(breaches(compile(r), r)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })
  it('has a stop for every line that lists what an allergic child must not have, or does not offer it', () => {
    const foods = foodBook()
    fc.assert(
      fc.property(requests, (r) => {
        const plan = compile(r)
        const stops = new Set(openStops(plan).map((f) => f.subject.line))
        for (const line of r.recipe.lines) {
          const lists = r.children.filter((c) =>
            c.concerns.some(
              (x) => x.level !== 'preference' && meet(x.allergen, foods.of(line.food)) === 'lists',
            ),
          )
          const choice = plan.choices?.find((c) => c.lines.some((l) => l.line === line.id))
          const eats = lists.filter(
            (c) => choice?.offers.find((o) => o.child === c.id)?.lines.includes(line.id) ?? true,
          )
          if (eats.length > 0) expect(stops).toContain(line.id)
          if (lists.length > 0) expect(plan.findings.map((f) => f.subject.line)).toContain(line.id)
        }
      }),
      { numRuns: 60 },
    )
  })
  it('deals every turn to a child of the bowl, and differs by at most one turn where no child is barred', () => {
    fc.assert(
      fc.property(requests, (r) => {
        const plan = compile(r)
        for (const bowl of plan.bowls) {
          const tasks = plan.tasks.filter((t) => t.bowl === bowl.id && t.mode === 'TURNS')
          const turns = plan.turns.filter((t) => tasks.some((k) => k.id === t.task))
          expect(turns.every((t) => bowl.children.includes(t.child))).toBe(true)
          // Who sits out of one job has a turn more in another.
          if (plan.tasks.some((t) => t.bowl === bowl.id && t.barred.length > 0)) continue
          const counts = bowl.children.map((c) => turns.filter((t) => t.child === c).length)
          expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('the checker itself', () => {
  it('sees a child put where it must not be', () => {
    const r = request([
      child('a', 50),
      child('zuri', 50, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] }),
    ])
    const plan = compile(r)
    const pour = plan.tasks.find((t) => t.technique === 'pour-liquid')
    const broken = {
      ...plan,
      turns: plan.turns.map((t) => (t.task === pour?.id ? { ...t, child: 'zuri' } : t)),
    }
    expect(breaches(broken, r).join()).toContain('must not touch buttermilk')
  })
  it('sees two places at once, a child too young, and turns that were forgotten', () => {
    const r = request([child('a', 50), child('b', 50)])
    const plan = compile(r)
    const squeezed = { ...plan, turns: plan.turns.map((t) => ({ ...t, child: 'a', start: 0, end: 60 })) }
    expect(breaches(squeezed, r).join()).toContain('at once')
    const forgot = { ...plan, turns: plan.turns.slice(1) }
    expect(breaches(forgot, r).join()).toContain('turns are dealt')
    const young = { ...r, children: [child('a', 20), child('b', 50)] }
    expect(breaches(plan, young).join()).toContain('too young')
  })
})
