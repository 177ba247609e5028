/**
 * What to buy: the sum over all bowls, less what the Cupboard has, in packs of the least cost; what is used, what is paid,
 * what is left and how long it keeps. A food without a price is named, never counted as free.
 * Source of the rules: measures.md F, common practice, from memory.
 */
import { countText } from '../../amount/show'
import type Fraction from 'fraction.js'
import { cheaper, choosePacks, type PackChoice } from '../../amount/packs'
import { amountText } from '../../amount/show'
import { ratio, toText, type Ratio } from '../../amount/ratio'
import { unitOf } from '../../amount/units'
import { foodName, isUnknown } from '../../food/foods'
import { keeping, typicalPacks } from '../../food/packs'
import { crossTo, edibleShare, formWords } from '../../food/weights'
import { ownWeights, type CupboardItem, type CupboardPack } from '../model/cupboard'
import type { Clocked } from '../model/draft'
import { spareFor } from '../portion/takers'
import { currencyOf } from '../model/price'
import type { PlanRequest } from '../model/request'
import type { Cheaper, Cost, ShoppingRow } from '../model/shopping-list'
import type { PlanLine } from '../model/line'

/** Left over more than half a pack that keeps less than a week: worth a second recipe. */
const SOON_DAYS = 7

export function shoppingOf(draft: Clocked, request: PlanRequest): { rows: ShoppingRow[]; cost: Cost } {
  const byFood = new Map<string, PlanLine[]>()
  for (const line of [...draft.bowls.flatMap((b) => b.lines), ...spareLines(draft)]) {
    // One food in one unit is one row; in two units it is one row where they can be added up.
    byFood.set(line.food, [...(byFood.get(line.food) ?? []), line])
  }
  const rows = [...byFood.entries()].map(([food, lines]) => rowOf(food, lines, draft, request))
  return { rows, cost: costOf(rows, draft, request) }
}

/** Of a free choice into own pots: what is there beside what each child is reckoned to take. */
function spareLines({ bowls, lines, choices, making, people }: Clocked): PlanLine[] {
  return lines.flatMap((line) => {
    const n = spareFor(bowls, line.line, choices)
    if (n === 0) return []
    const amount = toText(ratio(line.amount).mul(making.factor).mul(n).div(people.length))
    const text = amountText(amount, line.unit)
    const { each: _, ...rest } = line
    return [{ ...rest, amount, text, recipeText: text }]
  })
}

/** "2 red, 3 green": which of a food are bought, where a recipe says. */
function varietiesOf(lines: readonly PlanLine[]): string {
  const kinds = [...new Set(lines.flatMap((l) => l.variety ?? []))]
  return kinds
    .map((variety) => {
      const own = lines.filter((l) => l.variety === variety)
      const sum = own.reduce((n, l) => n.add(l.amount), ratio(0))
      const unit = own[0]?.unit ?? 'item'
      return own.every((l) => l.unit === unit) ? `${amountText(toText(sum), unit)} ${variety}` : variety
    })
    .join(', ')
}

