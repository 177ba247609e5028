import { describe, expect, it } from 'vitest'
import { ratio } from '../../src/amount/ratio'
import { ALLERGENS } from '../../src/food/allergens'
import { PlanError } from '../../src/plan/begin'
import { compile, openStops } from '../../src/plan/compile'
import { type Decision, decide, undecide } from '../../src/plan/model/decision'
import type { Finding } from '../../src/plan/model/finding'
import type { Plan } from '../../src/plan/model/plan'
import { child, four, recipeOf, request } from '../group'
import type { Concern } from '../../src/food/concern'

const milk: Concern = { allergen: 'milk', level: 'anaphylaxis-risk' }
const withZuri = () => [...four(), child('zuri', 41, { concerns: [milk] })]
const swap: Decision = { kind: 'swap', line: 'buttermilk', swap: 'buttermilk>oat-drink' }
const concernOf = (plan: Plan): Finding | undefined =>
  plan.findings.find((f) => f.rule === 'concern' && f.subject.line === 'buttermilk')
const oneTap = (finding: Finding | undefined): Decision[] =>
  (finding?.fixes ?? []).flatMap((f) => (f.action.do === 'decide' ? [f.action.decision] : []))

describe('compile', () => {
  it('gives the same bytes for the same request', () => {
    expect(JSON.stringify(compile(request(withZuri())))).toBe(JSON.stringify(compile(request(withZuri()))))
  })
  it('gives plain JSON that survives being stored', () => {
    const plan = compile(request(withZuri()))
    expect(JSON.parse(JSON.stringify(plan))).toEqual(plan)
  })
  it('holds ids and no nickname', () => {
    expect(JSON.stringify(compile(request([child('id-7', 50, { concerns: [milk] })])))).toContain('{{id-7}}')
  })
  it('refuses nobody, too many and a recipe without steps, naming the field', () => {
    const field = (run: () => unknown): string => {
      try {
        run()
      } catch (fault) {
        if (fault instanceof PlanError) return `${fault.field}: ${fault.message}`
      }
      return 'no fault'
    }
    expect(field(() => compile(request([])))).toContain('children: nobody is in this session')
    const forty = Array.from({ length: 40 }, (_, i) => child(`c${i}`, 50))
    expect(field(() => compile(request(forty)))).toBe('children: 40 children: a session holds 30')
    const bare = { ...recipeOf('herb-soda-bread'), steps: [] }
    expect(field(() => compile(request(four(), { recipe: bare })))).toContain(
      'recipe.steps: this recipe has no steps',
    )
  })
})

describe('an allergy at the table', () => {
  it('stops the plan, says who and what, and offers swaps for everyone', () => {
    const finding = concernOf(compile(request(withZuri())))
    expect(finding).toMatchObject({ grade: 'stop', subject: { line: 'buttermilk' } })
    expect(finding?.says).toBe('Buttermilk lists milk. {{zuri}}: milk (anaphylaxis risk, own care plan).')
    expect(oneTap(finding)[0]).toEqual(swap)
  })
  it('is one finding for all children it touches', () => {
    const both = [
      ...withZuri(),
      child('anouk', 60, { concerns: [{ allergen: 'lactose-intolerance', level: 'intolerance' }] }),
    ]
    const found = compile(request(both)).findings.filter((f) => f.rule === 'concern')
    expect(found).toHaveLength(1)
    expect(found[0]?.touches.map((t) => t.child)).toEqual(['zuri', 'anouk'])
  })
  it('goes with one tap, and the amounts change exactly', () => {
    const plan = compile(request(withZuri(), { decisions: [swap] }))
    expect(openStops(plan)).toEqual([])
    const lines = plan.bowls[0]?.lines.filter((l) => l.line === 'buttermilk')
    // 3/2 cup for eight children is 15/16 cup for five.
    expect(lines?.map((l) => [l.food, l.amount, l.unit])).toEqual([
      ['oat-drink', '15/16', 'cup_m'],
      ['lemon-juice', '15/16', 'tbsp_m'],
    ])
  })
  it('never offers a swap that lists another child’s allergen', () => {
    const kids = [
      ...withZuri(),
      child('birgit', 66, { concerns: [{ allergen: 'oats', level: 'allergy-strict' }] }),
    ]
    const offered = oneTap(concernOf(compile(request(kids))))
    expect(offered).not.toContainEqual(swap)
    expect(offered).toContainEqual({ kind: 'swap', line: 'buttermilk', swap: 'buttermilk>soya-drink' })
  })
  it('brings the child its turns back once the food is swapped', () => {
    const turnsOf = (plan: Plan): number => plan.totals.perChild.find((p) => p.child === 'zuri')?.turns ?? 0
    expect(turnsOf(compile(request(withZuri(), { decisions: [swap] })))).toBeGreaterThan(
      turnsOf(compile(request(withZuri()))),
    )
  })
  it('with all fourteen at once is stopped at every line that holds one, and nobody is planned into harm', () => {
    const all = ALLERGENS.filter((a) => a.uk14 && a.parent === null).map((a): Concern => ({
      allergen: a.id,
      level: 'allergy-strict',
    }))
    for (const id of ['herb-soda-bread', 'cheese-leek-scones', 'couscous-jars']) {
      const plan = compile(
        request([...four(), child('all', 60, { concerns: all })], { recipe: recipeOf(id) }),
      )
      expect(plan.findings.some((f) => f.rule === 'concern' && f.grade === 'stop')).toBe(true)
      const touched = plan.turns
        .filter((t) => t.child === 'all')
        .map((t) => plan.tasks.find((k) => k.id === t.task))
      expect(touched.flatMap((t) => t?.handles ?? [])).not.toContain('wheat-flour')
    }
  })
})

