/** Every field of a stored type survives its schema: what a person has entered is never stripped in silence. */
import { describe, expect, it } from 'vitest'
import type { FoodFact } from '../../src/food/foods'
import type { CupboardItem } from '../../src/plan/model/cupboard'
import type { HouseRules, Kit } from '../../src/plan/model/request'
import type { StoredAdult, StoredChild, StoredGuest, StoredSession } from '../../src/setting/assemble'
import { adultSchema } from '../../src/schema/adult'
import { cupboardSchema } from '../../src/schema/amounts'
import { kitSchema } from '../../src/schema/kit'
import { foodSchema } from '../../src/schema/own-food'
import { childSchema, guestSchema } from '../../src/schema/people'
import { rulesSchema } from '../../src/schema/rules'
import { sessionSchema } from '../../src/schema/session/session'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'

const ID = '3f2b8a52-5b0e-4a7c-9d62-1f0f7c3a9b10'
/** Each example has every field of its type: the compiler says so where one is missing. */
type Whole<T> = { [K in keyof Required<T>]: Exclude<T[K], undefined> }

/** What sessions derive, and the server alone writes. */
type Derived = 'id' | 'version' | 'progress'

const profile = {
  nickname: 'Wren',
  concerns: [{ allergen: 'milk', level: 'allergy-strict' as const }],
  diets: ['vegan' as const],
  languages: ['cy'],
  hand: 'left' as const,
  needs: ['wheelchair' as const],
  carePlan: 'Two injectors in the red bag.',
  limits: ['stir'],
  mat: 3,
}
const food: Whole<FoodFact> = {
  id: 'own:rye-crisps',
  name: 'rye crisps',
  plural: 'rye crisps',
  aliases: ['crisps of rye'],
  contains: ['rye'],
  extras: ['maize'],
  mayContain: ['sesame'],
  compound: true,
  diets: { vegetarian: 'yes', vegan: 'yes', halal: 'check', 'no-pork': 'yes' },
  alcohol: 'a trace',
  group: 'grain',
  roles: ['main'],
  storage: 'dry, closed',
  shape: 'crackers',
  raw: 'ready',
  addedSugar: true,
  stings: false,
  note: 'as the packet says',
  confidence: 'own',
  source: 'entered by this setting',
}
const child: Omit<Whole<StoredChild>, Derived> = { ...profile, birth: '2022-04' }
const guest: Omit<Whole<StoredGuest>, Exclude<Derived, 'id'>> = { ...profile, id: 'guest-1', months: 50 }
const adult: Omit<Whole<StoredAdult>, 'id'> = { name: 'Petra Vance', leads: ['heat'], role: 'leader' }
const session: Omit<Whole<StoredSession>, 'id' | 'decisions' | 'state' | 'version'> = {
  date: '2026-11-26',
  start: '10:15',
  until: '11:30',
  recipe: ID,
  children: [ID],
  guests: [],
  adults: [ID],
  seats: [ID],
}
const kit: Whole<Kit> = {
  measures: [{ id: 'cup', name: '1 cup', size: '1', unit: 'cup_m', count: 2 }],
  equipment: ['oven'],
  trays: 2,
  sinkPlaces: 3,
  tools: [{ tool: 'rolling pin', count: 2 }],
}
const item: Whole<CupboardItem> = {
  food: 'wheat-flour',
  packs: [{ size: '500', unit: 'g', price: 120 }],
  have: { amount: '200', unit: 'g' },
  weighs: { grams: '120', unit: 'cup_m' },
}
const rules: Whole<HouseRules> = {
  kind: 'nursery',
  country: 'uk',
  nation: 'wales',
  zone: 'Europe/London',
  grouping: 'groups',
  ownUnder: 24,
  groupSize: 4,
  knives: 'soft-first',
  points: true,
  techniques: [{ technique: 'stir', from: 30 }],
  ratios: [{ below: null, children: 4 }],
  talk: 'ask',
  languages: 'side-by-side',
  allergy: 'one-pot',
  ownRules: ['Aprons on.'],
  week: ['stir'],
  targets: ['lang-predict'],
  maxScoops: 8,
  measuring: 'cups',
  eggSize: 'EU/UK M',
  diets: [{ id: 'own:no-spice', name: 'no spice', avoid: ['mustard'] }],
}

describe('every field survives', () => {
  it.each([
    ['a food of one’s own', foodSchema, food],
    ['a child', childSchema('2026-11-26'), child],
    ['a guest', guestSchema, guest],
    ['an adult', adultSchema, adult],
    ['a session', sessionSchema, session],
    ['a kit', kitSchema, kit],
    ['a food of the cupboard', cupboardSchema, item],
    ['the rules of a setting', rulesSchema, rules],
  ] as const)('%s', (_, schema, value) => {
    expect(schema.validateSync(value)).toEqual(value)
  })
  it.each(SHIPPED_RECIPES.map((r) => [r.title, r] as const))('%s', (_, recipe) => {
    expect(recipeSchema.validateSync(recipe)).toMatchObject(recipe)
  })
})

describe('An empty value', () => {
  it('where a number may be left out is one left out, never a null among amounts', () => {
    const read = kitSchema.validateSync({ ...kit, trays: null, sinkPlaces: null })
    expect(read.trays).toBeUndefined()
    expect(read.sinkPlaces).toBeUndefined()
    expect(rulesSchema.validateSync({ ...rules, ownUnder: null }).ownUnder).toBeUndefined()
    const soda = SHIPPED_RECIPES.find((r) => r.pieces)
    const pieces = { ...soda?.pieces, perTray: null, rows: null }
    expect(recipeSchema.validateSync({ ...soda, pieces }).pieces).not.toMatchObject({ perTray: null })
  })
})
