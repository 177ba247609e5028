/** Another food for a line without an allergy: any of its family, as much of the one as of the other, never what a card here is against. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import data from '../../../data/families.json'
import { SHIPPED_BOOK, isUnknown } from '../../../src/food/foods'
import { familyOf } from '../../../src/food/family'
import { applySwap, familySwaps, standsFor, swapOf, swapsFor } from '../../../src/food/swaps'
import { compile } from '../../../src/plan/compile'
import { decide } from '../../../src/plan/model/decision'
import { insteadOf, insteadWords } from '../../../src/plan/whatif/instead'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { keptInRecipe } from '../../../src/setting/keep-in-recipe'
import { child, recipeOf, request } from '../../group'

const FAMILIES = data.families
const food = (id: string) => {
  const f = SHIPPED_BOOK.of(id)
  if (isUnknown(f)) throw new Error(`no food ${id}`)
  return f
}
const group = [child('a', 50), child('b', 60), child('c', 70)]

describe('the families', () => {
  it('hold each food once, of those that there are', () => {
    const all = FAMILIES.flatMap((f) => f.foods)
    expect(new Set(all).size).toBe(all.length)
    for (const f of FAMILIES) expect(f.foods.map((id) => food(id).id).length, f.id).toBeGreaterThan(1)
  })
  it('are of one form, raw or not, so that the rules of age and of raw food stay as they were', () => {
    const form = (id: string) => (food(id).shape ?? '-').replace('pear-raw', 'apple-raw')
    for (const f of FAMILIES) {
      expect(new Set(f.foods.map(form)).size, f.id).toBe(1)
      expect(new Set(f.foods.map((id) => food(id).raw ?? '-')).size, f.id).toBe(1)
    }
  })
  it('have no drink with alcohol, no nut and no worst choking food in them', () => {
    for (const id of FAMILIES.flatMap((f) => f.foods))
      expect(
        food(id).contains.some((a) => /nuts|peanut|alcohol/.test(a)) || /grape|popcorn|marshmallow/.test(id),
        id,
      ).toBe(false)
  })
  it('stand for each other in every unit, as much of the one as of the other, and back again', () => {
    const foods = FAMILIES.flatMap((f) => f.foods)
    fc.assert(
      fc.property(
        fc.constantFrom(...foods),
        fc.constantFrom('g', 'mL', 'cup_us', 'tbsp_m', 'item', 'slice', 'tin', 'bunch'),
        fc.integer({ min: 1, max: 40 }),
        (id, unit, n) => {
          for (const swap of familySwaps(id, unit)) {
            expect(swapOf(swap.id)).toEqual(swap)
            expect(standsFor(swap, id, 'main', unit)).toBe(true)
            const parts = applySwap(swap, String(n), unit)
            if (swap.unit === unit || unit.startsWith('cup') || unit.startsWith('tbsp'))
              expect(parts).toEqual([{ food: swap.parts[0]?.food, amount: String(n), unit }])
            const to = swap.parts[0]?.food ?? ''
            for (const a of food(to).contains) expect(swap.brings).toContain(a)
            for (const a of food(to).mayContain) expect([...swap.brings, ...swap.mayBring]).toContain(a)
          }
        },
      ),
    )
  })
  it('an id that nobody made is no swap', () => {
    for (const id of [
      'honey=',
      '=',
      'honey=honey/mL',
      'honey=milk-cow/mL',
      'honey=agave/',
      'honey=agave/mm',
      'x=y/g',
    ])
      expect(swapOf(id), id).toBeUndefined()
  })
})

describe('another food for a line', () => {
  const of = (recipe: string, line: string, more: object = {}, people = group) =>
    insteadOf(request(people, { recipe: recipeOf(recipe), ...more }), line)

  it('offers all of the family where nobody is against it, its own food never', () => {
    let seen = 0
    for (const recipe of SHIPPED_RECIPES)
      for (const line of recipe.lines) {
        const found = insteadOf(request(group, { recipe }), line.id)
        const family = familyOf(line.food)
        expect(found?.offers.map((o) => o.name)).not.toContain(found?.food)
        if (!family) continue
        const kin = (found?.offers ?? []).filter((o) => o.kin)
        if (kin.length > 0) seen++
        expect(kin.length, `${recipe.id} ${line.id}`).toBeLessThan(family.foods.length)
      }
    expect(seen).toBeGreaterThan(20)
  })
  it('what is offered is what the plan then makes, and the recipe can keep it', () => {
    for (const recipe of SHIPPED_RECIPES.slice(0, 8))
      for (const line of recipe.lines) {
        const wanted = request(group, { recipe })
        const offer = insteadOf(wanted, line.id)?.offers.find((o) => o.kin)
        if (!offer) continue
        const decisions = decide([], offer.decision)
        const plan = compile({ ...wanted, decisions })
        const stands = plan.bowls.flatMap((b) => b.lines).filter((l) => l.line === line.id)
        expect(new Set(stands.map((l) => SHIPPED_BOOK.of(l.food).name))).toEqual(new Set([offer.name]))
        expect(
          keptInRecipe(recipe, decisions)?.lines.some((l) => l.id === line.id && l.food !== line.food),
        ).toBe(true)
        const chosen = insteadOf({ ...wanted, decisions }, line.id)?.offers.filter((o) => o.chosen)
        expect(chosen?.map((o) => o.name)).toEqual([offer.name])
      }
  })
  it('what a card here is against is named, not offered', () => {
    const recipe = SHIPPED_RECIPES.find((r) => r.lines.some((l) => l.food === 'milk-cow'))
    const line = recipe?.lines.find((l) => l.food === 'milk-cow')
    const people = [
      child('a', 60, { concerns: [{ allergen: 'soya', level: 'allergy-strict' }] }),
      child('b', 60),
    ]
    const found = of(recipe?.id ?? '', line?.id ?? '', {}, people)
    expect(found?.against.join()).toContain('soya')
    expect(found?.offers.map((o) => o.name).join()).not.toContain('soya')
    expect(insteadWords(found ?? { food: '', family: '', offers: [], against: [] }).says).toContain(
      'Not offered',
    )
  })
  it('no such line is none', () => expect(of('cucumber-mint-raita', 'nothing')).toBeNull())
})

describe('with an allergy to the food itself', () => {
  it('its relatives are not offered: who reacts to a peach may react to a nectarine', () => {
    for (const recipe of SHIPPED_RECIPES)
      for (const line of recipe.lines) {
        const family = familyOf(line.food)
        const holds = food(line.food).contains[0]
        if (!family || !holds) continue
        const people = [
          child('a', 60, { concerns: [{ allergen: holds, level: 'allergy-strict' }] }),
          child('b', 66),
        ]
        const wanted = request(people, { recipe })
        const found = insteadOf(wanted, line.id)
        const rows = new Set(swapsFor(line.food, line.role, line.unit).map((s) => s.id))
        for (const o of found?.offers ?? []) expect(rows.has(o.decision.swap), o.name).toBe(true)
        expect(found?.family).toBe('')
      }
  })
  it('no fix of a stop comes from a family', () => {
    const people = [
      child('a', 60, { concerns: [{ allergen: 'parsley', level: 'allergy-strict' }] }),
      child('b', 66),
    ]
    for (const recipe of SHIPPED_RECIPES.filter((r) => r.lines.some((l) => l.food === 'parsley')))
      expect(
        JSON.stringify(compile(request(people, { recipe })).findings.flatMap((f) => f.fixes)),
      ).not.toMatch(/"[a-z-]+=[a-z-]+\//)
  })
})
