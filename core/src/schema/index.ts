export { cupboardSchema, makeSchema } from './amounts'
export { decisionSchema } from './decision'
export { ownDietSchema } from './diet'
export { eventSchema, eventsSchema } from './events'
export { packetSchema, readingSchema } from './packet'
export {
  type PersonRole,
  adultSchema,
  childSchema,
  firstVisitSchema,
  guestSchema,
  signInSchema,
} from './people'
export { RECIPE_SCHEMA_PATH, readRecipeFile, recipeToJson } from './recipe-file'
export { recipeJsonSchema } from './recipe-schema'
export { foodSchema, keepMonthsSchema, kitSchema, measureSchema, recipeSchema, rulesSchema } from './recipe'
export {
  ROSTER_FIELDS,
  type RosterColumns,
  type RosterField,
  readRoster,
  rosterColumns,
  rosterRows,
  withMore,
} from './roster'
export {
  type MendInput,
  type RotationInput,
  type SessionBody,
  mendSchema,
  readPlanRequest,
  rotationSchema,
  sessionSchema,
} from './session'
export { ownWordSchema } from './own-word'
