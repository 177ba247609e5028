/** A recipe that is being written: undo and redo, kept on the device until it is saved, gone with whoever signs out. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import type { Recipe } from '@lea/core/recipe'
import { forgetDrafts, useDraft } from '../src/stores/recipe-draft'

const bread = {
  id: 'own:bread',
  title: 'Herb soda bread',
  serves: 8,
  lines: [],
  steps: [],
} as unknown as Recipe
let scope: EffectScope
const open = (): ReturnType<typeof useDraft> => scope.run(useDraft) as ReturnType<typeof useDraft>
async function rename(draft: ReturnType<typeof useDraft>, title: string): Promise<void> {
  if (draft.draft.value) draft.draft.value.title = title
  await nextTick()
}
beforeEach(() => {
  localStorage.clear()
  scope = effectScope()
})
afterEach(() => scope.stop())

describe('a draft', () => {
  it('begins as what is saved, and is not touched by being looked at', () => {
    const d = open()
    d.begin('one', bread)
    expect(d.draft.value).toEqual(bread)
    expect([d.touched.value, d.canUndo.value, d.canRedo.value, d.restored.value]).toEqual([
      false,
      false,
      false,
      false,
    ])
    expect(localStorage.length).toBe(0)
  })
  it('goes back step by step and forward again, and a new change ends the way forward', async () => {
    const d = open()
    d.begin('one', bread)
    await rename(d, 'A')
    await rename(d, 'B')
    d.undo()
    await nextTick()
    expect(d.draft.value?.title).toBe('A')
    d.undo()
    await nextTick()
    expect(d.draft.value?.title).toBe('Herb soda bread')
    expect([d.canUndo.value, d.touched.value]).toEqual([false, false])
    d.redo()
    await nextTick()
    expect(d.draft.value?.title).toBe('A')
    await rename(d, 'C')
    expect(d.canRedo.value).toBe(false)
  })
  it('is there again after the page was closed, and says so', async () => {
    const first = open()
    first.begin('one', bread)
    await rename(first, 'Half written')
    const again = open()
    again.begin('one', bread)
    expect(again.draft.value?.title).toBe('Half written')
    expect(again.restored.value).toBe(true)
    const other = open()
    other.begin('two', bread)
    expect(other.draft.value?.title).toBe('Herb soda bread')
  })
  it('that is as it was saved is kept no longer; nor is one that was saved', async () => {
    const d = open()
    d.begin('one', bread)
    await rename(d, 'X')
    expect(localStorage.length).toBe(1)
    await rename(d, 'Herb soda bread')
    expect(localStorage.length).toBe(0)
    await rename(d, 'Y')
    d.done()
    expect([localStorage.length, d.touched.value, d.restored.value]).toEqual([0, false, false])
  })
  it('keeps at most a hundred steps back', async () => {
    const d = open()
    d.begin('one', bread)
    for (let n = 0; n < 130; n++) await rename(d, `title ${n}`)
    let back = 0
    while (d.canUndo.value) {
      d.undo()
      await nextTick()
      back += 1
    }
    expect(back).toBe(100)
  })
  it('leaves with whoever signs out, and nothing else does', async () => {
    localStorage.setItem('lea-device', 'device-1')
    const d = open()
    d.begin('new', bread)
    await rename(d, 'Z')
    forgetDrafts()
    expect(Object.keys(localStorage)).toEqual(['lea-device'])
  })
})
