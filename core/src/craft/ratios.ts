/**
 * How many adults a group needs by published minimum. A setting's own regulator comes first.
 * Sources, all from memory: England: DfE EYFS statutory framework 2025 (1:3 under 24 months, 1:5 from 24, 1:8 from 36 months); Wales:
 * National Minimum Standards for Regulated Childcare; Scotland: National Care Standards, Care Inspectorate; Northern Ireland: Minimum
 * Standards for Childminding and Day Care; Ireland: Early Years Services Regulations 2016 (full day); US: Caring for Our Children; Canada:
 * Ontario's CCEYA, one of the stricter of the provinces; Australia: National Regulations 2011, r. 123, and 1:10 from 36 months as in New South
 * Wales; New Zealand: Education (Early Childhood Services) Regulations 2008.
 */
import { nationOf, type Country, type Nation } from '../amount/nation/nations'

type Table = readonly (readonly [below: number, children: number])[]
const TABLES: Record<Nation, Table> = {
  england: [
    [24, 3],
    [36, 5],
    [Infinity, 8],
  ],
  wales: [
    [24, 3],
    [36, 4],
    [96, 8],
    [Infinity, 10],
  ],
  scotland: [
    [24, 3],
    [36, 5],
    [96, 8],
    [Infinity, 10],
  ],
  'northern-ireland': [
    [24, 3],
    [36, 4],
    [Infinity, 8],
  ],
  ireland: [
    [12, 3],
    [24, 5],
    [36, 6],
    [72, 8],
    [Infinity, 12],
  ],
  'united-states': [
    [13, 3],
    [36, 4],
    [48, 7],
    [72, 8],
    [108, 10],
    [Infinity, 12],
  ],
  canada: [
    [18, 3],
    [30, 5],
    [72, 8],
    [Infinity, 13],
  ],
  australia: [
    [24, 4],
    [36, 5],
    [72, 10],
    [Infinity, 15],
  ],
  'new-zealand': [
    [24, 5],
    [Infinity, 10],
  ],
}
type Where = Country | { country: Country; nation?: Nation | undefined }
const whereOf = (where: Where): Nation => nationOf(typeof where === 'string' ? { country: where } : where).id

/** So many children to one adult below an age in completed months; the last row holds for all who are older. */
export interface RatioRow {
  below: number | null
  children: number
}

/** The published minimum of a country or nation, as a setting may take it over and make it its own. */
export const ratioRows = (where: Where): RatioRow[] =>
  TABLES[whereOf(where)].map(([below, children]) => ({
    below: below === Infinity ? null : below,
    children,
  }))

/**
 * The least number of adults for children of these ages (months), whole.
 * @param own the setting's rows instead of the country's
 */
export function adultsNeeded(ages: readonly number[], where: Where, own?: readonly RatioRow[]): number {
  const table = (own && own.length > 0 ? own : ratioRows(where)).map((r): [number, number] => [
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

const SOURCES: Record<Nation, string> = {
  england: 'EYFS statutory framework 2025 (England)',
  wales: 'National Minimum Standards for Regulated Childcare (Wales)',
  scotland: 'National Care Standards, Care Inspectorate (Scotland)',
  'northern-ireland': 'Minimum Standards for Childminding and Day Care (Northern Ireland)',
  ireland: 'Early Years Services Regulations 2016, full day (Ireland)',
  'united-states': 'Caring for Our Children (AAP/APHA/NRC)',
  canada: 'CCEYA (Ontario); other provinces differ',
  australia: 'National Regulations 2011, r. 123, and New South Wales',
  'new-zealand': 'Education (Early Childhood Services) Regulations 2008 (New Zealand)',
}
/** Where the ratios come from, with its confidence. */
export const ratioSource = (where: Where): string =>
  `${SOURCES[whereOf(where)]}, from memory; ${whereOf(where) === 'united-states' ? 'your state rule comes first' : 'your regulator comes first'}`
