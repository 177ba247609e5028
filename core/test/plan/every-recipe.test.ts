/** Every recipe that the schema takes can be planned, or says in a field and in words what stands in the way. Drawn without sense. */
import { describe, expect, it } from 'vitest'
import { ratio } from '../../src/amount/ratio'
import { TECHNIQUES } from '../../src/craft/techniques'
import type { Concern } from '../../src/food/concern'
import { SHIPPED_BOOK } from '../../src/food/foods'
import { PlanError } from '../../src/plan/begin'
import { breaches } from '../../src/plan/check/check'
import { compile } from '../../src/plan/compile'
import type { Decision } from '../../src/plan/model/decision'
import type { Plan } from '../../src/plan/model/plan'
import type { PlanRequest } from '../../src/plan/model/request'
import { MODES, PLACES, ROLES, type Recipe } from '../../src/recipe/recipe'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../group'
import { drawer } from './check/drawn-recipes'

const env = (globalThis as { process?: { env?: Record<string, string | undefined> } }).process?.env
const SEEDS = Number(env?.['LEA_DRAWN'] ?? 200)
const UNITS = ['g', 'kg', 'mL', 'L', 'cup_m', 'tbsp_m', 'tsp_m', 'item', 'oz', 'lb', 'cup_us']
const AMOUNTS = ['1', '1/3', '7/13', '250', '1/1000', '3/7', '12', '2500', '99', '1/2']

/** Everybody has a piece of their own: what is chosen after it may be each child's own. */
const OWN_PIECE = {
  id: 'piece',
  title: 'A piece each',
  picture: 'bowl',
  uses: [],
  tasks: [{ technique: 'shape', mode: 'EACH', seconds: 60 }],
}

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
    ...(draw(5) === 0 && { each: true }),
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
  const some = lines.filter(() => draw(2) === 0).map((l) => l.id)
  const { id, ...base } = recipeOf('herb-soda-bread')
  return {
    ...base,
    id,
    lines,
    steps: draw(2) === 0 ? [OWN_PIECE, ...steps] : steps,
    ...(some.length > 1 &&
      draw(2) === 0 && { choices: [{ id: 'free', what: 'what goes in', lines: some, take: 1 + draw(3) }] }),
    ...(draw(3) === 0 && { tin: { shape: 'round', d: '20', unit: 'cm' } }),
  } as unknown as Recipe
}

const CONCERNS: Concern[] = (['milk', 'wheat', 'egg', 'peanut', 'celery', 'sesame'] as const).flatMap(
  (allergen) =>
    (['allergy-strict', 'anaphylaxis-risk', 'intolerance'] as const).map((level) => ({ allergen, level })),
)
/** Four children of different ages; cards, bowls and what some of them choose as they are drawn. */
function around(recipe: Recipe, seed: number): PlanRequest {
  const draw = drawer(seed + 100_000)
  const children = [30, 44, 62, 100].map((months, i) =>
    child(`c${i}`, months, {
      concerns: CONCERNS.filter(() => draw(12) === 0),
      diets: draw(6) === 0 ? ['vegan'] : [],
    }),
  )
  const lines = recipe.choices?.[0]?.lines ?? []
  const decisions = children.flatMap((c): Decision[] =>
    lines.length > 0 && draw(3) === 0
      ? [{ kind: 'chooses', choice: 'free', child: c.id, lines: lines.filter(() => draw(2) === 0) }]
      : [],
  )
  const base = request(children, { recipe, decisions })
  const grouping = (['together', 'groups', 'own'] as const)[draw(3)] ?? 'together'
  return { ...base, rules: { ...base.rules, grouping, groupSize: 2 } }
}

/** What lies in the bowls is what is bought, food by food in the unit of the list; beside own pots a little more lies in the middle. */
function unbought(plan: Plan): string[] {
  const alone = plan.bowls.some((b) => b.children.length === 1)
  return plan.shopping.flatMap((row) => {
    const laid = plan.bowls.flatMap((b) => b.lines.filter((l) => l.food === row.food))
    if (laid.some((l) => l.unit !== row.unit)) return []
    const sum = laid.reduce((all, l) => all.add(l.amount), ratio(0))
    const need = row.unit === 'item' ? sum.ceil() : sum
    const off = ratio(row.amount).compare(need)
    const more =
      alone && laid.length > 0 && (plan.choices ?? []).some((c) => c.lines.some((l) => l.food === row.food))
    return off === 0 || (off > 0 && (more || laid.length === 0))
      ? []
      : [`${row.food}: ${row.amount} for ${need.toFraction()}`]
  })
}

describe('every recipe that the schema takes', () => {
  it(
    'is planned and kept to the hard rules, or refused with the field and in words',
    { timeout: 300_000 + SEEDS * 100 },
    () => {
      const wrong: string[] = []
      let planned = 0
      let chosen = 0
      for (let seed = 1; seed <= SEEDS; seed++) {
        const recipe = drawn(seed)
        if (!recipeSchema.isValidSync(recipe)) continue
        const of = around(recipe, seed)
        try {
          const plan = compile(of)
          planned++
          chosen += plan.choices?.length ?? 0
          wrong.push(...[...breaches(plan, of), ...unbought(plan)].map((b) => `${seed}: ${b}`))
        } catch (fault) {
          if (!(fault instanceof PlanError) || fault.field === '') wrong.push(`${seed}: ${String(fault)}`)
        }
      }
      expect(wrong.slice(0, 20)).toEqual([])
      expect(planned).toBeGreaterThan(50)
      expect(chosen).toBeGreaterThan(3)
    },
  )
})
