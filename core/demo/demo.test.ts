import { describe, expect, it } from 'vitest';
import { propertiesOf } from '../src/garden-state/index.ts';
import { type Garden, entrySchema, liveEntries, type Entry, type EntryOf } from '../src/records/index.ts';
import { dayOf } from '../src/calendar/index.ts';
import { findProduct } from '../src/products/index.ts';
import { DEMO_EVENING } from './evening.ts';
import { gannetSlip } from './gannet-slip.ts';

const demo = gannetSlip(1);
const live = liveEntries(demo.entries);
const of = <K extends Entry['kind']>(kind: K) =>
  live.filter((e) => e.kind === kind) as unknown as readonly EntryOf<K>[];
const labelOf = (garden: Garden, id: string) => garden.containers.find((c) => c.id === id)?.label;
const thisYear = (entry: { readonly at: string }) => entry.at.startsWith('2026');

describe('the demo', () => {
  it('is the same for the same seed to the letter, and another for another', () => {
    expect(JSON.stringify(gannetSlip(1))).toBe(JSON.stringify(demo));
    expect(JSON.stringify(gannetSlip(2))).not.toBe(JSON.stringify(demo));
  });

  it('has twenty-four bags on three stands, with all four crops', () => {
    expect(demo.containers).toHaveLength(24);
    expect(demo.places).toHaveLength(3);
    expect(new Set(demo.varieties.map(({ cropId }) => cropId))).toEqual(
      new Set(['tomato', 'pepper', 'aubergine', 'cucumber']),
    );
    expect(new Set(demo.containers.map(({ label }) => label)).size).toBe(24);
  });

  it('is made of kinds of bag that differ, each of which can be worked out', () => {
    expect(new Set(demo.containers.map(({ kindId }) => kindId)).size).toBeGreaterThanOrEqual(6);
    for (const container of demo.containers) {
      const properties = propertiesOf(container, demo);
      expect(properties.availableLitres).toBeGreaterThan(0.5);
      expect(properties.fill.mixLitres).toBeLessThanOrEqual(properties.real.litres.high);
    }
  });

  it('every entry reads, has an id of its own, and happened before the evening on which it opens', () => {
    for (const entry of demo.entries) expect(entrySchema.safeParse(entry).success, entry.id).toBe(true);
    expect(new Set(demo.entries.map(({ id }) => id)).size).toBe(demo.entries.length);
    const now = Date.parse(DEMO_EVENING);
    for (const entry of demo.entries) {
      if (entry.kind !== 'weather') expect(Date.parse(entry.at), entry.id).toBeLessThanOrEqual(now);
      expect(Date.parse(entry.recordedAt), entry.id).toBeLessThanOrEqual(now);
    }
  });

  it('names nothing that is not there', () => {
    const containers = new Set(demo.containers.map(({ id }) => id));
    const stations = new Set(demo.containers.flatMap((c) => c.stations.map(({ id }) => id)));
    const plants = new Set(demo.plants.map(({ id }) => id));
    for (const entry of demo.entries) {
      if ('containerId' in entry && entry.containerId !== undefined)
        expect(containers.has(entry.containerId), entry.id).toBe(true);
      if ('stationId' in entry && entry.stationId !== undefined)
        expect(stations.has(entry.stationId), entry.id).toBe(true);
      if ('plantId' in entry && entry.plantId !== undefined)
        expect(plants.has(entry.plantId), entry.id).toBe(true);
      if ('productId' in entry) expect(findProduct(entry.productId, demo.products), entry.id).toBeDefined();
    }
    const varieties = new Set(demo.varieties.map(({ id }) => id));
    for (const plant of demo.plants) expect(varieties.has(plant.varietyId)).toBe(true);
    const places = new Set(demo.places.map(({ id }) => id));
    for (const container of demo.containers) expect(places.has(container.placeId)).toBe(true);
  });
});

