/**
 * Another food for a line, allergy or not: the rows of the table of swaps for its role, and any of its family, each looked at with this group.
 * What a card here is against is named, not offered. The plan that follows judges age, heat and packets like any other.
 */
import { ratio } from '../../amount/ratio'
import { capitalised } from '../../amount/letter-case'
import { scale } from '../../amount/scale'
import { amountText } from '../../amount/show'
import { applySwap, familySwaps, swapsFor, type Swap } from '../../food/swaps'
import { familyOf } from '../../food/family'
import { making } from '../adapt/batches'
import { rawSwapsOf } from '../adapt/cooked-swaps'
import { decisionOn } from '../adapt/decided-lines'
import { begin } from '../begin'
import { decide, undecide, type Decision } from '../model/decision'
import type { Finding } from '../model/finding'
import { priceChange } from '../model/price'
import type { PlanRequest } from '../model/request'
import { checkTable, tableOf } from '../sketch'

export interface InsteadOffer {
  decision: Extract<Decision, { kind: 'swap' }>
  /** "maple syrup", "oats and water" */
  name: string
  /** "1/2 cup in all" */
  amount: string
  /** What changes, what an adult does, what it costs, whether its packet is to be read. */
  notes: string[]
  /** Another of its family, as it is. */
  kin: boolean
  chosen: boolean
}
export interface InsteadOf {
  /** What the recipe says: "honey". */
  food: string
  /** "syrup"; empty where it has no family. */
  family: string
  offers: InsteadOffer[]
  /** What is not offered here, since somebody's card is against it. */
  against: string[]
}

/**
 * @param line of the recipe
 * @returns null where the recipe has no such line
 * @throws PlanError as compile does
 */
export function insteadOf(request: PlanRequest, line: string): InsteadOf | null {
  const start = begin(request)
  const { foods, recipe } = start
  const own = recipe.lines.find((l) => l.id === line)
  if (!own) return null
  const raw = rawSwapsOf(recipe, foods)
  const rows = swapsFor(own.food, own.role, own.unit)
  const known = new Set(rows.flatMap((s) => (s.parts.length === 1 ? [s.parts[0]?.food] : [])))
  const stopped = (decisions: readonly Decision[]): Finding[] =>
    tableOf({ ...request, decisions: [...decisions] }).findings.filter(
      (f) => f.rule === 'concern' && f.grade === 'stop' && f.subject.line?.split('>')[0] === line,
    )
  const isListed = (found: readonly Finding[]): boolean =>
    found.some((f) => f.touches.some((t) => t.meeting === 'lists'))
  // Who reacts to a food may react to its relatives: then only the rows of the table that are free of it. Source: clinical practice, from memory.
  const asWritten = { ...request, decisions: undecide(request.decisions, `line:${line}`) }
  const shunned = checkTable(asWritten).checks.some(
    (c) => c.line.split('>')[0] === line && c.meeting === 'lists',
  )
  const kin = shunned ? [] : familySwaps(own.food, own.unit).filter((s) => !known.has(s.parts[0]?.food))
  const inFamily = new Set(familyOf(own.food)?.foods)
  const isKin = (s: Swap): boolean => s.parts.length === 1 && inFamily.has(s.parts[0]?.food ?? '')
  const chosen = decisionOn(request.decisions, 'swap', line)?.swap
  const all = scale(own.amount, ratio(making(recipe, start.people.length, request).factor)).amount
  const name = (s: Swap): string => s.parts.map((p) => foods.of(p.food).name).join(' and ')
  const offers: InsteadOffer[] = []
  const against: string[] = []
  for (const swap of [...rows, ...kin].filter((s) => !raw(own, s))) {
    const decision = { kind: 'swap', line, swap: swap.id } as const
    const met = stopped(decide(request.decisions, decision))
    if (isListed(met)) against.push(name(swap))
    else
      offers.push({
        decision,
        name: name(swap),
        amount: `${applySwap(swap, all, own.unit)
          .map((p) => amountText(p.amount, p.unit))
          .join(' + ')} in all`,
        notes: [
          swap.effect,
          swap.method,
          priceChange(
            { food: own.food, amount: all, unit: own.unit },
            applySwap(swap, all, own.unit),
            request,
          ),
          met.length > 0 ? 'its packet is to be read first' : '',
        ]
          .filter((s) => s !== '')
          .map(capitalised),
        kin: isKin(swap),
        chosen: swap.id === chosen,
      })
  }
  return {
    food: foods.of(own.food).name,
    family: shunned ? '' : (familyOf(own.food)?.name ?? ''),
    // Its own family first: it stands as it is.
    offers: [...offers.filter((o) => o.kin), ...offers.filter((o) => !o.kin)],
    against,
  }
}

/** What stands over the list. */
export function insteadWords({ food, family, offers, against }: InsteadOf): { title: string; says: string } {
  const said = [
    ...(offers.length === 0
      ? [
          against.length > 0
            ? 'Nothing that Lea knows suits everybody here.'
            : 'Lea knows nothing that does its work here.',
        ]
      : offers.some((o) => o.kin)
        ? [`Others of its family come first: ${family}.`]
        : []),
    ...(against.length > 0 ? [`Not offered, for a card here: ${against.join(', ')}.`] : []),
    ...(offers.length > 0 ? ['A suggestion, from memory: packets and care plans come first.'] : []),
  ]
  return { title: `Instead of ${food}`, says: said.join(' ') }
}
