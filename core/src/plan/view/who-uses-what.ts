/**
 * Who has which blade or hot thing today, and who stands next to it: for Jobs and for paper. A child without a turn at one of them has an
 * empty cell, or the reason why it is not there yet.
 */
import { countText } from '../../amount/show'
import { techniqueOf } from '../../craft/techniques'
import { isBlade, toolName, toolOf } from '../../craft/tools'
import { nameToken } from '../model/finding'
import type { Plan } from '../model/plan'
import type { Task, TaskForm } from '../model/task'

/** One blade, or one hot place. */
export interface HazardColumn {
  id: string
  name: string
  /** Id of a tool with a picture; none for a job at heat without one. */
  tool?: string
}
export interface HazardCell {
  column: string
  /** "has turns 2 and 3", "not yet: from 4 years". `{{id}}` stands for a name. */
  says: string
  has: boolean
}
export interface WhoUsesWhat {
  columns: HazardColumn[]
  rows: { child: string; cells: HazardCell[] }[]
  /** Jobs at heat and with blades that an adult does alone. */
  adults: { adult: string; jobs: string[] }[]
}

/** @returns no columns where the plan has neither blade nor heat in a child's hand or before it */
export function whoUsesWhat(plan: Plan): WhoUsesWhat {
  const titleOf = new Map(plan.schedule.map((s) => [s.step, s.title]))
  const dangerous = plan.tasks.filter((t) => t.hazard !== undefined || t.forms.some((f) => isBlade(f.tool)))
  const columns = new Map<string, HazardColumn>()
  for (const task of dangerous) for (const c of columnsOf(task)) columns.set(c.id, c)
  const rows = plan.children.map(({ id }) => ({
    child: id,
    cells: [...columns.values()].map((c) => cellOf(c, id, dangerous, plan)),
  }))
  const adults = new Map<string, string[]>()
  for (const t of dangerous.filter((x) => x.mode === 'ADULT' && x.adult !== undefined)) {
    const job = `${t.name} (${titleOf.get(t.step) ?? t.step})`
    const own = adults.get(t.adult ?? '') ?? []
    if (!own.includes(job)) adults.set(t.adult ?? '', [...own, job])
  }
  return {
    columns: [...columns.values()],
    rows,
    adults: [...adults].map(([adult, jobs]) => ({ adult, jobs })),
  }
}

/** The blades of a task, or its technique where what hurts is the heat; of an adult's own job none. */
function columnsOf(task: Task): HazardColumn[] {
  if (task.hazard === 'heat' && task.forms.length > 0)
    return [{ id: `heat:${task.technique}`, name: task.name, ...toolWithPicture(task.forms[0]) }]
  return [...new Set(task.forms.map((f) => f.tool))]
    .filter((tool) => tool !== '')
    .map((tool) => ({ id: tool, name: toolName(tool), tool }))
}
const toolWithPicture = (form: TaskForm | undefined): { tool?: string } =>
  form && toolOf(form.tool) ? { tool: form.tool } : {}

function cellOf(column: HazardColumn, child: string, tasks: readonly Task[], plan: Plan): HazardCell {
  const own = tasks.filter((t) => columnsOf(t).some((c) => c.id === column.id))
  const held = own.filter((t) => t.forms.some((f) => f.children.includes(child) && isIn(column, t, f)))
  const turns = plan.turns.filter((x) => x.child === child && held.some((t) => t.id === x.task))
  if (turns.length > 0) {
    const adults = [...new Set(held.flatMap((t) => standsBeside(t, child) ?? []))]
    const who = adults.length > 0 ? `${adults.map(nameToken).join(', ')} beside` : 'an adult looks on'
    return { column: column.id, says: `${countText(turns.length, 'turn')}, ${who}`, has: true }
  }
  const bar = own.flatMap((t) => t.barred).find((b) => b.child === child)
  return { column: column.id, says: bar ? bar.why : '', has: false }
}

const isIn = (column: HazardColumn, task: Task, form: TaskForm): boolean =>
  column.id === form.tool || column.id === `heat:${task.technique}`

/** The adult within reach: of a job at heat, and where the form asks for one beside. */
function standsBeside(task: Task, child: string): string | undefined {
  const beside =
    task.hazard !== undefined ||
    task.forms.some((f) => f.supervision === 'B' && f.children.includes(child)) ||
    techniqueOf(task.technique)?.hazard !== undefined
  return beside ? task.adult : undefined
}
