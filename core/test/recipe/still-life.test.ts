/** Every recipe has a face of its own: its vessel and its main foods. */
import { describe, expect, it } from 'vitest'
import { glossaryRow } from '../../src/learn/glossary'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { VESSELS, stillLife } from '../../src/recipe/still-life'
import { recipeOf } from '../group'

describe('a still life', () => {
  it('no two recipes of Lea look alike, and each shows at least one food', () => {
    const looks = SHIPPED_RECIPES.map((r) => JSON.stringify(stillLife(r)))
    expect(new Set(looks).size).toBe(SHIPPED_RECIPES.length)
    for (const r of SHIPPED_RECIPES) {
      const { vessel, foods } = stillLife(r)
      expect(VESSELS).toContain(vessel)
      expect(foods.length, r.id).toBeGreaterThan(0)
      expect(foods.length, r.id).toBeLessThanOrEqual(4)
      expect(new Set(foods).size, r.id).toBe(foods.length)
      for (const f of foods) expect(glossaryRow(f)?.kind, `${r.id}: ${f}`).toBe('food')
    }
  })
  it.each([
    ['couscous-jars', 'jar'],
    ['herb-soda-bread', 'tray'],
    ['cornbread-squares', 'tin'],
    ['lentil-letter-soup', 'pot'],
    ['pea-fritters', 'pan'],
    ['chapati-dal', 'pan'],
    ['embers-hot-pot', 'foil'],
    ['milk-jelly-berries', 'cup'],
    ['rice-balls-seed-coat', 'plate'],
    ['beetroot-bean-dip', 'bowl'],
  ])('%s stands in a %s', (id, vessel) => {
    expect(stillLife(recipeOf(id)).vessel).toBe(vessel)
  })
  it('is of what is in it: another food, another picture; water and salt are not seen', () => {
    const bread = recipeOf('herb-soda-bread')
    const lines = bread.lines.map((l) =>
      l.food === 'chives' ? { ...l, food: 'carrot', role: 'main' as const } : l,
    )
    expect(stillLife({ ...bread, lines }).foods[0]).toBe('carrot')
    expect(stillLife({ ...bread, lines: [] }).foods).toEqual([])
    expect(SHIPPED_RECIPES.flatMap((r) => stillLife(r).foods)).not.toContain('water')
    const other = { ...bread, equipment: [...bread.equipment].reverse() }
    expect(stillLife(other)).toEqual(stillLife(bread))
  })
})
