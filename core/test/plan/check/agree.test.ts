/** Check, the plan and its checker answer from one engine: walked over every shipped food with a rule of age, every form and every age. */
import { describe, expect, it } from 'vitest'
import { preparationText, SHAPE_ROWS, shapeRow } from '../../../src/food/by-age/choking'
import { EARLY_ROWS, earlyRowsOf } from '../../../src/food/by-age/too-early'
import { rowsNamed } from '../../../src/food/by-age/named'
import { SHIPPED_BOOK } from '../../../src/food/foods'
import { adapt } from '../../../src/plan/adapt/adapt'
import { begin } from '../../../src/plan/begin'
import { ageFindings } from '../../../src/plan/shape/age-findings'
import { advise } from '../../../src/recipe/advice/advice'
import type { Recipe } from '../../../src/recipe/recipe'
import { child, request } from '../../group'

/** Each side of every limit that a food's rows have, a baby before solid food, and the oldest. */
const agesOf = (limits: readonly number[]): number[] => [
  ...new Set([5, 9, 144, ...limits.filter((l) => l < 144).flatMap((l) => [l - 1, l])]),
]

/** One line in a form, eaten by one child. Nothing is heated. */
function planSays(food: string, shape: string | undefined, months: number): boolean {
  const recipe = {
    id: 'one',
    schema: 2,
    title: 'One',
    about: '',
    serves: 1,
    themes: [],
    equipment: [],
    lines: [{ id: 'l', food, amount: '100', unit: 'g', role: 'main', ...(shape && { shape }) }],
    steps: [{ id: 's', title: 'Eat', picture: 'yum', uses: [{ line: 'l', part: '1' }], tasks: [] }],
  } as unknown as Recipe
  const of = request([child('c', months)], { recipe })
  return ageFindings(adapt(begin(of), of).draft, of).some((f) => f.grade === 'stop')
}

/** Foods whose own name means the same rows in the table of names as the food's row says. */
const ROWS = SHIPPED_BOOK.all.flatMap((food) => {
  const row = shapeRow(food.shape)
  return row || earlyRowsOf(food.id).length > 0 ? [{ food, row }] : []
})

describe('a food with a rule of age', () => {
  it('is met by its own name in Check: bare, and too young, no food of a rule is ok', () => {
    const silent = ROWS.filter(({ food, row }) => {
      const youngest = Math.min(
        ...(row?.rules ?? []).map((r) => r.below ?? 144),
        ...earlyRowsOf(food.id).map((r) => Math.max(r.until.uk ?? 0, r.until.us ?? 0)),
      )
      const months = Math.max(6, youngest - 1)
      const held = ['stop', 'change'].includes(advise({ months, what: food.name }).result)
      return planSays(food.id, undefined, months) && !held
    }).map(({ food }) => food.name)
    expect(silent).toEqual([])
  })

  it('is stopped in the plan in just those forms and ages in which Check does not say ok', () => {
    const apart: string[] = []
    for (const { food, row } of ROWS) {
      const named = rowsNamed(SHAPE_ROWS, food.name).map((n) => n.row)
      const limits = [
        ...(row?.rules ?? []).flatMap((r) => r.below ?? []),
        ...earlyRowsOf(food.id).flatMap((r) => [r.until.uk ?? 0, r.until.us ?? 0]),
      ]
      // Two rows by its words: Check asks for both, and the plan for the food's own.
      if (named.length !== (row ? 1 : 0) || (row && named[0] !== row)) continue
      const forms = [undefined, ...new Set(row?.rules.flatMap((r) => r.unless) ?? [])]
      for (const shape of forms)
        for (const months of agesOf(limits)) {
          const plan = planSays(food.id, shape, months)
          const check = advise({
            months,
            what: food.name,
            ...(shape && { as: preparationText(shape).replace(' and flaked', '') }),
            country: 'uk',
          })
          const both = advise({ months, what: food.name, ...(shape && { as: preparationText(shape) }) })
          const held = [check, both].some((a) => a.result === 'stop' || a.result === 'change')
          if (plan && !held) apart.push(`plan only: ${food.name} ${shape ?? '-'} ${months}`)
          const note = EARLY_ROWS.find((r) => r.id === both.matched)?.note
          if (!plan && both.result !== 'ok' && !note && both.result !== 'unknown')
            apart.push(`Check only: ${food.name} ${shape ?? '-'} ${months} ${both.matched ?? ''}`)
        }
    }
    expect(apart.slice(0, 60)).toEqual([])
  })
})
