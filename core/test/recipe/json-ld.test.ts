/**
 * schema.org Recipe in and out. Published vocabulary: schema.org/Recipe, HowToStep, HowToSection, recipeYield, recipeIngredient,
 * recipeInstructions; durations: ISO 8601. Pages are our own.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AmountError } from '../../src/amount/ratio'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { durationWords, textOfHtml, readJsonLd } from '../../src/recipe/text/page/json-ld'
import { toJsonLd } from '../../src/recipe/text/page/to-json-ld'
import { isoDuration } from '../../src/recipe/text/page/to-json-ld'

const recipe = {
  '@context': 'https://schema.org/',
  '@type': 'Recipe',
  name: 'Herb bread &amp; butter',
  recipeYield: '8 servings',
  prepTime: 'PT20M',
  cookTime: 'PT1H5M',
  recipeIngredient: ['300 g plain flour', '1 tsp bicarbonate of soda', '250 ml buttermilk'],
  recipeInstructions: [
    { '@type': 'HowToStep', text: 'Mix the flour and the bicarbonate of soda.' },
    { '@type': 'HowToStep', text: 'Pour in the buttermilk and stir.' },
    { '@type': 'HowToStep', text: 'Bake for 30 minutes at 200&deg;C.' },
  ],
}
const page = (json: unknown): string =>
  `<!doctype html><html><head><title>x</title><script type="application/ld+json">${typeof json === 'string' ? json : JSON.stringify(json)}</script></head><body><p>Hello</p></body></html>`
const checks = (source: unknown): void => {
  const { recipe: r } = readJsonLd(source)
  expect(r.title).toBe('Herb bread & butter')
  expect(r.serves).toBe(8)
  expect(r.lines.map((l) => l.food)).toEqual(['wheat-flour', 'bicarbonate', 'buttermilk'])
  const steps = r.steps.filter((s) => s.id !== 'wash-hands')
  expect(steps.length).toBe(3)
  expect(steps[2]?.tasks.find((t) => t.mode === 'WAIT')).toMatchObject({ seconds: 1800, celsius: 200 })
}

describe('JSON-LD in', () => {
  it('as an object, as text, in a page', () => {
    checks(recipe)
    checks(JSON.stringify(recipe))
    checks(page(recipe))
  })
  it('in a graph, in a list, as one of several types, with a full type address', () => {
    checks(page({ '@context': 'https://schema.org', '@graph': [{ '@type': 'WebSite' }, recipe] }))
    checks([{ '@type': 'Organization' }, recipe])
    checks({ ...recipe, '@type': ['Recipe', 'NewsArticle'] })
    checks({ ...recipe, '@type': 'http://schema.org/Recipe' })
    checks({ '@type': 'WebPage', mainEntity: recipe })
  })
  it('with instructions in one string, in strings, in sections', () => {
    const texts = recipe.recipeInstructions.map((s) => s.text)
    checks({ ...recipe, recipeInstructions: texts.join('\n') })
    checks({ ...recipe, recipeInstructions: texts.map((t, i) => `${i + 1}. ${t}`) })
    checks({ ...recipe, recipeInstructions: `<p>${texts.join('</p><p>')}</p>` })
    checks({
      ...recipe,
      recipeInstructions: [
        { '@type': 'HowToSection', name: 'Dough', itemListElement: recipe.recipeInstructions.slice(0, 2) },
        { '@type': 'HowToSection', name: 'Oven', itemListElement: recipe.recipeInstructions.slice(2) },
      ],
    })
  })
  it('with a yield as a number, a list, or words', () => {
    for (const recipeYield of [
      8,
      '8',
      ['8', '8 servings'],
      'Serves 8',
      { '@type': 'QuantitativeValue', value: 8, unitText: 'servings' },
    ])
      checks({ ...recipe, recipeYield })
    expect(readJsonLd({ ...recipe, recipeYield: '12 slices' }).recipe.pieces).toEqual({
      what: 'slices',
      n: 12,
    })
  })
  it('with another script before it that is broken', () => {
    const two = `<html><script type='application/ld+json'>{broken</script><script type="application/ld+json">${JSON.stringify(recipe)}</script></html>`
    checks(two)
  })
  it('hostile or empty sources are refused in words', () => {
    const deep = '['.repeat(60) + ']'.repeat(60)
    const bad: [unknown, RegExp][] = [
      ['{ not json', /not valid JSON/],
      ['<html><body>nothing</body></html>', /without recipe data/],
      [{ '@type': 'Person' }, /no schema.org Recipe/],
      [deep, /nested too deep/],
      [`<${'x'.repeat(5_000_001)}`, /larger than 5 MB/],
      [null, /no schema.org Recipe/],
      [42, /no schema.org Recipe/],
    ]
    for (const [source, says] of bad) {
      expect(() => readJsonLd(source)).toThrow(AmountError)
      expect(() => readJsonLd(source)).toThrow(says)
    }
  })
  it('scripts and tags in the words are words no more', () => {
    const { recipe: r } = readJsonLd({
      ...recipe,
      name: '<b onclick="x()">Bread</b><script>alert(1)</script>',
    })
    expect(r.title).not.toMatch(/[<>]/)
  })
  it('anything at all is read or refused in words', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        try {
          readJsonLd({
            '@type': 'Recipe',
            recipeIngredient: value,
            recipeInstructions: value,
            recipeYield: value,
            name: value,
          })
        } catch (fault) {
          expect(fault).toBeInstanceOf(AmountError)
        }
      }),
      { numRuns: 200 },
    )
  })
})

describe('JSON-LD out', () => {
  it('has the properties that schema.org names, and reads back with the same lines', () => {
    for (const shipped of SHIPPED_RECIPES) {
      const out = toJsonLd(shipped)
      expect(out).toMatchObject({ '@type': 'Recipe', name: shipped.title })
      expect(out['@context']).toContain('https://schema.org')
      expect(JSON.parse(JSON.stringify(out))).toEqual(out)
      const back = readJsonLd(out)
      expect(back.recipe.serves).toBe(shipped.serves)
      const foods = back.recipe.lines.map((l) => l.food)
      const same = shipped.lines.filter((l) => foods.includes(l.food)).length
      expect(
        same / shipped.lines.length,
        `${shipped.id}: ${foods.join()} ${JSON.stringify(back.unread)}`,
      ).toBeGreaterThanOrEqual(0.8)
    }
  })
  it('durations are ISO 8601 and read back (examples of the standard: PT36H is 36 hours, P1DT12H the same)', () => {
    expect([isoDuration(5400), isoDuration(1500), isoDuration(3600), isoDuration(0)]).toEqual([
      'PT1H30M',
      'PT25M',
      'PT1H',
      'PT0M',
    ])
    expect(durationWords('PT36H')).toBe('2160 minutes')
    expect(durationWords('P1DT12H')).toBe('2160 minutes')
    expect(durationWords('PT90S')).toBe('2 minutes')
    expect(durationWords('an hour')).toBe('an hour')
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6000 }), (m) => {
        expect(durationWords(isoDuration(60 * m))).toBe(`${m} minutes`)
      }),
    )
  })
  it('entities stand for what they stand for', () => {
    expect(textOfHtml('&frac12; cup &amp; 200&#176;C &#x2013; &eacute;')).toBe('½ cup & 200°C – é')
  })
})
