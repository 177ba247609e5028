import { describe, expect, it } from 'vitest'
import { SHIPPED_BOOK } from '../../src/food/foods'
import { extrasOf, extrasText, lineNames } from '../../src/recipe/kinds/step-extras'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import type { RecipeStep } from '../../src/recipe/recipe'

describe('what few steps have', () => {
  it('is said where it is there, and only there', () => {
    const plain: RecipeStep = { id: 'a', title: 'Stir', picture: 'bowl', uses: [], tasks: [] }
    expect(extrasOf(plain)).toEqual([])
    expect(extrasText(plain)).toMatch(/^More: /)
    const has = SHIPPED_RECIPES.flatMap((r) => r.steps).flatMap(extrasOf)
    for (const word of ['layers or a row', 'goes round', 'a picture', 'tasted one by one', '1 other way'])
      expect(has, word).toContain(word)
  })
  it('lines of one food are told apart', () => {
    for (const { lines } of SHIPPED_RECIPES) {
      const names = [...lineNames(lines, SHIPPED_BOOK).values()]
      expect(new Set(names).size).toBe(lines.length)
      for (const n of names) expect(n).not.toMatch(/own:|^$/)
    }
  })
})
