/** What would be eaten raw, and the independent checker, which asks it all again. FSA, CDC, FDA on eggs, flour and meat; from memory. */
import { describe, expect, it } from 'vitest'
import { handBreaches } from '../../../src/plan/check/check'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'
import { asked, BURGERS, hands, planOf, rules } from './read-plan'

describe('what would be eaten raw', () => {
  it.each([
    [
      'a mousse, UK: an adult looks at the stamp',
      ['4 eggs', '100 g cream'],
      ['Whisk the eggs and cream.', 'Eat.'],
      'uk',
      'eaten-raw adult',
    ],
    [
      'a mousse, US: not under five',
      ['4 eggs', '100 g cream'],
      ['Whisk the eggs and cream.', 'Eat.'],
      'us',
      'eaten-raw stop',
    ],
    ['duck eggs at every age', ['4 duck eggs'], ['Whisk the eggs.', 'Eat.'], 'uk', 'eaten-raw stop'],
    [
      'bites of dough',
      ['100 g plain flour', '50 g sugar'],
      ['Stir it.', 'Roll into balls.', 'Eat.'],
      'uk',
      'eaten-raw stop',
    ],
    [
      'raw salmon',
      ['100 g salmon', '100 g rice'],
      ['Boil the rice.', 'Leave to cool for 30 minutes.', 'Wrap the salmon in it.', 'Eat.'],
      'uk',
      'eaten-raw stop',
    ],
    [
      'mince that no heat reaches',
      BURGERS,
      ['Fry the onion.', 'Stir the mince and the egg.', 'Eat.'],
      'uk',
      'eaten-raw stop',
    ],
  ] as const)('%s', (_name, lines, steps, country, rule) => {
    expect(rules(planOf([...lines], [...steps], country))).toContain(rule)
  })
  it('batter is tasted by nobody before it is baked', () => {
    const plan = planOf(
      ['100 g plain flour', '1 egg', '50 ml milk'],
      ['Stir it all.', 'Taste the batter.', 'Bake for 20 minutes.', 'Cool.', 'Eat.'],
    )
    expect(hands(plan, 'taste', 'taste-the-batter')).toBe('')
    expect(hands(plan, 'taste', 'eat')).toBe('abcd')
  })
})

describe('the independent checker asks the same again', () => {
  const forged = (plan: Plan, technique: string): Plan => {
    const task = plan.tasks.find((t) => t.technique === technique)
    if (!task) throw new Error(`no ${technique}`)
    return {
      ...plan,
      turns: [...plan.turns, { id: 'forged', task: task.id, number: 1, child: 'a', start: 0, end: 10 }],
    }
  }
  it.each([
    [
      'raw mince',
      BURGERS,
      ['Mix the mince and egg.', 'Fry for 10 minutes.'],
      'stir',
      /must not touch raw beef mince/,
    ],
    [
      'boiling stock',
      ['500 ml boiling water', '1 stock cube'],
      ['Stir the cube into the boiling water.'],
      'stir',
      /must not stand at what is hot/,
    ],
  ] as const)('a turn that is put in by hand is found: %s', (_name, lines, steps, technique, says) => {
    const of = asked([...lines], [...steps])
    expect(handBreaches(forged(compile(of), technique), of).join()).toMatch(says)
  })
})

describe('the shipped recipes', () => {
  const groups = { toddlers: [26, 30, 34], threes: [37, 44, 52], school: [72, 90, 130] }
  it.each(Object.entries(groups))(
    '%s: no job is taken from children by a word that means nothing',
    (_name, ages) => {
      for (const recipe of SHIPPED_RECIPES) {
        const of = request(
          ages.map((months, i) => child(`c${i}`, months)),
          { recipe },
        )
        const over = compile(of).tasks.filter((t) =>
          t.barred.some((b) => b.cause === 'raw' || b.cause === 'heat'),
        )
        expect([recipe.id, over.map((t) => t.id)]).toEqual([recipe.id, []])
      }
    },
  )
})
