/** What is said beside a reading: how much was read, what must still be answered, and what was answered. */
import { countText } from '../../amount/show'
import { MENTIONED, OUT, type ReadQuestion, type RecipeRead } from './understood'
import { BY_ADULT, ONLY_SAID } from './steps/read-steps'

/** One answer as it was given, with the question it answered: so that it can be seen and taken back. */
export interface AnswerGiven {
  key: string
  answer: string
  /** The words it was about, and what was asked. */
  text: string
  asks: string
}

/** "8 lines and 6 steps were read". */
export const readCount = ({ recipe }: RecipeRead): string =>
  `${countText(recipe.lines.length, 'line')} and ${countText(recipe.steps.length, 'step')} were read`

/**
 * What stands between the reading and keeping it; `open` is 0 where nothing does.
 * @param changed the words are not those of which it was read any more: what was written since is in no line yet
 */
export function readStatus({ questions }: RecipeRead, changed = false): { open: number; says: string } {
  if (changed)
    return { open: 1, says: 'The words have changed since they were read. Read the recipe again to keep it.' }
  const open = questions.filter((q) => q.must).length
  return {
    open,
    says:
      open > 0
        ? `${countText(open, 'question')} to answer before it is kept: what Lea does not know of, it looks for in nobody’s allergies and plans for nobody’s hands.`
        : 'Nothing must be answered any more. Look each line and step over before you keep it.',
  }
}

const SAYS: Record<string, string> = {
  [OUT]: 'left out',
  [MENTIONED]: 'only mentioned',
  [BY_ADULT]: 'an adult does it',
  [ONLY_SAID]: 'only said',
}
/** An answer in words: "2-3 pears": 3 pears. */
export function answerWords({ answer, text, asks }: AnswerGiven): { about: string; says: string } {
  return {
    about: text === '' ? asks : `“${text.length > 80 ? `${text.slice(0, 79)}…` : text}”`,
    says: SAYS[answer] ?? answer,
  }
}

/** The answer that a tap gives, with what was asked. */
export const answerGiven = (
  question: Pick<ReadQuestion, 'key' | 'text' | 'asks' | 'choices'>,
  answer: string,
): AnswerGiven => ({
  key: question.key,
  answer,
  text: question.text,
  asks: question.asks,
})
