/** Tastings at the table: what each child tastes in its order, how it found it, and what it said that it was. */
import { glossaryRow } from '../learn/glossary'
import { foodWord } from '../learn/step-words'
import type { Plan } from '../plan/model/plan'
import type { TastedFood } from '../plan/model/choice'
import { THUMBS, type Thumb } from './event'
import type { TableState } from './replay'

type Taps = Pick<TableState, 'thumbs' | 'named'>

/** One taste of one child. */
export interface TasteRow extends TastedFood {
  thumb: Thumb | null
  /** The line that it said it was; null where it said nothing, or with open eyes. */
  named: string | null
}
/** What is tasted in a step by those at one bowl. */
export interface TableTasting {
  step: string
  covered: boolean
  children: { child: string; covered: boolean; rows: TasteRow[]; cards: TastedFood[]; done: boolean }[]
}

/** @param children of the bowl, in their order @returns null where nothing is tasted in this step */
export function tableTasting(
  plan: Pick<Plan, 'tastings'>,
  state: Taps,
  step: string,
  children: readonly string[],
): TableTasting | null {
  const tasting = plan.tastings?.find((t) => t.step === step)
  if (!tasting) return null
  return {
    step,
    covered: tasting.covered,
    children: children.flatMap((child) => {
      const own = tasting.tasters.find((t) => t.child === child)
      if (!own || own.tastes.length === 0) return []
      const rows = own.tastes.map((taste): TasteRow => {
        const named = state.named[step]?.[child]?.[taste.line] ?? null
        return { ...taste, thumb: state.thumbs[step]?.[child]?.[taste.line] ?? null, named }
      })
      // The cards to guess from lie in an order that tells nothing of the order of the tastes.
      const cards = [...own.tastes].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0))
      return [
        { child, covered: own.covered === true, rows, cards, done: rows.every((r) => r.thumb !== null) },
      ]
    }),
  }
}

/** Words of the pictures that may be guessed from, for the screen of the children: nothing of it says which is which. */
export const guessCards = (plan: Pick<Plan, 'tastings'>, step: string, child: string | null): string[] => {
  const tasting = plan.tastings?.find((t) => t.step === step)
  const own = (tasting?.tasters ?? []).filter((t) => child === null || t.child === child)
  const shared = own.reduce<string[] | null>((all, t) => {
    const foods = t.tastes.map((x) => x.food)
    return all === null ? foods : all.filter((f) => foods.includes(f))
  }, null)
  const words = (shared ?? []).flatMap((food) => glossaryRow(foodWord(food))?.id ?? [])
  return [...new Set(words)].sort()
}

/** What was found of one food of a tasting, by all. */
export interface TasteTally {
  name: string
  /** Children by thumb. */
  who: Record<Thumb, string[]>
  /** Who said rightly what it was, of so many who said something; null where nobody guessed. */
  guessed: { right: number; of: number } | null
}
/** All tastings of a session, food by food in the order of the recipe. */
export function tasteTallies(
  plan: Pick<Plan, 'tastings' | 'schedule'>,
  state: Taps,
): { title: string; foods: TasteTally[] }[] {
  return (plan.tastings ?? []).flatMap((tasting) => {
    const title = plan.schedule.find((s) => s.step === tasting.step)?.title ?? ''
    const all = tasting.tasters.flatMap(({ child, tastes }) => tastes.map((taste) => ({ child, ...taste })))
    const names = [...new Set(all.map((t) => t.name))]
    const foods = names.map((name): TasteTally => {
      const here = all.filter((t) => t.name === name)
      const thumbOf = (t: (typeof here)[number]) => state.thumbs[tasting.step]?.[t.child]?.[t.line]
      const said = here.flatMap((t) => {
        const named = state.named[tasting.step]?.[t.child]?.[t.line]
        return named === undefined ? [] : [named === t.line]
      })
      const by = (thumb: Thumb): string[] => here.filter((t) => thumbOf(t) === thumb).map((t) => t.child)
      return {
        name,
        who: { up: by('up'), level: by('level'), down: by('down') },
        guessed: said.length > 0 ? { right: said.filter(Boolean).length, of: said.length } : null,
      }
    })
    const tapped = foods.some((f) => f.guessed !== null || THUMBS.some((t) => f.who[t].length > 0))
    return tapped ? [{ title, foods }] : []
  })
}

/** How a child found what it tasted, in the order in which it had it. */
export const thumbsOf = (
  plan: Pick<Plan, 'tastings'>,
  { thumbs }: Pick<TableState, 'thumbs'>,
  child: string,
): { name: string; food: string; thumb: Thumb }[] =>
  (plan.tastings ?? []).flatMap(({ step, tasters }) =>
    (tasters.find((t) => t.child === child)?.tastes ?? []).flatMap(({ line, name, food }) => {
      const thumb = thumbs[step]?.[child]?.[line]
      return thumb === undefined ? [] : [{ name, food, thumb }]
    }),
  )
