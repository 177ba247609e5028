/** The shelf looked at by all workers that are free, side by side; each takes the next few recipes as soon as it is through. */
import type { Evaluation, Remedy, ShelfRow, TermPlan, TermProblem, SelectionCriteria } from '@lea/core/choose'
import { ask, askLong, isFree, poolNames } from './pool'

/** Recipes that a worker takes at a time: few, so that a draft does not wait long behind them. */
const FEW = 4

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
  let running = 0
  const run = async (name: string): Promise<void> => {
    running += 1
    while (queue.length > 0 && wanted()) {
      // A long plan came between: the others take the rest.
      if (!isFree(name) && running > 1) break
      const few = queue.splice(0, FEW)
      const looks = await ask(name, (core) => core.looks(few, wish))
      if (wanted()) tell(looks)
    }
    running -= 1
  }
  const free = poolNames().filter(isFree)
  const names = free.length > 0 ? free : ['front']
  await Promise.all(names.slice(0, Math.max(1, Math.ceil(rows.length / FEW))).map(run))
}

export const remedyInWorker = (
  look: Evaluation,
  row: ShelfRow,
  wish: SelectionCriteria,
): Promise<Remedy | null> => ask('beside', (core) => core.remedy(look, row, wish))

export const termInWorker = (problem: TermProblem): Promise<TermPlan> => askLong((core) => core.term(problem))
