/**
 * Where a packet was packed for: which allergens its law makes it name, and so which may stand in it unnamed. It changes what is said beside
 * a word to ask about; it never hides a word. Sources, from memory: Regulation (EU) 1169/2011 Annex II (EU, IE and, retained, UK); FALCPA
 * 2004 with the FASTER Act 2021 (US); Food and Drug Regulations B.01.010.1 (CA); Food Standards Code 1.2.3 (AU, NZ).
 */
import { ALLERGENS } from '../allergens'

/** Regions whose law of labels Lea knows. Source: the head of this file. */
export const REGIONS = ['uk', 'eu', 'ie', 'us', 'ca', 'au', 'nz'] as const
export type Region = (typeof REGIONS)[number]

const EU = ALLERGENS.filter((a) => a.uk14 && a.parent === null).map((a) => a.id)
const US = ['milk', 'egg', 'fish', 'crustaceans', 'tree-nuts', 'peanut', 'wheat', 'soya', 'sesame']
const NAMED: Record<Region, readonly string[]> = {
  uk: EU,
  eu: EU,
  ie: EU,
  us: US,
  // Canada names gluten, molluscs, mustard and sulphites as well; not celery, not lupin.
  ca: [...US, 'gluten-cereals', 'molluscs', 'mustard', 'sulphites'],
  // Australia and New Zealand name gluten, molluscs, lupin and sulphites as well; not celery, not mustard.
  au: [...US, 'gluten-cereals', 'molluscs', 'lupin', 'sulphites'],
  nz: [...US, 'gluten-cereals', 'molluscs', 'lupin', 'sulphites'],
}
const WORDS: Record<Region, string> = {
  uk: 'the United Kingdom',
  eu: 'the European Union',
  ie: 'Ireland',
  us: 'the United States',
  ca: 'Canada',
  au: 'Australia',
  nz: 'New Zealand',
}
/** What the other laws make packets name. */
const ALL = [...new Set([...EU, ...Object.values(NAMED).flat()])]

/** What the law of a region leaves unnamed, in ids and in words. */
export function byLaw(region: Region): { unnamed: string[]; says: string } {
  const named = new Set(NAMED[region])
  const unnamed = ALL.filter((id) => !named.has(id) && !(id === 'wheat' && named.has('gluten-cereals')))
  const left = unnamed.map((id) => id.replace(/-/g, ' '))
  return {
    unnamed,
    says:
      left.length > 0
        ? `on a packet for ${WORDS[region]} ${left.join(', ')} need not be named`
        : `on a packet for ${WORDS[region]} the regulated allergens must be named`,
  }
}
