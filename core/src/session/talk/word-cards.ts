/** Cards of the words of a session: each word once, with where it belongs and whose step it first comes in. */
import { Glossary, type HomeWord, type OwnWord } from '../../learn/glossary'
import { foodWord } from '../../learn/step-words'
import type { Plan } from '../../plan/model/plan'

export interface WordCard {
  id: string
  word: string
  home: HomeWord[]
  /** Of the step in which it first comes. */
  picture: string
  step: string
  /** The child who is asked there: the card wears its mat. */
  child: string | null
}

/**
 * The words of a session as cards, each once, in the languages of who is there; with every food that is chosen freely, tasted or laid into a
 * picture, so that who does not speak yet points at a card.
 * @param own words of the setting
 */
export function wordCards(plan: Plan, own: readonly OwnWord[] = []): WordCard[] {
  const cards = new Map<string, WordCard>()
  for (const talk of plan.talk) {
    const step = plan.schedule.find((s) => s.step === talk.step)
    for (const { id, word, home } of talk.words)
      if (!cards.has(id))
        cards.set(id, {
          id,
          word,
          home,
          picture: step?.picture ?? '',
          step: step?.title ?? '',
          child: talk.child,
        })
  }
  const glossary = new Glossary(own, plan.locale)
  const languages = [...new Set([...cards.values()].flatMap((c) => c.home.map((h) => h.language)))]
  for (const { step, food } of pointedAt(plan)) {
    const id = foodWord(food)
    const at = plan.schedule.find((s) => s.step === step)
    if (glossary.has(id) && !cards.has(id))
      cards.set(id, {
        ...glossary.word(id, languages),
        picture: at?.picture ?? '',
        step: at?.title ?? '',
        child: null,
      })
  }
  return [...cards.values()]
}

/** The foods that a child may point at: those of a free choice or a tasting, and those that a picture is built of. */
const pointedAt = ({
  choices = [],
  tastings = [],
  scenes = [],
  bowls,
}: Plan): { step: string; food: string }[] => {
  const foodsOf = (line: string) => bowls.flatMap((b) => b.lines).filter((l) => l.line === line)
  return [
    ...choices.flatMap((c) => c.lines.map(({ food }) => ({ step: c.step, food }))),
    ...tastings.flatMap((t) =>
      t.tasters.flatMap((x) => x.tastes.map(({ food }) => ({ step: t.step, food }))),
    ),
    ...scenes.flatMap((s) =>
      s.parts.flatMap((p) => p.lines.flatMap(foodsOf)).map(({ food }) => ({ step: s.step, food })),
    ),
  ]
}
