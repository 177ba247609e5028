/** The recipe read twice or by half: what is said of each line is what is measured. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { ratio } from '../../../src/amount/ratio'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { scalingLines } from '../../../src/session/talk/scaling'
import { scriptOf } from '../../../src/session/talk/script'
import { child, request } from '../../group'

const planOf = (id: string, n: number, months = 96) => {
  const recipe = SHIPPED_RECIPES.find((r) => r.id === id)
  if (!recipe) throw new Error(`no recipe ${id}`)
  return compile(
    request(
      Array.from({ length: n }, (_, i) => child(`c${i}`, months)),
      { recipe },
    ),
  )
}

describe('doubling and halving, line by line', () => {
  it('says of a line what the plan measures, wherever the factor has a plain word', () => {
    let said = 0
    for (const { id, serves } of SHIPPED_RECIPES)
      for (const n of [Math.floor(serves / 2), serves, 2 * serves].filter((x) => x >= 2 && x <= 12)) {
        const plan = planOf(id, n)
        const [bowl] = plan.bowls
        const line = scalingLines(plan)[0]?.says
        if (!bowl || plan.bowls.length > 1 || !['2', '3', '1/2'].includes(bowl.factor)) {
          expect(line, `${id} ${n}`).toBeUndefined()
          continue
        }
        if (line === undefined) continue
        said += 1
        const written = bowl.lines.filter((l) => line.includes(`: ${l.recipeText}, for us ${l.text}.`))
        expect(written.length, `${id} ${n} ${line}`).toBeGreaterThan(0)
        for (const l of written) {
          const recipe = SHIPPED_RECIPES.find((r) => r.id === id)?.lines.find((x) => x.id === l.line)
          if (recipe && recipe.unit === l.unit)
            expect(ratio(recipe.amount).mul(bowl.factor).equals(ratio(l.amount)), `${id} ${l.id}`).toBe(true)
        }
      }
    expect(said).toBeGreaterThan(3)
  })
  it('is read with children of six and more, and not with threes', () => {
    const doubled = SHIPPED_RECIPES.find((r) => scalingLines(planOf(r.id, r.serves / 2)).length > 0)
    if (!doubled) return expect.unreachable('nothing is halved')
    const has = (months: number): boolean =>
      scriptOf(planOf(doubled.id, doubled.serves / 2, months)).some((s) =>
        s.lines.some((l) => l.id === 'read-scale'),
      )
    expect(has(96)).toBe(true)
    expect(has(40)).toBe(false)
  })
})
