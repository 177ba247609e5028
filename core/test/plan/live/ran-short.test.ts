/** A food runs short in the middle: what is left is shared evenly from here, nothing done is lost, and nobody else is moved. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { handBreaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import { ranShort, stillToMeasure } from '../../../src/plan/live/ran-short'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { replay } from '../../../src/session/replay'
import { tableTasks } from '../../../src/session/table'
import { child, recipeOf, request } from '../../group'

const groupOf = (n: number, recipe: string, grouping: 'together' | 'groups'): PlanRequest => {
  const base = request(
    Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i)),
    { recipe: recipeOf(recipe) },
  )
  return { ...base, rules: { ...base.rules, grouping } }
}
const changed = (plan: Plan, line: string, left: number, done: ReadonlySet<string>) => {
  const answer = ranShort(plan, line, left, done)
  if ('refused' in answer) throw new Error(answer.refused)
  return answer
}
const own = (plan: Plan, line: string) => {
  const ids = new Set(
    plan.tasks
      .filter(
        (t) =>
          t.measured?.by === 'scoop' &&
          plan.bowls.some((b) => b.lines.some((l) => l.line === line && l.id === t.uses[0])),
      )
      .map((t) => t.id),
  )
  return plan.turns.filter((t) => ids.has(t.task))
}

describe('it ran short', () => {
  it('what is left goes to who has had least; what is done stays, and so does every other job', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom('herb-soda-bread', 'own-flatbreads', 'couscous-jars'),
        fc.constantFrom('together' as const, 'groups' as const),
        fc.nat(200),
        fc.nat(200),
        fc.nat(5),
        (n, recipe, grouping, doneCount, leftOf, which) => {
          const of = groupOf(n, recipe, grouping)
          const plan = compile(of)
          const done = new Set(plan.turns.slice(0, doneCount % plan.turns.length).map((t) => t.id))
          const all = stillToMeasure(plan, done)
          const short = all[which % Math.max(1, all.length)]
          if (!short) return
          const left = leftOf % short.scoops
          const { plan: next, says } = changed(plan, short.line, left, done)
          expect(planFault(next)).toBeNull()
          expect(handBreaches(next, of)).toEqual([])
          // So many are to come as there is enough for.
          expect(stillToMeasure(next, done).find((l) => l.line === short.line)?.scoops ?? 0).toBe(left)
          const [before, after] = [own(plan, short.line), own(next, short.line)]
          for (const t of before.filter((x) => done.has(x.id)))
            expect(after.find((x) => x.id === t.id)?.child).toBe(t.child)
          const others = (p: Plan) => p.turns.filter((t) => !own(p, short.line).some((x) => x.id === t.id))
          expect(others(next)).toEqual(others(plan))
          expect(next.schedule).toEqual(plan.schedule)
          // Nobody who is to have one more has as many as somebody who goes without.
          const count = (list: typeof after, id: string) => list.filter((t) => t.child === id).length
          const lost = plan.children.filter((c) => count(after, c.id) < count(before, c.id))
          const coming = after.filter((t) => !done.has(t.id))
          for (const a of new Set(coming.map((t) => t.child)))
            for (const b of lost) expect(count(after, a)).toBeLessThanOrEqual(count(after, b.id) + 1)
          // It is said of each of them, and how much is missing.
          for (const c of lost) expect(says.some((s) => s.startsWith(`{{${c.id}}}: `))).toBe(true)
          expect(says.at(-1)).toMatch(/^Missing in all: .*\d/)
          for (const task of next.tasks.filter((t) => t.measured?.by === 'scoop' && t.mode === 'TURNS'))
            expect(next.turns.filter((t) => t.task === task.id).length).toBe(task.n)
        },
      ),
      { numRuns: 120 },
    )
  })

  it('says it in words, of turns and of own portions', () => {
    const bread = compile(groupOf(4, 'herb-soda-bread', 'together'))
    const flour = stillToMeasure(bread, new Set()).find((l) => l.line === 'flour')
    expect(changed(bread, 'flour', (flour?.scoops ?? 0) - 1, new Set()).says.at(-1)).toMatch(
      /^Missing in all: .*cup.* of plain flour; the rest goes on as it is, or home makes up for it\.$/,
    )
    const pots = compile(groupOf(3, 'own-flatbreads', 'together'))
    // Four spoons each: seven are left for three, so three, two and two.
    const { plan, says } = changed(pots, 'flour', 7, new Set())
    const counts = plan.children.map((c) => own(plan, 'flour').filter((t) => t.child === c.id).length)
    expect(counts.sort()).toEqual([2, 2, 3])
    expect(says.filter((s) => s.includes('instead of 4')).length).toBe(3)
    expect(says.at(-1)).toBe(
      'Missing in all: 5 tbsp of plain flour; home may add what somebody has too little of.',
    )
    const task = plan.tasks.find((t) => t.portion && t.uses[0] === 'flour')
    const row = tableTasks(plan, replay([]), task?.step ?? '').find((t) => t.task.id === task?.id)
    expect([row?.own.length, row?.shares.length, row?.marks.length, row?.total]).toEqual([3, 3, 4, '3 tbsp'])
    expect(row?.shares.reduce((a, b) => a + b, 0)).toBeCloseTo(100)
  })

  it('is refused where there is enough, or nothing is to come', () => {
    const plan = compile(groupOf(4, 'herb-soda-bread', 'together'))
    const flour = stillToMeasure(plan, new Set()).find((l) => l.line === 'flour')
    expect(ranShort(plan, 'flour', flour?.scoops ?? 0, new Set())).toMatchObject({
      refused: expect.stringMatching(/There is enough/) as string,
    })
    expect(ranShort(plan, 'flour', 0, new Set(plan.turns.map((t) => t.id)))).toMatchObject({
      refused: expect.stringMatching(/Nothing/) as string,
    })
    expect(ranShort(plan, 'no such line', 0, new Set())).toMatchObject({
      refused: expect.stringMatching(/Nothing/) as string,
    })
  })
})
