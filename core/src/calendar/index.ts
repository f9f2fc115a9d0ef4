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
export { isRoundDay, momentAt, roundDayShare, roundsAfter, weekdayOf, type RoundDays } from './moments.ts';
export { growingSeason, seasonName, seasonYearOf, type GrowingSeason } from './growing-season.ts';
