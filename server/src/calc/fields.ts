/** Fields that the calculations share. */
import { parseRatio } from '@lea/core/amount'
import * as yup from 'yup'

export type Calculation = (request: unknown) => unknown

/** An amount as the contract allows it: text in lowest terms, mixed, decimal, vulgar, or a JSON number. */
export const number = (field: string) =>
  yup
    .mixed<string | number>()
    .required(`${field} is missing`)
    .test('amount', '', (value: string | number | undefined, context) => {
      if (value === undefined) return true // whether it must be there, 'required' says
      try {
        parseRatio(value)
        return true
      } catch (fault) {
        return context.createError({
          message: `${field} ${fault instanceof Error ? fault.message : 'is not an amount'}`,
        })
      }
    })
export const count = (field: string) =>
  yup
    .number()
    .integer(`${field} must be whole`)
    .min(1, `${field} must be at least 1`)
    .required(`${field} is missing`)
