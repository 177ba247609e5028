/** Changes in the middle: the others keep their jobs and times, nothing done is lost, and no rule is broken. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { type LiveChange, type Changed } from '../../../src/plan/live/live-changes'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { breaches } from '../../../src/plan/check/check'
import { child, recipeOf, request } from '../../group'
import { handBreaches } from '../../../src/plan/check/check'
import { childLeaves } from '../../../src/plan/live/child-leaves'
import { adultAway } from '../../../src/plan/live/adult-away'
import { runsLate } from '../../../src/plan/live/runs-late'

const kids = (n: number) => Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i))
const groups = (n: number, recipe = 'herb-soda-bread'): PlanRequest => {
  const base = request(kids(n), { recipe: recipeOf(recipe) })
  return { ...base, rules: { ...base.rules, grouping: 'groups' } }
}
const mended = (m: LiveChange): Changed => {
  if ('refused' in m) throw new Error(m.refused)
  expect(planFault(m.plan)).toBeNull()
  return m
}
const withoutChild = (r: PlanRequest, id: string): PlanRequest => ({
  ...r,
  children: r.children.filter((c) => c.id !== id),
})
const turnsOf = (plan: Plan, id: string) => plan.turns.filter((t) => t.child === id)

describe('a child leaves', () => {
  it('its turns go to those with least; everybody else keeps every turn and every time; the end stays', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 12 }),
        fc.integer({ min: 0, max: 11 }),
        fc.nat(60),
        (n, who, doneCount) => {
          const r = groups(n)
          const plan = compile(r)
          const gone = `c${who % n}`
          const done = new Set(plan.turns.slice(0, doneCount).map((t) => t.id))
          const after = mended(childLeaves(plan, done, gone)).plan
          for (const turn of plan.turns.filter((t) => t.child !== gone || done.has(t.id)))
            expect(after.turns).toContainEqual(turn)
          expect(after.totals.endsAt).toBe(plan.totals.endsAt)
          expect(after.turns.filter((t) => t.child === gone && !done.has(t.id))).toEqual([])
          expect(after.children.map((c) => c.id)).not.toContain(gone)
          // What it did stays, and stands in the way of nothing; what nobody did of one who is not here would.
          expect(handBreaches(after, withoutChild(r, gone), done)).toEqual([])
          const did = after.turns.filter((t) => t.child === gone)
          expect(handBreaches(after, withoutChild(r, gone))).toHaveLength(did.length)
          const broken = breaches(
            { ...after, turns: after.turns.filter((t) => !done.has(t.id) || t.child !== gone) },
            withoutChild(r, gone),
          )
          expect(broken.filter((b) => !/of \d+ turns are dealt/.test(b))).toEqual([])
        },
      ),
      { numRuns: 40 },
    )
  })
  it('of those with least today, who had least in earlier weeks takes over; today is no less even for it', () => {
    const sumsq = (plan: Plan, ids: string[]) => ids.reduce((n, id) => n + turnsOf(plan, id).length ** 2, 0)
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 10 }),
        fc.array(fc.integer({ min: -4, max: 4 }), { minLength: 10, maxLength: 10 }),
        fc.nat(30),
        (n, weeks, doneCount) => {
          const plan = compile(groups(n))
          const done = new Set(plan.turns.slice(0, doneCount).map((t) => t.id))
          const rest = plan.children.map((c) => c.id).filter((id) => id !== 'c0')
          const ahead = new Map(rest.map((id, i) => [id, weeks[i] ?? 0]))
          const even = mended(childLeaves(plan, done, 'c0')).plan
          const after = mended(childLeaves(plan, done, 'c0', ahead)).plan
          expect(sumsq(after, rest)).toBe(sumsq(even, rest))
          // Who gained could not have left it to somebody as little busy today who stands lower over the weeks.
          const gained = (id: string) => turnsOf(after, id).length - turnsOf(plan, id).length
          const forms = (task: string) =>
            after.tasks.find((t) => t.id === task)?.forms.flatMap((f) => f.children) ?? []
          for (const turn of after.turns) {
            const was = plan.turns.find((t) => t.id === turn.id)
            if (was?.child !== 'c0' || turn.child === 'c0') continue
            for (const other of forms(turn.task).filter((id) => gained(id) === 0 && id !== turn.child))
              if (turnsOf(after, other).length === turnsOf(after, turn.child).length - 1)
                expect(ahead.get(turn.child)).toBeLessThanOrEqual(ahead.get(other) ?? 0)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  it('every turn of a shared task is still there: the scoops make the amount', () => {
    const plan = compile(groups(4))
    const after = mended(childLeaves(plan, new Set(), 'c1')).plan
    for (const task of plan.tasks.filter((t) => t.mode === 'TURNS'))
      expect(after.turns.filter((t) => t.task === task.id)).toHaveLength(task.n)
  })
  it('says in a line for each child what it takes over', () => {
    const { says } = mended(childLeaves(compile(groups(4)), new Set(), 'c1'))
    expect(says.some((s) => /^\{\{c\d\}\} takes over: /.test(s))).toBe(true)
    expect(says.at(-1)).toBe('All others keep their jobs and times.')
  })
  it('where nobody else may do it, an adult does the rest', () => {
    const milk = { concerns: [{ allergen: 'milk', level: 'allergy-strict' as const }] }
    const r = request([child('a', 50), child('b', 51, milk)])
    const plan = compile(r)
    const after = mended(childLeaves(plan, new Set(), 'a'))
    expect(after.plan.tasks.some((t) => t.mode === 'ADULT' && t.id.includes('pour'))).toBe(true)
    expect(after.says.some((s) => s.includes('an adult does the rest'))).toBe(true)
  })
  it('is refused where it is the last, or not there', () => {
    const plan = compile(groups(1))
    expect(childLeaves(plan, new Set(), 'c0')).toHaveProperty('refused')
    expect(childLeaves(plan, new Set(), 'nobody')).toHaveProperty('refused')
  })
})

describe('an adult is called away', () => {
  it('one who may lead takes over what is still to come; turns stay with their children', () => {
    const r = groups(8)
    const plan = compile(r)
    const after = mended(adultAway(plan, r, 'gwenda', 'snip'))
    const coming = plan.schedule.slice(plan.schedule.findIndex((s) => s.step === 'snip')).map((s) => s.step)
    expect(after.plan.tasks.filter((t) => coming.includes(t.step) && t.adult === 'gwenda')).toEqual([])
    expect(after.plan.turns.map((t) => [t.id, t.child])).toEqual(plan.turns.map((t) => [t.id, t.child]))
    expect(after.says[0]).toContain('{{petra}} takes over')
    expect(breaches(after.plan, { ...r, adults: r.adults.filter((a) => a.id !== 'gwenda') })).toEqual([])
  })
  it('is refused where nobody who is left leads the heat, and it says which step', () => {
    const r = groups(8)
    expect(adultAway(compile(r), r, 'petra', 'snip')).toEqual({
      refused: 'Bake: nobody who is left leads heat. Leave it out, or wait.',
    })
    const one = { ...r, adults: r.adults.slice(0, 1) }
    expect(adultAway(compile(one), one, 'petra', 'snip')).toHaveProperty('refused')
  })
})

describe('running late', () => {
  it('moves what follows by so much, and says what is left before the families come', () => {
    const plan = compile(groups(4))
    const { plan: after, says } = mended(runsLate(plan, 'snip', 10))
    const at = (p: Plan, step: string) => p.schedule.find((s) => s.step === step)?.start ?? 0
    expect(at(after, 'fill')).toBe(at(plan, 'fill'))
    expect(at(after, 'bake') - at(plan, 'bake')).toBe(600)
    expect(after.totals.spareMinutes).toBe((plan.totals.spareMinutes ?? 0) - 10)
    expect(says.join(' ')).toContain('before the families come')
    expect(turnsOf(after, 'c0')).toHaveLength(turnsOf(plan, 'c0').length)
    expect(breaches(after, groups(4))).toEqual([])
  })
})

describe('speed', () => {
  it('a mend is a new plan of its own digest', () => {
    const plan = compile(groups(12))
    expect(mended(childLeaves(plan, new Set(), 'c3')).plan.digest).not.toBe(plan.digest)
  })
})
