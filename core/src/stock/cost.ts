import type { Assumed } from '../assumed/index.ts';
import { containerKind } from '../bags/index.ts';
import { dayOf, seasonYearOf } from '../calendar/index.ts';
import {
  entriesAt,
  entriesOfKind,
  type Container,
  type Entry,
  type EntryOf,
  type Settings,
} from '../records/index.ts';
import { findMix } from '../mixes/index.ts';
import { findProduct } from '../products/index.ts';
import { takenByFeed, takenByFilling, type StockContext } from './stock.ts';
import { type PriceLog } from './prices.ts';

/** One part of what a bag cost in a season. */
export interface CostLine {
  readonly what:
    | 'bag'
    | 'mix'
    | 'amendments'
    | 'feeds'
    | 'supplies'
    | 'seed'
    | 'plants'
    | 'current'
    | 'water'
    | 'other'
    | 'work';
  readonly price: number;
  /** how it was worked out, as data for a sentence */
  readonly how:
    | { readonly kind: 'spread'; readonly over: number; readonly whole: number }
    | {
        readonly kind: 'shared';
        readonly among: number;
        readonly whole: number;
        /** seasons that it is spread over */
        readonly over?: number;
      }
    | { readonly kind: 'minutes'; readonly minutes: number }
    | { readonly kind: 'as-used' };
}

/** What a bag cost in a season, and what is not in it. */
export interface BagCost {
  readonly containerId: string;
  readonly lines: readonly CostLine[];
  readonly total: number;
  /** products that went in and have no price yet; "bag" when the container has none */
  readonly unpriced: readonly string[];
}

/** What a price is looked up by: the latest paid or seen, else the cheapest pack's. */
export type UnitPrice = (productId: string) => number | undefined;

/**
 * Prices per unit of a product: the latest in the log, else that of its cheapest priced pack.
 */
export function unitPrices(
  logs: readonly PriceLog[],
  packs: readonly {
    readonly productId: string;
    readonly amount: number;
    readonly price?: number | undefined;
  }[],
): UnitPrice {
  return (productId) => {
    const log = logs.find((l) => l.productId === productId);
    if (log) return log.latest.perUnit;
    const each = packs.flatMap((p) =>
      p.productId === productId && p.price !== undefined ? [p.price / p.amount] : [],
    );
    return each.length === 0 ? undefined : Math.min(...each);
  };
}

/**
 * What a container cost in one season: its own price over its seasons, its mix over the seasons a mix is kept, and what
 * was spent, used and worked for it, shared evenly over the bags that an entry names (all, when it names none).
 *
 * @param live the garden's live entries
 * @param year in which the season begins
 * @param bagsInUse how many bags an entry that names none is shared among
 * @see docs/model.md, 2. Mixes, shopping, load
 */
