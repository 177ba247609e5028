/**
 * Pass 8, talk: one prompt and one small set of words for each step, from the plan's own amounts.
 *
 * One fact a step; at the table it goes on from there, turn by turn (session/say.ts). The child is the one of those with a
 * turn in the step who was asked least so far. A choice over the whole session, by targets, is still to come.
 */
import { ratio, toText } from '../amount/ratio'
import type { Measure } from '../amount/scoops'
import { unitOf } from '../amount/units'
import { countLimit } from '../craft/ages'
import { startLevel, type SupportLevel, type TalkRule } from '../learn/levels'
import { beginAt, largestNumber, promptsFor } from '../learn/prompts'
import type { Fact } from '../learn/facts'
import { wordsOf } from '../learn/words'
import type { RecipeStep } from '../recipe/recipe'
import type { Clocked, Pass, Person, Talked } from './draft'
import type { Bowl, StepTalk, Task } from './plan'
import { onlySize } from './strip'

export const talk: Pass<Clocked, Talked> = (draft, request) => {
  const languages = [...new Set(draft.people.flatMap((p) => p.languages))]
  const asked = new Map<string, number>()
  const list = draft.recipe.steps.map((step): StepTalk => {
    const fact = factOf(step, draft, request.kit.measures)
    const child = whoIsAsked(step, draft, asked)
    if (child) asked.set(child.id, (asked.get(child.id) ?? 0) + 1)
    const foods = step.uses.flatMap((u) => draft.lines.filter((l) => l.line === u.line).map((l) => l.food))
    const prompts = promptsFor(fact, child?.age ?? 48)
    return {
      step: step.id,
      fact,
      child: child?.id ?? null,
      prompts,
      start: beginAt(prompts, levelFor(fact, child?.age ?? 48, request.rules.talk)),
      words: wordsOf(
        step.tasks.map((t) => t.technique),
        foods,
        languages,
      ),
    }
  })
  return { draft: { ...draft, talk: list }, findings: [] }
}

/** A number above what the child counts to is shown, not asked. */
export function levelFor(fact: Fact, age: number, rule?: TalkRule): SupportLevel {
  const level = startLevel(age, rule)
  return largestNumber(fact) > countLimit(age) ? 'model' : level
}

function whoIsAsked(
  step: RecipeStep,
  draft: Clocked,
  asked: ReadonlyMap<string, number>,
): Person | undefined {
  const inStep = new Set(draft.tasks.filter((t) => t.step === step.id).map((t) => t.id))
  const doing = new Set(draft.turns.filter((t) => inStep.has(t.task)).map((t) => t.child))
  const candidates = draft.people.filter((p) => doing.has(p.id) && p.age >= 18)
  return [...candidates].sort((a, b) => (asked.get(a.id) ?? 0) - (asked.get(b.id) ?? 0))[0]
}

function factOf(step: RecipeStep, draft: Clocked, box: readonly Measure[]): Fact {
  const own = draft.tasks.filter((t) => t.step === step.id && t.bowl === draft.bowls[0]?.id)
  const scooped = own.filter((t) => t.measured?.by === 'scoop' && t.mode === 'TURNS')
  const even = scooped.find((t) => t.measured && onlySize(t.measured))
  const scoops = even ?? scooped[0]
  const fact = scoops && scoopFact(scoops, draft.bowls, box)
  if (fact) return fact
  const counted = own.find((t) => t.counts)
  if (counted?.counts) {
    const { what, n } = counted.counts
    return { kind: 'count', food: what, n, ...(counted.technique === 'wash-hands' && { aloud: true }) }
  }
  if (own.some((t) => t.technique === 'taste' || t.technique === 'serve-self') && draft.recipe.pieces) {
    const { what, n } = draft.recipe.pieces
    const pieces = ratio(n).mul(draft.people.length).div(draft.recipe.serves)
    return { kind: 'share', food: what, n: Number(pieces.ceil().toFraction()), people: draft.people.length }
  }
  const wait = own.find((t) => t.mode === 'WAIT')
  if (wait && wait.seconds < 6 * 3600) {
    const at = draft.schedule.find((s) => s.step === step.id)?.at ?? draft.totals.startsAt
    return { kind: 'timer', minutes: Math.max(1, Math.round(wait.seconds / 60)), start: at }
  }
  const pieces = own.find((t) => t.measured?.by === 'pieces')
  if (pieces?.measured?.by === 'pieces') {
    const line = draft.bowls[0]?.lines.find((l) => l.id === pieces.uses[0])
    if (line) return { kind: 'count', food: line.name, n: pieces.measured.n }
  }
  // Nothing to count: what comes before and after is always there to say.
  const { steps } = draft.recipe
  return { kind: 'order', steps: steps.map((s) => s.title), i: steps.indexOf(step) + 1 }
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
