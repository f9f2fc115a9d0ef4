import { describe, expect, it } from 'vitest';
import { FAULT_WORDS, LEVELS, levelShare, checkWords } from '../../text/check-text.ts';
import { dripWords } from '../../text/water-text.ts';
import { unitFormatIn } from '../../store/index.ts';
import { gaugeOf, gaugesWith, readingCheck } from '../../ui/gauges.ts';

const metric = unitFormatIn('metric');
const plain = (text: string) => text.replace(/\s/g, ' ');

describe('the gauges of a bag', () => {
  const scale = { kind: 'scale' as const, deviceId: 'scale-a' };
  const probe = { kind: 'probe' as const, fullReading: 80 };

  it('one of a kind: a change takes the place of the old one and leaves the other', () => {
    const next = gaugesWith({ gauges: [scale, probe] }, { ...probe, dryReading: 20 });
    expect(next).toEqual([scale, { ...probe, dryReading: 20 }]);
    expect(gaugeOf({ gauges: next }, 'probe')?.dryReading).toBe(20);
    expect(gaugeOf({}, 'scale')).toBeUndefined();
  });

  it('a reading becomes a look of its kind, with the device that gave it', () => {
    expect(readingCheck('scale', 17.2, 'scale-a')).toEqual({
      method: 'scale',
      kilograms: 17.2,
      deviceId: 'scale-a',
    });
    expect(readingCheck('probe', 41, 'probe-a')).toEqual({
      method: 'probe',
      reading: 41,
      deviceId: 'probe-a',
    });
  });
});

describe('looks in words', () => {
  it.each([
    [{ method: 'finger', grade: 3 }, 'barely damp'],
    [{ method: 'lift', grade: 1 }, 'light when lifted'],
    [{ method: 'level', share: 0.25 }, 'a quarter full'],
    [{ method: 'wilted' }, 'wilted'],
    [{ method: 'scale', kilograms: 8.4 }, '8.4 kg on the scale'],
    [{ method: 'probe', reading: 41.26 }, '41.3 on the probe'],
  ] as const)('%o: %s', (check, words) => {
    expect(plain(checkWords(check, metric))).toBe(words);
  });

  it('levels go from empty to full in even steps', () => {
    expect(LEVELS.map((_, i) => levelShare(i + 1))).toEqual([0, 0.25, 0.5, 0.75, 1]);
  });

  it('every fault has a sentence', () => {
    for (const words of Object.values(FAULT_WORDS)) expect(words).toMatch(/\.$/);
  });

  it('a drip: how long, how often, on which days, how much', () => {
    const setting = { emitters: 2, litresPerHourEach: 2, minutes: 15, timesADay: 3, weekdays: [1, 3] };
    expect(plain(dripWords(setting, metric))).toBe('15 min 3 times on Mon, Wed, about 3 L');
  });
});
