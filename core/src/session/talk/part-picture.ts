/**
 * Parts of a whole as a picture: circles and a bar in equal parts that fill scoop by scoop, the same amount in fewer parts laid over it,
 * and the number line on which it lies.
 */
import type Fraction from 'fraction.js'
import { ratio } from '../../amount/ratio'
import { numberText } from '../../amount/show'
import { unitOf } from '../../amount/units'
import { scoopsOf } from '../../plan/model/scoop-sequence'
import type { Task } from '../../plan/model/task'
import type { Fact } from '../../learn/facts'
import { derive } from '../../learn/fact/derive'

export interface PartPicture {
  /** Equal parts of each whole: 2, 3, 4, 6 or 8. */
  parts: number
  /** For each whole how many of its parts are in, and how many it will have in the end. */
  wholes: { filled: number; wanted: number }[]
  /** "3/4 cup" */
  label: string
  /** The same in fewer, larger parts, where there is such: "2/4 = 1/2". `whole`: in which of the wholes it lies, from 0. */
  same?: { parts: number; filled: number; says: string; whole: number }
  /** From 0 to the last whole; `at` and `now` are shares of its length. A label stands at wholes, and at each part where there is room. */
  line: { ticks: { at: number; label: string | null; whole: boolean }[]; now: number }
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

/**
 * The picture of a fact that has parts in it, as it will be in the end: for looking at beforehand, on the screen and on paper.
 * @returns null where the fact has no parts that can be drawn
 */
export function factPicture(fact: Fact | null | undefined): PartPicture | null {
  if (fact?.kind === 'scoop') {
    const n = ratio(fact.target).div(fact.measure)
    if (n.d !== 1n) return null
    const sizes = Array.from({ length: Number(n.n) }, () => ratio(fact.measure))
    return drawn(sizes, sizes.length, fact.unit)
  }
  if (fact?.kind === 'vessel') {
    const [first] = fact.parts
    if (!first || fact.parts.some((p) => p.unit !== first.unit)) return null
    const sizes = fact.parts.flatMap((p) => Array.from({ length: p.n }, () => ratio(p.size)))
    return drawn(sizes, sizes.length, first.unit)
  }
  if (fact?.kind === 'cut') return cutPicture(fact)
  if (fact?.kind === 'share') return sharePicture(fact)
  return null
}

/** What a child holds, cut: one piece of it filled, as a part of the whole thing. */
function cutPicture(fact: Extract<Fact, { kind: 'cut' }>): PartPicture | null {
  const { onePiece } = derive(fact)
  if (typeof onePiece !== 'string') return null
  const piece = ratio(onePiece)
  if (piece.n !== 1n) return null
  return drawn(
    Array.from({ length: fact.pieces }, () => piece),
    1,
    null,
  )
}

/** What one child gets where it does not come out even: a pot and a half. */
function sharePicture(fact: Extract<Fact, { kind: 'share' }>): PartPicture | null {
  if (fact.cuttable !== true || fact.people < 1) return null
  const each = ratio(fact.n).div(fact.people)
  return each.d === 1n ? null : drawn([each], 1, null)
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
const lcm = (a: number, b: number): number => (a * b) / gcd(a, b)

/** @param sizes of all scoops @param k how many are in @param unit null where the whole is a thing, not a measure */
function drawn(sizes: readonly Fraction[], k: number, unit: string | null): PartPicture | null {
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
  const word = unit === null ? '' : ` ${amount.compare(1) > 0 ? unitOf(unit).many : unitOf(unit).one}`
  const over = amount.sub(amount.floor())
  const lower = Number(over.d)
  const full = amount.compare(1) >= 0 ? `${amount.floor().toFraction()} ` : ''
  const same =
    over.compare(0) > 0 && lower < parts
      ? {
          parts: lower,
          filled: Number(over.n),
          says: `${full}${inParts(over)}/${parts} = ${numberText(amount)}`,
          whole: Number(amount.floor().n),
        }
      : undefined
  return {
    parts,
    wholes,
    label: `${numberText(amount)}${word}`,
    ...(same && { same }),
    line: numberLine(parts, count, amount),
  }
}

/** So many labels have room on the line. */
const LABELS = 9
function numberLine(parts: number, count: number, amount: Fraction): PartPicture['line'] {
  const n = parts * count
  const ticks = Array.from({ length: n + 1 }, (_, i) => {
    const value = ratio(i).div(parts)
    const whole = value.d === 1n
    return { at: i / n, label: whole || n < LABELS ? numberText(value) : null, whole }
  })
  return { ticks, now: amount.div(count).valueOf() }
}
