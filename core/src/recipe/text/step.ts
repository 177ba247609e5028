/**
 * One step of a printed recipe as tasks: what hands do, in the order of the telling, with the seconds, the heat, the counts and the
 * adult that the words give. Verbs: core/data/recipe-verbs.json (common practice, from memory). What gives no action is said.
 */
import data from '../../../data/recipe-verbs.json'
import { techniqueOf } from '../../craft/techniques'
import { convertTemperature } from '../../amount/temperature'
import { ratio } from '../../amount/ratio'
import { placeNamed } from '../heat-places'
import { coolsIn, heatIn } from '../states/heat-words'
import type { Mode, Place, RecipeTask } from '../recipe'

interface Verb {
  technique: string
  words: string
  mode: string
  place?: string
  seconds: number
}
/** The whole word, where the verb ends in one. */
const patternOf = (words: string): RegExp =>
  new RegExp(`\\b${words}${/\w$|\w\)$/.test(words) ? '\\b' : ''}`, 'i')
const VERBS = (data.verbs as Verb[]).map((v) => ({ ...v, pattern: patternOf(v.words) }))
/** An action named as what is done already, or as a noun, is none: "the chopped carrots", "the mix". */
const DONE =
  /(?<=\b(?:the|a|an|some|of|all|your)\s)(chopped|sliced|grated|mashed|peeled|melted|beaten|mixed|cooked|boiled|cut|torn|rinsed)\s+(?=\p{L})/giu
const NOUNS = /\bthe (mix|mixture|cut|mash|stir|shape|coat|fold|dice)\b/gi
const ADULT = /\b(an? )?(adult|grown-?ups?|parent|teacher|carer|leader)s?\b/i
const EACH = /\b(each (child|person|one)|every(one| child)|all the children|in turn for each)\b/i
const AGAIN = /\b(again|repeat)\b/i

const SMALL: Record<string, number> = Object.fromEntries(
  'one two three four five six seven eight nine ten eleven twelve'.split(' ').map((w, i) => [w, i + 1]),
)
const NUMBER = `(\\d+(?:\\.\\d+)?|${Object.keys(SMALL).join('|')}|a|an|half an)`
const DURATION = new RegExp(
  `\\b${NUMBER}(?:\\s*(?:-|–|to|or)\\s*${NUMBER})?[\\s-]*(seconds?|secs?|minutes?|mins?|hours?|hrs?)\\b`,
  'gi',
)
const COUNT = new RegExp(
  `\\b(\\d+|${Object.keys(SMALL).join('|')})\\s+(?:\\p{L}+ )?(times|stirs|snips|pinches|leaves|strips|slices|squares|pieces|spoonfuls|berries|pushes|turns)\\b`,
  'iu',
)
const CELSIUS = /(\d{2,3})\s*°?\s*C\b/
const FAHRENHEIT = /(\d{2,3})\s*°?\s*F\b/
const GAS = /\bgas(?: mark)?\s*(\d|½|¼)\b/i
/** Gas marks in °C. Source: usual conversion tables of cookery books, from memory. */
const GAS_C: Record<string, number> = {
  1: 140,
  2: 150,
  3: 170,
  4: 180,
  5: 190,
  6: 200,
  7: 220,
  8: 230,
  9: 240,
}

const valueOf = (word: string): number => {
  const w = word.toLowerCase()
  return w === 'half an' ? 0.5 : w === 'a' || w === 'an' ? 1 : (SMALL[w] ?? Number(w))
}

/** Seconds that a text names; of a range the longer. Null where it names none. */
export function secondsIn(text: string): number | null {
  const all = [...text.matchAll(DURATION)].map(([, from = '', to, unit = '']) => {
    const n = valueOf(to ?? from)
    return n * (/^s/i.test(unit) ? 1 : /^m/i.test(unit) ? 60 : 3600)
  })
  return all.length === 0 ? null : Math.round(Math.max(...all))
}

/** Degrees Celsius that a text names, in whole degrees; from Fahrenheit to the nearest five, from a gas mark by the table. */
function celsiusIn(text: string): number | null {
  const c = CELSIUS.exec(text)
  if (c) return Number(c[1])
  const f = FAHRENHEIT.exec(text)
  if (f) return 5 * Math.round(convertTemperature(ratio(Number(f[1])), 'F', 'C').valueOf() / 5)
  return GAS_C[GAS.exec(text)?.[1] ?? ''] ?? null
}

const PREHEAT = /\b(?:pre ?heat|heat the oven|turn on the oven)\b/i
const HOT_WORDS: Verb = { technique: 'use-hob', words: '', mode: 'ADULT', place: 'hob', seconds: 120 }

export interface SentencesRead {
  tasks: RecipeTask[]
  /** Sentences in which no action was read, or that ask for something a task cannot say. */
  unread: { text: string; why: string; again?: true }[]
}

const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.!?;])\s+|\s*,?\s+then\s+/i)
    .map((s) => s.trim())
    .filter((s) => s !== '')

