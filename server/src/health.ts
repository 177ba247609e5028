import { Router } from 'express'
import type { AppContext } from './context'
import { SERVER_VERSION } from './version'

/** What a balancer or a watch asks: whether the process lives, and whether it may be sent people. Open to all; nothing of a setting is in it. */
export function healthRoutes({ pool, stopping }: AppContext): Router {
  const router = Router()
  router.get('/livez', (_req, res) => {
    res.json({ ok: true, version: SERVER_VERSION })
  })
  // The second name is of earlier versions.
  router.get(['/readyz', '/healthz'], async (_req, res) => {
    const says = stopping.hasBegun() ? 'it is told to stop' : await databaseFault()
    res.status(says ? 503 : 200).json({ ok: !says, version: SERVER_VERSION, ...(says && { says }) })
  })
  return router

  async function databaseFault(): Promise<string> {
    try {
      await pool.query('select 1')
      return ''
    } catch {
      return 'the database does not answer'
    }
  }
}
