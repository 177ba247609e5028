/** A session at a glance: its patch and what is done before it, of every shipped recipe and of drawn groups. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile, openStops } from '../../src/plan/compile'
import type { Plan } from '../../src/plan/model/plan'
import { PATCH_WARPS, THREADS, wovenPatch } from '../../src/plan/view/patch'
import { weave } from '../../src/plan/view/weave'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { firstSteps, sessionCard } from '../../src/session/today'
import { madeUpSession } from '../../src/setting/made-up'
import { guestSchema } from '../../src/schema/people'
import { child, recipeOf, request } from '../group'

const planOf = (id: string, ages = [40, 52, 66], more: Parameters<typeof child>[2] = {}): Plan =>
  compile(
    request(
      ages.map((months, i) => child(`c${i}`, months, i === 0 ? more : {})),
      { recipe: recipeOf(id) },
    ),
  )
const nextStep = (steps: readonly number[], at: number): number => steps.find((s) => s > at) ?? PATCH_WARPS

describe('the woven patch', () => {
  it.each(SHIPPED_RECIPES.map((r) => r.id))(
    '%s: a thread comes to the front just where its step has it',
    (id) => {
      const plan = planOf(id)
      const patch = wovenPatch(plan)
      const columns = weave(plan, plan.bowls[0]?.id ?? '')
      const begins = [0, ...patch.steps]
      expect(begins).toHaveLength(columns.length)
      expect([...begins].sort((a, b) => a - b)).toEqual([...new Set(begins)])
      columns.forEach((column, i) => {
        const [from, to] = [begins[i] ?? 0, begins[i + 1] ?? PATCH_WARPS]
        const here = (thread: string) =>
          patch.floats.filter((f) => f.thread === thread && f.at >= from && f.at < to)
        expect(here('hands').length > 0, column.title).toBe(column.hands.some((h) => h.children.length > 0))
        expect(here('measure').length > 0, column.title).toBe(column.measure.length > 0)
        expect(here('watch').length > 0, column.title).toBe(column.watch.some((w) => w.grade !== 'know'))
      })
      for (const f of patch.floats) {
        expect(f.at + f.over).toBeLessThanOrEqual(nextStep(patch.steps, f.at))
        expect(f.over).toBeGreaterThan(0)
      }
    },
  )
  it('no two threads are bound alike, so that they are told apart without a colour', () => {
    // A step long enough for every binding to come round twice.
    const patch = wovenPatch(planOf('herb-soda-bread'))
    const lengths = THREADS.map((t) =>
      patch.floats
        .filter((f) => f.thread === t)
        .slice(0, 2)
        .map((f) => `${f.at}:${f.over}`)
        .join(),
    )
    expect(new Set(lengths).size).toBe(THREADS.length)
  })
  it('longer steps have more warps, none has none, and all warps are dealt out', () => {
    for (const { id } of SHIPPED_RECIPES) {
      const plan = planOf(id)
      const { steps } = wovenPatch(plan)
      const widths = [...steps, PATCH_WARPS].map((s, i) => s - (i === 0 ? 0 : (steps[i - 1] ?? 0)))
      const minutes = weave(plan, plan.bowls[0]?.id ?? '').map((c) => Math.min(60, c.minutes))
      expect(Math.min(...widths)).toBeGreaterThan(0)
      expect(widths.reduce((a, b) => a + b, 0)).toBe(PATCH_WARPS)
      minutes.forEach((m, i) => {
        minutes.forEach((n, j) => {
          if (m > n) expect(widths[i], id).toBeGreaterThanOrEqual(widths[j] ?? 0)
        })
      })
    }
  })
  it('a plan without steps is an empty cloth, and says so', () => {
    const empty = wovenPatch({ ...planOf('herb-soda-bread'), schedule: [] })
    expect(empty.floats).toEqual([])
    expect(empty.says).toMatch(/^0 steps/)
  })
})

describe('what stands before a session', () => {
  it('it is ready just where no stop is open, whoever comes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_RECIPES.map((r) => r.id)),
        fc.constantFrom('milk', 'egg', 'wheat', 'sesame', 'citrus'),
        fc.boolean(),
        (id, allergen, with_) => {
          const plan = planOf(
            id,
            [40, 52],
            with_ ? { concerns: [{ allergen, level: 'allergy-strict' }] } : {},
          )
          const card = sessionCard(plan)
          expect(card.mustFix).toBe(openStops(plan).length)
          expect(card.before.some((r) => r.kind === 'fix')).toBe(card.mustFix > 0)
          expect(card.stands.startsWith('Ready')).toBe(card.mustFix === 0)
          expect(card.short === 'Ready').toBe(card.mustFix === 0)
          // However it stands, packets are read on the day.
          expect(card.before.filter((r) => r.kind === 'read')).toHaveLength(1)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('no sentence claims that a food is safe, and none holds an id', () => {
    for (const { id } of SHIPPED_RECIPES)
      for (const row of sessionCard(planOf(id)).before) {
        expect(`${row.says} ${row.what ?? ''}`).not.toMatch(/\bsafe\b|\bfree of\b/i)
        expect(`${row.says} ${row.what ?? ''}`.replaceAll(/\{\{[^}]+\}\}/g, '')).not.toMatch(
          /[a-z]+-[a-z]+-\d|undefined|\[object/,
        )
      }
  })
  it('what has a time comes after the rest, by the clock; the day’s packets are said once', () => {
    const { before } = sessionCard(planOf('herb-soda-bread'))
    const times = before.flatMap((r) => (r.at ? [r.at] : []))
    expect(times.length).toBeGreaterThan(0)
    expect([...times].sort((a, b) => a.localeCompare(b))).toEqual(times)
    expect(before.findIndex((r) => r.at)).toBeGreaterThan(before.findLastIndex((r) => !r.at))
    expect(before.filter((r) => /packet/.test(r.says))).toHaveLength(1)
  })
  it('what is got is bought no more', () => {
    const plan = planOf('herb-soda-bread')
    const buys = (p: Plan) => sessionCard(p).before.filter((r) => r.kind === 'buy')
    const all = { ...plan, shopping: plan.shopping.map((s) => ({ ...s, enough: false, got: true })) }
    expect(buys(all)).toEqual([])
    const one = { ...all, shopping: all.shopping.map((s, i) => ({ ...s, got: i > 0 })) }
    expect(buys(one)[0]?.says).toBe('Buy 1 thing.')
    const many = { ...all, shopping: all.shopping.map((s) => ({ ...s, got: false })) }
    expect(buys(many)[0]?.what).toMatch(/and \d+ more\.$|, .* and /)
  })
})

describe('an empty house', () => {
  it('has three steps, each ticked by what is there', () => {
    expect(firstSteps({ children: 0, recipes: 20, sessions: 0 }).map((s) => s.done)).toEqual([
      false,
      true,
      false,
    ])
    expect(firstSteps({ children: 1, recipes: 0, sessions: 1 }).map((s) => s.done)).toEqual([
      true,
      false,
      true,
    ])
    expect(firstSteps({ children: 1, recipes: 1, sessions: 0 }).map((s) => s.says)[0]).toBe('1 child is in')
  })
  it('a made-up group is of children as the schema has them, has one milk allergy, and finds out what lists milk', () => {
    const { guests } = madeUpSession('2026-11-26', 'herb-soda-bread', [])
    for (const g of guests)
      expect(guestSchema.validateSync(g)).toMatchObject({
        nickname: g.nickname,
        concerns: g.concerns,
      })
    const plan = compile(
      request(
        guests.map(({ id, months, concerns, diets }) => child(id, months, { concerns, diets })),
        { recipe: recipeOf('herb-soda-bread') },
      ),
    )
    expect(openStops(plan).some((f) => f.touches.some((t) => t.about === 'milk'))).toBe(true)
  })
})
