/** Recipes as people print them, read into Lea's: what is there is read, what cannot be is listed. Texts are our own. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AmountError } from '../../src/amount/ratio'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import type { RecipeRead } from '../../src/recipe/text/understood'
import { recipeSchema } from '../../src/schema/recipe/recipe'

const techniques = (r: RecipeRead): string[] => r.recipe.steps.flatMap((s) => s.tasks.map((t) => t.technique))
const line = (r: RecipeRead, food: string) => r.recipe.lines.find((l) => l.food === food)
const why = (r: RecipeRead, part: string): string[] =>
  r.unread.filter((u) => u.part === part).map((u) => u.why)

const SCONES = `Cheese scones
Makes 8 scones
Prep time: 15 minutes

Ingredients
- 225 g self-raising flour
- 50 g butter
- 80 g cheddar, grated
- 125 ml milk
- a pinch of salt

Method
1. Wash your hands.
2. Rub the butter into the flour until it looks like crumbs.
3. Add the cheddar and the salt. Pour in the milk and stir.
4. Shape the dough and cut out eight rounds.
5. An adult puts them in the oven and bakes them for 12-15 minutes at 220°C.
6. Leave to cool for 10 minutes, then taste.`

const STEPS = [
  'Wash your hands',
  'Rub the butter',
  'Grate the cheddar',
  'Add the cheddar',
  'Pour in the milk',
  'Shape the dough and cut',
  'Into the oven',
  'Leave to cool',
  'Taste',
]

describe('a plain recipe', () => {
  const read = readRecipe(SCONES)
  it('has its title, yield, lines and steps', () => {
    expect(read.recipe.title).toBe('Cheese scones')
    expect(read.recipe.pieces).toEqual({ what: 'scones', n: 8 })
    expect(read.recipe.lines.length + why(read, 'ingredient').length).toBe(5)
    expect(line(read, 'butter')).toMatchObject({ amount: '50', unit: 'g' })
    expect(line(read, 'cheddar')).toMatchObject({ amount: '80', unit: 'g', prep: 'grated' })
    // Washing is said; the rest by what goes in and where: crumbs, cheese and salt, milk, shaping, oven, cooling, tasting.
    expect(read.recipe.steps.map((s) => s.title)).toEqual(STEPS)
  })
  it('its steps say what hands do, with heat, waits and what goes in', () => {
    expect(techniques(read)).toEqual(
      expect.arrayContaining([
        'wash-hands',
        'rub-in',
        'pour-liquid',
        'stir',
        'shape',
        'cut-cutter',
        'use-oven',
        'taste',
      ]),
    )
    const bake = read.recipe.steps.find((s) => s.tasks.some((t) => t.place === 'oven'))
    expect(bake?.tasks.find((t) => t.mode === 'WAIT')).toMatchObject({ seconds: 900, celsius: 220 })
    expect(bake?.tasks.find((t) => t.mode === 'ADULT')).toBeDefined()
    const cool = read.recipe.steps
      .find((s) => /cool/i.test(s.says ?? ''))
      ?.tasks.find((t) => t.mode === 'WAIT')
    expect(cool?.seconds).toBe(600)
    const rub = read.recipe.steps.find((s) => s.tasks.some((t) => t.technique === 'rub-in'))
    expect(rub?.uses.map((u) => u.line)).toEqual(expect.arrayContaining(['butter']))
    expect(read.recipe.equipment).toContain('oven')
  })
  it('is a recipe that Lea can keep', () => {
    expect(() => recipeSchema.validateSync(read.recipe)).not.toThrow()
  })
  it('nothing is dropped: each line of the text stands in it, or is listed', () => {
    const kept = JSON.stringify([read.recipe, read.unread]).toLowerCase()
    for (const word of ['pinch', 'crumbs', 'cheddar', 'rounds', 'taste', 'milk']) expect(kept).toContain(word)
  })
})

describe('texts of many kinds', () => {
  const CASES: [string, string, (r: RecipeRead) => void][] = [
    [
      'without headings, without bullets',
      'Pear oats\nServes 4\n200 g rolled oats\n400 ml milk\n2 pears\nGrate the pears. Stir the oats and milk in a bowl.\nPut it in the fridge for 8 hours.',
      (r) => {
        expect(r.recipe.serves).toBe(4)
        expect(r.recipe.lines.map((l) => l.food)).toEqual(['oats-rolled', 'milk-cow', 'pear'])
        expect(r.recipe.steps.flatMap((s) => s.tasks).find((t) => t.mode === 'WAIT')).toMatchObject({
          seconds: 8 * 3600,
          place: 'fridge',
        })
      },
    ],
    [
      'from the US, in cups and Fahrenheit',
      'Corn squares\nYield: 12 servings\nIngredients:\n1 1/2 cups cornmeal\n½ cup all-purpose flour\n1 cup milk\nDirections:\nMix the cornmeal and flour. Pour in the milk. Bake for 25 minutes at 400°F.',
      (r) => {
        expect(r.recipe.serves).toBe(12)
        expect(r.recipe.lines.map((l) => l.amount)).toEqual(['3/2', '1/2', '1'])
        expect(r.recipe.steps.flatMap((s) => s.tasks).find((t) => t.celsius !== undefined)?.celsius).toBe(205)
      },
    ],
    [
      'with a gas mark and an hour and words for numbers',
      'Leek bake\nServes 6\nIngredients\n3 leeks\n500 g potatoes\nMethod\nSlice the leeks. Peel the potatoes. Bake at gas mark 6 for one hour.',
      (r) => {
        const wait = r.recipe.steps.flatMap((s) => s.tasks).find((t) => t.mode === 'WAIT')
        expect(wait).toMatchObject({ seconds: 3600, celsius: 200 })
      },
    ],
    [
      'with counts and each child',
      'Couscous\nServes 6\nIngredients\n2 cups couscous\n1 bunch parsley\nMethod\nEach child tears ten leaves of parsley. Everyone stirs three times.',
      (r) => {
        const counts = r.recipe.steps.flatMap((s) => s.tasks.flatMap((t) => t.counts ?? []))
        expect(counts).toEqual([
          { what: 'leaves', n: 10 },
          { what: 'times', n: 3 },
        ])
        const hands = r.recipe.steps.flatMap((s) => s.tasks).filter((t) => !t.measures)
        expect(hands.every((t) => t.mode === 'EACH')).toBe(true)
      },
    ],
    [
      'half now and the rest later',
      'Dip\nServes 4\nIngredients\n200 g yoghurt\n2 tbsp lemon juice\nMethod\nStir half the yoghurt with the lemon juice. Fold in the remaining yoghurt.',
      (r) => {
        const uses = r.recipe.steps.map((s) =>
          s.uses.filter((u) => u.line.includes('yoghurt')).map((u) => u.part),
        )
        expect(uses.flat()).toEqual(['1/2'])
      },
    ],
    [
      'all the dry ingredients at once',
      'Bread\nServes 8\nIngredients\n300 g plain flour\n1 tsp bicarbonate of soda\n250 ml buttermilk\nMethod\nPut the dry ingredients in a bowl.\nPour in the buttermilk and stir.\nBake for 30 minutes at 200 C.',
      (r) => {
        const [dry, wet] = r.recipe.steps.filter((s) => s.uses.length > 0)
        expect(dry?.uses.map((u) => u.line)).toEqual(expect.arrayContaining(['wheat-flour', 'bicarbonate']))
        expect(wet?.uses.map((u) => u.line)).toEqual(['buttermilk'])
      },
    ],
    [
      'a line without an amount, a range, a food that nobody knows: asked, not made up',
      'Soup\nServes 4\nIngredients\nsalt, to taste\n2-3 carrots\n100 g glimmerroot\nMethod\nSimmer for 20 minutes.',
      (r) => {
        expect(r.recipe.lines.map((l) => [l.food, l.amount, l.byEye])).toEqual([
          ['salt', '1', 'taste'],
          ['carrot', '2', undefined],
          ['own:glimmerroot', '100', undefined],
        ])
        expect(why(r, 'ingredient').join()).toMatch(/two numbers/)
        expect(r.notes.join(' ')).toMatch(/does not know this food/)
      },
    ],
    [
      'no yield: said, and taken as four',
      'Toast\nIngredients\n2 slices bread\nMethod\nSpread the bread.',
      (r) => {
        expect(r.recipe.serves).toBe(4)
        expect(why(r, 'yield').join()).toMatch(/for how many/)
      },
    ],
    [
      'what nobody puts in is listed',
      'Salad\nServes 4\nIngredients\n1 cucumber\n50 g cheddar\nMethod\nSlice the cucumber.',
      (r) =>
        expect(r.unread).toContainEqual(
          expect.objectContaining({ text: 'cheddar', why: expect.stringMatching(/no step/) }),
        ),
    ],
    [
      'done again: how often is asked',
      'Layers\nServes 4\nIngredients\n100 g oats\n1 pear\nMethod\nSpread the oats. Grate the pear. Repeat.',
      (r) => expect(why(r, 'step').join()).toMatch(/how often/),
    ],
    [
      'words for what is done already are no job',
      'Soup\nServes 4\nIngredients\n2 carrots\n500 ml water\nMethod\nPour the water over the chopped carrots. Simmer for 15 minutes.',
      (r) => expect(techniques(r)).not.toContain('bridge-cut'),
    ],
    [
      'steps numbered in brackets, with stars for bullets',
      'Raita\nServes 6\n* 300 g yoghurt\n* 1 cucumber\n1) Chop the cucumber.\n2) Stir it into the yoghurt.',
      (r) => {
        expect(r.recipe.lines.length).toBe(2)
        expect(techniques(r)).toEqual(['wash-hands', 'bridge-cut', 'level-scoop', 'stir'])
      },
    ],
    [
      'notes stand beside',
      'Bread\nServes 2\nIngredients\n100 g flour\nMethod\nKnead it.\nNotes\nChildren love it warm.',
      (r) =>
        expect(r.unread).toContainEqual({
          part: 'other',
          text: 'Children love it warm.',
          why: 'kept as a note',
        }),
    ],
  ]
  for (const [name, text, check] of CASES)
    it(name, () => {
      const r = readRecipe(text)
      check(r)
      expect(() => recipeSchema.validateSync(r.recipe)).not.toThrow()
    })
  it('the cups are of the system that is given', () => {
    const text = 'Mix\nServes 2\nIngredients\n1 cup oats\nMethod\nStir the oats.'
    expect(readRecipe(text, 'us').recipe.lines[0]?.unit).toBe('cup_us')
    expect(readRecipe(text, 'm').recipe.lines[0]?.unit).toBe('cup_m')
  })
})

describe('what is in no line is asked, for it would be looked for in nobody’s allergies', () => {
  const base =
    'Buns\nServes 4\nIngredients\n200 g plain flour\n1 tbsp sunflower oil\nMethod\nMix the flour and oil.\n'
  const asked = (more: string): string[] => {
    const r = readRecipe(base + more)
    return r.unread.filter((u) => u.part === 'ingredient').map((u) => u.why)
  }
  it('an egg, milk or seeds that only a step names', () => {
    expect(asked('Brush the tops with beaten egg.').join()).toMatch(/egg/i)
    expect(asked('Grease the tin with butter.').join()).toMatch(/milk/i)
    expect(asked('Scatter with sesame seeds.').join()).toMatch(/sesame/i)
    expect(asked('Stir in the peanut butter.').join()).toMatch(/peanut/i)
  })
  it('nothing where the lines have it', () => {
    expect(asked('Sprinkle with flour and knead.')).toEqual([])
  })
  it('an alternative beside a line, and a food in its preparation', () => {
    const r = readRecipe(
      'Mix\nServes 2\nIngredients\n50 g sunflower oil or butter\n200 g couscous, tossed with almonds\nMethod\nStir it.',
    )
    const text = r.unread.map((u) => `${u.text} ${u.why}`).join(' | ')
    expect(text).toMatch(/butter/)
    expect(text).toMatch(/almond/)
  })
})

describe('what is no recipe', () => {
  it('is refused in words: empty, too long', () => {
    expect(() => readRecipe(' \n ')).toThrow(AmountError)
    expect(() => readRecipe('x'.repeat(60_001))).toThrow(/60,000/)
  })
  it('any text at all is read or listed, and what comes out can be kept where it has a step', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.string({ maxLength: 60 }),
            fc.constantFrom('Ingredients', 'Method', '2 cups oats', 'Stir it for 5 minutes.'),
          ),
          { minLength: 1, maxLength: 12 },
        ),
        (parts) => {
          const text = parts.join('\n')
          if (text.trim() === '') return
          const r = readRecipe(text)
          if (r.recipe.steps.length > 0) recipeSchema.validateSync(r.recipe)
          else expect(r.unread.some((u) => u.part === 'step')).toBe(true)
        },
      ),
      { numRuns: 150 },
    )
  })
})
