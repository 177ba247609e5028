/**
 * Tools: what hands hold, its danger, and how many of it a room has.
 * Source: core/data/tools.json (common practice, from memory).
 */
import data from '../../data/tools.json'
import { TECHNIQUES } from './techniques'

/** How a tool can hurt: hardly, little (nylon, rocking), by an edge, by a point, by heat. */
export type ToolDanger = 'blunt' | 'soft' | 'sharp' | 'point' | 'hot'
/** Groups of the cupboard, in the order in which they are shown. */
export const TOOL_GROUPS = ['cut', 'mix', 'measure', 'shape', 'serve', 'wash', 'heat'] as const
export type ToolGroup = (typeof TOOL_GROUPS)[number]
/** The same in words. */
export const TOOL_GROUP_WORDS: Record<ToolGroup, string> = {
  cut: 'to cut',
  mix: 'to mix',
  measure: 'to measure',
  shape: 'to shape',
  serve: 'to serve',
  wash: 'to wash',
  heat: 'by the heat',
}

interface Named {
  one: string
  many: string
}
export interface Tool extends Named {
  id: string
  /** US words where they differ. */
  us?: Named
  group: ToolGroup
  /** Whose hands hold it: each child's own, one for a bowl, or an adult's. */
  holds: 'child' | 'shared' | 'adult'
  danger?: ToolDanger
  /** Food stays in it: it is not free again for another. */
  keeps?: true
  /** What a left-handed child, or one with a weak grip, holds instead. */
  adapts?: { left?: string; grip?: string }
  /** Other words that recipes write for it. */
  names?: string[]
}

/** A tool of which the room has only so many; 0: none. */
export interface ToolCount {
  tool: string
  count: number
}

/** Every tool that Lea knows. */
export const TOOLS: readonly Tool[] = data.tools as Tool[]
const BY_ID = new Map(TOOLS.map((t) => [t.id, t]))

/** The tool of an id; undefined where there is none. */
export const toolOf = (id: string): Tool | undefined => BY_ID.get(id)

/** @returns its name for so many, in UK or US words; an id that nobody knows as it stands */
export function toolName(id: string, n = 1, locale: 'en-GB' | 'en-US' = 'en-GB'): string {
  const tool = toolOf(id)
  if (!tool) return id
  const words = (locale === 'en-US' && tool.us) || tool
  return n === 1 ? words.one : words.many
}

const plain = (words: string): string =>
  words
    .toLowerCase()
    .replace(/\(.*?\)/g, ' ')
    .replace(/[‘’]/g, "'")
    .replace(/[^a-z' -]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()

const BY_NAME = new Map<string, string>()
for (const t of TOOLS)
  for (const name of [t.id, t.one, t.many, t.us?.one, t.us?.many, ...(t.names ?? [])])
    for (const form of name ? [plain(name), `${plain(name)}s`, plain(name).replace(/knife$/, 'knives')] : [])
      if (!BY_NAME.has(form)) BY_NAME.set(form, t.id)
/** What a rung was called up to 0.11, with the tool that it names now. */
const BY_OLD_NAME = new Map(
  TECHNIQUES.flatMap((t) => t.ladder.flatMap((r) => (r.was && r.tool ? [[r.was, r.tool] as const] : []))),
)

/**
 * The tool that words name whole: an id, a name, another word for it, what a rung was called up to 0.11.
 * @returns undefined where they name none: a part of a name is not the tool ("butter knife block")
 */
export const toolIdOf = (words: string): string | undefined =>
  BY_ID.has(words) ? words : (BY_OLD_NAME.get(words) ?? BY_NAME.get(plain(words)))

/** How many of a tool the room has; Infinity where the setting did not say: enough for everyone. */
export function countOf(tool: string, kit: readonly ToolCount[] | undefined): number {
  const counts = (kit ?? []).filter((t) => t.tool === tool || toolIdOf(t.tool) === tool).map((t) => t.count)
  return counts.length === 0 ? Infinity : Math.min(...counts)
}

/** A blade with an edge or a point. */
export const isBlade = (tool: string): boolean => {
  const danger = toolOf(tool)?.danger
  return danger === 'sharp' || danger === 'point'
}
/** A tool with a point is never handed out unless the house opened it. */
export const isPointed = (tool: string | undefined): boolean =>
  tool !== undefined && toolOf(tool)?.danger === 'point'

/** What is held, and what lies beside it, by ids. */
type Held = { tool: string; with: readonly string[] }
/** What each child has of its own: what is in its hand, and what lies before it. */
export const ownTools = (held: Held): string[] =>
  [held.tool, ...held.with].filter((t) => t !== '' && toolOf(t)?.holds !== 'shared')
/** What stands once for a bowl. */
export const sharedTools = (held: Held): string[] =>
  [held.tool, ...held.with].filter((t) => toolOf(t)?.holds === 'shared')

/** @returns the counts with one set; null: enough for everyone. A tool stands once, under its id. */
export function withCount(kit: readonly ToolCount[], tool: string, count: number | null): ToolCount[] {
  const rest = kit.filter((t) => (toolIdOf(t.tool) ?? t.tool) !== tool)
  return count === null ? rest : [...rest, { tool, count }]
}

/** What is counted, in a line: "4 nylon knives, no box graters; of all else there is enough." */
export function fewToolsText(kit: readonly ToolCount[], locale: 'en-GB' | 'en-US' = 'en-GB'): string {
  const ids = [...new Set(kit.map((t) => toolIdOf(t.tool) ?? t.tool))]
  if (ids.length === 0) return 'There is enough of everything for everyone.'
  const words = ids.map((id) => {
    const n = countOf(id, kit)
    return `${n === 0 ? 'no' : n} ${toolName(id, n, locale)}`
  })
  return `${words.join(', ')}; of all else there is enough.`
}
