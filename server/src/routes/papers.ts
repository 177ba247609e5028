import { create as contentDisposition } from 'content-disposition'
import { Router, type Request, type Response } from 'express'
import * as yup from 'yup'
import { leftBy } from '../work/left-by'
import { atLeast, personOf } from '../auth'
import type { AppContext } from '../context'
import { noteBy, writeAudit } from '../db/audit'
import { keepLetter } from '../db/letters'
import { inSetting, type Db } from '../db/pool'
import { writtenLetter } from '../devices/mail-outbox'
import { Fault, notFound, read } from '../fault'
import { type MadePaper, type SessionTask, isPaper, wishSchema } from '../papers/paper-task'
import { PAPER_SIZES, type PaperSize } from '../papers/paper-size'
import { perPerson } from '../limits/per-person'
import { requestOf } from '../plan/request-of'
import { queryText } from '../query'
import { isUuid } from '../uuid'
import { zoneOf } from '../zone'
import { findSession } from './find-session'

/** What leaves a session as a file: the request of its plan, the shopping list, papers as PDF, family sheets. */
export function paperRoutes({ pool, plans, limits }: AppContext): Router {
  const router = Router()
  const papersOf = perPerson(limits.papers, 'papers')
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)

  // The request of the plan as a file, for `./lea calc plan FILE`.
  router.get('/:id/request', leader, async (req, res) => {
    const request = await run(req, async (db) => {
      const session = await findSession(db, req)
      await noteBy(db, personOf(req), 'records', 'took out what a plan is made from', session.id)
      return requestOf(db, session)
    })
    res
      .attachment('plan-request.json')
      .type('json')
      .send(`${JSON.stringify(request)}\n`)
  })

  const sizeOf = (req: Request): PaperSize | null => {
    const asked = req.query['paper']
    if (asked === undefined) return null
    const found = PAPER_SIZES.find((p) => p.toLowerCase() === queryText(asked).toLowerCase())
    if (!found) throw new Fault(400, `paper must be ${PAPER_SIZES.join(' or ')}`, 'paper')
    return found
  }
  /** Made where nobody else is kept waiting. */
  const make = (req: Request, res: Response, wish: Wish<SessionTask>): Promise<MadePaper> => {
    const session = String(req.params['id'])
    if (!isUuid(session)) throw notFound('this session')
    const { settingId: setting } = personOf(req)
    return plans.desk({ ...wish, setting, session }, { setting, left: leftBy(res) })
  }
  const send = ({ bytes, title }: MadePaper, res: Response): void => {
    const name = title.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'paper'
    res
      .type('application/pdf')
      .set('content-disposition', contentDisposition(`${name}.pdf`, { type: 'inline' }))
      .send(Buffer.from(bytes))
  }
  /** Papers name children and their allergies: who took which is written down. */
  const noted = (req: Request, did: string): Promise<void> =>
    run(req, (db) => {
      const { settingId, id } = personOf(req)
      return writeAudit(db, settingId, id, 'records', did, String(req.params['id']))
    })

  // The shopping list of the plan in force, or of the plan as it stands.
  router.get('/:id/shopping.csv', leader, papersOf, async (req, res) => {
    const { bytes } = await make(req, res, { kind: 'shopping' })
    res.attachment('shopping.csv').type('text/csv; charset=utf-8').send(Buffer.from(bytes))
  })

  // Family sheets stand before the papers: their name is no name of a paper.
  router.get('/:id/papers/family.pdf', leader, papersOf, async (req, res) => {
    const made = await make(req, res, { kind: 'family-paper', wish: req.query, size: sizeOf(req) })
    await noted(req, 'made a family sheet')
    send(made, res)
  })
  // Looked at first, then written to the outbox by a person; never by itself.
  router.get('/:id/family', leader, papersOf, async (req, res) => {
    const { bytes } = await make(req, res, { kind: 'family-sheet', wish: req.query, size: null })
    res.type('json').send(Buffer.from(bytes))
  })
  router.post('/:id/family/letter', leader, papersOf, async (req, res) => {
    const { to, ...wish } = await read(letterSchema, req.body)
    const { bytes, letter: words } = await make(req, res, { kind: 'family-letter', wish, size: sizeOf(req) })
    if (!words) throw new Error('a letter has no words')
    const content = Buffer.from(bytes)
    const attachment = { filename: 'family-sheet.pdf', content, contentType: 'application/pdf' }
    const letter = await writtenLetter({ to, ...words, attachments: [attachment] })
    const { settingId, id } = personOf(req)
    await run(req, async (db) => {
      await keepLetter(db, settingId, letter)
      await writeAudit(
        db,
        settingId,
        id,
        'records',
        'wrote a family letter',
        words.about ?? String(req.params['id']),
      )
    })
    res.status(201).json({ letter: letter.name })
  })

  router.get('/:id/papers/:name', leader, papersOf, async (req, res) => {
    const name = String(req.params['name']).replace(/\.pdf$/, '')
    if (!isPaper(name)) throw notFound('this paper')
    const size = sizeOf(req)
    const made = await make(req, res, { kind: 'paper', name, size, zone: zoneOf(req, 'UTC') })
    await noted(req, `made the paper '${name}'`)
    send(made, res)
  })
  return router
}

const letterSchema = wishSchema.shape({
  to: yup.string().trim().email('To must be a mail address').max(200).required('To is missing'),
})
type Wish<T> = T extends SessionTask ? Omit<T, 'setting' | 'session'> : never
