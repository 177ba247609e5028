/**
 * Temperatures, exact; and the marks of ovens, which are rounded by convention and never computed.
 * Source: SP 811 App. B (°C = (°F − 32) × 5/9); oven table: common practice (measures.md A4), from memory.
 */
import type Fraction from 'fraction.js'
import { ratio, type Ratio } from './ratio'

/** Celsius and Fahrenheit. */
export const TEMPERATURES = ['C', 'F'] as const
export type TemperatureUnit = (typeof TEMPERATURES)[number]

/** From one scale to the other, exact. Source: SP 811 App. B. */
export function convertTemperature(
  value: Ratio | Fraction,
  from: TemperatureUnit,
  to: TemperatureUnit,
): Fraction {
  if (from === to) return ratio(value)
  return from === 'F' ? ratio(value).sub(32).mul('5/9') : ratio(value).mul('9/5').add(32)
}

export interface OvenMark {
  gas: string
  fahrenheit: number
  /** As dials show it. */
  celsius: number
  fan: number
}
const mark = (gas: string, fahrenheit: number, celsius: number): OvenMark => ({
  gas,
  fahrenheit,
  celsius,
  fan: celsius - 20,
})
export const OVEN_MARKS: readonly OvenMark[] = [
  mark('1/4', 225, 110),
  mark('1/2', 250, 120),
  mark('1', 275, 140),
  mark('2', 300, 150),
  mark('3', 325, 160),
  mark('4', 350, 180),
  mark('5', 375, 190),
  mark('6', 400, 200),
  mark('7', 425, 220),
  mark('8', 450, 230),
  mark('9', 475, 240),
]

/** The mark on the dial for a temperature in °C, the nearest there is; null below and above the dial. */
export const ovenMark = (celsius: number): OvenMark | null =>
  celsius < 100 || celsius > 250
    ? null
    : OVEN_MARKS.reduce((a, b) => (Math.abs(b.celsius - celsius) < Math.abs(a.celsius - celsius) ? b : a))
