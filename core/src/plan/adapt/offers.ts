/**
 * What each child may be offered of a free choice, by its card: a food that one must not have is not offered to it, and stays for the others.
 * What lists an allergen that may not be at the table at all stays a stop, and so does a packet that could list it.
 */
import { concernName } from '../../food/diets'
import type { ExposureKind } from '../../food/concern'
import { ownChoices } from '../../recipe/own-choices'
import type { Recipe } from '../../recipe/recipe'
import type { AdaptedLine, DraftChild, Offers } from '../model/draft'
import type { Fix } from '../model/finding'
import { contactOf, isForTheTable, isHard, type Exposure } from './exposure'

/**
 * @param meetsOf how a child meets each line of the choice that stands in its bowl
 * @returns by line of the recipe, of each own choice, who may be offered it and what keeps the others from it
 */
export function offersOf(
  recipe: Recipe,
  lines: readonly AdaptedLine[],
  people: readonly DraftChild[],
  meetsOf: (line: AdaptedLine, child: string) => readonly Exposure[],
): Offers {
  const out: Offers = new Map()
  for (const id of new Set(ownChoices(recipe).flatMap((c) => c.lines))) {
    const here = lines.filter((l) => l.line === id)
    if (here.length === 0) continue
    const not = new Map<string, string>()
    for (const { id: child } of people) {
      const stops = here.flatMap((l) => meetsOf(l, child)).filter((m) => m.grade === 'stop')
      if (stops.length > 0) not.set(child, whyOf(stops))
    }
    // A food that nobody may have is no choice.
    if (not.size < people.length) out.set(id, not)
  }
  return out
}

const whyOf = (stops: readonly Exposure[]): string =>
  [...new Set(stops.map((m) => `${KEEPS[m.meeting]} ${concernName(m.about)}`))].join('; ')
const KEEPS: Record<ExposureKind, string> = {
  lists: 'lists',
  may: 'may contain',
  ask: 'packet to read for',
  nothing: '',
}

/** What is said of a child that is not offered a food. @param met of one child */
export function passedWords(met: readonly Exposure[]): string {
  if (met.some((m) => m.meeting === 'lists' && m.level !== undefined))
    return ', is not offered it: a spoon of its own, hands washed after'
  return met.some((m) => m.meeting === 'ask')
    ? ', is not offered it until its packet is read'
    : ', is not offered it'
}

/** The same for a child who is not offered it: it only sits near. What is for the whole table to be without stays as it is. */
export function passedBy(met: Exposure): Exposure {
  if (met.grade === null || isForTheTable(met)) return met
  const near = contactOf(met)
  return { ...near, grade: near.grade ?? 'know', passed: true }
}

/**
 * Tasted with eyes covered, nobody sees what is on the spoon: there a food that one child must not have stops the game for all. With open eyes
 * it is not offered to that child, unless it may not be at the table at all.
 */
export function openEyesFixes(
  line: Pick<AdaptedLine, 'line'>,
  touching: readonly Exposure[],
  { steps }: Pick<Recipe, 'steps'>,
): Fix[] {
  const hard = touching.filter(isHard)
  if (hard.length === 0 || hard.some(isForTheTable)) return []
  return steps
    .filter((s) => s.tasting?.covered === true && s.tasting.lines.includes(line.line))
    .map((s) => ({
      label: `Taste with open eyes: ${s.title}`,
      cost: 'each tastes only what is for it; the guessing goes',
      action: { do: 'decide', decision: { kind: 'open-eyes', step: s.id } },
    }))
}
