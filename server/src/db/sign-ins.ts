/** Sign-ins: whose they are, which of them are open, and how they end. */
import type { SessionData } from 'express-session'
import type { Pool } from 'pg'
import type { PersonRole } from '@lea/core/schema'
import { tellPerson } from '../live/table-feed'
import type { Db } from './pool'

export interface Person {
  id: string
  settingId: string
  name: string
  role: PersonRole
  /** Goes up when all sign-ins of this person end. */
  round: number
}

/** However much a sign-in is used, it ends: a working day, and the evening. */
export const LIFE_MS = 16 * 3600_000

/** What a sign-in keeps, and who that is now (null where they are gone, or may not sign in any more); null where there is none of this id. */
export async function readSignIn(
  pool: Pool,
  id: string,
): Promise<{ kept: Partial<SessionData>; person: Person | null } | null> {
  const { rows } = await pool.query<Omit<Person, 'id'> & { sess: Partial<SessionData>; id: string | null }>({
    name: 'who_is_signed_in',
    text: 'select sess, id, setting_id as "settingId", name, role, round from who_is_signed_in($1)',
    values: [id],
  })
  const [row] = rows
  if (!row) return null
  const { sess, ...person } = row
  return { kept: sess, person: person.id === null ? null : { ...person, id: person.id } }
}

/** The person as they are now; null where they are gone, or may not sign in any more. */
export async function personOfSignIn(pool: Pool, id: string): Promise<Person | null> {
  const { rows } = await pool.query<Person>(
    'select id, setting_id as "settingId", name, role, round from person_of_sign_in($1)',
    [id],
  )
  return rows[0] ?? null
}

/** Every sign-in of this person is over, and so is every stream. @returns the round that holds from now on */
export async function endSignIns(db: Db, person: string): Promise<number> {
  const { rows } = await db.query<{ round: number }>(
    'update adults set sign_in_round = sign_in_round + 1 where id = $1 returning sign_in_round as round',
    [person],
  )
  await db.query("delete from sign_ins where sess -> 'person' ->> 'id' = $1", [person])
  await tellPerson(db, person)
  return rows[0]?.round ?? 0
}

export interface OpenSignIn {
  sid: string
  /** ISO time. */
  since: string
  /** ISO time, to some minutes. */
  used: string
  /** The browser, as it names itself. */
  device: string
}

/** Open sign-ins of one person, the newest first; those of an earlier version count for nothing any more. @param idleMs after so long without use one ends by itself */
export async function listSignIns(pool: Pool, person: string, idleMs: number): Promise<OpenSignIn[]> {
  const { rows } = await pool.query<{ sid: string; since: string; expire: number; device: string | null }>(
    `select sid, sess -> 'person' ->> 'since' as since, extract(epoch from expire::timestamptz)::float as expire,
       sess -> 'person' ->> 'device' as device
     from sign_ins
     where sess -> 'person' ->> 'id' = $1 and sess -> 'person' ->> 'since' is not null and expire > now()
     order by 2 desc`,
    [person],
  )
  return rows.map(({ sid, since, expire, device }) => ({
    sid,
    since,
    used: new Date(expire * 1000 - idleMs).toISOString(),
    device: device ?? '',
  }))
}
