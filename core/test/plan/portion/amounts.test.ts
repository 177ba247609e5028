/** Amounts in a plan: fair scoops over the bowl, the ways of measuring, how much is made. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fairScoops } from '../../../src/amount/fair'
import { ratio } from '../../../src/amount/ratio'
import { convert, unitOf } from '../../../src/amount/units'
import { crossTo } from '../../../src/food/weights'
import { compile, openStops } from '../../../src/plan/compile'
import type { Decision } from '../../../src/plan/model/decision'
import type { Measured } from '../../../src/plan/model/line'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { scoopsOf, stripMarks, stripShares } from '../../../src/plan/model/scoop-sequence'
import { amountRows, makingText, ovenText } from '../../../src/plan/view/amount-rows'
import { alternatives } from '../../../src/plan/whatif/alternatives'
import { child, four, recipeOf, request } from '../../group'

const measuredOf = (plan: Plan, line: string): Measured | undefined =>
  plan.tasks.find((t) => t.measured && t.uses[0] === line)?.measured
const scoopsIn = (plan: Plan, line: string) => {
  const m = measuredOf(plan, line)
  if (m?.by !== 'scoop') throw new Error(`${line} is not scooped`)
  return m
}
const withThird = (more: Partial<PlanRequest> = {}): PlanRequest => {
  const base = request(four(), more)
  const third = { id: 'third-cup', name: '1/3 cup', size: '1/3', unit: 'cup_m', count: 1 }
  return { ...base, kit: { ...base.kit, measures: [...base.kit.measures, third] } }
}
const kids = (n: number) => Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i))

describe('scoops of a whole bowl', () => {
  it('are the optimum of calc.md `fair` for this bowl', () => {
    const plan = compile(request(four()))
    const sizes = request(four()).kit.measures.map((m) => ({
      id: m.id,
      size: convert(m.size, m.unit, 'mL') ?? ratio(0),
    }))
    const answer = fairScoops({
      measures: sizes,
      ingredients: [
        { name: 'flour', amount: '375' },
        { name: 'soda', amount: '5/2' },
        { name: 'buttermilk', amount: '375/2' },
      ],
      children: 4,
      countLimit: 5,
      minTurn: '49/10',
      maxScoops: 24,
      minEach: 1,
    })
    const chosen = Object.fromEntries(
      ['flour', 'soda', 'buttermilk'].map((line) => [
        line,
        Object.fromEntries(scoopsIn(plan, line).parts.map((p) => [p.measure, p.n])),
      ]),
    )
    expect(chosen).toEqual(answer.example)
    expect(answer.objective?.slice(0, 2)).toEqual([0, 0])
  })
  it('sum exactly to the amount of the line, or stay within the tolerance of its role', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 14 }),
        fc.constantFrom('herb-soda-bread', 'couscous-jars', 'overnight-oats-pear', 'cornbread-squares'),
        (n, recipe) => {
          const plan = compile(request(kids(n), { recipe: recipeOf(recipe) }))
          for (const task of plan.tasks) {
            const m = task.measured
            if (m?.by !== 'scoop') continue
            const line = plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])
            const made = scoopsOf(m).reduce((sum, s) => sum.add(convert(s.size, s.unit, 'mL') ?? 0), ratio(0))
            const whole = ratio(line?.amount ?? 0).mul(unitOf(line?.unit ?? '').size)
            const error = made.sub(whole).div(whole).mul(100)
            expect(Math.abs(error.valueOf() - Number(m.errPct))).toBeLessThan(1e-4)
            if (m.errPct === '0') expect(made.equals(whole)).toBe(true)
          }
        },
      ),
      { numRuns: 25 },
    )
  })
  it('2 1/3 cups by thirds really are seven equal parts of the bar', () => {
    const recipe = recipeOf('herb-soda-bread')
    const lines = recipe.lines.map((l) => (l.id === 'flour' ? { ...l, amount: '14/3' } : l))
    const plan = compile(
      withThird({
        recipe: { ...recipe, lines },
        decisions: [{ kind: 'measure', line: 'flour', measure: 'third-cup' }],
      }),
    )
    const m = scoopsIn(plan, 'flour')
    expect(m.n).toBe(7)
    expect(stripMarks(m)).toEqual(['0', '1/3', '2/3', '1', '1 1/3', '1 2/3', '2', '2 1/3'])
    for (const share of stripShares(m)) expect(share).toBeCloseTo(100 / 7, 10)
  })
  it('quick takes the fewest scoops of each line', () => {
    const plan = compile(request(four(), { decisions: [{ kind: 'scooping', way: 'quick' }] }))
    expect(scoopsIn(plan, 'flour').parts.map((p) => [p.name, p.n])).toEqual([
      ['1 cup', 1],
      ['1/2 cup', 1],
    ])
    expect(scoopsIn(plan, 'buttermilk').n).toBe(2)
  })
  it('a way chosen by hand is kept while it makes the amount, and listed as without effect when it does not', () => {
    const task = 'all/fill/level-scoop/flour'
    const pin = (ways: Record<string, number>): Decision => ({ kind: 'scoops', task, ways })
    const kept = compile(request(four(), { decisions: [pin({ 'quarter-cup': 6 })] }))
    expect(scoopsIn(kept, 'flour')).toMatchObject({ n: 6, pinned: true })
    expect(kept.ineffective).toEqual([])
    const wrong = compile(request(four(), { decisions: [pin({ 'quarter-cup': 3 })] }))
    expect(scoopsIn(wrong, 'flour')).not.toHaveProperty('pinned')
    expect(wrong.ineffective).toHaveLength(1)
  })
  it('where the box is too coarse it goes in near enough, and says how far off', () => {
    const base = request(four())
    const measures = base.kit.measures.filter((m) => m.id === 'cup' || m.id === 'tbsp')
    const plan = compile({ ...base, kit: { ...base.kit, measures } })
    const m = scoopsIn(plan, 'buttermilk')
    expect(Math.abs(Number(m.errPct))).toBeGreaterThan(0)
    expect(Math.abs(Number(m.errPct))).toBeLessThanOrEqual(5)
    expect(plan.findings.some((f) => f.rule === 'near-measure' && f.says.includes('% '))).toBe(true)
  })
  it('an empty box weighs what has a weight, and every child who spoons has a turn', () => {
    const base = request(four())
    const plan = compile({ ...base, kit: { ...base.kit, measures: [] } })
    expect(measuredOf(plan, 'flour')).toMatchObject({ by: 'weight', text: '198 g', lack: true })
    expect(plan.turns.filter((t) => t.task.endsWith('/flour'))).toHaveLength(4)
  })
})

describe('how a session measures', () => {
  const way = (w: 'cups' | 'grams' | 'parts', more: Partial<PlanRequest> = {}): Plan => {
    const base = request(four(), { ...more, decisions: [{ kind: 'measuring', way: w }] })
    return compile({ ...base, kit: { ...base.kit, equipment: [...base.kit.equipment, 'scale'] } })
  }
  it('on the scale: what weighs ten grams and more, by the weight of the food; less by the spoon', () => {
    const plan = way('grams')
    expect(measuredOf(plan, 'flour')).toMatchObject({ by: 'weight', text: '198 g' })
    expect(measuredOf(plan, 'soda')?.by).toBe('scoop')
    expect(plan.findings.filter((f) => f.rule === 'near-measure')).toEqual([])
  })
  it('in cups: a weight becomes the nearest scoops within its tolerance', () => {
    const recipe = recipeOf('herb-soda-bread')
    const lines = recipe.lines.map((l) => (l.id === 'flour' ? { ...l, amount: '400', unit: 'g' } : l))
    const plan = way('cups', { recipe: { ...recipe, lines } })
    const m = scoopsIn(plan, 'flour')
    expect(m.because).toContain('from memory')
    const grams = crossTo(
      scoopsOf(m).reduce((s, p) => s.add(convert(p.size, p.unit, 'mL') ?? 0), ratio(0)),
      'mL',
      'g',
      'wheat-flour',
    )
    expect(Math.abs((grams?.amount.valueOf() ?? 0) / 200 - 1)).toBeLessThanOrEqual(0.05)
  })
  it('in parts: two of flour to one of buttermilk, with whatever cup there is', () => {
    const plan = way('parts')
    expect(scoopsIn(plan, 'flour')).toMatchObject({ n: 2, any: true })
    expect(scoopsIn(plan, 'buttermilk')).toMatchObject({ n: 1, any: true })
    expect(scoopsIn(plan, 'soda')).not.toHaveProperty('any')
    expect(stripMarks(scoopsIn(plan, 'flour'))).toEqual(['0', '1', '2'])
  })
  it('the rule of the setting holds where the session says nothing', () => {
    const base = request(four())
    const plan = compile({ ...base, rules: { ...base.rules, measuring: 'parts' } })
    expect(plan.measuring.way).toBe('parts')
  })
})

describe('how much is made', () => {
  const corn = recipeOf('cornbread-squares')
  const make = (decision: Decision | null, n = 9, more: Partial<PlanRequest> = {}): Plan =>
    compile(request(kids(n), { recipe: corn, decisions: decision ? [decision] : [], ...more }))
  const milk = (plan: Plan): string => plan.bowls[0]?.lines.find((l) => l.line === 'milk')?.amount ?? ''

  it('goes by the children, exactly, where nothing is chosen', () => {
    expect(milk(make(null))).toBe('3/4')
    expect(make(null).making).toMatchObject({ factor: '3/4', portions: '9', left: '0' })
  })
  it.each([
    [{ by: 'children', more: 3 }, '1'],
    [{ by: 'portions', portions: '6' }, '1/2'],
    [{ by: 'pieces', pieces: 24 }, '2'],
    [{ by: 'batches', batches: '3/2' }, '3/2'],
    [{ by: 'tin', tin: { shape: 'square', unit: 'cm', s: '10' } }, '1/4'],
  ] as const)('%j', (how, amount) => {
    expect(milk(make({ kind: 'make', make: how }))).toBe(amount)
  })
  it('by cases: as much batter as they hold', () => {
    const recipe = { ...corn, batter: '800' }
    const plan = make({ kind: 'make', make: { by: 'cases', cases: 6, mL: '100', fill: '2/3' } }, 9, {
      recipe,
    })
    expect(milk(plan)).toBe('1/2')
  })
  it('a way that the recipe cannot say is refused in words, and the children count', () => {
    const soup = recipeOf('lentil-letter-soup')
    const tin = { shape: 'round', unit: 'cm', d: '20' } as const
    const plan = compile(
      request(kids(4), { recipe: soup, decisions: [{ kind: 'make', make: { by: 'tin', tin } }] }),
    )
    expect(plan.making.refused).toContain('does not say what tin')
    expect(plan.making.factor).toBe('1/2')
    expect(plan.ineffective).toHaveLength(1)
  })
  it('offers batches in whole eggs, the least left over first, as a fix that can be tapped', () => {
    const plan = make(null)
    expect(plan.making.batches.map((b) => [b.batches, b.left, b.eggs])).toEqual([['1', '3', '2']])
    const fix = plan.findings.find((f) => f.rule === 'whole-eggs')?.fixes[0]
    expect(fix?.label).toBe('Make 1 batch')
    const decision = fix?.action.do === 'decide' ? fix.action.decision : null
    const whole = make(decision)
    expect(whole.making).toMatchObject({ factor: '1', portions: '12', left: '3' })
    expect(makingText(whole)).toBe('12 portions, 12 squares for 9 children: 3 more than children')
  })
  it('beats eggs and shares them by weight over the bowls', () => {
    const rules = { ...request(kids(12)).rules, grouping: 'groups' as const }
    const plan = make(null, 12, { rules })
    expect(plan.findings.find((f) => f.rule === 'whole-eggs')?.says).toContain('give each bowl 33 g')
  })
  it('bakes in oven loads, and the clock has their time', () => {
    const scones = recipeOf('cheese-leek-scones')
    const bake = (trays: number): Plan => {
      const base = request(kids(16), { recipe: scones })
      return compile({ ...base, kit: { ...base.kit, trays } })
    }
    const [one, two] = [bake(1), bake(2)]
    expect(one.making.oven).toMatchObject({ trayloads: 3, batches: 3, lastBatchPieces: 8 })
    expect(two.making.oven).toMatchObject({ trayloads: 3, batches: 2 })
    expect(ovenText(one.making)).toContain('3 trays: 3 oven loads, the last of 8')
    const wait = (p: Plan) => p.tasks.find((t) => t.place === 'oven' && t.mode === 'WAIT')?.seconds ?? 0
    expect(wait(one)).toBe(Number(one.making.oven?.minutes) * 60)
    expect(wait(one)).toBeGreaterThan(wait(two))
  })
  it('says what does not grow in proportion, and only where it grows much', () => {
    const big = compile(request(kids(30), { recipe: recipeOf('herb-soda-bread') }))
    expect(big.findings.some((f) => f.rule === 'scaling' && /chives/i.test(f.says))).toBe(true)
    expect(make(null).findings.some((f) => f.rule === 'scaling')).toBe(false)
  })
  it('says when a tin comes near enough, or is opened in part', () => {
    const dip = recipeOf('beetroot-bean-dip')
    const says = (n: number) =>
      compile(request(kids(n), { recipe: dip })).findings.find((f) => f.rule === 'whole-tins')?.says
    expect(says(8)).toBeUndefined()
    expect(says(9)).toContain('2 tins are near enough')
    expect(says(6)).toContain('Open 2 tins; 1/2 of one is left over')
  })
})

describe('other ways to measure a line', () => {
  const ask = (r: PlanRequest, line: string) => {
    const plan = compile(r)
    const task = plan.tasks.find((t) => t.measured && t.uses[0] === line)?.id ?? ''
    return alternatives(plan, r, task)
  }
  it('counts every exact way, lists the chosen one and each measure alone, and shows the same whole made four ways', () => {
    const found = ask(withThird(), 'flour')
    expect(found?.exact).toBeGreaterThan(100)
    expect(found?.list.filter((a) => a.chosen)).toHaveLength(1)
    expect(found?.list.map((a) => a.text)).toEqual(expect.arrayContaining(['3 × 1/2 cup', '6 × 1/4 cup']))
    expect(found?.fourWays.length).toBeGreaterThanOrEqual(3)
    for (const a of found?.fourWays ?? []) expect(a.marks.at(-1)).toMatch(/1 1\/2/)
  })
  it('where none is exact, gives those within the tolerance, the nearest first, with how far off', () => {
    const base = request(four())
    const measures = base.kit.measures.filter((m) => m.id === 'cup' || m.id === 'tbsp')
    const found = ask({ ...base, kit: { ...base.kit, measures } }, 'buttermilk')
    expect(found?.exact).toBe(0)
    expect(found?.list[0]?.off).toMatch(/% (more|less)/)
  })
})

describe('the rows of the Amounts view', () => {
  it('show each line of the bowl, its strip by child, and the same by weight with its source', () => {
    const plan = compile(request(four()))
    const rows = amountRows(plan, plan.bowls[0]?.id ?? '')
    expect(rows.map((r) => r.line.line)).toEqual(['flour', 'soda', 'chives', 'buttermilk'])
    expect(rows[0]?.strip).toHaveLength(5)
    expect(rows[0]?.line.also).toMatchObject({ text: '198 g' })
    expect(rows[0]?.line.also?.source).toContain('from memory')
    expect(rows[2]).toMatchObject({ task: null, how: '', strip: [] })
  })
  it('never stands in the way of cooking: amounts make no stop', () => {
    const plan = compile(request(four()))
    expect(openStops(plan).filter((f) => f.pass === 'scoop' || f.pass === 'portion')).toEqual([])
  })
})
