/**
 * Words as a file (CSV, RFC 4180): one row for each word in each language, to hand to a speaker and to read back.
 * Columns: id, kind, english, language, word, reading, checked.
 */
import Papa from 'papaparse'
import { ValidationError } from 'yup'
import { GLOSSARY_ROWS, Glossary, localeFor, type OwnWord } from '@lea/core/learn'
import { ownWordSchema } from '@lea/core/schema'

const COLUMNS = ['id', 'kind', 'english', 'language', 'word', 'reading', 'checked'] as const
type Row = Record<(typeof COLUMNS)[number], string>

/** A row that cannot be taken, by its line in the file (the heading is line 1). */
export interface RowFault {
  line: number
  says: string
}

/** Every word Lea and the setting have in these languages, as its country says it; a word that is missing stands empty, to be filled in. */
export function wordsToCsv(own: readonly OwnWord[], languages: readonly string[], country?: string): string {
  const glossary = new Glossary(own, localeFor(country))
  const ids = [...new Set([...GLOSSARY_ROWS.map((r) => r.id), ...own.map((w) => w.id)])]
  const rows = ids.flatMap((id) =>
    languages.map((language): Row => {
      const home = glossary.home(id, language)
      return {
        id,
        kind: glossary.kind(id) ?? 'concept',
        english: glossary.english(id),
        language,
        word: home?.word ?? '',
        reading: home?.roman ?? '',
        checked: home && !home.askSpeaker ? 'yes' : '',
      }
    }),
  )
  // A spreadsheet must not take a word for a formula.
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: true })
}

/**
 * Reads such a file. Rows without a word are passed over; a row at fault is named, and then nothing is taken.
 * @returns the words, in the order of the file
 */
export function wordsFromCsv(text: string): { words: OwnWord[]; faults: RowFault[] } {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  })
  const missing = ['id', 'language', 'word'].filter((c) => !(meta.fields ?? []).includes(c))
  if (missing.length > 0)
    return { words: [], faults: [{ line: 1, says: `the heading has no column '${missing.join("', '")}'` }] }
  const faults: RowFault[] = errors
    .filter((e) => e.code !== 'TooFewFields')
    .map((e) => ({ line: (e.row ?? 0) + 2, says: e.message }))
  const words = new Map<string, OwnWord>()
  data.forEach((raw, i) => {
    const row = Object.fromEntries(
      COLUMNS.map((c) => [c, (raw[c] ?? '').trim().replace(/^'(?=[=+\-@])/, '')]),
    ) as Row
    if (row.word === '') return
    try {
      take(words, row)
    } catch (fault) {
      if (!(fault instanceof ValidationError)) throw fault
      faults.push({ line: i + 2, says: fault.message })
    }
  })
  return { words: [...words.values()], faults: faults.sort((a, b) => a.line - b.line) }
}

const KNOWN = new Map(GLOSSARY_ROWS.map((r) => [r.id, r]))

function take(words: Map<string, OwnWord>, row: Row): void {
  const before = words.get(row.id)
  const shipped = KNOWN.get(row.id)
  const ours = [shipped?.['en-GB'], shipped?.['en-US']]
  const english = row.english && !ours.includes(row.english) ? row.english : before?.english
  const word = ownWordSchema.validateSync(
    {
      id: row.id,
      kind: row.kind || shipped?.kind || 'concept',
      ...(english && { english }),
      home: [
        ...(before?.home ?? []).filter((h) => h.language !== row.language),
        {
          language: row.language,
          word: row.word,
          ...(row.reading && { reading: row.reading }),
          ...(/^(yes|y|true|1|x)$/i.test(row.checked) && { checked: true }),
        },
      ],
    },
    { abortEarly: true },
  )
  words.set(word.id, word)
}
