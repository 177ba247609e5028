/** Free choices, asked again of the finished plan: nobody is offered, or reckoned to take, what its card forbids. */
import { foodBook } from '../../food/own-foods'
import { gradeOf, meet } from '../../food/concerns'
import { meetDiet } from '../../food/diets'
import { ownChoices } from '../../recipe/own-choices'
import { packetsOf } from '../model/decision'
import type { Plan } from '../model/plan'
import { recipeOfSession } from '../model/session-recipe/sittings'
import type { PlanRequest } from '../model/request'

export function choiceBreaches(plan: Plan, request: PlanRequest): string[] {
  const foods = foodBook(request.foods)
  const packets = packetsOf(request.decisions)
  const own = new Set(ownChoices(recipeOfSession(request)).map((c) => c.id))
  const apart = new Set(request.decisions.flatMap((d) => (d.kind === 'apart' ? d.children : [])))
  return [
    ...notPassed(plan),
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
