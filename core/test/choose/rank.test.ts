import { describe, expect, it } from 'vitest'
import { isWanted } from '../../src/choose/filter'
import { themesOn } from '../../src/choose/theme'
import { evaluateRecipe } from '../../src/choose/evaluate-recipe'
import { timeShare } from '../../src/choose/fit-words'
import { rank } from '../../src/choose/rank'
import { remedyFor } from '../../src/choose/remedy'
import type { SelectionCriteria } from '../../src/choose/selection-criteria'
import { meet } from '../../src/food/concerns'
import { foodBook } from '../../src/food/own-foods'
import { compile, openStops } from '../../src/plan/compile'
import type { PlanChild } from '../../src/plan/model/request'
import { COMMON_ALLERGENS, recipeFacts } from '../../src/recipe/facts'
import { fromMonths } from '../../src/recipe/features'
import { heatsOf } from '../../src/recipe/heat'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { child, four, recipeOf, request } from '../group'

const wishFor = (
  children: PlanChild[],
  more: Partial<SelectionCriteria['base']> = {},
): SelectionCriteria => ({
  base: request(children, more),
})
const rows = SHIPPED_RECIPES.map((recipe) => ({ id: recipe.id, recipe }))
const milk = { allergen: 'milk', level: 'allergy-strict' } as const
const egg = { allergen: 'egg', level: 'allergy-strict' } as const

