/** The pictures of techniques: each has its own, all of it is drawn, within its frame, with the tool of every rung. */
import { describe, expect, it } from 'vitest'
import { TECHNIQUES } from '@lea/core/craft'
import { FRAMES } from '../src/parts/pictures/techniques/frames'
import { FRAME, framesOf, scene } from '../src/parts/pictures/techniques/scene'
import { FOODS, HANDS, MARKS, STANDS } from '../src/parts/pictures/techniques/shapes'

describe('the pictures of techniques', () => {
  it('every technique of the catalogue has two or three, and there are none beside', () => {
    expect(Object.keys(FRAMES).sort()).toEqual(TECHNIQUES.map((t) => t.id).sort())
    for (const t of TECHNIQUES) {
      const frames = framesOf(t.id)
      expect([2, 3], t.id).toContain(frames.length)
      expect(new Set(frames).size, `${t.id} has a picture twice`).toBe(frames.length)
    }
  })
  it('no two techniques have the same picture of what the hands do', () => {
    const seen = new Map<string, string>()
    for (const t of TECHNIQUES) {
      const doing = framesOf(t.id)[1] ?? ''
      expect(seen.get(doing), `${t.id} is like another`).toBeUndefined()
      seen.set(doing, t.id)
    }
  })
  it('draws all that a frame names, inside it, with every tool of the ladder', () => {
    for (const t of TECHNIQUES)
      for (const tool of new Set(t.ladder.map((r) => r.tool ?? '')))
        for (const line of framesOf(t.id)) {
          const items = scene(line, tool)
          expect(items.length, `${t.id}: ${line}`).toBeGreaterThan(0)
          for (const i of items) {
            expect(i.x, t.id).toBeGreaterThanOrEqual(0)
            expect(i.x, t.id).toBeLessThanOrEqual(FRAME.width)
            expect(i.y, t.id).toBeGreaterThanOrEqual(0)
            expect(i.y, t.id).toBeLessThanOrEqual(FRAME.height)
            expect(`${i.drawing.line}${i.drawing.fill ?? ''}`, `${t.id}: ${line}`).not.toBe('')
          }
        }
  })
  it('shows the tool in the hand wherever the ladder has one', () => {
    // Drawn in their own shapes: a bag, a jar, an egg on a cup, and what stands in the kitchen.
    const own = new Set(
      'bash-bag crack-egg shake-jar blender-button use-toaster use-toaster-oven use-microwave use-hob use-oven'.split(
        ' ',
      ),
    )
    for (const t of TECHNIQUES.filter((x) => !own.has(x.id) && x.ladder.some((r) => r.tool)))
      expect(
        framesOf(t.id).some((f) => /(^|; )tool /.test(f)),
        t.id,
      ).toBe(true)
  })
  it('refuses what is not drawn, and what has no place', () => {
    expect(() => scene('dragon 1 2 3', '')).toThrow(/no drawing of: dragon/)
    expect(() => scene('bowl 1 2', '')).toThrow(/no place for: bowl 1 2/)
  })
  it('uses every shape that is drawn', () => {
    const used = new Set(
      Object.values(FRAMES).flatMap((f) => f.split(/[|;]/).map((i) => i.trim().split(' ')[0])),
    )
    for (const name of Object.keys({ ...FOODS, ...HANDS, ...MARKS, ...STANDS }))
      expect(name === 'round' || used.has(name), name).toBe(true)
  })
  it('names no shape twice', () => {
    const names = [FOODS, HANDS, MARKS, STANDS].flatMap((x) => Object.keys(x))
    expect(new Set(names).size).toBe(names.length)
  })
})
