import { describe, expect, it } from 'vitest'
import { compile, openStops } from '../../src/plan/compile'
import { ownChoices } from '../../src/recipe/own-choices'
import { passesOf } from '../../src/recipe/kinds/passes'
import { sizeIn } from '../../src/recipe/text/kinds/kinds-in-text'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { recipeToText } from '../../src/recipe/text/page/to-text'
import { child, request } from '../group'

const FOODS = ['200 g cucumber', '200 g sweetcorn', '100 g grated cheddar', '200 g plain yoghurt']
const page = (method: string, lines = FOODS): string =>
  `Garden plates\nServes 6\n\nIngredients\n${lines.map((l) => `- ${l}`).join('\n')}\n\nMethod\n${method}\n`
const read = (method: string, lines = FOODS) => readRecipe(page(method, lines))

describe('kinds of work in plain words', () => {
  it.each([
    ['1. Mix the yoghurt and the cucumber. Pass the bowl round the table.', 1],
    ['1. Mix the yoghurt and cucumber.\n2. Hand the bowl around twice: each child takes a spoonful.', 2],
    ['1. Stir the yoghurt. The bowl goes round the table three times.', 3],
    ['1. Stir the yoghurt and the sweetcorn. Send it along to the next child.', 1],
  ])('goes round: %s', (method, times) => {
    const { recipe, notes } = read(method)
    const step = recipe.steps.find((s) => passesOf(s))
    expect(passesOf(step ?? ({ tasks: [] as never[] } as never))?.times).toBe(times)
    expect(notes.some((n) => n.startsWith('goes round'))).toBe(true)
  })

  it('keeps the words that are said from hand to hand', () => {
    const { recipe } = read(
      '1. Stir the yoghurt. Pass the bowl round: “Would you like a spoon?” “Yes please!”',
    )
    expect(recipe.steps.flatMap((s) => passesOf(s) ?? [])[0]).toMatchObject({
      asks: 'Would you like a spoon?',
      answers: 'Yes please!',
    })
  })

  it.each([
    '1. Pass the flour through a sieve round the bowl.',
    '1. Roll the dough around the cheese.',
    '1. Stir round and round until smooth.',
    '1. Go round the edge with a fork.',
    '1. Spread the yoghurt around the plate.',
    '1. Stir the yoghurt. Hand out spoons around the table.',
    '1. Pass each child a cup, stir, and look around.',
  ])('does not go round: %s', (method) => {
    expect(read(method).recipe.steps.some((s) => passesOf(s))).toBe(false)
  })

  it.each([
    ['1. Cut the cucumber.\n2. Taste the cucumber and the sweetcorn with eyes closed.', true, 2],
    ['1. Close your eyes and taste the cucumber, the sweetcorn and the cheddar: which is which?', true, 3],
    ['1. Cut the cucumber.\n2. Taste the cucumber, the sweetcorn and the cheddar side by side.', false, 3],
    ['1. Blindfold each child. Taste the sweetcorn, then the cucumber.', true, 2],
  ])('is tasted one by one: %s', (method, covered, n) => {
    const { recipe } = read(method)
    const tasting = recipe.steps.find((s) => s.tasting)?.tasting
    expect(tasting?.covered === true).toBe(covered)
    expect(tasting?.lines.length).toBe(n)
  })

  it.each([
    '1. Mix everything. Taste it.',
    '1. Cover the bowl and taste the cucumber and the sweetcorn.',
    '1. Lay them side by side on the tray.',
    '1. Remove the eyes of the potatoes, closed pan, and taste.',
  ])('is no tasting: %s', (method) => {
    expect(read(method).recipe.steps.some((s) => s.tasting)).toBe(false)
  })

  it.each([
    [
      '1. Spoon the yoghurt into the cups.\n2. Each child chooses two of the cucumber, sweetcorn and cheddar.',
      2,
      3,
    ],
    ['1. Fill the pots with yoghurt.\n2. Choose a topping: cheddar, cucumber or sweetcorn.', 1, 3],
    ['1. Fill the pots.\n2. Everyone picks from the cheddar and the sweetcorn.', 1, 2],
  ])('is chosen freely: %s', (method, take, n) => {
    const { recipe } = read(method)
    expect(recipe.choices?.[0]?.lines.length).toBe(n)
    expect(recipe.choices?.[0]?.take).toBe(take)
  })

  it('a choice that is mixed for all stops as every line does, whatever the words say', () => {
    const { recipe } = read('1. Choose from the cheddar and the sweetcorn. Mix everything in the big bowl.')
    expect(ownChoices(recipe)).toEqual([])
    const kids = [
      child('wren', 60),
      child('idris', 50, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] }),
    ]
    expect(openStops(compile(request(kids, { recipe }))).length).toBeGreaterThan(0)
  })

  it('parts for the small are read from the line', () => {
    expect(sizeIn('6 wraps, half for under-fours')).toEqual({ below: 48, part: '1/2' })
    expect(sizeIn('6 flatbreads (a quarter for the under threes)')).toEqual({ below: 36, part: '1/4' })
    expect(sizeIn('half of the flatbreads for later')).toBeNull()
    expect(sizeIn('6 flatbreads (a quarter each for under 3s)')).toEqual({ below: 36, part: '1/4' })
    expect(sizeIn('half a cup of flour for the cake')).toBeNull()
    const { recipe } = read('1. Spread the yoghurt on the flatbreads.', [
      ...FOODS,
      '6 flatbreads, half for under 3s',
    ])
    expect(recipe.lines.find((l) => l.food === 'flatbread')).toMatchObject({
      each: true,
      sizes: [{ below: 36, part: '1/2' }],
    })
  })

  it('looks at what grows come from their days', () => {
    const { recipe } = read(
      '1. Sow the cress seeds on wet paper.\n2. Day 3: look for the first root. Day 1: is it damp? Day 7: measure how high it is.',
      ['6 tsp cress seeds', '12 tbsp water'],
    )
    expect(recipe.grows?.looks.map((l) => l.day)).toEqual([1, 3, 7])
    expect(recipe.grows?.measured).toBe(true)
    expect(read('1. Stir the yoghurt. Keeps until day 3 in the fridge.').recipe.grows).toBeUndefined()
  })

  it('whatever was read of it can be kept and planned', async () => {
    for (const method of [
      '1. Stir the yoghurt. Hand it around twice.\n2. Close your eyes and taste the cucumber and sweetcorn.',
      '1. Fill the pots with yoghurt.\n2. Each child chooses two of the cucumber, sweetcorn and cheddar.',
    ]) {
      const { recipe } = read(method)
      await expect(recipeSchema.validate(recipe)).resolves.toBeDefined()
      const of = request([child('wren', 60), child('kofi', 40), child('maren', 30)], { recipe })
      expect(compile(of).tasks.length).toBeGreaterThan(0)
    }
  })

  it('nothing of it comes out of a shipped recipe’s own words that it does not say', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const text = recipeToText(recipe).split('--- for Lea')[0] ?? ''
      const back = readRecipe(text).recipe
      const has = (r: typeof recipe) => ({
        tasting: r.steps.some((s) => s.tasting),
        round: r.steps.some((s) => passesOf(s)),
      })
      const [was, now] = [has(recipe), has(back)]
      if (!was.tasting) expect(now.tasting, recipe.id).toBe(false)
      if (!was.round) expect(now.round, recipe.id).toBe(false)
    }
  })
})
