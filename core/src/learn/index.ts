export { TASTING_WORDS } from './acts'
export { answerFact } from './fact/answer'
export { localeFor } from './fact/saying'
export { FACT_KINDS, FactError, type PlainFact } from './fact/fields'
export { GLOSSARY_ROWS, Glossary, type OwnWord, type StepWord, shownHome } from './glossary'
export { LANGUAGES, languageName, runsRightToLeft } from './languages'
export { SUPPORT_LEVELS, type SupportLevel } from './levels'
export {
  LINE_KINDS,
  LINE_KIND_WORDS,
  type TalkLine,
  type LineKind,
  MOMENT_WORDS,
  type Moment,
} from './line/line'
export { LOOK_BACK_LINES } from './line/looking-back'
export { SONG_SECONDS, WASHING_SONG, songLineAt } from './line/routines'
export { ANSWERS, ANSWER_WORDS, type Answered } from './marks'
export { countAlong } from './number-words'
export type { Prompt } from './prompts'
export { SCIENCE_BANDS } from './science'
export { spokenText } from './spoken'
export { TARGETS, targetOf } from './targets'
export { TELLING_AGES } from './tellings'
export { foodWord } from './step-words'
