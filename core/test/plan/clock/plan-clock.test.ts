/** The clock of a plan: adults, sink and oven as limits, how near to the best it is, and turns that hold a hand-over. */
import { describe, expect, it } from 'vitest'
import { TECHNIQUES } from '../../../src/craft/techniques'
import { compile } from '../../../src/plan/compile'
import type { Decision } from '../../../src/plan/model/decision'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { certificate, leastWait } from '../../../src/plan/view/certificate'
import { laneChart, whyNotTo } from '../../../src/plan/view/lanes'
import { shorter } from '../../../src/plan/whatif/shorter'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { seeded } from '../../../src/plan/clock/schedule/random'
import { child, four, recipeOf, request } from '../../group'

const kids = (n: number) => Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i))
const groups = (n: number, more: Partial<PlanRequest> = {}): PlanRequest => {
  const base = request(kids(n), more)
  return { ...base, rules: { ...base.rules, grouping: 'groups' } }
}
const step = (plan: Plan, id: string) => plan.schedule.find((s) => s.step === id)

describe('the clock', () => {
  it('washes hands at as many places as the sink has', () => {
    const at = (sinkPlaces: number): number => {
      const base = groups(8)
      return step(compile({ ...base, kit: { ...base.kit, sinkPlaces } }), 'wash')?.seconds ?? 0
    }
    // Eight children, a minute each: four rounds at two places, two at four.
    expect(at(2)).toBe(240)
    expect(at(4)).toBe(120)
  })
  it('a bowl waits for its adult: one adult takes longer than two', () => {
    const base = groups(8)
    const one = compile({ ...base, adults: base.adults.slice(0, 1) })
    expect(one.totals.seconds).toBeGreaterThan(compile(base).totals.seconds)
  })
  it('an adult, a place at the sink or more tries never make the plan longer', () => {
    for (const recipe of ['herb-soda-bread', 'cheese-leek-scones', 'couscous-jars', 'lentil-letter-soup']) {
      const base = groups(12, { recipe: recipeOf(recipe) })
      const now = compile(base).totals.seconds
      const extra = { id: 'extra', leads: ['knives' as const, 'heat' as const] }
      expect(compile({ ...base, adults: [...base.adults, extra] }).totals.seconds).toBeLessThanOrEqual(now)
      expect(compile({ ...base, kit: { ...base.kit, sinkPlaces: 4 } }).totals.seconds).toBeLessThanOrEqual(
        now,
      )
      expect(compile({ ...base, effort: 'refined' }).totals.seconds).toBeLessThanOrEqual(now)
    }
  })
  it('an adult or a tool more never makes the refined plan longer (drawn sessions)', () => {
    for (let seed = 1; seed <= 24; seed++) {
      const random = seeded(seed)
      const any = (n: number): number => Math.floor(random() * n)
      const list = Array.from({ length: 2 + any(10) }, (_, i) => child(`c${i}`, 26 + any(60)))
      const recipe = SHIPPED_RECIPES[any(SHIPPED_RECIPES.length)]
      const base = request(list, { recipe, effort: 'refined' })
      const tool = TECHNIQUES.find((t) => t.id === recipe?.steps[2]?.tasks[0]?.technique)?.ladder[0]?.tool
      const tools = (count: number) => (tool === undefined ? [] : [{ tool, count }])
      const r: PlanRequest = {
        ...base,
        kit: { ...base.kit, tools: tools(1) },
        rules: { ...base.rules, grouping: any(2) ? 'groups' : 'together' },
      }
      const now = compile(r).totals.seconds
      const adults = [...r.adults, { id: 'extra', leads: ['knives' as const, 'heat' as const] }]
      expect(compile({ ...r, adults }).totals.seconds, `adult, seed ${seed}`).toBeLessThanOrEqual(now)
      const kit = { ...r.kit, tools: tools(2) }
      expect(compile({ ...r, kit }).totals.seconds, `tool, seed ${seed}`).toBeLessThanOrEqual(now)
    }
  })
  it('never beats its own bound, and says in words how near it is', () => {
    for (const n of [1, 4, 12, 30]) {
      const plan = compile(groups(n))
      expect(plan.totals.seconds).toBeGreaterThanOrEqual(plan.totals.bound?.seconds ?? Infinity)
      expect(certificate(plan)?.length).toMatch(/^(Nobody can be quicker|At most \d+ % longer)/)
    }
  })
  it('says how long the longest wait must be at least, and no plan is under it', () => {
    for (const recipe of SHIPPED_RECIPES)
      for (const n of [1, 4, 9]) {
        const plan = compile(groups(n, { recipe }))
        const longest = Math.max(0, ...plan.totals.perChild.map((p) => p.longestWait))
        expect(longest).toBeGreaterThanOrEqual(leastWait(plan))
        if (n === 1) expect(leastWait(plan)).toBe(0)
      }
    // Twelve at one bowl, a minute a turn: the last waits eleven minutes (case H28 of the fact pack).
    const task = {
      mode: 'TURNS' as const,
      n: 12,
      seconds: 60,
      forms: [{ children: kids(12).map((k) => k.id) }],
    }
    expect(leastWait({ tasks: [task] } as unknown as Plan)).toBe(660)
  })
  it('the same request gives the same plan, byte for byte', () => {
    expect(JSON.stringify(compile(groups(12)))).toBe(JSON.stringify(compile(groups(12))))
  })
  it('says how much is spare before the families come, and how late it may begin', () => {
    const plan = compile(request(four()))
    const { spareMinutes = 0, endsAt, latestStart = '' } = plan.totals
    expect(spareMinutes).toBeGreaterThan(0)
    expect(latestStart > plan.totals.startsAt && endsAt < '11:30').toBe(true)
    const late = compile(
      request(four(), { session: { id: 's', date: '2026-11-26', start: latestStart, until: '11:30' } }),
    )
    expect(late.totals.spareMinutes).toBe(0)
    expect(late.findings.some((f) => f.rule === 'late')).toBe(false)
  })
  it('a night in the fridge is no time at the table, and what follows is another sitting', () => {
    const plan = compile(request(four(), { recipe: recipeOf('overnight-oats-pear') }))
    expect(plan.totals.sittings).toBe(2)
    expect(plan.totals.seconds).toBeLessThan(3600)
    expect(step(plan, 'sleep')?.seconds).toBeGreaterThan(6 * 3600)
  })
})

