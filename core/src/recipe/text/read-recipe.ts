/**
 * A plain recipe read into Lea's: title, yield, ingredient lines through the amounts reader and the food names, steps with what goes in,
 * what hands do, times, heat and waits. What could not be read is listed with the reason, and asked where an answer would settle it;
 * nothing is dropped, nothing is made up. Answers go in beside the text, so that one taken back is as if it had never been given.
 */
import { AmountError } from '../../amount/ratio'
import { SYSTEMS, type System } from '../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import { isPreparation } from '../../food/by-age/choking'
import { PLACES, RECIPE_SCHEMA, ROLES, type Recipe, type RecipeLine, type Role } from '../recipe'
import { idFor } from './ids'
import { lineKey } from './line-key'
import { phrasesIn } from './layout/prose'
import type { PlacedText, Sections } from './layout/placed'
import { sectionsOf } from './layout/sections'
import { readLine } from '../line/read-line'
import { splitLine } from '../line/split-line'
import { kindsIn } from './kinds/kinds-in-text'
import { questionsOf } from './questions'
import { readLines, type LinesRead } from './read-lines'
import { putEggsIn, putMeasuringApart, putMeasuringIn, putWashingIn } from './steps/put-in'
import { putPreparationIn } from './steps/put-preparation'
import { readSteps } from './steps/read-steps'
import { settleUnused } from './steps/settle-unused'
import { giveUses, type NamedLines, type StepText } from './steps/uses'
import { guessRole, type RoleGuess } from './roles'
import { systemIn } from './system'
import { unlisted } from './unlisted'
import type { Answers, RecipeRead, Unread } from './understood'
import { cutSizesIn, tinIn, toolsIn } from './tools'
import { yieldOf } from './yield'

/**
 * @param text at most 60,000 characters
 * @param system whose cups and spoons the house uses; metric (250, 15, 5 mL) where it is not given. Plain words of another book stand over it
 * @param answers to questions of an earlier reading, by their keys
 * @throws AmountError where there is nothing to read
 */
export function readRecipe(
  text: string,
  system: System = 'm',
  foods: FoodBook = SHIPPED_BOOK,
  answers: Answers = {},
): RecipeRead {
  if (text.trim() === '') throw new AmountError('is empty: paste a recipe')
  if (text.length > 60_000) throw new AmountError('is longer than 60,000 characters: paste one recipe')
  return recipeOf(sectionsOf(text, foods), system, foods, answers)
}

/** From parts that are already apart: of a pasted text, or of a web page's data. */
export function recipeOf(
  parts: Sections,
  house: System,
  foods: FoodBook = SHIPPED_BOOK,
  answers: Answers = {},
): RecipeRead {
  const unread: Unread[] = []
  const notes: string[] = []
  const system = systemOf(parts, house, answers, notes, unread)
  if (parts.title.trim() === '') unread.push({ part: 'title', text: '', why: 'no title was found' })
  if (parts.ingredients.length === 0 && parts.steps.some((s) => /^(?:\W*)each child\b.*\d/i.test(s.text)))
    parts.perChild = true
  const made = yieldOf(parts, unread, answers, notes)
  const listed = readLines(withPhrases(parts, system, foods, notes), system, foods, answers, made.serves)
  unread.push(...listed.unread)
  notes.push(...listed.notes)
  const { lines } = listed
  const named: NamedLines = { lines, parts: listed.parts, words: listed.words, foods }
  const method = readSteps(parts.steps, answers, named, system === 'us')
  unread.push(...method.unread)
  const { steps, texts } = method
  settleUnused(giveUses(steps, texts, named), listed, steps, answers, unread)
  const roles = rolesOf(listed, texts, foods, answers)
  putPreparationIn(steps, { lines, foods })
  putEggsIn(steps, { lines, foods })
  putMeasuringIn(steps, { lines, foods })
  putMeasuringApart(steps, { lines, foods })
  putWashingIn(steps)
  const printed = new Map(listed.read.flatMap((l) => (l.line === null ? [] : [[l.line, l.text] as const])))
  const told = [...parts.steps.map((t) => t.text), ...parts.other]
  const kinds = kindsIn({ title: parts.title, steps, lines }, named, told, printed, notes)
  unread.push(...namedElsewhere(parts, listed, foods, answers))
  for (const text of parts.other)
    unread.push({ part: 'other', text, why: isChat(text) ? 'talk, left out' : 'kept as a note' })
  const recipe = { ...recipeFrom(parts, made, kinds.lines, kinds.steps, notes), ...kinds.more }
  return {
    recipe,
    unread,
    notes,
    lines: listed.read,
    steps: method.read,
    questions: questionsOf(recipe, unread, roles, foods, answers, listed),
  }
}

/** Thanks, greetings, names: nothing that helps who cooks. */
const isChat = (text: string): boolean =>
  /^\p{Lu}\p{Ll}+(?: \p{Lu}\p{Ll}+)?$/u.test(text) ||
  (text.length < 40 &&
    /^(?:\W*)(?:thanks?|thank you|hi|hello|hey|dear|yes|ok|lovely|great|best|love|cheers|see you|regards|kind regards|yours|x+)(?=\W|$)(?!.*\d)/iu.test(
      text,
    ) &&
    !/\b(?:serve|store|keep|add|use|eat|swap|instead|allerg|nut|egg|milk)\w*/i.test(text))

