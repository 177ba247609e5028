/** Swaps: the table against the list of foods, amounts across units, and what a swap changes of steps and clock. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import data from '../../data/swaps.json'
import { ratio } from '../../src/amount/ratio'
import { unitOf } from '../../src/amount/units'
import { SHIPPED_BOOK, isUnknown } from '../../src/food/foods'
import { applySwap, swapOf, swapsFor, type Swap } from '../../src/food/swaps'
import { crossTo } from '../../src/food/weights'
import { breaches } from '../../src/plan/check/check'
import { compile } from '../../src/plan/compile'
import type { Decision } from '../../src/plan/model/decision'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { must } from '../../src/amount/must'
import { child, four, recipeOf, request } from '../group'

const SWAPS = data.swaps as Swap[]
const food = (id: string) => {
  const f = SHIPPED_BOOK.of(id)
  if (isUnknown(f)) throw new Error(`no food ${id}`)
  return f
}

describe('the table', () => {
  it('has each row once, of foods that there are', () => {
    expect(new Set(SWAPS.map((s) => s.id)).size).toBe(SWAPS.length)
    for (const s of SWAPS) for (const id of [s.food, ...s.parts.map((p) => p.food)]) food(id)
  })
  it('says of every part what it holds and may hold', () => {
    for (const s of SWAPS)
      for (const part of s.parts) {
        const f = food(part.food)
        for (const a of [...f.contains, ...f.extras]) expect(s.brings, `${s.id}: ${a}`).toContain(a)
        for (const a of f.mayContain) expect([...s.brings, ...s.mayBring], `${s.id} may: ${a}`).toContain(a)
      }
  })
  it('no swap brings back one of the fourteen that the food was changed for alone', () => {
    const fourteen =
      'gluten-cereals milk egg peanut soya tree-nuts sesame fish crustaceans molluscs mustard celery lupin sulphites'
    for (const s of SWAPS) {
      const own = food(s.food).contains.filter((a) => fourteen.includes(a))
      if (own.length === 0) continue
      // For each that it holds one of its rows must be free of it.
      const rows = SWAPS.filter((x) => x.food === s.food)
      const free = own.every((a) => rows.some((x) => !x.brings.includes(a)))
      const lactoseAlone = s.food === 'milk-cow'
      expect(free || lactoseAlone, s.food).toBe(true)
    }
  })
  it('a raw meat or fish never comes in for something that is not (FSA, common practice)', () => {
    const meat = (id: string) => ['poultry', 'meat', 'mince', 'fish'].includes(food(id).raw ?? '')
    for (const s of SWAPS) if (s.parts.some((p) => meat(p.food))) expect(meat(s.food), s.id).toBe(true)
  })
  it('the worst choking foods come in for nothing: whole grapes, nuts, popcorn, marshmallows for others', () => {
    const worst = new Set([
      'grapes',
      'popcorn',
      'mixed-nuts',
      'marshmallow',
      'boiled-sweets',
      'cherry-tomatoes',
    ])
    for (const s of SWAPS) for (const p of s.parts) expect(worst.has(p.food), s.id).toBe(false)
  })
  it.each([
    // Foods of the list that most recipes use, each with what most often stands against it.
    ['self-raising-flour', 'structure', 'g', 'gluten-cereals'],
    ['spaghetti', 'main', 'g', 'gluten-cereals'],
    ['bread-rolls', 'main', 'item', 'gluten-cereals'],
    ['pitta', 'main', 'item', 'gluten-cereals'],
    ['digestive-biscuit', 'structure', 'g', 'gluten-cereals'],
    ['cornflakes', 'main', 'g', 'gluten-cereals'],
    ['double-cream', 'liquid', 'mL', 'milk'],
    ['creme-fraiche', 'topping', 'g', 'milk'],
    ['mozzarella', 'topping', 'g', 'milk'],
    ['paneer', 'main', 'g', 'milk'],
    ['soya-drink', 'liquid', 'mL', 'soya'],
    ['walnuts', 'topping', 'g', 'tree-nuts'],
    ['peanuts', 'topping', 'g', 'peanut'],
    ['marzipan', 'topping', 'g', 'tree-nuts'],
    ['pesto-green', 'main', 'g', 'milk'],
    ['sesame-oil', 'dressing', 'mL', 'sesame'],
    ['salmon', 'main', 'g', 'fish'],
    ['stock-cube-chicken', 'seasoning', 'item', 'gluten-cereals'],
    ['vinegar-malt', 'seasoning', 'mL', 'gluten-cereals'],
    ['chocolate-chips', 'topping', 'g', 'soya'],
    ['egg-hen', 'binder', 'item', 'egg'],
  ])('%s as %s in %s has one without %s', (id, role, unit, allergen) => {
    expect(
      swapsFor(id, role, unit).some((s) => !s.brings.includes(allergen)),
      id,
    ).toBe(true)
  })
  it.each([
    ['bacon', 'main', 'g', 'no-pork'],
    ['pork-mince', 'main', 'g', 'no-pork'],
    ['lard', 'fat', 'g', 'no-pork'],
    ['pepperoni', 'topping', 'g', 'no-pork'],
    ['jelly-cubes', 'main', 'g', 'vegetarian'],
    ['beef-mince', 'main', 'g', 'vegetarian'],
  ])('%s as %s in %s has one for %s', (id, role, unit, diet) => {
    const suits = (s: Swap) => s.parts.every((p) => food(p.food).diets[diet as 'no-pork'] !== 'no')
    expect(swapsFor(id, role, unit).some(suits), id).toBe(true)
  })
})

describe('amounts', () => {
  it('cross units by the weight of the food: butter by the spoon, flour by the cup, bread by weight', () => {
    expect(swapsFor('butter', 'fat', 'tbsp_m').length).toBeGreaterThan(0)
    expect(swapsFor('milk-cow', 'liquid', 'g').length).toBeGreaterThan(0)
    const [first] = swapsFor('butter', 'fat-rubbed', 'tbsp_m')
    const [part] = applySwap(must(first, 'a swap'), '2', 'tbsp_m')
    // 2 tbsp of butter are about 28 g (USDA SR Legacy: 14.2 g a tablespoon, from memory).
    const grams = crossTo(must(part, 'a part').amount, must(part, 'a part').unit, 'g', 'df-spread')
    expect(grams?.amount.valueOf()).toBeGreaterThan(24)
    expect(grams?.amount.valueOf()).toBeLessThan(34)
  })
  it('twice as much is twice as much, in whatever unit it is written', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SWAPS),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom('g', 'mL', 'cup_m', 'tbsp_m', 'tsp_m', 'item', 'oz'),
        (swap, n, unit) => {
          if (unitOf(unit).dimension !== unitOf(swap.unit).dimension) return
          if (!swapsFor(swap.food, must(swap.roles[0], 'a role'), unit).some((s) => s.id === swap.id)) return
          const [once, twice] = [applySwap(swap, String(n), unit), applySwap(swap, String(2 * n), unit)]
          once.forEach((p, i) => {
            expect(
              ratio(p.amount)
                .mul(2)
                .equals(ratio(must(twice[i], 'its part').amount)),
            ).toBe(true)
            expect(ratio(p.amount).compare(0)).toBe(1)
          })
        },
      ),
      { numRuns: 2000 },
    )
  })
})

describe('steps and clock', () => {
  const withSwap = (recipe: string, line: string, swap: string) => {
    const decisions: Decision[] = [{ kind: 'swap', line, swap }]
    const wanted = request(four(), { recipe: recipeOf(recipe), decisions })
    return { wanted, plan: compile(wanted) }
  }
  it('quinoa instead of couscous is cooked and cooled before it is used', () => {
    const line = must(
      recipeOf('couscous-jars').lines.find((l) => l.food === 'couscous'),
      'couscous',
    )
    const { plan } = withSwap('couscous-jars', line.id, 'couscous>quinoa')
    const ready = plan.background?.find((b) => b.says === 'Quinoa cooked and cooled')
    expect(ready).toBeDefined()
    expect((ready?.ready ?? 0) - (ready?.start ?? 0)).toBeGreaterThanOrEqual(45 * 60)
    expect(plan.ahead.some((a) => a.says.startsWith('Quinoa cooked'))).toBe(true)
  })
  it('a gluten-free mix rests a quarter of an hour, and the session is as much longer', () => {
    const line = must(
      recipeOf('herb-soda-bread').lines.find((l) => l.food === 'wheat-flour'),
      'flour',
    )
    const before = compile(request(four()))
    const { plan } = withSwap('herb-soda-bread', line.id, 'flour>gf-blend-cups')
    expect(plan.totals.seconds - before.totals.seconds).toBeGreaterThanOrEqual(14 * 60)
  })
  it('every swap of every shipped recipe compiles, keeps the hard rules, and is in force', () => {
    for (const recipe of SHIPPED_RECIPES)
      for (const line of recipe.lines)
        for (const swap of swapsFor(line.food, line.role, line.unit)) {
          const wanted = request([child('a', 30), child('b', 70)], {
            recipe,
            decisions: [{ kind: 'swap', line: line.id, swap: swap.id }],
            effort: 'sketch',
          })
          const plan = compile(wanted)
          expect(breaches(plan, wanted), swap.id).toEqual([])
          expect(plan.ineffective, swap.id).toEqual([])
          if (swap.ahead)
            expect(
              plan.background?.map((b) => b.says),
              swap.id,
            ).toContain(swap.ahead.says)
        }
  })
  it('the rows that change a method name it', () => {
    for (const s of SWAPS) if (s.ahead) expect(s.ahead.says.length).toBeGreaterThan(8)
    expect(swapOf('couscous>quinoa')?.ahead?.heat).toBe(true)
  })
})
