/**
 * Which words a step brings: what is done, to which food, with which tool, and an idea that belongs to it; two of them are its
 * words. Over a session no word comes twice where another would do, and the words touch as many targets as can be.
 * Source: learning.md C and R1 (common practice, from memory); glossary ids.
 */
import data from '../../data/step-words.json'
import { Glossary } from './glossary'
import { suits, targetOf } from './targets'
import { topicOf } from './topics'

/** The verb of the glossary that goes with a technique. */
const VERBS: Record<string, string> = {
  'wash-hands': 'wash',
  'wash-produce': 'scrub',
  'rinse-drain-cold': 'rinse',
  'pour-dry': 'empty-v',
  'pour-liquid': 'pour',
  'level-scoop': 'scoop',
  'count-out': 'count',
  'weigh-scale': 'weigh',
  tear: 'tear',
  'pick-leaves': 'pull',
  stir: 'stir',
  'toss-coat': 'turn',
  fold: 'fold',
  mash: 'mash',
  knead: 'knead',
  'rub-in': 'rub',
  'roll-out': 'roll-out',
  'cut-cutter': 'press',
  shape: 'pat',
  spread: 'spread',
  sprinkle: 'sprinkle',
  'brush-glaze': 'spread',
  'squeeze-juice': 'squeeze',
  'snip-scissors': 'snip',
  'bridge-cut': 'cut',
  'claw-cut': 'slice',
  'cut-soft-table-knife': 'cut',
  'peel-hand': 'peel',
  'peel-peeler': 'peel',
  grate: 'grate',
  'crack-egg': 'crack',
  whisk: 'whisk-v',
  'shake-jar': 'shake',
  'roll-wrap': 'roll',
  'fill-cases': 'fill',
  taste: 'taste',
  'serve-self': 'choose',
  arrange: 'put',
  'lay-table': 'put',
  'wipe-table': 'wipe',
  sweep: 'sweep',
  'dry-put-away': 'dry-v',
  'sort-scraps': 'sort',
  'use-oven': 'wait',
  'use-hob': 'wait',
  'use-campfire': 'wait',
}
/** The word of what is done in a technique; undefined where the glossary has none. */
export const verbWord = (technique: string): string | undefined => VERBS[technique]
/** The tools of the glossary that a technique takes. */
const TOOLS: Record<string, string[]> = {
  'wash-hands': ['soap', 'hands', 'tap', 'towel', 'water'],
  'wash-produce': ['water', 'brush', 'cloth'],
  stir: ['spoon', 'bowl'],
  'toss-coat': ['spoon', 'bowl'],
  'level-scoop': ['measuring-cup', 'bowl'],
  'pour-liquid': ['jug', 'measuring-cup'],
  'weigh-scale': ['scales'],
  grate: ['grater', 'plate'],
  'peel-peeler': ['peeler'],
  'roll-out': ['rolling-pin', 'dough'],
  knead: ['dough', 'hands'],
  shape: ['dough', 'baking-tray'],
  'cut-cutter': ['cutter', 'dough'],
  whisk: ['whisk', 'bowl'],
  sieve: ['sieve'],
  mash: ['masher', 'fork', 'bowl'],
  'brush-glaze': ['brush'],
  'snip-scissors': ['scissors', 'cup'],
  'bridge-cut': ['knife', 'chopping-board'],
  'claw-cut': ['knife', 'chopping-board'],
  'cut-soft-table-knife': ['knife', 'chopping-board'],
  tear: ['finger', 'bowl'],
  'fill-cases': ['spoon', 'pot'],
  'use-oven': ['oven', 'timer'],
  'use-hob': ['saucepan', 'lid', 'timer'],
  taste: ['tongue', 'plate', 'spoon'],
  'serve-self': ['plate'],
  sweep: ['bin'],
}
const FOOD_WORDS: Record<string, string> = {
  'wheat-flour': 'flour',
  'wholemeal-flour': 'flour',
  'strong-bread-flour': 'flour',
  'egg-hen': 'egg',
  'milk-cow': 'milk',
  'oats-rolled': 'oats',
  'yoghurt-plain': 'yoghurt',
  cheddar: 'cheese',
  'peas-frozen': 'peas',
  'lemon-juice': 'lemon',
  'rice-white': 'rice',
  'lentils-red': 'lentils',
  'sunflower-oil': 'oil',
  'rapeseed-oil': 'oil',
  'tomato-fresh': 'tomato',
  'pepper-sweet': 'sweet-pepper',
  'white-beans-tin': 'beans',
  'yeast-dried': 'yeast',
  'sugar-caster': 'sugar',
  'brown-sugar': 'sugar',
  'coriander-leaf': 'coriander',
  'chicken-breast': 'chicken',
  'stock-cube-veg': 'stock',
  'vinegar-wine': 'vinegar',
  'vanilla-extract': 'vanilla',
  'letter-pasta': 'pasta',
  gelatine: 'jelly',
  'pumpkin-seeds': 'seeds',
  'sunflower-seeds': 'seeds',
  'poppy-seeds': 'seeds',
  'sesame-seeds': 'sesame',
  oatcakes: 'cracker',
  'cress-seeds': 'seeds',
}
/** The glossary's id of a food: its own where nothing stands for it. */
export const foodWord = (food: string): string => FOOD_WORDS[food] ?? food

