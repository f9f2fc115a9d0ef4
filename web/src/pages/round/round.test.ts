import type { FeedingState } from '@rundel/core/garden-state';
import { deriveBag } from '@rundel/core/garden-state';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { bagOf, type Bag } from '../../store/bags.ts';
import { type StepState, FEEDING_PRACTICES } from '@rundel/core/feeding';
import { FEEDS } from '@rundel/core/products';
import { asGiven, feedDueIds, fedDrafts, feedOffers, fedWithWatering } from '@rundel/core/garden-state';
import { unanswered, withFeed } from './feeding.ts';
import { isOpen, statusOf } from '@rundel/core/garden-state';
import { beginning, startedNoLaterThan, isGoingOn, withBags } from './walk.ts';
import type { Walk } from '../../store/index.ts';

const garden = gannetSlip(3);
const container = garden.containers[6] as (typeof garden.containers)[number];
const walk: Walk = { startedAt: DEMO_EVENING, containerIds: [container.id] };
const can = { kind: 'can', litres: 9 } as const;
const at = (minute: number) => `2026-07-16T18:${String(minute).padStart(2, '0')}:00.000+01:00`;
const check = (grade: number): Entry => ({
  id: 'ent_alook01',
  kind: 'check',
  at: at(2),
  recordedAt: at(2),
  containerId: container.id,
  check: { method: 'finger', grade },
});
const watering: Entry = {
  id: 'ent_adrink1',
  kind: 'watering',
  at: at(3),
  recordedAt: at(3),
  containerId: container.id,
  litres: 6.75,
  isMeasured: true,
  ranThrough: false,
};

function bagAfter(more: readonly Entry[]): { bag: Bag; live: ReturnType<typeof liveEntries> } {
  const live = liveEntries([...garden.entries, ...more]);
  const state = deriveBag({ ...garden, entries: [...live] }, container, at(4));
  return { bag: bagOf(container, garden, live, state), live };
}

function statusAfter(more: readonly Entry[], during: Walk | undefined = walk) {
  const { bag, live } = bagAfter(more);
  return statusOf(bag, during, live, can);
}

describe('a stop of the walk', () => {
  it('begins with a look', () => {
    expect(statusAfter([])).toEqual({ kind: 'check' });
  });

  it('goes on to a drink when it felt dry, and is done when it was given', () => {
    const dry = statusAfter([check(2)]);
    expect(dry.kind).toBe('watering');
    expect(isOpen(dry)).toBe(true);
    expect(statusAfter([check(2), watering])).toMatchObject({ kind: 'done', wateredLitres: 6.75 });
  });

  it('is done after a wet look', () => {
    const wet = statusAfter([check(5)]);
    expect(wet).toMatchObject({ kind: 'done', wateredLitres: 0, advice: { because: 'enough' } });
    expect(isOpen(wet)).toBe(false);
  });

  it('is done by a drink without a look', () => {
    expect(statusAfter([watering])).toMatchObject({ kind: 'done', wateredLitres: 6.75 });
  });

  it('waits for the estimate to know of the look', () => {
    const { bag } = bagAfter([]);
    const live = liveEntries([...garden.entries, check(2)]);
    expect(statusOf(bag, walk, live, can)).toMatchObject({ kind: 'working' });
  });

  it('can be left for later, before the look and after it', () => {
    const left = (minutes: number): Entry => ({
      kind: 'skipped',
      id: `ent_left${minutes}`,
      at: at(minutes),
      recordedAt: at(minutes),
      containerId: container.id,
      reason: 'no-time',
    });
    expect(statusAfter([left(1)])).toEqual({ kind: 'skipped' });
    expect(statusAfter([check(2), left(3)])).toEqual({ kind: 'skipped' });
    // whoever comes back to it and looks has not left it
    expect(statusAfter([left(0), check(2)])).toMatchObject({ kind: 'watering' });
  });

  it('does not count what was done before the walk', () => {
    expect(statusAfter([check(2)], { ...walk, startedAt: at(30) })).toEqual({ kind: 'check' });
  });
});

describe('a walk', () => {
  it('goes on over an interruption, and is over after hours', () => {
    expect(isGoingOn(walk, at(50))).toBe(true);
    expect(isGoingOn(walk, '2026-07-17T08:00:00.000+01:00')).toBe(false);
    expect(isGoingOn(walk, '2026-07-16T17:00:00.000+01:00')).toBe(false);
  });

  it('survives a clock that was set back a little, and then counts from now', () => {
    const before = '2026-07-16T17:59:58.000+01:00';
    expect(isGoingOn(walk, before)).toBe(true);
    expect(startedNoLaterThan(walk, before).startedAt).toBe(before);
    expect(startedNoLaterThan(walk, at(5))).toBe(walk);
  });

  it('begins when its page was opened, unless that is long ago or yet to come', () => {
    const [opened, soon] = ['2026-07-16T18:00:00.000+01:00', '2026-07-16T18:00:04.000+01:00'];
    expect(beginning(opened, soon)).toBe(opened);
    expect(beginning(opened, '2026-07-16T20:00:00.000+01:00')).toBe('2026-07-16T20:00:00.000+01:00');
    expect(beginning(soon, opened)).toBe(opened);
  });

  it('takes bags that become due at its end, each once', () => {
    const more = withBags(walk, [container.id, 'con_second']);
    expect(more.containerIds).toEqual([container.id, 'con_second']);
    expect(withBags(more, ['con_second'])).toBe(more);
  });
});

