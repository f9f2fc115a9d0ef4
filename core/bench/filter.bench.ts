import { chanceFrom } from '../hidden/index.ts';
import { addDays, completeWeather, defaultNormals } from '../src/climate/index.ts';
import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { FilterMemory } from '../src/bag-state/index.ts';
import { runFilter, timelineOf, type WaterBag, type WaterEvent } from '../src/water/index.ts';

/**
 * Time of the filter over one bag's season: 180 days with 300 entries (looks, and drinks after dry ones).
 * Prints one line of JSON: the median and the slowest of the runs after warming up.
 */
const DAYS = 180;
const ENTRIES = 300;
const RUNS = 60;
const WARM_UP = 15;
const FIRST = '2026-04-20';

const chance = chanceFrom(42);
const bag: WaterBag = {
  availableLitres: 8,
  topSquareMetres: 0.11,
  breathingSquareMetres: 0.3,
  mulchMillimetres: 40,
  underCover: false,
  shade: 0,
  stores: [],
  drips: [],
  plants: [
    {
      plantedOn: FIRST,
      kc: 1.15,
      depletion: 0.4,
      figures: { fullHeightMillimetres: 2100, canopySquareMetres: 0.6, weeksToFull: 11 },
    },
  ],
};
const site = { latitudeDegrees: 51, normals: defaultNormals(51) };
const last = addDays(FIRST, DAYS - 1);
const weather = completeWeather([], site, FIRST, last);
const at = (n: number, minute: number) =>
  `${addDays(FIRST, Math.floor((n * DAYS) / (ENTRIES / 2)))}T18:${String(minute).padStart(2, '0')}:00.000+01:00`;
const events = Array.from({ length: ENTRIES / 2 }, (_, n): WaterEvent[] => [
  {
    kind: 'look',
    id: `ent_look${n}`,
    at: at(n, 0),
    look: { method: 'finger', grade: 1 + Math.floor(chance.next() * 5) },
  },
  {
    kind: 'drink',
    id: `ent_drink${n}`,
    at: at(n, 5),
    litres: 2 + 3 * chance.next(),
    isMeasured: true,
    ranThrough: n % 4 === 0,
  },
]).flat();

const times: number[] = [];
for (let run = 0; run < RUNS + WARM_UP; run++) {
  const started = performance.now();
  const steps = timelineOf(bag, weather, 51)(
    events,
    `${FIRST}T08:00:00.000+01:00`,
    `${last}T20:00:00.000+01:00`,
  );
  runFilter(bag, steps);
  if (run >= WARM_UP) times.push(performance.now() - started);
}
times.sort((a, b) => a - b);

/** The same season with an entry more each time, by a memory that knows the season without it. */
const stepsWith = (more: readonly WaterEvent[]) =>
  timelineOf(bag, weather, 51)(
    [...events, ...more],
    `${FIRST}T08:00:00.000+01:00`,
    `${last}T20:00:00.000+01:00`,
  );
const memory = new FilterMemory();
memory.run(bag, stepsWith([]), DEFAULT_ASSUMED);
const newEntry = Array.from({ length: RUNS }, (_, n) => {
  const steps = stepsWith([
    {
      kind: 'look',
      id: 'ent_new',
      at: `${last}T19:30:00.000+01:00`,
      look: { method: 'finger', grade: 1 + (n % 5) },
    },
  ]);
  const started = performance.now();
  memory.run(bag, steps, DEFAULT_ASSUMED);
  return performance.now() - started;
}).sort((a, b) => a - b);

const BAGS = 200;
const startedAll = performance.now();
for (let n = 0; n < BAGS; n++) runFilter(bag, stepsWith([]));
const allBagsMs = Math.round(performance.now() - startedAll);

const round = (ms: number) => Math.round(ms * 10) / 10;
console.log(
  JSON.stringify({
    days: DAYS,
    entries: events.length,
    runs: RUNS,
    medianMs: round(times[Math.floor(RUNS / 2)] ?? 0),
    slowestMs: round(times.at(-1) ?? 0),
    newEntryMs: Math.round((newEntry[Math.floor(RUNS / 2)] ?? 0) * 100) / 100,
    bags: BAGS,
    allBagsMs,
  }),
);
