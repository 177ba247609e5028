/** What is tasted in a session: by whom, in which order, with eyes covered or open; and what is to be known of it. */
import { andList } from '../../amount/show'
import { tastingSteps } from '../../recipe/kinds/tasting'
import { mayHave, COVERED_FROM, type PlanTasting, type TastedFood } from '../model/choice'
import type { Shaped } from '../model/draft'
import { finding, type Finding } from '../model/finding'
import type { Bowl, PlanLine } from '../model/line'

type Of = Pick<Shaped, 'recipe' | 'people' | 'choices'>

/**
 * The tastings of the recipe as the session cooks it. Neighbours begin with different tastes, so that none learns from the one before; what a
 * child may not be offered is not among its tastes.
 */
export function tastingsOf(draft: Of, bowls: readonly Bowl[]): PlanTasting[] {
  return tastingSteps(draft.recipe).map((step) => {
    const covered = step.tasting.covered === true
    return {
      step: step.id,
      covered,
      tasters: draft.people.map(({ id, age }, seat) => {
        const own = step.tasting.lines
          .filter((l) => mayHave(draft.choices, l, id))
          .flatMap((l) => bowls.filter((b) => b.children.includes(id)).flatMap((b) => inBowl(b, l)))
        const from = own.length === 0 ? 0 : seat % own.length
        return {
          child: id,
          tastes: [...own.slice(from), ...own.slice(0, from)],
          ...(covered && age >= COVERED_FROM && { covered: true as const }),
        }
      }),
    }
  })
}
const inBowl = (bowl: Bowl, line: string): TastedFood[] =>
  bowl.lines.filter((l) => l.line === line).map(({ food, name }) => ({ line, food, name }))

/** Two tastes that are one food today: there is nothing to tell apart. */
export const tastingFindings = (draft: Of, bowls: readonly Bowl[]): Finding[] =>
  tastingSteps(draft.recipe).flatMap((step) => {
    const here = bowls.map((b) => b.lines.filter((l) => step.tasting.lines.includes(l.line)))
    const twice = [...new Set(here.flatMap((lines) => sameName(lines)))]
    return twice.length === 0
      ? []
      : [
          finding({
            rule: 'tasting',
            pass: 'portion',
            grade: 'know',
            subject: { step: step.id },
            touches: [],
            says: `${step.title}: ${andList(twice)} comes twice, so there is nothing to tell apart. Take something else for one of them.`,
            because: 'Two of the tastes are the same food today.',
            source: 'computed',
            fixes: [],
            dependsOn: [twice],
          }),
        ]
  })
const sameName = (lines: readonly PlanLine[]): string[] => {
  const names = lines.map((l) => l.name)
  return names.filter((n, i) => names.indexOf(n) !== i)
}
