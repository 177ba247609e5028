/**
 * Which food words name. A name resolves whole or it is a question; what is added to a name never hides an allergen. Classes of the second
 * reading of 0.7.0: head nouns, neighbours, words of two foods. Foods by allergen: FSA and FDA leaflets, from memory.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isOrUnder, listHolds } from '../../src/food/allergens'
import { meet } from '../../src/food/concerns'
import { foodsNamed, resolveFood } from '../../src/food/food-names'
import { foodBook } from '../../src/food/own-foods'
import { packetWords } from '../../src/food/packets'
import { keepsHow } from '../../src/food/keeping'
import { lineFromText } from '../../src/recipe/line/line-from-text'
import found from '../outside/where-found.json'

const book = foodBook()
const { source: _, ...PRODUCTS } = found
const WORDS: [string, string][] = [
  ['peanut', 'peanut'],
  ['walnut', 'walnut'],
  ['almond', 'almond'],
  ['hazelnut', 'hazelnut'],
  ['milk', 'milk'],
  ['cheese', 'milk'],
  ['egg', 'egg'],
  ['fish', 'fish'],
  ['prawn', 'prawn'],
  ['sesame', 'sesame'],
  ['mustard', 'mustard'],
  ['celery', 'celery'],
  ['soya', 'soya'],
  ['barley', 'barley'],
  ['wheat', 'wheat'],
  ['lupin', 'lupin'],
  ['cashew', 'cashew'],
  ['anchovy', 'anchovy'],
  ['yoghurt', 'milk'],
  ['mussel', 'mussel'],
]

describe('a name', () => {
  it('of each food, and every other name of it, is that food', () => {
    for (const f of book.all)
      for (const name of [f.name, f.plural ?? f.name, ...f.aliases]) {
        const hit = resolveFood(name, book)
        expect(hit, name).not.toBeNull()
        if (name === f.name) expect(hit?.id, name).toBe(f.id)
      }
  })
  it('belongs to one food', () => {
    const seen = new Map<string, string>()
    for (const f of book.all)
      for (const name of new Set([f.name, f.plural ?? f.name, ...f.aliases].map((n) => n.toLowerCase()))) {
        expect(seen.get(name) ?? f.id, name).toBe(f.id)
        seen.set(name, f.id)
      }
  })
  it('with words that say nothing of what is in it is the same food', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...book.all),
        fc.constantFrom('large ', 'finely chopped ', 'fresh ', '2 ', 'good-quality ', 'organic '),
        fc.constantFrom('', ', chopped', ', to serve', ', melted', ' (optional)'),
        (f, before, behind) => {
          const hit = resolveFood(`${before}${f.name}${behind}`, book)
          // "Fresh pasta" is another food than pasta.
          const exact = resolveFood(`${before}${f.name}`, book)
          // "Hazelnuts, chopped" may be found under either name.
          const same = hit !== null && hit.contains.join() === f.contains.join()
          expect(
            same || [f.id, exact?.id].includes(hit?.id),
            `${before}${f.name}${behind} → ${hit?.id}`,
          ).toBe(true)
        },
      ),
      { numRuns: 1500 },
    )
  })
  it('with another food’s word is a question, or a food that holds what the word says', () => {
    const frames = [
      'W N',
      'N with W',
      'W-coated N',
      'N and W',
      'W flavoured N',
      'N W',
      'W or N',
      'N (contains W)',
    ]
    fc.assert(
      fc.property(
        fc.constantFrom(...book.all),
        fc.constantFrom(...WORDS),
        fc.constantFrom(...frames),
        (f, [word, id], frame) => {
          const text = frame.replace('W', word).replace('N', f.name)
          const hit = resolveFood(text, book)
          if (!hit || hit.group === 'plant dairy') return
          expect(listHolds([...hit.contains, ...hit.extras], id), `${text} → ${hit.id}`).not.toBe('no')
        },
      ),
      { numRuns: 3000 },
    )
  })
  it('never loses an allergen by words that are added to its line', () => {
    const more = [
      'home-made N',
      'N of my neighbour',
      'N, the good one',
      'N and a little qwertz',
      'vanilla N',
      'N (see note)',
      'gluten-free N',
      'cooked N',
    ]
    fc.assert(
      fc.property(fc.constantFrom(...book.all), fc.constantFrom(...more), (f, frame) => {
        const text = frame.replace('N', f.name)
        const id = resolveFood(text, book)?.id ?? `own:${text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}`
        for (const held of f.contains)
          expect(meet(held, book.of(id)), `${text}: ${held} as ${id}`).not.toBe('nothing')
      }),
      { numRuns: 1500 },
    )
  })
  it('that nobody knows holds what its words say, and is asked about for everything else', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...WORDS),
        fc.constantFrom('W qwertz', 'qwertz of W', 'flurb W'),
        ([word, id], frame) => {
          const food = book.of(`own:${frame.replace('W', word).replaceAll(' ', '-')}`)
          expect(meet(id, food)).toBe('lists')
          expect(meet('kiwi', food)).toBe('ask')
        },
      ),
    )
  })
  it.each([
    '500 ml smoked paprika stock',
    '1 tbsp argan oil',
    '50 g tigernut flour',
    'anchovy butter',
    'almond-stuffed olives',
    'yoghurt coated raisins',
    'squid ink pasta',
    'tuna mayonnaise',
    'gluten-free crackers',
    'raw milk',
    'seeded bread',
    'peanut butter cups',
    'chocolate orange',
    'salt and sesame',
    'corn chips',
    'cheese and onion crisps',
    'stock',
  ])('“%s” is a question', (words) =>
    expect(resolveFood(words.replace(/^[\d ]*(g|ml|tbsp) /, ''), book)).toBeNull(),
  )
  it.each([
    ['fish stock', 'fish-stock'],
    ['walnut oil', 'walnut-oil'],
    ['peanut flour', 'peanut-flour'],
    ['celery salt', 'celery-salt'],
    ['soya yoghurt', 'yoghurt-soya'],
    ['macaroni cheese', 'macaroni-cheese'],
    ['4 sausage rolls', 'sausage-roll'],
    ['beef suet', 'beef-suet'],
    ['red wine', 'wine-red'],
    ['water chestnuts', 'water-chestnuts'],
    ['wine vinegar', 'vinegar-wine'],
    ['malt vinegar', 'vinegar-malt'],
    ['dried kidney beans', 'kidney-beans-dried'],
    ['chicken liver', 'chicken-liver'],
    ['mini eggs', 'chocolate-eggs'],
    ['gammon', 'gammon'],
    ['egg whites', 'egg-white'],
  ])('“%s” is %s', (words, id) => expect(resolveFood(words, book)?.id).toBe(id))
  it('that is no name names what may be meant, the longest first', () => {
    expect(foodsNamed('yoghurt coated raisins', book).map((f) => f.id)).toEqual(
      expect.arrayContaining(['raisins', 'yoghurt-plain']),
    )
  })
  it('a line that names two foods, or one that nobody knows, keeps its words for who asks', () => {
    const { line, says } = lineFromText('50 g yoghurt coated raisins', 'm')
    expect(line.food).toBe('own:yoghurt-coated-raisins')
    expect(says.join(' ')).toMatch(/does not know/)
    for (const id of ['milk']) expect(meet(id, book.of(line.food))).toBe('lists')
  })
})

describe('what holds an allergen, by a published list', () => {
  it.each(Object.entries(PRODUCTS).flatMap(([id, all]) => all.map((product) => [product, id] as const)))(
    '“%s” is never nothing found for %s',
    (product, id) => {
      const { lists, may, open } = packetWords(product)
      const onPacket = [...lists, ...may].some((x) => isOrUnder(x, id)) || open.length > 0
      expect(onPacket, JSON.stringify({ lists, may, open })).toBe(true)
      const food = resolveFood(product, book)
      if (food) expect(meet(id, food), food.id).not.toBe('nothing')
    },
  )
})

describe('the list of foods', () => {
  it('has its allergens with their groups, a source and a confidence in each row', () => {
    for (const f of book.all) {
      expect(f.source, f.id).toBeTruthy()
      expect(f.confidence, f.id).toMatch(/^[HM]$/)
      for (const id of f.contains)
        for (const group of ['fish', 'tree-nuts', 'crustaceans', 'molluscs', 'gluten-cereals'])
          if (id !== group && isOrUnder(id, group)) expect(f.contains, f.id).toContain(group)
    }
  })
  it('the words of a name and what the food holds say the same: no name lies', () => {
    for (const f of book.all) {
      const said = packetWords(f.name).lists
      const has = [...f.contains, ...f.extras, ...f.mayContain]
      for (const id of said) {
        // "Gluten-free", "dairy-free" and their like say what is not in it.
        if (/free|style|alternative|replacer|vegan/.test(f.name)) continue
        expect(has.some((x) => isOrUnder(x, id)) || f.compound, `${f.name}: ${id} (${has.join(' ')})`).toBe(
          true,
        )
      }
    }
  })
  it('each keeps in a way that is said for both countries', () => {
    for (const f of book.all)
      for (const country of ['uk', 'us'] as const) expect(keepsHow(f, 'closed', country), f.id).toMatch(/\w/)
    expect(keepsHow(book.of('chicken-breast'), 'cooked', 'uk')).toMatch(/2 days/)
    expect(keepsHow(book.of('chicken-breast'), 'cooked', 'us')).toMatch(/3 to 4 days/)
    expect(keepsHow(book.of('rice-white'), 'cooked', 'uk')).toMatch(/1 hour.*24 hours/)
    expect(keepsHow(book.of('chicken-stock'), 'closed', 'uk')).toMatch(/fridge/)
  })
})
