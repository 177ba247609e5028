import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  compile,
  glossaryRow,
  LANGUAGES,
  promptsFor,
  scoopDerived,
  shareDerived,
  SHIPPED_RECIPES,
  startLevel,
  wordsOf,
} from '../../src/index'
import { child, request } from '../group'

describe('facts are exact', () => {
  it('three of five scoops of 1/4 cup are 3/4, with two to come', () => {
    expect(scoopDerived('5/4', '1/4', 3)).toEqual({
      scoops: '5',
      whole: true,
      running: '3/4',
      left: '1/2',
      leftScoops: '2',
    })
  })
  it('a measure that does not fit says so', () => {
    expect(scoopDerived('1', '2/3', 1)).toMatchObject({ whole: false, scoops: '3/2' })
  })
  it('sharing leaves what it leaves', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 30 }), (n, people) => {
        const s = shareDerived(n, people)
        expect(s.each * people + s.left).toBe(n)
        expect((n + s.needed) % people).toBe(0)
      }),
    )
  })
})

describe('prompts', () => {
  it('carry the right number', () => {
    const says = promptsFor({
      kind: 'scoop',
      food: 'oats',
      unit: 'cup_m',
      unitWord: 'cup',
      target: '3/2',
      measure: '1/4',
      k: 3,
    })
    expect(says.find((p) => p.level === 'focused')?.answer).toBe('6 scoops')
    expect(says.find((p) => p.level === 'open')?.answer).toContain('3/4 cup')
  })
  it('never ask for a count that does not come out whole', () => {
    const says = promptsFor({
      kind: 'scoop',
      food: 'oats',
      unit: 'cup_m',
      unitWord: 'cup',
      target: '1',
      measure: '2/3',
      k: 0,
    })
    expect(says.some((p) => p.says.includes('How many scoops'))).toBe(false)
  })
  it('comment more under three, ask more later', () => {
    expect([startLevel(30), startLevel(40), startLevel(60), startLevel(100)]).toEqual([
      'model',
      'choice',
      'focused',
      'open',
    ])
  })
  it('do not ask a child for a number above what it counts to', () => {
    const plan = compile(
      request([child('small', 40)], { recipe: SHIPPED_RECIPES.find((r) => r.id === 'lentil-letter-soup') }),
    )
    for (const talk of plan.talk) {
      const fact = talk.fact
      if (fact?.kind === 'count' && fact.n > 5) expect(talk.start).toBe('model')
    }
  })
})

describe('words', () => {
  it('stand beside their home words, right to left where they run so', () => {
    const words = wordsOf(['pour-liquid'], ['milk-cow'], ['pl', 'ar'])
    expect(words.map((w) => w.id)).toEqual(['pour', 'milk', 'in'])
    const arabic = words[1]?.home.find((h) => h.language === 'ar')
    expect(arabic).toMatchObject({ rightToLeft: true })
    expect(arabic?.word).toMatch(/[\u0600-\u06ff]/)
  })
  it('exist in every language Lea offers', () => {
    for (const code of Object.keys(LANGUAGES)) expect(glossaryRow('milk')?.[code], code).toBeTruthy()
  })
})
