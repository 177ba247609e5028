/** What is cut, laid, pressed and shared: parts of what a child really holds, and pieces as many as the batch really makes. */
import { ratio, toText } from '../../../amount/ratio'
import { things } from '../../../learn/fact/phrases'
import { isOnce, type RecipeStep } from '../../../recipe/recipe'
import type { Gathered } from '../../model/draft'
import type { Bowl } from '../../model/line'
import type { Task } from '../../model/task'
import { lineAtWork, spokenName } from './in-hand'
import type { StepFact } from './step-fact'

export const madeFacts = (
  step: RecipeStep,
  own: readonly Task[],
  bowl: Bowl,
  draft: Gathered,
): StepFact[] => [
  ...cutFacts(own, bowl, step, draft),
  ...layerFacts(step, own),
  ...sceneFacts(step, own),
  ...tastingFacts(step, own, bowl),
  ...shapeFacts(own, step),
  ...sharedFacts(step, own, draft),
]

export const shares = (own: readonly Task[]): boolean => own.some(isSharing)
const isSharing = (t: Task): boolean =>
  (t.technique === 'taste' || t.technique === 'serve-self') && t.mode !== 'WAIT' && t.mode !== 'ADULT'

/** Pieces as the batch makes them; where nobody chose, for as many as it serves, taken up to whole ones. */
function piecesMade({ recipe, people, making }: Gathered): number {
  if (making.pieces) return making.pieces.n
  return Number(
    ratio(recipe.pieces?.n ?? 0)
      .mul(people.length)
      .div(recipe.serves)
      .ceil()
      .toFraction(),
  )
}

/** Parts that a child can hold and that have a name. */
const HELD = ['1', '1/2', '1/4', '1/3']
/** Strips and torn bits do not lie as slices do. */
const SCATTERED = ['tear', 'snip-scissors', 'grate']

function cutFacts(own: readonly Task[], bowl: Bowl, step: RecipeStep, draft: Gathered): StepFact[] {
  return step.tasks.flatMap((t): StepFact[] => {
    const task = own.find((o) => o.technique === t.technique && o.mode !== 'WAIT' && o.mode !== 'ADULT')
    if (!t.cuts || !task) return []
    // Of several foods side by side nobody knows which is cut, where the recipe does not say it.
    const line = lineAtWork(task, bowl)
    if (!line && step.uses.length > 0) return []
    const goes = Math.max(1, draft.turns.filter((turn) => turn.task === task.id).length)
    const held = line?.unit === 'item' ? toText(ratio(line.amount).div(goes)) : '1'
    const whole = line === undefined && draft.recipe.pieces?.from !== undefined
    const food = line?.name ?? (whole ? (draft.recipe.pieces?.from ?? 'dough') : 'dough')
    // A part that has no name, or several things at once: the pieces are counted, and no part is named.
    const named = HELD.includes(held)
    const through = t.shape === 'circle' || t.shape === 'square'
    return [
      {
        id: `cut:${t.technique}`,
        fact: {
          kind: 'cut',
          food,
          items: 1,
          pieces: t.cuts,
          ...(named ? held !== '1' && { held } : { unnamed: true as const }),
          ...(through && { through: true as const }),
          ...((SCATTERED.includes(t.technique) || !named) && { scattered: true as const }),
        },
        task: task.id,
      },
    ]
  })
}

/** A row that comes again and again where the recipe says how often; else what lies on what. */
function layerFacts(step: RecipeStep, own: readonly Task[]): StepFact[] {
  const core = step.layers
  const task =
    own.find(
      (t) => t.technique === 'fill-cases' || t.technique === 'arrange' || t.technique === 'thread-skewer',
    ) ?? own.find((t) => t.mode !== 'WAIT')
  if (!core || core.length < 2 || !task) return []
  const times = step.rows?.times ?? 1
  const fact: StepFact['fact'] =
    times < 2 ? { kind: 'layers', core } : { kind: 'layer', core, repeats: times, i: core.length * times - 1 }
  return [{ id: 'layer', fact, task: task.id }]
}

/** Of a picture: how many of a part it has, and what is on the left as on the right. */
function sceneFacts({ scene }: RecipeStep, own: readonly Task[]): StepFact[] {
  const task = own.find((t) => t.mode !== 'WAIT' && t.mode !== 'ADULT' && t.technique !== 'wash-hands')
  if (!scene || !task) return []
  return scene.parts.flatMap((p, i): StepFact[] => {
    const food = things(p.what, 2)
    const id = `${i + 1}`
    const each = isOnce(task.mode) ? { each: true as const } : {}
    return [
      ...(p.at === 'pair'
        ? [
            {
              id: `mirror:${id}`,
              fact: { kind: 'mirror' as const, food, of: scene.of, side: p.n / 2 },
              task: task.id,
            },
          ]
        : []),
      ...(p.n > 1
        ? [{ id: `count:part-${id}`, fact: { kind: 'count' as const, food, n: p.n, ...each }, task: task.id }]
        : []),
    ]
  })
}

/** What is tasted side by side, as it stands at this bowl; two of one name are nothing to tell apart. */
function tastingFacts({ tasting }: RecipeStep, own: readonly Task[], bowl: Bowl): StepFact[] {
  const task = own.find(isSharing)
  const lines = bowl.lines.filter((l) => tasting?.lines.includes(l.line))
  const foods = [...new Set(lines.map(spokenName))]
  if (!tasting || !task || foods.length < 2) return []
  const covered = tasting.covered === true && { covered: true as const }
  return [{ id: 'tastes', fact: { kind: 'tastes', foods, ...covered }, task: task.id }]
}

function shapeFacts(own: readonly Task[], step: RecipeStep): StepFact[] {
  return step.tasks.flatMap((t): StepFact[] => {
    const task = own.find((o) => o.technique === t.technique && o.mode !== 'WAIT' && o.mode !== 'ADULT')
    return t.shape && task
      ? [{ id: `shape:${t.technique}`, fact: { kind: 'shape', food: 'food', shape: t.shape }, task: task.id }]
      : []
  })
}

/** Whole things that were made: shared as they are, and in their rows. */
function sharedFacts(step: RecipeStep, own: readonly Task[], draft: Gathered): StepFact[] {
  const { pieces } = draft.recipe
  if (!pieces) return []
  const total = piecesMade(draft)
  const list: StepFact[] = []
  const task = own.find(isSharing)
  if (task && total > 0)
    list.push({
      id: 'share:pieces',
      fact: {
        kind: 'share',
        food: pieces.what,
        n: total,
        people: draft.people.length,
        ...(CUTTABLE.test(pieces.what) && { cuttable: true as const }),
      },
      task: task.id,
    })
  const { rows, cols } = pieces
  if (!rows || !cols) return list
  const onTray = pieces.from === undefined
  const here = onTray ? step.tasks.some((t) => t.place === 'oven') : task !== undefined
  // Cut from a tin the squares must be just as many as its places; on a tray some places may stay empty.
  if (here && (onTray || total === rows * cols))
    list.push({
      id: 'tin:pieces',
      fact: {
        kind: 'tin',
        rows,
        cols,
        filled: Math.min(total, rows * cols),
        ...(!onTray && { cut: true as const }),
      },
      ...(!onTray && task && { task: task.id }),
    })
  return list
}
/** A pot or a jar is not cut in two. */
const CUTTABLE = /^(?!.*\b(pots?|jars?|parcels?|cups?|bowls?|glass(es)?|portions?)\b)/i
