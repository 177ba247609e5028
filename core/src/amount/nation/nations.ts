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
}

const uk = { country: 'uk', labels: 'uk', currency: 'GBP', core: 'uk', stampedEggs: true } as const
/** As they stand in a list for people to choose from. */
export const NATIONS = [
  { id: 'england', name: 'England', ...uk },
  { id: 'wales', name: 'Wales', ...uk },
  { id: 'scotland', name: 'Scotland', ...uk, core: 'scotland' },
  { id: 'northern-ireland', name: 'Northern Ireland', ...uk },
  {
    id: 'ireland',
    name: 'Ireland',
    country: 'uk',
    labels: 'ie',
    currency: 'EUR',
    core: 'ie',
    stampedEggs: false,
  },
  {
    id: 'united-states',
    name: 'United States',
    country: 'us',
    labels: 'us',
    currency: 'USD',
    core: 'us',
    stampedEggs: false,
  },
  {
    id: 'canada',
    name: 'Canada',
    country: 'uk',
    labels: 'ca',
    currency: 'CAD',
    core: 'ca',
    stampedEggs: false,
  },
  {
    id: 'australia',
    name: 'Australia',
    country: 'uk',
    labels: 'au',
    currency: 'AUD',
    core: 'au',
    stampedEggs: false,
  },
  {
    id: 'new-zealand',
    name: 'New Zealand',
    country: 'uk',
    labels: 'nz',
    currency: 'NZD',
    core: 'nz',
    stampedEggs: false,
  },
] as const satisfies readonly NationFacts[]
export type Nation = (typeof NATIONS)[number]['id']
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
