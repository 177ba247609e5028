/** The kit called out: one thing after the other, who looks for it and counts it aloud. */
import { countText } from '../../amount/show'
import { countLimit } from '../../craft/ages'
import { KIT_PLACE_WORDS, kitByPlace } from '../gather/kit'
import type { KitTool, Plan } from '../model/plan'

/** From so many months on a child counts things. Source: core/data/techniques.json (count out), from memory. */
const COUNTS_FROM = 30
const countsTo = (months: number): number => (months < COUNTS_FROM ? 0 : countLimit(months))

/** One thing that is called out. */
export interface KitCall {
  tool: KitTool
  /** "at each place" */
  where: string
  /** "Have we got 6 boards? Count them aloud." */
  says: string
  /** Who counts; null: all together, with an adult. */
  child: string | null
}

/**
 * Every child that can counts about as many things as the others; small numbers go to those who count least far. What an adult keeps is looked
 * for by an adult.
 */
export function kitCalls(plan: Pick<Plan, 'kit' | 'children'>): KitCall[] {
  const called = new Map(plan.children.map((c) => [c.id, 0]))
  const pick = (n: number): string | null => {
    const able = plan.children.filter((c) => countsTo(c.months) >= n)
    const [best] = [...able].sort(
      (a, b) => (called.get(a.id) ?? 0) - (called.get(b.id) ?? 0) || countsTo(a.months) - countsTo(b.months),
    )
    if (!best) return null
    called.set(best.id, (called.get(best.id) ?? 0) + 1)
    return best.id
  }
  return kitByPlace(plan).flatMap(({ where, tools }) =>
    tools.map((tool): KitCall => {
      const child = where === 'adult' ? null : pick(tool.n)
      const what = `${tool.n} ${tool.name}`
      const says =
        where === 'adult'
          ? `${what}: the adult has ${tool.n === 1 ? 'it' : 'them'}.`
          : tool.n === 1
            ? `Have we got ${what}? Find it, and point.`
            : child === null
              ? `Have we got ${what}? We all count together.`
              : `Have we got ${what}? Touch each one and count aloud.`
      return { tool, where: KIT_PLACE_WORDS[where], says, child }
    }),
  )
}

/** "3 of 12 there" */
export const callsText = (calls: readonly KitCall[]): string =>
  `${calls.filter((c) => c.tool.laid).length} of ${countText(calls.length, 'thing')} there`
