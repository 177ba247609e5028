import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile, openStops } from '../../../src/plan/compile'
import type { Decision } from '../../../src/plan/model/decision'
import type { PlanChild } from '../../../src/plan/model/request'
import { COVERED_FROM } from '../../../src/plan/model/choice'
import { putTogether } from '../../../src/recipe/put-together'
import type { Recipe } from '../../../src/recipe/recipe'
import { recipeSchema } from '../../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../../group'

const garden = recipeOf('guess-the-garden')
/** The same with another food for the beetroot, and eyes open or covered. */
const tasted = (covered: boolean, food = 'beetroot', where = 'beetroot'): Recipe => ({
  ...garden,
  lines: garden.lines.map((l) => (l.id === where ? { ...l, food } : l)),
  steps: garden.steps.map((s) =>
    s.tasting ? { ...s, tasting: { lines: s.tasting.lines, ...(covered && { covered: true as const }) } } : s,
  ),
})
const milk = (id: string, months: number): PlanChild =>
  child(id, months, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] })
const group = [child('wren', 64), milk('idris', 40), child('maren', 52), child('kofi', 30)]
const planned = (recipe: Recipe, children = group, decisions: Decision[] = []) => {
  const of = request(children, { recipe, decisions })
  return { of, plan: compile(of) }
}
const cheese = (covered: boolean) => tasted(covered, 'cheddar', 'carrot')

