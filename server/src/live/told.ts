/** What a setting keeps has changed: every page that plans by it hears so. */
import type { RequestHandler } from 'express'
import { pageOf, personOf } from '../auth'
import type { AppContext } from '../context'
import { tellSetting } from './table-feed'

/** Sessions tell of themselves; one's own sign-in and devices are nobody's plan. */
const APART = /^\/(sessions|devices|me|post)\b/

/** Told once the answer is out: the change is in the database then. A word that is lost is made good each half minute. */
export const tellsSetting =
  ({ pool, log }: Pick<AppContext, 'pool' | 'log'>): RequestHandler =>
  (req, res, next) => {
    if (req.method !== 'GET' && !APART.test(req.path)) {
      const { settingId } = personOf(req)
      res.on('finish', () => {
        if (res.statusCode < 300)
          tellSetting(pool, settingId, pageOf(req)).catch((fault: unknown) => {
            log.error(fault, 'the pages of a setting could not be told')
          })
      })
    }
    next()
  }
