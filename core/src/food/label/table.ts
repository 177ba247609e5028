/**
 * Tables and tick boxes: a cell that says yes or no decides about its own row and nothing else. Words of the languages that are read, by
 * ordinary meaning, from memory.
 */

/** What a cell says about the words `[start, end)`, and where its own words stand, which are no ingredients. */
export interface CellVerdict {
  start: number
  end: number
  says: 'contains' | 'may' | 'free' | 'ask'
  cells: [number, number][]
}

const YES =
  /^(yes|y|oui|ja|s[ií]|sim|tak|ydy|ydyn|oes|так|نعم|ہاں|sì|evet|var|da|contains|present|enthalten|✓|✔|☑|✅|√|\[x\])$/i
const NO =
  /^(no|n|non|nein|não|nie|nac ydy|nag oes|ні|لا|نہیں|nee|nu|hayır|yok|none|absent|not present|free|✗|✘|❌|☐|□|\[ \])$/i
const MAY =
  /^(may|may contain|traces?|possible|possible traces|spuren|traces éventuelles|trazas|vestígios|ślady|сліди|tracce|sporen|urme|eser)$/i
/** Crosses mean "holds it" in many tables: they say no only where a tick stands on the same packet. */
const CROSS = /[✗✘❌]/
const TICK = /[✓✔☑✅√]|\[x\]/i

interface Cell {
  text: string
  start: number
  end: number
}

function cellsOf(line: string, at: number, by: RegExp): Cell[] {
  const cells: Cell[] = []
  let from = 0
  for (const part of line.split(by)) {
    const inner = part.trim()
    const start = at + from + part.indexOf(inner)
    if (inner !== '') cells.push({ text: inner.replace(/[.;:]$/, ''), start, end: start + inner.length })
    from += part.length + 1
  }
  return cells
}

const isVerdict = (text: string): boolean => YES.test(text) || NO.test(text) || MAY.test(text)

/** Which column is which: "Allergen | Contains | May contain". */
function headings(cells: readonly Cell[]): ('contains' | 'may' | 'free')[] | null {
  const kinds = cells.map(({ text }) =>
    /may|trace|spuren|cross|possible/i.test(text)
      ? 'may'
      : /free|without|absent/i.test(text)
        ? 'free'
        : /contain|present|ingredient|enth|contient|contiene/i.test(text)
          ? 'contains'
          : null,
  )
  const named = kinds.filter((k) => k !== null)
  return named.length > 0 && cells.length > 1 ? named : null
}

function decide(
  cells: readonly Cell[],
  columns: readonly ('contains' | 'may' | 'free')[] | null,
  ticks: boolean,
): CellVerdict['says'] {
  let says: CellVerdict['says'] = 'free'
  cells.forEach(({ text }, i) => {
    const column = columns?.length === cells.length ? columns[i] : undefined
    const yes = YES.test(text) || (CROSS.test(text) && !ticks)
    if (MAY.test(text) || (yes && column === 'may')) {
      if (says === 'free') says = 'may'
    } else if (yes) {
      if (column !== 'free') says = 'contains'
    }
  })
  return says
}

/** @returns what the cells of the tables and boxes of a text decide, in its order */
export function tableVerdicts(text: string): CellVerdict[] {
  // Nothing of the kind on most packets.
  if (!/[|¦\t:=✓✔☑✅√✗✘❌☐□]|\[[x ]\]| [-–—] /i.test(text)) return []
  const out: CellVerdict[] = []
  const ticks = TICK.test(text)
  let columns: ('contains' | 'may' | 'free')[] | null = null
  let at = 0
  for (const line of text.split('\n')) {
    const cells = cellsOf(line, at, /[|\t]/)
    const [name, ...rest] = cells
    if (name && rest.length > 0 && rest.every((c) => isVerdict(c.text) || CROSS.test(c.text))) {
      out.push({
        start: name.start,
        end: name.end,
        says: decide(rest, columns, ticks),
        cells: rest.map((c) => [c.start, c.end]),
      })
    } else if (name && rest.length > 0 && headings(rest)) {
      columns = headings(rest)
    } else out.push(...inLine(line, at, ticks))
    at += line.length + 1
  }
  return out
}

/** A "no" is about a name; of a whole list of words it is not sure which it means. */
const freeOf = (name: string): CellVerdict['says'] => (name.trim().split(/\s+/).length > 4 ? 'ask' : 'free')

/** "Milk: yes, egg: no", "Milk ✓ Egg ✗", "☑ Milk ☐ Egg". */
function inLine(line: string, at: number, ticks: boolean): CellVerdict[] {
  const out: CellVerdict[] = []
  const words = /([^,;:.!?|•\n✓✔☑✅√✗✘❌☐□[\]]+?)\s*(?:[:=]|\s[-–—])\s*([\p{L} ]+?)\s*(?=[,;.•|]|$)/giu
  for (const found of line.matchAll(words)) {
    const [whole, name = '', word = ''] = found
    if (!isVerdict(word.trim())) continue
    const start = at + found.index + (name.length - name.trimStart().length)
    const cell = at + found.index + whole.lastIndexOf(word)
    out.push({
      start,
      end: at + found.index + name.length,
      says: YES.test(word.trim()) ? 'contains' : MAY.test(word.trim()) ? 'may' : freeOf(name),
      cells: [[cell, cell + word.length]],
    })
  }
  const mark = '([✓✔☑✅√✗✘❌☐□]|\\[[xX ]\\])'
  // A line that begins with a box has its names behind the boxes, else before the marks.
  const before = new RegExp(`^\\s*${mark}`).test(line)
  const marked = new RegExp(
    before ? `${mark}\\s*([^,;:.!?|•✓✔☑✅√✗✘❌☐□[\\]]+)` : `([^,;:.!?|•✓✔☑✅√✗✘❌☐□[\\]]+?)\\s*${mark}`,
    'gu',
  )
  for (const found of line.matchAll(marked)) {
    const sign = (before ? found[1] : found[2]) ?? ''
    const name = (before ? found[2] : found[1]) ?? ''
    const from = at + found.index + found[0].indexOf(name)
    const yes = TICK.test(sign)
    // An empty box says nothing as long as no box is ticked; a cross may mean that it is in it.
    const says = yes ? 'contains' : ticks ? freeOf(name) : 'ask'
    out.push({ start: from, end: from + name.length, says, cells: [] })
  }
  return out
}
