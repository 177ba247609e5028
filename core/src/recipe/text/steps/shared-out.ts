/** "Half of the children cut the pepper while the others tear the parsley": who does what at one time, each part as words of its own. */
import type { RecipeTask } from '../../recipe'

const KIDS = '(?:children|kids|ones|group|class|team|pair|friends)'
const ONE = [
  String.raw`half(?: of)?(?: the| your)?(?: ${KIDS}| them)?`,
  String.raw`(?:one|two|three|four|some|a few)(?: or (?:two|three|four))?(?: of)?(?: the)?(?: ${KIDS}| child| half| of them| them| person| pair| team)?`,
  String.raw`(?:the )?(?:first|second|older|younger|bigger|smaller|big|little) (?:${KIDS}|half|child)`,
].join('|')
const OTHER = [
  String.raw`(?:the )?(?:others|rest(?: of (?:the )?(?:${KIDS}|them))?|other (?:half|${KIDS}|one|child|two|three)|second ${KIDS}|younger ${KIDS}|older ${KIDS}|little ${KIDS})`,
  String.raw`another(?: child| group| pair| ${KIDS})?`,
  'one|some|two|the other',
].join('|')
const LINK = String.raw`(?:[,;]\s*(?:and |while )?|\s+(?:and|while|whilst|as|meanwhile)\s+)`
const CAN = String.raw`(?:can |may |will |should )?`
const BOTH = new RegExp(
  String.raw`^(?:\W*)(?:in (?:pairs|twos|two groups)[:,]?\s*)?(?:${ONE})\s+${CAN}(?=\p{L}{3,}\s)(.+?)${LINK}(?:${OTHER})\s+${CAN}(?=\p{L}{3,}\s)(.+)$`,
  'iu',
)
/** What is no doing of theirs: "one is for the pot", "some like it hot". */
const NO_DOING =
  /^(?:is|are|was|has|have|like|likes|need|needs|goes|go|gets|get|of|more|the|a|an|at|in|on|for|to|by|after)\b/i

/**
 * @returns the parts as sentences of somebody's doing ("they cut the pepper"), none where the sentence deals nothing out: else two at the least
 */
export function sharedOut(sentence: string): string[] {
  const found = BOTH.exec(sentence.trim())
  const [first, second] = [found?.[1], found?.[2]]
  if (!first || !second || NO_DOING.test(first) || NO_DOING.test(second)) return []
  const more = sharedOut(`one ${second}`)
  return [`They ${first}.`, ...(more.length > 0 ? more : [`They ${second}`])]
}

/**
 * @param parts what was read in each
 * @returns stations side by side: what a part does first; what else it says comes after, for all. A part in which nothing was read makes no station
 *   of the others. Null where there are no parts, nothing was read in any, or one of them is an adult's or a wait
 */
export function atOneTime(parts: readonly RecipeTask[][]): RecipeTask[] | null {
  const read = parts.filter((tasks) => tasks.length > 0)
  if (read.length === 0 || read.flat().some((t) => t.mode !== 'EACH' && t.mode !== 'TURNS')) return null
  if (read.length < parts.length || read.length < 2) return read.flat()
  return [
    ...read.flatMap(([first]) => (first ? [{ ...first, mode: 'STATION' as const }] : [])),
    ...read.flatMap(([, ...rest]) => rest),
  ]
}
