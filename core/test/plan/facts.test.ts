/** Facts instead of words: what a note, a bar and a bound are about are fields, and hold for every plan that is drawn. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must } from '../../src/amount/must'
import { compile } from '../../src/plan/compile'
import { boundCauseText } from '../../src/plan/clock/schedule/bound'
import { swapsFor } from '../../src/food/swaps'
import type { Decision } from '../../src/plan/model/decision'
import { decisionText, swapSetText } from '../../src/plan/view/decision-text'
import { certificate } from '../../src/plan/view/certificate'
import { weave } from '../../src/plan/view/weave'
import { isOvernight } from '../../src/plan/model/session-recipe/sittings'
import { PASSES } from '../../src/plan/model/finding'
import { clockAfter, minutesBetween, minutesText } from '../../src/amount/clock-time'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { child, request } from '../group'

const ALLERGENS = ['milk', 'egg', 'wheat', 'sesame', 'fish', 'soya']
const group = fc.array(
  fc.record({
    months: fc.integer({ min: 24, max: 120 }),
    allergen: fc.option(fc.constantFrom(...ALLERGENS)),
  }),
  { minLength: 1, maxLength: 6 },
)
const drawn = fc.record({ recipe: fc.constantFrom(...SHIPPED_RECIPES), group }).map(({ recipe, group: g }) =>
  compile(
    request(
      g.map((c, i) =>
        child(`c${i}`, c.months, {
          concerns: c.allergen ? [{ allergen: c.allergen, level: 'anaphylaxis-risk' }] : [],
        }),
      ),
      { recipe },
    ),
  ),
)

describe('in every plan', () => {
  it('who must not touch something is noted for an adult’s eyes, and nothing else is', () => {
    fc.assert(
      fc.property(drawn, (plan) => {
        const touches = plan.tasks.flatMap((t) =>
          t.barred.filter((b) => b.cause === 'touch').map((b) => `${t.step} ${b.child}`),
        )
        const notes = plan.watch.flatMap((w) =>
          w.about.kind === 'child' ? [`${w.step} ${w.about.child}`] : [],
        )
        expect(new Set(notes)).toEqual(new Set(touches))
        for (const w of plan.watch)
          if (w.about.kind === 'child') expect(w.says).toContain(`{{${w.about.child}}}`)
      }),
      { numRuns: 40 },
    )
  })
  it('a child that sits out does so by its plan, by what it must not touch, or by its age', () => {
    fc.assert(
      fc.property(drawn, (plan) => {
        for (const b of plan.tasks.flatMap((t) => t.barred)) {
          const concerns = b.cause === 'touch'
          expect(b.why.includes('does not touch')).toBe(concerns)
        }
      }),
      { numRuns: 20 },
    )
  })
  it('each finding is of a pass that there is, and what holds it up has words', () => {
    fc.assert(
      fc.property(drawn, (plan) => {
        for (const f of plan.findings) expect(PASSES).toContain(f.pass)
        const { bound } = plan.totals
        expect(bound).toBeDefined()
        if (bound && bound.seconds > 0) expect(certificate(plan)?.cause).toMatch(/^What holds it up/)
      }),
      { numRuns: 20 },
    )
  })
  it('one threshold parts a wait from a night: weave, lanes and clock say the same', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request([child('a', 60), child('b', 50)], { recipe }))
      for (const column of weave(plan, plan.bowls[0]?.id ?? '')) {
        const step = must(
          plan.schedule.find((s) => s.step === column.step),
          'its step',
        )
        const night = step.sitting === 1 && step.passive && isOvernight(step.seconds)
        expect(column.length === 'overnight', `${recipe.title}: ${step.title}`).toBe(night)
      }
    }
  })
})

describe('words from fields', () => {
  it.each([
    [{ kind: 'none' }, 'nothing to do'],
    [{ kind: 'limit', name: 'sink' }, 'sink'],
    [{ kind: 'chain', tasks: ['rise', 'bake'] }, 'chain: rise to bake'],
    [{ kind: 'chain', tasks: ['rise'] }, 'chain: rise'],
    [{ kind: 'clique', tasks: ['a', 'b'] }, 'clique: a, b'],
  ] as const)('%j is %s', (cause, text) => {
    expect(boundCauseText('tasks' in cause ? { ...cause, tasks: [...cause.tasks] } : cause)).toBe(text)
  })
  it('a decision about a task is said by the name of the task, not by its id', () => {
    const plan = compile(request([child('a', 60), child('b', 50)]))
    const task = must(
      plan.tasks.find((t) => t.mode === 'TURNS'),
      'a shared task',
    )
    const says = decisionText({ kind: 'adult-does', task: task.id }, plan)
    expect(says).toBe(`an adult does: ${task.name}`)
    expect(decisionText({ kind: 'adult-does', task: 'gone/away' }, plan)).toBe(
      'an adult does: a job that is gone',
    )
    expect(decisionText({ kind: 'adult-does', task: task.id }, null)).toBe(
      'an adult does: a job that is gone',
    )
  })
  it('a decision is said in words of the kitchen: no id of a line, a food, a swap or a step stands in it', () => {
    const plan = compile(request([child('a', 60), child('b', 50)]))
    const [line, step] = ['buttermilk', plan.schedule[1]?.step ?? '']
    const swap = swapsFor('buttermilk', 'acid-liquid', 'cup_m')[0]?.id ?? ''
    const all: Decision[] = [
      { kind: 'swap', line, swap },
      { kind: 'leave-out', line: 'chives' },
      { kind: 'apart', children: ['a'], swaps: [] },
      { kind: 'shape', line: 'chives', shape: 'QL' },
      { kind: 'measure', line: 'flour', measure: 'half-cup' },
      { kind: 'got', food: 'wheat-flour', buy: '1 x 500 g' },
      {
        kind: 'packet',
        food: 'buttermilk',
        lists: [],
        may: [],
        lookedFor: [],
        readBy: ['petra', 'gwenda'],
        at: '',
      },
      { kind: 'two-sittings', after: step },
      { kind: 'idea', step, idea: 'tell' },
      { kind: 'ask', step, child: 'a' },
      { kind: 'quiet', step },
      { kind: 'own-prompt', step, child: null, says: 'What do you see?', answer: '' },
      { kind: 'line', step, line: 'q-17', use: 'keep' },
      { kind: 'line', step, line: 'q-17', use: 'not' },
      { kind: 'move', step, before: plan.schedule[2]?.step ?? '' },
    ]
    for (const of of [plan, null])
      for (const d of all) {
        const says = decisionText(d, of)
        expect(says, d.kind).not.toMatch(/[a-z]>[a-z]|~|[a-z]+-flour|own:|q-17|\bQL\b|undefined/)
        if (of) expect(says, d.kind).not.toMatch(/gone/)
      }
    expect(decisionText(all[0] as Decision, plan)).toMatch(/ instead of buttermilk$/)
    expect(decisionText({ kind: 'leave-out', line: 'chives' }, plan)).toBe('left out: chives')
  })
  it('swaps are said by their foods', () => {
    const set = { decisions: [], stuck: [], packets: [] }
    expect(swapSetText({ ...set, swaps: [] })).toBe('')
    const swaps = [
      { from: 'buttermilk', to: 'oat drink and lemon juice' },
      { from: 'egg', to: null },
    ]
    expect(swapSetText({ ...set, swaps })).toBe('buttermilk: oat drink and lemon juice; egg: left out.')
  })
  it('what is missing is named', () => {
    expect(() => must(undefined, 'the step of a turn')).toThrow('the step of a turn is missing')
    expect(must(0, 'a number')).toBe(0)
  })
})

describe('times of the day', () => {
  it('a time and the minutes between are one another’s way back, also over midnight', () => {
    const minute = fc.integer({ min: 0, max: 1439 })
    const text = (m: number): string =>
      `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`
    fc.assert(
      fc.property(minute, minute, (from, by) => {
        const after = clockAfter(text(from), by)
        expect(after).toBe(text((from + by) % 1440))
        expect((minutesBetween(text(from), after) + 1440) % 1440).toBe(by % 1440)
      }),
    )
  })
  it.each([
    [30, '0.5 minutes'],
    [60, '1 minute'],
    [150, '2.5 minutes'],
    [599, '10 minutes'],
  ])('%i seconds are %s', (seconds, words) => expect(minutesText(seconds)).toBe(words))
})
