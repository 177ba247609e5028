/** An adult as it crosses a boundary. */
import * as yup from 'yup'
import { passwordSchema } from './sign-in'
import { listOf, oneOf, required } from './text'

const ROLES_OF_PEOPLE = ['owner', 'leader', 'helper'] as const

export type PersonRole = (typeof ROLES_OF_PEOPLE)[number]

/** An adult: name, role, what they lead, sign-in. */
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

/** What is changed of an adult: what is left out stays. */
export const adultChangeSchema = adultSchema.partial()
