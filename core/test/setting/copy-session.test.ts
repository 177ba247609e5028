import { describe, expect, it } from 'vitest'
import { compile, openStops } from '../../src/plan/compile'
import type { Decision } from '../../src/plan/model/decision'
import { type StoredSession, assemble } from '../../src/setting/assemble'
import { copySession } from '../../src/setting/copy-session'
import { recipeOf, request } from '../group'

const session: StoredSession = {
  id: 's1',
  date: '2026-11-26',
  start: '10:15',
  until: '11:30',
  recipe: 'row-1',
  children: ['a', 'b'],
  guests: [
    { id: 'guest-1', nickname: 'Caspian', months: 60, concerns: [], diets: [], languages: [], needs: [] },
  ],
  adults: ['petra'],
  seats: ['b', 'a', 'guest-1'],
  decisions: [
    { kind: 'swap', line: 'buttermilk', swap: 'x' },
    {
      kind: 'packet',
      food: 'wheat-flour',
      lists: [],
      may: [],
      lookedFor: [],
      readBy: ['p', 'q'],
      at: 'then',
    },
    { kind: 'clear', finding: 'f', cause: 'c', who: 'p', why: 'agreed' },
    { kind: 'pin', task: 't', child: 'a' },
    { kind: 'scooping', way: 'quick' },
  ],
  state: 'finished',
}
const to = { date: '2026-12-03', start: '09:30', children: ['b', 'c'], adults: ['gwenda'] }

describe('a session copied', () => {
  it('keeps the recipe and what was decided about it, for another day and group', () => {
    const { inputs, decisions } = copySession(session, to)
    expect(inputs).toEqual({ ...to, recipe: 'row-1', guests: [], seats: ['b'] })
    expect(decisions.map((d) => d.kind)).toEqual(['swap', 'scooping'])
  })
  it('never takes along that a packet was read, or that a stop was cleared', () => {
    const kinds: Decision['kind'][] = copySession(session, to).decisions.map((d) => d.kind)
    for (const kind of ['packet', 'clear', 'pin', 'stands', 'got'] as const) expect(kinds).not.toContain(kind)
  })
  it('and so the stops of a new child stand in the copy', () => {
    const milk = { allergen: 'milk', level: 'allergy-strict' } as const
    const { inputs, decisions } = copySession(session, { ...to, children: ['zuri'] })
    const zuri = {
      id: 'zuri',
      nickname: 'Zuri',
      birth: '2023-01',
      concerns: [milk],
      diets: [],
      languages: [],
      needs: [],
    }
    const base = request([])
    const planned = assemble(
      { ...inputs, id: 's2', decisions, state: 'planned' },
      {
        setting: { name: '', rules: base.rules, kit: base.kit, foods: [] },
        recipe: recipeOf('herb-soda-bread'),
        children: [zuri],
        adults: [{ id: 'gwenda', name: '', leads: ['knives', 'heat'] }],
      },
    )
    expect(openStops(compile(planned)).some((f) => f.touches.some((t) => t.child === 'zuri'))).toBe(true)
  })
})
