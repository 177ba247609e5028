import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nameStandsIn, textsWith, withoutName, withoutNameIn } from '../../src/setting/free-words'

describe('a name in free words', () => {
  it.each([
    ['Sat beside Rosa today', 'Rosa', true],
    ["Rosa's spoon", 'rosa', true],
    ['rosa, Juno and Wren', 'Rosa', true],
    ['with ROSA.', 'Rosa', true],
    ['(Rosa)', 'Rosa', true],
    ['Rosalind stirred', 'Rosa', false],
    ['prosaic', 'Rosa', false],
    ['José poured', 'Jose', true],
    ['Jose\u0301 poured', 'José', true],
    ['Łucja and Żaneta', 'Zaneta', true],
    ['İdil mixed', 'İdil', true],
    ['Mia Lou came', 'Mia Lou', true],
    ['Mia came', 'Mia Lou', false],
    ['Rosa2', 'Rosa', false],
    ['the cup', '', false],
    ['the cup', '  ', false],
    ['a.b', 'a.b', true],
    ['axb', 'a.b', false],
    ['Ana-Marie', 'Ana', true],
    ['🍓Rosa🍓', 'Rosa', true],
  ])('%s: %s %s', (text, name, stands) => {
    expect(nameStandsIn(text, name)).toBe(stands)
  })

  it('is gone from every text, and nothing else of it is', () => {
    const word = fc.constantFrom('Rosa', 'rosa', 'ROSA', 'Rosalind', 'cup', 'é', '🍓', ',', "'s", '(', ')')
    fc.assert(
      fc.property(fc.array(word, { maxLength: 12 }), (words) => {
        const text = words.join(' ')
        const left = withoutName(text, 'Rosa')
        expect(nameStandsIn(left, 'Rosa')).toBe(false)
        const kept = left.split(' ').filter((w) => w !== '…' && w !== '')
        expect(kept).toEqual(words.filter((w) => w.toLowerCase() !== 'rosa'))
      }),
    )
  })

  it('is looked for where people type, and in no id', () => {
    const note = { text: 'Sits best beside Wren', child: 'wren', event: 'wren' }
    expect(textsWith('event', note, 'Wren')).toEqual(['Sits best beside Wren'])
    expect(textsWith('event', { lines: ['Wren first', 'the blue jug'] }, 'wren')).toEqual(['Wren first'])
    expect(
      textsWith(
        'session',
        [
          { kind: 'clear', who: 'wren', why: 'Wren sits apart' },
          { kind: 'pin', child: 'wren' },
        ],
        'Wren',
      ),
    ).toEqual(['Wren sits apart'])
    expect(
      textsWith(
        'recipe',
        { id: 'wren', title: 'Wren’s bread', steps: [{ id: 'wren', says: 'as Wren does' }] },
        'Wren',
      ),
    ).toEqual(['Wren’s bread', 'as Wren does'])
  })

  it('is found wherever a recipe has words that somebody typed: a picture, what is said when it goes round, another way', () => {
    const recipe = {
      steps: [
        {
          scene: { of: 'Wren’s boat', parts: [{ what: 'Wren’s sail', lines: ['wren'] }] },
          ways: [{ lacks: 'heat', says: 'as Wren does it cold' }],
          tasks: [{ passes: { asks: 'Wren, would you?', answers: 'Yes, Wren.' } }],
        },
      ],
    }
    expect(textsWith('recipe', recipe, 'Wren').sort()).toEqual(
      ['Wren’s boat', 'Wren’s sail', 'as Wren does it cold', 'Wren, would you?', 'Yes, Wren.'].sort(),
    )
  })

  it('goes with every place of the chosen texts in what is kept, and with no other', () => {
    const plan = {
      turns: [{ id: 'wren', child: 'wren' }],
      talk: [{ says: 'What did Wren say?' }, { says: 'Said: What did Wren say?' }, { says: 'Wren again' }],
    }
    expect(withoutNameIn(plan, ['What did Wren say?'], 'Wren')).toEqual({
      turns: [{ id: 'wren', child: 'wren' }],
      talk: [{ says: 'What did … say?' }, { says: 'Said: What did … say?' }, { says: 'Wren again' }],
    })
    // A dollar is a dollar.
    expect(withoutNameIn(['$& of Wren'], ['$& of Wren'], 'Wren')).toEqual(['$& of …'])
  })
})
