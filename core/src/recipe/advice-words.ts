/** Words that people write for shapes, jobs and knives, for `advise`. Common practice, from memory. */

/** Words for a shape, and the preparation codes they stand for. `WHOLE`, `COIN` and the like settle nothing. */
export const SHAPE_WORDS: readonly (readonly [readonly string[], readonly string[]])[] = [
  [['grated', 'shredded', 'ribbons', 'ribbon'], ['GRATE']],
  [
    [
      'cooked soft',
      'soft cooked',
      'cooked',
      'steamed',
      'boiled',
      'stewed',
      'roasted',
      'poached',
      'cooked until soft',
    ],
    ['COOKSOFT'],
  ],
  [
    ['mashed', 'squashed', 'pureed', 'puree', 'blended', 'smooth puree', 'squished'],
    ['MASH', 'FLAT', 'PUREE'],
  ],
  [['flattened', 'squashed flat', 'crushed', 'flat'], ['FLAT']],
  [['quartered', 'quarters', 'quarter', 'quartered lengthways', 'quartered lengthwise'], ['QL']],
  [['strips', 'strip', 'thin strips', 'fingers'], ['STRIP']],
  [['batons', 'baton', 'sticks', 'narrow sticks'], ['BATON']],
  [['slices', 'sliced', 'thin slices', 'thin slice', 'slice', 'thinly sliced'], ['SLICE']],
  [['thin', 'thinly spread', 'thin smear', 'smear', 'spread thin', 'thinly', 'thin on toast'], ['THIN']],
  [
    ['ground', 'flaked', 'milled', 'ground fine', 'finely ground'],
    ['GROUND', 'CHOP'],
  ],
  [['finely chopped', 'chopped fine', 'chopped', 'chopped small'], ['CHOP']],
  [['halved', 'halves', 'cut in half'], ['HALVE']],
  [['boned', 'boneless', 'bones out', 'deboned'], ['DEBONE']],
  [['stoned', 'pitted', 'stone out', 'stones out', 'destoned'], ['DESTONE']],
  [['peeled', 'skin off', 'skinless', 'skinned'], ['SKINOFF']],
  [
    ['soaked', 'baked in'],
    ['SOAKED', 'CHOP'],
  ],
  [['dissolved', 'melted'], ['DISSOLVED']],
  [['removed', 'taken out', 'taken off'], ['REMOVE']],
  [['whole'], ['WHOLE']],
  [['coins', 'coin', 'rounds', 'discs', 'round slices'], ['COIN']],
  [['cubes', 'cube', 'chunks', 'chunk', 'diced', 'lumps'], ['CHUNK']],
  [['spoonful', 'by the spoon', 'off the spoon', 'lump'], ['SPOONFUL']],
  [['balls', 'ball'], ['BALL']],
]

/** A job is named where a word of each list stands in the text. */
export const JOB_WORDS: readonly { id: string; all: readonly (readonly string[])[] }[] = [
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
  { id: 'grate', all: [['grate', 'grates', 'grating', 'grater', 'box grater']] },
  { id: 'peel-peeler', all: [['peeler', 'peel with a peeler']] },
  { id: 'tear', all: [['tear', 'tears', 'tearing']] },
  { id: 'snip-scissors', all: [['snip', 'snips', 'scissors']] },
  { id: 'use-hob', all: [['hob', 'stove', 'cooker', 'frying pan', 'saucepan on the heat']] },
  { id: 'use-oven', all: [['hot oven', 'oven tray', 'into the oven', 'out of the oven', 'oven']] },
  { id: 'use-microwave', all: [['microwave']] },
  { id: 'use-campfire', all: [['campfire', 'fire', 'embers']] },
  { id: 'use-griddle', all: [['griddle']] },
  { id: 'electric-mixer', all: [['electric mixer', 'hand mixer', 'electric whisk']] },
  { id: 'blender-button', all: [['blender']] },
  {
    id: 'open-can',
    all: [
      ['open', 'opens', 'opening'],
      ['can', 'tin'],
    ],
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
  { id: 'core', all: [['core', 'cores', 'coring']] },
  { id: 'pipe', all: [['pipe', 'pipes', 'piping']] },
  { id: 'sieve', all: [['sieve', 'sieves', 'sieving', 'sift']] },
  { id: 'fold', all: [['fold', 'folds in', 'folding']] },
]

/** The knife ladder: guided from, overseen from, in months. Source: age-skill-safety.md A3, common practice, from memory. */
export const KNIFE_WORDS: readonly {
  id: string
  words: readonly string[]
  from: number | null
  overseen: number
}[] = [
  { id: 'blunt-spreader', words: ['blunt spreader', 'spreader', 'butter knife'], from: 24, overseen: 48 },
  {
    id: 'table-knife-round',
    words: ['table knife', 'round ended table knife', 'round ended knife'],
    from: 36,
    overseen: 48,
  },
  { id: 'wavy-cutter-top-handle', words: ['wavy cutter', 'crinkle cutter'], from: 36, overseen: 60 },
  {
    id: 'nylon-serrated',
    words: ['nylon knife', 'nylon serrated', 'plastic knife', 'soft knife'],
    from: 36,
    overseen: 60,
  },
  {
    id: 'vegetable-knife-serrated-round-tip',
    words: ['vegetable knife', 'round tipped serrated knife', 'serrated vegetable knife'],
    from: 60,
    overseen: 84,
  },
  {
    id: 'paring-knife-pointed',
    words: ['paring knife', 'pointed knife', 'small sharp knife', 'sharp knife'],
    from: 72,
    overseen: 108,
  },
  {
    id: 'cooks-knife',
    words: ['cooks knife', 'chefs knife', 'large knife', 'cook s knife', 'chef s knife'],
    from: 120,
    overseen: 144,
  },
  { id: 'bread-knife-long', words: ['bread knife', 'herb blade', 'mezzaluna'], from: 120, overseen: 144 },
  {
    id: 'mandoline',
    words: ['mandoline', 'mandolin', 'cleaver', 'boning knife', 'food processor blade'],
    from: null,
    overseen: 0,
  },
]
