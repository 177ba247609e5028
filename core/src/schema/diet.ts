/** Diets as they cross a boundary: Lea's own words, or one that a setting made. */
import * as yup from 'yup'
import { DIETS, type AnyDiet, type OwnDietId } from '../food/diets'
import { listOf, required } from './text'

const OWN = /^own:[a-z0-9-]{1,40}$/

export const dietSchema: yup.StringSchema<AnyDiet> = yup
  .string<AnyDiet>()
  .required('Diet is missing')
  .test(
    'diet',
    `Diet must be one of: ${DIETS.join(', ')}, or one of the setting's own`,
    (v) => DIETS.some((d) => d === v) || OWN.test(v),
  )

/** A diet of the setting’s own: what it avoids. */
export const ownDietSchema = yup
  .object({
    id: yup.string<OwnDietId>().required('Diet id is missing').matches(OWN, 'Diet id must begin with own:'),
    name: required('Name of the diet', 40),
    avoid: listOf(required('What it avoids', 60), 'What it avoids', 30, 1),
  })
  .noUnknown()
