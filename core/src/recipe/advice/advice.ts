/**
 * May a child of this age have this food in this form, or do this job with this tool? Free words in, one verdict out.
 * Foods: choking.json and too-early.json; jobs: techniques.json; knives: the ladder of advice-words. The youngest eater counts.
 * Default profile: the stricter of UK and US guidance (age-skill-safety.md C0; from memory). Never says 'safe'.
 */
import {
  preparationText,
  settlingForm,
  SHAPE_ROWS,
  shapeBreach,
  shapeRow,
  type ShapeRow,
} from '../../food/by-age/choking'
import { foodsStanding } from '../../food/food-names'
import type { Forms } from '../../food/by-age/forms'
import { hasWord, rowsNamed, type RowNamed } from '../../food/by-age/named'
import { formsSaidOf } from '../../food/by-age/said-of'
import {
  ALWAYS,
  EARLY_ROWS,
  earlyRowsOf,
  earlyUntil,
  isTooEarly,
  type EarlyRow,
} from '../../food/by-age/too-early'
import { adviseJobs, jobsIn, rawMeatIn, knivesIn, adviseTool } from './advice-jobs'
import { adviseReadings } from '../readings'
import type { Advice } from '../verdict'

export type { Advice } from '../verdict'
export interface Question {
  months: number
  what: string
  as?: string
  country?: 'uk' | 'us'
}

const RANK = { stop: 0, adult: 1, change: 2, unknown: 3, ok: 4 } as const
const EATEN =
  /\b(?:eats?|eating|eaten|tastes?|tasting|snacks?|licks?|licking|tries|nibbles?|drinks?|served|lunch)\b/i
/** What is not eaten before it is baked: the flour in it is raw. Source: CDC; FDA; FSA, from memory. */
const RAW_MIX =
  /\b(?:batter|dough|(?:cake|cookie|pancake|muffin|scone|bread) mix(?:ture)?|mixture|raw flour|raw eggs?)\b/i
const TASTES = /\b(?:tastes?|tasting|licks?|licking|eats?|eating|try|tries|trying|nibbles?)\b/i
/** Worked with by children, and eaten by nobody before it is cooked. */
const TASTED = new Set(['d-dough', 'd-egg-uk', 'd-egg-us', 'd-egg-other', 'd-flour-play'])
const RAW = /\b(?:raw|uncooked|undercooked|rare|pink)\b/i
const BABY_MILK = /\b(?:breast ?milk|breast ?feed(?:s|ing)?|formula|infant milk|bottle of milk)\b/i

/** The strictest verdict over every food and job that the words name. */
export function advise({ months, what, as = '', country }: Question): Advice {
  const both = `${what} ${as}`
  const jobs = jobsIn(what, as)
  const tools = knivesIn(both)
  const found: Advice[] = adviseJobs(jobs, months, both, tools)
  const shapes = shapesNamed(what)
  // A job alone serves nothing: what is served is asked about by its own words.
  const eaten = jobs.length === 0 || EATEN.test(both)
  const served = eaten || shapes.some((n) => saysForm(n, what, as))
  if (served) found.push(...shapes.map((n) => adviseShape(n, months, what, as, country)))
  const early = earlyNamed(what, as).filter((n) => eaten || !TASTED.has(n.row.id))
  if (jobs.length === 0 && rawMeatIn(both) && RAW.test(both))
    early.push(...EARLY_ROWS.filter((r) => r.id === 'd-rare-meat').map((row) => ({ row, name: 'raw meat' })))
  found.push(...early.map((n) => adviseEarly(n, months, what, as, country)))
  if (eaten && !BABY_MILK.test(both)) found.push(...solids(months, country))
  if (jobs.length === 0 && found.every((a) => a.result === 'ok'))
    found.push(...tools.map((t) => adviseTool(t, months)))
  found.push(...adviseReadings(both, country))
  const strictest = found.sort((a, b) => RANK[a.result] - RANK[b.result])[0]
  return (
    strictest ?? {
      result: 'unknown',
      until: null,
      do: 'ask someone who knows this food or job, and keep to the gentler choice',
      because: 'Lea does not know these words',
      source: '',
      matched: null,
    }
  )
}

