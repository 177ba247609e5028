/** What has not come round and could: techniques and targets for the ages on the list, with the setting's recipes that bring them. */
import { techniqueFor } from '../craft/setting-techniques'
import { formFor } from '../craft/form'
import { suits, targetOf } from '../learn/targets'
import type { HouseRules } from '../plan/model/request'
import { isByChildren, type Recipe } from '../recipe/recipe'
import type { Overview } from './overview'

export interface NextRound {
  /** What the setting wanted for the week stands first, then what most recipes bring. */
  techniques: { id: string; name: string; ofWeek: boolean; recipes: { id: string; title: string }[] }[]
  /** Those that no recipe of the setting brings. */
  without: { id: string; name: string }[]
  /** Those of the week first. */
  targets: { id: string; says: string; ofWeek: boolean }[]
}

/**
 * @param book the setting's recipes
 * @param ages of the children on the list, completed months
 */
export function nextRound(
  view: Pick<Overview, 'techniquesMissing' | 'targetsMissing'>,
  book: readonly { id: string; recipe: Recipe }[],
  ages: readonly number[],
  rules: Pick<HouseRules, 'techniques' | 'knives' | 'week' | 'targets'>,
): NextRound {
  const brings = new Map<string, { id: string; title: string }[]>()
  for (const { id, recipe } of book) {
    const jobs = recipe.steps.flatMap((s) => s.tasks).filter((t) => isByChildren(t.mode))
    for (const technique of new Set(jobs.map((t) => t.technique)))
      brings.set(technique, [...(brings.get(technique) ?? []), { id, title: recipe.title }])
  }
  const someoneMay = (id: string): boolean => {
    const technique = techniqueFor(id, rules.techniques)
    return (
      technique !== undefined &&
      ages.some((m) => formFor(technique, m, { knives: rules.knives }).kind === 'do')
    )
  }
  const open = view.techniquesMissing.filter((t) => someoneMay(t.id))
  const first = (a: { ofWeek: boolean }, b: { ofWeek: boolean }): number =>
    Number(b.ofWeek) - Number(a.ofWeek)
  return {
    techniques: open
      .filter((t) => brings.has(t.id))
      .map((t) => ({
        ...t,
        ofWeek: rules.week?.includes(t.id) ?? false,
        recipes: brings.get(t.id) ?? [],
      }))
      .sort((a, b) => first(a, b) || b.recipes.length - a.recipes.length || (a.name < b.name ? -1 : 1)),
    without: open.filter((t) => !brings.has(t.id)),
    targets: view.targetsMissing
      .filter((t) => {
        const target = targetOf(t.id)
        return target !== undefined && ages.some((m) => suits(target, m))
      })
      .map((t) => ({ ...t, ofWeek: rules.targets?.includes(t.id) ?? false }))
      .sort(first),
  }
}
