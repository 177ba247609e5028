import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'

describe('the words of a step', () => {
  it('stand once each, the pair among them', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request([child('a', 40), child('b', 60)], { recipe, effort: 'sketch' }))
      for (const t of plan.talk) {
        const ids = [...t.words, ...(t.pair ?? [])].map((w) => w.id)
        expect(new Set(ids).size, `${recipe.id} ${t.step}: ${ids.join(', ')}`).toBe(ids.length)
      }
    }
  })
})