describe('a finding that an adult clears', () => {
  const clear = (f: Finding): Decision => ({
    kind: 'clear',
    finding: f.id,
    cause: f.cause,
    who: 'petra',
    why: 'agreed with her mother',
  })
  it('is gone, stays listed with who and why, and still bars the hands', () => {
    const before = compile(request(withZuri()))
    const finding = concernOf(before) as Finding
    const plan = compile(request(withZuri(), { decisions: [clear(finding)] }))
    expect(concernOf(plan)).toBeUndefined()
    expect(plan.cleared[0]).toMatchObject({ who: 'petra', why: 'agreed with her mother' })
    const pour = plan.tasks.find((t) => t.technique === 'pour-liquid')
    expect(pour?.barred.map((b) => b.child)).toContain('zuri')
  })
  it('is back when another child with the allergy comes, and the clearing is listed as without effect', () => {
    const finding = concernOf(compile(request(withZuri()))) as Finding
    const more = [...withZuri(), child('otis', 49, { concerns: [milk] })]
    const plan = compile(request(more, { decisions: [clear(finding)] }))
    expect(concernOf(plan)?.grade).toBe('stop')
    expect(plan.ineffective).toEqual([clear(finding)])
  })
})

describe('the packet', () => {
  const kids = () => [
    ...four(),
    child('ravi', 60, { concerns: [{ allergen: 'sesame', level: 'allergy-strict' }] }),
  ]
  const soup = { recipe: recipeOf('lentil-letter-soup') }
  const read = (more: Partial<Extract<Decision, { kind: 'packet' }>>): Decision => ({
    kind: 'packet',
    food: 'stock-cube-veg',
    lists: [],
    may: [],
    lookedFor: ['sesame'],
    readBy: ['petra', 'gwenda'],
    at: '2026-11-26T09:00:00Z',
    ...more,
  })
  it('unread is a stop that offers to read it', () => {
    const finding = compile(request(kids(), soup)).findings.find((f) => f.subject.food === 'stock-cube-veg')
    expect(finding?.grade).toBe('stop')
    expect(finding?.fixes.map((f) => f.action.do)).toContain('read-packet')
  })
  it('read without the allergen settles it; read with it does not', () => {
    const plan = compile(request(kids(), { ...soup, decisions: [read({})] }))
    expect(plan.findings.some((f) => f.subject.food === 'stock-cube-veg')).toBe(false)
    const bad = compile(request(kids(), { ...soup, decisions: [read({ may: ['sesame'] })] }))
    expect(bad.findings.some((f) => f.subject.food === 'stock-cube-veg' && f.grade === 'stop')).toBe(true)
  })
  it('read for one allergen still asks for a child with another', () => {
    const more = [...kids(), child('fin', 60, { concerns: [{ allergen: 'fish', level: 'allergy-strict' }] })]
    const plan = compile(request(more, { ...soup, decisions: [read({})] }))
    expect(
      plan.findings.find((f) => f.subject.food === 'stock-cube-veg')?.touches.map((t) => t.child),
    ).toEqual(['fin'])
  })
})

