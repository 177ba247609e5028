import { describe, expect, it } from 'vitest'
import type { Cost } from '../../../src/plan/model/shopping-list'
import { costText } from '../../../src/plan/view/cost-text'

const cost = (more: Partial<Cost>): Cost => ({
  currency: 'GBP',
  used: '412',
  usedPerPortion: '103/3',
  usedPerChild: '103/3',
  till: 905,
  tillPerChild: '905/12',
  unknown: [],
  unpaid: [],
  ready: { price: 180, portions: 6, perPortion: '30', byUse: 'ready', byPurchase: 'same' },
  ...more,
})

describe('what it costs, in words', () => {
  it('is a sum where every price is known', () => {
    expect(costText(cost({})).figures.map((f) => `${f.figure} ${f.says}`)).toEqual([
      '£9.05 to pay today',
      '75p for each child',
    ])
    expect(costText(cost({})).rows.map((r) => `${r.what}: ${r.sum}`)).toEqual([
      'Worth of what goes into the bowls: £4.12',
      'for each child: 34p',
      'for each portion: 34p',
    ])
    expect(costText(cost({})).ready).toEqual({
      perPortion: '30p',
      byUse: 'the ready-made is cheaper',
      byPurchase: 'both cost the same',
    })
  })
  it('is "at least" of what lacks a price, and of nothing else', () => {
    const starts = (c: Cost) =>
      [...costText(c).figures.map((f) => f.figure), ...costText(c).rows.map((r) => r.sum)].map((s) =>
        s.startsWith('at least '),
      )
    expect(starts(cost({ unknown: ['oats'] }))).toEqual([false, false, true, true, true])
    expect(starts(cost({ unknown: ['oats'], unpaid: ['oats'] }))).toEqual([true, true, true, true, true])
    // Frozen before 0.15: what lacks a price may be what is still to buy.
    const { unpaid: _, ...old } = cost({ unknown: ['oats'] })
    expect(starts(old)).toEqual([true, true, true, true, true])
  })
  it('gives no verdict that a missing price could turn round', () => {
    const ready = { price: 180, portions: 6, perPortion: '30', byUse: null, byPurchase: 'home' as const }
    expect(costText(cost({ ready })).ready).toMatchObject({
      byUse: 'not known yet, for a price is missing',
      byPurchase: 'made here is cheaper',
    })
    expect(costText(cost({ ready: null })).ready).toBeNull()
  })
})
