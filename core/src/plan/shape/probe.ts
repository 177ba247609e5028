/** What has to be cooked through, by probe, before anybody eats: meat, poultry and fish that come to the table raw. */
import type { Probe } from '../../food/core-temperature'
import { nationOf } from '../../amount/nation/nations'
import { foodName, rawKindOf } from '../../food/foods'
import { isHot } from '../../recipe/recipe'
import type { Adapted } from '../model/draft'
import type { PlanRequest } from '../model/request'

/** @returns none where nothing of the recipe is heated: what stands against raw meat then is a finding, not a reading */
export function probesOf(
  { recipe, lines, foods }: Pick<Adapted, 'recipe' | 'lines' | 'foods'>,
  { rules }: Pick<PlanRequest, 'rules'>,
): Probe[] {
  const after = recipe.steps.filter((s) => s.tasks.some((t) => isHot(t.place))).at(-1)?.id
  if (after === undefined) return []
  const probes = lines.flatMap((line): Probe[] => {
    const food = foods.of(line.food)
    const kind = rawKindOf(food)
    if (kind === null || kind === 'egg' || kind === 'flour') return []
    const country = nationOf(rules).core
    return [{ food: food.id, name: foodName(food), kind, country, after }]
  })
  return [...new Map(probes.map((p) => [p.food, p])).values()]
}
