export { cupboardSchema, makeSchema } from './amounts'
export { decisionListSchema } from './session/decision'
export { ownDietSchema } from './diet'
export { eventListSchema, eventsSchema } from './session/events'
export { packetSchema, readingSchema } from './packet'
export { childChangeSchema, childSchema, guestSchema } from './people'
export { kitChangeSchema, recipeChangeSchema, rulesChangeSchema } from './versioned'
export {
  firstOwnerSchema,
  firstVisitSchema,
  linkPasswordSchema,
  linkSchema,
  ownPasswordSchema,
  signInSchema,
} from './sign-in'
export { passwordFault } from './password'
export { RECIPE_SCHEMA_PATH, readRecipeFile, recipeToJson, recipeToText } from './recipe/recipe-file'
export { recipeJsonSchema } from './recipe/recipe-schema'
export { recipeSchema } from './recipe/recipe'
export {
  ROSTER_FIELDS,
  type RosterColumns,
  type RosterField,
  readRoster,
  rosterColumns,
  rosterRows,
  withMore,
} from './roster'
export { hasHeadings, rosterLines } from './roster-lines'
export { sessionChangesSchema } from './session/session-changes'
export {
  type MendInput,
  type RotationInput,
  mendSchema,
  readPlanRequest,
  rotationSchema,
  sessionSchema,
} from './session/session'
export { ownWordSchema } from './own-word'
export { type PersonRole, adultChangeSchema, adultSchema } from './adult'
export { foodSchema } from './own-food'
export { keepMonthsSchema, rulesSchema } from './rules'
export { kitSchema, measureSchema } from './kit'