/** Rows of form that the words name, by the table's words or by a food of the list. */
function shapesNamed(what: string): RowNamed<ShapeRow>[] {
  const inside = (short: string, long: string): boolean => ` ${long} `.includes(` ${short} `)
  const byFood = foodsStanding(what).flatMap(({ food, name }): RowNamed<ShapeRow>[] => {
    const row = shapeRow(food.shape)
    return row ? [{ row, name }] : []
  })
  // The longer name is what is meant: "diced lamb" before "lamb", "nut butter" before "nut".
  const byWords = rowsNamed(SHAPE_ROWS, what).filter(
    (w) => !byFood.some((f) => f.row === w.row && inside(w.name, f.name)),
  )
  return [
    ...byWords,
    ...byFood.filter((f) => !byWords.some((w) => w.row === f.row || inside(f.name, w.name))),
  ]
}

const saysForm = ({ name }: RowNamed<ShapeRow>, what: string, as: string): boolean =>
  formsSaidOf(name, what, as).some((codes) => codes.length > 0) || hasWord(`${what} ${as}`, 'whole')

/** Rows of what is too early: one word has to stand in what is asked about; longer names may stand in how. */
function earlyNamed(what: string, as: string): RowNamed<EarlyRow>[] {
  const named = rowsNamed(EARLY_ROWS, `${what} ${as}`, false).filter(
    ({ row, name }) => !row.every && (name.includes(' ') || rowsNamed([row], what).length > 0),
  )
  for (const { food, name } of foodsStanding(what))
    for (const row of earlyRowsOf(food.id)) if (!named.some((n) => n.row === row)) named.push({ row, name })
  const dough = EARLY_ROWS.find((r) => r.id === 'd-dough')
  if (
    dough &&
    RAW_MIX.test(`${what} ${as}`) &&
    TASTES.test(`${what} ${as}`) &&
    !/\b(?:baked|cooked|fried)\b/i.test(`${what} ${as}`)
  )
    named.push({ row: dough, name: 'batter' })
  return named
}

/** Before solid food everything is too early. */
const solids = (months: number, country: Question['country']): Advice[] =>
  EARLY_ROWS.filter((row) => row.every && isTooEarly(row, [[]], months, country)).map((row) =>
    earlyAdvice(row, true, country),
  )

const adviseEarly = (
  { row, name }: RowNamed<EarlyRow>,
  months: number,
  what: string,
  as: string,
  country: Question['country'],
): Advice => earlyAdvice(row, isTooEarly(row, formsSaidOf(name, what, as), months, country), country)

function earlyAdvice(row: EarlyRow, holds: boolean, country: Question['country']): Advice {
  const until = earlyUntil(row, country)
  return {
    result: holds ? row.verdict : 'ok',
    until: until >= ALWAYS || until === 0 ? null : until,
    do: holds ? row.says : 'As it is usual at this age. Seated, upright, watched.',
    because: row.rule,
    source: row.source,
    matched: row.id,
  }
}

function adviseShape(
  { row, name }: RowNamed<ShapeRow>,
  months: number,
  what: string,
  as: string,
  country: Question['country'],
): Advice {
  const forms: Forms = formsSaidOf(name, what, as)
  const breach = shapeBreach(row, forms, months, `${what} ${as}`, country)
  const offer = breach && settlingForm(row, months, `${what} ${as}`)
  return {
    result: breach?.rule.verdict ?? 'ok',
    until: breach?.until ?? null,
    do: breach
      ? `${row.says}${offer ? ` (${preparationText(offer)})` : ''}`
      : 'In this form, at this age: seated, upright, watched.',
    because: breach
      ? `${row.hazard}: ${prepInWords(row.prep) || 'not in this form at this age'}`
      : `${row.hazard}: prepared as the guidance asks at this age`,
    source: row.source,
    matched: row.id,
  }
}

/** The guidance's own codes in words: `QL, pips out` becomes `quartered lengthwise, pips out`. */
const prepInWords = (prep: string): string => prep.replace(/[A-Z]{2,}/g, (code) => preparationText(code))
