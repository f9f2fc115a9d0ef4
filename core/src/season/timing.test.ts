import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../calendar/index.ts';
import { defaultNormals, type KnownDay } from '../climate/index.ts';
import { normalBelow } from '../statistics/index.ts';
import { CROPS, cropOf, type StagesSeen } from '../plants/index.ts';
import { datesFrom, plantingWindow, secondCrop, type Cover, type TimingPlace } from './windows.ts';
import { frostChance, frostYear, growingYearOf } from './frost.ts';
import { hardeningPlan, coldNightAdvice } from './hardening.ts';
import { timingPracticeOf } from './practices.ts';

const site = { latitudeDegrees: 51, normals: defaultNormals(51) };
const own = { last: '04-25', first: '10-20' };
const frost = frostYear(site, own, [], '2026-06-01', DEFAULT_ASSUMED);
const place = (cover: Cover, practiceId = 'two-weeks'): TimingPlace => ({
  cover,
  frost,
  site,
  practice: timingPracticeOf(practiceId),
});
const tomato = cropOf('tomato');
const habitsOf = (id: string) => cropOf(id).habits[0] as (typeof tomato.habits)[number];
const opened = (window: ReturnType<typeof plantingWindow>) => {
  if (window.kind !== 'open') throw new Error(`no season: ${window.why}`);
  return window;
};

describe('frost', () => {
  it("the normal distribution's share against published values", () => {
    expect(normalBelow(0)).toBeCloseTo(0.5, 6);
    expect(normalBelow(1)).toBeCloseTo(0.841345, 5);
    expect(normalBelow(-1.96)).toBeCloseTo(0.024998, 5);
  });

  it("by the grower's own dates is as likely as not on the date, and one in six ten days on", () => {
    expect(frost).toMatchObject({
      sources: { last: 'own', first: 'own' },
      last: '2026-04-25',
      first: '2026-10-20',
    });
    expect(frostChance(frost, '2026-04-25')).toBeCloseTo(0.5, 6);
    expect(frostChance(frost, '2026-05-05')).toBeCloseTo(0.1587, 3);
    expect(frostChance(frost, '2026-10-10')).toBeCloseTo(0.1587, 3);
  });

  it('falls all spring and rises all autumn, whatever it comes from', () => {
    for (const year of [frost, frostYear(site, undefined, [], '2026-06-01', DEFAULT_ASSUMED)]) {
      for (let i = 1; i < 181; i++)
        expect(year.chance[i]).toBeLessThanOrEqual((year.chance[i - 1] as number) + 1e-9);
      for (let i = 184; i < 365; i++)
        expect(year.chance[i]).toBeGreaterThanOrEqual((year.chance[i - 1] as number) - 1e-9);
    }
  });

  it('by normals at 51° north is a spring and an autumn', () => {
    const year = frostYear(site, undefined, [], '2026-06-01', DEFAULT_ASSUMED);
    expect(year.sources).toEqual({ last: 'normals', first: 'normals' });
    expect(daysBetween('2026-03-15', year.last ?? '')).toBeGreaterThan(0);
    expect(daysBetween(year.last ?? '', '2026-06-01')).toBeGreaterThan(0);
    expect(daysBetween('2026-09-15', year.first ?? '')).toBeGreaterThan(0);
  });

  it('by years that were read takes their dates, once there are three', () => {
    const yearOf = (year: number, last: string, first: string): KnownDay[] =>
      Array.from({ length: 365 }, (_, i) => {
        const day = addDays(`${year}-01-01`, i);
        const isFrost = day <= `${year}-${last}` || day >= `${year}-${first}`;
        return { day, minCelsius: isFrost ? -1 : 8, maxCelsius: 15 };
      });
    const two = [...yearOf(2023, '04-10', '10-30'), ...yearOf(2024, '04-20', '10-20')];
    expect(frostYear(site, undefined, two, '2026-06-01', DEFAULT_ASSUMED).sources.last).toBe('normals');
    const three = [...two, ...yearOf(2025, '04-30', '10-25')];
    const year = frostYear(site, undefined, three, '2026-06-01', DEFAULT_ASSUMED);
    expect(year).toMatchObject({
      sources: { last: 'years', first: 'years' },
      years: 3,
      last: '2026-04-20',
      first: '2026-10-25',
    });
  });

  it('the south grows over the turn of the year', () => {
    expect(growingYearOf('2027-02-01', -38)).toBe('2026-07-01');
    const south = { latitudeDegrees: -38, normals: defaultNormals(-38) };
    const year = frostYear(south, { last: '09-20', first: '05-15' }, [], '2026-12-01', DEFAULT_ASSUMED);
    expect(year).toMatchObject({ last: '2026-09-20', first: '2027-05-15' });
    const window = opened(
      plantingWindow(
        tomato,
        habitsOf('tomato'),
        { ...place('open'), frost: year, site: south },
        DEFAULT_ASSUMED,
      ),
    );
    expect(window.plant.from >= '2026-10-04').toBe(true);
    expect(window.plant.to < '2027-03-01').toBe(true);
  });

  it('the tropics have none', () => {
    const year = frostYear(
      { latitudeDegrees: 10, normals: defaultNormals(10) },
      undefined,
      [],
      '2026-06-01',
      DEFAULT_ASSUMED,
    );
    expect(year.last).toBeUndefined();
    expect(year.first).toBeUndefined();
  });
});

