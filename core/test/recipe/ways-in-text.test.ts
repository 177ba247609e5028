/** Ways by what a room lacks, and pictures of food, as printed recipes say them. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import { sceneFault } from '../../src/recipe/kinds/scene'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { child, request } from '../group'

const FOODS = ['200 g carrot', '150 g plain flour', '100 g grated cheddar', '200 g plain yoghurt']
const page = (method: string, lines = FOODS): string =>
  `Garden rounds\nServes 6\n\nIngredients\n${lines.map((l) => `- ${l}`).join('\n')}\n\nMethod\n${method}\n`
const read = (method: string, lines = FOODS) => readRecipe(page(method, lines))
const waysOf = (method: string) => read(method).recipe.steps.flatMap((s) => s.ways ?? [])

describe('ways by what a room lacks', () => {
  it.each([
    [
      '1. Mix it all.\n2. Bake for 20 minutes. If you have no oven, cook them on a griddle for 8 minutes.',
      'oven',
    ],
    ['1. Mix it all.\n2. Bake for 20 minutes.\n3. No oven? Fry them in a pan for 8 minutes.', 'oven'],
    [
      '1. Mix it all.\n2. Bake in the oven for 20 minutes. Without an oven: cook on the griddle for 8 minutes.',
      'oven',
    ],
    ["1. Whizz the yoghurt in a blender. If you don't have a blender, mash it with a fork.", 'blender'],
    ['1. Mash the carrot with a potato masher. Without a masher, press it with a fork and stir.', 'masher'],
    [
      '1. Mix it all.\n2. Bake for 20 minutes. If there is no oven, shape the mix and leave it in the fridge for an hour.',
      'oven',
    ],
    [
      '1. Melt the cheddar in the microwave for 1 minute. No microwave? Melt it on the hob for 2 minutes.',
      'microwave',
    ],
    [
      '1. Mix it all.\n2. Bake for 20 minutes. Or, if you haven’t got an oven, fry them for 8 minutes.',
      'oven',
    ],
    [
      '1. Simmer the carrot for 10 minutes. If you cannot cook where you are, grate the carrot and stir.',
      'heat',
    ],
    [
      '1. Simmer the carrot for 10 minutes. With nothing hot at hand, grate the carrot and stir it in.',
      'heat',
    ],
  ])('%s', (method, lacks) => {
    const ways = waysOf(method)
    expect(ways.map((w) => w.lacks)).toEqual([lacks])
    expect(ways[0]?.tasks.length).toBeGreaterThan(0)
    expect(ways[0]?.says.length).toBeGreaterThan(5)
    const { recipe, notes } = read(method)
    expect(notes.some((n) => n.startsWith('another way'))).toBe(true)
    expect(recipeSchema.isValidSync(recipe)).toBe(true)
  })

  it.each([
    '1. Mix it all.\n2. Bake for 20 minutes, or fry them in a pan for 8 minutes if you have no oven.',
    '1. Mix it all.\n2. Bake for 20 minutes (or fry them in a pan for 8 minutes if you have no oven).',
    '1. Toast the flour in the oven for 5 minutes.\n2. Bake it all for 20 minutes, or fry it for 8 minutes if there is no oven.',
  ])('work and its other way in one sentence: %s', (method) => {
    const { steps } = read(method).recipe
    const step = steps.findLast((s) => s.ways)
    expect(step?.ways?.map((w) => w.lacks)).toEqual(['oven'])
    expect(step?.tasks.some((t) => t.place === 'oven' && t.mode === 'WAIT' && t.seconds === 1200)).toBe(true)
    expect(step?.tasks.some((t) => t.place === 'hob')).toBe(false)
  })
  it('either of two works is no way: the first is not lost', () => {
    const { steps } = read(
      '1. Toast the flour in the oven for 5 minutes.\n2. Bake or fry it for 8 minutes if you have no oven.',
    ).recipe
    expect(steps.flatMap((s) => s.ways ?? [])).toEqual([])
  })

  it('what is done instead is not done as well', () => {
    const { recipe } = read(
      '1. Mix it all.\n2. Bake for 20 minutes. If you have no oven, cook them on a griddle for 8 minutes.',
    )
    expect(recipe.steps.flatMap((s) => s.tasks).filter((t) => t.place === 'griddle')).toEqual([])
    expect(recipe.steps.flatMap((s) => s.tasks).filter((t) => t.place === 'oven').length).toBeGreaterThan(0)
  })

  it('belongs to the step that needs what is lacking, wherever it stands', () => {
    const { recipe } = read(
      '1. Mix the flour and the yoghurt.\n2. Bake for 20 minutes.\n3. Grate the carrot and sprinkle it on top.\n4. If you have no oven, fry them in a pan for 8 minutes.',
    )
    const step = recipe.steps.find((s) => s.ways)
    expect(step?.tasks.some((t) => t.place === 'oven')).toBe(true)
  })

  it.each([
    '1. Mix it all without a pause.',
    '1. Stir the yoghurt. If you have no yoghurt, use milk.',
    '1. Stir the yoghurt. No oven? Ask at the office.',
    '1. Leave the pan on the hob without a lid and simmer for 10 minutes.',
    '1. If you have no oven gloves, fold a towel.',
    '1. Bake for 20 minutes without opening the oven.',
    '1. Stir. No need to use a blender.',
  ])('is none: %s', (method) => {
    expect(waysOf(method)).toEqual([])
  })

  it('hot work of a way is an adult’s or watched like any', () => {
    const { recipe } = read(
      '1. Mix it all.\n2. Bake for 20 minutes. No oven? Deep fry them in hot oil for 3 minutes.',
    )
    for (const w of recipe.steps.flatMap((s) => s.ways ?? []))
      for (const t of w.tasks.filter(
        (x) => x.place !== undefined && x.place !== 'table' && x.place !== 'sink',
      ))
        expect(['ADULT', 'WAIT'], t.technique).toContain(t.mode)
  })

  it('the plan takes it where the room lacks the oven', () => {
    const { recipe } = read(
      '1. Mix the flour and the yoghurt.\n2. Bake for 20 minutes. If you have no oven, cook them on a griddle for 8 minutes.',
    )
    const wanted = request([child('a', 60), child('b', 66)], { recipe })
    const without = { ...wanted, kit: { ...wanted.kit, equipment: ['griddle', 'sink', 'fridge'] } }
    expect(compile(without).tasks.some((t) => t.place === 'griddle')).toBe(true)
    const there = { ...wanted, kit: { ...wanted.kit, equipment: ['oven', 'griddle', 'sink'] } }
    expect(compile(there).tasks.some((t) => t.place === 'griddle')).toBe(false)
  })
})

const PICTURE = [
  '6 slices bread',
  '12 blueberries',
  '6 strawberries',
  '1 carrot',
  '60 g cream cheese',
  '1 handful cress',
]
describe('pictures of food', () => {
  const sceneOf = (method: string) =>
    read(method, PICTURE).recipe.steps.flatMap((s) => (s.scene ? [{ step: s, scene: s.scene }] : []))[0]
  it.each([
    [
      '1. Spread the cream cheese on the bread.\n2. Make a face: use two blueberries for the eyes, a strawberry for the nose and cress for the hair.',
      'a face',
      ['eyes pair 2', 'nose middle 1', 'hair top'],
    ],
    [
      '1. Spread the cream cheese on the bread.\n2. Arrange it as a clown: blueberries as eyes, a strawberry as the nose.',
      'a clown',
      ['eyes pair 2', 'nose middle 1'],
    ],
    [
      '1. Build a ladybird on each slice of bread. Put a strawberry for the body and 4 blueberries for the spots.',
      'a ladybird',
      ['body middle 1', 'spots spots 4'],
    ],
    [
      '1. Lay the bread out. Turn it into a flower with strawberries for petals and a blueberry for the middle.',
      'a flower',
      ['petals ring', 'middle middle 1'],
    ],
  ])('%s', (method, of, parts) => {
    const found = sceneOf(method)
    expect(found?.scene.of).toBe(of)
    const said = found?.scene.parts.map((p) => `${p.what} ${p.at} ${p.n}`) ?? []
    expect(said.length).toBe(parts.length)
    parts.forEach((p, i) => {
      expect(said[i]).toContain(p)
    })
    expect(
      sceneFault(
        found?.scene ?? { of: '', on: 'round', parts: [] },
        found?.step.uses.map((u) => u.line) ?? [],
      ),
    ).toBeNull()
    expect(recipeSchema.isValidSync(read(method, PICTURE).recipe)).toBe(true)
  })
  it('what may stand in for another is each child’s choice', () => {
    const found = sceneOf(
      '1. Spread the cream cheese on the bread.\n2. Make a face: use blueberries or strawberries for the eyes and carrot for the mouth.',
    )
    expect(found?.scene.parts.find((p) => p.what === 'eyes')?.lines.length).toBe(2)
  })
  it.each([
    '1. Use the cream cheese for the filling and the carrot for the top.',
    '1. Make a dip. Use the blueberries for the sauce.',
    '1. Keep the strawberries for the end.',
    '1. Make a well in the middle and add the carrot.',
  ])('is none: %s', (method) => {
    expect(sceneOf(method)).toBeUndefined()
  })
})

describe('a piece is no work of hands', () => {
  const cuts = (method: string) =>
    read(method, PICTURE)
      .recipe.steps.flatMap((s) => s.tasks)
      .filter((t) => /cut|knife/.test(t.technique)).length
  it.each([
    '1. Spread each slice with cream cheese.',
    '1. Build a tower on each slice of bread: put a strawberry on top.',
    '1. Each slice of bread gets a spoon of cream cheese: spread it.',
    '1. Top each slice with a strawberry and stir the cream cheese.',
  ])('%s', (method) => expect(cuts(method)).toBe(0))
  it.each([
    '1. Children each slice a strawberry.',
    '1. Slice the strawberries.',
    '1. They sit down, and each slice a strawberry.',
  ])('work it is: %s', (method) => expect(cuts(method)).toBeGreaterThan(0))
})
