import { liveEntries } from '../src/records/index.ts';
import {
  checkForecasts,
  comingOf,
  groupUnits,
  seasonReview,
  tallyContext,
  tallyUnits,
  totalOf,
  trialResult,
} from '../src/tally/index.ts';
import { manyBags, MANY_TODAY } from './many.ts';

/**
 * Time of the tally over ten seasons of 500 bags, 310,000 entries. Prints one line of JSON: what opens a season with its diary in
 * order, what a filter costs, and what the statistics cost; medians after warming up.
 */
const BAGS = 500;
const SEASONS = 10;
const RUNS = 5;
const WARM_UP = 2;

const garden = manyBags(BAGS, SEASONS);
const live = liveEntries(garden.entries);

const times = new Map<string, number[]>();
function timed<T>(name: string, work: () => T): T {
  const started = performance.now();
  const result = work();
  times.set(name, [...(times.get(name) ?? []), performance.now() - started]);
  return result;
}

for (let run = 0; run < RUNS + WARM_UP; run++) {
  if (run === WARM_UP) times.clear();
  // a new object each time: what is grouped once for a list is kept with it
  const again = { ...garden, entries: [...garden.entries] };
  const context = timed('context', () => tallyContext(again, live));
  const units = timed('season', () => tallyUnits(context, 2026, MANY_TODAY));
  timed('group', () => groupUnits(units, 'bag'));
  timed('filter', () => {
    const some = units.filter((u) => u.crop === 'Tomato' && u.bag.includes('1'));
    return [groupUnits(some, 'bag'), totalOf(some)];
  });
  const [warm] = garden.trials;
  if (run < WARM_UP || run === RUNS + WARM_UP - 1) {
    timed('coming', () => comingOf(context, MANY_TODAY));
    timed('forecasts', () => checkForecasts(context, 2025, MANY_TODAY));
    timed('review', () => seasonReview(context, 2025, MANY_TODAY));
    if (warm) timed('trial', () => trialResult(warm, context, MANY_TODAY));
  }
}

const median = (name: string) => {
  const sorted = [...(times.get(name) ?? [])].sort((a, b) => a - b);
  return Math.round((sorted[Math.floor(sorted.length / 2)] ?? 0) * 10) / 10;
};
console.log(
  JSON.stringify({
    bags: BAGS,
    entries: garden.entries.length,
    openMs: Math.round((median('context') + median('season') + median('group')) * 10) / 10,
    filterMs: median('filter'),
    comingMs: median('coming'),
    forecastsMs: median('forecasts'),
    reviewMs: median('review'),
    trialMs: median('trial'),
  }),
);
