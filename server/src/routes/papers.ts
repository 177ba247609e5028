import { create as contentDisposition } from 'content-disposition'
import { Router, type Request, type Response } from 'express'
import type { Country } from '@lea/core/amount'
import type { Plan, PlanRequest } from '@lea/core/plan'
import { MOST_PORTIONS } from '@lea/core/session'
import * as yup from 'yup'
import type { AppContext } from '../context'
import { keepLetter } from '../db/letters'
import { writeAudit } from '../db/people'
import { inSetting, type Db } from '../db/pool'
import { frozenPlan } from '../db/sessions'
import { atLeast, personOf } from '../auth'
import { writtenLetter } from '../devices/mail-outbox'
import { Fault, notFound, read } from '../fault'
import { allergenSheet } from '../papers/allergen-sheet'
import { jobCardsPaper, placeMats, wordCardsPaper } from '../papers/cards'
import { familyPaper, sheetOf, type FamilyWish } from '../papers/family-paper'
import { labelsPaper } from '../papers/labels'
import { loadPaper, type Loaded } from '../papers/load'
import type { Paper } from '../papers/paper'
import { inCountry, PAPER_SIZES, type Page, type PaperSize } from '../papers/pdf'
import { recordPaper } from '../papers/record-paper'
import { runSheet } from '../papers/run-sheet'
import { shoppingPaper } from '../papers/shopping'
import { shoppingCsv } from '../papers/shopping-csv'
import { isUuid } from '../uuid'
import { zoneOf } from '../zone'
import { beforePaper } from '../papers/before-paper'
import { requestOf } from '../plan/request-of'
import { findSession } from './find-session'
import { queryText } from '../query'

/** What leaves a session as a file: the request of its plan, the shopping list, papers as PDF, family sheets. */
export function paperRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)

  // The request of the plan as a file, for `./lea calc plan FILE`.
  router.get('/:id/request', leader, async (req, res) => {
    const request = await run(req, async (db) => requestOf(db, await findSession(db, req)))
    res
      .attachment('plan-request.json')
      .type('json')
      .send(`${JSON.stringify(request)}\n`)
  })

  // The shopping list of the plan in force, or of the plan as it stands.
  router.get('/:id/shopping.csv', leader, async (req, res) => {
    const found = await run(req, async (db): Promise<{ plan: Plan } | { request: PlanRequest }> => {
      const session = await findSession(db, req)
      const plan = await frozenPlan(db, session.id)
      return plan ? { plan } : { request: await requestOf(db, session) }
    })
    const plan = 'plan' in found ? found.plan : await plans.compile(found.request)
    res.attachment('shopping.csv').type('text/csv; charset=utf-8').send(shoppingCsv(plan))
  })

  const size = (req: Request, country: string): PaperSize => {
    const asked = req.query['paper']
    if (asked === undefined) return country === 'us' ? 'Letter' : 'A4'
    const found = PAPER_SIZES.find((p) => p.toLowerCase() === queryText(asked).toLowerCase())
    if (!found) throw new Fault(400, `paper must be ${PAPER_SIZES.join(' or ')}`, 'paper')
    return found
  }
  const load = (req: Request): Promise<Loaded> => {
    const id = String(req.params['id'])
    if (!isUuid(id)) throw notFound('this session')
    return loadPaper((work) => run(req, work), plans, id)
  }
  const send = async (
    req: Request,
    res: Response,
    page: Page,
    country: Country,
    words: Country = country,
  ): Promise<void> => {
    const pdf = await plans.pdf(inCountry(page, words), size(req, country))
    const name = page.title.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'paper'
    res
      .type('application/pdf')
      .set('content-disposition', contentDisposition(`${name}.pdf`, { type: 'inline' }))
      .send(pdf)
  }

  // Family sheets stand before the papers: their name is no name of a paper.
  router.get('/:id/papers/family.pdf', leader, async (req, res) => {
    const { paper } = await load(req)
    await send(req, res, familyPaper(paper, wishOf(req.query, paper)), paper.setting.rules.country)
  })
  // Looked at first, then written to the outbox by a person; never by itself.
  router.get('/:id/family', leader, async (req, res) => {
    const { paper } = await load(req)
    res.json(sheetOf(paper, wishOf(req.query, paper)))
  })
  router.post('/:id/family/letter', leader, async (req, res) => {
    const { to, ...rest } = await read(letterSchema, req.body)
    const { paper } = await load(req)
    const wish = wishOf(rest, paper)
    const page = familyPaper(paper, wish)
    const sheet = sheetOf(paper, wish)
    const letter = await writtenLetter({
      to,
      about: wish.child,
      subject: `${sheet.title}: what we made`,
      text: `${sheet.about}\n\nTo ask at home: ${sheet.ask}\n\nThe sheet is attached.\n\n${paper.setting.name}\n`,
      attachments: [
        {
          filename: 'family-sheet.pdf',
          content: await plans.pdf(
            inCountry(page, paper.setting.rules.country),
            size(req, paper.setting.rules.country),
          ),
          contentType: 'application/pdf',
        },
      ],
    })
    const { settingId, id } = personOf(req)
    await run(req, async (db) => {
      await keepLetter(db, settingId, letter)
      await writeAudit(db, settingId, id, 'wrote a family letter', wish.child ?? paper.session.id)
    })
    res.status(201).json({ letter: letter.name })
  })

  router.get('/:id/papers/:name', leader, async (req, res) => {
    const name = String(req.params['name']).replace(/\.pdf$/, '')
    const make = Object.hasOwn(PAPERS, name) ? PAPERS[name as keyof typeof PAPERS] : undefined
    if (!make) throw notFound('this paper')
    const loaded = await load(req)
    // The record holds what people wrote: it stays letter for letter, in its country's size of paper.
    const { country } = loaded.paper.setting.rules
    const page = make(loaded, zoneOf(req, 'UTC'))
    await send(req, res, page, country, name === 'record' ? 'uk' : country)
  })
  return router
}

