/** The calculation of a recipe: plain text, schema.org JSON-LD or a saved page into Lea's, with what could not be read. Contract: calc.md `recipe`. */
import { AmountError, SYSTEMS } from '@lea/core/amount'
import { type RecipeRead, readJsonLd } from '@lea/core/recipe'
import { readRecipeFile } from '@lea/core/schema'
import * as yup from 'yup'
import type { Calculation } from './fields'

const GIVEN = ['text', 'jsonld', 'html'] as const
const schema = yup
  .object({
    text: yup.string().typeError('text must be text'),
    jsonld: yup.mixed(),
    html: yup.string().typeError('html must be text'),
    system: yup.string().oneOf(SYSTEMS, `system must be one of: ${SYSTEMS.join(', ')}`),
    answers: yup
      .object()
      .default(() => ({}))
      .typeError('answers must be an object of keys and answers')
      .test('texts', 'answers must be texts', (v) => Object.values(v).every((a) => typeof a === 'string')),
  })
  .test(
    'one',
    'give text, jsonld or html, one of them',
    (v) => GIVEN.filter((g) => v[g] !== undefined).length === 1,
  )

export const recipe: Calculation = (value) => {
  const given = schema.validateSync(value)
  const { system } = given
  const answers: Record<string, string> = Object.fromEntries(
    Object.entries(given.answers).flatMap(([k, a]) => (typeof a === 'string' ? [[k, a]] : [])),
  )
  const name = GIVEN.find((g) => given[g] !== undefined) ?? 'text'
  const read = (): RecipeRead => {
    const words = given.text ?? given.html
    if (words !== undefined) return readRecipeFile(words, system, undefined, answers)
    return readJsonLd(given.jsonld, system, undefined, answers)
  }
  try {
    const { recipe: found, unread, notes, questions } = read()
    return { ...found, unread, notes, questions }
  } catch (fault) {
    if (fault instanceof AmountError) throw new yup.ValidationError(`${name}: ${fault.message}`, null, name)
    throw fault
  }
}
