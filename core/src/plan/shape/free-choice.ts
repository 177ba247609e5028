/** What each child chooses for itself, and what is done in another way at some ages: notes at the step where it comes up. */
import { ageText } from '../../craft/ages'
import { choicesAt } from '../../craft/choices'
import type { RecipeStep, StepVariant } from '../../recipe/recipe'
import type { Adapted, DraftChild } from '../model/draft'
import { nameToken } from '../model/finding'
import { WORK, type WatchNote } from '../model/plan'

/**
 * How many are offered at once goes by age: two under three years, then more.
 * Source: common practice (choicesAt), from memory.
 */
export function choiceNotes({ recipe, lines, people }: Adapted): WatchNote[] {
  return (recipe.choices ?? []).flatMap((choice): WatchNote[] => {
    const offered = lines.filter((l) => choice.lines.includes(l.line))
    const step = recipe.steps.find((s) => s.uses.some((u) => choice.lines.includes(u.line)))
    if (!step || offered.length < 2) return []
    const most = Math.max(...people.map((p) => choicesAt(p.age).usual))
    const fewer = people.filter((p) => choicesAt(p.age).usual < Math.min(offered.length, most))
    const names = [...new Set(offered.map((l) => l.name))]
    const all = Math.min(names.length, most)
    const take = choice.take ?? 1
    const says = [
      `Free choice, ${choice.what}: ${listed(names)}. Offer ${all === names.length ? 'all' : all} at once; each takes ${take === 1 ? 'one' : `up to ${take}`}, or none.`,
      ...(fewer.length > 0
        ? [
            `Hold up only ${Math.min(...fewer.map((p) => choicesAt(p.age).usual))} for ${listed(fewer.map((p) => nameToken(p.id)))}.`,
          ]
        : []),
    ]
    return [
      {
        step: step.id,
        grade: 'know',
        about: WORK,
        says: says.join(' '),
        source: 'common practice (choices by age), from memory',
      },
    ]
  })
}

const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`

const isOf = (v: StepVariant, p: DraftChild): boolean =>
  (v.from == null || p.age >= v.from) && (v.below == null || p.age < v.below)

/** Only for ages that are at the table. */
export function variantNotes({ recipe, people }: Pick<Adapted, 'recipe' | 'people'>): WatchNote[] {
  return recipe.steps.flatMap((step) =>
    (step.variants ?? []).flatMap((v): WatchNote[] => {
      const whom = people.filter((p) => isOf(v, p))
      return whom.length === 0
        ? []
        : [
            {
              step: step.id,
              grade: 'know',
              about: WORK,
              says: `${variantAges(v)} (${listed(whom.map((p) => nameToken(p.id)))}): ${v.says}`,
              source: 'the recipe',
            },
          ]
    }),
  )
}

/** "Under 3 years", "From 5 years". */
const variantAges = ({ from, below }: Pick<StepVariant, 'from' | 'below'>): string =>
  from == null
    ? `Under ${ageText(below ?? 0)}`
    : below == null
      ? `From ${ageText(from)}`
      : `From ${ageText(from)} to under ${ageText(below)}`

/** A recipe's own ways by age, for its page. */
export const variantsOf = (step: RecipeStep): { ages: string; says: string }[] =>
  (step.variants ?? []).map((v) => ({ ages: variantAges(v), says: v.says }))
