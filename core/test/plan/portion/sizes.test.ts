/** Half a wrap for the small: portions by age add up to what is there, and each measures what is its own. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio, toText } from '../../../src/amount/ratio'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import { ownShare } from '../../../src/plan/model/line'
import { amountRows } from '../../../src/plan/view/amount-rows'
import { turnText } from '../../../src/plan/view/weave'
import { withSize } from '../../../src/recipe/each'
import { linesFor } from '../../../src/recipe/features'
import { foodBook } from '../../../src/food/own-foods'
import type { Recipe } from '../../../src/recipe/recipe'
import { recipeSchema } from '../../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../../group'

const base = recipeOf('overnight-oats-pear')
const recipe: Recipe = {
  ...base,
  id: 'own:sizes',
  serves: 4,
  choices: [],
  ahead: [],
  lines: [
    {
      id: 'oats',
      food: 'oats-rolled',
      amount: '2',
      unit: 'cup_m',
      role: 'structure',
      each: true,
      sizes: [{ below: 48, part: '1/2' }],
    },
    {
      id: 'cake',
      food: 'oatcakes',
      amount: '4',
      unit: 'item',
      role: 'topping',
      each: true,
      sizes: [{ below: 48, part: '1/2' }],
    },
  ],
  steps: [
    ...base.steps.slice(0, 1),
    {
      id: 'fill',
      title: 'Fill your pot',
      picture: 'jar',
      uses: [
        { line: 'oats', part: '1' },
        { line: 'cake', part: '1' },
      ],
      tasks: [
        { technique: 'level-scoop', mode: 'EACH', measures: true, seconds: 15, lines: ['oats'] },
        { technique: 'count-out', mode: 'EACH', measures: true, seconds: 10, lines: ['cake'] },
      ],
    },
  ],
}
const lineOf = (plan: Plan, id: string) => plan.bowls.flatMap((b) => b.lines).filter((l) => l.line === id)
/** What the scoops of each child make, in cups. */
const taken = (plan: Plan, id: string): ReturnType<typeof ratio> =>
  plan.tasks
    .filter((t) => t.uses[0] === id && t.portion)
    .reduce((sum, t) => {
      const line = lineOf(plan, id)[0]
      const share = line && ownShare(line, t.size)?.amount
      const children = new Set(plan.turns.filter((x) => x.task === t.id).map((x) => x.child)).size
      return sum.add(ratio(share ?? '0').mul(children))
    }, ratio(0))

describe('portions by age', () => {
  const group = [child('a', 30), child('b', 40), child('c', 60), child('d', 72)]
  const plan = compile(request(group, { recipe }))

  it('gives the small half, and has only so much of it as that comes to', () => {
    expect(breaches(plan, request(group, { recipe }))).toEqual([])
    expect(planFault(JSON.parse(JSON.stringify(plan)))).toBeNull()
    const [oats] = lineOf(plan, 'oats')
    expect(oats?.amount).toBe('3/2')
    expect(oats?.each?.amount).toBe('1/2')
    expect(oats?.each?.sizes).toEqual([{ children: ['a', 'b'], amount: '1/4', text: '1/4 cup' }])
    expect(plan.shopping.find((s) => s.food === 'oatcakes')?.amount).toBe('3')
  })

  it('lets each measure what is its own: a half cup, or a quarter', () => {
    const made = plan.tasks.filter((t) => t.uses[0] === 'oats' && t.portion)
    expect(made.map((t) => [t.size, t.forms.flatMap((f) => f.children).sort()])).toEqual([
      [undefined, ['c', 'd']],
      [0, ['a', 'b']],
    ])
    expect(made.map((t) => t.measured?.by === 'scoop' && t.measured.parts.map((p) => p.size))).toEqual([
      ['1/2'],
      ['1/4'],
    ])
    const half = plan.tasks.find((t) => t.uses[0] === 'cake' && t.size === 0)
    expect(half && turnText(half, 1)).toBe('1/2 of one into your own')
    expect(amountRows(plan, plan.bowls[0]?.id ?? '').map((r) => r.makes)).toEqual([
      '1/2 cup',
      '1/4 cup',
      expect.stringContaining('1'),
      expect.stringContaining('1/2'),
    ])
  })

  it('lets an adult measure for the very small what is theirs, and no more', () => {
    const two = [child('a', 20), child('c', 60)]
    const p = compile(request(two, { recipe }))
    expect(breaches(p, request(two, { recipe }))).toEqual([])
    const adults = p.tasks.filter((t) => t.uses[0] === 'oats' && t.mode === 'ADULT')
    expect(
      adults.map((t) => t.measured?.by === 'scoop' && t.measured.parts.map((x) => `${x.n} x ${x.size}`)),
    ).toEqual([['1 x 1/4']])
  })

  it('adds up for every group: what each takes is what is there', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 30, max: 96 }), { minLength: 1, maxLength: 9 }),
        fc.constantFrom('1/2', '1/3', '3/4'),
        fc.integer({ min: 30, max: 80 }),
        fc.boolean(),
        (ages, part, below, own) => {
          const of = { ...recipe, lines: recipe.lines.map((l) => ({ ...l, sizes: [{ below, part }] })) }
          const people = ages.map((m, i) => child(`c${i}`, m))
          const asked = request(people, { recipe: of })
          const req = own ? { ...asked, rules: { ...asked.rules, grouping: 'own' as const } } : asked
          const p = compile(req)
          expect(breaches(p, req)).toEqual([])
          const small = ages.filter((m) => m < below).length
          const wanted = ratio('1/2').mul(ratio(ages.length).sub(ratio(1).sub(part).mul(small)))
          const there = lineOf(p, 'oats').reduce((s, l) => s.add(l.amount), ratio(0))
          expect(toText(there)).toBe(toText(wanted))
          if (!own) expect(toText(taken(p, 'oats'))).toBe(toText(wanted))
        },
      ),
      { numRuns: 40 },
    )
  })

  it('is written in the editor and said on the recipe’s page', () => {
    const [line] = recipe.lines
    if (!line) throw new Error('a line')
    expect(withSize({ ...line, sizes: undefined }, 36, '1/3').sizes).toEqual([{ below: 36, part: '1/3' }])
    expect(withSize(line, null, '1/2').sizes).toBeUndefined()
    expect(recipeSchema.isValidSync(recipe)).toBe(true)
    expect(linesFor(recipe, 4, foodBook())[0]?.amount).toBe('1/2 cup each, under 4 years 1/2 of it')
  })
})
