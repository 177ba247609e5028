/** The middle of a session: turns dealt anew, a measure that breaks, the rest planned anew; two sittings and rotation before it. */
import fc from 'fast-check'
import { toolName } from '../../../src/craft/tools'
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { type Changed } from '../../../src/plan/live/live-changes'
import { measureBreaks } from '../../../src/plan/live/lost-measure'
import { replanRemaining, restOffers } from '../../../src/plan/live/replan-remaining'
import { decide } from '../../../src/plan/model/decision'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { scoopsOf } from '../../../src/plan/model/scoop-sequence'
import { rotation } from '../../../src/plan/whatif/rotation'
import { shorter } from '../../../src/plan/whatif/shorter'
import { breaches } from '../../../src/plan/check/check'
import { evenness, redeal } from '../../../src/plan/live/redeal'
import { recipeOfSession, restsOf } from '../../../src/plan/model/session-recipe/sittings'
import { madeBy } from '../../../src/plan/model/scoop-sequence'
import { child, four, recipeOf, request } from '../../group'
import { childLeaves } from '../../../src/plan/live/child-leaves'

const kids = (n: number, from = 50) => Array.from({ length: n }, (_, i) => child(`c${i}`, from + i))
const groups = (n: number, recipe = 'herb-soda-bread'): PlanRequest => {
  const base = request(kids(n), { recipe: recipeOf(recipe) })
  return { ...base, rules: { ...base.rules, grouping: 'groups' } }
}
const mended = (m: ReturnType<typeof measureBreaks>): Changed => {
  if ('refused' in m) throw new Error(m.refused)
  return m
}

describe('turns dealt anew', () => {
  it('as even as the flow can be, and no turn moves where that is even already', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 10 }), fc.nat(40), (n, doneCount) => {
        const plan = compile(groups(n))
        const ids = plan.children.map((c) => c.id)
        const done = new Set(plan.turns.slice(0, doneCount).map((t) => t.id))
        const again = redeal(plan.tasks, plan.turns, ids, (t) => done.has(t.id))
        expect(again.sumsq).toBe(evenness(again.turns, ids))
        expect(again.sumsq).toBeLessThanOrEqual(evenness(plan.turns, ids))
        for (const t of plan.turns.filter((x) => done.has(x.id))) expect(again.turns).toContainEqual(t)
        if (again.sumsq === evenness(plan.turns, ids)) expect(again.turns).toEqual(plan.turns)
      }),
      { numRuns: 30 },
    )
  })
  it('after a child has left they are never less even than the first rung made them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 10 }), fc.nat(9), fc.nat(50), (n, who, doneCount) => {
        const plan = compile(groups(n))
        const done = new Set(plan.turns.slice(0, doneCount).map((t) => t.id))
        const gone = `c${who % n}`
        const after = childLeaves(plan, done, gone)
        if ('refused' in after) return
        const counts = after.plan.children.map((c) => after.plan.turns.filter((t) => t.child === c.id).length)
        const before = plan.children
          .filter((c) => c.id !== gone)
          .map((c) => plan.turns.filter((t) => t.child === c.id).length)
        const spread = (list: number[]) => Math.max(...list) - Math.min(...list)
        const rest = after.plan.children.map((c) => c.id)
        const best = redeal(after.plan.tasks, after.plan.turns, rest, (t) => done.has(t.id))
        if (spread(counts) > Math.max(1, spread(before)))
          expect(evenness(after.plan.turns, rest)).toBe(best.sumsq)
      }),
      { numRuns: 40 },
    )
  })
})

