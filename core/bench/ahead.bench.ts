import { chanceFrom, CLIMATES } from '../hidden/index.ts';
import { sampleNoise, drawInitialStates, survivalOf, type DaysAway } from '../src/away/index.ts';
import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { addDays } from '../src/calendar/index.ts';
import { FilterRun } from '../src/water/index.ts';
import { mixedBags } from './season/bags.ts';
import { FIRST_DAY, seasonOf } from './season/play.ts';

/**
 * Time of the forecast: a fortnight away, a thousand draws of every bag, nobody watering. Prints one line of JSON.
 */
const BAGS = 200;
const DAYS = 14;
const DRAWS = 1000;
const WEATHERS = 25;
const RUNS = 5;

const weathers = Array.from({ length: WEATHERS }, (_, seed) =>
  seasonOf(seed, CLIMATES.hot, 80)
    .known.filter(({ day }) => day >= addDays(FIRST_DAY, 60))
    .slice(0, DAYS),
);
const bags = mixedBags(7, BAGS, FIRST_DAY).map(({ seen: bag }) => ({
  bag,
  belief: FilterRun.start(bag, DEFAULT_ASSUMED).belief,
}));

function aheadOfAll(): number {
  const started = performance.now();
  const away: DaysAway = {
    parts: Array.from({ length: DAYS }, () => ({ ofDemand: 1, ofDay: 1 })),
    weathers,
    noise: sampleNoise(chanceFrom(1), DRAWS, DAYS),
    isSoaked: true,
    missed: () => false,
  };
  bags.forEach(({ bag, belief }, n) => {
    const starts = drawInitialStates(belief, chanceFrom(n), DRAWS, true);
    survivalOf(bag, starts, away, [], DEFAULT_ASSUMED);
  });
  return performance.now() - started;
}

const times = Array.from({ length: RUNS + 1 }, aheadOfAll)
  .slice(1)
  .sort((a, b) => a - b);
console.log(
  JSON.stringify({
    bags: BAGS,
    days: DAYS,
    draws: DRAWS,
    runs: RUNS,
    aheadMs: Math.round(times[Math.floor(RUNS / 2)] ?? 0),
  }),
);
