/** Layers and rows as they are written in the editor and read on the recipe's page. */
import { describe, expect, it } from 'vitest'
import { layersText, withLayers, withRows } from '../../src/recipe/layers'
import type { RecipeStep } from '../../src/recipe/recipe'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'

const step: RecipeStep = { id: 's', title: 'Thread', picture: 'bowl', uses: [], tasks: [] }

describe('layers and rows', () => {
  it('two or more names are layers; one, or none, is nothing', () => {
    expect(withLayers(step, 'oats, pear').layers).toEqual(['oats', 'pear'])
    expect(withLayers(step, ' oats ,, pear , ').layers).toEqual(['oats', 'pear'])
    expect(
      withLayers({ ...step, layers: ['a', 'b'], rows: { times: 2, lie: 'line' } }, 'oats'),
    ).toMatchObject({
      layers: undefined,
      rows: undefined,
    })
    expect(withLayers(step, 'a, b, c, d, e, f').layers).toHaveLength(4)
  })
  it('says once what comes once, and how often a row comes and how it lies', () => {
    const laid = withLayers(step, 'red, green')
    expect(layersText(step)).toBe('')
    expect(layersText(laid)).toBe('Layers, from below: red, green.')
    expect(layersText(withRows(laid, 3, 'line'))).toBe('3 times over, side by side in a line: red, green.')
    expect(layersText(withRows(laid, 1, 'ring'))).toBe('Once, round in a ring: red, green.')
    expect(layersText(withRows(laid, 1, 'stack'))).toBe('Layers, from below: red, green.')
  })
  it('takes whole times from one to twelve, whatever is typed', () => {
    const laid = withLayers(step, 'red, green')
    for (const typed of [-3, 0, 0.2, NaN, 1, 2.6, 12, 13, 1e9, Infinity])
      for (const lie of ['line', 'stack', 'ring'] as const) {
        const times = withRows(laid, typed, lie).rows?.times ?? 1
        expect(Number.isInteger(times) && times >= 1 && times <= 12, String(typed)).toBe(true)
      }
  })
  it('is kept by the schema as it was written', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const [first, ...others] = recipe.steps
      if (!first) continue
      const changed = {
        ...recipe,
        steps: [withRows(withLayers(first, 'one, two, three'), 4, 'ring'), ...others],
      }
      const kept = recipeSchema.validateSync(changed)
      expect(kept.steps[0]).toMatchObject({
        layers: ['one', 'two', 'three'],
        rows: { times: 4, lie: 'ring' },
      })
    }
  })
})
