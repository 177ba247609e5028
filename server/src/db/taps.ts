/**
 * Taps of tables, in one way to the database and back: at a table of ten this is what a server does most. What comes for a table while it is
 * being written for goes together: one table has one line to the database, and keeps no other table waiting.
 */
import type { Pool } from 'pg'
import type { TableEvent } from '@lea/core/session'
import { now } from '../clock'
import { Fault, notFound } from '../fault'
import { newsOf } from '../live/table-feed'
import { inOneGoOfItself } from './pool'
import { LIFE_MS } from './sign-ins'

/** Where a setting says no zone of its own. */
const SERVER_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone

export interface Message {
  /** Id of the sign-in: whose it is, and what they may do, is asked with the taps. */
  signIn: string
  /** Of which setting its sign-in was: in whose turn it is served. */
  setting: string
  events: readonly TableEvent[]
  /** Only an owner may say one of them. */
  ownerOnly: boolean
  /** The page that sends them; it need not be told. */
  from: string
  /** Whether there is one among them that moves the next plan: at once, or when the session is over. */
  moves: { atOnce: boolean; atEnd: boolean }
}
export interface Taken {
  /** Number of the table's last event. */
  last: number
  /** Whether progress is to be added up. */
  due: boolean
}
/**
 * Takes a message for a session. A message is kept whole or not at all.
 * @throws Fault 401 where the sign-in has ended, 403 where only an owner may, 404 where the session is gone or not theirs, 409 where cooking
 * has not begun, 400 where a counter has leapt
 */
export type TakeTaps = (session: string, message: Message) => Promise<Taken>

interface Waiting {
  message: Message
  done: (taken: Taken) => void
  fail: (fault: unknown) => void
}
interface Row extends Taken {
  fault: 'ended' | 'owner' | 'gone' | 'planned' | 'wild' | null
}

/** So many messages go together, and so many taps: a device that was long without a network sends hundreds. */
const MOST_MESSAGES = 40
const MOST_TAPS = 500

export function openTaps(pool: Pool): TakeTaps {
  /** Of each table that is being written for: what waits. */
  const tables = new Map<string, Waiting[]>()

  async function serve(session: string): Promise<void> {
    for (;;) {
      const group = firstOf(tables.get(session) ?? [])
      if (group.length === 0) break
      await together(session, group)
    }
    tables.delete(session)
  }
  async function together(session: string, group: readonly Waiting[]): Promise<void> {
    try {
      const rows = await ask(pool, session, group)
      group.forEach(({ done, fail }, n) => {
        const row = rows[n]
        const fault = row ? faultOf(row) : new Error('the database gave no answer')
        if (fault) fail(fault)
        else if (row) done({ last: row.last, due: row.due })
      })
    } catch (fault) {
      // One that the database cannot keep undoes them all: by themselves, the others go through.
      if (group.length > 1 && isOfOne(fault)) for (const one of group) await together(session, [one])
      else for (const { fail } of group) fail(fault)
    }
  }
  return (session, message) =>
    new Promise((done, fail) => {
      const queue = tables.get(session)
      if (queue) {
        queue.push({ message, done, fail })
        return
      }
      tables.set(session, [{ message, done, fail }])
      void serve(session)
    })
}

/** What goes together next, taken out of what waits. */
function firstOf(queue: Waiting[]): Waiting[] {
  let taps = 0
  const end = queue.findIndex(({ message }, n) => {
    taps += message.events.length
    return n > 0 && (n === MOST_MESSAGES || taps > MOST_TAPS)
  })
  return queue.splice(0, end === -1 ? queue.length : end)
}

async function ask(pool: Pool, session: string, group: readonly Waiting[]): Promise<Row[]> {
  const messages = group.map(({ message: { signIn, events, ownerOnly, from, moves } }) => ({
    signIn,
    events,
    owner: ownerOnly,
    ...moves,
    news: newsOf(session, 'events', from)[1],
  }))
  const { rows } = await inOneGoOfItself<Row>(pool, group[0]?.message.setting ?? '', {
    name: 'take_messages',
    text: 'select fault, last, due from take_messages($1, $2, $3, $4, $5, $6) order by number',
    values: [
      session,
      now().toISOString(),
      SERVER_ZONE,
      new Date(Date.now() - LIFE_MS).toISOString(),
      newsOf(session, 'events')[0],
      JSON.stringify(messages),
    ],
  })
  return rows
}

/** A fault of what was to be kept (its data, a quota, a rule), not of the database or the line to it. */
const isOfOne = (fault: unknown): boolean =>
  /^(22|23|44|54000|P0)/.test((fault as { code?: string }).code ?? '')

function faultOf({ fault, last }: Row): Fault | null {
  if (fault === 'ended') return new Fault(401, 'this sign-in has ended: please sign in again')
  if (fault === 'owner') return new Fault(403, 'only the owner may say that it was read')
  if (fault === 'gone') return notFound('this session')
  if (fault === 'planned') return new Fault(409, 'cooking has not begun: there is no table yet')
  // A device's counter goes up by one with each tap of anybody: one that leaps would drag every other device along.
  if (fault === 'wild') return new Fault(400, `the counter of this device has leapt to ${last}`, 'events')
  return null
}
