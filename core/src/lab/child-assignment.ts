/**
 * Which child fills which place, at given times. Places first go where the choice is smallest, then small changes (hand a place
 * over, swap two of a task) while the figures get no worse: conflicts, then the sum of squares of the loads, then the longest
 * wait, then the sum of squared gaps. A child is never in two places at once, never over the cap of a task.
 */
import { capOf, type Network, type ChildSlot } from '../plan/clock/schedule/instance'

/** Where in time a place lies, and who may fill it. */
interface Spot extends ChildSlot {
  start: number
  end: number
  task: number
  eligible: readonly number[]
}

export interface Named {
  /** The child of each place of the network. */
  who: Int16Array
  conflicts: number
  sumsq: number
  longestWait: number
  gaps: number
}

const NOBODY = -1

export class ChildAssignment {
  readonly spots: Spot[]
  private readonly who: Int16Array
  private readonly mine: number[][]
  private readonly taken: Int16Array[]
  private readonly caps: number[]
  private readonly end: number
  private readonly waits: Float64Array
  private readonly gaps: Float64Array
  private readonly random: () => number

  constructor(net: Network, starts: Int32Array, random: () => number) {
    const { instance } = net
    const tasks = [...new Set(instance.ops.map((o) => o.task))]
    this.spots = net.places.map((pl) => {
      const op = instance.ops[pl.op]
      const at = starts[pl.op] as number
      return {
        ...pl,
        start: at + pl.from,
        end: at + pl.to,
        task: tasks.indexOf(op?.task ?? ''),
        eligible: op?.eligible ?? [],
      }
    })
    this.caps = tasks.map((t) => capOf(instance, t, instance.ops.find((o) => o.task === t)?.mode ?? 'TURNS'))
    this.who = new Int16Array(this.spots.length).fill(NOBODY)
    this.mine = Array.from({ length: instance.children }, () => [])
    this.taken = tasks.map(() => new Int16Array(instance.children))
    this.end = starts.reduce((m, s, i) => Math.max(m, s + (net.p[i] as number)), 0)
    this.waits = new Float64Array(instance.children)
    this.gaps = new Float64Array(instance.children)
    this.random = random
  }

  /** Fills every place: those that fewest may fill first, then by time; each with the child that is free, has had least, waited longest. */
  fill(): this {
    const order = this.spots
      .map((_, i) => i)
      .sort((a, b) => this.wide(a) - this.wide(b) || this.at(a).start - this.at(b).start || a - b)
    for (const i of order) {
      const spot = this.at(i)
      let best = NOBODY
      let rank = Infinity
      for (const c of spot.eligible) {
        const clash = this.clashes(c, i)
        const over = (this.taken[spot.task]?.[c] ?? 0) >= (this.caps[spot.task] ?? Infinity) ? 1 : 0
        const value =
          (clash + over) * 1e9 +
          (this.taken[spot.task]?.[c] ?? 0) * 1e6 +
          (this.mine[c]?.length ?? 0) * 1e3 +
          this.nearest(c, spot)
        if (value < rank) [best, rank] = [c, value]
      }
      if (best !== NOBODY) this.put(i, best)
    }
    for (let c = 0; c < this.mine.length; c++) this.measure(c)
    return this
  }

  private wide(i: number): number {
    const spot = this.at(i)
    const whole = spot.from === 0 && spot.slot === 0 ? 0 : 1000
    return whole + spot.eligible.length
  }
  private at(i: number): Spot {
    return this.spots[i] as Spot
  }
  /** Nearer to the child's other places is later in rank: who has waited longest is asked first. */
  private nearest(c: number, spot: Spot): number {
    let gap = 500
    for (const j of this.mine[c] as number[]) {
      const other = this.at(j)
      gap = Math.min(gap, Math.max(spot.start - other.end, other.start - spot.end, 0))
    }
    return 500 - gap
  }
  private clashes(c: number, i: number): number {
    const spot = this.at(i)
    let n = 0
    for (const j of this.mine[c] as number[]) {
      if (j === i) continue
      const other = this.at(j)
      if (spot.start < other.end && other.start < spot.end) n += 1
    }
    return n
  }
  private put(i: number, c: number): void {
    this.who[i] = c
    ;(this.mine[c] as number[]).push(i)
    const taken = this.taken[this.at(i).task] as Int16Array
    taken[c] = (taken[c] as number) + 1
  }
  private drop(i: number): void {
    const c = this.who[i] as number
    if (c === NOBODY) return
    const list = this.mine[c] as number[]
    list.splice(list.indexOf(i), 1)
    const taken = this.taken[this.at(i).task] as Int16Array
    taken[c] = (taken[c] as number) - 1
    this.who[i] = NOBODY
  }
  private measure(c: number): void {
    const list = (this.mine[c] as number[]).map((i) => this.at(i)).sort((a, b) => a.start - b.start)
    let free = 0
    let longest = 0
    let squares = 0
    for (const s of [...list, { start: this.end, end: this.end }]) {
      const gap = Math.max(0, s.start - free)
      longest = Math.max(longest, gap)
      squares += gap * gap
      free = Math.max(free, s.end)
    }
    this.waits[c] = longest
    this.gaps[c] = squares
  }

