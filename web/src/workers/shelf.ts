/** A few workers that look at the shelf side by side; each takes the next few recipes as soon as it is free. */
import { wrap, type Remote } from 'comlink'
import type { Evaluation, Remedy, ShelfRow, TermPlan, TermProblem, SelectionCriteria } from '@lea/core/choose'
import type { ShelfWorker } from './shelf.worker'

/** Recipes that a worker takes at a time: few, so that first answers stand soon. */
const FEW = 4
const MOST_WORKERS = 4

const workers: Remote<ShelfWorker>[] = []
function worker(n: number): Remote<ShelfWorker> {
  return (workers[n] ??= wrap<ShelfWorker>(
    new Worker(new URL('./shelf.worker.ts', import.meta.url), { type: 'module', name: `shelf-${n}` }),
  ))
}
const poolSize = (): number => Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 2))

/** Starts the workers, so that they have read their code, and run it a little, by the time something is asked. */
let warm = false
export function startShelf(rows: readonly ShelfRow[] = [], wish?: SelectionCriteria): void {
  if (warm) return
  warm = wish !== undefined
  const few = wish ? rows.slice(0, 6 * FEW) : []
  for (let n = 0; n < poolSize(); n++) void worker(n).looks([...few], wish ?? ({} as SelectionCriteria))
}

/**
 * @param tell called with the looks of each few recipes as they come
 * @param wanted false once nobody waits for it any more
 */
export async function looksInWorkers(
  rows: readonly ShelfRow[],
  wish: SelectionCriteria,
  tell: (looks: Evaluation[]) => void,
  wanted: () => boolean,
): Promise<void> {
  const queue = [...rows]
  const run = async (n: number): Promise<void> => {
    while (queue.length > 0 && wanted()) {
      const looks = await worker(n).looks(queue.splice(0, FEW), wish)
      if (wanted()) tell(looks)
    }
  }
  await Promise.all(
    Array.from({ length: Math.min(poolSize(), Math.ceil(rows.length / FEW)) }, (_, n) => run(n)),
  )
}

export const remedyInWorker = (
  look: Evaluation,
  row: ShelfRow,
  wish: SelectionCriteria,
): Promise<Remedy | null> => worker(0).remedy(look, row, wish)

export const termInWorker = (problem: TermProblem): Promise<TermPlan> => worker(0).term(problem)
