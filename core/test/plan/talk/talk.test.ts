/** The talk of whole plans: who is asked what, and what a person changes in it. */
import { describe, expect, it } from 'vitest'
import { answerFact } from '../../../src/learn/fact/answer'
import { Glossary } from '../../../src/learn/glossary'
import { TARGETS, suits, targetOf } from '../../../src/learn/targets'
import { tellingFor } from '../../../src/learn/tellings'
import { compile } from '../../../src/plan/compile'
import { type Decision, decide } from '../../../src/plan/model/decision'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanRequest } from '../../../src/plan/model/request'
import { stripMarks } from '../../../src/plan/model/scoop-sequence'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { scriptOf } from '../../../src/session/talk/script'
import { carriedOf } from '../../../src/session/progress'
import { coverage, stepMore, talkOfDay } from '../../../src/session/talk/talk-view'
import { child, recipeOf, request } from '../../group'
import { childLeaves } from '../../../src/plan/live/child-leaves'

const threes = [37, 39, 42, 44].map((m, i) => child(`three-${i}`, m, { languages: i === 0 ? ['ar'] : [] }))
const nines = [108, 111, 114, 117].map((m, i) => child(`nine-${i}`, m))
const mixed = [30, 38, 44, 50, 55, 61, 66, 72, 80, 90, 101, 118].map((m, i) => child(`c${i}`, m))
const asksOf = (plan: Plan) =>
  plan.talk.flatMap((t) => (t.asks ?? []).map((a) => ({ ...a, step: t.step, fact: t.fact })))
const withRules = (r: PlanRequest, rules: Partial<PlanRequest['rules']>): PlanRequest => ({
  ...r,
  rules: { ...r.rules, ...rules },
})
const decided = (r: PlanRequest, ...list: Decision[]): PlanRequest => ({
  ...r,
  decisions: list.reduce(decide, r.decisions),
})

