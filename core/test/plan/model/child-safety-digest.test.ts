/** A card that changes while cooking: the plan in force knows that it was made for another, and everything stops. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLERGENS } from '../../../src/food/allergens'
import { compile, openStops } from '../../../src/plan/compile'
import { childSafetyDigest } from '../../../src/plan/model/child-safety-digest'
import type { PlanChild } from '../../../src/plan/model/request'
import { whatChanged } from '../../../src/plan/view/changed'
import { replay } from '../../../src/session/replay'
import { openGates, childrenNotCoveredByPlan } from '../../../src/session/table'
import { type StoredChild } from '../../../src/setting/assemble'
import { child, four, request } from '../../group'
import { atTable } from '../../../src/setting/at-table'

const allergy = (allergen: string) => ({ allergen, level: 'allergy-strict' as const })
const stored = (c: PlanChild): StoredChild => ({
  ...c,
  nickname: c.id,
  birth: '2022-03',
  carePlan: c.carePlan ? 'by the door' : '',
})
const sessionOf = (children: readonly PlanChild[]) => ({ children: children.map((c) => c.id), guests: [] })

describe('a card', () => {
  it('is the same whatever the order of its lists, and for another name, age, hand or language', () => {
    const one = child('a', 50, { concerns: [allergy('egg'), allergy('milk')], diets: ['vegan'], needs: [] })
    const other = child('b', 80, {
      concerns: [allergy('milk'), allergy('egg')],
      diets: ['vegan'],
      hand: 'left',
      languages: ['cy'],
      skills: {},
    })
    expect(childSafetyDigest(one)).toBe(childSafetyDigest(other))
  })
  it('is another with any one thing more', () => {
    const plain = child('a', 50)
    const more: Partial<PlanChild>[] = [
      ...ALLERGENS.map((a) => ({ concerns: [allergy(a.id)] })),
      { diets: ['vegan'] },
      { diets: ['halal'] },
      { needs: ['wheelchair'] },
      { limits: ['grate'] },
      { carePlan: true },
    ]
    const cards = [plain, ...more.map((m) => child('a', 50, m))].map(childSafetyDigest)
    expect(new Set(cards).size).toBe(cards.length)
  })
})

describe('a plan in force', () => {
  it('knows everybody whom it was made for, as they are kept', () => {
    const group = four()
    const plan = compile(request(group))
    expect(childrenNotCoveredByPlan(plan, atTable(sessionOf(group), group.map(stored)))).toEqual([])
    // Where a card is not known any more, or the plan is of an earlier version, there is nothing to compare.
    expect(
      childrenNotCoveredByPlan(
        plan,
        sessionOf(group).children.map((id) => ({ id })),
      ),
    ).toEqual([])
    const old = { ...plan, children: plan.children.map(({ card: _, ...c }) => c) }
    expect(childrenNotCoveredByPlan(old, atTable(sessionOf(group), group.map(stored)))).toEqual([])
  })

  it('stops at every change of any card, and no plan made after it does', () => {
    fc.assert(
      fc.property(
        fc.nat(3),
        fc.constantFrom(...ALLERGENS.map((a) => a.id)),
        fc.boolean(),
        (who, about, takenAway) => {
          const without = four()
          const id = without[who]?.id ?? ''
          const having = without.map((c) =>
            c.id === id ? { ...c, concerns: [...c.concerns, allergy(about)] } : c,
          )
          if (without[who]?.concerns.some((c) => c.allergen === about)) return
          const [was, is] = takenAway ? [having, without] : [without, having]
          const plan = compile(request(was))
          const now = atTable(sessionOf(is), is.map(stored))
          expect(childrenNotCoveredByPlan(plan, now)).toEqual([id])
          const gate = openGates(plan, replay([]), plan.schedule[0]?.step ?? '', now)[0]
          expect(gate).toEqual({
            gate: 'arrival',
            says: 'Stop: a card has changed since the plan was made.',
            children: [id],
          })
          const next = compile(request(is))
          expect(childrenNotCoveredByPlan(next, now)).toEqual([])
          expect(whatChanged(plan, next)).toMatch(`{{${id}}} with another card: `)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('says which stop comes with it', () => {
    const group = four()
    const plan = compile(request(group))
    const wheat = group.map((c, i) => (i === 0 ? { ...c, concerns: [...c.concerns, allergy('gluten')] } : c))
    const next = compile(request(wheat))
    expect(openStops(next).length).toBeGreaterThan(openStops(plan).length)
    expect(whatChanged(plan, next)).toMatch(/new or changed stops? to settle \(.*(gluten|wheat)/i)
  })
})
