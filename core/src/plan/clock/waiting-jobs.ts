/**
 * Jobs for those who would wait: every stretch in which a child has nothing to do longer than its age bears gets one, the useful
 * ones first, no longer than the age stays with one job, never the same again while there is another. Clearing up is done while
 * everyone waits for the oven; where there is no such wait it follows at the end.
 */
import { must } from '../../amount/must'
import { isOvernight } from '../model/session-recipe/sittings'
import { attention, longestWait } from '../../craft/ages'
import { FILLER_JOBS, type SideJob } from '../../craft/side-jobs'
import { choicesAt } from '../../craft/choices'
import { techniqueFor } from '../../craft/setting-techniques'
import { formFor } from '../../craft/form'
import type { Clocked, DraftChild } from '../model/draft'
import { forbiddenTouch } from '../split/eligibility'
import { circumstancesOf } from '../model/circumstances'
import type { PlanRequest } from '../model/request'
import { showingSpans } from './waiting-times'
import { SINK_PLACES } from '../split/waves'
import { staysAt } from '../model/task-kinds'
import type { WaitingJob, StepTime } from '../model/task'

/** A wait for the oven from so many seconds on is used to clear up. */
const CLEARING_WAIT = 300
/** So long clearing up takes where nobody waits for anything. Source: common practice. */
const CLEAR_UP_SECONDS = 240

type Draft = Pick<Clocked, 'people' | 'bowls' | 'tasks' | 'turns' | 'schedule' | 'foods' | 'packets'>
interface Span {
  start: number
  end: number
}
interface Gap extends Span {
  child: DraftChild
  step: string
  /** The table is free: everyone waits, or it is over. */
  free: boolean
}

export interface Filled {
  fill: WaitingJob[]
  /** Clearing up after the end; none where a wait was used for it. */
  clearUp: Span | null
}

export function waitingJobs(draft: Draft, request: PlanRequest): Filled {
  const fill: WaitingJob[] = []
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

const isNight = (s: StepTime): boolean => s.passive && isOvernight(s.seconds)

/** Every stretch of a child without a job, cut to what its age stays with. */
function gapsOf(
  child: DraftChild,
  draft: Draft,
  steps: readonly StepTime[],
  ids: ReadonlySet<string>,
  end: number,
): Gap[] {
  const stepOf = new Map(draft.tasks.map((t) => [t.id, t.step]))
  const own = [
    ...draft.turns.filter(
      (t) => t.child === child.id && ids.has(must(stepOf.get(t.task), `the task ${t.task}`)),
    ),
    ...showingSpans(draft.tasks.filter((t) => ids.has(t.step))),
  ].sort((a, b) => a.start - b.start)
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

function shortened(piece: Span & { free: boolean; step: string }, most: number, child: DraftChild): Gap[] {
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
  fill: WaitingJob[]
  byJob: Map<string, WaitingJob[]>
  byAdult: Map<string, WaitingJob[]>
  times: Map<string, number>
  /** When each child has washed its hands; nothing where nobody washes. */
  washed: Map<string, number>
  /** Which form a child does a filler job in, worked out once. */
  forms: Map<string, 'no' | 'overseen' | 'beside'>
  /** The foods of the whole table. */
  foods: string[]
  /** Of this sitting: turns at the sink, and when each adult has their hands full. */
  sink: Span[]
  busy: Map<string, Span[]>
}

function ledgerOf(sitting: number, draft: Draft, fill: WaitingJob[]): Ledger {
  const steps = new Set(draft.schedule.filter((s) => s.sitting === sitting).map((s) => s.step))
  const own = draft.tasks.filter((t) => steps.has(t.step))
  const sinks = new Set(own.filter((t) => t.place === 'sink').map((t) => t.id))
  const busy = new Map<string, Span[]>()
  for (const { adult, mode, place, every, start, end } of own)
    if (
      adult &&
      (mode !== 'WAIT' || staysAt({ mode, place, every })) &&
      start !== undefined &&
      end !== undefined
    )
      add(busy, adult, { start, end })
  return {
    fill,
    byJob: groupBy(fill, (f) => f.job),
    byAdult: new Map(),
    times: new Map(),
    washed: washedAt(draft),
    forms: new Map(),
    foods: draft.bowls.flatMap((b) => b.lines.map((l) => l.food)),
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
function deal(gaps: Gap[], sitting: number, draft: Draft, request: PlanRequest, fill: WaitingJob[]): void {
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
      const beside = formOf(first, gap.child, request, ledger) === 'beside'
      const adult = beside ? freeAdult(gap, request, ledger) : null
      const row: WaitingJob = {
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
          .filter((o) => !o.clears && formOf(o, gap.child, request, ledger) === 'overseen')
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

function may(job: SideJob, gap: Gap, draft: Draft, request: PlanRequest, ledger: Ledger): boolean {
  const long = gap.end - gap.start
  if (long < job.least || ((job.freeTable || job.clears) && !gap.free)) return false
  const form = formOf(job, gap.child, request, ledger)
  if (form === 'no') return false
  const same = ledger.byJob.get(job.id) ?? []
  const now = same.filter((f) => overlaps(f, gap))
  if (job.once && same.length > now.length) return false
  if (job.places !== undefined && now.length >= job.places) return false
  if (job.clean && (ledger.washed.get(gap.child.id) ?? 0) > gap.start) return false
  if (job.sink) {
    const there = ledger.sink.filter((t) => overlaps(t, gap)).length
    if (there + now.length >= (request.kit.sinkPlaces ?? SINK_PLACES)) return false
  }
  if (job.touches) {
    if (forbiddenTouch(gap.child, ledger.foods, draft) !== null) return false
  }
  return form === 'overseen' || freeAdult(gap, request, ledger) !== null
}

/** When each child comes from its first turn at the sink. */
function washedAt({ tasks, turns }: Draft): Map<string, number> {
  const washing = new Set(tasks.filter((t) => t.technique === 'wash-hands').map((t) => t.id))
  const at = new Map<string, number>()
  for (const t of turns)
    if (washing.has(t.task)) at.set(t.child, Math.min(at.get(t.child) ?? Infinity, t.end))
  return at
}

/** Not at this age or by the child's own plan; overseen from where the adults are; or with one beside. */
function formOf(
  job: SideJob,
  child: DraftChild,
  request: PlanRequest,
  ledger: Ledger,
): 'no' | 'overseen' | 'beside' {
  const key = `${child.id} ${job.id}`
  const known = ledger.forms.get(key)
  if (known !== undefined) return known
  const form = newForm(job, child, request)
  ledger.forms.set(key, form)
  return form
}

function newForm(job: SideJob, child: DraftChild, request: PlanRequest): 'no' | 'overseen' | 'beside' {
  if (job.technique === undefined) return child.age >= (job.fromMonths ?? 0) ? 'overseen' : 'no'
  const technique = techniqueFor(job.technique, request.rules.techniques)
  if (!technique || child.limits?.includes(technique.id)) return 'no'
  const form = formFor(technique, child.age, circumstancesOf(technique.id, child, request))
  return form.kind !== 'do' ? 'no' : form.code === 'B' ? 'beside' : 'overseen'
}

/** An adult with nothing in hand for the whole time; beside two children at most. */
function freeAdult(gap: Gap, request: PlanRequest, { busy, byAdult }: Ledger): string | null {
  const free = (id: string): boolean =>
    !(busy.get(id) ?? []).some((s) => overlaps(s, gap)) &&
    (byAdult.get(id) ?? []).filter((f) => overlaps(f, gap)).length < 2
  return request.adults.find((a) => free(a.id))?.id ?? null
}
