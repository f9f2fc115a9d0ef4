import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/index.ts';
import type { Draft, Entry, Container } from '../records/index.ts';
import {
  firstWateringLitres,
  ORDER_PRACTICES,
  STEP_IDS,
  stepsFor,
  type SessionBag,
} from '../planting/index.ts';
import { propertiesOf } from './properties.ts';
import { growthOf, heightNow, levelOf } from './growth.ts';
import { occupantsOf, SUPPORT_PRACTICES } from '../plants/index.ts';
import { jobsOf as allJobsOf, type BagJob } from './jobs.ts';

const stamps = { createdAt: '2026-05-01T10:00:00.000+01:00', changedAt: '2026-05-01T10:00:00.000+01:00' };
const at = (day: string) => `${day}T12:00:00.000+01:00`;
/** Without training, which has tests of its own. */
const jobsOf = (...args: Parameters<typeof allJobsOf>): readonly BagJob[] =>
  allJobsOf(...args).filter((job) => job.kind !== 'train');

const settings = { depthPracticeId: 'first-leaves', assumptions: {} };

function gardenWith(
  support: Container['support'],
  planted: Partial<Extract<Entry, { kind: 'planted' }>> = {},
) {
  const container: Container = {
    id: 'con_tasks001',
    label: '1',
    kindId: 'round-fabric',
    size: { by: 'label', litres: 76 },
    mixId: 'bought',
    mulchMillimetres: 0,
    support,
    placeId: 'std_tasks001',
    stations: [{ id: 'stn_tasks001' }],
    order: 0,
    ...stamps,
  };
  const variety = { id: 'var_tasks001', name: 'Any', cropId: 'tomato', habitId: 'tall', ...stamps };
  const plant = { id: 'pla_tasks001', varietyId: variety.id, ...stamps };
  const entry: Entry = {
    id: 'ent_tasks001',
    kind: 'planted',
    at: at('2026-05-20'),
    recordedAt: at('2026-05-20'),
    containerId: container.id,
    stationId: 'stn_tasks001',
    plantId: plant.id,
    seedling: { stemMillimetres: 200, ballMillimetres: 80 },
    ...planted,
  };
  const properties = propertiesOf(container, { settings, mixes: [] });
  const with_ = (...more: readonly Draft[]) => {
    const rest = more.map((e, i) => ({ ...e, id: `ent_more0000${i}`, recordedAt: e.at }) as Entry);
    const live = [entry, ...rest];
    const occupants = occupantsOf(container, live, { plants: [plant], varieties: [variety] });
    const jobs = (today: string, own = {}) =>
      jobsOf(container, properties, occupants, live, { ...settings, ...own }, today, 'open');
    const tasksBy = (own: typeof settings, today: string) =>
      jobsOf(container, properties, occupants, live, own, today, 'open');
    return { live, occupants, jobs, tasksBy };
  };
  return { container, properties, with: with_, plantId: plant.id };
}

const here = { containerId: 'con_tasks001' } as const;
const string = { kind: 'string', heightMillimetres: 2200 } as const;

