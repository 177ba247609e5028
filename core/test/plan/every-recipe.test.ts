/** Every recipe that the schema takes can be planned, or says in a field and in words what stands in the way. Drawn without sense. */
import { describe, expect, it } from 'vitest'
import { TECHNIQUES } from '../../src/craft/techniques'
import { SHIPPED_BOOK } from '../../src/food/foods'
import { PlanError } from '../../src/plan/begin'
import { breaches } from '../../src/plan/check/check'
import { compile } from '../../src/plan/compile'
import { MODES, PLACES, ROLES, type Recipe } from '../../src/recipe/recipe'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../group'
import { drawer } from './check/drawn-recipes'

const UNITS = ['g', 'kg', 'mL', 'L', 'cup_m', 'tbsp_m', 'tsp_m', 'item', 'oz', 'lb', 'cup_us']
const AMOUNTS = ['1', '1/3', '7/13', '250', '1/1000', '3/7', '12', '2500', '99', '1/2']

function drawn(seed: number): Recipe {
  const draw = drawer(seed)
  const pick = <T>(list: readonly T[]): T => list[draw(list.length)] as T
  const lines = Array.from({ length: draw(6) }, (_, i) => ({
    id: `l${i}`,
    food: draw(6) === 0 ? `own:thing-${draw(4)}` : pick(SHIPPED_BOOK.all).id,
    amount: pick(AMOUNTS),
    unit: pick(UNITS),
    role: pick(ROLES),
    ...(draw(4) === 0 && { optional: true }),
  }))
  const steps = Array.from({ length: 1 + draw(5) }, (_, i) => ({
    id: `s${i}`,
    title: pick(['Stir it', 'Boil the water', 'Eat', 'Fill the tin', 'Wait']),
    picture: 'bowl',
    uses: lines.filter(() => draw(3) === 0).map((l) => ({ line: l.id, part: pick(['1', '1/2']) })),
    says: pick(['Now.', 'Hot!', 'Leave to cool.', 'All of it.']),
    tasks: Array.from({ length: draw(5) }, () => ({
      technique: pick(TECHNIQUES).id,
      mode: pick(MODES),
      seconds: pick([5, 30, 600, 7200]),
      place: pick(PLACES),
      ...(draw(3) === 0 && { measures: true }),
      ...(draw(4) === 0 && { turns: 1 + draw(20) }),
    })),
  }))
  const { id, ...base } = recipeOf('herb-soda-bread')
  return {
    ...base,
    id,
    lines,
    steps,
    ...(draw(3) === 0 && { tin: { shape: 'round', d: '20', unit: 'cm' } }),
  } as unknown as Recipe
}

describe('every recipe that the schema takes', () => {
  it('is planned and kept to the hard rules, or refused with the field and in words', () => {
    const wrong: string[] = []
    let planned = 0
    for (let seed = 1; seed <= 150; seed++) {
      const recipe = drawn(seed)
      if (!recipeSchema.isValidSync(recipe)) continue
      const of = request(
        [30, 44, 62, 100].map((months, i) => child(`c${i}`, months)),
        { recipe },
      )
      try {
        const plan = compile(of)
        planned++
        wrong.push(...breaches(plan, of).map((b) => `${seed}: ${b}`))
      } catch (fault) {
        if (!(fault instanceof PlanError) || fault.field === '') wrong.push(`${seed}: ${String(fault)}`)
      }
    }
    expect(wrong.slice(0, 20)).toEqual([])
    expect(planned).toBeGreaterThan(50)
  })
})
