import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import type { Recipe } from '../../../src/recipe/recipe'
import { readRecipe } from '../../../src/recipe/text/read-recipe'
import { four, request } from '../../group'

const { recipe } = readRecipe(
  'Batter\nServes 4\nIngredients\n200 g plain flour\n1 tsp sugar\n250 ml milk\n1 egg\nMethod\nWhisk the flour, sugar, milk and egg.',
)
const measured = (of: Recipe): string[] =>
  compile(request(four(), { recipe: of })).tasks.flatMap((t) =>
    t.measured ? [`${t.technique} ${t.uses.join()}`] : [],
  )

describe('which task measures which line', () => {
  it('milk is poured and flour is scooped in one step, each once; the egg is measured by nobody', () => {
    expect(measured(recipe)).toEqual([
      'pour-liquid milk-cow',
      'level-scoop wheat-flour',
      'level-scoop sugar-caster',
    ])
  })
  it('a line that somebody adds later is measured too', () => {
    const more: Recipe = {
      ...recipe,
      lines: [
        ...recipe.lines,
        { id: 'oats', food: 'oats-rolled', amount: '50', unit: 'g', role: 'structure' },
      ],
      steps: recipe.steps.map((s) =>
        s.uses.length > 0 ? { ...s, uses: [...s.uses, { line: 'oats', part: '1' }] } : s,
      ),
    }
    expect(measured(more)).toContain('level-scoop oats')
  })
  it('a task that names no lines measures all of its step, as in every recipe of an earlier version', () => {
    const old: Recipe = {
      ...recipe,
      steps: recipe.steps.map((s) => ({
        ...s,
        tasks: s.tasks.filter((t) => t.technique !== 'level-scoop').map(({ lines: _, ...t }) => t),
      })),
    }
    expect(measured(old).length).toBe(4)
  })
})
