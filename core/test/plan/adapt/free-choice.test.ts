/** Free choice: each child is offered what its card and its age let it have, where what it takes is its own. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { compile, openStops } from '../../../src/plan/compile'
import type { Decision } from '../../../src/plan/model/decision'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanChild } from '../../../src/plan/model/request'
import { ownChoices } from '../../../src/recipe/own-choices'
import type { Recipe } from '../../../src/recipe/recipe'
import { child, recipeOf } from '../../group'
import { SOUP, milkCard, offerTo, soundPlan, soupFor, soupKids } from './choosing'

describe('what a child is offered', () => {
  it('is all but what its card forbids: one child’s cheese stops nobody', () => {
    const plan = soundPlan(soupFor(soupKids(6, milkCard('allergy-strict'))))
    const at = (f: { subject: { line?: string } }): boolean => f.subject.line === 'cheese'
    expect(openStops(plan).filter(at)).toEqual([])
    expect(offerTo(plan, 'c0')?.lines).not.toContain('cheese')
    expect(offerTo(plan, 'c0')?.not).toEqual([
      { line: 'cheese', why: expect.stringContaining('milk') as string },
    ])
    expect(offerTo(plan, 'c1')?.lines).toContain('cheese')
    const found = plan.findings.find(at)
    expect(found?.grade).toBe('adult')
    expect(found?.says).toContain('{{c0}}: milk (allergy, no traces), is not offered it')
  })
  it('never brings to the table what may not be in the room, nor what nobody has read for it', () => {
    const plan = soundPlan(soupFor(soupKids(6, milkCard('anaphylaxis-risk'))))
    expect(openStops(plan).map((f) => f.subject.line)).toContain('cheese')
  })
  it('a dislike keeps nobody from being asked; a diet is not held up to', () => {
    expect(offerTo(soundPlan(soupFor(soupKids(6, milkCard('preference')))), 'c0')?.lines).toContain('cheese')
    const vegan = soundPlan(soupFor(soupKids(6, { diets: ['vegan'] })))
    expect(offerTo(vegan, 'c0')?.lines).not.toContain('cheese')
    expect(vegan.findings.find((f) => f.subject.line === 'cheese')?.says).toMatch(
      /\(diet\), is not offered it\.$/,
    )
    // Rennet: its packet decides.
    const halal = soundPlan(soupFor(soupKids(6, { diets: ['halal'] })))
    expect(halal.findings.find((f) => f.subject.line === 'cheese')?.says).toContain(
      'until its packet is read',
    )
  })
  it('a form that is too early for one is not offered to it, and stands for the others', () => {
    const recipe: Recipe = {
      ...SOUP,
      lines: SOUP.lines.map((l) => (l.id === 'carrot' ? { ...l, prep: 'in sticks', shape: 'BATON' } : l)),
    }
    const r = soupFor([child('small', 30), ...soupKids(5)], { recipe })
    const plan = soundPlan(r)
    const at = plan.findings.filter((f) => f.subject.line === 'carrot' && f.rule === 'shape')
    expect(at.map((f) => f.grade)).toEqual(['adult'])
    expect(offerTo(plan, 'small')?.lines).not.toContain('carrot')
    expect(offerTo(plan, 'c1')?.lines).toContain('carrot')
    // Among small ones alone nobody could take it: a stop.
    const all = soundPlan(soupFor([child('a', 30), child('b', 31)], { recipe }))
    expect(openStops(all).some((f) => f.subject.line === 'carrot')).toBe(true)
  })
  it('two at once for who is two, and nothing of health in the note for the table', () => {
    const plan = soundPlan(soupFor([child('small', 30), ...soupKids(5, milkCard('allergy-strict'))]))
    expect(offerTo(plan, 'small')?.atOnce).toBe(2)
    const note = plan.watch.find((w) => w.step === 'choose' && w.says.startsWith('Free choice'))
    expect(note?.about.kind).toBe('work')
    expect(note?.says).toContain('Fewer at once, 2, for {{small}}')
    expect(note?.says).not.toMatch(/milk|allergy|not offered/)
  })
  it('a child for whom nothing is left is said, and so is one that has no choice', () => {
    const recipe: Recipe = {
      ...SOUP,
      choices: [{ id: 'top', what: 'on top', lines: ['cheese', 'beet'], take: 1, step: 'choose' }],
    }
    const none = soundPlan(
      soupFor(
        soupKids(4, {
          concerns: [
            { allergen: 'milk', level: 'allergy-strict' },
            { allergen: 'beetroot', level: 'allergy-strict' },
          ],
        }),
        { recipe },
      ),
    )
    expect(none.findings.find((f) => f.rule === 'no-choice')?.says).toContain(
      'nothing of it may be offered to {{c0}}',
    )
    const one = soundPlan(soupFor(soupKids(4, milkCard('allergy-strict')), { recipe }))
    expect(one.findings.find((f) => f.rule === 'no-choice')?.grade).toBe('know')
  })

  it('what one may be offered stops nothing where it sits there alone', () => {
    const forms = ['BATON', 'GRATE', 'SLICE', 'COIN', undefined]
    const youngest = fc.integer({ min: 12, max: 70 })
    const ofAge = (recipe: Recipe, people: PlanChild[]): Plan =>
      compile(soupFor(people, { recipe, effort: 'sketch' }))
    fc.assert(
      fc.property(
        youngest,
        fc.integer({ min: 1, max: 14 }),
        fc.constantFrom(...forms),
        (from, step, form) => {
          const lines = SOUP.lines.map(({ shape: _, ...l }) =>
            l.each ? l : { ...l, prep: '', ...(form && { shape: form }) },
          )
          const recipe = { ...SOUP, lines }
          const people = Array.from({ length: 4 }, (_, i) => child(`c${i}`, from + i * step))
          const together = ofAge(recipe, people)
          const stopped = new Set(openStops(together).map((f) => f.subject.line))
          for (const p of people) {
            const stops = ofAge(recipe, [p]).findings.filter((f) => f.grade === 'stop' && f.rule !== 'ratio')
            const offered = together.choices?.[0]?.offers.find((o) => o.child === p.id)?.lines ?? []
            for (const f of stops.filter((x) => !stopped.has(x.subject.line)))
              expect(offered).not.toContain(f.subject.line)
          }
        },
      ),
      { numRuns: 12 },
    )
  })
})

describe('a choice of which one food is left', () => {
  it('is a choice still: who must not have it is not offered it, and that is in the plan', () => {
    const recipe: Recipe = {
      ...SOUP,
      choices: [{ id: 'top', what: 'on top', lines: ['cheese', 'beet'], take: 1, step: 'choose' }],
    }
    const decisions: Decision[] = [{ kind: 'leave-out', line: 'beet' }]
    const plan = soundPlan(soupFor(soupKids(4, milkCard('allergy-strict')), { recipe, decisions }))
    expect(plan.choices?.[0]?.lines.map((l) => l.line)).toEqual(['cheese'])
    expect(offerTo(plan, 'c0')?.lines).toEqual([])
    expect(plan.findings.some((f) => f.rule === 'no-choice' && f.grade === 'adult')).toBe(true)
  })
  it('the checker refuses a plan in which somebody eats of what only stands near', () => {
    const r = soupFor(soupKids(4, milkCard('allergy-strict')))
    const plan = compile(r)
    const { choices: _, ...without } = plan
    expect(breaches(without, r).some((b) => b.includes('near it only'))).toBe(true)
    const offers = plan.choices?.map((c) => ({
      ...c,
      offers: c.offers.map((o) => (o.child === 'c0' ? { ...o, lines: [...o.lines, 'cheese'] } : o)),
    }))
    expect(breaches({ ...plan, choices: offers ?? [] }, r).some((b) => b.includes('against its card'))).toBe(
      true,
    )
  })
})

describe('a choice that is mixed for all', () => {
  const stirred: Recipe = {
    ...SOUP,
    steps: SOUP.steps.map((s) =>
      s.id === 'pour'
        ? { ...s, tasks: [...s.tasks, { technique: 'stir', mode: 'TURNS' as const, seconds: 10 }] }
        : s,
    ),
  }
  it('is each child’s own in the recipes that come with Lea, and none where it goes into one pot', () => {
    for (const id of [
      'chapati-dal',
      'pea-fritters',
      'rice-balls-seed-coat',
      'risen-flatbreads',
      'soup-of-my-own',
    ])
      expect(ownChoices(recipeOf(id)).length).toBe(1)
    expect(ownChoices(stirred)).toEqual([])
  })
  it('stops as every line does', () => {
    const plan = soundPlan(soupFor(soupKids(6, milkCard('allergy-strict')), { recipe: stirred }))
    expect(openStops(plan).map((f) => f.subject.line)).toContain('cheese')
    expect(plan.choices).toBeUndefined()
  })
  it.each(['sprinkle', 'arrange', 'spread', 'pour-dry', 'brush-glaze'])(
    'what all %s onto one base, in turn or each, is no choice of one child',
    (technique) => {
      for (const mode of ['TURNS', 'EACH', 'ADULT'] as const) {
        const tray: Recipe = {
          ...SOUP,
          steps: SOUP.steps.map((s) =>
            s.id === 'choose' ? { ...s, tasks: [{ technique, mode, seconds: 20 }] } : s,
          ),
        }
        expect([mode, ownChoices(tray)]).toEqual([mode, []])
        // On a piece of one's own it is one, where each does it.
        const own: Recipe = {
          ...tray,
          steps: tray.steps.flatMap((s) =>
            s.id === 'choose'
              ? [
                  {
                    ...s,
                    id: 'piece',
                    uses: [],
                    tasks: [{ technique: 'shape', mode: 'EACH' as const, seconds: 60 }],
                  },
                  s,
                ]
              : [s],
          ),
        }
        if (mode === 'EACH') expect(ownChoices(own).length).toBe(1)
      }
    },
  )
  it.each(['stir', 'mash', 'knead', 'fold', 'whisk', 'rub-in'])(
    '%s of one bowl by each child in turn mixes too',
    (technique) => {
      const shared: Recipe = {
        ...SOUP,
        steps: SOUP.steps
          .filter((s) => s.id !== 'choose')
          .map((s) =>
            s.id === 'grate'
              ? {
                  ...s,
                  uses: SOUP.choices?.[0]?.lines.map((line) => ({ line, part: '1' })) ?? [],
                  tasks: [{ technique, mode: 'EACH' as const, seconds: 30 }],
                }
              : s,
          ),
        choices: [{ id: 'inside', what: 'inside', lines: SOUP.choices?.[0]?.lines ?? [], take: 4 }],
      }
      expect(ownChoices(shared)).toEqual([])
    },
  )
})
