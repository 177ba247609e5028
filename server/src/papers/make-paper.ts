/** Papers and lists of a session as bytes, made where nobody else is kept waiting (work/desk-worker.ts). */
import type { Country } from '@lea/core/amount'
import { compile } from '@lea/core/plan'
import * as yup from 'yup'
import { inSetting, type Db } from '../db/pool'
import { Fault, notFound } from '../fault'
import type { Pool } from 'pg'
import { allergenSheet } from './allergen-sheet'
import { beforePaper } from './before-paper'
import { jobCardsPaper, placeMats, wordCardsPaper } from './cards'
import { familyPaper, sheetOf, type FamilyWish } from './family-paper'
import { labelsPaper } from './labels'
import { loadPaper, type Loaded } from './load'
import type { Paper } from './paper'
import { type MadePaper, type PaperName, type SessionTask, wishSchema } from './paper-task'
import type { PaperSize } from './paper-size'
import { inCountry, type Page } from './pdf'
import { recordPaper } from './record-paper'
import { runSheet } from './run-sheet'
import { toPdf } from './set-pdf'
import { shoppingPaper } from './shopping'
import { shoppingCsv } from './shopping-csv'

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
} satisfies Record<PaperName, (loaded: Loaded, zone: string) => Page>
/** @throws Fault 404 where the session is gone, 400 where the wish is none */
export async function makePaper(pool: Pool, task: SessionTask): Promise<MadePaper> {
  const run = <T>(work: (db: Db) => Promise<T>): Promise<T> => inSetting(pool, task.setting, work)
  const loaded = await loadPaper(run, (request) => Promise.resolve(compile(request)), task.session)
  const { paper } = loaded
  const { country } = paper.setting.rules
  const set = async (page: Page, size: PaperSize | null, words: Country = country): Promise<MadePaper> => ({
    bytes: await toPdf({ page: inCountry(page, words), size: size ?? (country === 'us' ? 'Letter' : 'A4') }),
    title: page.title,
  })
  const asText = (title: string, text: string): MadePaper => ({
    bytes: new TextEncoder().encode(text),
    title,
  })
  if (task.kind === 'shopping') return asText('shopping', shoppingCsv(paper.plan))
  // The record holds what people wrote: it stays letter for letter, in its country's size of paper.
  if (task.kind === 'paper')
    return set(PAPERS[task.name](loaded, task.zone), task.size, task.name === 'record' ? 'uk' : country)
  const wish = wishOf(task.wish, paper)
  const sheet = sheetOf(paper, wish)
  if (task.kind === 'family-sheet') return asText(sheet.title, JSON.stringify(sheet))
  const made = await set(familyPaper(paper, wish), task.size)
  if (task.kind === 'family-paper') return made
  return {
    ...made,
    letter: {
      about: wish.child,
      subject: `${sheet.title}: what we made`,
      text: `${sheet.about}\n\nTo ask at home: ${sheet.ask}\n\nThe sheet is attached.\n\n${paper.setting.name}\n`,
    },
  }
}

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
