/**
 * The clock's part of the independent checker: adults, sink and tools never at two things at once, jobs for waiting only where a
 * child waits, stations with nobody at two. Asked of the finished plan's own times, not of the search.
 */
import { APART } from '../model/line'
import { techniqueFor } from '../../craft/setting-techniques'
import { countOf, ownTools, toolIdOf } from '../../craft/tools'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { WITHIN_REACH, staysAt } from '../model/task-kinds'
import { leadFor } from '../model/lead'
import type { Task } from '../model/task'

interface Held {
  what: string
  start: number
  end: number
}

export function clockBreaches(plan: Plan, request: PlanRequest): string[] {
  const sitting = new Map(plan.schedule.map((s) => [s.step, s.sitting]))
  return [...new Set(sitting.values())].flatMap((n) => {
    const tasks = plan.tasks.filter((t) => sitting.get(t.step) === n)
    return [
      ...adultRules(plan, tasks, request),
      ...besideRules(plan, tasks),
      ...joinRules(tasks),
      ...passRules(plan, tasks),
      ...placeRules(plan, tasks, request),
      ...waitRules(plan, tasks, n),
      ...reachRules(plan, tasks, request),
    ]
  })
}

/** When a task has its adult wholly: alone at it, at heat or blades, or beside a child. */
function adultSpans(plan: Plan, task: Task): Held[] {
  if (task.start === undefined || task.end === undefined) return []
  if (task.mode === 'WAIT' && !staysAt(task)) return []
  // The same job at several bowls is one thing that an adult is at.
  const what = task.joins ?? task.id
  const whole = { what, start: task.start, end: task.end }
  if (task.mode === 'ADULT' || task.mode === 'WAIT' || task.mode === 'TURNS')
    return task.mode !== 'TURNS' || task.hazard || task.forms.some((f) => f.supervision === 'B')
      ? [whole]
      : []
  const beside = new Set(
    task.forms.filter((f) => task.hazard || f.supervision === 'B').flatMap((f) => f.children),
  )
  return plan.turns
    .filter((t) => t.task === task.id && beside.has(t.child))
    .map((t) => ({ what, start: t.start, end: t.end }))
}

function adultRules(plan: Plan, tasks: readonly Task[], request: PlanRequest): string[] {
  const out: string[] = []
  const ready = (plan.background ?? []).filter((b) =>
    tasks.some((t) => t.step === b.step && plan.schedule.some((s) => s.step === t.step)),
  )
  for (const { id, leads } of request.adults) {
    const own = tasks.filter((t) => t.adult === id)
    for (const task of own) {
      const lead = leadFor(techniqueFor(task.shows ?? task.technique) ?? {})
      const needed =
        lead !== null && (task.mode !== 'WAIT' || staysAt(task)) && (task.mode === 'ADULT' || task.n > 0)
      if (needed && !leads.includes(lead)) out.push(`${task.id}: ${id} does not lead ${lead}`)
    }
    const held = [
      ...own.flatMap((t) => adultSpans(plan, t)),
      ...ready
        .filter((b) => b.adult === id)
        .map((b) => ({ what: b.says, start: b.start, end: b.start + b.seconds })),
    ].sort((a, b) => a.start - b.start)
    for (const [i, a] of held.entries())
      for (const b of held.slice(i + 1)) {
        if (b.start >= a.end) break
        if (a.what !== b.what) out.push(`${id} is at ${a.what} and ${b.what} at once`)
      }
  }
  return out
}

/** At any start of a turn: the children beside whom one adult stands come to no more than one adult, by the share that the job asks for each. */
function besideRules(plan: Plan, tasks: readonly Task[]): string[] {
  const taskOf = new Map(tasks.map((t) => [t.id, t]))
  const seen = plan.turns.flatMap(({ id, task: of, child, start, end }) => {
    const task = taskOf.get(of)
    const form = task?.forms.find((f) => f.children.includes(child))
    if (!task?.adult || task.mode !== 'EACH' || !form) return []
    return task.hazard || form.supervision === 'B'
      ? [{ id, adult: task.adult, start, end, share: 1 / form.perAdult }]
      : []
  })
  return seen.flatMap((turn) => {
    const now = seen.filter((t) => t.adult === turn.adult && t.start <= turn.start && turn.start < t.end)
    const shares = now.reduce((n, t) => n + t.share, 0)
    return shares > 1 + 1e-9 ? [`${turn.id}: ${turn.adult} is beside more children than it can see to`] : []
  })
}

/** Jobs of several bowls that go in the same waves are the same job, under one adult. */
function joinRules(tasks: readonly Task[]): string[] {
  const same = (t: Task): string => `${t.step}/${t.technique}/${t.adult ?? ''}/${t.seconds}`
  return tasks.flatMap((task) => {
    const first = tasks.find((t) => t.mode === 'EACH' && t.joins === task.joins)
    if (task.joins === undefined || task.mode !== 'EACH' || !first) return []
    if (task.bowl === APART)
      return [`${task.id} is of the bowl that is apart, and goes in the waves of others`]
    return same(first) === same(task)
      ? []
      : [`${task.id} goes in the waves of ${task.joins}, and is another job`]
  })
}

