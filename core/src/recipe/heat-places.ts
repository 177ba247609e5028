/**
 * Places where food gets hot: how long before they are wanted, what can hurt there, how one sees that it is done, and what does as well
 * where a room lacks one. Source: core/data/heat-places.json (common practice; CAPT, RoSPA, FSA, USDA, makers' manuals; from memory).
 */
import data from '../../data/heat-places.json'
import { ratio, type Ratio } from '../amount/ratio'
import type { HeatPlace, Place, Recipe, RecipeStep, RecipeTask } from './recipe'

/** Another place for the same work. */
export interface Instead {
  place: HeatPlace
  /** So many times the time. */
  time: Ratio
  /** Degrees Celsius more or less, or the degrees themselves; neither: it is not set by degrees. */
  celsius?: number
  setCelsius?: number
  /** Whatever is cooked there can be cooked here: a plan may choose it by itself. */
  sure?: boolean
  how: string
}
export interface HeatPlaceFacts {
  id: HeatPlace
  name: string
  /** With its article: "an oven". */
  a: string
  /** The technique that says who may stand there, and how many to an adult. */
  technique: string
  /** Minutes from switching it on until it is ready; 0: at once. */
  leadMinutes: number
  /** What the adult does then: "Oven on". */
  lead?: string
  /** Other words for it. */
  words: string[]
  hazard: string
  done: string
  instead: Instead[]
}

/** Every place where food gets hot. */
export const HEAT_PLACES: readonly HeatPlaceFacts[] = data.places as HeatPlaceFacts[]
/** Where that is known from. */
export const HEAT_PLACES_SOURCE: string = data.source
const BY_ID = new Map<string, HeatPlaceFacts>(HEAT_PLACES.map((p) => [p.id, p]))

/** The facts of a place; undefined where nothing gets hot there. */
export const heatPlaceOf = (place: string | undefined): HeatPlaceFacts | undefined => BY_ID.get(place ?? '')

/** One place taken for another. */
export interface PlaceSwap {
  from: HeatPlace
  to: HeatPlace
}

/** The recipe with its hot work done elsewhere: place, technique, time and degrees. A swap that nobody knows changes nothing. */
export function withPlaces(recipe: Recipe, swaps: readonly PlaceSwap[]): Recipe {
  if (swaps.length === 0) return recipe
  return {
    ...recipe,
    // Among the things only the place itself: "a tray for the oven" stays.
    equipment: recipe.equipment.map((e) => {
      const swap = swaps.find((s) => isPlaceItself(e, s.from))
      return swap && heatPlaceOf(swap.from)?.instead.some((i) => i.place === swap.to) ? placeName(swap.to) : e
    }),
    steps: recipe.steps.map((s) => movedStep(s, swaps)),
  }
}

/** A step with its hot work elsewhere; where its sentence names the old place it says where it is done here. */
function movedStep(step: RecipeStep, swaps: readonly PlaceSwap[]): RecipeStep {
  const tasks = step.tasks.map((t) => movedTask(t, swaps))
  const swap = swaps.find((s) => step.tasks.some((t, i) => t.place === s.from && tasks[i]?.place === s.to))
  const named = swap && step.says !== undefined && placeNamed(step.says)?.id === swap.from
  const says = named ? `${step.says ?? ''} (Here: the ${placeName(swap.to)}.)` : step.says
  return { ...step, tasks, ...(says !== undefined && { says }) }
}

/**
 * Where a room lacks a place that the recipe needs: what does as well whatever is cooked, and is there; the first of the list.
 * @param said swaps that a person decided: of these places nothing is chosen
 */
export const placesFor = (
  { steps }: Recipe,
  equipment: readonly string[],
  said: readonly PlaceSwap[],
): PlaceSwap[] =>
  [...new Set(steps.flatMap((s) => s.tasks.map((t) => t.place)))].flatMap((place) => {
    const from = heatPlaceOf(place)
    const way = from?.instead.find((i) => i.sure && equipment.includes(i.place))
    const open = from && way && !equipment.includes(from.id) && !said.some((s) => s.from === from.id)
    return open ? [{ from: from.id, to: way.place }] : []
  })

const isPlaceItself = (words: string, place: HeatPlace): boolean =>
  [place, ...(heatPlaceOf(place)?.words ?? [])].includes(words.trim().toLowerCase())

function movedTask(task: RecipeTask, swaps: readonly PlaceSwap[]): RecipeTask {
  const swap = swaps.find((s) => s.from === task.place)
  const [from, to] = [heatPlaceOf(swap?.from), heatPlaceOf(swap?.to)]
  const way = from?.instead.find((i) => i.place === to?.id)
  if (!from || !to || !way) return task
  const degrees = way.setCelsius ?? (task.celsius == null ? undefined : task.celsius + (way.celsius ?? 0))
  const { celsius: _, ...rest } = task
  return {
    ...rest,
    place: to.id,
    ...(task.technique === from.technique && { technique: to.technique }),
    // An adult's handling takes what it takes; the heat its own time, to the whole half minute.
    seconds:
      task.mode === 'WAIT'
        ? Math.max(30, ratio(task.seconds).mul(way.time).div(30).round().mul(30).valueOf())
        : task.seconds,
    ...(degrees !== undefined &&
      (way.celsius !== undefined || way.setCelsius !== undefined) && { celsius: degrees }),
  }
}

const WORDS: readonly { place: HeatPlaceFacts; pattern: RegExp }[] = [
  // The longer name first: a toaster oven is no oven.
  ...[...HEAT_PLACES].sort((a, b) => longest(b) - longest(a)),
].map((place) => ({
  place,
  pattern: new RegExp(`\\b(?:${place.words.map((w) => w.replace(/[- ]/g, '[- ]?')).join('|')})\\b`, 'i'),
}))
function longest(p: HeatPlaceFacts): number {
  return Math.max(...p.words.map((w) => w.length))
}

/** The hot place that words name, the more particular first; null where they name none. */
export const placeNamed = (text: string): HeatPlaceFacts | null =>
  WORDS.find((w) => w.pattern.test(text))?.place ?? null

/** Is this a place that holds one batch at a time? */
export const holdsOneBatch = (place: Place | undefined): boolean =>
  place === 'oven' ||
  place === 'toaster-oven' ||
  place === 'air-fryer' ||
  place === 'microwave' ||
  place === 'grill'

/** What a room may have: the hot places by their names, the cold ones, the sink and the scale. */
export const ROOM_THINGS: readonly { id: string; name: string }[] = [
  ...HEAT_PLACES.map(({ id, name }) => ({ id, name })),
  ...['fridge', 'freezer', 'sink', 'scale'].map((id) => ({ id, name: id })),
]
/** A place in a word: "toaster oven". */
export const placeName = (place: Place): string => heatPlaceOf(place)?.name ?? place
