import { assumed, type Assumed } from '../../assumed/index.ts';
import { DIMENSIONS, length, type Dimensions } from './kind.ts';
import { roundSolid } from './round.ts';
import { boxSolid } from './box.ts';

/** What several kinds share: how a round or a square container is measured, and how long things last. */

export const roundDimensions = [DIMENSIONS.rim, DIMENSIONS.base, DIMENSIONS.height];
export const boxDimensions = [DIMENSIONS.length, DIMENSIONS.width, DIMENSIONS.height];

export function roundFrom(size: Dimensions) {
  return roundSolid({
    rimMillimetres: length(size, 'rimMillimetres'),
    baseMillimetres: length(size, 'baseMillimetres'),
    heightMillimetres: length(size, 'heightMillimetres'),
  });
}

export function boxFrom(size: Dimensions) {
  return boxSolid({
    lengthMillimetres: length(size, 'lengthMillimetres'),
    widthMillimetres: length(size, 'widthMillimetres'),
    heightMillimetres: length(size, 'heightMillimetres'),
  });
}

/** A frustum of given litres: rim = ratio × height, base = taper × rim; volume = π h³ ratio² (1 + t + t²) / 12. */
export function likelyRound(litres: number, widthToHeight: number, baseToRim: number): Dimensions {
  const shape = (Math.PI / 12) * widthToHeight ** 2 * (1 + baseToRim + baseToRim ** 2);
  const heightMillimetres = Math.cbrt((litres * 1e6) / shape);
  const rimMillimetres = widthToHeight * heightMillimetres;
  return { rimMillimetres, baseMillimetres: baseToRim * rimMillimetres, heightMillimetres };
}

export const likelyRigid = (litres: number, numbers: Assumed) =>
  likelyRound(litres, numbers.rigidWidthToHeight, numbers.rigidBaseToRim);

/** A box of given litres, its sides in the proportions given. */
export function likelyBox(litres: number, longTo: number, wideTo: number): Dimensions {
  const heightMillimetres = Math.cbrt((litres * 1e6) / (longTo * wideTo));
  return {
    lengthMillimetres: longTo * heightMillimetres,
    widthMillimetres: wideTo * heightMillimetres,
    heightMillimetres,
  };
}

export function tooMuchTaper(size: Dimensions) {
  return length(size, 'baseMillimetres') > length(size, 'rimMillimetres') * 1.25
    ? {
        key: 'baseMillimetres',
        message: 'The base is more than a quarter wider than the top. Are the two swapped?',
      }
    : undefined;
}

/** How many seasons a container lasts. */
export const lasts = (likely: number, low: number, high: number) =>
  assumed(likely, low, high, 'seasons', 'Sun, frost and handling decide; your own record replaces it.');

/** What the empty container weighs, kg per litre that it holds. */
export const weighs = (likely: number, low: number, high: number) =>
  assumed(likely, low, high, 'kg per litre', 'Empty; the filling outweighs it many times.');

export const FABRIC = {
  wall: 'fabric',
  isClosed: false,
  holdsCane: true,
  drainage: {
    by: 'walls',
    description: 'Drains and breathes all round: no holes are needed.',
    canBeRaised: false,
  },
  seasons: lasts(4, 2, 7),
  emptyKilogramsPerLitre: weighs(0.012, 0.006, 0.03),
} as const;

export const RIGID = {
  wall: 'plastic',
  isClosed: false,
  holdsCane: true,
  drainage: {
    by: 'base-holes',
    description: 'Holes in the base, or low in the side, which keeps a wet reserve below them.',
    canBeRaised: true,
  },
  seasons: lasts(8, 4, 15),
  emptyKilogramsPerLitre: weighs(0.04, 0.025, 0.07),
} as const;

export const FILM = {
  wall: 'film',
  isClosed: false,
  drainage: {
    by: 'slits',
    description: 'Cut slits low in the sides; a few centimetres up they keep a wet reserve.',
    canBeRaised: true,
  },
  seasons: lasts(1, 1, 2),
  emptyKilogramsPerLitre: weighs(0.006, 0.003, 0.012),
} as const;