export function costOf(
  container: Container,
  live: readonly Entry[],
  year: number,
  garden: Omit<StockContext, 'assumed'> & {
    readonly settings: Pick<Settings, 'hourValue' | 'latitudeDegrees'>;
    readonly bagsInUse: number;
  },
  priceOf: UnitPrice,
  assumed: Assumed,
): BagCost {
  const yearOf = ({ at }: { readonly at: string }) =>
    seasonYearOf(dayOf(at), garden.settings.latitudeDegrees);
  const lines: CostLine[] = [];
  const unpriced = new Set<string>();
  const bagLine = costOfBag(container);
  if (bagLine) lines.push(bagLine);
  else unpriced.add('bag');
  const priced = (productId: string, amount: number): number => {
    const each = priceOf(productId);
    if (each === undefined) unpriced.add(productId);
    return (each ?? 0) * amount;
  };
  const filling = latestFilling(container, live, (entry) => yearOf(entry) <= year);
  if (filling) {
    const amended = new Map(filling.amendments.map((a) => [a.productId, a.grams / 1000]));
    // a home mix with a price of its own is not reckoned by its parts
    const own = filling.layers.map((layer) => ({
      ...layer,
      price: findMix(layer.mixId, garden.mixes)?.pricePerLitre,
    }));
    let mix = own.reduce((sum, { litres, price = 0 }) => sum + litres * price, 0);
    let amendments = 0;
    const byParts = { ...filling, layers: own.filter(({ price }) => price === undefined) };
    for (const [productId, amount] of takenByFilling(byParts, garden.mixes, assumed)) {
      const kilograms = amended.get(productId);
      if (kilograms === undefined) mix += priced(productId, amount);
      else amendments += priced(productId, amount);
    }
    const over = assumed.mixLives;
    if (mix > 0) lines.push({ what: 'mix', price: mix / over, how: { kind: 'spread', over, whole: mix } });
    const isThisYear = yearOf(filling) === year;
    if (amendments > 0 && isThisYear)
      lines.push({ what: 'amendments', price: amendments, how: { kind: 'as-used' } });
  }
  const here = entriesAt(live, container.id);
  const feeds = here.reduce((sum, entry) => {
    if (entry.kind !== 'fed' || yearOf(entry) !== year) return sum;
    // what is steeped at home was not bought
    if (findProduct(entry.productId, garden.products)?.feed?.form === 'tea') return sum;
    return sum + priced(entry.productId, takenByFeed(entry, garden.products, garden.scoops) ?? 0);
  }, 0);
  if (feeds > 0) lines.push({ what: 'feeds', price: feeds, how: { kind: 'as-used' } });
  for (const entry of here) {
    const age = year - yearOf(entry);
    if (entry.kind === 'used') {
      const over = findProduct(entry.productId, garden.products)?.seasons ?? 1;
      if (age >= 0 && age < over) {
        const whole = priced(entry.productId, entry.amount);
        const how = over > 1 ? ({ kind: 'spread', over, whole } as const) : ({ kind: 'as-used' } as const);
        lines.push({ what: 'supplies', price: whole / over, how });
      }
    }
  }
  for (const entry of entriesOfKind(live, 'spent')) {
    const age = year - yearOf(entry);
    const among = shareAmong(entry.containerIds, container.id, garden.bagsInUse);
    const over = entry.seasons ?? 1;
    if (among > 0 && age >= 0 && age < over)
      lines.push({
        what: entry.on,
        price: entry.price / among / over,
        how: { kind: 'shared', among, whole: entry.price, ...(over > 1 ? { over } : {}) },
      });
  }
  const { hourValue } = garden.settings;
  for (const entry of entriesOfKind(live, 'worked')) {
    const among = shareAmong(entry.containerIds, container.id, garden.bagsInUse);
    if (hourValue === undefined || among === 0 || yearOf(entry) !== year) continue;
    const minutes = entry.minutes / among;
    lines.push({ what: 'work', price: (minutes / 60) * hourValue, how: { kind: 'minutes', minutes } });
  }
  return {
    containerId: container.id,
    lines,
    total: lines.reduce((sum, line) => sum + line.price, 0),
    unpriced: [...unpriced],
  };
}

function costOfBag(container: Container): CostLine | undefined {
  if (container.price === undefined) return undefined;
  const over = container.seasons ?? containerKind(container.kindId).seasons.value;
  return {
    what: 'bag',
    price: container.price / over,
    how: { kind: 'spread', over, whole: container.price },
  };
}

/** The filling that is in the bag in a year: the last one up to its end. */
function latestFilling(container: Container, live: readonly Entry[], isInTime: (entry: Entry) => boolean) {
  return entriesAt(live, container.id).findLast(
    (e): e is EntryOf<'filled'> => e.kind === 'filled' && isInTime(e),
  );
}

/** Among how many bags an entry is shared, or 0 when it is not for this bag. */
function shareAmong(named: readonly string[], containerId: string, bagsInUse: number): number {
  if (named.length === 0) return Math.max(1, bagsInUse);
  return named.includes(containerId) ? named.length : 0;
}

/**
 * What lamps used, kWh.
 *
 * @example
 * kilowattHours(60, 14, 42)
 * // ≈> 35.28
 */
export function kilowattHours(watts: number, hoursADay: number, days: number): number {
  return (watts * hoursADay * days) / 1000;
}
