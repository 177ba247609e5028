/** The table of figures that `./lea bench --write` keeps in docs/bench.md: what was measured, its goal, its yardstick, and why a goal is missed. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'

export interface Figure {
  /** Of one line: "plan of 12 children, draft, p95". */
  what: string
  value: number
  unit: string
  /** At most this, or at least where it says so; none: told, not judged. */
  goal?: number
  atLeast?: true
  /** What stands beside it in the same run. */
  beside?: { what: string; value: number; unit: string }
  /** Why it is missed, where it is. */
  why?: string
}

const figures: { part: string; figure: Figure }[] = []

/** Keeps a figure for the table. @param part the benchmark that measured it */
export const keepFigure = (part: string, figure: Figure): void => void figures.push({ part, figure })

const isMet = ({ value, goal, atLeast }: Figure): boolean =>
  goal === undefined || (atLeast ? value >= goal : value <= goal)
const number = (n: number): string =>
  n >= 100 ? n.toFixed(0) : n >= 10 ? n.toFixed(1) : n.toFixed(n === Math.round(n) ? 0 : 2)

/** Rows and reasons of the parts that were not measured now: they stay, with their own day. */
function keptOf(before: string): { rows: string[]; whys: string[] } {
  const measured = new Set(figures.map((f) => f.part))
  const rows = before.split('\n').filter((l) => {
    const [, part = ''] = l.split(' | ')[0]?.match(/^\| (\w+)$/) ?? []
    return part !== '' && part !== 'bench' && !measured.has(part)
  })
  const names = new Set(rows.map((r) => r.split(' | ')[1]))
  const whys = before.split('\n').filter((l) => names.has(/^- \*\*(.+?)\*\*/.exec(l)?.[1]))
  return { rows, whys }
}

/** @param day of the run, `YYYY-MM-DD` @param before the table as it stood */
function tableText(day: string, before: string): string {
  const kept = keptOf(before)
  const rows = figures.map(({ part, figure: f }) => {
    const goal = f.goal === undefined ? '' : `${f.atLeast ? '≥' : '≤'} ${number(f.goal)} ${f.unit}`
    const ratio = f.beside && f.value > 0 ? `× ${number(f.beside.value / f.value)}` : ''
    const beside = f.beside ? `${f.beside.what}: ${number(f.beside.value)} ${f.beside.unit}` : ''
    const verdict = f.goal === undefined ? '' : isMet(f) ? 'met' : 'missed'
    return `| ${part} | ${f.what} | ${number(f.value)} ${f.unit} | ${goal} | ${verdict} | ${beside} | ${ratio} | ${day} |`
  })
  const missed = figures.filter(({ figure: f }) => !isMet(f))
  const whys = [
    ...kept.whys,
    ...missed.map(({ figure: f }) => `- **${f.what}**: ${f.why ?? 'not looked into yet.'}`),
  ]
  const [first] = cpus()
  return [
    '# Benchmarks',
    '',
    'Written by `./lea bench --write`; never by hand. Times are of this machine at that day: compare what stands side by side in one run.',
    '',
    `Machine: ${cpus().length} × ${first?.model.trim() ?? 'unknown'}, Node ${process.versions.node}.`,
    '',
    '| bench | figure | measured | goal | | yardstick in the same run | yardstick / measured | day |',
    '| --- | --- | --- | --- | --- | --- | --- | --- |',
    ...kept.rows,
    ...rows,
    '',
    ...(whys.length > 0 ? ['## Missed, and why', '', ...whys, ''] : []),
  ].join('\n')
}

/** Keeps the table: what was measured in this run takes the place of the same parts of earlier ones. @param file where it is written */
export const writeTable = (file: string): void =>
  writeFileSync(
    file,
    tableText(new Date().toISOString().slice(0, 10), existsSync(file) ? readFileSync(file, 'utf8') : ''),
  )
