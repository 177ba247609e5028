/**
 * Amounts add up: what stands in the bowls is what is bought, what is scooped is what stands in the bowls, and what each child was dealt is
 * what is scooped; for portions, choices, batches, things put together, and when a food runs short in the middle. `./lea bench drawn 5000`
 * draws five thousand.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { toBase, unitOf } from '../../../src/amount/units'
import { breaches } from '../../../src/plan/check/check'
import { compile } from '../../../src/plan/compile'
import { ranShort, stillToMeasure } from '../../../src/plan/live/ran-short'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { goesEach } from '../../../src/plan/model/task-kinds'
import { madeBy, scoopsOf } from '../../../src/plan/model/scoop-sequence'
import { putTogether } from '../../../src/recipe/put-together'
import { TOLERANCE, type Recipe } from '../../../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'

const env = (globalThis as { process?: { env: Record<string, string | undefined> } }).process?.env
const RUNS = Number(env?.['LEA_DRAWN'] ?? 120)
const EVERYWHERE = ['oven', 'hob', 'fridge', 'freezer', 'sink', 'scale', 'fire', 'grill', 'microwave']

const recipes = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom(...SHIPPED_RECIPES) },
  {
    weight: 1,
    arbitrary: fc
      .uniqueArray(fc.constantFrom(...SHIPPED_RECIPES), { minLength: 2, maxLength: 3, selector: (r) => r.id })
      .map((parts) => putTogether(parts, 'own:x'))
      .map((made) => ('refused' in made ? (SHIPPED_RECIPES[0] as Recipe) : made)),
  },
)
const drawn = fc
  .record({
    recipe: recipes,
    ages: fc.array(fc.integer({ min: 20, max: 150 }), { minLength: 1, maxLength: 14 }),
    grouping: fc.constantFrom('together' as const, 'groups' as const, 'own' as const),
    adults: fc.integer({ min: 1, max: 3 }),
    batch: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
    each: fc.array(fc.nat({ max: 20 }), { maxLength: 4 }),
    measures: fc.constantFrom(1, 2, 12),
    quick: fc.boolean(),
    below: fc.option(fc.integer({ min: 30, max: 100 }), { nil: undefined }),
    rounds: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
  })
  .map(({ recipe, ages, grouping, adults, batch, each, measures, quick, below, rounds }): PlanRequest => {
    const kids = ages.map((months, i) => child(`c${i}`, months))
    const sizes = below === undefined ? {} : { sizes: [{ below, part: '1/2' }] }
    const lines = recipe.lines.map((l, i) =>
      each.includes(i) && !l.byEye ? { ...l, each: true, ...sizes } : l,
    )
    const round = recipe.steps.find((s) => s.tasks.some((t) => t.passes))
    const base = request(kids, {
      recipe: { ...recipe, lines },
      adults: Array.from({ length: adults }, (_, i) => ({ id: `a${i}`, leads: ['knives', 'heat'] })),
      decisions: [
        ...(batch === undefined
          ? []
          : [{ kind: 'make' as const, make: { by: 'portions' as const, portions: String(batch) } }]),
        ...(rounds && round ? [{ kind: 'rounds' as const, step: round.id, times: rounds }] : []),
        ...(quick ? [{ kind: 'scooping' as const, way: 'quick' as const }] : []),
      ],
    })
    return {
      ...base,
      kit: { measures: base.kit.measures.map((m) => ({ ...m, count: measures })), equipment: EVERYWHERE },
      rules: { ...base.rules, grouping },
      effort: 'sketch',
    }
  })

const lineOf = (plan: Plan, task: Plan['tasks'][number]) =>
  plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])

/** In the bowls, by food and dimension, in base units. */
function inBowls(plan: Plan): Map<string, ReturnType<typeof ratio>> {
  const all = new Map<string, ReturnType<typeof ratio>>()
  for (const l of plan.bowls.flatMap((b) => b.lines)) {
    const { dimension } = unitOf(l.unit)
    const key = dimension === 'count' ? `${l.food} ${l.unit}` : `${l.food} ${dimension}`
    const amount = dimension === 'count' ? ratio(l.amount) : toBase(l.amount, l.unit)
    all.set(key, amount.add(all.get(key) ?? 0))
  }
  return all
}

