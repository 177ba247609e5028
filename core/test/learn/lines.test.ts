/** The lines themselves: how many there are, and that none is of the kind that nobody says. */
import { describe, expect, it } from 'vitest'
import comments from '../../data/talk/comments.json'
import cards from '../../data/talk/food-cards.json'
import ladders from '../../data/talk/ladders.json'
import { foodCardOf, foodValues } from '../../src/learn/line/food-card'
import { soundLines, firstSound } from '../../src/learn/line/sounds'
import { SONG_SECONDS, WASHING_SONG, songLineAt } from '../../src/learn/line/routines'
import { storyOf, storyPage } from '../../src/learn/line/stories'
import { doing } from '../../src/learn/line/doing'
import { usWords } from '../../src/learn/line/us-words'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'

const SENTENCES = [
  ...ladders.ladders.flatMap((l) => Object.values(l.says)),
  ...comments.comments.map((c) => c.says),
]

describe('the lines', () => {
  it('are nine hundred and more, none of them twice', () => {
    expect(SENTENCES.length).toBeGreaterThanOrEqual(900)
    const commented = comments.comments.map((c) => `${c.at} ${c.says}`)
    expect(new Set(commented).size).toBe(commented.length)
  })
  it('what is done together and what is only said asks nothing', () => {
    for (const l of ladders.ladders.filter((x) => !/^(count-one|taste-)/.test(x.id)))
      expect(l.says.model, l.id).not.toMatch(/\?$/)
    const asking = comments.comments.filter((c) => c.says.includes('?'))
    expect(asking.length / comments.comments.length).toBeLessThan(0.08)
  })
  it('a choice offers two, and the open question does not', () => {
    for (const l of ladders.ladders) {
      expect(l.says.choice, l.id).toMatch(/\bor\b|Or\}|:|enough/)
      expect(l.says.open, l.id).not.toMatch(/\{(\w*)Or\}/)
    }
  })
  it('are short, and say nothing that nobody says to a child', () => {
    for (const s of SENTENCES) {
      expect(s.split(' ').length, s).toBeLessThanOrEqual(24)
      expect(s, s).not.toMatch(/\b(utilise|commence|subitise|numeral|aliquot|safe)\b|!!/i)
    }
  })
  it('in the US nothing is left of what is said otherwise there', () => {
    for (const s of SENTENCES)
      expect(usWords(s), s).not.toMatch(
        /\bthe tap\b|colour|\bhob\b|neighbour|\bcourgette|\baubergine|\bfavourite/,
      )
    expect(usWords('Tap, tap. It snows.')).toBe('Tap, tap. It snows.')
    expect(usWords('a quarter of an hour')).toBe('a quarter of an hour')
  })
})

describe('knowing food', () => {
  it('every food of a shipped recipe has its card: what it gives, one reason, its group where the plate has one', () => {
    for (const recipe of SHIPPED_RECIPES)
      for (const line of recipe.lines) {
        const card = foodCardOf(line.food)
        expect(card, line.food).toBeDefined()
        expect(card?.gives.length).toBeGreaterThan(3)
        expect(card?.reason).toMatch(/\.$/)
        expect(card?.claps.length).toBeGreaterThan(1)
      }
  })
  it('names groups as the UK and the US do (Eatwell Guide, MyPlate; from memory)', () => {
    expect(foodCardOf('carrot', 'en-GB')?.group).toBe('fruit and vegetables')
    expect(foodCardOf('carrot', 'en-US')?.group).toBe('vegetables')
    expect(foodCardOf('oats-rolled', 'en-US')?.group).toBe('grains')
    expect(foodCardOf('lentils-red', 'en-GB')?.group).toContain('pulses')
    expect(foodCardOf('milk-cow', 'en-US')?.group).toBe('dairy')
    expect(foodCardOf('cinnamon')?.group).toBeUndefined()
  })
  it('families are those of botany (from memory)', () => {
    expect(foodCardOf('apple')?.family).toBe(foodCardOf('raspberry')?.family)
    expect(foodCardOf('potato')?.family).toBe(foodCardOf('pepper-sweet')?.family)
    expect(foodCardOf('carrot')?.family).toBe(foodCardOf('cumin')?.family)
    expect(foodCardOf('cucumber')?.family).toBe(foodCardOf('courgette')?.family)
    expect(foodCardOf('leek')?.family).toBe(foodCardOf('chives')?.family)
  })
  it('a sentence agrees with its food', () => {
    expect(foodValues('lentils-red', 'red lentils')).toMatchObject({ is: 'are', goes: 'go', it: 'them' })
    expect(foodValues('couscous', 'couscous')).toMatchObject({ is: 'is', it: 'it' })
    expect(foodValues('oats-rolled', 'rolled oats')).toMatchObject({ is: 'are' })
    expect(foodValues('chives', 'chives')).toMatchObject({ is: 'are' })
    expect(foodValues('wheat-flour', 'plain flour')).toMatchObject({ is: 'is' })
  })
})

