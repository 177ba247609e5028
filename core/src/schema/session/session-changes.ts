/** Changes of a session as they cross a boundary. */
import * as yup from 'yup'
import type { SessionChange } from '../../setting/session-changes'
import { decisionSchema } from './decision'
import { guestSchema } from '../people'
import { type Parts, byKind, clockTime, id, isoDate, listOf, orNull, uuid } from '../text'

const here = yup.boolean().typeError('Here must be yes or no').required('Here is missing')
const seats = listOf(yup.string().defined().max(60), 'Seats', 40)
const parts: Parts<SessionChange, 'kind'> = {
  decide: yup.object({ was: orNull(decisionSchema), to: orNull(decisionSchema) }),
  date: yup.object({ was: isoDate('Day before'), to: isoDate('Day') }),
  start: yup.object({ was: clockTime('Start before'), to: clockTime('Start') }),
  until: yup.object({
    was: orNull(clockTime('Families came at')),
    to: orNull(clockTime('Families come at')),
  }),
  recipe: yup.object({ was: uuid('Recipe before'), to: uuid('Recipe') }),
  seats: yup.object({ was: seats, to: seats }),
  child: yup.object({ id: id('Child'), here }),
  adult: yup.object({ id: id('Adult'), here }),
  guest: yup.object({ was: orNull(guestSchema), to: orNull(guestSchema) }),
}

/** What was changed of a session, in order. */
export const sessionChangesSchema = yup
  .object({ changes: listOf(byKind<SessionChange, 'kind'>('kind', parts, 'Change'), 'Changes', 500, 1) })
  .noUnknown()
