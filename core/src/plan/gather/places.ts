/** Places that a recipe needs and the room lacks, with what does as well here. */
import { heatPlaceOf, HEAT_PLACES_SOURCE } from '../../recipe/heat-places'
import type { Place } from '../../recipe/recipe'
import type { Clocked } from '../model/draft'
import { finding, type Finding, type Fix } from '../model/finding'
import type { PlanRequest } from '../model/request'

const COLD: Partial<Record<Place, string>> = { fridge: 'a fridge', freezer: 'a freezer' }

export function missingPlaces(draft: Clocked, { kit }: PlanRequest): Finding[] {
  const has = (place: string): boolean => kit.equipment.includes(place)
  return [...new Set(draft.tasks.map((t) => t.place))].flatMap((place) => {
    const hot = heatPlaceOf(place)
    const words = hot?.a ?? COLD[place]
    if (words === undefined || has(place)) return []
    const here = (hot?.instead ?? []).filter((i) => has(i.place))
    const instead = here.map((i): Fix => ({
      label: `Use the ${heatPlaceOf(i.place)?.name ?? i.place} instead`,
      cost: i.how,
      action: { do: 'decide', decision: { kind: 'place', from: hot?.id ?? i.place, to: i.place } },
    }))
    return [
      finding({
        rule: 'equipment',
        pass: 'gather',
        grade: 'stop',
        subject: { tool: place },
        touches: [],
        says: `This recipe needs ${words}, and this setting has none.`,
        because: 'The kit of this setting does not list it.',
        source: instead.length > 0 ? `the Cupboard; ${HEAT_PLACES_SOURCE}` : 'the Cupboard',
        fixes: [
          ...instead,
          { label: 'Go on, and write why', cost: 'kept in the record', action: { do: 'reason' } },
        ],
        dependsOn: [place, kit.equipment],
      }),
    ]
  })
}
