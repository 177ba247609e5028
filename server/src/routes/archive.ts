import { raw, Router } from 'express'
import { gatherArchive, isEmptySetting, restoreArchive } from '../db/archive'
import { writeAudit } from '../db/people'
import { inSetting } from '../db/pool'
import { atLeast, personOf } from '../auth'
import { Fault } from '../fault'
import { packArchive, unpackArchive, withNewIds, type Archive } from '../files/archive'
import type { AppContext } from '../context'
import { now, today } from '../clock'

/** The whole setting as one file, out and in. */
export function archiveRoutes({ pool }: AppContext): Router {
  const router = Router()
  const owner = atLeast('owner')
  router.get('/archive', owner, async (req, res) => {
    const { settingId, id } = personOf(req)
    const archive = await inSetting(pool, settingId, async (db) => {
      await writeAudit(db, settingId, id, 'exported the setting', settingId)
      return gatherArchive(db)
    })
    const name = archive.setting.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
    res.attachment(`${name || 'setting'}-${today()}.lea.zip`).type('application/zip')
    res.send(Buffer.from(packArchive(archive, now().toISOString())))
  })
  // The body is taken only from an owner.
  router.post('/archive', owner, raw({ type: 'application/zip', limit: '200mb' }), async (req, res) => {
    if (!Buffer.isBuffer(req.body) || req.body.length === 0)
      throw new Fault(400, 'send the archive as a ZIP file')
    const archive = unpackArchive(req.body, today())
    const { settingId, id } = personOf(req)
    const put = (what: Archive): Promise<void> =>
      inSetting(pool, settingId, async (db) => {
        if (!(await isEmptySetting(db)))
          throw new Fault(
            409,
            'this setting has children or sessions: an archive goes into an empty one, so that nothing is lost',
          )
        await restoreArchive(db, settingId, what)
        await writeAudit(db, settingId, id, 'read an archive', settingId)
      })
    try {
      await put(archive)
    } catch (fault) {
      // The setting of this archive is still here under its own ids: taken (23505), and behind its policies (42501).
      if (!['23505', '42501'].includes((fault as { code?: string }).code ?? '')) throw fault
      await put(withNewIds(archive))
    }
    const { children, recipes, sessions } = archive
    res.status(201).json({ children: children.length, recipes: recipes.length, sessions: sessions.length })
  })
  return router
}
