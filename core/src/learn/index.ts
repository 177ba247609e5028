export { TASTING_WORDS } from './acts'
export { answerFact } from './fact/answer'
export { FACT_KINDS, FactError, type PlainFact } from './fact/fields'
export {
  GLOSSARY_ROWS,
  Glossary,
  LANGUAGES,
  type OwnWord,
  type StepWord,
  languageName,
  runsRightToLeft,
  shownHome,
} from './glossary'
export type { SupportLevel } from './levels'
export { ANSWERS, ANSWER_WORDS, type Answered } from './marks'
export { countAlong } from './number-words'
export type { Prompt } from './prompts'
export { SCIENCE_BANDS } from './science'
export { spokenText } from './spoken'
export { TARGETS, targetOf } from './targets'
export { TELLING_AGES } from './tellings'
