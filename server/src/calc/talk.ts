/** The calculation of talk: one fact, what follows from it, and what to say. Contract: calc.md `fact`. */
import { FACT_KINDS, type PlainFact, answerFact } from '@lea/core/learn'
import * as yup from 'yup'
import type { Calculation } from './fields'

const LOCALES = ['en-GB', 'en-US'] as const
const factSchema = yup.object({
  kind: yup
    .string()
    .oneOf(FACT_KINDS, `kind must be one of: ${FACT_KINDS.join(', ')}`)
    .required('kind is missing'),
  months: yup
    .number()
    .typeError('months must be a number')
    .integer('months must be whole')
    .min(0, 'months must be 0 or more')
    .max(1500, 'months is too many'),
  locale: yup.string().oneOf(LOCALES, `locale must be one of: ${LOCALES.join(', ')}`),
})

/** The fields of a kind are the fact's own: core names the one at fault. */
export const fact: Calculation = (value) => {
  const { months, locale } = factSchema.validateSync(value)
  return answerFact(value as PlainFact, months, locale)
}
