/**
 * Choking shapes by age: which form of a food a child of an age may have.
 * Source: core/data/choking.json (FSA/OHID, NHS, DfE, CACFP, CDC, AAP; from memory). Default: the stricter of UK and US.
 */
import data from '../../../data/choking.json'
import { settles, type Forms } from './forms'
import { hasWord } from './named'

export interface ShapeRule {
  /** Applies while the eater is below this age, in completed months; null: at every age. */
  below: number | null
  verdict: 'stop' | 'change'
  /** Forms that settle it; `DESTONE+QL` wants both. Every form that is not among them breaks it. Empty: no form settles it. */
  unless: string[]
  /** Only where the words name one of these too ("seeded"). */
  forms?: string[]
}
export interface ShapeRow {
  id: string
  /** Words a person writes for it. */
  names: string[]
  /** Months until which each country's guidance asks for a preparation; null: no limit there. */
  until: { uk: number | null; us: number | null }
  hazard: string
  rules: ShapeRule[]
  /** What the guidance asks, in its own codes. */
  prep: string
  /** The form to offer. */
  offer: string | null
  says: string
  source: string
}

export const SHAPE_ROWS: readonly ShapeRow[] = data.rows as ShapeRow[]
const BY_ID = new Map(SHAPE_ROWS.map((r) => [r.id, r]))
export const shapeRow = (id: string | undefined): ShapeRow | undefined =>
  id === undefined ? undefined : BY_ID.get(id)

/** What a preparation code means at the table. */
const PREPARATIONS: Record<string, string> = {
  GRATE: 'grated',
  COOKSOFT: 'cooked until it squashes',
  MASH: 'mashed smooth',
  FLAT: 'squashed flat',
  QL: 'quartered lengthwise',
  REMOVE: 'taken off before it reaches the child',
  SLICE: 'cut in thin slices',
  BATON: 'cut in narrow sticks',
  STRIP: 'cut in thin short strips',
  CHOP: 'chopped fine and soft',
  HALVE: 'cut in half',
  DEBONE: 'boned by hand-check and flaked',
  SKINOFF: 'skin off',
  PUREE: 'smooth',
  GROUND: 'ground fine',
  THIN: 'spread thin',
  SOAKED: 'soaked or baked in',
  DESTONE: 'stone out',
  DISSOLVED: 'dissolved fully',
  RIPE: 'ripe and soft',
  SHORT: 'cut short',
  PLAIN: 'plain',
  THAWED: 'thawed',
  COOLED: 'cooled until lukewarm',
  COOKED: 'cooked until steaming',
}

/** A code, or several joined by `+`. */
export const isPreparation = (shape: string): boolean =>
  shape.split('+').every((code) => Object.hasOwn(PREPARATIONS, code))

/** One or several codes in words: "stone out and quartered lengthwise". */
export const preparationText = (shape: string): string =>
  shape
    .split('+')
    .map((code) => PREPARATIONS[code] ?? code.toLowerCase())
    .join(' and ')

const CHOICES: readonly string[] = [
  ...new Set([
    ...Object.keys(PREPARATIONS).filter((code) => code !== 'COOKED'),
    ...SHAPE_ROWS.flatMap((r) => r.rules.flatMap((x) => x.unless)).filter((way) => way.includes('+')),
  ]),
]

/** Every form that a rule may ask for, one or several codes at once, and the one that is chosen; for a person to choose from. */
export const preparationChoices = (chosen?: string): { code: string; words: string }[] =>
  [...CHOICES, ...(chosen && !CHOICES.includes(chosen) ? [chosen] : [])].map((code) => ({
    code,
    words: preparationText(code),
  }))

export interface ShapeBreach {
  row: ShapeRow
  rule: ShapeRule
  /** Completed months until which some broken rule of the row holds; null: at every age. */
  until: number | null
}

/**
 * The strictest rule of a row that a food in this form breaks for an eater of this age, or null.
 * @param words what is said of it, for rules that hold of some words only
 * @param country its guidance alone; the stricter of UK and US where none is named
 */
export function shapeBreach(
  row: ShapeRow | undefined,
  forms: Forms,
  months: number,
  words = '',
  country?: 'uk' | 'us',
): ShapeBreach | null {
  if (!row) return null
  const cap = country ? row.until[country] : null
  const noneThere = country !== undefined && cap === null && row.until.uk !== row.until.us
  const broken = row.rules.filter((r) => {
    if (r.below !== null && (noneThere || months >= (cap === null ? r.below : Math.min(r.below, cap))))
      return false
    if (r.forms && !r.forms.some((form) => hasWord(words, form))) return false
    return !settles(r.unless, forms)
  })
  const rule = broken.find((r) => r.verdict === 'stop') ?? broken[0]
  if (!rule) return null
  return {
    row,
    rule,
    until: broken.some((r) => r.below === null) ? null : Math.max(...broken.map((r) => r.below ?? 0)),
  }
}

/** A form that settles every rule of a row for this age: the one that the guidance offers, else the first; null where none does. */
export function settlingForm(row: ShapeRow, months: number, words = ''): string | null {
  const ways = [...new Set([...(row.offer ? [row.offer] : []), ...row.rules.flatMap((r) => r.unless)])]
  return ways.find((way) => shapeBreach(row, [way.split('+')], months, words) === null) ?? null
}
