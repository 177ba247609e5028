/**
 * Pass 4, split: steps into tasks, bowl by bowl; each task in the form that each child can do; who may take part. A child who is
 * not there yet, or who must not touch what the task handles, is barred from it with the reason, and has a neighbour job instead.
 * Stations stand side by side where there are adults enough for them, else they become jobs one after another.
 */
import { unitOf } from '../../amount/units'
import { ratio } from '../../amount/ratio'
import { techniqueFor } from '../../craft/setting-techniques'
import type { Technique } from '../../craft/techniques'
import { stateLines, statesOf, type RecipeStates } from '../../recipe/states/hazards'
import { isByChildren, isOnce, type RecipeStep, type RecipeTask } from '../../recipe/recipe'
import { adultFor, cannotSupervise } from './adult-for'
import type { Pass, Portioned, Split } from '../model/draft'
import { rawKind } from '../shape/hygiene'
import { partake } from './eligibility'
import { hazardFindings } from './hazard-findings'
import { goesRound, inRounds, passOn } from './going-round'
import { ofSize, sizesOf } from './by-size'
import { withShowings } from './showings'
import { standingOver } from './standing-over'
import { watchNotes } from './watch-notes'
import type { PlanRequest } from '../model/request'
import { meetsInHand, takersOf, type PlanChoice } from '../model/choice'
import { joinBowls } from './shared-waves'
import { setStations } from './stations'
import { isTogether } from '../model/task-kinds'
import type { Bowl, PlanLine } from '../model/line'
import type { Task } from '../model/task'

export const split: Pass<Portioned, Split> = (draft, request) => {
  const set = draft.bowls.flatMap((bowl, index) => {
    const states = statesOf(draft.recipe, stateLines(bowl.lines, draft.foods))
    return draft.recipe.steps.map((step) =>
      setStations(
        step,
        stepTasks({ step, bowl, index, states }, draft, request),
        bowl,
        draft.people,
        request,
      ),
    )
  })
  const tasks = withShowings(
    joinBowls(
      passOn(
        set.flatMap((s) => s.tasks),
        draft.bowls,
      ),
      draft.recipe.steps,
      draft.bowls,
      request,
    ),
    draft.recipe.steps,
    draft.bowls,
    request,
  )
  const watch = [...draft.watch, ...watchNotes(tasks)]
  const apart = new Map(set.flatMap((s) => s.findings).map((f) => [f.id, f]))
  return {
    draft: { ...draft, tasks, watch },
    findings: [...hazardFindings(draft, tasks, request), ...apart.values()],
  }
}

interface Place {
  step: RecipeStep
  bowl: Bowl
  index: number
  states: RecipeStates
}

function stepTasks(place: Place, draft: Portioned, request: PlanRequest): Task[] {
  const { step, bowl } = place
  const handled = handledUpTo(step, bowl, draft)
  const used = bowl.lines.filter((l) => step.uses.some((u) => u.line === l.line))
  const washing = washFirst(step, draft)
  const all = inRounds([...washing, ...step.tasks], used)
  // A recipe may stir twice in one step, and names each line once for measuring.
  const chosen = new Set(draft.choices.flatMap((c) => c.lines.map((l) => l.line)))
  const nobodyTakes = used.length === 0 && step.uses.length > 0 && step.uses.every((u) => chosen.has(u.line))
  return all.flatMap((task, i) => {
    // Nobody takes of what this step is about.
    if (nobodyTakes && isByChildren(task.mode)) return []
    const technique = techniqueFor(task.technique, request.rules.techniques)
    if (!technique) return []
    const again = all.slice(0, i).filter((t) => idWordOf(t) === idWordOf(task)).length
    const lines: (PlanLine | null)[] = task.measures ? measuredAt(all, i, used) : [null]
    return lines.flatMap((line) =>
      sizesOf(task, line, bowl.children).map((size) =>
        buildTask({ ...place, task, technique, again, line, handled, used, size }, draft, request),
      ),
    )
  })
}

/**
 * The lines that a measuring task names, each once. The first that scoops also takes what none of them names and has a measure: a line that
 * somebody added, a swap by the spoon for a whole egg. A task that names none takes all that is left.
 */
