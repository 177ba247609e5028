/** After the last step: tokens, leftovers, clearing up, what a family takes home, and the weeks behind. */
import { describe, expect, it } from 'vitest'
import { foodBook } from '../../src/food/own-foods'
import { compile } from '../../src/plan/compile'
import { ownPart } from '../../src/session/child-record'
import type { TableEvent } from '../../src/session/event'
import { familySheet } from '../../src/session/family'
import { cleanUp, foodsMet, keptPlaces, leftoverUntil, nextMet, tally } from '../../src/session/finish'
import { nextRound } from '../../src/session/next-round'
import { costPoints, overviewOf, turnsInOrder } from '../../src/session/overview'
import { replay } from '../../src/session/replay'
import { keptInRecipe } from '../../src/setting/keep-in-recipe'
import { child, recipeOf, request } from '../group'

const kids = [child('wren', 50), child('idris', 30), child('maren', 40), child('bodhi', 14)]
const bread = recipeOf('herb-soda-bread')
const base = request(kids, { recipe: bread })
const plan = compile(base)
let n = 0
const event = (kind: string, body: object): TableEvent =>
  ({ id: `e${++n}`, device: 'd', lamport: n, at: '2026-11-26T10:15:00Z', kind, body }) as TableEvent
const turn = (of: string): TableEvent[] =>
  plan.turns.filter((t) => t.child === of).map((t) => event('turn', { turn: t.id, child: of }))

describe('the tokens', () => {
  it('stand in rows by seat; a changed one counts once', () => {
    const state = replay([
      event('taste', { child: 'maren', taste: 'more' }),
      event('taste', { child: 'wren', taste: 'not-today' }),
      event('taste', { child: 'wren', taste: 'more' }),
    ])
    const order = plan.children.map((c) => c.id).filter((id) => id === 'wren' || id === 'maren')
    expect(tally(plan, state)).toEqual([
      { taste: 'more', who: order },
      { taste: 'tried', who: [] },
      { taste: 'not-today', who: [] },
    ])
  })
})

/** Sources: FSA (leftovers 2 days, rice 24 hours), USDA; common practice for taking home. From memory. */
describe('what is left', () => {
  const rice = { bowls: [{ ...plan.bowls[0], lines: [{ food: 'rice-white' }] }] } as never
  it('keeps two days in the fridge, rice one, and never longer than the recipe says', () => {
    expect(leftoverUntil(plan, '2026-11-26', [], 'fridge')).toBe('2026-11-28')
    expect(leftoverUntil(rice, '2026-11-26', [], 'fridge')).toBe('2026-11-27')
    expect(leftoverUntil(plan, '2026-11-26', [{ where: 'fridge', days: 1 }], 'fridge')).toBe('2026-11-27')
    expect(leftoverUntil(plan, '2026-11-26', [{ where: 'fridge', days: 5 }], 'fridge')).toBe('2026-11-28')
  })
  it('stands in a tin only where the recipe says so, and is eaten today where it says nothing', () => {
    expect(keptPlaces([])).not.toContain('room')
    // What is eaten today, by its own word, is not frozen for a month.
    expect(keptPlaces([{ where: 'fridge', days: 0 }])).toEqual(['fridge', 'home'])
    expect(keptPlaces([{ where: 'freezer', days: 60 }])).toContain('freezer')
    expect(keptPlaces([{ where: 'room', days: 1 }])).toContain('room')
    expect(leftoverUntil(plan, '2026-11-26', [], 'room')).toBe('2026-11-26')
    expect(leftoverUntil(plan, '2026-12-31', [], 'home')).toBe('2027-01-01')
  })
})

describe('clearing up', () => {
  it('is dealt to whoever did least first, one job each, by age, and dry to who does not touch what is wet', () => {
    const state = replay(turn('wren'))
    const jobs = cleanUp(plan, state, ['idris'])
    expect(jobs.map((j) => j.child)).not.toContain('bodhi')
    expect(new Set(jobs.map((j) => j.child)).size).toBe(jobs.length)
    expect(jobs.at(-1)?.child).toBe('wren')
    expect(jobs.find((j) => j.child === 'idris')?.job).not.toMatch(/wipe|wash/)
    const [first] = jobs
    const done = replay([...turn('wren'), event('cleaned', { job: first?.job, child: first?.child })])
    expect(cleanUp(plan, done, ['idris']).filter((j) => j.done)).toEqual([{ ...first, done: true }])
  })
})

