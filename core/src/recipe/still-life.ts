/** A recipe as a still life: the vessel it is made in and up to four of its main foods, worked out from the recipe itself. */
import { glossaryRow } from '../learn/glossary'
import { foodWord } from '../learn/step-words'
import type { Recipe, RecipeLine } from './recipe'

/** What a still life can stand in: each has a drawing of its own. */
export const VESSELS = ['bowl', 'pot', 'pan', 'tin', 'tray', 'jar', 'cup', 'foil', 'plate'] as const
export type Vessel = (typeof VESSELS)[number]

export interface StillLife {
  vessel: Vessel
  /** Ids of words that have a picture: each food once, the main ones first; a food without a picture of its own is left out. */
  foods: string[]
}

/** The first that its equipment, or what it makes, names: what one serves in before what one cooks in, that before what one mixes in. */
const NAMED: readonly (readonly [Vessel, RegExp])[] = [
  ['foil', /\bfoil\b/],
  ['jar', /\bjars?\b/],
  ['cup', /\b(pots with lids|oven pots|cups?|glass(es)?|beakers?|ramekins?|moulds?|molds?|lolly|lollies)\b/],
  ['tin', /\b(tins?|cake pan|loaf pan|muffin pan)\b/],
  ['tray', /\b(trays?|baking sheets?)\b/],
  ['pan', /\b(griddle|frying pan|skillet|wok|hotplate)\b/],
  ['pot', /\b(big pan|small pan|saucepan|pan|pot|pots|cauldron)\b/],
  ['plate', /\b(plates?|platter|sticks?|skewers?)\b/],
]

const RANK: Partial<Record<RecipeLine['role'], number>> = {
  main: 0,
  topping: 1,
  savour: 2,
  structure: 2,
  moisture: 3,
  'acid-liquid': 3,
  liquid: 3,
  dressing: 3,
}
const LATER = 4
const MOST_FOODS = 4
/** In nearly every recipe, and in none what one sees. */
const UNSEEN = new Set(['water', 'salt'])

/** @returns the same for the same recipe, whatever the order of its equipment */
export function stillLife(recipe: Pick<Recipe, 'equipment' | 'lines' | 'pieces' | 'steps'>): StillLife {
  const words = [recipe.pieces?.what ?? '', ...recipe.equipment].join(' · ').toLowerCase()
  const named = NAMED.find(([, pattern]) => pattern.test(words))?.[0]
  // What is cooked in a pot and then made into pieces by hand is not served in the pot.
  const shaped = recipe.steps.some((s) => s.tasks.some((t) => t.technique === 'shape'))
  const vessel = named === 'pot' && recipe.pieces && shaped ? 'plate' : (named ?? 'bowl')
  return { vessel, foods: foodsOf(recipe.lines) }
}

function foodsOf(lines: readonly RecipeLine[]): string[] {
  const ranked = lines
    .filter((l) => !UNSEEN.has(l.food))
    .map((l, i) => ({ i, rank: RANK[l.role] ?? LATER, id: glossaryRow(foodWord(l.food))?.id }))
    .sort((a, b) => a.rank - b.rank || a.i - b.i)
  return [...new Set(ranked.flatMap((r) => r.id ?? []))].slice(0, MOST_FOODS)
}
