/** How a recipe fits, in one line; and how to find it by the kinds of answers that people give. */
import { lowered } from '../amount/letter-case'
import type { Remedy } from './remedy'
import type { Evaluation } from './selection-criteria'

export interface FitWords {
  tone: 'fits' | 'danger' | 'against'
  says: string
  /** What would let it fit after all. */
  help: string
}

/** @param remedy undefined while it is looked for */
export function fitWords(look: Evaluation, remedy: Remedy | null | undefined): FitWords {
  const [first, ...more] = look.against
  if (!first) {
    const swaps = look.swaps.length
    return {
      tone: 'fits',
      says:
        swaps === 0
          ? 'Fits this group'
          : `Fits with ${swaps === 1 ? 'one swap' : `${swaps} swaps`} for everyone`,
      help: '',
    }
  }
  const says = `${first.says}${more.length > 0 ? ` And ${more.length} more.` : ''}`
  const tone = first.kind === 'danger' ? 'danger' : 'against'
  if (remedy === undefined) return { tone, says, help: '' }
  if (remedy === null) return { tone, says, help: 'No small change was found that helps.' }
  const what = lowered(remedy.says)
  return { tone, says, help: remedy.clears ? `Would fit: ${what}.` : `Helps, but a problem stays: ${what}.` }
}

/** How much of the time there is a recipe takes: for a bar, and in words. Null where nobody says how long there is, or there is no plan. */
export function timeShare({ figures }: Evaluation): { percent: number; says: string } | null {
  const { minutes, spare } = figures
  if (minutes === 0 || spare === null) return null
  const there = minutes + spare
  if (there <= 0) return { percent: 100, says: `${minutes} min` }
  return {
    percent: Math.min(100, Math.round((100 * minutes) / there)),
    says: `${minutes} of ${there} min`,
  }
}

/** "about 34p": a figure that is shown apart from the words. */
export const lookMinutes = (look: Evaluation): string =>
  look.figures.minutes === 0 ? '' : `${look.figures.minutes} minutes`
