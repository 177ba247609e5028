/**
 * Puts in questions that are worth much and have no place: what stands against one gives way, and the room is filled anew. Kept where
 * the whole is better for it.
 */
import { bestPlace, lift, moveEach, put, type AskSlot } from './places'
import { less, type DealtStep, type Opt, type Tally } from './tally'

/** @returns whether anything got better */
export function insertEach(tally: Tally, choice: DealtStep[]): boolean {
  let better = false
  const attempt = (i: number, idea: number, o: Opt): void => {
    if (tally.spent || !tally.isWanted(o)) return
    if (insert(tally, choice, i, idea, o)) better = true
  }
  tally.steps.forEach((step, i) => {
    if (step.most === 0) return
    step.ideas.forEach((idea, k) => idea.options.forEach((o) => attempt(i, k, o)))
    step.tell.forEach((o) => attempt(i, choice[i]?.idea ?? -1, o))
  })
  return better
}

/** Another may give way than the weakest: of so many one after the other. */
const OTHERS = 3
function insert(tally: Tally, choice: DealtStep[], i: number, idea: number, o: Opt): boolean {
  for (let spared = 0; spared < OTHERS; spared++)
    if (insertSparing(tally, choice, i, idea, o, spared)) return true
  return false
}

/** @param spared so many of the weakest stay where one has to give way */
function insertSparing(
  tally: Tally,
  choice: DealtStep[],
  i: number,
  idea: number,
  o: Opt,
  spared: number,
): boolean {
  const was = tally.score()
  const before = choice.map((c) => ({ idea: c.idea, asks: [...c.asks] }))
  if (place(tally, choice, i, idea, o, spared)) {
    refill(tally, choice)
    if (moveEach(tally, choice)) refill(tally, choice)
    if (less(tally.score(), was)) return true
  }
  choice.forEach((c, j) => lift(tally, j, c))
  before.forEach((c, j) => {
    choice[j] = c
    put(tally, j, c)
  })
  return false
}

function refill(tally: Tally, choice: readonly DealtStep[]): void {
  for (let next = bestPlace(tally, choice, null); next; next = bestPlace(tally, choice, null)) {
    const asks = choice[next.step]?.asks ?? []
    tally.add(next.option, asks.length)
    asks.push(next.option)
  }
}

/** Clears the way for one question and asks it. @returns false where a question that a person pinned stands in the way */
function place(tally: Tally, choice: DealtStep[], i: number, idea: number, o: Opt, spared: number): boolean {
  const step = tally.steps[i]
  let here = choice[i]
  if (!step || !here) return false
  if (here.idea !== idea) {
    if (step.must.length > 0) return false
    lift(tally, i, here)
    here = { idea, asks: [] }
    choice[i] = here
    put(tally, i, here)
  }
  for (const [j, dealt] of choice.entries())
    for (const a of [...dealt.asks]) {
      const clash =
        a.word === o.word || a.text === o.text || a.met === o.met || (j === i && a.o.child === o.o.child)
      if (clash && !remove(tally, choice, j, a)) return false
    }
  while (here.asks.length >= step.most) if (!removeWeakest(tally, choice, [i], { spared })) return false
  const all = [...choice.keys()]
  const { child, order } = o.o
  while (tally.heardEnough(child))
    if (!removeWeakest(tally, choice, all, { only: (a) => a.o.child === child, spared })) return false
  while (order && tally.ordersFull)
    if (!removeWeakest(tally, choice, all, { only: (a) => a.o.order, spared })) return false
  while (tally.full) if (!removeWeakest(tally, choice, all, { spared })) return false
  tally.add(o, here.asks.length)
  here.asks.push(o)
  return true
}

function remove(tally: Tally, choice: readonly DealtStep[], i: number, o: Opt): boolean {
  const asks = choice[i]?.asks
  if (!asks || tally.steps[i]?.must.includes(o.o.child)) return false
  tally.drop(o, asks.length - 1)
  asks.splice(asks.indexOf(o), 1)
  return true
}

/** Takes out the question that is missed least, or the next after so many that are spared. */
function removeWeakest(
  tally: Tally,
  choice: readonly DealtStep[],
  steps: readonly number[],
  { only = () => true, spared = 0 }: { only?: (o: Opt) => boolean; spared?: number } = {},
): boolean {
  const found: (AskSlot & { gain: number; price: number })[] = []
  for (const step of steps) {
    const asks = choice[step]?.asks ?? []
    for (const option of asks) {
      if (tally.steps[step]?.must.includes(option.o.child) || !only(option)) continue
      tally.drop(option, asks.length - 1)
      found.push({
        step,
        option,
        gain: tally.gain(option),
        price: tally.price(option, asks.length - 1),
      })
      tally.add(option, asks.length - 1)
    }
  }
  found.sort((a, b) => b.gain - a.gain || b.price - a.price)
  const out = found[Math.min(spared, found.length - 1)]
  return out !== undefined && remove(tally, choice, out.step, out.option)
}
