/** Swaps that a cook would make: in the unit and role at hand, for foods that are alike, cooked where they have to be, and as much as is made. */
import { describe, expect, it } from 'vitest'
import { SHIPPED_BOOK } from '../../../src/food/foods'
import { foodBook } from '../../../src/food/own-foods'
import { applySwap, swapOf, swapsFor } from '../../../src/food/swaps'
import { compile } from '../../../src/plan/compile'
import type { Recipe, RecipeLine } from '../../../src/recipe/recipe'
import { child, recipeOf, request } from '../../group'

const foods = foodBook()
const line = (food: string, amount: string, unit: string, role: RecipeLine['role']): RecipeLine => ({
  id: 'it',
  food,
  amount,
  unit,
  role,
})
const cold = (it: RecipeLine, cooked = false): Recipe => ({
  ...recipeOf('cucumber-mint-raita'),
  id: 'one-line',
  lines: [it, line('cucumber', '1', 'item', 'main')].map((l, i) => ({ ...l, id: i ? 'cucumber' : 'it' })),
  steps: [
    {
      id: 'mix',
      title: 'Mix',
      picture: 'bowl',
      uses: [
        { line: 'it', part: '1' },
        { line: 'cucumber', part: '1' },
      ],
      tasks: [{ technique: 'stir', mode: 'TURNS', seconds: 20 }],
    },
    ...(cooked
      ? [
          {
            id: 'bake',
            title: 'Bake',
            picture: 'oven',
            uses: [],
            tasks: [
              {
                technique: 'use-oven',
                mode: 'WAIT' as const,
                seconds: 1200,
                place: 'oven' as const,
                celsius: 180,
              },
            ],
          },
        ]
      : []),
  ],
})
const offered = (it: RecipeLine, allergen: string, cooked = false, more: object = {}) => {
  const people = [child('a', 70, { concerns: [{ allergen, level: 'allergy-strict' }] }), child('b', 72)]
  const plan = compile(request(people, { recipe: cold(it, cooked), ...more }))
  const found = plan.findings.find((f) => f.subject.line === 'it' && f.rule === 'concern')
  return (found?.fixes ?? []).flatMap((f) =>
    f.action.do === 'decide' && f.action.decision.kind === 'swap'
      ? [{ ...f, swap: swapOf(f.action.decision.swap) }]
      : [],
  )
}
const bringing = (fixes: ReturnType<typeof offered>) =>
  fixes.flatMap((f) => f.swap?.parts.map((p) => p.food) ?? [])

describe('a swap', () => {
  it.each([
    ['butter', 'tbsp_m', 'fat', 'milk'],
    ['butter', 'g', 'frying', 'milk'],
    ['cheddar', 'g', 'dressing', 'milk'],
    ['peanut-butter', 'tbsp_m', 'main', 'peanut'],
    ['puffed-rice', 'cup_m', 'structure', 'gluten-cereals'],
    ['tortilla-wheat', 'item', 'structure', 'wheat'],
    ['sesame-seeds', 'tbsp_m', 'main', 'sesame'],
    ['plaice', 'g', 'main', 'fish'],
    ['goats-cheese', 'g', 'topping', 'milk'],
    ['bagel', 'item', 'main', 'wheat'],
    ['macadamias', 'g', 'topping', 'tree-nuts'],
  ] as const)('%s by the %s as %s is found without %s', (food, unit, role, allergen) => {
    expect(swapsFor(food, role, unit).length).toBeGreaterThan(0)
    if (food !== 'puffed-rice')
      expect(offered(line(food, '4', unit, role), allergen).length).toBeGreaterThan(0)
  })
  it('of a food that is like another is never the food itself, and its amount is one', () => {
    for (const id of SHIPPED_BOOK.all.map((f) => f.id))
      for (const role of ['main', 'liquid', 'fat', 'topping', 'structure', 'dressing'])
        for (const swap of swapsFor(id, role, 'g')) {
          expect(swap.food).toBe(id)
          expect(swapOf(swap.id)).toBe(swap)
          if (swap.id.includes('~')) expect(swap.parts.map((p) => p.food)).not.toContain(id)
          for (const part of applySwap(swap, '100', 'g')) {
            expect(Number(part.amount) || part.amount.includes('/')).toBeTruthy()
            expect(foods.of(part.food)).toBeDefined()
          }
        }
  })
  it('for a baby’s formula there is none: that is for its carers and clinic', () => {
    for (const unit of ['g', 'mL', 'cup_m']) expect(swapsFor('infant-formula', 'liquid', unit)).toEqual([])
  })
})

describe('what has to be cooked', () => {
  it.each([
    ['sesame-seeds', 'topping', 'sesame', 'polenta'],
    ['wheat-flour', 'structure', 'wheat', 'rice-flour'],
    ['couscous', 'main', 'wheat', 'rice-white'],
    ['sausages', 'main', 'soya', 'chicken-sausage'],
  ] as const)(
    'does not stand in for %s (%s) without %s where nothing is heated',
    (food, role, allergen, raw) => {
      const it = line(food, '100', 'g', role)
      expect(bringing(offered(it, allergen))).not.toContain(raw)
    },
  )
  it('does so where the oven cooks it, or where the recipe says that it comes cooked', () => {
    const grains = ['rice-white', 'rice-brown', 'lentils-red', 'rice-flour', 'potato']
    const it = line('wheat-flour', '100', 'g', 'structure')
    const has = (list: string[]) => list.some((f) => grains.includes(f))
    expect(has(bringing(offered(it, 'wheat', true)))).toBe(true)
    expect(has(bringing(offered({ ...it, prep: 'cooked and cooled' }, 'wheat')))).toBe(true)
    expect(has(bringing(offered({ ...it, prep: 'not cooked' }, 'wheat')))).toBe(false)
  })
})

describe('how much of it', () => {
  it('is said for what is made, not for the children alone, and says how it is prepared', () => {
    const it = line('milk-cow', '200', 'mL', 'liquid')
    const first = (decisions: object[]) => offered(it, 'milk', true, { decisions })[0]?.how ?? ''
    const one = first([{ kind: 'make', make: { by: 'batches', batches: '1' } }])
    const two = first([{ kind: 'make', make: { by: 'batches', batches: '2' } }])
    expect(one).toContain('200 mL in all')
    expect(two).toContain('400 mL in all')
    const seeds = offered(line('sesame-seeds', '4', 'tbsp_m', 'topping'), 'sesame', true)
    expect(seeds.map((f) => f.how).join(' / ')).toContain('ground fine')
  })
})
