/**
 * The facts of a step: all that there is to count, compare, share, cut, lay, time, weigh or tell in it, from the plan's own amounts.
 * A fact whose numbers would not be true for this group (a tray that is not full, a price that is not known) is not made.
 * Source: learning.md B0, B3.
 */
import { isOvernight } from '../model/session-recipe/sittings'
import { ratio, toMixed, toText } from '../../amount/ratio'
import type { Measure } from '../../amount/scoops'
import { unitOf } from '../../amount/units'
import { topicOf } from '../../learn/topics'
import type { Fact } from '../../learn/facts'
import { isByChildren, type RecipeStep } from '../../recipe/recipe'
import type { Gathered, DraftChild } from '../model/draft'
import { onlySize } from '../model/scoop-sequence'
import type { Bowl } from '../model/line'
import type { Task } from '../model/task'
import type { Ask } from '../model/step-talk'

export interface StepFact {
  /** From what it is about: it holds between compiles. */
  id: string
  fact: Fact
  /** The task whose turns it is about. */
  task?: string
}

/** A step with its facts by bowl, and who takes part in it. */
export interface TalkedStep {
  step: RecipeStep
  /** Of the first bowl. */
  facts: StepFact[]
  byBowl: Map<string, StepFact[]>
  here: DraftChild[]
  own: Ask[]
}

/** What is done so many times, and cannot be touched or put back. */
const ACTIONS = /\b(snips|pinches|pushes|stirs|turns|strokes|pats|shakes|presses|rubs|squeezes|counts)\b/i
/** Room warmth that a temperature is compared with, °C (common practice). */
const ROOM_C = 20

/** The facts of a step for one bowl; the one that the step is most about comes first, the order of steps and the telling last. */
export function factsOf(step: RecipeStep, draft: Gathered, bowl: Bowl, box: readonly Measure[]): StepFact[] {
  const own = draft.tasks.filter((t) => t.step === step.id && t.bowl === bowl.id)
  return [
    ...scoopFacts(own, bowl, box),
    ...countFacts(own),
    ...pieceFacts(step, own, bowl, draft),
    ...layerFacts(step),
    ...cutFacts(step, own, bowl, draft),
    ...timeFacts(step, own, draft),
    ...weighFacts(own, bowl),
    ...jugFacts(own, bowl, box),
    ...compareFacts(own, bowl),
    ...groupFacts(step, own, bowl, draft),
    ...lastFacts(step, draft),
  ]
}

function scoopFacts(own: readonly Task[], bowl: Bowl, box: readonly Measure[]): StepFact[] {
  const scooped = own.filter((t) => t.measured?.by === 'scoop' && t.mode === 'TURNS')
  // Of one size first: its scoops can be counted.
  const even = scooped.filter((t) => t.measured && onlySize(t.measured))
  return [...even, ...scooped.filter((t) => !even.includes(t))].flatMap((t) => {
    const fact = scoopFact(t, [bowl], box)
    return fact ? [{ id: `scoop:${t.uses[0] ?? t.technique}`, fact, task: t.id }] : []
  })
}

function countFacts(own: readonly Task[]): StepFact[] {
  return own.flatMap((t): StepFact[] => {
    if (!t.counts) return []
    const { what, n } = t.counts
    const aloud = t.technique === 'wash-hands' || ACTIONS.test(what)
    return [
      {
        id: `count:${t.technique}`,
        fact: { kind: 'count', food: what, n, ...(aloud && { aloud }) },
        task: t.id,
      },
    ]
  })
}

/** Whole things that go in, and what was made: shared, and in its rows. */
function pieceFacts(step: RecipeStep, own: readonly Task[], bowl: Bowl, draft: Gathered): StepFact[] {
  const list: StepFact[] = own.flatMap((t): StepFact[] => {
    const line = bowl.lines.find((l) => l.id === t.uses[0])
    if (t.measured?.by !== 'pieces' || !line) return []
    return [{ id: `count:${line.id}`, fact: { kind: 'count', food: line.name, n: t.measured.n }, task: t.id }]
  })
  const { pieces } = draft.recipe
  if (!pieces) return list
  const total = piecesMade(draft)
  if (shares(own))
    list.push({
      id: 'share:pieces',
      fact: { kind: 'share', food: pieces.what, n: total, people: draft.people.length, cuttable: true },
    })
  const { rows, cols } = pieces
  if (!rows || !cols) return list
  const onTray = pieces.from === undefined
  const here = onTray ? step.tasks.some((t) => t.place === 'oven') : shares(own)
  // Cut from a tin the squares must be just as many as its places; on a tray some places may stay empty.
  if (here && (onTray || total === rows * cols))
    list.push({ id: 'tin:pieces', fact: { kind: 'tin', rows, cols, filled: Math.min(total, rows * cols) } })
  return list
}
const shares = (own: readonly Task[]): boolean =>
  own.some((t) => (t.technique === 'taste' || t.technique === 'serve-self') && t.mode !== 'WAIT')
