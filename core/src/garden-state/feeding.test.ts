import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/index.ts';
import { completeWeather, isWarmthKnown } from '../climate/index.ts';
import { type Draft, type Entry, type Container, liveEntries, type Garden } from '../records/index.ts';
import { FEEDING_PRACTICES } from '../feeding/index.ts';
import { ELEMENTS } from '../products/index.ts';
import { planRound } from '../round/index.ts';
import { gannetSlip } from '../../demo/index.ts';
import { demandOfDay } from '../water/index.ts';
import { bagFeeding, warmthOf } from './feeding.ts';
import { bagWater, siteOf } from './bag-state.ts';
import { knownWeather } from './known-weather.ts';
import { propertiesOf, waterBagOf } from './properties.ts';
import { occupantsOf } from '../plants/index.ts';

const slip = gannetSlip(3);
const live = liveEntries(slip.entries);
const today = '2026-07-16';
const warmth = warmthOf(live, slip.settings);
const bagOf = (label: string) => slip.containers.find((c) => c.label === label) as Container;
const at = (day: string) => `${day}T18:00:00.000+01:00`;
const entries = (drafts: readonly Draft[]) =>
  drafts.map(
    (draft, i) => ({ ...draft, id: `ent_more${String(i).padStart(4, '0')}`, recordedAt: draft.at }) as Entry,
  );

function feedingOf(label: string, more: readonly Draft[] = [], garden: Garden = slip) {
  const container = bagOf(label);
  const all = [...live, ...entries(more)].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return bagFeeding(garden, container, propertiesOf(container, garden), all, today, warmth);
}

describe('a bag’s feeding, from its diary', () => {
  it('knows its regime from the day on which it was taken up, and that it was left', () => {
    expect(feedingOf('6').regime?.id).toBe('potash-from-set');
    const container = bagOf('6');
    const none = feedingOf('6', [{ kind: 'regime', at: at('2026-07-10'), containerId: container.id }]);
    expect(none.regime).toBeUndefined();
    expect(none.states).toEqual([]);
    const gone = feedingOf('6', [
      { kind: 'regime', at: at('2026-07-10'), containerId: container.id, regimeId: 'reg_nowhere' },
    ]);
    expect(gone).toMatchObject({ regime: undefined, isRegimeGone: true });
  });

  it('a regime in the bin is gone; one of one’s own is found', () => {
    const own = slip.regimes[0];
    expect(feedingOf('19').regime?.id).toBe(own?.id);
    const binned = slip.regimes.map((r) => ({ ...r, binnedAt: at('2026-07-01') }));
    expect(feedingOf('19', [], { ...slip, regimes: binned }).isRegimeGone).toBe(true);
  });

  it('marks are what was seen, else what its kind leads one to expect, in order', () => {
    const { stageDates } = feedingOf('6');
    expect(stageDates.set).toEqual({ day: '2026-06-27', isNoted: true });
    expect(stageDates.picking?.isNoted).toBe(true);
    for (const container of slip.containers) {
      const found = feedingOf(container.label).stageDates;
      const days = [found.planting, found.flowers, found.set, found.picking].flatMap((m) =>
        m ? [m.day] : [],
      );
      expect([...days].sort()).toEqual(days);
    }
  });

  it('flowers that are seen move what is counted from them', () => {
    const container = bagOf('8');
    const later = addDays(feedingOf('8').stageDates.planting?.day ?? today, 20);
    const seen = feedingOf('8', [
      { kind: 'stage', at: at(later), containerId: container.id, stage: 'flowers' },
    ]);
    expect(seen.stageDates.flowers).toEqual({ day: later, isNoted: true });
  });

  it('conserves mass in every bag of the demo, with what really ran through', () => {
    for (const container of slip.containers.slice(0, 8)) {
      const { moves } = bagWater(slip, container, at(today), live).estimate;
      const ledger = bagFeeding(
        slip,
        container,
        propertiesOf(container, slip),
        live,
        today,
        warmth,
        moves,
      ).ledger();
      for (const run of Object.values(ledger.runs))
        for (const { offered, held, dissolved, washed, taken } of run)
          for (const e of ELEMENTS)
            expect(Math.abs(offered[e] - held[e] - dissolved[e] - washed[e] - taken[e])).toBeLessThan(1e-9);
    }
  });

  it('what runs through takes feed along', () => {
    const container = bagOf('6');
    const { moves } = bagWater(slip, container, at(today), live).estimate;
    const with_ = bagFeeding(
      slip,
      container,
      propertiesOf(container, slip),
      live,
      today,
      warmth,
      moves,
    ).ledger();
    const without = feedingOf('6').ledger();
    expect(with_.runs.likely[with_.today]?.washed.n).toBeGreaterThan(0);
    expect(without.runs.likely[without.today]?.washed.n).toBe(0);
  });

  it('a feed adds its label to what was offered; a tea is counted as unknown', () => {
    const container = bagOf('16');
    const feed = (productId: string): Draft => ({
      kind: 'fed',
      at: at('2026-07-15'),
      containerId: container.id,
      productId,
      amount: 100,
      unit: 'millilitre',
      litres: 3,
    });
    const before = feedingOf('16');
    const after = feedingOf('16', [feed('tomato-liquid'), feed('weed-tea')]);
    const offered = (f: typeof before) => {
      const ledger = f.ledger();
      return ledger.runs.likely[ledger.today]?.offered.n ?? 0;
    };
    // 100 mL × 1.18 kg/L × 4 % N
    expect(offered(after) - offered(before)).toBeCloseTo(4.72, 6);
    expect([before.unknownFeeds, after.unknownFeeds]).toEqual([0, 1]);
  });

  it('says nothing of an empty bag but what is in its mix', () => {
    const empty = feedingOf('24');
    expect(empty).toMatchObject({ states: [], stageDates: {}, endsOn: undefined });
    expect(empty.ledger().runs.likely.at(-1)?.taken.n).toBe(0);
  });

  it('every school can be taken up by every planted bag', () => {
    for (const label of ['1', '8', '17'])
      for (const { id, steps } of FEEDING_PRACTICES) {
        const found = feedingOf(label, [
          { kind: 'regime', at: at('2026-07-15'), containerId: bagOf(label).id, regimeId: id },
        ]);
        expect(found.states.map((s) => s.step.id)).toEqual(steps.map((s) => s.id));
      }
  });
});

