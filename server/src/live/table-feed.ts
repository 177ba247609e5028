/**
 * What happens at a table, told to every device that shows it: fed by PostgreSQL's LISTEN/NOTIFY, so that a tap taken by one server is
 * heard at all of them. A message says only that there is something new and for which session; a device then asks for it, as one
 * that may see it. One connection of its own for each server, opened when the first device comes, and again when it is lost.
 */
import pg from 'pg'
import type { Db } from '../db/pool'

const CHANNEL = 'lea_table'
/** New events, or another plan or other people. */
export type News = 'events' | 'session'
export type Listener = (news: News) => void

/** Channel and words of a message. */
export const newsOf = (session: string, news: News): [string, string] => [CHANNEL, `${news} ${session}`]
/** Said when the transaction commits, and not at all when it does not. */
export const tell = async (db: Db, session: string, news: News): Promise<void> => {
  await db.query('select pg_notify($1, $2)', newsOf(session, news))
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
  /** @returns how to leave */
  listen(session: string, ear: Listener): () => void
  close(): Promise<void>
}

const AGAIN_MS = 500

/** @param url of the application's database */
export function openTableFeed(url: string): TableFeed {
  const ears = new Map<string, Set<Listener>>()
  let client: pg.Client | null = null
  let closed = false
  let again: ReturnType<typeof setTimeout> | undefined

  const all = (news: News): void => {
    for (const set of ears.values()) for (const ear of set) ear(news)
  }
  function lost(): void {
    client?.removeAllListeners()
    // A line that is cut may complain more than once.
    client?.on('error', () => undefined)
    client = null
    clearTimeout(again)
    if (!closed && ears.size > 0) again = setTimeout(() => void connect(), AGAIN_MS)
  }
  async function connect(): Promise<void> {
    if (client || closed) return
    const next = new pg.Client({ connectionString: url, keepAlive: true })
    client = next
    next.on('error', lost)
    next.on('end', lost)
    next.on('notification', ({ payload = '' }) => {
      const [news, session = ''] = payload.split(' ')
      for (const ear of ears.get(session) ?? []) ear(news === 'session' ? 'session' : 'events')
    })
    try {
      await next.connect()
      await next.query(`listen ${CHANNEL}`)
      // Whatever was said while nobody listened is asked for now.
      all('session')
    } catch {
      lost()
    }
  }

  return {
    listen(session, ear) {
      const set = ears.get(session) ?? new Set()
      set.add(ear)
      ears.set(session, set)
      void connect()
      return () => {
        set.delete(ear)
        if (set.size === 0) ears.delete(session)
      }
    },
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
