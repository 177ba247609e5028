/**
 * The fair-scoops problem as a mixed-integer model for HiGHS (a published general-purpose solver), written from the definition
 * in calc.md alone: whole numbers n[i,m] of scoops, no list of ways. Solved seven times, each objective fixed before the next.
 */
import type { FairProblem } from '../../src/amount/fair'
import { ratio } from '../../src/amount/ratio'

export interface Solver {
  solve(
    model: string,
    options?: Record<string, unknown>,
  ): {
    Status: string
    ObjectiveValue: number
  }
}

interface Model {
  constraints: string[]
  general: string[]
  binary: string[]
  bounds: string[]
  goals: string[]
}

const sum = (terms: string[]): string => (terms.length > 0 ? terms.join(' + ') : '0 zero')

function modelOf(p: FairProblem): Model {
  const { children: k, countLimit: c, maxScoops: X, minEach } = p
  const sizes = p.measures.map((m) => ratio(m.size))
  const common = sizes.reduce((a, s) => a * Number(s.d), 1)
  const whole = (v: ReturnType<typeof ratio>): number => v.mul(common * 720).valueOf()
  const m: Model = { constraints: [], general: [], binary: [], bounds: ['zero = 0'], goals: [] }
  const hard: string[] = []
  const mixed: string[] = []
  const turns: string[] = []
  const small: string[] = []
  const used = p.measures.map((_, j) => `y${j}`)
  let pieces = 0
  p.ingredients.forEach((ingredient, i) => {
    if ('pieces' in ingredient) {
      pieces += ingredient.pieces
      return
    }
    if (!('amount' in ingredient)) throw new Error('the model takes amounts and pieces')
    const cells = sizes.map((_, j) => `n${i}_${j}`)
    m.constraints.push(
      `${cells.map((n, j) => `${whole(sizes[j] ?? ratio(0))} ${n}`).join(' + ')} = ${whole(ratio(ingredient.amount))}`,
      `${sum(cells)} <= ${X}`,
      // Mixed: more than one kind.
      `${sum(cells.map((_, j) => `u${i}_${j}`))} - ${p.measures.length} v${i} <= 1`,
    )
    mixed.push(`v${i}`)
    m.binary.push(`v${i}`)
    cells.forEach((n, j) => {
      const at = `${i}_${j}`
      m.general.push(n, `g${at}`)
      m.binary.push(`u${at}`, `a${at}`, `b${at}`, `h${at}`)
      m.bounds.push(`0 <= ${n} <= ${X}`, `0 <= g${at} <= ${Math.min(c, X)}`)
      m.constraints.push(
        `${n} - ${X} u${at} <= 0`,
        `u${at} - y${j} <= 0`,
        // Counted easily: at most c; or k*g with g at most c; or hard.
        `a${at} + b${at} + h${at} = 1`,
        `${n} + ${X} a${at} <= ${c + X}`,
        `${n} - ${k} g${at} + ${X} b${at} <= ${X}`,
        `${k} g${at} - ${n} + ${k * Math.min(c, X)} b${at} <= ${k * Math.min(c, X)}`,
      )
      hard.push(`h${at}`)
      if ((sizes[j]?.compare(ratio(p.minTurn)) ?? -1) >= 0) turns.push(n)
      else small.push(n)
    })
  })
  m.binary.push(...used, 'few', 'odd')
  m.general.push('q', 'r')
  const most = p.ingredients.length * X + pieces
  m.bounds.push(`0 <= q <= ${most}`, `0 <= r <= ${k - 1}`)
  m.constraints.push(
    `${sum(turns)} - ${k} q - 1 r = ${-pieces}`,
    `q + ${minEach} few >= ${minEach}`,
    `r - ${k} odd <= 0`,
  )
  m.goals = ['few', 'odd', sum(hard), sum(mixed), sum(used), sum(turns), sum(small)]
  return m
}

/** The optimum (z1..z7) by the solver, or null where there is none. @param seconds for each of the seven solves */
export function modelOptimum(p: FairProblem, highs: Solver, seconds = 60): number[] | null {
  const m = modelOf(p)
  const pieces = p.ingredients.reduce((n, i) => n + ('pieces' in i ? i.pieces : 0), 0)
  const found: number[] = []
  const fixed: string[] = []
  for (const goal of m.goals) {
    const text = [
      'Minimize',
      ` obj: ${goal}`,
      'Subject To',
      ...[...m.constraints, ...fixed].map((c, i) => ` c${i}: ${c}`),
      'Bounds',
      ...m.bounds.map((b) => ` ${b}`),
      'General',
      ` ${m.general.join(' ')}`,
      'Binary',
      ` ${m.binary.join(' ')}`,
      'End',
    ].join('\n')
    const answer = highs.solve(text, { time_limit: seconds, mip_rel_gap: 0, mip_abs_gap: 0.5 })
    if (answer.Status === 'Infeasible') return null
    if (answer.Status !== 'Optimal') throw new Error(`HiGHS: ${answer.Status}`)
    const value = Math.round(answer.ObjectiveValue)
    found.push(value)
    fixed.push(`${goal} <= ${value}`)
  }
  return found.map((z, i) => (i === 5 ? z + pieces : z))
}
