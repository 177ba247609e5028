/** A stored plan that is none is found out before anybody walks over it. */
import { describe, expect, it } from 'vitest'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { compile } from '../../../src/plan/compile'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { hasPlanShape } from '../../../src/plan/check/plan-shape'
import { upgradePlan, type StoredPlan } from '../../../src/plan/model/upgrade/upgrade'
import plan1 from '../model/plan-1.json'
import plan2 from '../model/plan-2.json'
import plan3 from '../model/plan-3.json'
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

describe('every field of a plan', () => {
  const groups = [
    [child('wren', 60), child('idris', 50)],
    [
      child('wren', 26, {
        concerns: [{ allergen: 'milk', level: 'anaphylaxis-risk' }],
        carePlan: true,
      }),
      child('idris', 70, { hand: 'left', needs: ['limited-grip'] }),
      child('ada', 146),
    ],
  ]
  it.each(groups)('is what its type says, in the plan of every shipped recipe', (...group) => {
    for (const recipe of SHIPPED_RECIPES)
      expect(planFault(compile(request(group, { recipe }))), recipe.title).toBeNull()
  })
  it.each([plan1, plan2, plan3])('is so in a plan of an earlier version, as it is read today', (stored) => {
    expect(planFault(upgradePlan(stored as unknown as StoredPlan))).toBeNull()
  })

  /** All places of a value, the deepest last. */
  function* places(value: unknown, at: (string | number)[] = []): Generator<(string | number)[]> {
    if (at.length > 0) yield at
    if (Array.isArray(value)) for (const [i, one] of value.entries()) yield* places(one, [...at, i])
    else if (value && typeof value === 'object')
      for (const [key, one] of Object.entries(value)) yield* places(one, [...at, key])
  }
  const changedAt = (whole: object, at: (string | number)[], to: (was: unknown) => unknown): unknown => {
    const copy = JSON.parse(JSON.stringify(whole)) as Record<string | number, unknown>
    const holder = at.slice(0, -1).reduce((v, key) => v[key] as Record<string | number, unknown>, copy)
    const last = at.at(-1) ?? ''
    holder[last] = to(holder[last])
    return copy
  }
  const written = (at: (string | number)[]): string =>
    at.reduce<string>((text, key) => (typeof key === 'number' ? `${text}[${key}]` : `${text}.${key}`), 'plan')
  const whole = JSON.parse(
    JSON.stringify(compile(request(groups[1] ?? [], { recipe: SHIPPED_RECIPES[0] }))),
  ) as object
  // Facts, decisions, words and prompts are their own rooms': held to their kind.
  const inner = /\.(fact|tell|beside|decision|decisions|ineffective|words|pair|tin|cause)\b.*/
  it('is found where something else stands in it, and by its name', () => {
    let looked = 0
    for (const at of places(whole)) {
      if (inner.test(written(at))) continue
      // One of a long list stands for the others.
      if (at.some((key) => typeof key === 'number' && key > 0)) continue
      looked += 1
      const wrong = planFault(
        changedAt(whole, at, (was) => (was !== null && typeof was === 'object' ? 7 : { odd: was })),
      )
      expect(wrong, written(at)).toContain(written(at))
    }
    expect(looked).toBeGreaterThan(150)
  })
  it('beside them is refused, wherever it stands', () => {
    for (const at of places(whole)) {
      if (inner.test(written(at)) || at.some((key) => typeof key === 'number' && key > 0)) continue
      const value = at.reduce<unknown>((v, key) => (v as Record<string | number, unknown>)[key], whole)
      if (!value || typeof value !== 'object' || Array.isArray(value)) continue
      const wrong = planFault(changedAt(whole, at, (was) => ({ ...(was as object), smuggled: 'x' })))
      expect(wrong, written(at)).toBe(`${written(at)}.smuggled is unknown`)
    }
    expect(planFault({ ...whole, smuggled: 1 })).toBe('plan.smuggled is unknown')
    expect(planFault(null)).toBe('plan is no object')
  })
})