describe('amounts and turns', () => {
  it('scales to the children exactly and says the whole', () => {
    const flour = compile(request(four())).bowls[0]?.lines.find((l) => l.line === 'flour')
    expect(flour?.amount).toBe('3/2')
    expect(flour?.text).toBe('1 1/2 cups')
    expect(flour?.recipeText).toBe('3 cups')
  })
  it('a lost measure is just absent', () => {
    const full = request(four())
    const lost = {
      ...full,
      kit: {
        ...full.kit,
        measures: full.kit.measures.map((m) => (m.id === 'quarter-cup' ? { ...m, count: 0 } : m)),
      },
    }
    const used = (plan: Plan) =>
      plan.tasks.flatMap((t) => (t.measured?.by === 'scoop' ? t.measured.parts.map((p) => p.measure) : []))
    expect(used(compile(full))).toContain('quarter-cup')
    expect(used(compile(lost))).not.toContain('quarter-cup')
    expect(compile(lost).turns.length).toBeGreaterThan(0)
  })
  it('a chosen measure is used where it can make the amount, and is only a wish where it cannot', () => {
    const choose = (measure: string): Decision => ({ kind: 'measure', line: 'flour', measure })
    const flour = (d: Decision) =>
      compile(request(four(), { decisions: [d] })).tasks.find((t) => t.uses[0] === 'flour')
    expect(flour(choose('half-cup'))?.measured).toMatchObject({
      parts: [{ measure: 'half-cup', n: 3 }],
      pinned: true,
    })
    expect(flour(choose('cup'))?.measured).not.toHaveProperty('pinned')
  })
  it('a pinned child gets the first turn of the task, and the plan says when the pin cannot hold', () => {
    const task = 'all/fill/level-scoop/flour'
    const plan = compile(request(four(), { decisions: [{ kind: 'pin', task, child: 'kofi' }] }))
    expect(plan.turns.find((t) => t.task === task && t.number === 1)?.child).toBe('kofi')
    const gone: Decision = { kind: 'pin', task, child: 'nobody' }
    expect(compile(request(four(), { decisions: [gone] })).ineffective).toEqual([gone])
  })
  it('turns come out even where nobody is barred', () => {
    const { bounds, totals } = compile(request(four()))
    expect(bounds.mostTurns - bounds.leastTurns).toBeLessThanOrEqual(1)
    expect(totals.perChild.reduce((n, p) => n + p.turns, 0)).toBe(
      compile(request(four()))
        .tasks.filter((t) => t.mode === 'TURNS')
        .reduce((n, t) => n + t.n, 0),
    )
  })
  it('one bowl for each group, near equal, everybody in one', () => {
    const nine = Array.from({ length: 9 }, (_, i) => child(`c${i}`, 50))
    const rules = { ...request([]).rules, grouping: 'groups' as const }
    const { bowls } = compile(request(nine, { rules }))
    expect(bowls.map((b) => b.children.length)).toEqual([3, 3, 3])
    const sum = bowls.reduce(
      (s, b) => s.add(b.lines.find((l) => l.line === 'flour')?.amount ?? '0'),
      ratio(0),
    )
    expect(sum.toFraction()).toBe(ratio('3').mul('9/8').toFraction())
  })
})

describe('the clock', () => {
  it('says how late it gets and offers the start that would do', () => {
    const late = compile(
      request(four(), { session: { id: 's', date: '2026-11-26', start: '10:15', until: '10:45' } }),
    )
    const finding = late.findings.find((f) => f.rule === 'late')
    expect(finding?.grade).toBe('know')
    const action = finding?.fixes[0]?.action
    const start = action?.do === 'start-at' ? action.start : ''
    const again = compile(
      request(four(), { session: { id: 's', date: '2026-11-26', start, until: '10:45' } }),
    )
    expect(again.findings.some((f) => f.rule === 'late')).toBe(false)
    expect(again.totals.endsAt <= '10:45').toBe(true)
  })
  it('what sleeps overnight is eaten at the next sitting', () => {
    const plan = compile(request(four(), { recipe: recipeOf('overnight-oats-pear') }))
    expect(plan.totals.sittings).toBe(2)
    expect(plan.schedule.at(-1)).toMatchObject({ sitting: 2, start: 0 })
    expect(plan.totals.seconds).toBeLessThan(3600)
  })
})

describe('the room and the adults', () => {
  it('no oven is a stop; no adult who leads heat is a stop', () => {
    const noOven = compile(request(four(), { kit: { ...request([]).kit, equipment: [] } }))
    expect(openStops(noOven).map((f) => f.id)).toContain('equipment:oven')
    const noLead = compile(request(four(), { adults: [{ id: 'gwenda', leads: ['knives'] }] }))
    expect(openStops(noLead).map((f) => f.id)).toContain('heat:bake')
  })
  it('a nursery is held to its ratio', () => {
    const rules = { ...request([]).rules, kind: 'nursery' as const }
    const nine = Array.from({ length: 9 }, (_, i) => child(`c${i}`, 40))
    const one = compile(request(nine, { rules, adults: [{ id: 'petra', leads: ['knives', 'heat'] }] }))
    expect(openStops(one).map((f) => f.rule)).toContain('ratio')
    expect(openStops(compile(request(nine, { rules }))).map((f) => f.rule)).not.toContain('ratio')
  })
  it('an unprepared shape stops for the youngest and goes when it is prepared', () => {
    const recipe = recipeOf('cucumber-mint-raita')
    const raw = {
      ...recipe,
      lines: recipe.lines.map((l) => (l.id === 'cucumber' ? { ...l, shape: undefined } : l)),
    }
    const plain = JSON.parse(JSON.stringify(raw)) as typeof recipe
    const stop = openStops(compile(request(four(), { recipe: plain }))).find((f) => f.rule === 'shape')
    const fix = oneTap(stop)
    expect(fix).toEqual([{ kind: 'shape', line: 'cucumber', shape: 'BATON' }])
    expect(
      openStops(compile(request(four(), { recipe: plain, decisions: fix }))).map((f) => f.rule),
    ).not.toContain('shape')
  })
})

describe('decisions', () => {
  it('about one thing replace each other and can be taken back', () => {
    const other: Decision = { kind: 'swap', line: 'buttermilk', swap: 'buttermilk>soya-drink' }
    expect(decide([swap], other)).toEqual([other])
    expect(undecide([swap], 'line:buttermilk')).toEqual([])
  })
})
