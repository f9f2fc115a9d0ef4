export {
  addDays,
  dayOf,
  dayOfYear,
  daysBetween,
  hourOf,
  isDay,
  momentOf,
  offsetMinutesOf,
  type Day,
} from './calendar.ts';
export { momentAt, roundsAfter } from './moments.ts';
