/** Plans as versions 1 to 3 of Lea froze them, kept as files: read as long as a record is kept. */
import { describe, expect, it } from 'vitest'
import plan1 from './plan-1.json'
import plan2 from './plan-2.json'
import plan3 from './plan-3.json'
import { PLAN_VERSION, type Plan } from '../../../src/plan/model/plan'
import { type StoredPlan, upgradePlan } from '../../../src/plan/model/upgrade/upgrade'
import { certificate } from '../../../src/plan/view/certificate'
import { weave } from '../../../src/plan/view/weave'
import { toolOf } from '../../../src/craft/tools'
import { compile } from '../../../src/plan/compile'
import { four, request } from '../../group'

const first = plan1 as unknown as StoredPlan
const second = plan2 as unknown as StoredPlan
const third = plan3 as unknown as StoredPlan

/** Fields that a plan of today has and that earlier ones could not know. */
const LATER = new Set([
  'week',
  'locale',
  'talking',
  'ownRules',
  'probes',
  'uncovered',
  'waitingJobs',
  'background',
])

describe.each([
  ['1', first],
  ['2', second],
  ['3', third],
])('a plan of version %s', (_, old) => {
  const now = upgradePlan(old)

  it('has the shape of today, and every screen can draw it', () => {
    expect(now.version).toBe(PLAN_VERSION)
    const today = compile(request(four()))
    const missing = Object.keys(today).filter((key) => !(key in now) && !LATER.has(key))
    expect(missing).toEqual([])
    for (const bowl of now.bowls) expect(weave(now, bowl.id)).toHaveLength(now.schedule.length)
    expect(() => certificate(now)).not.toThrow()
  })
  it('keeps who does what, turn by turn', () => {
    expect(now.turns).toEqual(old.turns)
    expect(now.tasks.map((t) => t.id)).toEqual(old.tasks.map((t) => t.id))
  })
  it('keeps a note about a child’s allergy for an adult’s eyes', () => {
    const personal = now.watch.filter((w) => w.about.kind === 'child')
    if (now.tasks.some((t) => t.barred.some((b) => b.cause === 'touch')))
      expect(personal.length).toBeGreaterThan(0)
    for (const w of now.watch)
      expect(w.about.kind === 'child').toBe(
        old.watch.some((o) => o.says === w.says && /^\{\{\w+\}\} does not touch/.test(o.says)),
      )
    // The file of version 3 has nobody with an allergy.
    if (old.version !== 3)
      expect(now.tasks.flatMap((t) => t.barred).some((b) => b.cause === 'touch')).toBe(true)
  })
  it('is not changed by another look', () => {
    expect(upgradePlan(now)).toBe(now)
  })
})

it('a decision that had no effect, and what held the session up, are read from version 2', () => {
  const now = upgradePlan(second)
  expect(now.ineffective).toEqual([{ kind: 'pin', task: 'gone', child: expect.any(String) as string }])
  const old = second as Extract<StoredPlan, { version: 2 }>
  const cause = now.totals.bound?.cause
  expect(cause).toBeDefined()
  if (cause?.kind === 'chain' || cause?.kind === 'clique')
    expect(old.totals.bound?.cause).toContain(cause.tasks[0])
  else expect(old.totals.bound?.cause).toContain(cause?.kind === 'adult' ? cause.adult : cause?.kind)
  expect(now.swapSet?.swaps.map((s) => `${s.from}: ${s.to ?? 'left out'}`)).toEqual(old.swapSet?.says)
})

it('a plan of today is handed on as it is', () => {
  const plan: Plan = compile(request(four()))
  expect(upgradePlan(plan)).toBe(plan)
})

it('what a tool was called is read from version 3, and what named no tool is none', () => {
  const now = upgradePlan(third)
  const forms = now.tasks.flatMap((t) => t.forms)
  for (const f of forms) if (f.tool !== '') expect(toolOf(f.tool), f.tool).toBeDefined()
  expect(forms.some((f) => f.tool === 'child-scissors')).toBe(true)
  expect(now.kit.tools.length).toBeGreaterThan(2)
  for (const t of now.kit.tools) expect(toolOf(t.tool), t.tool).toBeDefined()
  expect(new Set(now.kit.tools.map((t) => t.tool)).size).toBe(now.kit.tools.length)
})
