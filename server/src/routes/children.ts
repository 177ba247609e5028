import { Router, type Request } from 'express'
import { randomUUID } from 'node:crypto'
import { childChangeSchema, childSchema } from '@lea/core/schema'
import { cardFields } from '@lea/core/setting'
import { atLeast, personOf } from '../auth'
import { today } from '../clock'
import type { AppContext } from '../context'
import { settleProgress } from '../db/child-progress'
import { noteBulkReading, writeAudit } from '../db/audit'
import { addChild, changeChild, eraseChild, getChild, listChildren } from '../db/people'
import { inSetting, type Db } from '../db/pool'
import { forgetLetters } from '../db/letters'
import { Fault, notFound, read } from '../fault'
import { isUuid } from '../uuid'
import { sendRecord } from '../work/send-record'

/** The children of a setting: their cards, what is exported of one and how one is erased. */
export function childRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const owner = atLeast('owner')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  const key = (text: string | undefined): string => {
    if (!isUuid(text)) throw notFound('this child')
    return text
  }

  router.get('/children', async (req, res) => {
    await settleProgress(pool, personOf(req).settingId)
    res.json(
      await run(req, async (db) => {
        const { settingId, id } = personOf(req)
        await noteBulkReading(db, settingId, id, 'read the cards of all children')
        return listChildren(db)
      }),
    )
  })
  router.post('/children', leader, async (req, res) => {
    const input = await read(childSchema(today()), req.body)
    const { settingId, id: by } = personOf(req)
    const child = await run(req, async (db) => {
      const mat = firstFree((await listChildren(db)).map((c) => c.mat))
      const fresh = { ...input, id: randomUUID(), mat }
      await addChild(db, settingId, fresh)
      await writeAudit(db, settingId, by, 'cards', 'added a child', fresh.id)
      return getChild(db, fresh.id)
    })
    res.status(201).json(child)
  })
  // Who saves says which version of the card they saw: an allergy that somebody else wrote meanwhile is never taken away unseen.
  router.put('/children/:id', leader, async (req, res) => {
    const id = key(String(req.params['id']))
    const { version, ...input } = await read(childChangeSchema(today()), req.body)
    const { settingId, id: by } = personOf(req)
    const saved = await run(req, async (db) => {
      const known = await getChild(db, id, true)
      if (!known) throw notFound('this child')
      if (known.version !== version)
        throw new Fault(409, 'somebody has changed this card meanwhile: look at both', 'version', {
          now: known,
        })
      await changeChild(db, { ...input, id, mat: input.mat ?? known.mat })
      await writeAudit(db, settingId, by, 'cards', `changed a child: ${cardFields(known, input)}`, id)
      return getChild(db, id)
    })
    res.json(saved)
  })
  router.delete('/children/:id', owner, async (req, res) => {
    const id = key(String(req.params['id']))
    await run(req, async (db) => {
      if (!(await eraseChild(db, id))) throw notFound('this child')
      await forgetLetters(db, id)
      await writeAudit(db, personOf(req).settingId, personOf(req).id, 'cards', 'erased a child', id)
    })
    res.status(204).end()
  })
  router.get('/children/:id/export', leader, async (req, res) => {
    const id = key(String(req.params['id']))
    await sendRecord(plans, req, res, { kind: 'child-export', id }, `child-${id.slice(0, 8)}.json`)
  })

  return router
}

/** The least whole number that nobody has. */
function firstFree(taken: readonly (number | undefined)[]): number {
  let n = 0
  while (taken.includes(n)) n += 1
  return n
}
