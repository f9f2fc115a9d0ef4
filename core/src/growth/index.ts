export { dayOnCurve, heightOnCurve, type HeightCurve } from './curve.ts';
export {
  daysToReach,
  growthPerDay,
  heightBelief,
  heightOn,
  type HeightBelief,
  type HeightPrior,
  type HeightRange,
  type HeightRecord,
  type Reaching,
} from './height.ts';
