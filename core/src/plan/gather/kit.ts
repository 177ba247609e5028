/**
 * The kit, counted: of each tool as many as are in use at one moment, laid out at the places, on the tray, by the adult. What the recipe
 * names and no job counts stays in its own words.
 */
import { techniqueOf, TECHNIQUES } from '../../craft/techniques'
import { ownTools, toolIdOf, toolName, toolOf, TOOLS } from '../../craft/tools'
import { localeOf } from '../model/request'
import type { Clocked } from '../model/draft'
import { finding, type Finding } from '../model/finding'
import type { KitTool, Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import type { Task } from '../model/task'
import { APART } from '../model/line'
import { rawKind } from '../shape/hygiene'
import { toolCount } from '../split/waves'

/** Somebody, or a bowl, with a tool in use from one moment to another; seconds from the start of the sitting. */
interface Use {
  tool: string
  holder: string
  child?: string
  task: Task
  sitting: number
  start: number
  end: number
}

export function kitOf(draft: Clocked, request: PlanRequest): Plan['kit'] {
  const measures = draft.tasks.flatMap((t) =>
    t.measured?.by === 'scoop' ? t.measured.parts.map((p) => p.name) : [],
  )
  const scale = draft.tasks.some((t) => t.measured?.by === 'weight') ? ['scale'] : []
  const uses = usesOf(draft)
  const named = draft.recipe.equipment.map((words) => ({ words, tool: toolIdOf(words) }))
  const used = new Set(uses.map((u) => u.tool))
  const tools = TOOLS.flatMap(({ id }): KitTool[] => {
    const own = uses.filter((u) => u.tool === id)
    return own.length === 0 ? [] : [kitTool(id, own, draft, request)]
  })
  return {
    measures: [...new Set([...measures, ...scale])],
    tools,
    equipment: named.flatMap(({ words, tool }) => (tool !== undefined && used.has(tool) ? [] : [words])),
  }
}

function kitTool(id: string, uses: readonly Use[], draft: Clocked, request: PlanRequest): KitTool {
  // What keeps food is emptied and used again where there are too few.
  const n = Math.max(1, Math.min(neededOf(uses), toolCount(id, request)))
  const holds = toolOf(id)?.holds ?? 'shared'
  const washed = washedAfter(uses, draft)
  const own = isAdapted(id) ? [...new Set(uses.flatMap((u) => u.child ?? []))] : []
  return {
    tool: id,
    name: toolName(id, n, localeOf(request)),
    n,
    where: holds === 'child' ? 'place' : holds === 'shared' ? 'tray' : 'adult',
    jobs: [...new Set(uses.map((u) => u.task.name))],
    ...(own.length > 0 && { children: own }),
    ...(washed !== null && { washed }),
    laid: request.decisions.some((d) => d.kind === 'laid' && d.tool === id && d.n === n),
  }
}

/** Every use of a tool in the plan: by a child in its turn, in a bowl, by the adult of the job. */
function usesOf(draft: Clocked): Use[] {
  const tasks = new Map(draft.tasks.map((t) => [t.id, t]))
  const sittingOf = new Map(draft.schedule.map((s) => [s.step, s.sitting]))
  const byChildren = draft.turns.flatMap((turn) => {
    const task = tasks.get(turn.task)
    const form = task?.forms.find((f) => f.children.includes(turn.child))
    if (!task || !form) return []
    return [form.tool, ...form.with]
      .filter((t) => t !== '')
      .map((tool): Use => {
        const isOwn = ownTools(form).includes(tool)
        const sitting = sittingOf.get(task.step) ?? 1
        const { start, end } = turn
        return {
          tool,
          // What a bowl has in turns goes from hand to hand.
          holder: isOwn && task.mode !== 'TURNS' ? turn.child : task.bowl,
          ...(isOwn && { child: turn.child }),
          task,
          sitting,
          start,
          end,
        }
      })
  })
  const byAdults = draft.tasks
    .filter((t) => t.shows === undefined && (t.mode === 'ADULT' || t.hazard === 'heat'))
    .flatMap((task) =>
      (techniqueOf(task.technique)?.adultTools ?? []).map((tool): Use => ({
        tool,
        holder: task.adult ?? 'an adult',
        task,
        sitting: sittingOf.get(task.step) ?? 1,
        start: task.start ?? 0,
        end: task.end ?? task.seconds,
      })),
    )
  return [...byChildren, ...byAdults]
}

/**
 * How many are laid out: of what children hold at one time the most at one moment; of what goes round a bowl, or keeps food, one for each
 * bowl or child that has it. An own bowl, apart, shares nothing with the others.
 */
function neededOf(uses: readonly Use[]): number {
  const parts = [uses.filter((u) => u.task.bowl === APART), uses.filter((u) => u.task.bowl !== APART)]
  return Math.max(
    1,
    parts.reduce((n, own) => n + Math.max(mostAtOnce(own), staying(own)), 0),
  )
}
const staying = (uses: readonly Use[]): number =>
  new Set(uses.filter((u) => u.task.mode === 'TURNS' || toolOf(u.tool)?.keeps).map((u) => u.holder)).size

/** The most holders at one moment: asked at each start, where alone it can rise. */
function mostAtOnce(uses: readonly Use[]): number {
  let most = 0
  for (const at of uses) {
    const now = uses.filter((u) => u.sitting === at.sitting && u.start <= at.start && at.start < u.end)
    most = Math.max(most, new Set(now.map((u) => u.holder)).size)
  }
  return most
}

/** A tool for hands of one kind names its child. */
const ADAPTED = new Set(TOOLS.flatMap((t) => [t.adapts?.left, t.adapts?.grip]))
/** Tools that stand on a ladder are for everybody too. */
const OF_ALL = new Set(TECHNIQUES.flatMap((t) => t.ladder.map((r) => r.tool)))
const isAdapted = (id: string): boolean => ADAPTED.has(id) && !OF_ALL.has(id)

/**
 * What touched raw meat, fish or egg is washed before it is used for something else.
 * Source: FSA and USDA (clean, separate), from memory.
 */
function washedAfter(uses: readonly Use[], draft: Clocked): string | null {
  const lines = new Map(draft.bowls.flatMap((b) => b.lines.map((l) => [l.id, l] as const)))
  const touchesRaw = (task: Task): boolean =>
    task.uses.some((id) => {
      const line = lines.get(id)
      const kind = line ? rawKind(line, draft.foods) : null
      return kind === 'meat' || kind === 'egg'
    })
  const inTime = [...uses].sort((a, b) => a.sitting - b.sitting || a.start - b.start)
  const raw = inTime.find((u) => touchesRaw(u.task) && !toolOf(u.tool)?.keeps)
  const later = raw && inTime.find((u) => isLater(u, raw) && u.task.uses.length > 0)
  if (!raw || !later) return null
  const title = (step: string): string => draft.schedule.find((s) => s.step === step)?.title ?? step
  return `washed after “${title(raw.task.step)}”, before “${title(later.task.step)}”`
}

const isLater = (a: Use, b: Use): boolean =>
  a.task.step !== b.task.step && (a.sitting > b.sitting || (a.sitting === b.sitting && a.start >= b.end))

/** Where there are fewer of a tool than children who would have it at once: they go one group after another. */
export function fewTools(draft: Clocked, request: PlanRequest): Finding[] {
  const rows = new Map<string, { tool: string; wanted: number; have: number; rounds: number }>()
  for (const task of draft.tasks.filter((t) => t.mode === 'EACH'))
    for (const tool of new Set(task.forms.flatMap(ownTools))) {
      const have = toolCount(tool, request)
      const wanted = task.forms.reduce((n, f) => n + (ownTools(f).includes(tool) ? f.children.length : 0), 0)
      if (have >= wanted || have < 1) continue
      const rounds = Math.ceil(wanted / have)
      if (rounds > (rows.get(tool)?.rounds ?? 1)) rows.set(tool, { tool, wanted, have, rounds })
    }
  const locale = localeOf(request)
  return [...rows.values()].map(({ tool, wanted, have, rounds }) =>
    finding({
      rule: 'few-tools',
      pass: 'gather',
      grade: 'know',
      subject: { tool },
      touches: [],
      says: `${have} ${toolName(tool, have, locale)} for ${wanted} children: they go in ${rounds} rounds.`,
      because: 'Nobody shares a tool with another at the same time.',
      source: 'the Cupboard',
      fixes: [],
      dependsOn: [tool, wanted, have],
    }),
  )
}

/** "3 of 18 laid out". */
export function kitLaid(plan: Plan): string {
  const all = kitByPlace(plan).flatMap((p) => p.tools)
  return `${all.filter((t) => t.laid).length} of ${all.length} laid out`
}

/** Where tools lie, in words. */
export const KIT_PLACE_WORDS: Record<KitTool['where'], string> = {
  place: 'At the children’s places',
  tray: 'In the middle, on the tray',
  adult: 'With the adult',
}
/** The kit by where it lies, empty places left out. */
export const kitByPlace = ({ kit }: Pick<Plan, 'kit'>): { where: KitTool['where']; tools: KitTool[] }[] =>
  (['place', 'tray', 'adult'] as const)
    .map((where) => ({ where, tools: kit.tools.filter((t) => t.where === where) }))
    .filter((p) => p.tools.length > 0)