function measuredAt(all: readonly RecipeTask[], i: number, used: readonly PlanLine[]): (PlanLine | null)[] {
  const measuring = all.flatMap((t, at) => (t.measures ? [at] : []))
  const named = new Set(measuring.flatMap((at) => all[at]?.lines ?? []))
  const own = all[i]?.lines
  const open = used.filter((l) => !named.has(l.line))
  if (!own) return all.findIndex((t) => t.measures && !t.lines) === i ? open : [null]
  const scooping = measuring.find((at) => all[at]?.technique === 'level-scoop') ?? measuring[0]
  const catchAll = measuring.every((at) => all[at]?.lines !== undefined) && scooping === i
  const more = catchAll ? open.filter((l) => !l.byEye && unitOf(l.unit).dimension !== 'count') : []
  const lines = [...used.filter((l) => own.includes(l.line)), ...more]
  return lines.length > 0 || all.length > 1 ? lines : [null]
}

/**
 * Hand-washing where hygiene asks for it and the recipe does not say it: before everyone eats, and after raw egg, meat or
 * fish. It takes its time on the clock like any other task. Source: CDC, NHS, FSA (h-when, h-egg-hands), from memory.
 */
function washFirst(step: RecipeStep, { recipe, lines, foods }: Portioned): RecipeTask[] {
  const has = (s: RecipeStep | undefined, technique: string): boolean =>
    s?.tasks.some((t) => t.technique === technique) ?? false
  if (has(step, 'wash-hands')) return []
  const before = recipe.steps[recipe.steps.indexOf(step) - 1]
  if (!before || has(before, 'wash-hands')) return []
  const raw = lines.some((l) => {
    const kind = rawKind(l, foods)
    return (kind === 'egg' || kind === 'meat') && before.uses.some((u) => u.line === l.line)
  })
  const eats = has(step, 'taste') && !has(before, 'taste')
  return raw || eats ? [{ technique: 'wash-hands', mode: 'EACH', seconds: 60, place: 'sink' }] : []
}

/** The foods that hands meet in a step: what goes in here, and all that went into the same bowl before. */
function handledUpTo(step: RecipeStep, bowl: Bowl, { recipe }: Portioned): string[] {
  const upTo = recipe.steps.slice(0, recipe.steps.indexOf(step) + 1)
  const lineIds = new Set(upTo.flatMap((s) => s.uses.map((u) => u.line)))
  // A line that no step uses is on the table all the same.
  const placed = new Set(recipe.steps.flatMap((s) => s.uses.map((u) => u.line)))
  return [...new Set(bowl.lines.filter((l) => lineIds.has(l.line) || !placed.has(l.line)).map((l) => l.food))]
}

/** A technique as it stands in an id: an adult's or a waiting part of it carries its mode. */
const idWordOf = (task: RecipeTask): string =>
  isByChildren(task.mode) ? task.technique : `${task.technique}-${task.mode.toLowerCase()}`

interface Parts extends Place {
  task: RecipeTask
  /** So many tasks of the same technique stand before it in its step. */
  again: number
  technique: Technique
  line: PlanLine | null
  handled: string[]
  used: PlanLine[]
  /** Of the line's sizes by age the one that is measured; undefined: the whole portion. */
  size: number | undefined
}