describe('what a bag asks for', () => {
  it('winding comes every few days of growth, counted from when it was last done', () => {
    const garden = gardenWith(string);
    const before = garden.with().jobs('2026-06-20')[0];
    expect(before).toMatchObject({ kind: 'tend', task: 'wound', lastOn: '2026-05-20' });
    const done = garden
      .with({ kind: 'tended', task: 'wound', at: at('2026-06-18'), ...here })
      .jobs('2026-06-20')[0];
    expect(done).toMatchObject({ kind: 'tend', lastOn: '2026-06-18' });
    if (done?.kind === 'tend') expect(done.dueOn).toBe(addDays('2026-06-18', done.everyDays));
  });

  it('nothing recurs without a support, and an empty bag asks for nothing', () => {
    const garden = gardenWith({ kind: 'none', heightMillimetres: 0 });
    expect(garden.with().jobs('2026-06-20')).toEqual([]);
    const cleared = {
      kind: 'cleared',
      at: at('2026-06-01'),
      stationId: 'stn_tasks001',
      plantId: garden.plantId,
      ...here,
    } as const;
    const { live } = garden.with(cleared);
    expect(jobsOf(garden.container, garden.properties, [], live, settings, '2026-06-20', 'open')).toEqual([]);
  });

  it('a support that comes later is due after a week, until it is up', () => {
    const garden = gardenWith(string);
    const later = { supportPracticeId: 'later' };
    expect(garden.with().jobs('2026-05-22', later)).toContainEqual({
      kind: 'support',
      dueOn: '2026-05-27',
      latestOn: '2026-06-10',
    });
    const up = {
      kind: 'supported',
      supportId: 'string',
      heightMillimetres: 2200,
      at: at('2026-05-28'),
      ...here,
    } as const;
    expect(
      garden
        .with(up)
        .jobs('2026-05-29', later)
        .map((t) => t.kind),
    ).not.toContain('support');
    expect(
      garden
        .with()
        .jobs('2026-05-22')
        .map((t) => t.kind),
    ).not.toContain('support');
  });

  it('shade goes off a day after it went on', () => {
    const garden = gardenWith(string);
    const on = { kind: 'tended', task: 'shaded', at: at('2026-05-20'), ...here } as const;
    expect(garden.with(on).jobs('2026-05-20')).toContainEqual({ kind: 'unshade', dueOn: '2026-05-21' });
    const off = { ...on, task: 'unshaded', at: at('2026-05-21') } as const;
    expect(
      garden
        .with(on, off)
        .jobs('2026-05-21')
        .map((t) => t.kind),
    ).not.toContain('unshade');
  });

  it('top-ups come one after another until the bag is full', () => {
    const garden = gardenWith({ kind: 'none', heightMillimetres: 0 });
    const full = garden.properties.fill.mixMillimetres;
    const low = gardenWith(
      { kind: 'none', heightMillimetres: 0 },
      { plantingMethodId: 'low-start', levelMillimetres: full / 2 },
    );
    const first = low.with().jobs('2026-06-10')[0];
    if (first?.kind !== 'top-up') throw new Error('expected a top-up');
    expect(first.earliestOn <= first.dueOn).toBe(true);
    const raise = (level: number) =>
      ({ kind: 'topped-up', litres: 5, levelMillimetres: level, at: at('2026-06-10'), ...here }) as const;
    const second = low.with(raise(first.topUp.toMillimetres)).jobs('2026-06-11')[0];
    if (second?.kind !== 'top-up') throw new Error('expected another');
    expect(second.topUp.toMillimetres).toBeGreaterThan(first.topUp.toMillimetres);
    expect(low.with(raise(full)).jobs('2026-06-11')).toEqual([]);
  });
});

describe('growth by the diary', () => {
  const height = (day: string, heightMillimetres: number) =>
    ({
      kind: 'height',
      at: at(day),
      heightMillimetres,
      stationId: 'stn_tasks001',
      plantId: 'pla_tasks001',
      ...here,
    }) as const;

  it('starts with what stood above the mix, and follows what was measured', () => {
    const garden = gardenWith(string);
    const none = garden.with();
    const [occupant] = none.occupants;
    if (!occupant) throw new Error('expected a plant');
    const before = growthOf(occupant, garden.properties, none.live, settings);
    // a third of 200 mm, but 100 mm at the least
    expect(before.startMillimetres).toBeCloseTo(100, 6);
    const measured = garden.with(height('2026-06-20', 300));
    const after = growthOf(occupant, garden.properties, measured.live, settings);
    expect(heightNow(after, 31)).toMatchObject({ likely: 300, isMeasured: true });
    expect(heightNow(after, 60).likely).toBeLessThan(heightNow(before, 60).likely);
  });

  it('counts a height from the surface as it stood then: a top-up hides stem', () => {
    const full = gardenWith(string).properties.fill.mixMillimetres;
    const garden = gardenWith(string, { plantingMethodId: 'low-start', levelMillimetres: full / 2 });
    const raised = {
      kind: 'topped-up',
      litres: 9,
      levelMillimetres: full / 2 + 80,
      at: at('2026-06-10'),
      ...here,
    } as const;
    const { live, occupants } = garden.with(raised, height('2026-06-20', 400));
    const [occupant] = occupants;
    if (!occupant) throw new Error('expected a plant');
    expect(growthOf(occupant, garden.properties, live, settings).records).toEqual([
      { days: 31, millimetres: expect.closeTo(480, 6) },
    ]);
    expect(levelOf(garden.properties, occupants, live)).toBeCloseTo(full / 2 + 80, 6);
  });
});