const PAPERS = {
  before: ({ paper }: Loaded) => beforePaper(paper),
  run: ({ paper }: Loaded) => runSheet(paper),
  allergens: ({ paper }: Loaded) => allergenSheet(paper),
  jobs: ({ paper }: Loaded) => jobCardsPaper(paper),
  words: ({ paper }: Loaded) => wordCardsPaper(paper),
  mats: ({ paper }: Loaded) => placeMats(paper),
  shopping: ({ paper }: Loaded) => shoppingPaper(paper),
  labels: ({ paper }: Loaded) => labelsPaper(paper),
  record: ({ paper, events }: Loaded, zone: string) => recordPaper(paper, events, zone),
} satisfies Record<string, (loaded: Loaded, zone: string) => Page>

const wishSchema = yup.object({
  child: yup.string().max(60).optional(),
  portions: yup
    .number()
    .typeError('Portions must be a whole number')
    .integer('Portions must be a whole number')
    .min(1, 'Portions must be at least 1')
    .max(MOST_PORTIONS, `Portions may be at most ${MOST_PORTIONS}`)
    .default(4),
  measures: yup
    .string()
    .oneOf(['cups', 'grams'] as const, 'Measures must be cups or grams')
    .default('cups' as const),
})
const letterSchema = wishSchema.shape({
  to: yup.string().trim().email('To must be a mail address').max(200).required('To is missing'),
})

function wishOf(given: object, paper: Paper): FamilyWish {
  let wish: yup.InferType<typeof wishSchema>
  try {
    wish = wishSchema.validateSync(given, { stripUnknown: true })
  } catch (fault) {
    if (fault instanceof yup.ValidationError) throw new Fault(400, fault.message, fault.path)
    throw fault
  }
  const child = wish.child || null
  if (child && !paper.plan.children.some((c) => c.id === child)) throw notFound('this child of the session')
  return { child, portions: wish.portions, measures: wish.measures }
}
