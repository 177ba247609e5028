/** Free choices of a session: what each child may be offered, what it is reckoned to take, and what it took. */
import { tastingId } from '../../recipe/kinds/tasting'
import { isOnce, type Mode } from '../../recipe/recipe'
import type { Bowl, PlanLine } from './line'

export interface PlanChoice {
  id: string
  /** "toppings" */
  what: string
  /** Where it is asked. */
  step: string
  /** As many as a child may take. */
  take: number
  /** Ids of the recipe's lines, in its order; with the names of what stands for them today. */
  lines: { line: string; food: string; name: string }[]
  offers: ChoiceOffer[]
}

export interface ChoiceOffer {
  child: string
  /** The lines that it may be offered. */
  lines: string[]
  /** So many are held up to it at once. */
  atOnce: number
  /** What Lea reckons with: dealt out evenly, or as somebody settled it. */
  picks: string[]
  settled?: true
  /** What it is not offered, and why; for an adult's eyes. */
  not: { line: string; why: string }[]
}

/** @param line id of the recipe's line. Of a line of no choice everybody may have. */
export function mayHave(choices: readonly PlanChoice[], line: string, child: string): boolean {
  const choice = choices.find((c) => c.lines.some((l) => l.line === line))
  const offer = choice?.offers.find((o) => o.child === child)
  return !choice || (offer?.lines.includes(line) ?? false)
}

/** Who is reckoned to take of a line, or null where it is no line of a choice. */
export function takersOf(choices: readonly PlanChoice[], line: string): string[] | null {
  const choice = choices.find((c) => c.lines.some((l) => l.line === line))
  return choice?.offers.filter((o) => o.picks.includes(line)).map((o) => o.child) ?? null
}

interface HandsAt {
  /** Ids of the foods of the task. */
  handles: readonly string[]
  mode: Mode
  /** The lines that are worked on. */
  worked: readonly PlanLine[]
  bowl: Pick<Bowl, 'lines'>
}

/**
 * The foods that the hands of one child meet: of a free choice that is each child's own only what it may have, unless what is worked on is that
 * very food, or the work is for all.
 */
export function meetsInHand(
  child: string,
  { handles, mode, worked, bowl }: HandsAt,
  choices: readonly PlanChoice[],
): readonly string[] {
  const may = (l: PlanLine): boolean => mayHave(choices, l.line, child)
  if (choices.length === 0 || !isOnce(mode)) return handles
  const inHand = worked.filter(may).length > 0 ? worked.filter(may) : worked
  return handles.filter((food) => {
    const lines = bowl.lines.filter((l) => l.food === food)
    return lines.length === 0 || lines.some((l) => may(l) || inHand.includes(l))
  })
}

/** From so many months on eyes may be covered; the smaller are frightened by it. Source: common practice, from memory. */
export const COVERED_FROM = 36

/** What is tasted, by whom and in which order. */
export interface PlanTasting {
  step: string
  /** Eyes are covered, of those who are old enough. */
  covered: boolean
  tasters: { child: string; tastes: TastedFood[]; covered?: true }[]
}
/** One food that a child tastes, with the line of the recipe that it is. */
export interface TastedFood {
  line: string
  food: string
  name: string
}

/** The choices that are asked and taken as such: a tasting is none of them. */
export const askedChoices = (choices: readonly PlanChoice[]): PlanChoice[] =>
  choices.filter((c) => c.id !== tastingId(c.step))
