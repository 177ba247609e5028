/** What goes round the table: by the seats, each with the own measure, in rounds with enough for all of them. */
import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { toText } from '../../../src/amount/ratio'
import { madeBy } from '../../../src/plan/model/scoop-sequence'
import { amountRows } from '../../../src/plan/view/amount-rows'
import { compile } from '../../../src/plan/compile'
import { childLeaves } from '../../../src/plan/live/child-leaves'
import { ranShort } from '../../../src/plan/live/ran-short'
import { decide } from '../../../src/plan/model/decision'
import type { PlanRequest } from '../../../src/plan/model/request'
import { passText, passesText, roundsRows } from '../../../src/plan/view/pass-words'
import { passesOf, withPasses } from '../../../src/recipe/kinds/passes'
import type { Recipe } from '../../../src/recipe/recipe'
import { recipeSchema } from '../../../src/schema/recipe/recipe'
import { child, recipeOf, request } from '../../group'

const oats = recipeOf('overnight-oats-pear')
/** A bowl of raspberries goes round: each takes its spoons, and hands it on. */
const round = (times: number, more: Partial<Recipe> = {}): Recipe => ({
  ...oats,
  id: 'own:round',
  title: 'The bowl goes round',
  lines: [
    { id: 'oats', food: 'oats-rolled', amount: '3', unit: 'cup_m', role: 'structure', each: true },
    { id: 'seeds', food: 'raspberry', amount: '12', unit: 'tbsp_m', role: 'topping' },
  ],
  serves: 6,
  choices: [],
  ahead: [],
  steps: [
    ...oats.steps.slice(0, 1),
    {
      id: 'round',
      title: 'The bowl goes round',
      picture: 'bowl',
      uses: [{ line: 'seeds', part: '1' }],
      tasks: [
        {
          technique: 'level-scoop',
          mode: 'EACH',
          measures: true,
          seconds: 15,
          passes: { times, asks: 'Would you like berries?', answers: 'Yes, please.' },
        },
      ],
    },
    {
      id: 'fill',
      title: 'Fill your pot',
      picture: 'jar',
      uses: [{ line: 'oats', part: '1' }],
      tasks: [{ technique: 'level-scoop', mode: 'EACH', measures: true, seconds: 15 }],
    },
  ],
  ...more,
})
const ages = [70, 40, 66, 50, 44, 58]
const group = ages.map((months, i) => child(`c${i}`, months))
const asked = (times: number, more: Partial<PlanRequest> = {}): PlanRequest =>
  request(group, { recipe: round(times), ...more })
const roundTasks = (plan: ReturnType<typeof compile>) =>
  plan.tasks.filter((t) => t.step === 'round' && t.passes)