describe('when a crop may be planted', () => {
  it('heated before cold glass, cold glass weeks before outdoors', () => {
    const from = (cover: Cover) =>
      opened(plantingWindow(tomato, habitsOf('tomato'), place(cover), DEFAULT_ASSUMED)).plant.from;
    expect(from('heated') < from('glass')).toBe(true);
    expect(daysBetween(from('glass'), from('open'))).toBe(49);
    expect(daysBetween(from('heated'), from('open'))).toBe(77);
  });

  it('outdoors waits for the frost and the school, and for nights warm enough', () => {
    const window = opened(plantingWindow(tomato, habitsOf('tomato'), place('open'), DEFAULT_ASSUMED));
    expect(window.plant.from >= '2026-05-09').toBe(true);
    const pepper = opened(
      plantingWindow(cropOf('pepper'), habitsOf('pepper'), place('open'), DEFAULT_ASSUMED),
    );
    expect(pepper.plant.from >= window.plant.from).toBe(true);
    expect(pepper.limit).toBe('nights');
  });

  it('a bolder school is never later', () => {
    for (const crop of CROPS) {
      const days = ['early', 'on-date', 'two-weeks'].map((id) => {
        const window = plantingWindow(crop, habitsOf(crop.id), place('open', id), DEFAULT_ASSUMED);
        return window.kind === 'open' ? window.plant.from : '9999';
      });
      expect([...days].sort()).toEqual(days);
    }
  });

  it('counts the latest planting back from the first frost', () => {
    const window = opened(plantingWindow(tomato, habitsOf('tomato'), place('open'), DEFAULT_ASSUMED));
    // 20 October less 70 days to the first fruit, 14 for shortening days, 14 of picking
    expect(window.plant.to).toBe('2026-07-14');
    expect(window.sow).toEqual({
      from: addDays(window.plant.from, -63),
      to: addDays(window.plant.from, -35),
    });
  });

  it('frost dates that leave no season are said so, with what there is and what it takes', () => {
    const short = frostYear(site, { last: '06-10', first: '09-01' }, [], '2026-06-01', DEFAULT_ASSUMED);
    const window = plantingWindow(
      tomato,
      habitsOf('tomato'),
      { ...place('open'), frost: short },
      DEFAULT_ASSUMED,
    );
    expect(window).toEqual({
      kind: 'no-season',
      why: 'too-short',
      has: 69,
      needs: { cropDays: 70, shorteningDays: 14, pickingDays: 14 },
      // green ones are full-sized twenty days before they are ripe
      green: { from: '2026-06-24', to: '2026-06-29' },
    });
  });

  it('nights that never get warm enough are said so', () => {
    const north = { latitudeDegrees: 64, normals: defaultNormals(64) };
    const window = plantingWindow(
      cropOf('aubergine'),
      habitsOf('aubergine'),
      {
        ...place('open'),
        site: north,
      },
      DEFAULT_ASSUMED,
    );
    expect(window).toMatchObject({ kind: 'no-season', why: 'nights-too-cold', needs: 11 });
  });

  it('a bag that is free in July takes an early second crop, one that is free in September does not', () => {
    const bush = tomato.habits.find((h) => h.id === 'bush') as (typeof tomato.habits)[number];
    const july = opened(secondCrop('2026-07-05', tomato, bush, place('open'), DEFAULT_ASSUMED));
    expect(july.plant.from).toBe('2026-07-05');
    expect(secondCrop('2026-09-05', tomato, bush, place('open'), DEFAULT_ASSUMED).kind).toBe('no-season');
  });
});

