/**
 * What was measured or seen today against its limit: core temperature, time out of the fridge, cooked rice, illness, sight.
 * Source: FSA, USDA/CDC, UKHSA, EYFS 2025 as in the fact pack on ages and safety, all from memory. The setting's own
 * procedures and local codes come first. A limit that is kept says nothing of the food itself, so only a core temperature
 * with the time it was held, in plain words and alone ("core 75 °C for 30 s"), is ever answered with 'ok'.
 */
import type { Advice } from './verdict'

/** Least seconds at a core temperature in °C; one row holds up to the next (FSA, from memory). */
const CORE: readonly (readonly [celsius: number, seconds: number])[] = [
  [80, 6],
  [75, 30],
  [70, 120],
  [65, 600],
  [60, 2700],
]
/** Held for no time: 165 °F (USDA, from memory), for poultry and for all that is reheated. */
const US_CORE = ((165 - 32) * 5) / 9

const advice = (
  result: Advice['result'],
  matched: string,
  act: string,
  because: string,
  source: string,
): Advice => ({
  result,
  until: null,
  do: act,
  because,
  source: `${source}, from memory`,
  matched,
})

const TEMPERATURE = String.raw`(\d+(?:[.,]\d+)?)\s*(?:°|º|deg(?:rees)?)?\s*(c|f)\b`
const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`
const figure = (text: string | undefined): number => Number((text ?? '').replace(',', '.'))
const toCelsius = (value: string | undefined, unit: string | undefined): number =>
  unit?.toLowerCase() === 'f' ? ((figure(value) - 32) * 5) / 9 : figure(value)
const temperatures = (text: string): number[] =>
  [...text.matchAll(new RegExp(TEMPERATURE, 'gi'))].map((m) => toCelsius(m[1], m[2]))

const UNITS: readonly (readonly [words: string, seconds: number])[] = [
  ['d|days?', 86400],
  ['h|hrs?|hours?', 3600],
  ['m|mins?|minutes?', 60],
  ['s|secs?|seconds?', 1],
]
/** All times named, added up: "1 h 30 min". Null where there is none. */
const secondsIn = (text: string): number | null => {
  const all = UNITS.flatMap(([words, unit]) =>
    [...text.matchAll(new RegExp(`${NUMBER}\\s*(?:${words})\\b`, 'gi'))].map((m) => figure(m[1]) * unit),
  )
  return all.length === 0 ? null : all.reduce((a, b) => a + b, 0)
}

/** The place, words that change nothing, the figure, and directly after it the time held. An oven's figure is none. */
const MEASURED = new RegExp(
  String.raw`\b(?:core|centre|center|probed?|reheated to)(?: temperature| temp| is| was| at| of| reads| reached|[:,=\s])*` +
    TEMPERATURE +
    String.raw`(?:,? (?:held )?for (\d+(?:[.,]\d+)? ?[a-z]+))?`,
  'i',
)

function core(text: string, country: 'uk' | 'us' | undefined): Advice[] {
  const all = temperatures(text)
  if (all.length === 0 || !/\b(core|centre|center|prob(?:e|es|ed)|reheated (?:to|again|twice))\b/i.test(text))
    return []
  const found = MEASURED.exec(text)
  const celsius = toCelsius(found?.[1], found?.[2])
  const held = secondsIn(found?.[3] ?? '') ?? 0
  const need = CORE.find(([from]) => celsius >= from)?.[1]
  const uk = need !== undefined && held >= need
  const us = celsius >= US_CORE
  const again = /\b(second|third|again|twice)\b/i.test(text)
  const plain = found !== null && all.length === 1 && celsius <= 110 && !/\b(not|never|no)\b/i.test(text)
  const done = plain && !again && (country !== 'us' ? uk : true) && (country !== 'uk' ? us : true)
  return [
    advice(
      done ? 'ok' : 'stop',
      't-core',
      done
        ? 'reheat once only; cool to lukewarm before it reaches a child'
        : again
          ? 'throw it away if it was reheated before'
          : 'back to the heat; probe the thickest part again, an adult, and say how long it held',
      [
        ...(country === 'us' ? [] : ['70 °C at the core for 2 minutes, or equal (UK)']),
        ...(country === 'uk' ? [] : ['74 °C (165 °F) at the core (US)']),
      ].join('; '),
      country === undefined ? 'FSA; USDA' : country === 'us' ? 'USDA' : 'FSA',
    ),
  ]
}

function outOfTheFridge(text: string): Advice[] {
  if (
    !/\bout (?:for |over )?\d|\d ?[a-z]+ out\b|\bleft out\b|\broom temperature\b|\bon the table\b|\bunrefrigerated\b/i.test(
      text,
    )
  )
    return []
  const limit = Math.max(0, ...temperatures(text)) > 32 ? 3600 : 7200
  const long = /\b(overnight|all (?:day|night|morning|afternoon))\b/i.test(text)
  if (!long && (secondsIn(text) ?? 0) <= limit) return []
  return [
    advice(
      'stop',
      't-two-hour',
      'throw it away',
      'perishable food out of the fridge: 2 hours, 1 hour above 32 °C; time at the table counts',
      'USDA/CDC',
    ),
  ]
}

function keptRice(text: string): Advice[] {
  const time = secondsIn(text)
  if (
    time === null ||
    time <= 86400 ||
    !/\brice\b/i.test(text) ||
    !/\b(left ?over|fridge|cooked|chilled|kept)\b/i.test(text)
  )
    return []
  return [
    advice(
      'stop',
      't-rice',
      'throw it away',
      'cooked rice: cool within 1 hour, eat within 24 hours, reheat once',
      'FSA',
    ),
  ]
}

function illness(text: string): Advice[] {
  if (!/\b(vomit\w*|diarrh?o?ea|threw up|thrown up|been sick|was sick|sick bug)\b/i.test(text)) return []
  // Only 'so long ago' counts, the latest named; "for three days" or "yesterday" does not.
  const ago = [...text.matchAll(/(\d+(?:[.,]\d+)? ?[a-z]+) ago\b/gi)].map((m) => secondsIn(m[1] ?? '') ?? 0)
  const lately = /\b(today|yesterday|this|last night|still|again|now)\b/i.test(text)
  if (!lately && ago.length > 0 && Math.min(...ago) >= 48 * 3600) return []
  return [
    advice(
      'stop',
      'h-ill',
      'not in, and not at the food: back 48 hours after the last episode',
      'vomiting and diarrhoea spread through food and hands',
      'UKHSA; FSA',
    ),
  ]
}

function sight(text: string): Advice[] {
  if (!/\b(eat\w*|lunch|snack\w*|tast\w*)\b/i.test(text)) return []
  if (!/\b((out|outside)( of)? sight|cannot see|can't see|not in sight|next room|other room)\b/i.test(text))
    return []
  return [
    advice(
      'stop',
      'e-sight',
      'an adult where children eat, facing them',
      'children who eat are within sight and hearing',
      'EYFS 2023/2025',
    ),
  ]
}

/** @param text the words of what and as, as they were written */
export const adviseReadings = (text: string, country?: 'uk' | 'us'): Advice[] => [
  ...core(text, country),
  ...outOfTheFridge(text),
  ...keptRice(text),
  ...illness(text),
  ...sight(text),
]
