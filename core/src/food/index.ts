export { ALLERGENS, allergenFromField, allergenInField, allergenName } from './allergens'
export { preparationChoices } from './by-age/choking'
export { type Concern, LEVELS, LEVEL_WORDS, type Level, MEETING_WORDS } from './concern'
export {
  type Probe,
  coreSays,
  coreSource,
  coreWords,
  heldReading,
  judgeCore,
  keptReading,
  probeFault,
  readTyped,
} from './core-temperature'
export { DIETS, type Diet, type OwnDiet, concernName, dietName, dietOfKey } from './diets'
export { emergencyNumber, emergencySteps } from './emergency'
export { type FoodBook, type FoodFact, type Verdict, listedFoods, foodName } from './foods'
export { foodsNamed, resolveFood } from './food-names'
export { keepsHow } from './keeping'
export { type LabelWord, readLabel } from './label/read'
export { type CardReading, parsedConcernText, isNoAllergyAnswer, readCard } from './card/parse-concern'
export { REGIONS, type Region } from './label/regions'
export { type ScannedPacket, type StoredPacket, packetStanding, packetWords } from './packets'
export { EGG_SIZES } from './weights'
export { foodBook, nameHolds, withNameContents } from './own-foods'
export { labelPieces } from './label/pieces'
export {
  type OpenWord,
  type PacketAnswer,
  type PacketQuestions,
  type WordAnswer,
  packetFault,
  packetQuestions,
  packetReading,
} from './packet-answers'
export { SHAPE_ANSWERS, type ShapeAnswer, foodFault, settledFood } from './settle-food'
