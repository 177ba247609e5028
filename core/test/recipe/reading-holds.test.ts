/** What must hold of every reading: orders of answers, blank lines, headings and bullets, out and in again, hostile pages, every technique. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import verbs from '../../data/recipe-verbs.json'
import { TECHNIQUES } from '../../src/craft/techniques'
import { AmountError } from '../../src/amount/ratio'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { toJsonLd } from '../../src/recipe/text/page/to-json-ld'
import type { RecipeRead } from '../../src/recipe/text/understood'
import { readRecipeFile, recipeToJson, recipeToText } from '../../src/schema/recipe/recipe-file'
import { CASES } from './corpus/texts'

const read = (text: string, answers: Record<string, string> = {}): RecipeRead =>
  readRecipeFile(text, 'm', undefined, answers)
/** What is kept of a reading: lines and steps by what they hold. */
const kept = (r: RecipeRead): unknown => ({
  lines: r.recipe.lines.map((l) => [l.food, l.amount, l.unit, l.prep, l.byEye]),
  steps: r.recipe.steps.map((s) => [s.tasks, s.uses]),
})

describe('answers', () => {
  const open = CASES.map((c) => ({ c, first: readRecipeFile(c.text, c.system) })).filter(
    ({ first }) => first.questions.length > 1,
  )
  it('in any order make the same recipe, and an answered line never vanishes', () => {
    expect(open.length).toBeGreaterThan(60)
    fc.assert(
      fc.property(
        fc.constantFrom(...open),
        fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
        ({ c }, draws) => {
          // One after another as they come up, and then all at once in another order.
          const given: [string, string][] = []
          for (const draw of draws) {
            const now = readRecipeFile(c.text, c.system, undefined, Object.fromEntries(given))
            const left = now.questions.filter(
              (q) => q.choices.length > 0 && !given.some(([k]) => k === q.key),
            )
            const q = left[draw % Math.max(1, left.length)]
            if (!q) break
            given.push([q.key, q.choices[draw % q.choices.length]?.answer ?? ''])
          }
          const forth = readRecipeFile(c.text, c.system, undefined, Object.fromEntries(given))
          const back = readRecipeFile(c.text, c.system, undefined, Object.fromEntries([...given].reverse()))
          expect(back).toEqual(forth)
          for (const [key, answer] of given)
            if (key.startsWith('add:') && answer !== 'mentioned')
              expect(
                forth.lines.some((l) => l.key === key && l.line !== null),
                `${key} ${answer}`,
              ).toBe(true)
        },
      ),
      { numRuns: 120 },
    )
  })
  it('an egg that a step names is a line, whatever is answered about a walnut before', () => {
    // The worst of the second reading: an answered egg was gone because its key was a place in a list.
    const c = CASES.find((x) => x.name === 'walnut-size')
    const first = read(c?.text ?? '')
    const egg = first.questions.find((q) => /egg/.test(q.asks))
    expect(egg?.must).toBe(true)
    expect(first.questions.some((q) => /walnut|nut/i.test(q.asks))).toBe(false)
    const after = read(c?.text ?? '', { [egg?.key ?? '']: '1 egg' })
    expect(after.recipe.lines.map((l) => l.food)).toContain('egg-hen')
    expect(after.questions.filter((q) => q.must)).toEqual([])
  })
})

describe('the look of a text', () => {
  const plain = CASES.filter((c) => ['uk', 'us', 'messy', 'sections', 'card'].includes(c.style))
  it('a blank line more before the list and the telling, or bullets before lines, change nothing', () => {
    for (const c of plain) {
      const before = kept(readRecipeFile(c.text, c.system))
      expect(kept(readRecipeFile(`\n\n${c.text}\n\n`, c.system)), c.name).toEqual(before)
      expect(kept(readRecipeFile(c.text.replace(/\n/g, '\r\n'), c.system)), c.name).toEqual(before)
      const bullets = c.text.replace(/^(?=\d+ ?(?:g|ml|tbsp|tsp|cups?|oz)\b)/gim, '• ')
      expect(kept(readRecipeFile(bullets, c.system)), c.name).toEqual(before)
    }
  })
  it('headings put in before a list and a telling that had none change nothing', () => {
    const text =
      'Leek soup\nServes 4\n\n3 leeks\n2 potatoes\n1 litre water\n\nSlice the leeks and potatoes.\nSimmer them in the water for 20 minutes.\nMash.'
    const headed = text.replace('3 leeks', 'Ingredients\n3 leeks').replace('Slice the', 'Method\nSlice the')
    expect(kept(read(headed))).toEqual(kept(read(text)))
    expect(kept(read(headed.replace('Method', '## What to do:')))).toEqual(kept(read(text)))
  })
})

