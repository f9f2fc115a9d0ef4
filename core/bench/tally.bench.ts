import { gannetSlip } from '../demo/index.ts';
import { addDays } from '../src/calendar/index.ts';
import { chanceFrom } from '../src/statistics/index.ts';
import { entriesAt, liveEntries, type Entry, type Garden } from '../src/records/index.ts';
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

/**
 * Time of the tally over ten seasons of 500 bags, 100,000 entries. Prints one line of JSON: what opens a season with its diary in
 * order, what a filter costs, and what the statistics cost; medians after warming up.
 */
const BAGS = 500;
const SEASONS = 10;
const PICKINGS = 18;
const RUNS = 5;
const WARM_UP = 2;
const TODAY = '2026-09-20';

const garden = grown();
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
  const units = timed('season', () => tallyUnits(context, 2026, TODAY));
  timed('group', () => groupUnits(units, 'bag'));
  timed('filter', () => {
    const some = units.filter((u) => u.crop === 'Tomato' && u.bag.includes('1'));
    return [groupUnits(some, 'bag'), totalOf(some)];
  });
  const [warm] = garden.trials;
  if (run < WARM_UP || run === RUNS + WARM_UP - 1) {
    timed('coming', () => comingOf(context, TODAY));
    timed('forecasts', () => checkForecasts(context, 2025, TODAY));
    timed('review', () => seasonReview(context, 2025, TODAY));
    if (warm) timed('trial', () => trialResult(warm, context, TODAY));
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

/** The demo's kinds of bag and plant, many times over and for ten summers. */
function grown(): Garden {
  const demo = gannetSlip(1);
  const chance = chanceFrom(8);
  const seed = demo.containers.filter((c) => entriesAt(liveEntries(demo.entries), c.id).length > 5);
  const containers = Array.from({ length: BAGS }, (_, i) => {
    const of = seed[i % seed.length] as (typeof seed)[number];
    return {
      ...of,
      id: `con_many${String(i).padStart(5, '0')}`,
      label: String(i + 1),
      stations: [{ id: `stn_many${String(i).padStart(5, '0')}` }],
    };
  });
  const plants: Garden['plants'][number][] = [];
  const entries: Entry[] = [];
  const at = (day: string) => `${day}T18:00:00.000+01:00`;
  const add = (entry: object, day: string) =>
    entries.push({
      id: `ent_many${String(entries.length).padStart(7, '0')}`,
      at: at(day),
      recordedAt: at(day),
      ...entry,
    } as Entry);
  for (let season = 0; season < SEASONS; season++)
    for (const [i, container] of containers.entries()) {
      const year = 2026 - season;
      const variety = demo.varieties[i % demo.varieties.length] as (typeof demo.varieties)[number];
      const plant = {
        id: `pla_many${year}${String(i).padStart(4, '0')}`,
        varietyId: variety.id,
        createdAt: at(`${year}-05-20`),
        changedAt: at(`${year}-05-20`),
      };
      plants.push(plant);
      const here = {
        containerId: container.id,
        stationId: container.stations[0]?.id ?? '',
        plantId: plant.id,
      };
      add(
        { kind: 'planted', ...here, seedling: { stemMillimetres: 200, ballMillimetres: 90 } },
        `${year}-05-20`,
      );
      for (let n = 0; n < PICKINGS; n++) {
        const day = addDays(`${year}-07-10`, 4 * n);
        if (day > TODAY) break;
        const kilograms = Math.round(1000 * (0.1 + 0.4 * chance.next())) / 1000;
        const count = 1 + Math.floor(6 * chance.next());
        // one in ten was only counted
        add(
          { kind: 'picking', containerId: container.id, count, ...(n % 10 === 9 ? {} : { kilograms }) },
          day,
        );
      }
      if (year < 2026) add({ kind: 'cleared', ...here }, `${year}-10-10`);
    }
  const units = containers
    .slice(0, 16)
    .flatMap((c, i) =>
      [2025, 2026].map((season) => ({ containerId: c.id, treatmentId: i % 2 ? 'b' : 'a', season })),
    );
  const trials = demo.trials.slice(0, 1).map((t) => ({ ...t, units }));
  return { ...demo, containers, plants, trials, entries };
}
