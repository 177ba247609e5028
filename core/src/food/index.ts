export { ALLERGENS, allergenName } from './allergens'
export { PREPARATIONS } from './choking'
export { type Concern, LEVELS, LEVEL_WORDS, type Level, MEETING_WORDS } from './concerns'
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
export { DIETS, type Diet, concernName, dietName, dietOfKey } from './diets'
export { EMERGENCY, EMERGENCY_NUMBERS } from './emergency'
export {
  type FoodBook,
  type FoodFact,
  type Verdict,
  foodBook,
  foodName,
  nameHolds,
  resolveFood,
} from './foods'
export { type LabelWord, readLabel } from './label/read'
export { parsedConcernText, isNoAllergyAnswer } from './parse-concern'
export { type ScannedPacket, type StoredPacket, packetStanding, packetWords } from './packets'
export { EGG_SIZES } from './weights'
