/**
 * Words of a step in English and in the languages spoken at home.
 * Source: core/data/glossary.json (from memory; an entry marked M(xx) wants a speaker of xx).
 */
import data from '../../data/glossary.json'

export interface GlossaryRow {
  id: string
  kind: string
  confidence: string
  [language: string]: string
}
export interface HomeWord {
  language: string
  word: string
  roman?: string
  rightToLeft: boolean
  /** True where a speaker of the language should check it first. */
  askSpeaker: boolean
}
export interface StepWord {
  id: string
  word: string
  home: HomeWord[]
}

export const LANGUAGES: Record<string, string> = {
  es: 'Spanish',
  fr: 'French',
  pt: 'Portuguese',
  pl: 'Polish',
  ar: 'Arabic',
  ur: 'Urdu',
  cy: 'Welsh',
  uk: 'Ukrainian',
}
const RIGHT_TO_LEFT = new Set(['ar', 'ur'])
const ROWS = new Map((data.words as GlossaryRow[]).map((r) => [r.id, r]))

/** Glossary row of a word, or undefined where the glossary does not hold it. */
export const glossaryRow = (id: string): GlossaryRow | undefined => ROWS.get(id)

/** The verb of the glossary that goes with a technique. */
const VERBS: Record<string, string> = {
  'wash-hands': 'wash',
  'wash-produce': 'wash',
  'pour-dry': 'empty-v',
  'pour-liquid': 'pour',
  'level-scoop': 'scoop',
  'count-out': 'count',
  'weigh-scale': 'weigh',
  tear: 'tear',
  'pick-leaves': 'take',
  stir: 'stir',
  'toss-coat': 'mix',
  fold: 'mix',
  mash: 'mash',
  knead: 'knead',
  'rub-in': 'press',
  'roll-out': 'roll-out',
  'cut-cutter': 'press',
  shape: 'press',
  spread: 'spread',
  sprinkle: 'sprinkle',
  'brush-glaze': 'spread',
  'squeeze-juice': 'squeeze',
  'snip-scissors': 'cut',
  'bridge-cut': 'cut',
  'claw-cut': 'cut',
  'cut-soft-table-knife': 'cut',
  'peel-hand': 'peel',
  'peel-peeler': 'peel',
  grate: 'grate',
  'crack-egg': 'crack',
  whisk: 'whisk-v',
  'fill-cases': 'fill',
  taste: 'taste',
  'serve-self': 'share',
  arrange: 'put',
  'use-oven': 'wait',
  'use-hob': 'stir',
}
const CONCEPTS: Record<string, string> = {
  'level-scoop': 'full',
  'pour-liquid': 'in',
  'pour-dry': 'empty',
  stir: 'in',
  mash: 'soft',
  knead: 'sticky',
  'cut-cutter': 'same',
  shape: 'same',
  'bridge-cut': 'half',
  'snip-scissors': 'small',
  grate: 'small',
  'use-oven': 'hot',
  'use-hob': 'hot',
  taste: 'more-please',
  whisk: 'in',
}

/** Two or three words of a step: what we do, to which food, and one idea, each with its home words. */
export function wordsOf(
  techniques: readonly string[],
  foods: readonly string[],
  languages: readonly string[],
): StepWord[] {
  const verb = techniques.map((t) => VERBS[t]).find((v) => v !== undefined)
  const concept = techniques.map((t) => CONCEPTS[t]).find((c) => c !== undefined)
  const food = foods.find((f) => ROWS.has(glossaryFood(f)))
  const ids = [verb, food && glossaryFood(food), concept].filter((id): id is string => id !== undefined)
  return [...new Set(ids)].flatMap((id) => {
    const row = ROWS.get(id)
    return row ? [{ id, word: plainWord(row['en-GB'] ?? id), home: homeWords(row, languages) }] : []
  })
}

const plainWord = (text: string): string => text.replace(/\s*\([^)]*\)\s*/g, ' ').trim()

function homeWords(row: GlossaryRow, languages: readonly string[]): HomeWord[] {
  return languages.flatMap((language) => {
    const word = row[language]
    if (!word) return []
    const roman = row[`${language}_roman`]
    return [
      {
        language,
        word,
        ...(roman ? { roman } : {}),
        rightToLeft: RIGHT_TO_LEFT.has(language),
        askSpeaker: row.confidence === 'M' || row.confidence.includes(language),
      },
    ]
  })
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
  'olive-oil': 'oil',
  'tomato-fresh': 'tomato',
  beetroot: 'beetroot',
  'pepper-sweet': 'sweet-pepper',
}
const glossaryFood = (food: string): string => FOOD_WORDS[food] ?? food

/** Home languages beside one another, or one at a time: that of the child whose turn it is. */
export const LANGUAGE_RULES = ['side-by-side', 'one-at-a-time'] as const
export type LanguageRule = (typeof LANGUAGE_RULES)[number]

/** The home words to show: all, or those of this child's languages; none of its own is no word. */
export const shownHome = (
  word: StepWord,
  rule: LanguageRule | undefined,
  spoken: readonly string[],
): StepWord['home'] =>
  rule === 'one-at-a-time' ? word.home.filter((h) => spoken.includes(h.language)) : word.home
