/**
 * Ages, shapes and jobs against published guidance, as in age-skill-safety.md C1, D1 and the worked cases H: FSA/OHID, NHS,
 * CACFP, CDC, AAP, FDA, EYFS, British Nutrition Foundation; all from memory. Default: the stricter of UK and US.
 */
import { describe, expect, it } from 'vitest'
import { SHAPE_ROWS } from '../../src/food/by-age/choking'
import { EARLY_ROWS } from '../../src/food/by-age/too-early'
import { advise } from '../../src/recipe/advice/advice'

type Case = [string, number, string, string, string, ('uk' | 'us')?]
const H: Case[] = [
  ['H01', 30, 'grapes', 'whole', 'stop'],
  ['H02', 10, 'porridge sweetened with honey', '', 'stop'],
  ['H03', 41, 'bridge cut', 'paring knife', 'change'],
  ['H04', 41, 'bridge cut strawberries', 'nylon knife', 'ok'],
  ['H05', 26, 'whole peanuts to sprinkle and eat', 'whole', 'stop'],
  ['H06', 38, 'nut butter', 'thin, smooth, on a toast strip', 'ok'],
  ['H07', 38, 'nut butter', 'spoonful', 'stop'],
  ['H08', 55, 'popcorn', 'snack', 'stop'],
  ['H09', 29, 'raw carrot', 'coins', 'stop'],
  ['H10', 66, 'raw carrot', 'batons, seated', 'ok'],
  ['H11', 20, 'hard cheese', 'cubes', 'stop'],
  ['H12', 48, 'carry pan of boiling pasta to sink', '', 'adult'],
  ['H13', 100, 'drains hot pasta', '', 'adult'],
  ['H14', 54, 'raw chicken pieces', 'child coats them in crumbs', 'adult'],
  ['H15', 72, 'tastes raw biscuit dough', '', 'stop'],
  ['H16', 72, 'cracks egg', 'own cup', 'ok'],
  ['H17', 36, 'hot dog', 'coins', 'stop'],
  ['H18', 62, 'grate carrot', 'box grater', 'change'],
  ['H19', 15, 'tears bread', '', 'change'],
  ['H21', 36, 'child who vomited yesterday morning, session now', '', 'stop'],
  ['H22', 40, 'adult with children eating outside sight in next room, can hear', '', 'stop'],
  ['H23', 50, 'chicken core 66 °C for a moment', '', 'stop', 'uk'],
  ['H24', 50, 'soup', 'reheated to 75 °C for 30 s, first reheat', 'ok', 'uk'],
  ['H25', 90, 'cut melon', 'out 3 h at 24 °C', 'stop'],
  ['H26', 40, 'leftover rice', '30 h in fridge at 5 °C', 'stop', 'uk'],
  ['H27', 50, 'rice drink', 'in a smoothie', 'stop', 'uk'],
  ['H29', 132, 'stirs soup on the hob', 'adult beside', 'ok'],
  ['H30', 44, 'red kidney beans from a tin', 'squashed', 'ok'],
]

describe('worked cases', () => {
  it.each(H)('%s: at %i months, %s, %s: %s', (_id, months, what, as, result, country) => {
    expect(advise({ months, what, as, ...(country && { country }) }).result).toBe(result)
  })
})

describe('readings', () => {
  it.each([
    ['soup', 'core 70 °C for 2 min', 'uk', 'ok'],
    ['soup', 'core 70 °C for 119 s', 'uk', 'stop'],
    ['soup', 'core 70 °C for 2 min', undefined, 'stop'],
    ['soup', 'reheated to 165 F', 'us', 'ok'],
    ['soup', 'reheated again to 80 °C for 10 s', 'uk', 'stop'],
    ['thing nobody knows', 'out 1 h at 24 °C', 'uk', 'unknown'],
    ['yoghurt pots', 'out 90 min at 33 °C', 'uk', 'stop'],
    ['child with diarrhoea 50 hours ago', '', 'uk', 'unknown'],
    // An oven's figure is no reading of the food: an adult's job is named, and nothing is said to be done.
    ['soup', 'reheated in the oven at 180 °C for 20 min', 'uk', 'adult'],
    ['soup', 'cooked for 30 min, core 70 °C', 'uk', 'stop'],
    ['soup', 'core not yet 75 °C for 30 s', 'uk', 'stop'],
    ['soup', 'core 75 °C for 30 s, the other piece 60 °C', 'uk', 'stop'],
    ['soup', 'core 180 °C for 20 min', 'uk', 'stop'],
    ['yoghurt pots', 'left out overnight', 'uk', 'stop'],
    ['child who has vomited for 3 days', '', 'uk', 'stop'],
    ['child who vomited 3 days ago and again this morning', '', 'uk', 'stop'],
    ['whole grapes', 'core 80 °C for 1 min', 'uk', 'stop'],
  ] as const)('%s, %s (%s): %s', (what, as, country, result) => {
    expect(advise({ months: 40, what, as, ...(country && { country }) }).result).toBe(result)
  })
})

