/**
 * Kinds of work that a printed recipe says in plain words: something goes round the table, each child chooses, foods are tasted one by one, the
 * small have half, something grows on. What was read so is noted, so that the person who reads it in sees it.
 */
import { GROWING_START, growingFault, LOOK_DAY_MOST, LOOKS_MOST } from '../../kinds/growing'
import { type Growing, ROUNDS_MOST } from '../../kinds/kinds'
import { passesOf, withPasses } from '../../kinds/passes'
import { TASTES_MOST } from '../../kinds/tasting'
import type { FreeChoice, Recipe, RecipeLine, RecipeStep, RecipeTask } from '../../recipe'
import { sentencesOf } from '../steps/sentences'
import { linesNamed, type NamedLines } from '../steps/uses'
import { MOST } from '../steps/put-in'
import { wayText } from '../../kinds/ways'
import { putScene } from './scene-in-text'
import { withWorkBefore } from './ways-in-text'

const GOES_ROUND =
  /\b(?:pass|hand|send)(?:es|ed|ing)?\b(?! out\b)(?:(?!\b(?:through|sieve)\b)[^.,;!?]){0,60}?\b(?:a?round|along|on to the next|to the next child|from (?:child|hand|seat) to (?:child|hand|seat))\b|\b(?:goes|going|go) round the table\b/i
