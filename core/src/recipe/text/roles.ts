/**
 * What a food does in this recipe, from the other lines and from what the steps say of it; with the reason, and whether it is sure. Only
 * foods that do different things in different recipes are asked about: the swaps hang on it. Common practice, from memory.
 */
import { isUnknown, type FoodBook } from '../../food/foods'
import { crossTo } from '../../food/weights'
import { ROLES, type RecipeLine, type Role } from '../recipe'
import { sentencesNaming } from './steps/uses'

export interface RoleGuess {
  role: Role
  because: string
  sure: boolean
  /** Other roles it could have. */
  others: Role[]
}

/** What is looked at beside the line. */
interface Around {
  /** Sentences that name the food, in small letters. */
  said: string
  flour: boolean
  raising: boolean
  /** Its share of the weight of all that is weighed; null where it cannot be told. */
  share: number | null
}
type Rule = [when: (a: Around) => boolean, role: Role, because: string, sure: boolean]

const says =
  (words: RegExp) =>
  (a: Around): boolean =>
    words.test(a.said)
const BRUSH = says(/\b(brush|glaze|paint)/)

const RULES: Record<string, Rule[]> = {
  egg: [
    [BRUSH, 'glaze', 'it is brushed on', true],
    [says(/\b(stiff|peaks|whites?)\b/), 'raising', 'its white is beaten stiff', true],
    [
      (a) => !a.flour && (a.share ?? 0) >= 0.3,
      'main',
      'most of the dish is egg, and there is no flour',
      true,
    ],
    [says(/\b(mash|shape|form|patt|fritter|ball|bind)/), 'binder', 'it holds a mash together', true],
    [
      (a) => a.flour && a.raising && (a.share ?? 0) < 0.15,
      'binder',
      'there is flour and something that raises, and little egg',
      true,
    ],
    [(a) => a.flour && !a.raising, 'raising', 'there is flour, and nothing else that raises', false],
    [(a) => a.flour, 'structure', 'there is much egg beside the flour', false],
    [() => true, 'binder', 'it is not said what it is for', false],
  ],
  milk: [
    [BRUSH, 'glaze', 'it is brushed on', true],
    [(a) => a.flour, 'liquid', 'it wets the flour', true],
    [says(/\b(set|gelatine|agar|custard|thicken)/), 'main', 'it is what sets', true],
    [(a) => (a.share ?? 0) >= 0.4, 'main', 'most of the dish is milk', true],
    [() => true, 'liquid', 'it is not said what it is for', false],
  ],
  butter: [
    [says(/\brub/), 'fat-rubbed', 'it is rubbed in', true],
    [says(/\bmelt/), 'fat-melted', 'it is melted', true],
    [says(/\b(fry|frying|grease|pan)\b/), 'frying', 'it goes into the pan or the tin', true],
    [says(/\b(spread|butter the)\b/), 'topping', 'it is spread on', true],
    [() => true, 'fat', 'it is mixed in', true],
  ],
  oil: [
    [says(/\b(fry|frying|grease|pan|brush)\b/), 'frying', 'it goes into the pan or the tin', true],
    [says(/\b(dress|drizzle|lemon|vinegar)/), 'dressing', 'it dresses', true],
    [() => true, 'fat', 'it is mixed in', true],
  ],
  yoghurt: [
    [says(/\b(top|dollop|serve|drizzle)/), 'topping', 'it goes on top', true],
    [(a) => a.flour && a.raising, 'acid-liquid', 'it is sour and works with what raises', false],
    [(a) => a.flour, 'moisture', 'it wets the flour', false],
    [(a) => (a.share ?? 0) >= 0.3, 'main', 'most of the dish is yoghurt', true],
    [() => true, 'dressing', 'it is stirred through', true],
  ],
  setting: [[() => true, 'binder', 'it makes the rest set', true]],
  seed: [
    [BRUSH, 'topping', 'it goes on top', true],
    [(a) => (a.share ?? 0) >= 0.25, 'main', 'much of the dish is seeds', true],
    [() => true, 'topping', 'it is a little beside the rest', true],
  ],
  cheese: [
    [says(/\b(sprinkle|scatter|top|over)\b/), 'topping', 'it goes on top', true],
    [(a) => !a.flour && (a.share ?? 0) >= 0.4, 'main', 'most of the dish is cheese', true],
    [() => true, 'savour', 'it gives taste', true],
  ],
}

const KIND_OF: [RegExp, keyof typeof RULES][] = [
  [/^egg-(hen|duck)$/, 'egg'],
  [/^(milk-cow|milk-goat|lactose-free-milk|oat-drink|soya-drink|pea-drink)$/, 'milk'],
  [/^(butter|margarine|df-spread|ghee)$/, 'butter'],
  [/-oil$/, 'oil'],
  [/^(gelatine|agar|jelly-cubes|jelly-vegan)$/, 'setting'],
  [/^(sesame-seeds|poppy-seeds|sunflower-seeds|pumpkin-seeds|flaxseed|chia)$/, 'seed'],
  [/^(yoghurt-|oat-yoghurt|creme-fraiche|fromage-frais)/, 'yoghurt'],
  [/^(cheddar|mozzarella|parmesan|feta|halloumi|grated-cheese-df)$/, 'cheese'],
]
const weightOf = (line: RecipeLine): number | null =>
  crossTo(line.amount, line.unit, 'g', line.food, line.prep)?.amount.valueOf() ?? null

/** @param texts of the steps, as they stand */
export function guessRole(
  line: RecipeLine,
  lines: readonly RecipeLine[],
  texts: readonly string[],
  foods: FoodBook,
): RoleGuess {
  const food = foods.of(line.food)
  const usual = isUnknown(food)
    ? []
    : (food.roles ?? []).filter((r): r is Role => (ROLES as readonly string[]).includes(r))
  const kind = KIND_OF.find(([ids]) => ids.test(line.food))?.[1]
  if (!kind)
    return {
      role: usual[0] ?? 'main',
      because: usual[0] ? 'what it usually does' : 'Lea does not know this food',
      sure: true,
      others: usual.slice(1),
    }
  const weights = lines.map(weightOf)
  const own = weights[lines.indexOf(line)] ?? null
  const all = weights.reduce<number>((sum, w) => sum + (w ?? 0), 0)
  const around: Around = {
    said: sentencesNaming(line, texts, foods).join(' ').toLowerCase(),
    flour: lines.some((l) => /flour|polenta|semolina/.test(l.food)),
    raising: lines.some((l) => l.role === 'raising' && l !== line),
    share: own === null || all === 0 ? null : own / all,
  }
  const rules = RULES[kind] ?? []
  const hit = rules.find(([when]) => when(around))
  const others = [...new Set(rules.map(([, role]) => role))].filter((r) => r !== hit?.[1])
  return { role: hit?.[1] ?? 'main', because: hit?.[2] ?? '', sure: hit?.[3] ?? false, others }
}
