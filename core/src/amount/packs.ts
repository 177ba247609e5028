/** Packs to buy, what they cost by use and by purchase, tins and trays, batches. Source: calc.md; measures.md D3-F, from memory. */
import type Fraction from 'fraction.js'
import { onLattice } from './decompose'
import { ratio, toPlaces, toText, type Ratio } from './ratio'

export interface Pack {
  id: string
  size: Ratio | Fraction
  /** Minor units. */
  price: number
}
export interface PackChoice {
  toBuy: Ratio
  cost: number
  left: Ratio
  packsTotal: number
  packs: Record<string, number>
}

/** What is needed and the packs in whole parts; a need that is too fine for them, up to the next part that packs can make. */
function inPartsOfPacks(need: Fraction, packs: readonly Pack[]): number[] {
  try {
    return onLattice([need, ...packs.map((p) => p.size)])
  } catch (fault) {
    if (!(fault instanceof RangeError)) throw fault
    const parts = onLattice(packs.map((p) => p.size))
    const target = need
      .div(ratio(packs[0]?.size ?? 1))
      .mul(parts[0] ?? 1)
      .ceil()
    return [target.valueOf(), ...parts]
  }
}

/**
 * The packs of least cost, then least left over, then fewest, that cover what is needed beside the pantry.
 * Exact: a dynamic programme over whole parts of the common measure; each state holds its best (cost, bought, packs).
 */
export function choosePacks(
  need: Ratio | Fraction,
  pantry: Ratio | Fraction,
  packs: readonly Pack[],
): PackChoice | null {
  const short = ratio(need).sub(pantry)
  const toBuy = short.compare(0) > 0 ? short : ratio(0)
  if (toBuy.compare(0) === 0) return { toBuy: '0', cost: 0, left: '0', packsTotal: 0, packs: {} }
  if (packs.length === 0) return null
  const [target = 0, ...sizes] = inPartsOfPacks(toBuy, packs)
  interface State {
    cost: number
    bought: number
    count: number
    from: number
    pack: number
  }
  const better = (a: State, b: State | undefined): boolean =>
    !b ||
    a.cost < b.cost ||
    (a.cost === b.cost && (a.bought < b.bought || (a.bought === b.bought && a.count < b.count)))
  // Units are covered up to the target; what a pack gives beyond it is kept in `bought`.
  const states: (State | undefined)[] = Array.from({ length: target + 1 })
  states[0] = { cost: 0, bought: 0, count: 0, from: -1, pack: -1 }
  for (let at = 0; at < target; at++) {
    const state = states[at]
    if (!state) continue
    packs.forEach((pack, i) => {
      const to = Math.min(target, at + (sizes[i] ?? 0))
      const next: State = {
        cost: state.cost + pack.price,
        bought: state.bought + (sizes[i] ?? 0),
        count: state.count + 1,
        from: at,
        pack: i,
      }
      if (better(next, states[to])) states[to] = next
    })
  }
  const last = states[target]
  if (!last) return null
  const chosen: Record<string, number> = {}
  for (let state: State | undefined = last; state && state.pack >= 0; state = states[state.from]) {
    const id = packs[state.pack]?.id ?? ''
    chosen[id] = (chosen[id] ?? 0) + 1
  }
  const unit = toBuy.div(target)
  return {
    toBuy: toText(toBuy),
    cost: last.cost,
    left: toText(unit.mul(last.bought - target)),
    packsTotal: last.count,
    packs: chosen,
  }
}

export interface PriceItem {
  name: string
  packSize: Ratio | Fraction
  packPrice: number
  used: Ratio | Fraction
}
/** Which is cheaper, compared before any rounding. */
export const cheaper = (home: Fraction, ready: Fraction): 'home' | 'ready' | 'same' => {
  const order = home.compare(ready)
  return order < 0 ? 'home' : order > 0 ? 'ready' : 'same'
}
const halfUp = (value: Fraction): number => Number(value.add('1/2').floor().toFraction())

/** What the used parts and the bought packs cost a portion, against the ready-made thing. Money in minor units, exact. */
export function priceOf(
  items: readonly PriceItem[],
  portions: number,
  ready: { price: number; portions: number },
) {
  const sum = (of: (i: PriceItem) => Fraction): Fraction => items.reduce((all, i) => all.add(of(i)), ratio(0))
  const packsOf = (i: PriceItem): Fraction => ratio(i.used).div(i.packSize).ceil()
  const used = sum((i) => ratio(i.used).div(i.packSize).mul(i.packPrice))
  const bought = sum((i) => packsOf(i).mul(i.packPrice))
  const [usedEach, boughtEach, readyEach] = [
    used.div(portions),
    bought.div(portions),
    ratio(ready.price).div(ready.portions),
  ]
  return {
    usedTotal: toText(used),
    usedPerPortion: toText(usedEach),
    usedPerPortionRounded: halfUp(usedEach),
    boughtTotal: bought.valueOf(),
    boughtPerPortion: toText(boughtEach),
    boughtPerPortionRounded: halfUp(boughtEach),
    readyPerPortion: toText(readyEach),
    cheaperByUse: cheaper(usedEach, readyEach),
    cheaperByPurchase: cheaper(boughtEach, readyEach),
  }
}

