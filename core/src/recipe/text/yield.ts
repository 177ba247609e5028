/** How much a recipe makes: for how many, and in how many pieces; from what it says of it, else from what the telling divides it into. */
import type { Recipe } from '../recipe'
import type { Sections } from './layout/placed'
import { secondsIn, valueOf } from './steps/times'
import type { Answers, Unread } from './understood'

const WORDS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve'
const N = `(\\d{1,3}|${WORDS})`
const ABOUT = '(?:about |approx\\.? |around |roughly |ca\\.? )?'
const PEOPLE =
  '(?:servings?|portions?|people|persons?|children|kids|little ones|adults?|porcj[ei]|personen|persone|personnes|personas|pessoas)'
const SERVES = new RegExp(
  `\\b(?:serves|servings?|portions?|feeds|for|yields?|für|pour|per|para|voor|för|dla|enough for)\\b[\\s:]*${ABOUT}${N}(?:\\s*(?:-|–|to)\\s*(\\d{1,3}))?`,
  'i',
)
const SERVINGS = new RegExp(`\\b${N}(?:\\s*(?:-|–|to)\\s*(\\d{1,3}))?\\s*(?:${PEOPLE})\\b`, 'iu')
const OR_CHILDREN = new RegExp(`\\bor ${N} (?:children|kids|little|small|toddlers)`, 'i')
const MAKES = new RegExp(
  `\\b(?:makes?|yields?|gives|quantity|pour|für)\\b[\\s:]*${ABOUT}${N}(?:\\s*(?:-|–|to)\\s*(\\d{1,3}))?(?:\\s+(?!min|hour)([\\p{L}][\\p{L} -]{2,29}))?`,
  'iu',
)
const BARE = new RegExp(
  `^\\(?${ABOUT}${N}(?:\\s*(?:-|–|to)\\s*(\\d{1,3}))?(?:ish)?\\)?(?:\\s+([\\p{L} -]{3,30}))?$`,
  'iu',
)
const DOZEN = /(\d{1,2}|one|two|three|a|half a)\s*doz(?:en)?\b/i
const LOOSE = /\b(?:cups?|litres?|liters?|ml|g|kg|quarts?|pints?|jars? of|oz)\b/i
const USUAL_SERVES = 4

const number = (word: string): number => Math.round(valueOf(word))

/** "divide into 8", "cut out 10 rounds", "into 12 cases": pieces that only the telling counts. */
const FROM_STEPS = new RegExp(
  `\\b(?:(?:divide|split|cut|slice|shape|form|roll|make|spoon|pour|fill|layer|put|press|pipe|stamp)\\b[^.]{0,50}?\\b(?:into|in|out|between|among|over|of)? ?${N} (?:\\p{L}+ )?(?!minutes|hours|seconds|equal|times)(\\p{L}{3,}s|patties|loaves)|divide (?:the dough |it |the mixture )?(?:into|in|between) ${N}\\b)`,
  'iu',
)

/**
 * @param answers `yield` says for how many
 * @param notes what was read beside goes in here
 */
export function yieldOf(
  parts: Sections,
  unread: Unread[],
  answers: Answers,
  notes: string[] = [],
): { serves: number; pieces: Recipe['pieces'] } {
  let serves = parts.perChild ? 1 : 0
  let pieces: Recipe['pieces']
  for (const text of parts.about.flatMap((t) => t.split(/(?<=[\p{L}\d])[.,|]\s+(?=\p{L})/u))) {
    const found = amountIn(text)
    if (found?.pieces) pieces ??= found.pieces
    else if (found?.serves) {
      serves ||= found.serves
      if (found.upTo) notes.push(`${text}: taken as ${found.serves}`)
    }
    // Times in all are worked out from the steps; what the text says of them is for comparing.
    else if (secondsIn(text) !== null || !/\d/.test(text)) notes.push(`it says: ${text}`)
    else if (LOOSE.test(text)) notes.push(`it says: ${text}`)
    else unread.push({ part: 'yield', text, why: 'says no number that Lea can use' })
  }
  if (serves > 0) return { serves: Math.min(200, serves), pieces }
  const said = Number(answers['yield'] ?? 0)
  if (Number.isInteger(said) && said >= 1 && said <= 200) return { serves: said, pieces }
  pieces ??= piecesIn(parts.steps.map((s) => s.text))
  const guess = Math.min(200, pieces?.n ?? USUAL_SERVES)
  unread.push({
    part: 'yield',
    text: '',
    why: `for how many is it? Taken as ${guess}`,
    key: 'yield',
    kind: 'yield',
    choices: [...new Set([guess, 4, 6, 8, 12])].sort((a, b) => a - b).map(String),
  })
  return { serves: guess, pieces }
}

function amountIn(text: string): { serves?: number; pieces?: Recipe['pieces']; upTo?: boolean } | null {
  const plain = text.replace(/[()]/g, ' ').replace(/\s+/g, ' ').trim()
  const small = OR_CHILDREN.exec(plain)
  if (small?.[1])
    return /\bmakes\b/i.test(plain)
      ? { pieces: { what: 'pieces', n: number(small[1]) } }
      : { serves: number(small[1]) }
  const dozen = DOZEN.exec(plain)
  if (dozen?.[1])
    return {
      pieces: { what: 'pieces', n: Math.round(12 * valueOf(dozen[1].replace(/^half a$/i, 'half a'))) },
    }
  const people = SERVINGS.exec(plain)
  if (people?.[1]) return { serves: number(people[1]), upTo: people[2] !== undefined }
  const makes = MAKES.exec(plain)
  if (makes?.[1] && !LOOSE.test(makes[3] ?? '')) {
    const what = (makes[3] ?? 'pieces')
      .replace(/\s+(?:environ|and|or|with|depending|big|large|small|in)\b.*$/i, '')
      .trim()
      .toLowerCase()
    return { pieces: { what: what || 'pieces', n: number(makes[1]) } }
  }
  const serves = SERVES.exec(plain)
  if (serves?.[1]) return { serves: number(serves[1]), upTo: serves[2] !== undefined }
  const bare = BARE.exec(plain)
  if (bare?.[1]) return { pieces: { what: (bare[3] ?? 'pieces').toLowerCase(), n: number(bare[1]) } }
  return null
}

function piecesIn(texts: readonly string[]): Recipe['pieces'] {
  for (const text of texts) {
    const m = FROM_STEPS.exec(text)
    const n = m?.[1] ?? m?.[3]
    if (m && n && number(n) >= 2 && number(n) <= 200)
      return { what: (m[2] ?? 'pieces').toLowerCase(), n: number(n) }
  }
  return undefined
}
