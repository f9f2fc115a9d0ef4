import { bagFeeding, bagWater, propertiesOf, warmthOf } from '@rundel/core/garden-state';
import { type Garden, byTime, liveEntries } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { describe, expect, it } from 'vitest';
import { gardenForFeeding } from './feedings.ts';
import { containersInUse, occupantsIn } from './selectors.ts';
import { isSameList } from './answers.ts';
import { learntOf } from './learnt.ts';
import { gardenForWater, partFor, weatherSince, withoutDiary } from './waters-question.ts';

const garden = gannetSlip(3);
const live = liveEntries(garden.entries);
const open = { garden, live };
const today = DEMO_EVENING.slice(0, 10);
const bags = containersInUse(garden);

describe('what is sent to a worker', () => {
  const learnt = learntOf(open);
  const settings = { ...garden.settings, assumptions: { ...learnt, ...garden.settings.assumptions } };
  const whole: Garden = { ...garden, settings };

  it.each(bags.map((c) => [c.label, c] as const))('says all of bag %s’s water', (_, container) => {
    const part = partFor([container], withoutDiary(garden, learnt), weatherSince(live, DEMO_EVENING), live);
    const water = bagWater(part, container, DEMO_EVENING, part.entries);
    expect(water).toEqual(bagWater(whole, container, DEMO_EVENING, live));
    const all = gardenForWater(open, DEMO_EVENING, learnt);
    expect(water).toEqual(bagWater(all, container, DEMO_EVENING, all.entries));
  });

  it.each(bags.map((c) => [c.label, c] as const))('says all of bag %s’s feeding', (_, container) => {
    const moves = bagWater(whole, container, DEMO_EVENING, live).estimate.moves;
    const feedingBy = (source: Garden) => {
      const feeding = bagFeeding(
        source,
        container,
        propertiesOf(container, source),
        source.entries,
        today,
        warmthOf(source.entries, source.settings),
        moves,
      );
      return { ...feeding, ledger: feeding.ledger() };
    };
    expect(feedingBy(gardenForFeeding(open, [container], today))).toEqual(
      feedingBy({ ...garden, entries: [...live] }),
    );
  });

  it('says of a bag that was topped up how high its plant was measured', () => {
    const [container] = bags.filter((c) => c.label === '7');
    if (!container) throw new Error('the demo has a bag 7');
    const planted = live.findLast((e) => e.kind === 'planted' && e.containerId === container.id);
    const low = live.map((e) =>
      e === planted ? { ...planted, levelMillimetres: 120, plantingMethodId: 'low-start' } : e,
    ) as typeof live;
    const at = '2026-07-01T12:00:00.000+01:00';
    const raised = {
      kind: 'topped-up',
      litres: 5,
      levelMillimetres: 260,
      containerId: container.id,
    } as const;
    const more = [...low, { ...raised, id: 'ent_raised1', at, recordedAt: at }].sort(byTime) as typeof live;
    const part = partFor([container], withoutDiary(garden, learnt), weatherSince(more, DEMO_EVENING), more);
    const water = bagWater(part, container, DEMO_EVENING, part.entries);
    expect(water).toEqual(bagWater(whole, container, DEMO_EVENING, more));
    // it matters: without the raised surface the plant counts as smaller
    expect(water.usePerDay).not.toEqual(bagWater(whole, container, DEMO_EVENING, low).usePerDay);
  });

  it('is a small part of the diary', () => {
    const [first] = bags;
    const part = first && gardenForFeeding(open, [first], today);
    expect(part?.entries.length).toBeLessThan(live.length / 3);
    expect(part?.packs).toEqual([]);
  });
});

describe('what the diary has taught', () => {
  it('is a finger where a bag is weighed, and nowhere else', () => {
    expect(learntOf(open).fingerNoise).toBeGreaterThan(0);
    const unweighed = live.filter((e) => e.kind !== 'check' || e.check.method !== 'scale');
    expect(learntOf({ garden, live: unweighed })).not.toHaveProperty('fingerNoise');
  });

  it('is the site’s weather where days were noted, and nowhere else', () => {
    expect(learntOf(open).filledDemandSpread).toBeLessThan(0.45);
    expect(learntOf({ garden, live: [] })).toEqual({});
  });

  it('gives way to a number that the grower set', () => {
    const own = { ...garden, settings: { ...garden.settings, assumptions: { filledDemandSpread: 0.6 } } };
    const bare = withoutDiary(own, learntOf({ garden: own, live }));
    expect(bare.settings.assumptions['filledDemandSpread']).toBe(0.6);
    expect(bare.settings.assumptions['fingerNoise']).toBe(learntOf(open).fingerNoise);
  });
});

describe('whether two lists are the same', () => {
  it.each([
    [[], [], true],
    [[1, 'a'], [1, 'a'], true],
    [[1], [1, 2], false],
    [[{}], [{}], false],
  ])('%o and %o: %s', (a, b, same) => expect(isSameList(a, b)).toBe(same));
});

describe('who stood in a bag in a year', () => {
  const seven = bags.find((c) => c.label === '7');
  const namesIn = (year: number) =>
    seven ? occupantsIn(year, garden, live, seven).map((o) => [o.variety.name, o.clearedOn]) : [];

  it('is last year’s plant for last year, and this year’s for this', () => {
    expect(namesIn(2025)).toEqual([['Lantern Drop', '2025-10-04']]);
    expect(namesIn(2026)).toEqual([['Lantern Drop', undefined]]);
    expect(namesIn(2024)).toEqual([]);
  });
});
