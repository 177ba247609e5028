/** What each child measures into one bowl is its share: all that went in is the amount, once, whatever the mode that the recipe names. */
import { describe, expect, it } from 'vitest'
import { toBase } from '../../../src/amount/units'
import { ratio } from '../../../src/amount/ratio'
import { compile } from '../../../src/plan/compile'
import { madeBy, scoopsOf } from '../../../src/plan/model/scoop-sequence'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { TOLERANCE, type Mode, type Recipe } from '../../../src/recipe/recipe'
import { child, request } from '../../group'

const measuredAs = (recipe: Recipe, mode: Mode): Recipe => ({
  ...recipe,
  steps: recipe.steps.map((s) => ({
    ...s,
    tasks: s.tasks.map((t) => (t.measures && t.mode === 'TURNS' ? { ...t, mode } : t)),
  })),
})

describe('a measuring job for each child', () => {
  it.each(['EACH', 'STATION'] as const)('%s: the scoops of all children make the line once', (mode) => {
    let seen = 0
    for (const recipe of SHIPPED_RECIPES)
      for (const n of [2, 4, 7]) {
        const kids = Array.from({ length: n }, (_, i) => child(`c${i}`, 60 + i * 6))
        const plan = compile(request(kids, { recipe: measuredAs(recipe, mode) }))
        for (const task of plan.tasks) {
          const { measured } = task
          const bowl = plan.bowls.find((b) => b.id === task.bowl)
          const line = bowl?.lines.find((l) => l.id === task.uses[0])
          if (measured?.by !== 'scoop' || !line || task.mode === 'ADULT' || measured.any) continue
          // A turn is a scoop: what was tapped, by all of them, is what the line asks for, not so many times that.
          const turns = plan.turns.filter((t) => t.task === task.id)
          const times = task.portion ? n : 1
          expect(turns.length, `${recipe.id} ${task.id}`).toBe(scoopsOf(measured).length * times)
          const step = recipe.steps.find((s) => s.id === task.step)
          const part = step?.uses.find((u) => u.line === line.line)?.part ?? '1'
          if (line.unit === 'g' || line.unit === 'item') continue
          const off = madeBy(measured)
            .mul(times)
            // What goes round has its share in each round.
            .div(
              toBase(line.amount, line.unit)
                .mul(ratio(part))
                .div(task.passes?.of ?? 1),
            )
            .sub(1)
            .abs()
          expect(off.compare(TOLERANCE[line.role]), `${recipe.id} ${task.id}`).toBeLessThanOrEqual(0)
          seen += 1
        }
      }
    expect(seen).toBeGreaterThan(100)
  })
  it('gives four children their share of a cup, not a cup each', () => {
    const recipe = SHIPPED_RECIPES.find((r) => r.id === 'herb-soda-bread')
    if (!recipe) return expect.unreachable('no bread')
    const kids = Array.from({ length: 4 }, (_, i) => child(`c${i}`, 60))
    const plan = compile(request(kids, { recipe: measuredAs(recipe, 'EACH') }))
    const task = plan.tasks.find((t) => t.uses[0] === 'flour' && t.measured)
    const line = plan.bowls[0]?.lines.find((l) => l.id === 'flour')
    if (task?.measured?.by !== 'scoop' || !line) return expect.unreachable('not scooped')
    expect(madeBy(task.measured).equals(toBase(line.amount, line.unit))).toBe(true)
    const each = kids.map((k) => plan.turns.filter((t) => t.task === task.id && t.child === k.id).length)
    expect(Math.max(...each) - Math.min(...each)).toBeLessThanOrEqual(1)
  })
})
