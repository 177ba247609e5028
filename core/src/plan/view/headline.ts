/** What a leader wants to know of a plan at one look: a few figures, and the sentences behind them. */
import { minutesText } from '../../amount/clock-time'
import type { Plan } from '../model/plan'

export interface Headline {
  /** Large on the screen, each with its words. */
  figures: { figure: string; says: string }[]
  /** How late it could begin, and what to keep in hand. */
  spare: string
}

/** "1 ½ min" of seconds, to the half minute. */
export function halfMinutes(seconds: number): string {
  const halves = Math.round(seconds / 30)
  const whole = Math.floor(halves / 2)
  return `${whole > 0 || halves % 2 === 0 ? whole : ''}${halves % 2 === 1 ? '½' : ''} min`
}

/** @returns figures in the order of weight; one that says nothing is left out */
export function headline(plan: Plan): Headline {
  const { totals } = plan
  const turns = totals.perChild.map((p) => p.turns)
  const [least, most] = [Math.min(...turns), Math.max(...turns)]
  const wait = Math.max(0, ...totals.perChild.map((p) => p.longestWait))
  return {
    figures: [
      { figure: `${Math.round(totals.seconds / 60)} min`, says: `ends ${totals.endsAt}` },
      ...(turns.length > 0
        ? [{ figure: least === most ? `${least}` : `${least}–${most}`, says: 'turns each' }]
        : []),
      ...(wait > 0 ? [{ figure: halfMinutes(wait), says: 'longest wait for a turn' }] : []),
      ...(totals.spareMinutes === undefined
        ? []
        : totals.spareMinutes < 0
          ? [{ figure: `${-totals.spareMinutes} min`, says: 'too late for home time' }]
          : [{ figure: `${totals.spareMinutes} min`, says: 'to spare' }]),
    ],
    spare: [spareText(plan), keepText(plan)].filter((s) => s !== '').join(' '),
  }
}

function spareText({ totals }: Plan): string {
  const { spareMinutes: n, latestStart } = totals
  if (n === undefined || latestStart === undefined || n < 0) return ''
  return n === 0 ? 'It ends just at home time.' : `It could begin as late as ${latestStart}.`
}

function keepText({ totals }: Plan): string {
  const parts = [
    ...(totals.buffer && totals.buffer > 0 ? [`${minutesText(totals.buffer)} for what goes slower`] : []),
    ...(totals.clearUp
      ? [`${minutesText(totals.clearUp.end - totals.clearUp.start)} for clearing up at the end`]
      : []),
  ]
  return parts.length > 0 ? `Keep ${parts.join(' and ')}.` : ''
}
