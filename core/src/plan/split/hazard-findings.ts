/** Who stands at heat and blades, step by step, and where nobody here leads them. */
import { andList } from '../../amount/show'
import { techniqueOf } from '../../craft/techniques'
import type { Portioned } from '../model/draft'
import { finding, nameToken, type Finding } from '../model/finding'
import type { PlanRequest } from '../model/request'
import type { Task } from '../model/task'
import { HAZARD_WORD, adultsDo } from './watch-notes'

/** One finding for each step with heat or blades: who stands there. */
export function hazardFindings(draft: Portioned, tasks: readonly Task[], request: PlanRequest): Finding[] {
  return draft.recipe.steps.flatMap((step) =>
    (['blade', 'heat'] as const).flatMap((hazard) => {
      const ones = tasks.filter((t) => t.step === step.id && t.hazard === hazard)
      if (ones.length === 0) return []
      const adults = [...new Set(ones.flatMap((t) => t.adult ?? []))]
      const lead = hazard === 'heat' ? 'heat' : 'knives'
      const covered =
        ones.every((t) => t.adult) &&
        adults.some((id) => request.adults.find((a) => a.id === id)?.leads.includes(lead))
      const technique = techniqueOf(ones[0]?.technique ?? '')
      return [
        finding({
          rule: hazard,
          pass: 'split',
          grade: covered ? 'adult' : 'stop',
          subject: { step: step.id },
          touches: [],
          says: covered
            ? `${step.title}: ${andList(adults.map(nameToken))} ${adultsDo(ones, adults.length)}.`
            : `${step.title}: no adult here leads ${HAZARD_WORD[hazard]}.`,
          because:
            hazard === 'heat'
              ? 'Heat burns; the adult at heat does only that.'
              : 'Blades cut; an adult stands in reach.',
          source: `${technique?.source ?? 'common practice'}, from memory`,
          fixes: covered
            ? [{ label: 'Agreed', cost: 'asked again at the table', action: { do: 'stand' } }]
            : [
                { label: 'Choose another adult', cost: 'one who leads it', action: { do: 'add-adult' } },
                {
                  label: 'Go on, and write why',
                  cost: 'kept in the record',
                  action: { do: 'reason' },
                },
              ],
          dependsOn: [adults, covered, ones.map((t) => t.id)],
        }),
      ]
    }),
  )
}
