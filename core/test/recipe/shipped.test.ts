import { describe, expect, it } from 'vitest'
import { isUnknown } from '../../src/food/foods'
import { foodBook } from '../../src/food/own-foods'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { swapOf, swapsFor } from '../../src/food/swaps'
import swaps from '../../data/swaps.json'

const foods = foodBook()

describe.each(SHIPPED_RECIPES.map((r) => [r.title, r] as const))('%s', (_, recipe) => {
  it('is a recipe by the schema', () => {
    expect(recipeSchema.isValidSync(recipe)).toBe(true)
  })
  it('knows every food, and uses every line in a step', () => {
    const used = new Set(recipe.steps.flatMap((s) => s.uses.map((u) => u.line)))
    for (const line of recipe.lines) {
      expect(isUnknown(foods.of(line.food)), line.food).toBe(false)
      expect(used, line.id).toContain(line.id)
    }
  })
  it('begins with washed hands and names each step in five words or fewer', () => {
    expect(recipe.steps[0]?.tasks[0]?.technique).toBe('wash-hands')
    for (const step of recipe.steps) expect(step.title.split(' ').length).toBeLessThanOrEqual(5)
  })
})

describe('the swap table', () => {
  it('names foods that Lea knows, and can be applied to its own amount', () => {
    for (const row of swaps.swaps) {
      for (const food of [row.food, ...row.parts.map((p) => p.food)])
        expect(isUnknown(foods.of(food)), food).toBe(false)
      const swap = swapOf(row.id)
      // Where the same foods stand in twice (by the cup and by weight), one row speaks for both.
      const foodsOf = (s: typeof swap) => s?.parts.map((p) => p.food).join('+')
      const offered = swapsFor(row.food, row.roles[0] ?? '', row.unit).map(foodsOf)
      expect(offered).toContain(foodsOf(swap))
    }
  })
})
