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

/** The least number of adults for children of these ages (months), whole. */
export function adultsNeeded(ages: readonly number[], country: Country): number {
  const table = country === 'us' ? US : ENGLAND
  const perBand = new Map<number, number>()
  for (const months of ages) {
    const ratio = table.find(([below]) => months < below)?.[1] ?? 8
    perBand.set(ratio, (perBand.get(ratio) ?? 0) + 1)
  }
  // In 840ths (840 = lcm of 3, 4, 5, 7, 8, 10 and 12), so that the sum of fractions is exact.
  const share = [...perBand].reduce((sum, [ratio, n]) => sum + (840 / ratio) * n, 0)
  return Math.max(ages.length > 0 ? 1 : 0, Math.ceil(share / 840))
}

export const RATIO_SOURCE: Record<Country, string> = {
  uk: 'EYFS statutory framework 2025 (England), from memory; your regulator comes first',
  us: 'Caring for Our Children (AAP/APHA/NRC), from memory; your state rule comes first',
}
