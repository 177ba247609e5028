/**
 * What was measured or seen today against its limit: core temperature, time out of the fridge, cooked rice, illness, sight.
 * Source: FSA, USDA/CDC, UKHSA, EYFS 2025 as in the fact pack on ages and safety, all from memory. The setting's own
 * procedures and local codes come first. A limit that is kept
 * says nothing of the food itself, so only the core temperature, asked for by name, is ever answered with 'ok'.
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

const celsiusIn = (text: string): number | null => {
  const found = /(\d+(?:[.,]\d+)?)\s*(?:°|º|deg(?:rees)?)?\s*(c|f)\b/i.exec(text)
  if (!found) return null
  const value = Number(found[1]?.replace(',', '.'))
  return found[2]?.toLowerCase() === 'f' ? ((value - 32) * 5) / 9 : value
}

const SECONDS: readonly (readonly [RegExp, number])[] = [
  [/(\d+(?:[.,]\d+)?)\s*(?:d|days?)\b/i, 86400],
  [/(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?)\b/i, 3600],
  [/(\d+(?:[.,]\d+)?)\s*(?:m|mins?|minutes?)\b/i, 60],
  [/(\d+(?:[.,]\d+)?)\s*(?:s|secs?|seconds?)\b/i, 1],
]
/** All times named, added up: "1 h 30 min". Null where there is none. */
const secondsIn = (text: string): number | null => {
  const all = SECONDS.flatMap(([form, unit]) => {
    const found = form.exec(text)
    return found ? [Number(found[1]?.replace(',', '.')) * unit] : []
  })
  return all.length === 0 ? null : all.reduce((a, b) => a + b, 0)
}

function core(text: string, country: 'uk' | 'us' | undefined): Advice[] {
  const celsius = celsiusIn(text)
  if (celsius === null || !/\b(core|centre|center|inside|reheat\w*|probe\w*)\b/i.test(text)) return []
  const held = secondsIn(text) ?? 0
  const need = CORE.find(([from]) => celsius >= from)?.[1]
  const uk = need !== undefined && held >= need
  const us = celsius >= US_CORE
  const again = /\b(second|third|again|twice)\b(?! *s\b)/i.test(text.replace(/\d\s*seconds?/gi, ''))
  const done = !again && (country === 'uk' ? uk : country === 'us' ? us : uk && us)
  return [
    advice(
      done ? 'ok' : 'stop',
      't-core',
      done
        ? 'reheat once only; cool to lukewarm before it reaches a child'
        : again
          ? 'throw it away: reheated once already'
          : 'back to the heat; probe the thickest part again, an adult',
      country === 'us' ? '74 °C (165 °F) at the core' : '70 °C at the core for 2 minutes, or equal',
      country === 'us' ? 'USDA' : 'FSA',
    ),
  ]
}

function outOfTheFridge(text: string): Advice[] {
  if (!/\b(out(?! of the (?:oven|pan|tin|mould))|room temperature|on the table|unrefrigerated)\b/i.test(text))
    return []
  const time = secondsIn(text)
  const limit = (celsiusIn(text) ?? 0) > 32 ? 3600 : 7200
  if (time === null || time <= limit || /\b(core|vomit\w*)\b/i.test(text)) return []
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
  const past = /\b(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?|d|days?)\b/i.test(text) ? (secondsIn(text) ?? 0) : 0
  if (past >= 48 * 3600) return []
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