describe('every row of the choking table', () => {
  const limited = SHAPE_ROWS.filter((r) => r.rules.length > 0)
  it.each(limited.map((r) => [r.id, r] as const))(
    '%s: bare and below the age it is held back, with its source',
    (_id, row) => {
      const limits = row.rules.map((r) => r.below ?? 216)
      const months = Math.min(...limits) - 1
      const advice = advise({ months, what: row.names[0] ?? row.id })
      expect(['stop', 'change']).toContain(advice.result)
      expect(advice.source).toMatch(/memory/)
    },
  )
  it.each(limited.filter((r) => r.rules.every((x) => x.below !== null)).map((r) => [r.id, r] as const))(
    '%s: from the age on, no rule of the table holds it back',
    (_id, row) => {
      const last = Math.max(...row.rules.map((r) => r.below ?? 0))
      const advice = advise({ months: last, what: row.names[0] ?? row.id })
      if (advice.matched === row.id) expect(advice.result).toBe('ok')
    },
  )
  it.each(
    limited
      .filter((r) => r.offer && r.rules.every((x) => x.unless.includes(r.offer ?? '')))
      .map((r) => [r.id, r] as const),
  )('%s: in the shape it offers, it is not stopped', (_id, row) => {
    const said = {
      QL: 'quartered',
      GRATE: 'grated',
      MASH: 'mashed',
      FLAT: 'flattened',
      STRIP: 'thin strips',
      COOKSOFT: 'cooked soft',
      SLICE: 'thin slices',
      GROUND: 'ground',
      THIN: 'spread thin',
      CHOP: 'chopped fine',
      SOAKED: 'soaked',
      BATON: 'batons',
      DISSOLVED: 'dissolved',
    }[row.offer ?? '']
    if (!said) return
    const youngest = Math.min(...row.rules.map((r) => r.below ?? 216)) - 1
    const advice = advise({ months: youngest, what: row.names[0] ?? row.id, as: said })
    // A name that another table means as well ("bean sprouts") is answered by its row there.
    if (advice.matched === row.id) expect(advice.result).not.toBe('stop')
  })
})

describe('every row of the too-early table', () => {
  it.each(EARLY_ROWS.map((r) => [r.id, r] as const))('%s holds below its age and not after', (_id, row) => {
    const until = Math.max(row.until.uk ?? 0, row.until.us ?? 0)
    if (until === 0) return
    const name = row.names[0] ?? ''
    expect(['stop', 'change']).toContain(advise({ months: Math.min(until, 150) - 1, what: name }).result)
    if (until < 200) {
      const after = advise({ months: until, what: name })
      if (after.matched === row.id) expect(after.result).toBe('ok')
    }
  })
})

describe('what Lea does not know', () => {
  it('is unknown, never ok', () => {
    expect(advise({ months: 40, what: 'flurbinated quux' })).toMatchObject({
      result: 'unknown',
      matched: null,
    })
  })
  it('country: rice drink is a UK rule, whole grapes to 4 in the US', () => {
    expect(advise({ months: 50, what: 'rice drink', country: 'us' }).result).toBe('ok')
    expect(advise({ months: 50, what: 'grapes', as: 'whole', country: 'us' }).result).toBe('ok')
    expect(advise({ months: 50, what: 'grapes', as: 'whole', country: 'uk' }).result).toBe('stop')
  })
})