function systemOf(
  parts: Sections,
  house: System,
  answers: Answers,
  notes: string[],
  unread: Unread[],
): System {
  const all = [...parts.ingredients.map((i) => i.text), ...parts.steps.map((s) => s.text)].join('\n')
  const said = SYSTEMS.find((s) => s === answers['system'])
  if (said) return said
  const { system, because } = systemIn(all, house)
  if (because) {
    notes.push(because)
    unread.push({
      part: 'other',
      text: '',
      why: because,
      key: 'system',
      kind: 'system',
      choices: [system, house],
    })
  }
  return system
}

/** Foods with an amount that only the telling names are lines too; where a list is there, those that it lacks. */
function withPhrases(parts: Sections, system: System, foods: FoodBook, notes: string[]): PlacedText[] {
  const list = parts.ingredients
  const telling = [
    ...parts.steps,
    ...(list.length === 0 ? parts.other.map((text): StepText => ({ text })) : []),
  ]
  const known = new Set(
    list.flatMap(({ text }) => splitLine(text.slice(0, 400), foods).map((t) => foodOf(t, system, foods))),
  )
  const words = list.map((i) => i.text.toLowerCase()).join(' \n ')
  const found = telling.flatMap(({ text, part }) =>
    phrasesIn(text, system, foods)
      .filter((p) => list.length === 0 || (!known.has(p.food) && !isListed(p.food, words, foods)))
      .map((p): PlacedText => ({ text: p.text, ...(part !== undefined && { part }) })),
  )
  if (list.length > 0) notes.push(...found.map((f) => `only the telling names it: ${f.text}`))
  return [...list, ...found]
}
const foodOf = (text: string, system: System, foods: FoodBook): string | null => {
  try {
    return readLine(text, system, undefined, foods).foodId
  } catch (fault) {
    if (!(fault instanceof AmountError)) throw fault
    return null
  }
}
const isListed = (id: string, words: string, foods: FoodBook): boolean => {
  const food = foods.of(id)
  const last = food.name.split(' ').at(-1) ?? food.name
  return words.includes(last.toLowerCase().replace(/(?:es|s)$/, ''))
}

function namedElsewhere(
  parts: Sections,
  { lines, read }: LinesRead,
  foods: FoodBook,
  answers: Answers,
): Unread[] {
  const settled = read
    .filter((l) => l.answer !== undefined || (l.line === null && !l.out))
    .map((l) => l.text)
    .join(' | ')
  return unlisted(
    [...lines.map((l) => l.prep ?? ''), ...parts.steps.map((s) => s.text)],
    parts.other,
    lines,
    foods,
    answers,
    settled,
  )
}

function recipeFrom(
  parts: Sections,
  made: ReturnType<typeof yieldOf>,
  lines: RecipeLine[],
  steps: Recipe['steps'],
  notes: string[],
): Recipe {
  const told = [...parts.steps, ...parts.ingredients].map((t) => t.text)
  const tin = tinIn([...parts.tools, ...told])
  notes.push(
    ...cutSizesIn(told).map(
      (c) => `cut size: ${c}; whether it suits the youngest is judged by how it is served`,
    ),
  )
  const hot = steps.flatMap((s) => s.tasks.flatMap((t) => t.place ?? []))
  const places = PLACES.filter((p) => p !== 'table' && p !== 'sink' && hot.includes(p))
  const title = parts.title.slice(0, 80)
  const equipment = [
    ...places,
    ...parts.tools.flatMap((t) => t.split(/\s*[,;]\s*/)).map((t) => t.slice(0, 60)),
    ...toolsIn(told),
  ]
  return {
    schema: RECIPE_SCHEMA,
    id: idFor(title, 'recipe'),
    title: title || 'A recipe without a title',
    about: '',
    serves: made.serves,
    ...(made.pieces && { pieces: { ...made.pieces, what: made.pieces.what.slice(0, 30) } }),
    themes: [],
    equipment: [...new Set(equipment)].filter((e) => e !== '').slice(0, 30),
    storage: parts.storage.join(' ').slice(0, 200),
    ...(tin && { tin }),
    ...(parts.other.some((t) => !isChat(t)) && {
      notes: parts.other
        .filter((t) => !isChat(t))
        .slice(0, 12)
        .map((says) => ({ about: 'tip' as const, says: says.slice(0, 400) })),
    }),
    lines,
    steps,
  }
}

/** Sets what each food does here, as answered or as guessed; and a shape that was answered. */
function rolesOf(
  { lines, read }: LinesRead,
  texts: readonly StepText[],
  foods: FoodBook,
  answers: Answers,
): Map<string, RoleGuess> {
  const roles = new Map<string, RoleGuess>()
  for (const line of lines) {
    const key = lineKey(line.id, read)
    const guess = guessRole(
      line,
      lines,
      texts.map((t) => t.text),
      foods,
    )
    roles.set(line.id, guess)
    const answer = answers[`role:${key}`]
    line.role = (ROLES as readonly string[]).includes(answer ?? '') ? (answer as Role) : guess.role
    const shape = answers[`shape:${key}`]
    if (shape !== undefined && isPreparation(shape)) line.shape = shape
  }
  return roles
}
