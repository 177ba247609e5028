/**
 * Heat and raw meat stand over a job whatever its verb is. Source of the rules: FSA, CDC, USDA on raw meat; CAPT and RoSPA on scalds; from
 * memory. The texts are invented.
 */
import { describe, expect, it } from 'vitest'
import { readRecipe } from '../../../src/recipe/text/read-recipe'
import { BURGERS, hands, planOf, rules } from './read-plan'

describe('raw meat, poultry, fish and shellfish are the adult’s at every age', () => {
  it.each([
    [
      'burgers',
      BURGERS,
      ['Mix the mince, onion and egg.', 'Shape into burgers.', 'Fry for 10 minutes.'],
      ['stir', 'shape'],
    ],
    [
      'goujons',
      ['300 g chicken breast', '100 g breadcrumbs'],
      ['Cut the chicken into strips.', 'Coat in breadcrumbs.', 'Bake for 20 minutes.'],
      ['bridge-cut', 'toss-coat'],
    ],
    [
      'kebabs',
      ['300 g lamb, diced', '1 pepper'],
      ['Thread the lamb onto skewers.', 'Grill for 10 minutes.'],
      ['thread-skewer'],
    ],
    [
      'fish cakes',
      ['300 g cod', '400 g potatoes, mashed'],
      ['Mix the fish and potato.', 'Shape into cakes.', 'Fry for 8 minutes.'],
      ['stir', 'shape'],
    ],
    [
      'prawns',
      ['200 g prawns', '1 tbsp oil'],
      ['Toss the prawns in the oil.', 'Fry for 5 minutes.'],
      ['toss-coat'],
    ],
    [
      'bacon',
      ['6 rashers bacon', '3 bananas'],
      ['Wrap each banana in bacon.', 'Snip the bacon.', 'Bake for 20 minutes.'],
      ['snip-scissors'],
    ],
    [
      'a pan with butter beside it',
      BURGERS,
      ['Mix the mince and egg.', 'Melt the butter in a pan.', 'Shape into burgers.', 'Fry for 10 minutes.'],
      ['stir', 'shape'],
    ],
    [
      'an oven that warms up',
      BURGERS,
      [
        'Mix the mince and egg.',
        'Preheat the oven to 200 °C.',
        'Shape into burgers.',
        'Bake for 20 minutes.',
      ],
      ['stir', 'shape'],
    ],
    [
      'onions first',
      BURGERS,
      ['Mix the mince and egg.', 'Fry the onion until soft.', 'Shape into burgers.', 'Bake for 20 minutes.'],
      ['shape'],
    ],
    [
      'browned outside only',
      ['400 g sausages', '200 g tomatoes'],
      ['Brown the sausages in a pan.', 'Stir in the tomatoes.', 'Simmer for 20 minutes.'],
      ['stir'],
    ],
    [
      'a fish that no step names',
      ['300 g cod', '400 g potatoes, mashed'],
      ['Stir everything together.', 'Shape into balls.', 'Bake for 20 minutes.'],
      ['stir', 'shape'],
    ],
  ] as const)('%s', (_name, lines, steps, techniques) => {
    const plan = planOf([...lines], [...steps])
    for (const technique of techniques) expect([technique, hands(plan, technique)]).toEqual([technique, ''])
    expect(plan.tasks.flatMap((t) => t.barred).some((b) => b.cause === 'raw')).toBe(true)
  })
  it('and what is apart stays the children’s: a salad in its own bowl, herbs, what is cooked by then', () => {
    const plan = planOf(
      [...BURGERS, '1 lettuce', '10 g parsley'],
      [
        'Mix the mince and egg.',
        'Toss the lettuce in a separate bowl.',
        'Fry the mince for 10 minutes.',
        'Leave to cool for 20 minutes.',
        'Tear the parsley over it.',
        'Stir it all.',
      ],
    )
    expect(hands(plan, 'toss-coat')).toBe('abcd')
    expect(hands(plan, 'tear')).toBe('abcd')
    expect(hands(plan, 'stir', 'stir-it-all')).toBe('abcd')
  })
})

describe('what is hot is an adult’s, or has the adult that the catalogue asks for', () => {
  it.each([
    [
      'boiling stock is stirred',
      ['500 ml boiling water', '1 stock cube'],
      ['Stir the stock cube into the boiling water.'],
      'stir',
      '',
    ],
    [
      'pasta is stirred after it boiled',
      ['200 g pasta', '50 g butter'],
      ['Boil the pasta for 10 minutes.', 'Stir in the butter.'],
      'stir',
      'd',
    ],
    [
      'potatoes are mashed hot',
      ['400 g potatoes'],
      ['Boil the potatoes for 20 minutes.', 'Mash them.'],
      'mash',
      'd',
    ],
    [
      'cream over hot chocolate',
      ['200 ml milk', '50 g chocolate'],
      ['Heat the milk in a pan.', 'Whisk in the chocolate.'],
      'whisk',
      'd',
    ],
    [
      'out of the oven',
      ['200 g apples', '50 g sugar'],
      ['Bake for 20 minutes.', 'Take it out of the oven and sprinkle with sugar.'],
      'sprinkle',
      'd',
    ],
    [
      'a sauce that bubbles',
      ['200 ml cream', '50 g cheddar, grated'],
      ['Fold the cheese into the bubbling cream.'],
      'fold',
      '',
    ],
    [
      'over simmering water',
      ['3 eggs', '50 g sugar'],
      ['Whisk the eggs and sugar over simmering water.'],
      'whisk',
      '',
    ],
  ] as const)('%s', (_name, lines, steps, technique, who) => {
    expect(hands(planOf([...lines], [...steps]), technique)).toBe(who)
  })
  it.each([
    [
      'left to cool',
      ['400 g potatoes'],
      ['Boil the potatoes for 20 minutes.', 'Leave to cool for 30 minutes.', 'Mash them.'],
      'mash',
    ],
    [
      'said to be cooled in its own words',
      ['400 g potatoes'],
      ['Boil the potatoes for 20 minutes.', 'Mash the cooled potatoes.'],
      'mash',
    ],
    [
      'another work meanwhile',
      ['200 g pasta', '2 eggs', '10 g basil'],
      ['Boil the pasta for 10 minutes.', 'Whisk the eggs.', 'Tear the basil.'],
      'whisk',
    ],
    [
      'a night in the fridge',
      ['400 ml milk', '20 g gelatine'],
      ['Heat the milk.', 'Chill overnight in the fridge.', 'Stir it.'],
      'stir',
    ],
    [
      'cold water',
      ['200 ml cold water', '100 g flour'],
      ['Stir the water into the flour.', 'Bake for 20 minutes.'],
      'stir',
    ],
  ] as const)('and is the children’s once it is %s', (_name, lines, steps, technique) => {
    expect(hands(planOf([...lines], [...steps]), technique)).toBe('abcd')
  })
  it('a hot sentence in which no verb is read is an adult’s, and is shown as unread', () => {
    const read = readRecipe('Tea\nServes 2\n200 ml milk\n1. Keep it just below boiling point.\n2. Stir.')
    expect(read.recipe.steps.find((s) => s.id !== 'wash-hands')?.tasks[0]?.mode).toBe('ADULT')
    expect(read.unread.some((u) => u.why.includes('hot'))).toBe(true)
  })
  it('oil for deep frying clears the room', () => {
    const plan = planOf(
      ['200 g flour', '1 l sunflower oil'],
      ['Stir the flour and water.', 'Deep fry for 3 minutes.'],
    )
    expect(rules(plan)).toContain('deep-oil stop')
  })
})