/** Pieces for this group: as many as it serves, taken up to whole ones. */
const piecesMade = ({ recipe, people }: Gathered): number =>
  Number(
    ratio(recipe.pieces?.n ?? 0)
      .mul(people.length)
      .div(recipe.serves)
      .ceil()
      .toFraction(),
  )

function layerFacts(step: RecipeStep): StepFact[] {
  const core = step.layers
  if (!core) return []
  const repeats = core.length === 2 ? 3 : 2
  return [{ id: 'layer', fact: { kind: 'layer', core, repeats, i: core.length * repeats - 1 } }]
}

function cutFacts(step: RecipeStep, own: readonly Task[], bowl: Bowl, draft: Gathered): StepFact[] {
  const list: StepFact[] = step.tasks.flatMap((t): StepFact[] => {
    if (!t.cuts) return []
    const line = bowl.lines.find((l) => step.uses.some((u) => u.line === l.line))
    const task = own.find((o) => o.technique === t.technique)
    const food = line?.name ?? draft.recipe.pieces?.from ?? 'food'
    return [
      {
        id: `cut:${t.technique}`,
        fact: { kind: 'cut', food, items: 1, pieces: t.cuts },
        ...(task && { task: task.id }),
      },
    ]
  })
  for (const t of step.tasks)
    if (t.shape)
      list.push({ id: `shape:${t.technique}`, fact: { kind: 'shape', food: 'food', shape: t.shape } })
  const { pieces } = draft.recipe
  const total = piecesMade(draft)
  if (pieces?.from && shares(own) && total === pieces.n)
    list.push({ id: 'cut:pieces', fact: { kind: 'cut', food: pieces.from, items: 1, pieces: total } })
  return list
}

function timeFacts(step: RecipeStep, own: readonly Task[], draft: Gathered): StepFact[] {
  const list: StepFact[] = []
  const wait = own.find((t) => t.mode === 'WAIT')
  if (wait && !isOvernight(wait.seconds)) {
    const at = draft.schedule.find((s) => s.step === step.id)?.at ?? draft.totals.startsAt
    list.push({
      id: 'timer',
      fact: { kind: 'timer', minutes: Math.max(1, Math.round(wait.seconds / 60)), start: at },
    })
  }
  const warm = step.tasks.find((t) => typeof t.celsius === 'number')
  if (typeof warm?.celsius === 'number')
    list.push({ id: 'temp', fact: { kind: 'temp', value: warm.celsius, unit: 'C', other: ROOM_C } })
  return list
}

function weighFacts(own: readonly Task[], bowl: Bowl): StepFact[] {
  return own.flatMap((t): StepFact[] => {
    const line = bowl.lines.find((l) => l.id === t.uses[0])
    if (t.measured?.by !== 'weight' || line?.unit !== 'g') return []
    const grams = ratio(line.amount)
    const division = [10, 5].find((d) => grams.mod(d).equals(0))
    return division === undefined
      ? []
      : [
          {
            id: `weigh:${line.id}`,
            fact: { kind: 'weigh', food: line.name, grams: line.amount, division },
            task: t.id,
          },
        ]
  })
}

/** A drink in a smaller measure, tipped into the largest of the box: how full is that now? */
function jugFacts(own: readonly Task[], bowl: Bowl, box: readonly Measure[]): StepFact[] {
  const poured = own.find(
    (t) => t.technique === 'pour-liquid' && t.measured?.by === 'scoop' && !t.measured.any,
  )
  const size = poured?.measured && onlySize(poured.measured)
  const line = poured && bowl.lines.find((l) => l.id === poured.uses[0])
  if (!poured || !size || !line) return []
  const large = box
    .filter((m) => m.unit === size.unit && m.count > 0)
    .sort((a, b) => ratio(b.size).compare(a.size))[0]
  if (!large || ratio(large.size).compare(size.size) <= 0) return []
  const unit = size.unit
  return [
    {
      id: `jug:${line.id}`,
      fact: { kind: 'jug', vessel: large.name, capacity: large.size, amount: size.size, unit },
      task: poured.id,
    },
  ]
}

