/** Lines that are for each child: everybody measures the own portion, all of it is bought, and it takes no longer than a shared bowl. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { toBase } from '../../../src/amount/units'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import { alternatives } from '../../../src/plan/whatif/alternatives'
import { madeBy } from '../../../src/plan/model/scoop-sequence'
import type { Recipe } from '../../../src/recipe/recipe'
import { readRecipe } from '../../../src/recipe/text/read-recipe'
import { replay } from '../../../src/session/replay'
import { nextTurn, tableTasks } from '../../../src/session/table'
import { child, recipeOf, request } from '../../group'

const OATS = recipeOf('overnight-oats-pear')
const withEach = (recipe: Recipe, each: boolean): Recipe => ({
  ...recipe,
  lines: recipe.lines.map((l) => (['oats', 'milk', 'yoghurt'].includes(l.id) ? { ...l, each } : l)),
})
const kids = (n: number) => Array.from({ length: n }, (_, i) => child(`c${i}`, 44 + (i % 20)))
const planOf = (recipe: Recipe, n: number, more: object = {}, measures?: number, adults = 2): Plan => {
  const people = request([]).adults
  const helpers = Array.from({ length: adults - 2 }, (_, i) => ({ id: `adult-${i}`, leads: [] }))
  const base = request(kids(n), { recipe, adults: [...people, ...helpers] })
  const of = {
    ...base,
    kit: {
      ...base.kit,
      measures: base.kit.measures.map((m) => ({ ...m, count: measures ?? m.count })),
    },
    rules: { ...base.rules, ...more },
  }
  const plan = compile(of)
  expect(breaches(plan, of)).toEqual([])
  expect(planFault(plan)).toBeNull()
  return plan
}
const portions = (plan: Plan) => plan.tasks.filter((t) => t.portion)
const lineOf = (plan: Plan, task: Plan['tasks'][number]) =>
  plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])

describe('a line for each child', () => {
  it('is measured by everybody for itself, whatever the group, the box and the bowls', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 24 }),
        fc.constantFrom('together', 'groups', 'own'),
        fc.constantFrom(1, 2, 6, 24),
        fc.constantFrom('1/4 cup_m', '1/2 cup_m', '2 tbsp_m', '3/4 tsp_m', '3/8 cup_m', '40 g', '3 item'),
        (n, grouping, measures, said) => {
          const [amount = '', unit = ''] = said.split(' ')
          const recipe = withEach(OATS, true)
          const lines = recipe.lines.map((l) =>
            l.id === 'oats' ? { ...l, amount: ratio(amount).mul(OATS.serves).toFraction(), unit } : l,
          )
          const plan = planOf({ ...recipe, lines }, n, { grouping }, measures)
          let all = ratio(0)
          for (const task of portions(plan)) {
            const line = lineOf(plan, task)
            const own = plan.turns.filter((t) => t.task === task.id)
            const able = task.forms.flatMap((f) => f.children)
            expect(new Set(own.map((t) => t.child)).size).toBe(able.length)
            const m = task.measured
            for (const id of able) {
              const mine = own.filter((t) => t.child === id)
              expect(mine.length).toBe(m?.by === 'scoop' ? m.n : 1)
              // One scoop after the other.
              for (const [i, turn] of mine.entries())
                if (i > 0) expect(turn.start).toBeGreaterThanOrEqual(mine[i - 1]?.end ?? 0)
            }
            if (task.uses[0] !== 'oats' || !line) continue
            expect(ratio(line.each?.amount ?? '0').equals(ratio(amount))).toBe(true)
            if (m?.by === 'scoop') {
              if (unit === 'g') continue
              const off = madeBy(m).div(toBase(amount, unit)).sub(1).abs()
              expect(off.compare('1/10')).toBeLessThanOrEqual(0)
            }
            if (m?.by === 'pieces') expect(m.n).toBe(3)
            if (m?.by === 'weight') expect(m.text).toMatch(/^40 g/)
          }
          for (const bowl of plan.bowls)
            for (const l of bowl.lines.filter((x) => x.line === 'oats'))
              all = all.add(ratio(l.each?.amount ?? '0').mul(bowl.children.length))
          // What all take is what is bought.
          const bought = plan.shopping.find((s) => s.food === 'oats-rolled')
          expect(all.equals(ratio(bought?.amount ?? '0'))).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('takes no longer than a shared bowl where there are measures enough, and as long as its scoops where one goes round', () => {
    // A quarter of a cup of each: as many scoops either way.
    const pots = withEach(OATS, true)
    const even = (each: boolean): Recipe => ({
      ...withEach(OATS, each),
      lines: withEach(pots, each).lines.map((l) => (l.id === 'yoghurt' ? { ...l, amount: '3/2' } : l)),
    })
    for (const n of [4, 8, 12])
      for (const grouping of ['together', 'groups']) {
        const shared = planOf(even(false), n, { grouping }, 24, 6).totals.seconds
        const enough = planOf(even(true), n, { grouping }, 24, 6)
        expect(enough.totals.seconds, `${n} ${grouping}`).toBeLessThanOrEqual(shared * 1.1)
        // Bowl by bowl: several bowls that share one spoon wait for it besides.
        if (grouping !== 'together') continue
        const one = planOf(even(true), n, { grouping })
        for (const task of portions(one)) {
          const crew = one.bowls.find((b) => b.id === task.bowl)?.children.length ?? 0
          expect((task.end ?? 0) - (task.start ?? 0)).toBe(crew * (task.n / crew) * task.seconds)
        }
      }
  })

  it('says so, at the table one child after the other: its own strip, its own fill', () => {
    const spoons = withEach(OATS, true)
    const lines = spoons.lines.map((l) => (l.id === 'yoghurt' ? { ...l, amount: '12', unit: 'tbsp_m' } : l))
    const plan = planOf({ ...spoons, lines }, 4)
    const task = portions(plan).find((t) => t.uses[0] === 'yoghurt')
    expect(task?.measured).toMatchObject({ by: 'scoop', n: 2 })
    const turns = plan.turns.filter((t) => t.task === task?.id)
    const at = (done: number) =>
      tableTasks(
        plan,
        replay(
          turns.slice(0, done).map((t, i) => ({
            id: `e${i}`,
            device: 'd',
            lamport: i,
            at: '2026-11-26T10:00:00Z',
            kind: 'turn' as const,
            body: { turn: t.id, child: t.child },
          })),
        ),
        task?.step ?? '',
      ).find((t) => t.task.id === task?.id)
    expect([0, 1, 2, 3, 8].map((k) => [at(k)?.count, at(k)?.fill, at(k)?.running, at(k)?.progress])).toEqual([
      [0, 'empty', '0', '0 of 4 children'],
      [1, 'half full', '1', '0 of 4 children'],
      [0, 'empty', '0', '1 of 4 children'],
      [1, 'half full', '1', '1 of 4 children'],
      [2, 'full', '2', '4 of 4 children'],
    ])
    expect(at(0)?.own.length).toBe(2)
    expect(at(1)?.shares.length).toBe(2)
    expect(nextTurn([at(2)].flatMap((t) => t ?? []))?.turn.child).toBe(turns[2]?.child)
  })

  it('is less for each where fewer portions are made than there are children, and no more where more are', () => {
    for (const [made, each] of [
      ['6', '4'],
      ['3', '2'],
      ['9', '4'],
    ]) {
      const of = request(kids(6), { recipe: recipeOf('own-flatbreads') })
      const make = { kind: 'make' as const, make: { by: 'portions' as const, portions: made ?? '' } }
      const asked = { ...of, decisions: [make] }
      const plan = compile(asked)
      expect(breaches(plan, asked)).toEqual([])
      const flour = plan.bowls[0]?.lines.find((l) => l.id === 'flour')
      expect([flour?.each?.amount, flour?.amount]).toEqual([each, String(4 * Number(made))])
    }
  })

  it('has other ways that make one child’s amount; a way that is pinned is everybody’s', () => {
    const of = request(kids(4), { recipe: recipeOf('own-flatbreads') })
    const plan = compile(of)
    const task = portions(plan).find((t) => t.uses[0] === 'flour')
    const ways = alternatives(plan, of, task?.id ?? '')
    const made = (w: Record<string, number>) =>
      Object.entries(w).reduce((mL, [id, n]) => {
        const m = of.kit.measures.find((x) => x.id === id)
        return m ? mL.add(toBase(m.size, m.unit).mul(n)) : mL
      }, ratio(0))
    expect(ways?.list.length).toBeGreaterThan(1)
    for (const w of ways?.list ?? []) expect(made(w.ways).equals(60), JSON.stringify(w.ways)).toBe(true)
    const quarter = { kind: 'scoops' as const, task: task?.id ?? '', ways: { 'quarter-cup': 1 } }
    const pinned = compile({ ...of, decisions: [quarter] }).tasks.find((t) => t.id === task?.id)
    expect(pinned?.measured).toMatchObject({ by: 'scoop', n: 1, pinned: true })
    expect(pinned?.n).toBe(4)
  })

  it('is nobody’s turn more: a portion of several scoops is one job', () => {
    const plan = planOf(withEach(OATS, true), 6)
    const jobs = plan.totals.perChild.map((p) => p.jobs)
    expect(Math.max(...jobs) - Math.min(...jobs)).toBeLessThanOrEqual(1)
  })

  it('comes out of what was written, and stays with what was meant', () => {
    const { recipe } = readRecipe(
      [
        'Pots',
        'Serves 4',
        '2 tbsp oats each',
        '100 ml milk per child',
        '1 pear',
        '1. Spoon the oats into the pots.',
        '2. Pour in the milk.',
        '3. Grate the pear.',
      ].join('\n'),
    )
    expect(recipe.lines.map((l) => [l.amount, l.each ?? false])).toEqual([
      ['8', true],
      ['400', true],
      ['1', false],
    ])
    const plan = compile(request(kids(6), { recipe }))
    expect(portions(plan).map((t) => lineOf(plan, t)?.each?.text)).toEqual(['2 tbsp', '100 mL'])
  })
})
