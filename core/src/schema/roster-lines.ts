/**
 * Children written down as people write them: one to a line, "Wren, April 2022, milk allergy, Welsh at home". What is no name, month,
 * language, diet, hand or need is read as an allergy, so that nothing said of a child is passed over.
 */
import { dietName, DIETS } from '../food/diets'
import { isNoAllergyAnswer, parseConcern } from '../food/card/parse-concern'
import { languageName, LANGUAGES } from '../learn/languages'
import { NEEDS } from '../plan/model/request'
import { HEADINGS, ROSTER_FIELDS, type RosterColumns, type RosterField } from './roster'

/** At most so many characters of a pasted list are read. */
const MOST = 60_000
const MONTH = '(?:jan|feb|mar|apr|may|june?|july?|aug|sept?|oct|nov|dec)[a-z]*\\.?'
const BORN = '(?:\\b(?:born|b\\.|dob:?|birth:?)\\s*(?:in|on)?\\s*)?'
/** Figures before words: "June 2021-04 egg" is June, born in April. */
const BIRTHS = [
  '\\b\\d{4}-\\d{1,2}(?:-\\d{1,2})?\\b',
  '\\b\\d{1,2}[/.]\\d{1,2}[/.]\\d{4}\\b',
  '\\b\\d{1,2}[/.]\\d{4}\\b',
  `\\b(?:\\d{1,2}(?:st|nd|rd|th)?\\s+)?${MONTH}\\s+\\d{4}\\b`,
].map((form) => new RegExp(`${BORN}(${form})`, 'i'))
const birthIn = (line: string): RegExpExecArray | null =>
  BIRTHS.map((form) => form.exec(line)).find((found) => found !== null) ?? null

const LANGUAGE_NAMES = new Set(Object.keys(LANGUAGES).map((code) => (languageName(code) ?? '').toLowerCase()))
const DIET_NAMES = new Set([...DIETS.map((d) => dietName(d).toLowerCase()), ...DIETS, 'pork free'])

export interface RosterLines {
  /** One row of cells each, in the order of ROSTER_FIELDS, with its line and what was written there. */
  rows: { line: number; cells: string[]; written: string }[]
  columns: RosterColumns
}

/** Whether the first line of a text is a row of headings. */
export const hasHeadings = (cells: readonly string[]): boolean =>
  cells.filter((c) => ROSTER_FIELDS.some((f) => HEADINGS[f].test(c.trim()))).length >= 2

/** @returns every line that says something, as a row that `readRoster` reads */
export function rosterLines(text: string): RosterLines {
  const rows = text
    .slice(0, MOST)
    .split(/\r?\n/)
    .map((written, i) => ({ line: i + 1, written: written.trim() }))
    .filter(({ written }) => /\p{L}/u.test(written))
    .map(({ line, written }) => ({ line, written, cells: cellsOf(written) }))
  const columns = Object.fromEntries(ROSTER_FIELDS.map((f, i) => [f, i])) as RosterColumns
  return { rows, columns }
}

function cellsOf(written: string): string[] {
  // A list's own marks: "1.", "-", "•".
  const line = written.replace(/^\s*(?:\d{1,3}[.)]|[-–•*])\s+/, '')
  const found = birthIn(line)
  const before = found ? line.slice(0, found.index) : line
  const after = found ? line.slice(found.index + found[0].length) : ''
  const [first = '', ...more] = partsOf(before)
  // The month first, then who it is.
  const late = partsOf(after)
  // What stands behind the month may be an allergy as well as a name: then nobody is named.
  const named = first === '' && !isAllergy(late[0] ?? '') ? (late.shift() ?? '') : first
  const name = /\d/.test(named) ? '' : named
  const cells: Record<RosterField, string[]> = {
    nickname: [name],
    birth: [(found?.[1] ?? '').replace(/(\d)(st|nd|rd|th)\b/i, '$1')],
    allergies: [],
    diets: [],
    languages: [],
    hand: [],
    needs: [],
    plan: [],
  }
  for (const part of [...more, ...late]) {
    const [field, value] = placeOf(part)
    cells[field].push(value)
  }
  return ROSTER_FIELDS.map((f) => cells[f].join(f === 'plan' ? '. ' : '; '))
}

/** Commas, semicolons, tabs and bars part; within brackets they do not. */
const partsOf = (text: string): string[] =>
  text
    .replace(/\([^)]*\)/g, (inside) => inside.replace(/[,;|\t]/g, '\ue003'))
    .split(/[,;|\t]+/)
    .map((p) =>
      p
        .replaceAll('\ue003', ',')
        .trim()
        .replace(/^[:–-]\s*|\s*[:–-]$/g, '')
        .replace(/^\(\s*$|^\s*\)/, '')
        .replace(/\($/, '')
        .trim(),
    )
    .filter((p) => /[\p{L}\p{N}]/u.test(p))

const isAllergy = (words: string): boolean =>
  isNoAllergyAnswer(words) || parseConcern(words.toLowerCase()).ids.length > 0

/** Which field a part of a line belongs to, and its words there. What is none of the others is an allergy. */
function placeOf(part: string): [RosterField, string] {
  const words = part.toLowerCase()
  const language = words
    .replace(/^(?:speaks|home language:?|languages?:?)\s+/, '')
    .replace(/\s+(?:at home|speaking|speaker)$/, '')
  const spoken = language.split(/\s+(?:and|&)\s+|\s*\+\s*/)
  if (spoken.every((l) => LANGUAGE_NAMES.has(l) || l === 'english'))
    return ['languages', spoken.map((l) => l.charAt(0).toUpperCase() + l.slice(1)).join('; ')]
  if (DIET_NAMES.has(words)) return ['diets', words]
  if (/^(?:left|right)[- ]?hand(?:ed|er)?$/.test(words)) return ['hand', words]
  if (NEEDS.some((n) => n === words.replace(/\s+/g, '-'))) return ['needs', words]
  if (/^care[- ]?plan\b/.test(words))
    return ['plan', part.replace(/^care[- ]?plan:?\s*/i, '') || 'See the care plan.']
  if (isNoAllergyAnswer(words)) return ['allergies', words]
  return ['allergies', part.replace(/^(?:allergic to|allergy to|allergies:?|allergy:|avoids)\s+/i, '')]
}
