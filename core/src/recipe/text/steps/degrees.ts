/** Degrees that the words of a recipe give: °C, °F, gas marks, a thermostat, a bare number after the oven. In whole degrees Celsius. */
import { ratio } from '../../../amount/ratio'
import { convertTemperature } from '../../../amount/temperature'

/** Gas marks in °C. Source: usual conversion tables of cookery books, from memory. */
const GAS_C: Record<string, number> = {
  '¼': 110,
  '1/4': 110,
  '½': 120,
  '1/2': 120,
  1: 140,
  2: 150,
  3: 170,
  4: 180,
  5: 190,
  6: 200,
  7: 220,
  8: 230,
  9: 240,
}
const CELSIUS = /(?<!\d)(-?\d{1,3})\s*(?:°|º|degrees?|deg\.?)?\s*(?:C\b|Celsius\b|centigrade\b|℃)/i
const FAHRENHEIT = /(?<!\d)(\d{2,3})\s*(?:°|º|degrees?|deg\.?)?\s*(?:F\b|Fahrenheit\b|℉)/
const DEGREES =
  /(?<!\d)(\d{2,3})\s*(?:°|º|degrees?\b|deg\b\.?|Grad\b|degrés\b|grados\b|gradi\b|graus\b|stopni\b|graden\b|grader\b)/i
const GAS = /\bgas(?: mark)?\s*(\d|½|¼|1\/2|1\/4)(?!\d)/i
/** French thermostats go by 30 °C. */
const THERMOSTAT = /\bth(?:\.|ermostat)\s*(\d{1,2})\b/i
const BARE =
  /(?:\b(?:oven|bake|roast|at|fan|@|to|for ever)\s*(?:to|at|on|@)?\s*|@\s*|^|,\s*|\()(\d{3})(?=\s*(?:fan\b|for\b|[.,;)]|\d{1,2}\s?min|$|then\b|until\b|\u0020\d{1,3}\s?min))(?!\s*(?:g|ml|kg|mm|cm)\b)/i

const fromF = (f: number): number => 5 * Math.round(convertTemperature(ratio(f), 'F', 'C').valueOf() / 5)
/** No oven goes to 290 °C, and no book bakes at 130 °F. */
const byValue = (n: number, us: boolean): number | null =>
  n >= 290 || (us && n >= 250) ? fromF(n) : n <= 280 ? n : null

/**
 * @param us a US book: a bare 350 is °F anyway, a bare 275 only there
 * @returns from Fahrenheit to the nearest five, from a gas mark by the table; null where the words give none
 */
export function celsiusIn(text: string, us = false): number | null {
  const c = CELSIUS.exec(text)
  if (c) return Number(c[1])
  const f = FAHRENHEIT.exec(text)
  if (f) return fromF(Number(f[1]))
  const gas = GAS.exec(text)
  const thermostat = THERMOSTAT.exec(text)
  const degrees = DEGREES.exec(text)
  if (degrees) return byValue(Number(degrees[1]), us)
  if (gas) return GAS_C[gas[1] ?? ''] ?? null
  if (thermostat) return Math.min(300, 30 * Number(thermostat[1]))
  const bare = BARE.exec(text)
  const n = Number(bare?.[1] ?? 0)
  return n >= 120 && n <= 500 ? byValue(n, us) : null
}

/** The oven heats up: no job of hands, and no heat yet for what is made. */
export const PREHEAT =
  /\b(?:pre-? ?heat|heat (?:up )?(?:the |your |an )?oven|(?:turn|switch|put) (?:on )?the oven(?: on)?|set (?:the |your )?oven|oven (?:on|to)\b)/i
