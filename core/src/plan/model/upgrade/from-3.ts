/** Plans of version 3, in the shape of today's: a tool was a few words, and the kit a list of them. */
import { toolIdOf, toolName, toolOf } from '../../../craft/tools'
import { PLAN_VERSION, type HeldUpBy, type KitTool, type Plan } from '../plan'
import type { Task, TaskForm } from '../task'

/** `tool` was what a rung of the ladder was called, tool or not. */
export type Task3 = Omit<Task, 'forms'> & { forms: Omit<TaskForm, 'rung' | 'with' | 'says'>[] }
export interface Plan3 extends Omit<Plan, 'version' | 'tasks' | 'kit'> {
  version: 3
  tasks: Task3[]
  kit: Omit<Plan['kit'], 'tools'> & { tools: string[] }
}

/** @returns the same plan as today's version has it */
export function from3(plan: Plan3): Plan {
  const { bound } = plan.totals
  return {
    ...plan,
    version: PLAN_VERSION,
    tasks: plan.tasks.map((t) => ({
      ...t,
      forms: t.forms.map((f) => ({ ...f, tool: toolIdOf(f.tool) ?? '', with: [], says: f.tool })),
    })),
    kit: { ...plan.kit, tools: kit4(plan.kit.tools) },
    totals: { ...plan.totals, ...(bound && { bound: { ...bound, cause: cause4(bound.cause) } }) },
  }
}

/** "cut, bridge hold: nylon serrated": the tools among them once each; what names no tool was never laid out. */
function kit4(rows: readonly string[]): KitTool[] {
  const jobsOf = new Map<string, string[]>()
  for (const row of rows) {
    const [job = '', words = ''] = row.split(/: (.*)/s)
    const tool = toolIdOf(words)
    if (tool !== undefined) jobsOf.set(tool, [...(jobsOf.get(tool) ?? []), job])
  }
  return [...jobsOf].map(([tool, jobs]) => {
    const holds = toolOf(tool)?.holds
    const where = holds === 'adult' ? 'adult' : holds === 'shared' ? 'tray' : 'place'
    return { tool, name: toolName(tool), n: 1, where, jobs, laid: false }
  })
}

const cause4 = (cause: HeldUpBy): HeldUpBy =>
  cause.kind === 'tool' ? { kind: 'tool', tool: toolIdOf(cause.tool) ?? cause.tool } : cause
