/** Free choice: so much is laid out and bought as will be taken, and each prepares what it takes. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { gradeOf, meet } from '../../../src/food/concerns'
import { foodBook } from '../../../src/food/own-foods'
import type { Decision } from '../../../src/plan/model/decision'
import type { PlanRequest } from '../../../src/plan/model/request'
import { child } from '../../group'
import { LEVELS, SOUP, milkCard, offerTo, soundPlan, soupFor, soupKids } from './choosing'

describe('how much', () => {
  const takes = (who: string, lines: string[]): Decision => ({
    kind: 'chooses',
    choice: 'inside',
    child: who,
    lines,
  })
  it('each takes as many as it may, and every food about as often', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 }), (n) => {
        const plan = soundPlan(soupFor(soupKids(n)))
        const offers = plan.choices?.[0]?.offers ?? []
        for (const o of offers) expect(o.picks.length).toBe(4)
        const times =
          SOUP.choices?.[0]?.lines.map((l) => offers.filter((o) => o.picks.includes(l)).length) ?? []
        expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(1)
      }),
      { numRuns: 24 },
    )
  })
  it('who settled has what it said, and no more is laid out for the others', () => {
    const people = soupKids(6)
    const decisions = people.map((p, i) => takes(p.id, i < 2 ? ['beet', 'corn'] : ['corn']))
    const plan = soundPlan(soupFor(people, { decisions }))
    const lines = plan.bowls.flatMap((b) => b.lines)
    expect(lines.find((l) => l.line === 'beet')?.takers).toEqual({ n: 2, of: 6 })
    expect(lines.find((l) => l.line === 'beet')?.text).toBe('4 tbsp')
    expect(lines.find((l) => l.line === 'corn')?.takers?.n).toBe(6)
    expect(lines.some((l) => l.line === 'spinach')).toBe(false)
    expect(plan.shopping.some((s) => s.food === 'spinach')).toBe(false)
    expect(plan.tasks.some((t) => t.step === 'tear')).toBe(false)
    expect(plan.ineffective).toEqual([])
  })
  it('what it may not have is not given by saying so', () => {
    const plan = soundPlan(
      soupFor(soupKids(6, milkCard('allergy-strict')), { decisions: [takes('c0', ['cheese', 'beet'])] }),
    )
    expect(offerTo(plan, 'c0')?.picks).toEqual(['beet'])
    expect(plan.ineffective.length).toBe(1)
  })
  it('what a child prepares for itself it prepares of what it takes', () => {
    const plan = soundPlan(soupFor(soupKids(12)))
    const tear = plan.tasks.find((t) => t.step === 'tear')
    const takers = plan.choices?.[0]?.offers.filter((o) => o.picks.includes('spinach')).map((o) => o.child)
    expect(tear?.forms.flatMap((f) => f.children).sort()).toEqual([...(takers ?? [])].sort())
    expect(takers?.length).toBeLessThan(9)
  })
  it('in drawn groups: bought is what is laid out and what lies beside own pots; nobody is dealt what its card forbids', () => {
    const foods = foodBook()
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 16 }),
        fc.constantFrom('together', 'groups', 'own'),
        fc.array(
          fc.tuple(
            fc.nat(15),
            fc.constantFrom('milk', 'beetroot', 'wheat', 'celery', 'vegan'),
            fc.constantFrom(...LEVELS),
          ),
          { maxLength: 5 },
        ),
        fc.array(fc.tuple(fc.nat(15), fc.subarray(SOUP.choices?.[0]?.lines ?? [])), { maxLength: 6 }),
        fc.constantFrom(14, 30, 44),
        (n, grouping, cards, said, youngest) => {
          const people = Array.from({ length: n }, (_, i) => child(`c${i}`, youngest + i * 3))
          for (const [i, what, level] of cards) {
            const p = people[i]
            if (!p) continue
            if (what === 'vegan') p.diets = ['vegan']
            else p.concerns.push({ allergen: what, level })
          }
          const base = soupFor(people)
          const r = {
            ...base,
            rules: { ...base.rules, grouping, groupSize: 4 },
            decisions: said.flatMap(([i, lines]) => (people[i] ? [takes(`c${i}`, lines)] : [])),
          } as PlanRequest
          const plan = soundPlan(r)
          for (const o of plan.choices?.[0]?.offers ?? []) {
            const card = people.find((p) => p.id === o.child)
            for (const id of o.lines) {
              const food = foods.of(SOUP.lines.find((l) => l.id === id)?.food ?? '')
              for (const c of card?.concerns ?? [])
                expect(gradeOf(meet(c.allergen, food), c)).not.toBe('stop')
            }
          }
          for (const { line, food } of plan.choices?.[0]?.lines ?? []) {
            const laid = plan.bowls.flatMap((b) => b.lines.filter((l) => l.line === line))
            const sum = laid.reduce((all, l) => all.add(l.amount), ratio(0))
            const bought = plan.shopping.find((s) => s.food === food)
            if (laid[0]?.unit === 'item')
              expect(ratio(bought?.amount ?? '0').compare(sum)).toBeGreaterThanOrEqual(0)
            else if (grouping !== 'own') expect(sum.equals(ratio(bought?.amount ?? '0'))).toBe(true)
            else expect(ratio(bought?.amount ?? '0').compare(sum)).toBeGreaterThanOrEqual(0)
          }
        },
      ),
      { numRuns: 30 },
    )
  })
})
