/**
 * A recipe out of a page that somebody saved: schema.org Recipe as JSON-LD in a script or alone (arrays, graphs, strings, HowToSection and
 * HowToStep, ISO 8601 durations, yields in words), as microdata, or else the words that a reader sees. Vocabulary: schema.org/Recipe, from memory.
 */
import { decodeHTML } from 'entities'
import { AmountError } from '../../../amount/ratio'
import type { System } from '../../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../../../food/foods'
import type { PlacedText, Sections } from '../layout/placed'
import { sectionsOf } from '../layout/sections'
import { recipeOf } from '../read-recipe'
import type { Answers, RecipeRead } from '../understood'
import { readPageWords, type PageRead } from './page-words'

type Json = null | boolean | number | string | Json[] | { [key: string]: Json }
type Node = { [key: string]: Json }
const MOST = 5_000_000
const DEEPEST = 40

/**
 * @param source an HTML page, or JSON-LD as text or already parsed
 * @param answers `recipe` says which, by its name, where a page holds several
 * @throws AmountError that names the fault: too large, broken JSON, no recipe in it, nested too deep
 */
export function readJsonLd(
  source: unknown,
  system: System = 'm',
  foods: FoodBook = SHIPPED_BOOK,
  answers: Answers = {},
): RecipeRead {
  const isPage = typeof source === 'string' && /^\s*</.test(source)
  const page = isPage ? readPageWords(source) : null
  const found = dataOf(source, page).flatMap((j) => recipesIn(j, 0))
  if (found.length === 0) return recipeOf(seenIn(page, foods), system, foods, answers)
  const names = found.map((n) => words(n['name']) || words(n['headline']))
  const node = found[Math.max(0, names.indexOf(answers['recipe'] ?? ''))] ?? {}
  const read = recipeOf(sectionsFrom(node), system, foods, answers)
  if (found.length === 1) return read
  read.notes.push(
    `${found.length} recipes were there: ${answers['recipe'] === undefined ? 'the first' : 'the one chosen'} was read`,
  )
  read.questions.unshift({
    key: 'recipe',
    about: {},
    text: names.join(' · ').slice(0, 400),
    asks: `There are ${found.length} recipes in it. Which of them?`,
    choices: names.slice(0, 12).map((name) => ({ answer: name, says: name })),
    free: false,
    must: false,
    taken: words(node['name']) || words(node['headline']),
  })
  return read
}

/** JSON of the source: the scripts of a page, or the text itself. */
function dataOf(source: unknown, page: PageRead | null): Json[] {
  if (typeof source !== 'string') return [source as Json]
  if (source.length > MOST) throw new AmountError('is larger than 5 MB')
  const good: Json[] = []
  let fault = ''
  for (const block of page ? page.scripts : [source])
    try {
      good.push(JSON.parse(block.replace(/^\s*<!--|-->\s*$/g, '').trim()) as Json)
    } catch (e) {
      fault = e instanceof Error ? e.message : 'broken'
    }
  if (!page && good.length === 0) throw new AmountError(`is not valid JSON: ${fault}`)
  return good
}

/** A page without data of its own: what is marked in it, else what a reader sees. */
function seenIn(page: PageRead | null, foods: FoodBook): Sections {
  if (!page) throw new AmountError('holds no schema.org Recipe')
  const marked = (...names: string[]): string[] =>
    page.marked
      .filter((m) => names.some((n) => m.name.split(/\s+|:/).includes(n)) && m.text !== '')
      .map((m) => m.text)
  const list = marked('recipeIngredient', 'ingredients')
  if (list.length > 0)
    return {
      title: marked('name')[0] ?? '',
      about: marked('recipeYield', 'yield').map(yieldWords),
      ingredients: list.map((text) => ({ text: text.replace(/\s+/g, ' ') })),
      steps: marked('recipeInstructions', 'step', 'text').flatMap((t) => stepsIn(t)),
      tools: [],
      storage: [],
      other: [],
    }
  if (page.words.trim() === '') throw new AmountError('is a page without a word of a recipe')
  const parts = sectionsOf(page.words.slice(0, 60_000), foods)
  if (parts.ingredients.length === 0 && parts.steps.length === 0)
    throw new AmountError('is a page without recipe data, and no recipe stands in its words')
  return parts
}

/** The steps of one text: by its lines, or by the numbers in it. */
const stepsIn = (text: string): PlacedText[] =>
  text
    .split(/\n+|(?<=[.!?)])\s+(?=\d{1,2}[.)]\s+\p{Lu})/u)
    .map((s) => s.replace(/^\s*(?:step\s+)?\d{1,2}\s*[.):]\s*|^\s*[•·-]\s*/i, '').trim())
    .filter((s) => s !== '')
    .map((t) => ({ text: t }))

