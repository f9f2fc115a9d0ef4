import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { liveEntries, type Container, type Entry } from '../records/index.ts';
import { whatIf, type BagChange, type WhatIf } from './what-if.ts';

const garden = gannetSlip(3);
const live = liveEntries(garden.entries);
const bagOf = (label: string) => garden.containers.find((c) => c.label === label) as Container;
const BEYOND = 1000;
const hoursOf = (found: WhatIf, kind: BagChange['kind']) => {
  const change = found.changes.find((c) => c.change.kind === kind);
  return change && (change.hours ?? BEYOND);
};

describe('a bag that is watered through, under a change', () => {
  const planted = garden.containers.filter((c) =>
    live.some((e) => e.kind === 'planted' && e.containerId === c.id),
  );

  it.each(planted.map((container) => [container.label, container] as const))(
    'bag %s keeps longer in half shade and in a bigger bag, and no shorter under mulch or over a saucer',
    (_, container) => {
      const found = whatIf(garden, container, DEMO_EVENING, live);
      const asItIs = found.asItIs ?? BEYOND;
      for (const kind of ['shade', 'bigger'] as const) {
        const hours = hoursOf(found, kind);
        if (hours === undefined || asItIs >= BEYOND) continue;
        // on a tank it keeps as long as the tank does, whatever its size
        expect(hours).toBeGreaterThan(container.tankId ? 0.97 * asItIs : asItIs);
      }
      expect(hoursOf(found, 'saucer') ?? BEYOND).toBeGreaterThanOrEqual(asItIs);
    },
  );

  it('is told by what the diary taught of its use: a bag found dry again and again keeps less long', () => {
    const container = bagOf('7');
    const found = (grade: number): Entry[] =>
      [9, 11, 13, 15].map((day) => ({
        id: `ent_found${grade}${day}00`,
        kind: 'check',
        at: `2026-07-${String(day).padStart(2, '0')}T18:00:00.000+01:00`,
        recordedAt: DEMO_EVENING,
        containerId: container.id,
        check: { method: 'finger', grade },
      }));
    const without = live.filter(
      (e) => !(e.kind === 'check' && e.containerId === container.id && e.at > '2026-07-08'),
    );
    const hours = (grade: number) =>
      whatIf(garden, container, DEMO_EVENING, [...without, ...found(grade)]).asItIs ?? BEYOND;
    expect(hours(1)).toBeLessThan(hours(4));
  });

  it('is not told by water that a check has just found and nobody wrote down', () => {
    const container = bagOf('7');
    const wet: Entry = {
      id: 'ent_foundwet001',
      kind: 'check',
      at: '2026-07-16T17:59:00.000+01:00',
      recordedAt: DEMO_EVENING,
      containerId: container.id,
      check: { method: 'finger', grade: 5 },
    };
    const found = whatIf(garden, container, DEMO_EVENING, [...live, wet]);
    expect(found.asItIs ?? BEYOND).toBeGreaterThan(6);
    expect(hoursOf(found, 'shade') ?? BEYOND).toBeGreaterThan(found.asItIs ?? BEYOND);
  });

  it('offers no change that the bag has already', () => {
    const container = bagOf('7');
    const kinds = (g: typeof garden, c: Container) =>
      whatIf(g, c, DEMO_EVENING, live).changes.map((x) => x.change.kind);
    expect(kinds(garden, { ...container, mulchMillimetres: 75 })).not.toContain('mulch');
    expect(kinds(garden, { ...container, stores: [{ kind: 'saucer', litres: 2 }] })).not.toContain('saucer');
    const shaded = { ...garden, places: garden.places.map((p) => ({ ...p, shade: 0.6 })) };
    expect(kinds(shaded, container)).not.toContain('shade');
  });
});
