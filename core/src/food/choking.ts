/**
 * Choking shapes and foods that are too early, by age.
 * Source: core/data/choking.json (FSA/OHID, NHS, CACFP, CDC, AAP; from memory). Default: the stricter of UK and US.
 */
import data from '../../data/choking.json'

export interface ShapeRule {
  /** Applies while the youngest eater is below this age, in completed months; null: at every age. */
  below: number | null
  verdict: 'stop' | 'change'
  /** Preparations that settle it. Empty: no preparation does. */
  unless: string[]
  /** Forms that break it ("coin", "raw baton"); none: every form that is not among `unless`. */
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
  /** The preparation to offer, as a code of `PREPARATIONS`. */
  offer: string | null
  says: string
  source: string
}

export const SHAPE_ROWS: readonly ShapeRow[] = data.rows as ShapeRow[]
const BY_ID = new Map(SHAPE_ROWS.map((r) => [r.id, r]))

/** What a preparation code means at the table. */
export const PREPARATIONS: Record<string, string> = {
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
  DESTONE: 'stoned and thinly sliced',
  DISSOLVED: 'dissolved fully',
}

/** Do these preparations together settle a rule? `DESTONE+QL` wants both. */
export const settles = (unless: readonly string[], codes: readonly string[]): boolean =>
  unless.some((way) => way.split('+').every((code) => codes.includes(code)))

/** The strictest rule that this shape breaks for the youngest eater, or null. */
export function shapeBreach(
  rowId: string | undefined,
  preparation: string | undefined,
  youngestMonths: number,
): { row: ShapeRow; rule: ShapeRule } | null {
  const row = rowId === undefined ? undefined : BY_ID.get(rowId)
  if (!row) return null
  const broken = row.rules.filter(
    (r) =>
      (r.below === null || youngestMonths < r.below) && !(preparation && settles(r.unless, [preparation])),
  )
  const rule = broken.find((r) => r.verdict === 'stop') ?? broken[0]
  return rule ? { row, rule } : null
}
