/**
 * A plain recipe read into Lea's: title, yield, ingredient lines through the amounts reader and the food names, steps with what goes in,
 * what hands do, times, heat and waits. What could not be read is listed with the reason; nothing is dropped, nothing is made up.
 */
import { AmountError } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { allergenName } from '../../food/allergens'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import { readLabel } from '../../food/label/read'
import { lineFromText } from '../line-from-text'
import { RECIPE_SCHEMA, type Recipe, type RecipeLine, type RecipeStep, type RecipeTask } from '../recipe'
import { sectionsOf, type Sections } from './sections'
import { readStep, secondsIn } from './step'
import { giveUses } from './uses'

export const PARTS = ['title', 'yield', 'ingredient', 'step', 'other'] as const
export interface Unread {
  part: (typeof PARTS)[number]
  text: string
  why: string
}
export interface RecipeRead {
  recipe: Recipe
  unread: Unread[]
  /** What was read beside, and what Lea took it for: for the person to see. */
  notes: string[]
}

const MOST = { lines: 40, steps: 40, tasks: 12, says: 300 }
const slug = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
const unique = (base: string, taken: ReadonlySet<string>): string => {
  if (!taken.has(base)) return base
  let n = 2
  while (taken.has(`${base}-${n}`)) n += 1
  return `${base}-${n}`
}

/**
 * @param text at most 60,000 characters
 * @param system whose cups and spoons; metric (250, 15, 5 mL) where it is not given
 * @throws AmountError where there is nothing to read
 */
export function readRecipe(text: string, system: System = 'm', foods: FoodBook = SHIPPED_BOOK): RecipeRead {
  if (text.trim() === '') throw new AmountError('is empty: paste a recipe')
  if (text.length > 60_000) throw new AmountError('is longer than 60,000 characters: paste one recipe')
  return recipeOf(sectionsOf(text), system, foods)
}

/** From parts that are already apart: of a pasted text, or of a web page's data. */
export function recipeOf(parts: Sections, system: System, foods: FoodBook = SHIPPED_BOOK): RecipeRead {
  const unread: Unread[] = []
  const notes: string[] = []
  const lines = readLines(parts.ingredients, system, foods, unread, notes)
  const title = parts.title.slice(0, 80)
  if (title === '') unread.push({ part: 'title', text: '', why: 'no title was found' })
  const made = yieldOf(parts, unread)
  const { steps, texts } = readSteps(parts.steps, unread)
  for (const line of giveUses(steps, texts, lines, foods))
    unread.push({ part: 'step', text: line.id, why: 'no step says where this line goes in' })
  for (const step of steps) measured(step, lines)
  unread.push(...unlisted([...lines.map((l) => l.prep ?? ''), ...parts.steps, ...parts.other], lines, foods))
  for (const text of parts.other) unread.push({ part: 'other', text, why: 'kept as a note' })
  const hot = steps.flatMap((s) => s.tasks.flatMap((t) => t.place ?? []))
  const equipment = ['oven', 'hob', 'fridge', 'freezer'].filter((e) => hot.some((p) => p === e))
  return {
    recipe: {
      schema: RECIPE_SCHEMA,
      id: slug(title) || 'recipe',
      title: title || 'A recipe without a title',
      about: '',
      serves: made.serves,
      ...(made.pieces && { pieces: made.pieces }),
      themes: [],
      equipment,
      storage: '',
      lines,
      steps,
    },
    unread,
    notes,
  }
}

function readLines(
  texts: readonly string[],
  system: System,
  foods: FoodBook,
  unread: Unread[],
  notes: string[],
): RecipeLine[] {
  const lines: RecipeLine[] = []
  for (const text of texts) {
    try {
      const { line, says } = lineFromText(text.slice(0, 400), system, foods)
      if (lines.length >= MOST.lines)
        throw new AmountError(`is one line more than the ${MOST.lines} there may be`)
      const taken = new Set(lines.map((l) => l.id))
      lines.push({ id: unique(slug(line.food.replace(/^own:/, '')) || 'line', taken), ...line })
      notes.push(...says.map((s) => `${text}: ${s}`))
      // An alternative that is not taken over would be looked for in nobody's allergies.
      const lost = says.find((s) => s.startsWith('not taken over'))
      if (lost) unread.push({ part: 'ingredient', text, why: lost })
    } catch (fault) {
      if (!(fault instanceof AmountError)) throw fault
      unread.push({ part: 'ingredient', text, why: fault.message })
    }
  }
  if (lines.length === 0) unread.push({ part: 'ingredient', text: '', why: 'no ingredient line was found' })
  return lines
}

/**
 * Words of a step, a preparation or a note that name an allergen of no line: "brush with egg" where no egg is listed. What is in no line
 * is looked for in nobody's allergies, so it is asked. The label reader finds the words.
 */