const TOPIC_WORDS = data.topics as Record<
  string,
  { verbs: string[]; places: string[]; senses: Record<string, string[]>; pair: string[]; sequence: string[] }
>
/** Everything that belongs to a sort of step, beyond its two words. */
export const wordsOfTopic = (techniques: readonly string[]): (typeof TOPIC_WORDS)[string] =>
  TOPIC_WORDS[topicOf(techniques)] ?? { verbs: [], places: [], senses: {}, pair: [], sequence: [] }

const WAIT_WORDS = data.waits as Record<string, { words: string[]; senses: Record<string, string[]> }>
/** Words of a wait, by what it is: oven, fridge, rising … */
export const wordsOfWait = (kind: string): (typeof WAIT_WORDS)[string] =>
  WAIT_WORDS[kind] ?? { words: [], senses: {} }

const FIRST_FOODS = 'milk bread egg water apple banana cheese butter rice pear'.split(' ')
const FIRST_TOOLS = 'bowl spoon cup plate hands nose table chair'.split(' ')
const FIRST_VERBS = 'wash stir pour open stop put take wait look close eat drink blow push pull give'.split(
  ' ',
)
const EXACT_VERBS = 'knead whisk-v measure weigh grate add crack fold snip slice level-v drain'.split(' ')
const CONCEPTS: Record<string, string> = {
  ...asTarget('empty full', 'lang-con-empty-full'),
  ...asTarget('more less more-please a-lot some none enough', 'lang-con-more-less'),
  ...asTarget('same different', 'lang-con-same-different'),
  ...asTarget('whole half quarter third piece', 'lang-con-whole-half'),
  ...asTarget('big small long short heavy light tall wide thin thick tiny', 'lang-con-size'),
  ...asTarget('hot cold warm', 'lang-con-temp'),
  ...asTarget('soft hard wet dry clean dirty raw cooked', 'lang-con-state'),
  ...asTarget('first next last now then', 'lang-seq-1'),
  ...asTarget('before after again', 'lang-seq-2'),
  ...asTarget('in on', 'lang-prep-1'),
  ...asTarget('under over up down out', 'lang-prep-2'),
  ...asTarget('between through next-to behind in-front inside outside top bottom middle edge', 'lang-prep-3'),
  ...asTarget('sweet sour salty bitter spicy', 'lang-desc-taste'),
  ...asTarget('sticky smooth rough lumpy crunchy creamy crumbly stretchy runny', 'lang-desc-feel'),
  ...asTarget(
    'red orange-colour yellow green blue white black brown pink purple golden round flat',
    'lang-desc-look',
  ),
  ...asTarget('fast slow all-done', 'lang-con-stop-go'),
  ...asTarget('happy proud hungry yum', 'lang-feel-opinion'),
}
function asTarget(words: string, target: string): Record<string, string> {
  return Object.fromEntries(words.split(' ').map((w) => [w, target]))
}