describe('what goes round', () => {
  it('goes by the seats, one after another, and each has the own measure', () => {
    const plan = compile(asked(1))
    expect(breaches(plan, asked(1))).toEqual([])
    expect(planFault(JSON.parse(JSON.stringify(plan)))).toBeNull()
    const [task, ...others] = roundTasks(plan)
    expect(others).toEqual([])
    const turns = plan.turns.filter((t) => t.task === task?.id)
    const children = plan.bowls[0]?.children ?? []
    expect([...new Set(turns.map((t) => t.child))]).toEqual(children)
    // 12 tbsp for six: two each.
    for (const c of children) expect(turns.filter((t) => t.child === c)).toHaveLength(2)
    const sorted = [...turns].sort((a, b) => a.start - b.start)
    sorted.slice(1).forEach((t, i) => expect(t.start).toBeGreaterThanOrEqual(sorted[i]?.end ?? 0))
  })

  it('is refused by the checker where it goes another way than by the seats', () => {
    const plan = compile(asked(1))
    const [task] = roundTasks(plan)
    const [a, b] = [plan.bowls[0]?.children[0], plan.bowls[0]?.children[1]]
    const turns = plan.turns.map((t) =>
      t.task !== task?.id
        ? t
        : { ...t, child: t.child === a ? (b ?? '') : t.child === b ? (a ?? '') : t.child },
    )
    expect(breaches({ ...plan, turns }, asked(1)).join()).toContain('does not go round by the seats')
  })

  it('goes round twice with the same amount: half of each child’s part in each round', () => {
    const plan = compile(asked(2))
    expect(breaches(plan, asked(2))).toEqual([])
    const tasks = roundTasks(plan)
    expect(tasks.map((t) => [t.passes?.round, t.passes?.of])).toEqual([
      [1, 2],
      [2, 2],
    ])
    for (const t of tasks) expect(plan.turns.filter((x) => x.task === t.id)).toHaveLength(6)
    expect(amountRows(plan, plan.bowls[0]?.id ?? '').map((r) => r.share)).toContain(
      'The bowl goes round, round 2 of 2',
    )
    expect(plan.bowls[0]?.lines.find((l) => l.line === 'seeds')?.amount).toBe('12')
  })

  it('once more: with enough of it for every round, also on the shopping list', () => {
    const decisions = decide([], { kind: 'rounds', step: 'round', times: 3 })
    const plan = compile(asked(1, { decisions }))
    expect(breaches(plan, asked(1, { decisions }))).toEqual([])
    expect(roundTasks(plan)).toHaveLength(3)
    expect(plan.bowls[0]?.lines.find((l) => l.line === 'seeds')?.amount).toBe('36')
    // What others steps use is not doubled by it.
    expect(plan.bowls[0]?.lines.find((l) => l.line === 'oats')?.amount).toBe('3')
    expect(roundsRows(plan)).toEqual([{ step: 'round', title: 'The bowl goes round', times: 3 }])
    expect(plan.ineffective).toEqual([])
  })

  it('says who hands it to whom, in each round', () => {
    const [first, second] = roundTasks(compile(asked(2)))
    if (!first || !second) throw new Error('two rounds')
    expect(passText(first, 'c0')).toBe(
      'Round 1 of 2. An adult hands it to {{c0}}: “Would you like berries?” “Yes, please.”',
    )
    expect(passText(first, 'c1')).toContain('{{c0}} hands it to {{c1}}')
    // It has it in its hands by the second spoon.
    expect(passText(first, 'c1', 1)).toBe('')
    expect(passText(second, 'c0')).toContain('{{c5}} hands it to {{c0}}')
    expect(passesText(round(2).steps[1] ?? { tasks: [] })).toBe(
      'It goes round twice, seat by seat: “Would you like berries?” “Yes, please.”',
    )
  })

  it('goes from own bowl to own bowl by the seats, one with it at a time, round after round', () => {
    for (const times of [1, 2, 3]) {
      const base = asked(times)
      const of: PlanRequest = { ...base, rules: { ...base.rules, grouping: 'own' } }
      const plan = compile(of)
      expect(plan.bowls.length).toBe(of.children.length)
      expect(breaches(plan, of)).toEqual([])
      const going = new Set(plan.tasks.filter((t) => t.passes && t.mode === 'EACH').map((t) => t.id))
      const turns = plan.turns.filter((t) => going.has(t.task)).sort((a, b) => a.start - b.start)
      for (const [i, t] of turns.entries())
        if (i > 0) expect(t.start).toBeGreaterThanOrEqual(turns[i - 1]?.end ?? 0)
      const first = turns.filter((t, i) => turns[i - 1]?.child !== t.child).map((t) => t.child)
      const seats = plan.bowls.flatMap((b) => b.children).filter((c) => first.includes(c))
      expect(first).toEqual(Array.from({ length: times }, () => seats).flat())
      // The second is handed it by the first, and in the next round the first by the last.
      const of2 = plan.tasks.find((t) => t.passes?.round === 1 && t.passes.order[0] === seats[1])
      expect(of2 && passText(of2, seats[1] ?? '')).toContain(`{{${seats[0] ?? ''}}} hands it to`)
      const again = plan.tasks.find((t) => t.passes?.round === 2 && t.passes.order[0] === seats[0])
      if (times > 1)
        expect(again && passText(again, seats[0] ?? '')).toContain(`{{${seats.at(-1) ?? ''}}} hands`)
    }
  })

  it('goes on to who is there when a child leaves: nobody is said to hand it on who is gone', () => {
    for (const grouping of ['together', 'own'] as const) {
      const base = asked(2)
      const of: PlanRequest = { ...base, rules: { ...base.rules, grouping } }
      const plan = compile(of)
      for (const { id } of of.children) {
        const after = childLeaves(plan, new Set(), id)
        if ('refused' in after) throw new Error(after.refused)
        for (const t of after.plan.tasks.filter((x) => x.passes && x.forms.length > 0))
          for (const c of t.passes?.order ?? []) expect(passText(t, c)).not.toContain(`{{${id}}}`)
      }
    }
  })

  it('is refused by the checker where two own bowls have it at once', () => {
    const base = asked(1)
    const of: PlanRequest = { ...base, rules: { ...base.rules, grouping: 'own' } }
    const plan = compile(of)
    const going = new Set(plan.tasks.filter((t) => t.passes).map((t) => t.id))
    const begin = Math.min(...plan.turns.filter((t) => going.has(t.task)).map((t) => t.start))
    const turns = plan.turns.map((t) =>
      going.has(t.task) ? { ...t, start: begin, end: begin + (t.end - t.start) } : t,
    )
    expect(breaches({ ...plan, turns }, of).join()).toMatch(/before it is handed on/)
  })

  it('leaves out whoever takes no part, and goes on to the next', () => {
    const no = group.map((c) => (c.id === 'c2' ? { ...c, limits: ['level-scoop'] } : c))
    const plan = compile({ ...asked(1), children: no })
    const [task] = roundTasks(plan)
    expect(task?.passes?.order).not.toContain('c2')
    expect(passText(task ?? {}, 'c3')).toContain('{{c1}} hands it to {{c3}}')
  })

  it('has its share in each round also where an adult does it', () => {
    const small = [child('a', 20), child('b', 22)]
    const plan = compile({ ...asked(2), children: small })
    expect(breaches(plan, { ...asked(2), children: small })).toEqual([])
    const cups = roundTasks(plan).map((t) => (t.measured?.by === 'scoop' ? toText(madeBy(t.measured)) : ''))
    // Two portions of 2 tbsp, over two rounds: 2 tbsp (30 mL) in each.
    expect(cups).toEqual(['30', '30'])
  })

  it('runs short in the second round: what is left is shared out evenly from there', () => {
    const plan = compile(asked(2))
    const [first] = roundTasks(plan)
    const done = new Set(plan.turns.filter((t) => t.task === first?.id).map((t) => t.id))
    const change = ranShort(plan, 'seeds', 4, done)
    if ('refused' in change) throw new Error(change.refused)
    const had = (c: string): number =>
      change.plan.turns.filter((t) => t.child === c && t.task.includes('/round/')).length
    expect(group.map((c) => had(c.id)).sort()).toEqual([1, 1, 2, 2, 2, 2])
  })

  it('is written and taken back in the editor, and stands in the schema', () => {
    const step = round(1).steps[1]
    if (!step) throw new Error('a step')
    expect(passesOf(withPasses(step, 2))?.times).toBe(2)
    expect(passesOf(withPasses(step, 0))).toBeUndefined()
    expect(passesOf(withPasses(withPasses(step, 0), 9))?.times).toBe(6)
    expect(recipeSchema.isValidSync(round(2))).toBe(true)
    expect(recipeSchema.isValidSync({ ...round(7) })).toBe(false)
  })
})
