/**
 * The anonymous schedule as a time-indexed mixed-integer model, written from the definition alone: x[o,t] = 1 where op o begins
 * at t. Source: Pritsker, Watters, Wolfe (1969), the usual time-indexed formulation of resource-constrained scheduling.
 */
import type { Network } from '../../../../src/plan/clock/schedule/instance'

/** @param horizon units; a plan of this length is known */
export function timeIndexed(net: Network, horizon: number): string {
  const { p, preds, rows, heads, tails, size } = net
  const all = Array.from({ length: size }, (_, i) => i)
  const first = (i: number): number => heads[i] as number
  const last = (i: number): number => horizon - (tails[i] as number)
  const times = (i: number): number[] =>
    Array.from({ length: Math.max(0, last(i) - first(i) + 1) }, (_, k) => first(i) + k)
  const x = (i: number, t: number): string => `x${i}_${t}`
  const sum = (terms: readonly string[]): string => terms.join(' + ')
  const lines = ['Minimize', ' obj: C', 'Subject To']
  for (const i of all) {
    lines.push(` one${i}: ${sum(times(i).map((t) => x(i, t)))} = 1`)
    const start = times(i).filter((t) => t > 0)
    const weighted = start.map((t) => `- ${t} ${x(i, t)}`).join(' ')
    lines.push(` end${i}: C ${weighted} >= ${p[i] as number}`)
    for (const j of preds[i] as number[]) {
      const before = times(j).filter((t) => t > 0)
      const own = start.map((t) => `+ ${t} ${x(i, t)}`).join(' ')
      const theirs = before.map((t) => `- ${t} ${x(j, t)}`).join(' ')
      lines.push(` after${i}_${j}: ${own} ${theirs} >= ${p[j] as number}`.replace(': +', ':'))
    }
  }
  rows.forEach((row, r) => {
    for (let t = 0; t < horizon; t++) {
      const terms = all.flatMap((i) =>
        (row.use[i] as number) > 0
          ? times(i)
              .filter((s) => s <= t && t < s + (p[i] as number))
              .map((s) => `${row.use[i] as number} ${x(i, s)}`)
          : [],
      )
      if (terms.length > 1) lines.push(` row${r}_${t}: ${sum(terms)} <= ${row.cap}`)
    }
  })
  lines.push('Bounds', ` 0 <= C <= ${horizon}`, 'Binary')
  for (const i of all)
    lines.push(
      ` ${times(i)
        .map((t) => x(i, t))
        .join(' ')}`,
    )
  return [...lines, 'End'].join('\n')
}
