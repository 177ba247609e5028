/** Swaps that suit everyone at once, the own bowl, cross-contact, and what the plan says of order and hygiene. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { swapOf } from '../../../src/food/swaps'
import { compile, openStops } from '../../../src/plan/compile'
import type { Decision } from '../../../src/plan/model/decision'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanChild } from '../../../src/plan/model/request'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { APART } from '../../../src/plan/model/line'
import { child, four, recipeOf, request } from '../../group'
import type { Concern } from '../../../src/food/concern'

const milk = (level: Concern['level'] = 'allergy-strict'): Concern => ({ allergen: 'milk', level })
const listed = (plan: Plan): Plan['findings'] =>
  openStops(plan).filter((f) => f.rule === 'concern' && f.touches.some((t) => t.meeting === 'lists'))

describe('one pot for all', () => {
  it('clears every listed line with the fewest changes', () => {
    const group = [
      ...four(),
      child('zuri', 41, { concerns: [milk()] }),
      child('otis', 49, { concerns: [{ allergen: 'egg', level: 'allergy-strict' }] }),
    ]
    const recipe = recipeOf('cheese-leek-scones')
    const plan = compile(request(group, { recipe }))
    expect(plan.swapSet?.stuck).toEqual([])
    const lines = new Set(listed(plan).map((f) => f.subject.line))
    expect(plan.swapSet?.decisions).toHaveLength(lines.size)
    const after = compile(request(group, { recipe, decisions: plan.swapSet?.decisions ?? [] }))
    expect(listed(after)).toEqual([])
    expect(after.swapSet).toBeNull()
  })
  it('equals the best of all choices, tried one by one', () => {
    const group = [
      ...four(),
      child('zuri', 41, { concerns: [milk(), { allergen: 'soya', level: 'allergy-strict' }] }),
    ]
    const recipe = recipeOf('cheese-leek-scones')
    const base = compile(request(group, { recipe }))
    const fixes = listed(base).map((f) =>
      f.fixes.flatMap((x) =>
        x.action.do === 'decide' && x.action.decision.kind !== 'apart' ? [x.action.decision] : [],
      ),
    )
    const toRead = (decisions: Decision[]): number => {
      const plan = compile(request(group, { recipe, decisions }))
      return listed(plan).length > 0
        ? Infinity
        : new Set(
            openStops(plan)
              .filter((f) => f.rule === 'concern')
              .map((f) => f.subject.food),
          ).size
    }
    let best = Infinity
    const walk = (at: number, chosen: Decision[]): void => {
      if (at === fixes.length) best = Math.min(best, toRead(chosen))
      else for (const d of fixes[at] ?? []) walk(at + 1, [...chosen, d])
    }
    walk(0, [])
    expect(toRead(base.swapSet?.decisions ?? [])).toBe(best)
  })
  it('says honestly where nothing suits everyone', () => {
    const group = [
      ...four(),
      child('bodhi', 41, { concerns: [{ allergen: 'parsley', level: 'allergy-strict' }] }),
    ]
    const plan = compile(request(group, { recipe: recipeOf('couscous-jars') }))
    expect(plan.swapSet?.stuck).toContain('parsley')
    const stop = listed(plan).find((f) => f.subject.food === 'parsley')
    expect(stop?.fixes.map((x) => x.action.do)).toContain('choose-other')
  })
})

describe('an own bowl, apart', () => {
  const group = (level: Concern['level']): PlanChild[] => [
    ...four(),
    child('zuri', 41, { concerns: [milk(level)] }),
  ]
  const apartFix = (plan: Plan): Decision | undefined => {
    const action = listed(plan)[0]?.fixes.find((f) => f.label.startsWith('Own bowl'))?.action
    return action?.do === 'decide' ? action.decision : undefined
  }
  it('is offered for a strict allergy, swaps in that bowl alone, and comes first', () => {
    const before = compile(request(group('allergy-strict')))
    const decision = apartFix(before)
    expect(decision).toMatchObject({ kind: 'apart', children: ['zuri'] })
    const plan = compile(request(group('allergy-strict'), { decisions: decision ? [decision] : [] }))
    expect(plan.bowls.map((b) => [b.id, b.children.length])).toEqual([
      [APART, 1],
      ['all', 4],
    ])
    expect(plan.bowls[0]?.lines.some((l) => l.food === 'buttermilk')).toBe(false)
    expect(plan.bowls[1]?.lines.some((l) => l.food === 'buttermilk')).toBe(true)
    expect(listed(plan)).toEqual([])
    // The buttermilk on the table is still an adult's matter: cross-contact.
    const near = plan.findings.find((f) => f.subject.food === 'buttermilk')
    expect(near?.grade).toBe('adult')
    expect(near?.says).toContain('own tools, mixed first')
    expect(plan.hygiene.find((h) => h.when === 'order')?.says).toContain('{{zuri}} first')
  })
  it('is not offered where the plan wants the food off the table', () => {
    expect(apartFix(compile(request(group('anaphylaxis-risk'))))).toBeUndefined()
    expect(apartFix(compile(request(group('not-in-room'))))).toBeUndefined()
  })
  it('without the child it has no effect, is kept, and is listed', () => {
    const decision: Decision = {
      kind: 'apart',
      children: ['zuri'],
      swaps: [{ line: 'buttermilk', swap: 'buttermilk>oat-drink' }],
    }
    const plan = compile(request(four(), { decisions: [decision] }))
    expect(plan.bowls.map((b) => b.id)).toEqual(['all'])
    expect(plan.ineffective).toEqual([decision])
  })
})

describe('hygiene', () => {
  it('washes hands before everyone eats, on the clock, once', () => {
    const plan = compile(request(four()))
    const taste = plan.tasks.filter((t) => t.technique === 'taste').map((t) => t.step)
    const washes = plan.tasks.filter((t) => t.technique === 'wash-hands').map((t) => t.step)
    expect(washes).toEqual(expect.arrayContaining(taste))
    expect(new Set(washes).size).toBe(washes.length)
  })
  it('keeps what a plan wants out of the room out, and gives the country’s figures', () => {
    const group = [...four(), child('otis', 49, { concerns: [{ allergen: 'peanut', level: 'not-in-room' }] })]
    const plan = compile(request(group))
    expect(plan.hygiene.some((h) => h.says.includes('Nothing with peanut comes into the room'))).toBe(true)
    const us = compile(request(group, { rules: { ...request([]).rules, country: 'us' } }))
    expect(us.hygiene.find((h) => h.when === 'after' && h.says.includes('Leftovers'))?.says).toContain(
      'within 2 hours',
    )
  })
})

describe('properties', () => {
  const concern: fc.Arbitrary<Concern> = fc.record({
    allergen: fc.constantFrom(
      'milk',
      'egg',
      'wheat',
      'sesame',
      'soya',
      'celery',
      'coeliac',
      'oats',
      'citrus',
      'parsley',
    ),
    level: fc.constantFrom('allergy-strict', 'anaphylaxis-risk', 'allergy-ingredient', 'coeliac', 'unknown'),
  })
  const group = fc
    .array(
      fc.record({ months: fc.integer({ min: 8, max: 140 }), concerns: fc.array(concern, { maxLength: 2 }) }),
      { minLength: 2, maxLength: 8 },
    )
    .map((list) => list.map(({ months, concerns }, i) => child(`c${i}`, months, { concerns })))
  const recipe = fc.constantFrom(...SHIPPED_RECIPES)
  const RANK = { know: 0, adult: 1, stop: 2 }
  /** Each cause with its grade: where one food may still be offered and then none, the finding is the same and weighs more. */
  const causes = (plan: Plan): Map<string, number> =>
    new Map(
      plan.findings
        .filter((f) => f.pass === 'adapt' || f.pass === 'shape')
        .map((f) => [f.rule === 'no-choice' ? f.id.replace(/-(know|adult)$/, '') : f.id, RANK[f.grade]]),
    )

  it('adding an allergy never removes a finding of adapt or shape, nor makes one weigh less', () => {
    fc.assert(
      fc.property(group, recipe, concern, fc.nat(), (children, r, extra, at) => {
        const more = children.map((c, i) =>
          i === at % children.length ? { ...c, concerns: [...c.concerns, extra] } : c,
        )
        const after = causes(compile(request(more, { recipe: r })))
        for (const [cause, weight] of causes(compile(request(children, { recipe: r }))))
          expect(after.get(cause), cause).toBeGreaterThanOrEqual(weight)
      }),
      { numRuns: 60 },
    )
  })
  it('a swap offered never adds a stop for anyone present, but “read its packet” or a shape to prepare', () => {
    fc.assert(
      fc.property(group, recipe, (children, r) => {
        const plan = compile(request(children, { recipe: r }))
        for (const fix of listed(plan).flatMap((f) => f.fixes)) {
          if (fix.action.do !== 'decide' || fix.action.decision.kind !== 'swap') continue
          const brought = new Set(swapOf(fix.action.decision.swap)?.parts.map((p) => p.food))
          const after = compile(request(children, { recipe: r, decisions: [fix.action.decision] }))
          for (const stop of listed(after)) expect(brought.has(stop.subject.food ?? '')).toBe(false)
        }
      }),
      { numRuns: 40 },
    )
  })
  it('the smallest set leaves nothing listed but what it says is stuck', () => {
    fc.assert(
      fc.property(group, recipe, (children, r) => {
        const plan = compile(request(children, { recipe: r }))
        if (!plan.swapSet) return
        const after = compile(request(children, { recipe: r, decisions: plan.swapSet.decisions }))
        expect(listed(after)).toHaveLength(plan.swapSet.stuck.length)
      }),
      { numRuns: 60 },
    )
  })
})

it('where egg is the dish nothing stands in for it: make something else', () => {
  const recipe = {
    ...recipeOf('herb-soda-bread'),
    title: 'Herb omelette',
    lines: [{ id: 'egg', food: 'egg-hen', amount: '8', unit: 'item', role: 'main' as const }],
    steps: recipeOf('herb-soda-bread').steps.map((s) => ({ ...s, uses: [] })),
  }
  const allergic = child('a', 60, { concerns: [{ allergen: 'egg', level: 'allergy-strict' }] })
  const of = (title: string) =>
    compile(request([allergic, child('b', 60)], { recipe: { ...recipe, title } }))
      .findings.find((f) => f.rule === 'concern' && f.subject.line === 'egg')
      ?.fixes.map((f) => f.label) ?? []
  expect(of('Herb omelette')).toContain('Egg is the dish: make something else')
  expect(of('Herb omelette').some((l) => l.includes('for everyone'))).toBe(false)
  expect(of('Herb pancakes').some((l) => l.includes('for everyone'))).toBe(true)
})
