/**
 * A roster as a table (CSV, RFC 4180): columns matched by their headings, every row read into a child or refused with the reason. A word
 * for an allergy that Lea does not know is kept as it stands, for then Lea asks at every food; nothing is passed over in silence.
 */
import { ValidationError } from 'yup'
import { allergenName } from '../food/allergens'
import { DIETS, dietName, type AnyDiet } from '../food/diets'
import { parseConcern, isNoAllergyAnswer } from '../food/card/parse-concern'
import { languageName, LANGUAGES } from '../learn/languages'
import { NEEDS, type Need } from '../plan/model/request'
import type { StoredChild } from '../setting/assemble'
import { childSchema, type ChildInput } from './people'
import { LEVEL_WORDS, LEVELS, type Concern, type Level } from '../food/concern'

/** What a table of children may hold. */
export const ROSTER_FIELDS = [
  'nickname',
  'birth',
  'allergies',
  'diets',
  'languages',
  'hand',
  'needs',
  'plan',
] as const
export type RosterField = (typeof ROSTER_FIELDS)[number]
/** Which column of the table has which field; null: none. */
export type RosterColumns = Record<RosterField, number | null>

export const HEADINGS: Record<RosterField, RegExp> = {
  nickname: /^(nick ?name|known as|first name|name|child|called)$/i,
  birth: /^(birth.*|born.*|date of birth|dob|d\.o\.b\.?)$/i,
  allergies: /^(allerg.*|intoleranc.*|medical.*|health.*|avoids?)$/i,
  diets: /^(diets?|dietary.*|food rules?|religion)$/i,
  languages: /^(languages?|home languages?|spoken at home|language at home)$/i,
  hand: /^(hand|handed(ness)?)$/i,
  needs: /^(needs?|send|support|access)$/i,
  plan: /^(care ?plan|plan)$/i,
}

/** The first column whose heading fits; a person may choose otherwise. */
export function rosterColumns(headings: readonly string[]): RosterColumns {
  const taken = new Set<number>()
  const find = (field: RosterField): number | null => {
    const at = headings.findIndex((h, i) => !taken.has(i) && HEADINGS[field].test(h.trim()))
    if (at < 0) return null
    taken.add(at)
    return at
  }
  return Object.fromEntries(ROSTER_FIELDS.map((f) => [f, find(f)])) as RosterColumns
}

export interface RosterRow {
  /** In the file; the heading is line 1. */
  line: number
  nickname: string
  /** Null where the row is refused. */
  child: ChildInput | null
  fault: string
  /** What was taken for what, where that is not plain. */
  notes: string[]
  /** A child of the same nickname and birth month is there already: it would be changed. */
  known?: string
}

class RowFault extends Error {}

/**
 * @param rows without the heading, each with its line in the file
 * @param today `YYYY-MM-DD`
 * @param there the children that are on the list already
 */
