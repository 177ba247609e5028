/**
 * Choosing what to ask of whom, over a whole session, as an optimisation.
 *
 * Given: steps, each with ideas (one is chosen: a step carries one maths idea) and options (this child, this target, this
 * question); what a step and the session may ask at most. Chosen: an idea for each step and a set of its options, and of what
 * there is to tell, such that no child is asked twice in a step, no child meets a target twice, and no question comes twice.
 *
 * Minimised in this order:
 *   z1 children who meet no target at the edge of what they can do
 *   z2 targets of the week that nobody meets
 *   z3 targets due to come back that do not
 *   z4 questions that could be asked and are not
 *   z5 uneven voices: for each child the squares of what it was asked lately and today
 *   z6 how far the questions are from the edge and from what the step is most about, and the same kind of idea in several steps
 *
 * Solved by building step by step and then improving: each step is taken out and dealt anew with every one of its ideas until nothing
 * gets better; where a child or a target of the week is still left out, two steps at a time. Deterministic: no clock, no chance.
 * Checked against a solver in the tests.
 */

export interface TalkOption {
  child: number
  /** The target met, and all that the question touches. */
  target: string
  touches: readonly string[]
  /** 0 and more: how far from the edge. */
  cost: number
  /** At the edge of what the child can do. */
  edge: boolean
  /** The target is due to come back to this child. */
  due: boolean
  /** The words: the same are not asked twice. */
  says: string
}
export interface TalkIdea {
  id: string
  kind: string
  /** 0 for what the step is most about. */
  rank: number
  options: readonly TalkOption[]
}
export interface TalkStep {
  ideas: readonly TalkIdea[]
  /** What there is to tell, beside whatever idea. */
  tell: readonly TalkOption[]
  /** At most so many questions. */
  most: number
  /** Children who must be asked here, where there is anything to ask them. */
  must: readonly number[]
}
export interface TalkProblem {
  children: readonly {
    /** Questions that it was asked in each of its last sessions, on average, in twelfths. */
    heard: number
  }[]
  week: readonly string[]
  /** Questions in all, at most. */
  most: number
  steps: readonly TalkStep[]
}
export interface StepChoice {
  /** Index of the idea; -1 where the step has none. */
  idea: number
  asks: TalkOption[]
}

/** z1 to z4, and z5 and z6, as two numbers, compared one after the other. */
type Score = readonly [number, number]
const less = (a: Score, b: Score): boolean => a[0] < b[0] || (a[0] === b[0] && a[1] < b[1])
const W1 = 1e9
const W2 = 1e7
const W3 = 1e4
const W5 = 1e6
/** Two steps with one kind of idea are as bad as three steps from the edge. */
const PAIR = 12

/** An option with its words and its meetings numbered, so that what is chosen is counted in plain arrays. */
interface Opt {
  o: TalkOption
  met: number
  word: number
  week: readonly number[]
}
interface Idea {
  id: number
  rank: number
  options: readonly Opt[]
}
interface Step {
  ideas: readonly Idea[]
  tell: readonly Opt[]
  most: number
  must: readonly number[]
}
interface Dealt {
  idea: number
  asks: Opt[]
}

const NONE: readonly number[] = []

/** Gives each different text a number. */
class Numbers {
  private readonly known = new Map<string, number>()
  of(text: string): number {
    const found = this.known.get(text)
    if (found !== undefined) return found
    this.known.set(text, this.known.size)
    return this.known.size - 1
  }
  get size(): number {
    return this.known.size
  }
}

/** What the chosen questions add up to, kept while they come and go. */
class Tally {
  readonly steps: readonly Step[]
  private readonly most: number
  private readonly heard: readonly number[]
  private readonly asked: Int32Array
  private readonly edges: Int32Array
  private readonly met: Int32Array
  private readonly words: Int32Array
  private readonly kinds: Int32Array
  private readonly week: Int32Array
  private total = 0
  private dues = 0
  private voices = 0
  private costs = 0

  constructor(problem: TalkProblem) {
    const [met, words, kinds] = [new Numbers(), new Numbers(), new Numbers()]
    const weekOf = new Map(problem.week.map((t, i) => [t, i]))
    const opt = (o: TalkOption): Opt => ({
      o,
      met: met.of(`${o.child} ${o.target}`),
      word: words.of(o.says),
      week: o.touches.some((t) => weekOf.has(t)) ? o.touches.flatMap((t) => weekOf.get(t) ?? []) : NONE,
    })
    this.steps = problem.steps.map((s) => ({
      ideas: s.ideas.map((i) => ({ id: kinds.of(i.kind), rank: i.rank, options: i.options.map(opt) })),
      tell: s.tell.map(opt),
      most: s.most,
      must: s.must,
    }))
    this.most = problem.most
    this.heard = problem.children.map((c) => c.heard)
    this.asked = new Int32Array(problem.children.length)
    this.edges = new Int32Array(problem.children.length)
    this.met = new Int32Array(met.size)
    this.words = new Int32Array(words.size)
    this.kinds = new Int32Array(kinds.size)
    this.week = new Int32Array(problem.week.length)
  }

  fits(o: Opt): boolean {
    return this.total < this.most && this.words[o.word] === 0 && this.met[o.met] === 0
  }
  /** What the first part of the score would change by. */
  gain(o: Opt): number {
    let news = 0
    for (const t of o.week) if (this.week[t] === 0) news++
    const first = o.o.edge && this.edges[o.o.child] === 0
    return (first ? -W1 : 0) - W2 * news - (o.o.due ? W3 : 0) - 1
  }
  /** And the second. */
  price(o: Opt): number {
    return W5 * this.voice(o.o.child) + o.o.cost
  }
  /** (heard + n + 1)² - (heard + n)², in whole numbers. */
  private voice(child: number): number {
    return 2 * ((this.heard[child] ?? 0) + 12 * (this.asked[child] ?? 0)) + 12
  }

