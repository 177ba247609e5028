import { Router } from 'express'
import { now } from '../clock'
import { listSessions } from '../db/sessions'
import { inSetting } from '../db/pool'
import { getSetting, listRecipes } from '../db/settings'
import { atLeast, personOf } from '../auth'
import type { AppContext } from '../context'
import { zoneOf } from '../zone'

/** The sessions as a file for calendars. */
export function calendarRoutes({ pool }: AppContext): Router {
  const router = Router()
  router.get('/calendar.ics', atLeast('leader'), async (req, res) => {
    const zone = zoneOf(req, 'Europe/London')
    // Read in when somebody asks for it: few do, and every start would wait for it.
    const { calendarOf } = await import('../files/calendar')
    const file = await inSetting(pool, personOf(req).settingId, async (db) => {
      const titles = new Map((await listRecipes(db)).map((r) => [r.id, r.recipe.title]))
      const entries = (await listSessions(db)).map((session) => ({
        session,
        title: titles.get(session.recipe) ?? 'a recipe that is gone',
      }))
      return calendarOf((await getSetting(db)).name, entries, zone, now())
    })
    res.attachment('diary.ics').type('text/calendar').send(file)
  })
  return router
}
