import type { Request } from 'express'
import { dayAfter } from '@lea/core/amount'
import type { StoredSession } from '@lea/core/setting'
import type { Db } from '../db/pool'
import { getSession } from '../db/sessions'
import { todayOf } from '../db/settings'
import { personOf } from '../auth'
import { notFound } from '../fault'
import { isUuid } from '../uuid'

/** So many days after a session its table's taps are still taken: a device may have been without a network over a weekend. */
const TAPS_DAYS = 4

/**
 * The session that the path names by `:id`. A helper sees today's; of a table they were at, what concerns it for some days: taps that
 * were made are taken, by the setting's own time zone.
 * @param how `lock` and `taps` hold it until the transaction ends; `taps` and `of-table`: as one who was at its table
 * @throws Fault 404
 */
export async function findSession(
  db: Db,
  req: Request,
  how: 'read' | 'lock' | 'of-table' | 'taps' = 'read',
): Promise<StoredSession> {
  const id = String(req.params['id'])
  const session = isUuid(id) ? await getSession(db, id, how === 'lock' || how === 'taps') : null
  const isHelper = personOf(req).role === 'helper'
  if (!session || (isHelper && !isOfHelper(session, how, await todayOf(db)))) throw notFound('this session')
  return session
}

function isOfHelper({ date, state }: StoredSession, how: string, day: string): boolean {
  if (date === day) return true
  const near = date >= dayAfter(day, -TAPS_DAYS) && date <= dayAfter(day, 1)
  return near && (state === 'cooking' || how === 'of-table' || how === 'taps')
}
