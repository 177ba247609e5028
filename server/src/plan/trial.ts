/** Whether a recipe can be planned in time, asked when it is saved: not when the children stand at the table. */
import type { FoodFact } from '@lea/core/food'
import type { HouseRules, Kit, PlanRequest } from '@lea/core/plan'
import type { Recipe } from '@lea/core/recipe'
import { today } from '../clock'
import { Fault } from '../fault'
import type { Asker, WorkerPools } from '../work/pools'

/** As large a group as a plan may have. */
const CHILDREN = 30
const ADULTS = 3
/** From three to seven: each kind of job has hands. */
const AGES = { from: 36, to: 84 }
/** Whoever starts cooking waits no longer than this for the largest group, on a server that has a processor for it. */
const IN_TIME_MS = 5000
/** By the clock on the wall, on one that has not: many times as long. */
const AT_LAST_MS = 25_000

const TOO_LONG = `a plan of this recipe for ${CHILDREN} children takes more than ${IN_TIME_MS / 1000} seconds to make: with fewer steps, jobs or turns it can be planned in time`

/** A made-up group: nobody of the setting is in it. */
const trialOf = (recipe: Recipe, own: { rules: HouseRules; kit: Kit; foods: FoodFact[] }): PlanRequest => ({
  version: 1,
  session: { id: 'trial', date: today(), start: '10:00', until: '11:30' },
  recipe,
  children: Array.from({ length: CHILDREN }, (_, i) => ({
    id: `trial-${i}`,
    months: AGES.from + Math.round(((AGES.to - AGES.from) * i) / (CHILDREN - 1)),
    concerns: [],
    diets: [],
    languages: [],
    needs: [],
  })),
  adults: Array.from({ length: ADULTS }, (_, i) => ({ id: `adult-${i}`, leads: ['knives', 'heat'] })),
  kit: own.kit,
  foods: own.foods,
  rules: own.rules,
  decisions: [],
  seed: 1,
  effort: 'draft',
})

/**
 * Where the server is too busy to try, nothing is said against the recipe.
 * @throws Fault 409 where it cannot be planned in time
 */
export async function mustBePlannable(
  plans: WorkerPools,
  recipe: Recipe,
  own: { rules: HouseRules; kit: Kit; foods: FoodFact[] },
  by: Asker,
): Promise<void> {
  try {
    const cost = await plans.costOf(trialOf(recipe, own), by, AT_LAST_MS)
    if (cost > IN_TIME_MS) throw new Fault(409, TOO_LONG, 'steps')
  } catch (fault) {
    // One without steps, or that cannot be planned for another reason, is kept, and its page says so.
    if (!(fault instanceof Fault)) return
    if (fault.message === TOO_LONG) throw fault
    if (fault.more['over'] === true) throw new Fault(409, TOO_LONG, 'steps')
  }
}
