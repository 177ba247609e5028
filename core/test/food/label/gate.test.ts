/**
 * Every allergen word of a packet ends somewhere: listed, in a warning, in a tight claim, or asked about. Two allergens beside each other,
 * however they are parted and in whatever language, are never made one. Names: EU 1169/2011 Annex II in its languages, from memory.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isOrUnder } from '../../../src/food/allergens'
import { type LabelReading, readLabel } from '../../../src/food/label/read'
import { packetWords } from '../../../src/food/packets'
import names from './allergen-names.json'
import classes from './classes.json'

const { about: _, ...LANGUAGES } = names
const NAMES = Object.values(LANGUAGES).map((all) => Object.entries<string>(all))

/** Somewhere it can be seen by who reads the packet: listed, warned of, or a word that stays open. */
const seen = (found: LabelReading, id: string, word: string): boolean =>
  [...found.contains, ...found.mayContain].some((x) => isOrUnder(x, id) || isOrUnder(id, x)) ||
  [...found.ask, ...found.unknown].some((w) => w.toLowerCase().includes(word.toLowerCase().slice(0, 3)))

const HARD = [
  ', ',
  ' and ',
  '; ',
  ' • ',
  '\n• ',
  ' · ',
  ' | ',
  ' + ',
  ' (',
  ') ',
  ' & ',
  '/',
  ' / ',
  '\n',
  '\r\n',
  ' - ',
  '\n- ',
  ' – ',
  '—',
  ' * ',
  '\n* ',
  ' 20 ',
  ' 12%, ',
  ': ',
  '. ',
  '\t|\t',
  '1. ',
  ' 2) ',
]
const FRAMES = [
  'X',
  'Contains X.',
  'Contains: X',
  'Allergens: X',
  'ALLERGENS\nX',
  'Salt, sugar, X',
  'X, salt',
  '* X',
  'Sugar (X)',
  'Ingredients: X.',
]

