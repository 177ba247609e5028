/** A small invented group for tests, from the demo's town. */
import type { PlanChild, PlanRequest } from '../src/plan/model/request'
import type { Recipe } from '../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../src/recipe/shipped'

export const recipeOf = (id: string): Recipe => {
  const recipe = SHIPPED_RECIPES.find((r) => r.id === id)
  if (!recipe) throw new Error(`no recipe ${id}`)
  return recipe
}

export const child = (id: string, months: number, more: Partial<PlanChild> = {}): PlanChild => ({
  id,
  months,
  concerns: [],
  diets: [],
  languages: [],
  needs: [],
  ...more,
})

const measure = (id: string, name: string, size: string, unit: string) => ({ id, name, size, unit, count: 1 })

export function request(children: PlanChild[], more: Partial<PlanRequest> = {}): PlanRequest {
  return {
    version: 1,
    session: { id: 'session-1', date: '2026-11-26', start: '10:15', until: '11:30' },
    recipe: recipeOf('herb-soda-bread'),
    children,
    adults: [
      { id: 'petra', leads: ['knives', 'heat'] },
      { id: 'gwenda', leads: ['knives'] },
    ],
    kit: {
      measures: [
        measure('cup', '1 cup', '1', 'cup_m'),
        measure('half-cup', '1/2 cup', '1/2', 'cup_m'),
        measure('quarter-cup', '1/4 cup', '1/4', 'cup_m'),
        measure('tbsp', '1 tbsp', '1', 'tbsp_m'),
        measure('tsp', '1 tsp', '1', 'tsp_m'),
        measure('half-tsp', '1/2 tsp', '1/2', 'tsp_m'),
        measure('quarter-tsp', '1/4 tsp', '1/4', 'tsp_m'),
      ],
      equipment: ['oven', 'hob', 'fridge'],
    },
    foods: [],
    rules: {
      kind: 'home',
      country: 'uk',
      grouping: 'together',
      groupSize: 4,
      knives: 'soft-first',
      maxScoops: 24,
    },
    decisions: [],
    seed: 1,
    effort: 'draft',
    ...more,
  }
}

export const four = (): PlanChild[] => [
  child('wren', 52),
  child('idris', 47),
  child('maren', 58),
  child('kofi', 50),
]