export interface Tin {
  shape: 'round' | 'square' | 'rect'
  d?: Ratio
  s?: Ratio
  a?: Ratio
  b?: Ratio
  unit: 'mm' | 'cm' | 'in'
  h?: Ratio
}
const CM: Record<Tin['unit'], string> = { mm: '1/10', cm: '1', in: '127/50' }
/** Pi to 40 places, as a fraction: every printed place of an area of a kitchen tin is right. */
const PI = ratio('31415926535897932384626433832795028841971').div('10000000000000000000000000000000000000000')

/** Area in cm², or volume in cm³ where heights are asked for. @throws RangeError naming the missing side */
export function tinSize(tin: Tin, mode: 'area' | 'volume'): Fraction {
  const side = (name: 'd' | 's' | 'a' | 'b' | 'h'): Fraction => {
    const value = tin[name]
    if (value === undefined) throw new RangeError(`${name} is missing`)
    return ratio(value).mul(CM[tin.unit])
  }
  const area =
    tin.shape === 'round'
      ? PI.mul(side('d')).mul(side('d')).div(4)
      : tin.shape === 'square'
        ? side('s').mul(side('s'))
        : side('a').mul(side('b'))
  return mode === 'volume' ? area.mul(side('h')) : area
}

/** How one tin compares with another: by area or by volume, as a factor. Units: those of the tins, mixed freely. */
export function compareTins(from: Tin, to: Tin, mode: 'area' | 'volume') {
  const [a, b] = [tinSize(from, mode), tinSize(to, mode)]
  return { from: toPlaces(a, 2), to: toPlaces(b, 2), factor: toPlaces(b.div(a), 4) }
}

/** Cases that a batter fills, and the tins they stand in. */
export function casesFor(
  batter: Ratio | Fraction,
  cup: Ratio | Fraction,
  fill: Ratio | Fraction,
  cupsPerTin: number,
) {
  const cups = ratio(batter).div(ratio(cup).mul(fill)).ceil()
  return {
    cups: Number(cups.toFraction()),
    tins: Number(cups.div(cupsPerTin).ceil().toFraction()),
    mLPerCup: toText(ratio(batter).div(cups)),
  }
}

/** Oven loads: batches, the pieces of the last one, minutes with the turnaround between. */
export function ovenBatches(
  pieces: number,
  perTray: number,
  traysAtOnce: number,
  minutes: Ratio | Fraction,
  turnaround: Ratio | Fraction,
) {
  const trayloads = Math.ceil(pieces / perTray)
  const batches = Math.ceil(trayloads / traysAtOnce)
  const lastBatchPieces = pieces - (batches - 1) * perTray * traysAtOnce
  const all = ratio(minutes)
    .mul(batches)
    .add(ratio(turnaround).mul(batches - 1))
  return { trayloads, batches, lastBatchPieces, minutes: toText(all) }
}

/** The least multiple of a step whose yield is enough, with whole eggs where asked. */
export function batchMultiple(
  yields: Ratio | Fraction,
  need: Ratio | Fraction,
  step: Ratio | Fraction,
  eggs?: Ratio | Fraction,
): { multiple: Ratio; made: Ratio; left: Ratio } {
  const s = ratio(step)
  let multiple = s.mul(ratio(need).div(s.mul(yields)).ceil())
  // Whole eggs come round at the latest after as many steps as the egg count's denominator.
  while (eggs !== undefined && ratio(eggs).mul(multiple).d !== 1n) multiple = multiple.add(s)
  const made = multiple.mul(yields)
  return { multiple: toText(multiple), made: toText(made), left: toText(made.sub(need)) }
}

const NEAR_TIN = '3/20'

export interface WholeCount {
  n: number
  /** Opened and not used: a share of one. */
  left: Ratio
  /** `near`: taken whole although a little more or less is asked for. */
  how: 'exact' | 'near' | 'part'
}

/**
 * Whole tins, packets and sachets: of x the nearest whole number where it is at least 1 and within 15 % of x; otherwise as many as are
 * opened, the rest left over. Source: measures.md D2, common practice, from memory.
 */
export function wholeTins(x: Ratio | Fraction): WholeCount {
  const exact = ratio(x)
  const nearest = exact.add('1/2').floor()
  if (nearest.equals(exact)) return { n: nearest.valueOf(), left: '0', how: 'exact' }
  const off = nearest.sub(exact).div(exact).abs()
  if (nearest.compare(1) >= 0 && off.compare(NEAR_TIN) <= 0)
    return { n: nearest.valueOf(), left: '0', how: 'near' }
  const opened = exact.ceil()
  return { n: opened.valueOf(), left: toText(opened.sub(exact)), how: 'part' }
}
