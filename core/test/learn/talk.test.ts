import { describe, expect, it } from 'vitest'
import { Glossary, LANGUAGES, glossaryRow, shownHome } from '../../src/learn/glossary'
import { SUPPORT_LEVELS, startLevel } from '../../src/learn/levels'
import { beginAt, promptsFor } from '../../src/learn/prompts'
import { chooseWords } from '../../src/learn/step-words'
import { compile } from '../../src/plan/compile'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { wordCards } from '../../src/session/word-cards'
import { child, request } from '../group'

describe('prompts', () => {
  const oats = {
    kind: 'scoop' as const,
    food: 'oats',
    unit: 'cup_m',
    unitWord: 'cup',
    target: '3/2',
    measure: '1/4',
    k: 3,
    measures: ['1/2', '1/4'],
  }
  it('carry the right number', () => {
    const answers = promptsFor(oats, 100).map((p) => p.answer)
    expect(answers).toContain('6 scoops')
    expect(answers).toContain('3/4 cup')
  })
  it('offer only measures that are in the box', () => {
    for (const p of promptsFor({ ...oats, measures: ['1/2', '1/4'] }, 110))
      expect(p.answer).not.toContain('1/3')
  })
  it('rise from showing to open, and none stands twice', () => {
    for (const months of [20, 30, 50, 80, 120]) {
      const said = promptsFor(oats, months)
      const levels = said.map((p) => SUPPORT_LEVELS.indexOf(p.level))
      expect(levels).toEqual([...levels].sort((a, b) => a - b))
      expect(new Set(said.map((p) => p.says)).size).toBe(said.length)
    }
  })
  it('begin at the level for the age, or at the next easier one there is', () => {
    expect(beginAt(promptsFor(oats, 100), 'open')).toBe('open')
    expect(beginAt(promptsFor(oats, 20), 'open')).toBe('model')
    expect(beginAt([], 'open')).toBe('model')
  })
  it('never ask for a count that does not come out whole', () => {
    for (const months of [40, 60, 90, 120]) {
      const says = promptsFor({ ...oats, target: '1', measure: '2/3', k: 0 }, months)
      expect(says.some((p) => p.says.includes('How many scoops'))).toBe(false)
    }
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
    const glossary = new Glossary()
    const [ids = []] = chooseWords([{ techniques: ['pour-liquid'], foods: ['milk-cow'] }], glossary, [[50]])
    expect([...ids].sort()).toEqual(['milk', 'pour'])
    const words = ['pour', 'milk'].map((id) => glossary.word(id, ['pl', 'ar']))
    const arabic = words[1]?.home.find((h) => h.language === 'ar')
    expect(arabic).toMatchObject({ rightToLeft: true })
    expect(arabic?.word).toMatch(/[\u0600-\u06ff]/)
  })
  it('exist in every language Lea offers', () => {
    for (const code of Object.keys(LANGUAGES)) expect(glossaryRow('milk')?.[code], code).toBeTruthy()
  })
})

describe('the talk of the house', () => {
  const startsOf = (talk?: 'ask' | 'comment') => {
    const base = request([child('a', 50), child('b', 50)])
    return compile({ ...base, rules: { ...base.rules, ...(talk && { talk }) } }).talk.map((t) =>
      SUPPORT_LEVELS.indexOf(t.start),
    )
  }
  it('asks more or comments more, one level up or down, and never past the ends', () => {
    expect(startLevel(50, 'ask')).toBe('open')
    expect(startLevel(50, 'comment')).toBe('choice')
    expect(startLevel(30, 'comment')).toBe('model')
    expect(startLevel(100, 'ask')).toBe('open')
    const [ask, usual, comment] = [startsOf('ask'), startsOf(), startsOf('comment')]
    usual.forEach((level, i) => {
      expect(ask[i]).toBeGreaterThanOrEqual(level)
      expect(comment[i]).toBeLessThanOrEqual(level)
    })
    expect(comment).not.toEqual(ask)
  })
  it('home languages stand side by side, or only those of the child whose turn it is', () => {
    const word = {
      id: 'flour',
      word: 'flour',
      home: [
        { language: 'pl', word: 'mąka' },
        { language: 'ar', word: 'طحين', rightToLeft: true },
      ],
    } as unknown as Parameters<typeof shownHome>[0]
    expect(shownHome(word, undefined, ['pl']).map((h) => h.language)).toEqual(['pl', 'ar'])
    expect(shownHome(word, 'one-at-a-time', ['ar']).map((h) => h.language)).toEqual(['ar'])
    expect(shownHome(word, 'one-at-a-time', [])).toEqual([])
  })
})

describe('word cards', () => {
  it('every word of the session once, with the picture of its step and the child who is asked there', () => {
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request([child('a', 50, { languages: ['ar', 'pl'] }), child('b', 50)], { recipe }))
      const cards = wordCards(plan)
      const words = new Set(plan.talk.flatMap((t) => t.words.map((w) => w.id)))
      expect(cards.map((c) => c.id).sort()).toEqual([...words].sort())
      for (const card of cards) {
        expect(card.picture).not.toBe('')
        for (const home of card.home) expect(home.rightToLeft).toBe(home.language === 'ar')
      }
    }
  })
})

it('what is poured is full or not, never level or heaped', () => {
  for (const recipe of SHIPPED_RECIPES) {
    const plan = compile(request([child('a', 50), child('b', 62)], { recipe }))
    for (const t of plan.talk) {
      const pours = plan.tasks.some((k) => k.step === t.step && k.technique === 'pour-liquid' && k.measured)
      const dry = plan.tasks.some((k) => k.step === t.step && k.technique === 'level-scoop')
      if (pours && !dry) expect(t.prompts.map((p) => p.says).join(' ')).not.toMatch(/heaped|Scoop, level/)
    }
  }
})
