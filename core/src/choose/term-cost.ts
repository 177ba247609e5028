/**
 * What a half term of sessions costs. In one sum of whole numbers, smallest best, over the days of the term and those just before it:
 *
 *   the same recipe again within four weeks 400 · a target of the week that no session meets 60 · a technique of the shelf that none
 *   has 12 · a technique again within six days 4 · a technique that does not come back, though the term has room for it, 3 · a main
 *   food again within ten days 6 · three sessions in a row with the same heat 5 · out of season 12, in season -4 · its place on the
 *   ranked shelf, 0 to 9.
 *
 * Spacing: what is learned is met again after one to four weeks. Source: common practice (spaced practice, learning.md F3), from memory.
 */
import { dayAfter, daysBetween, weekdayOf, type IsoDate } from '../amount/days'
import { heatsOf, techniquesOf, type Heat } from '../recipe/heat'
import type { Recipe } from '../recipe/recipe'
import { seasonOf } from './season'

/** A recipe that may be laid out. */
export interface TermRecipe {
  id: string
  title: string
  techniques: string[]
  foods: string[]
  heat: Heat
  seasons: string[]
  targets: string[]
  /** Its place on the ranked shelf, 0 the first, as a share of 9. */
  place: number
}
export interface TermDay {
  date: IsoDate
  /** Set by a person: it stays. */
  pinned?: string | undefined
}
export interface TermProblem {
  days: TermDay[]
  recipes: TermRecipe[]
  /** What was made, or is planned already. */
  beside: { date: IsoDate; recipe: string }[]
  /** Targets that should come round. */
  targets: string[]
}
export interface TermPlan {
  days: { date: IsoDate; recipe: string; pinned: boolean; why: string[] }[]
  cost: number
  /** Techniques of the shelf and targets that no day of the term has. */
  missing: { techniques: string[]; targets: string[] }
}

const STAPLE_ROLES = new Set(['raising', 'salt', 'seasoning', 'liquid', 'frying', 'sweet', 'fat', 'glaze'])

/** A recipe as the layout of a term sees it: what it brings. */
export function termRecipe(
  id: string,
  recipe: Recipe,
  place: number,
  targets: readonly string[],
): TermRecipe {
  return {
    id,
    title: recipe.title,
    techniques: techniquesOf(recipe),
    foods: [...new Set(recipe.lines.filter((l) => !STAPLE_ROLES.has(l.role)).map((l) => l.food))],
    heat: heatsOf(recipe)[0] ?? 'none',
    seasons: recipe.themes.filter((t) => t.kind === 'season').map((t) => t.name.toLowerCase()),
    targets: [...targets],
    place,
  }
}

const COST = {
  again: 400,
  target: 60,
  uncovered: 12,
  massed: 4,
  once: 3,
  food: 6,
  heat: 5,
  outOfSeason: 12,
  inSeason: -4,
}
const AGAIN_DAYS = 28
const MASSED_DAYS = 6
const FOOD_DAYS = 10
/** Days before the term that still count. */
const BEFORE_DAYS = 42

/** One recipe on one day, both by number; days count from the first of the term. */
interface Placed {
  day: number
  recipe: number
}

