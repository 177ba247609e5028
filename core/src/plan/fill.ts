/**
 * Jobs for those who would wait: every stretch in which a child has nothing to do longer than its age bears gets one, the useful
 * ones first, no longer than the age stays with one job, never the same again while there is another. Clearing up is done while
 * everyone waits for the oven; where there is no such wait it follows at the end.
 */
import { attention, longestWait } from '../craft/ages'
import { FILLER_JOBS, type Filler } from '../craft/beside'
import { choicesAt } from '../craft/choices'
import { techniqueIn } from '../craft/house'
import { formFor } from '../craft/techniques'
import type { Clocked, Person } from './draft'
import { forbiddenTouch } from './partake'
import type { FillJob, StepTime } from './plan'
import type { PlanRequest } from './request'
import { SINK_PLACES } from './waves'

/** A wait for the oven from so many seconds on is used to clear up. */
const CLEARING_WAIT = 300
/** So long clearing up takes where nobody waits for anything. Source: common practice. */
export const CLEAR_UP_SECONDS = 240

type Draft = Pick<Clocked, 'people' | 'bowls' | 'tasks' | 'turns' | 'schedule' | 'foods' | 'packets'>
interface Span {
  start: number
  end: number
}
interface Gap extends Span {
  child: Person
  step: string
  /** The table is free: everyone waits, or it is over. */
  free: boolean
}

export interface Filled {
  fill: FillJob[]
  /** Clearing up after the end; none where a wait was used for it. */
  clearUp: Span | null
}

export function fillJobs(draft: Draft, request: PlanRequest): Filled {
  const fill: FillJob[] = []
  let clearUp: Span | null = null
  for (const sitting of new Set(draft.schedule.map((s) => s.sitting))) {
    const steps = draft.schedule.filter((s) => s.sitting === sitting && !isNight(s))
    const end = Math.max(0, ...steps.map((s) => s.start + s.seconds))
    const ids = new Set(steps.map((s) => s.step))
    const waits = steps.filter((s) => s.passive && s.seconds >= CLEARING_WAIT)
    const gaps = draft.people.flatMap((child) => gapsOf(child, draft, steps, ids, end))
    const after = waits.length === 0 && sitting === 1 && ids.size > 0
    const last = steps.at(-1)?.step ?? ''
    const closing = after ? { start: end, end: end + CLEAR_UP_SECONDS } : null
    if (closing) {
      clearUp = closing
      for (const child of draft.people)
        if (child.age >= 24) gaps.push({ ...closing, child, step: last, free: true })
    }
    deal(gaps, sitting, draft, request, fill)
  }
  return { fill, clearUp }
}

const isNight = (s: StepTime): boolean => s.passive && s.seconds >= 3 * 3600

/** Every stretch of a child without a job, cut to what its age stays with. */
function gapsOf(
  child: Person,
  draft: Draft,
  steps: readonly StepTime[],
  ids: ReadonlySet<string>,
  end: number,
): Gap[] {
  const stepOf = new Map(draft.tasks.map((t) => [t.id, t.step]))
  const own = draft.turns
    .filter((t) => t.child === child.id && ids.has(stepOf.get(t.task) ?? ''))
    .sort((a, b) => a.start - b.start)
  const gaps: Span[] = []
  let from = 0
  for (const turn of own) {
    if (turn.start > from) gaps.push({ start: from, end: turn.start })
    from = Math.max(from, turn.end)
  }
  if (end > from) gaps.push({ start: from, end })
  const bears = Math.max(60, longestWait(child.age))
  return gaps.flatMap((gap) =>
    cutAt(gap, steps).flatMap((piece) =>
      piece.end - piece.start <= bears && !piece.free ? [] : shortened(piece, attention(child.age), child),
    ),
  )
}

/** A gap in pieces: those in which the whole table waits apart from the others. */
function cutAt(gap: Span, steps: readonly StepTime[]): (Span & { free: boolean; step: string })[] {
  const pieces: (Span & { free: boolean; step: string })[] = []
  for (const s of steps) {
    const start = Math.max(gap.start, s.start)
    const end = Math.min(gap.end, s.start + s.seconds)
    if (end <= start) continue
    const before = pieces.at(-1)
    if (before && !before.free && !s.passive && before.end === start) before.end = end
    else pieces.push({ start, end, free: s.passive, step: s.step })
  }
  return pieces.filter((p) => p.end - p.start >= 30)
}

function shortened(piece: Span & { free: boolean; step: string }, most: number, child: Person): Gap[] {
  const parts = Math.max(1, Math.ceil((piece.end - piece.start) / most))
  const long = (piece.end - piece.start) / parts
  return Array.from({ length: parts }, (_, i) => ({
    ...piece,
    child,
    start: Math.round(piece.start + i * long),
    end: Math.round(piece.start + (i + 1) * long),
  }))
}

/** What was dealt so far, ready to be asked. */
interface Ledger {
  fill: FillJob[]
  byJob: Map<string, FillJob[]>
  byAdult: Map<string, FillJob[]>
  times: Map<string, number>
  /** Of this sitting: turns at the sink, and when each adult has their hands full. */
  sink: Span[]
  busy: Map<string, Span[]>
}

