/** The calculation of a recipe: plain text or schema.org JSON-LD into Lea's, with what could not be read. Contract: calc.md `recipe`. */
import { AmountError, SYSTEMS } from '@lea/core/amount'
import { readJsonLd, readRecipe } from '@lea/core/recipe'
import * as yup from 'yup'
import type { Calculation } from './fields'

const schema = yup
  .object({
    text: yup.string().typeError('text must be text'),
    jsonld: yup.mixed(),
    system: yup.string().oneOf(SYSTEMS, `system must be one of: ${SYSTEMS.join(', ')}`),
  })
  .test('one', 'give text or jsonld, one of them', (v) => (v.text === undefined) !== (v.jsonld === undefined))

export const recipe: Calculation = (value) => {
  const { text, system, ...rest } = schema.validateSync(value)
  const jsonld: unknown = rest.jsonld
  const name = text === undefined ? 'jsonld' : 'text'
  try {
    const read = text === undefined ? readJsonLd(jsonld, system) : readRecipe(text, system)
    return { ...read.recipe, unread: read.unread, notes: read.notes }
  } catch (fault) {
    if (fault instanceof AmountError) throw new yup.ValidationError(`${name}: ${fault.message}`, null, name)
    throw fault
  }
}
