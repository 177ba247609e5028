/**
 * A pasted text as plain lines: stamps of chats, quotes, mail heads, Markdown, boxes, pictures and page numbers gone; lines that a narrow
 * page broke joined again. What is taken away says nothing of the recipe; words that might are left in.
 */
import { inColumns } from './columns'
import { mendScan } from './scan'

/** "6 wraps, half for under-threes": what the small have of it is no food of its own. */
const FOR_THE_SMALL =
  /,[ \t]*((?:half|a half|½|a third|⅓|a quarter|¼)(?: of (?:one|it))?(?: each)? for (?:the |those |children )?(?:under|below)[^,;()\n]{1,20})/gi

export interface PlainLine {
  text: string
  /** It stands under an empty line. */
  apart: boolean
  bullet: boolean
  /** How far in it stands. */
  indent: number
  /** Its number, where it has one: "2.", "(2)", "Step 2", "②". */
  number: number | null
  /** It is set off as a heading: "## Dough", "**Method**". */
  heading: boolean
}

const STAMP = [
  /^\s*\[\d{1,2}:\d{2}(?::\d{2})?(?: ?[AP]M)?(?:,? [\d./-]{6,10})?\]\s*(?:[^:\n]{1,40}:\s)?/i,
  /^\s*\[[\d./-]{6,10},? \d{1,2}:\d{2}(?::\d{2})?(?: ?[AP]M)?\]\s*(?:[^:\n]{1,40}:\s)?/i,
  /^\s*[\d./-]{6,10},? \d{1,2}:\d{2}(?::\d{2})?(?: ?[AP]M)? [-–] (?:[^:\n]{1,40}:\s)?/i,
]
const NAMED = /^([\p{Lu}][\p{L}'’ ]{1,24}(?:, \d{1,2}:\d{2})?):\s+(?=\S)/u
const MAIL =
  /^(?:from|to|cc|date|sent|on .{3,60}\bwrote|-{3,}.*(?:forwarded|original) message.*|begin forwarded message)\b.*?:?.*$/i
const MAIL_HEAD = /^(?:from|to|cc|date|sent): /i
const NOISE =
  /^(?:<media omitted>|this message was deleted|sent from my .*|-\s*\d{1,3}\s*-|page \d+(?: of \d+)?|p\. ?\d+\b.*|https?:\/\/\S+|www\.\S+|(?:#[\p{L}\p{N}_]+\s*){1,12}|\+?\d[\d ()-]{8,16}\d|[-_=*~.\s]{3,}|```.*|(?:jump to|print|save|share|pin|rate)(?: this)?(?: recipe)?|\d+ comments?|recipe card\b.{0,12}|follow us.*|all rights reserved.*|©.*|advertisement)$/iu
const CIRCLED = '①②③④⑤⑥⑦⑧⑨⑩⑪⑫⑬⑭⑮⑯⑰⑱⑲⑳'
const BULLET = /^\s*(?:[-–—•*·▢☐☑▪●○◦‣⁃✓✔®>»→]|\[[ xX✓]?\])\s+/u
const NUMBER = /^\s*(?:step\s+|stage\s+)?\(?(\d{1,2})\s*(?:[.:](?=\s)|\)|\s-(?=\s))\s*(?=\S)/i
const STEP_WORD =
  /^\s*(?:step|stage)\s+(\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\s*[-–:.]?\s*/i
const WORDS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')

/** @param text as pasted, at most 60,000 characters */
export function plainLines(text: string): PlainLine[] {
  const raw = mendScan(
    inColumns(
      text
        .replace(/\r\n?/g, '\n')
        .replace(/[\u00a0\u2007\u202f]/g, ' ')
        .replace(/[\u200b-\u200d\u2060\ufeff\u00ad]/g, '')
        .replace(FOR_THE_SMALL, ' ($1)')
        .split('\n')
        .map(unquoted),
    ),
  )
  const named = repeatedNames(raw)
  const out: PlainLine[] = []
  let apart = false
  for (const [i, original] of raw.entries()) {
    if (/^--\s*$/.test(original) && i > raw.length / 2) break
    const line = lineOf(named.reduce((l, n) => (l.startsWith(`${n}:`) ? l.slice(n.length + 1) : l), original))
    if (line === null) {
      apart = true
      continue
    }
    out.push({ ...line, apart })
    apart = false
  }
  return joined(out)
}

const unquoted = (line: string): string => {
  const open = line.replace(/^(?:\s*>)+ ?/, '')
  const stamp = STAMP.find((s) => s.test(open))
  return stamp ? open.replace(stamp, '') : open
}

/** Who wrote, where the same name stands before several lines. */
function repeatedNames(lines: readonly string[]): string[] {
  const count = new Map<string, number>()
  for (const line of lines) {
    const name = NAMED.exec(line)?.[1]
    if (name) count.set(name, (count.get(name) ?? 0) + 1)
  }
  return [...count].filter(([, n]) => n >= 2).map(([name]) => name)
}

/** One line without what sets it off; null where nothing is left of it. */
function lineOf(original: string): Omit<PlainLine, 'apart'> | null {
  let text = original.trim()
  if (
    text === '' ||
    NOISE.test(text) ||
    MAIL_HEAD.test(text) ||
    (MAIL.test(text) && /wrote:?$|message/i.test(text))
  )
    return null
  text = tableRow(text)
  const hashed = /^#{1,6}\s+/.test(text)
  text = text.replace(/^#{1,6}\s+/, '').replace(/\[([^\]]+)\]\([^)]*\)/g, '$1')
  const keycap = /^(\d)\ufe0f?\u20e3\s*/.exec(text)
  const circled = CIRCLED.indexOf(text.charAt(0))
  let number: number | null = keycap ? Number(keycap[1]) : circled >= 0 && text !== '' ? circled + 1 : null
  if (keycap) text = text.slice(keycap[0].length)
  else if (circled >= 0) text = text.slice(1)
  const pictured = /^(?:\p{Extended_Pictographic}|\p{Emoji_Modifier}|\ufe0f|\u200d)+\s*/u.test(text)
  text = text
    .replace(
      /(?:(?![©®™✓✔▪])\p{Extended_Pictographic}|\p{Emoji_Modifier}|[\ufe0f\u20e3]|\p{Regional_Indicator})+/gu,
      ' ',
    )
    .replace(/\s+/g, ' ')
    .trim()
  const bullet = BULLET.test(text) || pictured
  text = text.replace(BULLET, '').replace(/^(?:[®▪✓✔]\s*)/, '')
  const step = STEP_WORD.exec(text)
  if (step?.[1]) {
    number = /\d/.test(step[1]) ? Number(step[1]) : WORDS.indexOf(step[1].toLowerCase()) + 1
    text = text.slice(step[0].length)
  } else {
    const n = NUMBER.exec(text)
    if (n?.[1] && !/^\d{1,2}:\d{2}/.test(text)) {
      number = Number(n[1])
      text = text.slice(n[0].length)
    }
  }
  const bold = /^(\*\*|__|\*|_)(?=\S)[^*_]+(?<=\S)\1:?$/.test(text) || /^\*\*[^*]+\*\*/.test(text)
  text = text
    .replace(/(\*\*|__)(?=\S)(.+?)(?<=\S)\1/g, '$2')
    .replace(/(?<![\p{L}\p{N}])([*_])(?=\S)([^*_]+?)(?<=\S)\1(?![\p{L}\p{N}])/gu, '$2')
    .replace(/`([^`]+)`/g, '$1')
    .replace(/^\d{1,2}:\d{2}\s+(?=\p{L})/u, '')
    .trim()
  if (text === '' && number === null) return null
  return { text, bullet, number, heading: hashed || bold, indent: /^\s*/.exec(original)?.[0].length ?? 0 }
}

/** A row of a Markdown table as a line: "| 1 kg | apples |". */
function tableRow(line: string): string {
  if (!/^\|.*\|$/.test(line)) return line
  const cells = line
    .slice(1, -1)
    .split('|')
    .map((c) => c.trim())
  if (cells.every((c) => /^:?-+:?$/.test(c) || c === '')) return ''
  if (cells.every((c) => /^(?:amount|quantity|food|ingredients?|unit|item|how much|what)$/i.test(c)))
    return ''
  return cells.filter((c) => c !== '').join(' ')
}

const ENDS_OPEN = /(?:\b(?:and|or|the|a|an|with|into|in|of|to|for|on|until|from|then|your|each)|,)$/i
const AMOUNT_ONLY = /^(?:\d[\d./ ]*|[½⅓⅔¼¾⅛])\s*(?:g|kg|ml|l|oz|lb|tsp|tbsp|cups?|dl|cl)?\.?$/i

/** Lines that the page broke: "20" / "minutes", "wa-" / "ter", "Serves" / "8", "1 kg" / "potatoes". */
function joined(lines: readonly PlainLine[]): PlainLine[] {
  const capitals = lines.filter((l) => /^\p{Lu}/u.test(l.text)).length
  const telling = capitals >= lines.length / 3
  const out: PlainLine[] = []
  for (const line of lines) {
    const last = out.at(-1)
    const fresh = line.bullet || line.number !== null || line.heading || line.apart
    if (last && !fresh && !last.heading) {
      const low = /^\p{Ll}/u.test(line.text)
      const hyphen = /\p{L}{2,}-$/u.test(last.text) && low
      const amount = AMOUNT_ONLY.test(last.text) && /^\p{L}/u.test(line.text) && line.text.length < 60
      const serves = /^(?:serves|makes|servings|portions)$/i.test(last.text) && /^\d/.test(line.text)
      const broken =
        !/[.!?:;]$/.test(last.text) &&
        (/^\p{Lu}/u.test(last.text) || last.number !== null) &&
        last.text.length >= 24 &&
        !/^[\d½⅓⅔¼¾⅛]/.test(last.text) &&
        ((low && telling) ||
          (ENDS_OPEN.test(last.text) && (last.text.length >= 40 || low || /^\d/.test(line.text))))
      if (hyphen) {
        last.text = last.text.slice(0, -1) + line.text
        continue
      }
      if (amount || serves || broken) {
        last.text = `${last.text} ${line.text}`
        continue
      }
    }
    out.push({ ...line })
  }
  return out.filter((l) => l.text !== '' && !/^\d{1,3}$/.test(l.text))
}
