/** Portions by age: who has a part of what others have whole. */
import type Fraction from 'fraction.js'
import { ratio, type Ratio } from '../../amount/ratio'
import type { Shaped } from '../model/draft'

/** Those of a bowl who have a part, by the part; in the order of the recipe's sizes, none empty. */
export function sizesIn(
  children: readonly string[],
  sizes: readonly { below: number; part: Ratio }[],
  { people }: Pick<Shaped, 'people'>,
): { children: string[]; part: Ratio }[] {
  const ageOf = (id: string): number => people.find((p) => p.id === id)?.age ?? Infinity
  const rows = [...sizes].sort((a, b) => a.below - b.below)
  return rows
    .map((row, i) => ({
      part: row.part,
      children: children.filter((c) => rows.findIndex((r) => ageOf(c) < r.below) === i),
    }))
    .filter((s) => s.children.length > 0)
}

/** Whole portions that so many children come to. */
export const portionsIn = (
  children: number,
  small: readonly { children: readonly string[]; part: Ratio }[],
): Fraction => small.reduce((n, s) => n.add(ratio(s.part).sub(1).mul(s.children.length)), ratio(children))
