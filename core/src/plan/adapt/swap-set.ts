/**
 * The smallest set of changes that clears a whole recipe for everyone at once (one pot for all), solved exactly: every line
 * that lists what somebody must not have gets one option; over all choices, least (1) lines left stuck, (2) packets to read,
 * (3) rows of lesser confidence, (4) foods brought in. Depth-first over the lines with a bound; options are few.
 */
import { must } from '../../amount/must'
import { foodName } from '../../food/foods'
import { swapOf, swapsFor, type Swap } from '../../food/swaps'
import type { Recipe, RecipeLine } from '../../recipe/recipe'
import type { Decision } from '../model/decision'
import type { PlanStart } from '../model/draft'
import { rawSwapsOf } from './cooked-swaps'
import { hardOf, type Exposure } from './exposure'
import type { SwapSet } from '../model/plan'

interface Option {
  decision: Decision | null
  stuck: boolean
  /** Foods whose packets somebody needs read. */
  packets: string[]
  doubt: number
  foods: number
}

/**
 * @param meetings how a food meets the children present
 * @param meetsAt the same of a line's own food, where some are not offered it
 */
export function smallestSet(
  start: PlanStart,
  decisions: readonly Decision[],
  meetings: (food: string) => Exposure[],
  meetsAt: (line: string, food: string) => Exposure[],
): SwapSet | null {
  const settled = new Set(
    decisions.flatMap((d) => (d.kind === 'swap' || d.kind === 'leave-out' ? [d.line] : [])),
  )
  const hard = start.recipe.lines.filter(
    (l) => !settled.has(l.id) && hardOf(meetsAt(l.id, l.food)).length > 0,
  )
  if (hard.length === 0) return null
  const fixed = start.recipe.lines
    .filter((l) => !hard.includes(l))
    .flatMap((l) => toRead([l.food], (food) => meetsAt(l.id, food)))
  const raw = rawSwapsOf(start.recipe, start.foods)
  const best = search(
    hard.map((l) => optionsFor(l, start.recipe, meetings, raw)),
    new Set(fixed),
  )
  const name = (id: string): string => foodName(start.foods.of(id))
  return {
    decisions: best.flatMap((o) => (o.decision ? [o.decision] : [])),
    swaps: best.flatMap(({ decision }, i) =>
      decision ? [{ from: name(must(hard[i], 'the line of a swap').food), to: inWords(decision, name) }] : [],
    ),
    stuck: hard.filter((_, i) => best[i]?.stuck).map((l) => name(l.food)),
    packets: [...new Set([...fixed, ...best.flatMap((o) => o.packets)])].map(name),
  }
}

const inWords = (decision: Decision, name: (food: string) => string): string | null =>
  decision.kind === 'swap'
    ? (swapOf(decision.swap)?.parts ?? []).map((p) => name(p.food)).join(' and ')
    : null

const toRead = (foods: readonly string[], meetings: (food: string) => Exposure[]): string[] =>
  foods.filter((f) => meetings(f).some((m) => m.grade === 'stop' && m.meeting !== 'lists'))

/** The swaps of a line that list nothing for anyone who must not have it. */
export const clearSwaps = (
  line: RecipeLine,
  stops: (food: string) => boolean,
  raw: (line: RecipeLine, swap: Swap) => boolean,
): Swap[] =>
  swapsFor(line.food, line.role, line.unit).filter(
    (s) => !s.parts.some((p) => stops(p.food)) && !raw(line, s),
  )

/** What is not for savoury dishes is offered in one only where nothing else is. */
function fitting(swaps: readonly Swap[], recipe: Recipe): readonly Swap[] {
  if (recipe.lines.some((l) => l.role === 'sweet')) return swaps
  const fit = swaps.filter((s) => !/\bsavoury\b/.test(s.notFor))
  return fit.length > 0 ? fit : swaps
}

function optionsFor(
  line: RecipeLine,
  recipe: Recipe,
  meetings: (food: string) => Exposure[],
  raw: (line: RecipeLine, swap: Swap) => boolean,
): Option[] {
  const clear = clearSwaps(line, (food) => hardOf(meetings(food)).length > 0, raw)
  const swaps = fitting(clear, recipe).map((swap): Option => ({
    decision: { kind: 'swap', line: line.id, swap: swap.id },
    stuck: false,
    packets: toRead(
      swap.parts.map((p) => p.food),
      meetings,
    ),
    doubt: swap.confidence === 'H' ? 0 : 1,
    foods: swap.parts.length,
  }))
  const out: Option[] = line.optional
    ? [{ decision: { kind: 'leave-out', line: line.id }, stuck: false, packets: [], doubt: 1, foods: 0 }]
    : []
  const all = [...swaps, ...out]
  return all.length > 0
    ? undominated(all)
    : [{ decision: null, stuck: true, packets: [], doubt: 0, foods: 0 }]
}

/** An option that is nowhere better than another one is left out; the first of equals stays. */
function undominated(options: readonly Option[]): Option[] {
  const covers = (a: Option, b: Option): boolean =>
    a.packets.every((p) => b.packets.includes(p)) &&
    a.doubt <= b.doubt &&
    (a.doubt < b.doubt || a.foods <= b.foods)
  return options.filter(
    (o, i) => !options.some((p, k) => k !== i && covers(p, o) && (k < i || !covers(o, p))),
  )
}

type Cost = readonly [number, number, number, number]
const below = (a: Cost, b: Cost): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return (a[i] ?? 0) < (b[i] ?? 0)
  return false
}

function search(lines: readonly Option[][], read: ReadonlySet<string>): Option[] {
  let best: Option[] = []
  let bound: Cost = [Infinity, Infinity, Infinity, Infinity]
  const chosen: Option[] = []
  // What the lines still to come cost at least, whatever is chosen.
  const rest: [number, number, number][] = [[0, 0, 0]]
  for (const options of [...lines].reverse()) {
    const [stuck, doubt, foods] = rest[0] ?? [0, 0, 0]
    const least = (of: (o: Option) => number): number => Math.min(...options.map(of))
    rest.unshift([
      stuck + least((o) => (o.stuck ? 1 : 0)),
      doubt + least((o) => o.doubt),
      foods + least((o) => o.foods),
    ])
  }
  const walk = (at: number, packets: ReadonlySet<string>, cost: Cost): void => {
    const [stuck, doubt, foods] = rest[at] ?? [0, 0, 0]
    if (!below([cost[0] + stuck, cost[1], cost[2] + doubt, cost[3] + foods], bound)) return
    if (at === lines.length) {
      bound = cost
      best = [...chosen]
      return
    }
    for (const option of lines[at] ?? []) {
      const next = new Set([...packets, ...option.packets])
      chosen.push(option)
      walk(at + 1, next, [
        cost[0] + (option.stuck ? 1 : 0),
        next.size,
        cost[2] + option.doubt,
        cost[3] + option.foods,
      ])
      chosen.pop()
    }
  }
  walk(0, read, [0, read.size, 0, 0])
  return best
}