describe('a measure breaks', () => {
  const flour = (p: Plan) => p.tasks.find((t) => t.id === 'all/fill/level-scoop/flour')
  it('what is left is made exactly with the others; what is done stays', () => {
    const r = request(four())
    const plan = compile(r)
    const measured = flour(plan)?.measured
    if (measured?.by !== 'scoop') throw new Error('not scooped')
    const broken = scoopsOf(measured)[0]?.measure ?? ''
    const other = plan.turns.filter((t) => t.task === flour(plan)?.id && t.measure !== broken)
    const done = new Set(other.slice(0, 1).map((t) => t.id))
    expect(done.size).toBe(1)
    const after = mended(measureBreaks(plan, r, broken, done))
    const now = flour(after.plan)?.measured
    if (now?.by !== 'scoop') throw new Error('not scooped')
    expect(madeBy(now).toFraction()).toBe(madeBy(measured).toFraction())
    const own = after.plan.turns.filter((t) => t.task === flour(plan)?.id)
    expect(own.filter((t) => !done.has(t.id)).some((t) => t.measure === broken)).toBe(false)
    for (const id of done) expect(own.some((t) => t.id === id)).toBe(true)
    expect(new Set(own.map((t) => t.id)).size).toBe(own.length)
    expect(own.map((t) => t.number)).toEqual(own.map((_, i) => i + 1))
    const box = { ...r.kit, measures: r.kit.measures.filter((m) => m.id !== broken) }
    expect(breaches(after.plan, { ...r, kit: box }).filter((b) => !b.includes('lies outside'))).toEqual([])
    expect(after.says[0]).toContain('instead of')
  })
  it('is refused with what is left to weigh where nothing else makes it', () => {
    const r = request(four())
    const only = {
      ...r,
      kit: {
        ...r.kit,
        measures: r.kit.measures.filter((m) => ['cup', 'half-tsp', 'tsp'].includes(m.id)),
      },
    }
    const plan = compile(only)
    const answer = measureBreaks(plan, only, 'cup', new Set())
    expect('refused' in answer && answer.refused).toMatch(/no measure that is left makes it/)
  })
  it('changes nothing where nothing is left for it, or there is another', () => {
    const r = request(four())
    const plan = compile(r)
    const all = new Set(plan.turns.map((t) => t.id))
    expect(mended(measureBreaks(plan, r, 'cup', all)).says[0]).toContain('nothing changes')
    const two = { ...r, kit: { ...r.kit, measures: r.kit.measures.map((m) => ({ ...m, count: 2 })) } }
    expect(measureBreaks(plan, two, 'cup', new Set())).toHaveProperty('refused')
    expect(measureBreaks(plan, r, 'a bucket', new Set())).toHaveProperty('refused')
  })
})

describe('the rest planned anew', () => {
  const late: PlanRequest = {
    ...request(kids(12), { recipe: recipeOf('beetroot-bean-dip') }),
    session: { id: 's', date: '2026-11-26', start: '10:15', until: '10:40' },
  }
  it('offers only what saves three minutes or brings the end back, and keeps what is begun', () => {
    const plan = compile(late)
    const done = new Set(plan.turns.slice(0, 12).map((t) => t.id))
    const offers = restOffers(plan, late, { step: 'wash', done })
    expect(offers.length).toBeGreaterThan(0)
    for (const offer of offers) {
      const next = replanRemaining(plan, late, { step: 'wash', done }, offer.change)
      if ('refused' in next) throw new Error(next.refused)
      expect(next.totals.endsAt).toBe(offer.endsAt)
      expect(plan.totals.seconds - next.totals.seconds >= 180 || (next.totals.spareMinutes ?? -1) >= 0).toBe(
        true,
      )
      for (const t of plan.turns.filter((x) => done.has(x.id))) expect(next.turns).toContainEqual(t)
      expect(next.turns.map((t) => t.id).length).toBe(new Set(next.turns.map((t) => t.id)).size)
      expect(breaches(next, late)).toEqual([])
    }
  })
  it('has nothing to offer at the last step', () => {
    const plan = compile(late)
    expect(restOffers(plan, late, { step: 'taste', done: new Set() })).toEqual([])
  })
})

