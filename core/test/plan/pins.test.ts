/** What is set down by hand: a turn at a time, an adult at a job; and who is dealt a job rather. */
import { describe, expect, it } from 'vitest'
import { TECHNIQUES } from '../../src/craft/techniques'
import { compile } from '../../src/plan/compile'
import type { Plan } from '../../src/plan/model/plan'
import type { PlanRequest } from '../../src/plan/model/request'
import { cannotSupervise } from '../../src/plan/split/adult-for'
import { turnAt, whyNotTo } from '../../src/plan/view/lanes'
import { breaches } from '../../src/plan/check/check'
import { child, four, recipeOf, request } from '../group'

const groups = (n: number): PlanRequest => {
  const base = request(Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i)))
  return { ...base, rules: { ...base.rules, grouping: 'groups' } }
}

describe('a turn set down on the clock', () => {
  it('is pinned to its number and stays there; beside its task it is refused with the times', () => {
    const r = request(four())
    const plan = compile(r)
    const task = plan.tasks.find((t) => t.technique === 'stir')
    const last = plan.turns.filter((t) => t.task === task?.id).at(-1)
    if (!task || !last) throw new Error('no task')
    const left = (100 * (last.start + 1)) / plan.totals.seconds
    expect(turnAt(plan, task.id, left)).toBe(last.number)
    expect(turnAt(plan, task.id, 0)).toHaveProperty('refused')
    expect(whyNotTo(plan, task.id, 'wren')).toBeNull()
    const pin = { kind: 'pin' as const, task: task.id, child: 'wren', number: last.number }
    const pinned = compile({ ...r, decisions: [pin] })
    expect(pinned.turns.find((t) => t.id === last.id)?.child).toBe('wren')
    expect(breaches(pinned, { ...r, decisions: [pin] })).toEqual([])
  })
  it('an adult set down at a job stands there, and one who does not lead it is refused with the reason', () => {
    const r = groups(8)
    const plan = compile(r)
    const snip = plan.tasks.find((t) => t.technique === 'snip-scissors' && t.adult === 'petra')
    const bake = plan.tasks.find((t) => t.place === 'oven' && t.mode === 'ADULT')
    if (!snip || !bake) throw new Error('no task')
    const stands = { kind: 'stands' as const, task: snip.id, adult: 'gwenda' }
    const after = compile({ ...r, decisions: [stands] })
    expect(after.tasks.find((t) => t.id === snip.id)?.adult).toBe('gwenda')
    expect(breaches(after, { ...r, decisions: [stands] })).toEqual([])
    const gwenda = r.adults.find((a) => a.id === 'gwenda')
    const oven = TECHNIQUES.find((t) => t.id === bake.technique)
    expect(oven && cannotSupervise(oven, gwenda)).toBe('{{gwenda}} does not lead heat: use the oven.')
    // Decided all the same, it has no effect, and is said to have none.
    const wrong = { kind: 'stands' as const, task: bake.id, adult: 'gwenda' }
    const kept = compile({ ...r, decisions: [wrong] })
    expect(kept.tasks.find((t) => t.id === bake.id)?.adult).toBe('petra')
    expect(kept.ineffective).toEqual([wrong])
  })
  it('an allergy added moves the child off the task, pinned or not', () => {
    const r = request(four())
    const task = compile(r).tasks.find((t) => t.id.includes('buttermilk'))?.id ?? ''
    const pin = { kind: 'pin' as const, task, child: 'wren', number: 1 }
    const milk = { allergen: 'milk', level: 'allergy-strict' as const }
    const after = compile({
      ...r,
      decisions: [pin],
      children: r.children.map((c) => (c.id === 'wren' ? { ...c, concerns: [milk] } : c)),
    })
    expect(after.turns.some((t) => t.task === task && t.child === 'wren')).toBe(false)
    expect(after.ineffective).toContainEqual(pin)
  })
})

describe('dealing', () => {
  const pourers = (more: Partial<PlanRequest['rules']>, lately: Record<string, string>) => {
    const list = four().map((c) => (c.id === 'wren' ? { ...c, lastDone: lately } : c))
    const base = request(list, { recipe: recipeOf('beetroot-bean-dip') })
    return compile({ ...base, rules: { ...base.rules, ...more } })
  }
  const has = (p: Plan, who: string, technique: string) =>
    p.turns.filter((t) => t.child === who && p.tasks.find((k) => k.id === t.task)?.technique === technique)
      .length
  it('who had a job lately has it rather less, and nobody has fewer turns for it', () => {
    const before = pourers({}, {})
    const after = pourers({}, { 'level-scoop': '2026-11-24' })
    expect(has(after, 'wren', 'level-scoop')).toBeLessThanOrEqual(has(before, 'wren', 'level-scoop'))
    const counts = (p: Plan) => p.totals.perChild.map((c) => c.turns).sort()
    expect(counts(after)).toEqual(counts(before))
  })
  it("of the week's targets those come first who have not come to it", () => {
    const all = { 'level-scoop': '2026-11-24', mash: '2026-11-24', stir: '2026-11-24' }
    const after = pourers({ week: ['mash'] }, all)
    expect(has(after, 'wren', 'mash')).toBeLessThanOrEqual(has(pourers({}, {}), 'wren', 'mash'))
  })
})