/** The language target that a word belongs to; undefined where it belongs to none. */
export function targetOfWord(id: string, kind: string | undefined): string | undefined {
  if (kind === 'food') return FIRST_FOODS.includes(id) ? 'lang-noun-food-1' : 'lang-noun-food-2'
  if (kind === 'tool') return FIRST_TOOLS.includes(id) ? 'lang-noun-tool-1' : 'lang-noun-tool-2'
  if (kind === 'verb')
    return FIRST_VERBS.includes(id) ? 'lang-verb-1' : EXACT_VERBS.includes(id) ? 'lang-verb-3' : 'lang-verb-2'
  if (kind === 'phrase') return /turn|you-are/.test(id) ? 'lang-turns' : 'lang-home-share'
  return CONCEPTS[id]
}

export interface WordStep {
  techniques: readonly string[]
  foods: readonly string[]
  /** What the wait is, where the step is one. */
  wait?: string
}

/**
 * The opposites of a step: both or neither, and none where it is hot, since there is only one word to say there.
 * @returns two glossary ids, or none
 */
export function pairOf(step: WordStep, glossary: Glossary): string[] {
  if (step.wait !== undefined) return []
  const { pair } = wordsOfTopic(step.techniques)
  return pair.length === 2 && pair.every((id) => glossary.has(id)) ? pair : []
}

/** Words that fit a step, the nearest first: what is done, to which food, with what, and where. */
function wordCandidates({ techniques, foods, wait }: WordStep, glossary: Glossary): string[] {
  if (wait !== undefined) return wordsOfWait(wait).words.filter((id) => glossary.has(id))
  const topic = wordsOfTopic(techniques)
  const verbs = techniques.flatMap((t) => VERBS[t] ?? [])
  const nouns = foods.map(foodWord)
  const tools = techniques.flatMap((t) => TOOLS[t] ?? [])
  const all = [...verbs.slice(0, 1), ...nouns, ...verbs.slice(1), ...tools, ...topic.verbs]
  return [...new Set([...all, ...topic.places])].filter((id) => glossary.has(id))
}

const USED = 100
const SAME_TARGET = 12
const FARTHER = 3
const OF_THE_WEEK = -15
const NOT_OF_THE_AGE = 3

/**
 * Two words for each step.
 * @param months ages of the children in each step
 * @param week targets of the week
 */
export function chooseWords(
  steps: readonly WordStep[],
  glossary: Glossary,
  months: readonly (readonly number[])[],
  week: readonly string[] = [],
): string[][] {
  const lists = steps.map((s) => wordCandidates(s, glossary))
  const used = new Map<string, number>()
  const met = new Map<string, number>()
  const chosen = steps.map((): string[] => [])
  const cost = (id: string, rank: number, step: number): number => {
    const target = targetOfWord(id, glossary.kind(id))
    const known = target === undefined ? undefined : targetOf(target)
    const fits = known !== undefined && (months[step] ?? []).some((m) => suits(known, m))
    const wanted = target !== undefined && week.includes(target) && !met.has(target)
    return (
      USED * (used.get(id) ?? 0) +
      SAME_TARGET * (met.get(target ?? '') ?? 0) +
      (wanted ? OF_THE_WEEK : 0) +
      (fits ? 0 : NOT_OF_THE_AGE) +
      FARTHER * rank
    )
  }
  // Those with the fewest words first: the others have more to choose from.
  const order = [...lists.keys()].sort((a, b) => (lists[a]?.length ?? 0) - (lists[b]?.length ?? 0) || a - b)
  for (const step of order)
    for (let n = 0; n < WORDS_A_STEP; n++) {
      const own = chosen[step] ?? []
      const best = (lists[step] ?? [])
        .map((id, rank) => ({ id, cost: cost(id, rank, step) }))
        .filter(({ id }) => !own.includes(id))
        .sort((a, b) => a.cost - b.cost)[0]
      if (!best) break
      own.push(best.id)
      used.set(best.id, (used.get(best.id) ?? 0) + 1)
      const target = targetOfWord(best.id, glossary.kind(best.id)) ?? ''
      met.set(target, (met.get(target) ?? 0) + 1)
    }
  return chosen
}
/** R1: one or two words a step. */
const WORDS_A_STEP = 2
