/**
 * Recipe texts as they occur, in thirteen styles, with what a person reads in them, written down before the reader was changed. Invented
 * for Lea; dishes as in the demo. Format: `## name | system`, the text, `=> title | serves`, the lines (`?` by eye or asked, `~` may be asked),
 * the work (`technique foods minutes degrees`, `!` an adult's).
 */
import { SYSTEMS, type System } from '../../../src/amount/unit-words'
import alarm from './alarm.txt?raw'
import card from './card.txt?raw'
import chat from './chat.txt?raw'
import eu from './eu.txt?raw'
import fresh from './fresh.txt?raw'
import fresh3 from './fresh3.txt?raw'
import fresh2 from './fresh2.txt?raw'
import html from './html.txt?raw'
import list from './list.txt?raw'
import mail from './mail.txt?raw'
import messy from './messy.txt?raw'
import prose from './prose.txt?raw'
import scan from './scan.txt?raw'
import sections from './sections.txt?raw'
import uk from './uk.txt?raw'
import us from './us.txt?raw'

export interface WantedLine {
  /** `?`: by eye or asked; `~`: exact or asked. */
  sure: '' | '?' | '~'
  amount: string
  unit: string
  foods: string[]
  shape?: string
}
export interface WantedWork {
  techniques: string[]
  adult: boolean
  foods: string[]
  minutes?: number
  celsius?: number
}
export interface Case {
  style: string
  name: string
  system: System
  text: string
  title: string
  serves: number | null
  lines: WantedLine[]
  work: WantedWork[]
}

const FILES = {
  alarm,
  card,
  chat,
  eu,
  fresh,
  fresh2,
  fresh3,
  html,
  list,
  mail,
  messy,
  prose,
  scan,
  sections,
  uk,
  us,
}

function lineOf(text: string): WantedLine {
  const sure = text.startsWith('?') ? '?' : text.startsWith('~') ? '~' : ''
  const words = text.slice(sure.length).split(' ')
  const foodsOf = (food = ''): string[] => food.split('|')
  if (sure === '?') return { sure, amount: '', unit: '', foods: foodsOf(words[0]) }
  const [amount = '', unit = '', food, shape] = words
  return {
    sure,
    amount,
    unit,
    foods: foodsOf(food),
    ...(shape && shape === shape.toUpperCase() && { shape }),
  }
}

function workOf(text: string): WantedWork {
  const [technique = '', ...rest] = text.split(' ')
  const work: WantedWork = {
    techniques: technique.replace('!', '').split('|'),
    adult: technique.endsWith('!'),
    foods: [],
  }
  for (const word of rest)
    if (/^\d+m$/.test(word)) work.minutes = Number(word.slice(0, -1))
    else if (/^\d+C$/.test(word)) work.celsius = Number(word.slice(0, -1))
    else work.foods.push(word)
  return work
}

function casesOf(style: string, file: string): Case[] {
  return file
    .split(/^## (?=[a-z0-9-]+(?: \| [a-z]+)?$)/m)
    .slice(1)
    .map((block): Case => {
      const [head = '', ...rest] = block.split('\n')
      const [name = '', system = 'm'] = head.split(' | ')
      const at = rest.findIndex((l) => l.startsWith('=>'))
      const [title = '', serves = ''] = (rest[at] ?? '').slice(2).split('|')
      return {
        style,
        name,
        system: SYSTEMS.find((s) => s === system) ?? 'm',
        text: rest.slice(0, at).join('\n'),
        title: title.trim(),
        serves: serves.trim() === '' ? null : Number(serves),
        lines: (rest[at + 1] ?? '').split('; ').map(lineOf),
        work: (rest[at + 2] ?? '').split('; ').map(workOf),
      }
    })
}

export const CASES: Case[] = Object.entries(FILES).flatMap(([style, file]) => casesOf(style, file))
