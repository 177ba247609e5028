/** The table of jobs by age and the knife ladder: whole, in order, and nowhere looser than the ladder of a technique. */
import { advise } from '../../src/recipe/advice/advice'
import { describe, expect, it } from 'vitest'
import { AGE_BANDS, FOOD_JOBS, KNIVES, gentleJob } from '../../src/craft/jobs-by-age'
import { TECHNIQUES } from '../../src/craft/techniques'
import { isUnknown } from '../../src/food/foods'
import { foodBook } from '../../src/food/own-foods'
import { compile } from '../../src/plan/compile'
import { child, recipeOf, request } from '../group'

describe('jobs by age', () => {
  it('every row has a phrase for each band and names foods that Lea knows, each in one row only', () => {
    const foods = foodBook()
    const all = FOOD_JOBS.flatMap((r) => r.foods)
    expect(new Set(all).size).toBe(all.length)
    for (const row of FOOD_JOBS) {
      expect(row.byBand.length, row.id).toBe(AGE_BANDS.length)
      for (const food of row.foods) expect(isUnknown(foods.of(food)), food).toBe(false)
    }
  })
  it('the bands follow one another without a gap', () => {
    AGE_BANDS.slice(1).forEach((b, i) => expect(b.from).toBe(AGE_BANDS[i]?.below))
  })
  it('a child that is not there yet has a gentle job with the food of the step', () => {
    expect(gentleJob(['cheddar'], 40)).toBe('sprinkles it grated')
    expect(gentleJob(['cheddar'], 20)).toBeNull()
    expect(gentleJob(['salt'], 40)).toBeNull()
    const plan = compile(request([child('big', 60), child('small', 30)]))
    const snip = plan.tasks.find((t) => t.technique === 'snip-scissors')
    expect(snip?.instead).toEqual([{ child: 'small', job: 'smells and picks' }])
  })
  it('one whose own plan leaves the technique out is not given another way to it', () => {
    const kids = [child('a', 60), child('b', 60, { limits: ['bridge-cut'] })]
    const base = request(kids, { recipe: recipeOf('couscous-jars') })
    const cut = compile(base).tasks.find((t) => t.technique === 'bridge-cut')
    expect(cut?.instead?.[0]?.job).toBe('lays the cut pieces in rows')
  })
})

it('no band has a job before the age that Check asks of it', () => {
  const techniques = new Set(TECHNIQUES.map((t) => t.id))
  const early = FOOD_JOBS.flatMap((row) =>
    row.byBand.flatMap((says, i) =>
      says
        .split(/[,;]/)
        .map((part) => part.trim())
        // "from four turns the drum grater" says its own age.
        .filter((part) => !part.startsWith('from '))
        .flatMap((part) => {
          const { result, matched } = advise({ months: AGE_BANDS[i]?.from ?? 0, what: part })
          const isJob = techniques.has((matched ?? '').split('/')[0] ?? '')
          return isJob && result !== 'ok' ? [`${row.id}: ${part}: ${result}`] : []
        }),
    ),
  )
  expect(early).toEqual([])
})

describe('the knife ladder', () => {
  it('rises: a sharper knife never comes sooner, nor with more children to an adult', () => {
    const sharp = KNIVES.filter((k) => !['hands', 'blunt-spreader', 'table-knife'].includes(k.id))
    sharp.slice(1).forEach((k, i) => {
      const before = sharp[i]
      expect(k.from).toBeGreaterThanOrEqual(before?.from ?? 0)
      expect(k.beside).toBeLessThanOrEqual(before?.beside ?? 9)
    })
  })
  it('no technique hands a knife out sooner than its rung of the ladder, nor with fewer eyes', () => {
    let met = 0
    for (const technique of TECHNIQUES)
      for (const rung of technique.ladder) {
        const knife = KNIVES.find((k) => k.id === rung.tool)
        if (!knife) continue
        met += 1
        expect(rung.fromMonths, rung.id).toBeGreaterThanOrEqual(knife.from)
        for (const row of rung.supervision ?? [])
          if (row.code === 'B') expect(row.children).toBeLessThanOrEqual(knife.beside)
      }
    expect(met).toBeGreaterThanOrEqual(3)
  })
})
