/**
 * A child's concern against one food: *lists it*, *may contain*, *ask*, or *nothing found: check the packet*.
 * Lea never says that a food is safe. Levels: allergens.md E1 (NHS, EYFS, clinical guidelines; from memory).
 */
import { allergenName, allergenOf, listHolds } from './allergens'
import { isUnknown, type Food } from './foods'
import { readLabel } from './label/read'
import { parseConcern } from './card/parse-concern'
import { remembered } from '../amount/memo'
import type { Concern, Packet, ExposureKind } from './concern'

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
const stem = (word: string): string => word.replace(/(ies|es|s)$/, '')

/** Free words against the names of a food: "peaches" meets "tinned peach". */
function wordsMeet(words: string, food: Food): boolean {
  const wanted = plain(words)
    .split(' ')
    .filter((w) => w.length > 2)
    .map(stem)
  const names = isUnknown(food)
    ? [food.name]
    : [food.name, food.plural ?? '', ...food.aliases, ...food.extras]
  const have = new Set(plain(names.join(' ')).split(' ').map(stem))
  return wanted.length > 0 && wanted.some((w) => have.has(w))
}

/** Free words ("strawberry jam") against a packet's own text. */
const textHolds = (text: string, words: string): boolean => {
  const have = new Set(plain(text).split(' ').map(stem))
  return plain(words)
    .split(' ')
    .filter((w) => w.length > 2)
    .some((w) => have.has(stem(w)))
}

/**
 * How a food meets one concern: an allergen's id, or the words of a family, which may mean several. An unknown food, and a
 * compound food whose packet nobody read for this allergen, is `ask`. A packet speaks for a compound food; it cannot take away what a plain food is.
 */
export function meet(allergen: string, food: Food, packet?: Packet): ExposureKind {
  if (allergenOf(allergen)) return meetOne(allergen, true, food, packet)
  const { ids, open } = parseConcern(allergen)
  const meetings = ids.map((id) => meetOne(id, true, food, lookedForAs(packet, allergen, id)))
  const byName = meetOne(allergen, false, food, packet)
  // Where the words are understood, a name that is alike adds to it; what they could mean beside it is asked.
  if (byName === 'lists' || open || ids.length === 0) meetings.push(byName)
  if (open && food.id !== 'water' && !packet?.lookedFor.includes(allergen)) meetings.push('ask')
  return worst(meetings)
}

const ORDER: readonly ExposureKind[] = ['nothing', 'may', 'ask', 'lists']
const worst = (meetings: readonly ExposureKind[]): ExposureKind =>
  ORDER[Math.max(...meetings.map((m) => ORDER.indexOf(m)))] ?? 'ask'

/** Who looked for the words looked for what they mean. */
const lookedForAs = (packet: Packet | undefined, words: string, id: string): Packet | undefined =>
  packet?.lookedFor.includes(words) ? { ...packet, lookedFor: [...packet.lookedFor, id] } : packet

function meetOne(allergen: string, known: boolean, food: Food, packet?: Packet): ExposureKind {
  if (packet && packet.lookedFor.includes(allergen)) {
    if (listHolds(packet.lists, allergen) === 'yes' || packet.lists.includes(allergen)) return 'lists'
    const isPlainAllergen =
      !isUnknown(food) && !food.compound && typicalMeeting(allergen, known, food) === 'lists'
    if (isPlainAllergen) return 'lists'
    if (listHolds(packet.lists, allergen) === 'unsure') return 'ask'
    if (listHolds(packet.may, allergen) !== 'no' || packet.may.includes(allergen)) return 'may'
    if (!known && packet.text && textHolds(packet.text, allergen)) return 'lists'
    return (packet.open ?? []).length > 0 ? 'ask' : 'nothing'
  }
  if (isUnknown(food)) {
    // What its name says counts at once; whatever else it may hold is asked.
    if (known && listHolds(heldByName(food.name), allergen) === 'yes') return 'lists'
    return wordsMeet(known ? allergenName(allergen) : allergen, food) ? 'lists' : 'ask'
  }
  return typicalMeeting(allergen, known, food)
}

const heldByName = remembered(2000, (name: string): string[] => {
  const { contains, extras } = readLabel(name)
  return [...contains, ...extras]
})

function typicalMeeting(
  allergen: string,
  known: boolean,
  food: Exclude<Food, { unknown: true }>,
): ExposureKind {
  const inside = listHolds([...food.contains, ...food.extras], allergen)
  if (inside === 'yes' || (!known && wordsMeet(allergen, food))) return 'lists'
  if (inside === 'unsure') return 'ask'
  if (listHolds(food.mayContain, allergen) !== 'no') return 'may'
  return food.compound ? 'ask' : 'nothing'
}

export type Grade = 'stop' | 'adult' | 'know'

/**
 * The grade of a meeting for a level.
 * *lists it* is stop (know for a preference); *may contain* is stop, unless the child's plan allows it (the level
 * `allergy-ingredient` says so: adult) or it is an intolerance or a preference (know); *ask* is stop until asked or read (know for a preference).
 * An intolerance that a food lists is stop as well: the child's own portion or a swap settles it.
 * @returns null where nothing was found.
 */
export function gradeOf(meeting: ExposureKind, concern: Concern): Grade | null {
  if (meeting === 'nothing') return null
  if (concern.level === 'preference') return 'know'
  if (meeting === 'may') {
    if (concern.level === 'intolerance') return 'know'
    if (concern.level === 'allergy-ingredient') return 'adult'
  }
  return 'stop'
}

/** May a child with this concern touch a food it meets? A dislike or an intolerance does not bar the hands. */
export function barsHandling(meeting: ExposureKind, concern: Concern): boolean {
  if (meeting === 'nothing' || concern.level === 'preference' || concern.level === 'intolerance') return false
  return !(meeting === 'may' && concern.level === 'allergy-ingredient')
}
