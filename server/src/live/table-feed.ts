/**
 * What happens at a table, told to every device that shows it: fed by PostgreSQL's LISTEN/NOTIFY, so that a tap taken by one server is
 * heard at all of them. A message says only that there is something new and for which session; a device then asks for it, as one
 * that may see it. One connection of its own for each server, opened when the first device comes, and again when it is lost.
 */
import pg from 'pg'
import type { Db } from '../db/pool'

const CHANNEL = 'lea_table'
/** New events; another plan or other people; what the setting keeps: a recipe, a rule, a card, a packet, the cupboard. */
export type News = 'events' | 'session' | 'setting'
/** @param from the page whose own doing it is; empty where it is nobody's */
export type Listener = (news: News, from: string) => void

/** Channel and words of a message. */
export const newsOf = (session: string, news: News, from = ''): [string, string] => [
  CHANNEL,
  `${news} ${session} ${from}`,
]
/** Said when the transaction commits, and not at all when it does not. */
export const tell = async (db: Db, session: string, news: News, from = ''): Promise<void> => {
  await db.query('select pg_notify($1, $2)', newsOf(session, news, from))
}
/** Told to every page that plans in this setting, or is at a table of it. */
export const tellSetting = async (db: Pick<Db, 'query'>, setting: string, from: string): Promise<void> => {
  await db.query('select pg_notify($1, $2)', newsOf(setting, 'setting', from))
}
/** All sign-ins of this person have ended, and so have their streams. */
export const tellPerson = async (db: Db, person: string): Promise<void> => {
  await db.query('select pg_notify($1, $2)', [CHANNEL, `person ${person}`])
}

/** Told to every table that is at work with this child: its card has changed. */
export const tellTablesOf = async (db: Db, child: string): Promise<void> => {
  const { rows } = await db.query<{ id: string }>(
    `select s.id from sessions s join attendance a on a.session_id = s.id
     where a.child_id = $1 and s.state = 'cooking'`,
    [child],
  )
  for (const { id } of rows) await tell(db, id, 'session')
}

export interface TableFeed {
  /** @param about id of a session, or of a setting @returns how to leave */
  listen(about: string, ear: Listener): () => void
  /** Called when the sign-ins of a person may have ended. @returns how to leave */
  watch(person: string, look: () => void): () => void
  close(): Promise<void>
}

const AGAIN_MS = 500

/**
 * @param url of the application's database
 * @param told where it is said that the line was lost, or could not be opened
 */
export function openTableFeed(url: string, told: (fault: unknown) => void): TableFeed {
  const ears = new Map<string, Set<Listener>>()
  const watched = new Map<string, Set<() => void>>()
  let client: pg.Client | null = null
  let closed = false
  let again: ReturnType<typeof setTimeout> | undefined

  const all = (news: News): void => {
    for (const set of ears.values()) for (const ear of set) ear(news, '')
  }
  function lost(fault?: unknown): void {
    if (fault) told(fault)
    client?.removeAllListeners()
    // A line that is cut may complain more than once.
    client?.on('error', told)
    client = null
    clearTimeout(again)
    if (!closed && ears.size + watched.size > 0) again = setTimeout(() => void connect(), AGAIN_MS)
  }
  async function connect(): Promise<void> {
    if (client || closed) return
    const next = new pg.Client({ connectionString: url, keepAlive: true })
    client = next
    next.on('error', lost)
    next.on('end', () => lost())
    next.on('notification', ({ payload = '' }) => {
      const [news, about = '', from = ''] = payload.split(' ')
      if (news === 'person') for (const look of [...(watched.get(about) ?? [])]) look()
      else
        for (const ear of ears.get(about) ?? [])
          ear(news === 'session' || news === 'setting' ? news : 'events', from)
    })
    try {
      await next.connect()
      await next.query(`listen ${CHANNEL}`)
      // Whatever was said while nobody listened is asked for now.
      all('session')
      for (const set of watched.values()) for (const look of [...set]) look()
    } catch (fault) {
      lost(fault)
    }
  }

  function join<T>(all: Map<string, Set<T>>, key: string, one: T): () => void {
    const set = all.get(key) ?? new Set()
    set.add(one)
    all.set(key, set)
    void connect()
    return () => {
      set.delete(one)
      if (set.size === 0 && all.get(key) === set) all.delete(key)
    }
  }

  return {
    listen: (about, ear) => join(ears, about, ear),
    watch: (person, look) => join(watched, person, look),
    async close() {
      closed = true
      clearTimeout(again)
      const last = client
      client = null
      last?.removeAllListeners()
      last?.on('error', () => undefined)
      await last?.end().catch(() => undefined)
    },
  }
}