describe('what happened at Gannet Slip', () => {
  it('a bag is planted before it is picked, and fruit takes its weeks', () => {
    const planted = new Map(
      of('planted')
        .filter((e) => thisYear(e) && e.plantingMethodId !== 'seed')
        .map((e) => [e.containerId, Date.parse(e.at)]),
    );
    const picked = of('picking').filter(thisYear);
    expect(picked.length).toBeGreaterThan(10);
    for (const picking of picked) {
      const days = (Date.parse(picking.at) - (planted.get(picking.containerId) ?? Infinity)) / 86_400_000;
      expect(days, labelOf(demo, picking.containerId)).toBeGreaterThan(25);
    }
  });

  it('a drink by hand follows a look at the same bag within the hour, all but now and then', () => {
    const checks = of('check').filter(thisYear);
    const waterings = of('watering').filter(thisYear);
    const followed = waterings.filter((watering) =>
      checks.some(
        (check) =>
          check.containerId === watering.containerId &&
          Math.abs(Date.parse(watering.at) - Date.parse(check.at)) < 3_600_000,
      ),
    );
    expect(followed.length / waterings.length).toBeGreaterThan(0.8);
  });

  it('drier looks are followed by drinks, wet ones are not', () => {
    const waterings = of('watering').filter(thisYear);
    const watered = (grade: number) => {
      const seen = of('check').filter(
        (e) => thisYear(e) && e.check.method === 'finger' && e.check.grade === grade,
      );
      const given = seen.filter((check) =>
        waterings.some(
          (watering) => watering.containerId === check.containerId && dayOf(watering.at) === dayOf(check.at),
        ),
      );
      return given.length / Math.max(1, seen.length);
    };
    expect(watered(2)).toBeGreaterThan(0.9);
    expect(watered(5)).toBeLessThan(0.2);
    expect(watered(2)).toBeGreaterThan(watered(4));
  });

  it('a drink is no more than a bag could take and lose', () => {
    for (const watering of of('watering')) {
      const container = demo.containers.find((c) => c.id === watering.containerId);
      if (!container || watering.into === 'store') continue;
      expect(watering.litres).toBeGreaterThan(0);
      expect(watering.litres).toBeLessThan(2 * propertiesOf(container, demo).real.litres.high);
    }
  });

  it('has days of which nobody noted the weather, and ends hot', () => {
    const noted = new Map(of('weather').map((e) => [e.day, e]));
    expect(noted.has('2026-06-14')).toBe(false);
    expect(noted.size).toBeGreaterThan(50);
    const meanMaximum = (days: readonly string[]) => {
      const known = days.flatMap((day) => noted.get(day)?.maxCelsius ?? []);
      return known.reduce((sum, celsius) => sum + celsius, 0) / known.length;
    };
    const last = [12, 13, 14, 15].map((day) => `2026-07-${day}`);
    const may = [20, 21, 22, 23].map((day) => `2026-05-${day}`);
    expect(meanMaximum(last)).toBeGreaterThan(meanMaximum(may) + 3);
  });

  it('has a last season behind it, of fewer bags, picked to its end', () => {
    const before = of('picking').filter((e) => e.at.startsWith('2025'));
    const bags = new Set(before.map((e) => e.containerId));
    expect(bags.size).toBeGreaterThan(4);
    expect(bags.size).toBeLessThan(24);
    expect(before.some((e) => e.at >= '2025-09')).toBe(true);
    // what stood there then was cleared before this year's plants went in
    for (const planted of of('planted').filter(thisYear)) {
      const earlier = of('planted').filter(
        (e) => e.stationId === planted.stationId && e.at < planted.at && !thisYear(e),
      );
      for (const old of earlier)
        expect(of('cleared').some((e) => e.plantId === old.plantId && e.at < planted.at)).toBe(true);
    }
  });

  it('has no two varieties of one name', () => {
    const names = demo.varieties.map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
  });
});
