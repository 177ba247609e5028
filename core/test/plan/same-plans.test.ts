/**
 * Where nothing but speed changes, plans stay the same byte for byte: digests of 500 drawn ones are kept beside this file. Some are made here, all
 * of them by `./lea bench same`. Where a plan is meant to change, `./lea bench same write` keeps the new ones, and the commit says why.
 */
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import kept from './same-plans.json'
import { drawnRequest } from './drawn-request'

const { process } = globalThis as { process?: { env: Record<string, string | undefined> } }
const HOW_MANY = Number(process?.env['LEA_SAME_PLANS'] ?? 50)

/** A plan as one word: its own digest, or why there is none. */
const wordOf = (seed: number): string => {
  try {
    return compile(drawnRequest(seed)).digest.slice(0, 12)
  } catch (fault) {
    return `no plan: ${fault instanceof Error ? fault.message : String(fault)}`
  }
}

describe('the same plans', () => {
  it(
    `${HOW_MANY} of ${kept.plans.length} drawn requests`,
    { timeout: 300_000 + HOW_MANY * 2000 },
    async () => {
      const now = Array.from({ length: HOW_MANY }, (_, i) => wordOf(i + 1))
      if (HOW_MANY === kept.plans.length)
        await expect(`${JSON.stringify({ plans: now }, null, 2)}\n`).toMatchFileSnapshot('./same-plans.json')
      else expect(now).toEqual(kept.plans.slice(0, HOW_MANY))
    },
  )
  it('are drawn of every kind: many recipes, small and large groups, refined ones, nearly all with a plan', () => {
    const all = Array.from({ length: 500 }, (_, i) => drawnRequest(i + 1))
    expect(new Set(all.map((r) => r.recipe.id)).size).toBeGreaterThan(20)
    expect(Math.max(...all.map((r) => r.children.length))).toBe(30)
    expect(all.filter((r) => r.effort === 'refined').length).toBeGreaterThan(20)
    expect(kept.plans.length).toBe(500)
    expect(kept.plans.filter((p) => p.startsWith('no plan')).length).toBeLessThan(25)
    expect(new Set(kept.plans).size).toBeGreaterThan(450)
  })
})
