/**
 * The independent checker: asks every hard rule again of the finished plan, from the request, without the passes.
 * A plan that fails it is not shown as one.
 */
import { foodBook } from '../../food/own-foods'
import { barsHandling, meet } from '../../food/concerns'
import { techniqueFor } from '../../craft/setting-techniques'
import { formFor } from '../../craft/form'
import { monthsOn } from '../../craft/ages'
import { ratio } from '../../amount/ratio'
import { crossTo, formWords } from '../../food/weights'
import { isByChildren, isOnce, TOLERANCE } from '../../recipe/recipe'
import { stateLines, statesOf, type Hazards } from '../../recipe/states/hazards'
import { choiceBreaches } from './check-choices'
import { clockBreaches } from './check-clock'
import { ownWeights } from '../model/cupboard'
import { packetsOf } from '../model/decision'
import { circumstancesOf, foodsInHand } from '../model/circumstances'
import type { ChoiceOffer } from '../model/choice'
import type { Plan } from '../model/plan'
import { recipeOfSession } from '../model/session-recipe/sittings'
import type { PlanRequest } from '../model/request'
import { madeBy } from '../model/scoop-sequence'
import { ownShare, sizeTotal, type PlanLine } from '../model/line'
import type { Task, Turn } from '../model/task'

/** Every breach in words; an empty list where the plan keeps the hard rules. */
export function breaches(plan: Plan, request: PlanRequest): string[] {
  return [
    ...handBreaches(plan, request),
    ...timeRules(plan),
    ...clockBreaches(plan, request),
    ...amountRules(plan, request),
    ...bowlRules(plan, request),
    ...choiceBreaches(plan, request),
  ]
}

/**
 * Every turn of a child who must not have it, in words: too young, barred by a card or a plan, or an adult's. For plans that were changed
 * while cooking, whose clock is no longer that of the request.
 * @param done turns that have happened: one of a child that has left since stays in the plan, and is no breach
 */
export function handBreaches(
  plan: Plan,
  request: PlanRequest,
  done: ReadonlySet<string> = new Set(),
): string[] {
  const foods = foodBook(request.foods)
  const packets = packetsOf(request.decisions)
  const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
  const recipe = recipeOfSession(request)
  const states = new Map(plan.bowls.map((b) => [b.id, statesOf(recipe, stateLines(b.lines, foods))]))
  // Of one child in one task the same holds for each of its turns.
  const asked = new Map<string, string[] | null>()
  const here = new Set(request.children.map((c) => c.id))
  return plan.turns.flatMap((turn) => {
    if (done.has(turn.id) && !here.has(turn.child) && tasks.has(turn.task)) return []
    const key = `${turn.task} ${turn.child}`
    const found = asked.get(key)
    const says = found === undefined ? ofTurn(turn) : found
    asked.set(key, says)
    return says === null ? [`turn ${turn.id} belongs to nothing`] : says.map((s) => `${turn.id}: ${s}`)
  })
  function ofTurn(turn: Turn): string[] | null {
    const task = tasks.get(turn.task)
    const child = request.children.find((c) => c.id === turn.child)
    const technique = task && techniqueFor(task.technique, request.rules.techniques)
    if (!task || !child || !technique) return null
    const age = child.birth ? monthsOn(child.birth, request.session.date) : (child.months ?? 0)
    const out: string[] = []
    const lines =
      plan.bowls.find((b) => b.id === task.bowl)?.lines.filter((l) => task.uses.includes(l.id)) ?? []
    if (
      formFor(technique, age, circumstancesOf(technique.id, child, request, foodsInHand(lines))).kind !== 'do'
    )
      out.push(`${turn.child} is too young`)
    if (child.limits?.includes(technique.id)) out.push(`the plan of ${turn.child} leaves ${technique.id} out`)
    for (const food of task.handles.filter((f) => !isPassedBy(f, task, child.id, plan))) {
      const bad = child.concerns.find((c) =>
        barsHandling(meet(c.allergen, foods.of(food), packets.get(food)), c),
      )
      if (bad) out.push(`${turn.child} must not touch ${food} (${bad.allergen})`)
    }
    const around = states.get(task.bowl)?.at(task.step, task.technique)
    if (around)
      out.push(...aroundBreaches(around, task, plan, age, request).map((says) => `${turn.child} ${says}`))
    if (task.mode === 'ADULT' || task.mode === 'WAIT') out.push(`a child in an adult's task`)
    return out
  }
}

