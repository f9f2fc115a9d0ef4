export { availableLitres } from './capacity.ts';
export {
  bagDepletion,
  demandOfDay,
  mulchFactor,
  type DayDemand,
  type DrinkingPlant,
  type WaterBag,
} from './demand.ts';
export { afterGain, afterLoss } from './stress.ts';
export { FINGER_GRADES, LIFT_GRADES, chanceOfLook, fingerGradeOf, type Look } from './look.ts';
export { timeline, type TimelineStep, type UseStep, type WaterEvent } from './timeline.ts';
export { waterBalance, type BalanceDay } from './balance.ts';
export { Belief } from './belief.ts';
export { runFilter, type Move, type PathPoint, type Range, type WaterEstimate } from './estimate.ts';
export { lookAhead, type LookAhead, type RoundAhead } from './look-ahead.ts';
export { adviseDrink, type DrinkAdvice } from './drink.ts';