describe('out and in again', () => {
  it.each(SHIPPED_RECIPES.map((r) => [r.id, r] as const))(
    '%s: as JSON, as schema.org alone and in a page, as plain text',
    (_, recipe) => {
      expect(read(recipeToJson(recipe)).recipe).toEqual(recipe)
      const ld = JSON.stringify(toJsonLd(recipe))
      expect(read(ld).recipe).toEqual(recipe)
      expect(
        read(`<!doctype html><html><script type="application/ld+json">${ld}</script><p>Hello</p></html>`)
          .recipe,
      ).toEqual(recipe)
      expect(read(recipeToText(recipe)).recipe).toEqual(recipe)
      expect(read(recipeToText(recipe).replace(/\n/g, '\r\n')).recipe).toEqual(recipe)
    },
  )
  it('words that somebody changed in a text are read anew', () => {
    const [recipe] = SHIPPED_RECIPES
    if (!recipe) throw new Error('no recipe')
    const text = recipeToText(recipe).replace(recipe.title, 'Another bread')
    const back = read(text)
    expect(back.recipe.title).toBe('Another bread')
    expect(back.notes).not.toContain('a recipe of Lea')
    expect(back.recipe.lines.length).toBeGreaterThan(2)
  })
})

describe('pages', () => {
  it('several recipes: one is chosen', () => {
    const one = (name: string, food: string): object => ({
      '@type': 'Recipe',
      name,
      recipeIngredient: [`200 g ${food}`],
      recipeInstructions: [`Stir the ${food}.`],
    })
    const page = `<script type="application/ld+json">${JSON.stringify([one('Oat mix', 'rolled oats'), one('Rice mix', 'rice')])}</script>`
    const first = read(`<html>${page}</html>`)
    expect(first.recipe.title).toBe('Oat mix')
    expect(first.questions[0]).toMatchObject({
      key: 'recipe',
      choices: [{ answer: 'Oat mix' }, { answer: 'Rice mix' }],
    })
    expect(read(`<html>${page}</html>`, { recipe: 'Rice mix' }).recipe.lines[0]?.food).toBe('rice-white')
  })
  it.each([
    ['nested without end', '<div>'.repeat(1_000_000)],
    ['parts without end', '<b>x</b>'.repeat(600_000)],
    ['words without end', `<p>${'flour '.repeat(800_000)}`],
    ['a script without end', `<script type="application/ld+json">${'['.repeat(2_000_000)}`],
    ['too large', `<html>${'x'.repeat(5_000_001)}`],
    ['entities', `<p>${'&amp;'.repeat(900_000)}</p>`],
    ['no tag closed', '<p><i><b>'.repeat(150_000)],
  ])('a hostile page, %s, is refused in words', (_, page) => {
    expect(() => read(page)).toThrow(AmountError)
  })
  it('a text that only begins like one is a text', () => {
    expect(
      read(
        '[14:02, 01/02/2026] Petra: Oat mix\n[14:02, 01/02/2026] Petra: 200 g oats\n[14:03, 01/02/2026] Petra: Stir the oats.',
      ).recipe.lines.length,
    ).toBe(1)
    expect(read('<Media omitted>\nOat mix\n200 g oats\nStir the oats.').recipe.lines.length).toBe(1)
    expect(read('{a note} Oat mix\n200 g oats\nStir the oats.').recipe.lines.length).toBe(1)
  })
})

