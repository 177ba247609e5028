import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sceneFault, sceneText, spotsOf } from '../../src/recipe/kinds/scene'
import { SCENE_PLACES, type ScenePart } from '../../src/recipe/kinds/scene-parts'

const part = (at: ScenePart['at'], n: number, what = at as string): ScenePart => ({
  what,
  at,
  n,
  lines: ['a'],
})
const parts = fc
  .array(
    fc.record({
      at: fc.constantFrom(...SCENE_PLACES),
      half: fc.integer({ min: 1, max: 12 }),
      odd: fc.boolean(),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((all) =>
    all.map(({ at, half, odd }, i) => part(at, at === 'pair' ? 2 * half : 2 * half - (odd ? 1 : 0), `p${i}`)),
  )

describe('a picture that is built', () => {
  it('has every piece of every part, within its ground, whatever its parts', () => {
    fc.assert(
      fc.property(parts, (all) => {
        const spots = spotsOf({ parts: all })
        all.forEach((p, i) => expect(spots.filter((s) => s.part === i)).toHaveLength(p.n))
        for (const s of spots) expect(Math.hypot(s.x, s.y)).toBeLessThanOrEqual(1)
      }),
    )
  })

  it('lays no two pieces of one part on the same spot', () => {
    fc.assert(
      fc.property(parts, (all) => {
        for (const i of all.keys()) {
          const own = spotsOf({ parts: all }).filter((s) => s.part === i)
          expect(new Set(own.map((s) => `${s.x} ${s.y}`)).size).toBe(own.length)
        }
      }),
    )
  })

  it('lays spots where there is room: none on another piece, as long as they are few', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 5 }), (n, waves) => {
        const all = spotsOf({
          parts: [
            part('spots', n),
            part('middle', 1),
            part('pair', 2),
            part('bottom', waves),
            part('top', 1),
          ],
        })
        for (const a of all.filter((s) => s.part === 0))
          for (const b of all) if (a !== b) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(0.25)
      }),
    )
  })

  it('mirrors a pair exactly: each piece on the left has one on the right', () => {
    for (const n of [2, 4, 6, 12]) {
      const spots = spotsOf({ parts: [part('pair', n)] })
      const left = spots.filter((s) => s.x < 0)
      expect(left).toHaveLength(n / 2)
      for (const l of left) expect(spots.some((s) => s.x === -l.x && s.y === l.y)).toBe(true)
    }
  })

  it('lays a ring evenly: the same way from each to the next', () => {
    const spots = spotsOf({ parts: [part('ring', 7)] })
    const ways = spots.map((s, i) => {
      const next = spots[(i + 1) % spots.length]
      return Math.hypot(s.x - (next?.x ?? 0), s.y - (next?.y ?? 0))
    })
    for (const w of ways) expect(w).toBeCloseTo(ways[0] ?? 0, 2)
  })

  it('is said in words, and says what stands in its way', () => {
    const scene = {
      of: 'a boat',
      on: 'round' as const,
      parts: [part('middle', 1, 'hull'), part('pair', 2, 'sail')],
    }
    expect(sceneText(scene)).toBe(
      'A boat, on a round plate or bread: 1 hull in the middle; 2 sails left and right, mirrored.',
    )
    expect(sceneFault(scene, ['a'])).toBeNull()
    expect(sceneFault(scene, ['b'])).toContain('does not go in at this step')
    expect(sceneFault({ ...scene, parts: [part('pair', 3, 'sail')] }, ['a'])).toContain('even number, not 3')
    expect(sceneFault({ ...scene, parts: [part('top', 1, 'sun'), part('row', 2, 'sun')] }, ['a'])).toContain(
      'two parts of the name',
    )
  })
})