it('a tap on a mat goes through every way of meeting a food, and round', () => {
  const ways = [nextMet(undefined)]
  for (let i = 0; i < 4; i++) ways.push(nextMet(ways.at(-1)))
  expect(ways).toEqual(['tasted', 'ate', 'refused', 'touched', 'tasted'])
})

describe('swaps kept in the recipe', () => {
  it('change nothing where none was cooked with; a swap takes its steps along', () => {
    expect(keptInRecipe(bread, [])).toBeNull()
    const swap = plan.findings.length >= 0 ? 'buttermilk' : ''
    const line = bread.lines.find((l) => l.food === swap)
    const set = compile(
      request([child('zuri', 50, { concerns: [{ allergen: 'milk', level: 'allergy' }] } as never)], {
        recipe: bread,
      }),
    ).swapSet
    const decisions = set?.decisions ?? []
    expect(decisions.some((d) => d.kind === 'swap' && d.line === line?.id)).toBe(true)
    const kept = keptInRecipe(bread, decisions)
    expect(kept?.lines.some((l) => l.food === 'buttermilk')).toBe(false)
    // Every line that was there, and every one that came, is used in a step.
    for (const l of kept?.lines ?? [])
      expect(kept?.steps.some((s) => s.uses.some((u) => u.line === l.id))).toBe(true)
    // It plans as it stands.
    if (kept) expect(compile({ ...base, recipe: kept }).bowls.length).toBeGreaterThan(0)
  })
})

describe('a family sheet', () => {
  const state = replay([
    ...turn('wren'),
    ...turn('idris'),
    event('taste', { child: 'wren', taste: 'tried' }),
    event('met', { child: 'wren', food: 'chives', how: 'touched' }),
    event('met', { child: 'idris', food: 'chives', how: 'ate' }),
    event('leftover', { what: 'bread', amount: '2 pieces', place: 'home', until: '2026-11-27' }),
    event('leftover', { what: 'bread', amount: 'a loaf', place: 'freezer', until: '2026-12-27' }),
  ])
  const sheet = (of: string | null, portions = 4, measures: 'cups' | 'grams' = 'cups') =>
    familySheet({
      plan,
      state,
      recipe: bread,
      decisions: [],
      foods: foodBook([]),
      child: of,
      languages: ['pl'],
      portions,
      measures,
    })
  it('holds what is of this child, and names no other', () => {
    const one = sheet('wren')
    expect(one.met).toEqual([`${bread.title}: tried it`, 'chives: touched or smelled'])
    expect(one.tryAgain).toEqual(['chives'])
    expect(JSON.stringify(one)).not.toMatch(/idris|maren|bodhi/)
    expect(one.leftovers).toEqual([{ amount: '2 pieces', place: 'home', until: '2026-11-27' }])
    expect(one.words.flatMap((w) => w.home).every((h) => h.language === 'pl')).toBe(true)
  })
  it('of the group holds nothing of one', () => {
    const all = sheet(null)
    expect([all.met, all.tryAgain]).toEqual([[], []])
    expect(JSON.stringify(all)).not.toMatch(/wren|idris|maren|bodhi/)
    expect(all.words.flatMap((w) => w.home)).toEqual([])
  })
  it('is at home scale, exact in cups, in grams where the weight is known', () => {
    const flour = (s: ReturnType<typeof sheet>) => s.lines.find((l) => /flour/.test(l.name))?.amount
    expect(flour(sheet(null, bread.serves * 2))).not.toBe(flour(sheet(null, bread.serves)))
    expect(flour(sheet(null, 4, 'grams'))).toMatch(/^\d+ g$/)
    for (const portions of [0, -1, 2.5, 25, NaN]) expect(() => sheet(null, portions)).toThrow(/1 to 24/)
  })
  it('says what the recipe lists', () => expect(sheet(null).lists.join()).toMatch(/gluten/))
})

