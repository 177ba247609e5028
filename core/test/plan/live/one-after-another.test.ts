/**
 * Whatever happens at the table, one thing after another with taps in between: each change is made or refused in words, what was done stays,
 * nobody has a turn that is not theirs, and the plan can be read again.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { handBreaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import { adultAway } from '../../../src/plan/live/adult-away'
import { childLeaves } from '../../../src/plan/live/child-leaves'
import type { LiveChange } from '../../../src/plan/live/live-changes'
import { measureBreaks } from '../../../src/plan/live/lost-measure'
import { ranShort, stillToMeasure } from '../../../src/plan/live/ran-short'
import { replanRemaining, restOffers } from '../../../src/plan/live/replan-remaining'
import { runsLate } from '../../../src/plan/live/runs-late'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'

const KINDS = ['left', 'late', 'away', 'broken', 'short', 'shorten'] as const
type Kind = (typeof KINDS)[number]

/** What the server does with a change. @param pick draws one of a list */
function make(kind: Kind, plan: Plan, of: PlanRequest, done: Set<string>, pick: number): LiveChange | null {
  const one = <T>(list: readonly T[]): T | undefined => list[pick % Math.max(1, list.length)]
  const steps = of.recipe.steps.map((s) => s.id)
  const now = one(steps) ?? ''
  if (kind === 'left') return childLeaves(plan, done, one(plan.children)?.id ?? '')
  if (kind === 'late') return runsLate(plan, now, 5)
  if (kind === 'away') return adultAway(plan, of, one(plan.adults) ?? '', now)
  if (kind === 'broken')
    return measureBreaks(plan, of, one(plan.turns.flatMap((t) => t.measure ?? [])) ?? '', done)
  if (kind === 'short') {
    const short = one(stillToMeasure(plan, done))
    return short ? ranShort(plan, short.line, pick % Math.max(1, short.scoops), done) : null
  }
  const offer = one(restOffers(plan, of, { step: now, done }))
  if (!offer) return null
  const next = replanRemaining(plan, of, { step: now, done }, offer.change)
  return 'refused' in next ? next : { plan: next, says: [] }
}

describe('one thing after another at the table', () => {
  it('is mended or refused in words each time, and what was done stays', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }),
        fc.constantFrom(...SHIPPED_RECIPES),
        fc.constantFrom('together' as const, 'groups' as const, 'own' as const),
        fc.array(fc.tuple(fc.constantFrom(...KINDS), fc.nat(30), fc.nat(9)), { minLength: 2, maxLength: 5 }),
        (n, recipe, grouping, changes) => {
          const base = request(
            Array.from({ length: n }, (_, i) => child(`c${i}`, 30 + 6 * i)),
            { recipe },
          )
          let of: PlanRequest = { ...base, rules: { ...base.rules, grouping } }
          let plan = compile(of)
          const done = new Set<string>()
          for (const [kind, pick, taps] of changes) {
            for (const t of plan.turns.filter((x) => !done.has(x.id)).slice(0, taps)) done.add(t.id)
            const did = new Map(plan.turns.filter((t) => done.has(t.id)).map((t) => [t.id, t.child]))
            const answer = make(kind, plan, of, done, pick)
            if (answer === null) continue
            if ('refused' in answer) {
              expect(answer.refused).toMatch(/^[^a-z].*[.?]$/)
              continue
            }
            const next = answer.plan
            expect(planFault(next), kind).toBeNull()
            for (const [id, who] of did) expect(next.turns.find((t) => t.id === id)?.child, kind).toBe(who)
            of = {
              ...of,
              children: of.children.filter((c) => next.children.some((x) => x.id === c.id)),
              adults: of.adults.filter((a) => next.adults.includes(a.id)),
            }
            expect(handBreaches(next, of, done), kind).toEqual([])
            plan = next
          }
        },
      ),
      { numRuns: 60 },
    )
  })
})
