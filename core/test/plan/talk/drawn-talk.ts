/** Small sessions of talk drawn from a seed, harder than real ones: few questions, many that stand in each other's way. */
import type { TalkOption, TalkProblem } from '../../../src/plan/talk/problem'

/** Numbers from a seed: the same session in every run. */
export function drawnTalk(seed: number): TalkProblem {
  let state = seed * 2654435761
  const next = (n: number): number => {
    state = (Math.imul(state ^ (state >>> 15), 2246822519) + 3266489917) >>> 0
    return state % n
  }
  const children = 2 + next(5)
  const steps = 2 + next(4)
  const option = (i: string): TalkOption => {
    const target = `t${next(7)}`
    return {
      child: next(children),
      target,
      touches: next(3) === 0 ? [target, `t${next(7)}`] : [target],
      cost: next(20),
      edge: next(3) > 0,
      due: next(6) === 0,
      says: next(4) === 0 ? `says ${next(6)}` : `says ${i}`,
      text: next(6) === 0 ? `text ${next(8)}` : `text ${i}`,
      order: next(4) === 0,
    }
  }
  const options = (i: string): TalkOption[] => Array.from({ length: next(6) }, (_, k) => option(`${i} ${k}`))
  return {
    children: Array.from({ length: children }, () => ({ heard: next(3) * 12, most: 1 + next(3) })),
    mostOrder: 2,
    week: Array.from({ length: next(3) }, (_, i) => `t${2 * i}`),
    most: 2 + next(children + 2),
    steps: Array.from({ length: steps }, (_, s) => ({
      ideas: Array.from({ length: 1 + next(3) }, (_, i) => ({
        id: `${s} ${i}`,
        kind: `k${next(3)}`,
        rank: i,
        options: options(`${s} ${i}`),
      })),
      tell: options(`${s} tell`),
      most: 1 + next(2),
      must: [],
    })),
  }
}
