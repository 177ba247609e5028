/** What stands before the first pass: the people with their ages, what is known of foods and packets; or why no plan can be made. */
import { monthsOn } from '../craft/ages'
import { foodBook } from '../food/own-foods'
import { packetsOf } from './model/decision'
import type { DraftChild, PlanStart } from './model/draft'
import { MAX_CHILDREN, type PlanRequest } from './model/request'
import { recipeOfSession } from './model/session-recipe/sittings'

/** A request that no plan can be made from, with the field at fault. */
export class PlanError extends Error {
  readonly field: string
  constructor(field: string, says: string) {
    super(says)
    this.field = field
  }
}

export function begin(request: PlanRequest): PlanStart {
  const { children, session } = request
  const recipe = recipeOfSession(request)
  if (children.length === 0)
    throw new PlanError('children', 'nobody is in this session yet: choose who comes')
  if (children.length > MAX_CHILDREN) {
    throw new PlanError('children', `${children.length} children: a session holds ${MAX_CHILDREN}`)
  }
  if (recipe.steps.length === 0)
    throw new PlanError('recipe.steps', 'this recipe has no steps yet: add at least one')
  const people = children.map((c): DraftChild => ({
    ...c,
    age: c.birth ? monthsOn(c.birth, session.date) : (c.months ?? 0),
  }))
  return {
    recipe,
    people,
    youngest: Math.min(...people.map((p) => p.age)),
    foods: foodBook(request.foods),
    diets: request.rules.diets ?? [],
    packets: packetsOf(request.decisions),
  }
}