describe('what follows from a planting day', () => {
  const supportDays = { fromDays: 7, toDays: 21 };
  const from = (day: string, cover: Cover = 'open') =>
    datesFrom(day, tomato, habitsOf('tomato'), place(cover), supportDays, DEFAULT_ASSUMED);

  it('is in order: sow, harden, plant, support, flowers, picking, clear', () => {
    const d = from('2026-05-20');
    const order = [
      d.sow.from,
      d.harden?.from ?? '',
      d.plantOn,
      d.firstFlowers.to,
      d.firstPicking.to,
      d.clear,
    ];
    expect([...order].sort()).toEqual(order);
    expect(d).toMatchObject({ standing: 'in', support: { from: '2026-05-27', to: '2026-06-10' } });
    expect(d.picking.from).toBe('2026-07-29');
  });

  it('says how likely frost still is, outdoors only', () => {
    expect(from('2026-04-20').frostChance).toBeGreaterThan(0.5);
    expect(from('2026-04-20').standing).toBe('early');
    expect(from('2026-04-20', 'glass').frostChance).toBe(0);
    expect(from('2026-08-20').standing).toBe('late');
  });

  it('a later planting never means an earlier picking or more frost in spring', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 40 }), (at, later) => {
        const a = from(addDays('2026-03-01', at));
        const b = from(addDays('2026-03-01', at + later));
        expect(b.firstPicking.from > a.firstPicking.from).toBe(true);
        expect(b.frostChance).toBeLessThanOrEqual(a.frostChance + 1e-9);
      }),
    );
  });
});

describe('a window', () => {
  const habit = habitsOf('tomato');
  const windowOf = (days: number) =>
    opened(
      plantingWindow(
        tomato,
        { ...habit, daysToPicking: { ...habit.daysToPicking, value: days } },
        place('open'),
        DEFAULT_ASSUMED,
      ),
    );

  it('moves day for day with the days to crop of its variety', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 70 }), fc.integer({ min: 1, max: 15 }), (days, more) => {
        const [sooner, later] = [windowOf(days), windowOf(days + more)];
        expect(daysBetween(later.plant.to, sooner.plant.to)).toBe(more);
        expect(daysBetween(later.latestForGreen, sooner.latestForGreen)).toBe(more);
        expect(later.plant.from).toBe(sooner.plant.from);
        expect(later.needs.cropDays).toBe(days + more);
      }),
    );
  });

  it('ends later for green fruit, and sooner for seed sown in place', () => {
    const { plant, latestForGreen, sowInPlace } = windowOf(60);
    expect(latestForGreen > plant.to).toBe(true);
    expect(daysBetween(sowInPlace?.to ?? '', plant.to)).toBe(49);
  });
});

describe('what was seen', () => {
  const supportDays = { fromDays: 0, toDays: 0 };
  const withStages = (seen: StagesSeen['seen'], notYet: StagesSeen['notYet'] = {}) =>
    datesFrom('2026-05-20', tomato, habitsOf('tomato'), place('open'), supportDays, DEFAULT_ASSUMED, {
      stages: { seen, notYet },
    });
  const reckoned = withStages({});

  it('moves all that follows with it', () => {
    const late = withStages({ set: '2026-07-20' });
    expect(late.firstPicking.from > reckoned.firstPicking.from).toBe(true);
    expect(daysBetween('2026-07-20', late.picking.from)).toBe(40);
    expect(withStages({ flowers: '2026-06-30' }).firstFlowers).toEqual({
      from: '2026-06-30',
      to: '2026-06-30',
    });
    expect(withStages({ ripe: '2026-07-12' }).picking.from).toBe('2026-07-12');
  });

  it('goes by the days from set to ripe that are known of the variety', () => {
    const known = datesFrom(
      '2026-05-20',
      tomato,
      habitsOf('tomato'),
      place('open'),
      supportDays,
      DEFAULT_ASSUMED,
      { stages: { seen: { set: '2026-07-01' }, notYet: {} }, setToRipe: { low: 50, high: 60 } },
    );
    expect(known.firstPicking).toEqual({ from: '2026-08-20', to: '2026-08-30' });
    expect(known.picking.from).toBe('2026-08-25');
    expect(known.lastSet < reckoned.lastSet).toBe(true);
  });

  it('and not seen yet comes later than it was looked for', () => {
    const looked = '2026-08-20';
    const { firstPicking, picking } = withStages({}, { ripe: looked });
    expect(firstPicking.from > looked).toBe(true);
    expect(picking.from > looked).toBe(true);
  });

  it('as the last of a flush frees the bag', () => {
    expect(withStages({ ripe: '2026-07-20', 'last-flush': '2026-08-10' }).clear).toBe('2026-08-20');
  });

  it('leaves a day after which nothing that sets is of use', () => {
    expect(daysBetween(reckoned.lastSet, '2026-10-20')).toBe(40 + DEFAULT_ASSUMED.shorteningDays);
  });

  it('is counted from sowing where seed is sown in place', () => {
    const sown = datesFrom(
      '2026-05-20',
      tomato,
      habitsOf('tomato'),
      place('open'),
      supportDays,
      DEFAULT_ASSUMED,
      { isSown: true },
    );
    expect(sown.sow).toEqual({ from: '2026-05-20', to: '2026-05-20' });
    expect(sown.harden).toBeUndefined();
    expect(daysBetween(reckoned.firstPicking.from, sown.firstPicking.from)).toBe(49);
  });
});

