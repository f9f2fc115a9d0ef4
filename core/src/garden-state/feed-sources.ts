import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import { habitFigures, type Occupant } from '../plants/index.ts';
import type { Entry, EntryOf, Container, Garden } from '../records/index.ts';
import { yieldFactor, type FedPlant, type LedgerSource } from '../feeding/index.ts';
import {
  elementsBy,
  elementsIn,
  gramsOf,
  scoopsOf,
  NO_ELEMENTS,
  type Elements,
  findProduct,
} from '../products/index.ts';
import type { PlantingDates } from '../season/index.ts';
import type { Move, WaterEvent } from '../water/index.ts';
import type { BagProperties } from './properties.ts';

/** What went into a bag: its filling, what was worked in, and every feed. */
export function sourcesOf(
  container: Container,
  properties: BagProperties,
  here: readonly Entry[],
  garden: Garden,
  from: Day,
): { readonly sources: readonly LedgerSource[]; readonly unknown: number } {
  const scoops = scoopsOf(garden);
  const filled = here.findLast((e): e is EntryOf<'filled'> => e.kind === 'filled');
  const mixLitres = properties.fill.mixLitres;
  const ofMix = (id: string, brings: Elements, months: number | undefined): LedgerSource => ({
    id,
    day: from,
    kind: 'mix',
    brings,
    months,
  });
  const sources: LedgerSource[] = properties.mix.base.flatMap((base, i) => {
    const all = elementsIn(base.gramsPerLitre * mixLitres, base.label);
    const quick = base.quickShare ?? 0;
    const rest = elementsBy((e) => all[e] * (1 - quick));
    return [
      ofMix(`mix-${i}`, { ...rest, k: 0 }, base.months),
      ofMix(`mix-${i}-potash`, { ...NO_ELEMENTS, k: rest.k }, base.potashMonths ?? base.months),
      ofMix(
        `mix-${i}-quick`,
        elementsBy((e) => all[e] * quick),
        undefined,
      ),
    ];
  });
  const lime = findProduct('lime');
  const limeGrams = (properties.mix.limeGramsPerLitre + properties.mix.limeInParts) * mixLitres;
  if (limeGrams > 0) sources.push(ofMix('mix-lime', elementsIn(limeGrams, lime?.label), lime?.feed?.months));
  for (const [i, { productId, grams }] of (filled?.amendments ?? []).entries()) {
    const product = findProduct(productId, garden.products);
    sources.push({
      id: `${container.id}-${i}`,
      day: from,
      kind: 'amendment',
      brings: elementsIn(grams, product?.label),
      months: product?.feed?.months,
    });
  }
  let unknown = 0;
  for (const e of here) {
    if (e.kind === 'watering' && dayOf(e.at) >= from) {
      const { tapCa, tapMg } = properties.assumed;
      const brings = { ...NO_ELEMENTS, ca: (e.litres * tapCa) / 1000, mg: (e.litres * tapMg) / 1000 };
      sources.push({ id: e.id, day: dayOf(e.at), kind: 'water', brings, months: undefined });
    }
    if (e.kind !== 'fed' || dayOf(e.at) < from) continue;
    const product = findProduct(e.productId, garden.products);
    const grams = product && gramsOf(e, product, scoops);
    if (!product?.label || grams === undefined) unknown += 1;
    else
      sources.push({
        id: e.id,
        day: dayOf(e.at),
        kind: 'feed',
        brings: elementsIn(grams, product.label),
        months: product.feed?.months,
      });
  }
  return { sources, unknown };
}

/** What gives for less than this is no slow feed, months. */
const LEAST_SLOW_MONTHS = 1;
const MONTH_DAYS = 30.4;

/** The day on which the label months are over of all that gives slowly in a mix; undefined where nothing does. */
export function labelMonthsOver(sources: readonly LedgerSource[]): Day | undefined {
  return sources
    .flatMap(({ day, months, brings }) =>
      months !== undefined && months >= LEAST_SLOW_MONTHS && brings.n > 0
        ? [addDays(day, Math.round(months * MONTH_DAYS))]
        : [],
    )
    .sort()
    .at(-1);
}

/** From this part of its label's dose on a feed is a full one. */
const FULL_SHARE = 0.6;

/** Whether a feed in water was at about its label's strength or above; undefined where that cannot be told. */
export function isFullDose(fed: EntryOf<'fed'>, garden: Garden): boolean | undefined {
  const product = findProduct(fed.productId, garden.products);
  const dose = product?.feed?.dose;
  if (!product || dose?.per !== 'litre' || fed.litres === undefined) return undefined;
  const scoops = scoopsOf(garden);
  const [given, full] = [gramsOf(fed, product, scoops), gramsOf(dose, product, scoops)];
  const share =
    given !== undefined && full
      ? given / full
      : fed.unit === dose.unit
        ? fed.amount / dose.amount
        : undefined;
  return share === undefined ? undefined : share / fed.litres >= FULL_SHARE;
}

/** Share of a bag's water that ran out of it on each day: what was poured and did not stay. */
export function drainedBy(
  here: readonly Entry[],
  moves: readonly Move[],
  waterLitres: number,
): ReadonlyMap<Day, number> {
  const stayed = new Map(
    moves
      .filter((m) => m.kind === ('watering' satisfies WaterEvent['kind']))
      .map((m) => [m.entryId, m.afterLitres - m.beforeLitres]),
  );
  const days = new Map<Day, number>();
  for (const e of here) {
    if (e.kind !== 'watering' || e.into === 'store') continue;
    const attachment = stayed.get(e.id);
    if (attachment === undefined) continue;
    const through = Math.max(0, e.litres - Math.max(0, attachment));
    if (through < 0.02) continue;
    const day = dayOf(e.at);
    days.set(day, Math.min(1, (days.get(day) ?? 0) + through / (waterLitres + through)));
  }
  return days;
}

/** The plants of a bag as the ledger sees them. */
export function fedPlants(
  occupants: readonly Occupant[],
  here: readonly Entry[],
  garden: Garden,
  datesOfPlant: (occupant: Occupant) => PlantingDates,
  today: Day,
  assumed: Pick<Assumed, 'cropPerCover' | 'flowersToSet'>,
): readonly FedPlant[] {
  return occupants.map((occupant) => {
    const { crop, habit, plantedOn, clearedOn } = occupant;
    const figures = habitFigures(crop.id, habit, garden.settings.assumptions);
    const dates = datesOfPlant(occupant);
    const fruitFrom = addDays(dates.firstFlowers.from, assumed.flowersToSet);
    const fruitTo = addDays(dates.clear, -7);
    const picked = here.reduce(
      (sum, e) =>
        e.kind === 'picking' && dayOf(e.at) >= plantedOn && (!clearedOn || dayOf(e.at) <= clearedOn)
          ? sum + (e.kilograms ?? 0)
          : sum,
      0,
    );
    const span = Math.max(1, daysBetween(dates.picking.from, dates.picking.to));
    const done = Math.min(1, Math.max(0, daysBetween(dates.picking.from, today) / span));
    const others = Math.max(1, occupants.filter((o) => o.clearedOn === undefined).length);
    const expected = assumed.cropPerCover * figures.canopySquareMetres * done;
    return {
      cropId: crop.id,
      plantedOn,
      clearedOn,
      canopySquareMetres: figures.canopySquareMetres,
      weeksToFull: figures.weeksToFull,
      fruitFrom,
      fruitTo,
      yieldFactor: yieldFactor(picked / others, expected, figures.canopySquareMetres),
    };
  });
}
