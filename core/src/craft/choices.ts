/** How many things are offered to choose from. */

/**
 * @param months age in completed months
 * @returns as many as are offered by default, and the most that ever are
 * @source common practice (age-skill-safety F1: choices offered at a time; product.md: two under three years, then up to
 * four), from memory
 */
export function choicesAt(months: number): { usual: number; most: number } {
  if (months < 36) return { usual: 2, most: 4 }
  if (months < 48) return { usual: 3, most: 4 }
  return { usual: 4, most: months < 84 ? 4 : 6 }
}
