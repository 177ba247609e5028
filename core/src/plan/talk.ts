/**
 * Pass 8, talk: one prompt and one small set of words for each step, from the plan's own amounts.
 *
 * Does little yet: one fact a step; the child is the one of those with a turn in the step who was asked least so far.
 */
import { ratio, toText } from '../amount/ratio'
import { unitOf } from '../amount/units'
import { countLimit } from '../craft/ages'
import { largestNumber, promptsFor, startLevel, type SupportLevel } from '../learn/prompts'
import type { Fact } from '../learn/facts'
import { wordsOf } from '../learn/words'
import type { RecipeStep } from '../recipe/recipe'
import type { Clocked, Pass, Person, Talked } from './draft'
import type { StepTalk, Task } from './plan'
import { onlySize } from './strip'

export const talk: Pass<Clocked, Talked> = (draft) => {
  const languages = [...new Set(draft.people.flatMap((p) => p.languages))]
  const asked = new Map<string, number>()
  const list = draft.recipe.steps.map((step): StepTalk => {
    const fact = factOf(step, draft)
    const child = whoIsAsked(step, draft, asked)
    if (child) asked.set(child.id, (asked.get(child.id) ?? 0) + 1)
    const foods = step.uses.flatMap((u) => draft.lines.filter((l) => l.line === u.line).map((l) => l.food))
    return {
      step: step.id,
      fact,
      child: child?.id ?? null,
      prompts: fact ? promptsFor(fact) : [],
      start: fact ? levelFor(fact, child) : 'model',
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
function levelFor(fact: Fact, child: Person | undefined): SupportLevel {
  const age = child?.age ?? 48
  const level = startLevel(age)
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

function factOf(step: RecipeStep, draft: Clocked): Fact | null {
  const own = draft.tasks.filter((t) => t.step === step.id && t.bowl === draft.bowls[0]?.id)
  const scooped = own.find((t) => t.measured && onlySize(t.measured) && t.mode === 'TURNS')
  if (scooped) return scoopFact(scooped, draft)
  const counted = own.find((t) => t.counts)
  if (counted?.counts) return { kind: 'count', food: counted.counts.what, n: counted.counts.n }
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
    return line ? { kind: 'count', food: line.name, n: pieces.measured.n } : null
  }
  return null
}

function scoopFact(task: Task, draft: Clocked): Fact | null {
  const line = draft.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])
  const scoops = task.measured && onlySize(task.measured)
  if (!line || !scoops || task.measured?.by !== 'scoop') return null
  const { n, any } = task.measured
  // Where the amount is not exact, the children count what the scoops make.
  const [size, unit, word] = any ? ['1', 'part', 'part'] : [scoops.size, scoops.unit, unitOf(scoops.unit).one]
  return {
    kind: 'scoop',
    food: line.name,
    unit,
    unitWord: word,
    target: toText(ratio(size).mul(n)),
    measure: size,
    k: Math.floor(n / 2),
  }
}
