import { Router } from 'express'
import { dayAfter } from '@lea/core/amount'
import { monthsOn } from '@lea/core/craft'
import { childRecord, nextRound, overviewOf, sessionRecord } from '@lea/core/session'
import type { AppContext } from '../context'
import { getChild, listChildren, writeAudit } from '../db/people'
import { inSetting } from '../db/pool'
import { pastOfChild, pastOfPeriod, pastSession } from '../db/session-history'
import { getSetting, listRecipes } from '../db/settings'
import { atLeast, personOf } from '../auth'
import { Fault, notFound } from '../fault'
import { today } from '../clock'
import { isUuid } from '../uuid'

/** Sessions on a child's page: about a year of them, once a week. All are in the child's export. */
const MOST_SESSIONS = 52

/** What remains: the sessions that were cooked, and one child over all of them. */
export function recordRoutes({ pool }: AppContext): Router {
  const router = Router()
  router.use(atLeast('leader'))

  // A period at a time: twelve weeks where none is asked for.
  router.get('/', async (req, res) => {
    const to = dayOf(req.query['to'], today(), 'to')
    const from = dayOf(req.query['from'], dayAfter(to, -84), 'from')
    const found = await inSetting(pool, personOf(req).settingId, async (db) => ({
      past: await pastOfPeriod(db, from, to),
      recipes: await listRecipes(db),
      ages: (await listChildren(db)).map((c) => monthsOn(c.birth, today())),
      rules: (await getSetting(db)).rules,
    }))
    const overview = overviewOf(found.past)
    res.json({
      from,
      to,
      sessions: found.past.map((p) => sessionRecord(p)),
      overview,
      next: nextRound(overview, found.recipes, found.ages, found.rules),
    })
  })
  router.get('/sessions/:id', async (req, res) => {
    const { id } = req.params
    const one = isUuid(id)
      ? await inSetting(pool, personOf(req).settingId, (db) => pastSession(db, id))
      : null
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
      // One more than is shown says whether there are older ones.
      const past = await pastOfChild(db, child, MOST_SESSIONS + 1)
      const shown = past.slice(0, MOST_SESSIONS)
      return { child: known, older: past.length > shown.length, ...childRecord(child, shown) }
    })
    res.json(record)
  })
  return router
}

function dayOf(given: unknown, otherwise: string, field: string): string {
  if (given === undefined || given === '') return otherwise
  if (typeof given !== 'string' || !/^\d{4}-\d\d-\d\d$/.test(given) || Number.isNaN(Date.parse(given)))
    throw new Fault(400, `${field} must be a day such as 2026-11-26`, field)
  return given
}
