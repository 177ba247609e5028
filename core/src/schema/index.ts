export { cupboardSchema, makeSchema } from './amounts'
export { decisionListSchema } from './decision'
export { ownDietSchema } from './diet'
export { eventListSchema, eventsSchema } from './events'
export { packetSchema, readingSchema } from './packet'
export { childSchema, guestSchema } from './people'
export { firstVisitSchema, signInSchema } from './sign-in'
export { RECIPE_SCHEMA_PATH, readRecipeFile, recipeToJson } from './recipe/recipe-file'
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
export {
  type MendInput,
  type RotationInput,
  mendSchema,
  readPlanRequest,
  rotationSchema,
  sessionSchema,
} from './session'
export { ownWordSchema } from './own-word'
export { type PersonRole, adultSchema } from './adult'
export { foodSchema } from './own-food'
export { keepMonthsSchema, rulesSchema } from './rules'
export { kitSchema, measureSchema } from './kit'
