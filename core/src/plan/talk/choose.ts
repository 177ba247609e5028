/**
 * Choosing what to ask of whom, over a whole session, as an optimisation.
 *
 * Given: steps, each with ideas (one is chosen: a step carries one maths idea) and options (this child, this target, this
 * question); what a step, a child and the session may be asked at most. What is false, out of its moment, of what is not in view, or was
 * asked in the last three weeks is no option. Chosen: an idea for each step and a set of its options, and of what there is to tell, such
 * that no child is asked twice in a step, no child meets a target twice, no question comes twice, no child is asked more than its comments
 * bear, and no more than so many questions are about what comes before and after.
 *
 * Minimised in this order:
 *   z1 children who meet no target at the edge of what they can do
 *   z2 targets of the week that nobody meets
 *   z3 targets due to come back that do not
 *   z4 questions that could be asked and are not
 *   z5 uneven voices: for each child the squares of what it was asked lately and today
 *   z6 how far the questions are from the edge and from what the step is most about, the same kind of idea in several steps, and
 *      several questions in one step while another has none
 *
 * Solved by building step by step and then improving: each step is taken out and dealt anew with every one of its ideas, and each
 * question is moved to wherever another would be better, and what is wanted but has no place is put in while what is in its way gives
 * way, until nothing gets better; where a child or a target of the week is still left out, two steps at a time. Deterministic: no clock, no chance. Checked against a solver in the tests.
 */

import { insertEach } from './insert'
import { lift, moveEach, put } from './places'
import type { StepChoice, TalkProblem } from './problem'
import { less, Tally, type DealtStep, type Opt, type Score, type Step } from './tally'

/** @returns for each step its idea and its questions, in the order of the steps */
export function chooseTalk(problem: TalkProblem): StepChoice[] {
  const tally = new Tally(problem)
  const sizes = problem.steps.map((s) => s.ideas.reduce((n, i) => n + i.options.length, s.tell.length))
  // Those with the least to offer first: the others can still give way. Then other orders, while there is time for it.
  const scarce = [...sizes.keys()].sort((a, b) => (sizes[a] ?? 0) - (sizes[b] ?? 0) || a - b)
  let best: DealtStep[] = []
  let bestScore: Score = [Infinity, Infinity]
  const turned = (by: number): number[] => [...scarce.slice(by), ...scarce.slice(0, by)]
  const later = scarce.slice(1).map((_, i) => turned(i + 1))
  for (const order of [
    scarce,
    [...scarce].reverse(),
    [...sizes.keys()],
    [...sizes.keys()].reverse(),
    ...later,
  ]) {
    // Where somebody must be asked comes first, while there is room.
    const must = (i: number): number => ((problem.steps[i]?.must.length ?? 0) > 0 ? 0 : 1)
    const choice = improved(
      tally,
      [...order].sort((a, b) => must(a) - must(b)),
    )
    const score = tally.score()
    if (less(score, bestScore)) {
      best = choice
      bestScore = score
    }
    choice.forEach((c, i) => lift(tally, i, c))
    if (tally.spent) break
  }
  return best.map(({ idea, asks }) => ({ idea, asks: asks.map((a) => a.o) }))
}

/** Deals step by step in this order, then improves until nothing gets better. */
function improved(tally: Tally, order: readonly number[]): DealtStep[] {
  const choice: DealtStep[] = order.map(() => ({ idea: -1, asks: [] }))
  const sweep = (groups: readonly (readonly number[])[], stops = (): boolean => false): boolean =>
    groups.reduce((better, group) => (!stops() && dealBest(tally, choice, group)) || better, false)
  const singles = order.map((i) => [i])
  for (let round = 0; round < ROUNDS; round++) {
    const dealt = sweep(singles)
    if (moveEach(tally, choice) || dealt) continue
    if (insertEach(tally, choice)) continue
    // Two steps at once only where somebody, or a target of the week, is left out, and a step has something for them.
    const helping = order.filter((i) => tally.helps(i))
    const pairs = helping.flatMap((a) => order.filter((b) => b !== a).map((b) => [a, b]))
    if (!sweep(pairs, () => tally.spent)) break
  }
  return choice
}
const ROUNDS = 12

/** Takes these steps out, deals them anew in the best way that is found, and says whether that is better than it was. */
function dealBest(tally: Tally, choice: DealtStep[], group: readonly number[]): boolean {
  const before = group.flatMap((i) => choice[i] ?? [])
  let best = before
  // A step that has ideas has one of them, also where nobody is asked.
  const bare = group.some((i, k) => (tally.steps[i]?.ideas.length ?? 0) > 0 && before[k]?.idea === -1)
  let bestScore: Score = bare ? [Infinity, Infinity] : tally.score()
  group.forEach((i, k) => lift(tally, i, before[k]))
  const tryFrom = (k: number, made: DealtStep[]): void => {
    const i = group[k]
    const step = i === undefined ? undefined : tally.steps[i]
    if (i === undefined || !step) {
      const score = tally.score()
      if (!less(score, bestScore)) return
      bestScore = score
      best = made
      return
    }
    for (const idea of step.ideas.length > 0 ? step.ideas.keys() : [-1]) {
      const dealt = deal(step, idea, tally)
      tryFrom(k + 1, [...made, dealt])
      lift(tally, i, dealt)
    }
  }
  tryFrom(0, [])
  group.forEach((i, k) => {
    const back = best[k]
    if (!back) return
    choice[i] = back
    put(tally, i, back)
  })
  return best !== before
}

/** The questions of one step with one idea: those who must be asked, then always the one that gains most. */
function deal(step: Step, idea: number, tally: Tally): DealtStep {
  const chosen = step.ideas[idea]
  tally.take(chosen, 1)
  const asks: Opt[] = []
  // What does not fit now does not fit after more was asked: it is looked at once.
  let open: readonly Opt[] = chosen?.pool ?? step.tell
  const takeBest = (only?: number): boolean => {
    if (tally.full) return false
    tally.look(open.length)
    let best: Opt | null = null
    let [gain, price] = [Infinity, Infinity]
    const fitting: Opt[] = []
    for (const o of open) {
      if (!tally.fits(o) || asksChild(asks, o.child)) continue
      fitting.push(o)
      if (only !== undefined && o.child !== only) continue
      const g = tally.gain(o)
      if (g > gain) continue
      const p = tally.price(o, asks.length)
      if (g < gain || p < price) {
        best = o
        gain = g
        price = p
      }
    }
    open = fitting
    if (!best) return false
    tally.add(best, asks.length)
    asks.push(best)
    return true
  }
  for (const child of step.must) takeBest(child)
  while (asks.length < step.most && takeBest());
  return { idea: chosen ? idea : -1, asks }
}
function asksChild(asks: readonly Opt[], child: number): boolean {
  for (const a of asks) if (a.child === child) return true
  return false
}