/**
 * A food that stands there for others only: every line of it in the bowl is of a free choice, none is offered to this child, and what the child does
 * here is its own, with something else.
 */
function isPassedBy(food: string, task: Task, child: string, plan: Plan): boolean {
  if (!isOnce(task.mode)) return false
  const of = (line: string): ChoiceOffer | undefined =>
    plan.choices?.find((c) => c.lines.some((l) => l.line === line))?.offers.find((o) => o.child === child)
  const bowl = plan.bowls.find((b) => b.id === task.bowl)?.lines ?? []
  const lines = bowl.filter((l) => l.food === food)
  const others = bowl.filter((l) => task.uses.includes(l.id) && l.food !== food)
  const elsewhere = !lines.some((l) => task.uses.includes(l.id))
  return (
    lines.length > 0 &&
    lines.every((l) => of(l.line)?.lines.includes(l.line) === false) &&
    (elsewhere || others.some((l) => of(l.line)?.lines.includes(l.line) ?? true))
  )
}

/** Heat, raw meat and what is not cooked yet, asked again of each turn. */
function aroundBreaches(
  { rawMeat, rawTaste, heat, deepOil }: Hazards,
  task: Task,
  plan: Plan,
  age: number,
  { rules }: PlanRequest,
): string[] {
  const may = (id: string): boolean => {
    const technique = techniqueFor(id, rules.techniques)
    return technique !== undefined && formFor(technique, age).kind === 'do'
  }
  const measured = plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])?.name
  const raw = task.measured ? rawMeat.filter((name) => name === measured) : rawMeat
  return [
    ...(raw.length > 0 ? [`must not touch raw ${raw.join(', ')}`] : []),
    ...(rawTaste.length > 0 ? [`must not taste ${rawTaste.join(', ')} before it is cooked`] : []),
    ...(deepOil ? ['is in the room with oil for deep frying'] : []),
    ...(heat !== null && !may(heat === 'scalding' ? 'carry-hot' : 'use-hob')
      ? ['must not stand at what is hot']
      : []),
  ]
}

function timeRules(plan: Plan): string[] {
  const steps = new Map(plan.schedule.map((s) => [s.step, s]))
  const taskOf = new Map(plan.tasks.map((t) => [t.id, t]))
  const out = plan.turns.flatMap((turn) => {
    const step = steps.get(taskOf.get(turn.task)?.step ?? '')
    return step && turn.start >= step.start && turn.end <= step.start + step.seconds
      ? []
      : [`${turn.id} lies outside its step`]
  })
  const sitting = new Map(plan.schedule.map((s) => [s.step, s.sitting]))
  const stepOf = new Map(plan.tasks.map((t) => [t.id, t.step]))
  const byChild = new Map<string, Plan['turns']>()
  for (const turn of plan.turns) {
    const key = `${turn.child}/${sitting.get(stepOf.get(turn.task) ?? '') ?? 1}`
    byChild.set(key, [...(byChild.get(key) ?? []), turn])
  }
  for (const [who, list] of byChild) {
    const sorted = [...list].sort((a, b) => a.start - b.start)
    for (let i = 1; i < sorted.length; i++) {
      const before = sorted[i - 1]
      const after = sorted[i]
      if (before && after && after.start < before.end)
        out.push(`${who} is at ${before.id} and ${after.id} at once`)
    }
  }
  return out
}