function unlisted(texts: readonly string[], lines: readonly RecipeLine[], foods: FoodBook): Unread[] {
  const listed = new Set(lines.flatMap((l) => foods.all.find((f) => f.id === l.food)?.contains ?? []))
  return texts.flatMap((text): Unread[] => {
    if (text === '') return []
    // Prose is not a label: only words as they stand, none that the reader mends ("your" is no yoghurt).
    const exact = readLabel(text).words.filter((w) => w.why === 'listed')
    const named = [...new Set(exact.map((w) => w.id))].filter((id) => !listed.has(id))
    const words = named.map(allergenName).join(', ')
    return named.length === 0
      ? []
      : [{ part: 'ingredient', text, why: `names ${words}, and no line of the recipe has it` }]
  })
}

const SERVES =
  /\b(?:serves|servings?|portions?|for|yields?)\b[\s:]*(?:about |approx\.? )?(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?/i
const SERVINGS = /\b(\d{1,3})\s*(?:servings?|portions?|people|children)\b/i
const MAKES =
  /\bmakes\b[\s:]*(?:about |approx\.? )?(\d{1,3})(?:\s*(?:-|–|to)\s*\d{1,3})?\s+([\p{L} ]{3,30})/iu
const USUAL_SERVES = 4

function yieldOf(parts: Sections, unread: Unread[]): { serves: number; pieces: Recipe['pieces'] } {
  let serves = 0
  let pieces: Recipe['pieces']
  for (const text of parts.about) {
    const makes = MAKES.exec(text)
    const people = SERVINGS.exec(text) ?? SERVES.exec(text)
    if (makes && !/serving|portion/i.test(makes[2] ?? ''))
      pieces = { what: (makes[2] ?? '').trim().toLowerCase(), n: Number(makes[1]) }
    else if (people) serves = Number(people[1])
    else if (secondsIn(text) === null)
      unread.push({ part: 'yield', text, why: 'says no number that Lea can use' })
  }
  if (serves > 0) return { serves: Math.min(200, serves), pieces }
  const guess = pieces?.n ?? USUAL_SERVES
  unread.push({ part: 'yield', text: '', why: `for how many is it? Taken as ${guess}` })
  return { serves: guess, pieces }
}

/** A step that is too long for one card is parted between sentences. */
function parted(text: string): string[] {
  if (text.length <= MOST.says) return [text]
  const out: string[] = []
  for (const sentence of text.split(/(?<=[.!?])\s+/)) {
    const last = out.at(-1)
    if (last !== undefined && last.length + sentence.length + 1 <= MOST.says)
      out[out.length - 1] = `${last} ${sentence}`
    else out.push(sentence.slice(0, MOST.says))
  }
  return out
}

function readSteps(texts: readonly string[], unread: Unread[]): { steps: RecipeStep[]; texts: string[] } {
  const steps: RecipeStep[] = []
  const kept: string[] = []
  for (const text of texts.flatMap(parted)) {
    const { tasks, unread: open } = readStep(text)
    unread.push(...open.map((u) => ({ part: 'step' as const, ...u })))
    if (tasks.length === 0) {
      const last = steps.at(-1)
      // Words without an action belong to the step before; before the first they are a note.
      if (last && (last.says ?? '').length + text.length < MOST.says) last.says = `${last.says ?? ''} ${text}`
      continue
    }
    if (steps.length >= MOST.steps) {
      unread.push({ part: 'step', text, why: `is one step more than the ${MOST.steps} there may be` })
      continue
    }
    const title = titleOf(text)
    steps.push({
      id: unique(slug(title) || 'step', new Set(steps.map((s) => s.id))),
      title,
      picture: pictureOf(tasks),
      uses: [],
      tasks: tasks.slice(0, MOST.tasks),
      says: text,
    })
    kept.push(text)
  }
  if (steps.length === 0) unread.push({ part: 'step', text: '', why: 'no step was found' })
  return { steps, texts: kept }
}

/** Five words or fewer, from the head of the step. */
function titleOf(text: string): string {
  const words = text
    .replace(/[.,;:!?].*$/, '')
    .split(' ')
    .filter((w) => w !== '')
  const short = words.slice(0, 5)
  while (short.length > 2 && /^(the|a|an|and|of|in|into|to|with|for|until|or|on)$/i.test(short.at(-1) ?? ''))
    short.pop()
  const title = short.join(' ').slice(0, 60)
  return title.charAt(0).toUpperCase() + title.slice(1)
}

const PICTURES: Record<string, string> = {
  'wash-hands': 'soap',
  'use-oven': 'oven',
  'use-hob': 'pot',
  taste: 'yum',
  'brush-glaze': 'brush',
  'cut-cutter': 'cutter',
  knead: 'dough',
  shape: 'dough',
  'pour-liquid': 'jug',
  'fill-cases': 'jar',
}
const pictureOf = (tasks: readonly RecipeTask[]): string =>
  tasks.map((t) => PICTURES[t.technique]).find((p) => p !== undefined) ?? 'bowl'

/** The first time a line goes in it is measured, in turns. */
function measured(step: RecipeStep, lines: readonly RecipeLine[]): void {
  const own = lines.filter((l) => step.uses.some((u) => u.line === l.id))
  if (!own.some((l) => l.unit !== 'item')) return
  const at = step.tasks.find(
    (t) => (t.technique === 'pour-liquid' || t.technique === 'level-scoop') && t.mode === 'TURNS',
  )
  if (at) at.measures = true
}
