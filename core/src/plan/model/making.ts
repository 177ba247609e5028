/** How much is made, as every pass and screen knows it. */
import type { Tin } from '../../amount/packs'
import type { Ratio } from '../../amount/ratio'
import type { Make } from '../../recipe/make'

export interface BatchChoice {
  batches: Ratio
  makes: Ratio
  left: Ratio
  eggs: Ratio
  chosen: boolean
}

export interface Making {
  make: Make
  factor: Ratio
  /** Portions that it makes, and what is over for those who are here. */
  portions: Ratio
  left: Ratio
  /** Batch sizes in whole eggs, the least left over first. */
  batches: BatchChoice[]
  pieces: { what: string; n: number } | null
  oven: { trayloads: number; batches: number; lastBatchPieces: number; minutes: Ratio } | null
  tins: { tin?: Tin; name: string; fills: Ratio; near: boolean }[]
  cases: { name: string; n: number; tins: number; estimated: boolean }[]
  /** Why the chosen way is not possible; the amounts then go by the children. */
  refused: string | null
}