describe('the steps of a planting', () => {
  const bag: SessionBag = {
    isCompressed: true,
    plantingMethodId: 'upright',
    leavesToStrip: 3,
    stripPractice: 'at-once',
    isSupportedNow: true,
  };

  it('has every step once in either order, and the school decides when leaves come off', () => {
    for (const { id } of ORDER_PRACTICES)
      expect([...stepsFor({ ...bag, hasNoHoles: true, isClosed: true }, id)].sort()).toEqual(
        [...STEP_IDS].sort(),
      );
    const place = (id: 'strip-first' | 'fill-first') => {
      const steps = stepsFor(bag, id);
      return steps.indexOf('strip') - steps.indexOf('plant');
    };
    expect(place('strip-first')).toBeLessThan(0);
    expect(place('fill-first')).toBeGreaterThan(0);
  });

  it('leaves out what does not apply', () => {
    expect(stepsFor(bag, 'strip-first')).not.toContain('holes');
    expect(stepsFor(bag, 'strip-first')).not.toContain('slit');
    expect(stepsFor({ ...bag, stripPractice: 'days-before' }, 'strip-first')).not.toContain('strip');
    expect(stepsFor({ ...bag, isCompressed: false }, 'strip-first')).not.toContain('loosen');
    expect(stepsFor({ ...bag, isSupportedNow: false }, 'strip-first')).not.toContain('support');
    expect(stepsFor({ ...bag, plantingMethodId: 'seed' }, 'strip-first')).not.toContain('soak');
  });

  it('four litres for twenty of dry mix, half of that when it was moistened', () => {
    expect(firstWateringLitres(20, 'dry', DEFAULT_ASSUMED)).toBe(4);
    expect(firstWateringLitres(20, 'moistened', DEFAULT_ASSUMED)).toBe(2);
    // what was flooded is full: little and gentle
    expect(firstWateringLitres(20, 'flooded', DEFAULT_ASSUMED)).toBe(1);
  });
});

describe('jobs in their order', () => {
  const planted = (...more: readonly Draft[]) => gardenWith(string).with(...more);
  const weather = (day: string, minCelsius: number): Draft => ({
    kind: 'weather',
    at: `${day}T08:00:00.000+01:00`,
    day,
    minCelsius,
    maxCelsius: 14,
    source: 'typed',
  });

  it('nothing is wound before the string is up, and then it counts from that day', () => {
    const practice = SUPPORT_PRACTICES.find((p) => p.fromDays > 0);
    const own = { supportPracticeId: practice?.id };
    const { jobs } = planted();
    expect(jobs('2026-06-20', own).map((job) => job.kind)).toEqual(['support']);
    const up: Draft = {
      kind: 'supported',
      at: '2026-06-18T10:00:00.000+01:00',
      ...here,
      supportId: 'string',
      heightMillimetres: 2000,
    };
    const [wind] = planted(up).jobs('2026-06-20', own);
    expect(wind).toMatchObject({ kind: 'tend', since: 'support', lastOn: '2026-06-18' });
  });

  it('on a night with fleece on they wait for the next day', () => {
    const due = planted()
      .jobs('2026-07-10')
      .find((job) => job.kind === 'tend');
    expect(due).toMatchObject({ since: 'planting', isHeldForCold: false });
    const cold = planted(weather('2026-07-11', -1))
      .jobs('2026-07-10')
      .find((job) => job.kind === 'tend');
    expect(cold).toMatchObject({ dueOn: '2026-07-11', isHeldForCold: true });
  });
});

