import { describe, expect, it } from 'vitest'
import type { RecipeRead } from '../../src/recipe/text/understood'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { readRecipeFile } from '../../src/schema/recipe/recipe-file'
import { PAGES, TEXTS } from './more-texts'

const tasks = (r: RecipeRead) => r.recipe.steps.flatMap((s) => s.tasks)
const kinds = (r: RecipeRead): string[] =>
  r.unread.filter((u) => r.questions.some((q) => q.must && q.key === u.key)).map((u) => u.kind ?? '')

describe.each(TEXTS.map((t) => [t.name, t] as const))('%s', (_, t) => {
  const read = readRecipeFile(t.text, t.system ?? 'm')
  it('is read as it stands', () => {
    expect(read.recipe.title).toBe(t.title)
    expect(read.recipe.serves).toBe(t.serves)
    expect(read.recipe.lines.map((l) => l.food)).toEqual(t.foods)
    expect(kinds(read)).toEqual(t.must ?? [])
    const done = tasks(read).map((x) => x.technique)
    for (const technique of t.techniques ?? []) expect(done).toContain(technique)
    const waits = tasks(read).filter((x) => x.mode === 'WAIT')
    if (t.wait !== undefined) expect(Math.max(...waits.map((w) => w.seconds))).toBe(t.wait)
    if (t.celsius !== undefined) expect(Math.max(...waits.flatMap((w) => w.celsius ?? []))).toBe(t.celsius)
  })
  it('nothing of it is dropped: every word of the list is in a line, in a note, or listed', () => {
    expect(() => recipeSchema.validateSync(read.recipe)).not.toThrow()
    for (const line of read.lines)
      expect(line.line !== null || read.unread.some((u) => u.key === line.key)).toBe(true)
    for (const step of read.steps)
      expect(step.step !== null || read.unread.some((u) => step.text.includes(u.text)), step.text).toBe(true)
  })
})

describe('pages as people save them, in five manners, say the same', () => {
  it.each(PAGES.map((p) => [p.name, p.text] as const))('%s', (_, text) => {
    const { recipe } = readRecipeFile(text)
    expect(recipe.title).toBe('Pear & oat pots')
    expect(recipe.serves).toBe(6)
    expect(recipe.lines.map((l) => [l.food, l.amount, l.unit])).toEqual([
      ['oats-rolled', '300', 'g'],
      ['pear', '2', 'item'],
      ['milk-cow', '1/2', 'cup_m'],
    ])
    expect(recipe.steps.flatMap((s) => s.tasks.map((t) => t.technique))).toEqual(
      expect.arrayContaining(['grate', 'stir']),
    )
    expect(recipe.steps.flatMap((s) => s.tasks).find((t) => t.mode === 'WAIT')?.seconds).toBe(7200)
  })
})
