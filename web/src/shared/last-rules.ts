/**
 * Whose rules this device last knew, for the emergency page: it is shown without sign-in and without network. Nothing of a person is kept.
 */
import type { HouseRules } from '@lea/core/plan'

const KEY = 'lea-nation'
type Known = Pick<HouseRules, 'country' | 'nation'>

/** @param rules nothing of a house that has not said any */
export function rememberRules(rules: Known | undefined): void {
  if (!rules) return
  const { country, nation } = rules
  try {
    localStorage.setItem(KEY, JSON.stringify({ country, nation }))
  } catch {
    // A device that may keep nothing shows every number.
  }
}

/** @returns undefined where nobody ever signed in here, or where nothing may be kept */
export function lastRules(): Known | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null')
    const known = kept as Known | null
    return known?.country === 'uk' || known?.country === 'us' ? known : undefined
  } catch {
    return undefined
  }
}
