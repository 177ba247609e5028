export { PlanError } from './begin'
export { type Instance, OP_MODES, type Op } from './clock/schedule/instance'
export { compile, openStops } from './compile'
export { adultAway } from './live/adult-away'
export { childLeaves } from './live/child-leaves'
export { type LiveChange } from './live/live-changes'
export { runsLate } from './live/runs-late'
export { measureBreaks } from './live/lost-measure'
export { type RestOffer, replanRemaining, restOffers } from './live/replan-remaining'
export type { Present } from './model/child-safety-digest'
export type { CupboardItem, CupboardPack } from './model/cupboard'
export { type Decision, MEASURING, decide, decisionKey, undecide } from './model/decision'
export { digest, seal, withDigest } from './model/digest'
export { type Finding, type Fix, fillNames } from './model/finding'
export { PLAN_VERSION, type Plan } from './model/plan'
export {
  type HouseRules,
  type Kit,
  MAX_CHILDREN,
  NEEDS,
  type Need,
  type PlanChild,
  type PlanRequest,
} from './model/request'
export type { Cheaper, ShoppingRow } from './model/shopping-list'
export type { Ask, StepTalk } from './model/step-talk'
export type { Task } from './model/task'
export { type StoredPlan, upgradePlan } from './model/upgrade'
export { variantsOf } from './shape/free-choice'
export { handBreaches } from './check/check'
export { checkTable } from './sketch'
export { cannotSupervise } from './split/adult-for'
export { assignTurns } from './turns/turn-flow'
export { type AmountRow, amountRows, batchText, makingText, ovenText } from './view/amount-rows'
export { certificate } from './view/certificate'
export { whatChanged } from './view/changed'
export { type ChildFit, childLoads } from './view/child-load'
export { MEASURING_WORDS, decisionText, swapSetText } from './view/decision-text'
export { jobCards } from './view/job-cards'
export { type Lane, type LaneBlock, type LaneChart, laneChart, turnAt, whyNotTo } from './view/lanes'
export { type WeaveColumn, checkRows, ribbon, settleRows, turnText, weave } from './view/weave'
export { type Alternative, type Alternatives, alternatives } from './whatif/alternatives'
export { RESET_MINUTES, type Rotation, rotation } from './whatif/rotation'
export { type PlanFigures, type Shorter, planFigures, shorter } from './whatif/shorter'