describe('the talk of a plan', () => {
  it('asks a group of threes and a group of nines different things, each in reach', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const [young, old] = [threes, nines].map((group) => asksOf(compile(request(group, { recipe }))))
      const said = new Set(young?.map((a) => a.says))
      // An open question may be the same at every age; most are not.
      const same = old?.filter((a) => said.has(a.says)).length ?? 0
      expect(same, recipe.id).toBeLessThanOrEqual(2)
      expect(young?.length).toBeGreaterThan(0)
    }
  })
  it('asks everybody of a year and more, once a step, of targets that suit the age, and nothing twice', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request(mixed, { recipe }))
      const asks = asksOf(plan)
      for (const c of plan.children)
        expect(
          asks.some((a) => a.child === c.id),
          `${recipe.id} ${c.id}`,
        ).toBe(true)
      expect(new Set(asks.map((a) => a.says)).size).toBe(asks.length)
      for (const a of asks) {
        const months = plan.children.find((c) => c.id === a.child)?.months ?? 0
        const target = targetOf(a.target)
        expect(target && suits(target, months), `${a.target} at ${months}`).toBe(true)
      }
      for (const t of plan.talk) {
        expect(t.words.length).toBeLessThanOrEqual(2)
        const children = (t.asks ?? []).map((a) => a.child)
        expect(new Set(children).size).toBe(children.length)
      }
      const words = plan.talk.flatMap((t) => t.words.map((w) => w.id))
      expect(new Set(words).size, recipe.id).toBe(words.length)
    }
  })
  it('every question stands on its rungs, and begins on one of them', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request(mixed, { recipe, rules: { ...request([]).rules, grouping: 'groups' } }))
      for (const a of asksOf(plan)) {
        expect(a.rungs?.some((r) => r.says === a.says && r.level === a.level)).toBe(true)
        expect(a.rungs?.[0]?.level, a.says).toBe('model')
        expect(new Set(a.rungs?.map((r) => r.says)).size).toBe(a.rungs?.length)
      }
    }
  })
  it('a scoop question says what the strip shows', () => {
    let seen = 0
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request(mixed, { recipe }))
      for (const talk of plan.talk)
        for (const { fact, task } of talk.facts ?? []) {
          const measured = plan.tasks.find((t) => t.id === task)?.measured
          if (fact.kind !== 'scoop' || !measured) continue
          const marks = stripMarks(measured)
          const derived = answerFact({ ...fact }).derived as Record<string, string>
          expect(Number(derived['scoops'])).toBe(marks.length - 1)
          expect(derived['running']).toBe('0')
          expect(answerFact({ ...fact, k: 1 }).derived['running']).toBe(marks[1])
          seen += 1
        }
    }
    expect(seen).toBeGreaterThan(5)
  })
  it('covers the targets of the week where the recipe has them, and says which it could not and why', () => {
    const targets = ['frac-half-object', 'lang-predict', 'money-change', 'ratio-unit-rate']
    const plan = compile(withRules(request(mixed), { targets }))
    const met = new Set(asksOf(plan).flatMap((a) => [a.target, ...(a.also ?? [])]))
    expect(met.has('frac-half-object')).toBe(true)
    expect(met.has('lang-predict')).toBe(true)
    const missing = plan.uncovered?.filter((u) => u.kind === 'week')
    expect(missing?.map((u) => u.target).sort()).toEqual(['money-change', 'ratio-unit-rate'])
    expect(missing?.every((u) => u.why.length > 10)).toBe(true)
  })
  it('brings back what is due to a child, and gives those who heard little a turn to speak', () => {
    const due = { target: 'count-back-10', on: '2026-11-01', how: 'said' as const, level: 'focused' as const }
    const group = mixed.map((c, i) => ({
      ...c,
      talk: { marks: c.id === 'c5' ? [due] : [], heard: i === 8 ? [0, 0, 0] : [4, 4, 4] },
    }))
    const plan = compile(request(group))
    expect(asksOf(plan).find((a) => a.child === 'c5')).toMatchObject({ target: 'count-back-10', why: 'due' })
    const more = compile(withRules(request(group), { talk: 'ask' }))
    const count = (id: string) => asksOf(more).filter((a) => a.child === id).length
    expect(count('c8')).toBe(Math.max(...mixed.map((c) => count(c.id))))
  })
  it('US wording where the setting is there', () => {
    const plan = compile(withRules(request(nines), { country: 'us' }))
    expect(plan.locale).toBe('en-US')
    const said = scriptOf(plan)
      .flatMap((x) => x.lines.flatMap((l) => [l.says, l.answer ?? '', ...(l.rungs ?? []).map((r) => r.says)]))
      .join(' ')
    expect(said).toMatch(/fourth/)
    expect(said).not.toMatch(/\bquarters?\b(?! of an hour)|\btap\b|colour/)
  })
})

describe('what a person changes', () => {
  const base = request(mixed)
  const first = compile(base)
  const step = first.talk.find((t) => (t.ideas?.length ?? 0) > 2)
  it('another idea, which then stands; one that is not there has no effect and is listed', () => {
    for (const idea of step?.ideas ?? []) {
      const plan = compile(decided(base, { kind: 'idea', step: step?.step ?? '', idea: idea.id }))
      expect(plan.talk.find((t) => t.step === step?.step)?.idea).toBe(idea.id)
      expect(plan.ineffective).toEqual([])
    }
    const lost = compile(decided(base, { kind: 'idea', step: step?.step ?? '', idea: 'tin:pieces' }))
    expect(lost.ineffective.length).toBe(1)
  })
  it('a pinned child is asked there, a quiet step asks nobody, and one’s own words are kept as they are', () => {
    for (const t of first.talk) {
      const plan = compile(decided(base, { kind: 'ask', step: t.step, child: 'c7' }))
      expect(
        plan.talk.find((x) => x.step === t.step)?.asks?.some((a) => a.child === 'c7'),
        t.step,
      ).toBe(true)
      const quiet = compile(decided(base, { kind: 'quiet', step: t.step }))
      expect(quiet.talk.find((x) => x.step === t.step)?.asks).toEqual([])
      const own: Decision = {
        kind: 'own-prompt',
        step: t.step,
        child: null,
        says: 'Who can hear it?',
        answer: 'listen',
      }
      const mine = compile(decided(base, own)).talk.find((x) => x.step === t.step)?.asks
      expect(mine?.[0]).toMatchObject({ says: 'Who can hear it?', why: 'own', child: null })
    }
  })
})

