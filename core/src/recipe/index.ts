export { SMALL_PARTS, amountFromField, amountInField, servesChanged, withSize } from './each'
export { advise } from './advice/advice'
export { changesIn, differences } from './changes'
export { COMMON_ALLERGENS, type RecipeFacts, recipeFacts } from './facts'
export { holdsOf, linesFor, stepWork } from './features'
export { HEATS, type Heat, heatWord, heatWords, pictureOf, techniquesOf, themeWords } from './heat'
export { ROOM_THINGS, placeName } from './heat-places'
export { LAYERS_MOST, ROWS_MOST, ROWS_WORDS, layersText, withLayers, withRows } from './layers'
export { lineFromText } from './line/line-from-text'
export { COMMON_CASES, COMMON_TINS, type Make } from './make'
export { readLine } from './line/read-line'
export {
  type FreeChoice,
  KEPT_IN,
  MODES,
  NOTE_ABOUT,
  PLACES,
  RECIPE_SCHEMA,
  ROLES,
  ROWS_LIE,
  type Recipe,
  type RecipeLine,
  type RecipeStep,
  type RecipeTask,
  type Role,
  type StepVariant,
  type StepWay,
  isByChildren,
} from './recipe'
export { ownChoices } from './own-choices'
export { MOST_TOGETHER, putTogether } from './put-together'
export {
  GROUND_WORDS,
  PLACE_WORDS,
  SCENE_PARTS_MOST,
  SCENE_PIECES_MOST,
  sceneFault,
  withScene,
  withScenePart,
} from './kinds/scene'
export { GROUNDS, SCENE_PLACES, type Scene, type ScenePart } from './kinds/scene-parts'
export { ROUNDS_MOST, type Tasting, type Growing, timesText } from './kinds/kinds'
export { type BowlAndSpoon, bowlAndSpoon } from './kinds/bowl-and-spoon'
export { extrasOf, extrasText, lineNames } from './kinds/step-extras'
export { canPass, passesOf, withPasses } from './kinds/passes'
export {
  GROWING_START,
  LOOKS_MOST,
  LOOK_DAY_MOST,
  growingFault,
  growingText,
  withLook,
} from './kinds/growing'
export { TASTES_MOST, canTaste, tastingFault, tastingText, withTasting } from './kinds/tasting'
export { LACKS, changedWay, wayText, withWay } from './kinds/ways'
export { SHIPPED_RECIPES, shippedOf } from './shipped'
export { isAllergenId, swapCandidates } from './swap-candidates'
export { readJsonLd } from './text/page/json-ld'
export { roleWords } from './text/questions'
export { type AnswerGiven, answerGiven, answerWords, readCount, readStatus } from './text/reading-words'
export { readRecipe } from './text/read-recipe'
export { toJsonLd } from './text/page/to-json-ld'
export type { Answers, ReadQuestion, RecipeRead } from './text/understood'
export { themeOf, upgradeRecipe } from './upgrade'
export { type StillLife, type Vessel, VESSELS, stillLife } from './still-life'
