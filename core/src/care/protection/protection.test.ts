import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import { addDays } from '../../calendar/index.ts';
import type { KnownDay } from '../../climate/index.ts';
import type { Entry, Place } from '../../records/index.ts';
import { weatherAlerts } from './alerts.ts';
import { fruitOutlooks, type FruitingBag } from './outlook.ts';
import { lookOuts } from './pests.ts';
import { dilution, sprayTime, sunTimes } from './sprays.ts';

const TODAY = '2026-06-10';
/** Days ahead from tomorrow on: [min, max] each. */
const ahead = (...days: readonly (readonly [number, number, Partial<KnownDay>?])[]): readonly KnownDay[] =>
  days.map(([minCelsius, maxCelsius, more], i) => ({
    day: addDays(TODAY, i + 1),
    minCelsius,
    maxCelsius,
    ...more,
  }));
const told = (
  days: readonly KnownDay[],
  place: Partial<Place> = {},
  coldCelsius: number | undefined = 10,
): readonly string[] =>
  weatherAlerts(
    { place: { id: 'std_alerts01', cover: 'open', ...place }, coldCelsius },
    days,
    TODAY,
    DEFAULT_ASSUMED,
  ).map((a) => `${a.kind} ${a.from.slice(8)}-${a.to.slice(8)} ${Math.round(a.value)}`);

describe('warnings of weather', () => {
  it.each<readonly [string, readonly KnownDay[], Partial<Place>, readonly string[]]>([
    ['nothing in mild days', ahead([12, 22], [13, 24]), {}, []],
    [
      'frost before cold, and the span of each',
      ahead([1, 15], [-2, 14], [6, 17]),
      {},
      ['frost 11-12 -2', 'cold 13-13 6'],
    ],
    ['under cold glass the night is warmer', ahead([1, 15], [6, 17]), { cover: 'glass' }, ['cold 11-12 4']],
    ['heated glass knows neither', ahead([-5, 8]), { cover: 'heated' }, []],
    ['one hot day', ahead([15, 33], [14, 26]), {}, ['hot 11-11 33', 'swing 11-11 18']],
    [
      'a heat wave is told once, and not as hot days',
      ahead([18, 33], [19, 35], [18, 34]),
      {},
      ['heat-wave 11-13 35'],
    ],
    [
      'by the half of a day that is known',
      ahead([1, 15, { maxCelsius: undefined }], [3, 33, { minCelsius: undefined }]),
      {},
      ['frost 11-11 1', 'hot 12-12 33'],
    ],
    ['wind in the open', ahead([12, 20, { windMetresPerSecond: 14 }]), {}, ['wind 11-11 14']],
    ['and none under glass', ahead([12, 20, { windMetresPerSecond: 14 }]), { cover: 'glass' }, []],
  ])('%s', (_, days, place, expected) => {
    expect(told(days, place)).toEqual(expected);
  });

  it('the night into today is over, and where nothing stands nothing is told', () => {
    expect(told([{ day: TODAY, minCelsius: -3, maxCelsius: 10 }])).toEqual([]);
    const empty = { place: { id: 'std_alerts01', cover: 'open' as const }, coldCelsius: undefined };
    expect(weatherAlerts(empty, ahead([-3, 10]), TODAY, DEFAULT_ASSUMED)).toEqual([]);
  });

  it('a place has its own thresholds, can be put off until a day, or be told nothing', () => {
    const frost = ahead([1, 15]);
    expect(told(frost, { alerts: { frost: { threshold: -1 } } })).toEqual(['cold 11-11 1']);
    expect(told(frost, { alerts: { frost: { snoozedUntil: '2026-06-11' } } })).toEqual([]);
    expect(told(frost, { alerts: { frost: { snoozedUntil: TODAY } } })).toEqual(['frost 11-11 1']);
    expect(told(frost, { alerts: { frost: { isOff: true } } })).toEqual([]);
    // hot days are told by themselves where waves are not wanted
    const wave = ahead([18, 33], [19, 35]);
    expect(told(wave, { alerts: { 'heat-wave': { isOff: true } } })).toEqual(['hot 11-12 35']);
  });
});

