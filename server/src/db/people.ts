/** Adults and children of a setting. */
import { randomUUID } from 'node:crypto'
import type { ChildProgress, StoredAdult, StoredChild, StoredProfile } from '@lea/core/setting'
import { tellTablesOf } from '../live/table-feed'
import type { Db } from './pool'

export interface Account {
  id: string
  settingId: string
  name: string
  role: 'owner' | 'leader' | 'helper'
  hash: string
  round: number
}

export async function accountAtDoor(db: Db, signIn: string): Promise<Account | null> {
  const { rows } = await db.query<Account>(
    `select id, setting_id as "settingId", name, role, password_hash as hash, sign_in_round as round
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

/** @throws 23505 (unique) where the sign-in name is taken, of whatever setting */
export async function addAdult(db: Db, setting: string, a: NewAdult): Promise<void> {
  await db.query(
    `insert into adults (id, setting_id, name, leads, role, sign_in, password_hash) values ($1, $2, $3, $4, $5, $6, $7)`,
    [a.id, setting, a.name, JSON.stringify(a.leads), a.role ?? null, a.signIn ?? null, a.hash ?? null],
  )
}

/** Changes what is given, and leaves the rest. */
export async function changeAdult(db: Db, id: string, a: Partial<Omit<NewAdult, 'id'>>): Promise<void> {
  await db.query(
    `update adults set name = coalesce($2, name), leads = coalesce($3, leads), role = coalesce($4, role),
       sign_in = coalesce($5, sign_in), password_hash = coalesce($6, password_hash)
     where id = $1`,
    [
      id,
      a.name ?? null,
      a.leads ? JSON.stringify(a.leads) : null,
      a.role ?? null,
      a.signIn ?? null,
      a.hash ?? null,
    ],
  )
}

export interface KnownAdult {
  id: string
  role: string | null
  signIn: string | null
  hash: string | null
  /** Owners who can sign in, this one among them. */
  owners: number
}
/** One adult, and how many owners there are, under a lock: two owners who remove each other leave one. */
export async function lockAdult(db: Db, id: string): Promise<KnownAdult | null> {
  const { rows: owners } = await db.query<{ id: string }>(
    "select id from adults where role = 'owner' and sign_in is not null order by id for update",
  )
  const { rows } = await db.query<Omit<KnownAdult, 'owners'>>(
    'select id, role, sign_in as "signIn", password_hash as hash from adults where id = $1 for update',
    [id],
  )
  return rows[0] ? { ...rows[0], owners: owners.length } : null
}

export async function removeAdult(db: Db, id: string): Promise<void> {
  await db.query('delete from adults where id = $1', [id])
}

interface ChildRow {
  id: string
  nickname: string
  birth: string
  profile: Omit<StoredProfile, 'nickname'>
  version: number
  progress: ChildProgress | null
}

const toChild = ({ id, nickname, birth, profile, version, progress }: ChildRow): StoredChild => ({
  ...profile,
  id,
  nickname,
  birth,
  version,
  ...(progress && { progress }),
})
const CHILD = `select c.id, c.nickname, c.birth, c.profile, c.version, p.body as progress
  from children c left join child_progress p on p.child_id = c.id`

export async function listChildren(db: Db): Promise<StoredChild[]> {
  const { rows } = await db.query<ChildRow>(`${CHILD} order by lower(c.nickname), c.id`)
  return rows.map(toChild)
}

/** @param lock no other change of this card comes between now and the end of the transaction */
export async function getChild(db: Db, id: string, lock = false): Promise<StoredChild | null> {
  const { rows } = await db.query<ChildRow>(`${CHILD} where c.id = $1 ${lock ? 'for update of c' : ''}`, [id])
  return rows[0] ? toChild(rows[0]) : null
}

/** No card of these changes until the transaction ends. */
export async function lockCards(db: Db, ids: readonly string[]): Promise<void> {
  await db.query('select id from children where id = any($1::uuid[]) order by id for share', [ids])
}

/** What is typed: what sessions have shown is kept beside, and is nobody's to write. */
type TypedChild = Omit<StoredChild, 'version' | 'progress'>
const typed = (child: TypedChild): [string, string, string] => {
  const { id: _, nickname, birth, version: __, progress: ___, ...profile } = child as StoredChild
  return [nickname, birth, JSON.stringify(profile)]
}

/** A child that is new. */
export async function addChild(db: Db, setting: string, child: TypedChild): Promise<void> {
  await db.query(
    'insert into children (setting_id, id, nickname, birth, profile) values ($1, $2, $3, $4, $5)',
    [setting, child.id, ...typed(child)],
  )
}

/** Changes a card, whose row the caller holds; every table at work with the child hears of it. @returns its new version */
export async function changeChild(db: Db, child: TypedChild): Promise<number> {
  const { rows } = await db.query<{ version: number }>(
    `update children set nickname = $2, birth = $3, profile = $4, version = version + 1
     where id = $1 returning version`,
    [child.id, ...typed(child)],
  )
  await tellTablesOf(db, child.id)
  return rows[0]?.version ?? 0
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
