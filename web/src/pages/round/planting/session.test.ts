import { propertiesOf } from '@rundel/core/garden-state';
import { occupantsOf } from '@rundel/core/plants';
import { type Garden, liveEntries, type Entry, type Container } from '@rundel/core/records';
import { gannetSlip } from '@rundel/core/demo';
import { describe, expect, it } from 'vitest';
import { newGarden } from '../../../store/new-garden.ts';
import type { Bag } from '../../../store/index.ts';
import {
  itemFor,
  sessionSchema,
  sessionState,
  stepsOf,
  type PlantingSession,
} from '@rundel/core/garden-state';
import { tickOf } from './tick.ts';

const NOW = '2026-05-25T09:30:00.000+01:00';
const LATER = '2026-05-25T10:00:00.000+01:00';
const garden: Garden = newGarden(NOW, { gardenName: 'Back step', latitudeDegrees: 51, units: 'metric' });
const { settings } = garden;
const stamps = { createdAt: NOW, changedAt: NOW };

function bagOf(label: string, kindId: string, litres: number, stations = 1): Bag {
  const container: Container = {
    id: `con_session0${label}`,
    label,
    kindId,
    size: { by: 'label', litres },
    mixId: 'bought',
    mulchMillimetres: 0,
    placeId: garden.places[0]?.id ?? '',
    stations: Array.from({ length: stations }, (_, i) => ({ id: `stn_session${label}${i}` })),
    support: { kind: 'stake', heightMillimetres: 1500 },
    order: Number(label),
    ...stamps,
  };
  const properties = propertiesOf(container, garden);
  const unknown = { water: undefined, feeding: undefined, jobs: [] };
  return { container, place: garden.places[0], properties, occupants: [], name: 'empty', ...unknown };
}

const bags = [bagOf('1', 'round-fabric', 57), bagOf('2', 'pillow', 50, 3)];
const seedlings = {
  cropId: 'tomato',
  habitId: 'tall',
  varietyName: 'Lantern Drop',
  plantName: undefined,
  seedling: { stemMillimetres: 300, ballMillimetres: 90 },
  practiceId: 'first-leaves',
};

function begun(): PlantingSession {
  const items = bags.map((bag) => {
    const fit = itemFor(bag, seedlings, settings, undefined);
    if (fit.kind !== 'fits') throw new Error('expected it to fit');
    return fit.item;
  });
  return { startedAt: NOW, hasBegun: true, isMoistened: true, items };
}

/** The diary after some ticks. */
function after(
  session: PlantingSession,
  steps: readonly (readonly [step: 'soak' | 'plant' | 'watering', bag: number])[],
) {
  const states = sessionState(session, bags, [], settings);
  const ticks = steps.map(([step, at]) => {
    const state = states[at];
    if (!state) throw new Error('no such bag');
    return tickOf(step, state, { varieties: [], batches: [] }, LATER);
  });
  const live = ticks.flatMap((t, i) =>
    t.drafts.map((draft, j) => ({ ...draft, id: `ent_session${i}${j}`, recordedAt: LATER }) as Entry),
  );
  return { ticks, live, states: sessionState(session, bags, live, settings) };
}

