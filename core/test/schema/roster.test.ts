import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLERGENS } from '../../src/food/allergens'
import { DIETS } from '../../src/food/diets'
import { NEEDS } from '../../src/plan/model/request'
import { readRoster, rosterColumns, rosterRows } from '../../src/schema/roster'
import type { StoredChild } from '../../src/setting/assemble'
import { LEVELS } from '../../src/food/concern'

const TODAY = '2026-11-26'
const read = (headings: string[], ...rows: string[][]) =>
  readRoster(
    rows.map((cells, i) => ({ line: i + 2, cells })),
    rosterColumns(headings),
    TODAY,
  )

describe('a roster from a table', () => {
  it('columns are matched by headings as people write them', () => {
    expect(
      rosterColumns(['Child', 'Group', 'DOB', 'Allergies / intolerances', 'Dietary needs', 'Home language']),
    ).toEqual({
      nickname: 0,
      birth: 2,
      allergies: 3,
      diets: 4,
      languages: 5,
      hand: null,
      needs: null,
      plan: null,
    })
  })
  it('birth months in the ways they are written; of a day only the month is kept', () => {
    const months = ['2022-04', '2022-04-17', '04/2022', '17/04/2022', 'April 2022', '17 Apr 2022']
    for (const m of months) expect(read(['Name', 'Born'], ['Wren', m])[0]?.child?.birth, m).toBe('2022-04')
  })
  it('a date that may be read in two ways is refused, not guessed', () => {
    expect(read(['Name', 'Born'], ['Wren', '03/04/2022'])[0]).toMatchObject({
      child: null,
      fault: expect.stringMatching(/day or month first/),
    })
  })
  it('allergies with levels as families put it; what is not clear is treated as strict', () => {
    const [row] = read(
      ['Name', 'Born', 'Allergies'],
      ['Zuri', '2023-06', 'Milk (anaphylaxis, EpiPen); nuts, kiwi: may contain is fine'],
    )
    expect(row?.child?.concerns).toEqual([
      { allergen: 'milk', level: 'anaphylaxis-risk' },
      // Who says nuts may mean either, and means both until the family has said more.
      { allergen: 'tree-nuts', level: 'unknown' },
      { allergen: 'peanut', level: 'unknown' },
      { allergen: 'kiwi', level: 'allergy-ingredient' },
    ])
    expect(row?.notes).toContain("'nuts' is taken for tree nuts and peanut")
  })
  it('a word that Lea does not know is kept and said, never dropped', () => {
    const [row] = read(['Name', 'Born', 'Allergies'], ['Otis', '2022-01', 'glimmerberry'])
    expect(row?.child?.concerns).toEqual([{ allergen: 'glimmerberry', level: 'unknown' }])
    expect(row?.notes.join()).toMatch(/ask at every food/)
  })
  it('a row at fault is named by its line, the others are read', () => {
    const rows = read(
      ['Name', 'Born', 'Hand'],
      ['', '2022-01', ''],
      ['Idris', 'soon', ''],
      ['Maren', '2022-02', 'both'],
      ['Kofi', '2022-03', 'L'],
      ['Anouk', '2030-01', ''],
      ['Kofi', '2022-03', ''],
    )
    expect(rows.map((r) => [r.line, r.fault === ''])).toEqual([
      [2, false],
      [3, false],
      [4, false],
      [5, true],
      [6, false],
      [7, false],
    ])
    expect(rows.map((r) => r.fault).join('|')).toMatch(
      /Nickname is missing.*no month.*neither left nor right.*future.*twice/,
    )
  })
  it('who is there already is known by nickname and month', () => {
    const there: StoredChild[] = [
      { id: 'w', nickname: 'Wren', birth: '2022-04', concerns: [], diets: [], languages: [], needs: [] },
    ]
    const rows = readRoster(
      [
        { line: 2, cells: ['wren', '2022-04'] },
        { line: 3, cells: ['Wren', '2021-04'] },
      ],
      rosterColumns(['name', 'birth']),
      TODAY,
      there,
    )
    expect(rows.map((r) => r.known)).toEqual(['w', undefined])
    expect(rows[1]?.notes.join()).toMatch(/Wren born 2022-04 is on your list/)
  })
  it('goes out and comes in as it was (drawn children)', () => {
    const child = fc.record({
      nickname: fc.constantFrom('Wren', 'Idris', "O'Maren", 'Kofi "K"', 'Anouk, the second'),
      birth: fc.constantFrom('2021-01', '2022-12', '2024-06'),
      concerns: fc.uniqueArray(
        fc.record({
          allergen: fc.constantFrom(...ALLERGENS.map((a) => a.id), 'own words'),
          level: fc.constantFrom(...LEVELS),
        }),
        { maxLength: 4, selector: (c) => c.allergen },
      ),
      diets: fc.uniqueArray(fc.constantFrom(...DIETS), { maxLength: 3 }),
      languages: fc.uniqueArray(fc.constantFrom('pl', 'ar', 'cy', 'uk'), { maxLength: 3 }),
      hand: fc.constantFrom(undefined, 'left' as const, 'right' as const),
      needs: fc.uniqueArray(fc.constantFrom(...NEEDS), { maxLength: 2 }),
      carePlan: fc.constantFrom(undefined, 'Two injectors; red bag.\nCall first.'),
    })
    fc.assert(
      fc.property(child, (c) => {
        const [heading = [], row = []] = rosterRows([{ id: 'x', ...c }])
        const back = readRoster([{ line: 2, cells: row }], rosterColumns(heading), TODAY)[0]
        expect(back?.fault).toBe('')
        expect(JSON.parse(JSON.stringify(back?.child))).toEqual(JSON.parse(JSON.stringify(c)))
      }),
      { numRuns: 200 },
    )
  })
})