describe('one frost date', () => {
  const with_ = (dates: { last?: string; first?: string }) =>
    frostYear(site, dates, [], '2026-06-01', DEFAULT_ASSUMED);
  const none = frostYear(site, undefined, [], '2026-06-01', DEFAULT_ASSUMED);

  it('is enough: the other half of the year is worked out as without it', () => {
    const last = with_({ last: '05-09' });
    expect(last).toMatchObject({
      last: '2026-05-09',
      first: none.first,
      sources: { last: 'own', first: 'normals' },
    });
    expect(last.chance.slice(182)).toEqual(none.chance.slice(182));
    const first = with_({ first: '10-01' });
    expect(first).toMatchObject({
      last: none.last,
      first: '2026-10-01',
      sources: { last: 'normals', first: 'own' },
    });
    expect(first.chance.slice(0, 182)).toEqual(none.chance.slice(0, 182));
  });
});

describe('hardening off', () => {
  const warm = () => ({ minCelsius: 11, maxCelsius: 19, isKnown: false });

  it('takes its ten days when nights are mild, and ends outdoors', () => {
    const plan = hardeningPlan('2026-05-10', tomato, warm, 10);
    expect(plan).toHaveLength(10);
    expect(plan[0]).toMatchObject({ hoursOutside: 2, isShaded: true, staysOutOvernight: false });
    expect(plan.at(-1)).toMatchObject({ staysOutOvernight: true, hoursOutside: 24 });
    const hours = plan.map((d) => d.hoursOutside);
    expect([...hours].sort((a, b) => a - b)).toEqual(hours);
  });

  it('a cold night brings it in and moves the end by a day', () => {
    const cold = (day: string) =>
      day === '2026-05-19' ? { minCelsius: 3, maxCelsius: 16, isKnown: true } : warm();
    const plan = hardeningPlan('2026-05-10', tomato, cold, 10);
    expect(plan).toHaveLength(11);
    expect(plan.find((d) => d.day === '2026-05-18')).toMatchObject({
      isHeld: true,
      staysOutOvernight: false,
      isKnown: true,
    });
  });

  it('does not run on for ever in a cold spring', () => {
    expect(
      hardeningPlan(
        '2026-03-01',
        tomato,
        () => ({ minCelsius: 0, maxCelsius: 6, isKnown: false }),
        DEFAULT_ASSUMED.hardenDays,
      ).length,
    ).toBe(42);
  });
});

describe('tonight', () => {
  it('outdoors: not into a cold night, and fleece when frost is near', () => {
    expect(coldNightAdvice(6, tomato, 'open', 'not-planted', DEFAULT_ASSUMED)?.kind).toBe('not-tonight');
    expect(coldNightAdvice(9, tomato, 'open', 'not-planted', DEFAULT_ASSUMED)).toBeUndefined();
    expect(coldNightAdvice(6, tomato, 'open', 'settled', DEFAULT_ASSUMED)).toBeUndefined();
    expect(coldNightAdvice(2, tomato, 'open', 'settled', DEFAULT_ASSUMED)?.kind).toBe('fleece');
    // what was planted a few days ago is tender, and a pepper always is
    expect(coldNightAdvice(9, tomato, 'open', 'tender', DEFAULT_ASSUMED)).toMatchObject({
      kind: 'fleece',
      limitCelsius: 10,
    });
    expect(coldNightAdvice(6, cropOf('pepper'), 'open', 'settled', DEFAULT_ASSUMED)?.kind).toBe('fleece');
  });

  it('cold glass never says "not tonight": fleece, and less water', () => {
    for (const min of [-5, 0, 5, 10])
      expect(coldNightAdvice(min, tomato, 'glass', 'not-planted', DEFAULT_ASSUMED)?.kind).not.toBe(
        'not-tonight',
      );
    expect(coldNightAdvice(0, tomato, 'glass', 'settled', DEFAULT_ASSUMED)?.kind).toBe('fleece');
    expect(coldNightAdvice(3, tomato, 'glass', 'settled', DEFAULT_ASSUMED)).toBeUndefined();
  });

  it('heated glass asks nothing', () => {
    expect(coldNightAdvice(-8, tomato, 'heated', 'settled', DEFAULT_ASSUMED)).toBeUndefined();
  });
});
