import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays, momentAt } from '../calendar/index.ts';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { liveEntries, type Entry, type EntryOf, type Container } from '../records/index.ts';
import { bagWater, waterCase } from './bag-state.ts';
import { propertiesOf } from './properties.ts';
import { FilterMemory } from './filter-memory.ts';
import { gaugeScale, checksOf } from './readings.ts';
import { learnFinger } from './finger.ts';

const garden = gannetSlip(7);
const live = liveEntries(garden.entries);
const bagOf = (label: string) => garden.containers.find((c) => c.label === label) as Container;
const bag = bagOf('9');
const properties = propertiesOf(bag, garden);

let count = 0;
function seen(check: EntryOf<'check'>['check'], day: string, hour: number, containerId = bag.id): Entry {
  const at = momentAt(day, hour, DEMO_EVENING);
  return { kind: 'check', id: `ent_read${++count}`, at, recordedAt: at, containerId, check };
}
const probe = (reading: number, day: string, hour: number) =>
  seen({ method: 'probe', reading, deviceId: 'probe-a' }, day, hour);

describe('a gauge', () => {
  it('reads by its two points, a scale without them by the bag’s weight, less a litre a kilogram', () => {
    expect(gaugeScale('probe', { kind: 'probe', fullReading: 80, dryReading: 20 }, properties)).toMatchObject(
      {
        full: 80,
        dry: 20,
      },
    );
    const scale = gaugeScale('scale', undefined, properties);
    expect(scale.full - scale.dry).toBeCloseTo(properties.availableLitres, 9);
    // a twentieth of a heavy bag's weight is much of its water
    expect(scale.sd).toBeCloseTo((0.03 * properties.drainedKilograms) / properties.availableLitres, 9);
  });

  it('gives shares of available water: half way between its points is half', () => {
    const paired = { ...bag, gauges: [{ kind: 'probe' as const, fullReading: 80, dryReading: 20 }] };
    const entry = probe(50, '2026-07-10', 18);
    const { checks, setAside } = checksOf(paired, properties, [entry]);
    expect(checks.get(entry.id)).toMatchObject({ method: 'reading', share: 0.5 });
    expect(setAside).toEqual([]);
  });
});

describe('readings that cannot be right', () => {
  it('wetter than full or drier than dry by far: set aside with the reason, whether calibrated or not', () => {
    const wild = probe(140, '2026-07-10', 18);
    expect(checksOf(bag, properties, [wild]).setAside).toEqual([
      { entryId: wild.id, at: wild.at, fault: 'uncalibrated' },
    ]);
    const paired = { ...bag, gauges: [{ kind: 'probe' as const, fullReading: 80, dryReading: 20 }] };
    expect(checksOf(paired, properties, [wild]).setAside[0]?.fault).toBe('out-of-span');
    expect(checksOf(paired, properties, [wild]).checks.size).toBe(0);
  });

  it('the same to the last digit for half a day: frozen from then on, until it moves again', () => {
    const stuck = [6, 10, 14, 18, 22].map((hour) => probe(41.25, '2026-07-10', hour));
    const moved = probe(38.5, '2026-07-11', 8);
    const { checks, setAside } = checksOf(bag, properties, [...stuck, moved]);
    expect(setAside.map((s) => s.fault)).toEqual(['frozen', 'frozen']);
    expect(checks.has(stuck[0]?.id ?? '')).toBe(true);
    expect(checks.has(moved.id)).toBe(true);
  });

  it('a device that reads every quarter of an hour counts once in three hours, a typed one always', () => {
    const often = [18, 18.25, 18.5, 18.75, 21.5].map((hour, i) => probe(40 + i, '2026-07-10', hour));
    expect(checksOf(bag, properties, often).checks.size).toBe(2);
    const typed = [18, 18.25, 18.5].map((hour, i) =>
      seen({ method: 'probe', reading: 40 + i }, '2026-07-10', hour),
    );
    expect(checksOf(bag, properties, typed).checks.size).toBe(3);
  });

  it('change nothing about the water, and are named beside it', () => {
    const wild = probe(900, '2026-07-16', 10);
    const plain = bagWater(garden, bag, DEMO_EVENING, live);
    const told = bagWater(garden, bag, DEMO_EVENING, liveEntries([...garden.entries, wild]));
    expect(told.estimate.share).toEqual(plain.estimate.share);
    expect(told.setAside.map((s) => s.entryId)).toEqual([wild.id]);
  });
});

