/**
 * May a child of this age have this food in this shape, or do this job with this tool? Free words in, one verdict out.
 * Foods: choking.json and too-early.json; jobs: techniques.json; knives: the ladder below. The youngest eater counts.
 * Default profile: the stricter of UK and US guidance (age-skill-safety.md C0; from memory). Never says 'safe'.
 */
import { formFor, TECHNIQUES, type Technique } from '../craft/techniques'
import { PREPARATIONS, SHAPE_ROWS, settles, type ShapeRow, type ShapeRule } from '../food/choking'
import { normaliseLabel } from '../food/label/text'
import { EARLY_ROWS, type EarlyRow } from '../food/too-early'
import { JOB_WORDS, KNIFE_WORDS, SHAPE_WORDS } from './advice-words'
import { adviseReadings } from './readings'
import type { Advice } from './verdict'

export type { Advice } from './verdict'
export interface Question {
  months: number
  what: string
  as?: string
  country?: 'uk' | 'us'
}

const RANK = { stop: 0, change: 1, adult: 2, unknown: 3, ok: 4 } as const
const HOLD = 999

const padded = (text: string): string => ` ${normaliseLabel(text)} `
const has = (text: string, phrase: string): boolean => text.includes(` ${normaliseLabel(phrase)} `)

/** The strictest verdict over every food and job that the words name. */
export function advise({ months, what, as = '', country }: Question): Advice {
  const named = padded(what)
  const form = padded(as)
  const both = padded(`${what} ${as}`)
  const jobs = jobsIn(named)
  const tools = KNIFE_WORDS.filter((k) => k.words.some((w) => has(both, w)))
  const shaped = SHAPE_WORDS.some(([words]) => words.some((w) => has(both, w)))
  const found: Advice[] = jobs.map((job) => adviseJob(job, months, both, tools))
  // A tool alone names no shape: what is served is asked about by its own words.
  if (jobs.length === 0 || shaped || /( eat| eats| taste| tastes| snack) /.test(both)) {
    found.push(
      ...longestNamed(SHAPE_ROWS, named).map((row) => adviseShape(row, months, named, form, country)),
    )
  }
  found.push(...earlyRows(both, named).map((row) => adviseEarly(row, months, country)))
  if (jobs.length === 0 && found.length === 0) found.push(...tools.map((t) => adviseTool(t, months)))
  found.push(...adviseReadings(`${what} ${as}`, country))
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

/** Rows whose name stands in the text; a name inside a longer one that also stands there is not meant. */
function longestNamed<R extends { names: string[] }>(rows: readonly R[], text: string): R[] {
  const hits = rows.flatMap((row) =>
    row.names.filter((n) => has(text, n)).map((name) => ({ row, name: normaliseLabel(name) })),
  )
  const kept = hits.filter(
    (h) => !hits.some((o) => o.name !== h.name && padded(o.name).includes(` ${h.name} `)),
  )
  return [...new Set(kept.map((h) => h.row))]
}

function earlyRows(both: string, named: string): EarlyRow[] {
  const rows = longestNamed(EARLY_ROWS, both)
  return rows.filter((r) => r.names.some((n) => (n.includes(' ') ? has(both, n) : has(named, n))))
}

function adviseEarly(row: EarlyRow, months: number, country: Question['country']): Advice {
  const limits = country ? [row.until[country]] : [row.until.uk, row.until.us]
  const until = Math.max(...limits.map((l) => l ?? 0))
  const holds = months < until
  return {
    result: holds ? row.verdict : 'ok',
    until: until >= HOLD || until === 0 ? null : until,
    do: row.says,
    because: row.rule,
    source: row.source,
    matched: row.id,
  }
}

/** Preparation codes that the words name. */
function shapeCodes(text: string): string[] {
  const words = padded(text)
  return [
    ...new Set(SHAPE_WORDS.filter(([list]) => list.some((w) => has(words, w))).flatMap(([, codes]) => codes)),
  ]
}

function adviseShape(
  row: ShapeRow,
  months: number,
  named: string,
  form: string,
  country: Question['country'],
): Advice {
  const codes = shapeCodes(`${named} ${form}`)
  const said = form.trim() !== '' || codes.length > 0
  const cap = country ? row.until[country] : null
  const broken = row.rules.filter((r) => {
    if (r.below !== null && months >= (cap === null ? r.below : Math.min(r.below, cap))) return false
    if (country && cap === null && row.until.uk !== row.until.us && r.below !== null) return false
    if (settles(r.unless, codes)) return false
    return !r.forms || !said || codes.length === 0 || formMeets(r, `${named}${form}`)
  })
  const rule = broken.find((r) => r.verdict === 'stop') ?? broken[0]
  const limit = rule?.below ?? null
  const last = Math.max(...row.rules.filter((r) => broken.includes(r)).map((r) => r.below ?? HOLD), 0)
  return {
    result: rule?.verdict ?? 'ok',
    until: rule ? (last >= HOLD ? null : Math.max(limit ?? 0, last)) : null,
    do:
      rule && row.offer
        ? `${row.says} (${PREPARATIONS[row.offer] ?? row.offer.toLowerCase()})`
        : `${row.says} Seated, upright, watched.`,
    because: rule
      ? `${row.hazard}: ${prepInWords(row.prep) || 'not in this form at this age'}`
      : `${row.hazard}: prepared as the guidance asks at this age`,
    source: row.source,
    matched: row.id,
  }
}

/** The guidance's own codes in words: `QL, pips out` becomes `quartered lengthwise, pips out`. */
const prepInWords = (prep: string): string =>
  prep.replace(/[A-Z]{2,}/g, (code) =>
    code === 'QL' ? 'quartered lengthwise' : (PREPARATIONS[code] ?? code.toLowerCase()),
  )

const stem = (word: string): string => word.replace(/(es|s)$/, '')

/** Does the form given meet one of the forms a rule speaks of ("coins" meets "coin")? */
function formMeets(rule: ShapeRule, text: string): boolean {
  const words = new Set(normaliseLabel(text).split(' ').map(stem))
  return (rule.forms ?? []).some((f) =>
    normaliseLabel(f)
      .split(' ')
      .map(stem)
      .filter((w) => w !== 'raw')
      .every((w) => words.has(w)),
  )
}

/** The jobs that the words name; heat and raw meat win over the plain job inside them. */
function jobsIn(text: string): Technique[] {
  const ids = JOB_WORDS.filter(({ all }) =>
    all.every((alternatives) => alternatives.some((w) => has(text, w))),
  ).map((j) => j.id)
  const byName = TECHNIQUES.filter((t) => has(text, t.id.replace(/-/g, ' ')) || has(text, t.name)).map(
    (t) => t.id,
  )
  return TECHNIQUES.filter((t) => ids.includes(t.id) || byName.includes(t.id))
}

const age = (months: number): string => (months % 12 === 0 ? `${months / 12} years` : `${months} months`)

function adviseJob(
  job: Technique,
  months: number,
  text: string,
  tools: readonly (typeof KNIFE_WORDS)[number][],
): Advice {
  const base = { source: `${job.source} (from memory)`, matched: job.id }
  if (job.id === 'deep-fry')
    return { ...base, result: 'stop', until: null, do: 'Not with children in the room.', because: job.cue }
  const form = formFor(job, months)
  if (form.kind === 'adult') {
    const from = job.supervision.find((s) => s.code === 'A')?.below ?? null
    return {
      ...base,
      result: 'adult',
      until: from,
      do: 'An adult does it; children stand behind the line.',
      because: form.why,
    }
  }
  if (form.kind === 'not-yet') {
    const from = job.supervision.find((s) => s.code === 'N')?.below ?? null
    const neighbour = job.neighbour ? job.neighbour.job : `watch, or a gentler job; ${job.name} ${form.why}`
    return { ...base, result: 'change', until: from, do: neighbour, because: `${job.name}: ${form.why}` }
  }
  const knife = tools.map((t) => adviseTool(t, months)).find((a) => a.result !== 'ok')
  if (knife && job.hazard === 'blade')
    return { ...knife, do: `${form.tool}, an adult beside`, matched: `${job.id}/${knife.matched ?? ''}` }
  const rung = job.hazard === 'blade' && tools.length > 0 ? undefined : tooEarlyRung(job, months, text)
  if (rung) {
    return {
      ...base,
      result: 'change',
      until: rung.fromMonths,
      do: `${form.tool || 'a softer food or tool'}, an adult beside`,
      because: `${rung.tool}: from ${age(rung.fromMonths)}`,
    }
  }
  const beside =
    form.code === 'B'
      ? `an adult beside, at most ${form.perAdult} to an adult`
      : `one adult at the table, at most ${form.perAdult} children`
  return {
    ...base,
    result: 'ok',
    until: null,
    do: `${form.tool ? `${form.tool}; ` : ''}${beside}. ${job.cue}`,
    because: `${job.name}: the usual form at this age`,
  }
}

/** A rung of the ladder whose tool or food the words name, and that comes later. */
function tooEarlyRung(job: Technique, months: number, text: string): Technique['ladder'][number] | undefined {
  const words = new Set(
    normaliseLabel(text)
      .split(' ')
      .map(stem)
      .filter((w) => w.length > 3),
  )
  const weight = (tool: string): number =>
    normaliseLabel(tool)
      .split(' ')
      .map(stem)
      .filter((w) => words.has(w)).length
  return [...job.ladder]
    .filter((r) => r.fromMonths > months && weight(r.tool) > 0)
    .sort((a, b) => weight(b.tool) - weight(a.tool) || b.fromMonths - a.fromMonths)
    .find((r) => !job.ladder.some((o) => o.fromMonths <= months && weight(o.tool) > weight(r.tool)))
}

function adviseTool(tool: (typeof KNIFE_WORDS)[number], months: number): Advice {
  const base = { source: 'common practice (knife ladder), from memory', matched: tool.id }
  if (tool.from === null)
    return {
      ...base,
      result: 'adult',
      until: null,
      do: 'An adult does it.',
      because: 'adult only at every age here',
    }
  if (months < tool.from)
    return {
      ...base,
      result: 'change',
      until: tool.from,
      do: 'a softer tool, an adult beside',
      because: `${tool.words[0] ?? tool.id}: from ${age(tool.from)}`,
    }
  return {
    ...base,
    result: 'ok',
    until: null,
    do: months < tool.overseen ? 'an adult beside' : 'one adult at the table',
    because: 'the usual tool at this age',
  }
}
