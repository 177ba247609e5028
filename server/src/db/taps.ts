/** Taps of a table, in one way to the database and back: at a table of ten this is what a server does most. */
import type { Pool } from 'pg'
import type { TableEvent } from '@lea/core/session'
import { now } from '../clock'
import { Fault, notFound } from '../fault'
import { newsOf } from '../live/table-feed'
import { inOneGo } from './pool'

/** Where a setting says no zone of its own. */
const SERVER_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone

export interface Taps {
  setting: string
  session: string
  /** Id of the adult. */
  by: string
  /** A helper reaches the tables of some days only (routes/find-session.ts). */
  isHelper: boolean
  events: readonly TableEvent[]
  /** The page that sends them; it need not be told. */
  from: string
  /** Whether there is one among them that moves the next plan: at once, or when the session is over. */
  moves: { atOnce: boolean; atEnd: boolean }
}

/**
 * @returns the number of the table's last event, and whether progress is to be added up
 * @throws Fault 404 where the session is gone or not theirs, 409 where cooking has not begun, 400 where a counter has leapt
 */
export async function takeTaps(pool: Pool, taps: Taps): Promise<{ last: number; due: boolean }> {
  const { setting, session, by, isHelper, events, from, moves } = taps
  const { rows } = await inOneGo<{ fault: string | null; last: number; due: boolean }>(
    pool,
    setting,
    'select fault, last, due from take_taps($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)',
    [
      session,
      setting,
      by,
      JSON.stringify(events),
      isHelper,
      now().toISOString(),
      SERVER_ZONE,
      moves.atOnce,
      moves.atEnd,
      ...newsOf(session, 'events', from),
    ],
  )
  const answer = rows[0]
  if (!answer || answer.fault === 'gone') throw notFound('this session')
  if (answer.fault === 'planned') throw new Fault(409, 'cooking has not begun: there is no table yet')
  // A device's counter goes up by one with each tap of anybody: one that leaps would drag every other device along.
  if (answer.fault === 'wild')
    throw new Fault(400, `the counter of this device has leapt to ${answer.last}`, 'events')
  return { last: answer.last, due: answer.due }
}
