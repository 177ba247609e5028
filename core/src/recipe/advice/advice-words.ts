/** Words that people write for jobs and tools, for `advise`. Common practice, from memory. */
import { KNIVES } from '../../craft/jobs-by-age'

/**
 * A job is named where a word of each list stands in the text; `only`: in what is asked about, not in how it is done, or as its first word.
 */
export const JOB_WORDS: readonly {
  id: string
  all: readonly (readonly string[])[]
  only?: 'what' | 'first'
}[] = [
  {
    id: 'bridge-cut',
    all: [
      [
        'cut',
        'cuts',
        'cutting',
        'slice',
        'slices',
        'chop',
        'chops',
        'chopping',
        'dice',
        'dices',
        'halve',
        'halves',
      ],
    ],
    only: 'first',
  },
  {
    id: 'carry-hot',
    all: [
      ['carry', 'carries', 'carrying'],
      ['hot', 'boiling', 'pan', 'kettle'],
    ],
  },
  {
    id: 'drain-hot',
    all: [
      ['drain', 'drains', 'draining', 'carry', 'carries'],
      ['hot', 'boiling', 'pasta', 'pan'],
    ],
  },
  { id: 'deep-fry', all: [['deep fry', 'deep fries', 'deep frying', 'deep fried']] },
  {
    id: 'handle-raw-meat',
    all: [
      [
        'raw chicken',
        'raw meat',
        'raw mince',
        'raw sausage',
        'raw fish',
        'raw poultry',
        'raw beef',
        'raw pork',
        'raw turkey',
      ],
    ],
  },
  {
    id: 'crack-egg',
    all: [
      ['crack', 'cracks', 'cracking'],
      ['egg', 'eggs'],
    ],
  },
  {
    id: 'separate-egg',
    all: [
      ['separate', 'separates', 'separating'],
      ['egg', 'eggs'],
    ],
  },
  { id: 'bridge-cut', all: [['bridge', 'bridge cut', 'bridge hold', 'bridge cuts']] },
  { id: 'claw-cut', all: [['claw', 'claw cut', 'claw hold', 'claw grip']] },
  {
    id: 'grate',
    all: [['grate', 'grates', 'grating', 'grater', 'box grater', 'zest', 'zests', 'zester', 'zesting']],
  },
  { id: 'peel-peeler', all: [['peeler', 'peel with a peeler']] },
  { id: 'tear', all: [['tear', 'tears', 'tearing']] },
  { id: 'snip-scissors', all: [['snip', 'snips', 'scissors']] },
  {
    id: 'use-hob',
    all: [[...['hob', 'stove', 'cooker', 'frying pan', 'saucepan on the heat', 'wok', 'skillet']]],
  },
  {
    id: 'use-hob',
    all: [
      [
        'fry',
        'fries',
        'frying',
        'shallow fry',
        'boil',
        'boils',
        'boil an egg',
        'boil eggs',
        'simmer',
        'simmers',
      ],
    ],
    only: 'what',
  },
  {
    id: 'use-oven',
    all: [['hot oven', 'oven tray', 'into the oven', 'out of the oven', 'oven', 'air fryer']],
  },
  { id: 'use-toaster', all: [['toaster', 'toasters']] },
  { id: 'use-toaster-oven', all: [['toaster oven', 'grill', 'under the grill']] },
  { id: 'crush-pestle', all: [['pestle', 'mortar', 'pestle and mortar']] },
  { id: 'use-microwave', all: [['microwave', 'microwaves']] },
  { id: 'use-campfire', all: [['campfire', 'fire', 'embers']] },
  { id: 'use-griddle', all: [['griddle']] },
  { id: 'electric-mixer', all: [['electric mixer', 'hand mixer', 'electric whisk']] },
  { id: 'blender-button', all: [['blender']] },
  {
    id: 'open-can',
    all: [
      ['open', 'opens', 'opening', 'opener'],
      ['can', 'tin', 'tin opener', 'can opener'],
    ],
  },
  {
    id: 'wash-produce',
    all: [['wash', 'washes', 'washing', 'rinse', 'rinses', 'scrub', 'scrubs']],
    only: 'first',
  },
  { id: 'knead', all: [['knead', 'kneads', 'kneading']] },
  { id: 'whisk', all: [['whisk', 'whisks', 'whisking']] },
  { id: 'stir', all: [['stir', 'stirs', 'stirring']] },
  { id: 'mash', all: [['mash', 'mashes', 'mashing']] },
  { id: 'spread', all: [['spread', 'spreads', 'spreading']] },
  { id: 'sprinkle', all: [['sprinkle', 'sprinkles with fingers', 'sprinkling']] },
  { id: 'pour-liquid', all: [['pour', 'pours', 'pouring']] },
  { id: 'rub-in', all: [['rub in', 'rubs in', 'rubbing in']] },
  { id: 'roll-out', all: [['roll out', 'rolls out', 'rolling out', 'rolling pin']] },
  { id: 'taste', all: [['taste', 'tastes', 'tasting']] },
  { id: 'core', all: [['core', 'cores', 'coring']], only: 'what' },
  { id: 'pipe', all: [['pipe', 'pipes', 'piping']] },
  { id: 'sieve', all: [['sieve', 'sieves', 'sieving', 'sift']] },
  { id: 'fold', all: [['fold', 'folds in', 'folding']] },
]

