/** Two jobs at one time, as recipes write them: both are read, each child stays at one; what is hot or an adult's is dealt out to nobody. */
import { describe, expect, it } from 'vitest'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import { sharedOut } from '../../src/recipe/text/steps/shared-out'

const LINES = [
  '1 pepper',
  '2 tbsp parsley',
  '4 tomatoes',
  '1 carrot',
  '1 cup yoghurt',
  '1 tin beans',
  '2 tbsp chives',
  '200 g pasta',
]
const stepOf = (sentence: string) => {
  const { recipe } = readRecipe(['Salad', 'Serves 8', ...LINES, `1. ${sentence}`, '2. Taste it.'].join('\n'))
  return recipe.steps.filter((s) => s.says?.includes(sentence.slice(0, 12)))
}
const workOf = (sentence: string) =>
  stepOf(sentence).flatMap((s) => s.tasks.filter((t) => !t.measures).map((t) => `${t.technique} ${t.mode}`))

describe('two jobs at one time', () => {
  it.each([
    ['Half of the children cut the pepper while the others tear the parsley.', ['bridge-cut', 'tear']],
    ['Two children snip the chives and the others mash the beans.', ['snip-scissors', 'mash']],
    ['Some grate the carrot, some stir the yoghurt.', ['grate', 'stir']],
    ['One group tears the parsley, another group mashes the beans.', ['tear', 'mash']],
    ['In two groups: one half snips the chives, the other half mashes the beans.', ['snip-scissors', 'mash']],
    ['The older children cut the pepper while the younger ones tear the parsley.', ['bridge-cut', 'tear']],
    ['One child can stir the yoghurt while another tears the parsley.', ['stir', 'tear']],
    [
      'Some snip the chives, some tear the parsley and some mash the beans.',
      ['snip-scissors', 'tear', 'mash'],
    ],
    ['A few children mash the beans, the rest tear the parsley.', ['mash', 'tear']],
  ])('%s', (sentence, techniques) => {
    expect(workOf(sentence)).toEqual(techniques.map((t) => `${t} STATION`))
    expect(stepOf(sentence).some((s) => s.stay)).toBe(true)
  })

  it.each([
    'Half of the children tear the parsley while an adult boils the pasta.',
    'Some boil the pasta while the others tear the parsley.',
    'One child fries the beans while another tears the parsley.',
    'Some tear the parsley, the others drain the boiling pasta.',
  ])('nothing hot is dealt out: %s', (sentence) => {
    const modes = stepOf(sentence).flatMap((s) =>
      s.tasks.map((t) => ({ technique: t.technique, mode: t.mode })),
    )
    expect(modes.some((t) => t.mode === 'STATION')).toBe(false)
    for (const t of modes.filter((x) => /^use-|hot/.test(x.technique)))
      expect(['ADULT', 'WAIT']).toContain(t.mode)
    expect(modes.some((t) => /^use-|hot/.test(t.technique))).toBe(true)
  })

  it.each([
    'Cut the pepper and tear the parsley.',
    'One is for the pot and the other is for the plate.',
    'Some like it hot, some like it cold.',
    'Mash half of the beans while the rest of them drain.',
    'Tear one leaf, then another.',
  ])('and this deals out nothing: %s', (sentence) => {
    expect(sharedOut(sentence)).toEqual([])
  })
})
