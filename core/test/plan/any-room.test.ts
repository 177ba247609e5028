/** Any room, any decisions, any record: every plan compiles and keeps the hard rules. Drawn, nothing here is a case somebody thought of. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TECHNIQUES } from '../../src/craft/techniques'
import { TOOLS, countOf } from '../../src/craft/tools'
import { swapsFor } from '../../src/food/swaps'
import { breaches } from '../../src/plan/check/check'
import { compile, openStops } from '../../src/plan/compile'
import { decide, type Decision } from '../../src/plan/model/decision'
import { HEAT_PLACES, ROOM_THINGS } from '../../src/recipe/heat-places'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { child, request } from '../group'

const env = (globalThis as { process?: { env?: Record<string, string | undefined> } }).process?.env
const RUNS = Number(env?.['LEA_DRAWN'] ?? 150)

const rungs = TECHNIQUES.flatMap((t) => t.ladder.map((r) => r.id))
const kid = fc.record({
  months: fc.integer({ min: 9, max: 150 }),
  hand: fc.constantFrom(undefined, 'left' as const),
  needs: fc.subarray(['wheelchair', 'limited-grip', 'no-wet-food'] as const),
  skills: fc.dictionary(
    fc.constantFrom(...TECHNIQUES.map((t) => t.id)),
    fc.constantFrom('alone' as const, 'reminder' as const, 'help' as const, 'not-today' as const),
    { maxKeys: 6 },
  ),
  rung: fc.constantFrom(...rungs),
})
const drawn = fc.record({
  recipe: fc.constantFrom(...SHIPPED_RECIPES),
  kids: fc.array(kid, { minLength: 1, maxLength: 9 }),
  adults: fc.integer({ min: 0, max: 3 }),
  leads: fc.subarray(['knives', 'heat'] as const),
  tools: fc.array(
    fc.record({ tool: fc.constantFrom(...TOOLS.map((t) => t.id)), count: fc.integer({ min: 0, max: 3 }) }),
    { maxLength: 25 },
  ),
  equipment: fc.subarray(ROOM_THINGS.map((t) => t.id)),
  points: fc.boolean(),
  knives: fc.constantFrom('soft-first' as const, 'real-early' as const),
  grouping: fc.constantFrom('together' as const, 'groups' as const, 'own' as const),
  seeds: fc.array(fc.tuple(fc.integer({ min: 0, max: 4 }), fc.nat(), fc.nat()), { maxLength: 6 }),
})

describe('any room', () => {
  it('compiles, keeps every hard rule, and lays out no more than there is', () => {
    fc.assert(
      fc.property(drawn, (x) => {
        const { recipe } = x
        const decisions = x.seeds.reduce<Decision[]>((list, [kind, a, b]) => {
          const line = recipe.lines[a % recipe.lines.length]
          const steps = recipe.steps
          const swaps = line ? swapsFor(line.food, line.role, line.unit) : []
          const swap = swaps[b % Math.max(1, swaps.length)]
          const place = HEAT_PLACES[a % HEAT_PLACES.length]
          const to = place?.instead[b % place.instead.length]
          const [one, other] = [steps[a % steps.length], steps[b % steps.length]]
          if (kind <= 1 && line && swap) return decide(list, { kind: 'swap', line: line.id, swap: swap.id })
          if (kind === 2 && place && to) return decide(list, { kind: 'place', from: place.id, to: to.place })
          if (kind === 3 && one && other)
            return decide(list, { kind: 'move', step: one.id, before: other.id })
          return decide(list, { kind: 'laid', tool: TOOLS[a % TOOLS.length]?.id ?? '', n: 1 + (b % 9) })
        }, [])
        const base = request(
          x.kids.map((k, i) =>
            child(`c${i}`, k.months, {
              needs: [...k.needs],
              skills: k.skills,
              rungs: Object.fromEntries(Object.keys(k.skills).map((t) => [t, k.rung])),
              ...(k.hand && { hand: k.hand }),
            }),
          ),
          {
            recipe,
            decisions,
            effort: 'sketch',
            adults: Array.from({ length: x.adults }, (_, i) => ({ id: `adult-${i}`, leads: [...x.leads] })),
          },
        )
        const wanted = {
          ...base,
          kit: { ...base.kit, tools: x.tools, equipment: x.equipment },
          rules: { ...base.rules, points: x.points, knives: x.knives, grouping: x.grouping },
        }
        const plan = compile(wanted)
        expect(breaches(plan, wanted)).toEqual([])
        if (x.adults === 0) expect(openStops(plan)).not.toEqual([])
        for (const t of plan.kit.tools.filter((k) => k.where === 'place'))
          expect(t.n, t.tool).toBeLessThanOrEqual(
            Math.max(plan.bowls.length, Math.min(plan.children.length, countOf(t.tool, x.tools))),
          )
      }),
      { numRuns: RUNS },
    )
  })
})
