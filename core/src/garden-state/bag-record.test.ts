import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays, momentAt } from '../calendar/index.ts';
import { diagnose } from '../care/index.ts';
import { occupantsOf } from '../plants/index.ts';
import { liveEntries, type Container, type Draft, type Entry, type Garden } from '../records/index.ts';
import { bagRecord } from './bag-record.ts';
import { careJobs, harvestHeldUntil } from './care-jobs.ts';
import { deriveBag } from './derive-bag.ts';
import { propertiesOf } from './properties.ts';

const TODAY = '2026-06-20';
const stamp = '2026-05-01T10:00:00.000+01:00';
const at = (day: string, hour = 12) => momentAt(day, hour, stamp);
const container: Container = {
  id: 'con_record01',
  label: '1',
  kindId: 'round-fabric',
  size: { by: 'label', litres: 40 },
  mixId: 'bought',
  mulchMillimetres: 0,
  support: { kind: 'none', heightMillimetres: 0 },
  placeId: 'std_record01',
  stations: [{ id: 'stn_record01' }],
  order: 0,
  createdAt: stamp,
  changedAt: stamp,
};
const home = { containerId: container.id };
let count = 0;
const entry = (draft: Draft): Entry =>
  ({ ...draft, id: `ent_record${String(count++).padStart(4, '0')}`, recordedAt: draft.at }) as Entry;
const planted = entry({
  kind: 'planted',
  at: at('2026-05-20'),
  ...home,
  stationId: 'stn_record01',
  plantId: 'pla_record01',
  seedling: { stemMillimetres: 250, ballMillimetres: 90 },
});
/** Two weeks of weather up to today, each day as given. */
const weather = (of: (i: number) => { min: number; max: number; rain?: number }): readonly Entry[] =>
  Array.from({ length: 14 }, (_, i) => {
    const { min, max, rain } = of(i);
    const day = addDays(TODAY, i - 13);
    return entry({
      kind: 'weather',
      at: at(day, 20),
      day,
      minCelsius: min,
      maxCelsius: max,
      ...(rain === undefined ? {} : { rainMillimetres: rain }),
      source: 'typed',
    });
  });
const checks = (grade: number, days: readonly string[]): readonly Entry[] =>
  days.map((day) => entry({ kind: 'check', at: at(day, 18), ...home, check: { method: 'finger', grade } }));

function recordOf(entries: readonly Entry[], cover: 'open' | 'glass' | 'heated' = 'open') {
  const garden: Garden = {
    settings: {
      gardenName: 'Test',
      latitudeDegrees: 51,
      units: 'metric',
      roundHours: [8, 18],
      depthPracticeId: 'first-leaves',
      assumptions: {},
      changedAt: stamp,
    },
    places: [{ id: 'std_record01', name: 'Yard', cover, order: 0, createdAt: stamp, changedAt: stamp }],
    containers: [container],
    varieties: [
      {
        id: 'var_record01',
        name: 'Any',
        cropId: 'tomato',
        habitId: 'tall',
        createdAt: stamp,
        changedAt: stamp,
      },
    ],
    batches: [],
    plants: [{ id: 'pla_record01', varietyId: 'var_record01', createdAt: stamp, changedAt: stamp }],
    measures: [],
    mixes: [],
    products: [],
    packs: [],
    templates: [],
    plans: [],
    regimes: [],
    tanks: [],
    trials: [],
    entries: [planted, ...entries],
  };
  const live = liveEntries(garden.entries);
  const state = deriveBag(garden, container, at(TODAY, 19));
  const bag = {
    container,
    place: garden.places[0],
    properties: propertiesOf(container, garden),
    occupants: occupantsOf(container, live, garden),
    water: state.water,
    feeding: state.feeding,
  };
  return bagRecord({ bag, garden, live, on: TODAY, clockAheadHours: 1 });
}
const value = (record: ReturnType<typeof recordOf>, id: keyof ReturnType<typeof recordOf>['factors']) =>
  record.factors[id]?.value;

