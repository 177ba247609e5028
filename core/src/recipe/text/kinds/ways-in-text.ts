/**
 * "If you have no oven, cook them on a griddle": another way for a room that lacks a place or a tool. What is done instead is no work of the
 * step itself; the plan takes it where the thing is lacking, and judges it as it judges any step.
 */
import { TOOLS } from '../../../craft/tools'
import { HEAT_PLACES } from '../../heat-places'
import { isHot, type RecipeTask, type StepWay } from '../../recipe'

const THINGS = new Map<string, string>([
  ...HEAT_PLACES.flatMap((p) => [p.name, ...p.words].map((w): [string, string] => [w, p.id])),
  ...['fridge', 'freezer'].map((id): [string, string] => [id, id]),
  ...TOOLS.flatMap((t) =>
    [t.one, t.many, t.us?.one ?? t.one, ...(t.names ?? [])].map((w): [string, string] => [w, t.id]),
  ),
  ...['scale', 'scales', 'kitchen scale', 'kitchen scales'].map((w): [string, string] => [w, 'scale']),
  ...['stove', 'cooker', 'cooktop', 'hotplate'].map((w): [string, string] => [w, 'hob']),
  ...['heat', 'fire or oven', 'cooker or oven', 'kitchen', 'way to cook', 'heat source'].map(
    (w): [string, string] => [w, 'heat'],
  ),
])

const LACK = String.raw`(?:have no|has no|had no|lack|(?:do|does)(?: not|n[’']t) have|have(?: not|n[’']t)(?: got)?)`
const WHO = String.raw`(?:you|we|they|the room|your room|the kitchen|your kitchen)`
const THING = String.raw`(?:an?|any|the|access to an?|your)?\s*([a-z][a-z -]{1,28}?)`
const HEADS: readonly RegExp[] = [
  new RegExp(
    String.raw`^(?:or,?\s+)?if ${WHO} ${LACK} ${THING}(?: there| here| to hand| at hand)?\s*[,:;–]\s*(.+)$`,
    'is',
  ),
  new RegExp(
    String.raw`^(?:or,?\s+)?if there(?: is|[’']s|are|is) (?:no|not an?|not any) ${THING}\s*[,:;–]\s*(.+)$`,
    'is',
  ),
  new RegExp(String.raw`^(?:or,?\s+)?if there (?:is|are)n[’']t ${THING}\s*[,:;–]\s*(.+)$`, 'is'),
  new RegExp(String.raw`^(?:or,?\s+)?no ${THING}\s*[?:]\s*(.+)$`, 'is'),
  new RegExp(String.raw`^(?:or,?\s+)?without ${THING}\s*[,:?]\s*(.+)$`, 'is'),
]
const TAILS: readonly RegExp[] = [
  new RegExp(String.raw`^(.+?),? (?:instead )?if ${WHO} ${LACK} ${THING}\.?$`, 'is'),
  new RegExp(String.raw`^(.+?),? (?:instead )?if there(?: is|[’']s|are) no ${THING}\.?$`, 'is'),
]
/** Nothing at all gets hot there. */
const COLD =
  /^(?:or,?\s+)?(?:if (?:you|we) (?:cannot|can ?not|can[’']t) (?:cook|heat|use (?:any )?heat)\b[^,:;]*|(?:with|where) (?:there is )?nothing (?:is )?hot\b[^,:;]*|where nothing (?:can|may) (?:be (?:heated|cooked)|get hot)[^,:;]*)\s*[,:;]\s*(.+)$/is

/** "Bake for 20 minutes, or fry them if you have no oven" is two: the work, and what is done instead. */
export function partedAtOr(sentence: string): string[] {
  const found =
    /^(.{6,}?)(?:,? or(?: else)?,? | \(or,? )([^()]{4,120}? if (?:you|we|they|there)\b[^()]{4,60}?)\)?\.?$/is.exec(
      sentence,
    )
  const [, work, other] = found ?? []
  return work !== undefined && other !== undefined && lackIn(other) !== null
    ? [`${work}.`, other]
    : [sentence]
}

/** A sentence that begins so says nothing yet: what is done stands in the next. */
export const asksWhetherThere = (sentence: string): boolean =>
  /^(?:or,?\s+)?(?:no|without)(?: an?| any)? [a-z][a-z -]{1,28}\?$/i.test(sentence)

/** What is lacking, and what is then done. @returns null where a sentence says no such thing of what Lea knows by name */
export function lackIn(sentence: string): { lacks: string; says: string } | null {
  const text = sentence.trim()
  const cold = COLD.exec(text)?.[1]
  if (cold !== undefined) return { lacks: 'heat', says: capital(cold) }
  for (const [list, thingAt, doAt] of [
    [HEADS, 1, 2],
    [TAILS, 2, 1],
  ] as const)
    for (const pattern of list) {
      const found = pattern.exec(text)
      const lacks = THINGS.get((found?.[thingAt] ?? '').toLowerCase().trim().replace(/-/g, ' '))
      // Two works that are one or the other: which of them is meant nobody has said.
      if (found && lacks !== undefined && !/\bor\b/i.test(list === TAILS ? (found[doAt] ?? '') : ''))
        return { lacks, says: capital(found[doAt] ?? '') }
    }
  return null
}
const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1).trim()

const NAMES = new Map<string, RegExp>(
  [...new Set(THINGS.values())].map((id) => {
    const words = [...THINGS].filter(([, of]) => of === id).map(([w]) => w.replace(/ /g, '[- ]'))
    return [id, new RegExp(`\\b(?:${words.join('|')})s?\\b`, 'i')]
  }),
)
/** Whether a step needs what may be lacking: its work is done there, or its words name it. */
export const needsThing = (id: string, text: string, tasks: readonly Pick<RecipeTask, 'place'>[]): boolean =>
  id === 'heat'
    ? tasks.some((t) => isHot(t.place))
    : tasks.some((t) => t.place === id) || NAMES.get(id)?.test(text) === true

/** Work that Lea put in before the step's own: what the other way needs as well. */
const PUT_IN: ReadonlySet<string> = new Set(['wash-hands', 'crack-egg', 'separate-egg'])
/** The way with what is measured, washed and cracked before it, as in the step's own. */
export const withWorkBefore = (way: StepWay, own: readonly RecipeTask[], most: number): StepWay => ({
  ...way,
  tasks: [...own.filter((t) => t.measures === true || PUT_IN.has(t.technique)), ...way.tasks].slice(0, most),
})
