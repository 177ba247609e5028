/** What is said while a grown-up works or everybody waits: each wait as what it is. */
import { commentsOn } from '../../learn/line/comments'
import type { TalkLine } from '../../learn/line/line'
import type { StepTalk } from '../../plan/model/step-talk'
import type { Task } from '../../plan/model/task'
import { waitKind } from '../../plan/talk/facts/wait-kind'
import type { Beside } from './beside'
import { anyone, localeIn, type Hearing } from './hearing'
import { asLine, askLine, factLines, works } from './turn-lines'

/** A guess first, then what is asked here, then what there is to notice. */
export function waitLines(hearing: Hearing, talk: StepTalk, task: Task, beside: Beside): TalkLine[] {
  const { plan, crew, months } = hearing
  const locale = localeIn(hearing)
  const asks = (talk.asks ?? []).filter(
    (a) =>
      a.child !== null &&
      crew.includes(a.child) &&
      (a.task === task.id ||
        (a.task === undefined && talk.step !== plan.schedule[0]?.step && !hasTurns(hearing, talk))),
  )
  const key =
    task.shows !== undefined
      ? 'showing'
      : task.mode === 'ADULT'
        ? 'adult'
        : `wait-${waitKind(task, foodsBefore(hearing, task))}`
  const facts = (talk.beside ?? []).filter((f) => f.task === task.id && f.bowl === hearing.bowl)
  const comments = [
    ...commentsOn(key, {}, locale),
    ...facts.flatMap((f) => factLines(f.fact, locale)),
    ...(task.mode === 'WAIT' ? commentsOn('wait-any', {}, locale) : []),
  ].filter((c) => anyone(months, c))
  return [
    ...(task.mode === 'WAIT' ? beside.guessOfWait(waitKind(task, foodsBefore(hearing, task))) : []),
    ...asks.map((a) => ({ ...askLine(a), who: a.child })),
    ...comments.map(asLine),
  ]
}

const hasTurns = ({ plan, bowl }: Hearing, talk: StepTalk): boolean =>
  plan.turns.some((t) =>
    plan.tasks.some((x) => x.id === t.task && x.step === talk.step && x.bowl === bowl && works(x)),
  )

/** Foods that are in by then, by what the hands have met. */
const foodsBefore = ({ plan, bowl }: Hearing, task: Task): string[] => {
  const at = plan.schedule.findIndex((s) => s.step === task.step)
  const steps = new Set(plan.schedule.slice(0, at + 1).map((s) => s.step))
  const uses = new Set(plan.tasks.filter((t) => t.bowl === bowl && steps.has(t.step)).flatMap((t) => t.uses))
  const lines = plan.bowls.find((b) => b.id === bowl)?.lines ?? []
  return lines.filter((l) => uses.has(l.id)).map((l) => l.food)
}