/** One thing that goes round own bowls is with one child at a time, by the seats, round after round. */
function passRules(plan: Plan, tasks: readonly Task[]): string[] {
  if (plan.bowls.some((b) => b.children.length !== 1)) return []
  const seats = plan.bowls.flatMap((b) => b.children)
  const going = tasks.filter((t) => t.mode === 'EACH' && t.passes)
  const name = (t: Task): string => `${t.step}/${t.technique}/${t.measured ? (t.uses[0] ?? '') : ''}`
  return [...new Set(going.map(name))].flatMap((of) => {
    const turns = going
      .filter((t) => name(t) === of)
      .flatMap((t) =>
        plan.turns.filter((x) => x.task === t.id).map((x) => ({ ...x, round: t.passes?.round ?? 1 })),
      )
      .sort(
        (a, b) => a.round - b.round || seats.indexOf(a.child) - seats.indexOf(b.child) || a.start - b.start,
      )
    const early = turns.find((t, i) => i > 0 && t.start < (turns[i - 1]?.end ?? 0))
    return early ? [`${early.id}: it comes to ${early.child} before it is handed on`] : []
  })
}

/** At any start of a turn: no more at the sink, nor with a tool, than there are. */
function placeRules(plan: Plan, tasks: readonly Task[], { kit }: PlanRequest): string[] {
  const severalBowls = plan.bowls.length > 1
  const taskOf = new Map(tasks.map((t) => [t.id, t]))
  const turns = plan.turns.filter((t) => taskOf.has(t.task))
  const kept = [...new Set((kit.tools ?? []).flatMap((t) => toolIdOf(t.tool) ?? []))]
  const limits = [
    {
      name: 'the sink',
      most: kit.sinkPlaces ?? 2,
      own: turns.filter((t) => taskOf.get(t.task)?.place === 'sink'),
    },
    ...kit.measures.map(({ id, name, count }) => ({
      name,
      most: Math.max(1, count),
      // What is measured at several bowls: within one, each portion has its own rule.
      own: severalBowls
        ? turns.filter((t) => {
            const m = taskOf.get(t.task)?.measured
            return m?.by === 'scoop' && m.parts.some((p) => p.measure === id)
          })
        : [],
    })),
    ...kept.map((tool) => ({
      name: tool,
      most: countOf(tool, kit.tools),
      own: turns.filter((t) =>
        taskOf.get(t.task)?.forms.some((f) => f.children.includes(t.child) && ownTools(f).includes(tool)),
      ),
    })),
  ]
  return limits.flatMap(({ name, most, own }) => {
    // In the order of starts: at each start, those that have not ended yet.
    let there: typeof own = []
    for (const turn of [...own].sort((a, b) => a.start - b.start)) {
      there = [...there.filter((t) => t.end > turn.start), turn]
      if (there.length > most) return [`${turn.id}: more than ${most} at ${name}`]
    }
    return []
  })
}

/** Where every adult stands at blades, the stations beside have no more children than those adults can reach. */
function reachRules(plan: Plan, tasks: readonly Task[], { adults }: PlanRequest): string[] {
  // Nobody is there at all: that is a stop of its own, and not a question of reach.
  if (adults.length === 0) return []
  const stations = new Map(tasks.filter((t) => t.rounds).map((t) => [t.id, t]))
  const turns = plan.turns.filter((t) => stations.has(t.task))
  return turns.flatMap((turn) => {
    const now = turns.filter((t) => t.start <= turn.start && turn.start < t.end)
    const at = (hazard: string): Set<string> =>
      new Set(
        now.flatMap((t) =>
          stations.get(t.task)?.hazard === hazard ? (stations.get(t.task)?.adult ?? []) : [],
        ),
      )
    const [blades, heat] = [at('blade').size, at('heat').size]
    const eyes = adults.length - blades - heat
    const blunt = now.filter((t) => stations.get(t.task)?.hazard === undefined)
    if (eyes > 0 || blunt.length === 0 || now.length <= WITHIN_REACH * blades) return []
    return [`${turn.id}: more children than the adults at the blades can reach`]
  })
}

function waitRules(plan: Plan, tasks: readonly Task[], sitting: number): string[] {
  const ids = new Set(tasks.map((t) => t.id))
  const turnsOf = new Map<string, Plan['turns']>(plan.children.map((c) => [c.id, []]))
  for (const t of plan.turns) if (ids.has(t.task)) turnsOf.get(t.child)?.push(t)
  return (plan.waitingJobs ?? [])
    .filter((f) => f.sitting === sitting)
    .flatMap((f) => {
      const turn = turnsOf.get(f.child)?.find((t) => t.start < f.end && f.start < t.end)
      return turn ? [`${f.child} has ${f.job} and ${turn.id} at once`] : []
    })
}
