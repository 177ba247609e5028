/** Questions that a reading leaves, and what an answer does; roles guessed with their reason. */
import { describe, expect, it } from 'vitest'
import { MENTIONED, OUT } from '../../src/recipe/text/understood'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import type { Answers, RecipeRead } from '../../src/recipe/text/understood'

const TEXT = `Pear batter cups
Ingredients
150 g plain flour
1 tsp baking powder
1 egg
200 ml milk or oat drink
2-3 pears
salt, to taste
Method
Grate the pears.
Whisk the egg and milk. Stir in the flour and baking powder.
Brush the cups with melted butter.
Bake for 20 minutes at 180 C.`
const read = (answers: Answers = {}): RecipeRead => readRecipe(TEXT, 'm', undefined, answers)
const ask = (r: RecipeRead, start: string) => r.questions.find((q) => q.text.startsWith(start))

describe('what Lea asks of a messy recipe', () => {
  const first = read()
  it('one question for each thing it is not sure of; what could hurt must be settled', () => {
    expect(first.questions.filter((q) => q.must).map((q) => q.text)).toEqual(['200 ml milk or oat drink'])
    // The lower of two numbers, and salt by eye, hold until somebody says otherwise.
    expect(first.questions.filter((q) => !q.must).map((q) => q.text)).toEqual(
      expect.arrayContaining(['', '2-3 pears']),
    )
    expect(first.recipe.lines.find((l) => l.food === 'pear')?.amount).toBe('2')
    expect(first.recipe.lines.find((l) => l.food === 'salt')).toMatchObject({ byEye: 'taste' })
  })
  it('an alternative: both are offered with the amount, the one that is chosen stands', () => {
    const q = ask(first, '200 ml milk')
    expect(q?.choices.map((c) => c.answer)).toEqual(['200 ml milk', '200 ml oat drink', OUT])
    const after = read({ [q?.key ?? '']: '200 ml oat drink' })
    expect(after.recipe.lines.map((l) => l.food)).toContain('oat-drink')
    expect(after.recipe.lines.map((l) => l.food)).not.toContain('milk-cow')
    expect(ask(after, '200 ml milk')).toBeUndefined()
  })
  it('a range: one of the two numbers', () => {
    const q = ask(first, '2-3 pears')
    expect(q?.choices.map((c) => c.answer)).toEqual(['2 pears', '3 pears'])
    expect(read({ [q?.key ?? '']: '3 pears' }).recipe.lines.find((l) => l.food === 'pear')?.amount).toBe('3')
  })
  it('no amount: an amount, or left out and said so', () => {
    const q = { key: first.lines.find((l) => l.line === 'salt')?.key }
    const out = read({ [q.key ?? '']: OUT })
    expect(out.recipe.lines.map((l) => l.food)).not.toContain('salt')
    expect(out.notes).toContain('left out: salt, to taste')
    expect(read({ [q.key ?? '']: '1 pinch salt' }).recipe.lines.find((l) => l.food === 'salt')).toMatchObject(
      { amount: '1', unit: 'pinch' },
    )
  })
  it('an answer that cannot be read either is asked again, with its own words', () => {
    const q = { key: first.lines.find((l) => l.line === 'salt')?.key }
    const after = read({ [q.key ?? '']: 'just some' })
    expect(after.questions.find((x) => x.key === q.key)?.text).toBe('just some')
  })
  it('what only a step names: a line more, or only mentioned', () => {
    // While there is milk in a line, butter brings nothing that is not looked for; without it, it does. The "milk" of the step is the
    // line that was settled otherwise: that is not asked.
    const oat = { [ask(first, '200 ml milk')?.key ?? '']: '200 ml oat drink' }
    expect(read(oat).questions.some((q) => q.text.startsWith('Whisk'))).toBe(false)
    const q = ask(read(oat), 'Brush the cups')
    expect(q?.asks).toMatch(/names milk/)
    const more = read({ ...oat, [q?.key ?? '']: '15 g butter' })
    expect(more.recipe.lines.at(-1)).toMatchObject({ food: 'butter', amount: '15' })
    expect(ask(more, 'Brush the cups')).toBeUndefined()
    expect(ask(read({ ...oat, [q?.key ?? '']: MENTIONED }), 'Brush the cups')).toBeUndefined()
  })
  it('for how many; and an answer that is taken back is as if it had never been given', () => {
    expect(read({ yield: '8' }).recipe.serves).toBe(8)
    expect(read({})).toEqual(first)
  })
  it('with all answered, nothing must be settled', () => {
    const answers = { [ask(first, '200 ml milk')?.key ?? '']: '200 ml milk' }
    expect(read(answers).questions.filter((q) => q.must)).toEqual([])
  })
  it('done again: as often as it is said', () => {
    const text =
      'Jars\nServes 4\nIngredients\n200 g oats\n200 g plain yoghurt\nMethod\nSpread the oats. Arrange the yoghurt. Repeat.'
    const q = readRecipe(text).questions.find((x) => x.key.startsWith('again:'))
    const tasks = (n: string): number =>
      readRecipe(text, 'm', undefined, { [q?.key ?? '']: n })
        .recipe.steps.find((s) => `again:${s.id}` === q?.key)
        ?.tasks.filter((t) => !t.measures).length ?? 0
    expect(tasks('2')).toBe(2 * tasks('1'))
  })
  it('a line that no step uses goes into the step that is named', () => {
    const text =
      'Dip\nServes 4\nIngredients\n200 g plain yoghurt\n2 tbsp chives\nMethod\nStir the yoghurt. Taste.'
    const q = readRecipe(text).questions.find((x) => x.key.startsWith('unused:'))
    const step = q?.choices[0]?.answer ?? ''
    const after = readRecipe(text, 'm', undefined, { [q?.key ?? '']: step })
    expect(after.recipe.steps.find((s) => s.id === step)?.uses.map((u) => u.line)).toContain('chives')
  })
})