describe('turns', () => {
  it('who sits out of one job has a turn more in another', () => {
    const plan = compile(request([...four(), child('small', 33)], { recipe: recipeOf('cheese-leek-scones') }))
    expect(
      plan.tasks.filter((t) => t.mode === 'EACH' && t.barred.some((b) => b.child === 'small')),
    ).toHaveLength(1)
    const turns = (id: string): number => plan.totals.perChild.find((p) => p.child === id)?.turns ?? 0
    const others = four().map((c) => turns(c.id))
    expect(turns('small')).toBeGreaterThan(Math.min(...others))
    const goes = plan.children.map((c) => plan.turns.filter((t) => t.child === c.id).length)
    expect(Math.max(...goes) - Math.min(...goes)).toBeLessThanOrEqual(1)
  })
  it('a turn handed over is pinned, the loads stay as equal as they can be, and it can be refused with the reason', () => {
    const plan = compile(request(four()))
    const task = plan.tasks.find((t) => t.measured && t.mode === 'TURNS')?.id ?? ''
    const pin: Decision = { kind: 'pin', task, child: 'kofi' }
    const after = compile(request(four(), { decisions: [pin] }))
    expect(after.turns.find((t) => t.task === task)?.child).toBe('kofi')
    const counts = after.totals.perChild.map((p) => p.turns)
    expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
    expect(whyNotTo(plan, task, 'kofi')).toBeNull()
    expect(whyNotTo(plan, task, 'nobody')).toContain('another bowl')
    expect(whyNotTo(plan, plan.tasks.find((t) => t.mode === 'EACH')?.id ?? '', 'kofi')).toContain(
      'no turn to hand over',
    )
    expect(whyNotTo(plan, 'gone', 'kofi')).toContain('not in the plan')
  })
})

describe('what would make it shorter', () => {
  it('is tried for real: each saves what it says, the least effort first', () => {
    const base = groups(12, { recipe: recipeOf('lentil-letter-soup') })
    const now = compile(base)
    const found = shorter(base, now)
    expect(found.length).toBeGreaterThan(0)
    const sink = found.find((s) => s.says.includes('4 wash at once'))
    const after = compile({ ...base, kit: { ...base.kit, sinkPlaces: 4 } })
    expect(sink?.endsAt).toBe(after.totals.endsAt)
    expect(sink?.minutesSaved).toBe(Math.floor((now.totals.seconds - after.totals.seconds) / 60))
    const efforts = found.filter((s) => s.fits === found[0]?.fits).map((s) => s.effort)
    expect(efforts).toEqual([...efforts].sort((a, b) => a - b))
  })
})

describe('lanes', () => {
  it('hold every turn of the first sitting once, adults first, inside the session', () => {
    const plan = compile(groups(8))
    const chart = laneChart(plan, [])
    expect(chart.lanes.slice(0, 2).every((l) => l.adult)).toBe(true)
    const goes = chart.lanes.filter((l) => !l.adult).flatMap((l) => l.blocks)
    expect(goes.filter((b) => b.kind !== 'meanwhile')).toHaveLength(plan.turns.length)
    for (const b of chart.lanes.flatMap((l) => l.blocks)) {
      expect(b.left).toBeGreaterThanOrEqual(0)
      expect(b.left + b.width).toBeLessThanOrEqual(100.5)
    }
  })
})