/** @param text one step; every sentence is read for itself, so that a time belongs to what stands beside it */
export function readStep(text: string): SentencesRead {
  const tasks: RecipeTask[] = []
  const unread: SentencesRead['unread'] = []
  for (const sentence of sentencesOf(text)) {
    const found = tasksIn(sentence)
    tasks.push(...found)
    if (found.length === 0) {
      // A sentence of time or heat alone belongs to the task before it.
      if (tasks.length > 0 && (secondsIn(sentence) !== null || celsiusIn(sentence) !== null))
        refine(tasks, sentence)
      else if (heatIn(sentence) !== null && !coolsIn(sentence) && !PREHEAT.test(sentence)) {
        // No verb was read, and it is hot: an adult's, until somebody says what it is.
        tasks.push(
          ...taskOf(HOT_WORDS, {
            seconds: secondsIn(sentence),
            celsius: celsiusIn(sentence),
            byAdult: true,
            forEach: false,
          }),
        )
        unread.push({ text: sentence, why: 'it speaks of something hot: taken as an adult’s' })
      } else if (!AGAIN.test(sentence)) unread.push({ text: sentence, why: 'no action was read in it' })
    }
    if (AGAIN.test(sentence))
      unread.push({ text: sentence, why: 'it is done again: how often?', again: true })
  }
  return { tasks, unread }
}

function refine(tasks: RecipeTask[], sentence: string): void {
  const last = tasks.at(-1)
  const seconds = secondsIn(sentence)
  const celsius = celsiusIn(sentence)
  if (last && seconds !== null) last.seconds = seconds
  if (last && celsius !== null) last.celsius = celsius
}

function tasksIn(sentence: string): RecipeTask[] {
  const plain = commanded(sentence).replace(DONE, '').replace(NOUNS, 'the food')
  const hits = VERBS.flatMap((verb) => {
    const at = plain.search(verb.pattern)
    return at >= 0 ? [{ verb, at }] : []
  }).sort((a, b) => a.at - b.at)
  const seconds = secondsIn(sentence)
  const celsius = celsiusIn(sentence)
  const byAdult = ADULT.test(sentence)
  const forEach = EACH.test(sentence)
  const count = COUNT.exec(sentence)
  const seen = new Set<string>()
  const tasks: RecipeTask[] = []
  for (const [i, { verb, at }] of hits.entries()) {
    // Of several readings of one word the first of the list stands: "wash your hands" is no washing of food.
    if (seen.has(verb.technique) || hits[i - 1]?.at === at) continue
    // One heat and one wait a sentence: "bake until cooked" is one.
    if ((verb.mode === 'HEAT' && seen.has('HEAT')) || (verb.mode === 'WAIT' && seen.has('WAIT'))) continue
    seen.add(verb.technique).add(verb.mode)
    tasks.push(...taskOf(atPlace(verb, plain), { seconds, celsius, byAdult, forEach }))
  }
  const counted = tasks.find((t) => t.mode === 'EACH' || t.mode === 'TURNS')
  if (count && counted)
    counted.counts = { what: (count[2] ?? '').toLowerCase(), n: Math.round(valueOf(count[1] ?? '1')) }
  return tasks
}

/** Where the sentence says where: "cook on the griddle", "fry in the air fryer". An oven that only heats up is no place. */
function atPlace(verb: Verb, sentence: string): Verb {
  const named = verb.mode === 'HEAT' ? placeNamed(sentence.replace(PREHEAT, '')) : null
  const general = verb.place === 'hob' || verb.place === 'oven'
  if (!named || !general || named.id === 'oven' || named.id === 'kettle') return verb
  return { ...verb, place: named.id, technique: named.technique }
}

const SUBJECT =
  /^(?:(?:each|every|one|another|the) (?:child|person|one|children)|every(?:one|body)|(?:an? |the )?(?:adult|grown-?up|leader|parent)|they|children)\b/i
const STEMS = new Set(VERBS.flatMap((v) => v.words.match(/[a-z]{3,}/g) ?? []))
const FIRST_WORDS = new RegExp(
  `^(?:then |now |next,? |gently |carefully )?(?:${VERBS.map((v) => v.words).join('|')})(?! of\\b)`,
  'i',
)
/** Does a line begin as steps do: with what is done, or with who does it? */
export const beginsAsStep = (line: string): boolean => FIRST_WORDS.test(line) || SUBJECT.test(line)

/** "Each child tears" is said as "tear": only where somebody is named who does it, for "slices" may be a thing. */
function commanded(sentence: string): string {
  if (!SUBJECT.test(sentence)) return sentence
  return sentence.replace(/\p{L}+/gu, (word) => {
    const stem = [word.slice(0, -1), word.slice(0, -2), word.replace(/ies$/i, 'y')].find((w) =>
      STEMS.has(w.toLowerCase()),
    )
    return /s$/.test(word) && stem !== undefined ? stem : word
  })
}

interface Said {
  seconds: number | null
  celsius: number | null
  byAdult: boolean
  forEach: boolean
}
function taskOf(verb: Verb, said: Said): RecipeTask[] {
  const place = verb.place as Place | undefined
  const at = place && { place }
  const degrees = said.celsius !== null && { celsius: said.celsius }
  if (verb.mode === 'HEAT')
    return [
      { technique: verb.technique, mode: 'ADULT', seconds: 60, ...at },
      { technique: verb.technique, mode: 'WAIT', seconds: said.seconds ?? verb.seconds, ...at, ...degrees },
    ]
  if (verb.mode === 'WAIT')
    return [
      { technique: 'fill-cases', mode: 'WAIT', seconds: said.seconds ?? verb.seconds, ...at, ...degrees },
    ]
  const mode: Mode = said.byAdult ? 'ADULT' : said.forEach ? 'EACH' : (verb.mode as Mode)
  // A long time of a job of hands is the whole job's; a turn of it is the usual one.
  const seconds = said.seconds !== null && mode === 'EACH' ? Math.min(said.seconds, 600) : verb.seconds
  return techniqueOf(verb.technique) ? [{ technique: verb.technique, mode, seconds, ...at }] : []
}