  /** Has this step a question that would bring in a child, or a target of the week, that is left out? */
  helps(i: number): boolean {
    const step = this.steps[i]
    if (!step || step.most === 0) return false
    const brings = (o: Opt): boolean => this.gain(o) <= -W2
    return step.tell.some(brings) || step.ideas.some((idea) => idea.options.some(brings))
  }

  add(o: Opt): void {
    this.voices += this.voice(o.o.child)
    this.change(o, 1)
  }
  drop(o: Opt): void {
    this.change(o, -1)
    this.voices -= this.voice(o.o.child)
  }
  private change({ o, met, word, week }: Opt, by: 1 | -1): void {
    this.total += by
    bump(this.asked, o.child, by)
    if (o.edge) bump(this.edges, o.child, by)
    if (o.due) this.dues += by
    this.costs += by * o.cost
    for (const t of week) bump(this.week, t, by)
    bump(this.met, met, by)
    bump(this.words, word, by)
  }
  take(idea: Idea | undefined, by: 1 | -1): void {
    if (!idea) return
    this.costs += by * idea.rank
    bump(this.kinds, idea.id, by)
  }

  score(): Score {
    const without = this.edges.filter((n) => n === 0).length
    const uncovered = this.week.filter((n) => n === 0).length
    const pairs = this.kinds.reduce((sum, n) => sum + (n * (n - 1)) / 2, 0)
    return [
      W1 * without + W2 * uncovered - W3 * this.dues - this.total,
      W5 * this.voices + PAIR * pairs + this.costs,
    ]
  }
}
const bump = (counts: Int32Array, i: number, by: number): void => {
  counts[i] = (counts[i] ?? 0) + by
}

/** @returns for each step its idea and its questions, in the order of the steps */
export function chooseTalk(problem: TalkProblem): StepChoice[] {
  const tally = new Tally(problem)
  const choice: Dealt[] = problem.steps.map(() => ({ idea: -1, asks: [] }))
  // Those with the least to offer first: the others can still give way.
  const order = problem.steps
    .map((s, i) => ({ i, n: s.ideas.reduce((n, idea) => n + idea.options.length, s.tell.length) }))
    .sort((a, b) => a.n - b.n || a.i - b.i)
    .map((x) => x.i)
  const sweep = (groups: number[][]): boolean =>
    groups.reduce((better, group) => dealBest(tally, choice, group) || better, false)
  const singles = order.map((i) => [i])
  for (let round = 0; round < ROUNDS; round++) {
    if (sweep(singles)) continue
    // Two steps at once only where somebody, or a target of the week, is left out, and a step has something for them.
    const helping = order.filter((i) => tally.helps(i))
    if (!sweep(helping.flatMap((a) => order.filter((b) => b !== a).map((b) => [a, b])))) break
  }
  return choice.map(({ idea, asks }) => ({ idea, asks: asks.map((a) => a.o) }))
}
const ROUNDS = 12

/** Takes these steps out, deals them anew in the best way that is found, and says whether that is better than it was. */
function dealBest(tally: Tally, choice: Dealt[], group: readonly number[]): boolean {
  const before = group.flatMap((i) => choice[i] ?? [])
  let best = before
  let bestScore = tally.score()
  group.forEach((i, k) => lift(tally, i, before[k]))
  const tryFrom = (k: number, made: Dealt[]): void => {
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
    tally.take(tally.steps[i]?.ideas[back.idea], 1)
    for (const o of back.asks) tally.add(o)
  })
  return best !== before
}

function lift(tally: Tally, i: number, old: Dealt | undefined): void {
  if (!old) return
  for (const o of [...old.asks].reverse()) tally.drop(o)
  tally.take(tally.steps[i]?.ideas[old.idea], -1)
}

/** The questions of one step with one idea: those who must be asked, then always the one that gains most. */
function deal(step: Step, idea: number, tally: Tally): Dealt {
  const chosen = step.ideas[idea]
  tally.take(chosen, 1)
  const asks: Opt[] = []
  const takeBest = (only?: number): boolean => {
    let best: Opt | null = null
    let [gain, price] = [Infinity, Infinity]
    for (const list of [chosen?.options ?? [], step.tell])
      for (const o of list) {
        if (only !== undefined && o.o.child !== only) continue
        if (!tally.fits(o) || asks.some((a) => a.o.child === o.o.child)) continue
        const g = tally.gain(o)
        if (g > gain) continue
        const p = tally.price(o)
        if (g < gain || p < price) [best, gain, price] = [o, g, p]
      }
    if (!best) return false
    tally.add(best)
    asks.push(best)
    return true
  }
  for (const child of step.must) takeBest(child)
  while (asks.length < step.most && takeBest());
  return { idea: chosen ? idea : -1, asks }
}

/** The two numbers that are minimised, of a choice: for tests and for comparing two choices. */
export function talkScore(problem: TalkProblem, choice: readonly StepChoice[]): Score {
  const tally = new Tally(problem)
  choice.forEach((c, i) => {
    const step = tally.steps[i]
    const idea = step?.ideas[c.idea]
    tally.take(idea, 1)
    for (const ask of c.asks) {
      const opt = [...(idea?.options ?? []), ...(step?.tell ?? [])].find((x) => x.o === ask)
      if (opt) tally.add(opt)
    }
  })
  return tally.score()
}
