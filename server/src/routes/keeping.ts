import { Router } from 'express'
import { keepMonthsSchema } from '@lea/core/schema'
import * as yup from 'yup'
import { keepMonths, listAudit, setKeepMonths, sweepSetting } from '../db/keeping'
import { listAdults, writeAudit } from '../db/people'
import { inSetting } from '../db/pool'
import { atLeast, personOf } from '../auth'
import { Fault, read } from '../fault'
import type { AppContext } from '../context'
import { today } from '../clock'
import { queryText } from '../query'

const keepSchema = yup
  .object({
    months: keepMonthsSchema,
  })
  .noUnknown()

/** How long records are kept, what goes now, and who read or changed what. */
export function keepingRoutes({ pool, post }: AppContext): Router {
  const router = Router()
  router.use(atLeast('owner'))
  router.get('/', async (req, res) => {
    res.json({ months: await inSetting(pool, personOf(req).settingId, keepMonths) })
  })
  router.put('/', async (req, res) => {
    const { months } = await read(keepSchema, req.body)
    const { settingId, id } = personOf(req)
    await inSetting(pool, settingId, async (db) => {
      await setKeepMonths(db, months)
      await writeAudit(db, settingId, id, `records are kept for ${months} months`, settingId)
    })
    res.json({ months })
  })
  /** Otherwise it is done each night. */
  router.post('/sweep', async (req, res) => {
    const { settingId } = personOf(req)
    res.json({ erased: await inSetting(pool, settingId, (db) => sweepSetting(db, settingId, today(), post)) })
  })
  router.get('/audit', async (req, res) => {
    const before = req.query['before'] === undefined ? null : queryText(req.query['before'])
    if (before !== null && Number.isNaN(Date.parse(before)))
      throw new Fault(400, 'before must be a time such as 2026-11-26T10:00:00Z', 'before')
    const answer = await inSetting(pool, personOf(req).settingId, async (db) => {
      const names = new Map((await listAdults(db)).map((a) => [a.id, a.name]))
      const lines = await listAudit(db, before)
      return lines.map((l) => ({ ...l, who: l.who ? (names.get(l.who) ?? 'someone no longer here') : 'Lea' }))
    })
    res.json({ lines: answer })
  })
  return router
}
