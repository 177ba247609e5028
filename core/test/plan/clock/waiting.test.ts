/** Jobs for those who would wait, what an adult gets ready, and what must not stand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import type { Recipe } from '../../../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { preparationsOf } from '../../../src/plan/clock/background'
import { choicesAt } from '../../../src/craft/choices'
import { child, recipeOf, request } from '../../group'
import { timesTurned } from '../../../src/plan/model/task-kinds'
import { adultAway } from '../../../src/plan/live/adult-away'

const kids = (n: number, from = 40) => Array.from({ length: n }, (_, i) => child(`c${i}`, from + 3 * i))
const groups = (n: number, more: Partial<PlanRequest> = {}): PlanRequest => {
  const base = request(kids(n), more)
  return { ...base, rules: { ...base.rules, grouping: 'groups' } }
}

describe('jobs for waiting', () => {
  it('never while the child has a job, never two at once, never above the places; idle time only shrinks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_RECIPES.map((r) => r.id)),
        fc.integer({ min: 1, max: 14 }),
        (id, n) => {
          const plan = compile(groups(n, { recipe: recipeOf(id) }))
          const fill = plan.waitingJobs ?? []
          for (const [i, f] of fill.entries()) {
            expect(f.end).toBeGreaterThan(f.start)
            for (const g of fill.slice(i + 1))
              if (g.child === f.child && g.sitting === f.sitting)
                expect(f.start < g.end && g.start < f.end).toBe(false)
            const months = plan.children.find((c) => c.id === f.child)?.months ?? 0
            expect(f.or.length).toBeLessThan(choicesAt(months).most)
          }
          for (const p of plan.totals.perChild)
            expect(p.idleFilled ?? 0).toBeLessThanOrEqual(p.idle ?? Infinity)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('clearing up is done while all wait for the oven, by everyone in turn', () => {
    const plan = compile(groups(8))
    const clears = (plan.waitingJobs ?? []).filter((f) => f.clears)
    const bake = plan.schedule.find((s) => s.step === 'bake')
    expect(clears.length).toBeGreaterThan(4)
    for (const f of clears) {
      expect(f.start).toBeGreaterThanOrEqual(bake?.start ?? Infinity)
      expect(f.end).toBeLessThanOrEqual((bake?.start ?? 0) + (bake?.seconds ?? 0))
    }
    expect(plan.totals.clearUp).toBeUndefined()
  })
  it('where nothing is waited for it follows at the end, and is shown apart from the end of the steps', () => {
    const plan = compile(request(kids(4), { recipe: recipeOf('beetroot-bean-dip') }))
    expect(plan.totals.clearUp?.start).toBe(plan.totals.seconds)
    expect((plan.waitingJobs ?? []).some((f) => f.clears && f.start === plan.totals.seconds)).toBe(true)
  })
  it('a child who must not touch a food does not sort its scraps', () => {
    const allergic = child('milk', 60, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] })
    const plan = compile(request([allergic, ...kids(3)], { recipe: recipeOf('cucumber-mint-raita') }))
    expect((plan.waitingJobs ?? []).filter((f) => f.child === 'milk').map((f) => f.job)).not.toContain(
      'scraps',
    )
  })
  it('nobody lays the table before the own hands are washed', () => {
    const plan = compile(groups(12))
    const washing = new Set(plan.tasks.filter((t) => t.technique === 'wash-hands').map((t) => t.id))
    for (const f of (plan.waitingJobs ?? []).filter((x) => x.job === 'lay' || x.job === 'count'))
      expect(plan.turns.some((t) => t.child === f.child && washing.has(t.task) && t.end <= f.start)).toBe(
        true,
      )
  })
  it('a baby in arms has none', () => {
    const plan = compile(request([...kids(3), child('baby', 11)], { recipe: recipeOf('beetroot-bean-dip') }))
    expect((plan.waitingJobs ?? []).filter((f) => f.child === 'baby')).toEqual([])
  })
})

describe('ready in time', () => {
  const named = (equipment: string[], more: Partial<Recipe> = {}): Recipe => ({
    ...recipeOf('embers-hot-pot'),
    equipment,
    ...more,
  })
  it('charcoal wants up to an hour, wooden sticks soak, an oven heats up (common practice)', () => {
    const ahead = preparationsOf(named(['charcoal', 'wooden sticks']))
    expect(ahead.find((a) => a.says === 'Charcoal lit')?.minutes).toBe(60)
    expect(ahead.find((a) => a.says.includes('sticks'))?.minutes).toBe(30)
    expect(preparationsOf(recipeOf('herb-soda-bread')).map((a) => [a.says, a.minutes])).toEqual([
      ['Oven on', 15],
    ])
  })
  it('is back-timed from its step, and before the session where it takes longer than there is', () => {
    const base = request(kids(4), { recipe: recipeOf('embers-hot-pot') })
    const plan = compile({ ...base, kit: { ...base.kit, equipment: ['fire'] } })
    const coals = plan.background?.find((b) => b.says === 'Charcoal lit')
    const embers = plan.schedule.find((s) => s.step === 'embers')
    expect(coals?.ready).toBe(embers?.start)
    expect(coals && coals.start + coals.seconds + 3600).toBe(coals?.ready)
    expect(coals?.start).toBeLessThan(0)
    expect(plan.ahead.some((a) => a.says.startsWith('Charcoal lit') && a.when < '10:15')).toBe(true)
  })
  it('goes to an adult who leads heat and whose hands are free then', () => {
    for (const n of [4, 8, 12]) {
      const plan = compile(groups(n))
      const oven = plan.background?.find((b) => b.says === 'Oven on')
      expect(oven?.adult).toBe('petra')
      for (const t of plan.tasks.filter((x) => x.adult === 'petra' && x.mode === 'TURNS'))
        expect((t.start ?? 0) < (oven?.start ?? 0) + 30 && (oven?.start ?? 0) < (t.end ?? 0)).toBe(false)
    }
  })
  it('is worked out anew when an adult is called away', () => {
    const r: PlanRequest = { ...groups(8), adults: [...groups(8).adults, { id: 'tomasz', leads: ['heat'] }] }
    const plan = compile(r)
    const after = adultAway(plan, r, plan.background?.[0]?.adult ?? '', 'wash')
    expect('plan' in after && after.plan.background?.[0]?.adult).toBe('tomasz')
  })
  it('turning every two to three minutes within ten gives three or four turns, and holds an adult (common practice)', () => {
    for (const every of [120, 150, 180]) {
      expect(timesTurned(600, every)).toBeGreaterThanOrEqual(3)
      expect(timesTurned(600, every)).toBeLessThanOrEqual(4)
    }
    const base = request(kids(4), { recipe: recipeOf('embers-hot-pot') })
    const plan = compile({ ...base, kit: { ...base.kit, equipment: ['fire'] } })
    const wait = plan.tasks.find((t) => t.mode === 'WAIT' && t.place === 'fire')
    expect(wait?.adult).toBe('petra')
    // Nobody has to be beside whom that adult would stand with.
    for (const f of plan.waitingJobs ?? [])
      if (f.adult === 'petra') expect(f.start < (wait?.end ?? 0) && (wait?.start ?? 0) < f.end).toBe(false)
  })
  it('food from embers cools some minutes before a child opens it (common practice)', () => {
    const recipe = recipeOf('embers-hot-pot')
    const after = recipe.steps[recipe.steps.findIndex((s) => s.id === 'embers') + 1]
    const cools = after?.tasks[0]
    expect(cools?.mode === 'WAIT' && cools.seconds >= 300).toBe(true)
    const base = request(kids(2), { recipe })
    const plan: Plan = compile({ ...base, kit: { ...base.kit, equipment: ['fire'] } })
    const taste = plan.tasks.find((t) => t.technique === 'taste' && t.mode === 'EACH')
    const hot = plan.tasks.find((t) => t.technique === 'use-campfire' && t.mode === 'WAIT')
    expect((taste?.start ?? 0) - (hot?.end ?? 0)).toBeGreaterThanOrEqual(300)
  })
})

describe('what must not stand', () => {
  const soon = (seconds: number): Recipe => {
    const recipe = recipeOf('herb-soda-bread')
    return {
      ...recipe,
      steps: recipe.steps.map((s) =>
        s.id === 'bake' ? { ...s, soon: { seconds, why: 'the soda works' } } : s,
      ),
    }
  }
  it('is moved as late as it goes, and said where it still stands too long', () => {
    // One adult, three bowls of two-year-olds: the first bowl's dough waits for the others.
    const base = request(kids(12, 24), {
      recipe: soon(30),
      adults: [{ id: 'petra', leads: ['knives', 'heat'] }],
    })
    const plan = compile({ ...base, rules: { ...base.rules, grouping: 'groups' } })
    for (const s of plan.totals.standing ?? []) expect(s.seconds).toBeGreaterThan(s.most)
    const found = plan.findings.filter((f) => f.rule === 'stands')
    expect(found.length).toBe((plan.totals.standing ?? []).length > 0 ? 1 : 0)
    const loose = compile({ ...base, recipe: soon(7200), rules: { ...base.rules, grouping: 'groups' } })
    expect(loose.totals.standing).toEqual([])
    expect(loose.totals.seconds).toBe(plan.totals.seconds)
  })
  it('the last work before it ends where it begins, wherever nothing else is in the way', () => {
    const base = request(kids(8, 60), { recipe: soon(10) })
    const plan = compile({ ...base, rules: { ...base.rules, grouping: 'groups' } })
    const bake = plan.schedule.find((s) => s.step === 'bake')?.start ?? 0
    for (const t of plan.tasks.filter((x) => x.step === 'shape')) expect(t.end).toBe(bake)
  })
})
