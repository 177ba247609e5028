/** Adults and children of a setting. */
import { randomUUID } from 'node:crypto'
import type { StoredAdult, StoredChild, StoredProfile } from '@lea/core/setting'
import { tellTablesOf } from '../live/table-feed'
import type { Db } from './pool'

export interface Account {
  id: string
  settingId: string
  name: string
  role: 'owner' | 'leader' | 'helper'
  hash: string
}

export async function accountAtDoor(db: Db, signIn: string): Promise<Account | null> {
  const { rows } = await db.query<Account>(
    `select id, setting_id as "settingId", name, role, password_hash as hash
     from adults where sign_in = $1 and password_hash is not null`,
    [signIn],
  )
  return rows[0] ?? null
}

export interface StoredAdultRow extends StoredAdult {
  signIn: string | null
}

export async function listAdults(db: Db): Promise<StoredAdultRow[]> {
  const { rows } = await db.query<StoredAdultRow>(
    'select id, name, leads, role, sign_in as "signIn" from adults order by name, id',
  )
  return rows.map((r) => ({ ...r, role: r.role ?? undefined }))
}

export interface NewAdult {
  id: string
  name: string
  leads: string[]
  role?: string | undefined
  signIn?: string | undefined
  hash?: string | undefined
}

export async function saveAdult(db: Db, setting: string, a: NewAdult): Promise<void> {
  await db.query(
    `insert into adults (id, setting_id, name, leads, role, sign_in, password_hash)
     values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do update set
       name = excluded.name, leads = excluded.leads, role = coalesce(excluded.role, adults.role),
       sign_in = coalesce(excluded.sign_in, adults.sign_in),
       password_hash = coalesce(excluded.password_hash, adults.password_hash)`,
    [a.id, setting, a.name, JSON.stringify(a.leads), a.role ?? null, a.signIn ?? null, a.hash ?? null],
  )
}

export async function removeAdult(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query("delete from adults where id = $1 and coalesce(role, '') <> 'owner'", [
    id,
  ])
  return rowCount === 1
}

interface ChildRow {
  id: string
  nickname: string
  birth: string
  profile: Omit<StoredProfile, 'nickname'>
}

const toChild = ({ id, nickname, birth, profile }: ChildRow): StoredChild => ({
  ...profile,
  id,
  nickname,
  birth,
})

export async function listChildren(db: Db): Promise<StoredChild[]> {
  const { rows } = await db.query<ChildRow>(
    'select id, nickname, birth, profile from children order by lower(nickname), id',
  )
  return rows.map(toChild)
}

export async function getChild(db: Db, id: string): Promise<StoredChild | null> {
  const { rows } = await db.query<ChildRow>(
    'select id, nickname, birth, profile from children where id = $1',
    [id],
  )
  return rows[0] ? toChild(rows[0]) : null
}

export async function saveChild(db: Db, setting: string, child: StoredChild): Promise<void> {
  const { id, nickname, birth, ...profile } = child
  await db.query(
    `insert into children (id, setting_id, nickname, birth, profile) values ($1, $2, $3, $4, $5)
     on conflict (id) do update set
       nickname = excluded.nickname, birth = excluded.birth, profile = excluded.profile`,
    [id, setting, nickname, birth, JSON.stringify(profile)],
  )
  await tellTablesOf(db, id)
}

/** Erases a child: the roster row, its place in sessions to come, what was noted of it, and its id in plans and taps. */
export async function eraseChild(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from children where id = $1', [id])
  await db.query(
    `update sessions set
       inputs = jsonb_set(jsonb_set(inputs, '{children}', (inputs -> 'children') - $1::text),
         '{seats}', (inputs -> 'seats') - $1::text)
     where inputs -> 'children' ? $1::text`,
    [id],
  )
  // In plans, decisions and taps that are kept it becomes somebody unknown, by an id that nobody writes down.
  await db.query('select erase_child_from_log($1, $2)', [id, randomUUID()])
  return rowCount === 1
}

export async function writeAudit(
  db: Db,
  setting: string,
  adult: string | null,
  did: string,
  subject: string,
): Promise<void> {
  await db.query('insert into audit (setting_id, adult_id, did, subject) values ($1, $2, $3, $4)', [
    setting,
    adult,
    did,
    subject,
  ])
}
