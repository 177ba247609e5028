import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile, openStops } from '../../../src/plan/compile'
import { sceneView } from '../../../src/plan/view/scene-view'
import { putTogether } from '../../../src/recipe/put-together'
import { recipeSchema } from '../../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../../group'

const boats = recipeOf('harbour-boats')
const group = [
  child('wren', 64),
  child('idris', 40, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] }),
  child('maren', 52),
  child('kofi', 30),
]
const asked = (more = {}) => request(group, { recipe: boats, ...more })
const plan = compile(asked())

describe('a picture in a plan', () => {
  it('stands in the plan, keeps every rule, and stops nobody', () => {
    expect(plan.scenes?.map((s) => [s.step, s.parts.length])).toEqual([['build', 5]])
    expect(breaches(plan, asked())).toEqual([])
    expect(planFault(JSON.parse(JSON.stringify(plan)))).toBeNull()
    expect(openStops(plan).map((f) => f.says)).toEqual([])
  })

  it('offers for a part only what the card allows: one child’s sails are of pepper, and nobody else is stopped', () => {
    const sails = plan.choices?.find((c) => c.what === 'sail')
    expect(sails?.offers.find((o) => o.child === 'idris')?.lines).toEqual(['pepper'])
    expect(sails?.offers.find((o) => o.child === 'wren')?.lines).toEqual(['cheese', 'pepper'])
    const his = sceneView(plan, 'build', 'idris')
    expect(his?.rows[1]).toMatch(/^2 sails left and right, mirrored: .*pepper/)
    expect(his?.pieces.filter((p) => p.part === 1).map((p) => p.word)).toEqual([
      'sweet-pepper',
      'sweet-pepper',
    ])
  })

  it('draws what a child took, not what was reckoned', () => {
    expect(sceneView(plan, 'build', 'wren', ['cheese'])?.rows[1]).toMatch(/cheddar/i)
    expect(sceneView(plan, 'build', 'wren', ['pepper'])?.rows[1]).toMatch(/pepper/i)
    // What it must not have it cannot have taken.
    expect(sceneView(plan, 'build', 'idris', ['cheese'])?.rows[1]).toMatch(/pepper/i)
  })

  it('gives numbers and mirror sides to talk of, as many as lie there', () => {
    const facts = plan.talk.find((t) => t.step === 'build')?.ideas?.map((i) => i.says) ?? []
    expect(facts).toContain('sails, left and right')
    expect(facts).toContain('5 waves')
    expect(facts).toContain('3 gulls')
  })

  it('says where counted pieces run short, and not where they are cut first', () => {
    const few = {
      ...boats,
      lines: boats.lines.map((l) => (l.id === 'parsley' ? { ...l, amount: '6' } : l)),
    }
    const found = compile(asked({ recipe: few })).findings.find((f) => f.rule === 'scene')
    expect(found?.says).toContain('12 pieces, and there are 4')
    expect(plan.findings.filter((f) => f.rule === 'scene')).toEqual([])
  })

  it('goes into several things put together with its own lines', () => {
    const both = putTogether([recipeOf('cucumber-mint-raita'), boats], 'own:both')
    if ('refused' in both) throw new Error(both.refused)
    expect(recipeSchema.isValidSync(both)).toBe(true)
    const of = compile(asked({ recipe: both }))
    expect(of.scenes?.[0]?.parts[1]?.lines).toEqual(['2-cheese', '2-pepper'])
  })
})
