/**
 * Allergens that only the telling, a preparation or a note names: "brush with egg" where no egg is listed. What is in no line is looked for in
 * nobody's allergies, so it is asked, once for each allergen. The label reader finds the words.
 */
import { allergenName } from '../../food/allergens'
import type { FoodBook } from '../../food/foods'
import { readLabel } from '../../food/label/read'
import { nameHolds } from '../../food/own-foods'
import { foodsStanding } from '../../food/food-names'
import type { RecipeLine } from '../recipe'
import { contentKey } from './keys'
import { verbHits } from './steps/verbs'
import type { Answers, Unread } from './understood'

/** What hands do, and no food: "an adult fries them". */
const VERBS = /^(fries|rolls|toasts|wraps|dips|butters|oils|salts|peppers|dates|waters)$/i
/** As large as, as thick as: nothing of it goes in. */
const AS_LARGE =
  /\b(?:(?:the )?size of (?:an? |the )?(?:small |large )?\p{L}+|(?:as (?:big|large|thick|small) as|like) (?:an? )?\p{L}+|\p{L}+[- ]sized?|no bigger than an? \p{L}+)\b/giu

const blank = (m: string): string => ' '.repeat(m.length)
/** A thing that is called by what it holds: a muffin tin, a butter knife, an egg cup. */
const VESSEL =
  /\b(?:muffin|cake|pie|loaf|bread|bun|pudding|yogh?urt|milk|egg|butter|cheese|fish|biscuit|cookie|jam|cream|pancake|pastry|pizza|waffle|nut|rice|oyster|cupcake|tart|flan|quiche)[ -](?:tins?|pans?|trays?|cases?|liners?|moulds?|boards?|kni(?:fe|ves)|pots?|jugs?|cups?|box(?:es)?|sheets?|cutters?|slices?|brush(?:es)?|graters?|cloths?|dish(?:es)?|racks?|irons?|stones?|makers?|crackers?|cooker)\b/giu

interface Naming {
  text: string
  id: string
  word: string
  minor: boolean
}

/**
 * @param telling what is done: it goes in where somebody does it
 * @param beside notes and tips: only said
 * @param settled words of lines that are asked about, or that were answered otherwise than they stand
 */
export function unlisted(
  telling: readonly string[],
  beside: readonly string[],
  lines: readonly RecipeLine[],
  foods: FoodBook,
  answers: Answers,
  settled = '',
): Unread[] {
  const listed = new Set(
    lines.flatMap((l) => {
      const food = foods.all.find((f) => f.id === l.food)
      // A food that nobody knows holds at least what its name says.
      const said = food ?? nameHolds(l.food.replace(/^own:/, '').replaceAll('-', ' '))
      return [...said.contains, ...said.extras]
    }),
  )
  // A word of a line that is still to be settled is asked there; one of a line that was settled otherwise means what stands there now.
  const spoken = settled.toLowerCase()
  const isSettled = (word: string): boolean => spoken.includes(word.toLowerCase().replace(/(es|s)$/, ''))
  const namings = [
    ...telling.map((t) => [t, false] as const),
    ...beside.map((t) => [t, true] as const),
  ].flatMap(([text, minor]) =>
    text === '' ? [] : namingsIn(text, minor, foods).filter((n) => !listed.has(n.id) && !isSettled(n.word)),
  )
  const byId = grouped(namings, (n) => n.id)
  // "Almond" says tree nut and almond: the narrower one asks, the other comes with it.
  const texts = grouped([...byId], ([, list]) => list.map((n) => `${n.text}|${n.word}`).join())
  return [...texts.values()].flatMap((same) => {
    const list = same[0]?.[1] ?? []
    const ids = same.map(([id]) => id)
    const sentences = [...new Set(list.map((n) => n.text))]
    const key = contentKey(`add:${[...ids].sort().join('+')}`, sentences.join(' '))
    if (answers[key] !== undefined) return []
    const only = list.every((n) => n.minor)
    return [
      {
        part: 'ingredient' as const,
        text: sentences.join(' … ').slice(0, 400),
        why: `names ${ids.map(allergenName).join(', ')}, and no line of the recipe has it`,
        key,
        kind: 'named' as const,
        choices: nearLines(list, foods),
        ...(only && { minor: true as const }),
      },
    ]
  })
}

function namingsIn(text: string, minor: boolean, foods: FoodBook): Naming[] {
  const plain = text.replace(AS_LARGE, blank).replace(VESSEL, blank)
  const hits = verbHits(plain)
  // Prose is not a label: only words as they stand, none that the reader mends ("your" is no yoghurt).
  return readLabel(plain)
    .words.filter((w) => {
      const word = plain.slice(w.start, w.end)
      const asVerb = hits.some((h) => h.at === w.start && h.end - h.at <= word.length + 1)
      return (
        w.mark === 'lists' &&
        (w.why === 'listed' || w.why.startsWith('listed: ')) &&
        !VERBS.test(word) &&
        !asVerb
      )
    })
    .flatMap((w) => {
      const word = plain.slice(w.start, w.end)
      // "Soy sauce" says soya; the wheat in it is known by the food.
      const more = foodsStanding(word, foods).flatMap((f) => f.food.contains)
      return [...new Set([w.id, ...more])].map((id) => ({ text, id, word, minor }))
    })
}

/** "By eye: egg": the food of the word, as a line that nobody measures. */
const nearLines = (list: readonly Naming[], foods: FoodBook): string[] => {
  const found = list.flatMap((n) => foodsStanding(n.word, foods).map((s) => s.food))
  return [...new Set(found)]
    .slice(0, 2)
    .map((f) => (f.group === 'egg' || /^egg-hen$/.test(f.id) ? `1 ${f.name}` : `some ${f.name}`))
}

function grouped<T>(list: readonly T[], by: (one: T) => string): Map<string, T[]> {
  const out = new Map<string, T[]>()
  for (const one of list) out.set(by(one), [...(out.get(by(one)) ?? []), one])
  return out
}
