import type { Request } from 'express'
import type { StoredSession } from '@lea/core/setting'
import type { Db } from '../db/pool'
import { getSession } from '../db/sessions'
import { personOf } from '../auth'
import { notFound } from '../fault'
import { today } from '../clock'
import { isUuid } from '../uuid'

/**
 * The session that the path names by `:id`; a helper sees today's only.
 * @param lock holds it until the transaction ends
 * @throws Fault 404
 */
export async function findSession(db: Db, req: Request, lock = false): Promise<StoredSession> {
  const id = String(req.params['id'])
  const session = isUuid(id) ? await getSession(db, id, lock) : null
  if (!session || (personOf(req).role === 'helper' && session.date !== today()))
    throw notFound('this session')
  return session
}