/** What people write for the knives of the ladder (core/data/knives.json), and for blades that are on no ladder. */
const KNIFE_NAMES: Readonly<Record<string, readonly string[]>> = {
  'blunt-spreader': ['blunt spreader', 'spreader', 'butter knife'],
  'table-knife': ['table knife', 'round ended table knife', 'round ended knife'],
  'wavy-cutter': ['wavy cutter', 'crinkle cutter', 'rocking cutter'],
  'nylon-knife': ['nylon knife', 'nylon serrated', 'plastic knife', 'soft knife'],
  'round-tip-knife': [
    'vegetable knife',
    'round tipped serrated knife',
    'round tipped knife',
    'serrated vegetable knife',
  ],
  'paring-knife': [
    ...['paring knife', 'pointed knife', 'small pointed knife', 'small sharp knife', 'sharp knife'],
    ...['sharp knives', 'steak knife'],
  ],
  'cooks-knife': ['cooks knife', 'chefs knife', 'large knife', 'cook s knife', 'chef s knife'],
  bread: ['bread knife'],
  'two-handled': ['herb blade', 'mezzaluna'],
}
const ADULT_BLADES = [
  ...['mandoline', 'mandolin', 'cleaver', 'boning knife', 'food processor blade', 'scalpel'],
  'craft knife',
]

/** The knife ladder in words: guided from, overseen from, in months; `from` null: an adult's at every age. */
export const KNIFE_WORDS: readonly {
  id: string
  words: readonly string[]
  from: number | null
  overseen: number
}[] = [
  ...KNIVES.flatMap(({ id, from, overseenFrom }) => {
    const words = KNIFE_NAMES[id]
    return words ? [{ id, words, from, overseen: overseenFrom }] : []
  }),
  { id: 'mandoline', words: ADULT_BLADES, from: null, overseen: 0 },
]

/** Work of hands whatever it is called: heat and raw meat are asked about. As the first word, or after who does it. */
export const HANDLES =
  /^(?:(?:the |a )?(?:child|children|they|he|she) )?(?:to )?(?:drains?|dips?|stuffs?|breads?|makes?|mix(?:es)?|seasons?|turns?|flips?|lifts?|scoops?|ladles?|rolls?|forms?|press(?:es)?|adds?|puts?|takes?|fills?|holds?|touch(?:es)?|handles?|rubs?|marinates?|coats?|dusts?|brush(?:es)?|wraps?|rins(?:es)?|wash(?:es)?|mov(?:es)?|pass(?:es)?|trims?|skewers?|threads?|bones?|fillets?|empt(?:y|ies)|opens?|lights?|serves?|tips?)\b/i

/** Machines and fires that no child works here. */
export const ADULT_TOOLS: readonly { id: string; words: readonly string[]; because: string }[] = [
  {
    id: 'stick-blender',
    words: [
      'stick blender',
      'hand blender',
      'immersion blender',
      'hand held blender',
      'blend hot',
      'blending hot',
    ],
    because: 'an open blade that starts at a touch, and hot splashes',
  },
  {
    id: 'food-processor',
    words: ['food processor', 'meat grinder', 'mincer', 'meat slicer'],
    because: 'blades that are sharp when they stand still too',
  },
  {
    id: 'light-fire',
    words: [
      'match',
      'matches',
      'lighter',
      'blowtorch',
      'light the candles',
      'light the fire',
      'light the barbecue',
    ],
    because: 'an open flame',
  },
  {
    id: 'hot-machine',
    words: [
      ...[
        'waffle iron',
        'waffle maker',
        'sandwich toaster',
        'toastie maker',
        'panini press',
        'popcorn machine',
        'popcorn maker',
      ],
      ...['candy floss machine', 'deep fat fryer', 'fryer', 'fondue', 'hot plate', 'iron'],
    ],
    because: 'hot plates, and steam when it opens',
  },
  {
    id: 'open-blade',
    words: [
      'spiralizer',
      'spiraliser',
      'box cutter',
      'razor',
      'electric knife',
      'apple peeler machine',
      'meat cleaver',
    ],
    because: 'an open blade',
  },
  {
    id: 'pressure-cooker',
    words: ['pressure cooker', 'instant pot'],
    because: 'steam under pressure',
  },
]
