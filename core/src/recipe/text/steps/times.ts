/** Times and counts that the words of a recipe give. Hours and minutes add up; a couple is two; overnight is a night of eight hours. */

const SMALL: Record<string, number> = Object.fromEntries(
  'one two three four five six seven eight nine ten eleven twelve'.split(' ').map((w, i) => [w, i + 1]),
)
Object.assign(SMALL, { fifteen: 15, twenty: 20, thirty: 30, forty: 40, 'forty-five': 45, sixty: 60 })
const WORDS = Object.keys(SMALL)
  .sort((a, b) => b.length - a.length)
  .join('|')
const DIGITS = String.raw`\d+(?:[.,]\d+)?(?:\s*[½¼¾]|\s+1\/2)?|[½¼¾]`
const NUMBER = `(?:${DIGITS}|${WORDS}|half an?|three[- ]quarters of an|a quarter of an|an?(?: good)?|a couple(?: of)?|a few|several)`
const UNIT = String.raw`(?:seconds?|secs?|minutes?|mins?|minuten|minutos?|minuti|minut|hours?|hrs?|h|stunden?|heures?|horas?|ore|godzin\p{L}*|timm(?:e|ar)|uur)`
/** Unit letters that stand for minutes in notes: "20 m", "10'". */
const DURATION = new RegExp(
  `(?<![\\p{L}\\d.,/])(${NUMBER})(?:\\s*(?:-|–|—|to|or|bis|à)\\s*(${NUMBER}))?[\\s-]*(${UNIT})(?![\\p{L}])\\.?(?: and a (half|quarter))?`,
  'giu',
)
const NOT_LONG = /(?:every|each|after|within|once|up to)\s+(?:the first |another )?$/i
const NIGHT =
  /\bover ?night\b|\ball night\b|\b(?:until|till) (?:the )?(?:next|following) (?:day|morning)\b|\bfor a night\b/i
const NIGHT_SECONDS = 8 * 3600

/** The value of "3", "1½", "half an", "a couple of". */
export function valueOf(word: string): number {
  const w = word.toLowerCase().replace(/ of$/, '').trim()
  if (/^half/.test(w)) return 0.5
  if (/^a quarter/.test(w)) return 0.25
  if (/^three[- ]quarters/.test(w)) return 0.75
  if (/^an?\b(?! c| f| q)/.test(w)) return 1
  if (/^a couple/.test(w)) return 2
  if (/^(?:a few|several)/.test(w)) return 3
  if (SMALL[w] !== undefined) return SMALL[w]
  const m = /^(\d+(?:[.,]\d+)?)?\s*([½¼¾]|1\/2)?$/.exec(w)
  const part = m?.[2] === '½' || m?.[2] === '1/2' ? 0.5 : m?.[2] === '¼' ? 0.25 : m?.[2] === '¾' ? 0.75 : 0
  return Number((m?.[1] ?? '0').replace(',', '.')) + part
}
const secondsOf = (unit: string): number =>
  /^(?:s)(?:ec|$)/i.test(unit)
    ? 1
    : /^m/i.test(unit)
      ? 60
      : /^(?:h|stund|heur|hor|ore|godz|timm|uur)/i.test(unit)
        ? 3600
        : 1

interface Said {
  at: number
  end: number
  seconds: number
  hours: boolean
}
function all(text: string): Said[] {
  const out: Said[] = []
  for (const m of text.matchAll(DURATION)) {
    const [whole, from = '', to, unit = '', and] = m
    if (NOT_LONG.test(text.slice(0, m.index))) continue
    const n = valueOf(to ?? from) + (and === 'half' ? 0.5 : and === 'quarter' ? 0.25 : 0)
    out.push({
      at: m.index,
      end: m.index + whole.length,
      seconds: n * secondsOf(unit),
      hours: secondsOf(unit) === 3600,
    })
  }
  return out
}

/** "1 h 30", "1 hour 20": minutes that stand behind the hours without their unit. */
const BARE_MINUTES = /^\s*(?:and )?(\d{2})\b(?!\s*(?:°|C\b|F\b|g\b|ml\b|cm\b|\/|degrees|fan|c\b))/
/** "simmer 15.", "rest for 30": a number alone after a verb that takes a while. */
const BARE =
  /\b(?:simmer|bake|rest|boil|cook|roast|chill|fry|stand|prove|rise|leave|knead|for|about)\s+(?:for |about |another |it )*(\d{1,2})(?=\s*(?:[.,;)]|$|at\b|then\b|and\b))/i

/**
 * Seconds that a text names: hours and minutes of one time add up, of a range the longer, of two times the longest; a side counts twice.
 * Null where it names none. "Every 2 minutes" and "after 10 minutes" are no length.
 */
export function secondsIn(text: string): number | null {
  const list = all(text)
  const times: number[] = []
  for (let i = 0; i < list.length; i++) {
    const one = list[i]
    if (!one) continue
    const next = list[i + 1]
    let seconds = one.seconds
    if (one.hours && next && !next.hours && /^\s*(?:,|and|&)?\s*$/.test(text.slice(one.end, next.at))) {
      seconds += next.seconds
      i += 1
    } else if (one.hours) {
      const bare = BARE_MINUTES.exec(text.slice(one.end))
      if (bare) seconds += 60 * Number(bare[1])
    }
    const side = /^\s*(?:on |per |for |a |each |either )*(?:each |every )?sides?\b/i.test(text.slice(one.end))
    times.push(seconds * (side ? 2 : 1))
  }
  // "Ten minutes, then 25 at 180 °C": one after the other.
  if (times.length > 1 && /\bthen\b/i.test(text)) return Math.round(times.reduce((a, b) => a + b, 0))
  if (times.length > 0) return Math.round(Math.max(...times))
  if (NIGHT.test(text)) return NIGHT_SECONDS
  const bare = BARE.exec(text)
  if (!bare?.[1]) return null
  const side = /^\s*(?:on |per |for |a |each |either )*(?:each |every )?sides?\b/i.test(
    text.slice(bare.index + bare[0].length),
  )
  return 60 * Number(bare[1]) * (side ? 2 : 1)
}

/** "turn every 2 minutes", "stirring every 30 seconds": seconds between; null where nothing is done again and again. */
export function everyIn(text: string): number | null {
  const m = new RegExp(`\\b(?:every|each)\\s+(?:(${NUMBER})[\\s-]*)?(${UNIT})(?![\\p{L}])`, 'iu').exec(text)
  if (!m) return null
  const seconds = (m[1] ? valueOf(m[1]) : 1) * secondsOf(m[2] ?? 'm')
  return seconds >= 10 && seconds <= 24 * 3600 ? Math.round(seconds) : null
}

/** A night, or said in hours beyond any session. */
export const isNight = (text: string): boolean => NIGHT.test(text)

const COUNT = new RegExp(
  `\\b(\\d+|${WORDS})\\s+(?:\\p{L}+ )?(times|stirs|snips|pinches|leaves|strips|slices|squares|pieces|spoonfuls|berries|pushes|turns)\\b`,
  'iu',
)
/** "twelve stirs", "4 times": what is counted and how many. */
export function countIn(text: string): { what: string; n: number } | null {
  const m = COUNT.exec(text)
  return m ? { what: (m[2] ?? '').toLowerCase(), n: Math.round(valueOf(m[1] ?? '1')) } : null
}