describe('plants beside the crop', () => {
  const container = bagOf('6');
  const with_ = (companions: Container['companions']): Container => ({ ...container, companions });
  const bagFor = (c: Container) => {
    const properties = propertiesOf(c, slip);
    return waterBagOf(c, properties, { cover: 'open' }, occupantsOf(c, live, slip), slip.settings);
  };
  const hot = completeWeather([], siteOf(slip.settings), '2026-07-16', '2026-07-16', DEFAULT_ASSUMED)[0];
  const watered = (c: Container) =>
    demandOfDay(bagFor(c), hot as NonNullable<typeof hot>, DEFAULT_ASSUMED).transpirationLitres;

  it('drink with it, more the more they shade, and not once they are out', () => {
    const alone = watered(container);
    const small = watered(with_({ size: 'small' }));
    const large = watered(with_({ size: 'large' }));
    expect(small).toBeGreaterThan(alone);
    expect(large).toBeGreaterThan(small);
    expect(watered(with_({ size: 'large', until: '2026-07-01' }))).toBeCloseTo(alone, 12);
  });

  it('take feed from the same mix', () => {
    const wanted = (c: Container) => {
      const ledger = bagFeeding(slip, c, propertiesOf(c, slip), live, today, warmth).ledger();
      return ledger.runs.likely[ledger.today]?.wanted.n ?? 0;
    };
    expect(wanted(with_({ size: 'large' }))).toBeGreaterThan(wanted(container) + 0.5);
    expect(wanted(with_({ size: 'large', until: '2026-06-10' }))).toBeLessThan(
      wanted(with_({ size: 'large' })),
    );
  });

  it('need a crop to stand beside', () => {
    const empty: Container = { ...bagOf('24'), companions: { size: 'large' } };
    expect(bagFor(empty).plants.filter((p) => p.clearedOn === undefined)).toEqual([]);
  });
});

describe('the parts of it', () => {
  it('a day’s warmth is what was noted, else what is usual', () => {
    const noted = knownWeather(live).find(isWarmthKnown);
    if (!noted) throw new Error('the demo has weather');
    expect(warmth(noted.day)).toBe((noted.minCelsius + noted.maxCelsius) / 2);
    expect(warmth('2026-07-20')).toBeGreaterThan(warmth('2026-01-20'));
  });

  it('a bag whose feed is due is on the round though its water can wait', () => {
    const waters = slip.containers.map((c) => bagWater(slip, c, at(today), live));
    const plain = planRound(waters, slip.containers, slip.places);
    const waiting = plain.later[0]?.containerId ?? '';
    const fed = planRound(waters, slip.containers, slip.places, new Set([waiting]));
    expect(fed.stops.find((s) => s.containerId === waiting)?.reason).toEqual({ kind: 'feed' });
    expect(fed.stops).toHaveLength(plain.stops.length + 1);
    expect(fed.later).toHaveLength(plain.later.length - 1);
  });
});
