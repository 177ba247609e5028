import { Router } from 'express'
import { dayAfter } from '@lea/core/amount'
import type { AppContext } from '../context'
import { atLeast } from '../auth'
import { Fault, notFound } from '../fault'
import { today } from '../clock'
import { isUuid } from '../uuid'
import { sendRecord } from '../work/send-record'

/** What remains: the sessions that were cooked, and one child over all of them. */
export function recordRoutes({ plans }: AppContext): Router {
  const router = Router()
  router.use(atLeast('leader'))

  // A period at a time: twelve weeks where none is asked for.
  router.get('/', async (req, res) => {
    const to = dayOf(req.query['to'], today(), 'to')
    const from = dayOf(req.query['from'], dayAfter(to, -84), 'from')
    await sendRecord(plans, req, res, { kind: 'record', from, to })
  })
  router.get('/sessions/:id', async (req, res) => {
    const { id } = req.params
    if (!isUuid(id)) throw notFound('this record')
    await sendRecord(plans, req, res, { kind: 'record-session', id })
  })
  router.get('/children/:id', async (req, res) => {
    const { id } = req.params
    if (!isUuid(id)) throw notFound('this child')
    await sendRecord(plans, req, res, { kind: 'record-child', id })
  })
  return router
}

function dayOf(given: unknown, otherwise: string, field: string): string {
  if (given === undefined || given === '') return otherwise
  if (typeof given !== 'string' || !/^\d{4}-\d\d-\d\d$/.test(given) || Number.isNaN(Date.parse(given)))
    throw new Fault(400, `${field} must be a day such as 2026-11-26`, field)
  return given
}
