/** What a plan knows of one child and one technique, beside the age, for `formFor`. */
import type { Circumstances } from '../../craft/form'
import { formsOfCodes, SOFTENED } from '../../food/by-age/forms'
import type { PlanChild, PlanRequest } from './request'

/** The foods of lines as the hand meets them: what an adult cooked soft or grated before is no hard food. */
export const foodsInHand = (lines: readonly { food: string; shape?: string }[]): string[] =>
  lines
    .filter(
      (l) =>
        !formsOfCodes(l.shape)
          .flat()
          .some((c) => SOFTENED.has(c)),
    )
    .map((l) => l.food)

/** @param foods as `foodsInHand` gives them; of a job that is not about food, none */
export const circumstancesOf = (
  technique: string,
  child: Pick<PlanChild, 'skills' | 'rungs' | 'hand' | 'needs'>,
  { rules, kit }: Pick<PlanRequest, 'rules' | 'kit'>,
  foods: readonly string[] = [],
): Circumstances => ({
  knives: rules.knives,
  points: rules.points,
  seen: child.skills?.[technique],
  rung: child.rungs?.[technique],
  foods,
  hands: { ...(child.hand && { hand: child.hand }), needs: child.needs },
  tools: kit.tools,
})
