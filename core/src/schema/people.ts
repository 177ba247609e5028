/** Children, guests and adults as they cross a boundary. */
import * as yup from 'yup'
import { TECHNIQUES } from '../craft/techniques'
import { allergenWords } from './allergen'
import { dietSchema } from './diet'
import { NEEDS } from '../plan/model/request'
import { languageCode } from './own-word'
import { birthMonth, line, listOf, oneOf, required, versionSchema, whole } from './text'
import { LEVELS } from '../food/concern'

export const concernSchema = yup.object({
  allergen: allergenWords('Allergy'),
  level: oneOf(LEVELS, 'Level'),
})
const profile = {
  concerns: listOf(concernSchema, 'Allergies', 20),
  diets: listOf(dietSchema, 'Diets', 20),
  languages: listOf(languageCode, 'Languages', 8),
  hand: yup.string<'left' | 'right'>().oneOf(['left', 'right'], 'Hand must be left or right').optional(),
  needs: listOf(oneOf(NEEDS, 'Need'), 'Needs', NEEDS.length),
  carePlan: line('Care plan', 600).optional(),
  limits: listOf(
    oneOf(
      TECHNIQUES.map((t) => t.id),
      'Technique',
    ),
    'Techniques left out',
    TECHNIQUES.length,
  )
    .optional()
    .default(undefined),
  /** The child's place mat: weave and colour. The server gives the first one that is free. */
  mat: yup.number().integer('Mat must be a whole number').min(0).max(999).optional(),
}

/** A child of the roster. `today` (YYYY-MM-DD) is given by the boundary, for core has no clock. */
export const childSchema = (today: string) =>
  yup
    .object({
      nickname: required('Nickname', 40),
      birth: birthMonth('Birth month')
        .test('past', 'Birth month lies in the future', (v) => v <= today.slice(0, 7))
        .test(
          'child',
          'Birth month lies more than 18 years back',
          (v) => Number(today.slice(0, 4)) - Number(v.slice(0, 4)) <= 18,
        ),
      ...profile,
    })
    .noUnknown()

/** A card that is changed: by somebody who saw this version of it. */
export const childChangeSchema = (today: string) => childSchema(today).shape({ version: versionSchema })

/** Someone who comes for one session: an age in months instead of a birth month. */
export const guestSchema = yup
  .object({
    id: yup
      .string()
      .matches(/^guest-[a-z0-9-]{1,40}$/, 'Guest id is not an id')
      .required('Guest id is missing'),
    nickname: required('Nickname', 40),
    months: whole('Age in months', 0, 216),
    ...profile,
  })
  .noUnknown()
export type ChildInput = yup.InferType<ReturnType<typeof childSchema>>
export type GuestInput = yup.InferType<typeof guestSchema>
