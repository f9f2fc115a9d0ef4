import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { ENTRY_EFFECTS, ENTRY_SCHEMAS, liveEntries, type Entry, type Garden } from '../records/index.ts';
import { deriveBag } from './derive-bag.ts';
import { GardenEngine } from './garden-engine.ts';
import { learntOf, withLearnt } from './learnt.ts';

const demo = gannetSlip(3);
const labels = ['3', '7', '12', '20'];
const containers = demo.containers.filter((c) => labels.includes(c.label));
const ids = containers.map((c) => c.id);
const here = new Set(ids);
const garden: Garden = {
  ...demo,
  containers,
  entries: demo.entries.filter(
    (e) => !('containerId' in e) || (e.containerId !== undefined && here.has(e.containerId)),
  ),
};
const at = (minute: number) => `2026-07-16T18:${String(minute).padStart(2, '0')}:00.000+01:00`;
const [first, second] = ids as [string, string];
const check = (minute: number, grade: number, containerId = first): Entry => ({
  id: `ent_engine${minute}${grade}`,
  kind: 'check',
  at: at(minute),
  recordedAt: at(minute),
  containerId,
  check: { method: 'finger', grade },
});
const watering = (id: string, minute: number, litres: number, more: Partial<Entry> = {}): Entry =>
  ({
    id,
    kind: 'watering',
    at: at(minute),
    recordedAt: at(minute),
    containerId: first,
    litres,
    isMeasured: true,
    ranThrough: false,
    ...more,
  }) as Entry;

/** The states as they are derived afresh, with nothing kept. */
function derived(of: Garden, now: string) {
  const taught = withLearnt(of, learntOf(of, liveEntries(of.entries)));
  return containers.map((c) => deriveBag(taught, c, now));
}

const told = (engine: GardenEngine, now: string) => engine.states(ids, now).map(({ state }) => state);

describe('a garden that is held', () => {
  it('says of every bag what is derived afresh, whatever was added, corrected and removed before', () => {
    const engine = new GardenEngine(garden);
    const steps: readonly Entry[] = [
      check(1, 2),
      watering('ent_engine0w1', 2, 6),
      // corrected: it was half of that
      watering('ent_engine0w2', 2, 3, { replaces: 'ent_engine0w1', recordedAt: at(4) }),
      { id: 'ent_engine0rm', kind: 'removed', at: at(5), recordedAt: at(5), removes: check(1, 2).id },
    ];
    let now = garden;
    engine.states(ids, at(6));
    for (const entry of steps) {
      engine.apply({ added: [entry] });
      now = { ...now, entries: [...now.entries, entry] };
      expect(told(engine, at(6))).toEqual(derived(now, at(6)));
    }
  });

  it('gives feeding and ledger the corrected watering, and not the one before it', () => {
    const engine = new GardenEngine(garden);
    const given = watering('ent_engine0w3', 1, 12);
    engine.apply({ added: [given] });
    const before = engine.ledger(first, at(3));
    // as many moves of the water as before, and other litres
    engine.apply({
      added: [watering('ent_engine0w4', 1, 2, { replaces: given.id, recordedAt: at(2) })],
    });
    const after = engine.ledger(first, at(3));
    expect(after).not.toEqual(before);
    const fresh = new GardenEngine({
      ...garden,
      entries: [...garden.entries, watering('ent_engine0w4', 1, 2)],
    });
    expect(after).toEqual(fresh.ledger(first, at(3)));
  });

  it('works out again only the bags on which an entry bears', () => {
    const engine = new GardenEngine(garden);
    const known = Object.fromEntries(
      engine.states(ids, DEMO_EVENING).map(({ containerId, version }) => [containerId, version]),
    );
    const changed = () =>
      engine
        .states(ids, DEMO_EVENING, known)
        .flatMap(({ containerId, state }) => (state ? [containerId] : []));
    expect(changed()).toEqual([]);
    const note = { kind: 'note', at: at(0), recordedAt: at(0), containerId: second, text: 'bees' } as const;
    engine.apply({ added: [{ ...note, id: 'ent_enginenote' }] });
    expect(changed()).toEqual([]);
    engine.apply({ added: [check(0, 3, second)] });
    expect(changed()).toEqual([second]);
  });

  it('takes a record that was changed, for the bags that it is about', () => {
    const engine = new GardenEngine(garden);
    engine.states(ids, DEMO_EVENING);
    const shaded = { ...garden, places: garden.places.map((p) => ({ ...p, shade: 0.5 })) };
    engine.apply({ places: shaded.places, added: [] });
    expect(told(engine, DEMO_EVENING)).toEqual(derived(shaded, DEMO_EVENING));
  });

  it('goes on without a bag that cannot be worked out, and leaves no trace of what was only tried', () => {
    const broken = containers.map((c) => (c.id === first ? { ...c, mixId: 'mix_gone0000000' } : c));
    const engine = new GardenEngine({ ...garden, containers: broken });
    const [failed, ...others] = told(engine, DEMO_EVENING);
    expect(failed).toMatchObject({
      containerId: first,
      problem: expect.stringContaining('mix_gone') as string,
    });
    expect(others.every((state) => state && 'water' in state)).toBe(true);
    const before = told(engine, DEMO_EVENING);
    expect(engine.whatIf(containers[1]?.id ?? '', DEMO_EVENING)).toHaveProperty('asItIs');
    expect(engine.whatIf('con_nobody0001', DEMO_EVENING)).toMatchObject({
      problem: expect.any(String) as string,
    });
    expect(told(engine, DEMO_EVENING)).toEqual(before);
  });
});

it('every kind of entry says what it bears on', () => {
  const kinds = ENTRY_SCHEMAS.map((schema) => schema.shape.kind.def.values[0]);
  expect(Object.keys(ENTRY_EFFECTS).sort()).toEqual([...kinds].sort());
});
