/** What a folded topic of the setting says is what the setting has. */
import { describe, expect, it } from 'vitest'
import { settingStates } from '../../src/setting/topics'
import { request, child } from '../group'

const { rules } = request([child('a', 48)])

describe('a setting at one look', () => {
  it('counts its adults, goals, words, diets and changed ages', () => {
    const states = settingStates(
      {
        ...rules,
        nation: 'wales',
        grouping: 'groups',
        groupSize: 4,
        targets: ['x', 'y'],
        techniques: [],
        diets: [],
      },
      [{ leads: ['knives', 'heat'] }, { leads: ['knives'] }, { leads: [] }],
      1,
    )
    expect(states).toEqual({
      adults: '3 adults: knives 2, heat 1',
      rules: 'Wales, 4 to a bowl',
      ages: 'as in the catalogue',
      ratios: 'as in Wales',
      goals: '2 goals',
      words: '1 word of your own',
      diets: '0 diets of your own',
    })
  })
  it('says how the group sits', () => {
    const of = (grouping: 'together' | 'own') => settingStates({ ...rules, grouping }, [], 0).rules
    expect(of('together')).toMatch(/one bowl for all$/)
    expect(of('own')).toMatch(/a bowl each$/)
  })
})
