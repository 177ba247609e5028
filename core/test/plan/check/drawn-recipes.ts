/**
 * Recipes drawn from parts that each say what is true of them: what is hot, what is raw, who may. What is expected comes from how a step
 * was put together, never from reading it: an oracle apart from Lea's own words.
 */
import type { Recipe, RecipeStep, RecipeTask } from '../../../src/recipe/recipe'

/** Whole numbers from a seed (mulberry32, public domain). */
export function drawer(seed: number): (n: number) => number {
  let a = seed >>> 0
  return (n) => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) % n
  }
}

const pick = <T>(draw: (n: number) => number, list: readonly T[]): T => list[draw(list.length)] as T

const RAW = [
  'beef-mince',
  'chicken-breast',
  'cod',
  'prawns',
  'sausages',
  'lamb-mince',
  'bacon',
  'turkey-mince',
  'salmon',
  'pork-mince',
]
const WORDS: Record<string, string> = {
  'beef-mince': 'mince',
  'chicken-breast': 'chicken',
  cod: 'cod',
  prawns: 'prawns',
  sausages: 'sausages',
  'lamb-mince': 'lamb',
  bacon: 'bacon',
  'turkey-mince': 'turkey',
  salmon: 'salmon',
  'pork-mince': 'pork',
}
const PLAIN = ['carrot', 'oats-rolled', 'apple', 'yoghurt-plain', 'butter', 'pasta-dry', 'lettuce']

/** Hands on what is in the bowl, with the words a person writes for it. */
const MIX: [string, string][] = [
  ['stir', 'Stir'],
  ['fold', 'Fold'],
  ['toss-coat', 'Toss'],
  ['shape', 'Shape'],
  ['mash', 'Mash'],
  ['whisk', 'Whisk'],
]
const COLD: [string, string][] = [
  ['tear', 'Tear'],
  ['grate', 'Grate'],
  ['wash-produce', 'Wash'],
  ['bridge-cut', 'Cut'],
]
/** Hot from the first word, in ways that people write it. */
const HOT_WAYS = [
  'the boiling soup',
  'it into the simmering sauce',
  'it in the hot pan',
  'it while it is still hot',
  'it into just-boiled water',
  'it over the steaming bowl',
  'it on the hob',
  'it straight from the oven',
  'it into the bubbling pot',
  'it in the sizzling oil',
]
const COOLS = ['Leave to cool.', 'Cool until lukewarm.', 'Chill in the fridge.']

export interface Drawn {
  recipe: Recipe
  /** Steps whose task of children must have no child at all. */
  nobody: Set<string>
  /** Steps at which none below seven years stands. */
  hot: Set<string>
  /** Steps whose jobs are harmless: apart from what is raw or hot. */
  harmless: Set<string>
}

export function drawnRecipe(seed: number): Drawn {
  const draw = drawer(seed)
  const raw = draw(2) === 0 ? pick(draw, RAW) : null
  const plain = pick(draw, PLAIN)
  const herb = 'parsley'
  const foods = [...(raw ? [raw] : []), plain, herb]
  const lines = foods.map((food, i) => ({
    id: `l${i}`,
    food,
    amount: '100',
    unit: 'g',
    role: 'main' as const,
    shape: 'MASH',
  }))
  const lineOf = (food: string): string => lines.find((l) => l.food === food)?.id ?? ''
  const steps: RecipeStep[] = []
  const out: Omit<Drawn, 'recipe'> = { nobody: new Set(), hot: new Set(), harmless: new Set() }
  const add = (title: string, says: string, tasks: RecipeTask[], uses: string[]): string => {
    const id = `s${steps.length}`
    steps.push({ id, title, picture: 'bowl', says, tasks, uses: uses.map((line) => ({ line, part: '1' })) })
    return id
  }
  const byChildren = (technique: string): RecipeTask => ({
    technique,
    mode: draw(2) ? 'EACH' : 'TURNS',
    seconds: 30,
  })
  const heat = (says: string): string =>
    add(
      says.split(' ').slice(0, 4).join(' '),
      says,
      [
        { technique: 'use-hob', mode: 'ADULT', place: 'hob', seconds: 60 },
        { technique: 'use-hob', mode: 'WAIT', place: 'hob', seconds: 600 },
      ],
      [],
    )
  if (draw(3) === 0) {
    const [technique, word] = pick(draw, COLD)
    out.harmless.add(
      add(`${word} the parsley`, `${word} the parsley.`, [byChildren(technique)], [lineOf(herb)]),
    )
  }
  if (raw) {
    for (let n = 1 + draw(3); n > 0; n--) {
      const [technique, word] = pick(draw, MIX)
      const first = steps.every((s) => s.uses.every((u) => u.line !== lineOf(raw)))
      const says = first ? `${word} the ${WORDS[raw] ?? raw}.` : `${word} it well.`
      out.nobody.add(add(says.slice(0, -1), says, [byChildren(technique)], first ? [lineOf(raw)] : []))
      if (draw(4) === 0)
        heat(pick(draw, ['Melt the butter in another pan.', 'Preheat the oven.', 'Heat the oil.']))
      if (draw(4) === 0) {
        const [cold, verb] = pick(draw, COLD)
        if (steps.every((s) => s.uses.every((u) => u.line !== lineOf(herb))))
          out.harmless.add(
            add(
              `${verb} the parsley`,
              `${verb} the parsley on a clean board.`,
              [byChildren(cold)],
              [lineOf(herb)],
            ),
          )
      }
    }
    heat(`Fry the ${WORDS[raw] ?? raw} until cooked through.`)
    if (draw(2) === 0) {
      const [technique, word] = pick(draw, MIX)
      out.hot.add(add(`${word} it`, `${word} it.`, [byChildren(technique)], []))
    }
    add('Cool', pick(draw, COOLS), [{ technique: 'arrange', mode: 'WAIT', seconds: 1200 }], [])
  } else {
    const [technique, word] = pick(draw, MIX)
    const says = `${word} ${pick(draw, HOT_WAYS)}.`
    out.hot.add(add(says.split(' ').slice(0, 5).join(' '), says, [byChildren(technique)], [lineOf(plain)]))
    add('Cool', pick(draw, COOLS), [{ technique: 'arrange', mode: 'WAIT', seconds: 1200 }], [])
  }
  const [technique, word] = pick(draw, MIX)
  out.harmless.add(add(`${word} it all`, `${word} it all.`, [byChildren(technique)], []))
  const recipe: Recipe = {
    id: `drawn-${seed}`,
    schema: 2,
    title: 'Drawn',
    about: '',
    serves: 4,
    themes: [],
    equipment: [],
    lines,
    steps,
  } as unknown as Recipe
  return { recipe, ...out }
}
