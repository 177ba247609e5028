/**
 * What does not grow in proportion. The amount is still written exactly; what to do about it is said, never done in silence.
 * Source: measures.md D1, common practice, from memory.
 */
import type Fraction from 'fraction.js'
import type { Role } from './recipe'

interface ScalingRow {
  roles: readonly Role[]
  /** Said above this factor, or below its inverse where `both`. */
  from: string
  both?: true
  says: string
}

const ROWS: readonly ScalingRow[] = [
  {
    roles: ['raising'],
    from: '4',
    both: true,
    says: 'raising agents keep their proportion up to four times; beyond that bake a trial batch first',
  },
  {
    roles: ['salt'],
    from: '4',
    says: 'from four times on take less salt than in proportion, and taste what is cooked',
  },
  {
    roles: ['seasoning'],
    from: '2',
    says: 'spice, garlic and herbs keep their proportion up to twice; at four times about three quarters of it, then taste',
  },
  {
    roles: ['frying'],
    from: '1',
    both: true,
    says: 'fat for frying or greasing goes by the area of the pan and the number of panfuls, not by the amount of food',
  },
]

/** What to mind for a role at a factor, or null. @param factor of what goes into one bowl, against the recipe as written */
export function scalingNote(role: Role, factor: Fraction): string | null {
  const row = ROWS.find((r) => r.roles.includes(role))
  if (!row) return null
  const over = factor.compare(row.from) > 0
  const under = row.both === true && factor.mul(row.from).compare(1) < 0
  return over || under ? row.says : null
}

/** Times stay as written; what a factor does to them. */
export const TIMES_NOTE =
  'times stay as written: the same pieces take the same time, a full oven 10 to 20 % longer, a deeper cake longer by its depth'
