/**
 * The parts of a recipe as people print it: title, yield, ingredient lines, steps. With headings, or by the look of each line.
 * Every line goes somewhere: what fits nowhere is handed on as `other`.
 */

import { beginsAsStep } from './step'

export interface Sections {
  title: string
  /** Lines that say how much it makes, how long it takes. */
  about: string[]
  ingredients: string[]
  steps: string[]
  /** What stands under a heading of its own. */
  tools: string[]
  storage: string[]
  other: string[]
}

const HEADINGS: [keyof Omit<Sections, 'title'>, RegExp][] = [
  ['ingredients', /^(ingredients?|you(?:'ll| will)? need|what you need|shopping list)\b[^.]*:?$/i],
  [
    'steps',
    /^(method|directions?|instructions?|preparation|steps?|what to do|how to (?:make|do) it|let's cook)\s*:?$/i,
  ],
  ['tools', /^(equipment|tools|utensils|kitchen kit|kit)\s*:?$/i],
  ['storage', /^(storage|to store|storing|keeping|how to keep it)\s*:?$/i],
  ['other', /^(notes?|tips?|nutrition)\s*:?$/i],
]
const PART = /^for (?:the )?[\p{L} ]{2,30}:$/iu
const ABOUT =
  /^(?:(?:serves|servings?|makes|yields?|for|portions?)\b[\s:]*(?:about |approx\.? )?\d+|(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|chill(?:ing)?|active|hands-on)(?: time)?\s*:)/i
const BULLET = /^\s*(?:[-–•*·▢☐]|\(?\d{1,2}[.)])\s+/
const NUMBERED = /^\s*(?:step\s+)?\(?\d{1,2}\s*[.):]\s+/i
/** An amount at the head: "200 g", "½ cup", "2 eggs", "a pinch of". */
const AMOUNT =
  /^(?:about |approx\.? )?(?:\d|[½⅓⅔¼¾⅛⅜⅝⅞]|an? (?:pinch|handful|knob|splash|tin|can|cup|spoonful|drizzle)\b|(?:juice|zest) of\b|pinch of\b)/i
const SENTENCE = /[.!]\s*$|[.!]\s+\p{Lu}/u

/** A line that lists rather than tells. */
const looksListed = (line: string): boolean => AMOUNT.test(line) && line.length < 90 && !SENTENCE.test(line)

export function sectionsOf(text: string): Sections {
  const parts: Sections = {
    title: '',
    about: [],
    ingredients: [],
    steps: [],
    tools: [],
    storage: [],
    other: [],
  }
  let here: keyof Omit<Sections, 'title'> | null = null
  for (const raw of text.split(/\r?\n/)) {
    const line = raw.replace(/\s+/g, ' ').trim()
    if (line === '') continue
    const heading = HEADINGS.find(([, pattern]) => pattern.test(line))
    if (heading) {
      here = heading[0]
      continue
    }
    const bare = line.replace(here === 'ingredients' ? BULLET : NUMBERED, '').replace(/^[-–•*·▢☐]\s+/, '')
    if (ABOUT.test(line)) parts.about.push(line)
    else if (parts.title === '' && here === null && !looksListed(bare) && !NUMBERED.test(line))
      parts.title = line.replace(/^#+\s*/, '').replace(/^recipe:\s*/i, '')
    else if (here === 'ingredients' && PART.test(line)) continue
    else if (here === 'ingredients' && NUMBERED.test(line) && SENTENCE.test(line)) {
      here = 'steps'
      parts.steps.push(bare)
    } else if (here) parts[here].push(bare)
    else parts[placeOf(line, bare, parts)].push(bare)
  }
  return parts
}

/** Without a heading: what lists an amount is an ingredient until the telling has begun. */
function placeOf(line: string, bare: string, parts: Sections): 'ingredients' | 'steps' {
  if (parts.steps.length > 0 || (!looksListed(bare) && (NUMBERED.test(line) || beginsAsStep(bare))))
    return 'steps'
  return looksListed(bare) || (!SENTENCE.test(bare) && bare.length < 40 && parts.ingredients.length > 0)
    ? 'ingredients'
    : 'steps'
}