  /** Conflicts that a child has: overlaps by pairs, and places over a cap. */
  private conflictsOf(c: number): number {
    let n = 0
    for (const i of this.mine[c] as number[]) n += this.clashes(c, i)
    n /= 2
    this.caps.forEach((cap, t) => (n += Math.max(0, (this.taken[t]?.[c] ?? 0) - cap)))
    return n
  }

  /** @param steps tried changes; @returns the state at the end */
  polish(steps: number): this {
    const n = this.spots.length
    if (n === 0) return this
    for (let k = 0; k < steps; k++) {
      const i = this.pick()
      const spot = this.at(i)
      const c = this.who[i] as number
      const d = spot.eligible[Math.floor(this.random() * spot.eligible.length)] ?? c
      if (d === c) continue
      // Either the place changes hands, or two places of the task are swapped.
      const others =
        this.random() < 0.5 ? (this.mine[d] as number[]).filter((j) => this.at(j).task === spot.task) : []
      const j = others.length > 0 ? (others[Math.floor(this.random() * others.length)] as number) : NOBODY
      if (j !== NOBODY && !this.at(j).eligible.includes(c)) continue
      this.try(i, j, c, d)
    }
    return this
  }

  /** A place in conflict where there is one, else any. */
  private pick(): number {
    const n = this.spots.length
    const i = Math.floor(this.random() * n)
    for (let k = 0; k < 6; k++) {
      const at = Math.floor(this.random() * n)
      const c = this.who[at] as number
      if (
        c !== NOBODY &&
        (this.clashes(c, at) > 0 ||
          (this.taken[this.at(at).task]?.[c] ?? 0) > (this.caps[this.at(at).task] ?? Infinity))
      )
        return at
    }
    return i
  }

  private try(i: number, j: number, c: number, d: number): void {
    const before = this.figures(c, d)
    this.drop(i)
    if (j !== NOBODY) this.drop(j)
    this.put(i, d)
    if (j !== NOBODY) this.put(j, c)
    this.measure(c)
    this.measure(d)
    if (worse(this.figures(c, d), before)) {
      this.drop(i)
      if (j !== NOBODY) this.drop(j)
      this.put(i, c)
      if (j !== NOBODY) this.put(j, d)
      this.measure(c)
      this.measure(d)
    }
  }

  /** What a change between two children can change, in order. */
  private figures(c: number, d: number): number[] {
    const [a, b] = [(this.mine[c] as number[]).length, (this.mine[d] as number[]).length]
    return [
      this.conflictsOf(c) + this.conflictsOf(d),
      a * a + b * b,
      Math.max(...this.waits),
      (this.gaps[c] as number) + (this.gaps[d] as number),
    ]
  }

  result(): Named {
    let conflicts = 0
    let sumsq = 0
    for (let c = 0; c < this.mine.length; c++) {
      conflicts += this.conflictsOf(c)
      sumsq += (this.mine[c] as number[]).length ** 2
    }
    return {
      who: this.who.slice(),
      conflicts: conflicts + this.who.reduce((n, c) => n + (c === NOBODY ? 1 : 0), 0),
      sumsq,
      longestWait: Math.max(0, ...this.waits),
      gaps: this.gaps.reduce((a, b) => a + b, 0),
    }
  }

  /** Pairs of ops that want one child at once, the most often first. */
  quarrels(): [number, number][] {
    const pairs = new Map<string, { pair: [number, number]; n: number }>()
    for (let c = 0; c < this.mine.length; c++) {
      for (const i of this.mine[c] as number[])
        for (const j of this.mine[c] as number[]) {
          const [a, b] = [this.at(i), this.at(j)]
          if (i >= j || a.op === b.op || a.start >= b.end || b.start >= a.end) continue
          const pair: [number, number] = a.op < b.op ? [a.op, b.op] : [b.op, a.op]
          const known = pairs.get(pair.join())
          pairs.set(pair.join(), { pair, n: (known?.n ?? 0) + 1 })
        }
    }
    return [...pairs.values()].sort((a, b) => b.n - a.n).map((p) => p.pair)
  }

  /** Starts from children that are given. */
  adopt(who: Int16Array): this {
    who.forEach((c, i) => c !== NOBODY && this.put(i, c))
    for (let c = 0; c < this.mine.length; c++) this.measure(c)
    return this
  }
}

const worse = (a: readonly number[], b: readonly number[]): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return (a[i] as number) > (b[i] as number)
  return false
}