describe('a planting session', () => {
  it('chooses for each bag the simplest way that works', () => {
    expect(begun().items.map((i) => i.plantingMethodId)).toEqual(['upright', 'trench']);
    expect(sessionSchema.parse(begun())).toEqual(begun());
  });

  it('says of a bag that nothing works in it', () => {
    const tall = { ...seedlings, seedling: { stemMillimetres: 300, ballMillimetres: 390 } };
    const fit = itemFor(bagOf('3', 'pillow', 30), tall, settings, 'upright');
    expect(fit).toMatchObject({ kind: 'cannot', outcome: { obstacle: { places: 'ball-too-tall' } } });
  });

  it('has the steps of all bags in working order, each with the bags that have it', () => {
    const steps = stepsOf(sessionState(begun(), bags, [], settings));
    expect(steps.map((s) => [s.step, s.left])).toEqual([
      ['loosen', 1],
      ['slit', 1],
      ['moisten', 2],
      ['soak', 2],
      ['strip', 2],
      ['plant', 2],
      ['firm', 2],
      ['support', 2],
      ['label', 2],
      ['watering', 2],
      ['shade', 2],
    ]);
  });

  it('puts stripping after planting for who fills first, and leaves supports for later', () => {
    const own = { ...settings, orderPracticeId: 'fill-first', supportPracticeId: 'later' };
    const order = stepsOf(sessionState(begun(), bags, [], own)).map((s) => s.step);
    expect(order.indexOf('strip')).toBeGreaterThan(order.indexOf('plant'));
    expect(order).not.toContain('support');
  });

  it('is ticked by the diary alone, bag by bag', () => {
    const { states } = after(begun(), [['soak', 0]]);
    expect(states[0]?.done.has('soak')).toBe(true);
    expect(states[1]?.done.has('soak')).toBe(false);
    expect(stepsOf(states).find((s) => s.step === 'soak')?.left).toBe(1);
  });

  it('an entry from before it began ticks nothing', () => {
    const { live } = after(begun(), [['soak', 0]]);
    const old = live.map((e) => ({ ...e, at: '2026-05-24T10:00:00.000+01:00' }));
    expect(sessionState(begun(), bags, old, settings)[0]?.done.size).toBe(0);
  });

  it('what was done to the bag days before is ticked, unless another crop came after it', () => {
    const containerId = bags[1]?.container.id ?? '';
    const before = (day: string, what: object) =>
      ({
        id: `ent_before${day.slice(-2)}`,
        at: `${day}T10:00:00.000+01:00`,
        recordedAt: LATER,
        containerId,
        ...what,
      }) as Entry;
    const kneaded = before('2026-05-20', { kind: 'tended', task: 'kneaded' });
    const wet = before('2026-05-21', { kind: 'tended', task: 'moistened' });
    const soaked = before('2026-05-22', { kind: 'tended', task: 'soaked' });
    const doneBy = (...live: readonly Entry[]) => [
      ...(sessionState(begun(), bags, live, settings)[1]?.done.keys() ?? []),
    ];
    expect(doneBy(kneaded, wet, soaked)).toEqual(['loosen', 'moisten']);
    const cleared = before('2026-05-23', { kind: 'cleared', stationId: 'stn_x', plantId: 'pla_x' });
    expect(doneBy(kneaded, wet, cleared)).toEqual([]);
    const state = sessionState(begun(), bags, [], settings)[1];
    if (!state) throw new Error('no such bag');
    const { drafts } = tickOf('slit', state, { varieties: [], batches: [] }, LATER, kneaded.at);
    expect(drafts).toEqual([{ kind: 'tended', at: kneaded.at, containerId, task: 'slit' }]);
  });

  it('plants every free place of a bag, by the way and the depth that were worked out', () => {
    const { ticks } = after(begun(), [['plant', 1]]);
    const planted = ticks[0]?.drafts ?? [];
    expect(planted).toHaveLength(3);
    expect(planted[0]).toMatchObject({
      kind: 'planted',
      plantingMethodId: 'trench',
      practiceId: 'first-leaves',
    });
    expect(ticks[0]?.changes.map((c) => c.table)).toEqual(['varieties', 'plants', 'plants', 'plants']);
  });

  it('gives half of the dry drink to mix that was moistened', () => {
    const litres = (isMoistened: boolean) =>
      sessionState({ ...begun(), isMoistened }, bags, [], settings)[0]?.wateringLitres ?? 0;
    expect(litres(false)).toBeCloseTo(2 * litres(true), 0);
    expect(after(begun(), [['watering', 0]]).live[0]).toMatchObject({
      kind: 'watering',
      litres: litres(true),
    });
  });

  it('holds seed and a young plant side by side in one bag, each at its own places', () => {
    const [, pillow] = bags;
    if (!pillow) throw new Error('there are two');
    const [first, ...others] = pillow.container.stations.map((s) => s.id);
    const itemAt = (stationIds: readonly string[], more: object) => {
      const fit = itemFor(pillow, { ...seedlings, ...more }, settings, undefined, stationIds);
      if (fit.kind !== 'fits') throw new Error('expected it to fit');
      return fit.item;
    };
    const items = [
      itemAt([first ?? ''], {}),
      itemAt(others, { isSown: true, seeds: 3, plantName: 'Ada, Bet' }),
    ];
    const session = { ...begun(), items };
    const steps = stepsOf(sessionState(session, bags, [], settings));
    // each goes in by itself; all else is done once at the bag
    expect(steps.map(({ step, bags: at }) => [step, at.length])).toContainEqual(['plant', 2]);
    expect(steps.filter(({ step }) => step !== 'plant').every(({ bags: at }) => at.length === 1)).toBe(true);
    const live = after(session, [['plant', 1]]).live;
    expect(live).toMatchObject(
      others.map((stationId) => ({ kind: 'planted', stationId, plantingMethodId: 'seed', seeds: 3 })),
    );
    // what was sown does not tick what is still to be planted
    const states = sessionState(session, bags, live, settings);
    expect(states.map((s) => s.done.has('plant'))).toEqual([false, true]);
  });

  it('keeps the level that was dragged on the bench', () => {
    const [fabric] = bags;
    if (!fabric) throw new Error('there are two');
    const own = { levelMillimetres: 200 };
    const fit = itemFor(fabric, { ...seedlings, own }, settings, 'low-start');
    if (fit.kind !== 'fits') throw new Error('expected it to fit');
    const [state] = sessionState({ ...begun(), items: [fit.item] }, bags, [], settings);
    expect(state?.plan.levelMillimetres).toBe(200);
    expect(state?.plan.firstFill?.settledLitres).toBeGreaterThan(0);
  });

  it('leaves out a bag that is gone', () => {
    expect(sessionState(begun(), bags.slice(0, 1), [], settings)).toHaveLength(1);
  });
});

describe('the demo', () => {
  it('has a plant at every station but those of the one bag that stands empty', () => {
    const demo = gannetSlip(3);
    const live = liveEntries(demo.entries);
    for (const container of demo.containers) {
      const standing = occupantsOf(container, live, demo).filter((o) => !o.clearedOn);
      expect(standing.length).toBe(container.label === '24' ? 0 : container.stations.length);
    }
  });
});
