/** How a tasting is done, for the table. */
import { ageText } from '../../craft/ages'
import { tastingSteps } from '../../recipe/kinds/tasting'
import type { Adapted } from '../model/draft'
import { WORK, type WatchNote } from '../model/plan'
import { COVERED_FROM } from '../model/choice'

const SOURCE = 'common practice (tasting games), from memory'

/** For the table: how it is done, and for whom eyes stay open. */
export const tastingNotes = ({ recipe, people }: Pick<Adapted, 'recipe' | 'people'>): WatchNote[] =>
  tastingSteps(recipe).map((step): WatchNote => {
    const young = people.some((p) => p.age < COVERED_FROM)
    const says = step.tasting.covered
      ? [
          'Cards read; beside each child only what is for it.',
          'An adult gives each taste from the front and says when. Sit, swallow, then speak.',
          'Who does not want covered eyes looks away.',
          ...(young ? [`Under ${ageText(COVERED_FROM)} eyes stay open.`] : []),
        ].join(' ')
      : 'A little of each, side by side, with a sip of water between. Looking and smelling count too; none is fine.'
    return { step: step.id, grade: 'know', about: WORK, says, source: SOURCE }
  })