export function readRoster(
  rows: readonly { line: number; cells: readonly string[] }[],
  columns: RosterColumns,
  today: string,
  there: readonly StoredChild[] = [],
): RosterRow[] {
  const seen = new Set<string>()
  return rows.map(({ line, cells }): RosterRow => {
    const cell = (field: RosterField): string => {
      const at = columns[field]
      return at === null ? '' : (cells[at] ?? '').trim().replace(/^'(?=[=+\-@])/, '')
    }
    const notes: string[] = []
    const nickname = cell('nickname')
    try {
      const birth = birthMonthOf(cell('birth'), notes)
      const child = childSchema(today).validateSync({
        nickname,
        birth,
        concerns: concernsOf(cell('allergies'), notes),
        diets: dietsOf(cell('diets'), notes),
        languages: languagesOf(cell('languages')),
        needs: needsOf(cell('needs')),
        ...handOf(cell('hand')),
        ...(cell('plan') !== '' && { carePlan: cell('plan') }),
      })
      const key = `${nickname.toLowerCase()} ${birth}`
      if (seen.has(key)) throw new RowFault('stands in the file twice')
      seen.add(key)
      const known = there.find((c) => `${c.nickname.toLowerCase()} ${c.birth}` === key)
      const alike = there.find((c) => c.nickname.toLowerCase() === nickname.toLowerCase())
      if (!known && alike)
        notes.push(
          `a ${alike.nickname} born ${alike.birth} is on your list: is it the same child? Then put the month right`,
        )
      return { line, nickname, child, fault: '', notes, ...(known && { known: known.id }) }
    } catch (e) {
      if (!(e instanceof ValidationError) && !(e instanceof RowFault)) throw e
      return { line, nickname, child: null, fault: e.message, notes }
    }
  })
}

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ')
const pad = (n: number): string => String(n).padStart(2, '0')

/** A month from `2022-04`, `2022-04-17`, `04/2022`, `17/04/2022` or `April 2022`; of a day only the month is kept. */
function birthMonthOf(text: string, notes: string[]): string {
  const iso = /^(\d{4})-(\d{1,2})(?:-\d{1,2})?$/.exec(text)
  if (iso) return `${iso[1] ?? ''}-${pad(Number(iso[2]))}`
  const short = /^(\d{1,2})[/.](\d{4})$/.exec(text)
  if (short) return `${short[2] ?? ''}-${pad(Number(short[1]))}`
  const day = /^(\d{1,2})[/.](\d{1,2})[/.](\d{4})$/.exec(text)
  if (day) {
    const [, first = '', second = '', year = ''] = day
    if (Number(first) <= 12 && Number(second) <= 12 && first !== second)
      throw new RowFault(
        `birth '${text}' may be day or month first: write it such as ${year}-${pad(Number(second))}`,
      )
    notes.push('only the month of birth is kept')
    return `${year}-${pad(Number(first) > 12 ? Number(second) : Number(first))}`
  }
  const words = /^(?:\d{1,2}\s+)?([a-z]{3,9})\.?\s+(\d{4})$/i.exec(text)
  const month = MONTHS.indexOf((words?.[1] ?? '').slice(0, 3).toLowerCase())
  if (words && month >= 0) return `${words[2] ?? ''}-${pad(month + 1)}`
  throw new RowFault(
    text === '' ? 'Birth month is missing' : `birth '${text.slice(0, 30)}' is no month such as 2022-04`,
  )
}

const parts = (text: string): string[] =>
  text
    .split(/[;,|\n]/)
    .map((t) => t.trim())
    .filter((t) => !isNoAllergyAnswer(t))

/** "milk: allergy, no traces; egg" in both ways: a comma inside a level's own words does not part it. */
function concernParts(text: string): string[] {
  // Nor does one in brackets.
  let rest = text.replace(/\([^)]*\)/g, (inside) => inside.replace(/[;,|\n]/g, '\ue002'))
  const kept: string[] = []
  const words = LEVELS.map((l) => LEVEL_WORDS[l]).filter((w) => w.includes(','))
  words.forEach((w, i) => {
    rest = rest.replaceAll(w, `\ue001${i}\ue001`)
  })
  for (const p of parts(rest))
    kept.push(
      p.replace(/\ue001(\d+)\ue001/g, (_, i: string) => words[Number(i)] ?? '').replaceAll('\ue002', ','),
    )
  return kept
}

const LEVEL_OF: [RegExp, Level][] = [
  [/not in (the )?room|airborne/i, 'not-in-room'],
  [/anaphyla|epi-?pen|auto-?injector|severe/i, 'anaphylaxis-risk'],
  [/intoleran/i, 'intolerance'],
  [/prefer|rather not|dislike/i, 'preference'],
  [/skin|contact/i, 'contact-skin'],
  [/baked/i, 'allergy-eats-baked'],
  [/may[- ]contain/i, 'allergy-ingredient'],
  [/coeliac|celiac/i, 'coeliac'],
  [/strict|traces/i, 'allergy-strict'],
]

