/** The weave: for each step the five threads, ready to be shown. Nothing is computed after this. */
import { countText } from '../../amount/show'
import { isOvernight } from '../model/session-recipe/sittings'
import { toMixed, ratio } from '../../amount/ratio'
import type { Grade as GradeName } from '../../food/concerns'
import { measureErrorText } from '../model/measure-error'
import type { Plan } from '../model/plan'
import { handPicture, type HandPicture } from './hand-picture'
import { scoopsOf, scoopsText, stripMarks, stripShares } from '../model/scoop-sequence'
import type { Measured, PlanLine } from '../model/line'
import type { StepTime, Task } from '../model/task'
import type { StepTalk } from '../model/step-talk'

export interface HandsCell {
  task: string
  /** "snip with scissors" */
  job: string
  /** What is used or measured: "round-nosed child scissors", "plain flour". */
  detail: string
  children: string[]
  adult: string | null
  mode: Task['mode']
  picture: HandPicture
  /** Who takes no part, and does this instead. */
  instead: { child: string; job: string }[]
  helps: { child: string; says: string }[]
}
export interface MeasureCell {
  line: string
  food: string
  amount: string
  swapped: boolean
  /** "6 × 1/4 cup", "3 pieces", "weigh". */
  how: string
  /** The child of each scoop, in order; empty where it is not scooped. */
  strip: string[]
  /** Labels under the ends of the scoops, 0 first. */
  marks: string[]
  /** Length of each scoop in the bar, in per cent. */
  shares: number[]
  near: string | null
}
export interface WatchCell {
  grade: GradeName
  says: string
  /** For every bowl alike: a paper with all bowls side by side says it once. */
  everyBowl?: true
  because: string
}
export interface WeaveColumn {
  step: string
  title: string
  picture: string
  says: string
  at: string
  minutes: number
  /** How long it takes, in words: "12 min", "overnight", "next day". */
  length: string
  passive: boolean
  sitting: number
  hands: HandsCell[]
  /** The same, tasks of one name taken together: for a narrow column. */
  handsShort: HandsCell[]
  measure: MeasureCell[]
  /** What the children of this bowl are asked; where none of them is, what there is to find, for nobody by name. */
  count: { says: string; answer: string; child: string | null }[]
  talk: StepTalk | null
  watch: WatchCell[]
}

/** The columns of the weave for one bowl. */
export function weave(plan: Plan, bowl: string): WeaveColumn[] {
  const { lines = [], children: here = [] } = plan.bowls.find((b) => b.id === bowl) ?? {}
  return plan.schedule.map((s) => {
    const tasks = plan.tasks.filter((t) => t.step === s.step && t.bowl === bowl)
    const hands = tasks.filter((t) => t.mode !== 'WAIT').map((t) => handsCell(t, plan, lines))
    const talk = plan.talk.find((t) => t.step === s.step) ?? null
    return {
      step: s.step,
      title: s.title,
      picture: s.picture,
      says: s.says ?? '',
      at: s.at,
      minutes: Math.max(1, Math.round(s.seconds / 60)),
      length: lengthText(s),
      passive: s.passive,
      sitting: s.sitting,
      hands,
      handsShort: together(hands),
      measure: tasks.flatMap((t) => measureCell(t, lines, plan)),
      count: talk ? countCell(talk, here) : [],
      talk,
      watch: watchCells(plan, s.step, tasks, lines),
    }
  })
}

const lengthText = ({ sitting, passive, seconds }: StepTime): string =>
  sitting > 1
    ? 'next day'
    : passive && isOvernight(seconds)
      ? 'overnight'
      : `${Math.max(1, Math.round(seconds / 60))} min`

function countCell(talk: StepTalk, here: readonly string[]): WeaveColumn['count'] {
  const own = (talk.asks ?? []).filter((a) => a.child === null || here.includes(a.child))
  if (own.length > 0) return own.map(({ says, answer, child }) => ({ says, answer, child }))
  const prompt = talk.prompts?.find((p) => p.level === talk.start) ?? talk.prompts?.[0]
  const { says, answer } = prompt ?? {}
  // Plans of an earlier version have one child and no questions by name.
  const child = talk.asks ? null : talk.child
  return says !== undefined && answer !== undefined ? [{ says, answer, child }] : []
}

function together(hands: readonly HandsCell[]): HandsCell[] {
  const byJob = new Map<string, HandsCell>()
  for (const h of hands) {
    const same = byJob.get(h.job)
    byJob.set(h.job, same ? { ...same, children: [...new Set([...same.children, ...h.children])] } : h)
  }
  return [...byJob.values()]
}