describe('roles, by the other lines and by what the steps say (common practice, from memory)', () => {
  const CASES: [string, string[], string, string, string][] = [
    [
      'egg brushed on',
      ['200 g plain flour', '1 egg'],
      'Knead the flour. Brush with the egg.',
      'egg-hen',
      'glaze',
    ],
    [
      'egg that holds a mash',
      ['400 g potatoes', '1 egg'],
      'Mash the potatoes with the egg. Shape cakes.',
      'egg-hen',
      'binder',
    ],
    [
      'egg beside flour and baking powder',
      ['300 g plain flour', '2 tsp baking powder', '1 egg', '200 ml milk'],
      'Stir the egg, milk and flour.',
      'egg-hen',
      'binder',
    ],
    [
      'egg as the dish itself',
      ['6 eggs', '50 g spinach'],
      'Whisk the eggs. Cook for 5 minutes.',
      'egg-hen',
      'main',
    ],
    [
      'milk that wets flour',
      ['300 g plain flour', '200 ml milk'],
      'Pour the milk into the flour.',
      'milk-cow',
      'liquid',
    ],
    [
      'milk that sets',
      ['600 ml milk', '3 tsp gelatine'],
      'Sprinkle the gelatine over the milk. Chill until set.',
      'milk-cow',
      'main',
    ],
    [
      'butter rubbed in',
      ['200 g plain flour', '100 g butter'],
      'Rub the butter into the flour.',
      'butter',
      'fat-rubbed',
    ],
    [
      'butter melted',
      ['200 g rolled oats', '100 g butter'],
      'Melt the butter. Stir in the oats.',
      'butter',
      'fat-melted',
    ],
    [
      'oil for the pan',
      ['300 g potatoes', '2 tbsp sunflower oil'],
      'Fry the potatoes in the oil.',
      'sunflower-oil',
      'frying',
    ],
    [
      'yoghurt on top',
      ['200 g red lentils', '50 g plain yoghurt'],
      'Serve the lentils topped with yoghurt.',
      'yoghurt-plain',
      'topping',
    ],
    [
      'yoghurt as the dish',
      ['300 g plain yoghurt', '1 cucumber'],
      'Stir the yoghurt and cucumber.',
      'yoghurt-plain',
      'main',
    ],
    [
      'cheese on top',
      ['400 g potatoes', '50 g cheddar'],
      'Mash the potatoes. Sprinkle the cheddar over.',
      'cheddar',
      'topping',
    ],
    [
      'seeds as a coat',
      ['300 g white rice', '3 tbsp sesame seeds'],
      'Cook the rice. Coat with the sesame seeds.',
      'sesame-seeds',
      'topping',
    ],
  ]
  it.each(CASES)('%s', (_, lines, method, food, role) => {
    const r = readRecipe(`Dish\nServes 4\nIngredients\n${lines.join('\n')}\nMethod\n${method}`)
    expect(r.recipe.lines.find((l) => l.food === food)?.role).toBe(role)
  })
  it('unsure: asked with the reason, and the answer stands', () => {
    const text =
      'Buns\nServes 4\nIngredients\n200 g plain flour\n3 eggs\n100 g caster sugar\nMethod\nWhisk the eggs and sugar. Fold in the flour. Bake for 15 minutes.'
    const q = readRecipe(text).questions.find((x) => x.key.startsWith('role:'))
    expect(q?.asks).toMatch(/flour, and nothing else that raises/)
    const role = (a: Answers): string | undefined =>
      readRecipe(text, 'm', undefined, a).recipe.lines.find((l) => l.food === 'egg-hen')?.role
    expect(role({})).toBe('raising')
    expect(role({ [q?.key ?? '']: 'structure' })).toBe('structure')
    expect(role({ [q?.key ?? '']: 'hero' })).toBe('raising')
  })
  it('a firm food that is cooked: soft only where it is said so', () => {
    const text =
      'Soup\nServes 4\nIngredients\n2 carrots\n1 l water\nMethod\nSimmer the carrots in the water for 20 minutes.'
    const q = readRecipe(text).questions.find((x) => x.key.startsWith('shape:'))
    expect(q?.taken).toBe('no')
    const shape = (a: Answers): string | undefined =>
      readRecipe(text, 'm', undefined, a).recipe.lines[0]?.shape
    expect(shape({})).toBeUndefined()
    expect(shape({ [q?.key ?? '']: 'COOKSOFT' })).toBe('COOKSOFT')
  })
})

