/** Plans of version 2, in the shape of version 3. */
import type { Decision } from '../decision'
import { WORK, type HeldUpBy, type NoteSubject, type Plan, type SwapSet, type WatchNote } from '../plan'
import type { Task, WaitingJob } from '../task'
import type { Plan3, Task3 } from './from-3'

/** Version 2: what a note, a bar and a bound are about stood in their words. */
export type Task2 = Omit<Task3, 'barred'> & { barred: { child: string; why: string }[] }
export interface Plan2 extends Omit<
  Plan3,
  'version' | 'tasks' | 'watch' | 'waitingJobs' | 'ineffective' | 'totals' | 'swapSet'
> {
  version: 2
  tasks: Task2[]
  watch: Omit<WatchNote, 'about'>[]
  fill?: WaitingJob[]
  idle: Decision[]
  totals: Omit<Plan['totals'], 'bound'> & { bound?: { seconds: number; cause: string } }
  swapSet: (Omit<SwapSet, 'swaps'> & { says: string[] }) | null
}

/** @returns the same plan as version 3 has it */
export function from2({ fill, idle, tasks, watch, totals, swapSet, ...plan }: Plan2): Plan3 {
  const { bound, ...times } = totals
  return {
    ...plan,
    version: 3,
    tasks: tasks.map((t) => ({ ...t, barred: t.barred.map((b) => ({ ...b, cause: causeOf(b.why) })) })),
    watch: watch.map((w) => ({ ...w, about: aboutOf(w.says) })),
    ...(fill && { waitingJobs: fill }),
    ineffective: idle,
    totals: { ...times, ...(bound && { bound: { seconds: bound.seconds, cause: heldUpBy(bound.cause) } }) },
    swapSet: swapSet && {
      decisions: swapSet.decisions,
      stuck: swapSet.stuck,
      packets: swapSet.packets,
      swaps: swapSet.says.map((says) => {
        const [from = says, to = ''] = says.split(': ')
        return { from, to: to === 'left out' ? null : to }
      }),
    },
  }
}

/** The words in which versions 1 and 2 wrote down who does not touch what. They were English, and never changed. */
const TOUCH = /^(?:\{\{([^}]+)\}\} )?does not touch /
const causeOf = (why: string): Task['barred'][number]['cause'] =>
  TOUCH.test(why) ? 'touch' : why.endsWith("not by the child's own plan") ? 'plan' : 'age'
function aboutOf(says: string): NoteSubject {
  const child = TOUCH.exec(says)?.[1]
  return child === undefined ? WORK : { kind: 'child', child }
}
function heldUpBy(cause: string): HeldUpBy {
  if (cause === 'sink' || cause === 'oven' || cause === 'watching') return { kind: cause }
  const [, kind, rest = ''] = /^(adult|tool|chain|clique):\s?(.*)$/.exec(cause) ?? []
  if (kind === 'adult') return { kind, adult: rest }
  if (kind === 'tool') return { kind, tool: rest }
  if (kind === 'chain' || kind === 'clique') return { kind, tasks: rest.split(/, | to /) }
  return { kind: 'none' }
}
