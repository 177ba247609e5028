/** An amount as a picture: whole cups as circles in equal parts, filling scoop by scoop, the same whole another way, and a line of turns. */
import type Fraction from 'fraction.js'
import { ratio, type Ratio } from '../../amount/ratio'
import { numberText } from '../../amount/show'
import { unitOf } from '../../amount/units'
import { scoopsOf } from '../../plan/model/scoop-sequence'
import type { Task } from '../../plan/model/task'

export interface PartPicture {
  /** Equal parts of each whole: 2, 3, 4, 6 or 8. */
  parts: number
  /** For each whole how many of its parts are in, and how many it will have in the end. */
  wholes: { filled: number; wanted: number }[]
  /** "3/4 cup" */
  label: string
  /** The same in fewer, larger parts, where there is such: 2/4 is 1/2. */
  same?: { parts: number; filled: number; label: string }
}

const PARTS = [2, 3, 4, 6, 8]
/** So many wholes are drawn at most. */
const WHOLES = 6

/**
 * @param task whose scoops are parts of one measure: quarters, or a half and quarters
 * @param scoops that are in, in the order of the strip
 * @returns null where they have no common part that can be drawn
 */
export function partPicture(task: Pick<Task, 'measured'>, scoops: number): PartPicture | null {
  const { measured } = task
  if (measured?.by !== 'scoop' || measured.any) return null
  const all = scoopsOf(measured)
  const [first] = all
  if (!first || all.some((s) => s.unit !== first.unit)) return null
  return drawn(
    all.map((s) => ratio(s.size)),
    scoops,
    first.unit,
  )
}

/** The whole amount of a scoop fact, all of it in: for looking at beforehand. */
export function amountPicture(fact: { target: Ratio; measure: Ratio; unit: string }): PartPicture | null {
  const n = ratio(fact.target).div(fact.measure)
  if (n.d !== 1n) return null
  const sizes = Array.from({ length: Number(n.n) }, () => ratio(fact.measure))
  return drawn(sizes, sizes.length, fact.unit)
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
const lcm = (a: number, b: number): number => (a * b) / gcd(a, b)

/** @param sizes of all scoops @param k how many are in */
function drawn(sizes: readonly Fraction[], k: number, unit: string): PartPicture | null {
  const parts = sizes.reduce((all, s) => lcm(all, Number(s.d)), 1)
  const sum = (list: readonly Fraction[]): Fraction => list.reduce((a, b) => a.add(b), ratio(0))
  const [amount, whole] = [sum(sizes.slice(0, k)), sum(sizes)]
  const count = Number(whole.ceil().n)
  if (!PARTS.includes(parts) || count > WHOLES) return null
  const inParts = (x: Fraction): number => Number(x.mul(parts).n)
  const clamp = (x: number): number => Math.max(0, Math.min(parts, x))
  const wholes = Array.from({ length: count }, (_, i) => ({
    filled: clamp(inParts(amount) - i * parts),
    wanted: clamp(inParts(whole) - i * parts),
  }))
  const word = amount.compare(1) > 0 ? unitOf(unit).many : unitOf(unit).one
  const over = amount.sub(amount.floor())
  const lower = Number(over.d)
  const same =
    over.compare(0) > 0 && lower < parts
      ? { parts: lower, filled: Number(over.n), label: numberText(over) }
      : undefined
  return { parts, wholes, label: `${numberText(amount)} ${word}`, ...(same && { same }) }
}
