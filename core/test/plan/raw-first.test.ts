/** Produce before raw: said, and moved with one tap where nothing stands against it. */
import { describe, expect, it } from 'vitest'
import { breaches } from '../../src/plan/check/check'
import { compile } from '../../src/plan/compile'
import { decide } from '../../src/plan/model/decision'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import { child, four, request } from '../group'

const kids = [child('a', 50), child('b', 70)]
const read = (lines: string[], steps: string[]) =>
  readRecipe(
    [
      'Test',
      'Serves 4',
      '',
      'Ingredients',
      ...lines,
      '',
      'Method',
      ...steps.map((s, i) => `${i + 1}. ${s}`),
    ].join('\n'),
  ).recipe
const found = (recipe: ReturnType<typeof read>) =>
  compile(request(kids, { recipe })).findings.filter((f) => f.rule === 'raw-first')

const MEAT = ['400 g beef mince', '200 g chicken breast', '300 g cod', '200 g raw prawns']
describe('produce before raw', () => {
  it.each(MEAT)('%s first, then a salad: said, with the step to move', (meat) => {
    const word = meat.replace(/^\d+ g /, '')
    const recipe = read(
      [meat, '1 cucumber', '1 lettuce'],
      [
        `Cut the ${word} into pieces.`,
        'Slice the cucumber and tear the lettuce.',
        `Fry the ${word} for 10 minutes until cooked through.`,
        'Taste.',
      ],
    )
    const [finding] = found(recipe)
    expect(finding?.grade).toBe('adult')
    expect(finding?.says).toMatch(/cucumber/)
    const fix = finding?.fixes[0]
    expect(fix?.label).toMatch(/^Move this step before/)
    if (fix?.action.do !== 'decide') return
    const wanted = request(kids, { recipe, decisions: decide([], fix.action.decision) })
    const plan = compile(wanted)
    expect(plan.findings.filter((f) => f.rule === 'raw-first')).toEqual([])
    expect(breaches(plan, wanted)).toEqual([])
    expect(plan.ineffective).toEqual([])
    const order = plan.schedule.map((s) => s.step)
    const moved = fix.action.decision
    if (moved.kind === 'move') expect(order.indexOf(moved.step)).toBeLessThan(order.indexOf(moved.before))
  })
  it('the other way round nothing is said', () => {
    expect(
      found(
        read(
          ['400 g beef mince', '1 cucumber'],
          [
            'Slice the cucumber.',
            'Shape the mince into patties.',
            'Fry for 10 minutes until cooked through.',
            'Taste.',
          ],
        ),
      ),
    ).toEqual([])
  })
  it('what is cooked with it is no produce eaten as it is', () => {
    expect(
      found(
        read(
          ['400 g beef mince', '1 onion'],
          [
            'Cut the mince into pieces.',
            'Slice the onion.',
            'Fry the mince and the onion for 20 minutes.',
            'Taste.',
          ],
        ),
      ),
    ).toEqual([])
  })
  it('what goes over the hot dish stays where it is', () => {
    const [finding] = found(
      read(
        ['400 g beef mince', '1 tbsp chopped parsley'],
        [
          'Shape the mince into patties.',
          'Fry the mince for 10 minutes until cooked through.',
          'Tear the parsley and scatter it over the mince.',
          'Taste.',
        ],
      ),
    )
    expect(finding?.fixes.some((f) => f.action.do === 'decide')).toBe(false)
  })
  it('shipped recipes have it in order', () => {
    for (const recipe of SHIPPED_RECIPES)
      expect(
        compile(request(four(), { recipe, effort: 'sketch' })).findings.filter((f) => f.rule === 'raw-first'),
        recipe.id,
      ).toEqual([])
  })
  it('a move whose step is gone has no effect, and is said', () => {
    const plan = compile(request(four(), { decisions: [{ kind: 'move', step: 'gone', before: 'wash' }] }))
    expect(plan.ineffective.map((d) => d.kind)).toEqual(['move'])
  })
  it('stamped eggs that were agreed to are tasted without a note that forbids it, elsewhere not', () => {
    const mousse = read(
      ['4 eggs', '100 g dark chocolate'],
      [
        'An adult melts the chocolate.',
        'Whisk the eggs.',
        'Fold the eggs into the chocolate.',
        'Chill for 2 hours.',
        'Taste.',
      ],
    )
    const notes = (nation: 'england' | 'united-states') => {
      const base = request(kids, { recipe: mousse })
      const plan = compile({ ...base, rules: { ...base.rules, nation } })
      const eating = plan.tasks.find((t) => t.technique === 'taste')?.step
      return plan.watch.filter((w) => w.step === eating && w.says.includes('No tasting yet')).length
    }
    expect(notes('england')).toBe(0)
    expect(notes('united-states')).toBe(1)
  })
})
