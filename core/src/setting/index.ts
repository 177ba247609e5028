export {
  type ChildProgress,
  type SessionInputs,
  type StoredAdult,
  type StoredChild,
  type StoredGuest,
  type StoredProfile,
  type StoredSession,
  type StoredSetting,
  assemble,
  inputsOf,
} from './assemble'
export {
  type SessionChange,
  type SessionConflict,
  aboutOf,
  changesBetween,
  onTopOf,
  withChanges,
} from './session-changes'
export { type CardDifference, cardDifferences, cardFields } from './card-differences'
export { type ConflictWords, conflictWords } from './conflict-text'
export { copySession } from './copy-session'
export { keptInRecipe, withWords } from './keep-in-recipe'
export { atTable } from './at-table'
export { partsThatDiffer, requestParts, type RequestParts } from './request-parts'
export {
  BLANK,
  WORDS_IN,
  type WordsIn,
  nameStandsIn,
  textsWith,
  withoutName,
  withoutNameIn,
} from './free-words'
export { MADE_UP, madeUpSession } from './made-up'
export { settingStates, type SettingTopic } from './topics'
