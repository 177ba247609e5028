/** A stored plan that is none is found out before anybody walks over it. */
import { describe, expect, it } from 'vitest'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { compile } from '../../../src/plan/compile'
import { hasPlanShape } from '../../../src/plan/check/plan-shape'
import { child, request } from '../../group'

const plan = compile(request([child('wren', 50), child('idris', 40)]))

describe('the shape of a plan', () => {
  it('is that of every plan that is made', () => {
    for (const recipe of SHIPPED_RECIPES)
      expect(
        hasPlanShape(compile(request([child('wren', 60), child('idris', 50)], { recipe }))),
        recipe.title,
      ).toBe(true)
  })
  it('is not that of what was cut short or holds a hole', () => {
    expect(hasPlanShape(null)).toBe(false)
    expect(hasPlanShape([])).toBe(false)
    for (const list of [
      'children',
      'bowls',
      'tasks',
      'turns',
      'schedule',
      'talk',
      'findings',
      'checks',
    ] as const) {
      expect(hasPlanShape({ ...plan, [list]: undefined }), list).toBe(false)
      expect(hasPlanShape({ ...plan, [list]: [...plan[list], null] }), list).toBe(false)
      expect(hasPlanShape({ ...plan, [list]: [...plan[list], 'x'] }), list).toBe(false)
    }
    expect(hasPlanShape({ ...plan, turns: [{ ...plan.turns[0], task: 7 }] })).toBe(false)
    expect(hasPlanShape({ ...plan, bowls: [{ ...plan.bowls[0], lines: [null] }] })).toBe(false)
    expect(hasPlanShape({ ...plan, talk: [{ ...plan.talk[0], asks: [null] }] })).toBe(false)
  })
})
