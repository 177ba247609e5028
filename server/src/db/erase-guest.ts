import { randomUUID } from 'node:crypto'
import { Fault, notFound } from '../fault'
import type { Db } from './pool'
import { getSession } from './sessions'

/**
 * Erases one guest of a session that is over: who it was, what was noted of it, and its id in plan and taps.
 * @throws Fault 404 where there is no such session or guest; 409 while the table is at work
 */
export async function eraseGuest(db: Db, session: string, guest: string): Promise<void> {
  const known = await getSession(db, session, true)
  if (!known?.guests.some((g) => g.id === guest)) throw notFound('this guest')
  if (known.state === 'cooking') throw new Fault(409, 'the table is at work: erase the guest when it is over')
  await db.query('select erase_guest($1, $2, $3)', [session, guest, `guest-${randomUUID()}`])
}
