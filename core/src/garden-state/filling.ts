import { dayOf } from '../calendar/index.ts';
import { troubleCases, type TroubleCase } from '../care/index.ts';
import { fillingOf, mixOf, reuseOf, type Mix, type Recipe, type Reuse } from '../mixes/index.ts';
import { amountForBag, gramsOf, type Dose, type Scoops } from '../products/index.ts';
import {
  entriesAt,
  type Container,
  type Entry,
  type EntryOf,
  type FeedAmount,
  type Product,
} from '../records/index.ts';
import type { BagView } from './bag-view.ts';

/** Where something that is worked in goes. */
export type Placement = EntryOf<'filled'>['amendments'][number]['where'];

/** A product that is worked in, by so much for each litre, bag or hole. */
export interface Amendment {
  readonly dose: Dose;
  readonly product: Product;
  readonly where: Placement;
  /** as it was typed */
  readonly asEntered: string;
}

/** What a set of bags is filled with. */
export interface Filling {
  /** one mix for all of them; left out: each its own */
  readonly mixId: string | undefined;
  /** share of old mix that stays, 0 to 1 */
  readonly keptShare: number;
  readonly amendments: readonly Amendment[];
}

/** What one bag gets. */
export interface BagFill<B extends FilledBag = FilledBag> {
  readonly bag: B;
  readonly mix: Mix;
  /** the new mix, from the base upwards, by its share */
  readonly layers: readonly { readonly mixId: string; readonly share: number }[];
  readonly reuse: Reuse;
  /** new loose mix, L */
  readonly newLitres: number;
  readonly amendments: readonly {
    readonly product: Product;
    /** in the unit that the grower counts it in */
    readonly amount: FeedAmount;
    readonly grams: number;
    readonly where: Placement;
    readonly asEntered: string;
  }[];
}

type FilledBag = Pick<BagView, 'container' | 'properties'>;

/** The trouble recorded in a bag since it was last filled, if by the last word on it it may live on in the mix. */
export function troubleIn(containerId: string, live: readonly Entry[]): TroubleCase | undefined {
  const filled = entriesAt(live, containerId).findLast((e) => e.kind === 'filled');
  const since = filled ? Date.parse(filled.at) : -Infinity;
  return troubleCases(containerId, live).find((t) => t.livesInMix && Date.parse(t.entry.at) > since);
}

/** Whether a bag has been filled in the year of a moment. */
export function isFilled(containerId: string, live: readonly Entry[], now: string): boolean {
  return entriesAt(live, containerId).some(
    (e) => e.kind === 'filled' && e.at.slice(0, 4) === now.slice(0, 4),
  );
}

/** Loose litres of a mix that fill a bag, since it settles. */
function looseLitresOf({ container, properties }: FilledBag, mix: Mix): number {
  // what really went in was said, and is not worked out again
  if (container.fill?.by === 'loose') return container.fill.looseLitres;
  return properties.fill.mixLitres / (1 - (container.settling ?? mix.settling));
}

/**
 * What each bag gets. A bag whose old mix must not be used again gets new mix throughout.
 *
 * @param named what trouble is called, for the reason
 */
export function fillBags<B extends FilledBag>(
  bags: readonly B[],
  { mixId, keptShare, amendments }: Filling,
  live: readonly Entry[],
  mixes: readonly Recipe[],
  scoops: Scoops,
  named: (what: string) => string,
): readonly BagFill<B>[] {
  return bags.map((bag): BagFill<B> => {
    const mix = mixId === undefined ? fillingOf(bag.container, mixes) : mixOf(mixId, mixes);
    const looseLitres = looseLitresOf(bag, mix);
    const { assumed } = bag.properties;
    const trouble = troubleIn(bag.container.id, live);
    const reuse = reuseOf(
      looseLitres,
      keptShare,
      trouble && { description: named(trouble.what), day: dayOf(trouble.entry.at) },
      assumed,
    );
    const keptLitres = reuse.kind === 'refresh' ? reuse.keptLitres : 0;
    return {
      bag,
      mix,
      layers: layersOf(bag.container, mixId),
      reuse,
      newLitres: reuse.kind === 'refresh' ? reuse.newLitres : looseLitres,
      amendments: amendments.flatMap(({ dose, product, where, asEntered }) => {
        const stations = bag.container.stations.length;
        const amount = amountForBag(dose, { looseLitres, keptLitres, stations });
        const grams = gramsOf(amount, product, scoops);
        return grams === undefined || grams <= 0 ? [] : [{ product, amount, grams, where, asEntered }];
      }),
    };
  });
}

function layersOf(container: Container, mixId: string | undefined) {
  const own = mixId === undefined ? container.layers : undefined;
  return own ?? [{ mixId: mixId ?? container.mixId, share: 1 }];
}

/** What a product is worked in for: to feed, or to sweeten and bring calcium. */
export function purposeOf(product: Product | undefined): 'feed' | 'lime' | undefined {
  const { label } = product ?? {};
  if (!label) return undefined;
  if (label.n + label.p2o5 + label.k2o > 0) return 'feed';
  return (label.ca ?? 0) > 0 ? 'lime' : undefined;
}
