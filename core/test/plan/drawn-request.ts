/** Requests drawn from the shipped recipes: groups of two to thirty with cards, diets, needs and languages, settings, kits, adults and decisions. */
import type { PlanChild, PlanRequest } from '../../src/plan/model/request'
import type { Decision } from '../../src/plan/model/decision'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { seeded } from '../../src/plan/clock/schedule/random'
import { child, request } from '../group'

const CONCERNS = ['milk', 'egg', 'wheat', 'sesame', 'peanut', 'soya', 'kiwi', 'celery']
const LEVELS = ['allergy-strict', 'anaphylaxis-risk', 'intolerance', 'preference'] as const
const LANGUAGES = ['pl', 'ar', 'uk', 'so', 'ur']

/** The request of a number: the same each time. */
export function drawnRequest(seed: number): PlanRequest {
  const next = seeded(seed)
  const upTo = (n: number): number => Math.floor(next() * n)
  const one = <T>(list: readonly T[]): T => list[upTo(list.length)] as T
  const recipe = one(SHIPPED_RECIPES)
  const n = one([2, 3, 4, 4, 6, 8, 12, 12, 16, 30])
  const children = Array.from({ length: n }, (_, i): PlanChild =>
    child(`c${i + 1}`, 24 + upTo(100), {
      concerns: next() < 0.15 ? [{ allergen: one(CONCERNS), level: one(LEVELS) }] : [],
      diets: next() < 0.1 ? [one(['vegetarian', 'vegan', 'halal'] as const)] : [],
      languages: next() < 0.2 ? [one(LANGUAGES)] : [],
    }),
  )
  const adults = Array.from({ length: 1 + upTo(4) }, (_, i) => ({
    id: `a${i + 1}`,
    leads: i === 0 ? (['knives', 'heat'] as const) : next() < 0.5 ? (['knives'] as const) : [],
  }))
  const decisions: Decision[] = [
    ...(next() < 0.2 ? [{ kind: 'scooping', way: 'quick' } as const] : []),
    ...(next() < 0.2 ? [{ kind: 'measuring', way: one(['cups', 'grams', 'parts'] as const) } as const] : []),
  ]
  return request(children, {
    recipe,
    adults: adults.map((a) => ({ ...a, leads: [...a.leads] })),
    decisions,
    seed: 1 + upTo(1000),
    effort: next() < 0.1 ? 'refined' : 'draft',
  })
}