function handsCell(task: Task, plan: Plan, lines: readonly PlanLine[]): HandsCell {
  const children = [...new Set(plan.turns.filter((t) => t.task === task.id).map((t) => t.child))]
  const ways = [...new Set(task.forms.map((f) => f.says))].filter(Boolean)
  const line = task.measured && lines.find((l) => l.id === task.uses[0])
  return {
    task: task.id,
    job: task.name,
    detail: line ? line.name : ways.join('; '),
    children,
    adult:
      task.mode === 'ADULT' || task.hazard || task.forms.some((f) => f.supervision === 'B')
        ? (task.adult ?? null)
        : null,
    mode: task.mode,
    picture: handPicture(task, lines),
    instead: task.instead ?? [],
    helps: task.helps ?? [],
  }
}

const piecesText = (m: Extract<Measured, { by: 'pieces' }>): string =>
  m.text === undefined ? countText(m.n, 'piece') : `${m.text} of one`

/** "6 × 1/4 cup", "2 pieces", "weigh 80 g"; of own portions "1 × 1/4 cup for each child". */
export function howText(measured: Measured, portion = false): string {
  const each = portion ? ' for each child' : ''
  if (measured.by === 'scoop') return scoopsText(measured) + each
  return (measured.by === 'pieces' ? piecesText(measured) : `weigh ${measured.text}`) + each
}

function measureCell(task: Task, lines: readonly PlanLine[], plan: Plan): MeasureCell[] {
  const line = lines.find((l) => l.id === task.uses[0])
  if (!task.measured || !line) return []
  const m = task.measured
  const turns = plan.turns.filter((t) => t.task === task.id)
  return [
    {
      line: line.line,
      food: line.name,
      amount: line.text,
      swapped: line.swappedFrom !== undefined,
      how: howText(m, task.portion !== undefined),
      // Of own portions there are as many strips as children: the one at the table is the child's own.
      strip: m.by === 'scoop' && !task.portion ? turns.map((t) => t.child) : [],
      marks: task.portion ? [] : stripMarks(m),
      shares: task.portion ? [] : stripShares(m),
      near: m.by === 'scoop' && m.errPct !== '0' ? measureErrorText(m.errPct) : null,
    },
  ]
}

function watchCells(
  plan: Plan,
  step: string,
  tasks: readonly Task[],
  lines: readonly PlanLine[],
): WatchCell[] {
  const used = new Set(lines.filter((l) => tasks.some((t) => t.uses.includes(l.id))).map((l) => l.id))
  const open = plan.findings.filter(
    (f) =>
      f.grade === 'stop' &&
      ((f.subject.line !== undefined && used.has(f.subject.line)) || f.subject.step === step),
  )
  const bowl = tasks[0]?.bowl
  const notes = plan.watch.filter((w) => w.step === step && (w.bowl === undefined || w.bowl === bowl))
  return [
    ...open.map((f): WatchCell => ({ grade: 'stop', says: f.says, because: f.because })),
    ...notes.map((w): WatchCell => ({
      grade: w.grade,
      says: w.says,
      because: w.source,
      ...(w.bowl === undefined && { everyBowl: true }),
    })),
  ]
}

/** Share of a bar for each stretch of the clock ribbon, in per cent of the first sitting. */
export function ribbon(
  plan: Plan,
): { step: string; at: string; label: string; share: number; passive: boolean }[] {
  const first = plan.schedule.filter((s) => s.sitting === 1 && !isOvernight(s.seconds))
  const all = first.reduce((sum, s) => sum + s.seconds, 0) || 1
  return first.map((s) => ({
    step: s.step,
    at: s.at,
    label: s.passive ? `${s.title} ${Math.round(s.seconds / 60)} min` : '',
    share: (100 * s.seconds) / all,
    passive: s.passive,
  }))
}

/** One turn's words for the table view: "one level scoop with the 1/4 cup". @param number of the turn, from 1 */
export function turnText(task: Task, number: number): string {
  const m = task.measured
  if (m?.by === 'scoop') {
    const scoop = scoopsOf(m)[(number - 1) % m.n] ?? m.parts[0]
    if (m.jug) return `one jug, ${(scoop?.name ?? '').replace(/^a jug /, '')}`
    return m.any ? 'one level cup, always the same cup' : `one level scoop with the ${scoop?.name ?? ''}`
  }
  if (m?.by === 'pieces') return task.portion ? `${piecesText(m)} into your own` : 'one piece in'
  if (m?.by === 'weight') return `a spoonful, until the scale says ${m.text}`
  return task.counts ? `${task.name}: ${toMixed(ratio(task.counts.n))} ${task.counts.what}` : task.name
}

/** What a paper with all bowls side by side says in the column of one: what is for every bowl stands in the first. */
export const watchOnPaper = (column: Pick<WeaveColumn, 'watch'>, index: number): WatchCell[] =>
  column.watch.filter((w) => index === 0 || !w.everyBowl)
