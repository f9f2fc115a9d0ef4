import { deriveBag } from '@rundel/core/garden-state';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { foundWords } from '../../text/check-text.ts';
import { plantWords } from '../../text/plant-text.ts';
import { bagOf } from '../../store/bags.ts';
import { unitFormatIn } from '../../store/unit-format.ts';
import { statusOf } from '@rundel/core/garden-state';
import type { Walk } from '../../store/index.ts';

const garden = gannetSlip(3);
const container = garden.containers.find(
  (c) => c.stations.length === 3,
) as (typeof garden.containers)[number];
const [left, middle] = container.stations.map(({ id }) => id);
const walk: Walk = { startedAt: DEMO_EVENING, containerIds: [container.id] };
const can = { kind: 'can', litres: 9 } as const;

const at = (minute: number) => ({
  at: `2026-07-16T18:${String(minute).padStart(2, '0')}:00.000+01:00`,
  recordedAt: DEMO_EVENING,
  containerId: container.id,
});
/** A check by finger at a plant, or at the whole bag. */
const felt = (grade: number, stationId: string | undefined, minute: number): Entry => ({
  ...at(minute),
  id: `ent_felt${minute}`,
  kind: 'check',
  check: { method: 'finger', grade },
  ...(stationId ? { stationId } : {}),
});
const watering = (minute: number): Entry => ({
  ...at(minute),
  id: `ent_drink${minute}`,
  kind: 'watering',
  litres: 6,
  isMeasured: true,
  ranThrough: true,
});
const leftOut = (minute: number): Entry => ({
  ...at(minute),
  id: `ent_left${minute}`,
  kind: 'skipped',
  reason: 'no-time',
});

function statusAfter(more: readonly Entry[]) {
  const live = liveEntries([...garden.entries, ...more]);
  const state = deriveBag({ ...garden, entries: [...live] }, container, at(40).at);
  const bag = bagOf(container, garden, live, state);
  return { status: statusOf(bag, walk, live, can), bag };
}

describe('a stop at a bag of several plants', () => {
  it('goes by its driest plant, whichever was felt last', () => {
    for (const checks of [
      [felt(2, left, 2), felt(5, middle, 3)],
      [felt(5, middle, 2), felt(2, left, 3)],
    ]) {
      const { status } = statusAfter(checks);
      expect(status).toMatchObject({
        kind: 'watering',
        check: { stationId: left },
        advice: { because: 'felt-dry' },
      });
      expect('checks' in status && status.checks).toHaveLength(2);
    }
  });

  it('forgets what single plants felt like once the whole bag was felt', () => {
    const { status } = statusAfter([felt(1, left, 2), felt(5, undefined, 3)]);
    expect('checks' in status && status.checks.map((l) => l.id)).toEqual(['ent_felt3']);
  });

  it('is done with the drink that followed, also when another plant is felt after it', () => {
    const given = [felt(2, left, 2), watering(3)];
    expect(statusAfter(given).status).toMatchObject({ kind: 'done', wateredLitres: 6 });
    expect(statusAfter([...given, felt(4, middle, 4)]).status).toMatchObject({
      kind: 'done',
      wateredLitres: 6,
    });
  });

  it('is open again when a drier plant is found after it was left for later', () => {
    const moist = [felt(4, middle, 2), leftOut(3)];
    expect(['done', 'skipped']).toContain(statusAfter(moist).status.kind);
    expect(statusAfter([...moist, felt(1, left, 4)]).status.kind).toBe('watering');
  });

  it('says what was found plant by plant, by their names', () => {
    const { status, bag } = statusAfter([felt(2, left, 2), felt(5, middle, 3)]);
    const checks = 'checks' in status ? status.checks : [];
    const unitFormat = unitFormatIn('metric');
    expect(foundWords(checks, bag.occupants, unitFormat)).toBe('dry at Ada, wet at Bet');
    expect(foundWords(checks.slice(0, 1), [], unitFormat)).toBe('dry at one plant');
    expect(plantWords(middle ?? '', bag.occupants)).toBe('Bet');
  });
});