describe('what a bag’s record says of trouble', () => {
  it('of nights and days, by what stands over it and what the crop wants', () => {
    const cold = weather((i) => ({ min: i === 12 ? 4 : 12, max: 20, rain: 0 }));
    expect(recordOf(cold).factors['cold-nights']).toMatchObject({ count: 1, celsius: 4 });
    expect(value(recordOf(cold, 'heated'), 'cold-nights')).toBe(0);
    const underGlass = recordOf(cold, 'glass').factors['cold-nights'];
    expect(underGlass?.value ?? 0).toBeLessThan(value(recordOf(cold), 'cold-nights') ?? 0);
    const fleece = entry({ kind: 'tended', at: at(addDays(TODAY, -2), 20), ...home, task: 'fleeced' });
    expect(value(recordOf([...cold, fleece]), 'cold-nights')).toBeLessThan(
      value(recordOf(cold), 'cold-nights') ?? 0,
    );
    expect(recordOf(weather(() => ({ min: 14, max: 34 }))).factors['hot-days']).toMatchObject({
      value: 1,
      count: 14,
    });
    expect(recordOf(weather(() => ({ min: 12, max: 19, rain: 4 }))).factors['mild-wet-nights']?.value).toBe(
      1,
    );
  });

  it('of cold and heat nothing by a rain gauge alone, and of nights by what was read of them', () => {
    const read = (part: 'min' | 'max' | 'rain') =>
      recordOf(
        weather(() => ({ min: 4, max: 34, rain: 4 })).map((e) =>
          e.kind !== 'weather'
            ? e
            : {
                ...e,
                minCelsius: part === 'min' ? e.minCelsius : undefined,
                maxCelsius: part === 'max' ? e.maxCelsius : undefined,
                rainMillimetres: part === 'rain' ? e.rainMillimetres : undefined,
              },
        ),
      ).factors;
    for (const id of ['cold-nights', 'hot-days', 'mild-wet-nights', 'dry-heat'] as const)
      expect(read('rain')[id], id).toBeUndefined();
    expect(read('min')['cold-nights']).toMatchObject({ count: 14, celsius: 4 });
    expect(read('min')['hot-days']).toBeUndefined();
    expect(read('max')['hot-days']).toMatchObject({ count: 14 });
    expect(read('max')['cold-nights']).toBeUndefined();
  });

  it('nothing of nights without weather, of water without a check, of feed and sprays that nobody records', () => {
    const bare = recordOf([]);
    for (const id of [
      'cold-nights',
      'hot-days',
      'dry-outs',
      'wet-spell',
      'fed-much',
      'sprayed-in-sun',
    ] as const)
      expect(bare.factors[id], id).toBeUndefined();
    expect(value(bare, 'under-cover')).toBe(0);
    const { cannotTell, next } = diagnose({ seen: ['edges-brown'], unseen: [] }, bare, {}, DEFAULT_ASSUMED);
    expect(cannotTell).toBe('several-fit');
    expect(next).toBeDefined();
  });

  it('of dry spells and of weeks of wet, by the estimate of its water', () => {
    const mild = weather(() => ({ min: 11, max: 20, rain: 0 }));
    const dry = recordOf([...mild, ...checks(1, ['2026-06-10', '2026-06-20'])]);
    expect(value(dry, 'dry-outs')).toBeGreaterThan(0);
    expect(value(dry, 'wet-spell')).toBe(0);
    const days = Array.from({ length: 31 }, (_, i) => addDays(TODAY, i - 30));
    const pours = days.map((day) =>
      entry({
        kind: 'watering',
        at: at(day, 18.2),
        ...home,
        litres: 6,
        isMeasured: true,
        ranThrough: true,
        isInGoes: true,
      }),
    );
    const wet = recordOf([...mild, ...checks(5, days), ...pours]);
    expect(value(wet, 'wet-spell')).toBe(1);
    expect(value(wet, 'dry-outs')).toBe(0);
  });

  it('of a spray in the sun, and none in the evening', () => {
    const spray = (hour: number) =>
      entry({ kind: 'sprayed', at: at('2026-06-18', hour), ...home, agent: 'soap', extent: 'whole' });
    expect(recordOf([spray(13)]).factors['sprayed-in-sun']).toMatchObject({ value: 1, on: '2026-06-18' });
    expect(value(recordOf([spray(21)]), 'sprayed-in-sun')).toBe(0);
    // feed on leaves in the sun burns as well
    const leaves = entry({
      kind: 'fed',
      at: at('2026-06-18', 13),
      ...home,
      productId: 'tomato-liquid',
      amount: 10,
      unit: 'millilitre',
      into: 'leaves',
      litres: 0.3,
    } as Draft<'fed'>);
    expect(value(recordOf([leaves]), 'sprayed-in-sun')).toBe(1);
  });

  it('of trouble nearby, and of what the bag held before and was not cleaned of', () => {
    const nearby = entry({ kind: 'warned', at: at('2026-06-15'), what: 'blight' });
    expect(recordOf([nearby]).around).toEqual(['blight']);
    const before = entry({
      kind: 'trouble',
      at: at('2025-08-15'),
      ...home,
      what: 'leaf-spot',
      livesInMix: true,
    });
    expect(recordOf([before]).before).toEqual(['leaf-spot']);
    const clean = entry({
      kind: 'cleaned',
      at: at('2025-10-15'),
      ...home,
      what: 'bag',
      isWashed: true,
      isDried: true,
    });
    expect(recordOf([before, clean]).before).toEqual([]);
  });
});