const isNode = (value: Json | undefined): value is Node =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const typesOf = (node: Node): string[] =>
  [node['@type'] ?? []].flat().flatMap((t) => (typeof t === 'string' ? [t.replace(/^.*[/#:]/, '')] : []))

function recipesIn(value: Json, depth: number): Node[] {
  if (depth > DEEPEST) throw new AmountError('is nested too deep')
  if (Array.isArray(value)) return value.flatMap((v) => recipesIn(v, depth + 1))
  if (!isNode(value)) return []
  if (typesOf(value).includes('Recipe')) return [value]
  return ['@graph', 'mainEntity', 'mainEntityOfPage', 'itemListElement', 'item'].flatMap((key) =>
    recipesIn(value[key] ?? null, depth + 1),
  )
}

/** Plain words: tags out, entities as what they stand for. */
export const textOfHtml = (html: string): string =>
  decodeHTML(html.replace(/<(?:br|\/p|\/li|\/div)\b[^>]*>/gi, '\n').replace(/<[^>]*>/g, ''))
    .replace(/[ \t\u00a0]+/g, ' ')
    .trim()

const words = (value: Json | undefined): string =>
  typeof value === 'string' ? textOfHtml(value) : typeof value === 'number' ? String(value) : ''
const list = (value: Json | undefined): Json[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value]

/** The steps in their order, out of strings, lists, HowToStep and HowToSection; a section's name is their part. */
function instructions(value: Json | undefined, part?: string, depth = 0): PlacedText[] {
  if (depth > DEEPEST) throw new AmountError('is nested too deep')
  const named = (t: PlacedText): PlacedText => ({ ...t, ...(part !== undefined && part !== '' && { part }) })
  return list(value).flatMap((v): PlacedText[] => {
    if (typeof v === 'string') return stepsIn(textOfHtml(v)).map(named)
    if (!isNode(v)) return []
    if (v['itemListElement'] !== undefined) {
      const own = typesOf(v).includes('HowToSection') ? words(v['name']) : ''
      return instructions(v['itemListElement'], own === '' ? part : own, depth + 1)
    }
    const text = words(v['text']) || words(v['name']) || words(v['description'])
    return text === '' ? [] : stepsIn(text).map(named)
  })
}

/** ISO 8601 `PT1H30M`, `P1DT2H` in words that the reader of texts knows; what is none stays as it stands. */
export function durationWords(iso: string): string {
  const m = /^P(?:(\d+)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?(?:(\d+(?:\.\d+)?)S)?)?$/i.exec(
    iso.trim(),
  )
  if (!m || m.slice(1).every((x?: string) => x === undefined)) return iso
  const [, days = '0', hours = '0', minutes = '0', seconds = '0'] = m
  const all = Number(days) * 1440 + Number(hours) * 60 + Number(minutes) + Number(seconds) / 60
  return `${Math.round(all)} minutes`
}

/** A yield as a sentence: a bare number serves so many. */
const yieldWords = (y: string): string =>
  /^\s*\d+\s*$/.test(y) ? `serves ${y.trim()}` : /serv|portion|people|mak|yield/i.test(y) ? y : `makes ${y}`

function sectionsFrom(node: Node): Sections {
  const made = list(node['recipeYield'] ?? node['yield']).map((y) =>
    isNode(y) ? `${words(y['value'])} ${words(y['unitText'])}` : words(y),
  )
  const yields = made.filter((y) => y.trim() !== '').map(yieldWords)
  const times = (['prepTime', 'cookTime', 'totalTime'] as const).flatMap((key) => {
    const iso = words(node[key])
    return iso === ''
      ? []
      : [
          `${key === 'prepTime' ? 'prep' : key === 'cookTime' ? 'cooking' : 'total'} time: ${durationWords(iso)}`,
        ]
  })
  return {
    title: words(node['name']) || words(node['headline']),
    about: [...yields, ...times],
    ingredients: list(node['recipeIngredient'] ?? node['ingredients']).flatMap((i) => {
      const text = isNode(i) ? `${words(i['amount'])} ${words(i['name'])}`.trim() : words(i)
      return text
        .split('\n')
        .filter((t) => t.trim() !== '')
        .map((t) => ({ text: t }))
    }),
    steps: instructions(node['recipeInstructions']),
    tools: list(node['tool']).map((t) => (isNode(t) ? words(t['name']) : words(t))),
    storage: [],
    other: [],
  }
}
