export {
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
export { copySession } from './copy-session'
export { keptInRecipe, withWords } from './keep-in-recipe'
export { atTable } from './at-table'
