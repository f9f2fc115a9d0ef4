import type { Draft, Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { demoWith, idOf } from '../../test/gardens.ts';
import { intoLots } from './lots.ts';

const garden = demoWith('7', '12');
const [seven, twelve] = [idOf(garden, '7'), idOf(garden, '12')];
const stored = (containerId: string, more: Partial<Draft<'picking'>> = {}): Draft<'picking'> => ({
  kind: 'picking',
  at: '2026-07-16T18:00:00.000+01:00',
  containerId,
  count: 3,
  stage: 'green',
  use: 'stored',
  ...more,
});
const lotsOf = (drafts: readonly Draft[], live: readonly Entry[] = garden.entries) =>
  intoLots(drafts, garden, live).map((d) => (d.kind === 'picking' ? d.lotId : undefined));

describe('what is picked to be stored', () => {
  it('goes into one lot with what is of the same day, kind and ripeness', () => {
    const lots = lotsOf([
      stored(seven),
      stored(seven),
      stored(seven, { stage: 'blush' }),
      stored(twelve),
      stored(seven, { at: '2026-07-17T08:00:00.000+01:00' }),
    ]);
    expect(lots[0]).toMatch(/^lot_[0-9A-Za-z]{6,}$/);
    expect(lots[1]).toBe(lots[0]);
    expect(new Set(lots).size).toBe(4);
  });

  it('joins a lot that is there already, and keeps one that it names', () => {
    const before = {
      ...stored(seven, { lotId: 'lot_before01' }),
      id: 'ent_before01',
      recordedAt: '',
    } as Entry;
    expect(lotsOf([stored(seven)], [...garden.entries, before])).toEqual(['lot_before01']);
    expect(lotsOf([stored(seven, { lotId: 'lot_named001' })])).toEqual(['lot_named001']);
  });

  it('is all that is touched: other drafts are handed on as they are', () => {
    const drafts: Draft[] = [stored(seven, { use: 'eaten' }), { kind: 'note', at: '', text: 'x' }];
    expect(intoLots(drafts, garden, garden.entries)).toBe(drafts);
  });
});
