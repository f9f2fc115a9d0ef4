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

describe('days from the station', () => {
  it('fill gaps only: a day that was noted stays as it is', () => {
    const drafts = stationDrafts([day('2026-07-01'), day('2026-07-02')], new Set(['2026-07-01']), at);
    expect(drafts).toEqual([
      { kind: 'weather', source: 'station', at: at('2026-07-02'), ...day('2026-07-02') },
    ]);
  });

  it('a day colder at noon than at night is not taken', () => {
    expect(stationDrafts([day('2026-07-03', { minCelsius: 30 })], new Set(), at)).toEqual([]);
  });
});
