import { describe, expect, it } from 'vitest'
import { amountText, numberText, readerText } from '../../src/amount/show'
import { OVEN_MARKS, convertTemperature, ovenMark } from '../../src/amount/temperature'
import { measureText, unitLabel } from '../../src/amount/units'
import { wholeTins } from '../../src/amount/packs'

describe('an amount as a cook reads it', () => {
  it.each([
    ['3/2', 'cup_m', '1 1/2 cups'],
    ['1', 'cup_us', '1 cup'],
    ['2/3', 'tbsp_m', '2 tsp'],
    ['1/8', 'cup_us', '2 tbsp'],
    ['1/3', 'tsp_m', '1/3 tsp'],
    ['3', 'tin', '3 tins'],
    ['1', 'leaf', '1 leaf'],
    ['4', 'leaf', '4 leaves'],
    ['2', 'bunch', '2 bunches'],
    ['5', 'item', '5'],
    ['437.5', 'g', '438 g'],
    ['2.25', 'g', '2.3 g'],
    ['7/13', 'cup_m', '135 mL'],
  ])('%s %s is %s', (amount, unit, text) => expect(amountText(amount, unit)).toBe(text))
  it('writes decimals as the language does', () => {
    expect(amountText('2.25', 'g', 'de-DE')).toBe('2,3 g')
    expect(numberText('7/13', 'pl-PL')).toBe('0,54')
    expect(numberText('7/13', 'en-GB')).toBe('0.54')
  })
  it('gives a foreign cup in the reader’s own, to the nearest quarter or third', () => {
    expect(readerText('3', 'cup_m', 'us')).toBe('US 3 1/4 cups')
    expect(readerText('1', 'cup_us', 'uk')).toBe('1 cup')
    expect(readerText('1', 'pint_us', 'uk')).toBe('3/4 pint')
    expect(readerText('1', 'tsp_m', 'us')).toBe('')
    expect(readerText('2', 'cup_us', 'us')).toBe('')
  })
  it('names units with their system', () => {
    expect([unitLabel('cup_m'), unitLabel('cup_us'), unitLabel('tbsp_au'), unitLabel('item')]).toEqual([
      'cups (250 mL)',
      'US cups',
      'Australian tbsp',
      'pieces',
    ])
    expect([measureText('1/4', 'cup_m'), measureText('1', 'cup_us')]).toEqual(['62.5 mL', 'US, 236.59 mL'])
  })
})

describe('temperatures (SP 811) and oven marks (common practice, from memory)', () => {
  it.each([
    ['350', 'F', '530/3'],
    ['32', 'F', '0'],
    ['212', 'F', '100'],
  ] as const)('%s °%s is %s °C, exactly, and back', (value, from, celsius) => {
    expect(convertTemperature(value, from, 'C').toFraction()).toBe(celsius)
    expect(convertTemperature(celsius, 'C', 'F').toFraction()).toBe(value)
  })
  it('every dial mark lies within 6 °C of its Fahrenheit figure', () => {
    for (const m of OVEN_MARKS)
      expect(Math.abs(convertTemperature(String(m.fahrenheit), 'F', 'C').valueOf() - m.celsius)).toBeLessThan(
        6.5,
      )
  })
  it('finds the mark of a recipe, and none off the dial', () => {
    expect(ovenMark(200)).toMatchObject({ gas: '6', fahrenheit: 400, fan: 180 })
    expect(ovenMark(60)).toBeNull()
  })
})

describe('whole tins (within 15 %, common practice)', () => {
  it.each([
    ['3', { n: 3, how: 'exact', left: '0' }],
    ['9/4', { n: 2, how: 'near' }],
    ['3/2', { n: 2, how: 'part', left: '1/2' }],
    ['1/3', { n: 1, how: 'part', left: '2/3' }],
  ] as const)('%s tins', (x, expected) => expect(wholeTins(x)).toMatchObject(expected))
})
