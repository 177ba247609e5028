export { type DatedProgress, type SessionProgress, addUp, progressIn } from './progress'
export { type BeforeSheet, type Bring, beforeSheet } from './before-day'
export { type ChildRecord, childRecord, ownPart } from './child-record'
export {
  type EventBody,
  INCIDENTS,
  INCIDENT_WORDS,
  type Incident,
  KEPT_WORDS,
  type KeptPlace,
  MET,
  MET_WORDS,
  SCRAP_WAYS,
  type ScrapWay,
  TASTES,
  TASTE_WORDS,
  THUMBS,
  THUMB_WORDS,
  type TableEvent,
  type Taste,
  type Thumb,
} from './event'
export { type FamilySheet, MOST_PORTIONS, familySheet } from './family'
export { cleanUp, foodsMet, keptPlaces, leftoverUntil, nextMet, tally } from './finish'
export { type Meanwhile, clearingUp, sheetRows, whoWaits } from './meanwhile'
export { type NextRound, nextRound } from './next-round'
export { type Overview, costPoints, overviewOf, turnsInOrder } from './overview'
export { tableChoices, type TableChoice, tookLines, tookWith } from './choices'
export { type PastSession, type SessionRecord, sessionRecord } from './record'
export { type GrowsNow, type LookRow, dueLook, growsNow, heightText, heights, lookRows } from './growing'
export { type TableTasting, type TasteRow, type TasteTally, tableTasting, tasteTallies } from './tastings'
export { type TableState, replay, replayer } from './replay'
export { type PartPicture, factPicture, partPicture } from './talk/part-picture'
export { type SayNow, sayNow } from './talk/say'
export { type MarkRow, markRows } from './talk/paper-marks'
export { type ShowMoment, showSeconds } from './talk/show'
export { type ShowFrame, type ShowRow, showFrame, timersOfFrame } from './talk/show-frame'
export { type ShowStill, showStills } from './talk/show-stills'
export { type TalkMoment, type TalkRow, talkMoments } from './talk/talk-moments'
export { type GuessedRow, guessAsks, guessedRows } from './talk/guessed'
export type { Slot, Speaker } from './talk/hearing'
export { scriptOf } from './talk/script'
export {
  type GateNeed,
  type TableTask,
  type TableTurn,
  againstPlan,
  gatesNow,
  openGates,
  nextTurn,
  openProbes,
  tableTasks,
  childrenNotCoveredByPlan,
  newsAgeText,
} from './table'
export {
  REASON_WORDS,
  childrenIn,
  coverage,
  stepMore,
  talkOfDay,
  voteTalk,
  yearsText,
} from './talk/talk-view'
export { type BeforeRow, type FirstStep, type SessionCard, firstSteps, sessionCard } from './today'
export { type TimerView, timersAt, timersOf, waitLeft } from './timers'
export { wordCards } from './talk/word-cards'
