/**
 * A recipe of Lea as plain text: to be read, sent and printed by anybody; with Lea's own data in its last lines, which hold as long as the
 * words above are as they were written. Who changes a word has the text read anew.
 */
import { SHIPPED_BOOK, foodName, type FoodBook } from '../../../food/foods'
import { sceneText } from '../../kinds/scene'
import { growingText } from '../../kinds/growing'
import { tastingText } from '../../kinds/tasting'
import type { Recipe } from '../../recipe'
import { contentKey } from '../keys'
import { lineText } from './to-json-ld'

const MARK = '--- for Lea, do not change:'

/** @returns the text, with its data at the end */
export function recipeToText(recipe: Recipe, foods: FoodBook = SHIPPED_BOOK): string {
  const says = wordsOf(recipe, foods)
  return `${says}\n\n${MARK} ${seal(says)}\n${JSON.stringify(recipe)}\n`
}

function wordsOf(recipe: Recipe, foods: FoodBook): string {
  const { pieces } = recipe
  const named = (id: string): string => {
    const line = recipe.lines.find((l) => l.id === id)
    return line ? foodName(foods.of(line.food)) : id
  }
  return [
    recipe.title,
    `Serves ${recipe.serves}${pieces ? ` | Makes ${pieces.n} ${pieces.what}` : ''}`,
    ...(recipe.about ? ['', recipe.about] : []),
    '',
    'Ingredients',
    ...recipe.lines.map((l) => `- ${lineText(l, foods, recipe.serves)}`),
    '',
    'Method',
    ...recipe.steps.map(
      (s, i) =>
        `${i + 1}. ${[s.says ? `${s.title}. ${s.says}` : s.title, s.scene ? sceneText(s.scene) : '', tastingText(s, named)].filter(Boolean).join(' ')}`,
    ),
    ...(recipe.equipment.length > 0 ? ['', 'Equipment', ...recipe.equipment.map((e) => `- ${e}`)] : []),
    ...(recipe.grows
      ? ['', growingText(recipe.grows), ...recipe.grows.looks.map((l) => `- day ${l.day}: ${l.says}`)]
      : []),
    ...(recipe.storage ? ['', 'Storage', recipe.storage] : []),
    ...(recipe.notes ?? []).flatMap((n, i) => [...(i === 0 ? ['', 'Notes'] : []), `- ${n.says}`]),
  ].join('\n')
}

const seal = (words: string): string => contentKey('text', words)

/** Lea's own data of a text that it wrote, as JSON; null where there is none, or where the words were changed since. */
export function ownDataIn(text: string): string | null {
  const plain = text.replace(/\r\n?/g, '\n')
  const at = plain.lastIndexOf(`\n${MARK}`)
  if (at < 0) return null
  const [head = '', ...data] = plain.slice(at + 1).split('\n')
  const words = plain.slice(0, at).replace(/\n+$/, '')
  return head.slice(MARK.length).trim() === seal(words) ? data.join('\n').trim() : null
}
/** The words of such a text without its data. */
export function withoutOwnData(text: string): string {
  const at = text.search(new RegExp(`^${MARK}`, 'm'))
  return at < 0 ? text : text.slice(0, at)
}
