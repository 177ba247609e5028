/**
 * Two foods in the words of one line: whatever joins them, the allergens of both are in lines, or something must be answered before the
 * recipe is kept, or the line is asked about for every allergy. The second must never hide behind the first.
 */
import { describe, expect, it } from 'vitest'
import { SHIPPED_BOOK, isUnknown } from '../../src/food/foods'
import { resolveExactly } from '../../src/food/food-names'
import { nameHolds } from '../../src/food/own-foods'
import { readRecipe } from '../../src/recipe/text/read-recipe'

const FOODS = [
  'egg',
  'milk',
  'butter',
  'plain flour',
  'peanut butter',
  'tahini',
  'soy sauce',
  'cheddar',
  'walnuts',
  'sesame seeds',
  'salmon',
  'prawns',
  'mustard',
  'celery',
  'ground almonds',
  'cream',
  'yoghurt',
  'cashews',
  'tofu',
  'mussels',
]
const JOINS: ((a: string, b: string) => string)[] = [
  (a, b) => `200 g ${a} and ${b}`,
  (a, b) => `200 g ${a} or ${b}`,
  (a, b) => `200 g ${a} (or ${b})`,
  (a, b) => `200 g ${a} with ${b}`,
  (a, b) => `200 g ${a}, mixed with ${b}`,
  (a, b) => `200 g ${a} beaten with a splash of ${b}`,
  (a, b) => `200 g ${a}/${b}`,
  (a, b) => `200 g ${a} / ${b}`,
  (a, b) => `200 g ${a} (${b})`,
  (a, b) => `200 g ${a} - ${b}`,
  (a, b) => `200 g ${a} plus 20 g ${b}`,
  (a, b) => `200 g ${a} + ${b}`,
  (a, b) => `200 g ${a} & ${b}`,
  (a, b) => `200 g ${a}, ${b}`,
  (a, b) => `200 g ${a}; ${b}`,
  (a, b) => `200 g ${a} topped with ${b}`,
  (a, b) => `200 g ${a} in ${b}`,
  (a, b) => `200 g ${a} 1 tbsp ${b}`,
  (a, b) => `200 g each ${a} and ${b}`,
  (a, b) => `${a}, ${b}`,
  (a, b) => `${a} and ${b}`,
  (a, b) => `${a} - ${b} 200 g`,
  (a, b) => `200 g ${b} ${a}`,
  (a, b) => `200 g ${a} instead of ${b}`,
]
const STEPS: ((a: string, b: string) => string)[] = [
  (a, b) => `Stir 200 g ${a} into the ${b}.`,
  (a, b) => `Dip the ${a} in ${b}.`,
  (a, b) => `Brush with ${b} and sprinkle with ${a}.`,
  (a, b) => `Serve with ${a} or ${b}.`,
]

const holdsOf = (name: string): string[] => {
  const food = SHIPPED_BOOK.all.find((f) => [f.name, f.plural, ...f.aliases].includes(name))
  if (!food) throw new Error(`no food ${name}`)
  return food.contains
}

function hidden(text: string, foods: readonly string[]): string[] {
  const read = readRecipe(text)
  if (read.questions.some((q) => q.must)) return []
  // A food that Lea does not know is asked about for every allergy.
  if (read.recipe.lines.some((l) => isUnknown(SHIPPED_BOOK.of(l.food)))) return []
  const held = new Set(
    read.recipe.lines.flatMap((l) => {
      const food = SHIPPED_BOOK.all.find((f) => f.id === l.food)
      return food ? [...food.contains] : nameHolds(l.food).contains
    }),
  )
  return foods.flatMap(holdsOf).filter((a) => !held.has(a))
}

describe('the second food of a line', () => {
  it.each(JOINS.map((join) => [join('A', 'B'), join] as const))('%s: never hidden', (_, join) => {
    const lost: string[] = []
    FOODS.forEach((a, i) => {
      // Each food beside seven others, before and behind.
      for (let k = 1; k <= 7; k++) {
        const b = FOODS[(i + k * 3) % FOODS.length] ?? ''
        // "Cashews butter" is a food of its own.
        if (a === b || resolveExactly(`${b} ${a}`) !== null) continue
        const line = join(a, b)
        const text = `Mix\nServes 4\nIngredients\n100 g rice\n${line}\nMethod\nStir it all together.`
        const missing = hidden(text, [a, b])
        if (missing.length > 0) lost.push(`${line}: ${missing.join()}`)
      }
    })
    expect(lost).toEqual([])
  })
  it.each(STEPS.map((step) => [step('A', 'B'), step] as const))(
    '%s: named in the telling only',
    (_, step) => {
      const lost: string[] = []
      FOODS.forEach((a, i) => {
        for (let k = 1; k <= 5; k++) {
          const b = FOODS[(i + k * 3) % FOODS.length] ?? ''
          const text = `Mix\nServes 4\nIngredients\n100 g rice\nMethod\nStir the rice. ${step(a, b)}`
          const missing = hidden(text, [a, b])
          if (missing.length > 0) lost.push(`${step(a, b)}: ${missing.join()}`)
        }
      })
      expect(lost).toEqual([])
    },
  )
})
