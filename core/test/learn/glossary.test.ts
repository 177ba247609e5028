/**
 * The words of home: as many as there are, each with what it needs to be said aloud. Readings are held to the published rules of
 * transliteration: Ukrainian by the table of the Cabinet of Ministers of 2010, Bulgarian by the Transliteration Act of 2009 (both from memory).
 */
import { describe, expect, it } from 'vitest'
import { GLOSSARY_ROWS, Glossary, phraseIn } from '../../src/learn/glossary'
import { LANGUAGES } from '../../src/learn/languages'
import { numberWord } from '../../src/learn/number-words'
import { wordsOfTopic, wordsOfWait } from '../../src/learn/step-words'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { foodWord } from '../../src/learn/step-words'

const FULL = ['es', 'fr', 'pt', 'pl', 'ar', 'ur', 'cy', 'uk']
const SCRIPTS: Record<string, RegExp> = {
  ar: /^[\p{Script=Arabic}\s/؟،\p{Mn}.]+$/u,
  ur: /^[\p{Script=Arabic}\s/؟،\p{Mn}.]+$/u,
  uk: /^[\p{Script=Cyrillic}\s/'’?!,-]+$/u,
  bg: /^[\p{Script=Cyrillic}\s/'’?!,-]+$/u,
}

describe('the words of home', () => {
  it('are four hundred, each in eight languages; eighty and more in five further ones', () => {
    expect(GLOSSARY_ROWS.length).toBeGreaterThanOrEqual(400)
    expect(new Set(GLOSSARY_ROWS.map((r) => r.id)).size).toBe(GLOSSARY_ROWS.length)
    for (const row of GLOSSARY_ROWS) for (const l of FULL) expect(row[l], `${row.id} ${l}`).toBeTruthy()
    for (const l of Object.keys(LANGUAGES).filter((x) => !FULL.includes(x)))
      expect(GLOSSARY_ROWS.filter((r) => r[l]).length, l).toBeGreaterThanOrEqual(80)
  })
  it('stand in their own script, with a reading in Latin letters wherever the script is another', () => {
    for (const row of GLOSSARY_ROWS)
      for (const [language, script] of Object.entries(SCRIPTS)) {
        const word = row[language]
        if (!word) continue
        expect(word, `${row.id} ${language}`).toMatch(script)
        expect(row[`${language}_roman`], `${row.id} ${language}`).toMatch(/^[a-z'’\s/()?!,.-]+$/i)
      }
  })
  it('have a masculine and a feminine form alike in word and reading', () => {
    for (const row of GLOSSARY_ROWS)
      for (const language of Object.keys(SCRIPTS)) {
        const forms = (row[language] ?? '').split(' / ').length
        const read = (row[`${language}_roman`] ?? '').split(' / ').length
        // Vowels that are not written are heard: one form in writing may be read in two ways.
        if (row[language]) expect(read, `${row.id} ${language}`).toBeGreaterThanOrEqual(forms)
      }
    const verbs = GLOSSARY_ROWS.filter((r) => r.kind === 'verb' && /[\u0621-\u064a]/.test(r['ar'] ?? ''))
    const both = verbs.filter((r) => (r['ar'] ?? '').includes(' / '))
    // What is said of food ("it grows") and what is said alike to all has one form.
    expect(both.length / verbs.length).toBeGreaterThan(0.85)
  })
  it('nouns have their article in Spanish, French, Portuguese, German and Italian', () => {
    const ARTICLE: Record<string, RegExp> = {
      es: /^(el|la|los|las) /,
      fr: /^(le |la |les |l')/,
      pt: /^(o|a|os|as) /,
      it: /^(il |lo |la |i |gli |le |l')/,
      de: /^(der|die|das) /,
    }
    for (const row of GLOSSARY_ROWS.filter((r) => r.kind === 'food' || r.kind === 'tool'))
      for (const [language, article] of Object.entries(ARTICLE))
        if (row[language]) expect(row[language], `${row.id} ${language}`).toMatch(article)
  })
  it('Ukrainian and Bulgarian are read by the published tables', () => {
    const of = (id: string, l: string) => GLOSSARY_ROWS.find((r) => r.id === id)?.[`${l}_roman`]
    expect(of('flour', 'uk')).toBe('boroshno')
    expect(of('apple', 'uk')).toBe('yabluko')
    expect(of('egg', 'uk')).toBe('yaitse')
    expect(of('flour', 'bg')).toBe('brashno')
    expect(of('apple', 'bg')).toBe('yabalka')
  })
  it('what a second reading found wrong is right', () => {
    const of = (id: string, l: string) => GLOSSARY_ROWS.find((r) => r.id === id)?.[l]
    expect(of('stop', 'pl')).toBe('stop')
    expect(of('measure', 'pl')).toBe('odmierz')
    expect(of('measure', 'uk')).toBe('відміряй')
    expect(of('baking-tray', 'fr')).toBe('la plaque à pâtisserie')
    expect(of('in', 'es')).toBe('dentro de')
    expect(of('scoop', 'fr')).toBe('remplis la mesure')
    expect(of('quarter', 'en-US')).toBe('fourth')
    expect(numberWord(16, 'es')?.word).toBe('dieciséis')
    expect(numberWord(46, 'ur')?.word).toBe('چھیالیس')
    expect(numberWord(20, 'ar')?.reading).toBeTruthy()
  })
  it('hold every food of a shipped recipe and every word that a step or a wait brings', () => {
    const glossary = new Glossary()
    const missing = new Set<string>()
    for (const recipe of SHIPPED_RECIPES)
      for (const line of recipe.lines) if (!glossary.has(foodWord(line.food))) missing.add(line.food)
    expect([...missing]).toEqual(['bicarbonate'])
    for (const kind of [
      'oven',
      'hob',
      'fridge',
      'freezer',
      'rising',
      'soaking',
      'cooling',
      'fire',
      'setting',
    ])
      for (const id of wordsOfWait(kind).words) expect(glossary.has(id), `${kind} ${id}`).toBe(true)
    for (const technique of ['stir', 'knead', 'mash', 'wash-hands', 'level-scoop', 'taste', 'weigh-scale'])
      for (const id of wordsOfTopic([technique]).pair)
        expect(glossary.has(id), `${technique} ${id}`).toBe(true)
  })
  it('greet, and ask what it is called at home, in every language', () => {
    for (const l of Object.keys(LANGUAGES))
      for (const id of ['hello', 'what-call-home', 'thank-you', 'your-turn', 'is-it-hot', 'wash-your-hands'])
        expect(phraseIn(id, l)?.word, `${id} ${l}`).toBeTruthy()
  })
  it('in the US say what homes there say, Spanish of Spain in the UK, and ask a speaker by the very word', () => {
    const [us, uk] = [new Glossary([], 'en-US'), new Glossary([], 'en-GB')]
    expect(us.home('potato', 'es')?.word).toBe('la papa')
    expect(uk.home('potato', 'es')?.word).toBe('la patata')
    expect(us.home('apple', 'es')?.word).toBe(uk.home('apple', 'es')?.word)
    expect(us.home('potato', 'fr')?.word).toBe(uk.home('potato', 'fr')?.word)
    // The doubt is about the US word, not about the Spanish one.
    expect([us.home('sweetcorn', 'es')?.askSpeaker, uk.home('sweetcorn', 'es')?.askSpeaker]).toEqual([
      true,
      false,
    ])
    for (const row of GLOSSARY_ROWS)
      if (row['es_us'] !== undefined) expect(row['es_us'], row.id).not.toBe(row['es'])
  })
})
