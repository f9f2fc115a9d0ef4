import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { chanceFrom } from '../../hidden/index.ts';
import { ASSUMPTIONS, DEFAULT_ASSUMED } from '../assumed/index.ts';
import { liveEntries, type Entry } from '../records/index.ts';
import type { MoistureCheck, Move } from '../water/index.ts';
import { bagWater } from './bag-state.ts';
import { FilterMemory } from './filter-memory.ts';
import { learnProbe } from './probe.ts';

const TAW = 8;
const chance = chanceFrom(11);

/** Readings that lie off what was expected by the probe's noise and by what was not known of the bag. */
function readings(count: number, noise: number, unknown: number) {
  const here: Entry[] = [];
  const checks = new Map<string, MoistureCheck>();
  const moves: Move[] = [];
  for (let i = 0; i < count; i++) {
    const id = `ent_probe${i}`;
    const share = 0.5 + noise * chance.normal() + unknown * chance.normal();
    here.push({
      id,
      kind: 'check',
      at: DEMO_EVENING,
      recordedAt: DEMO_EVENING,
      containerId: 'con_probe01',
      check: { method: 'probe', reading: share * 100 },
    });
    checks.set(id, { method: 'reading', share, sd: 0.12 });
    moves.push({
      entryId: id,
      at: DEMO_EVENING,
      kind: 'check',
      beforeLitres: 0.5 * TAW,
      afterLitres: 0.5 * TAW,
      beforeSdLitres: unknown * TAW,
    });
  }
  return { here, checks, moves };
}
const learn = ({ here, checks, moves }: ReturnType<typeof readings>) =>
  learnProbe(here, checks, moves, TAW, DEFAULT_ASSUMED);

describe('what a probe is off', () => {
  it('is what is assumed while it has not been read', () => {
    expect(learn(readings(0, 0.1, 0.1))).toEqual({ noise: DEFAULT_ASSUMED.probeNoise, readings: 0 });
  });

  it.each([0.06, 0.12, 0.2])('is found from many readings, whatever was unknown: %d', (noise) => {
    for (const unknown of [0.03, 0.15])
      expect(Math.abs(learn(readings(600, noise, unknown)).noise - noise)).toBeLessThan(0.025);
  });

  it('moves little for few readings, and stays within its range', () => {
    expect(learn(readings(2, 0.2, 0)).noise).toBeLessThan(0.18);
    expect(learn(readings(400, 0, 0)).noise).toBe(ASSUMPTIONS.probeNoise.low);
    expect(learn(readings(400, 0.9, 0)).noise).toBe(ASSUMPTIONS.probeNoise.high);
  });

  it('is not learnt from other looks', () => {
    const { here, checks, moves } = readings(50, 0.2, 0);
    const felt = here.map((e) => ({ ...e, check: { method: 'finger', grade: 3 } }) as Entry);
    expect(learn({ here: felt, checks, moves }).readings).toBe(0);
  });
});

describe('a bag with a probe', () => {
  const garden = gannetSlip(3);
  const container = garden.containers.find((c) => c.label === '9') ?? garden.containers[0];
  if (!container) throw new Error('the demo has bags');
  const paired = { ...container, gauges: [{ kind: 'probe' as const, fullReading: 80, dryReading: 20 }] };
  const live = liveEntries(garden.entries);
  const wild = (count: number): Entry[] =>
    Array.from({ length: count }, (_, i) => {
      const at = `2026-07-${String(2 + Math.floor(i / 2)).padStart(2, '0')}T${i % 2 === 0 ? '09' : '15'}:00:00.000+01:00`;
      // up and down over half of its span: it feels one place in the bag
      const reading = i % 2 === 0 ? 70 + chance.next() : 38 + chance.next();
      return {
        id: `ent_wild${String(i).padStart(3, '0')}`,
        kind: 'check',
        at,
        recordedAt: at,
        containerId: paired.id,
        check: { method: 'probe', reading },
      };
    });
  const at = (entries: readonly Entry[], memory?: FilterMemory) =>
    bagWater(garden, paired, DEMO_EVENING, liveEntries([...live, ...entries]), memory);

  it('that jumps about trusts it less and says so; one without readings says nothing', () => {
    const { probe } = at(wild(24));
    expect(probe?.readings).toBe(24);
    expect(probe?.noise).toBeGreaterThan(DEFAULT_ASSUMED.probeNoise);
    expect(at([]).probe).toBeUndefined();
  });

  it('comes out the same with a memory and without, as readings come in', () => {
    const memory = new FilterMemory();
    for (const count of [6, 12, 18, 24]) expect(at(wildOf(count), memory)).toEqual(at(wildOf(count)));
  });

  const attachment = wild(24);
  const wildOf = (count: number) => attachment.slice(0, count);
});
