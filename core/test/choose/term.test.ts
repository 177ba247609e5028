import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { dayAfter, daysBetween, weekdayOf } from '../../src/amount/days'
import { seasonOf } from '../../src/choose/season'
import { layTerm, termCost } from '../../src/choose/term'
import {
  type TermProblem,
  type TermRecipe,
  termDays,
  termRecipe,
  termRecipes,
} from '../../src/choose/term-cost'
import { techniqueOf } from '../../src/craft/techniques'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'

const recipes: TermRecipe[] = SHIPPED_RECIPES.map((r, i) =>
  termRecipe(r.id, r, Math.floor((9 * i) / SHIPPED_RECIPES.length), ['count-one-to-one-10']),
)
const weekly = (n: number, from = '2026-11-05'): TermProblem['days'] =>
  Array.from({ length: n }, (_, i) => ({ date: dayAfter(from, 7 * i) }))
const problem = (more: Partial<TermProblem> = {}): TermProblem => ({
  days: weekly(6),
  recipes,
  beside: [],
  targets: [],
  ...more,
})

describe('a half term laid out', () => {
  it('no recipe twice within four weeks where there are enough, and every day has one', () => {
    const { days } = layTerm(problem())
    expect(new Set(days.map((d) => d.recipe)).size).toBe(6)
    expect(days.every((d) => d.recipe !== '')).toBe(true)
  })
  it('brings techniques back, and says which are new and which come back', () => {
    const name = (t: string): string => techniqueOf(t)?.name ?? t
    const { days, missing } = layTerm(problem(), name)
    expect(days[0]?.why.join()).toMatch(/new: /)
    expect(days.slice(1).some((d) => d.why.join().includes('comes back'))).toBe(true)
    const all = new Set(recipes.flatMap((r) => r.techniques))
    expect(missing.techniques.length).toBeLessThan(all.size / 2)
  })
  it('what a person set stays', () => {
    const days = weekly(4).map((d, i) => (i === 2 ? { ...d, pinned: 'couscous-jars' } : d))
    expect(layTerm(problem({ days })).days[2]).toMatchObject({ recipe: 'couscous-jars', pinned: true })
  })
  it('what was made just before the term is not its first', () => {
    const first = layTerm(problem()).days[0]?.recipe ?? ''
    const again = layTerm(problem({ beside: [{ date: '2026-10-30', recipe: first }] }))
    expect(
      again.days.filter((d) => daysBetween('2026-10-30', d.date) < 28).map((d) => d.recipe),
    ).not.toContain(first)
  })
  it('a target that only one recipe meets gets it', () => {
    const one = recipes.map((r, i) => ({ ...r, targets: i === 7 ? ['rare'] : [] }))
    const { days, missing } = layTerm(problem({ recipes: one, targets: ['rare'] }))
    expect(days.map((d) => d.recipe)).toContain(one[7]?.id)
    expect(missing.targets).toEqual([])
  })
  it('the same shelf gives the same term; nothing to choose from gives empty days', () => {
    expect(layTerm(problem())).toEqual(layTerm(problem({ recipes: [...recipes].reverse() })))
    expect(layTerm(problem({ recipes: [] })).days.map((d) => d.recipe)).toEqual(['', '', '', '', '', ''])
  })
  it('against trying everything: the least sum in 57 or more of 60 drawn terms, never more than 3 % above', () => {
    let same = 0
    for (let seed = 1; seed <= 60; seed++) {
      const few = recipes.filter((_, i) => (i * 7 + seed * 5) % 11 < 4).slice(0, 6)
      const p = problem({ days: weekly(4, dayAfter('2026-01-05', 6 * seed)), recipes: few })
      const least = everyChoice(
        few.map((r) => r.id),
        4,
      ).reduce((m, c) => Math.min(m, termCost(p, c)), Infinity)
      const { cost } = layTerm(p)
      expect(cost).toBeGreaterThanOrEqual(least)
      expect(cost - least).toBeLessThanOrEqual(0.03 * Math.abs(least))
      if (cost === least) same += 1
    }
    expect(same).toBeGreaterThanOrEqual(57)
  })
})

function everyChoice(ids: readonly string[], n: number): string[][] {
  return n === 0 ? [[]] : everyChoice(ids, n - 1).flatMap((c) => ids.map((id) => [...c, id]))
}

describe('the days and the shelf of a term', () => {
  it('are the weekdays that are wanted, at most twenty weeks of them', () => {
    expect(termDays('2026-11-26', 2, [3])).toEqual(['2026-11-26', '2026-12-03'])
    expect(termDays('2026-11-27', 1, [3, 0])).toEqual(['2026-11-30', '2026-12-03'])
    expect(termDays('2026-11-26', 500, [3]).length).toBe(20)
    expect(termDays('2026-11-26', Number.NaN, [])).toEqual([])
  })
  it('give each recipe its place, the first 0', () => {
    const places = termRecipes(SHIPPED_RECIPES.map((recipe) => ({ id: recipe.id, recipe, targets: [] }))).map(
      (r) => r.place,
    )
    expect(places[0]).toBe(0)
    expect(places).toEqual([...places].sort((a, b) => a - b))
    expect(Math.max(...places)).toBeLessThanOrEqual(9)
  })
})

describe('days of the calendar, against the platform’s own', () => {
  const date = fc.date({ min: new Date('1990-01-01'), max: new Date('2090-12-31'), noInvalidDate: true })
  const iso = (d: Date): string => d.toISOString().slice(0, 10)
  it('so many days later, and the weekday', () => {
    fc.assert(
      fc.property(date, fc.integer({ min: -800, max: 800 }), (d, n) => {
        const later = new Date(`${iso(d)}T12:00:00Z`)
        later.setUTCDate(later.getUTCDate() + n)
        expect(dayAfter(iso(d), n)).toBe(iso(later))
        expect(weekdayOf(iso(d))).toBe((d.getUTCDay() + 6) % 7)
      }),
    )
  })
  it('seasons begin on the first of March, June, September and December (meteorological seasons)', () => {
    expect(['2026-02-28', '2026-03-01', '2026-06-01', '2026-09-01', '2026-12-01'].map(seasonOf)).toEqual([
      'winter',
      'spring',
      'summer',
      'autumn',
      'winter',
    ])
  })
})
