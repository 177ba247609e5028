/** What a setting moves: ages and tools of techniques, adult ratios; and where it cannot. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type HouseTechnique, techniqueFor } from '../../src/craft/setting-techniques'
import { adultsNeeded, ratioRows } from '../../src/craft/ratios'
import { formFor } from '../../src/craft/form'
import { TECHNIQUES, type Technique } from '../../src/craft/techniques'
import { compile } from '../../src/plan/compile'
import { agesOf } from '../../src/craft/setting-techniques'
import { daysBetween } from '../../src/amount/days'
import { choicesAt } from '../../src/craft/choices'
import { sideJob, FILLER_JOBS } from '../../src/craft/side-jobs'
import { child, recipeOf, request } from '../group'
import { rulesSchema } from '../../src/schema/rules'

const stir = techniqueFor('stir') as Technique
const formAt = (id: string, months: number, own: HouseTechnique[]) => {
  const technique = techniqueFor(id, own)
  if (!technique) throw new Error(id)
  return formFor(technique, months)
}

describe('a technique moved by the setting', () => {
  it('later: not yet before, as in the catalogue after', () => {
    const own = [{ technique: 'snip-scissors', from: 48 }]
    expect(formAt('snip-scissors', 47, own)).toEqual({ kind: 'not-yet', why: 'from 4 years' })
    expect(formAt('snip-scissors', 60, own)).toEqual(formAt('snip-scissors', 60, []))
  })
  it('sooner: an adult beside until the age of the catalogue', () => {
    const form = formAt('rub-in', 36, [{ technique: 'rub-in', from: 36 }])
    expect(form.kind === 'do' && form.code).toBe('B')
    expect(formAt('rub-in', 70, [{ technique: 'rub-in', from: 36 }])).toEqual(formAt('rub-in', 70, []))
  })
  it('for a blade that comes sooner, plan one adult for each child', () => {
    const form = formAt('bridge-cut', 30, [{ technique: 'bridge-cut', from: 30 }])
    expect(form).toMatchObject({ kind: 'do', code: 'B', perAdult: 1 })
  })
  it('heat never comes sooner, nor is it overseen sooner', () => {
    for (const technique of TECHNIQUES.filter((t) => t.hazard === 'heat'))
      for (const months of [24, 48, 72, 96]) {
        const now = formAt(technique.id, months, [{ technique: technique.id, from: 12, oversee: 12 }])
        expect(now).toEqual(formAt(technique.id, months, []))
      }
  })
  it('overseeing moves both ways', () => {
    const { oversee } = agesOf(stir)
    expect(oversee).toBe(36)
    expect(formAt('stir', 40, [{ technique: 'stir', oversee: 60 }])).toMatchObject({ code: 'B' })
    expect(formAt('stir', 30, [{ technique: 'stir', oversee: 24 }])).toMatchObject({ code: 'O' })
  })
  it('whatever is moved, rows stay in the order of ages and the last holds for all', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TECHNIQUES.map((t) => t.id)),
        fc.integer({ min: 12, max: 150 }),
        fc.integer({ min: 0, max: 60 }),
        (technique, from, more) => {
          const moved = techniqueFor(technique, [{ technique, from, oversee: from + more }])
          const belows = (moved?.supervision ?? []).map((r) => r.below ?? Infinity)
          expect(belows).toEqual([...belows].sort((a, b) => a - b))
          expect(belows.at(-1)).toBe(Infinity)
          const beginsAt = agesOf(moved ?? stir).from
          const usual = agesOf(TECHNIQUES.find((t) => t.id === technique) ?? stir).from
          const heat = moved?.hazard === 'heat'
          if (usual !== null) expect(beginsAt).toBe(heat ? Math.max(from, usual) : from)
        },
      ),
    )
  })
  it('changes the plan: the child gets a neighbour job instead, and the checker holds it to the rule', () => {
    const kids = [child('a', 50), child('b', 44)]
    const base = request(kids)
    const now = compile({
      ...base,
      rules: { ...base.rules, techniques: [{ technique: 'snip-scissors', from: 48 }] },
    })
    const snip = now.tasks.find((t) => t.technique === 'snip-scissors')
    expect(snip?.barred).toEqual([{ child: 'b', why: 'snip with scissors: from 4 years', cause: 'age' }])
    expect(snip?.instead?.[0]?.child).toBe('b')
    expect(now.turns.some((t) => t.task === snip?.id && t.child === 'b')).toBe(false)
  })
  it("a child's own plan only takes away", () => {
    const plan = compile(request([child('a', 50), child('b', 50, { limits: ['snip-scissors'] })]))
    const snip = plan.tasks.find((t) => t.technique === 'snip-scissors')
    expect(snip?.barred[0]).toEqual({
      child: 'b',
      why: "snip with scissors: not by the child's own plan",
      cause: 'plan',
    })
  })
  it('refuses a tool that is not on the ladder, and overseeing before it begins', () => {
    const rules = (techniques: object[]) => ({ ...request([child('a', 50)]).rules, techniques })
    expect(() =>
      rulesSchema.validateSync(rules([{ technique: 'stir', tools: [{ tool: 'an axe', from: 24 }] }])),
    ).toThrow(/Tool is not on the ladder of stir: an axe/)
    expect(() => rulesSchema.validateSync(rules([{ technique: 'stir', from: 60, oversee: 40 }]))).toThrow(
      /before children do it/,
    )
  })
})

describe('the tool', () => {
  const knife = techniqueFor('bridge-cut')
  it('moves up by what was seen, within what the age allows, and back with help', () => {
    if (!knife) throw new Error('no technique')
    const tool = (months: number, seen?: 'alone' | 'help') => {
      const form = formFor(knife, months, { knives: 'soft-first', seen })
      return form.kind === 'do' ? form.tool : ''
    }
    expect(tool(62)).toBe('nylon-knife')
    expect(tool(62, 'alone')).toBe('round-tip-knife')
    expect(tool(44, 'alone')).toBe('nylon-knife')
    const early = (seen?: 'help') => {
      const form = formFor(knife, 62, { knives: 'real-early', seen })
      return form.kind === 'do' ? form.tool : ''
    }
    expect(early()).toBe('round-tip-knife')
    expect(early('help')).toBe('nylon-knife')
  })
})

describe('ratios of the setting', () => {
  it('the rows of a country, taken over, say the same as the country', () => {
    for (const country of ['uk', 'us'] as const)
      for (const ages of [[20, 30, 40], [25, 25, 25, 25, 25, 25], Array.from({ length: 17 }, () => 40), []])
        expect(adultsNeeded(ages, country, ratioRows(country))).toBe(adultsNeeded(ages, country))
  })
  it('a stricter row asks for more adults, and the finding names whose rule it is', () => {
    const kids = Array.from({ length: 8 }, (_, i) => child(`c${i}`, 50))
    const base = request(kids)
    const rules = { ...base.rules, kind: 'nursery' as const, ratios: [{ below: null, children: 2 }] }
    const found = compile({ ...base, rules }).findings.find((f) => f.rule === 'ratio')
    expect(found?.says).toContain('need 4 adults')
    expect(found?.source).toBe('the rule of this setting')
  })
  it('are refused where the ages do not rise', () => {
    const rules = (ratios: object[]) => ({ ...request([child('a', 50)]).rules, ratios })
    const row = (below: number | null) => ({ below, children: 4 })
    expect(() => rulesSchema.validateSync(rules([row(36), row(24), row(null)]))).toThrow(/must rise/)
    expect(() => rulesSchema.validateSync(rules([row(24), row(36)]))).toThrow(/must rise/)
    expect(rulesSchema.isValidSync(rules([row(24), row(null)]))).toBe(true)
  })
})

describe('small facts of the trade', () => {
  it('a two-year-old is never offered more than four choices, two by default (common practice)', () => {
    for (let months = 12; months < 36; months++) {
      expect(choicesAt(months).usual).toBe(2)
      expect(choicesAt(months).most).toBeLessThanOrEqual(4)
    }
    expect(choicesAt(60).usual).toBe(4)
  })
  it('a neighbour job never touches what the child must not, and starts at its age', () => {
    for (const technique of TECHNIQUES)
      for (let months = 12; months <= 120; months += 6) {
        expect(sideJob(technique, months, false)?.touches ?? false).toBe(false)
        if (months < 18) expect(sideJob(technique, months, true)).toBeNull()
        else expect(sideJob(technique, months, true)).not.toBeNull()
      }
  })
  it('jobs for waiting name techniques that are there', () => {
    for (const job of FILLER_JOBS)
      if (job.technique !== undefined) expect(techniqueFor(job.technique), job.id).toBeDefined()
  })
  it('days between two dates agree with the platform calendar', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }),
        fc.integer({ min: -4000, max: 4000 }),
        (from, days) => {
          const day = (d: Date): string => d.toISOString().slice(0, 10)
          const start = new Date(`${day(from)}T00:00:00Z`)
          const to = new Date(start.getTime() + days * 86_400_000)
          if (to.getUTCFullYear() < 2000 || to.getUTCFullYear() > 2099) return
          expect(daysBetween(day(start), day(to))).toBe(days)
        },
      ),
    )
  })
})

it('a plan for the embers wants its adult, and says how often it is turned', () => {
  const base = request([child('a', 50), child('b', 70)], { recipe: recipeOf('embers-hot-pot') })
  const plan = compile({ ...base, kit: { ...base.kit, equipment: [...base.kit.equipment, 'fire'] } })
  const embers = plan.watch.filter((w) => w.step === 'embers').map((w) => w.says)
  expect(embers).toContain('{{petra}} stays, and turns it every 6 minutes: 4 times.')
})
