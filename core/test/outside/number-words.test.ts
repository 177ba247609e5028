/**
 * Number words against the registry package (n2words) and ICU's own rules (Intl.PluralRules: CLDR), and against the counting rows of
 * learning.md E (from memory).
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { toCardinal as german } from 'n2words/de-DE'
import { things } from '../../src/learn/fact/phrases'
import { Glossary } from '../../src/learn/glossary'
import { languageName, runsRightToLeft } from '../../src/learn/languages'
import { NUMBER_LANGUAGES, countAlong, numberWord } from '../../src/learn/number-words'
import { spokenText } from '../../src/learn/spoken'

/** learning.md E, from memory: 1 to 10 as they are counted. */
const ROWS: Record<string, string> = {
  es: 'uno dos tres cuatro cinco seis siete ocho nueve diez',
  fr: 'un deux trois quatre cinq six sept huit neuf dix',
  pt: 'um dois três quatro cinco seis sete oito nove dez',
  pl: 'jeden dwa trzy cztery pięć sześć siedem osiem dziewięć dziesięć',
  ar: 'واحد اثنان ثلاثة أربعة خمسة ستة سبعة ثمانية تسعة عشرة',
  ur: 'ایک دو تین چار پانچ چھ سات آٹھ نو دس',
  cy: 'un dau tri pedwar pump chwech saith wyth naw deg',
  uk: "один два три чотири п'ять шість сім вісім дев'ять десять",
}

describe('number words', () => {
  for (const [language, row] of Object.entries(ROWS))
    it(`one to ten in ${languageName(language)} are as the pack has them`, () => {
      expect(countAlong(10, language).map((w) => w.word)).toEqual(row.split(' '))
    })
  it('go from 0 to 100 in every language, each different, in one script', () => {
    for (const language of NUMBER_LANGUAGES) {
      const words = Array.from({ length: 101 }, (_, n) => numberWord(n, language)?.word ?? '')
      expect(new Set(words).size, language).toBe(101)
      for (const w of words) {
        const scripts = [/\p{Script=Latin}/u, /\p{Script=Cyrillic}/u, /\p{Script=Arabic}/u].filter((s) =>
          s.test(w),
        )
        expect(scripts.length, `${language} ${w}`).toBe(1)
        expect(runsRightToLeft(w)).toBe(language === 'ar' || language === 'ur')
      }
    }
  })
  it('Welsh is decimal: tens and ones (modern counting, from memory)', () => {
    const say = (n: number) => numberWord(n, 'cy')?.word
    expect([say(11), say(20), say(21), say(55), say(60), say(100)]).toEqual([
      'un deg un',
      'dau ddeg',
      'dau ddeg un',
      'pum deg pump',
      'chwe deg',
      'cant',
    ])
  })
  it('are not made up: out of reach, or of a language without any, there is none', () => {
    expect(numberWord(101, 'pl')).toBeNull()
    expect(numberWord(1.5, 'pl')).toBeNull()
    expect(numberWord(3, 'so')).toBeNull()
    expect(german(3)).toBe('drei')
    expect(countAlong(3, 'de').map((w) => w.word)).toEqual(['eins', 'zwei', 'drei'])
    expect(countAlong(3, 'bg')).toEqual([])
  })
  it('a setting’s own stand over them', () => {
    const own = new Glossary([
      { id: 'number-2', kind: 'concept', home: [{ language: 'so', word: 'laba', checked: true }] },
    ])
    expect(countAlong(3, 'so', own).map((w) => w.word)).toEqual(['laba'])
  })
})

describe('one or more of a thing', () => {
  it('is singular just where Intl says one (CLDR)', () => {
    const rules = new Intl.PluralRules('en')
    fc.assert(
      fc.property(fc.nat(300), (n) => {
        expect(things('carrot', n)).toBe(rules.select(n) === 'one' ? 'carrot' : 'carrots')
        expect(things('scoops of oats', n)).toBe(
          rules.select(n) === 'one' ? 'scoop of oats' : 'scoops of oats',
        )
      }),
    )
    expect([things('leaf', 2), things('slices', 1), things('strawberry', 3)]).toEqual([
      'leaves',
      'slice',
      'strawberries',
    ])
  })
})

describe('amounts as they are said (learning.md B0, from memory)', () => {
  const SAID: [string, string, string][] = [
    ['1/2 cup', 'half a cup', 'half a cup'],
    ['1/4 cup', 'a quarter of a cup', 'a quarter cup'],
    ['3/4 cup', 'three quarters of a cup', 'three fourths cup'],
    ['1 1/2 cups', 'one and a half cups', 'one and a half cups'],
    ['2 1/3 cups', 'two and a third cups', 'two and a third cups'],
    ['1/2 tsp', 'half a teaspoon', 'half a teaspoon'],
    [
      'How many scoops of 1/4 cup make 1 3/4 cups?',
      'How many scoops of a quarter of a cup make one and three quarters cups?',
      'How many scoops of a quarter cup make one and three fourths cups?',
    ],
  ]
  for (const [figures, uk, us] of SAID)
    it(figures, () => {
      expect(spokenText(figures)).toBe(uk)
      expect(spokenText(figures, 'en-US')).toBe(us)
    })
  it('leaves times, whole numbers and parts without a name as they are', () => {
    for (const text of ['It goes in at 10:15.', '7 scoops', '5/7 of it', '12/11'])
      expect(spokenText(text)).toBe(text)
  })
})
