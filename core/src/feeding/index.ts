export { adviseFeed, isTooDryToFeed, type FeedAdvice, type FeedingWater } from './advise-feed.ts';
export { FEEDING_PRACTICES, findRegime } from './practices.ts';
export {
  intervalOn,
  plannedFeeds,
  stepStates,
  type DueReason,
  type FeedGiven,
  type FeedingCase,
  type FeedLeft,
  type StageDate,
  type StageDates,
  type PlannedFeed,
  type AskedStage,
  type StepState,
} from './due.ts';
export { batchOf, feedFor, type BatchNeed, type BatchPart, type FedBag, type FeedCan } from './batch.ts';
export { teasOf, type Tea } from './tea.ts';
export {
  daysLeft,
  slopeOf,
  solutionCourse,
  type SolutionCourse,
  type SolutionEntry,
  type SolutionFault,
  type SolutionWord,
} from './drum.ts';
export { wantedByAll, wantedOn, yieldFactor, type FedPlant } from './needs.ts';
export {
  baseUsedUp,
  LEANINGS,
  ledgerOf,
  releasedShare,
  runLedger,
  type DaySpread,
  type Leaning,
  type Ledger,
  type LedgerCase,
  type LedgerDay,
  type LedgerSource,
  type Spread,
  type Verdict,
} from './ledger.ts';
export { regimeRemarks, type RegimeRemark } from './remarks.ts';
export { canBeSprayed, doseOfStep, usualInto, type FedInto } from './step-dose.ts';
