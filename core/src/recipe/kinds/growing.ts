/** What grows on after a session: what was sown, and on which days one looks at it. */
import type { Growing, GrowingLook } from './kinds'

/** So many looks at most. */
export const LOOKS_MOST = 12
/** No look is later than so many days. */
export const LOOK_DAY_MOST = 60

/** What is wrong with it, in words; null where it is fine. */
export function growingFault({ looks }: Pick<Growing, 'looks'>): string | null {
  if (looks.length === 0) return 'One look at least is needed'
  const late = looks.find((l, i) => i > 0 && l.day <= (looks[i - 1]?.day ?? 0))
  return late ? `The looks go by their days: day ${late.day} stands after a later or the same one` : null
}

/** To begin with: a look on the first days, and at the end. */
export const GROWING_START: Growing = {
  what: 'what we sowed',
  looks: [
    { day: 1, says: 'Is it still damp? What has changed?' },
    { day: 3, says: 'Look for the first root.' },
    { day: 7, says: 'How high is it? Which way does it lean?' },
  ],
}

/** With one look changed, or one more at the end; in the order of the days. */
export function withLook(growing: Growing, i: number, more: Partial<GrowingLook>): Growing {
  const last = growing.looks.at(-1)?.day ?? 0
  const was = growing.looks[i] ?? { day: Math.min(LOOK_DAY_MOST, last + 2), says: 'What has changed?' }
  const day = Math.min(LOOK_DAY_MOST, Math.max(1, Math.round(more.day ?? was.day) || 1))
  const look = { ...was, ...more, day }
  const looks =
    i < growing.looks.length ? growing.looks.map((l, k) => (k === i ? look : l)) : [...growing.looks, look]
  return { ...growing, looks: [...looks].sort((a, b) => a.day - b.day) }
}

/** "Cress grows on: a look on day 1, 3 and 7." */
export const growingText = ({ what, looks, measured }: Growing): string =>
  `${what.slice(0, 1).toUpperCase()}${what.slice(1)} grows on: a look on day ${daysText(looks)}${measured ? ', measured each time' : ''}.`
const daysText = (looks: readonly GrowingLook[]): string => {
  const days = looks.map((l) => String(l.day))
  return days.length < 2 ? days.join('') : `${days.slice(0, -1).join(', ')} and ${days.at(-1) ?? ''}`
}
