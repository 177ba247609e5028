/**
 * What is carried from a child's past sessions into its next plan: how techniques were seen, when each was last done, what was noted
 * of its talk, and whether it had more turns than its share. Only what was tapped counts; nothing is inferred from the plans.
 */
import type { How } from '../craft/skills'
import type { TalkMark } from '../learn/marks'
import { replay } from './replay'
import { sessionRecord, type PastSession } from './record'

/** How each technique of a child was last seen, over all its sessions. */
export function skillsOf(
  child: string,
  past: readonly Pick<PastSession, 'date' | 'events'>[],
): Record<string, How> {
  const skills: Record<string, How> = {}
  for (const one of [...past].sort((a, b) => (a.date < b.date ? -1 : 1)))
    Object.assign(skills, replay(one.events).seen[child] ?? {})
  return skills
}

/** The day on which a child last did each technique: turns that were tapped, over all its sessions. */
export function latelyOf(child: string, past: readonly PastSession[]): Record<string, string> {
  const days: Record<string, string> = {}
  for (const one of past) {
    const did = replay(one.events).turns
    const techniqueOfTask = new Map(one.plan.tasks.map((t) => [t.id, t.technique]))
    for (const turn of one.plan.turns) {
      const tapped = did[turn.id]
      const technique = techniqueOfTask.get(turn.task)
      if (!tapped || tapped.skipped || tapped.child !== child || technique === undefined) continue
      if ((days[technique] ?? '') < one.date) days[technique] = one.date
    }
  }
  return days
}

/** Sessions over which voices are evened out. Source: learning.md F7 (common practice). */
const LAST_SESSIONS = 3
/** Marks kept beside a child for the next plan: the last so many of each target. */
const MARKS_KEPT = 6

/**
 * What was noted of a child's talk, and how many questions were planned for it in each of its last sessions, of the steps that were
 * reached. It feeds the next plan.
 */
export function talkOf(child: string, past: readonly PastSession[]): { marks: TalkMark[]; heard: number[] } {
  const { marks, heard } = allTalk(child, past)
  const kept = [...new Set(marks.map((m) => m.target))].flatMap((target) =>
    marks.filter((m) => m.target === target).slice(-MARKS_KEPT),
  )
  return { marks: kept, heard: heard.slice(-LAST_SESSIONS) }
}

/** Every mark of a child, and the questions it was asked in each of its sessions, the oldest first. */
export function allTalk(child: string, past: readonly PastSession[]): { marks: TalkMark[]; heard: number[] } {
  const own = [...past]
    .filter((p) => p.plan.children.some((c) => c.id === child))
    .sort((a, b) => (a.date < b.date ? -1 : 1))
  const marks: TalkMark[] = []
  const heard: number[] = []
  for (const one of own) {
    const state = replay(one.events)
    for (const t of state.talk)
      if (t.child === child)
        marks.push({
          target: t.target,
          on: one.date,
          how: t.how,
          level: t.level,
          ...(t.food && { food: t.food }),
        })
    const reached = one.plan.talk.filter((t) => state.stepsSeen.includes(t.step))
    heard.push(reached.flatMap((t) => t.asks ?? []).filter((a) => a.child === child).length)
  }
  return { marks, heard }
}

/** Sessions over which the one turn more goes round. Source: common practice. */
const EVEN_SESSIONS = 6

/**
 * Jobs that a child had more than its even share in its last finished sessions, together; below 0 where it had fewer. In each the share
 * is the mean of those who were at the table, rounded down: who had the one more has 1, who left early less than 0.
 */
export function turnsOverShare(child: string, past: readonly PastSession[]): number {
  const own = [...past]
    .sort((a, b) => (a.date < b.date ? 1 : -1))
    .filter((p) => p.plan.children.some((c) => c.id === child) && p.events.some((e) => e.kind === 'finish'))
    .slice(0, EVEN_SESSIONS)
    .map(sessionRecord)
  return own.reduce((sum, { children }) => {
    const share = Math.floor(children.reduce((n, c) => n + c.jobs, 0) / children.length)
    return sum + (children.find((c) => c.child === child)?.jobs ?? share) - share
  }, 0)
}
