/** Several bowls, one adult: who works under the same eyes at the same job does it at the same time, whichever bowl it is for. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import { adultAway } from '../../../src/plan/live/adult-away'
import { childLeaves } from '../../../src/plan/live/child-leaves'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { laneChart } from '../../../src/plan/view/lanes'
import { child, recipeOf, request } from '../../group'

const EVERYWHERE = ['oven', 'hob', 'fridge', 'freezer', 'sink', 'scale', 'fire', 'grill', 'microwave']
const adults = (n: number) =>
  Array.from({ length: n }, (_, i) => ({ id: `adult-${i}`, leads: ['knives', 'heat'] as const }))
const asked = (
  recipe: string,
  ages: readonly number[],
  helpers: number,
  grouping: 'own' | 'groups' | 'together',
  groupSize = 4,
): PlanRequest => {
  const base = request(
    ages.map((months, i) => child(`c${i}`, months)),
    { recipe: recipeOf(recipe), adults: adults(helpers).map((a) => ({ ...a, leads: [...a.leads] })) },
  )
  return {
    ...base,
    kit: { ...base.kit, equipment: EVERYWHERE },
    rules: { ...base.rules, grouping, groupSize },
  }
}
const planOf = (of: PlanRequest): Plan => {
  const plan = compile(of)
  expect(breaches(plan, of)).toEqual([])
  expect(planFault(plan)).toBeNull()
  return plan
}
const cutting = (plan: Plan) => {
  const tasks = plan.tasks.filter((t) => t.technique === 'cut-soft-table-knife')
  return Math.max(...tasks.map((t) => t.end ?? 0)) - Math.min(...tasks.map((t) => t.start ?? Infinity))
}
const FOUR = [50, 52, 54, 56]

describe('own bowls', () => {
  it('cut at once, one adult beside all of them: three minutes, not twelve', () => {
    for (const helpers of [1, 2, 4])
      expect(cutting(planOf(asked('cucumber-mint-raita', FOUR, helpers, 'own'))), `${helpers}`).toBe(180)
  })
  it('have one adult at it, and the times of each are its own', () => {
    const plan = planOf(asked('cucumber-mint-raita', FOUR, 2, 'own'))
    const tasks = plan.tasks.filter((t) => t.technique === 'cut-soft-table-knife')
    expect(new Set(tasks.map((t) => t.adult)).size).toBe(1)
    for (const task of tasks) {
      const [turn] = plan.turns.filter((t) => t.task === task.id)
      expect([turn?.start, turn?.end]).toEqual([task.start, task.end])
    }
  })
  it('no more beside one adult than it can see to, in any group of any age', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_RECIPES.map((r) => r.id)),
        fc.array(fc.integer({ min: 26, max: 120 }), { minLength: 2, maxLength: 14 }),
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom('own', 'groups', 'together'),
        fc.integer({ min: 2, max: 5 }),
        (recipe, ages, helpers, grouping, size) => {
          const plan = planOf(asked(recipe, ages, helpers, grouping, size))
          const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
          const seen = plan.turns.flatMap((turn) => {
            const task = tasks.get(turn.task)
            const form = task?.forms.find((f) => f.children.includes(turn.child))
            const beside = task?.adult && task.mode === 'EACH' && (task.hazard || form?.supervision === 'B')
            const sitting = plan.schedule.find((s) => s.step === task?.step)?.sitting
            return task && form && beside ? [{ turn, task, form, sitting }] : []
          })
          for (const { turn, task, sitting } of seen) {
            const now = seen.filter(
              (s) =>
                s.sitting === sitting &&
                s.task.adult === task.adult &&
                s.turn.start <= turn.start &&
                turn.start < s.turn.end,
            )
            // One adult beside so many: the shares that published ratios give each child do not come to more than one adult.
            const shares = now.reduce((n, s) => n + 1 / s.form.perAdult, 0)
            expect(shares, `${task.id} at ${turn.start}`).toBeLessThanOrEqual(1 + 1e-9)
            // And it is one job that it stands at.
            expect(new Set(now.map((s) => `${s.task.step}/${s.task.technique}`)).size).toBe(1)
          }
        },
      ),
      { numRuns: 80 },
    )
  })
  it('take no longer than one shared bowl by more than a tenth, with one adult, where nothing stands in the way', () => {
    for (const id of [
      'cucumber-mint-raita',
      'beetroot-bean-dip',
      'overnight-oats-pear',
      'apple-oat-crumble-pots',
      'cheese-leek-scones',
    ]) {
      // A measure of each kind for everybody: else they wait for the spoon.
      const enough = (grouping: 'together' | 'own') => {
        const of = asked(id, FOUR, 1, grouping)
        return { ...of, kit: { ...of.kit, measures: of.kit.measures.map((m) => ({ ...m, count: 4 })) } }
      }
      const shared = planOf(enough('together')).totals.seconds
      expect(planOf(enough('own')).totals.seconds, id).toBeLessThanOrEqual(shared * 1.1)
    }
  })
  it('that are apart for an allergy share no adult’s eyes with others', () => {
    for (const grouping of ['own', 'groups', 'together'] as const) {
      const of = asked('cucumber-mint-raita', FOUR, 1, grouping)
      const plan = planOf({ ...of, decisions: [{ kind: 'apart', children: ['c1'], swaps: [] }] })
      expect(plan.bowls[0]?.id).toBe('apart')
      expect(plan.tasks.filter((t) => t.joins !== undefined)).toEqual([])
      const joined = planOf(asked('cucumber-mint-raita', FOUR, 1, 'own'))
      const wrong = joined.tasks.map((t) => (t.bowl === 'own-c0' && t.joins ? { ...t, bowl: 'apart' } : t))
      expect(breaches({ ...joined, tasks: wrong }, of).some((b) => b.includes('apart'))).toBe(true)
    }
  })
  it('wash beside one adult while it cools, as a shared bowl does', () => {
    const cooling = (grouping: 'own' | 'together') => {
      const plan = planOf(asked('apple-oat-crumble-pots', [26, 27, 28], 1, grouping))
      const baked = plan.schedule.find((s) => s.step === 'bake')
      const wait = plan.tasks.find((t) => t.step === 'taste' && t.mode === 'WAIT' && t.start !== undefined)
      return (wait?.start ?? 0) - ((baked?.start ?? 0) + (baked?.seconds ?? 0))
    }
    expect([cooling('together'), cooling('own')]).toEqual([0, 0])
  })
  it('hold when a child leaves, and when the adult at it is called away', () => {
    const of = asked('cucumber-mint-raita', FOUR, 2, 'own')
    const plan = planOf(of)
    const left = childLeaves(plan, new Set(), 'c0')
    expect('refused' in left).toBe(false)
    if (!('refused' in left)) {
      expect(
        breaches(left.plan, { ...of, children: of.children.slice(1) }).filter((b) => /at once/.test(b)),
      ).toEqual([])
      const next = adultAway(left.plan, { ...of, children: of.children.slice(1) }, 'adult-0', 'wash')
      expect('refused' in next).toBe(false)
      if (!('refused' in next)) expect(cutting(next.plan)).toBe(180)
    }
    const away = adultAway(plan, of, 'adult-0', 'wash')
    expect('refused' in away).toBe(false)
    if ('refused' in away) return
    expect(cutting(away.plan)).toBe(180)
    expect(
      new Set(away.plan.tasks.filter((t) => t.technique === 'cut-soft-table-knife').map((t) => t.adult)),
    ).toEqual(new Set(['adult-1']))
  })
  it('stand once in the lane of the adult, from the first child to the last', () => {
    for (const id of ['cucumber-mint-raita', 'apple-oat-crumble-pots', 'lentil-letter-soup']) {
      const plan = planOf(asked(id, FOUR, 1, 'own'))
      const [lane] = laneChart(plan, []).lanes
      const blocks = [...(lane?.blocks ?? [])].sort((a, b) => a.left - b.left)
      // One adult is at one thing at a time: no block lies on another.
      for (const [i, b] of blocks.entries())
        if (i > 0)
          expect(b.left, `${id}: ${b.label}`).toBeGreaterThanOrEqual(
            (blocks[i - 1]?.left ?? 0) + (blocks[i - 1]?.width ?? 0) - 0.01,
          )
    }
  })
  it('an adult whom somebody put at one of them is at all of them', () => {
    const of = asked('cucumber-mint-raita', FOUR, 2, 'own')
    const task = planOf(of).tasks.find((t) => t.technique === 'cut-soft-table-knife' && t.bowl === 'own-c2')
    const plan = planOf({ ...of, decisions: [{ kind: 'stands', task: task?.id ?? '', adult: 'adult-1' }] })
    const cut = plan.tasks.filter((t) => t.technique === 'cut-soft-table-knife')
    expect(new Set(cut.map((t) => t.adult))).toEqual(new Set(['adult-1']))
    expect(cutting(plan)).toBe(180)
    expect(plan.ineffective).toEqual([])
  })
})