function concernsOf(text: string, notes: string[]): Concern[] {
  return concernParts(text).flatMap((part): Concern[] => {
    const [, name = part, inside = ''] = /^([^:(]+)[:(]\s*([^)]*)\)?$/.exec(part) ?? []
    const words = name
      .trim()
      .toLowerCase()
      .replace(/\s+allerg(y|ic)$/, '')
    const { ids, open } = parseConcern(words)
    const [id] = ids
    const exact = LEVELS.find((l) => l === inside.trim() || LEVEL_WORDS[l] === inside.trim())
    const level =
      exact ??
      LEVEL_OF.find(([w]) => w.test(inside) || w.test(name))?.[1] ??
      (id === 'coeliac' ? 'coeliac' : id === 'lactose-intolerance' ? 'intolerance' : 'unknown')
    if (ids.length === 0)
      notes.push(
        open
          ? `'${words}' is not an allergen Lea knows: it will ask at every food`
          : `'${words}' is looked for by its name`,
      )
    else if (open) notes.push(`'${words}' may mean more than Lea knows: it will ask at every food`)
    else if (ids.length > 1) notes.push(`'${words}' is taken for ${ids.map(allergenName).join(' and ')}`)
    if (inside.trim() !== '' && level === 'unknown' && !exact)
      notes.push(`'${inside.trim()}' is no level Lea knows: treated as strict`)
    return open || ids.length === 0
      ? [{ allergen: words, level }]
      : ids.map((allergen) => ({ allergen, level }))
  })
}

function dietsOf(text: string, notes: string[]): AnyDiet[] {
  return parts(text).map((part): AnyDiet => {
    const words = part.toLowerCase()
    const diet = DIETS.find(
      (d) => d === words || dietName(d) === words || (d === 'no-pork' && words === 'pork free'),
    )
    if (diet) return diet
    const own = `own:${words
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40)}` as const
    notes.push(`'${part}' is a diet of your own: say in Setting what it avoids`)
    return own
  })
}

const LANGUAGE_CODES = new Map(
  Object.keys(LANGUAGES).map((code) => [(languageName(code) ?? '').toLowerCase(), code]),
)
const languagesOf = (text: string): string[] =>
  parts(text)
    .filter((t) => !/^english$/i.test(t))
    .map((t) => LANGUAGE_CODES.get(t.toLowerCase()) ?? t)

function needsOf(text: string): Need[] {
  return parts(text).map((t): Need => {
    const words = t.toLowerCase().replace(/\s+/g, '-')
    const need = NEEDS.find((n) => n === words)
    if (!need)
      throw new RowFault(`need '${t}' is none of: ${NEEDS.map((n) => n.replaceAll('-', ' ')).join(', ')}`)
    return need
  })
}

function handOf(text: string): { hand?: 'left' | 'right' } {
  if (text === '') return {}
  if (/^l/i.test(text)) return { hand: 'left' }
  if (/^r/i.test(text)) return { hand: 'right' }
  throw new RowFault(`hand '${text}' is neither left nor right`)
}

/** The roster as rows of words, the heading first; `readRoster` reads them back as they were. */
export function rosterRows(children: readonly StoredChild[]): string[][] {
  return [
    [...ROSTER_FIELDS],
    ...children.map((c) => [
      c.nickname,
      c.birth,
      c.concerns.map((x) => `${x.allergen}: ${x.level}`).join('; '),
      c.diets.map((d) => dietName(d)).join('; '),
      c.languages.join('; '),
      c.hand ?? '',
      c.needs.join('; '),
      c.carePlan ?? '',
    ]),
  ]
}

/**
 * A child of the list with what a table says beside. A table only ever adds: an allergy, its level, a diet, a need or a plan that the list
 * has is taken away by hand alone.
 */
export function withMore(before: StoredChild, said: ChildInput): ChildInput {
  const union = <T>(a: readonly T[], b: readonly T[]): T[] => [...new Set([...a, ...b])]
  const fresh = said.concerns.filter((c) => !before.concerns.some((b) => b.allergen === c.allergen))
  const { progress: _, version: __, id: ___, ...kept } = before
  return {
    ...kept,
    ...said,
    ...((said.carePlan ?? before.carePlan) !== undefined && { carePlan: said.carePlan ?? before.carePlan }),
    ...((said.hand ?? before.hand) !== undefined && { hand: said.hand ?? before.hand }),
    limits: before.limits,
    concerns: [...before.concerns, ...fresh],
    diets: union(before.diets, said.diets),
    languages: union(before.languages, said.languages),
    needs: union(before.needs, said.needs),
  }
}
