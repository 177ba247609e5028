/** The themes of a shelf: season, story, letter, colour. */
import type { Recipe } from '../recipe/recipe'

export const isOfTheme = (recipe: Recipe, theme: string): boolean => {
  const wanted = theme.trim().toLowerCase()
  return wanted !== '' && recipe.themes.some((t) => t.name.toLowerCase() === wanted)
}

/** All themes on a shelf, each with how many recipes are of it, most first. */
export function themesOn(recipes: readonly Recipe[]): { name: string; kind: string; n: number }[] {
  const all = new Map<string, { name: string; kind: string; n: number }>()
  for (const { kind, name } of recipes.flatMap((r) => r.themes)) {
    const known = all.get(name.toLowerCase())
    if (known) known.n += 1
    else all.set(name.toLowerCase(), { name, kind, n: 1 })
  }
  return [...all.values()].sort((a, b) => b.n - a.n || a.name.localeCompare(b.name))
}
