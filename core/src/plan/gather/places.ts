/** Places that a recipe needs and the room lacks, with what does as well here. */
import { heatPlaceOf, HEAT_PLACES_SOURCE, type Instead, type PlaceSwap } from '../../recipe/heat-places'
import type { HeatPlace, Place } from '../../recipe/recipe'
import { wayText } from '../../recipe/kinds/ways'
import type { Clocked } from '../model/draft'
import { finding, type Finding, type Fix } from '../model/finding'
import type { PlanRequest } from '../model/request'
import { placesChosen } from '../model/session-recipe/sittings'
import { waysTaken } from '../model/session-recipe/ways'

const COLD: Partial<Record<Place, string>> = { fridge: 'a fridge', freezer: 'a freezer' }

export function missingPlaces(draft: Clocked, request: PlanRequest): Finding[] {
  const { kit } = request
  const has = (place: string): boolean => kit.equipment.includes(place)
  return [
    ...waysTaken(request.recipe, request).map(chosenWay),
    ...placesChosen(request).map((s) => chosenPlace(s, has)),
    ...lackingPlaces(draft, request),
  ]
}

/** A step is done as the recipe says for a room like this. */
const chosenWay = ({ step, title, way }: ReturnType<typeof waysTaken>[number]): Finding =>
  finding({
    rule: 'way',
    pass: 'gather',
    grade: 'know',
    subject: { step },
    touches: [],
    says: `${title}. ${wayText(way)}`,
    because: 'The kit of this setting does not list it, and the recipe has a way without.',
    source: 'the recipe; the Cupboard',
    fixes: [],
    dependsOn: [step, way],
  })

/** The plan cooks elsewhere by itself: where, how, and where else it could. */
function chosenPlace({ from, to }: PlaceSwap, has: (place: string) => boolean): Finding {
  const [lacks, here] = [heatPlaceOf(from), heatPlaceOf(to)]
  const way = lacks?.instead.find((i) => i.place === to)
  const others = (lacks?.instead ?? []).filter((i) => i.place !== to && has(i.place))
  return finding({
    rule: 'way',
    pass: 'gather',
    grade: 'know',
    subject: { tool: from },
    touches: [],
    says: `No ${lacks?.name ?? from} here: the ${here?.name ?? to} is used instead, ${way?.how ?? ''}.`,
    because:
      'The kit of this setting does not list it. Time, heat and cautions of this plan are those of the place that is used.',
    source: `the Cupboard; ${HEAT_PLACES_SOURCE}`,
    fixes: others.map((i) => insteadOf(from, i)),
    dependsOn: [from, to],
  })
}

const insteadOf = (from: HeatPlace, { place, how }: Instead): Fix => ({
  label: `Use the ${heatPlaceOf(place)?.name ?? place} instead`,
  cost: how,
  action: { do: 'decide', decision: { kind: 'place', from, to: place } },
})

function lackingPlaces(draft: Clocked, { kit }: PlanRequest): Finding[] {
  const has = (place: string): boolean => kit.equipment.includes(place)
  return [...new Set(draft.tasks.map((t) => t.place))].flatMap((place) => {
    const hot = heatPlaceOf(place)
    const words = hot?.a ?? COLD[place]
    if (words === undefined || has(place)) return []
    const here = (hot?.instead ?? []).filter((i) => has(i.place))
    const instead = here.map((i) => insteadOf(hot?.id ?? i.place, i))
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