describe('a reading that is right', () => {
  it.each([
    ['dry', 0.15],
    ['wet', 0.9],
  ])('moves the estimate towards it: %s', (_, share) => {
    const scale = gaugeScale('scale', undefined, properties);
    const kilograms = scale.dry + share * (scale.full - scale.dry);
    const entry = seen({ method: 'scale', kilograms }, '2026-07-16', 17.5);
    const before = bagWater(garden, bag, DEMO_EVENING, live).estimate.share.likely;
    const after = bagWater(garden, bag, DEMO_EVENING, liveEntries([...garden.entries, entry])).estimate.share
      .likely;
    expect(Math.abs(after - share)).toBeLessThan(Math.abs(before - share));
  });
});

describe('a grower’s finger', () => {
  const propertiesById = new Map([[bag.id, properties]]);
  const scale = gaugeScale('scale', undefined, properties);
  const pairs = (count: number, off: number) =>
    Array.from({ length: count }, (_, i) => {
      const day = addDays('2026-06-01', i);
      // a finger that says "barely damp" (0.33 to 0.58) of bags that hold more
      const share = 0.455 + off;
      return [
        seen({ method: 'finger', grade: 3 }, day, 18),
        seen({ method: 'scale', kilograms: scale.dry + share * (scale.full - scale.dry) }, day, 18.2),
      ];
    }).flat();
  const learn = (entries: readonly Entry[]) => learnFinger([bag], propertiesById, entries, DEFAULT_ASSUMED);

  it('is what is assumed while nothing was weighed', () => {
    expect(learn(live.filter((e) => e.kind === 'check'))).toMatchObject({
      fingerOffset: DEFAULT_ASSUMED.fingerOffset,
      pairs: 0,
    });
  });

  it('is learnt from weighings within the hour, the more the surer', () => {
    const [few, many] = [learn(pairs(3, 0.15)), learn(pairs(30, 0.15))];
    expect(few.fingerOffset).toBeGreaterThan(DEFAULT_ASSUMED.fingerOffset);
    expect(many.fingerOffset).toBeGreaterThan(few.fingerOffset);
    expect(many.fingerOffset).toBeCloseTo(0.15, 1);
    expect(many.pairs).toBe(30);
    // thirty checks that are off alike leave little noise
    expect(many.fingerNoise).toBeLessThan(DEFAULT_ASSUMED.fingerNoise);
  });

  it('does not pair over a drink', () => {
    const [felt, weighed] = pairs(1, 0.15) as [Entry, Entry];
    const at = momentAt('2026-06-01', 18.1, DEMO_EVENING);
    const poured: Entry = {
      kind: 'watering',
      id: 'ent_between',
      at,
      recordedAt: at,
      containerId: bag.id,
      litres: 3,
      isMeasured: true,
      ranThrough: false,
    };
    expect(learn([felt, poured, weighed]).pairs).toBe(0);
  });
});