/** Techniques that no verb asks for by itself, and why. */
const NO_VERB: Record<string, string> = {
  'claw-cut': 'the ladder of a cut goes by age: a recipe says cut',
  'use-toaster-oven': 'the place says it: bake in the toaster oven',
  'drain-hot': 'drained while it is hot: from the heat before it',
  'handle-raw-meat': 'by the food, not by the verb',
}
describe('verbs', () => {
  it('each technique has its verbs, or a reason', () => {
    const asked = new Set(verbs.verbs.map((v) => v.technique))
    expect(TECHNIQUES.map((t) => t.id).filter((id) => !asked.has(id) && NO_VERB[id] === undefined)).toEqual(
      [],
    )
  })
  it('each verb is read where a command stands', () => {
    for (const [says, technique] of SAID) {
      const r = read(
        `Mix\nServes 4\nIngredients\n200 g plain flour\n1 carrot\n2 eggs\n400 g tin chickpeas\nMethod\n1. ${says}`,
      )
      const tasks = r.recipe.steps.flatMap((s) => s.tasks.map((t) => t.technique))
      expect(tasks, says).toContain(technique)
    }
  })
})
/** Verbs of printed recipes with the technique that a leader would name. Common practice. */
const SAID: [string, string][] = [
  ['Shake the jar for 5 minutes.', 'shake-jar'],
  ['Bash the biscuits in a bag.', 'bash-bag'],
  ['Roll it up tightly.', 'roll-wrap'],
  ['Thread the pieces on sticks.', 'thread-skewer'],
  ['Core the apples.', 'core'],
  ['Drain the chickpeas.', 'rinse-drain-cold'],
  ['Pipe the filling onto the base.', 'pipe'],
  ['Separate the eggs.', 'separate-egg'],
  ['Toast the bread.', 'use-toaster'],
  ['Microwave for 1 minute.', 'use-microwave'],
  ['Grill for 3 minutes.', 'use-grill'],
  ['Whizz until smooth.', 'blender-button'],
  ['Purée the soup.', 'blender-button'],
  ['Liquidise the soup.', 'blender-button'],
  ['Cream the butter and sugar.', 'stir'],
  ['Press the mixture into the tin.', 'fill-cases'],
  ['Dip each one in egg.', 'toss-coat'],
  ['Swirl the yoghurt through.', 'stir'],
  ['Decorate with herbs.', 'sprinkle'],
  ['Grease the tin.', 'brush-glaze'],
  ['Squash the chickpeas.', 'mash'],
  ['Deep-fry in hot oil.', 'deep-fry'],
  ['Stone the cherries.', 'stone'],
  ['Sieve the flour.', 'sieve'],
  ['Snip the chives.', 'snip-scissors'],
  ['Pod the peas.', 'pod-shell'],
  ['Scoop out the seeds.', 'scoop-out'],
  ['Peel the bananas.', 'peel-hand'],
  ['Pound in a mortar.', 'crush-pestle'],
  ['Lay the table.', 'lay-table'],
  ['Wash up together.', 'wash-up'],
  ['Wrap it in foil.', 'roll-wrap'],
  ['Cook on the griddle for 4 minutes.', 'use-griddle'],
  ['Air-fry for 8 minutes.', 'use-air-fryer'],
  ['Each child tears a leaf.', 'tear'],
  ['In a large bowl whisk the eggs.', 'whisk'],
  ['Gently fold in the flour.', 'fold'],
  ['Let everyone knead.', 'knead'],
]

describe('a sentence that was not read', () => {
  const read2 = (sentence: string): RecipeRead =>
    read(`Mix\nServes 4\nIngredients\n1 carrot\n200 g oats\nMethod\nStir the oats. ${sentence}`)
  it.each([
    'Use a sharp knife for the carrot.',
    'Get an adult for this bit.',
    'Take care with the grater.',
    'Have the scissors ready for everybody.',
  ])('%s: must be answered, by an adult or as only said', (sentence) => {
    const q = read2(sentence).questions.find((x) => x.key.startsWith('sentence:'))
    expect(q?.must).toBe(true)
    expect(q?.choices.map((c) => c.answer)).toEqual(['adult', 'said'])
  })
  it('a time in it is kept as a wait', () => {
    const waits = read2('Set aside for 10 minutes.').recipe.steps.flatMap((s) =>
      s.tasks.filter((t) => t.mode === 'WAIT'),
    )
    expect(waits.map((t) => t.seconds)).toEqual([600])
  })
  it('words of the language that the reader is written in are words', () => {
    for (const word of ['constructor', 'toString', '__proto__', 'valueOf'])
      expect(read(`Mix\n2 ${word}\n200 g oats\nStir the oats.`).recipe.lines.length).toBe(2)
  })
})
