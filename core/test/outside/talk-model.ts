/** The choice of talk as an integer program for HiGHS, written from the definition at the head of choose.ts alone. */
import type { Solver } from './fair-model'
import type { TalkOption, TalkProblem } from '../../src/plan/talk/problem'

const VOICE = 1e6
const PAIR = 12
const LOAD = 6
/** Weights of the first part: far enough apart for small problems. */
const FIRST = { child: 1e6, week: 1e4, due: 100, asked: 1 }

interface Column {
  option: TalkOption
  step: number
  idea: number | null
}

/** @returns the optimum of the first part, and of the second with the first held */
export function talkOptimum(problem: TalkProblem, highs: Solver): { first: number; second: number } {
  const lines: string[] = []
  const binary: string[] = []
  const columns: Column[] = []
  problem.steps.forEach((s, step) => {
    s.ideas.forEach((idea, i) => idea.options.forEach((option) => columns.push({ option, step, idea: i })))
    s.tell.forEach((option) => columns.push({ option, step, idea: null }))
  })
  const x = (i: number): string => `x${i}`
  columns.forEach((c, i) => {
    binary.push(x(i))
    if (c.idea !== null) lines.push(`${x(i)} - y${c.step}_${c.idea} <= 0`)
  })
  const sum = (of: (c: Column) => boolean): string[] => columns.flatMap((c, i) => (of(c) ? [x(i)] : []))
  const atMost = (names: string[], n: number): void => {
    if (names.length > n) lines.push(`${names.join(' + ')} <= ${n}`)
  }
  problem.steps.forEach((s, step) => {
    if (s.ideas.length > 0) {
      const ys = s.ideas.map((_, i) => `y${step}_${i}`)
      binary.push(...ys)
      lines.push(`${ys.join(' + ')} = 1`)
    }
    atMost(
      sum((c) => c.step === step),
      s.most,
    )
    problem.children.forEach((_, child) =>
      atMost(
        sum((c) => c.step === step && c.option.child === child),
        1,
      ),
    )
  })
  atMost(
    sum(() => true),
    problem.most,
  )
  atMost(
    sum((c) => c.option.order),
    problem.mostOrder,
  )
  problem.children.forEach(({ most }, child) =>
    atMost(
      sum((c) => c.option.child === child),
      most,
    ),
  )
  for (const key of new Set(columns.map((c) => `${c.option.child} ${c.option.target}`)))
    atMost(
      sum((c) => `${c.option.child} ${c.option.target}` === key),
      1,
    )
  for (const says of new Set(columns.map((c) => c.option.says)))
    atMost(
      sum((c) => c.option.says === says),
      1,
    )

  for (const text of new Set(columns.map((c) => c.option.text)))
    atMost(
      sum((c) => c.option.text === text),
      1,
    )

  const first: string[] = []
  const reached = (name: string, by: string[], weight: number): void => {
    binary.push(name)
    lines.push(`${name}${by.map((b) => ` - ${b}`).join('')} <= 0`)
    first.push(`- ${weight} ${name}`)
  }
  problem.children.forEach((_, child) =>
    reached(
      `e${child}`,
      sum((c) => c.option.child === child && c.option.edge),
      FIRST.child,
    ),
  )
  problem.week.forEach((t, i) =>
    reached(
      `w${i}`,
      sum((c) => c.option.touches.includes(t)),
      FIRST.week,
    ),
  )
  columns.forEach((c, i) => first.push(`- ${FIRST.asked + (c.option.due ? FIRST.due : 0)} ${x(i)}`))

  const second: string[] = []
  /** A count as a row of ones, the k-th of which costs what `cost` says; never cheaper than the one before. */
  const counted = (name: string, parts: string[], cost: (k: number) => number): void => {
    if (parts.length === 0) return
    const ones = parts.map((_, k) => `${name}_${k}`)
    binary.push(...ones)
    lines.push(`${parts.join(' + ')}${ones.map((o) => ` - ${o}`).join('')} = 0`)
    ones.forEach((o, k) => second.push(`+ ${cost(k)} ${o}`))
  }
  problem.children.forEach(({ heard }, child) =>
    counted(
      `v${child}`,
      sum((c) => c.option.child === child),
      (k) => VOICE * (2 * (heard + 12 * k) + 12),
    ),
  )
  problem.steps.forEach((_, step) =>
    counted(
      `l${step}`,
      sum((c) => c.step === step),
      (k) => LOAD * k,
    ),
  )
  const kinds = new Set(problem.steps.flatMap((s) => s.ideas.map((i) => i.kind)))
  for (const kind of kinds)
    counted(
      `k${kind}`,
      problem.steps.flatMap((s, step) =>
        s.ideas.flatMap((i, n) => (i.kind === kind ? [`y${step}_${n}`] : [])),
      ),
      (k) => PAIR * k,
    )
  columns.forEach((c, i) => second.push(`+ ${c.option.cost} ${x(i)}`))
  problem.steps.forEach((s, step) =>
    s.ideas.forEach((idea, i) => second.push(`+ ${idea.rank} y${step}_${i}`)),
  )

  const run = (objective: string[], more: string[]): number => {
    const rows = [...lines, ...more].map((l, i) => ` c${i}: ${l}`).join('\n')
    const text = `Minimize\n obj: ${objective.join(' ')}\nSubject To\n${rows}\nBinary\n ${binary.join(' ')}\nEnd\n`
    const answer = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0.4 })
    if (answer.Status !== 'Optimal') throw new Error(`HiGHS: ${answer.Status}`)
    return Math.round(answer.ObjectiveValue)
  }
  const best = run(first, [])
  const constant = FIRST.child * problem.children.length + FIRST.week * problem.week.length
  return { first: best + constant, second: run(second, [`${first.join(' ')} <= ${best}`]) }
}

/** The same two numbers of a choice that was made. */
export function talkValue(
  problem: TalkProblem,
  choice: readonly { idea: number; asks: readonly TalkOption[] }[],
): { first: number; second: number } {
  const asks = choice.flatMap((c) => c.asks)
  const count = <T>(list: readonly T[], of: (x: T) => boolean): number => list.filter(of).length
  const without = problem.children.filter((_, i) => !asks.some((a) => a.child === i && a.edge)).length
  const missed = problem.week.filter((t) => !asks.some((a) => a.touches.includes(t))).length
  const voices = problem.children.reduce((all, { heard }, i) => {
    const n = count(asks, (a) => a.child === i)
    return all + Array.from({ length: n }, (_, k) => 2 * (heard + 12 * k) + 12).reduce((a, b) => a + b, 0)
  }, 0)
  const kinds = problem.steps.map((s, i) => s.ideas[choice[i]?.idea ?? -1]?.kind)
  const pairs = kinds.reduce(
    (all, k, i) => all + count(kinds.slice(0, i), (o) => o === k && k !== undefined),
    0,
  )
  const loads = choice.reduce((all, c) => all + (c.asks.length * (c.asks.length - 1)) / 2, 0)
  const ranks = problem.steps.reduce((all, s, i) => all + (s.ideas[choice[i]?.idea ?? -1]?.rank ?? 0), 0)
  const costs = asks.reduce((all, a) => all + a.cost, 0)
  return {
    first:
      FIRST.child * without +
      FIRST.week * missed -
      FIRST.due * count(asks, (a) => a.due) -
      FIRST.asked * asks.length,
    second: VOICE * voices + PAIR * pairs + LOAD * loads + ranks + costs,
  }
}