function rowOf(food: string, lines: readonly PlanLine[], draft: Clocked, request: PlanRequest): ShoppingRow {
  const item = request.cupboard?.find((c) => c.food === food)
  const known = draft.foods.of(food)
  const unit = lines[0]?.unit ?? 'item'
  const sum = sumIn(unit, lines, request)
  const amount = unit === 'item' ? sum.amount.ceil() : sum.amount
  const many = unit === 'item' && amount.compare(1) > 0
  const got = request.decisions.find((d) => d.kind === 'got' && d.food === food)
  const base = {
    food,
    name: [foodName(known, many), varietiesOf(lines)].filter(Boolean).join(': '),
    amount: toText(amount),
    unit,
    text: [amountText(amount, unit), ...sum.also].join(' + '),
  }
  const none = {
    need: null,
    have: '',
    buy: null,
    enough: false,
    left: null,
    used: null,
    got: got !== undefined,
  }
  if (food === 'water') return { ...base, ...none, enough: true, used: '0', why: 'from the tap' }
  const packs = packsOf(food, item, request)
  // Without packs: by weight, where that is known; else in millilitres, exact. A spoon is bought as no cup.
  const target = packs[0] ? baseUnit(packs[0].unit) : byWeight(unit, lines, request)
  const need = needIn(target, lines, request)
  const have = item?.have ? amountText(item.have.amount, item.have.unit) : ''
  if (!need)
    return {
      ...base,
      ...none,
      have,
      why: `no weight of ${isUnknown(known) ? 'it' : known.name} is known: packs cannot be worked out`,
    }
  const stock = item?.have ? inUnit(item.have.amount, item.have.unit, target, food, '', request) : ratio(0)
  const whole = up(need.amount, target)
  const needed = { amount: toText(whole), unit: target, text: amountText(whole, target), source: need.source }
  const short = whole.sub(stock ?? 0)
  if (short.compare(0) <= 0) {
    const used = priceEach(packs, target)
    const left = leftover(food, ratio(stock ?? 0).sub(whole), target, null)
    return {
      ...base,
      ...none,
      need: needed,
      have,
      enough: true,
      left,
      used: used && toText(used.mul(need.amount)),
      why: '',
    }
  }
  const choice = packs.length > 0 ? choose(whole, stock ?? ratio(0), packs, target) : null
  if (!choice)
    return {
      ...base,
      ...none,
      need: needed,
      have,
      why: 'no packs of it are known: write them into the Cupboard',
    }
  const priced = packs.every((p) => p.price !== null)
  const bought = packs.reduce(
    (all, p, i) => all.add(ratio(p.amount).mul(choice.packs[String(i)] ?? 0)),
    ratio(0),
  )
  const chosen = packs.flatMap((p, i) => {
    const n = choice.packs[String(i)] ?? 0
    return n > 0 ? [{ size: p.size, unit: p.unit, n, text: packText(n, p) }] : []
  })
  const text = chosen.map((c) => c.text).join(' + ')
  return {
    ...base,
    need: needed,
    have,
    buy: { text, packs: chosen, cost: priced ? choice.cost : null },
    enough: false,
    left: leftover(food, ratio(choice.left), target, ratio(choice.left).div(bought)),
    used: priced ? toText(ratio(choice.cost).div(bought).mul(need.amount)) : null,
    got: got?.kind === 'got' && got.buy === text,
    why: '',
  }
}

/** "2 × 500 g", "1 pack of 6", "2" where it is sold singly. */
function packText(n: number, { size, unit }: { size: Ratio; unit: string }): string {
  if (unitOf(unit).dimension === 'count' && unit !== 'item') return amountText(ratio(size).mul(n), unit)
  if (unit !== 'item') return `${n} × ${amountText(size, unit)}`
  return size === '1' ? String(n) : `${countText(n, 'pack')} of ${size}`
}

interface Pack extends CupboardPack {
  /** In the base unit of the first pack. */
  amount: Ratio
}

/** The setting's own packs, else the typical ones without a price; all in one unit. Priced ones alone, where there are any. */
function packsOf(food: string, item: CupboardItem | undefined, request: PlanRequest): Pack[] {
  const own = item?.packs ?? []
  const listed: CupboardPack[] =
    own.length > 0 ? own : typicalPacks(food, request.rules.country).map((p) => ({ ...p, price: null }))
  const priced = listed.filter((p) => p.price !== null)
  const used = priced.length > 0 ? priced : listed
  const target = used[0] && baseUnit(used[0].unit)
  if (target === undefined) return []
  return used.flatMap((p) => {
    const amount = inUnit(p.size, p.unit, target, food, '', request)
    return amount && amount.compare(0) > 0 ? [{ ...p, amount: toText(amount) }] : []
  })
}

/** The unit in which a food without packs is asked for: pieces as they are. */
function byWeight(unit: string, lines: readonly PlanLine[], request: PlanRequest): string {
  const base = baseUnit(unit)
  return base === 'mL' && needIn('g', lines, request) ? 'g' : base
}
const baseUnit = (unit: string): string =>
  ({ volume: 'mL', mass: 'g', length: 'mm', count: unit })[unitOf(unit).dimension]

const inUnit = (
  amount: Ratio | Fraction,
  from: string,
  to: string,
  food: string,
  prep: string,
  request: PlanRequest,
): Fraction | null => crossTo(amount, from, to, food, prep, ownWeights(request))?.amount ?? null

