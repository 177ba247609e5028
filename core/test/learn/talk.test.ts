import { describe, expect, it } from 'vitest'
import { Glossary, glossaryRow, shownHome } from '../../src/learn/glossary'
import { LANGUAGES } from '../../src/learn/languages'
import { SUPPORT_LEVELS, commentsToAQuestion, startLevel } from '../../src/learn/levels'
import { beginAt, promptsFor, rungsOf } from '../../src/learn/prompts'
import { chooseWords, foodWord } from '../../src/learn/step-words'
import { compile } from '../../src/plan/compile'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { scriptOf } from '../../src/session/talk/script'
import { wordCards } from '../../src/session/talk/word-cards'
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
  it('stand on rungs of one and the same question, from together to open, and none stands twice', () => {
    for (const months of [30, 50, 80, 120, 150]) {
      const said = promptsFor(oats, months)
      for (const line of new Set(said.map((p) => p.line))) {
        const levels = rungsOf(said, line).map((p) => SUPPORT_LEVELS.indexOf(p.level))
        expect(levels).toEqual([...levels].sort((a, b) => a - b))
        expect(new Set(levels).size).toBe(levels.length)
      }
      expect(new Set(said.map((p) => p.says)).size).toBe(said.length)
    }
  })
  it('go on for twelve-year-olds and grown-ups', () => {
    expect(promptsFor(oats, 146).length).toBeGreaterThan(5)
    expect(promptsFor(oats, 400).length).toBeGreaterThan(5)
  })
  it('begin at the level for the age, or at the next easier one there is', () => {
    const said = promptsFor(oats, 100)
    const rungs = rungsOf(said, said[0]?.line)
    expect(rungs[beginAt(rungs, 'open')]?.level).toBe('open')
    expect(rungs[beginAt(rungs, 'choice')]?.level).toBe('choice')
    expect(beginAt([], 'open')).toBe(0)
  })
  it('never ask for a count that does not come out whole', () => {
    for (const months of [40, 60, 90, 120]) {
      const says = promptsFor({ ...oats, target: '1', measure: '2/3', k: 0 }, months)
      expect(says.some((p) => p.says.includes('How many scoops'))).toBe(false)
    }
  })
  it('are done together under two and a half, then begin open and are narrowed', () => {
    expect([startLevel(26), startLevel(34), startLevel(40), startLevel(60), startLevel(100)]).toEqual([
      'model',
      'choice',
      'open',
      'open',
      'open',
    ])
  })
  it('do not ask a child for a number above what it counts to', () => {
    const plan = compile(
      request([child('small', 40)], { recipe: SHIPPED_RECIPES.find((r) => r.id === 'lentil-letter-soup') }),
    )
    for (const talk of plan.talk)
      for (const a of talk.asks ?? []) expect(Number(/^\d+$/.exec(a.answer)?.[0] ?? 0)).toBeLessThanOrEqual(5)
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
  const asked = (talk?: 'ask' | 'comment') => {
    const base = request([50, 52, 54, 56, 58, 59].map((m, i) => child(`c${i}`, m)))
    const plan = compile({ ...base, rules: { ...base.rules, ...(talk && { talk }) } })
    return plan.talk.flatMap((t) => t.asks ?? []).length
  }
  it('asks more or comments more, one level up or down, and never past the ends', () => {
    expect(startLevel(34, 'ask')).toBe('focused')
    expect(startLevel(50, 'comment')).toBe('focused')
    expect(startLevel(20, 'comment')).toBe('model')
    expect(startLevel(100, 'ask')).toBe('open')
    expect(asked('ask')).toBeGreaterThan(asked('comment'))
    expect(commentsToAQuestion(40, 'comment')).toBeGreaterThan(commentsToAQuestion(40))
    expect(commentsToAQuestion(40, 'ask')).toBeLessThan(commentsToAQuestion(40))
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
      // And what may be chosen, tasted or laid: who does not speak yet points at it.
      const built = (plan.scenes ?? []).flatMap((s) => s.parts.flatMap((p) => p.lines))
      const pointed = [
        ...(plan.choices ?? []).flatMap((c) => c.lines.map((l) => l.food)),
        ...(plan.tastings ?? []).flatMap((t) => t.tasters.flatMap((x) => x.tastes.map((y) => y.food))),
        ...plan.bowls.flatMap((b) => b.lines.filter((l) => built.includes(l.line)).map((l) => l.food)),
      ].map(foodWord)
      for (const id of pointed) if (glossaryRow(id)) words.add(id)
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
    for (const slot of scriptOf(plan)) {
      const turn = plan.turns.find((t) => t.id === slot.turn)
      const task = plan.tasks.find((t) => t.id === turn?.task)
      if (task?.technique !== 'pour-liquid') continue
      const all = slot.lines.flatMap((l) => [l.says, ...(l.rungs ?? []).map((r) => r.says)])
      expect(all.join(' '), recipe.id).not.toMatch(/heaped|Scoop, level/)
    }
  }
})