function ledgerOf(sitting: number, draft: Draft, fill: FillJob[]): Ledger {
  const steps = new Set(draft.schedule.filter((s) => s.sitting === sitting).map((s) => s.step))
  const own = draft.tasks.filter((t) => steps.has(t.step))
  const sinks = new Set(own.filter((t) => t.place === 'sink').map((t) => t.id))
  const busy = new Map<string, Span[]>()
  for (const { adult, mode, start, end } of own)
    if (adult && mode !== 'WAIT' && start !== undefined && end !== undefined) add(busy, adult, { start, end })
  return {
    fill,
    byJob: groupBy(fill, (f) => f.job),
    byAdult: new Map(),
    times: new Map(),
    sink: draft.turns.filter((t) => sinks.has(t.task)),
    busy,
  }
}

const add = <T>(map: Map<string, T[]>, key: string, value: T): void => {
  const list = map.get(key)
  if (list) list.push(value)
  else map.set(key, [value])
}
const groupBy = <T>(list: readonly T[], key: (t: T) => string): Map<string, T[]> => {
  const map = new Map<string, T[]>()
  for (const one of list) add(map, key(one), one)
  return map
}

/** In the order of time; of those who wait at once first who has cleared up least. */
function deal(gaps: Gap[], sitting: number, draft: Draft, request: PlanRequest, fill: FillJob[]): void {
  const ledger = ledgerOf(sitting, draft, fill)
  const had = (child: string, job: string): number => ledger.times.get(`${child} ${job}`) ?? 0
  const count = (child: string, job: string): void => {
    ledger.times.set(`${child} ${job}`, had(child, job) + 1)
  }
  const starts = groupBy(gaps, (g) => String(g.start))
  for (const start of [...starts.keys()].sort((a, b) => Number(a) - Number(b))) {
    const waiting = (starts.get(start) ?? []).map((gap, seat) => ({ gap, seat }))
    waiting.sort((a, b) => had(a.gap.child.id, 'clears') - had(b.gap.child.id, 'clears') || a.seat - b.seat)
    for (const { gap } of waiting) {
      const { id, age } = gap.child
      const [first, ...others] = FILLER_JOBS.filter((job) => may(job, gap, draft, request, ledger))
        .map((job, rank) => ({ job, rank, times: had(id, job.id) }))
        .sort((a, b) => a.times - b.times || a.rank - b.rank)
        .map((x) => x.job)
      if (!first) continue
      const adult = besideNeeded(first, gap, request) ? freeAdult(gap, request, ledger) : null
      const row: FillJob = {
        child: id,
        step: gap.step,
        sitting,
        job: first.id,
        says: first.job,
        ...(first.clears && { clears: true }),
        ...(adult !== null && { adult }),
        start: gap.start,
        end: gap.end,
        or: others
          .filter((o) => !o.clears && !besideNeeded(o, gap, request))
          .slice(0, choicesAt(age).usual - 1)
          .map((o) => o.job),
      }
      fill.push(row)
      add(ledger.byJob, first.id, row)
      if (adult !== null) add(ledger.byAdult, adult, row)
      count(id, first.id)
      if (first.clears) count(id, 'clears')
    }
  }
}

const overlaps = (a: Span, b: Span): boolean => a.start < b.end && b.start < a.end

function may(job: Filler, gap: Gap, draft: Draft, request: PlanRequest, ledger: Ledger): boolean {
  const long = gap.end - gap.start
  if (long < job.least || ((job.freeTable || job.clears) && !gap.free)) return false
  if (!oldEnough(job, gap.child, request)) return false
  const same = ledger.byJob.get(job.id) ?? []
  const now = same.filter((f) => overlaps(f, gap))
  if (job.once && same.length > now.length) return false
  if (job.places !== undefined && now.length >= job.places) return false
  if (job.clean && !handsWashed(gap, draft)) return false
  if (job.sink) {
    const there = ledger.sink.filter((t) => overlaps(t, gap)).length
    if (there + now.length >= (request.kit.sinkPlaces ?? SINK_PLACES)) return false
  }
  if (job.touches) {
    const foods = draft.bowls.flatMap((b) => b.lines.map((l) => l.food))
    if (forbiddenTouch(gap.child, foods, draft) !== null) return false
  }
  return !besideNeeded(job, gap, request) || freeAdult(gap, request, ledger) !== null
}

/** Nothing of the table is touched before the child's own turn at the sink. */
function handsWashed(gap: Gap, draft: Draft): boolean {
  const washing = new Set(draft.tasks.filter((t) => t.technique === 'wash-hands').map((t) => t.id))
  const own = draft.turns.filter((t) => t.child === gap.child.id && washing.has(t.task))
  return own.length === 0 || own.some((t) => t.end <= gap.start)
}

function oldEnough(job: Filler, child: Person, request: PlanRequest): boolean {
  if (job.technique === undefined) return child.age >= (job.fromMonths ?? 0)
  const technique = techniqueIn(job.technique, request.rules.techniques)
  if (!technique || child.limits?.includes(technique.id)) return false
  return formFor(technique, child.age, request.rules.knives).kind === 'do'
}

/** Overseen from where the adults are, or one has to stand beside. */
function besideNeeded(job: Filler, { child }: Gap, request: PlanRequest): boolean {
  const technique =
    job.technique === undefined ? undefined : techniqueIn(job.technique, request.rules.techniques)
  const form = technique && formFor(technique, child.age, request.rules.knives)
  return form?.kind === 'do' && form.code === 'B'
}

/** An adult with nothing in hand for the whole time; beside two children at most. */
function freeAdult(gap: Gap, request: PlanRequest, { busy, byAdult }: Ledger): string | null {
  const free = (id: string): boolean =>
    !(busy.get(id) ?? []).some((s) => overlaps(s, gap)) &&
    (byAdult.get(id) ?? []).filter((f) => overlaps(f, gap)).length < 2
  return request.adults.find((a) => free(a.id))?.id ?? null
}
