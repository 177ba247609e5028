/**
 * Which food the words of an ingredient line name: whole, in English or in a language of core/data/food-words.json; or none. What is near
 * is an offer beside a question, never an answer.
 */
import { distance } from 'fastest-levenshtein'
import data from '../../../data/food-words.json'
import { resolveExactly, resolveFood } from '../../food/food-names'
import type { FoodBook, FoodFact } from '../../food/foods'

const key = (words: string): string =>
  words.toLowerCase().normalize('NFC').replace(/œ/g, 'oe').replace(/[’`]/g, "'").replace(/\s+/g, ' ').trim()

const FOREIGN: ReadonlyMap<string, string> = new Map(
  data.foods.flatMap(({ food, words }) => words.map((w) => [key(w), food] as const)),
)

/** "of" before a food: 250 g de farine, 2 EL d'huile, szklanka mąki. */
const OF =
  /^(?:de la |de l'|del |della |dell'|degli |delle |dello |du |des |de |d'|da |do |di |von |z |ze |av |af |van )/i
/** What it is for. */
const FOR = / (?:zum|zur|für|do|pour|para|per|til|till|för|voor) .+$/i
/** How it comes, behind or before the food: nothing that changes what it holds. From memory. */
const SAYS_NOTHING = new RegExp(
  ` (?:${[
    'gros|grosse|petite?|kleine?|große?|duż[aye]|mał[aye]|stora?|liten|grote?|szt|weich|kalt|warm|lauwarm|geschmolzen|zerlassen|gehackt|gerieben|gewürfelt|frisch|reif|getrocknet|gemahlen|fein|grob|geschält|glatt',
    'mou|fondu|fondue|râpée?|haché|hachée|frais|fraîche|mûrs?|moulue?|tiède|froide?|pelées?|doux|douce|demi-sel|entiers?|pulvérisée?',
    'blanda|derretida|rallado|rallada|picado|picada|fresco|fresca|maduros?|maduras?|molida|molido|tibia|fría|caliente|templada|entera|entero',
    'morbido|fuso|grattugiato|tritato|maturi|maturo|fresche|freschi|tiepida|fredda|calda|intero|macinata',
    'morna|mornas?|quente|fria|derretida|ralado|ralada|frescos?|frescas?|moída|inteiro',
    'miękkie|miękkiego|zimne|zimnej|ciepłej|ciepłego|letniej|świeży|świeża|świeże|startego|drobno|posiekany',
    'zacht|koud|warme?|lauw|geraspt|vers|verse|gehakt|rijpe|mjukt?|kallt?|ljummet|ljumment|riven|färsk|hackad',
  ].join('|')})(?= |$)`,
  'giu',
)

/** A food by its name in another language, whole: articles and how it comes aside. */
export function foreignFood(words: string, foods: FoodBook): FoodFact | null {
  let plain = key(words.replace(/\([^)]*\)/g, ' ').split(/[,;]/)[0] ?? '').replace(FOR, '')
  const whole = plain
  for (let again = true; again;) {
    const next = plain.replace(OF, '')
    again = next !== plain
    plain = next
  }
  const tries = [whole, plain, ` ${plain}`.replace(SAYS_NOTHING, '').trim()]
  const id = tries.map((t) => FOREIGN.get(t)).find((f) => f !== undefined)
  return id === undefined ? null : (foods.all.find((f) => f.id === id) ?? null)
}

/** Short forms of kitchens' notes. Common practice. */
const SHORT = new Map(
  Object.entries({
    yog: 'plain yoghurt',
    bicarb: 'bicarbonate of soda',
    'baking pdr': 'baking powder',
    'sr flour': 'self-raising flour',
    's r flour': 'self-raising flour',
    's.r. flour': 'self-raising flour',
    'sr. flour': 'self-raising flour',
    mayo: 'mayonnaise',
    evoo: 'olive oil',
    choc: 'chocolate',
    spuds: 'potatoes',
    caster: 'caster sugar',
    demerara: 'brown sugar',
    muscovado: 'brown sugar',
    icing: 'icing sugar',
    granulated: 'granulated sugar',
    iceberg: 'lettuce',
    'veg oil': 'vegetable oil',
    'ev olive oil': 'olive oil',
  }),
)

/** Words that kitchens cut short, wherever they stand in a name. */
const CUT_SHORT = new Map(
  Object.entries({
    toms: 'tomatoes',
    tom: 'tomato',
    marg: 'margarine',
    mozz: 'mozzarella',
    parm: 'parmesan',
    parms: 'parmesan',
    yog: 'yoghurt',
    yogs: 'yoghurt',
    veg: 'vegetable',
    sr: 'self-raising',
    bicarb: 'bicarbonate of soda',
    wholewheat: 'wholemeal',
  }),
)
const spelled = (words: string): string =>
  words.replace(/\p{L}+/gu, (w) => CUT_SHORT.get(w.toLowerCase()) ?? w)

/**
 * @param unit the line's: what comes in tins is the tinned food
 * @returns null where a word is left over or two foods are named: one alone would hide the other's allergens
 */
export function foodOfLine(as: string, foods: FoodBook, unit = ''): FoodFact | null {
  if (as.trim() === '') return null
  // "Cashews & cream" is no cashew cream.
  const said = as.replace(/\s*[&+]\s*/g, ' and ')
  const words = spelled(said)
  const tinned = unit === 'tin' ? resolveFood(`tinned ${words}`, foods) : null
  if (tinned?.id.endsWith('-tin')) return tinned
  // "A tin of plum tomatoes": the tinned one of a fresh food.
  const fresh = unit === 'tin' ? resolveFood(words, foods) : null
  const twin = fresh
    ? (resolveFood(`tinned ${fresh.plural ?? fresh.name}`, foods) ??
      resolveFood(`tinned ${fresh.name}`, foods))
    : null
  if (twin?.id.endsWith('-tin')) return twin
  return englishFood(said, foods) ?? foreignFood(words, foods)
}

/** Foods whose name is one slip away from the words, or two in a long one: to be asked about. At most three. */
export function nearFoods(words: string, foods: FoodBook): FoodFact[] {
  const plain = key(words)
  if (plain.length < 4 || plain.length > 30 || resolveExactly(plain, foods)) return []
  const most = plain.length >= 9 ? 2 : 1
  const near = foods.all.flatMap((food) => {
    const best = Math.min(
      ...[food.name, food.plural ?? food.name, ...food.aliases]
        .filter((n) => Math.abs(n.length - plain.length) <= most)
        .map((n) => distance(n.toLowerCase(), plain)),
      99,
    )
    return best <= most ? [{ food, best }] : []
  })
  return near
    .sort((a, b) => a.best - b.best)
    .slice(0, 3)
    .map((n) => n.food)
}

/** A food by its English name or the short form of a kitchen's note, whole. */
export const englishFood = (words: string, foods: FoodBook): FoodFact | null =>
  resolveFood(SHORT.get(key(words)) ?? words, foods) ?? resolveFood(spelled(words), foods)
