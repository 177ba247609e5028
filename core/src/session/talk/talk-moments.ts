/** The talk of a session as a leader reads it beforehand: moment by moment, each line as it will be said, to whom and why. */
import { targetOf } from '../../learn/targets'
import type { TalkLine, Moment } from '../../learn/line/line'
import type { Plan } from '../../plan/model/plan'
import type { Ask } from '../../plan/model/step-talk'
import type { Slot, Speaker } from './hearing'
import { scriptOf } from './script'
import { REASON_WORDS } from './talk-view'

export interface TalkRow extends TalkLine {
  key: string
  moment: Moment
  /** To whom: a child, or null for everybody. */
  child: string | null
  /** Why this child is asked this; '' where nobody is asked. */
  why: string
}
export interface TalkMoment {
  /** Null before the first step and after the last. */
  step: string | null
  title: string
  /** Clock time, `HH:MM`, or ''. */
  at: string
  /** What is said to all, and what is asked. */
  rows: TalkRow[]
  /** Comments for the turns. */
  turns: TalkRow[]
}

const asksOf = (plan: Plan): Ask[] => plan.talk.flatMap((t) => t.asks ?? [])

/** @param speakers languages at home, where they are known */
export function talkMoments(plan: Plan, speakers: readonly Speaker[] = []): TalkMoment[] {
  const slots = scriptOf(plan, speakers)
  const asks = asksOf(plan)
  const part = (step: string | null, of: readonly Slot[], title: string, at: string): TalkMoment => {
    const rows = of.flatMap((s) => rowsOf(s, asks))
    const once = rows.filter(
      (r, i) =>
        rows.findIndex((o) => o.says === r.says && o.child === r.child && o.moment === r.moment) === i,
    )
    const inTurns = (r: TalkRow): boolean => r.child !== null && r.kind !== 'question' && r.why === ''
    return { step, title, at, rows: once.filter((r) => !inTurns(r)), turns: once.filter(inTurns) }
  }
  const before = slots.filter((s) => s.moment === 'arrive')
  const after = slots.filter((s) => s.moment === 'look-back')
  return [
    part(null, before, 'As they arrive', ''),
    ...plan.schedule.map((t) =>
      part(
        t.step,
        slots.filter((s) => s.step === t.step),
        t.title,
        t.at,
      ),
    ),
    part(null, after, 'Looking back', ''),
  ].filter((m) => m.rows.length + m.turns.length > 0)
}

/** How many lines of a slot are said without pressing "another". */
const SAID: Partial<Record<Moment, number>> = { arrive: 3, begin: 4, read: 4, wait: 3, 'look-back': 5 }

function rowsOf(slot: Slot, asks: readonly Ask[]): TalkRow[] {
  // The song is sung by all, once a wash.
  const own = slot.moment === 'wash' && slot.lines[0]?.id === 'song' ? null : slot.child
  return slot.lines.slice(0, SAID[slot.moment] ?? 1).map((line, i): TalkRow => {
    const child = line.who ?? own
    const ask =
      line.kind === 'question' ? asks.find((a) => a.says === line.says && a.key !== undefined) : undefined
    const who = ask ? ask.child : child
    const target = ask ? targetOf(ask.target)?.says : undefined
    return {
      ...line,
      key: `${slot.key} ${i}`,
      moment: slot.moment,
      child: who,
      why: ask ? [target, REASON_WORDS[ask.why]].filter(Boolean).join(' · ') : '',
    }
  })
}
