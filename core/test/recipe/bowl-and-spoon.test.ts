import { describe, expect, it } from 'vitest'
import { TECHNIQUES } from '../../src/craft/techniques'
import { bowlAndSpoon } from '../../src/recipe/kinds/bowl-and-spoon'
import { SHIPPED_RECIPES, shippedOf } from '../../src/recipe/shipped'
import type { Recipe } from '../../src/recipe/recipe'

const of = (id: string) => bowlAndSpoon(shippedOf(id) as Recipe)
const one = (technique: string) =>
  bowlAndSpoon({
    steps: [
      { id: 's', title: 'S', picture: 'bowl', uses: [], tasks: [{ technique, mode: 'EACH', seconds: 30 }] },
    ],
  })

describe('nothing but a bowl and a spoon', () => {
  it('says no where heat is needed, and names the step; a way of its own without heat counts', () => {
    expect(of('herb-soda-bread').works).toBe(false)
    expect(of('herb-soda-bread').says).toMatch(/Not without heat or cold: .*[Bb]ake/)
    expect(of('couscous-jars').rows.every((r) => !r.no)).toBe(true)
    expect(of('cucumber-mint-raita').works).toBe(true)
  })

  it('no blade, no grater and no machine is left in its hands', () => {
    const FORBIDDEN =
      /\b(knife|grater|peeler|scissors|mixer|blender|whisk|sieve|cutter|rolling pin|skewer)\b/i
    for (const recipe of SHIPPED_RECIPES)
      for (const row of bowlAndSpoon(recipe).rows)
        for (const says of row.says) expect(says.replace(/^[^:]*: /, ''), recipe.id).not.toMatch(FORBIDDEN)
  })

  it('knows of every technique whose tool is more than a bowl, a spoon, a plate or hands what is done instead', () => {
    const PLAIN =
      /bowl|spoon|hand|plate|cup|pot|cloth|soap|towel|table|tray|mat|tap|water|brush|bin|colander|tongs|ladle/i
    const missing: string[] = []
    for (const t of TECHNIQUES) {
      const tools = [...new Set(t.ladder.flatMap((r) => (r.tool ? [r.tool] : [])))]
      if (
        tools.length === 0 ||
        tools.every((x) => PLAIN.test(x)) ||
        t.family === 'heat' ||
        t.family === 'clean'
      )
        continue
      const { rows, works } = one(t.id)
      if (works && rows[0]?.says.length === 0) missing.push(`${t.id}: ${tools.join()}`)
    }
    expect(missing).toEqual([])
  })
})
