/** What is laid in a step and how: once on one another, or a row that comes again and again. */
import { ROWS_LIE, type RecipeStep, type RowsLie } from './recipe'

/** How a row lies, for a person. */
export const ROWS_WORDS: Readonly<Record<RowsLie, string>> = {
  line: 'side by side in a line',
  stack: 'on one another',
  ring: 'round in a ring',
}
/** A row has so many things at most. */
export const LAYERS_MOST = 4
/** A row comes so often at most. */
export const ROWS_MOST = 12

/** "Layers, from below: oats, pear." or "3 times over, side by side in a line: red, green."; '' where nothing is laid. */
export function layersText({ layers, rows }: Pick<RecipeStep, 'layers' | 'rows'>): string {
  if (!layers || layers.length < 2) return ''
  const list = layers.join(', ')
  if (!rows || (rows.times < 2 && rows.lie === 'stack')) return `Layers, from below: ${list}.`
  return `${rows.times === 1 ? 'Once' : `${rows.times} times over`}, ${ROWS_WORDS[rows.lie]}: ${list}.`
}

/**
 * The step with what is laid written as one line: names with commas between; fewer than two are no layers.
 * @param text "oats, pear"
 */
export function withLayers(step: RecipeStep, text: string): RecipeStep {
  const layers = text
    .split(',')
    .map((l) => l.trim())
    .filter((l) => l !== '')
    .slice(0, LAYERS_MOST)
  return layers.length < 2 ? { ...step, layers: undefined, rows: undefined } : { ...step, layers }
}

/** The step with its row so many times; once on one another is no row. Takes whole times from 1 to 12. */
export function withRows(
  step: RecipeStep,
  times: number,
  lie: RowsLie = step.rows?.lie ?? 'stack',
): RecipeStep {
  const n = Math.min(ROWS_MOST, Math.max(1, Math.round(times) || 1))
  const known = ROWS_LIE.includes(lie) ? lie : 'stack'
  return n === 1 && known === 'stack'
    ? { ...step, rows: undefined }
    : { ...step, rows: { times: n, lie: known } }
}