/** Scoops make the amount, exactly or within the tolerance of the line's role; every turn of a task is dealt. */
function amountRules(plan: Plan, request: PlanRequest): string[] {
  return plan.tasks.flatMap((task: Task) => {
    const out: string[] = []
    const dealt = plan.turns.filter((t) => t.task === task.id).length
    if (isByChildren(task.mode) && dealt !== task.n) {
      out.push(`${task.id}: ${dealt} of ${task.n} turns are dealt`)
    }
    if (task.portion) out.push(...portionRules(task, plan))
    const line = plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])
    if (line && task.measured?.by === 'scoop') {
      const part =
        request.recipe.steps.find((s) => s.id === task.step)?.uses.find((u) => u.line === line.line)?.part ??
        '1'
      const round = ratio(part).div(task.passes?.of ?? 1)
      // What the recipe weighs is scooped by the food's weight: crossed again here, on the other way round.
      const made = madeBy(task.measured)
      const back = crossTo(
        made,
        'mL',
        line.unit,
        line.food,
        formWords(line.prep, line.shape),
        ownWeights(request),
      )
      const whole = wholeOf(task, line, plan)
      const off = back?.amount.div(ratio(whole).mul(round)).sub(1).abs()
      if (!off || off.compare(TOLERANCE[line.role]) > 0) out.push(`${task.id}: scoops do not make the amount`)
      if (task.measured.n !== task.measured.parts.reduce((n, p) => n + p.n, 0))
        out.push(`${task.id}: the scoops are not those that are counted`)
    }
    return out
  })
}

/** What a task measures of its line: one child's portion, an adult's for those of a size, or all of it. */
const wholeOf = (task: Task, line: PlanLine, plan: Plan): string => {
  const children = plan.bowls.find((b) => b.id === task.bowl)?.children.length ?? 0
  return (
    (task.portion ? ownShare(line, task.size)?.amount : sizeTotal(line, task.size, children)) ?? line.amount
  )
}

/** Everybody at it has every scoop of the own portion, one after the other; no more at once than there are measures; and it is there for all of the bowl. */
function portionRules(task: Task, plan: Plan): string[] {
  const turns = plan.turns.filter((t) => t.task === task.id)
  const scoops = task.measured?.by === 'scoop' ? task.measured.n : 1
  const out = task.forms
    .flatMap((f) => f.children)
    .filter((child) => turns.filter((t) => t.child === child).length !== scoops)
    .map((child) => `${task.id}: ${child} does not measure all of the own portion`)
  // The seats are those of the bowl, whatever the task says of its order.
  const seats = (plan.bowls.find((b) => b.id === task.bowl)?.children ?? []).filter((c) =>
    turns.some((t) => t.child === c),
  )
  const first = turns.filter((t, i) => turns.findIndex((o) => o.child === t.child) === i)
  if (task.passes && first.some((t, i) => t.child !== seats[i]))
    out.push(`${task.id}: it does not go round by the seats`)
  const most = task.portion?.atOnce ?? 1
  if (turns.some((t) => turns.filter((o) => o.start <= t.start && t.start < o.end).length > most))
    out.push(`${task.id}: more than ${most} measure at once`)
  const bowl = plan.bowls.find((b) => b.id === task.bowl)
  const line = bowl?.lines.find((l) => l.id === task.uses[0])
  const eaters = line?.takers?.n ?? bowl?.children.length ?? 0
  const taken = (line?.each?.sizes ?? []).reduce(
    (sum, s) =>
      sum.add(
        ratio(s.amount)
          .sub(line?.each?.amount ?? '0')
          .mul(s.children.length),
      ),
    ratio(line?.each?.amount ?? '0').mul(eaters),
  )
  if (bowl && line?.each && taken.compare(line.amount) > 0)
    out.push(`${task.id}: there is less of ${line.id} than the portions take`)
  return out
}

function bowlRules(plan: Plan, request: PlanRequest): string[] {
  const placed = plan.bowls.flatMap((b) => b.children).sort()
  const present = request.children.map((c) => c.id).sort()
  const out =
    placed.join() === present.join() ? [] : ['the bowls do not hold exactly the children who are present']
  for (const [what, ids] of [
    ['task', plan.tasks],
    ['turn', plan.turns],
    ['finding', plan.findings],
  ] as const) {
    if (new Set(ids.map((x) => x.id)).size !== ids.length) out.push(`two of one ${what} id`)
  }
  return out
}
