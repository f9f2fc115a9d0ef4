import { gannetSlip } from '../demo/index.ts';
import { addDays } from '../src/calendar/index.ts';
import { entriesAt, liveEntries, type Container, type Entry, type Garden } from '../src/records/index.ts';
import { chanceFrom } from '../src/statistics/index.ts';

/** The evening on which the gardens of many bags stand. */
export const MANY_TODAY = '2026-09-20';
export const MANY_NOW = `${MANY_TODAY}T22:30:00.000+01:00`;

/** Days after planting of what is done with a bag in a season: 62 entries with its planting and its clearing. */
const CHECKS = { count: 24, from: 3, every: 5 } as const;
const WATERINGS = { count: 14, from: 4, every: 8 } as const;
const FEEDS = { count: 4, from: 30, every: 20 } as const;
const PICKINGS = { count: 18, from: 51, every: 4 } as const;

/**
 * A garden as long and as wide as is wanted: the demo's kinds of bag and plant many times over, each season with its checks,
 * waterings, feeds and pickings. The same for the same numbers.
 *
 * @param bags how many
 * @param seasons the last of them runs on MANY_TODAY
 */
export function manyBags(bags: number, seasons: number): Garden {
  const demo = gannetSlip(1);
  const chance = chanceFrom(8);
  const live = liveEntries(demo.entries);
  const seed = demo.containers.filter((c) => entriesAt(live, c.id).length > 5);
  const containers = Array.from({ length: bags }, (_, i) => ofItsOwn(seed[i % seed.length] as Container, i));
  const plants: Garden['plants'][number][] = [];
  const entries: Entry[] = [];
  for (let season = 0; season < seasons; season++)
    for (const [i, container] of containers.entries()) {
      const year = 2026 - season;
      const planted = `${year}-05-20`;
      const at = (day: string) => `${day}T${timeAt(i)}.000+01:00`;
      const add = (entry: object, day: string) => {
        if (day > MANY_TODAY) return;
        const id = `ent_many${String(entries.length).padStart(7, '0')}`;
        entries.push({ id, at: at(day), recordedAt: at(day), ...entry } as Entry);
      };
      const daysOf = ({ count, from, every }: { count: number; from: number; every: number }) =>
        Array.from({ length: count }, (_, n) => addDays(planted, from + every * n));
      const variety = demo.varieties[i % demo.varieties.length] as (typeof demo.varieties)[number];
      const plantId = `pla_many${year}${String(i).padStart(4, '0')}`;
      plants.push({ id: plantId, varietyId: variety.id, createdAt: at(planted), changedAt: at(planted) });
      const containerId = container.id;
      const here = { containerId, stationId: container.stations[0]?.id ?? '', plantId };
      add({ kind: 'planted', ...here, seedling: { stemMillimetres: 200, ballMillimetres: 90 } }, planted);
      for (const day of daysOf(CHECKS)) {
        const grade = 2 + Math.floor(2.5 * chance.next());
        add({ kind: 'check', containerId, check: { method: 'finger', grade } }, day);
      }
      for (const [n, day] of daysOf(WATERINGS).entries()) {
        const litres = Math.round(10 * (2 + 4 * chance.next())) / 10;
        add({ kind: 'watering', containerId, litres, isMeasured: true, ranThrough: n % 2 === 0 }, day);
      }
      const feed = { productId: 'tomato-liquid', amount: 20, unit: 'millilitre', litres: 4.5 };
      for (const day of daysOf(FEEDS)) add({ kind: 'fed', containerId, ...feed }, day);
      for (const [n, day] of daysOf(PICKINGS).entries()) {
        const kilograms = Math.round(1000 * (0.1 + 0.4 * chance.next())) / 1000;
        const count = 1 + Math.floor(6 * chance.next());
        // one in ten was only counted
        add({ kind: 'picking', containerId, count, ...(n % 10 === 9 ? {} : { kilograms }) }, day);
      }
      if (season > 0) add({ kind: 'cleared', ...here }, `${year}-10-10`);
    }
  const units = containers
    .slice(0, 16)
    .flatMap((c, i) =>
      [2025, 2026].map((season) => ({ containerId: c.id, treatmentId: i % 2 ? 'b' : 'a', season })),
    );
  const trials = demo.trials.slice(0, 1).map((t) => ({ ...t, units }));
  return { ...demo, containers, plants, trials, entries };
}

/** A bag of the demo's kind under a number of its own; what it shared with others stays with those. */
function ofItsOwn({ tankId: _, ...container }: Container, i: number): Container {
  const number = String(i).padStart(5, '0');
  return {
    ...container,
    id: `con_many${number}`,
    label: String(i + 1),
    order: i,
    stations: [{ id: `stn_many${number}` }],
  };
}

/** One bag after another, half a minute each. */
function timeAt(bag: number): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(17 + Math.floor(bag / 120))}:${two(Math.floor(bag / 2) % 60)}:${two(30 * (bag % 2))}`;
}
