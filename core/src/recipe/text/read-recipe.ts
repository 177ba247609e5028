/**
 * A plain recipe read into Lea's: title, yield, ingredient lines through the amounts reader and the food names, steps with what goes in,
 * what hands do, times, heat and waits. What could not be read is listed with the reason, and asked where an answer would settle it;
 * nothing is dropped, nothing is made up. Answers go in beside the text, so that one taken back is as if it had never been given.
 */
import { AmountError } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import { isPreparation } from '../../food/by-age/choking'
import { PLACES, RECIPE_SCHEMA, ROLES, type Recipe, type RecipeLine, type Role } from '../recipe'
import { idFor } from './ids'
import { questionsOf } from './questions'
import { readLines, unlisted } from './read-lines'
import { measured, readSteps } from './read-steps'
import { guessRole, type RoleGuess } from './roles'
import { sectionsOf, type Sections } from './sections'
import type { Answers, RecipeRead } from './understood'
import { cutSizesIn, tinIn, toolsIn } from './tools'
import { giveUses } from './uses'
import { yieldOf } from './yield'

/**
 * @param text at most 60,000 characters
 * @param system whose cups and spoons; metric (250, 15, 5 mL) where it is not given
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
  return recipeOf(sectionsOf(text), system, foods, answers)
}

/** From parts that are already apart: of a pasted text, or of a web page's data. */
export function recipeOf(
  parts: Sections,
  system: System,
  foods: FoodBook = SHIPPED_BOOK,
  answers: Answers = {},
): RecipeRead {
  const { lines, read, unread, notes } = readLines(parts.ingredients, system, foods, answers)
  const title = calm(parts.title).slice(0, 80)
  if (title === '') unread.push({ part: 'title', text: '', why: 'no title was found' })
  const made = yieldOf(parts, unread, answers, notes)
  const method = readSteps(parts.steps, answers)
  const { steps, texts } = method
  unread.push(...method.unread)
  for (const line of giveUses(steps, texts, lines, foods)) {
    const key = `unused:${line.id}`
    const step = steps.find((s) => s.id === answers[key])
    if (step) step.uses.push({ line: line.id, part: '1' })
    else
      unread.push({
        part: 'step',
        text: line.id,
        why: 'no step says where this line goes in',
        key,
        kind: 'unused',
      })
  }
  const roles = rolesOf(lines, texts, foods, answers)
  for (const step of steps) measured(step, lines)
  const settled = read
    .filter((l) => l.answer !== undefined || (l.line === null && !l.out))
    .map((l) => l.text)
    .join(' | ')
  unread.push(
    ...unlisted(
      [...lines.map((l) => l.prep ?? ''), ...parts.steps, ...parts.other],
      lines,
      foods,
      answers,
      settled,
    ),
  )
  for (const text of parts.other) unread.push({ part: 'other', text, why: 'kept as a note' })
  const told = [...parts.steps, ...parts.ingredients]
  const tin = tinIn([...parts.tools, ...parts.steps])
  notes.push(
    ...cutSizesIn(told).map(
      (c) => `cut size: ${c}; whether it suits the youngest is judged by how it is served`,
    ),
  )
  const hot = steps.flatMap((s) => s.tasks.flatMap((t) => t.place ?? []))
  const places = PLACES.filter((p) => p !== 'table' && p !== 'sink' && hot.includes(p))
  const recipe: Recipe = {
    schema: RECIPE_SCHEMA,
    id: idFor(title, 'recipe'),
    title: title || 'A recipe without a title',
    about: '',
    serves: made.serves,
    ...(made.pieces && { pieces: made.pieces }),
    themes: [],
    equipment: [...new Set([...places, ...parts.tools.map((t) => t.slice(0, 60)), ...toolsIn(told)])].slice(
      0,
      30,
    ),
    storage: parts.storage.join(' ').slice(0, 200),
    ...(tin && { tin }),
    ...(parts.other.length > 0 && {
      notes: parts.other.slice(0, 12).map((says) => ({ about: 'tip' as const, says: says.slice(0, 400) })),
    }),
    lines,
    steps,
  }
  return {
    recipe,
    unread,
    notes,
    lines: read,
    steps: method.read,
    questions: questionsOf(recipe, unread, roles, foods, answers, read),
  }
}

/** A title in capitals is said in a calm voice: PEAR CUPS is "Pear cups". What stands in small letters stays. */
function calm(title: string): string {
  const words = title.replace(/\([^)]*\)/g, '')
  if (words !== words.toUpperCase() || words === words.toLowerCase()) return title
  const small = title.replace(/[\p{L}'’]+/gu, (w) => (w === w.toUpperCase() ? w.toLowerCase() : w))
  return small.charAt(0).toUpperCase() + small.slice(1)
}

/** Sets what each food does here, as answered or as guessed; and a shape that was answered. */
function rolesOf(
  lines: RecipeLine[],
  texts: readonly string[],
  foods: FoodBook,
  answers: Answers,
): Map<string, RoleGuess> {
  const roles = new Map<string, RoleGuess>()
  for (const line of lines) {
    const guess = guessRole(line, lines, texts, foods)
    roles.set(line.id, guess)
    const answer = answers[`role:${line.id}`]
    line.role = (ROLES as readonly string[]).includes(answer ?? '') ? (answer as Role) : guess.role
    const shape = answers[`shape:${line.id}`]
    if (shape !== undefined && isPreparation(shape)) line.shape = shape
  }
  return roles
}
