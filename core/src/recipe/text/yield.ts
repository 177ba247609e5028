/** How much a recipe makes: for how many, and in how many pieces. */
import type { Recipe } from '../recipe'
import type { Sections } from './sections'
import { secondsIn } from './step'
import type { Answers, Unread } from './understood'

const SERVES =
  /\b(?:serves|servings?|portions?|for|yields?)\b[\s:]*(?:about |approx\.? )?(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?/i
const SERVINGS = /\b(\d{1,3})\s*(?:servings?|portions?|people|children)\b/i
const MAKES =
  /\bmakes\b[\s:]*(?:about |approx\.? )?(\d{1,3})(?:\s*(?:-|–|to)\s*\d{1,3})?\s+([\p{L} ]{3,30})/iu
const USUAL_SERVES = 4

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
  let serves = 0
  let pieces: Recipe['pieces']
  for (const text of parts.about) {
    const makes = MAKES.exec(text)
    const people = SERVINGS.exec(text) ?? SERVES.exec(text)
    if (makes && !/serving|portion/i.test(makes[2] ?? ''))
      pieces = { what: (makes[2] ?? '').trim().toLowerCase(), n: Number(makes[1]) }
    else if (people) {
      serves = Number(people[1])
      if (people[2]) notes.push(`${text}: taken as ${serves}`)
    }
    // Times in all are worked out from the steps; what the text says of them is for comparing.
    else if (secondsIn(text) !== null) notes.push(`it says: ${text}`)
    else unread.push({ part: 'yield', text, why: 'says no number that Lea can use' })
  }
  if (serves > 0) return { serves: Math.min(200, serves), pieces }
  const said = Number(answers['yield'] ?? 0)
  if (Number.isInteger(said) && said >= 1 && said <= 200) return { serves: said, pieces }
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