function buildTask(parts: Parts, draft: Portioned, request: PlanRequest): Task {
  const { step, task, technique, again, bowl, index, line, handled, used, states, size } = parts
  const around = standingOver(states.at(step.id, technique.id), line, request)
  // Hands that only measure one food meet that food; all other hands meet the whole bowl.
  const handles = technique.id === 'wash-hands' ? [] : line ? [line.food] : handled
  const hand = line ?? inHand(task, step, used)
  const at = ofSize(
    atWork(task, line ?? (used.length === 1 ? hand : undefined), bowl, draft.choices),
    task,
    line,
    size,
  )
  const crew = at.flatMap((id) => draft.people.find((p) => p.id === id) ?? [])
  const { forms, barred, instead, helps } = partake(
    crew,
    technique,
    (child) =>
      meetsInHand(child, { handles, mode: task.mode, worked: line ? [line] : used, bowl }, draft.choices),
    line ? [line] : used,
    around,
    draft,
    request,
  )
  const hazard = technique.hazard ?? (around.some((a) => a.technique.hazard === 'heat') ? 'heat' : undefined)
  const leads = { ...technique, ...(hazard && { hazard }) }
  const able = forms.reduce((n, f) => n + f.children.length, 0)
  const byChildren = isByChildren(task.mode)
  const id = [
    bowl.id,
    step.id,
    again > 0 ? `${idWordOf(task)}-${again + 1}` : idWordOf(task),
    line?.id,
    size === undefined ? '' : `size-${size + 1}`,
  ]
    .filter(Boolean)
    .join('/')
  const byAdult = request.decisions.some((d) => d.kind === 'adult-does' && d.task === id)
  // What each child measures into one bowl is its share of the amount, not the whole of it again: dealt scoop by scoop, in even turns. Of a
  // line that is for each child everybody measures the own.
  const measures = line !== null && task.measures === true && byChildren
  const round = task.passes && byChildren ? task.passes : undefined
  const asked = round
    ? 'EACH'
    : !measures
      ? task.mode
      : line.each
        ? 'EACH'
        : isOnce(task.mode)
          ? 'TURNS'
          : task.mode
  const mode = byChildren && (able === 0 || byAdult) ? 'ADULT' : asked
  const beside = hazard !== undefined || forms.some((f) => f.supervision === 'B')
  const adult =
    mode === 'ADULT' || mode === 'WAIT' || beside
      ? (chosenAdult(id, leads, request) ??
        adultFor(leads, isTogether({ mode, place: task.place ?? 'table' }) ? 0 : index, request))
      : undefined
  return {
    id,
    step: step.id,
    bowl: bowl.id,
    technique: technique.id,
    name: technique.name,
    uses: line ? [line.id] : used.map((l) => l.id),
    hand: hand?.id ?? null,
    handles,
    forms: byChildren && mode !== 'ADULT' ? forms : [],
    barred: byChildren ? barred : [],
    ...(byChildren && mode !== 'ADULT' && instead.length > 0 && { instead }),
    ...(byChildren && mode !== 'ADULT' && helps.length > 0 && { helps }),
    mode,
    n: isOnce(mode) ? able : mode === 'TURNS' ? (task.turns ?? able) : 1,
    seconds: byAdult ? adultSeconds(task, able, used.length) : secondsOf(task, bowl, draft),
    place: task.place ?? 'table',
    ...(hazard && task.mode !== 'WAIT' && { hazard }),
    ...(adult && { adult }),
    ...(task.every != null && { every: task.every }),
    ...(task.counts && { counts: task.counts }),
    ...(size !== undefined && { size }),
    ...(round && goesRound(round, mode === 'EACH' ? forms : [], again, bowl)),
  }
}

/** What a child does for itself with a food of a free choice is done by those who are reckoned to take of it. */
function atWork(
  task: RecipeTask,
  line: PlanLine | undefined,
  bowl: Bowl,
  choices: readonly PlanChoice[],
): string[] {
  const takers =
    line && isOnce(task.mode) && !(task.measures && !line.each) ? takersOf(choices, line.line) : null
  return takers ? bowl.children.filter((c) => takers.includes(c)) : bowl.children
}

/** In pieces of work beside one another each has its own food: only where the recipe says which, it is known. */
function inHand(task: RecipeTask, step: RecipeStep, used: readonly PlanLine[]): PlanLine | undefined {
  const own = task.measures ? undefined : task.lines
  if (own) return used.find((l) => own.includes(l.line))
  const works = step.tasks.filter((t) => !t.measures && isByChildren(t.mode))
  return used.length === 1 || works.length < 2 ? used[0] : undefined
}

/** The adult whom a person set down at this job, where they may stand there. */
function chosenAdult(task: string, technique: Technique, request: PlanRequest): string | undefined {
  const chosen = request.decisions.find((d) => d.kind === 'stands' && d.task === task)
  if (chosen?.kind !== 'stands') return undefined
  const adult = request.adults.find((a) => a.id === chosen.adult)
  return cannotSupervise(technique, adult) === null ? adult?.id : undefined
}

/** An adult alone does a shared job in about half of the children's time. Source: common practice. */
const adultSeconds = (task: RecipeTask, able: number, lines: number): number =>
  Math.max(10, Math.round((task.seconds * (task.turns ?? Math.max(able, task.measures ? 2 * lines : 0))) / 2))

/** What an adult sets up for a bowl takes at least so long, however little is in it. Source: common practice. */
const LEAST_ADULT_SECONDS = 20

/**
 * In the oven it takes as long as all the oven loads together. The seconds of an adult's work are those of the whole recipe: what is parted into
 * bowls is fried or chopped part by part, and takes no longer in all.
 */
function secondsOf(task: RecipeTask, bowl: Bowl, { making, bowls, people }: Portioned): number {
  if (task.mode === 'WAIT' && task.place === 'oven' && making.oven)
    return Math.round(ratio(making.oven.minutes).mul(60).valueOf())
  const parted = task.mode === 'ADULT' && bowls.length > 1
  if (!parted || isTogether({ mode: task.mode, place: task.place ?? 'table' })) return task.seconds
  const share = Math.ceil((task.seconds * bowl.children.length) / people.length)
  return Math.min(task.seconds, Math.max(LEAST_ADULT_SECONDS, share))
}
