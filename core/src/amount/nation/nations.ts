/**
 * Nations whose published rules Lea knows: which of the two houses of words and units they are nearest to, whose law of labels, what
 * probes are held against, what money, which number to call. Where a nation publishes nothing that Lea knows, the stricter holds.
 * Sources: national regulators as named in craft/ratios.ts, core-temperature.ts and label/regions.ts, from memory.
 */
import type { Currency } from './money'

/** Whose published core temperatures a reading is held against. */
export type CoreRegion = 'uk' | 'scotland' | 'ie' | 'us' | 'ca' | 'au' | 'nz'

/** Words and units, and rules of which only a British and an American form is known. */
export type Country = 'uk' | 'us'

export interface NationFacts {
  id: string
  name: string
  country: Country
  /** Whose law of labels: one of `REGIONS` of the label reader. */
  labels: 'uk' | 'ie' | 'us' | 'ca' | 'au' | 'nz'
  currency: Currency
  /** Whose published core temperatures. */
  core: CoreRegion
  /** Hens' eggs that carry a national stamp may be eaten runny there. */
  stampedEggs: boolean
  /** The number to call, as it is said there. */
  emergency: string
  /** How what is left is kept. */
  keeping: KeepingRule
}
/** Cooling, cold and hot holding, reheating and keeping; degrees Celsius, whole days. */
export interface KeepingRule {
  /** In the fridge within this time, in words. */
  coolWithin: string
  fridge: number
  hot: number
  reheat: number
  /** Days in the fridge that Lea says: two for children everywhere, as the strictest of these nations has it. */
  days: number
  source: string
}

const FSA: KeepingRule = {
  coolWithin: '1 to 2 hours',
  fridge: 5,
  hot: 63,
  reheat: 75,
  days: 2,
  source: 'FSA (8 °C is the law, 5 °C the advice), from memory',
}
/** Two hours to 21 °C and four more to 5 °C is for kitchens that log it; at a table the two hours stand. */
const TWO_HOURS = { coolWithin: '2 hours', fridge: 5, days: 2 } as const
const uk = {
  country: 'uk',
  labels: 'uk',
  currency: 'GBP',
  core: 'uk',
  stampedEggs: true,
  emergency: '999 or 112',
  keeping: FSA,
} as const
/** As they stand in a list for people to choose from. */
export const NATIONS = [
  { id: 'england', name: 'England', ...uk },
  { id: 'wales', name: 'Wales', ...uk },
  {
    id: 'scotland',
    name: 'Scotland',
    ...uk,
    core: 'scotland',
    keeping: {
      ...FSA,
      reheat: 82,
      source: 'Food Standards Scotland; Food Hygiene (Scotland) Regulations 2006 on reheating, from memory',
    },
  },
  { id: 'northern-ireland', name: 'Northern Ireland', ...uk },
  {
    id: 'ireland',
    name: 'Ireland',
    country: 'uk',
    labels: 'ie',
    currency: 'EUR',
    core: 'ie',
    stampedEggs: false,
    emergency: '112 or 999',
    keeping: { ...TWO_HOURS, hot: 63, reheat: 75, source: 'FSAI, from memory; of 70 and 75 °C the stricter' },
  },
  {
    id: 'united-states',
    name: 'United States',
    country: 'us',
    labels: 'us',
    currency: 'USD',
    core: 'us',
    stampedEggs: false,
    emergency: '911',
    keeping: {
      ...TWO_HOURS,
      fridge: 4,
      hot: 60,
      reheat: 74,
      source: 'USDA; Food Code (57 °C hot holding, of both the stricter), from memory',
    },
  },
  {
    id: 'canada',
    name: 'Canada',
    country: 'uk',
    labels: 'ca',
    currency: 'CAD',
    core: 'ca',
    stampedEggs: false,
    emergency: '911',
    keeping: { ...TWO_HOURS, fridge: 4, hot: 60, reheat: 74, source: 'Health Canada, from memory' },
  },
  {
    id: 'australia',
    name: 'Australia',
    country: 'uk',
    labels: 'au',
    currency: 'AUD',
    core: 'au',
    stampedEggs: false,
    emergency: '000',
    keeping: {
      ...TWO_HOURS,
      hot: 60,
      reheat: 75,
      source:
        'FSANZ Standard 3.2.2 (2-hour/4-hour rule); Food Safety Information Council on reheating, from memory',
    },
  },
  {
    id: 'new-zealand',
    name: 'New Zealand',
    country: 'uk',
    labels: 'nz',
    currency: 'NZD',
    core: 'nz',
    stampedEggs: false,
    emergency: '111',
    keeping: { ...TWO_HOURS, hot: 60, reheat: 75, source: 'MPI, from memory' },
  },
] as const satisfies readonly NationFacts[]
export type Nation = (typeof NATIONS)[number]['id']
/** Their ids, in the same order. */
export const NATION_IDS: readonly Nation[] = NATIONS.map((n) => n.id)

/** The nation of a setting; one that has only said its country is taken for England, or the United States. */
export function nationOf({
  country,
  nation,
}: {
  country: Country
  nation?: Nation | undefined
}): NationFacts & { id: Nation } {
  const id = nation ?? (country === 'us' ? 'united-states' : 'england')
  return NATIONS.find((n) => n.id === id) ?? NATIONS[0]
}

/** Guidance on food by age is known of the UK and of the US; everywhere else the stricter of both holds: undefined. */
export const guidanceOf = (rules: { country: Country; nation?: Nation | undefined }): Country | undefined => {
  const { id, country } = nationOf(rules)
  return id === 'united-states' || nationOf(rules).stampedEggs ? country : undefined
}
