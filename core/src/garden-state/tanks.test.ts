import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays } from '../calendar/index.ts';
import {
  liveEntries,
  type Container,
  type Entry,
  type EntryOf,
  type Garden,
  type Tank,
} from '../records/index.ts';
import { waterBalance } from '../water/index.ts';
import { bagWater, waterSetting } from './bag-state.ts';
import { GardenEngine } from './garden-engine.ts';
import { tankCourse, tankEvents, tankShares, tankWaterEvents, withTank } from './tanks.ts';

const stamps = { createdAt: DEMO_EVENING, changedAt: DEMO_EVENING };
const tank: Tank = { id: 'tnk_drum0001', name: 'Blue drum', litres: 120, ...stamps };
const LABELS = ['5', '6', '7', '8'];
const plain = gannetSlip(3);
const garden: Garden = {
  ...plain,
  tanks: [tank],
  containers: plain.containers.map(({ tankId: _, ...c }) =>
    LABELS.includes(c.label) ? { ...c, tankId: tank.id } : c,
  ),
};
const bags = garden.containers.filter((c) => c.tankId);
const [bag] = bags as [Container];
const live = liveEntries(garden.entries);
let count = 0;
const entry = (at: string, facts: Partial<EntryOf<'tank'>>): EntryOf<'tank'> => ({
  kind: 'tank',
  id: `ent_tank${String(count++).padStart(4, '0')}`,
  at,
  recordedAt: at,
  tankId: tank.id,
  ...facts,
});
const morning = (n: number) => `${addDays('2026-06-20', n)}T08:00:00.000+01:00`;
const courseOf = (entries: readonly Entry[], now: string, reckoned = 9) =>
  tankCourse(tank, tankEvents(tank, garden, entries), reckoned, now, DEFAULT_ASSUMED);