const TIMES: readonly [RegExp, number][] = [
  [/\btwice|two times|2 times\b/i, 2],
  [/\b(?:three|3) times\b/i, 3],
  [/\b(?:four|4) times\b/i, 4],
]
const SAID = /[“"]([^”"]{3,80})[”"]/g

/** The tasks whose own words stand in a sentence. */
const saidIn = (sentence: string, tasks: readonly RecipeTask[]): RecipeTask | undefined =>
  tasks.find((t) => t.mode !== 'WAIT' && t.mode !== 'ADULT' && WORDS[t.technique]?.test(sentence) === true)
const WORDS: Readonly<Record<string, RegExp>> = {
  stir: /\bstir/i,
  'level-scoop': /\b(?:scoop|spoon|measure|add)/i,
  'serve-self': /\b(?:serve|help|take)/i,
  sprinkle: /\b(?:sprinkle|scatter)/i,
  taste: /\b(?:taste|try|eat)/i,
  whisk: /\b(?:whisk|beat)/i,
  mash: /\bmash/i,
}

/** Where a step says that something goes round, its work does: the work of that sentence, else everybody serves itself as it comes by. */
function putRound(step: RecipeStep, notes: string[]): RecipeStep {
  const sentence = sentencesOf(step.says ?? '').find((s) => GOES_ROUND.test(s))
  if (sentence === undefined || passesOf(step)) return step
  const times = Math.min(ROUNDS_MOST, TIMES.find(([words]) => words.test(step.says ?? ''))?.[1] ?? 1)
  const [asks, answers] = [...(step.says ?? '').matchAll(SAID)].map((m) => m[1] ?? '')
  const own = saidIn(sentence, step.tasks)
  const words = { ...(asks && { asks }), ...(answers && { answers }) }
  notes.push(`goes round the table: ${step.title}`)
  if (!own && step.tasks.length >= MOST.tasks) return withPasses(step, times, words)
  const task: RecipeTask = own ?? { technique: 'serve-self', mode: 'EACH', seconds: 20 }
  const alone = withPasses({ ...step, tasks: [task] }, times, words).tasks[0] ?? task
  return {
    ...step,
    tasks: own ? step.tasks.map((t) => (t === own ? alone : t)) : [...step.tasks, alone],
  }
}

const COVERED =
  /\b(?:eyes?) (?:closed|covered|shut)\b|\b(?:clos|cover|shut)\w* (?:(?:your|their|the|both) )?eyes\b|\bblindfold|\bwithout (?:looking|peeping)\b/i
const COMPARED =
  /\b(?:side by side|one after (?:the other|another)|one by one|compare|guess which|which is which)\b/i

/** Where foods are tasted one by one: those that the sentences of tasting name, else those of the step. */
function putTasting(step: RecipeStep, named: NamedLines, notes: string[]): RecipeStep {
  const says = sentencesOf(step.says ?? '')
  const covered = says.some((s) => COVERED.test(s))
  const tastes = step.tasks.some((t) => t.technique === 'taste' && t.mode === 'EACH')
  if (!tastes || !(covered || says.some((s) => COMPARED.test(s) && /\b(?:tast|try|tries)/i.test(s))))
    return step
  const said = says.flatMap((s) => linesNamed(s, named)).map((l) => l.id)
  const lines = [...new Set(said.length > 1 ? said : step.uses.map((u) => u.line))].slice(0, TASTES_MOST)
  if (lines.length < 2) return step
  const more = lines.filter((l) => step.uses.every((u) => u.line !== l))
  notes.push(`tasted ${covered ? 'with eyes covered' : 'side by side'}: ${step.title}`)
  return {
    ...step,
    uses: [...step.uses, ...more.map((line) => ({ line, part: '1' }))],
    tasting: { lines, ...(covered && { covered: true as const }) },
  }
}

const CHOOSES =
  /\b(?:choos|pick|select)\w*\b|\bof (?:your|their|its) (?:own )?choice\b|\b(?:whatever|whichever|what(?:ever)? (?:they|you|it)) (?:\w+ )?likes?\b/i
const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six']
const MOST_CHOICES = 4

/** "Each child chooses two of the cheese, peas and sweetcorn": what may be chosen, where the sentence names two foods or more. */
function choicesIn(steps: readonly RecipeStep[], named: NamedLines, notes: string[]): FreeChoice[] {
  const taken = new Set<string>()
  const out: FreeChoice[] = []
  for (const step of steps) {
    const sentence = sentencesOf(step.says ?? '').find((s) => CHOOSES.test(s))
    if (sentence === undefined || step.tasting || out.length >= MOST_CHOICES) continue
    const lines = [...new Set(linesNamed(sentence, named).map((l) => l.id))].filter((l) => !taken.has(l))
    if (lines.length < 2 || lines.length > 12) continue
    const word =
      /\b(one|two|three|four|five|six|[1-6]) (?:of|from|kinds?|\w+ (?:of|from)|(?:topping|filling)s?)\b/i
        .exec(sentence)?.[1]
        ?.toLowerCase()
    const n = word === undefined ? 1 : NUMBERS.indexOf(word) + 1 || Number(word)
    const what = /\b(toppings?|fillings?|seeds?|herbs?|vegetables?|fruits?|dips?)\b/i.exec(sentence)?.[1]
    for (const l of lines) taken.add(l)
    const id = `${step.id}-choice`
    out.push({
      id,
      what: what?.toLowerCase() ?? 'what each likes',
      lines,
      take: Math.min(n, lines.length, 6),
      step: step.id,
    })
    notes.push(`free choice: ${step.title}`)
  }
  return out
}

const YEARS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven']
const HALF_FOR =
  /\b(half|a half|½|a third|⅓|a quarter|¼)(?: of (?:one|it))?(?: each)? for (?:the |those |children )?(?:under[- ]?|below )(\d|one|two|three|four|five|six|seven)s?\b/i
const PARTS: Readonly<Record<string, string>> = {
  half: '1/2',
  '½': '1/2',
  third: '1/3',
  '⅓': '1/3',
  quarter: '1/4',
  '¼': '1/4',
}

/** "6 wraps, half for under-fours": the small have a part of it. @returns null where the words say no such thing */
export function sizeIn(text: string): { below: number; part: string } | null {
  const found = HALF_FOR.exec(text)
  const part = PARTS[(found?.[1] ?? '').toLowerCase().replace(/^a /, '')]
  const age = found?.[2]?.toLowerCase() ?? ''
  const years = YEARS.indexOf(age) + 1 || Number(age)
  return part !== undefined && years >= 1 ? { below: years * 12, part } : null
}

const ON_DAY = /\b(?:on |after )?day (\d{1,2})\b\s*[:,–-]?\s*([^.;!?\n]{3,180}[.;!?]?)/gi
const GROWS = /\b(?:sow|seeds?\b.*\b(?:grow|water)|sprout|seedling|grow\w* on)\b/i

/** "Day 3: look for the first root." of a text that sows something. */
function growsIn(texts: readonly string[], title: string): Growing | null {
  if (!texts.some((t) => GROWS.test(t))) return null
  const looks = texts
    .flatMap((t) => [...t.matchAll(ON_DAY)])
    .map((m) => ({ day: Number(m[1]), says: (m[2] ?? '').trim() }))
    .filter((l) => l.day >= 1 && l.day <= LOOK_DAY_MOST)
    .sort((a, b) => a.day - b.day)
    .filter((l, i, all) => i === 0 || all[i - 1]?.day !== l.day)
    .slice(0, LOOKS_MOST)
  if (looks.length === 0) return null
  const measured = texts.some((t) => /\bmeasure\b.*\b(?:high|height|tall|grown|it)\b/i.test(t))
  const grows: Growing = {
    what: title.toLowerCase().slice(0, 40) || GROWING_START.what,
    looks,
    ...(measured && { measured: true as const }),
  }
  return growingFault(grows) === null ? grows : null
}

/** What was read of it: steps and lines as they are then. */
export interface KindsRead {
  steps: RecipeStep[]
  lines: RecipeLine[]
  more: Pick<Recipe, 'choices' | 'grows'>
}

/**
 * @param texts of the whole page, for what grows on
 * @param words the printed words of a line, by its id
 */
export function kindsIn(
  recipe: { title: string; steps: readonly RecipeStep[]; lines: readonly RecipeLine[] },
  named: NamedLines,
  texts: readonly string[],
  words: ReadonlyMap<string, string>,
  notes: string[],
): KindsRead {
  const steps = recipe.steps
    .map((s) => putTasting(putRound(s, notes), named, notes))
    .map((s, i, all) => putScene(s, all[i - 1], named, notes))
    .map((s) => (s.ways ? { ...s, ways: s.ways.map((w) => withWorkBefore(w, s.tasks, MOST.tasks)) } : s))
  for (const s of steps) for (const w of s.ways ?? []) notes.push(`another way: ${wayText(w)}`)
  const lines = recipe.lines.map((l): RecipeLine => {
    const size = sizeIn(words.get(l.id) ?? '')
    if (!size || l.byEye !== undefined) return l
    notes.push(`a part for the small: ${words.get(l.id) ?? ''}`)
    return { ...l, each: true, sizes: [size] }
  })
  const choices = choicesIn(steps, named, notes)
  const grows = growsIn(texts, recipe.title)
  if (grows) notes.push(`grows on, with a look on ${grows.looks.length} days`)
  return { steps, lines, more: { ...(choices.length > 0 && { choices }), ...(grows && { grows }) } }
}
