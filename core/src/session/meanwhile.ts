/** Who has nothing to do just now, and what they could do; who does what instead; how the table is cleared. */
import type { Plan } from '../plan/model/plan'
import type { Background, StepTime, Turn } from '../plan/model/task'

export interface Meanwhile {
  /** What they could do, and what would do as well. */
  says: string
  or: string[]
  children: string[]
  /** The adult who stands beside. */
  adult?: string
}

/**
 * @param turn the turn that is on; none where the whole step is waited through
 * @returns jobs for those of a bowl who wait at that moment, and neighbour jobs of the step
 */
export function whoWaits(plan: Plan, bowl: string, step: string, turn: Turn | null): Meanwhile[] {
  const time = plan.schedule.find((s) => s.step === step)
  const crew = plan.bowls.find((b) => b.id === bowl)?.children ?? []
  if (!time) return []
  const from = turn?.start ?? time.start
  const to = turn?.start ?? time.start + time.seconds
  const seen = new Set<string>(turn ? [turn.child] : [])
  const out = new Map<string, Meanwhile>()
  const add = (child: string, row: Omit<Meanwhile, 'children'>): void => {
    if (seen.has(child) || !crew.includes(child)) return
    seen.add(child)
    const key = `${row.says}/${row.adult ?? ''}`
    const same = out.get(key)
    if (same) same.children.push(child)
    else out.set(key, { ...row, children: [child] })
  }
  for (const task of plan.tasks.filter((t) => t.step === step && t.bowl === bowl))
    for (const i of task.instead ?? []) add(i.child, { says: i.job, or: [] })
  const first = (plan.waitingJobs ?? [])
    .filter((f) => f.sitting === time.sitting && f.start <= to && from < f.end)
    .sort((a, b) => a.start - b.start)
  for (const f of first)
    add(f.child, { says: f.says, or: f.or, ...(f.adult !== undefined && { adult: f.adult }) })
  return [...out.values()]
}

/** Clearing up at the first sitting, job by job. */
export function clearingUp(plan: Plan): { says: string; children: string[] }[] {
  const jobs = new Map<string, Set<string>>()
  for (const f of plan.waitingJobs ?? [])
    if (f.clears && f.sitting === 1) jobs.set(f.says, (jobs.get(f.says) ?? new Set()).add(f.child))
  return [...jobs].map(([says, children]) => ({ says, children: [...children] }))
}

export type SheetRow = { step: StepTime; index: number } | { ready: Background }

/** The rows of the run sheet in the order of the clock: steps, and what an adult gets ready between them. */
export function sheetRows(plan: Plan): SheetRow[] {
  const rows: { row: SheetRow; sitting: number; start: number; rank: number }[] = [
    ...(plan.background ?? []).map((b) => ({
      row: { ready: b },
      sitting: b.sitting,
      start: b.start,
      rank: 1,
    })),
    ...plan.schedule.map((step, index) => ({
      row: { step, index },
      sitting: step.sitting,
      start: step.start,
      rank: 0,
    })),
  ]
  return rows.sort((a, b) => a.sitting - b.sitting || a.start - b.start || a.rank - b.rank).map((r) => r.row)
}
