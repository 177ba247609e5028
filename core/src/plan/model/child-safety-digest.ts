/** What a child's card asks of a plan: a plan in force keeps it, so that a card changed while cooking does not go unseen. */
import { allergenOfWords } from '../../food/card/parse-concern'
import type { PlanChild } from './request'
import { digest, seal } from './digest'

/**
 * A short digest of what a card says of foods, of a care plan and its words, of needs and limits. The order of its lists does not matter; name, age,
 * hand, languages and what was seen of techniques are no part of it.
 */
export function childSafetyDigest({
  concerns,
  diets,
  carePlan,
  carePlanWords,
  needs,
  limits,
}: PlanChild): string {
  const sorted = (list: readonly unknown[]): string[] => list.map((x) => digest(x)).sort()
  return seal({
    concerns: sorted(concerns.map(({ allergen, level }) => ({ allergen: allergenOfWords(allergen), level }))),
    diets: sorted(diets),
    carePlan: carePlan ?? false,
    ...(carePlanWords !== undefined && { carePlanWords }),
    needs: sorted(needs),
    limits: sorted(limits ?? []),
  })
}

/** Somebody at the table, with what the card asks now; no card where it is not known. */
export interface Present {
  id: string
  card?: string
}