describe('the ranked shelf', () => {
  it('has every recipe once, with what speaks for it or against it in words', () => {
    const shelf = rank(rows, wishFor(four()))
    expect(shelf.map((l) => l.recipe).sort()).toEqual(rows.map((r) => r.id).sort())
    for (const look of shelf)
      expect(look.reasons.length + look.against.length, look.recipe).toBeGreaterThan(0)
    // Of allergens it is said what was found, or swapped; where something stands against it, that stands first.
    for (const look of shelf)
      if (look.figures.danger === 0 && look.figures.minutes > 0)
        expect(look.note).toMatch(/read the packets\.$/i)
    for (const look of shelf)
      expect(`${look.note} ${look.brief.join(' ')}`).not.toMatch(/\bsafe\b|\bfree\b|\b1 turns|\b1 packets/)
  })
  it('the bar says how much of the time there is a recipe takes, and never more than all of it', () => {
    const base = request(four(), {})
    const shelf = rank(rows, { base: { ...base, session: { ...base.session, until: '11:05' } } })
    for (const look of shelf.filter((l) => l.figures.minutes > 0 && l.figures.sittings === 1)) {
      const share = timeShare(look)
      expect(share?.percent, look.recipe).toBe(Math.min(100, Math.round((100 * look.figures.minutes) / 50)))
      expect(share?.says).toBe(`${look.figures.minutes} of 50 min`)
    }
    const { until: _, ...session } = base.session
    const [open] = rank(rows.slice(0, 1), { base: { ...base, session } })
    expect(open && timeShare(open)).toBeNull()
  })
  it('nobody in danger comes before everything else', () => {
    const shelf = rank(rows, wishFor([...four(), child('zuri', 41, { concerns: [milk] })]))
    const dangers = shelf.map((l) => l.figures.danger)
    expect(dangers).toEqual([...dangers].sort((a, b) => a - b))
  })
  it('the swaps that suit everyone are counted in, and named', () => {
    const look = evaluateRecipe(
      'bread',
      recipeOf('herb-soda-bread'),
      wishFor([...four(), child('z', 41, { concerns: [milk] })]),
    )
    expect(look.figures).toMatchObject({ danger: 0, swaps: 1 })
    expect(look.note).toMatch(/^For all: oat drink .*for buttermilk\. Read the packets\.$/)
  })
  it('what the look calls free of danger has no listed allergen in the whole plan either', () => {
    // The false 'nothing found' is the worst bug: the outline must find whatever the whole plan finds.
    const groups: PlanChild[][] = [
      [child('a', 40, { concerns: [milk] }), child('b', 52, { concerns: [egg] })],
      [child('a', 30, { concerns: [{ allergen: 'coeliac', level: 'coeliac' }] }), child('b', 60)],
      [child('a', 50, { concerns: [{ allergen: 'sesame', level: 'anaphylaxis-risk' }], diets: ['vegan'] })],
    ]
    for (const group of groups)
      for (const { id, recipe } of rows) {
        const look = evaluateRecipe(id, recipe, wishFor(group))
        const plan = compile(request(group, { recipe, decisions: look.decisions }))
        const listed = openStops(plan).filter(
          (f) => f.rule === 'shape' || f.touches.some((t) => t.meeting === 'lists'),
        )
        if (listed.length > 0)
          expect(
            look.against.map((a) => a.kind),
            `${id} ${listed[0]?.says}`,
          ).toContain('danger')
        else expect(look.figures.danger, id).toBeLessThanOrEqual(openStops(plan).length)
        // What is chosen freely, and not offered to somebody, is found all the same.
        if (plan.checks.some((c) => c.meeting === 'lists'))
          expect(look.note, id).not.toMatch(/^Nothing found/)
      }
  })
  it('kit that is missing, a late end, too few adults and a budget stand against a recipe', () => {
    const kinds = (id: string, wish: SelectionCriteria): string[] =>
      evaluateRecipe(id, recipeOf(id), wish).against.map((a) => a.kind)
    const bare = { ...request(four()).kit, equipment: ['fridge'] }
    expect(kinds('herb-soda-bread', wishFor(four(), { kit: bare }))).toContain('kit')
    const short = { id: 's', date: '2026-11-26', start: '10:15', until: '10:30' }
    expect(kinds('herb-soda-bread', wishFor(four(), { session: short }))).toContain('clock')
    expect(kinds('herb-soda-bread', wishFor(four(), { adults: [{ id: 'gwenda', leads: [] }] }))).toContain(
      'adults',
    )
    const cupboard = [{ food: 'wheat-flour', packs: [{ size: '1', unit: 'kg', price: 5000 }] }]
    expect(kinds('herb-soda-bread', { ...wishFor(four(), { cupboard }), budget: 1 })).toContain('budget')
  })
  it('a theme that is asked for comes first among those that can be made', () => {
    const shelf = rank(rows, { ...wishFor(four()), theme: 'Winter' })
    const fine = shelf.filter((l) => l.against.length === 0)
    const themed = fine.map((l) => l.figures.ofTheme)
    expect(themed[0]).toBe(true)
    expect(themed.lastIndexOf(true)).toBeLessThan(themed.indexOf(false))
  })
  it('what was made lately goes down, what was liked up', () => {
    const made = { last: '2026-11-20', times: 1, more: 0, tried: 4, notToday: 0 }
    const liked = { last: '2026-09-01', times: 1, more: 9, tried: 0, notToday: 0 }
    const soup = recipeOf('lentil-letter-soup')
    const wish = wishFor(four())
    const shelf = rank(
      [
        { id: 'lately', recipe: soup, made },
        { id: 'never', recipe: soup },
        { id: 'liked', recipe: soup, made: liked },
      ],
      wish,
    )
    expect(shelf.map((l) => l.recipe)).toEqual(['liked', 'never', 'lately'])
    expect(shelf[0]?.reasons).toContain('most wanted more of it')
    expect(shelf[2]?.reasons).toContain('last made 6 days ago')
  })
  it('with a cupboard, what is in it comes first, and what is to buy is named', () => {
    const cupboard = ['oats-rolled', 'pear', 'milk-cow', 'cinnamon'].map((food) => ({
      food,
      packs: [],
      have: {
        amount: food === 'pear' ? '20' : '9000',
        unit: food === 'pear' ? 'item' : food === 'milk-cow' ? 'mL' : 'g',
      },
    }))
    const shelf = rank(rows, { ...wishFor(four(), { cupboard }), fromCupboard: true })
    const fine = shelf.filter((l) => l.against.length === 0)
    const buys = fine.map((l) => l.figures.toBuy.length)
    expect(buys).toEqual([...buys].sort((a, b) => a - b))
    expect(fine.filter((l) => l.figures.toBuy.length === buys[0]).map((l) => l.recipe)).toContain(
      'overnight-oats-pear',
    )
  })
  it('nobody at the table is said, not thrown', () => {
    const look = evaluateRecipe('x', recipeOf('herb-soda-bread'), wishFor([]))
    expect(look.against).toEqual([
      { kind: 'plan', says: expect.stringContaining('nobody is in this session') },
    ])
  })
  it('a baby in arms is no child without a job', () => {
    const look = evaluateRecipe(
      'x',
      recipeOf('cucumber-mint-raita'),
      wishFor([...four(), child('ondine', 11)]),
    )
    expect(look.figures.out).toBe(0)
  })
})