const card = (id: string) => {
  const known = foodCardOf(id)
  if (!known) throw new Error(`no card of ${id}`)
  return known
}

describe('routines, sounds and stories', () => {
  it('the song is twenty seconds for six parts of the hand, each once (WHO and NHS, from memory)', () => {
    expect(SONG_SECONDS).toBe(20)
    expect(WASHING_SONG.map((l) => l.part)).toEqual(['palms', 'backs', 'between', 'thumbs', 'tips', 'wrists'])
    expect([0, 3, 4, 10, 19, 25].map(songLineAt)).toEqual([0, 0, 1, 3, 5, 5])
  })
  it('words begin by sound and not by letter; a vowel is no first sound to hunt for', () => {
    expect(['knead', 'chives', 'cinnamon', 'carrot', 'sugar', 'flour'].map(firstSound)).toEqual([
      'n',
      'ch',
      's',
      'k',
      'sh',
      'f',
    ])
    for (const w of ['oats', 'oven', 'apple', 'apron', 'herb', 'egg']) expect(firstSound(w)).toBe('')
    expect(soundLines(card('oats-rolled')).some((l) => l.id === 'sound-first')).toBe(false)
    expect(soundLines(card('cucumber')).find((l) => l.id === 'sound-clap')?.says).toContain('cu · cum · ber')
  })
  it('what is asked of a word’s sound has its answer in the word: beats, a rhyme, the beginning', () => {
    expect(foodValues('cucumber', 'cucumber')).toMatchObject({
      claps: 'cu · cum · ber',
      clapCount: '3',
      firstSound: 'k, k, k',
    })
    expect(foodValues('pear', 'pear')).toMatchObject({ rhyme: 'bear' })
    // One beat is not clapped, a vowel is no beginning to hunt for, and what rhymes with nothing is not asked.
    expect(foodValues('pear', 'pear')).not.toHaveProperty('clapCount')
    expect(foodValues('apple', 'apple')).not.toHaveProperty('firstSound')
    expect(foodValues('apple', 'apple')).not.toHaveProperty('rhyme')
    for (const id of Object.keys(cards.foods)) {
      const v = foodValues(id, id)
      if (v['clapCount'] !== undefined)
        expect(v['claps']?.split(' · ').length, id).toBe(Number(v['clapCount']))
      expect(v['rhymes'] ?? '', id).not.toMatch(/\btable\b/)
    }
  })
  it('a story has the step as its page only where the step says what is done', () => {
    const story = storyOf('Herb soda bread')
    expect(story?.id).toBe('hen')
    expect(story && storyPage(story, doing('Snip the chives'), 'en-GB')).toContain('snip the chives')
    expect(doing('A pinch of cinnamon')).toBeUndefined()
    const titles: Record<string, string> = {
      'Shape, cut a cross': 'shape and cut a cross',
      'Press, then seeds on': 'press',
      'Press, then sprinkle the seeds': 'press and sprinkle the seeds',
      'Spoon, pour and stir': 'spoon, pour and stir',
      'Cut, scrub, tear': 'cut, scrub and tear',
      'Knead your own piece': 'knead our own piece',
      'Wash hands': 'wash our hands',
    }
    for (const [title, done] of Object.entries(titles)) expect(doing(title)).toBe(done)
    expect(doing('Oil, water, stir')).toBeUndefined()
    expect(storyOf('Cucumber and mint raita')).toBeUndefined()
  })
})
