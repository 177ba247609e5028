/** Coming in: the first visit, and every one after. */
import * as yup from 'yup'
import { NATION_IDS } from '../amount/nation/nations'
import { passwordFault } from './password'
import { oneOf, required } from './text'

export function passwordSchema() {
  return yup
    .string()
    .typeError('Password must be text')
    .min(10, 'Password must have at least 10 characters')
    .max(200, 'Password may have at most 200 characters')
    .test('guessable', '', (value, context) => {
      const says = value ? passwordFault(value) : null
      return says ? context.createError({ message: says }) : true
    })
}

/** Another password for oneself: who knows the old one may set it. */
export const ownPasswordSchema = yup
  .object({
    old: yup
      .string()
      .typeError('Old password must be text')
      .max(200, 'Old password is not right')
      .required('Old password is missing'),
    password: passwordSchema().required('New password is missing'),
  })
  .noUnknown()

/** A sign-in name and a password. */
export const signInSchema = yup
  .object({ signIn: required('Sign-in name', 40), password: required('Password', 200) })
  .noUnknown()

/** As somebody will sign in. */
const signInName = yup
  .string()
  .matches(/^[a-z0-9._-]{3,40}$/, 'Sign-in name: 3 to 40 of a-z, 0-9, dot, dash')
  .required('Sign-in name is missing')

/** The first visit: a setting and its owner. */
export const firstVisitSchema = yup
  .object({
    setting: required('Name of the setting', 60),
    kind: oneOf(['nursery', 'library', 'home'] as const, 'Kind'),
    /** One of the two is said. */
    country: oneOf(['uk', 'us'] as const, 'Country')
      .optional()
      .default(undefined),
    nation: oneOf(NATION_IDS, 'Nation').optional().default(undefined),
    owner: required('Your name', 60),
    signIn: signInName,
    password: passwordSchema().required('Password is missing'),
    recipes: yup.boolean().required('Say whether to start with recipes'),
  })
  .noUnknown()
  .test('country', 'Country is missing', ({ country, nation }, at) =>
    country === undefined && nation === undefined ? at.createError({ path: 'country' }) : true,
  )
export type FirstVisitInput = yup.InferType<typeof firstVisitSchema>

/** The word of a one-time link. */
const word = required('The word of the link', 64)
/** What a link is for is asked first. */
export const linkSchema = yup.object({ word }).noUnknown()
/** The first owner of a setting that somebody else has made. */
export const firstOwnerSchema = yup
  .object({
    word,
    owner: required('Your name', 60),
    signIn: signInName,
    password: passwordSchema().required('Password is missing'),
  })
  .noUnknown()
/** A new password by a link. */
export const linkPasswordSchema = yup
  .object({ word, password: passwordSchema().required('Password is missing') })
  .noUnknown()
