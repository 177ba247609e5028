/** The kit, counted; who uses what; what an adult shows. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { toolOf } from '../../../src/craft/tools'
import { adultAway } from '../../../src/plan/live/adult-away'
import { compile } from '../../../src/plan/compile'
import { kitByPlace } from '../../../src/plan/gather/kit'
import type { Plan } from '../../../src/plan/model/plan'
import { whoUsesWhat } from '../../../src/plan/view/who-uses-what'
import { SHIPPED_RECIPES as SHIPPED } from '../../../src/recipe/shipped'
import type { PlanAdult } from '../../../src/plan/model/request'
import { child, four, recipeOf, request } from '../../group'

const adults = (n: number): PlanAdult[] =>
  Array.from({ length: n }, (_, i) => ({ id: `adult-${i}`, leads: ['knives', 'heat'] }))
const groups = (n: number) => {
  const kids = Array.from({ length: n }, (_, i) => child(`c${i}`, 40 + 4 * i))
  const base = request(kids, { adults: adults(3) })
  return { ...base, rules: { ...base.rules, grouping: 'groups' as const } }
}

const few = (r: ReturnType<typeof request>, tool: string, count: number) => ({
  ...r,
  kit: { ...r.kit, tools: [{ tool, count }] },
})
const kit = (plan: Plan, tool: string) => plan.kit.tools.find((t) => t.tool === tool)

describe('the kit of a shipped recipe', () => {
  it.each(SHIPPED.map((r) => [r.id, r] as const))(
    '%s: each tool once, of the catalogue, as many as children or bowls at most',
    (_, recipe) => {
      const plan = compile(
        request(
          [30, 40, 50, 62, 75, 90, 110, 140].map((m, i) => child(`c${i}`, m)),
          { recipe, adults: adults(3) },
        ),
      )
      expect(plan.kit.tools.length).toBeLessThanOrEqual(20)
      expect(new Set(plan.kit.tools.map((t) => t.tool)).size).toBe(plan.kit.tools.length)
      for (const t of plan.kit.tools) {
        expect(toolOf(t.tool)).toBeDefined()
        expect(t.n).toBeGreaterThanOrEqual(1)
        expect(t.n).toBeLessThanOrEqual(plan.children.length)
        expect(t.jobs.length).toBeGreaterThan(0)
      }
      // What the recipe names and a job counts is not listed twice.
      expect(plan.kit.equipment.filter((e) => plan.kit.tools.some((t) => t.name === e))).toEqual([])
      expect(kitByPlace(plan).flatMap((p) => p.tools).length).toBe(plan.kit.tools.length)
    },
  )
})

it('never lays out fewer than are in use at one moment, and no more with a tool than there are', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 10 }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 1, max: 4 }),
      (n, count, helpers) => {
        const kids = Array.from({ length: n }, (_, i) => child(`c${i}`, 40 + 9 * i))
        const plan = compile(few(request(kids, { adults: adults(helpers) }), 'child-scissors', count))
        expect(kit(plan, 'child-scissors')?.n ?? 0).toBeLessThanOrEqual(count)
        for (const t of plan.kit.tools)
          for (const turn of plan.turns) {
            const now = plan.turns.filter((x) => {
              const form = plan.tasks
                .find((y) => y.id === x.task)
                ?.forms.find((f) => f.children.includes(x.child))
              const is =
                form && [form.tool, ...form.with].includes(t.tool) && toolOf(t.tool)?.holds === 'child'
              return is && x.start <= turn.start && turn.start < x.end
            })
            expect(now.length).toBeLessThanOrEqual(t.n)
          }
      },
    ),
    { numRuns: 40 },
  )
})
it('a bowl keeps its food: one for each', () => {
  const plan = compile(groups(9))
  expect(plan.bowls.length).toBeGreaterThan(1)
  expect(kit(plan, 'mixing-bowl')?.n).toBe(plan.bowls.length)
})
it('boards limit too, and it is said how many rounds it takes', () => {
  const r = few(
    request(
      [60, 62, 64, 66].map((m, i) => child(`c${i}`, m)),
      { recipe: recipeOf('couscous-jars'), adults: adults(4) },
    ),
    'board',
    1,
  )
  const plan = compile(r)
  expect(kit(plan, 'board')?.n).toBe(1)
  const note = plan.findings.find((f) => f.rule === 'few-tools')
  expect(note?.grade).toBe('know')
  expect(note?.says).toBe('1 board for 4 children: they go in 4 rounds.')
})
it('is ticked off until the number changes', () => {
  const r = request(four())
  const tool = compile(r).kit.tools[0]
  if (!tool) throw new Error('no kit')
  const laid = (n: number) => compile({ ...r, decisions: [{ kind: 'laid', tool: tool.tool, n }] })
  expect(kit(laid(tool.n), tool.tool)?.laid).toBe(true)
  expect(kit(laid(tool.n + 1), tool.tool)?.laid).toBe(false)
  expect(laid(tool.n + 1).ineffective.map((d) => d.kind)).toEqual(['laid'])
})
it('what touched raw egg is washed before it is used again', () => {
  const base = recipeOf('couscous-jars')
  const recipe = {
    ...base,
    lines: [
      ...base.lines,
      { id: 'egg', food: 'egg-hen', amount: '2', unit: 'piece', role: 'binder' as const },
    ],
    steps: [
      {
        id: 'beat',
        title: 'Beat the eggs',
        picture: 'bowl',
        uses: [{ line: 'egg', part: '1' }],
        tasks: [{ technique: 'whisk', mode: 'TURNS' as const, seconds: 60 }],
      },
      ...base.steps,
      {
        id: 'again',
        title: 'Whisk the dressing',
        picture: 'bowl',
        uses: [{ line: 'oil', part: '1' }],
        tasks: [{ technique: 'whisk', mode: 'TURNS' as const, seconds: 60 }],
      },
    ],
  }
  const plan = compile(request(four(), { recipe }))
  expect(plan.kit.tools.map((t) => t.washed).filter(Boolean)).toContain(
    'washed after “Beat the eggs”, before “Whisk the dressing”',
  )
})

describe('who uses what', () => {
  it('names every blade in a child’s hand, and the adult beside', () => {
    for (const recipe of SHIPPED) {
      const plan = compile(
        request(
          [40, 62, 90, 140].map((m, i) => child(`c${i}`, m)),
          { recipe, adults: adults(2) },
        ),
      )
      const { columns, rows } = whoUsesWhat(plan)
      for (const task of plan.tasks.filter((t) => t.hazard === 'blade'))
        for (const turn of plan.turns.filter((t) => t.task === task.id)) {
          const cells = rows.find((r) => r.child === turn.child)?.cells.filter((c) => c.has) ?? []
          expect(cells.length, turn.id).toBeGreaterThan(0)
          expect(cells.some((c) => c.says.includes('beside'))).toBe(true)
        }
      for (const r of rows) expect(r.cells.length).toBe(columns.length)
    }
  })
  it('a child who is too young for it has the reason in its cell', () => {
    const plan = compile(request([child('small', 30), child('big', 62)]))
    const cell = whoUsesWhat(plan).rows.find((r) => r.child === 'small')?.cells[0]
    expect(cell).toMatchObject({ has: false, says: 'snip with scissors: from 3 years' })
  })
})

describe('what an adult shows', () => {
  const shown = (plan: Plan) => plan.tasks.filter((t) => t.shows !== undefined)
  it('a technique that nobody here has done, once, before its first turn; its seconds are on the clock', () => {
    const plan = compile(request(four()))
    const shows = shown(plan)
    expect(shows.map((t) => t.shows)).toContain('snip-scissors')
    expect(new Set(shows.map((t) => t.shows)).size).toBe(shows.length)
    for (const t of shows) {
      const first = Math.min(
        ...plan.turns
          .filter((x) => plan.tasks.some((y) => y.id === x.task && y.technique === t.shows))
          .map((x) => x.start),
      )
      expect(t.end ?? 0).toBeLessThanOrEqual(first)
      expect((t.end ?? 0) - (t.start ?? 0)).toBeGreaterThanOrEqual(t.seconds)
      expect(t.adult).toBeDefined()
    }
  })
  it('what somebody at the table has done before needs no showing, and the session is shorter by it', () => {
    const kids = four().map((c) => ({ ...c, lastDone: { 'snip-scissors': '2026-11-01' } }))
    const plan = compile(request(kids))
    expect(shown(plan).map((t) => t.shows)).not.toContain('snip-scissors')
    expect(plan.totals.seconds).toBeLessThan(compile(request(four())).totals.seconds)
  })
  it('is set down at another adult who leads it, and goes to one who leads it when the adult is called away', () => {
    const leads = [
      { id: 'petra', leads: ['knives' as const, 'heat' as const] },
      { id: 'gwenda', leads: ['knives' as const] },
      { id: 'seun', leads: ['heat' as const] },
    ]
    const wanted = request(four(), { adults: leads })
    const show = compile(wanted).tasks.find((t) => t.shows === 'snip-scissors')
    if (!show) throw new Error('nothing is shown')
    expect(show.adult).toBe('petra')
    const moved = (adult: string) =>
      compile({ ...wanted, decisions: [{ kind: 'stands', task: show.id, adult }] }).tasks.find(
        (t) => t.id === show.id,
      )?.adult
    expect(moved('gwenda')).toBe('gwenda')
    expect(moved('seun')).toBe('petra')
    const away = adultAway(compile(wanted), wanted, 'petra', 'wash')
    if ('refused' in away) throw new Error(away.refused)
    expect(away.plan.tasks.find((t) => t.id === show.id)?.adult).toBe('gwenda')
  })
})
