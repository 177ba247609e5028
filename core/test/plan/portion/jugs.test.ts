/** Nobody counts twenty-four quarter cups of water: scoops only where counting is worth it, else a jug to its line, once for each child. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { toBase } from '../../../src/amount/units'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import { measureBreaks } from '../../../src/plan/live/lost-measure'
import { madeBy, scoopsText } from '../../../src/plan/model/scoop-sequence'
import type { Plan } from '../../../src/plan/model/plan'
import { alternatives } from '../../../src/plan/whatif/alternatives'
import { turnText } from '../../../src/plan/view/weave'
import { TOLERANCE, type Recipe } from '../../../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, recipeOf, request } from '../../group'

const SOUP = recipeOf('lentil-letter-soup')
const EVERYWHERE = ['oven', 'hob', 'fridge', 'freezer', 'sink', 'scale', 'fire', 'grill', 'microwave']
const asked = (recipe: Recipe, n: number, more: object = {}) => {
  const kids = Array.from({ length: n }, (_, i) => child(`c${i}`, 44 + (i % 30)))
  const base = request(kids, { recipe, ...more })
  return { ...base, kit: { ...base.kit, equipment: EVERYWHERE } }
}
const planOf = (of: ReturnType<typeof asked>): Plan => {
  const plan = compile(of)
  expect(breaches(plan, of)).toEqual([])
  expect(planFault(plan)).toBeNull()
  return plan
}
const withWater = (amount: string, unit: string): Recipe => ({
  ...SOUP,
  lines: SOUP.lines.map((l) => (l.id === 'water' ? { ...l, amount, unit } : l)),
})
const water = (plan: Plan) =>
  plan.tasks.filter((t) => t.uses[0] === 'water' && t.uses.length === 1 && t.measured)

describe('a lot of liquid', () => {
  it('is poured by everybody once: six cups of water for six are six cups, not twenty-four quarters', () => {
    const [task] = water(planOf(asked(SOUP, 6)))
    expect(task?.measured).toMatchObject({ by: 'scoop', n: 6 })
    expect((task?.n ?? 0) * (task?.seconds ?? 0)).toBeLessThanOrEqual(180)
  })
  it('that no few scoops make goes by the jug, to the same line for each', () => {
    const of = asked(withWater('3600', 'mL'), 6)
    const plan = planOf(of)
    const [task] = water(plan)
    expect(task?.measured).toMatchObject({ by: 'scoop', jug: true, n: 6, errPct: '0' })
    expect(task?.measured?.by === 'scoop' && scoopsText(task.measured)).toBe('6 × a jug to the 450 mL line')
    expect(task && turnText(task, 1)).toBe('one jug, to the 450 mL line')
    expect(new Set(plan.turns.filter((t) => t.task === task?.id).map((t) => t.child)).size).toBe(6)
    // A measure of the box that is lost is none of the jug.
    const lost = measureBreaks(plan, of, 'cup', new Set())
    if ('refused' in lost) throw new Error(lost.refused)
    expect(water(lost.plan)[0]?.measured).toEqual(task?.measured)
  })
  it('whatever the amount and the group: few pours, each within what a child lifts, the amount within its tolerance', () => {
    const amounts = fc.oneof(
      fc.tuple(fc.integer({ min: 100, max: 4000 }).map(String), fc.constant('mL')),
      fc.tuple(
        fc.integer({ min: 1, max: 40 }).map((n) => ratio(n).div(4).toFraction()),
        fc.constantFrom('cup_m', 'cup_us'),
      ),
    )
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 14 }),
        amounts,
        fc.constantFrom('together', 'groups', 'own'),
        (n, [amount, unit], grouping) => {
          const of = asked(withWater(amount, unit), n)
          const plan = planOf({ ...of, rules: { ...of.rules, grouping } })
          for (const task of water(plan)) {
            const m = task.measured
            const bowl = plan.bowls.find((b) => b.id === task.bowl)
            const line = bowl?.lines.find((l) => l.id === task.uses[0])
            if (m?.by !== 'scoop' || !line) continue
            const all = toBase(line.amount, line.unit)
            expect(madeBy(m).div(all).sub(1).abs().compare(TOLERANCE[line.role])).toBeLessThanOrEqual(0)
            const able = task.forms.flatMap((f) => f.children).length
            const least = Math.ceil(all.valueOf() / 500)
            if (all.valueOf() >= 300 && task.mode === 'TURNS')
              expect(m.n).toBeLessThanOrEqual(Math.max(6, able, 2 * least))
            if (m.jug)
              for (const p of m.parts) expect(toBase(p.size, p.unit).valueOf()).toBeLessThanOrEqual(500)
          }
        },
      ),
      { numRuns: 120 },
    )
  })
  it('is scooped all the same where somebody chose so', () => {
    const of = asked(withWater('3600', 'mL'), 6)
    const [task] = water(planOf(of))
    const ways = { cup: 10, 'half-cup': 1, 'quarter-cup': 0, tbsp: 5 }
    const plan = planOf({ ...of, decisions: [{ kind: 'scoops', task: task?.id ?? '', ways }] })
    expect(alternatives(plan, of, task?.id ?? '')).not.toBeNull()
    expect(water(plan)[0]?.measured).toMatchObject({ by: 'scoop', pinned: true })
    expect(plan.ineffective).toEqual([])
  })
})

describe('any line', () => {
  it('has no more scoops than two for each child, or twelve, where fewer make it', () => {
    const groups = [
      [3, 1],
      [6, 1],
      [6, 2],
      [10, 2],
    ] as const
    for (const recipe of SHIPPED_RECIPES)
      for (const [n, batch] of groups) {
        const portions = ratio(recipe.serves).mul(batch).toFraction()
        const make = { kind: 'make', make: { by: 'portions', portions } }
        const plan = planOf(asked(recipe, n, { decisions: [make] }))
        for (const task of plan.tasks)
          if (task.measured?.by === 'scoop' && task.mode === 'TURNS')
            expect(task.measured.n, `${recipe.id} ${n} ${task.id}`).toBeLessThanOrEqual(Math.max(12, 2 * n))
      }
  })
})
