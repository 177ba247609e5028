/** Tools as things: the catalogue, its names, and the form that age, food, hands, room and record leave. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Circumstances, formFor } from '../../src/craft/form'
import { TECHNIQUES, techniqueOf } from '../../src/craft/techniques'
import {
  TOOLS,
  TOOL_GROUPS,
  countOf,
  fewToolsText,
  isPointed,
  toolIdOf,
  toolName,
  toolOf,
  withCount,
} from '../../src/craft/tools'
import { SHIPPED_BOOK } from '../../src/food/foods'
import { must } from '../../src/amount/must'

const rungs = TECHNIQUES.flatMap((t) => t.ladder.map((r) => ({ ...r, technique: t.id })))
const technique = (id: string) => must(techniqueOf(id), id)

describe('the catalogue', () => {
  it('has each tool once, in a group, with two names', () => {
    expect(new Set(TOOLS.map((t) => t.id)).size).toBe(TOOLS.length)
    for (const t of TOOLS) {
      expect(TOOL_GROUPS, t.id).toContain(t.group)
      expect(t.one).not.toBe(t.many)
      for (const other of Object.values(t.adapts ?? {})) expect(toolOf(other), other).toBeDefined()
    }
  })
  it('every rung says how, and names only tools that there are', () => {
    for (const r of rungs) {
      expect(r.says.length, `${r.technique}/${r.id}`).toBeGreaterThan(4)
      expect(r.says, r.id).not.toMatch(/[→≤½¾]|^to \d|^\d/)
      for (const tool of [r.tool, ...(r.with ?? []), ...(r.or ?? [])].filter((x) => x !== undefined))
        expect(toolOf(tool), tool).toBeDefined()
    }
    for (const t of TECHNIQUES) expect(new Set(t.ladder.map((r) => r.id)).size).toBe(t.ladder.length)
  })
  it('the foods of a rung are foods, and no rung shuts out its own', () => {
    const ids = new Set(SHIPPED_BOOK.all.map((f) => f.id))
    for (const r of rungs) {
      for (const food of [...(r.foods ?? []), ...(r.not ?? [])]) expect(ids, food).toContain(food)
      expect((r.foods ?? []).filter((f) => r.not?.includes(f))).toEqual([])
    }
  })
  it('no word names two tools', () => {
    const of = new Map<string, string>()
    for (const t of TOOLS)
      for (const name of [t.one, t.many, ...(t.names ?? [])]) {
        expect(of.get(name) ?? t.id, name).toBe(t.id)
        of.set(name, t.id)
        expect(toolIdOf(name), name).toBe(t.id)
        expect(toolIdOf(name.toUpperCase()), name).toBe(t.id)
      }
  })
  it.each([
    ['soft knives', 'nylon-knife'],
    ['boards', 'board'],
    ['big bowl', 'mixing-bowl'],
    ['drum grater', 'drum-grater'],
    ['small rolling pins', 'mini-pin'],
    ['Jars with lids', 'lidded-jar'],
    ['kettle (adult)', 'kettle'],
    ['nylon serrated', 'nylon-knife'],
    ['round-nosed child scissors in a beaker of herbs', 'child-scissors'],
    ['bowl cover', undefined],
    ['knife block', undefined],
    ['hob', undefined],
  ])('%s is %s', (words, id) => {
    expect(toolIdOf(words)).toBe(id)
  })
  it('counts: enough where nothing is said, the fewest where it is said twice, none', () => {
    expect(countOf('board', undefined)).toBe(Infinity)
    expect(
      countOf('nylon-knife', [
        { tool: 'nylon serrated', count: 3 },
        { tool: 'nylon-knife', count: 2 },
      ]),
    ).toBe(2)
    expect(withCount([{ tool: 'nylon serrated', count: 3 }], 'nylon-knife', 4)).toEqual([
      { tool: 'nylon-knife', count: 4 },
    ])
    expect(withCount([{ tool: 'nylon serrated', count: 3 }], 'nylon-knife', null)).toEqual([])
    expect(
      fewToolsText([
        { tool: 'board', count: 1 },
        { tool: 'box-grater', count: 0 },
      ]),
    ).toBe('1 board, no box graters; of all else there is enough.')
    expect(toolName('tin-opener', 1, 'en-US')).toBe('safe-edge can opener')
  })
})

describe('the form', () => {
  const anything = fc.record({
    technique: fc.constantFrom(...TECHNIQUES),
    months: fc.integer({ min: 4, max: 180 }),
    foods: fc.array(fc.constantFrom(...SHIPPED_BOOK.all.map((f) => f.id)), { maxLength: 3 }),
    knives: fc.constantFrom('soft-first' as const, 'real-early' as const),
    points: fc.boolean(),
    seen: fc.constantFrom(
      undefined,
      'alone' as const,
      'help' as const,
      'reminder' as const,
      'not-today' as const,
    ),
    rung: fc.constantFrom(undefined, ...rungs.map((r) => r.id)),
    hand: fc.constantFrom(undefined, 'left' as const, 'right' as const),
    needs: fc.subarray(['wheelchair', 'limited-grip', 'no-wet-food'] as const),
    tools: fc.array(
      fc.record({ tool: fc.constantFrom(...TOOLS.map((t) => t.id)), count: fc.integer({ min: 0, max: 2 }) }),
    ),
  })
  const known = (
    x: {
      hand: 'left' | 'right' | undefined
      needs: readonly ('wheelchair' | 'limited-grip' | 'no-wet-food')[]
    } & Omit<Circumstances, 'hands'>,
  ): Circumstances => ({
    ...x,
    hands: { ...(x.hand && { hand: x.hand }), needs: x.needs },
  })
  it('never hands out a rung before its age, one that is not for the food, or a tool that is not there', () => {
    fc.assert(
      fc.property(anything, (x) => {
        const form = formFor(x.technique, x.months, known(x))
        if (form.kind !== 'do' || form.rung === undefined) return
        const rung = must(
          x.technique.ladder.find((r) => r.id === form.rung),
          'its rung',
        )
        expect(rung.fromMonths).toBeLessThanOrEqual(x.months)
        if (form.tool !== '') expect(countOf(form.tool, x.tools)).toBeGreaterThan(0)
      }),
      { numRuns: 3000 },
    )
  })
  it('a point only where the house opened it and the child was seen to go alone', () => {
    fc.assert(
      fc.property(anything, (x) => {
        const form = formFor(x.technique, x.months, known(x))
        if (form.kind === 'do' && isPointed(form.tool)) expect([x.points, x.seen]).toEqual([true, 'alone'])
      }),
      { numRuns: 3000 },
    )
  })
  it('never gives more for a further food in the hand: what is open with two is open with each', () => {
    fc.assert(
      fc.property(anything, fc.constantFrom(...SHIPPED_BOOK.all.map((f) => f.id)), (x, food) => {
        const both = formFor(x.technique, x.months, { foods: [...x.foods, food] })
        const one = formFor(x.technique, x.months, { foods: x.foods })
        if (both.kind === 'do') expect(one.kind).toBe('do')
      }),
      { numRuns: 2000 },
    )
  })
  it.each([
    ['peel-hand', 'banana', 26, 'do'],
    ['peel-hand', 'satsuma', 26, 'not-yet'],
    ['peel-hand', 'satsuma', 40, 'do'],
    ['peel-hand', 'garlic', 40, 'not-yet'],
    ['peel-hand', 'garlic', 60, 'do'],
    ['bridge-cut', 'strawberry', 40, 'do'],
    ['bridge-cut', 'carrot', 40, 'not-yet'],
    ['bridge-cut', 'carrot', 84, 'do'],
    ['grate', 'carrot', 50, 'do'],
    ['grate', 'lemon', 90, 'not-yet'],
    ['core', 'apple', 62, 'not-yet'],
    ['core', 'apple', 72, 'do'],
    ['core', 'pear', 62, 'do'],
    ['peel-peeler', 'potato', 72, 'not-yet'],
    ['tear', 'kale', 30, 'not-yet'],
    ['tear', 'lettuce', 20, 'do'],
  ])('%s, %s at %i months: %s (common practice, from memory)', (id, food, months, kind) => {
    expect(formFor(technique(id), months, { foods: [food] }).kind).toBe(kind)
  })
  it('goes up the blade ladder step by step, to the small pointed knife at the top', () => {
    const knife = technique('bridge-cut')
    const tool = (months: number, more: Circumstances = {}): string => {
      const form = formFor(knife, months, more)
      return form.kind === 'do' ? form.tool : form.kind
    }
    expect(tool(62)).toBe('nylon-knife')
    expect(tool(62, { seen: 'alone', rung: 'nylon' })).toBe('round-tip-knife')
    expect(tool(144), 'twelve-year-olds are not five-year-olds').toBe('round-tip-knife')
    expect(tool(144, { seen: 'alone', rung: 'round-tip' }), 'the house has not opened it').toBe(
      'round-tip-knife',
    )
    expect(tool(144, { points: true, rung: 'round-tip' }), 'not seen to go alone').toBe('round-tip-knife')
    expect(tool(144, { points: true, seen: 'alone', rung: 'round-tip' })).toBe('paring-knife')
    expect(tool(144, { points: true, seen: 'help', rung: 'pointed' })).toBe('round-tip-knife')
    expect(tool(70, { points: true, seen: 'alone', rung: 'round-tip' }), 'too young for it').toBe(
      'round-tip-knife',
    )
    const form = formFor(knife, 80, { points: true, seen: 'alone', rung: 'round-tip' })
    expect(form).toMatchObject({ tool: 'paring-knife', code: 'B', perAdult: 1 })
  })
  it('left hand and weak grip choose the tool, where the room has it', () => {
    const snip = technique('snip-scissors')
    const left: Circumstances = { hands: { hand: 'left', needs: [] } }
    expect(formFor(snip, 50, left)).toMatchObject({ tool: 'left-scissors' })
    expect(formFor(snip, 50, { hands: { hand: 'left', needs: ['limited-grip'] } })).toMatchObject({
      tool: 'spring-scissors',
    })
    expect(formFor(snip, 50, { ...left, tools: [{ tool: 'left-scissors', count: 0 }] })).toMatchObject({
      tool: 'child-scissors',
    })
  })
  it('without the tool another does, or it is said that there is none', () => {
    const soft = technique('cut-soft-table-knife')
    expect(
      formFor(soft, 120, { knives: 'real-early', tools: [{ tool: 'table-knife', count: 0 }] }),
    ).toMatchObject({ tool: 'wavy-cutter' })
    expect(
      formFor(technique('grate'), 60, { tools: [{ tool: 'drum-grater', count: 0 }], foods: ['cheddar'] }),
    ).toMatchObject({ tool: 'box-grater' })
    expect(formFor(technique('grate'), 50, { tools: [{ tool: 'drum-grater', count: 0 }] })).toEqual({
      kind: 'not-yet',
      why: 'there is no drum grater here',
    })
  })
})
