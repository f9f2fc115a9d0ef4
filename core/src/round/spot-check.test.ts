import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { DEFAULT_ASSUMED, resolveAssumed, type Assumed } from '../assumed/index.ts';
import { bagWater } from '../garden-state/index.ts';
import { liveEntries } from '../records/index.ts';
import { planRound, spotCheck } from './index.ts';

const garden = gannetSlip(7);
const live = liveEntries(garden.entries);
const waters = garden.containers.map((c) => bagWater(garden, c, DEMO_EVENING, live));
const byId = new Map(waters.map((w) => [w.containerId, w]));
const never = waters.map((w) => ({ ...w, hasBeenChecked: false }));
// everything is due: the hardest choice
const { stops } = planRound(never, garden.containers, garden.places);
const checked = stops.map((stop) => ({
  ...stop,
  reason: { kind: 'may-be-dry', chanceNow: 0.2, chanceNextRound: 0.4 } as const,
}));
const check = (minutes: number) => spotCheck(checked, byId, garden.containers, minutes, DEFAULT_ASSUMED);
const riskOf = (id: string) => byId.get(id)?.ahead.rounds[1]?.chanceDry ?? 1;

describe('when time is short', () => {
  it('more time is never fewer stops, and enough time is all of them', () => {
    const counts = [1, 5, 10, 20, 200].map((minutes) => check(minutes).length);
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    expect(counts[0]).toBe(1);
    expect(counts.at(-1)).toBe(stops.length);
  });

  it('keeps the order of the walk', () => {
    const order = check(12).map((stop) => stops.findIndex((s) => s.containerId === stop.containerId));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });

  it('takes the bags likeliest to go dry: their mean risk is above that of what is left', () => {
    const chosen = new Set(check(8).map((stop) => stop.containerId));
    const mean = (ids: readonly string[]) => ids.reduce((sum, id) => sum + riskOf(id), 0) / ids.length;
    const left = stops.map((s) => s.containerId).filter((id) => !chosen.has(id));
    expect(mean([...chosen])).toBeGreaterThan(mean(left));
  });

  it('stays within the time, the ways between stands included, but for the one stop that is always made', () => {
    const placeOf = new Map(garden.containers.map((c) => [c.id, c.placeId]));
    for (const minutes of [4, 8, 15]) {
      const chosen = check(minutes);
      const places = new Set(chosen.map((stop) => placeOf.get(stop.containerId))).size;
      const spent = chosen.reduce((sum, stop) => sum + stop.minutes, 0) + places;
      expect(spent).toBeLessThanOrEqual(minutes + 1e-9);
    }
  });

  it('goes by how long things take the grower', () => {
    const slow = resolveAssumed({ checkMinutes: 2, wateringMinutes: 5, walkMinutes: 5 });
    const made = (assumed: Assumed) => spotCheck(checked, byId, garden.containers, 20, assumed);
    expect(made(slow).length).toBeLessThan(made(resolveAssumed()).length);
    for (const stop of made(slow)) expect(stop.minutes).toBeGreaterThanOrEqual(2);
  });

  it('takes a bag that nobody has looked at for as good as at risk', () => {
    const unknown = spotCheck(stops, byId, garden.containers, 200, DEFAULT_ASSUMED);
    for (const stop of unknown) expect(stop.risk).toBeGreaterThanOrEqual(0.5);
  });
});
