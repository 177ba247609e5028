/** Shopping: packs of the least cost for what is needed beside the stock; what is used, paid and left. */
import { describe, expect, it } from 'vitest'
import { moneyText, readMoney } from '../../../src/amount/nation/money'
import { ratio } from '../../../src/amount/ratio'
import { compile } from '../../../src/plan/compile'
import type { CupboardItem } from '../../../src/plan/model/cupboard'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { child, recipeOf, request } from '../../group'

const kids = (n: number) => Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i))
const plan = (cupboard: CupboardItem[], n = 8, more: Partial<PlanRequest> = {}): Plan =>
  compile(request(kids(n), { cupboard, ...more }))
const row = (p: Plan, food: string) => p.shopping.find((s) => s.food === food)
const flour = (more: Partial<CupboardItem> = {}): CupboardItem => ({
  food: 'wheat-flour',
  packs: [
    { size: '500', unit: 'g', price: 70 },
    { size: '1500', unit: 'g', price: 110 },
  ],
  ...more,
})

describe('what to buy', () => {
  // Three metric cups of flour by 125 g to the US cup: 3 x 250 / 236.588 x 125 = 396.3 g.
  it('crosses to the unit of the pack by the weight of the food, and rounds up once', () => {
    expect(row(plan([flour()]), 'wheat-flour')?.need).toMatchObject({ amount: '397', unit: 'g' })
  })
  it('takes the packs of least cost, less what is in the cupboard', () => {
    expect(row(plan([flour()]), 'wheat-flour')?.buy).toMatchObject({ text: '1 × 500 g', cost: 70 })
    const some = row(plan([flour({ have: { amount: '300', unit: 'g' } })], 24), 'wheat-flour')
    expect(some).toMatchObject({ have: '300 g', buy: { text: '1 × 1500 g', cost: 110 } })
    const all = row(plan([flour({ have: { amount: '1', unit: 'kg' } })]), 'wheat-flour')
    expect(all).toMatchObject({ enough: true, buy: null })
  })
  it('says what is left over and how long it keeps, and what keeps too short for it', () => {
    const milk: CupboardItem = { food: 'buttermilk', packs: [{ size: '1000', unit: 'mL', price: 200 }] }
    const left = row(plan([flour(), milk]), 'buttermilk')?.left
    expect(left).toMatchObject({ text: '625 mL', soon: true })
    expect(row(plan([flour()]), 'wheat-flour')?.left).toMatchObject({ text: '103 g', soon: false })
  })
  it('buys more of what is peeled: two pears a batch as they are, grated carrot by its yield', () => {
    const recipe = recipeOf('herb-soda-bread')
    const lines = [
      ...recipe.lines,
      { id: 'carrot', food: 'carrot', amount: '89', unit: 'g', role: 'main' as const },
    ]
    const steps = recipe.steps.map((s, i) =>
      i === 1 ? { ...s, uses: [...s.uses, { line: 'carrot', part: '1' }] } : s,
    )
    const need = row(plan([], 8, { recipe: { ...recipe, lines, steps } }), 'carrot')?.need
    expect(need).toMatchObject({ amount: '100', unit: 'g' })
    expect(need?.source).toContain('89 % of it is used')
  })
  it('a food without a weight is named as such, and never guessed', () => {
    const recipe = recipeOf('herb-soda-bread')
    const lines = recipe.lines.map((l) => (l.id === 'flour' ? { ...l, food: 'own:acorn-flour' } : l))
    const p = plan([{ food: 'own:acorn-flour', packs: [{ size: '500', unit: 'g', price: 300 }] }], 8, {
      recipe: { ...recipe, lines },
    })
    expect(row(p, 'own:acorn-flour')).toMatchObject({ need: null, buy: null, used: null })
    expect(p.cost.unknown).toContain('acorn flour')
  })
  it('without own packs takes the usual ones, without a price', () => {
    expect(row(plan([]), 'wheat-flour')?.buy).toMatchObject({ text: '1 × 1500 g', cost: null })
  })
  it('of a food without packs says what is needed as it is, by weight where that is known: never a cup for a spoon', () => {
    const swapped = (food: string, amount: string, unit: string) => {
      const recipe = recipeOf('herb-soda-bread')
      const lines = recipe.lines.map((l) => (l.food === 'chives' ? { ...l, food, amount, unit } : l))
      return row(plan([], recipe.serves, { recipe: { ...recipe, lines } }), food)
    }
    const syrup = swapped('own:birch-syrup', '2', 'tbsp_m')
    expect(syrup?.need).toMatchObject({ text: '30 mL' })
    expect(swapped('own:birch-syrup', '1/6', 'cup_m')?.need?.text).toBe('42 mL')
    expect(swapped('own:birch-syrup', '40', 'g')?.need?.text).toBe('40 g')
    expect(swapped('own:birch-syrup', '3', 'item')?.need?.text).toBe('3')
  })
  it('is ticked off by food and packs: when other packs are needed, the tick is gone', () => {
    const got = { kind: 'got' as const, food: 'wheat-flour', buy: '1 × 500 g' }
    expect(row(plan([flour()], 8, { decisions: [got] }), 'wheat-flour')?.got).toBe(true)
    const more = plan([flour()], 24, { decisions: [got] })
    expect(row(more, 'wheat-flour')?.got).toBe(false)
    expect(more.ineffective).toEqual([got])
  })
})

