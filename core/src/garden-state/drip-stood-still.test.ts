import { describe, expect, it } from 'vitest';
import type { Entry } from '../records/index.ts';
import { dripOn } from '../water/index.ts';
import { dripsOf, dripStoodStill, stoodStillProblem } from './index.ts';

const NOW = '2026-07-16T09:00:00.000+01:00';
const SETTING = {
  emitters: 2,
  litresPerHourEach: 2,
  minutes: 15,
  timesADay: 2,
  weekdays: [1, 2, 3, 4, 5, 6, 7],
};
const MORE = { ...SETTING, minutes: 30 };
const drip = (id: string, at: string, setting?: typeof SETTING): Entry => ({
  ...{ kind: 'drip', id, at, recordedAt: at, containerId: 'con_drip01' },
  ...(setting ? { setting } : {}),
});
const LIVE = [
  drip('ent_set001', '2026-06-01T10:00:00.000+01:00', SETTING),
  drip('ent_set002', '2026-07-13T19:00:00.000+01:00', MORE),
];
/** What dripped on each day, once it is put down. */
function minutesOn(still: Parameters<typeof dripStoodStill>[1], days: readonly string[], live = LIVE) {
  const drafts = dripStoodStill(['con_drip01', 'con_none01'], still, live, NOW);
  const made = drafts.map((draft, i) => ({ ...draft, id: `ent_new00${i}`, recordedAt: NOW }) as Entry);
  const all = [...live, ...made].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const spells = dripsOf('con_drip01', all, 0.1);
  return days.map((day) => dripOn(spells, day)?.setting?.minutes);
}

describe('a drip that stood still', () => {
  it('gave nothing from a day on, and from another on what it had been set to', () => {
    const still = { from: '2026-07-03', until: '2026-07-06' };
    const days = ['2026-07-02', '2026-07-03', '2026-07-05', '2026-07-06', '2026-07-13'];
    expect(minutesOn(still, days)).toEqual([15, undefined, undefined, 15, 30]);
  });

  it('that was set anew meanwhile runs as it was set then', () => {
    const still = { from: '2026-07-12', until: '2026-07-15' };
    expect(minutesOn(still, ['2026-07-11', '2026-07-12', '2026-07-15'])).toEqual([15, undefined, 30]);
    // on the day itself the last word counts
    expect(minutesOn({ from: '2026-07-13', until: '2026-07-14' }, ['2026-07-13', '2026-07-14'])).toEqual([
      undefined,
      30,
    ]);
  });

  it('that was turned off meanwhile stays off', () => {
    const live = [...LIVE.slice(0, 1), drip('ent_off001', '2026-07-05T19:00:00.000+01:00')];
    const still = { from: '2026-07-03', until: '2026-07-08' };
    expect(minutesOn(still, ['2026-07-02', '2026-07-04', '2026-07-09'], live)).toEqual([
      15,
      undefined,
      undefined,
    ]);
  });

  it('and still does has no end, is put down no later than now, and says nothing of a bag that had none', () => {
    const still = { from: '2026-07-16', until: undefined };
    expect(dripStoodStill(['con_drip01', 'con_none01'], still, LIVE, NOW)).toEqual([
      { kind: 'drip', containerId: 'con_drip01', at: NOW },
    ]);
    expect(minutesOn({ from: '2026-05-01', until: '2026-05-03' }, ['2026-05-02', '2026-06-02'])).toEqual([
      undefined,
      15,
    ]);
  });

  it('did so in days that have been, one after another', () => {
    const problem = (from: string, until?: string) => stoodStillProblem({ from, until }, '2026-07-16');
    expect(problem('2026-07-03', '2026-07-06')).toBeUndefined();
    expect(problem('2026-07-03')).toBeUndefined();
    expect(problem('2026-07-17')).toMatch(/still to come/);
    expect(problem('2026-07-03', '2026-07-17')).toMatch(/still to come/);
    expect(problem('2026-07-03', '2026-07-03')).toMatch(/on a later day/);
  });
});
