/** Children, guests and adults as they cross a boundary. */
import * as yup from 'yup'
import { TECHNIQUES } from '../craft/techniques'
import { LEVELS } from '../food/concerns'
import { allergenWords } from './allergen'
import { dietSchema } from './diet'
import { NEEDS } from '../plan/model/request'
import { languageCode } from './own-word'
import { birthMonth, line, listOf, oneOf, required, whole } from './text'

export const concernSchema = yup.object({
  allergen: allergenWords('Allergy'),
  level: oneOf(LEVELS, 'Level'),
})

export const ROLES_OF_PEOPLE = ['owner', 'leader', 'helper'] as const
export type PersonRole = (typeof ROLES_OF_PEOPLE)[number]

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

export const adultSchema = yup
  .object({
    name: required('Name', 60),
    leads: listOf(oneOf(['knives', 'heat'] as const, 'Leads'), 'Leads', 2),
    role: oneOf(ROLES_OF_PEOPLE, 'Role').optional(),
    signIn: yup
      .string()
      .matches(/^[a-z0-9._-]{3,40}$/, 'Sign-in name: 3 to 40 of a-z, 0-9, dot, dash')
      .optional(),
    password: passwordSchema().optional(),
  })
  .noUnknown()

export function passwordSchema() {
  return yup
    .string()
    .typeError('Password must be text')
    .min(10, 'Password must have at least 10 characters')
    .max(200, 'Password may have at most 200 characters')
}

export type ChildInput = yup.InferType<ReturnType<typeof childSchema>>
export type GuestInput = yup.InferType<typeof guestSchema>
export type AdultInput = yup.InferType<typeof adultSchema>

export const signInSchema = yup
  .object({ signIn: required('Sign-in name', 40), password: required('Password', 200) })
  .noUnknown()

export const firstVisitSchema = yup
  .object({
    setting: required('Name of the setting', 60),
    kind: oneOf(['nursery', 'library', 'home'] as const, 'Kind'),
    country: oneOf(['uk', 'us'] as const, 'Country'),
    owner: required('Your name', 60),
    signIn: yup
      .string()
      .matches(/^[a-z0-9._-]{3,40}$/, 'Sign-in name: 3 to 40 of a-z, 0-9, dot, dash')
      .required('Sign-in name is missing'),
    password: passwordSchema().required('Password is missing'),
    recipes: yup.boolean().required('Say whether to start with recipes'),
  })
  .noUnknown()
export type FirstVisitInput = yup.InferType<typeof firstVisitSchema>