describe('the cheapest remedy', () => {
  it('one more adult, where nobody here leads the heat; tried for real', () => {
    const wish = wishFor(four(), { adults: [{ id: 'gwenda', leads: ['knives'] }] })
    const look = evaluateRecipe('b', recipeOf('herb-soda-bread'), wish)
    const remedy = remedyFor(look, recipeOf('herb-soda-bread'), wish)
    expect(remedy).toMatchObject({ clears: true, left: [] })
    expect(remedy?.says).toMatch(/adult/i)
    expect(remedy?.after.against).toEqual([])
  })
  it('an earlier start, where it would end late', () => {
    const wish = wishFor(four(), { session: { id: 's', date: '2026-11-26', start: '10:15', until: '11:00' } })
    const soup = recipeOf('lentil-letter-soup')
    const look = evaluateRecipe('s', soup, wish)
    expect(look.figures.late).toBeGreaterThan(0)
    const remedy = remedyFor(look, soup, wish)
    expect(remedy?.clears).toBe(true)
    expect(remedy?.after.figures.late).toBe(0)
  })
  it('an own bowl or a shape, where a food meets somebody', () => {
    const group = [...four(), child('bodhi', 20)]
    for (const { id, recipe } of rows) {
      const look = evaluateRecipe(id, recipe, wishFor(group))
      if (!look.against.some((a) => a.kind === 'danger')) continue
      const remedy = remedyFor(look, recipe, wishFor(group))
      if (remedy?.clears) expect(remedy.after.figures.danger).toBe(0)
    }
  })
  it('none where nothing stands against it, and none that is no help', () => {
    const wish = wishFor(four())
    const fine = evaluateRecipe('r', recipeOf('cucumber-mint-raita'), wish)
    expect(fine.against).toEqual([])
    expect(remedyFor(fine, recipeOf('cucumber-mint-raita'), wish)).toBeNull()
    const bare = wishFor(four(), { kit: { ...request(four()).kit, equipment: ['fridge'] } })
    const bread = evaluateRecipe('b', recipeOf('herb-soda-bread'), bare)
    expect(remedyFor(bread, recipeOf('herb-soda-bread'), bare)).toBeNull()
  })
})

describe('finding on the shelf', () => {
  const foods = foodBook()
  const found = (f: Parameters<typeof isWanted>[2]): string[] =>
    SHIPPED_RECIPES.filter((r) => isWanted(r, recipeFacts(r, foods), f)).map((r) => r.id)
  it('by words, theme, heat and technique', () => {
    expect(found({ words: 'carrot lentil' })).toEqual(['lentil-letter-soup'])
    expect(found({ theme: 'bread' })).toContain('herb-soda-bread')
    expect(found({ heat: 'fire' })).toEqual(['embers-hot-pot'])
    expect(found({ heat: 'none' })).toContain('couscous-jars')
    expect(found({ technique: 'knead' })).toContain('risen-flatbreads')
    expect(found({ oneSitting: true })).not.toContain('overnight-oats-pear')
  })
  it('without an allergen: only where every food is known to Lea', () => {
    const without = found({ without: ['milk'] })
    expect(without).not.toContain('herb-soda-bread')
    const odd = { ...recipeOf('couscous-jars'), lines: [...recipeOf('couscous-jars').lines] }
    odd.lines = odd.lines.map((l, i) => (i === 0 ? { ...l, food: 'own:grandmothers-paste' } : l))
    expect(isWanted(odd, recipeFacts(odd, foods), { without: ['peanut'] })).toBe(false)
  })
  it('by an allergen as the foods themselves say; and where nothing is known of a recipe, nothing is said of it', () => {
    for (const r of SHIPPED_RECIPES)
      for (const a of COMMON_ALLERGENS) {
        const met = r.lines.map((l) => foods.of(l.food)).map((f) => meet(a, f))
        expect(isWanted(r, recipeFacts(r, foods), { without: [a] }), `${r.id} ${a}`).toBe(
          !met.includes('lists'),
        )
        expect(isWanted(r, undefined, { without: [a] })).toBe(false)
      }
    const bread = recipeOf('herb-soda-bread')
    expect(isWanted(bread, undefined, { heat: 'oven' })).toBe(true)
    expect(isWanted(bread, undefined, { words: 'bread' })).toBe(false)
  })
  it('themes are counted, the commonest first', () => {
    const themes = themesOn(SHIPPED_RECIPES)
    expect(themes[0]?.n).toBeGreaterThanOrEqual(themes[1]?.n ?? 0)
    expect(themes.find((t) => t.name === 'autumn')?.kind).toBe('season')
  })
  it('heat and the age it begins at', () => {
    expect(heatsOf(recipeOf('couscous-jars'))).toEqual(['none'])
    expect(heatsOf(recipeOf('herb-soda-bread'))).toEqual(['oven'])
    for (const r of SHIPPED_RECIPES) expect(fromMonths(r)).toBeGreaterThanOrEqual(18)
  })
})
