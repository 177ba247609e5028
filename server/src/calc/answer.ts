/** One line of a calculation: the result, or the error in its place. */
import { AmountError } from '@lea/core/amount'
import { FactError } from '@lea/core/learn'
import { PlanError } from '@lea/core/plan'
import { ValidationError } from 'yup'
import type { Calculation } from './fields'

export function answer(calculation: Calculation, line: string): { text: string; failed: boolean } {
  try {
    return { text: JSON.stringify(calculation(JSON.parse(line))), failed: false }
  } catch (fault) {
    return { text: JSON.stringify({ error: inWords(fault) }), failed: true }
  }
}

function inWords(fault: unknown): { field: string; says: string } {
  if (fault instanceof SyntaxError) return { field: '', says: 'this line is not valid JSON' }
  if (fault instanceof ValidationError) return { field: fault.path ?? '', says: fault.message }
  if (fault instanceof PlanError || fault instanceof FactError)
    return { field: fault.field, says: fault.message }
  if (fault instanceof RangeError) {
    const field = /^(?:measures|ingredients|maxScoops|pieces)\b/.exec(fault.message)?.[0] ?? ''
    return { field, says: fault.message }
  }
  if (fault instanceof AmountError) return { field: '', says: fault.message }
  return { field: '', says: fault instanceof Error ? fault.message : String(fault) }
}
