/** What is done in another way at some ages, and what is built: notes at the step where it comes up. */
import { ageText } from '../../craft/ages'
import type { RecipeStep, StepVariant } from '../../recipe/recipe'
import type { Adapted, DraftChild } from '../model/draft'
import { nameToken } from '../model/finding'
import { WORK, type WatchNote } from '../model/plan'
import { andList } from '../../amount/show'
import { sceneText } from '../../recipe/kinds/scene'

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
              says: `${variantAges(v)} (${andList(whom.map((p) => nameToken(p.id)))}): ${v.says}`,
              source: 'the recipe',
            },
          ]
    }),
  )
}

/** What is built, in words for the adult: each part, where it lies and how many there are. */
export const sceneNotes = ({ recipe }: Pick<Adapted, 'recipe'>): WatchNote[] =>
  recipe.steps.flatMap((s): WatchNote[] =>
    s.scene
      ? [{ step: s.id, grade: 'know', about: WORK, says: sceneText(s.scene), source: 'the recipe' }]
      : [],
  )

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
