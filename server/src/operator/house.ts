/** What whoever runs a Lea does to its settings: as the owner of the tables, who is held by the same policies, one setting at a time. */
import pg from 'pg'
import { randomUUID } from 'node:crypto'
import { NATIONS } from '@lea/core/amount'
import type { HouseRules } from '@lea/core/plan'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { writeAudit } from '../db/audit'
import { makeLink } from './links'
import type { Db } from '../db/pool'
import { createSetting, saveRecipe } from '../db/settings'
import { startingKit, startingRules } from '../starting'

/** How much one setting may hold of each: its table, and what it is called. */
export const QUOTAS = [
  'adults',
  'children',
  'recipes',
  'sessions',
  'packets',
  'foods',
  'cupboard',
  'words',
  'letters',
] as const
export type Quota = (typeof QUOTAS)[number]

export interface Known {
  id: string
  name: string
  closedAt: string | null
  people: number
  children: number
  sessions: number
  /** The last time that anybody did something, by the log; null where nobody has. */
  lastUsed: Date | null
  quota: Partial<Record<Quota, number>>
}

export class Refusal extends Error {}

export interface House {
  list(): Promise<Known[]>
  /** @param name of a setting, or the beginning of its id @throws Refusal where it is none, or more than one */
  find(name: string): Promise<Known>
  /** Work in one setting, as one transaction. */
  within<T>(setting: string, work: (db: Db) => Promise<T>): Promise<T>
  /** @returns the word of the link for its first owner */
  make(
    name: string,
    kind: HouseRules['kind'],
    nation: string,
    recipes: boolean,
  ): Promise<{ id: string; word: string }>
  /** Nobody is signed in any more, and nobody can sign in, until it is opened again. */
  setClosed(setting: string, closed: boolean): Promise<void>
  erase(setting: string): Promise<void>
  /** A link for the first owner, or for a new password. @throws Refusal where nobody signs in by that name */
  link(of: { setting: string } | { signIn: string }): Promise<string>
  close(): Promise<void>
}

/** @param url the database, as the owner of the tables */
export async function openHouse(url: string): Promise<House> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const db = client as unknown as Db
  const within = async <T>(setting: string, work: (db: Db) => Promise<T>): Promise<T> => {
    await client.query('begin')
    try {
      await client.query("select set_config('app.setting_id', $1, true)", [setting])
      const made = await work(db)
      await client.query('commit')
      return made
    } catch (fault) {
      await client.query('rollback')
      throw fault
    }
  }
  const list = async (): Promise<Known[]> => {
    const { rows } = await client.query<{ id: string; closedAt: string | null }>(
      'select setting_id as id, closed_at as "closedAt" from door order by setting_id',
    )
    const all: Known[] = []
    for (const { id, closedAt } of rows) {
      const one = await within(id, async () =>
        client.query<Omit<Known, 'id' | 'closedAt'>>(
          `select name, quota,
             (select count(*)::int from adults where sign_in is not null) as people,
             (select count(*)::int from children) as children,
             (select count(*)::int from sessions) as sessions,
             (select max(at) from audit where adult_id is not null) as "lastUsed"
           from settings`,
        ),
      )
      if (one.rows[0]) all.push({ id, closedAt, ...one.rows[0] })
    }
    return all.sort((a, b) => a.name.localeCompare(b.name))
  }
  return {
    list,
    within,
    async find(name) {
      const all = await list()
      const byName = all.filter((s) => s.name === name)
      const found = byName.length > 0 ? byName : all.filter((s) => name.length >= 4 && s.id.startsWith(name))
      const [first, more] = found
      if (!first) throw new Refusal(`there is no setting '${name}'`)
      if (more) throw new Refusal(`there are ${found.length} settings '${name}': use the id`)
      return first
    },
    async make(name, kind, nation, recipes) {
      const id = randomUUID()
      const word = await within(id, async () => {
        const known = NATIONS.find((n) => n.id === nation)
        if (!known) throw new Refusal(`a nation is ${NATIONS.map((n) => n.id).join(', ')}, not '${nation}'`)
        const rules = startingRules(kind, known.id)
        await createSetting(db, id, name, rules, startingKit(kind))
        if (recipes) for (const recipe of SHIPPED_RECIPES) await saveRecipe(db, id, randomUUID(), recipe)
        await writeAudit(db, id, null, 'setting', 'the operator made the setting', id)
        return makeLink(db, { setting: id, adult: null })
      })
      return { id, word }
    },
    async setClosed(setting, closed) {
      await within(setting, async () => {
        await client.query(`update door set closed_at = ${closed ? 'now()' : 'null'} where setting_id = $1`, [
          setting,
        ])
        if (closed) {
          await client.query('update adults set sign_in_round = sign_in_round + 1')
          await client.query(
            `delete from sign_ins where sess -> 'person' ->> 'id' in (select id::text from adults)`,
          )
          await client.query('delete from second_screens')
        }
        const did = `the operator ${closed ? 'closed' : 'opened'} the setting`
        await writeAudit(db, setting, null, 'setting', did, setting)
      })
    },
    async erase(setting) {
      await within(setting, () => client.query('delete from settings where id = $1', [setting]))
    },
    async link(of) {
      if ('setting' in of)
        return within(of.setting, async () => {
          const { rowCount } = await client.query(
            "select from adults where role = 'owner' and sign_in is not null",
          )
          if (rowCount)
            throw new Refusal('this setting has an owner: ./lea password NAME --link is for a new password')
          return makeLink(db, { setting: of.setting, adult: null })
        })
      await client.query('begin')
      await client.query("select set_config('app.sign_in', $1, true)", [of.signIn])
      const { rows } = await client.query<{ id: string; setting: string }>(
        'select id, setting_id as setting from adults where sign_in = $1',
        [of.signIn],
      )
      await client.query('commit')
      const [adult] = rows
      if (!adult) throw new Refusal(`nobody signs in as '${of.signIn}'`)
      return within(adult.setting, async () => {
        await writeAudit(
          db,
          adult.setting,
          null,
          'sign-in',
          'the operator made a link for a new password',
          adult.id,
        )
        return makeLink(db, { setting: adult.setting, adult: adult.id })
      })
    },
    close: () => client.end(),
  }
}