describe('what follows from trouble and sprays', () => {
  const jobs = (...entries: readonly Entry[]) =>
    careJobs(entries, DEFAULT_ASSUMED, '2026-05-20').map((job) => `${job.kind} ${job.dueOn}`);
  const seen = entry({
    kind: 'trouble',
    at: at('2026-06-10'),
    ...home,
    caseId: 'cas_record01',
    what: 'cold',
    livesInMix: false,
    checkOn: '2026-06-17',
  });
  const again = (facts: Partial<Draft<'followed-up'>>) =>
    entry({
      kind: 'followed-up',
      at: at('2026-06-17'),
      ...home,
      caseId: 'cas_record01',
      outcome: 'better',
      ...facts,
    });
  const spray = (facts: Partial<Draft<'sprayed'>>) =>
    entry({
      kind: 'sprayed',
      at: at('2026-06-10', 21),
      ...home,
      caseId: 'cas_record02',
      agent: 'soap',
      extent: 'whole',
      ...facts,
    });
  const leaf = (outcome: 'leaf-clean' | 'leaf-marked') =>
    entry({ kind: 'followed-up', at: at('2026-06-12'), ...home, caseId: 'cas_record02', outcome });

  it('trouble is looked at again on its day, in a week where none was said, and no more once it is over', () => {
    expect(jobs(seen)).toEqual(['look-again 2026-06-17']);
    expect(jobs(seen, again({}))).toEqual(['look-again 2026-06-24']);
    expect(jobs(seen, again({ outcome: 'over' }))).toEqual([]);
    // of a plant that has gone
    expect(careJobs([seen], DEFAULT_ASSUMED, '2026-06-15')).toEqual([]);
  });

  it('a test leaf is looked at after two days, then the whole plant is sprayed, or nothing more', () => {
    const test = spray({ extent: 'test-leaf' });
    expect(jobs(test)).toEqual(['test-leaf 2026-06-12']);
    expect(jobs(test, leaf('leaf-clean'))).toEqual(['spray 2026-06-12']);
    expect(jobs(test, leaf('leaf-marked'))).toEqual([]);
    expect(jobs(test, leaf('leaf-clean'), spray({ at: at('2026-06-12', 21), repeatDays: 7 }))).toEqual([
      'spray 2026-06-19',
    ]);
  });

  it('fruit is held back by the label of what the whole plant had, and the longest counts', () => {
    const held = (...entries: readonly Entry[]) => harvestHeldUntil(entries, '2026-06-11')?.until;
    expect(held(spray({ harvestDays: 3 }))).toBe('2026-06-13');
    expect(held(spray({ harvestDays: 3 }), spray({ harvestDays: 7 }))).toBe('2026-06-17');
    expect(held(spray({ harvestDays: 3, extent: 'test-leaf' }))).toBeUndefined();
    expect(held(spray({}), spray({ harvestDays: 1 }))).toBeUndefined();
  });
});
