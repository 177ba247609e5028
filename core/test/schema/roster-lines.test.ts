/** Children pasted as lines: read as people write them, refused with the reason, and nothing that was said of a child is passed over. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLERGENS, allergenName } from '../../src/food/allergens'
import { readRoster } from '../../src/schema/roster'
import { hasHeadings, rosterLines } from '../../src/schema/roster-lines'

const TODAY = '2026-11-26'
const read = (text: string) => {
  const { rows, columns } = rosterLines(text)
  return readRoster(rows, columns, TODAY)
}
const one = (text: string) => {
  const [row] = read(text)
  return row?.child ?? row?.fault
}

describe('children pasted as lines', () => {
  it.each([
    ['Wren, April 2022, milk', 'Wren', '2022-04', ['milk']],
    ['Wren 2022-04 milk', 'Wren', '2022-04', ['milk']],
    ['Wren (04/2022): milk', 'Wren', '2022-04', ['milk']],
    ['Wren – born April 2022 – milk allergy', 'Wren', '2022-04', ['milk']],
    ['1. Wren\t17/04/2022\tmilk', 'Wren', '2022-04', ['milk']],
    ['• Wren; Apr 2022; allergic to egg; sesame', 'Wren', '2022-04', ['egg', 'sesame']],
    ['April 2022, Wren, milk', 'Wren', '2022-04', ['milk']],
    ['Wren | 17th April 2022 | none', 'Wren', '2022-04', []],
    ['Wren, April 2022', 'Wren', '2022-04', []],
    ['June 2021-04 egg', 'June', '2021-04', ['egg']],
    ['April, May 2021, egg', 'April', '2021-05', ['egg']],
    ['Wren, April 2022, no known allergies, Welsh at home', 'Wren', '2022-04', []],
  ])('%s', (text, nickname, birth, allergens) => {
    expect(one(text)).toMatchObject({
      nickname,
      birth,
      concerns: allergens.map((allergen) => ({ allergen })),
    })
  })
  it('keeps how strictly, languages, diets, the hand and needs where they are said', () => {
    expect(
      one(
        'Zuri, May 2021, milk (anaphylaxis, epipen), Welsh and Polish at home, vegetarian, left-handed, wheelchair',
      ),
    ).toMatchObject({
      concerns: [{ allergen: 'milk', level: 'anaphylaxis-risk' }],
      languages: ['cy', 'pl'],
      diets: ['vegetarian'],
      hand: 'left',
      needs: ['wheelchair'],
    })
    expect(one('Zuri, May 2021, milk severe')).toMatchObject({
      concerns: [{ allergen: 'milk', level: 'anaphylaxis-risk' }],
    })
  })
  it('refuses a line without a month of birth, or with a date that may be read in two ways, and says which line', () => {
    const rows = read('Wren, milk\n\nIdris, April 2022\nKofi, 03/04/2022')
    expect(rows.map((r) => [r.line, r.child?.nickname ?? r.fault])).toEqual([
      [1, 'Birth month is missing'],
      [3, 'Idris'],
      [4, expect.stringMatching(/day or month first/)],
    ])
  })
  it('takes no allergy for a name: who is not named is refused', () => {
    for (const line of ['May 2021 milk', 'April 2022; egg; sesame', '2021-04, none', '2021-04 7 milk'])
      expect(one(line), line).toMatch(/Nickname/)
  })
  it('what Lea does not understand of a child is kept as an allergy that it asks about', () => {
    const row = read('Wren, April 2022, glimberry')[0]
    expect(row?.child?.concerns).toEqual([{ allergen: 'glimberry', level: 'unknown' }])
    expect(row?.notes.join()).toMatch(/ask at every food/)
  })
  it('no allergen is lost, whatever stands around it', () => {
    const around = fc.constantFrom(
      'Welsh at home',
      'vegetarian',
      'left-handed',
      'none',
      'Polish',
      'likes the red cup',
    )
    const apart = fc.constantFrom(', ', '; ', '\t', ' | ')
    const names = ALLERGENS.map((a) => a.id)
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...names), { minLength: 1, maxLength: 3 }),
        fc.array(around, { maxLength: 3 }),
        apart,
        fc.boolean(),
        (ids, more, by, first) => {
          const said = ids.map((id) => allergenName(id))
          const rest = first ? [...said, ...more] : [...more, ...said]
          const child = one(['Wren', 'April 2022', ...rest].join(by))
          expect(child, rest.join(by)).toBeTypeOf('object')
          const got = typeof child === 'object' ? child.concerns.map((c) => c.allergen) : []
          // Each alone says what it says beside the others.
          for (const name of said) {
            const alone = one(`Wren, April 2022, ${name}`)
            const wanted = typeof alone === 'object' ? alone.concerns.map((c) => c.allergen) : []
            expect(wanted.length, name).toBeGreaterThan(0)
            expect(got, name).toEqual(expect.arrayContaining(wanted))
          }
        },
      ),
      { numRuns: 300 },
    )
  })
  it('a text of anything reads as rows or faults and never throws', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => {
        for (const row of read(text)) expect(row.child !== null || row.fault !== '').toBe(true)
      }),
      { numRuns: 300 },
    )
  })
  it('tells a table with headings from lines', () => {
    expect(hasHeadings(['Name', 'Born', 'Allergies'])).toBe(true)
    expect(hasHeadings(['Wren', 'April 2022', 'milk'])).toBe(false)
  })
})
