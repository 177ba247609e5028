import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { callsText, kitCalls } from '../../../src/plan/view/kit-call'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'

// Source: CDC milestones 2022 (a child of 5 years counts to 10), from memory.
const MOST: readonly [number, number][] = [
  [30, 0],
  [36, 3],
  [48, 5],
  [84, 10],
]

describe('the kit called out', () => {
  it('calls every tool once, gives nobody more than it counts, and all that can count about as much', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_RECIPES),
        fc.array(fc.integer({ min: 20, max: 140 }), { minLength: 1, maxLength: 12 }),
        (recipe, ages) => {
          const plan = compile(
            request(
              ages.map((m, i) => child(`c${i}`, m)),
              { recipe, effort: 'sketch' },
            ),
          )
          const calls = kitCalls(plan)
          expect(calls.map((c) => c.tool.tool).sort()).toEqual(plan.kit.tools.map((t) => t.tool).sort())
          for (const { child: who, tool, says } of calls) {
            expect(says).toContain(`${tool.n} ${tool.name}`)
            if (who === null) continue
            const months = plan.children.find((c) => c.id === who)?.months ?? 0
            const most = MOST.find(([below]) => months < below)?.[1] ?? 20
            expect(tool.n).toBeLessThanOrEqual(most)
            expect(tool.where).not.toBe('adult')
          }
          // Of those who can count all that is called, nobody is called twice before another is called once.
          const able = plan.children.filter((c) => c.months >= 84).map((c) => c.id)
          const times = able.map((id) => calls.filter((c) => c.child === id).length)
          if (able.length === plan.children.length)
            expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(1)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('says how many of it are there', () => {
    const plan = compile(request([child('wren', 60)]))
    const calls = kitCalls(plan)
    expect(callsText(calls)).toBe(`0 of ${calls.length} things there`)
  })
})