/** What is measured here against another line of the bowl in the same unit. */
function compareFacts(own: readonly Task[], bowl: Bowl): StepFact[] {
  const { lines } = bowl
  const here = lines.find((l) => own.some((t) => t.measured && t.uses[0] === l.id))
  const other =
    here && lines.find((l) => l.line !== here.line && l.unit === here.unit && l.amount !== here.amount)
  if (!here || !other) return []
  const side = (l: typeof here): { name: string; amount: string } => ({ name: l.name, amount: l.amount })
  return [
    {
      id: `compare:${here.id}:${other.id}`,
      fact: { kind: 'compare', a: side(here), b: side(other), attribute: 'amount', unit: here.unit },
    },
  ]
}

/** The recipe for so many, and us; what it costs; what we think of it. */
function groupFacts(step: RecipeStep, own: readonly Task[], bowl: Bowl, draft: Gathered): StepFact[] {
  const list: StepFact[] = []
  const { recipe, people, cost } = draft
  const first = recipe.steps.find((s) => s.tasks.some((t) => t.measures))
  const line = recipe.lines.find((l) => step.uses.some((u) => u.line === l.id))
  const whole = draft.bowls.length === 1 && ratio(bowl.factor).equals(ratio(people.length).div(recipe.serves))
  if (first?.id === step.id && line && whole && people.length !== recipe.serves)
    list.push({
      id: `scale:${line.id}`,
      fact: {
        kind: 'scale',
        food: bowl.lines.find((l) => l.line === line.id)?.name ?? line.food,
        amount: toMixed(ratio(line.amount)),
        unit: line.unit,
        from: recipe.serves,
        to: people.length,
      },
    })
  if (!shares(own)) return list
  const pence = Math.round(ratio(cost.used).valueOf())
  if (cost.unknown.length === 0 && pence > 0)
    list.push({
      id: 'price',
      fact: {
        kind: 'price',
        cost_pence: String(pence),
        serves: people.length,
        ...(!ratio(cost.used).equals(pence) && { about: true as const }),
      },
    })
  list.push({ id: 'vote', fact: { kind: 'vote', options: { 'more please': 0, 'not today': 0 } } })
  return list
}

/** What comes before and after is always there to say, and so is the step itself. */
function lastFacts(step: RecipeStep, draft: Gathered): StepFact[] {
  const { steps } = draft.recipe
  const food = draft.lines.find((l) => step.uses.some((u) => u.line === l.line))?.name
  const byChildren = step.tasks.filter((t) => isByChildren(t.mode))
  const techniques = (byChildren.length > 0 ? byChildren : step.tasks).map((t) => t.technique)
  return [
    { id: 'order', fact: { kind: 'order', steps: steps.map((s) => s.title), i: steps.indexOf(step) + 1 } },
    { id: 'tell', fact: { kind: 'tell', topic: topicOf(techniques), food: food ?? 'food' } },
  ]
}

/** What a scooped task gives to speak of. @param box the measures that may be offered as another way */
export function scoopFact(
  task: Task,
  bowls: readonly Bowl[],
  box: readonly Pick<Measure, 'size' | 'unit' | 'count'>[],
): Fact | null {
  const line = bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])
  if (!line || task.measured?.by !== 'scoop') return null
  const { n, any } = task.measured
  const scoops = onlySize(task.measured)
  // Of any cup, or of several sizes: the children count the scoops. Where the amount is not exact, what the scoops make.
  if (any || !scoops) return { kind: 'count', food: `scoops of ${line.name}`, n }
  const { size, unit } = scoops
  return {
    kind: 'scoop',
    food: line.name,
    ...(task.technique === 'pour-liquid' && { pours: true as const }),
    unit,
    unitWord: unitOf(unit).one,
    target: toText(ratio(size).mul(n)),
    measure: size,
    // To prepare: half way in, where there is a way. At the table it is what is in the bowl.
    k: n > 3 ? Math.floor(n / 2) : 0,
    measures: box.filter((m) => m.unit === unit && m.count > 0).map((m) => toText(ratio(m.size))),
  }
}