describe('a feed at a stop', () => {
  const regime = FEEDING_PRACTICES.find((r) => r.id === 'potash-from-set');
  const [step] = regime?.steps ?? [];
  if (!regime || !step) throw new Error('the school is there');
  const state = (target: string, latest: string): StepState => ({
    kind: 'due',
    step,
    earliest: '2026-07-10',
    target,
    latest,
    reason: {
      trigger: step.start,
      startedOn: '2026-06-24',
      isNoted: true,
      lastOn: undefined,
      intervalDays: undefined,
      apartFrom: undefined,
      left: undefined,
    },
  });
  const feeding = (states: readonly StepState[]) =>
    ({ containerId: container.id, regime, states }) as FeedingState;
  const due = feeding([state('2026-07-16', '2026-07-18')]);
  const { bag, live } = bagAfter([check(3)]);
  const withShare = (likely: number, of: FeedingState | undefined = due): Bag => {
    const water = bag.water as NonNullable<Bag['water']>;
    return {
      ...bag,
      feeding: of,
      water: { ...water, estimate: { ...water.estimate, share: { low: likely, likely, high: likely } } },
    };
  };
  const kinds = (of: Bag) => feedOffers(of, [], at(4), { isWatered: true }).map((o) => o.advice.kind);

  it('is offered on its day, held back on a dry bag, and not asked for before', () => {
    expect(kinds(withShare(0.5))).toEqual(['feed']);
    expect(kinds(withShare(0.05))).toEqual(['too-dry']);
    expect(kinds(withShare(0.99))).toEqual(['too-wet']);
    expect(kinds(withShare(0.5, feeding([state('2026-08-01', '2026-08-04')])))).toEqual([]);
    expect(feedOffers({ ...bag, feeding: undefined }, [], at(4), { isWatered: true })).toEqual([]);
  });

  it('puts its bag on the round', () => {
    expect([...feedDueIds([withShare(0.5)], [], at(4))]).toEqual([container.id]);
    expect([...feedDueIds([withShare(0.05)], [], at(4))]).toEqual([]);
  });

  it('keeps a stop open until it is given or left, and no longer', () => {
    const offers = feedOffers(withShare(0.5), [], at(4), { isWatered: true });
    const done = statusAfter([check(2), watering]);
    expect(withFeed(done, offers).kind).toBe('feed');
    expect(isOpen(withFeed(done, offers))).toBe(true);
    expect(withFeed(done, []).kind).toBe('done');
    expect(withFeed({ kind: 'check' }, offers).kind).toBe('check');
    const offer = offers[0];
    if (!offer) throw new Error('one is offered');
    const drafts = fedDrafts(asGiven(offer, bag, 3), at(5));
    const fed = drafts.map((draft, i) => ({ ...draft, id: `ent_given00${i}`, recordedAt: at(5) }) as Entry);
    expect(unanswered(offers, bag, walk, live)).toEqual(offers);
    expect(unanswered(offers, bag, walk, [...live, ...fed])).toEqual([]);
    const left = {
      id: 'ent_left0001',
      kind: 'feed-skipped',
      at: at(5),
      recordedAt: at(5),
      containerId: container.id,
      productId: 'tomato-liquid',
      reason: 'no-time',
    } as Entry;
    expect(unanswered(offers, bag, walk, [...live, left])).toEqual([]);
  });

  it('is written down with its step, its amount and its water, once for each part', () => {
    const [offer] = feedOffers(withShare(0.5), [], at(4), { isWatered: true });
    if (!offer) throw new Error('one is offered');
    const given = asGiven(offer, bag, 3);
    expect(fedDrafts(given, at(5))).toEqual([
      {
        kind: 'fed',
        at: at(5),
        containerId: container.id,
        productId: 'tomato-liquid',
        amount: 12,
        unit: 'millilitre',
        litres: 3,
        regimeId: 'potash-from-set',
        stepId: 'liquid',
      },
    ]);
    expect(fedWithWatering(given, at(5)).map((d) => d.kind)).toEqual(['watering', 'fed']);
    const product = FEEDS.find((f) => f.id === 'nutrient-a');
    const partner = FEEDS.find((f) => f.id === 'nutrient-b');
    if (!product || !partner) throw new Error('both parts are there');
    const both = fedWithWatering({ ...given, product, partner, into: 'store' }, at(5));
    expect(both).toMatchObject([
      { kind: 'watering', into: 'store' },
      { kind: 'fed', productId: 'nutrient-a', into: 'store' },
      { kind: 'fed', productId: 'nutrient-b', into: 'store' },
    ]);
    const spray = FEEDS.find((f) => f.id === 'seaweed-spray');
    expect(fedWithWatering({ ...given, product: spray ?? product, into: 'leaves' }, at(5))).toMatchObject([
      { kind: 'fed', into: 'leaves' },
    ]);
  });
});
