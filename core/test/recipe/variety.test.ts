import { describe, expect, it } from 'vitest'
import { breaches } from '../../src/plan/check/check'
import { planFault } from '../../src/plan/check/fields/plan-fields'
import { compile } from '../../src/plan/compile'
import { differences } from '../../src/recipe/changes'
import { varietyFault } from '../../src/recipe/kinds/variety'
import type { Recipe } from '../../src/recipe/recipe'
import { lineText } from '../../src/recipe/text/page/to-json-ld'
import { SHIPPED_BOOK } from '../../src/food/foods'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../group'

const garden = recipeOf('guess-the-garden')
/** Three carrots side by side. */
const carrots: Recipe = {
  ...garden,
  lines: [
    ...['orange', 'yellow', 'purple'].map((variety, i) => ({
      id: `c${i}`,
      food: 'carrot',
      variety,
      amount: '6',
      unit: 'tbsp_m',
      role: 'main' as const,
      prep: 'grated',
      shape: 'GRATE',
      each: true,
    })),
  ],
  steps: [
    ...garden.steps.slice(0, 1),
    {
      id: 'taste',
      title: 'Three carrots',
      picture: 'carrot',
      uses: [0, 1, 2].map((i) => ({ line: `c${i}`, part: '1' })),
      tasting: { lines: ['c0', 'c1', 'c2'] },
      tasks: [
        { technique: 'level-scoop', mode: 'EACH', measures: true, seconds: 15 },
        { technique: 'taste', mode: 'EACH', seconds: 60 },
      ],
    },
  ],
}

describe('varieties of one food', () => {
  it('have their names in the plan, the tasting, the talk and the shopping, where the food is bought once', async () => {
    await expect(recipeSchema.validate(carrots)).resolves.toBeDefined()
    const of = request([child('wren', 60), child('idris', 50)], { recipe: carrots })
    const plan = compile(of)
    expect(breaches(plan, of)).toEqual([])
    expect(planFault(JSON.parse(JSON.stringify(plan)))).toBeNull()
    expect(plan.bowls[0]?.lines.map((l) => l.name)).toEqual([
      'orange carrot',
      'yellow carrot',
      'purple carrot',
    ])
    expect(plan.tastings?.[0]?.tasters[0]?.tastes.map((t) => t.name)).toContain('yellow carrot')
    expect(plan.shopping.filter((r) => r.food === 'carrot')).toHaveLength(1)
    expect(plan.shopping[0]?.name).toMatch(/^carrot: 2 tbsp orange, 2 tbsp yellow, 2 tbsp purple$/)
    const facts = plan.talk.find((t) => t.step === 'taste')?.ideas?.map((i) => i.says)
    expect(facts?.join()).toContain('orange carrot')
    expect(plan.findings.some((f) => f.rule === 'tasting')).toBe(false)
  })

  it.each(['walnut', 'with walnuts', 'milk', 'peanut', 'egg', 'sesame', 'oat', 'soya', 'almond'])(
    '%s is no variety: it would hide a food',
    async (variety) => {
      expect(varietyFault(variety)).not.toBeNull()
      const hidden = { ...carrots, lines: carrots.lines.map((l, i) => (i === 0 ? { ...l, variety } : l)) }
      await expect(recipeSchema.validate(hidden)).rejects.toThrow(/names a food/)
    },
  )

  it.each(['red', 'orange', 'from our tree', 'early', 'sweet', 'the old one', 'ripe', 'sour'])(
    '%s is one',
    (variety) => {
      expect(varietyFault(variety)).toBeNull()
    },
  )

  it('is written out, and a change of it is named', () => {
    const [line] = carrots.lines
    if (!line) throw new Error('no line')
    expect(lineText(line, SHIPPED_BOOK, 6)).toMatch(/orange carrot/)
    const other = {
      ...carrots,
      lines: carrots.lines.map((l) => (l === line ? { ...l, variety: 'white' } : l)),
    }
    expect(differences(carrots, other, SHIPPED_BOOK).join()).toContain('white')
  })
})
