import { Router } from 'express'
import { childRecord, sessionRecord } from '@lea/core'
import type { House } from '../house'
import { getChild, writeAudit } from '../db/people'
import { inSetting } from '../db/pool'
import { listPast } from '../db/sessions'
import { atLeast, personOf } from '../door'
import { notFound } from '../fault'
import { isUuid } from '../words'

/** What remains: the sessions that were cooked, and one child over all of them. */
export function recordRoutes({ pool }: House): Router {
  const router = Router()
  router.use(atLeast('leader'))

  router.get('/', async (req, res) => {
    const past = await inSetting(pool, personOf(req).settingId, listPast)
    res.json(past.map((p) => sessionRecord(p)))
  })
  router.get('/sessions/:id', async (req, res) => {
    const past = await inSetting(pool, personOf(req).settingId, listPast)
    const one = past.find((p) => p.id === req.params.id)
    if (!one) throw notFound('this record')
    res.json({ ...sessionRecord(one), plan: one.plan })
  })
  router.get('/children/:id', async (req, res) => {
    const { settingId, id: reader } = personOf(req)
    const child = req.params.id
    if (!isUuid(child)) throw notFound('this child')
    const record = await inSetting(pool, settingId, async (db) => {
      const known = await getChild(db, child)
      if (!known) throw notFound('this child')
      await writeAudit(db, settingId, reader, 'read a child’s record', child)
      return { child: known, ...childRecord(child, await listPast(db)) }
    })
    res.json(record)
  })
  return router
}
