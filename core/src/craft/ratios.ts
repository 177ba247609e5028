/**
 * How many adults a group needs by published minimum. A setting's own regulator comes first.
 * Source: DfE EYFS statutory framework 2025 (England): 1:3 under 24 months, 1:5 from 24, 1:8 from 36 months; US: Caring
 * for Our Children, 1:3 to 12, 1:4 to 35 months, 1:7 at 3, 1:8 at 4 and 5, 1:10 at 6 to 8, 1:12 from 9 years; from memory.
 */
const ENGLAND: [number, number][] = [
  [24, 3],
  [36, 5],
  [Infinity, 8],
]
const US: [number, number][] = [
  [13, 3],
  [36, 4],
  [48, 7],
  [72, 8],
  [108, 10],
  [Infinity, 12],
]

export type Country = 'uk' | 'us'

/** So many children to one adult below an age in completed months; the last row holds for all who are older. */
export interface RatioRow {
  below: number | null
  children: number
}

/** The published minimum of a country, as a setting may take it over and make it its own. */
export const ratioRows = (country: Country): RatioRow[] =>
  (country === 'us' ? US : ENGLAND).map(([below, children]) => ({
    below: below === Infinity ? null : below,
    children,
  }))

/**
 * The least number of adults for children of these ages (months), whole.
 * @param own the setting's rows instead of the country's
 */
export function adultsNeeded(ages: readonly number[], country: Country, own?: readonly RatioRow[]): number {
  const table = (own && own.length > 0 ? own : ratioRows(country)).map((r): [number, number] => [
    r.below ?? Infinity,
    r.children,
  ])
  const perBand = new Map<number, number>()
  for (const months of ages) {
    const ratio = table.find(([below]) => months < below)?.[1] ?? table.at(-1)?.[1] ?? 1
    perBand.set(ratio, (perBand.get(ratio) ?? 0) + 1)
  }
  // In 360360ths (the lcm of 1 to 15), so that the sum of fractions is exact.
  const share = [...perBand].reduce((sum, [children, n]) => sum + Math.ceil((WHOLE / children) * n), 0)
  return Math.max(ages.length > 0 ? 1 : 0, Math.ceil(share / WHOLE))
}
const WHOLE = 360360

/** Where the ratios come from, with its confidence. */
export const RATIO_SOURCE: Record<Country, string> = {
  uk: 'EYFS statutory framework 2025 (England), from memory; your regulator comes first',
  us: 'Caring for Our Children (AAP/APHA/NRC), from memory; your state rule comes first',
}
