/** What the chosen questions add up to, kept while they come and go: the two numbers that choose.ts minimises. */
import type { TalkOption, TalkProblem } from './problem'

/** z1 to z4, and z5 and z6, as two numbers, compared one after the other. */
export type Score = readonly [number, number]
export const less = (a: Score, b: Score): boolean => a[0] < b[0] || (a[0] === b[0] && a[1] < b[1])
const W1 = 1e9
const W2 = 1e7
const W3 = 1e4
const W5 = 1e6
/** Two steps with one kind of idea are as bad as three steps from the edge. */
const PAIR = 12
/** The second question of a step, and each further one the more. */
const LOAD = 6

/** An option with its words and its meetings numbered, so that what is chosen is counted in plain arrays. */
export interface Opt {
  o: TalkOption
  child: number
  cost: number
  edge: boolean
  due: boolean
  order: boolean
  met: number
  word: number
  text: number
  week: readonly number[]
}
export interface Idea {
  id: number
  rank: number
  options: readonly Opt[]
  /** Its options, and what there is to tell in the step. */
  pool: readonly Opt[]
}
export interface Step {
  ideas: readonly Idea[]
  tell: readonly Opt[]
  most: number
  must: readonly number[]
}
export interface DealtStep {
  idea: number
  asks: Opt[]
}

/** So many questions are weighed at most before the search stops improving. */
const WEIGHED_MOST = 20_000
/** And so many are looked at. */
const LOOKED_MOST = 60_000

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
export class Tally {
  readonly steps: readonly Step[]
  private readonly most: number
  private readonly mostOrder: number
  private readonly mostOf: readonly number[]
  private readonly heard: readonly number[]
  private readonly asked: Int32Array
  private readonly edges: Int32Array
  private readonly met: Int32Array
  private readonly words: Int32Array
  private readonly texts: Int32Array
  private readonly kinds: Int32Array
  private readonly week: Int32Array
  private total = 0
  private orders = 0
  private dues = 0
  private voices = 0
  private costs = 0
  private weighed = 0
  private looked = 0
  /** Of several questions in one step: the sum of 0, 1, 2 … for each. */
  loads = 0

  constructor(problem: TalkProblem) {
    const [met, words, texts, kinds] = [new Numbers(), new Numbers(), new Numbers(), new Numbers()]
    for (const s of problem.steps)
      for (const list of [s.tell, ...s.ideas.map((i) => i.options)]) for (const o of list) met.of(o.target)
    const width = met.size
    const weekOf = new Map(problem.week.map((t, i) => [t, i]))
    const opt = (o: TalkOption): Opt => ({
      o,
      child: o.child,
      cost: o.cost,
      edge: o.edge,
      due: o.due,
      order: o.order,
      met: o.child * width + met.of(o.target),
      word: words.of(o.says),
      text: texts.of(o.text),
      week: o.touches.some((t) => weekOf.has(t)) ? o.touches.flatMap((t) => weekOf.get(t) ?? []) : NONE,
    })
    this.steps = problem.steps.map((s) => {
      const tell = s.tell.map(opt)
      const ideas = s.ideas.map((i): Idea => {
        const options = i.options.map(opt)
        return { id: kinds.of(i.kind), rank: i.rank, options, pool: [...options, ...tell] }
      })
      return { ideas, tell, most: s.most, must: s.must }
    })
    this.most = problem.most
    this.mostOrder = problem.mostOrder
    this.mostOf = problem.children.map((c) => c.most)
    this.heard = problem.children.map((c) => c.heard)
    this.asked = new Int32Array(problem.children.length)
    this.edges = new Int32Array(problem.children.length)
    this.met = new Int32Array(problem.children.length * width)
    this.words = new Int32Array(words.size)
    this.texts = new Int32Array(texts.size)
    this.kinds = new Int32Array(kinds.size)
    this.week = new Int32Array(problem.week.length)
  }

  get full(): boolean {
    return this.total >= this.most
  }
  isMet(o: Opt): boolean {
    return this.met[o.met] !== 0
  }
  fits(o: Opt): boolean {
    return (
      this.total < this.most &&
      this.words[o.word] === 0 &&
      this.texts[o.text] === 0 &&
      this.met[o.met] === 0 &&
      !this.heardEnough(o.child) &&
      (!o.order || !this.ordersFull)
    )
  }
  /** This child has as many questions as it may have beside its comments. */
  heardEnough(child: number): boolean {
    return (this.asked[child] ?? 0) >= (this.mostOf[child] ?? 0)
  }
  get ordersFull(): boolean {
    return this.orders >= this.mostOrder
  }
  /** Would it bring in a child or a target that is left out, or one that is due? */
  isWanted(o: Opt): boolean {
    return this.gain(o) <= -W3 && !this.isMet(o)
  }
  /** Enough was weighed: a bound on the time, by counting and not by the clock. */
  get spent(): boolean {
    return this.weighed > WEIGHED_MOST || this.looked > LOOKED_MOST
  }
  /** So many questions were looked at. */
  look(n: number): void {
    this.looked += n
  }
  /** What the first part of the score would change by. */
  gain(o: Opt): number {
    this.weighed += 1
    let news = 0
    for (const t of o.week) if (this.week[t] === 0) news++
    const first = o.edge && this.edges[o.child] === 0
    return (first ? -W1 : 0) - W2 * news - (o.due ? W3 : 0) - 1
  }
  /** And the second. @param n questions that the step has already */
  price(o: Opt, n: number): number {
    return W5 * this.voice(o.child) + o.cost + LOAD * n
  }
  /** (heard + n + 1)² - (heard + n)², in whole numbers. */
  private voice(child: number): number {
    return 2 * ((this.heard[child] ?? 0) + 12 * (this.asked[child] ?? 0)) + 12
  }

  /** Has this step a question that would bring in a child, or a target that is left out? */
  helps(i: number): boolean {
    const step = this.steps[i]
    if (!step || step.most === 0) return false
    const brings = (o: Opt): boolean => this.isWanted(o)
    return step.tell.some(brings) || step.ideas.some((idea) => idea.options.some(brings))
  }

  /** @param n questions that the step has beside it */
  add(o: Opt, n: number): void {
    this.voices += this.voice(o.child)
    this.loads += n
    this.change(o, 1)
  }
  drop(o: Opt, n: number): void {
    this.change(o, -1)
    this.loads -= n
    this.voices -= this.voice(o.child)
  }
  private change(o: Opt, by: 1 | -1): void {
    this.total += by
    if (o.order) this.orders += by
    bump(this.asked, o.child, by)
    if (o.edge) bump(this.edges, o.child, by)
    if (o.due) this.dues += by
    this.costs += by * o.cost
    for (const t of o.week) bump(this.week, t, by)
    bump(this.met, o.met, by)
    bump(this.words, o.word, by)
    bump(this.texts, o.text, by)
  }
  take(idea: Idea | undefined, by: 1 | -1): void {
    if (!idea) return
    this.costs += by * idea.rank
    bump(this.kinds, idea.id, by)
  }

  score(): Score {
    const without = zeros(this.edges)
    const uncovered = zeros(this.week)
    let pairs = 0
    for (const n of this.kinds) pairs += (n * (n - 1)) / 2
    return [
      W1 * without + W2 * uncovered - W3 * this.dues - this.total,
      W5 * this.voices + PAIR * pairs + LOAD * this.loads + this.costs,
    ]
  }
}
function zeros(counts: Int32Array): number {
  let n = 0
  for (const c of counts) if (c === 0) n++
  return n
}
const bump = (counts: Int32Array, i: number, by: number): void => {
  counts[i] = (counts[i] ?? 0) + by
}
