/** What has to be cooked through, by probe, before anybody eats: meat, poultry and fish that come to the table raw. */
import type { CoreKind, Probe } from '../../food/core-temperature'
import { foodName, isUnknown } from '../../food/foods'
import { isHot } from '../../recipe/recipe'
import type { Adapted } from '../model/draft'
import type { PlanRequest } from '../model/request'

/** Eaten as they come from the packet. Whatever is not listed here is taken for raw. */
const READY = /(-tin$|^ham$|^pepperoni$|^surimi$|^smoked-)/

/** @returns none where nothing of the recipe is heated: what stands against raw meat then is a finding, not a reading */
export function probesOf(
  { recipe, lines, foods }: Pick<Adapted, 'recipe' | 'lines' | 'foods'>,
  { rules }: Pick<PlanRequest, 'rules'>,
): Probe[] {
  const after = recipe.steps.filter((s) => s.tasks.some((t) => isHot(t.place))).at(-1)?.id
  if (after === undefined) return []
  const probes = lines.flatMap((line): Probe[] => {
    const food = foods.of(line.food)
    if (isUnknown(food) || food.diets['vegetarian'] !== 'no' || NO_MEAT.has(food.group ?? '')) return []
    if (READY.test(food.id)) return []
    const country = rules.country === 'us' ? 'us' : 'uk'
    return [{ food: food.id, name: foodName(food), kind: kindOf(food.id), country, after }]
  })
  return [...new Map(probes.map((p) => [p.food, p])).values()]
}

/** Stock, gelatine, lard; a food of the setting's own that has no group is rather measured once too often. */
const NO_MEAT = new Set<string>(['seasoning', 'sweet', 'fat'])

const kindOf = (food: string): CoreKind =>
  /mince|sausage|burger|nugget|chorizo/.test(food)
    ? food.startsWith('chicken') || food.startsWith('turkey')
      ? 'poultry'
      : 'mince'
    : /^(chicken|turkey|duck|goose)/.test(food)
      ? 'poultry'
      : /^(cod|haddock|salmon|mackerel|fish|prawns|mussels|squid)/.test(food)
        ? 'fish'
        : 'meat'
