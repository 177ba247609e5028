import { raw, Router, type RequestHandler } from 'express'
import { writeAudit } from '../db/audit'
import { inSetting } from '../db/pool'
import { getSetting } from '../db/settings'
import { leftBy } from '../work/left-by'
import { atLeast, personOf } from '../auth'
import { Fault } from '../fault'
import type { AppContext } from '../context'
import { today } from '../clock'

/** As large as a packed archive may be. */
const MOST = '64mb'
/** So many are taken in at once: each is held in memory until it is read. */
const MOST_AT_ONCE = 2

/** The whole setting as one file, out and in. */
export function archiveRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  const owner = atLeast('owner')

  router.get('/archive', owner, async (req, res) => {
    const { settingId: setting, id: by } = personOf(req)
    const name = await inSetting(pool, setting, async (db) => {
      await writeAudit(db, setting, by, 'records', 'exported the setting', setting)
      return (await getSetting(db)).name
    })
    const file = name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
    // Sent as it is written; one that is cut off is no ZIP, and says so wherever it is opened.
    const send = (piece: Uint8Array): Promise<void> =>
      new Promise((through, fail) => {
        if (!res.headersSent)
          res.attachment(`${file || 'setting'}-${today()}.lea.zip`).type('application/zip')
        res.write(piece, (fault) => (fault ? fail(fault) : through()))
      })
    await plans.archive({ kind: 'out', setting, by }, { setting, left: leftBy(res) }, send)
    res.end()
  })

  let taken = 0
  const oneOfFew: RequestHandler = (_req, res, next) => {
    if (taken >= MOST_AT_ONCE)
      throw new Fault(503, 'other archives are being read just now: try again in some minutes')
    taken += 1
    res.on('close', () => {
      taken -= 1
    })
    next()
  }
  // The body is taken only from an owner.
  router.post(
    '/archive',
    owner,
    oneOfFew,
    raw({ type: 'application/zip', limit: MOST }),
    async (req, res) => {
      const body: unknown = req.body
      if (!Buffer.isBuffer(body) || body.length === 0) throw new Fault(400, 'send the archive as a ZIP file')
      const { settingId: setting, id: by } = personOf(req)
      const zip = new Uint8Array(body.buffer, body.byteOffset, body.byteLength)
      res
        .status(201)
        .json(await plans.archive({ kind: 'in', setting, by, zip }, { setting, left: leftBy(res) }))
    },
  )
  return router
}
