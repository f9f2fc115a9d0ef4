import { describe, expect, it } from 'vitest';
import type { Entry } from '../records/index.ts';
import { done, NOW, read } from '../../test/command-line.ts';
import { inPlaceOfLast } from './index.ts';

const entry = (id: string, day: string, facts: object): Entry =>
  ({ id, at: `${day}T08:00:00.000+01:00`, recordedAt: `${day}T08:00:00.000+01:00`, ...facts }) as Entry;
const check = (id: string, day: string, containerId: string, grade: number, more: object = {}) =>
  entry(id, day, { kind: 'check', containerId, check: { method: 'finger', grade }, ...more });
const SEVEN = 'con_7xxxxx';
const LIVE = [
  check('ent_early1', '2026-06-01', SEVEN, 3),
  check('ent_wrong1', '2026-07-10', SEVEN, 2, { note: 'crusty', who: 'Bo', photoIds: ['pho_seven01'] }),
  check('ent_other1', '2026-07-11', 'con_12xxxx', 2),
  entry('ent_water1', '2026-07-15', {
    ...{ kind: 'watering', containerId: SEVEN, litres: 9, isMeasured: true, ranThrough: true },
    ...{ measureId: 'mea_can001', asEntered: '1 can' },
  }),
  entry('ent_flower', '2026-07-12', { kind: 'stage', containerId: SEVEN, stage: 'flowers' }),
  entry('ent_set001', '2026-07-14', { kind: 'stage', containerId: SEVEN, stage: 'set' }),
  entry('ent_rain01', '2026-07-16', { kind: 'weather', day: '2026-07-15', rainMillimetres: 4 }),
];
const putRight = (line: string) => {
  const found = inPlaceOfLast(done(line), LIVE, NOW);
  return 'problem' in found ? found.problem : found.drafts;
};

describe('what was put down before, put right by a line', () => {
  it('stands in place of the last of its kind at that bag, when that was, with what was beside it', () => {
    expect(putRight('actually 7 was moist')).toEqual([
      {
        ...{ kind: 'check', containerId: SEVEN, check: { method: 'finger', grade: 4 } },
        ...{ note: 'crusty', who: 'Bo', photoIds: ['pho_seven01'] },
        ...{ at: '2026-07-10T08:00:00.000+01:00', replaces: 'ent_wrong1' },
      },
    ]);
  });

  it('takes nothing of the amount that was wrong', () => {
    const [watering] = putRight('no, watered 7 2 L') as readonly object[];
    expect(watering).toMatchObject({ litres: 2, replaces: 'ent_water1', ranThrough: false });
    expect(watering).not.toHaveProperty('measureId');
  });

  it('of when it is said to have been, and of a day’s weather, is of that', () => {
    expect(putRight('sorry, watered 7 1 can yesterday evening')).toMatchObject([
      { at: '2026-07-15T18:00:00.000+01:00', replaces: 'ent_water1' },
    ]);
    expect(putRight('correction: rain 7 mm yesterday')).toMatchObject([{ replaces: 'ent_rain01' }]);
  });

  it('is of that stage and not of the last that was seen', () => {
    expect(putRight('no, no flowers on 7 yet')).toMatchObject([
      { stage: 'flowers', isNotYet: true, replaces: 'ent_flower' },
    ]);
  });

  it.each(['actually 3 was moist', 'actually 7 is light on Monday', 'actually picked 450 g from 7'])(
    '%s: there is nothing to put right',
    (line) => {
      expect(putRight(line)).toMatch(/^Nothing of the kind was put down there lately/);
    },
  );

  it('is none where a line only begins like one', () => {
    expect(read('no ripe fruit on 7 yet')).toMatchObject({ commands: [{ kind: 'stage' }] });
    expect(read('no ripe fruit on 7 yet')).not.toMatchObject({ commands: [{ isCorrection: true }] });
    expect(read('actually it rained').kind).not.toBe('command');
  });
});