describe('amounts', () => {
  it(
    'add up, from what is bought to what each child was dealt, and when a food runs short',
    () => {
      fc.assert(
        fc.property(
          drawn,
          fc.double({ min: 0, max: 0.99, noNaN: true }),
          fc.nat({ max: 30 }),
          (of, share, which) => {
            const plan = compile(of)
            expect(breaches(plan, of)).toEqual([])
            // Bought: what stands in the bowls. What is by two units of one food stands in its first.
            const kept = inBowls(plan)
            const spare = new Set((plan.choices ?? []).flatMap((c) => c.lines.map((l) => l.food)))
            for (const row of plan.shopping) {
              const { dimension } = unitOf(row.unit)
              const key = dimension === 'count' ? `${row.food} ${row.unit}` : `${row.food} ${dimension}`
              const others = [...kept.keys()].filter((k) => k.startsWith(`${row.food} `))
              if (others.length !== 1) continue
              // Nobody buys three eighths of a carrot.
              const need = row.unit === 'item' ? kept.get(key)?.ceil() : kept.get(key)
              const bought = dimension === 'count' ? ratio(row.amount) : toBase(row.amount, row.unit)
              // Of a free choice something is there beside what is reckoned to be taken.
              if (spare.has(row.food)) expect(bought.compare(need ?? 0)).toBeGreaterThanOrEqual(0)
              else expect(bought.toFraction(), `${row.food} bought`).toBe(need?.toFraction())
            }
            for (const task of plan.tasks) {
              const m = task.measured
              const line = lineOf(plan, task)
              if (m?.by !== 'scoop' || !line) continue
              // Dealt: every scoop is somebody's, once; an own portion is whole for each.
              const turns = plan.turns.filter((t) => t.task === task.id)
              const able = new Set(task.forms.flatMap((f) => f.children))
              if (task.mode !== 'ADULT')
                expect(turns.length, `${task.id} turns`).toBe(task.portion ? able.size * m.n : m.n)
              for (const t of turns) expect(able.has(t.child), `${task.id} ${t.child}`).toBe(true)
              expect(scoopsOf(m).length).toBe(m.n)
              // Scooped by volume: what stands in the bowl, or the part of it that goes in here, within the tolerance of its role.
              if (unitOf(line.unit).dimension !== 'volume') continue
              const parts = of.recipe.steps
                .find((s) => s.id === task.step)
                ?.uses.find((u) => u.line === line.line)
              // A size by age has its own; an adult measures for all who have it; what goes round has its share in each round.
              const sizes = line.each?.sizes ?? []
              const small = sizes.reduce((n, x) => n + x.children.length, 0)
              const bowl = plan.bowls.find((b) => b.id === task.bowl)
              const one = task.size === undefined ? line.each?.amount : sizes[task.size]?.amount
              const heads =
                task.size === undefined
                  ? (bowl?.children.length ?? 0) - small
                  : (sizes[task.size]?.children.length ?? 0)
              const whole =
                task.portion && one
                  ? one
                  : sizes.length > 0 && one
                    ? ratio(one).mul(heads).toFraction()
                    : line.amount
              const asked = toBase(
                ratio(whole)
                  .mul(parts?.part ?? '1')
                  .div(task.passes?.of ?? 1)
                  .toFraction(),
                line.unit,
              )
              const off = madeBy(m).div(asked).sub(1).abs()
              expect(
                off.compare(TOLERANCE[line.role]),
                `${task.id} makes ${madeBy(m).toFraction()}`,
              ).toBeLessThanOrEqual(0)
              // An own portion of all who may is no more than stands in the bowl.
              if (task.portion && line.each)
                expect(
                  ratio(one ?? '0')
                    .mul(able.size)
                    .compare(line.amount),
                ).toBeLessThanOrEqual(0)
              expect(goesEach(task)).toBe(task.portion ? m.n : 1)
            }
            // Takers: nobody is reckoned to take what it may not have, and of each line as many as are laid out for.
            for (const choice of plan.choices ?? [])
              for (const offer of choice.offers) {
                expect(offer.picks.every((l) => offer.lines.includes(l))).toBe(true)
                expect(offer.picks.length).toBeLessThanOrEqual(choice.take)
              }
            // It runs short: what is done and what is left are all that is dealt from then on, as even as can be.
            const done = new Set(plan.turns.slice(0, Math.floor(share * plan.turns.length)).map((t) => t.id))
            const open = stillToMeasure(plan, done)
            const short = open[which % Math.max(1, open.length)]
            if (!short || short.scoops < 2) return
            const left = Math.floor(short.scoops * share)
            const next = ranShort(plan, short.line, left, done)
            if ('refused' in next) return
            const now = stillToMeasure(next.plan, done).find((l) => l.line === short.line)?.scoops ?? 0
            expect(now, `${short.line} left`).toBe(left)
            for (const t of plan.turns)
              if (done.has(t.id)) expect(next.plan.turns.some((x) => x.id === t.id)).toBe(true)
            expect(next.plan.turns.length).toBe(plan.turns.length - (short.scoops - left))
          },
        ),
        { numRuns: RUNS },
      )
      // Five thousand take their time: a limit for what never comes.
    },
    300_000 + RUNS * 1000,
  )
})
