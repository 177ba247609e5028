import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { System } from '../../src/amount/unit-words'
import { lineFromText } from '../../src/recipe/line/line-from-text'
import { readLine } from '../../src/recipe/line/read-line'

/** What a line reads as: amount, unit, food id; where it matters also preparation, note and rest. */
type Expected = [amount: unknown, unit: string, foodId: string | null, more?: Record<string, string>]
const LINES: [string, Expected, System?, string?][] = [
  ['1 ½ tsp baking powder', ['3/2', 'tsp_m', 'baking-powder']],
  ['1-1/2 cups flour', ['3/2', 'cup_us', 'wheat-flour'], 'us'],
  ['1 1/2 cups flour', ['3/2', 'cup_m', 'wheat-flour'], 'm'],
  ['⅔ cup oats', ['2/3', 'cup_us', 'oats-rolled'], 'us'],
  ['2–3 carrots, peeled', [{ from: '2', to: '3' }, 'item', 'carrot', { prep: 'peeled' }]],
  ['2 to 3 tbsp oil', [{ from: '2', to: '3' }, 'tbsp_m', 'vegetable-oil']],
  ['a pinch of salt', ['1', 'pinch', 'salt']],
  ['pinch of cinnamon', ['1', 'pinch', 'cinnamon']],
  ['1 (400 g) tin chickpeas', ['1', 'tin', 'chickpeas-tin', { note: '400 g' }]],
  ['2 x 400g tins chopped tomatoes', ['2', 'tin', 'tomato-tin', { note: '400 g each' }]],
  ['1 tin (400 g) white beans, drained', ['1', 'tin', 'white-beans-tin', { prep: 'drained', note: '400 g' }]],
  ['a 400 g tin of tomatoes', ['1', 'tin', 'tomato-tin', { note: '400 g' }]],
  ['7 g sachet dried yeast', ['1', 'sachet', 'yeast-dried', { note: '7 g' }]],
  ['2x 250 g chicken breast', ['500', 'g', 'chicken-breast']],
  ['½ cup + 1 tbsp milk', ['9/16', 'cup_us', 'milk-cow'], 'us'],
  ['2 tbsp plus 1 tsp olive oil', ['7/3', 'tbsp_m', 'olive-oil']],
  ['200ml milk', ['200', 'mL', 'milk-cow']],
  ['1,5 dl milk', ['150', 'mL', 'milk-cow']],
  ['0,75 L milk', ['3/4', 'L', 'milk-cow'], 'm', 'de-DE'],
  ['1,000 g flour', ['1000', 'g', 'wheat-flour']],
  ['1.000 g flour', ['1000', 'g', 'wheat-flour'], 'm', 'de-DE'],
  ['100g/4oz flour', ['100', 'g', 'wheat-flour', { note: '4 oz' }]],
  [
    '1 cup (125 g) plain flour, sifted',
    ['1', 'cup_us', 'wheat-flour', { prep: 'sifted', note: '125 g' }],
    'us',
  ],
  ['2 large eggs, beaten', ['2', 'item', 'egg-hen', { prep: 'beaten', note: 'large' }]],
  ['a dozen eggs', ['12', 'item', 'egg-hen']],
  ['half a cucumber', ['1/2', 'item', 'cucumber']],
  ['one and a half cups oats', ['3/2', 'cup_us', 'oats-rolled'], 'us'],
  ['juice of 1 lemon', ['1', 'item', 'lemon', { note: 'juice' }]],
  ['1 tbsp finely chopped parsley', ['1', 'tbsp_m', 'parsley', { prep: 'finely chopped' }]],
  ['75 g ground almonds', ['75', 'g', 'almonds-ground', { prep: '' }]],
  ['3 cloves garlic, crushed', ['3', 'clove', 'garlic', { prep: 'crushed' }]],
  ['1 heaped tbsp honey', ['1', 'tbsp_m', 'honey', { note: 'heaped' }]],
  ['about 300 g potatoes', ['300', 'g', 'potato', { note: 'about' }]],
  ['2 T sugar', ['2', 'tbsp_us', 'sugar-caster'], 'us'],
  ['2 t sugar', ['2', 'tsp_us', 'sugar-caster'], 'us'],
  ['1 tbsp honey', ['1', 'tbsp_au', 'honey'], 'au'],
  ['8 fl oz milk', ['8', 'floz_us', 'milk-cow'], 'us'],
  ['8 fl oz milk', ['8', 'floz_imp', 'milk-cow']],
  ['1 pint milk', ['1', 'pint_imp', 'milk-cow']],
  ['1 stick butter', ['8', 'tbsp_us', 'butter'], 'us'],
  ['2 sticks celery', ['2', 'stick', 'celery-stick'], 'us'],
  ['50 g butter or margarine, melted', ['50', 'g', 'butter', { prep: 'melted', rest: 'or margarine' }]],
  ['Flour: 200 g', ['200', 'g', 'wheat-flour']],
  ['eggs, 2', ['2', 'item', 'egg-hen']],
  ['salt', [null, '', 'salt']],
  ['- 3 eggs', ['3', 'item', 'egg-hen']],
  [
    '1 cup of plain flour plus extra for dusting',
    ['1', 'cup_us', 'wheat-flour', { note: 'plus extra for dusting' }],
    'us',
  ],
]

