/**
 * Dealing as a mixed-integer model for HiGHS (a published general-purpose solver), written from the definition of scheduling.md (b), with the
 * squares as unit steps. A yardstick for tests and benchmarks.
 */
import type { DealProblem } from '../../../src/plan/turns/turn-flow'
import type { Solver } from '../../outside/fair-model'

/** (sumsq, owed, cost) by the solver: one binary for each step of a load and of the easy places. */
export function dealtByModel({ base, ahead, tasks }: DealProblem, highs: Solver): [number, number, number] {
  const rows: string[] = []
  const whole: string[] = []
  const bounds: string[] = []
  const steps: string[] = []
  const squares: string[] = []
  const over: string[] = []
  const second: string[] = []
  let constant = 0
  tasks.forEach((t, k) => {
    rows.push(`${t.el.map((i) => `y${k}_${i}`).join(' + ')} = ${t.n}`)
    t.el.forEach((i, j) => {
      whole.push(`y${k}_${i}`)
      bounds.push(`0 <= y${k}_${i} <= ${t.cap}`)
      if (ahead?.[i]) over.push(`${ahead[i]} y${k}_${i}`)
      if (t.cost[j]) second.push(`${t.cost[j]} y${k}_${i}`)
    })
  })
  base.forEach((b, i) => {
    constant += b * b
    const own = tasks.flatMap((t, k) => (t.el.includes(i) ? [`y${k}_${i}`] : []))
    const easy = tasks.flatMap((t, k) => (t.easy[t.el.indexOf(i)] === 1 ? [`y${k}_${i}`] : []))
    const most = tasks.reduce((n, t) => n + (t.el.includes(i) ? t.cap : 0), 0)
    const a = Array.from({ length: most }, (_, s) => `a${i}_${s}`)
    const e = Array.from({ length: easy.length > 0 ? most : 0 }, (_, s) => `e${i}_${s}`)
    steps.push(...a, ...e)
    if (own.length > 0) rows.push(`${own.join(' + ')} - ${a.join(' - ')} = 0`)
    if (e.length > 0) rows.push(`${easy.join(' + ')} - ${e.join(' - ')} = 0`)
    a.forEach((v, s) => squares.push(`${2 * (b + s) + 1} ${v}`))
    e.forEach((v, s) => second.push(`${2 * s + 1} ${v}`))
  })
  const run = (goal: string, extra: string[]): number => {
    const text = [
      'Minimize',
      ` obj: ${goal}`,
      'Subject To',
      ...[...rows, ...extra].map((r, i) => ` c${i}: ${r}`),
      'Bounds',
      ...bounds.map((b) => ` ${b}`),
      ' zero = 0',
      'General',
      ` ${whole.join(' ')}`,
      'Binary',
      ` ${steps.join(' ')}`,
      'End',
    ].join('\n')
    const answer = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0.5 })
    if (answer.Status !== 'Optimal') throw new Error(`HiGHS: ${answer.Status}`)
    return Math.round(answer.ObjectiveValue) + 0
  }
  const plus = (terms: string[]): string =>
    terms.length > 0 ? terms.join(' + ').replace(/\+ -/g, '- ') : '0 zero'
  const first = run(plus(squares), [])
  const even = `${plus(squares)} <= ${first}`
  const owed = run(plus(over), [even])
  return [first + constant, owed, run(plus(second), [even, `${plus(over)} <= ${owed}`])]
}
