/** Hot places: read from words, moved where a room lacks one, with lead time, hazards and signs. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formFor } from '../../src/craft/form'
import { techniqueOf } from '../../src/craft/techniques'
import { compile } from '../../src/plan/compile'
import { breaches } from '../../src/plan/check/check'
import type { Decision } from '../../src/plan/model/decision'
import { recipeOfSession } from '../../src/plan/model/session-recipe/sittings'
import { HEAT_PLACES, heatPlaceOf, placeNamed, withPlaces } from '../../src/recipe/heat-places'
import { PLACES, isHot, type HeatPlace, type Recipe } from '../../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import { child, four, recipeOf, request } from '../group'
import { must } from '../../src/amount/must'

const at = (r: Recipe): Set<string> => new Set(r.steps.flatMap((s) => s.tasks.flatMap((t) => t.place ?? [])))
const room = (equipment: string[], recipe: Recipe, decisions: Decision[] = []) => {
  const base = request([child('a', 50), child('b', 70), child('c', 100)], { recipe, decisions })
  return { ...base, kit: { ...base.kit, equipment } }
}

describe('the catalogue of hot places', () => {
  it('has every hot place once, with words, a technique, a hazard, a sign and a way out', () => {
    expect(new Set(HEAT_PLACES.map((p) => p.id))).toEqual(new Set(PLACES.filter(isHot)))
    for (const p of HEAT_PLACES) {
      expect(techniqueOf(p.technique)?.hazard, p.id).toBe('heat')
      expect(p.hazard.length).toBeGreaterThan(20)
      expect(p.done).toMatch(/^Done where/)
      expect(p.instead.length).toBeGreaterThan(0)
      for (const i of p.instead) expect(heatPlaceOf(i.place), i.place).toBeDefined()
    }
  })
  it('lets no child under six stand at any of them alone, and none under five at all (BNF, CAPT, RoSPA; common practice)', () => {
    for (const p of HEAT_PLACES)
      for (let months = 4; months < 72; months++) {
        const form = formFor(must(techniqueOf(p.technique), p.technique), months)
        if (months < 60) expect(form.kind, `${p.id} ${months}`).not.toBe('do')
        if (form.kind === 'do') expect(form.code, `${p.id} ${months}`).toBe('B')
      }
  })
})

describe('read from words', () => {
  it.each([
    ['Cook in the air fryer at 180 C for 10 minutes.', 'air-fryer'],
    ['Air-fry for 8 minutes.', 'air-fryer'],
    ['Cook on the griddle for 3 minutes on each side.', 'griddle'],
    ['Grill for 5 minutes until brown.', 'grill'],
    ['Broil for 5 minutes.', 'grill'],
    ['Cook under the grill until it bubbles.', 'grill'],
    ['Microwave for 2 minutes.', 'microwave'],
    ['Heat in the microwave for 1 minute.', 'microwave'],
    ['Bake in the toaster oven for 10 minutes.', 'toaster-oven'],
    ['Bake for 20 minutes.', 'oven'],
    ['Bake in the oven for 20 minutes.', 'oven'],
    ['Simmer for 10 minutes.', 'hob'],
    ['Preheat the oven. Fry the onion for 5 minutes.', 'hob'],
    ['Cook on the barbecue for 10 minutes.', 'fire'],
  ])('%s: %s', (step, place) => {
    const { recipe } = readRecipe(`Test\nServes 4\n\nIngredients\n200 g plain flour\n\nMethod\n1. ${step}`)
    expect([...at(recipe)].filter((p) => isHot(p as HeatPlace))).toEqual([place])
  })
  it('the more particular name first', () => {
    expect(placeNamed('the toaster oven')?.id).toBe('toaster-oven')
    expect(placeNamed('an oven glove')?.id).toBe('oven')
    expect(placeNamed('a bowl')).toBeNull()
  })
  it('a kettle cooks no prawns', () => {
    const { recipe } = readRecipe(
      'Prawn noodles\nServes 4\n\nIngredients\n200 g raw prawns\n100 g rice noodles\n\nMethod\n1. Boil the kettle.\n2. Stir the prawns into the noodles.\n3. Taste.',
    )
    const plan = compile(request([child('a', 60), child('b', 62)], { recipe }))
    expect(plan.turns.filter((t) => /\/(?:stir|taste)#/.test(t.id))).toEqual([])
  })
})

describe('not here: use instead', () => {
  const swaps = HEAT_PLACES.flatMap((p) =>
    p.instead.map((i) => ({ from: p.id, to: i.place, sure: i.sure === true })),
  )
  it.each(swaps)('$from by $to', ({ from, to, sure }) => {
    const recipe: Recipe = {
      ...recipeOf('herb-soda-bread'),
      steps: [
        {
          id: 'heat',
          title: 'Heat',
          picture: 'pot',
          uses: [],
          tasks: [
            { technique: must(heatPlaceOf(from), from).technique, mode: 'ADULT', seconds: 60, place: from },
            {
              technique: must(heatPlaceOf(from), from).technique,
              mode: 'WAIT',
              seconds: 600,
              place: from,
              celsius: 180,
            },
          ],
        },
      ],
    }
    const lacking = compile(room([to, 'sink'], recipe))
    const stop = lacking.findings.find((f) => f.rule === 'equipment')
    const chosen = lacking.findings.find((f) => f.rule === 'way')
    // What does as well whatever is cooked is chosen, and said; all else is asked.
    expect([stop?.grade, chosen?.grade]).toEqual(sure ? [undefined, 'know'] : ['stop', undefined])
    const fix = stop?.fixes.find((f) => f.action.do === 'decide')
    if (!sure) expect(fix?.label).toBe(`Use the ${must(heatPlaceOf(to), to).name} instead`)
    else expect(chosen?.says).toContain(`the ${must(heatPlaceOf(to), to).name} is used instead`)
    const decided = fix?.action.do === 'decide' ? [fix.action.decision] : []
    const wanted = room([to, 'sink'], recipe, decided)
    const mended = compile(wanted)
    expect(mended.findings.filter((f) => f.rule === 'equipment')).toEqual([])
    expect(mended.ineffective).toEqual([])
    expect(breaches(mended, wanted)).toEqual([])
    expect(new Set(mended.tasks.map((t) => t.place).filter(isHot))).toEqual(new Set([to]))
    const way = must(
      must(heatPlaceOf(from), from).instead.find((i) => i.place === to),
      to,
    )
    const wait = must(
      mended.tasks.find((t) => t.mode === 'WAIT'),
      'the wait',
    )
    const [n = 1, d = 1] = way.time.split('/').map(Number)
    expect(wait.seconds).toBe(Math.round((600 * n) / d / 30) * 30)
    // Its own hazard and sign stand at the step.
    expect(mended.watch.map((w) => w.says)).toContain(must(heatPlaceOf(to), to).hazard)
    const lead = must(heatPlaceOf(to), to)
    if (lead.lead !== undefined) {
      const ready = must(
        mended.background?.find((b) => b.says === lead.lead),
        lead.lead,
      )
      expect(ready.ready - ready.start - ready.seconds).toBeGreaterThanOrEqual(lead.leadMinutes * 60)
    }
  })
  it('any swaps of any shipped recipe keep the hard rules, and moving back and forth invents no place', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHIPPED_RECIPES), fc.subarray(swaps), (recipe, list) => {
        const decisions = list.map((s): Decision => ({ kind: 'place', ...s }))
        const wanted = request(four(), { recipe, decisions, effort: 'sketch' })
        expect(breaches(compile(wanted), wanted)).toEqual([])
        const known = new Set<string>(PLACES)
        for (const p of at(recipeOfSession(wanted))) expect(known).toContain(p)
      }),
      { numRuns: 60 },
    )
  })
  it('a swap that nobody knows changes nothing', () => {
    const recipe = recipeOf('herb-soda-bread')
    expect(withPlaces(recipe, [{ from: 'oven', to: 'kettle' }])).toEqual(recipe)
    expect(withPlaces(recipe, [])).toBe(recipe)
  })
})
