import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { bagFeeding, propertiesOf, feedingCaseOf, warmthOf } from '../src/garden-state/index.ts';
import { momentAt, addDays, dayOf, type Day } from '../src/calendar/index.ts';
import { occupantsOf } from '../src/plants/index.ts';
import {
  type Garden,
  type Draft,
  type Entry,
  ID_PREFIXES,
  type IdOf,
  type OwnRegime,
  type Regime,
} from '../src/records/index.ts';
import { doseOfStep, feedFor, findRegime, plannedFeeds } from '../src/feeding/index.ts';
import { findProduct } from '../src/products/index.ts';
import { chanceFrom } from '../hidden/index.ts';

/** Who feeds which bag how: three neighbours, nearly every practice. */
const REGIMES: Readonly<Record<string, string>> = {
  '1': 'potash-from-set',
  '2': 'potash-from-set',
  '3': 'soluble-throughout',
  '4': 'meals-and-fish',
  '5': 'heavy-manuring',
  '6': 'potash-from-set',
  '7': 'soluble-throughout',
  '8': 'compost-then-spikes',
  '9': 'potash-from-set',
  '10': 'potash-from-set',
  '11': 'leaf-then-fruit',
  '12': 'potash-from-set',
  '13': 'soluble-throughout',
  '14': 'dry-monthly',
  '15': 'steeped-weeds',
  '17': 'nutrient-drum',
  '18': 'grains-and-fortnight',
  '19': 'own',
  '20': 'potash-from-set',
  '21': 'dry-monthly',
  '22': 'soluble-throughout',
  '23': 'potash-from-set',
};

/** First trusses that somebody noted, by bag: the others are reckoned. */
const SEEN_SET: Readonly<Record<string, Day>> = { '6': '2026-06-27', '7': '2026-06-26', '12': '2026-06-20' };

/** Feeds forgotten: bag and month-day. */
const FORGOTTEN_SHARE = 0.12;

/** Water that a feed goes with where no watering was given that day, L. */
const USUAL_LITRES = 2;

interface Fed {
  readonly regimes: readonly OwnRegime[];
  readonly entries: readonly Entry[];
}

/** How the bags of Gannet Slip were fed, from planting to the evening on which the demo opens. */
export function feedingOfSlip(garden: Garden, seed: number, evening: string): Fed {
  const chance = chanceFrom(seed + 77);
  const id = (of: IdOf) => `${ID_PREFIXES[of]}_${chance.letters(12)}`;
  const entries: Entry[] = [];
  // with its time beside each, since to read it anew for each bag took most of the time
  const timed = garden.entries.map((entry) => ({ at: Date.parse(entry.at), entry }));
  const put = (draft: Draft) => {
    const entry = { ...draft, id: id('entry'), recordedAt: draft.at } as Entry;
    entries.push(entry);
    timed.push({ at: Date.parse(entry.at), entry });
  };
  const today = dayOf(evening);
  const stamp = momentAt('2026-05-12', 20, evening);
  const own: OwnRegime = {
    id: id('regime'),
    name: 'Half strength, twice as often',
    description: 'Tomato liquid at half the label’s dose from first flowers, every five to seven days.',
    suits: 'The open sleeve on the slipway, which runs through.',
    steps: [
      {
        id: 'half',
        start: { on: 'flowers' },
        productId: 'tomato-liquid',
        dose: { amount: 2, unit: 'millilitre', per: 'litre' },
        every: { fromDays: 5, toDays: 7 },
        shortensWithGrowth: false,
      },
    ],
    createdAt: stamp,
    changedAt: stamp,
  };
  const warmth = warmthOf(garden.entries, garden.settings);
  for (const container of garden.containers) {
    const { label } = container;
    const properties = propertiesOf(container, garden);
    const occupants = occupantsOf(container, garden.entries, garden);
    const planted = occupants[0]?.plantedOn;
    const named = REGIMES[label];
    const regime: Regime | undefined =
      named === 'own' ? own : named === undefined ? undefined : findRegime(named);
    if (!planted || !regime) continue;
    const at = (day: Day, hour: number) => momentAt(day, hour, evening);
    put({ kind: 'regime', at: at(planted, 20), containerId: container.id, regimeId: regime.id });
    const set = SEEN_SET[label];
    if (set) put({ kind: 'stage', at: at(set, 18.5), containerId: container.id, stage: 'set' });
    const live = [...timed].sort((a, b) => a.at - b.at).map(({ entry }) => entry);
    const waterings = garden.entries.filter((e) => e.kind === 'watering' && e.containerId === container.id);
    const { stageDates } = bagFeeding(garden, container, properties, live, today, warmth);
    const case_ = feedingCaseOf(container, occupants, live, garden, stageDates, regime, planted);
    for (const feed of plannedFeeds(case_, planted, addDays(today, -1), DEFAULT_ASSUMED)) {
      if (chance.next() < FORGOTTEN_SHARE) continue;
      const step = regime.steps.find((s) => s.id === feed.stepId);
      const product = findProduct(feed.productId);
      const dose = step && doseOfStep(step, product);
      if (!dose || !product) continue;
      const watering = waterings.find((e) => dayOf(e.at) === feed.day);
      const isStore = product.feed?.form === 'two-part';
      const waterLitres = isStore ? 12 : watering?.kind === 'watering' ? watering.litres : USUAL_LITRES;
      const bag = {
        containerId: container.id,
        waterLitres,
        plants: occupants.length,
        mixLitres: properties.fill.mixLitres,
      };
      const given = feedFor(dose, bag);
      const base = {
        kind: 'fed' as const,
        at: at(feed.day, 18.4),
        containerId: container.id,
        amount: Math.round(given.amount * 10) / 10,
        unit: given.unit,
        ...(dose.per === 'litre' ? { litres: waterLitres } : {}),
        ...(isStore ? { into: 'store' as const } : {}),
        regimeId: regime.id,
        stepId: feed.stepId,
      };
      put({ ...base, productId: feed.productId });
      const partner = product.feed?.partnerId;
      if (partner) {
        put({ ...base, productId: partner });
        put({
          kind: 'solution',
          at: at(feed.day, 18.5),
          containerId: container.id,
          what: 'changed',
          litres: waterLitres,
          ecMillisiemens: 2.1,
          ph: 6.1,
        });
        [3, 6, 10].forEach((later, i) => {
          const day = addDays(feed.day, later);
          if (day <= today)
            put({
              kind: 'solution',
              at: at(day, 8.2),
              containerId: container.id,
              what: 'reading',
              ecMillisiemens: Math.round((2.1 + 0.07 * later + 0.05 * chance.next()) * 100) / 100,
              ph: Math.round((6.1 + 0.08 * (i + 1)) * 100) / 100,
            });
        });
      }
    }
  }
  const tub: Draft<'tea'> = {
    kind: 'tea',
    at: momentAt('2026-05-18', 11, evening),
    productId: 'weed-tea',
    litres: 20,
  };
  const tubId = id('entry');
  entries.push({ ...tub, id: tubId, recordedAt: tub.at });
  const tend = (day: Day, what: 'stirred' | 'strained', litres?: number) =>
    put({
      kind: 'tea-tended',
      at: momentAt(day, 19, evening),
      teaId: tubId,
      what,
      ...(litres === undefined ? {} : { litres }),
    });
  for (const day of ['2026-05-22', '2026-05-26', '2026-05-31', '2026-06-04']) tend(day, 'stirred');
  tend('2026-06-10', 'strained', 17);
  put({ kind: 'tea', at: momentAt('2026-07-08', 11, evening), productId: 'weed-tea', litres: 15 });
  return { regimes: [own], entries };
}
