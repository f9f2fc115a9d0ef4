import { containerKind } from '../kinds/index.ts';
import type { Dimensions } from '../kinds/kind.ts';
import { heightOfLitres, type Solid } from '../solid.ts';
import { roundSolid } from '../kinds/round.ts';
import { sealedTubeHeight, tubeDiameter } from '../kinds/soft.ts';

/** What a grower wants to make from film, all lengths in mm. */
export interface SleeveOrder {
  readonly film: 'flat' | 'tube';
  /** the roll's width; of a tube, its width laid flat */
  readonly filmWidthMillimetres: number;
  /** sleeves cut side by side from a tube, each closed along its cuts by a seam; left out: one */
  readonly sideBySide?: number;
  /** width of the sleeve wanted, laid flat; a tube of film gives its own */
  readonly flatMillimetres: number;
  /** length cut for one sleeve */
  readonly stripMillimetres: number;
  /** taken up by the seam along a sleeve of flat film, and across a sealed base */
  readonly seamMillimetres: number;
  readonly isBaseSealed: boolean;
  readonly count: number;
  /** free rim above the mix */
  readonly rimMillimetres: number;
  /** litres that the grower hopes each will hold */
  readonly hopedLitres?: number;
}

/** A field of an order that does not work out, with a message for beside it. */
export interface OrderProblem {
  readonly field: Exclude<keyof SleeveOrder, 'film' | 'isBaseSealed' | 'hopedLitres'>;
  readonly message: string;
  /** the lengths that would do, mm, where the message is followed by them */
  readonly span?: { readonly low: number; readonly high: number };
}

/** The kind of container that a sleeve is. */
export function sleeveKindId(order: Pick<SleeveOrder, 'isBaseSealed'>): 'film-sleeve' | 'open-sleeve' {
  return order.isBaseSealed ? 'film-sleeve' : 'open-sleeve';
}

/** How the film is cut and what comes of it. */
export interface CuttingPlan {
  /** sleeves side by side across the roll, and rows of them along it */
  readonly across: number;
  readonly rows: number;
  /** film to buy, mm */
  readonly filmLengthMillimetres: number;
  /** share of that film that ends in no sleeve */
  readonly wasteShare: number;
  /** width of the piece for one sleeve, mm: its circumference and a seam; of a tube its width */
  readonly pieceMillimetres: number;
  readonly diameterMillimetres: number;
  readonly standingMillimetres: number;
  readonly solid: Solid;
  /** at the fill height, which is the standing height less the rim */
  readonly fillMillimetres: number;
  readonly litres: number;
  /** how the mix that was meant for it would stand */
  readonly hoped:
    | { readonly kind: 'stands-at'; readonly litres: number; readonly millimetres: number }
    | { readonly kind: 'overflows'; readonly litres: number; readonly litresOver: number }
    | undefined;
}

function problemsOf(order: SleeveOrder): readonly OrderProblem[] {
  const found: OrderProblem[] = [];
  const say = (field: OrderProblem['field'], message: string) => found.push({ field, message });
  if (!(order.filmWidthMillimetres > 0)) say('filmWidthMillimetres', 'The film needs a width.');
  if (!(order.stripMillimetres > 0)) say('stripMillimetres', 'Each sleeve needs a length.');
  if (order.seamMillimetres < 0) say('seamMillimetres', 'A seam takes film: it cannot be less than nothing.');
  if (order.rimMillimetres < 0) say('rimMillimetres', 'The rim cannot be less than nothing.');
  if (!(Number.isInteger(order.count) && order.count > 0))
    say('count', 'A whole number of sleeves, one at the least.');
  if (order.film === 'flat') {
    if (!(order.flatMillimetres > 0)) say('flatMillimetres', 'How wide should a sleeve be, laid flat?');
    else if (2 * order.flatMillimetres + Math.max(0, order.seamMillimetres) > order.filmWidthMillimetres) {
      say(
        'flatMillimetres',
        'The sleeve is wider than the film: it takes twice its flat width and a seam across the roll.',
      );
    }
  }
  const { sideBySide = 1 } = order;
  if (!(Number.isInteger(sideBySide) && sideBySide >= 1 && sideBySide <= 12))
    say('sideBySide', 'A whole number of sleeves side by side, from 1 to 12.');
  if (found.length > 0) return found;
  const flat = flatOf(order);
  if (standingHeight(order, flat) - order.rimMillimetres < 30) {
    say('stripMillimetres', 'Seam, base and rim take up the whole length: nothing is left to fill.');
  }
  if (found.length > 0) return found;
  const lengths: Dimensions = { flatMillimetres: flat, heightMillimetres: standingHeight(order, flat) };
  for (const { key, low, high } of containerKind(sleeveKindId(order)).dimensions) {
    const given = lengths[key] ?? 0;
    if (given >= low && given <= high) continue;
    const isHeight = key === 'heightMillimetres';
    const width = order.film === 'tube' ? 'filmWidthMillimetres' : 'flatMillimetres';
    found.push({
      field: isHeight ? 'stripMillimetres' : width,
      message: isHeight ? 'Nothing stands so high or so low. It may stand' : 'Laid flat, a sleeve is',
      span: { low, high },
    });
  }
  return found;
}

