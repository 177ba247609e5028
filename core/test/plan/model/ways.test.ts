/** Ways of one recipe by what a room has: chosen by the plan, said, and judged like any other step. */
import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { compile, openStops } from '../../../src/plan/compile'
import type { PlanRequest } from '../../../src/plan/model/request'
import { putTogether } from '../../../src/recipe/put-together'
import type { Recipe } from '../../../src/recipe/recipe'
import { changedWay, isLacking, LACKS, wayText, withWay } from '../../../src/recipe/kinds/ways'
import { recipeSchema } from '../../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../../group'

const soup = recipeOf('soup-of-my-own')
const group = [child('wren', 64), child('idris', 55), child('maren', 70)]
const asked = (recipe: Recipe, equipment: string[], more: Partial<PlanRequest> = {}): PlanRequest => {
  const base = request(group, { recipe, ...more })
  return { ...base, kit: { ...base.kit, equipment, ...more.kit } }
}
/** Broth on the hob; where nothing gets hot the water is poured as it is. */
const withCold = (lacks: string): Recipe => ({
  ...soup,
  id: 'own:ways',
  steps: soup.steps.map((s) =>
    s.id === 'warm'
      ? {
          ...s,
          ways: [
            {
              lacks,
              title: 'Stir a cold broth',
              says: 'Stir the stock into cold water until it is gone.',
              tasks: [{ technique: 'stir', mode: 'TURNS' as const, seconds: 20, turns: 6 }],
            },
          ],
        }
      : s,
  ),
})
const hotTasks = (plan: ReturnType<typeof compile>) =>
  plan.tasks.filter((t) => t.step === 'warm' && t.hazard === 'heat')

describe('the way by what a room has', () => {
  it('is that of the recipe where nothing gets hot, is said, and leaves no hot job and no missing hob', () => {
    const cold = asked(withCold('heat'), ['fridge'])
    const plan = compile(cold)
    expect(breaches(plan, cold)).toEqual([])
    expect(hotTasks(plan)).toEqual([])
    expect(plan.schedule.find((s) => s.step === 'warm')?.title).toBe('Stir a cold broth')
    const way = plan.findings.find((f) => f.rule === 'way')
    expect(way?.says).toBe(
      'Stir a cold broth. Without anything hot: Stir the stock into cold water until it is gone.',
    )
    expect(openStops(plan).filter((f) => /hob/i.test(f.says))).toEqual([])
  })

  it('is not taken where the room has what it wants', () => {
    const plan = compile(asked(withCold('heat'), ['hob', 'fridge']))
    expect(plan.findings.filter((f) => f.rule === 'way')).toEqual([])
    expect(hotTasks(plan).length).toBeGreaterThan(0)
  })

  it('gives way to another place that a person chose, and comes before what Lea would choose by itself', () => {
    const room = ['microwave', 'fridge']
    const own = compile(asked(withCold('hob'), room))
    expect(own.schedule.find((s) => s.step === 'warm')?.title).toBe('Stir a cold broth')
    const decisions = [{ kind: 'place' as const, from: 'hob' as const, to: 'microwave' as const }]
    const moved = compile(asked(withCold('hob'), room, { decisions }))
    expect(moved.schedule.find((s) => s.step === 'warm')?.title).toBe('Broth on the hob')
    expect(hotTasks(moved).map((t) => t.place)).toContain('microwave')
  })

  it('goes by tools too: a way without a grater where the Cupboard counts none', () => {
    const grated: Recipe = {
      ...soup,
      id: 'own:tools',
      steps: soup.steps.map((s) =>
        s.id === 'grate'
          ? {
              ...s,
              ways: [
                {
                  lacks: 'box-grater',
                  says: 'Peel it into ribbons.',
                  tasks: [{ technique: 'peel-peeler', mode: 'TURNS' as const, seconds: 30 }],
                },
              ],
            }
          : s,
      ),
    }
    const tools = LACKS.some((l) => l.id === 'box-grater')
    expect(tools).toBe(true)
    const base = asked(grated, ['hob', 'fridge'])
    const none = compile({ ...base, kit: { ...base.kit, tools: [{ tool: 'box-grater', count: 0 }] } })
    const some = compile({ ...base, kit: { ...base.kit, tools: [{ tool: 'box-grater', count: 2 }] } })
    const of = (p: typeof none) => p.tasks.filter((t) => t.step === 'grate').map((t) => t.technique)
    expect(of(none)).toContain('peel-peeler')
    expect(of(some)).not.toContain('peel-peeler')
  })

  it('never leaves raw what the recipe cooks: a way without heat for meat is told so', () => {
    const broth = recipeOf('chicken-sweetcorn-broth')
    const cold: Recipe = {
      ...broth,
      id: 'own:raw',
      steps: broth.steps.map((s) =>
        s.tasks.some((t) => t.place === 'hob')
          ? {
              ...s,
              ways: [
                {
                  lacks: 'heat',
                  says: 'Stir it cold.',
                  tasks: [{ technique: 'stir', mode: 'TURNS' as const, seconds: 20 }],
                },
              ],
            }
          : s,
      ),
    }
    const plan = compile(asked(cold, ['fridge']))
    expect(openStops(plan).some((f) => /raw|cooked|chicken/i.test(f.says))).toBe(true)
    // And no child stirs, squashes or eats it while it is raw.
    const open = plan.tasks.filter(
      (t) => ['stir', 'mash', 'taste'].includes(t.technique) && t.mode !== 'WAIT',
    )
    expect(open.map((t) => t.mode)).toEqual(open.map(() => 'ADULT'))
  })

  it('is written in the editor, stands in the schema, and goes along when things are put together', () => {
    const step = soup.steps[1]
    if (!step) throw new Error('a step')
    expect(withWay(step).ways?.[0]?.lacks).toBe('hob')
    expect(changedWay(withWay(step), 0, { lacks: 'scale' }).ways?.[0]?.lacks).toBe('scale')
    expect(changedWay(withWay(step), 0, null).ways).toBeUndefined()
    expect(recipeSchema.isValidSync(withCold('heat'))).toBe(true)
    expect(recipeSchema.isValidSync(withCold('a wishing well'))).toBe(false)
    const both = putTogether([recipeOf('cucumber-mint-raita'), withCold('heat')], 'own:both')
    if ('refused' in both) throw new Error(both.refused)
    expect(both.steps.find((s) => s.id === '2-warm')?.ways).toHaveLength(1)
    expect(wayText({ lacks: 'oven', says: 'Eat it as it is.', tasks: [] })).toBe(
      'Without oven: Eat it as it is.',
    )
    expect(isLacking('heat', ['fire'], [])).toBe(false)
  })

  it('says where it is done here, where the recipe’s sentence names the place that is lacking', () => {
    const base = recipeOf('embers-hot-pot')
    const hot = base.steps.filter((x) => x.tasks.some((t) => t.place === 'fire')).map((x) => x.id)
    const pot: Recipe = {
      ...base,
      steps: base.steps.map((x) => (hot.includes(x.id) ? { ...x, says: 'On the embers, turned often.' } : x)),
    }
    const says = (equipment: string[]): string[] =>
      compile(asked(pot, equipment)).schedule.flatMap((x) => (hot.includes(x.step) ? [x.says ?? ''] : []))
    expect(says(['oven', 'fridge'])).toEqual(hot.map(() => 'On the embers, turned often. (Here: the oven.)'))
    expect(says(['fire', 'fridge'])).toEqual(hot.map(() => 'On the embers, turned often.'))
  })
})
