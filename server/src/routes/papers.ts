import { Router, type Request } from 'express'
import type { Plan, PlanRequest, StoredSession } from '@lea/core'
import type { House } from '../house'
import { inSetting, type Db } from '../db/pool'
import { frozenPlan, getSession } from '../db/sessions'
import { atLeast, personOf } from '../door'
import { notFound } from '../fault'
import { shoppingCsv } from '../print/shopping-csv'
import { isUuid } from '../words'
import { requestOf } from './sessions'

/** What leaves a session as a file: the request of its plan, and the shopping list. */
export function paperRoutes({ pool, plans }: House): Router {
  const router = Router()
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  const find = async (db: Db, req: Request): Promise<StoredSession> => {
    const id = String(req.params['id'])
    const session = isUuid(id) ? await getSession(db, id) : null
    if (!session) throw notFound('this session')
    return session
  }

  // The request of the plan as a file, for `./lea calc plan FILE`.
  router.get('/:id/request', leader, async (req, res) => {
    const request = await run(req, async (db) => requestOf(db, await find(db, req)))
    res
      .attachment('plan-request.json')
      .type('json')
      .send(`${JSON.stringify(request)}\n`)
  })

  // The shopping list of the plan in force, or of the plan as it stands.
  router.get('/:id/shopping.csv', leader, async (req, res) => {
    const found = await run(req, async (db): Promise<{ plan: Plan } | { request: PlanRequest }> => {
      const session = await find(db, req)
      const plan = await frozenPlan(db, session.id)
      return plan ? { plan } : { request: await requestOf(db, session) }
    })
    const plan = 'plan' in found ? found.plan : await plans.compile(found.request)
    res.attachment('shopping.csv').type('text/csv; charset=utf-8').send(shoppingCsv(plan))
  })
  return router
}