describe('what it costs', () => {
  const stocked: CupboardItem[] = [
    flour(),
    { food: 'bicarbonate', packs: [{ size: '200', unit: 'g', price: 90 }] },
    { food: 'chives', packs: [{ size: '20', unit: 'g', price: 60 }] },
    { food: 'buttermilk', packs: [{ size: '284', unit: 'mL', price: 75 }] },
  ]
  it('by use and by purchase, for each child and portion, exact until it is shown', () => {
    const { cost } = plan(stocked)
    expect(cost.till).toBe(70 + 90 + 60 + 150)
    expect(cost.unknown).toEqual([])
    expect(ratio(cost.usedPerChild).mul(8).equals(cost.used)).toBe(true)
    // Flour 396.26 g of 500 g for 70, soda 4.67 of 200 g for 90, chives 12.17 of 20 g for 60, buttermilk 375 of 568 mL for 150.
    expect(ratio(cost.used).valueOf()).toBeCloseTo(55.5 + 2.1 + 36.5 + 99, 0)
  })
  it('against the ready-made thing', () => {
    const recipe = { ...recipeOf('herb-soda-bread'), ready: { price: 160, portions: 8 } }
    expect(plan(stocked, 8, { recipe }).cost.ready).toMatchObject({
      perPortion: '20',
      byUse: 'ready',
      byPurchase: 'ready',
    })
  })
  it('a food without a price is named: the sum is then "at least"', () => {
    expect(plan(stocked.slice(0, 3)).cost.unknown).toEqual(['buttermilk'])
  })
  it('gives no verdict that a missing price could turn round: whatever that price is, what is said is true', () => {
    const withReady = (price: number) => ({ ...recipeOf('herb-soda-bread'), ready: { price, portions: 8 } })
    const verdict = (cupboard: CupboardItem[], price: number) =>
      plan(cupboard, 8, { recipe: withReady(price) }).cost.ready
    // No price at all: nothing is cheaper than what nobody knows.
    expect(verdict([], 160)).toMatchObject({ byUse: null, byPurchase: null })
    for (const known of [0, 1, 2, 3])
      for (const price of [1, 40, 160, 400, 2000]) {
        const said = verdict(stocked.slice(0, known), price)
        // Any price of what is missing, from next to nothing to a fortune.
        for (const missing of [1, 90, 5000]) {
          const all = stocked.map((c, i) =>
            i < known ? c : { ...c, packs: c.packs.map((p) => ({ ...p, price: missing })) },
          )
          const truth = verdict(all, price)
          if (said?.byUse != null) expect(said.byUse, `${known} ${price} ${missing}`).toBe(truth?.byUse)
          if (said?.byPurchase != null)
            expect(said.byPurchase, `${known} ${price} ${missing}`).toBe(truth?.byPurchase)
        }
      }
    expect(verdict(stocked, 160)).toMatchObject({ byUse: 'ready', byPurchase: 'ready' })
    // What is known already costs more than the ready-made: the rest can only add to it.
    expect(verdict(stocked.slice(0, 3), 100)).toMatchObject({ byPurchase: 'ready' })
  })
  it('what is in the cupboard and without a price is not among what has to be paid', () => {
    const there = { ...flour(), packs: [], have: { amount: '5000', unit: 'g' } }
    const { cost } = plan([there, ...stocked.slice(1)])
    expect(cost.unknown).toEqual(['plain flour'])
    expect(cost.unpaid).toEqual([])
    expect(plan(stocked.slice(0, 3)).cost.unpaid).toEqual(['buttermilk'])
  })
})

describe('a swap', () => {
  const buttermilk: CupboardItem = { food: 'buttermilk', packs: [{ size: '500', unit: 'mL', price: 100 }] }
  const oat: CupboardItem = { food: 'oat-drink', packs: [{ size: '1000', unit: 'mL', price: 160 }] }
  const lemon: CupboardItem = { food: 'lemon-juice', packs: [{ size: '250', unit: 'mL', price: 70 }] }
  const cost = (cupboard: CupboardItem[]): string => {
    const zuri = child('zuri', 41, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] })
    const p = compile(request([zuri, ...kids(7)], { cupboard }))
    const stop = p.findings.find((f) => f.subject.line === 'buttermilk' && f.grade === 'stop')
    return stop?.fixes.find((f) => f.label.startsWith('Oat drink and fresh lemon'))?.cost ?? ''
  }
  it('says what it costs more or less, where every price is known', () => {
    // 375 mL of buttermilk for 75p against 375 mL of oat drink for 60p and 22.5 mL of lemon juice for 6p.
    expect(cost([buttermilk, oat, lemon])).toContain('9p less')
    expect(cost([buttermilk, oat])).not.toMatch(/more|less/)
  })
})

describe('money', () => {
  it.each([
    ['135', 'GBP', '£1.35'],
    ['171/2', 'GBP', '86p'],
    ['9', 'USD', '9¢'],
    ['199/2', 'USD', '$1.00'],
  ] as const)('%s %s is %s', (minor, currency, text) => expect(moneyText(minor, currency)).toBe(text))
  it.each([
    ['1.35', 135],
    ['£1,35', 135],
    ['85p', 85],
    ['2', 200],
  ])('%s is %i', (text, minor) => expect(readMoney(text)).toBe(minor))
  it.each(['', 'cheap', '1.355', '-2', '0.5p'])('%j is refused', (text) =>
    expect(() => readMoney(text)).toThrow(),
  )
})