describe('of plants side by side', () => {
  const stations = [{ id: 'stn_left0001' }, { id: 'stn_right001' }] as const;
  const pair = (
    rightOn: string,
    seed: Partial<Extract<Entry, { kind: 'planted' }>> = {},
    ...more: readonly Draft[]
  ) => {
    const container = { ...gardenWith(string).container, stations: [...stations] };
    const variety = { id: 'var_tasks001', name: 'Any', cropId: 'tomato', habitId: 'tall', ...stamps };
    const plants = stations.map(({ id }) => ({
      id: id.replace('stn', 'pla'),
      varietyId: variety.id,
      ...stamps,
    }));
    const planted = stations.map(({ id }, i): Entry => ({
      id: `ent_pair0000${i}`,
      kind: 'planted',
      at: at(i === 0 ? '2026-05-20' : rightOn),
      recordedAt: at('2026-05-20'),
      ...here,
      stationId: id,
      plantId: id.replace('stn', 'pla'),
      seedling: { stemMillimetres: 200, ballMillimetres: 80 },
      ...seed,
    }));
    const rest = more.map((e, i) => ({ ...e, id: `ent_more0000${i}`, recordedAt: e.at }) as Entry);
    const live = [...planted, ...rest];
    const occupants = occupantsOf(container, live, { plants, varieties: [variety] });
    const properties = propertiesOf(container, { settings, mixes: [] });
    return jobsOf(container, properties, occupants, live, settings, '2026-06-25', 'open');
  };
  const left = { stationId: 'stn_left0001', plantId: 'pla_left0001' };
  const right = { stationId: 'stn_right001', plantId: 'pla_right001' };
  const wound = (plant: object = {}): Draft => ({
    kind: 'tended',
    task: 'wound',
    at: at('2026-06-24'),
    ...here,
    ...plant,
  });

  it('that are alike, winding is one job', () => {
    expect(pair('2026-05-20')).toMatchObject([{ kind: 'tend', plants: [] }]);
  });

  it('of different days, it is due for each by its own growth', () => {
    const jobs = pair('2026-06-10').filter((job) => job.kind === 'tend');
    expect(jobs.map((job) => [job.plants, job.lastOn])).toEqual([
      [[left], '2026-05-20'],
      [[right], '2026-06-10'],
    ]);
  });

  it('what was done to one leaves the other due; what was done to the bag was done to both', () => {
    const one = pair('2026-05-20', {}, wound(left)).filter((job) => job.kind === 'tend');
    expect(one.map((job) => [job.plants, job.lastOn, job.since])).toEqual([
      [[right], '2026-05-20', 'planting'],
      [[left], '2026-06-24', 'done'],
    ]);
    expect(pair('2026-06-10', {}, wound())).toMatchObject([{ plants: [], lastOn: '2026-06-24' }]);
  });

  it('seed is thinned at the places where it came up and was not thinned', () => {
    const seed = { plantingMethodId: 'seed', seeds: 3 } as const;
    const up = (plant: object, day: string): Draft => ({
      kind: 'stage',
      stage: 'up',
      at: at(day),
      ...here,
      ...plant,
    });
    const thin = (...more: readonly Draft[]) =>
      pair('2026-05-20', seed, ...more).find((job) => job.kind === 'thin');
    expect(thin()).toBeUndefined();
    expect(thin(up(left, '2026-05-30'))).toMatchObject({
      plants: [left],
      seeds: 3,
      dueOn: addDays('2026-05-30', 10),
    });
    const both = [up(left, '2026-05-30'), up(right, '2026-06-02')];
    expect(thin(...both)).toMatchObject({ plants: [], dueOn: addDays('2026-05-30', 10) });
    const parted: Draft = { kind: 'tended', task: 'parted', at: at('2026-06-10'), ...here, ...left };
    expect(thin(...both, parted)).toMatchObject({ plants: [right], dueOn: addDays('2026-06-02', 10) });
  });
});