export class Term {
  private readonly problem: TermProblem
  private readonly index: Map<string, number>
  private readonly before: Placed[]
  private readonly techniques: string[]
  private readonly has: number[][]
  private readonly shared: Uint8Array[]
  private readonly days: number[]
  private readonly seasons: string[]
  private readonly targetsOf: number[][]
  private readonly last: Int32Array
  private readonly times: Int32Array
  private readonly met: Uint8Array
  constructor(problem: TermProblem) {
    const { recipes } = problem
    this.problem = problem
    this.index = new Map(recipes.map((r, i) => [r.id, i]))
    this.techniques = [...new Set(recipes.flatMap((r) => r.techniques))].sort()
    this.has = recipes.map((r) => r.techniques.map((t) => this.techniques.indexOf(t)))
    this.shared = recipes.map((a) =>
      Uint8Array.from(recipes, (b) => a.foods.filter((f) => b.foods.includes(f)).length),
    )
    this.targetsOf = recipes.map((r) => problem.targets.flatMap((t, i) => (r.targets.includes(t) ? [i] : [])))
    this.days = problem.days.map((d) => this.dayOf(d.date))
    this.seasons = problem.days.map((d) => seasonOf(d.date))
    this.before = problem.beside.flatMap((b): Placed[] => {
      const recipe = this.index.get(b.recipe)
      const day = this.dayOf(b.date)
      return recipe === undefined || day < -BEFORE_DAYS ? [] : [{ day, recipe }]
    })
    this.last = new Int32Array(this.techniques.length)
    this.times = new Int32Array(this.techniques.length)
    this.met = new Uint8Array(problem.targets.length)
  }
  private dayOf(date: IsoDate): number {
    return daysBetween(this.problem.days[0]?.date ?? date, date)
  }
  /** Everything in the order of days. */
  private placed(choice: readonly string[]): Placed[] {
    const all = [...this.before]
    this.days.forEach((day, i) => {
      const recipe = this.index.get(choice[i] ?? '')
      if (recipe !== undefined) all.push({ day, recipe })
    })
    return all.sort((a, b) => a.day - b.day)
  }
  cost(choice: readonly string[]): number {
    const all = this.placed(choice)
    this.last.fill(FAR)
    this.times.fill(0)
    this.met.fill(0)
    let sum = 0
    for (let i = 0; i < all.length; i++) {
      const { day, recipe } = all[i] as Placed
      sum += this.near(all, i)
      for (const t of this.has[recipe] as number[]) {
        if (day - (this.last[t] as number) <= MASSED_DAYS) sum += COST.massed
        this.last[t] = day
        if (day >= 0) this.times[t] = (this.times[t] as number) + 1
      }
      if (day >= 0) for (const t of this.targetsOf[recipe] as number[]) this.met[t] = 1
    }
    this.days.forEach((_, i) => {
      sum += this.alone(choice[i] ?? '', i)
    })
    for (const m of this.met) if (m === 0) sum += COST.target
    for (const n of this.times)
      sum += n === 0 ? COST.uncovered : n === 1 && this.days.length >= 4 ? COST.once : 0
    return sum
  }
  /** What a day costs beside those before it. */
  private near(all: readonly Placed[], i: number): number {
    const { day, recipe } = all[i] as Placed
    let sum = 0
    for (let j = i - 1; j >= 0; j--) {
      const other = all[j] as Placed
      const gap = day - other.day
      if (gap >= AGAIN_DAYS) break
      if (other.recipe === recipe) sum += COST.again
      if (gap <= FOOD_DAYS) sum += COST.food * (this.shared[recipe]?.[other.recipe] ?? 0)
    }
    const heat = (k: number): string => this.problem.recipes[all[k]?.recipe ?? -1]?.heat ?? ''
    return sum + (i >= 2 && heat(i) === heat(i - 1) && heat(i) === heat(i - 2) ? COST.heat : 0)
  }
  private alone(id: string, i: number): number {
    const recipe = this.problem.recipes[this.index.get(id) ?? -1]
    if (!recipe) return 0
    if (recipe.seasons.length === 0) return recipe.place
    return recipe.place + (recipe.seasons.includes(this.seasons[i] ?? '') ? COST.inSeason : COST.outOfSeason)
  }
  missing(choice: readonly string[]): TermPlan['missing'] {
    const own = choice.flatMap((id) => this.problem.recipes[this.index.get(id) ?? -1] ?? [])
    return {
      techniques: this.techniques.filter((t) => !own.some((r) => r.techniques.includes(t))),
      targets: this.problem.targets.filter((t) => !own.some((r) => r.targets.includes(t))),
    }
  }
  /** Why a day has what it has: what comes new, what comes back and after how long. */
  why(choice: readonly string[], i: number): Why {
    const at = this.days[i] ?? 0
    const recipe = this.problem.recipes[this.index.get(choice[i] ?? '') ?? -1]
    if (!recipe) return { fresh: [], back: [], season: null }
    const before = this.placed(choice).filter((p) => p.day < at)
    const lastOf = (t: string): number | undefined =>
      before.filter((p) => this.problem.recipes[p.recipe]?.techniques.includes(t)).at(-1)?.day
    const season = this.seasons[i] ?? ''
    return {
      fresh: recipe.techniques.filter((t) => lastOf(t) === undefined),
      back: recipe.techniques.flatMap((technique) => {
        const last = lastOf(technique)
        return last === undefined || at - last <= MASSED_DAYS ? [] : [{ technique, days: at - last }]
      }),
      season: recipe.seasons.includes(season) ? season : null,
    }
  }
}
export interface Why {
  fresh: string[]
  back: { technique: string; days: number }[]
  season: string | null
}
const FAR = -100_000

/** A ranked shelf as what may be laid out, each with its place. @param shelf what fits best first */
export const termRecipes = (
  shelf: readonly { id: string; recipe: Recipe; targets: readonly string[] }[],
): TermRecipe[] =>
  shelf.map((s, i) => termRecipe(s.id, s.recipe, Math.floor((9 * i) / shelf.length), s.targets))

/** The days of so many weeks that fall on these weekdays (0 is Monday). @param weeks 1 to 20 */
export function termDays(from: IsoDate, weeks: number, weekdays: readonly number[]): IsoDate[] {
  const days = 7 * Math.min(20, Math.max(1, Math.round(weeks) || 1))
  return Array.from({ length: days }, (_, i) => dayAfter(from, i)).filter((d) =>
    weekdays.includes(weekdayOf(d)),
  )
}
