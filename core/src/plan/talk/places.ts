/** Where a question would be best, and taking a step's questions out and in again. */
import type { DealtStep, Opt, Tally } from './tally'

export interface AskSlot {
  step: number
  option: Opt
}

/**
 * The best question that could be asked in any step with room.
 * @param old what stands there now: only a better one is found
 * @param stays only in the old one's step, of its child
 */
export function bestPlace(
  tally: Tally,
  choice: readonly DealtStep[],
  old: AskSlot | null,
  stays = false,
): AskSlot | null {
  let best = old
  let gain = old ? tally.gain(old.option) : Infinity
  let price = old ? tally.price(old.option, choice[old.step]?.asks.length ?? 0) : Infinity
  tally.steps.forEach((step, j) => {
    const dealt = choice[j]
    if (!dealt || dealt.asks.length >= step.most || (stays && j !== old?.step)) return
    for (const list of [step.ideas[dealt.idea]?.options ?? [], step.tell])
      for (const o of list) {
        if (stays && o.o.child !== old?.option.o.child) continue
        if (!tally.fits(o) || dealt.asks.some((a) => a.o.child === o.o.child)) continue
        const g = tally.gain(o)
        if (g > gain) continue
        const p = tally.price(o, dealt.asks.length)
        if (g < gain || p < price) {
          best = { step: j, option: o }
          gain = g
          price = p
        }
      }
  })
  return best
}

export function lift(tally: Tally, i: number, old: DealtStep | undefined): void {
  if (!old) return
  for (let n = old.asks.length - 1; n >= 0; n--) {
    const o = old.asks[n]
    if (o) tally.drop(o, n)
  }
  tally.take(tally.steps[i]?.ideas[old.idea], -1)
}

export function put(tally: Tally, i: number, back: DealtStep): void {
  tally.take(tally.steps[i]?.ideas[back.idea], 1)
  back.asks.forEach((o, n) => tally.add(o, n))
}

/** Moves questions one by one to where another would be better, in the same step or in one with room. */
export function moveEach(tally: Tally, choice: readonly DealtStep[]): boolean {
  let better = false
  choice.forEach((from, i) => {
    for (const old of [...from.asks]) {
      const must = tally.steps[i]?.must.includes(old.o.child)
      const n = from.asks.length - 1
      tally.drop(old, n)
      from.asks.splice(from.asks.indexOf(old), 1)
      const found = bestPlace(tally, choice, { step: i, option: old }, must === true) ?? {
        step: i,
        option: old,
      }
      tally.add(found.option, choice[found.step]?.asks.length ?? 0)
      choice[found.step]?.asks.push(found.option)
      if (found.option !== old) better = true
    }
  })
  return better
}
