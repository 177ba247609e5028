/**
 * schema.org Recipe as it stands in web pages that people save: JSON-LD in a script of an HTML page, or alone; arrays, graphs, strings,
 * HowToSection and HowToStep, ISO 8601 durations, yields in words, entities. Vocabulary: schema.org/Recipe, from memory.
 */
import { decodeHTML } from 'entities'
import { AmountError } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import type { Sections } from './sections'
import { recipeOf } from './read-recipe'
import type { Answers, RecipeRead } from './understood'

type Json = null | boolean | number | string | Json[] | { [key: string]: Json }
type Node = { [key: string]: Json }
const MOST = 5_000_000
const DEEPEST = 40

/**
 * @param source an HTML page, or JSON-LD as text or already parsed
 * @throws AmountError that names the fault: too large, broken JSON, no recipe in it, nested too deep
 */
export function readJsonLd(
  source: unknown,
  system: System = 'm',
  foods: FoodBook = SHIPPED_BOOK,
  answers: Answers = {},
): RecipeRead {
  const found = (typeof source === 'string' ? parsed(source) : [source as Json]).flatMap((j) =>
    recipesIn(j, 0),
  )
  const [node] = found
  if (!node) throw new AmountError('holds no schema.org Recipe')
  const read = recipeOf(sectionsFrom(node), system, foods, answers)
  if (found.length > 1) read.notes.push(`${found.length} recipes were there: the first was read`)
  return read
}

const SCRIPT = /<script\b[^>]*type\s*=\s*["']?application\/ld\+json["']?[^>]*>([\s\S]*?)<\/script>/gi

function parsed(text: string): Json[] {
  if (text.length > MOST) throw new AmountError('is larger than 5 MB')
  const isPage = /^\s*</.test(text)
  const blocks = isPage ? [...text.matchAll(SCRIPT)].map((m) => m[1] ?? '') : [text]
  if (blocks.length === 0) throw new AmountError('is a page without recipe data (JSON-LD) in it')
  const good: Json[] = []
  let fault = ''
  for (const block of blocks)
    try {
      good.push(JSON.parse(block.replace(/^\s*<!--|-->\s*$/g, '').trim()) as Json)
    } catch (e) {
      fault = e instanceof Error ? e.message : 'broken'
    }
  if (good.length === 0) throw new AmountError(`is not valid JSON: ${fault}`)
  return good
}

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

/** The steps in their order, out of strings, lists, HowToStep and HowToSection. */
function instructions(value: Json | undefined, depth = 0): string[] {
  if (depth > DEEPEST) throw new AmountError('is nested too deep')
  return list(value).flatMap((v): string[] => {
    if (typeof v === 'string')
      return textOfHtml(v)
        .split(/\n+/)
        .map((s) => s.replace(/^\s*\d{1,2}[.)]\s+/, '').trim())
        .filter((s) => s !== '')
    if (!isNode(v)) return []
    if (v['itemListElement'] !== undefined) return instructions(v['itemListElement'], depth + 1)
    const text = words(v['text']) || words(v['name']) || words(v['description'])
    return text === '' ? [] : [text]
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

function sectionsFrom(node: Node): Sections {
  const made = list(node['recipeYield'] ?? node['yield']).map((y) =>
    isNode(y) ? `${words(y['value'])} ${words(y['unitText'])}` : words(y),
  )
  const yields = made
    .filter((y) => y.trim() !== '')
    .map((y) => (/^\d+$/.test(y) ? `serves ${y}` : /serv|portion|people/i.test(y) ? y : `makes ${y}`))
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
      return text === '' ? [] : text.split('\n').filter((t) => t.trim() !== '')
    }),
    steps: instructions(node['recipeInstructions']),
    tools: list(node['tool']).map((t) => (isNode(t) ? words(t['name']) : words(t))),
    storage: [],
    other: [],
  }
}