describe('an ingredient line', () => {
  it.each(LINES)('%s', (text, [amount, unit, foodId, more], system = 'uk', locale) => {
    expect(readLine(text, system, locale)).toMatchObject({ amount, unit, foodId, ...more })
  })
  it('a cup without a system is asked about in a UK book', () => {
    expect(readLine('1 cup milk', 'uk').note).toContain('ask the book')
  })
  it('two foods in one are never taken for one: the other would hide its allergens', () => {
    expect(readLine('salt and sesame seeds, to taste', 'uk').foodId).toBeNull()
    expect(readLine('2 tbsp flour and sesame seeds', 'uk').foodId).toBeNull()
  })
  it.each([
    ['', 'is empty'],
    ['1/0 cup flour', 'divides by zero'],
    ['0 cups flour', 'more than 0'],
    ['3-2 eggs', 'goes down'],
    ['x'.repeat(401), 'longer than 400'],
  ])('%j is refused: %s', (text, says) => {
    expect(() => readLine(text, 'uk')).toThrow(says)
  })
  it('keeps an amount exactly, however it is written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom('1/2', '1/3', '2/3', '1/4', '3/4', '1/8', '5/8'),
        (n, f) => {
          const [top, under] = f.split('/').map(Number)
          const expected = { amount: readLine(`${n} ${f} g flour`, 'm').amount }
          expect(expected.amount).toBe(readLine(`${n}-${f} g flour`, 'm').amount)
          const glyph = {
            '1/2': '½',
            '1/3': '⅓',
            '2/3': '⅔',
            '1/4': '¼',
            '3/4': '¾',
            '1/8': '⅛',
            '5/8': '⅝',
          }[f]
          expect(readLine(`${n}${glyph} g flour`, 'm')).toMatchObject(expected)
          expect(expected.amount).toBe(fraction(n * (under ?? 1) + (top ?? 0), under ?? 1))
        },
      ),
    )
  })
  it('never throws anything but a plain fault, whatever is pasted', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        try {
          readLine(text, 'us')
        } catch (fault) {
          expect((fault as Error).constructor.name).toBe('AmountError')
        }
      }),
      { numRuns: 400 },
    )
  })
})

const fraction = (n: number, d: number): string => {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
  const g = gcd(n, d)
  return d / g === 1 ? String(n / g) : `${n / g}/${d / g}`
}

describe('a recipe line from a printed one', () => {
  it('takes food, amount, unit, preparation and a likely role', () => {
    expect(lineFromText('1 ½ cups plain flour, sifted', 'm').line).toEqual({
      food: 'wheat-flour',
      amount: '3/2',
      unit: 'cup_m',
      role: 'structure',
      prep: 'sifted',
    })
  })
  it('keeps a food that Lea does not know, and says that it will ask', () => {
    const { line, says } = lineFromText('2 tbsp moon dust', 'uk')
    expect(line.food).toBe('own:moon-dust')
    expect(says.join()).toContain('ask for every concern')
  })
  it.each([
    ['salt to taste', 'gives no amount of salt'],
    ['2-3 eggs', 'gives a range, 2 to 3'],
    ['½ cup', 'names no food'],
  ])('%s: %s', (text, says) => {
    expect(() => lineFromText(text, 'uk')).toThrow(says)
  })
})
