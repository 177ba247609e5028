/** Raw meat is measured before anybody eats: the gate stands after the last heat, and a cold reading does not open it. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import type { TableEvent } from '../../src/session/event'
import { replay } from '../../src/session/replay'
import { openGates } from '../../src/session/table'
import { child, recipeOf, request } from '../group'

const kids = [child('a', 50), child('b', 52)]
const plan = compile(request(kids, { recipe: recipeOf('chicken-sweetcorn-broth') }))
let n = 0
const event = (kind: string, body: object): TableEvent =>
  ({ id: `e${++n}`, device: 'd', lamport: n, at: '2026-11-26T10:15:00Z', kind, body }) as TableEvent
const reading = (celsius: number, held: number): TableEvent =>
  event('temperature', { what: 'chicken', food: 'chicken-breast', celsius, held, by: 'x', from: 'typed' })
const cores = (events: TableEvent[], step: string): string[] =>
  openGates(plan, replay(events), step).flatMap((g) => (g.gate === 'core' ? [g.says] : []))

describe('chicken in a broth', () => {
  const hot = plan.schedule.findIndex((s) => s.step === plan.probes?.[0]?.after)
  const after = plan.schedule[hot + 1]?.step ?? 'finish'
  it('has a probe, and it is due once the last heat is over, at the finish too', () => {
    expect(plan.probes).toMatchObject([{ food: 'chicken-breast', kind: 'poultry', country: 'uk' }])
    expect(cores([], plan.schedule[hot]?.step ?? '')).toEqual([])
    expect(cores([], after)).toHaveLength(1)
    expect(cores([], 'finish')).toHaveLength(1)
  })
  it('is not let through cold, is when it was hot enough for long enough, and not when it is measured cold later', () => {
    expect(cores([reading(66, 0)], after)).toHaveLength(1)
    expect(cores([reading(66, 0), reading(75, 30)], after)).toEqual([])
    expect(cores([reading(75, 30), reading(52, 0)], after)).toHaveLength(1)
    const good = reading(75, 30)
    expect(cores([good, event('undo', { event: good.id })], after)).toHaveLength(1)
  })
  it('that is swapped for something without meat needs no probe; bread has none', () => {
    expect(compile(request(kids, { recipe: recipeOf('herb-soda-bread') })).probes).toBeUndefined()
  })
})
