/** What is measured in a step: scoops of one size, a sum of several sizes, what is counted, weighed, poured, and amounts side by side. */
import { ratio, toText } from '../../../amount/ratio'
import type { Measure } from '../../../amount/scoops'
import { unitOf } from '../../../amount/units'
import type { Role } from '../../../recipe/recipe'
import type { Fact } from '../../../learn/facts'
import { onlySize } from '../../model/scoop-sequence'
import { ownShare, type Bowl } from '../../model/line'
import type { Task } from '../../model/task'
import { spokenName } from './in-hand'
import type { StepFact } from './step-fact'

type Box = readonly Pick<Measure, 'size' | 'unit' | 'count'>[]

export const measuredFacts = (own: readonly Task[], bowl: Bowl, box: readonly Measure[]): StepFact[] => [
  ...scoopFacts(own, bowl, box),
  ...countFacts(own, bowl),
  ...weighFacts(own, bowl),
  ...jugFacts(own, bowl, box),
  ...compareFacts(own, bowl),
]

function scoopFacts(own: readonly Task[], bowl: Bowl, box: Box): StepFact[] {
  const scooped = own.filter((t) => t.measured?.by === 'scoop' && (t.mode === 'TURNS' || t.portion))
  // Of one size first: its scoops can be counted.
  const even = scooped.filter((t) => t.measured && onlySize(t.measured))
  return [...even, ...scooped.filter((t) => !even.includes(t))].flatMap((t) => {
    const fact = scoopFact(t, [bowl], box)
    return fact ? [{ id: `${fact.kind}:${t.uses[0] ?? t.technique}`, fact, task: t.id }] : []
  })
}

/**
 * What a scooped task gives to speak of: scoops of one size are counted; of several sizes what they add up to. Of any cup nothing is said.
 * @param box the measures that may be offered as another way
 */
export function scoopFact(task: Task, bowls: readonly Bowl[], box: Box): Fact | null {
  const line = bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])
  if (!line || task.measured?.by !== 'scoop') return null
  const { n, any, parts } = task.measured
  if (any) return { kind: 'count', food: `scoops of ${line.name}`, n }
  const scoops = onlySize(task.measured)
  if (!scoops)
    return {
      kind: 'vessel',
      food: spokenName(line),
      parts: parts.map((p) => ({ name: p.name, size: p.size, unit: p.unit, n: p.n })),
      k: 0,
    }
  const { size, unit } = scoops
  return {
    kind: 'scoop',
    food: spokenName(line),
    ...(task.technique === 'pour-liquid' && { pours: true as const }),
    unit,
    unitWord: unitOf(unit).one,
    target: toText(ratio(size).mul(n)),
    measure: size,
    // At the table it is what is in the bowl.
    k: 0,
    measures: box.filter((m) => m.unit === unit && m.count > 0).map((m) => toText(ratio(m.size))),
  }
}

/** What is done so many times, and cannot be touched or put back. */
const ACTIONS =
  /\b(snips|pinches|pushes|stirs|turns|strokes|pats|shakes|presses|rubs|squeezes|counts|folds|dimples|spoons|spoonfuls)\b/i

const PART_WORDS = /\b(halves|thirds|quarters|fourths|eighths)\b/i

/** Things to touch, and work that is counted aloud; the hand-wash has its song instead. */
const countFacts = (own: readonly Task[], bowl: Bowl): StepFact[] =>
  own.flatMap((t): StepFact[] => {
    const line = bowl.lines.find((l) => l.id === t.uses[0])
    if (t.measured?.by === 'pieces' && line)
      return [
        {
          id: `count:${line.id}`,
          fact: {
            kind: 'count',
            food: line.name,
            n: t.measured.n,
            ...(t.portion && { each: true as const }),
          },
          task: t.id,
        },
      ]
    if (!t.counts || t.technique === 'wash-hands' || t.counts.n < 2) return []
    const { what, n } = t.counts
    // Parts of a whole are named, not counted like things.
    if (PART_WORDS.test(what)) return []
    const aloud = ACTIONS.test(what)
    return [
      {
        id: `count:${t.technique}`,
        fact: { kind: 'count', food: what, n, ...(aloud ? { aloud } : { each: true as const }) },
        task: t.id,
      },
    ]
  })

const weighFacts = (own: readonly Task[], bowl: Bowl): StepFact[] =>
  own.flatMap((t): StepFact[] => {
    const line = bowl.lines.find((l) => l.id === t.uses[0])
    if (t.measured?.by !== 'weight' || line?.unit !== 'g') return []
    // Kitchen scales show figures: there are no marks to count.
    return [
      {
        id: `weigh:${line.id}`,
        fact: {
          kind: 'weigh',
          food: line.name,
          grams: (t.portion && ownShare(line, t.size)?.amount) || line.amount,
          division: 1,
        },
        task: t.id,
      },
    ]
  })

/** A drink in a smaller measure, tipped into the largest of the box: how full is that now? */
function jugFacts(own: readonly Task[], bowl: Bowl, box: readonly Measure[]): StepFact[] {
  const poured = own.find(
    (t) => t.technique === 'pour-liquid' && t.measured?.by === 'scoop' && !t.measured.any,
  )
  const size = poured?.measured && onlySize(poured.measured)
  const line = poured && bowl.lines.find((l) => l.id === poured.uses[0])
  if (!poured || !size || !line) return []
  const unit = size.unit
  const large = box
    .filter((m) => m.unit === unit && m.count > 0)
    .sort((a, b) => ratio(b.size).compare(a.size))[0]
  if (!large || ratio(large.size).compare(size.size) <= 0) return []
  const vessel = `${large.name} measure`
  return [
    {
      id: `jug:${line.id}`,
      fact: { kind: 'jug', vessel, capacity: large.size, amount: size.size, unit },
      task: poured.id,
    },
  ]
}

/** What a dish is made of; a pinch of salt beside the flour tells nothing. */
const COMPARED: ReadonlySet<Role> = new Set<Role>([
  'structure',
  'liquid',
  'main',
  'moisture',
  'sweet',
  'fat',
  'fat-rubbed',
  'fat-melted',
  'savour',
])

/** What is measured here against another line of the bowl in the same unit: as much, twice as much, more. */
function compareFacts(own: readonly Task[], bowl: Bowl): StepFact[] {
  const { lines } = bowl
  const here = lines.find((l) => own.some((t) => t.measured && t.uses[0] === l.id))
  const task = own.find((t) => here && t.uses[0] === here.id)
  if (!here || !task || here.byEye || !COMPARED.has(here.role)) return []
  const alike = lines.filter(
    (l) =>
      COMPARED.has(l.role) &&
      l.line !== here.line &&
      l.unit === here.unit &&
      !l.byEye &&
      l.name !== here.name,
  )
  const rank = (l: (typeof alike)[number]): number => {
    const [a, b] = [ratio(l.amount), ratio(here.amount)]
    if (a.equals(b)) return 0
    const times = a.compare(b) > 0 ? a.div(b) : b.div(a)
    return times.d === 1n ? 1 : 2
  }
  const [other] = alike.filter((l) => ratio(l.amount).compare(0) > 0).sort((a, b) => rank(a) - rank(b))
  if (!other) return []
  const side = (l: typeof here): { name: string; amount: string } => ({ name: l.name, amount: l.amount })
  return [
    {
      id: `compare:${here.id}:${other.id}`,
      fact: { kind: 'compare', a: side(here), b: side(other), attribute: 'amount', unit: here.unit },
      task: task.id,
    },
  ]
}
