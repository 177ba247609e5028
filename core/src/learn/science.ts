/** Small science of a step, with a line for the age and something to try with what is on the table. Source: core/data/science.json. */
import data from '../../data/science.json'

export interface Science {
  id: string
  title: string
  /** For 3 to 4 years, 5 to 7, 8 to 12. */
  lines: readonly string[]
  /** With foods of this plan only; none where it would need another. */
  tryIt: string | null
}

/** Whom each line is for. */
export const SCIENCE_BANDS = ['3 to 4 years', '5 to 7 years', '8 to 12 years'] as const

/**
 * What a step shows: a topic needs one of its foods and one of its techniques, where it names them.
 * @param table every food of the plan: nothing else may be brought to it
 */
export function scienceOf(
  techniques: readonly string[],
  foods: readonly string[],
  table: readonly string[],
): Science[] {
  return data.topics
    .filter(
      (t) =>
        (t.foods.length === 0 || t.foods.some((f) => foods.includes(f))) &&
        (t.techniques.length === 0 || t.techniques.some((x) => techniques.includes(x))) &&
        t.foods.length + t.techniques.length > 0,
    )
    .map((t) => ({
      id: t.id,
      title: t.title,
      lines: t.lines,
      tryIt: t.tries.find((x) => x.needs.every((food) => table.includes(food)))?.says ?? null,
    }))
}
