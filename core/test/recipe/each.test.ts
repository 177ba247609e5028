/** Lines for each child: one child's amount in the field, all of it kept; it does not change with how many the recipe serves. */
import { describe, expect, it } from 'vitest'
import { amountFromField, amountInField, servesChanged } from '../../src/recipe/each'
import { recipeOf } from '../group'

describe('a line for each child in the editor', () => {
  it.each([
    ['24', true, 6, '4'],
    ['3/2', true, 6, '1/4'],
    ['24', false, 6, '24'],
    ['a lot', true, 6, 'a lot'],
  ])('%s, each %s, for %s: %s in the field, and back', (amount, each, serves, field) => {
    expect(amountInField({ amount, each }, serves)).toBe(field)
    expect(amountFromField(field, each, serves)).toBe(amount)
  })
  it('keeps one child’s amount when it serves more, and every other line as it is; nothing is no number', () => {
    const { lines, serves } = recipeOf('own-flatbreads')
    const more = servesChanged(lines, serves, 9)
    expect(more.map((l) => amountInField(l, 9))).toEqual(lines.map((l) => amountInField(l, serves)))
    expect(servesChanged(more, 9, serves)).toEqual(lines)
    for (const none of [0, NaN, -1]) expect(servesChanged(lines, serves, none)).toEqual(lines)
  })
})
