import { chanceFrom, CLIMATES } from '../hidden/index.ts';
import { addDays } from '../src/climate/index.ts';
import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { FilterMemory } from '../src/bag-state/index.ts';
import {
  runFilter,
  timelineOf,
  type TimelineStep,
  type WaterBag,
  type WaterEvent,
} from '../src/water/index.ts';
import { mixedBags } from './season/bags.ts';
import { daily } from './season/growers.ts';
import { FIRST_DAY, play, seasonOf } from './season/play.ts';

/**
 * Time of the filter over bags' seasons: 180 days with a look every evening, and a drink whenever the bag felt barely damp
 * or drier, as simulated bags were felt and took it. Beside that a season whose looks come at random, which contradict what
 * is believed over and over and keep the belief as wide as it gets. Prints one line of JSON.
 */
const DAYS = 180;
const BAGS = 200;
const RUNS = 60;
/** as many seasons as a worker has worked out after two or three rounds of a garden */
const WARM_UP = 60;

const season = seasonOf(42, CLIMATES.hot, DAYS);
const at = (n: number, minute: number) =>
  `${addDays(FIRST_DAY, n)}T18:${String(minute).padStart(2, '0')}:00.000+01:00`;
const look = (n: number, grade: number): WaterEvent => ({
  kind: 'look',
  id: `ent_look${n}`,
  at: at(n, 0),
  look: { method: 'finger', grade },
});
const drink = (n: number, litres: number, ranThrough: boolean): WaterEvent => ({
  kind: 'drink',
  id: `ent_drink${n}`,
  at: at(n, 5),
  litres,
  isMeasured: true,
  ranThrough,
});

interface Case {
  readonly bag: WaterBag;
  readonly events: readonly WaterEvent[];
}

const cases = mixedBags(42, BAGS, FIRST_DAY).map((test): Case => {
  const events: WaterEvent[] = [];
  const grower = daily(3);
  play(
    test,
    season,
    {
      ...grower,
      pours: (n, grade) => {
        events.push(look(n, grade));
        return grower.pours(n, grade);
      },
      poured: (n, litres, ranThrough) => events.push(drink(n, litres, ranThrough)),
    },
    DAYS,
  );
  return { bag: test.seen, events };
});
const chance = chanceFrom(42);
const atRandom: Case = {
  bag: (cases[0] as Case).bag,
  events: Array.from({ length: 150 }, (_, i) => {
    const n = Math.floor((i * DAYS) / 150);
    return [look(n, 1 + Math.floor(chance.next() * 5)), drink(n, 2 + 3 * chance.next(), i % 4 === 0)];
  }).flat(),
};

const stepsOf = ({ bag, events }: Case): readonly TimelineStep[] =>
  timelineOf(bag, season.known, season.site.latitudeDegrees)(
    events,
    `${FIRST_DAY}T08:00:00.000+01:00`,
    at(DAYS - 1, 45),
  );
/** Milliseconds of each run after warming up, shortest first. */
const times = (runs: number, warmUp: number, run: (n: number) => number) =>
  Array.from({ length: warmUp + runs }, (_, n) => run(n))
    .slice(warmUp)
    .sort((a, b) => a - b);
const took = (work: () => void) => {
  const started = performance.now();
  work();
  return performance.now() - started;
};
const seasonTook = (one: Case) => took(() => runFilter(one.bag, stepsOf(one)));

const seasons = times(RUNS, WARM_UP, (n) => seasonTook(cases[n % BAGS] as Case));
const random = times(RUNS, WARM_UP, () => seasonTook(atRandom));

/** A season with an entry more each time, by a memory that knows the season without it. */
const newEntry = times(RUNS, WARM_UP, (n) => {
  const one = cases[n % BAGS] as Case;
  const memory = new FilterMemory();
  memory.run(one.bag, stepsOf(one), DEFAULT_ASSUMED);
  const event: WaterEvent = { ...look(DAYS - 1, 1 + (n % 5)), id: 'ent_new', at: at(DAYS - 1, 30) };
  const steps = stepsOf({ ...one, events: [...one.events, event] });
  return took(() => memory.run(one.bag, steps, DEFAULT_ASSUMED));
});

const allBags = took(() => cases.forEach((one) => runFilter(one.bag, stepsOf(one))));

const middle = (list: readonly number[]) => list[Math.floor(list.length / 2)] ?? 0;
const tenths = (ms: number) => Math.round(ms * 10) / 10;
console.log(
  JSON.stringify({
    days: DAYS,
    entries: middle(cases.map(({ events }) => events.length).sort((a, b) => a - b)),
    runs: RUNS,
    medianMs: tenths(middle(seasons)),
    slowestMs: tenths(seasons.at(-1) ?? 0),
    randomMs: tenths(middle(random)),
    newEntryMs: Math.round(middle(newEntry) * 100) / 100,
    bags: BAGS,
    allBagsMs: Math.round(allBags),
  }),
);