describe('two sittings', () => {
  it('a freeze of five hours never fits one sitting (common practice)', () => {
    const recipe = recipeOf('cucumber-mint-raita')
    const frozen = {
      ...recipe,
      steps: recipe.steps.flatMap((s) =>
        s.id === 'taste'
          ? [
              {
                id: 'freeze',
                title: 'Into the freezer',
                picture: 'fridge',
                uses: [],
                tasks: [
                  {
                    technique: 'fill-cases',
                    mode: 'WAIT' as const,
                    seconds: 5 * 3600,
                    place: 'freezer' as const,
                  },
                ],
              },
              s,
            ]
          : [s],
      ),
    }
    const plan = compile(request(four(), { recipe: frozen }))
    expect(plan.totals.sittings).toBe(2)
    expect(plan.schedule.find((s) => s.step === 'taste')).toMatchObject({ sitting: 2, start: 0 })
    expect(plan.totals.seconds).toBeLessThan(3600)
  })
  it('where the recipe may rest, a decision cuts it there: the rest is a step, what follows begins at 0', () => {
    const recipe = recipeOf('cheese-leek-scones')
    expect(restsOf(recipe).map((s) => s.id)).toEqual(['rub'])
    const r = request(four(), { recipe, decisions: [{ kind: 'two-sittings', after: 'rub' }] })
    const plan = compile(r)
    expect(plan.schedule.find((s) => s.step === 'rub-rest')?.sitting).toBe(1)
    expect(plan.schedule.find((s) => s.step === 'sprinkle')).toMatchObject({ sitting: 2, start: 0 })
    expect(plan.totals.seconds).toBeLessThan(compile({ ...r, decisions: [] }).totals.seconds)
    expect(plan.background?.find((b) => b.says === 'Oven on')?.sitting).toBe(2)
    expect(
      recipeOfSession({ recipe, kit: request([]).kit, decisions: [{ kind: 'two-sittings', after: 'bake' }] })
        .steps,
    ).toEqual(recipe.steps)
  })
})

describe('when it does not fit', () => {
  const tight = (recipe: string, until: string): PlanRequest => ({
    ...groups(12, recipe),
    session: { id: 's', date: '2026-11-26', start: '10:15', until },
  })
  it('two sittings and an adult who does it are among the mends, each with what it costs', () => {
    const r = tight('cheese-leek-scones', '10:45')
    const found = shorter(r, compile(r))
    const two = found.find((s) => s.says.startsWith('Two sittings'))
    expect(two?.cost).toMatch(/the second sitting takes \d+ minutes, another day/)
    expect(two?.after.sittings).toBe(2)
    const together = { ...r, rules: { ...r.rules, grouping: 'together' as const } }
    const adult = shorter(together, compile(together)).find((s) => s.says.startsWith('An adult does'))
    expect(adult?.cost).toMatch(/turns fewer in all/)
    expect(adult && adult.before.minutes > adult.after.minutes).toBe(true)
  })
  it('each is what it says when it is taken', () => {
    const r = tight('cheese-leek-scones', '10:45')
    for (const s of shorter(r, compile(r)).filter((x) => x.decisions)) {
      const decisions = (s.decisions ?? []).reduce((list, d) => decide(list, d), r.decisions)
      expect(compile({ ...r, decisions }).totals.endsAt, s.says).toBe(s.endsAt)
    }
  })
  it('one tool more, where tools are counted', () => {
    const r = groups(8)
    const tool = compile(r).tasks.find((t) => t.technique === 'snip-scissors')?.forms[0]?.tool ?? ''
    const few = { ...r, kit: { ...r.kit, tools: [{ tool, count: 1 }] } }
    expect(shorter(few, compile(few)).some((s) => s.says === `One more ${toolName(tool)}`)).toBe(true)
  })
})

describe('rotation', () => {
  it('everybody once, mixed in age, one group after another with resetting in between', () => {
    const r = request(kids(10, 30))
    const { groups: made, endsAt, fits } = rotation(r, 4)
    expect(made.map((g) => g.children.length).sort()).toEqual([3, 3, 4])
    expect(made.flatMap((g) => g.children).sort()).toEqual(r.children.map((c) => c.id).sort())
    made.slice(1).forEach((g, i) => expect(g.start > (made[i]?.endsAt ?? '')).toBe(true))
    expect(endsAt).toBe(made.at(-1)?.endsAt)
    expect(fits).toBe(endsAt <= '11:30')
    const months = (id: string) => r.children.find((c) => c.id === id)?.months ?? 0
    const means = made.map((g) => g.children.reduce((n, c) => n + months(c), 0) / g.children.length)
    expect(Math.max(...means) - Math.min(...means)).toBeLessThan(2)
  })
})
