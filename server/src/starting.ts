/** What a new setting starts with: house rules by its kind (product.md, 'Where practitioners differ') and a common box. */
import { type Measure, type Nation, nationOf } from '@lea/core/amount'
import type { HouseRules, Kit } from '@lea/core/plan'

export function startingRules(kind: HouseRules['kind'], nation: Nation): HouseRules {
  return {
    kind,
    nation,
    country: nationOf({ country: 'uk', nation }).country,
    grouping: kind === 'nursery' ? 'groups' : 'together',
    groupSize: 4,
    knives: 'soft-first',
    maxScoops: 24,
  }
}

const measure = (id: string, name: string, size: string, unit: string, count: number): Measure => ({
  id,
  name,
  size,
  unit,
  count,
})

const CUPS: Measure[] = [
  measure('cup', '1 cup', '1', 'cup_m', 1),
  measure('half-cup', '1/2 cup', '1/2', 'cup_m', 1),
  measure('third-cup', '1/3 cup', '1/3', 'cup_m', 1),
  measure('quarter-cup', '1/4 cup', '1/4', 'cup_m', 1),
]
const SPOONS: Measure[] = [
  measure('tbsp', '1 tbsp', '1', 'tbsp_m', 1),
  measure('tsp', '1 tsp', '1', 'tsp_m', 1),
  measure('half-tsp', '1/2 tsp', '1/2', 'tsp_m', 1),
  measure('quarter-tsp', '1/4 tsp', '1/4', 'tsp_m', 1),
]

export function startingKit(kind: HouseRules['kind']): Kit {
  const equipment = ['fridge', 'sink', 'scale']
  if (kind !== 'library') equipment.push('oven', 'hob')
  return { measures: [...CUPS, ...SPOONS], equipment }
}
