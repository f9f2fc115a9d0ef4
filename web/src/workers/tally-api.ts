import { growingSeason, type Day } from '@rundel/core/calendar';
import type { Trial, TrialMeasure } from '@rundel/core/records';
import {
  bagReview,
  bestAndWorst,
  checkForecasts,
  comingOf,
  compareGroups,
  groupUnits,
  nextSeasonPlans,
  seasonReview,
  seasonYears,
  shelfOf,
  tallyUnits,
  trialResult,
  type Grouping,
  type TallyContext,
} from '@rundel/core/tally';

/** What can be asked of a garden's tally in its worker. */
export function tallyApi(context: () => TallyContext) {
  return {
    tally(year: number, today: Day) {
      const { garden, live } = context();
      return { years: seasonYears(garden, live), units: tallyUnits(context(), year, today) };
    },
    /** The best and the worst of a season's bags. */
    ranked(year: number, today: Day) {
      const { latitudeDegrees } = context().garden.settings;
      const { to } = growingSeason(year, latitudeDegrees);
      const until = today < to ? today : to;
      return bestAndWorst(groupUnits(tallyUnits(context(), year, today), 'bag'), context(), until);
    },
    coming: (today: Day) => comingOf(context(), today),
    forecasts: (year: number, today: Day) => checkForecasts(context(), year, today),
    shelf: (today: Day) => shelfOf(context(), today),
    trial: (trial: Pick<Trial, 'treatments' | 'units' | 'measure' | 'untilDay'>, today: Day) =>
      trialResult(trial, context(), today),
    compare: (
      years: readonly number[],
      by: Grouping,
      pair: readonly [string, string],
      measure: TrialMeasure,
      today: Day,
    ) => compareGroups(context(), years, by, pair, measure, today),
    bagReview: (containerId: string, year: number, today: Day) =>
      bagReview(context(), containerId, year, today),
    review(year: number, today: Day) {
      const review = seasonReview(context(), year, today);
      return { review, plans: nextSeasonPlans(review, context()) };
    },
  };
}

export type TallyApi = ReturnType<typeof tallyApi>;