describe('flowers and fruit to come', () => {
  const bag: FruitingBag = {
    cropId: 'tomato',
    isFlowering: true,
    hasFruit: true,
    dryOuts: 0,
    leavesOffOn: undefined,
    gainCelsius: 0,
  };
  const kinds = (of: Partial<FruitingBag>, days: readonly KnownDay[]) =>
    fruitOutlooks({ ...bag, ...of }, days, TODAY, DEFAULT_ASSUMED).map(({ kind }) => kind);
  const hot = ahead([18, 34]);
  const cold = ahead([7, 17]);

  it('flowers drop from heat or cold, named before it happens, where the crop sets by pollen and flowers', () => {
    expect(kinds({}, hot)).toEqual(['drop-heat']);
    expect(kinds({}, cold)).toEqual(['drop-cold']);
    expect(kinds({ gainCelsius: 5 }, cold)).toEqual([]);
    expect(kinds({ isFlowering: false }, hot)).toEqual([]);
    expect(kinds({ cropId: 'cucumber' }, hot)).toEqual([]);
  });

  it('blossom-end rot hangs on dry-outs, and scald on leaves that came off before heat', () => {
    expect(kinds({ dryOuts: 2 }, [])).toEqual(['end-rot']);
    expect(kinds({ dryOuts: 1 }, [])).toEqual([]);
    expect(kinds({ leavesOffOn: addDays(TODAY, -3), isFlowering: false }, hot)).toEqual(['scald']);
    expect(kinds({ leavesOffOn: addDays(TODAY, -30), isFlowering: false }, hot)).toEqual([]);
    expect(kinds({ leavesOffOn: addDays(TODAY, -3), isFlowering: false }, cold)).toEqual([]);
  });
});

describe('a time to spray', () => {
  const at = (time: string, sunHours?: number) =>
    sprayTime(`2026-07-16T${time}:00.000+01:00`, { sunHours }, 51, 1, DEFAULT_ASSUMED);

  it.each([
    ['05:30', 'good'],
    ['07:00', 'low-sun'],
    ['13:00', 'sun'],
    ['19:55', 'low-sun'],
    ['20:40', 'good'],
  ])('at %s in July at 51° N it is %s', (time, kind) => {
    expect(at(time).kind).toBe(kind);
  });

  it('an hour before sunset is warned of, with the time from which it is good', () => {
    const { sets } = sunTimes(51, '2026-07-16', 1);
    const early = at('19:55');
    expect(early.kind === 'low-sun' && early.goodFrom).toBeCloseTo(
      sets - DEFAULT_ASSUMED.sunOffBeforeSunset,
      9,
    );
  });

  it('a fully dull day suits at noon too; one that is not known to be dull does not', () => {
    expect(at('13:00', 0.5)).toMatchObject({ kind: 'good', why: 'dull' });
    expect(at('13:00', 6).kind).toBe('sun');
  });

  it('20 mL in 5 L is 4 mL/L; nothing in nothing is refused', () => {
    expect(dilution(20, 5)).toBe(4);
    expect(() => dilution(0, 5)).toThrow(/millilitres/);
    expect(() => dilution(20, 0)).toThrow(/litres/);
  });
});

describe('what is worth looking for', () => {
  const home = 'con_lookout01';
  const seen = (what: string, day: string): Entry => ({
    kind: 'trouble',
    id: `ent_look${day.replaceAll('-', '')}`,
    at: `${day}T12:00:00.000+01:00`,
    recordedAt: `${day}T12:00:00.000+01:00`,
    containerId: home,
    what,
    livesInMix: false,
  });
  const found = (live: readonly Entry[], today: string) =>
    lookOuts([home], live, today, DEFAULT_ASSUMED).map(({ what, why }) => `${what} ${why.kind}`);

  it('begins two weeks before a pest came last year, and ends once it is here or its time is over', () => {
    const last = seen('mites', '2025-07-10');
    expect(found([last], '2026-06-20')).toEqual([]);
    expect(found([last], '2026-06-28')).toEqual(['mites last-year']);
    expect(found([last, seen('mites', '2026-06-27')], '2026-06-28')).toEqual([]);
    expect(found([last], '2026-08-10')).toEqual([]);
    // cold nights come again by the weather and not by the calendar
    expect(found([seen('cold', '2025-07-10')], '2026-06-28')).toEqual([]);
  });

  it('what was seen nearby is looked out for, for three weeks', () => {
    const nearby: Entry = {
      kind: 'warned',
      id: 'ent_nearby001',
      at: '2026-06-20T12:00:00.000+01:00',
      recordedAt: '2026-06-20T12:00:00.000+01:00',
      what: 'blight',
    };
    expect(found([nearby], '2026-06-28')).toEqual(['blight nearby']);
    expect(found([nearby], '2026-07-20')).toEqual([]);
  });
});
