/** A swap that has to be cooked is none where nothing in the recipe cooks it. */
import type { FoodBook } from '../../food/foods'
import type { Swap } from '../../food/swaps'
import type { Recipe, RecipeLine } from '../../recipe/recipe'
import { isCookedBefore, stateLines, statesOf } from '../../recipe/states/hazards'

/**
 * Dry starch, dry grain and pulses, and what is sold raw: gritty, hard to digest or not to be eaten before it is cooked.
 * Source: common practice; raw flour and dried beans: FSA (flour, kidney beans), from memory.
 */
const TO_COOK: ReadonlySet<string> = new Set([
  ...[
    'polenta',
    'rice-flour',
    'gram-flour',
    'cornflour',
    'potato-starch',
    'custard-powder',
    'gf-flour-blend',
  ],
  ...[
    'buckwheat-flour',
    'soya-flour',
    'quinoa',
    'millet',
    'rice-white',
    'rice-brown',
    'rice-noodles',
    'pasta-dry',
  ],
  ...['pasta-gf', 'lentils-red', 'lentils-green', 'potato', 'peas-frozen', 'turkey-mince', 'turkey-bacon'],
  ...['chicken-sausage', 'sausages-veg', 'vegan-nuggets', 'puff-pastry-df', 'puff-pastry-gf', 'egg-hen'],
])

/**
 * @returns whether a swap for this line would be eaten without any heat that it needs; what an adult cooks ahead, or what the line's own words
 * say is cooked, is not
 */
export function rawSwapsOf(recipe: Recipe, foods: FoodBook): (line: RecipeLine, swap: Swap) => boolean {
  let heated: ReadonlySet<string> | null = null
  return (line, swap) => {
    if (swap.ahead?.heat === true || isCookedBefore(line.prep)) return false
    const raw = swap.parts.filter((p) => TO_COOK.has(p.food) && p.food !== line.food)
    if (raw.length === 0) return false
    heated ??= statesOf(
      recipe,
      stateLines(
        recipe.lines.map((l) => ({ ...l, line: l.id, name: foods.of(l.food).name })),
        foods,
      ),
    ).cooking.heated
    return !heated.has(line.id)
  }
}
