/** The sheet before the day: the same for every family, of nobody by name, for one child. */
import { describe, expect, it } from 'vitest'
import { foodBook } from '../../src/food/own-foods'
import { compile } from '../../src/plan/compile'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { beforeSheet } from '../../src/session/before-day'
import type { Concern } from '../../src/food/concern'
import { child, recipeOf, request } from '../group'

const sheetOf = (id: string, cards: Concern[] = [], n = 6) => {
  const people = Array.from({ length: n }, (_, i) =>
    child(`kid-${i}`, 50 + i, { concerns: i === 0 ? cards : [] }),
  )
  const plan = compile(request(people, { recipe: recipeOf(id) }))
  return beforeSheet(plan, recipeOf(id), foodBook(), cards)
}

describe('the sheet before the day', () => {
  it('says what to choose among, and how much for one, however many come', () => {
    for (const n of [1, 4, 17]) {
      const sheet = sheetOf('soup-of-my-own', [], n)
      expect(sheet.choose[0]?.says).toContain('up to 4')
      const by = new Map(sheet.choose[0]?.foods.map((f) => [f.name, f]))
      expect(by.size).toBe(7)
      // 12 tbsp for six.
      expect(by.get('sweetcorn')?.amount).toBe('2 tbsp')
      expect(by.get('carrot')?.amount).toBe('a half')
      expect(by.get('cheddar')?.how).toContain('cool bag')
    }
    expect(sheetOf('own-flatbreads').each.map((b) => b.amount)).toContain('4 tbsp')
  })
  it('asks to leave at home what may not be in the room, and nothing else of any card', () => {
    const severe: Concern[] = [
      { allergen: 'peanut', level: 'anaphylaxis-risk' },
      { allergen: 'mustard', level: 'allergy-strict' },
      { allergen: 'celery', level: 'preference' },
    ]
    const sheet = sheetOf('soup-of-my-own', severe)
    expect(sheet.leave).toEqual(['peanut'])
    expect(JSON.stringify(sheet)).not.toMatch(/kid-0|mustard allergy|anaphyl/)
  })
  it('lists what the recipe holds, of every recipe that comes with Lea', () => {
    for (const { id } of SHIPPED_RECIPES) {
      const sheet = sheetOf(id, [], 3)
      expect(JSON.stringify(sheet)).not.toMatch(/kid-|undefined|NaN|\bsafe\b/)
      for (const b of [...sheet.each, ...sheet.choose.flatMap((c) => c.foods)]) expect(b.amount).not.toBe('')
    }
    expect(sheetOf('soup-of-my-own').lists).toContain('milk')
  })
})
