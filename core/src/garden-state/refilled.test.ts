import { expect, it } from 'vitest';
import { liveEntries, type Container, type Entry } from '../records/index.ts';
import { mixesBack } from './refilled.ts';

const at = (day: number) => `2026-04-${String(day).padStart(2, '0')}T12:00:00.000+01:00`;
const bag = { id: 'con_aaaaaa', mixId: 'coir' } as Container;
const LAYERS = [
  { mixId: 'bark', share: 0.4 },
  { mixId: 'bought', share: 0.6 },
];
const filling = (id: string, day: number, mixId: string, mixBefore?: object): Entry =>
  ({
    kind: 'filled',
    id: `ent_fill00${id}`,
    at: at(day),
    recordedAt: at(20),
    containerId: bag.id,
    layers: [{ mixId, litres: 40 }],
    keptLitres: 0,
    amendments: [],
    ...(mixBefore ? { mixBefore } : {}),
  }) as Entry;
const removed = (id: string): Entry => ({
  kind: 'removed',
  id: `ent_gone00${id}`,
  at: at(21),
  recordedAt: at(21),
  removes: `ent_fill00${id}`,
});
const back = (container: Container, entries: readonly Entry[], gone: string) => [
  ...mixesBack([container], liveEntries(entries), liveEntries([...entries, removed(gone)])),
];
const last = filling('2', 9, 'coir', { mixId: 'bought', layers: LAYERS });

it('a bag whose filling is taken away holds what it held, layers and all', () => {
  expect(back(bag, [filling('1', 5, 'bought'), last], '2')).toEqual([
    [bag.id, { mixId: 'bought', layers: LAYERS }],
  ]);
});

it('a bag that was filled again since keeps what that brought', () => {
  expect(back(bag, [filling('1', 5, 'bark', { mixId: 'bought' }), last], '1')).toEqual([]);
});

it('a mix that was changed by hand since is left, and so is one that a filling did not change', () => {
  expect(back({ ...bag, mixId: 'bark' }, [last], '2')).toEqual([]);
  expect(back({ ...bag, layers: LAYERS }, [last], '2')).toEqual([]);
  expect(back(bag, [filling('3', 9, 'coir')], '3')).toEqual([]);
});
