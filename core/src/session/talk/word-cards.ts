/** Cards of the words of a session: each word once, with where it belongs and whose step it first comes in. */
import type { HomeWord } from '../../learn/glossary'
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

/** The words of a session as cards, each once, in the languages of who is there. */
export function wordCards(plan: Plan): WordCard[] {
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
  return [...cards.values()]
}
