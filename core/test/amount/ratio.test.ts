import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AmountError, parseRatio, ratio, toMixed, toPlaces, toText } from '../../src/amount/ratio'
import { amountText, numberText } from '../../src/amount/show'

const fraction = fc
  .tuple(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 500 }))
  .map(([n, d]) => ratio(`${n}/${d}`))

describe('an amount as people write it', () => {
  it.each([
    ['7/2', '7/2'],
    ['2 1/3', '7/3'],
    ['0.75', '3/4'],
    ['0,75', '3/4'],
    ['1½', '3/2'],
    ['⅔', '2/3'],
    [' 3 ', '3'],
    ['1⁄4', '1/4'],
  ])('reads %s as %s', (text, exact) => {
    expect(toText(parseRatio(text))).toBe(exact)
  })

  it.each([
    ['1/0', 'divides by zero'],
    ['3 1/0', 'divides by zero'],
    ['', 'is empty'],
    ['a pinch', 'is not an amount'],
    ["1'; drop table children; --", 'is not an amount'],
    ['1e9', 'is not an amount'],
    ['--1', 'is not an amount'],
  ])('refuses %s and says that it %s', (text, says) => {
    expect(() => parseRatio(text)).toThrow(AmountError)
    expect(() => parseRatio(text)).toThrow(says)
  })

  it('reads back every mixed number that it writes', () => {
    fc.assert(fc.property(fraction, (f) => parseRatio(toMixed(f)).equals(f)))
  })

  it('rounds half away from zero at the last place', () => {
    expect(toPlaces(ratio('1/8'), 2)).toBe('0.13')
    expect(toPlaces(ratio('-1/8'), 2)).toBe('-0.13')
    expect(toPlaces(ratio('2/3'), 4)).toBe('0.6667')
    expect(toPlaces(ratio('-1/100000'), 2)).toBe('0.00')
  })

  it('is never further off than half of the last place', () => {
    fc.assert(fc.property(fraction, (f) => ratio(toPlaces(f, 3)).sub(f).abs().compare(ratio('1/2000')) <= 0))
  })
})

describe('an amount as people read it', () => {
  it('keeps kitchen fractions and rounds the others', () => {
    expect(numberText('7/3')).toBe('2 1/3')
    expect(numberText('47/37')).toBe('1.27')
  })
  it('writes units in the plural above one', () => {
    expect(amountText('3/2', 'cup_m')).toBe('1 1/2 cups')
    expect(amountText('1/2', 'cup_m')).toBe('1/2 cup')
    expect(amountText('62.5', 'g')).toBe('63 g')
    expect(amountText('2.5', 'mL')).toBe('2.5 mL')
    expect(amountText('3', 'item')).toBe('3')
  })
})