describe('the filter’s memory', () => {
  const last = addDays(DEMO_EVENING.slice(0, 10), -1);
  const correction = (day: string): Entry[] => [seen({ method: 'finger', grade: 2 }, day, 12)];

  it.each([
    ['a new entry', correction('2026-07-16')],
    ['a late entry of last month', correction('2026-06-15')],
    ['nothing new', []],
  ])('gives the same answer with and without it: %s', (_, more) => {
    const memory = new FilterMemory();
    bagWater(garden, bag, DEMO_EVENING, live, memory);
    const next = liveEntries([...garden.entries, ...more]);
    expect(bagWater(garden, bag, DEMO_EVENING, next, memory)).toEqual(
      bagWater(garden, bag, DEMO_EVENING, next),
    );
  });

  it('runs only from where it matters', () => {
    const memory = new FilterMemory();
    const { bag: waterBag, properties: made } = waterCase(garden, bag, DEMO_EVENING, live, memory);
    const steps = (until: number) =>
      Array.from({ length: until }, (_, i) => ({
        kind: 'use' as const,
        until: momentAt(addDays(last, i), 18, DEMO_EVENING),
        days: 1,
        share: 1,
        unknown: 0,
        transpirationLitres: 0.4,
        evaporationLitres: 0.1,
        rainLitres: 0,
        dripLitres: 0,
        rooted: 1,
        doubt: 1,
      }));
    expect(memory.run(waterBag, steps(200), made.assumed).stepsRun).toBe(200);
    expect(memory.run(waterBag, steps(201), made.assumed).stepsRun).toBeLessThanOrEqual(40);
    // another number is another bag: from the start
    expect(memory.run(waterBag, steps(201), { ...made.assumed, risk: 0.2 }).stepsRun).toBe(201);
  });
});

describe('drip and stores in the diary and the record', () => {
  it('a drip in the diary makes the days after it wetter, and its litres are told by day', () => {
    const at = momentAt('2026-07-08', 12, DEMO_EVENING);
    const drip: Entry = {
      kind: 'drip',
      id: 'ent_dripset1',
      at,
      recordedAt: at,
      containerId: bag.id,
      setting: {
        emitters: 2,
        litresPerHourEach: 2,
        minutes: 30,
        timesADay: 2,
        weekdays: [1, 2, 3, 4, 5, 6, 7],
      },
    };
    const dripped = bagWater(garden, bag, DEMO_EVENING, liveEntries([...garden.entries, drip]));
    const plain = bagWater(garden, bag, DEMO_EVENING, live);
    const dry = (water: typeof plain) => water.ahead.rounds[3]?.chanceDry ?? 0;
    expect(dry(dripped)).toBeLessThan(dry(plain));
    const on = dripped.usePerDay.filter((day) => day.dripLitres > 0).map((day) => day.day);
    expect(on[0]).toBe('2026-07-08');
    expect(dripped.usePerDay.find((day) => day.day === '2026-07-12')?.dripLitres).toBeCloseTo(3.6, 9);
  });

  it('the kind of a bag brings its own stores, the grower’s come on top', () => {
    const kinds = (label: string) =>
      bagWater(garden, bagOf(label), DEMO_EVENING, live).estimate.stores.map((s) => s.kind);
    expect(kinds('17')).toEqual(['reservoir']);
    expect(kinds('19')).toEqual(['soil']);
    expect(kinds('20')).toEqual(['saucer']);
    expect(kinds('21')).toEqual(['clay-pots']);
    expect(kinds('7')).toEqual([]);
  });

  it('a plant that was measured small drinks less than its habit says', () => {
    const occupantOf = live.findLast(
      (e) => e.kind === 'planted' && e.containerId === bag.id,
    ) as EntryOf<'planted'>;
    const at = momentAt('2026-07-10', 18, DEMO_EVENING);
    const measured = (heightMillimetres: number): Entry => ({
      kind: 'height',
      id: `ent_tall${heightMillimetres}`,
      at,
      recordedAt: at,
      containerId: bag.id,
      stationId: occupantOf.stationId,
      plantId: occupantOf.plantId,
      heightMillimetres,
    });
    const others = garden.entries.filter((e) => e.kind !== 'height');
    const use = (height: number) =>
      waterCase(garden, bag, DEMO_EVENING, liveEntries([...others, measured(height)])).bag.plants[0]?.size ??
      0;
    expect(use(220)).toBeLessThan(use(800));
    expect(use(800)).toBeGreaterThan(1);
  });
});
