import type { Entry, EntryOf } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { stationDrafts } from './station.ts';

const day = (name: string, more = {}) => ({
  day: name,
  minCelsius: 9,
  maxCelsius: 21,
  rainMillimetres: 0,
  sunHours: 8,
  ...more,
});
const at = (name: string) => `${name}T20:00:00.000+01:00`;

const noted = (parts: Partial<EntryOf<'weather'>>): Entry => ({
  kind: 'weather',
  id: 'ent_noted001',
  at: at('2026-07-01'),
  recordedAt: at('2026-07-01'),
  day: '2026-07-01',
  source: 'typed',
  ...parts,
});
const TODAY = '2026-07-05';

describe('days from the station', () => {
  it('fill gaps only: what was noted of a day stays as it is', () => {
    const own = noted({ minCelsius: 11, maxCelsius: 24, rainMillimetres: 2 });
    const drafts = stationDrafts([day('2026-07-01'), day('2026-07-02')], [own], TODAY, at);
    expect(drafts).toEqual([
      { kind: 'weather', source: 'station', at: at('2026-07-02'), ...day('2026-07-02') },
    ]);
  });

  it('tell the degrees of a day of which only the rain was noted', () => {
    const [draft] = stationDrafts([day('2026-07-01')], [noted({ rainMillimetres: 12 })], TODAY, at);
    expect(draft).toMatchObject({ minCelsius: 9, maxCelsius: 21 });
    expect(draft).not.toHaveProperty('rainMillimetres');
  });

  it('a day colder at noon than at night is not taken', () => {
    expect(stationDrafts([day('2026-07-03', { minCelsius: 30 })], [], TODAY, at)).toEqual([]);
  });
});