describe('the weeks behind', () => {
  const past = (id: string, date: string, events: TableEvent[]) => ({
    id,
    date,
    title: bread.title,
    plan,
    events,
  })
  const weeks = [
    past('b', '2026-11-20', [
      ...turn('wren'),
      event('incident', { what: 'bump', who: ['wren'], text: '', done: 'x', by: 'p' }),
    ]),
    past('a', '2026-11-13', turn('idris')),
  ]
  it('count sessions, turns and jobs of each child, what was made, and what nobody had', () => {
    const view = overviewOf(weeks)
    expect(view.turns.map((t) => t.child)).toEqual(['bodhi', 'idris', 'maren', 'wren'])
    expect(view.turns.every((t) => t.sessions === 2)).toBe(true)
    expect(view.turns.find((t) => t.child === 'maren')).toMatchObject({ turns: 0, jobs: 0 })
    expect(view.turns.find((t) => t.child === 'wren')?.jobs).toBe(
      plan.turns.filter((t) => t.child === 'wren').length,
    )
    expect(view.made).toEqual([{ title: bread.title, times: 2, last: '2026-11-20' }])
    expect(view.cost.map((c) => c.session)).toEqual(['a', 'b'])
    const had = new Set(view.techniques.map((t) => t.id))
    expect(view.techniquesMissing.every((t) => !had.has(t.id))).toBe(true)
    expect(turnsInOrder(view, ['wren', 'zuri', 'idris']).map((t) => t.child)).toEqual(['wren', 'idris'])
    // No price is known in this group: nothing is drawn, rather than nought.
    expect(costPoints(view)).toEqual([])
    expect(
      costPoints({ ...view, cost: view.cost.map((c) => ({ ...c, perChild: 135 })) }).map((p) => [
        p.day,
        p.value,
      ]),
    ).toEqual([
      ['13/11', 1.35],
      ['20/11', 1.35],
    ])
    expect(view.incidents).toMatchObject([{ session: 'b', seen: false }])
  })
  it('of no session say so in figures', () => {
    const none = overviewOf([])
    expect([none.turns, none.made, none.cost, none.incidents]).toEqual([[], [], [], []])
  })
  it('of one child are exported without the others', () => {
    const [first] = weeks
    if (!first) throw new Error('none')
    const own = JSON.stringify(ownPart(first, 'wren'))
    expect(own).toContain('bump')
    expect(own).not.toMatch(/"idris"|"maren"/)
  })
})

describe('foods to meet', () => {
  it('stand each once, without water, with how many children it is noted of', () => {
    const met = ['wren', 'maren'].map((child) => event('met', { child, food: 'chives', how: 'tasted' }))
    const foods = foodsMet(
      plan,
      replay([...met, event('met', { child: 'wren', food: 'chives', how: 'ate' })]),
    )
    expect(new Set(foods.map((f) => f.food)).size).toBe(foods.length)
    expect(foods.map((f) => f.food)).not.toContain('water')
    expect(foods.filter((f) => f.noted > 0)).toMatchObject([{ food: 'chives', noted: 2 }])
  })
})

describe('what has not come round', () => {
  const book = ['herb-soda-bread', 'couscous-jars', 'chapati-dal'].map((id) => ({ id, recipe: recipeOf(id) }))
  const rules = { knives: 'soft-first', week: ['knead'], targets: [] as string[] } as const
  const round = (ages: number[], more: object = {}) =>
    nextRound(overviewOf([]), book, ages, { ...rules, ...more } as never)
  it('comes with the recipes that bring it, the week’s first', () => {
    const { techniques } = round([50])
    expect(techniques[0]).toMatchObject({ id: 'knead', ofWeek: true })
    for (const t of techniques)
      for (const { id } of t.recipes)
        expect(
          recipeOf(id)
            .steps.flatMap((s) => s.tasks)
            .map((k) => k.technique),
        ).toContain(t.id)
    const counts = techniques.slice(1).map((t) => t.recipes.length)
    expect(counts).toEqual([...counts].sort((a, b) => b - a))
  })
  it('is nothing that only an adult does, or that nobody here is old enough for', () => {
    const all = (ages: number[]) => {
      const { techniques, without } = round(ages)
      return [...techniques, ...without].map((t) => t.id)
    }
    expect(all([50])).not.toContain('deep-fry')
    expect(all([18])).not.toContain('snip-scissors')
    expect(all([50])).toContain('snip-scissors')
    expect(all([])).toEqual([])
    // Where the setting moves an age, this moves too.
    const moved = round([50], { techniques: [{ technique: 'snip-scissors', from: 60 }] })
    expect([...moved.techniques, ...moved.without].map((t) => t.id)).not.toContain('snip-scissors')
  })
  it('targets are of an age that somebody has, the week’s first', () => {
    const { targets } = round([30], { targets: ['count-recite-5'] })
    expect(targets[0]).toMatchObject({ id: 'count-recite-5', ofWeek: true })
    expect(targets.length).toBeGreaterThan(5)
    expect(targets.map((t) => t.id)).not.toContain('frac-divide')
    expect(round([110]).targets.map((t) => t.id)).toContain('frac-divide')
  })
})