describe('a tasting in a plan', () => {
  it('keeps every rule in any group, gives each its tastes once, and neighbours begin with different ones', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 18, max: 140 }), { minLength: 1, maxLength: 10 }),
        fc.boolean(),
        fc.integer({ min: 1, max: 3 }),
        (ages, covered, adults) => {
          const of = request(
            ages.map((m, i) => child(`c${i}`, m)),
            {
              recipe: tasted(covered),
              adults: Array.from({ length: adults }, (_, i) => ({ id: `a${i}`, leads: ['knives', 'heat'] })),
            },
          )
          const plan = compile(of)
          expect(breaches(plan, of)).toEqual([])
          expect(planFault(JSON.parse(JSON.stringify(plan)))).toBeNull()
          const tasters = plan.tastings?.[0]?.tasters ?? []
          expect(tasters.map((t) => t.child)).toEqual(ages.map((_, i) => `c${i}`))
          tasters.forEach((t, i) => {
            expect(new Set(t.tastes.map((x) => x.line)).size).toBe(t.tastes.length)
            expect(t.covered === true).toBe(covered && (ages[i] ?? 0) >= COVERED_FROM)
            const next = tasters[i + 1]
            if (next && t.tastes.length > 1 && next.tastes.length === t.tastes.length)
              expect(next.tastes[0]?.line).not.toBe(t.tastes[0]?.line)
          })
        },
      ),
      { numRuns: 25 },
    )
  })

  it('with eyes covered has an adult beside at most three at a time, whatever their age', () => {
    const older = Array.from({ length: 7 }, (_, i) => child(`c${i}`, 90 + i))
    const { plan } = planned(tasted(true), older)
    const taste = plan.tasks.find((t) => t.technique === 'taste')
    expect(taste?.adult).toBeDefined()
    const open = planned(tasted(false), older).plan
    expect(open.tasks.find((t) => t.technique === 'taste')?.adult).toBeUndefined()
    const lasts = (p: typeof plan): number => p.schedule.find((s) => s.step === 'guess')?.seconds ?? 0
    // Seven children in threes are three goes of a minute and a half, and the washing before.
    expect(lasts(plan)).toBeGreaterThanOrEqual(3 * 90)
    expect(lasts(open)).toBeLessThan(lasts(plan))
  })

  it('with eyes open does not offer a child what its card forbids, and stops nobody', () => {
    const { plan, of } = planned(cheese(false))
    expect(openStops(plan)).toEqual([])
    const tasters = plan.tastings?.[0]?.tasters ?? []
    expect(tasters.find((t) => t.child === 'idris')?.tastes.map((t) => t.line)).not.toContain('carrot')
    expect(tasters.find((t) => t.child === 'wren')?.tastes.map((t) => t.line)).toContain('carrot')
    expect(breaches(plan, of)).toEqual([])
  })

  it('with eyes covered stops all for one child’s allergy; open eyes are a mend, and then only that child is passed', () => {
    const { plan } = planned(cheese(true))
    const stop = openStops(plan)[0]
    expect(stop?.touches.map((t) => t.child)).toEqual(['idris'])
    const fix = stop?.fixes.find((f) => f.label.startsWith('Taste with open eyes'))
    if (fix?.action.do !== 'decide') throw new Error('open eyes are no mend')
    const after = planned(cheese(true), group, [fix.action.decision]).plan
    expect(openStops(after)).toEqual([])
    expect(after.tastings?.[0]?.covered).toBe(false)
    expect(after.tastings?.[0]?.tasters.find((t) => t.child === 'idris')?.tastes.length).toBe(3)
    expect(after.ineffective).toEqual([])
    // Said of a tasting that has open eyes already, it has no effect and is listed.
    expect(planned(cheese(false), group, [fix.action.decision]).plan.ineffective.length).toBe(1)
  })

  it('of what may not be at the table at all open eyes are no mend', () => {
    const child1 = child('idris', 40, { concerns: [{ allergen: 'milk', level: 'not-in-room' }] })
    const { plan } = planned(cheese(true), [child('wren', 64), child1])
    expect(openStops(plan).length).toBeGreaterThan(0)
    for (const f of openStops(plan))
      expect(f.fixes.some((x) => x.label.startsWith('Taste with open eyes'))).toBe(false)
  })

  it('for any allergen of any child never gives a taste that the card stops, unless a stop is open', () => {
    const drawn = fc.record({
      food: fc.constantFrom('cheddar', 'flatbread', 'yoghurt-plain', 'hummus', 'sesame-seeds', 'oatcakes'),
      where: fc.constantFrom('carrot', 'beetroot', 'cucumber'),
      allergens: fc.array(fc.constantFrom('milk', 'sesame', 'wheat', 'oats', 'mustard', 'celery'), {
        minLength: 1,
        maxLength: 5,
      }),
      covered: fc.boolean(),
    })
    fc.assert(
      fc.property(drawn, ({ food, where, allergens, covered }) => {
        const kids = [
          child('free', 60),
          ...allergens.map((allergen, i) =>
            child(`c${i}`, 40 + i * 9, { concerns: [{ allergen, level: 'allergy-strict' }] }),
          ),
        ]
        const { plan, of } = planned(tasted(covered, food, where), kids)
        expect(breaches(plan, of)).toEqual([])
        if (openStops(plan).length > 0) return
        for (const check of plan.checks.filter((c) => c.meeting === 'lists')) {
          const line = plan.bowls.flatMap((b) => b.lines).find((l) => l.id === check.line)?.line
          const own = plan.tastings?.[0]?.tasters.find((t) => t.child === check.child)
          expect(own?.tastes.map((t) => t.line)).not.toContain(line)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('makes no pot of its own for anything else: what is tasted and then laid onto what all eat is judged as every line', () => {
    const base = cheese(false)
    const onto: Recipe = {
      ...base,
      lines: [...base.lines, { id: 'bread', food: 'rice-white', amount: '2', unit: 'cup_m', role: 'main' }],
      steps: [
        ...base.steps,
        {
          id: 'lay',
          title: 'Onto the big plate',
          picture: 'bowl',
          uses: [
            { line: 'bread', part: '1' },
            { line: 'carrot', part: '1' },
          ],
          tasks: [{ technique: 'arrange', mode: 'TURNS', seconds: 20, turns: 8 }],
        },
      ],
    }
    expect(openStops(planned(cheese(false)).plan)).toEqual([])
    expect(openStops(planned(onto).plan).map((f) => f.touches.map((t) => t.child))).toEqual([['idris']])
    // Nor for another choice that is spread for all by turns.
    const spread: Recipe = {
      ...tasted(false),
      lines: [
        ...garden.lines,
        { id: 'cheese', food: 'cheddar', amount: '60', unit: 'g', role: 'topping' },
        { id: 'peas', food: 'peas-frozen', amount: '60', unit: 'g', role: 'topping' },
      ],
      choices: [{ id: 'top', what: 'toppings', lines: ['cheese', 'peas'], take: 1, step: 'top' }],
      steps: [
        ...tasted(false).steps,
        {
          id: 'top',
          title: 'On top',
          picture: 'bowl',
          uses: [
            { line: 'cheese', part: '1' },
            { line: 'peas', part: '1' },
          ],
          tasks: [
            { technique: 'sprinkle', mode: 'TURNS', seconds: 20, turns: 8 },
            { technique: 'taste', mode: 'EACH', seconds: 30 },
          ],
        },
      ],
    }
    expect(openStops(planned(spread).plan).length).toBeGreaterThan(0)
  })

  it('with eyes covered is judged for all also where the recipe calls the same foods a free choice', () => {
    const both: Recipe = {
      ...cheese(true),
      choices: [{ id: 'any', what: 'tastes', lines: ['carrot', 'cucumber'], take: 2, step: 'guess' }],
    }
    expect(openStops(planned(both).plan).flatMap((f) => f.touches.map((t) => t.child))).toEqual(['idris'])
  })

  it('is talked of by what is there: covered guesses, open compares', () => {
    const keys = (covered: boolean) =>
      planned(tasted(covered))
        .plan.talk.find((t) => t.step === 'guess')
        ?.facts?.map((f) => f.fact)
    expect(keys(true)).toContainEqual(expect.objectContaining({ kind: 'tastes', covered: true }))
    expect(JSON.stringify(keys(false))).not.toContain('covered')
  })

  it('says where two tastes are one food, since there is nothing to tell apart', () => {
    const { plan } = planned(tasted(true, 'carrot', 'cucumber'))
    expect(plan.findings.find((f) => f.rule === 'tasting')?.says).toMatch(/carrot comes twice/)
  })

  it('stays whole when recipes are put together, and one that cannot be tasted is refused by name', async () => {
    const both = putTogether([garden, recipeOf('cucumber-mint-raita')], 'own:both')
    if ('refused' in both) throw new Error(both.refused)
    await expect(recipeSchema.validate(both)).resolves.toBeDefined()
    const broken = (change: Partial<Recipe['steps'][number]>): Recipe => ({
      ...garden,
      steps: garden.steps.map((s) => (s.tasting ? { ...s, ...change } : s)),
    })
    const one = broken({ tasting: { lines: ['carrot', 'ghost'] } })
    await expect(recipeSchema.validate(one)).rejects.toThrow(/ghost/)
    await expect(recipeSchema.validate(broken({ tasting: { lines: ['carrot'] } }))).rejects.toThrow(
      /two tastes|2/,
    )
    const idle = broken({ tasks: [{ technique: 'serve-self', mode: 'EACH', seconds: 60 }] })
    await expect(recipeSchema.validate(idle)).rejects.toThrow(/taste/)
  })
})