/**
 * Width of one sleeve laid flat, mm. A tube that is cut into several along its length takes a seam at either side of each cut.
 *
 * @example
 * flatOf({ film: 'tube', filmWidthMillimetres: 1000, flatMillimetres: 0, seamMillimetres: 20, sideBySide: 2 })
 * // => 480
 */
export function flatOf(
  order: Pick<
    SleeveOrder,
    'film' | 'filmWidthMillimetres' | 'flatMillimetres' | 'seamMillimetres' | 'sideBySide'
  >,
): number {
  if (order.film === 'flat') return order.flatMillimetres;
  const { sideBySide = 1 } = order;
  return (order.filmWidthMillimetres - 2 * (sideBySide - 1) * order.seamMillimetres) / sideBySide;
}

function standingHeight(order: SleeveOrder, flatMillimetres: number): number {
  return order.isBaseSealed
    ? sealedTubeHeight(order.stripMillimetres - order.seamMillimetres, flatMillimetres)
    : order.stripMillimetres;
}

/**
 * The cutting plan for sleeves from a roll of film: pieces across the roll, rows along it, film to buy, waste, and
 * what a sleeve of that width really holds (a tube of flat width w stands 2w / π across), compared with what its
 * maker hopes for. A flat roll gives a sleeve for each twice the flat width and a seam; a tube one for each length.
 *
 * @returns `refused` with a message for each field that does not work out
 * @see docs/model.md, 1. Bags
 * @example
 * planSleeves({ film: 'tube', filmWidthMillimetres: 400, flatMillimetres: 400, stripMillimetres: 500, seamMillimetres: 20,
 *   isBaseSealed: false, count: 6, rimMillimetres: 100 }).plan?.litres
 * // ≈> 20.3718
 */
export function planSleeves(
  order: SleeveOrder,
):
  | { readonly kind: 'planned'; readonly plan: CuttingPlan }
  | { readonly kind: 'refused'; readonly plan?: undefined; readonly problems: readonly OrderProblem[] } {
  const problems = problemsOf(order);
  if (problems.length > 0) return { kind: 'refused', problems };
  const isTube = order.film === 'tube';
  const flat = flatOf(order);
  const pieceMillimetres = isTube
    ? order.filmWidthMillimetres / (order.sideBySide ?? 1)
    : 2 * flat + order.seamMillimetres;
  const across = Math.floor(order.filmWidthMillimetres / pieceMillimetres + 1e-9);
  const rows = Math.ceil(order.count / across);
  const filmLengthMillimetres = rows * order.stripMillimetres;
  const used = order.count * pieceMillimetres * order.stripMillimetres;
  const diameterMillimetres = tubeDiameter(flat);
  const standingMillimetres = standingHeight(order, flat);
  const solid = roundSolid({
    rimMillimetres: diameterMillimetres,
    baseMillimetres: diameterMillimetres,
    heightMillimetres: standingMillimetres,
  });
  const fillMillimetres = standingMillimetres - order.rimMillimetres;
  return {
    kind: 'planned',
    plan: {
      across,
      rows,
      filmLengthMillimetres,
      wasteShare: 1 - used / (filmLengthMillimetres * order.filmWidthMillimetres),
      pieceMillimetres,
      diameterMillimetres,
      standingMillimetres,
      solid,
      fillMillimetres,
      litres: solid.volumeBelow(fillMillimetres) / 1e6,
      hoped: order.hopedLitres === undefined ? undefined : standing(solid, order.hopedLitres),
    },
  };
}

function standing(solid: Solid, litres: number): NonNullable<CuttingPlan['hoped']> {
  const stands = heightOfLitres(solid, litres);
  return stands.kind === 'stands-at'
    ? { kind: 'stands-at', litres, millimetres: stands.millimetres }
    : { kind: 'overflows', litres, litresOver: stands.litresOver };
}
