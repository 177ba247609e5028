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
}
export interface ShapeRow {
  id: string
  hazard: string
  rules: ShapeRule[]
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
  SLICE: 'cut in thin slices',
  BATON: 'cut in narrow sticks',
  STRIP: 'cut in thin short strips',
  CHOP: 'chopped fine and soft',
  GROUND: 'ground fine',
  THIN: 'spread thin',
  SOAKED: 'soaked or baked in',
  DESTONE: 'stoned and thinly sliced',
  DISSOLVED: 'dissolved fully',
}

/** The first rule that this shape breaks for the youngest eater, or null. */
export function shapeBreach(
  rowId: string | undefined,
  preparation: string | undefined,
  youngestMonths: number,
): { row: ShapeRow; rule: ShapeRule } | null {
  const row = rowId === undefined ? undefined : BY_ID.get(rowId)
  if (!row) return null
  const rule = row.rules.find(
    (r) => (r.below === null || youngestMonths < r.below) && !(preparation && r.unless.includes(preparation)),
  )
  return rule ? { row, rule } : null
}