describe('what there is beside', () => {
  const plan = compile(request(mixed, { recipe: recipeOf('couscous-jars') }))
  const glossary = new Glossary()
  it('the table of targets holds every question and every word once for each child that meets it', () => {
    const rows = coverage(plan, glossary)
    for (const a of asksOf(plan))
      expect(rows.find((r) => r.target === a.target)?.met[a.child ?? '']?.how).toBe('asked')
    expect(rows.length).toBeGreaterThan(8)
    expect(new Set(rows.map((r) => r.target)).size).toBe(rows.length)
  })
  it('a try-it brings no food to the table that the plan does not have', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const p = compile(request(mixed, { recipe }))
      const foods = p.bowls.flatMap((b) => b.lines.map((l) => `${l.name} ${l.food}`)).join(' ')
      for (const talk of p.talk)
        for (const s of stepMore(p, talk, glossary, []).science)
          if (s.tryIt && /\blemon\b/.test(s.tryIt))
            expect(foods, `${recipe.id}: ${s.tryIt}`).toContain('lemon')
          else if (s.tryIt && /\bmilk\b/.test(s.tryIt)) expect(foods).toContain('milk')
    }
  })
  it('a step is told in four ways, the youngest in the fewest words', () => {
    for (const talk of plan.talk) {
      const { told } = stepMore(plan, talk, glossary, [])
      if (!told) continue
      expect(told.length).toBe(4)
      expect((told[0] ?? '').length).toBeLessThan((told[3] ?? '').length)
      expect(told.join(' ')).not.toMatch(/[{}]/)
      expect(tellingFor(told, 20)).toBe(told[0])
      expect(tellingFor(told, 140)).toBe(told[3])
    }
  })
  it('the word and the sound of the day are of this session', () => {
    const day = talkOfDay(plan, glossary, ['pl'])
    const words = plan.talk.flatMap((t) => t.words.map((w) => w.word))
    expect(words).toContain(day?.word.word)
    for (const w of day?.sound?.words ?? []) expect(words.map((x) => x.toLowerCase())).toContain(w)
  })
})

describe('what was noted', () => {
  it('feeds the next plan: the child is asked again when it is due, by what was seen', () => {
    const plan = compile(request(mixed))
    const ask = asksOf(plan)[0]
    const event = (n: number, kind: string, body: object) =>
      ({
        id: `00000000-0000-4000-8000-00000000000${n}`,
        device: 'd',
        lamport: n,
        at: '2026-11-26T10:00:00Z',
        kind,
        body,
      }) as never
    const events = [
      event(1, 'begin', {}),
      ...plan.talk.slice(0, 3).map((t, i) => event(2 + i, 'step', { step: t.step })),
      event(6, 'talk', { child: ask?.child, target: ask?.target, how: 'said', level: ask?.level }),
    ]
    const past = [{ id: 's', date: '2026-11-26', title: 'x', plan, events }]
    const talk = carriedOf(ask?.child ?? '', past).talk
    expect(talk.marks).toEqual([{ target: ask?.target, on: '2026-11-26', how: 'said', level: ask?.level }])
    expect(talk.heard).toEqual([1])
    const next = mixed.map((c) => ({ ...c, talk: carriedOf(c.id, past).talk }))
    const later = compile({ ...request(next), session: { id: 's2', date: '2026-12-03', start: '10:15' } })
    expect(
      asksOf(later)
        .filter((a) => a.child === ask?.child && a.why === 'due')
        .map((a) => a.target),
    ).toContain(ask?.target)
    expect(TARGETS.length).toBe(138)
  })
})

describe('a child that leaves', () => {
  it('is asked nothing any more, and nobody else is asked in its place by name', () => {
    const plan = compile(request(mixed))
    const gone = asksOf(plan)[0]?.child ?? ''
    const mend = childLeaves(plan, new Set(), gone)
    if (!('plan' in mend)) return expect.unreachable('nobody could leave')
    const next = mend.plan
    expect(asksOf(next).some((a) => a.child === gone)).toBe(false)
    expect(asksOf(next).length).toBeLessThan(asksOf(plan).length)
    expect(JSON.stringify(next.uncovered)).not.toContain(`"${gone}"`)
  })
})
