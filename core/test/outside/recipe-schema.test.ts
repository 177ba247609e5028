/**
 * The published JSON Schema of a recipe, asked by a general-purpose validator (Ajv, JSON Schema draft 2020-12) beside our own check: what
 * the one takes the other takes, and what the one refuses the other refuses.
 */
import { Ajv2020 } from 'ajv/dist/2020'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foodBook } from '../../src/food/own-foods'
import { changesIn, differences } from '../../src/recipe/changes'
import type { Recipe } from '../../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { upgradeRecipe } from '../../src/recipe/upgrade'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { readRecipeFile, recipeToJson } from '../../src/schema/recipe/recipe-file'
import { recipeJsonSchema } from '../../src/schema/recipe/recipe-schema'

const ajv = new Ajv2020({ strict: false, allErrors: true })
const byJsonSchema = ajv.compile(recipeJsonSchema())
const byOwn = (value: unknown): boolean => recipeSchema.isValidSync(value, { strict: false })
const copy = (r: Recipe): Record<string, unknown> => JSON.parse(JSON.stringify(r)) as Record<string, unknown>
const anyRecipe = fc.constantFrom(...SHIPPED_RECIPES)

describe('the JSON Schema of a recipe', () => {
  it('takes every shipped recipe', () => {
    for (const r of SHIPPED_RECIPES)
      expect(byJsonSchema(copy(r)), JSON.stringify(byJsonSchema.errors)).toBe(true)
  })
  it('refuses what our own check refuses: a field gone, of another kind, too long, not known', () => {
    const harm: [string, (r: Record<string, unknown>) => void][] = [
      ['no title', (r) => delete r['title']],
      ['no lines', (r) => delete r['lines']],
      ['serves in words', (r) => (r['serves'] = 'eight')],
      ['serves nobody', (r) => (r['serves'] = 0)],
      ['an unknown field', (r) => (r['secret'] = 1)],
      ['a title that is too long', (r) => (r['title'] = 'x'.repeat(81))],
      ['another version', (r) => (r['schema'] = 99)],
      ['a theme of no kind', (r) => (r['themes'] = [{ kind: 'mood', name: 'x' }])],
      [
        'an amount of nothing',
        (r) => (((r['lines'] as { amount: string }[])[0] as { amount: string }).amount = '0'),
      ],
      [
        'an amount in words',
        (r) => (((r['lines'] as { amount: string }[])[0] as { amount: string }).amount = 'some'),
      ],
      [
        'a role nobody has',
        (r) => (((r['lines'] as { role: string }[])[0] as { role: string }).role = 'hero'),
      ],
    ]
    for (const [name, spoil] of harm) {
      const bad = copy(SHIPPED_RECIPES[0] as Recipe)
      spoil(bad)
      expect(byJsonSchema(bad), name).toBe(false)
      // Our own reader drops a field that it does not know; strictly it is refused.
      expect(recipeSchema.isValidSync(bad, { strict: true }), name).toBe(false)
    }
  })
  it('agrees with our own check on recipes with any one field drawn anew', () => {
    const field = fc.constantFrom(
      'title',
      'about',
      'serves',
      'storage',
      'themes',
      'equipment',
      'keeps',
      'notes',
      'id',
    )
    const value = fc.oneof(
      fc.constant(null),
      fc.string({ maxLength: 100 }),
      fc.integer(),
      fc.boolean(),
      fc.array(fc.string({ maxLength: 5 }), { maxLength: 3 }),
    )
    fc.assert(
      fc.property(anyRecipe, field, value, (r, f, v) => {
        const changed = { ...copy(r), [f]: v }
        if (byOwn(changed) !== recipeSchema.isValidSync(changed, { strict: true })) return // trimmed or cast: the file is not as it will be kept
        expect(byJsonSchema(changed)).toBe(byOwn(changed))
      }),
      { numRuns: 300 },
    )
  })
})

describe('Lea’s own JSON', () => {
  const foods = foodBook()
  const scaled = fc
    .tuple(anyRecipe, fc.integer({ min: 1, max: 200 }), fc.string({ maxLength: 200 }))
    .map(([r, serves, about]): Recipe =>
      // eslint-disable-next-line no-control-regex -- what the schema refuses is not drawn
      ({ ...r, serves, about: about.replace(/[\u0000-\u001f]/g, '').trim() }),
    )
  it('goes out and comes in without loss', () => {
    fc.assert(
      fc.property(scaled, (r) => {
        const back = readRecipeFile(recipeToJson(r)).recipe
        expect(JSON.parse(JSON.stringify(back))).toEqual(copy(r))
        expect(differences(r, back, foods)).toEqual([])
        expect(byJsonSchema(JSON.parse(recipeToJson(r)))).toBe(true)
      }),
      { numRuns: 100 },
    )
  })
  it('of version 1 is brought up: themes get their kind, nothing else moves', () => {
    const one = {
      ...copy(SHIPPED_RECIPES[0] as Recipe),
      schema: 1,
      themes: ['autumn', 'bread', 'our street'],
    }
    const { recipe } = readRecipeFile(JSON.stringify(one))
    expect(recipe.schema).toBe(2)
    expect(recipe.themes).toEqual([
      { kind: 'season', name: 'autumn' },
      { kind: 'food group', name: 'bread' },
      { kind: 'other', name: 'our street' },
    ])
    expect(recipe.lines).toEqual(SHIPPED_RECIPES[0]?.lines)
    expect(upgradeRecipe({ schema: 99, lines: [] })).toEqual({ schema: 99, lines: [] })
    expect(upgradeRecipe('no recipe')).toBe('no recipe')
  })
  it('that is not whole is refused with the field at fault', () => {
    const bad = { ...copy(SHIPPED_RECIPES[0] as Recipe), serves: 0 }
    expect(() => readRecipeFile(JSON.stringify(bad))).toThrow(/not whole: Serves must be at least 1/)
    expect(() => readRecipeFile(JSON.stringify({ ...bad, serves: 8, schema: 7 }))).toThrow(/version/)
  })
  it('what a setting changed is said line by line', () => {
    const own = JSON.parse(JSON.stringify(SHIPPED_RECIPES[0])) as Recipe
    expect(changesIn(own, foods)).toEqual([])
    own.lines = own.lines
      .filter((l) => l.id !== 'chives')
      .map((l) => (l.id === 'flour' ? { ...l, amount: '4' } : l))
    own.steps = own.steps.filter((s) => s.id !== 'snip')
    own.serves = 10
    expect(changesIn(own, foods)).toEqual([
      'serves 10 instead of 8',
      'without chives',
      'plain flour: 4 cups instead of 3 cups',
      "without the step 'Snip the chives'",
    ])
    expect(changesIn({ ...own, id: 'own:x' }, foods)).toBeNull()
  })
})
