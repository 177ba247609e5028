/** How the jobs of a plan fit each child: what stretches it, what is easy for it, what it had lately, what it does instead. */
import { countText } from '../../amount/show'
import { fitOf } from '../../craft/skills'
import { techniqueFor } from '../../craft/setting-techniques'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'

export interface ChildFit {
  child: string
  turns: number
  jobs: number
  /** Jobs at the edge: with an adult beside, or last seen with help. */
  stretch: number
  /** Jobs that go alone. */
  easy: number
  /** Techniques that the child never did before. */
  first: string[]
  /** Jobs more or fewer in its last sessions than the middle of those who are here, in words; nothing where it had as many. */
  before: string
  /** Neighbour jobs, where it takes no part. */
  instead: string[]
  /** Minutes to the half: longest wait for a turn, and longest with nothing at all to do. */
  wait: number
  idle: number
}

const beforeText = (over: number): string => {
  const jobs = Math.abs(over)
  if (jobs === 0) return ''
  return `in the last sessions ${countText(jobs, 'job')} ${over > 0 ? 'more' : 'fewer'} than the middle of the group`
}

/** What each child has to do and how long it waits, in minutes. */
export function childLoads(plan: Plan, { children, rules }: PlanRequest): ChildFit[] {
  const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
  const all = children.map((c) => c.turnsOverShare ?? 0).sort((a, b) => a - b)
  const middle = all[Math.floor((all.length - 1) / 2)] ?? 0
  return plan.totals.perChild.map((p): ChildFit => {
    const child = children.find((c) => c.id === p.child)
    const months = plan.children.find((c) => c.id === p.child)?.months ?? 0
    const own = new Set(plan.turns.filter((t) => t.child === p.child).map((t) => t.task))
    let stretch = 0
    let easy = 0
    const first = new Set<string>()
    for (const id of own) {
      const task = tasks.get(id)
      const technique = task && techniqueFor(task.technique, rules.techniques)
      if (!task || !technique) continue
      const overseen = technique.supervision.find((s) => s.code === 'B')?.below ?? 0
      const beside = task.forms.some((f) => f.supervision === 'B' && f.children.includes(p.child))
      const fit = fitOf(child?.skills?.[technique.id], beside, months - overseen)
      if (fit.cost === 0) stretch += 1
      if (fit.easy === 1) easy += 1
      if (child?.lastDone && child.lastDone[technique.id] === undefined) first.add(technique.name)
    }
    const instead = plan.tasks.flatMap((t) => t.instead?.filter((i) => i.child === p.child) ?? [])
    return {
      child: p.child,
      turns: p.turns,
      jobs: p.jobs,
      stretch,
      easy,
      first: [...first],
      before: beforeText((child?.turnsOverShare ?? 0) - middle),
      instead: [...new Set(instead.map((i) => i.job))],
      wait: Math.round(p.longestWait / 30) / 2,
      idle: Math.round((p.idleFilled ?? p.longestWait) / 30) / 2,
    }
  })
}
