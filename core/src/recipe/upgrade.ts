/**
 * Recipes of an older version brought up to the present one, step by step; nothing is lost. A recipe of a version that Lea does not
 * know is left as it is, and the schema refuses it.
 *
 * Version 1: themes were plain words. Version 2: each theme says what kind it is; leftovers in days, free choices, notes and ways by age
 * came in.
 */
import { RECIPE_SCHEMA, type Theme, type ThemeKind } from './recipe'

const KIND_WORDS: [ThemeKind, RegExp][] = [
  ['season', /^(spring|summer|autumn|fall|winter)$/i],
  ['letter', /^letters?( [a-z])?$/i],
  ['colour', /^(colou?rs?|red|orange|yellow|green|blue|purple|pink|white|brown|black)$/i],
  [
    'festival',
    /^(new year|nowruz|eid|diwali|hanukkah|easter|christmas|harvest|midsummer|holi|lunar new year)$/i,
  ],
  ['story', /^(story|stories|tale)\b/i],
  [
    'food group',
    /^(bread|baking|vegetables?|fruits?|herbs|seeds|soups?|dips|grains|pulses|dairy|eggs|fish|meat)$/i,
  ],
  [
    'place',
    /^(india|wales|cymru|ireland|poland|portugal|ukraine|spain|france|north africa|west africa|the americas)$/i,
  ],
]

/** The kind of a theme by its word; `other` where it says none. */
export const themeOf = (name: string): Theme => ({
  kind: KIND_WORDS.find(([, words]) => words.test(name.trim()))?.[0] ?? 'other',
  name,
})

type Loose = Record<string, unknown>
const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** From version n to n + 1. */
const STEPS: Record<number, (old: Loose) => Loose> = {
  1: (old) => ({
    ...old,
    schema: 2,
    ...(Array.isArray(old['themes']) && {
      themes: old['themes'].map((t: unknown) => (typeof t === 'string' ? themeOf(t) : t)),
    }),
  }),
}

/** @param value a recipe of any version, not yet checked; what is no recipe comes back as it is */
export function upgradeRecipe(value: unknown): unknown {
  let now = value
  while (isLoose(now) && typeof now['schema'] === 'number' && now['schema'] < RECIPE_SCHEMA) {
    const step = STEPS[now['schema']]
    if (!step) return now
    now = step(now)
  }
  return now
}
