/** What remains of sessions, as JSON that is ready to be sent; made where nobody else is kept waiting (work/desk-worker.ts). */
import { monthsOn } from '@lea/core/craft'
import { childRecord, nextRound, overviewOf, ownPart, replay, sessionRecord } from '@lea/core/session'
import type { Pool } from 'pg'
import { now, today } from '../clock'
import { noteBulkReading, writeAudit } from '../db/audit'
import { getChild, listChildren } from '../db/people'
import { inSetting } from '../db/pool'
import { pastOfChild, pastOfPeriod, pastSession } from '../db/session-history'
import { getSetting, listRecipes } from '../db/settings'
import { notFound } from '../fault'

/** Sessions on a child's page: about a year of them, once a week. All are in the child's export. */
const MOST_SESSIONS = 52
/** Sessions of one period that are shown; a longer one is told of, and asked for in parts. */
const MOST_OF_PERIOD = 400

export type RecordTask = { setting: string; reader: string } & (
  | { kind: 'record'; from: string; to: string }
  | { kind: 'record-session' | 'record-child' | 'child-export'; id: string }
)

/** @throws Fault 404 where it is not there */
export async function makeRecord(pool: Pool, task: RecordTask): Promise<object> {
  const { setting, reader } = task
  if (task.kind === 'record') {
    const { from, to } = task
    const found = await inSetting(pool, setting, async (db) => {
      await noteBulkReading(db, setting, reader, 'read the record')
      return {
        past: await pastOfPeriod(db, from, to, MOST_OF_PERIOD + 1),
        recipes: await listRecipes(db),
        ages: (await listChildren(db)).map((c) => monthsOn(c.birth, today())),
        rules: (await getSetting(db)).rules,
      }
    })
    const past = found.past.slice(0, MOST_OF_PERIOD)
    const overview = overviewOf(past)
    return {
      // Where the period holds more than is shown, it begins where what is shown begins.
      from: found.past.length > past.length ? (past.at(-1)?.date ?? from) : from,
      to,
      sessions: past.map((p) => sessionRecord(p)),
      overview,
      next: nextRound(overview, found.recipes, found.ages, found.rules),
    }
  }
  if (task.kind === 'record-session') {
    const [one, kind] = await inSetting(
      pool,
      setting,
      async (db) => [await pastSession(db, task.id), (await getSetting(db)).rules.kind] as const,
    )
    if (!one) throw notFound('this record')
    return { ...sessionRecord(one, replay(one.events), kind), plan: one.plan }
  }
  return inSetting(pool, setting, async (db) => {
    const child = await getChild(db, task.id)
    if (!child) throw notFound('this child')
    if (task.kind === 'child-export') {
      await writeAudit(db, setting, reader, 'records', 'exported a child', task.id)
      const past = await pastOfChild(db, task.id)
      return {
        exportedAt: now().toISOString(),
        child,
        sessions: past.map((p) => ownPart(p, task.id)),
        record: childRecord(task.id, past),
      }
    }
    await writeAudit(db, setting, reader, 'records', 'read a child’s record', task.id)
    // One more than is shown says whether there are older ones.
    const past = await pastOfChild(db, task.id, MOST_SESSIONS + 1)
    const shown = past.slice(0, MOST_SESSIONS)
    return { child, older: past.length > shown.length, ...childRecord(task.id, shown) }
  })
}
