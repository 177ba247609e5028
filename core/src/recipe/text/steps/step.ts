/**
 * One step of a printed recipe as tasks: what hands do, in the order of the telling. A verb owns the words from it to the next verb: time,
 * degrees, count and place belong to it, or to the nearest heat or wait, never to a job of hands by default.
 */
import { techniqueOf } from '../../../craft/techniques'
import { placeNamed } from '../../heat-places'
import type { Mode, Place, RecipeTask } from '../../recipe'
import { coolsIn, heatIn } from '../../states/heat-words'
import { celsiusIn, PREHEAT } from './degrees'
import { countIn, everyIn, secondsIn } from './times'
import { sentencesOf } from './sentences'
import { atOneTime, sharedOut } from './shared-out'
import { commanded, verbHits, type Verb, type VerbHit } from './verbs'

const ADULT = /\b(?:adult|grown-? ?ups?|parent|teacher|carer|leader)s?\b|\((?:me|you)\)|\bone of us\b/i
const EACH =
  /\b(?:each (?:child|person|one)|every(?:one| child|body)|all the children|in turn for each|children each)\b/i
const REPEAT = /\brepeat\b|\bdo (?:this|it|that) again\b/i
/** Words that get things ready and ask nothing of hands that a plan must know: they stay with their step. */
const READY =
  /^(?:\W*)(?:then |now |meanwhile,? )?(?:line|grease|preheat|pre-heat|set aside|set (?:it|them) aside|remove|turn (?:it |them )?out|turn (?:it |them )?over|flip|lift|transfer|make a well|have|get|check|keep|store|wet|use|unroll|unwrap|lid on|with (?:wet|clean|floury)|tip:|note:|you (?:want|should|can)|it (?:should|will|is|takes)|(?:this )?takes (?:about |around )?\d+|they (?:should|will|are)|don['’]t|do not|be careful|careful|repeat|take (?:it |them )?(?:off|out)|off the heat|ready|done|save|these|this|push|loosen|turn|\d+\s*minutes? later)\b/i

export interface Reading {
  /** A US book: a bare 275 is °F. */
  us: boolean
  /** Degrees that the oven was heated to, for the next bake without any. */
  oven: number | null
  /** Something boils or has just boiled: what is drained now is hot. */
  hot: boolean
}
export interface SentencesRead {
  tasks: RecipeTask[]
  /** Sentences in which no action was read, or that ask for something a task cannot say. `must`: heat, a blade, a time stand in it. */
  unread: { text: string; why: string; again?: true; must?: true }[]
}

const HOT_WORDS: Verb = { technique: 'use-hob', words: '', mode: 'ADULT', place: 'hob', seconds: 120 }
const OVEN: Verb = { technique: 'use-oven', words: '', mode: 'HEAT', place: 'oven', seconds: 1500 }

/** @param reading what the sentences before have settled; is changed */
export function readStep(text: string, reading: Reading): SentencesRead {
  const tasks: RecipeTask[] = []
  const unread: SentencesRead['unread'] = []
  for (const sentence of sentencesOf(text)) {
    const said = withoutPreheat(sentence, reading)
    const parts = ADULT.test(said) || heatIn(said) !== null ? [] : sharedOut(said)
    const dealt = atOneTime(parts.map((p) => tasksIn(p, { ...reading })))
    const found = said.trim() === '' ? [] : (dealt ?? tasksIn(said, reading))
    tasks.push(...found)
    if (found.length === 0 && said.trim() !== '') openSentence(said, sentence, tasks, unread, reading)
    if (REPEAT.test(sentence))
      unread.push({ text: sentence, why: 'it is done again: how often?', again: true })
  }
  return { tasks, unread }
}

/** The oven's heating up is taken out of a sentence; its degrees wait for the next bake. */
function withoutPreheat(sentence: string, reading: Reading): string {
  const m = PREHEAT.exec(sentence)
  if (!m) return sentence
  const rest = sentence.slice(m.index)
  const end = /[;]|,? and (?=\p{L}{3,} (?:the|a|an|your|two|\d))|,? then /iu.exec(rest.slice(m[0].length))
  const clause = end ? rest.slice(0, m[0].length + end.index) : rest
  const celsius = celsiusIn(clause, reading.us)
  if (celsius !== null && celsius >= 60) reading.oven = celsius
  return `${sentence.slice(0, m.index)} ${end ? rest.slice(m[0].length + end.index + end[0].length) : ''}`
    .replace(/[\s,]*(?:and )?$/i, '')
    .replace(/^[\s,.]+$/, '')
}

/** A sentence in which no verb was read. */
function openSentence(
  said: string,
  sentence: string,
  tasks: RecipeTask[],
  unread: SentencesRead['unread'],
  reading: Reading,
): void {
  const seconds = secondsIn(said)
  const celsius = celsiusIn(said, reading.us)
  const wait = tasks.findLast((t) => t.mode === 'WAIT')
  if (celsius !== null && celsius >= 100 && wait?.place !== 'oven') {
    tasks.push(
      ...taskOf(
        { ...OVEN },
        { seconds, celsius, byAdult: true, forEach: false, every: everyIn(said) },
        reading,
      ),
    )
    return
  }
  if ((seconds !== null || celsius !== null) && wait && tasks.at(-1) === wait) {
    refine(wait, seconds, celsius)
    return
  }
  const last = tasks.at(-1)
  if (seconds !== null && last && last.mode !== 'WAIT' && !heatIn(said)) {
    if (LONG.has(last.technique)) {
      if (last.seconds < seconds) Object.assign(last, longJob(last, seconds))
      return
    }
  }
  if (heatIn(said) !== null && !coolsIn(said) && !PREHEAT.test(said)) {
    // No verb was read, and it is hot: an adult's, until somebody says what it is.
    tasks.push(
      ...taskOf(HOT_WORDS, { seconds, celsius, byAdult: true, forEach: false, every: null }, reading),
    )
    unread.push({ text: sentence, why: 'it speaks of something hot: taken as an adult’s' })
    return
  }
  if (REPEAT.test(said)) return
  // "Use a sharp knife", "get an adult": what gets things ready may still want an answer.
  if (READY.test(said) && !HANDS_OFF.test(said)) return
  const must = seconds !== null || DANGER.test(said)
  unread.push({ text: sentence, why: 'no action was read in it', ...(must && { must }) })
}
/** A blade or an adult in the words, whatever they get ready. */
const HANDS_OFF = /\b(?:knife|knives|blades?|sharp|scissors|grater|peeler|adults?|grown-?ups?)\b/i
const DANGER =
  /\b(?:knife|knives|blade|blades|sharp|scissors|grater|peeler|adults?|grown-?ups?|boil\w*|fry\w*|oven|hob|stove|grill|flame|fire|oil is hot|steam)\b/i

function refine(wait: RecipeTask, seconds: number | null, celsius: number | null): void {
  if (seconds !== null) wait.seconds = Math.round(seconds)
  if (celsius !== null) wait.celsius = celsius
}

interface Said {
  seconds: number | null
  celsius: number | null
  byAdult: boolean
  forEach: boolean
  every: number | null
}

function tasksIn(sentence: string, reading: Reading): RecipeTask[] {
  const plain = commanded(sentence)
  const hits = withOven(verbHits(sentence), plain, reading)
  const byAdult = ADULT.test(sentence)
  const forEach = EACH.test(sentence) && !/\b(?:takes? turns|in turns?|one after)\b/i.test(sentence)
  const owned = spans(plain, hits)
  const tasks: RecipeTask[] = []
  let heat: RecipeTask | null = null
  let explicit = false
  let waited = false
  for (const [i, hit] of hits.entries()) {
    const words = owned[i] ?? ''
    const verb = drained(atPlace(hit.verb, words), reading)
    const celsius = celsiusIn(words, reading.us)
    const seconds = secondsIn(words)
    // Stirring beside a heat is the heat's: "cook, stirring, for 5 minutes".
    if (hit.beside && heat) {
      if (seconds !== null && !explicit) heat.seconds = seconds
      continue
    }
    const said = { seconds, celsius, byAdult, forEach, every: everyIn(words) }
    const made = taskOf(verb, said, reading)
    const wait = made.find((t) => t.mode === 'WAIT')
    // One heat at one place is one: "bring to the boil and simmer for 10 minutes"; two times of it add up.
    if (verb.mode === 'HEAT' && heat && wait && heat.place === wait.place) {
      heat.seconds =
        explicit && seconds !== null
          ? heat.seconds + seconds
          : seconds !== null
            ? seconds
            : explicit
              ? heat.seconds
              : wait.seconds
      explicit ||= seconds !== null
      if (celsius !== null) heat.celsius = celsius
      continue
    }
    const before = tasks.at(-1)
    if (
      verb.mode === 'WAIT' &&
      wait &&
      before?.mode === 'WAIT' &&
      !before.technique.startsWith('use-') &&
      (before.place === wait.place || !waited)
    ) {
      // "Cover and leave for an hour" is one wait, as long as it is said to be.
      if (seconds === null && waited) continue
      tasks.pop()
    }
    if (verb.mode === 'WAIT') waited = seconds !== null
    const count = countIn(words)
    const counted = made.find((t) => t.mode === 'EACH' || t.mode === 'TURNS')
    if (count && counted) counted.counts = count
    // "Shape into balls, flatten": one job in two words.
    const [one] = made
    const twice =
      made.length === 1 &&
      one !== undefined &&
      before?.technique === one.technique &&
      before.mode === one.mode &&
      seconds === null &&
      !one.counts
    if (!twice) tasks.push(...made)
    if (verb.mode === 'HEAT' && wait) {
      heat = wait
      explicit = seconds !== null
    }
    reading.hot = hotAfter(verb, words, reading.hot)
  }
  return tasks
}

/** "Cut squares, 180 degrees, 15 minutes, cool": degrees of an oven without a verb are its heat. */
function withOven(hits: VerbHit[], plain: string, reading: Reading): VerbHit[] {
  const celsius = celsiusIn(plain, reading.us)
  if (hits.length === 0 || celsius === null || celsius < 100 || hits.some((h) => h.verb.mode === 'HEAT'))
    return hits
  const at = plain.search(/\b(?:oven|gas|fan|th\.)\b|(?<!\d)\d{2,3}\s*(?:°|º|deg|C\b|F\b|fan)/i)
  return at < 0 ? hits : [...hits, { verb: OVEN, at, end: at + 1 }].sort((a, b) => a.at - b.at)
}

/** Each hit with the words from it to the next; the first with what stands before it. */
const spans = (plain: string, hits: readonly VerbHit[]): string[] =>
  hits.map((hit, i) => plain.slice(i === 0 ? 0 : hit.at, hits[i + 1]?.at ?? plain.length))

function hotAfter(verb: Verb, words: string, before: boolean): boolean {
  if (verb.mode === 'HEAT') return verb.place === 'hob'
  if (verb.mode === 'WAIT' || /\b(?:cool|cold)\b/i.test(words)) return false
  return verb.technique === 'drain-hot' ? false : before
}

/** What is drained while it is hot scalds. */
const drained = (verb: Verb, reading: Reading): Verb =>
  verb.words === 'drain|strain' && reading.hot
    ? { ...verb, technique: 'drain-hot', mode: 'ADULT', seconds: 60, place: 'sink' }
    : verb

/** Where the words say where: "cook on the griddle", "fry in the air fryer". */
function atPlace(verb: Verb, words: string): Verb {
  const named = verb.mode === 'HEAT' ? placeNamed(words) : null
  const general = verb.place === 'hob' || verb.place === 'oven'
  if (
    !named ||
    !general ||
    named.id === 'kettle' ||
    (named.id === 'oven' && verb.place === 'hob' && !/\bin(?:to)? the oven\b/i.test(words))
  )
    return verb
  return { ...verb, place: named.id, technique: named.technique }
}

/** Done in a moment: what is said of minutes behind it is how long it stands. */
const STANDS = new Set([
  'pour-liquid',
  'pour-dry',
  'level-scoop',
  'arrange',
  'sprinkle',
  'toss-coat',
  'fill-cases',
])

/** Jobs of hands that take a while: the time is the whole job's, shared out in turns. */
const LONG = new Set(['knead', 'shake-jar', 'whisk', 'stir', 'mash', 'rub-in', 'fold'])
const TURN = 60
function longJob(task: RecipeTask, seconds: number): Partial<RecipeTask> {
  if (task.mode === 'EACH' && seconds <= 180) return { seconds: Math.round(seconds) }
  const each = task.mode === 'TURNS' && seconds < 300 ? Math.max(10, Math.min(30, task.seconds)) : TURN
  const turns = Math.max(1, Math.round(seconds / each))
  return { mode: 'TURNS', turns: Math.min(200, turns), seconds: Math.round(seconds / turns) }
}

function taskOf(verb: Verb, said: Said, reading: Reading): RecipeTask[] {
  const place = verb.place as Place | undefined
  const at = place && { place }
  const oven = verb.mode === 'HEAT' && place === 'oven'
  const celsius = said.celsius ?? (oven ? reading.oven : null)
  const degrees = celsius !== null && (oven || said.celsius !== null) && { celsius }
  const every = said.every !== null && { every: said.every }
  const long = said.seconds !== null && said.seconds > 0 ? Math.round(said.seconds) : verb.seconds
  if (verb.mode === 'HEAT')
    return [
      { technique: verb.technique, mode: 'ADULT', seconds: 60, ...at },
      { technique: verb.technique, mode: 'WAIT', seconds: long, ...at, ...degrees, ...every },
    ]
  if (verb.mode === 'WAIT')
    return [{ technique: 'fill-cases', mode: 'WAIT', seconds: long, ...at, ...degrees, ...every }]
  if (!techniqueOf(verb.technique)) return []
  const mode: Mode = said.byAdult ? 'ADULT' : said.forEach ? 'EACH' : (verb.mode as Mode)
  const task: RecipeTask = { technique: verb.technique, mode, seconds: verb.seconds, ...at }
  if (said.seconds === null) return [task]
  // "Pour the stock on the couscous, 5 minutes": the time is none of the hands'.
  if (STANDS.has(verb.technique) && said.seconds >= 120 && !said.forEach)
    return [task, { technique: 'fill-cases', mode: 'WAIT', seconds: long, place: 'table' }]
  if (mode === 'ADULT') return [{ ...task, seconds: Math.min(1800, long) }]
  if (LONG.has(verb.technique) && !said.forEach) return [{ ...task, ...longJob(task, said.seconds) }]
  return [{ ...task, ...(said.forEach && { seconds: Math.min(600, long) }) }]
}
