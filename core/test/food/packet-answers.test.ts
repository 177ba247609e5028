/** Two adults and one packet: nothing that is open is passed over, and what nobody knows stays open. */
import { describe, expect, it } from 'vitest'
import { meet } from '../../src/food/concerns'
import { packetFault, packetQuestions, packetReading } from '../../src/food/packet-answers'
import { foodBook } from '../../src/food/own-foods'
import { foodFault, settledFood, SHAPE_ANSWERS } from '../../src/food/settle-food'
import { foodSchema } from '../../src/schema/own-food'
import { SHAPE_ROWS } from '../../src/food/by-age/choking'

const stock = foodBook().of('stock-cube-veg')
const LABEL = 'Salt, flavouring, modified starch, flurbinate. Keep dry.'

describe('open words of a packet', () => {
  const questions = packetQuestions(LABEL, ['milk'], ['milk'])
  it('are each asked, those first that could hide something of this table', () => {
    expect(questions.words.map((w) => w.word)).toEqual(
      expect.arrayContaining(['flavouring', 'modified starch', 'flurbinate']),
    )
    // Starch could hide wheat, and nobody here avoids it.
    expect(questions.words.at(-1)?.word).toBe('modified starch')
    expect(packetQuestions(LABEL, ['wheat'], ['wheat']).words.every((w) => w.here)).toBe(true)
  })
  it('stand in the way of signing until each has an answer', () => {
    const words: Record<string, 'asked' | 'open'> = {}
    for (const w of questions.words) {
      expect(packetFault(questions, { found: {}, words })).toContain('“')
      words[w.word] = w.word === 'flurbinate' ? 'open' : 'asked'
    }
    expect(packetFault(questions, { found: {}, words })).toBe('')
    const reading = packetReading(['milk'], questions, { found: {}, words })
    expect(reading.open).toEqual(['flurbinate'])
    const packet = { food: stock.id, readBy: ['a', 'b'], text: LABEL, ...reading }
    expect(meet('milk', stock, packet)).toBe('ask')
    expect(meet('milk', stock, { ...packet, open: [] })).toBe('nothing')
  })
})

describe('a word on a card that Lea does not understand', () => {
  const questions = packetQuestions('Salt, skimmed milk powder', ['milk', 'qwertz'], ['qwertz'])
  it('needs its own answer for this packet', () => {
    expect(questions.concerns).toEqual(['qwertz'])
    expect(packetFault(questions, { found: {}, words: {} })).toContain('“qwertz”')
    for (const answer of ['lists', 'may', 'not'] as const) {
      const answers = { found: { qwertz: answer }, words: {} }
      expect(packetFault(questions, answers)).toBe('')
      const reading = packetReading(['milk', 'qwertz'], questions, answers)
      expect(reading.lookedFor).toContain('qwertz')
      expect(meet('qwertz', stock, { food: stock.id, readBy: ['a'], ...reading })).toBe(
        answer === 'not' ? 'nothing' : answer,
      )
    }
  })
  it('is not cleared by silence', () => {
    const reading = packetReading(['milk', 'qwertz'], questions, { found: {}, words: {} })
    expect(reading.lookedFor).toEqual(['milk'])
    expect(meet('qwertz', stock, { food: stock.id, readBy: ['a'], ...reading })).toBe('ask')
  })
  it('CMPA is milk, and a packet with milk lists it', () => {
    const { concerns } = packetQuestions('skimmed milk powder', ['CMPA'], ['CMPA'])
    expect(concerns).toEqual([])
    expect(
      meet('CMPA', stock, {
        food: stock.id,
        lists: ['milk'],
        may: [],
        lookedFor: ['CMPA', 'milk'],
        readBy: ['a'],
      }),
    ).toBe('lists')
  })
})

describe('a food that Lea does not know, settled', () => {
  const answers = {
    name: 'Quark strudel',
    contains: ['milk'],
    extras: [],
    mayContain: ['milk', 'egg'],
    compound: true,
    shapes: [],
    role: 'main',
    diets: { vegetarian: 'yes', vegan: 'no', halal: 'yes', 'no-pork': 'yes' } as const,
  }
  it('keeps what was said, and is a food by schema', () => {
    const food = settledFood({ ...answers, shapes: ['sticky', 'stone'] })
    expect(foodSchema.validateSync(food)).toMatchObject({
      id: 'own:quark-strudel',
      contains: ['milk'],
      mayContain: ['egg'],
      shape: 'stone-fruit',
      roles: ['main'],
    })
    expect(meet('milk', foodBook([food]).of(food.id))).toBe('lists')
  })
  it('keeps the id of the line that named it', () => {
    expect(settledFood({ ...answers, id: 'own:strudel' }).id).toBe('own:strudel')
  })
  it('needs a name and a word about its shape', () => {
    expect(foodFault({ name: ' ', shapes: [] }, true)).toMatch(/Name/)
    expect(foodFault({ name: 'x', shapes: [] }, false)).toMatch(/shape/)
    expect(foodFault({ name: 'x', shapes: ['hard'] }, false)).toBe('')
  })
  it('each shape is a row of the choking rules', () => {
    const rows = SHAPE_ROWS.map((r) => r.id)
    for (const s of SHAPE_ANSWERS) expect(rows).toContain(s.row)
  })
})
