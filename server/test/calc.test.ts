/** `./lea calc`: JSON Lines in, JSON Lines out, in the same order; an error stands in its line's place. */
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'

const script = fileURLToPath(new URL('../dist/calc.js', import.meta.url))
function calc(name: string, lines: unknown[], args: string[] = []) {
  const input = lines.map((l) => (typeof l === 'string' ? l : JSON.stringify(l))).join('\n')
  const run = spawnSync('node', [script, name, ...args], { input, encoding: 'utf8' })
  const out = run.stdout.split('\n').filter((l) => l !== '')
  return { code: run.status, out: out.map((l) => JSON.parse(l) as Record<string, unknown>), err: run.stderr }
}

describe('./lea calc', () => {
  it('answers each line in order, and goes on after a bad one with status 2', () => {
    const { code, out } = calc('scale', [
      { amount: '2 1/3', unit: 'cup_us', factor: '3/2' },
      { amount: '1/0', unit: 'cup_us', factor: '2' },
      'not json',
      { amount: '250', unit: 'g', fromServes: 8, toServes: 14 },
    ])
    expect(code).toBe(2)
    expect(out[0]).toEqual({ factor: '3/2', amount: '7/2', mixed: '3 1/2' })
    expect(out[1]).toEqual({ error: { field: 'amount', says: "amount '1/0' divides by zero" } })
    expect(out[2]).toEqual({ error: { field: '', says: 'this line is not valid JSON' } })
    expect(out[3]).toEqual({ factor: '7/4', amount: '875/2', mixed: '437 1/2' })
  })
  it('converts by the exact definitions, volume and mass only by a food’s weight (H06, H13-H15; NIST HB 44, from memory)', () => {
    const { code, out } = calc('convert', [
      { value: 1, from: 'cup_us', to: 'mL' },
      { value: '350', from: 'F', to: 'C' },
      { value: '2', from: 'cup_us', to: 'g', gPerUsCup: 125 },
      { value: '100', from: 'g', to: 'cup_us', gPerUsCup: '200' },
    ])
    expect(code).toBe(0)
    expect(out).toEqual([
      { exact: '473176473/2000000', value: '236.5882' },
      { exact: '530/3', value: '176.6667' },
      { exact: '250', value: '250.0000' },
      { exact: '1/2', value: '0.5000' },
    ])
    expect(calc('convert', [{ value: 1, from: 'cup_us', to: 'g' }]).out[0]).toMatchObject({
      error: { field: 'gPerUsCup' },
    })
    expect(calc('convert', [{ value: 1, from: 'bucket', to: 'g' }]).out[0]).toMatchObject({
      error: { field: 'from' },
    })
  })
  it('counts eggs and scoops as the contract says (H17, H30)', () => {
    const measures = ['1', '1/2'].map((size) => ({ id: `${size} cup`, size, unit: 'cup_us' }))
    const scoops = calc('scoops-single', [
      { amount: '1', unit: 'cup_us', measures, children: 4, maxScoops: 24, tol: 0 },
    ])
    expect(scoops.out[0]).toEqual({
      exact: [
        { measure: '1 cup', n: 1, equal: false },
        { measure: '1/2 cup', n: 2, equal: false },
      ],
      approx: [],
    })
    expect(calc('eggs', [{ eggs: 4, factor: 1, recipeEgg_g: 50, boxEgg_g: 44 }]).out[0]).toEqual({
      needed_g: '200',
      exactEggs: '50/11',
      roundUp: 5,
      nearest: 5,
      nearestErrPct: '10.0000',
      beaten: { whole: 4, extra_g: '24' },
      suggest: 'whole',
    })
  })
  it('reads labels, checks ages and offers swaps (H30 and rules A4 of the fact packs, from memory)', () => {
    const label = calc('label', [
      { text: 'Wheat flour, butter (milk), coconut milk. May contain nuts.', region: 'uk' },
      { text: '', region: 'mars' },
    ])
    expect(label.out[0]).toMatchObject({
      contains: expect.arrayContaining(['gluten-cereals', 'wheat', 'milk']) as unknown,
    })
    expect(label.out[0]?.mayContain).toContain('tree-nuts')
    expect(label.out[1]).toHaveProperty('error.field')
    const check = calc('check', [
      { months: 40, what: 'grapes', as: 'whole' },
      { months: 40, what: 'a thing nobody knows', as: '' },
      { months: -1, what: 'grapes', as: '' },
    ])
    expect(check.out.map((o) => o.result)).toEqual(['stop', 'unknown', undefined])
    expect(check.out[2]).toHaveProperty('error.field', 'months')
    const swaps = calc('swaps', [
      { food: 'butter', role: 'fat', amount: '100', unit: 'g', avoid: ['milk'], diets: ['vegan'] },
      { food: 'butter', role: 'fat', amount: '100', unit: 'g', avoid: ['moonlight'], diets: [] },
    ])
    const candidates = swaps.out[0]?.candidates as { brings: string[] }[]
    expect(candidates.length).toBeGreaterThan(0)
    expect(candidates.every((c) => !c.brings.includes('milk'))).toBe(true)
    expect(swaps.out[1]).toHaveProperty('error.field', 'avoid')
  })
  it('reads the words of a card (calc.md), and refuses what is none', () => {
    const { out, code } = calc('card', [
      { text: 'CMPA and peanuts, baked egg ok' },
      { text: 'brak', languages: ['pl'] },
      { text: 'qwertz' },
      { text: 7 },
    ])
    expect(code).toBe(2)
    expect(out[0]).toMatchObject({ allergens: ['milk', 'peanut'], allowed: ['egg'], none: false })
    expect(out[1]).toEqual({ allergens: [], allowed: [], none: true, ask: [] })
    expect(out[2]).toEqual({ allergens: [], allowed: [], none: false, ask: ['qwertz'] })
    expect(out[3]).toHaveProperty('error.field', 'text')
  })
  it('says what the law of a region leaves unnamed, and refuses a region that it does not know', () => {
    const { out } = calc('label', [
      { text: 'Flour, spices', region: 'us' },
      { text: 'Flour, spices', region: 'au' },
      { text: 'Flour', region: 'atlantis' },
    ])
    expect(out[0]?.unnamed).toEqual(expect.arrayContaining(['celery', 'mustard', 'lupin']))
    expect(out[1]?.unnamed).not.toContain('lupin')
    expect(out[0]?.contains).toEqual(out[1]?.contains)
    expect(out[2]).toHaveProperty('error.field', 'region')
  })
  it('makes fair scoops, packs and batches, and names the fault of a bad box (H48, H50)', () => {
    const ask = { unit: 'tsp_us', children: 2, countLimit: 10, minTurn: 1, maxScoops: 12, minEach: 1 }
    const measures = [
      { id: 'cup', size: '48' },
      { id: 'half', size: '24' },
    ]
    const { code, out } = calc('fair', [
      { ...ask, measures, ingredients: [{ name: 'flour', amount: '48' }] },
      { ...ask, measures, ingredients: [{ name: 'flour', amount: '16' }] },
      { ...ask, measures: [{ id: 'cup', size: '0' }], ingredients: [{ name: 'flour', amount: '16' }] },
    ])
    expect(code).toBe(2)
    expect(out[0]).toMatchObject({ feasible: true, turns: 2, example: { flour: { half: 2 } } })
    expect(out[1]).toEqual({ feasible: false })
    expect(out[2]).toHaveProperty('error.field')
    expect(
      calc('packs', [
        { need: '500', unit: 'g', pantry: '100', packs: [{ id: 'bag', size: '250', price: 90 }] },
      ]).out[0],
    ).toEqual({ toBuy: '400', cost: 180, left: '100', packsTotal: 2, packs: { bag: 2 } })
    expect(
      calc('batches', [{ mode: 'oven', pieces: 30, perTray: 12, traysAtOnce: 1, minutes: 15, turnaround: 5 }])
        .out[0],
    ).toMatchObject({ trayloads: 3, batches: 3, lastBatchPieces: 6 })
  })
  it('reads an ingredient line, and names the fault of one that it cannot read', () => {
    const { code, out } = calc('read-amount', [
      { text: '1 ½ tsp baking powder', system: 'us' },
      { text: '2–3 carrots, peeled', system: 'uk' },
      { text: '1,5 dl milk', system: 'm', locale: 'de-DE' },
      { text: '3-2 eggs', system: 'us' },
      { text: '1 egg', system: 'mars' },
    ])
    expect(code).toBe(2)
    expect(out[0]).toEqual({
      amount: '3/2',
      unit: 'tsp_us',
      food: 'baking powder',
      foodId: 'baking-powder',
      prep: '',
      note: '',
      rest: '',
    })
    expect(out[1]).toMatchObject({ amount: { from: '2', to: '3' }, unit: 'item', prep: 'peeled' })
    expect(out[2]).toMatchObject({ amount: '150', unit: 'mL', foodId: 'milk-cow' })
    expect(out[3]).toMatchObject({ error: { field: 'text' } })
    expect(out[4]).toMatchObject({ error: { field: 'system' } })
  })
  it('deals turns and makes a schedule, and names the fault of a problem that makes no sense', () => {
    const dealt = calc('turns', [
      { base: [1, 0, 0], tasks: [{ n: 5, el: [0, 1, 2], cap: 3, cost: [0, 0, 0], easy: [0, 0, 0] }] },
      { base: [0], tasks: [{ n: 5, el: [0], cap: 3, cost: [0], easy: [0] }] },
      { base: [0], tasks: [{ n: 1, el: [3], cap: 3, cost: [0], easy: [0] }] },
    ])
    expect(dealt.out[0]).toMatchObject({ places: [[1, 2, 2]], sumsq: 12, spread: 0, cost: 0 })
    expect(dealt.out[1]).toMatchObject({ infeasible: { task: 0 } })
    expect(dealt.out[2]).toMatchObject({ error: { field: 'tasks[0].el' } })
    const op = { mode: 'ADULT', p: 4, req: { sink: 1 } }
    const one = {
      children: 2,
      ops: [
        { id: 'a', task: 'wash', ...op },
        { id: 'b', task: 'rinse', ...op },
        {
          id: 'c',
          task: 'stir',
          mode: 'TURNS',
          p: 4,
          dur: 1,
          q: 1,
          slots: 4,
          eligible: [0, 1],
          preds: ['a'],
        },
      ],
      resources: [{ name: 'sink', cap: 1 }],
    }
    const { out } = calc('schedule', [one, one, { ...one, resources: [{ cap: 1 }] }])
    expect(out[0]).toMatchObject({ makespan: 8, bound: 8, conflicts: 0, sumsq: 8 })
    expect(out[1]).toEqual(out[0])
    expect(out[2]).toMatchObject({ error: { field: 'resources[0]' } })
  })
  it('recipe: the words of a saved page, and answers to its questions', () => {
    const html =
      '<html><body><h1>Oat cups</h1><ul><li>200 g oats</li><li>100 ml milk or oat drink</li></ul><p>Stir the oats and milk. Brush with egg.</p></body></html>'
    const [first] = calc('recipe', [{ html }]).out as unknown as {
      title: string
      lines: { food: string }[]
      questions: { key: string; must: boolean; choices: { answer: string }[] }[]
    }[]
    expect(first?.title).toBe('Oat cups')
    const must = first?.questions.filter((q) => q.must) ?? []
    expect(must.length).toBe(2)
    const answers = Object.fromEntries(must.map((q) => [q.key, q.choices[0]?.answer ?? '']))
    const { out } = calc('recipe', [
      { html, answers },
      { html, answers: { x: 1 } },
      { html, text: 'x' },
    ])
    expect(out[0]).toMatchObject({
      lines: [{ food: 'oats-rolled' }, { food: 'milk-cow' }, { food: 'egg-hen' }],
    })
    expect(out[1]).toMatchObject({ error: { field: 'answers' } })
    expect(out[2]).toHaveProperty('error')
  })
  it('recipe: text or a page’s data into a recipe, with what could not be read', () => {
    const { out } = calc('recipe', [
      {
        text: 'Dip\nServes 4\nIngredients\n200 g yoghurt\n2-3 tbsp chives\nsalt to taste\nMethod\nStir the yoghurt.\nThen dip and taste.',
      },
      {
        jsonld: {
          '@type': 'Recipe',
          name: 'Dip',
          recipeYield: 4,
          recipeIngredient: ['200 g yoghurt'],
          recipeInstructions: 'Stir the yoghurt.',
        },
      },
      { text: '' },
      { text: 'x', jsonld: {} },
      { jsonld: '<html></html>' },
    ])
    expect(out[0]).toMatchObject({ title: 'Dip', serves: 4, schema: 2 })
    const { lines, unread } = out[0] as unknown as { lines: object[]; unread: object[] }
    expect(lines).toContainEqual(expect.objectContaining({ food: 'salt', byEye: 'taste' }))
    expect(unread).toContainEqual(expect.objectContaining({ part: 'ingredient', text: '2-3 tbsp chives' }))
    const { steps } = out[1] as unknown as { steps: { tasks: { technique: string }[] }[] }
    expect(steps.flatMap((x) => x.tasks.map((t) => t.technique))).toContain('stir')
    expect(out[2]).toMatchObject({ error: { field: 'text' } })
    expect(JSON.stringify(out[3])).toContain('one of them')
    expect(out[4]).toMatchObject({ error: { field: 'jsonld' } })
  })
  it('fact: what follows from it, what to say, and the field at fault', () => {
    const scoops = { kind: 'scoop', food: 'flour', unit: 'cup', target: '2 1/3', measure: '1/3', k: 3 }
    const { out } = calc('fact', [
      { ...scoops, months: 90 },
      { ...scoops, k: -1 },
      { ...scoops, months: 'old' },
      { ...scoops, locale: 'xx' },
    ])
    expect(out[0]).toMatchObject({ derived: { scoops: '7', running: '1', left: '1 1/3', leftScoops: '4' } })
    const said = (out[0] as { prompts: { fromMonths: number; toMonths: number }[] }).prompts
    expect(said.length).toBeGreaterThan(2)
    expect(said.every((p) => p.fromMonths <= 90 && 90 <= p.toMonths)).toBe(true)
    expect(out.slice(1).map((o) => (o as { error: { field: string } }).error.field)).toEqual([
      'k',
      'months',
      'locale',
    ])
  })
  it('says on standard error what it does not know, exit 2, nothing on standard output', () => {
    for (const [name, args] of [
      ['hope', []],
      ['', []],
      ['scale', ['/no/such/file']],
    ] as const) {
      const { code, out, err } = calc(name, [], [...args])
      expect(code).toBe(2)
      expect(out).toEqual([])
      expect(err.trim().split('\n')).toHaveLength(1)
    }
  })
  it('plan: refuses a request that makes no sense, naming the field', () => {
    const { code, out } = calc('plan', [{ version: 1 }])
    expect(code).toBe(2)
    expect(out[0]).toHaveProperty('error.field')
  })
})
