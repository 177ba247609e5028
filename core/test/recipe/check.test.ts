/** Questions to Check: what must never be answered 'ok', what is an adult's, and what is fine; each reason stands with the row that answers. */
import { describe, expect, it } from 'vitest'
import { advise } from '../../src/recipe/advice/advice'
import cases from './check.json'

type Case = [number, string, string, ('uk' | 'us')?]
const ask = ([months, what, as, country]: Case) => advise({ months, what, as, ...(country && { country }) })

describe('what must never be answered ok', () => {
  it.each(cases.notOk as Case[])('at %i months: %s, %s', (...c) => {
    const answer = ask(c)
    expect(['stop', 'change', 'adult']).toContain(answer.result)
    expect(answer.source).toMatch(/memory/)
  })
})
describe('what is an adult’s', () => {
  it.each(cases.adult as Case[])('at %i months: %s, %s', (...c) => {
    expect(['adult', 'stop']).toContain(ask(c).result)
  })
})
describe('what is not taken away', () => {
  // Milk and drinks made of a nut are no nuts: Lea knows no rule of form for them.
  it.each(cases.ok as Case[])('at %i months: %s, %s', (...c) => {
    expect(['ok', 'unknown']).toContain(ask(c).result)
  })
})
describe('a verdict and its sentence say the same', () => {
  it('nothing that is ok tells that it is not', () => {
    for (const [months, what] of [
      [62, 'popcorn'],
      [62, 'marshmallows'],
      [70, 'boiled sweets'],
      [62, 'grapes'],
    ] as const)
      expect(advise({ months, what }).do).not.toMatch(/^No |not at this/)
  })
  it('a child of seven at the hob has one adult to itself', () => {
    for (const months of [84, 96]) {
      const answer = advise({ months, what: 'stir the pan on the hob' })
      expect(answer.result).toBe('ok')
      expect(answer.do).toContain('at most 1 to an adult')
    }
  })
})