describe('two allergens', () => {
  it('however they are parted, in every language, both are seen', () => {
    for (const all of NAMES)
      for (const [a, x] of all)
        for (const [b, y] of all.filter(([id]) => id !== a))
          // Each pair meets a third of the ways to part them, and each way a third of the pairs.
          for (const gap of HARD.filter((_, k) => k % 3 === (a.length + b.length + x.length) % 3)) {
            const text = `${x}${gap}${y}`
            const found = readLabel(text)
            for (const [id, word] of [
              [a, x],
              [b, y],
            ] as const)
              expect(seen(found, id, word), `${text} → ${JSON.stringify(found)}`).toBe(true)
          }
  })
  it('in a frame, in capitals, three of them, with a claim behind them', () => {
    fc.assert(
      fc.property(
        fc
          .constantFrom(...NAMES)
          .chain((all) =>
            fc.tuple(
              fc.shuffledSubarray(all, { minLength: 2, maxLength: 4 }),
              fc.constantFrom(...HARD),
              fc.constantFrom(...FRAMES),
              fc.boolean(),
            ),
          ),
        ([some, gap, frame, capitals]) => {
          const list = some.map(([, word]) => word).join(gap)
          const text = frame.replace('X', capitals ? list.toUpperCase() : list)
          const found = readLabel(text)
          for (const [id, word] of some)
            expect(seen(found, id, word), `${text} → ${JSON.stringify(found)}`).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
  })
  it('nothing that is written before or behind a list takes one of it away', () => {
    const around = fc.constantFrom(
      'No preservatives',
      'No added sugar',
      'Zero sugar',
      'Suitable for vegans',
      'Suitable for coeliacs',
      'Suitable for halal diets',
      'Free from artificial colours',
      'Sin azúcar',
      'Sans sucre',
      'Ohne Zucker',
      'Bez cukru',
      'Без цукру',
      'Heb siwgr',
      'Without palm oil',
      'Source of fibre',
      'Free from gluten',
      'No nuts',
      'Gluten free',
    )
    const all = NAMES[0] ?? []
    fc.assert(
      fc.property(
        around,
        fc.constantFrom('\n', '. ', ' • ', ' - ', ': ', ' | ', ' * '),
        fc.shuffledSubarray(
          all.filter(
            ([id]) =>
              ![
                'wheat',
                'rye',
                'barley',
                'oats',
                'hazelnut',
                'almond',
                'walnut',
                'cashew',
                'peanut',
              ].includes(id),
          ),
          { minLength: 1, maxLength: 3 },
        ),
        fc.boolean(),
        (claim, gap, some, first) => {
          const list = some.map(([, w]) => w).join(', ')
          const text = first ? `${claim}${gap}${list}` : `${list}${gap}${claim}`
          const found = readLabel(text)
          for (const [id, word] of some)
            expect(seen(found, id, word), `${text} → ${JSON.stringify(found)}`).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
  })
})

const ids = (text: string): string[] => text.split(' ').filter(Boolean)
describe('classes', () => {
  it.each(classes.seen as [string, string][])('%j: %s are listed, in a warning, or open', (text, want) => {
    const found = readLabel(text)
    for (const id of ids(want))
      expect(
        [...found.contains, ...found.mayContain, ...found.extras].some((x) => isOrUnder(x, id)) ||
          packetWords(text).open.length > 0,
        JSON.stringify(found),
      ).toBe(true)
  })
  it.each(classes.lists as [string, string][])('%j lists %s', (text, want) => {
    expect(readLabel(text).contains).toEqual(expect.arrayContaining(ids(want)))
  })
  it.each(classes.not as [string, string][])('%j does not list %s', (text, want) => {
    for (const id of ids(want)) expect(readLabel(text).contains).not.toContain(id)
  })
  it.each(classes.free as [string, string][])('%j claims %s and lists nothing of it', (text, want) => {
    const found = readLabel(text)
    expect(found.freeFrom).toEqual(expect.arrayContaining(ids(want)))
    for (const id of ids(want)) expect(found.contains).not.toContain(id)
  })
  it.each(classes.warns as [string, string][])('%j warns of %s', (text, want) => {
    const { lists, may } = packetWords(text)
    for (const id of ids(want)) {
      expect(may).toContain(id)
      expect(lists).not.toContain(id)
    }
  })
  it.each(classes.open as [string, string][])('%j leaves %j open', (text, word) => {
    expect(packetWords(text).open.join(' | ').toLowerCase()).toContain(word.toLowerCase())
  })
})

describe('an additive', () => {
  it.each([
    'E220',
    'E 220',
    'E-220',
    'e 220',
    'E 224',
    'preservative (220)',
    'preservatives: 202, 223',
    'Preservative 220',
    'preservatives (202, 223)',
    'Konservierungsstoff E 220',
    'conservateur (E 223)',
    'preservative E-228, salt',
    'antioxidant 223',
  ])('%s is a sulphite', (text) =>
    expect(readLabel(`Apricots, ${text}, salt`).contains).toContain('sulphites'),
  )
  it.each([
    100, 150, 202, 211, 234, 235, 242, 262, 281, 212, 300, 330, 410, 424, 427, 471, 500, 503, 621, 1422, 1442,
  ])('E%i is none', (n) => {
    for (const text of [`E${n}`, `E ${n}`, `E-${n}`, `preservative (${n})`]) {
      const found = readLabel(`Water, ${text}, salt`)
      expect(found.contains, text).toEqual([])
      expect(found.unknown, text).toEqual([])
    }
  })
  it('what an additive of the list holds is seen with and without its letter', () => {
    for (const text of ['E 1105', 'E1105', 'preservative (1105)'])
      expect(readLabel(`Cheese, ${text}`).contains).toContain('egg')
    for (const text of ['E 322', 'emulsifier (322)', 'E-322'])
      expect(readLabel(`Sugar, ${text}`).ask.length).toBeGreaterThan(0)
    for (const text of ['E 102', 'E-129', 'colour (102)'])
      expect(readLabel(`Sugar, ${text}`).extras).toContain('colours-azo')
    expect(readLabel('Sugar, E 120').extras).toContain('cochineal')
    expect(readLabel('Stabiliser E426').contains).toContain('soya')
  })
  it('an amount is no additive', () => {
    for (const text of [
      'Vitamin E 220 mg',
      'Net weight 220 g',
      'Energy 220 kJ',
      'Serves 220',
      'Preservative free, 220 g',
    ])
      expect(readLabel(text).contains, text).toEqual([])
  })
})

describe('scripts', () => {
  it.each([
    '卵、乳、小麦',
    '牛奶',
    'दूध, अंडा, गेहूं',
    'দুধ, ডিম, গম',
    'นม, ไข่',
    '砂糖、乳、小麦',
    '우유, 계란',
    'γάλα, αυγό',
    'חלב, ביצים',
  ])('%s stays open, and is said to be unread', (text) => {
    const found = readLabel(text)
    expect(found.unknown.length).toBeGreaterThan(0)
    expect(found.read).toBe(false)
    expect(packetWords(`Sugar, salt, ${text}`).open.length).toBeGreaterThan(0)
  })
})
