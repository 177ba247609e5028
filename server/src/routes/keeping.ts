import { Router } from 'express'
import { countText } from '@lea/core/amount'
import { keepMonthsSchema } from '@lea/core/schema'
import * as yup from 'yup'
import { eraseGuest } from '../db/erase-guest'
import { forgetLetters } from '../db/letters'
import { blankName, namePlaces } from '../db/free-words'
import { keepMonths, setKeepMonths, sweepSetting } from '../db/keeping'
import { AUDIT_PARTS, isAuditPart, listAudit, namesOfThings, writeAudit } from '../db/audit'
import { listAdults } from '../db/people'
import { inSetting } from '../db/pool'
import { atLeast, personOf } from '../auth'
import { Fault, notFound, read } from '../fault'
import type { AppContext } from '../context'
import { today } from '../clock'
import { queryText } from '../query'
import { isUuid } from '../uuid'
import { zoneOf } from '../zone'

const keepSchema = yup
  .object({
    months: keepMonthsSchema,
  })
  .noUnknown()

const nameSchema = yup
  .string()
  .trim()
  .min(2, 'Name is too short to look for')
  .max(40, 'Name is too long')
  .required('Name is missing')
const blankSchema = yup
  .object({
    name: nameSchema,
    places: yup
      .array(
        yup
          .object({
            of: yup
              .string()
              .oneOf(['event', 'session', 'recipe', 'child', 'rules'] as const)
              .required('Place is missing'),
            id: yup.string().max(60).required('Place is missing'),
            text: yup.string().max(2000).required('Text is missing'),
          })
          .noUnknown(),
      )
      .max(2000, 'At most 2000 places at once')
      .required('Places are missing'),
  })
  .noUnknown()

/** How long records are kept, what goes now, and who read or changed what. */
export function keepingRoutes({ pool }: AppContext): Router {
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
      await writeAudit(db, settingId, id, 'records', `records are kept for ${months} months`, settingId)
    })
    res.json({ months })
  })
  /** Otherwise it is done each night. */
  router.post('/sweep', async (req, res) => {
    const { settingId } = personOf(req)
    res.json({ erased: await inSetting(pool, settingId, (db) => sweepSetting(db, settingId, today())) })
  })
  /** Free words in which a name stands, an erased child's above all. A name is no part of an address: it would stand in logs. */
  router.post('/words', async (req, res) => {
    const { name } = await read(yup.object({ name: nameSchema }).noUnknown(), req.body)
    res.json({ places: await inSetting(pool, personOf(req).settingId, (db) => namePlaces(db, name)) })
  })
  router.post('/words/blank', async (req, res) => {
    const { name, places } = await read(blankSchema, req.body)
    const { settingId, id } = personOf(req)
    const blanked = await inSetting(pool, settingId, async (db) => {
      const n = await blankName(db, name, places)
      if (n > 0)
        await writeAudit(db, settingId, id, 'records', `blanked a name in ${countText(n, 'text')}`, settingId)
      return n
    })
    res.json({ blanked })
  })
  router.delete('/guests/:session/:guest', async (req, res) => {
    const { session, guest } = req.params
    const { settingId, id } = personOf(req)
    if (!isUuid(session)) throw notFound('this session')
    await inSetting(pool, settingId, async (db) => {
      await eraseGuest(db, session, guest)
      await forgetLetters(db, guest)
      await writeAudit(db, settingId, id, 'cards', 'erased a guest', session)
    })
    res.status(204).end()
  })
  // A page at a time, of what is looked for.
  router.get('/audit', async (req, res) => {
    const asked = (name: string): string | null => queryText(req.query[name]) || null
    const timed = (name: string, like: string): string | null => {
      const text = asked(name)
      if (text !== null && Number.isNaN(Date.parse(text)))
        throw new Fault(400, `${name} must be a time such as ${like}`, name)
      return text
    }
    const part = asked('part')
    if (part !== null && !isAuditPart(part))
      throw new Fault(400, `part must be one of ${Object.keys(AUDIT_PARTS).join(', ')}`, 'part')
    const wish = {
      before: timed('before', '2026-11-26T10:00:00Z'),
      part,
      who: asked('who'),
      from: timed('from', '2026-11-26'),
      to: timed('to', '2026-11-26'),
      zone: zoneOf(req, 'UTC'),
    }
    const answer = await inSetting(pool, personOf(req).settingId, async (db) => {
      const names = new Map((await listAdults(db)).map((a) => [a.id, a.name]))
      const lines = await listAudit(db, wish)
      const things = await namesOfThings(db)
      return lines.map((l) => ({
        ...l,
        about: things.get(l.subject) ?? '',
        who: l.who ? (names.get(l.who) ?? 'someone no longer here') : 'Lea',
      }))
    })
    res.json({ lines: answer, parts: AUDIT_PARTS })
  })
  return router
}