describe('what stands beside lines and steps', () => {
  const read = (text: string) => readRecipe(text)
  const TEXT = `Cornbread
Serves 4-6
Prep time: 15 minutes
Equipment
a 20 cm square tin
1 mixing bowl
Ingredients
1 cup polenta
250 ml milk
2 carrots, cut in 1 cm cubes
Method
Whisk the milk into the polenta. Stir in the carrots.
Bake in the tin for 20 minutes at 200 C.
Storage
In a closed tin until tomorrow.`
  it('tools, the tin with its size, how it keeps, times and cut sizes: nothing dropped', () => {
    const { recipe, notes } = read(TEXT)
    expect(recipe.tin).toEqual({ shape: 'square', s: '20', unit: 'cm' })
    expect(recipe.equipment).toEqual(
      expect.arrayContaining(['oven', 'a 20 cm square tin', '1 mixing bowl', 'whisk']),
    )
    expect(recipe.storage).toBe('In a closed tin until tomorrow.')
    expect(notes).toEqual(
      expect.arrayContaining([
        'Serves 4-6: taken as 4',
        'it says: Prep time: 15 minutes',
        expect.stringMatching(/cut size: 1 cm cubes/),
      ]),
    )
  })
  it.each([
    ['in a 23 cm round cake tin', { shape: 'round', d: '23', unit: 'cm' }],
    ['in a 9-inch pan', { shape: 'round', d: '9', unit: 'in' }],
    ['into a 30 x 20 cm baking tin', { shape: 'rect', a: '30', b: '20', unit: 'cm' }],
    ['in an 8 in square tin', { shape: 'square', s: '8', unit: 'in' }],
  ])('a tin %s', (words, tin) => {
    expect(
      read(
        `Cake\nServes 8\nIngredients\n200 g plain flour\nMethod\nStir the flour. Bake it ${words} for 20 minutes.`,
      ).recipe.tin,
    ).toEqual(tin)
  })
})
