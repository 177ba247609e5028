/** Looks at a few recipes at a time, as the shelf's workers in the browser do. */
import { parentPort } from 'node:worker_threads'
import { type ShelfRow, type SelectionCriteria, evaluateRecipe } from '@lea/core/choose'

parentPort?.on('message', ({ rows, wish }: { rows: ShelfRow[]; wish: SelectionCriteria }) => {
  parentPort?.postMessage(rows.map((r) => evaluateRecipe(r.id, r.recipe, wish, r.made)))
})
