/**
 * A recipe from a file or from what was pasted: Lea's own JSON (of any version), schema.org JSON-LD alone or in a page, or plain text;
 * known by its first character. And out again: Lea's JSON without loss.
 */
import { ValidationError } from 'yup'
import { AmountError } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import type { Recipe } from '../../recipe/recipe'
import { readJsonLd } from '../../recipe/text/page/json-ld'
import { readPageWords } from '../../recipe/text/page/page-words'
import { OWN_TERM } from '../../recipe/text/page/to-json-ld'
import { ownDataIn, withoutOwnData } from '../../recipe/text/page/to-text'
import { readRecipe } from '../../recipe/text/read-recipe'
import type { Answers, RecipeRead } from '../../recipe/text/understood'
import { recipeSchema } from './recipe'

/** Where the JSON Schema of a recipe is published. */
export const RECIPE_SCHEMA_PATH = '/recipe.schema.json'

const isOwn = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' &&
  value !== null &&
  'schema' in value &&
  typeof value.schema === 'number' &&
  'lines' in value

/**
 * @param source at most 5 MB
 * @param answers to questions of an earlier reading; Lea's own JSON asks none
 * @throws AmountError that names the fault: too large, broken, a field that is not as it should be
 */
export function readRecipeFile(
  source: string,
  system: System = 'm',
  foods: FoodBook = SHIPPED_BOOK,
  answers: Answers = {},
): RecipeRead {
  if (/^\s*[{[]/.test(source) && source.length <= 5_000_000) {
    const value = parsed(source)
    const own = ownOf(value)
    if (own) return readOwn(own)
    // A chat begins with a bracket too: only what parses is data, and what plainly tries to be is named as broken.
    if (value !== null || /^\s*(?:\{\s*["}]|\[\s*[{\]"]|\{\s*\w+\s*:|\{ not)/.test(source))
      return readJsonLd(source, system, foods, answers)
  }
  if (PAGE.test(source)) {
    const data = source.length <= 5_000_000 && source.includes(OWN_TERM) ? ownInPage(source) : null
    return data ? readOwn(data) : readJsonLd(source, system, foods, answers)
  }
  const data = ownDataIn(source)
  const own = data === null ? null : ownOf(parsed(data))
  return own ? readOwn(own) : readRecipe(withoutOwnData(source), system, foods, answers)
}

/** A page begins with a tag, or has several; "<Media omitted>" makes none. */
const PAGE =
  /^\s*<(?:!doctype|!--|\?xml|html|head|body|script|div|article|main|section|table|h[1-6]|p|ul|ol|span|meta|title|link|b|strong|em|i|font|center|a|img|br|pre)\b/i

/** Lea's own JSON, or the data that Lea put beside schema.org's; alone, in a list or in a graph. */
function ownOf(value: unknown, depth = 0): Record<string, unknown> | null {
  if (isOwn(value)) return value
  if (typeof value !== 'object' || value === null || depth > 3) return null
  const nodes: unknown[] = Array.isArray(value)
    ? value
    : Object.entries(value).flatMap(([k, v]) => (k === OWN_TERM || k === '@graph' ? [v as unknown] : []))
  if (nodes.length > 50) return null
  for (const node of nodes) {
    const own = ownOf(node, depth + 1)
    if (own) return own
  }
  return null
}
function ownInPage(source: string): Record<string, unknown> | null {
  for (const script of readPageWords(source).scripts) {
    const own = ownOf(parsed(script))
    if (own) return own
  }
  return null
}

/** Broken JSON is named by the reader of pages, which takes it next. */
function parsed(source: string): unknown {
  try {
    return JSON.parse(source)
  } catch {
    return null
  }
}

function readOwn(value: Record<string, unknown>): RecipeRead {
  try {
    const bare = Object.fromEntries(Object.entries(value).filter(([key]) => key !== '$schema'))
    const recipe = recipeSchema.validateSync(bare)
    return { recipe, unread: [], notes: ['a recipe of Lea'], lines: [], steps: [], questions: [] }
  } catch (fault) {
    if (fault instanceof ValidationError)
      throw new AmountError(
        `is a recipe of Lea, but not whole: ${fault.message}${fault.path ? ` (${fault.path})` : ''}`,
      )
    throw fault
  }
}

/** The recipe as a file: readable again without loss, with the address of its schema. */
export const recipeToJson = (recipe: Recipe): string =>
  `${JSON.stringify({ $schema: RECIPE_SCHEMA_PATH, ...recipe }, null, 2)}\n`

export { recipeToText } from '../../recipe/text/page/to-text'