/** All lines of a food in the unit of the first; what cannot be added up stands beside. */
function sumIn(
  unit: string,
  lines: readonly PlanLine[],
  request: PlanRequest,
): { amount: Fraction; also: string[] } {
  let amount = ratio(0)
  const also: string[] = []
  for (const line of lines) {
    const more = inUnit(line.amount, line.unit, unit, line.food, formWords(line.prep, line.shape), request)
    if (more) amount = amount.add(more)
    else also.push(line.text)
  }
  return { amount, also }
}

/** What has to be there as bought: pieces as they are; of what is measured ready to use, more by what is peeled away. */
function needIn(
  target: string,
  lines: readonly PlanLine[],
  request: PlanRequest,
): { amount: Fraction; source: string } | null {
  let amount = ratio(0)
  const sources = new Set<string>()
  for (const line of lines) {
    const words = formWords(line.prep, line.shape)
    const crossed = crossTo(line.amount, line.unit, target, line.food, words, ownWeights(request))
    if (!crossed) return null
    const peeled = line.unit === 'item' ? null : edibleShare(line.food, words)
    if (crossed.source) sources.add(crossed.source)
    if (peeled?.source) sources.add(`${toText(peeled.share.mul(100))} % of it is used: ${peeled.source}`)
    amount = amount.add(crossed.amount.div(peeled?.share ?? 1))
  }
  return { amount, source: [...sources].join('; ') }
}

/** Up to whole grams, millilitres or pieces: packs are chosen in these. */
const up = (amount: Fraction, unit: string): Fraction =>
  unitOf(unit).dimension === 'length' ? amount : amount.ceil()

function choose(need: Fraction, stock: Fraction, packs: readonly Pack[], unit: string): PackChoice | null {
  const whole = (v: Fraction): Fraction => (unitOf(unit).dimension === 'count' ? v : v.round())
  return choosePacks(
    need,
    whole(stock),
    packs.map((p, i) => ({ id: String(i), size: whole(ratio(p.amount)), price: p.price ?? 0 })),
  )
}

/** Minor units of one unit, by the first priced pack; null without a price. */
function priceEach(packs: readonly Pack[], unit: string): Fraction | null {
  const first = packs.find((p) => p.price !== null)
  return first && unit ? ratio(first.price ?? 0).div(first.amount) : null
}

function leftover(food: string, left: Fraction, unit: string, share: Fraction | null): ShoppingRow['left'] {
  if (left.compare(0) <= 0) return null
  const keeps = keeping(food)
  const short = keeps?.days != null && keeps.days < SOON_DAYS
  return {
    text: amountText(left, unit),
    keeps: keeps?.says ?? '',
    soon: short && share !== null && share.compare('1/2') > 0,
  }
}

/** What is cheaper, where no price that is missing can turn it round: what is known costs more already, or all is known. */
function verdict(home: Fraction, ready: Fraction, complete: boolean): Cheaper | null {
  const known = cheaper(home, ready)
  return complete || known === 'ready' ? known : null
}

function costOf(rows: readonly ShoppingRow[], draft: Clocked, request: PlanRequest): Cost {
  const used = rows.reduce((sum, r) => sum.add(r.used ?? 0), ratio(0))
  const till = rows.reduce((sum, r) => sum + (r.buy?.cost ?? 0), 0)
  const unknown = rows.filter((r) => r.used === null).map((r) => r.name)
  const portions = ratio(draft.making.portions)
  const children = draft.people.length
  const perPortion = used.div(portions)
  const unpaid = rows.filter((r) => !r.enough && r.buy?.cost == null).map((r) => r.name)
  const { ready } = draft.recipe
  const readyEach = ready ? ratio(ready.price).div(ready.portions) : null
  return {
    currency: currencyOf(request),
    used: toText(used),
    usedPerPortion: toText(perPortion),
    usedPerChild: toText(used.div(children)),
    till,
    tillPerChild: toText(ratio(till).div(children)),
    unknown,
    unpaid,
    ready:
      ready && readyEach
        ? {
            ...ready,
            perPortion: toText(readyEach),
            byUse: verdict(perPortion, readyEach, unknown.length === 0),
            byPurchase: verdict(ratio(till).div(portions), readyEach, unpaid.length === 0),
          }
        : null,
  }
}