describe('a tank that several bags share', () => {
  it('a level by the eye is as likely and less sure than one in litres, until it is filled up', () => {
    const measured = courseOf([entry(morning(0), { foundLitres: 60 })], morning(0)).litres;
    const seen = courseOf([entry(morning(0), { foundLitres: 60, isAtAGlance: true })], morning(0)).litres;
    expect(measured).toEqual({ low: 60, likely: 60, high: 60 });
    expect(seen).toEqual({ low: 48, likely: 60, high: 72 });
    const [check] = tankWaterEvents(
      tankEvents(tank, garden, [entry(morning(0), { foundLitres: 60, isAtAGlance: true })]),
      0.5,
    );
    expect(check?.kind === 'check' && check.check).toEqual({ method: 'level', share: 0.5 });
  });

  it('with 120 L and 5 L a day gone by its levels lasts 24 days', () => {
    const looks = [0, 2, 4, 6].map((n) => entry(morning(n), { foundLitres: 120 - 5 * n }));
    const filled = entry(morning(6), { foundLitres: 90, addedLitres: 30 });
    const course = courseOf([...looks.slice(0, 3), filled], morning(6));
    expect(course.seenPerDay).toBeCloseTo(5, 9);
    expect(course.litres?.likely).toBeCloseTo(120, 9);
    expect(course.daysToEmpty?.likely).toBeCloseTo(24, 9);
    // its own mark, or a quarter
    expect(course).toMatchObject({ refillLitres: 30, refillOn: addDays('2026-06-26', 18) });
    const marked = tankCourse(
      { ...tank, refillLitres: 60 },
      tankEvents(tank, garden, [filled]),
      5,
      morning(6),
      DEFAULT_ASSUMED,
    );
    expect(marked).toMatchObject({ refillLitres: 60, refillOn: addDays('2026-06-26', 12), topUpLitres: 60 });
  });

  it('goes by what its bags use until levels say otherwise, and says nothing before anybody looked', () => {
    expect(courseOf([], morning(0))).toMatchObject({ litres: undefined, daysToEmpty: undefined, perDay: 9 });
    const once = courseOf([entry(morning(0), { foundLitres: 90 })], morning(2));
    expect(once.seenPerDay).toBeUndefined();
    expect(once.litres?.likely).toBeCloseTo(90 - 18, 9);
    expect(once.litres?.low).toBeLessThan(once.litres?.likely ?? 0);
  });

  it('takes a level for what it is, whatever went in and out in between', () => {
    const entries = [
      entry(morning(0), { foundLitres: 100 }),
      entry(morning(1), { addedLitres: 20 }),
      entry(morning(4), { foundLitres: 100 }),
      entry(morning(5), { isEmptied: true, addedLitres: 120, ecMillisiemens: 2 }),
    ];
    const course = courseOf(entries, morning(5));
    expect(course.seenPerDay).toBeCloseTo(5, 9);
    expect(course.litres?.likely).toBeCloseTo(120, 9);
    expect(course.solution).toMatchObject({ changedOn: '2026-06-25', readings: [{ ecMillisiemens: 2 }] });
  });

  it('that is filled without a word of what was in it was empty, and holds no more than it holds', () => {
    expect(courseOf([entry(morning(0), { addedLitres: 50 })], morning(0)).litres?.likely).toBeCloseTo(50, 9);
    expect(courseOf([entry(morning(0), { addedLitres: 500 })], morning(0)).litres?.likely).toBeCloseTo(
      120,
      9,
    );
    // what ran over between two levels was not drunk
    const over = [
      entry(morning(0), { foundLitres: 100 }),
      entry(morning(1), { addedLitres: 60 }),
      entry(morning(4), { foundLitres: 100 }),
    ];
    expect(courseOf(over, morning(4)).seenPerDay).toBeCloseTo(5, 9);
  });

  it('is shared out whole, and the bigger plants drink more of it', () => {
    const shares = tankShares(tank, garden, live);
    expect([...shares.keys()].sort()).toEqual(bags.map(({ id }) => id).sort());
    expect([...shares.values()].reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
    const litres = bags.map(
      (c) => withTank(c, garden, live).stores?.find(({ kind }) => kind === 'drum')?.litres ?? 0,
    );
    expect(litres.reduce((sum, each) => sum + each, 0)).toBeCloseTo(120, 9);
  });

  it('loses no water between its bags: what goes in is what they hold, used and spilt, to 1e-9 L', () => {
    const share = tankShares(tank, garden, live);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            day: fc.integer({ min: 0, max: 20 }),
            litres: fc.double({ min: 1, max: 150, noNaN: true }),
          }),
          {
            maxLength: 8,
          },
        ),
        (fills) => {
          const entries = [...fills]
            .sort((a, b) => a.day - b.day)
            .map(({ day, litres }) => entry(morning(day), { addedLitres: litres }));
          let balance = 0;
          for (const container of bags) {
            const setting = waterSetting(garden, container, DEMO_EVENING, live);
            const events = tankWaterEvents(tankEvents(tank, garden, entries), share.get(container.id) ?? 0);
            const steps = setting.stepsBetween(events, setting.from, DEMO_EVENING);
            const days = waterBalance(setting.bag, steps, 3, setting.from.slice(0, 10), 1, DEFAULT_ASSUMED);
            const [first, last] = [days[0], days.at(-1)];
            if (!first || !last) throw new Error('a season has days');
            const sum = (of: 'filledLitres' | 'fromStoresLitres' | 'spiltLitres' | 'caughtLitres') =>
              days.reduce((total, day) => total + day[of], 0);
            balance +=
              first.storesStartLitres +
              sum('filledLitres') +
              sum('caughtLitres') -
              sum('fromStoresLitres') -
              sum('spiltLitres') -
              last.storesEndLitres;
          }
          expect(Math.abs(balance)).toBeLessThan(1e-9);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('is one level for all: what is seen at one bag counts at the others, and nowhere else', () => {
    const look = entry('2026-07-16T17:00:00.000+01:00', { foundLitres: 60 });
    const levels = (g: Garden, label: string) => {
      const container = g.containers.find((c) => c.label === label) as Container;
      return bagWater(g, container, DEMO_EVENING).estimate.stores.find(({ kind }) => kind === 'drum')?.likely;
    };
    const seen = { ...garden, entries: [...garden.entries, look] };
    for (const label of LABELS) expect(Math.abs((levels(seen, label) ?? 0) - 0.5)).toBeLessThan(0.07);
    expect(levels(seen, '9')).toBeUndefined();
    const atOne: Entry = {
      kind: 'check',
      id: 'ent_level0001',
      at: look.at,
      recordedAt: look.at,
      containerId: bag.id,
      check: { method: 'level', share: 0.25 },
    };
    const seenAtOne = { ...garden, entries: [...garden.entries, atOne] };
    // at a glance it is a tenth off at the most
    for (const label of LABELS) expect(Math.abs((levels(seenAtOne, label) ?? 0) - 0.25)).toBeLessThan(0.1);
  });

  it('is worked out anew at each of its bags, and at those alone', () => {
    const engine = new GardenEngine(garden);
    const ids = garden.containers.filter((c) => ['5', '8', '9'].includes(c.label)).map(({ id }) => id);
    const versions = () => engine.states(ids, DEMO_EVENING).map(({ version }) => version);
    const [a, b, other] = versions();
    engine.apply({ added: [entry('2026-07-16T17:00:00.000+01:00', { foundLitres: 60 })] });
    const [a2, b2, other2] = versions();
    expect(a2).not.toBe(a);
    expect(b2).not.toBe(b);
    expect(other2).toBe(other);
  });
});
