import { fork } from 'node:child_process';
import { join } from 'node:path';
import { chanceFrom } from '../hidden/index.ts';
import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { FilterMemory } from '../src/garden-state/index.ts';
import { runFilter, type WaterEvent } from '../src/water/index.ts';
import { at, DAYS, watering, feltSeasons, check, stepsOf, type FeltSeason } from './season/felt.ts';

/**
 * Time of the filter over bags' seasons of 180 days, as simulated bags were felt and watered. Beside that a season whose checks
 * come at random, which contradict what is believed over and over and keep the belief as wide as it gets, and all bags
 * shared over two workers as the app does it. Prints one line of JSON.
 */
const BAGS = 200;
const RUNS = 60;
/** as many seasons as a worker has worked out after two or three rounds of a garden */
const WARM_UP = 60;
const WORKERS = 2;
const SHARED_RUNS = 5;

const cases = feltSeasons(BAGS);
const chance = chanceFrom(42);
const atRandom: FeltSeason = {
  bag: (cases[0] as FeltSeason).bag,
  events: Array.from({ length: 150 }, (_, i) => {
    const n = Math.floor((i * DAYS) / 150);
    return [check(n, 1 + Math.floor(chance.next() * 5)), watering(n, 2 + 3 * chance.next(), i % 4 === 0)];
  }).flat(),
};

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
const seasonTook = (one: FeltSeason) => took(() => runFilter(one.bag, stepsOf(one), DEFAULT_ASSUMED));

const seasons = times(RUNS, WARM_UP, (n) => seasonTook(cases[n % BAGS] as FeltSeason));
const random = times(RUNS, WARM_UP, () => seasonTook(atRandom));

/** A season with an entry more each time, by a memory that knows the season without it. */
const newEntry = times(RUNS, WARM_UP, (n) => {
  const one = cases[n % BAGS] as FeltSeason;
  const memory = new FilterMemory();
  memory.run(one.bag, stepsOf(one), DEFAULT_ASSUMED);
  const event: WaterEvent = { ...check(DAYS - 1, 1 + (n % 5)), id: 'ent_new', at: at(DAYS - 1, 30) };
  const steps = stepsOf({ ...one, events: [...one.events, event] });
  return took(() => memory.run(one.bag, steps, DEFAULT_ASSUMED));
});

const allBags = took(() => cases.forEach((one) => runFilter(one.bag, stepsOf(one), DEFAULT_ASSUMED)));

/** Milliseconds until all workers have worked out their bags, after they have done so once; here each is a process. */
async function sharedTook(): Promise<number> {
  const workers = Array.from({ length: WORKERS }, (_, part) =>
    // built, the worker stands beside this file
    fork(join(import.meta.dirname, 'filter.worker.js'), [BAGS, part, WORKERS].map(String)),
  );
  const all = () =>
    Promise.all(workers.map((worker) => new Promise((resolve) => worker.once('message', resolve))));
  await all();
  const runs: number[] = [];
  for (let run = 0; run < 1 + SHARED_RUNS; run++) {
    const started = performance.now();
    const done = all();
    for (const worker of workers) worker.send('go');
    await done;
    runs.push(performance.now() - started);
  }
  for (const worker of workers) worker.disconnect();
  return middle(runs.slice(1).sort((a, b) => a - b));
}

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
    workers: WORKERS,
    sharedMs: Math.round(await sharedTook()),
  }),
);
