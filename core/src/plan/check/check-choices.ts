/** Free choices, asked again of the finished plan: nobody is offered, or reckoned to take, what its card forbids. */
import { foodBook } from '../../food/own-foods'
import { gradeOf, meet } from '../../food/concerns'
import { meetDiet } from '../../food/diets'
import { tastingId } from '../../recipe/kinds/tasting'
import { ownChoices } from '../../recipe/own-choices'
import type { Recipe } from '../../recipe/recipe'
import { mayHave, COVERED_FROM } from '../model/choice'
import { packetsOf } from '../model/decision'
import type { Plan } from '../model/plan'
import { recipeOfSession } from '../model/session-recipe/sittings'
import type { PlanRequest } from '../model/request'

export function choiceBreaches(plan: Plan, request: PlanRequest): string[] {
  const foods = foodBook(request.foods)
  const packets = packetsOf(request.decisions)
  const recipe = recipeOfSession(request)
  const own = new Set(ownChoices(recipe).map((c) => c.id))
  const apart = new Set(request.decisions.flatMap((d) => (d.kind === 'apart' ? d.children : [])))
  return [
    ...notPassed(plan),
    ...tastingBreaches(plan, recipe, request),
    ...(plan.choices ?? []).flatMap((choice) => [
      ...(own.has(choice.id) ? [] : [`${choice.id} is mixed for all, and stands as a free choice`]),
      ...choice.offers.flatMap((offer) => {
        const child = request.children.find((c) => c.id === offer.child)
        const bowls = plan.bowls.filter((b) => b.children.includes(offer.child))
        const stops = (food: string): boolean =>
          (child?.concerns ?? []).some(
            (c) => gradeOf(meet(c.allergen, foods.of(food), packets.get(food)), c) === 'stop',
          ) ||
          (child?.diets ?? []).some(
            (d) => meetDiet(d, foods.of(food), packets.get(food), request.rules.diets ?? []) !== 'nothing',
          )
        return [
          ...offer.picks
            .filter((l) => !offer.lines.includes(l))
            .map((l) => `${offer.child} is to take ${l}, and is not offered it`),
          ...bowls
            .flatMap((b) => b.lines)
            .filter(
              (l) =>
                offer.lines.includes(l.line) &&
                stops(l.food) &&
                !(apart.has(offer.child) && l.only === 'rest'),
            )
            .map((l) => `${offer.child} is offered ${l.food}, against its card`),
        ]
      }),
    ]),
  ]
}

/** Of what stands in a child's own bowl and counts as near only, there is an offer that leaves it out. */
const notPassed = ({ checks, bowls, choices = [] }: Plan): string[] =>
  checks
    .filter((c) => c.contact === true)
    .flatMap(({ child, line: id }) => {
      const line = bowls.find((b) => b.children.includes(child))?.lines.find((l) => l.id === id)
      const offer = choices
        .find((c) => c.lines.some((l) => l.line === line?.line))
        ?.offers.find((o) => o.child === child)
      const leftOut = offer !== undefined && !offer.lines.includes(line?.line ?? '')
      return line && !leftOut ? [`${child} eats of ${id}, which counts as near it only`] : []
    })

/** Nobody tastes what it is not offered; with eyes covered nothing is a choice, an adult stands beside, and the small keep theirs open. */
const tastingBreaches = (plan: Plan, recipe: Recipe, { adults }: PlanRequest): string[] =>
  (plan.tastings ?? []).flatMap(({ step, covered, tasters }) => {
    const said = recipe.steps.find((s) => s.id === step)?.tasting
    const choice = (plan.choices ?? []).find((c) => c.id === tastingId(step))
    return [
      ...(said && (said.covered === true) === covered
        ? []
        : [`${step} is tasted otherwise than the recipe says`]),
      ...(covered && choice ? [`${step}: eyes are covered, and it stands as a free choice`] : []),
      ...tasters.flatMap(({ child, tastes, covered: shut }) => [
        ...tastes
          .filter(({ line }) => !mayHave(plan.choices ?? [], line, child))
          .map(({ line }) => `${child} is to taste ${line}, and is not offered it`),
        ...(shut && (plan.children.find((c) => c.id === child)?.months ?? 0) < COVERED_FROM
          ? [`${child} is too young to have its eyes covered`]
          : []),
      ]),
      ...plan.tasks
        .filter(
          (t) =>
            // Nobody is there at all: that is a stop of its own.
            adults.length > 0 &&
            covered &&
            t.step === step &&
            t.technique === 'taste' &&
            t.mode !== 'ADULT' &&
            t.adult === undefined,
        )
        .map((t) => `${t.id}: eyes are covered, and no adult is beside`),
    ]
  })
