export {
  SUPPORTS,
  SUPPORT_KINDS,
  SUPPORT_SCHOOLS,
  supportOf,
  type SupportKind,
  type SupportKindId,
  type SupportSchoolId,
} from './kinds.ts';
export {
  needsFirmMix,
  rankSupports,
  type RankedSupport,
  type SupportCase,
  type SupportReason,
} from './rank.ts';
export {
  stringMillimetres,
  supportNeeds,
  wireLoad,
  type HeldPlant,
  type StringTail,
  type SupportNeed,
} from './needs.ts';
export { outgrows, tendingDue, type Tending, type TendingDue } from './tending.ts';
