import type { Assumed } from '../../assumed/index.ts';
import { length, type ContainerKind, type Dimensions } from './kind.ts';
import { pillowSolid } from './pillow.ts';
import { roundSolid } from './round.ts';
import { squareSolid } from './square.ts';

const heightOf = { key: 'heightMillimetres', label: 'Height', low: 80, high: 1200 };

const roundSizes: ContainerKind['dimensions'] = [
  { key: 'rimMillimetres', label: 'Across the top', low: 80, high: 1500 },
  { key: 'baseMillimetres', label: 'Across the base', low: 60, high: 1500 },
  heightOf,
];

function roundFrom(size: Dimensions) {
  return roundSolid({
    rimMillimetres: length(size, 'rimMillimetres'),
    baseMillimetres: length(size, 'baseMillimetres'),
    heightMillimetres: length(size, 'heightMillimetres'),
  });
}

/** A frustum of given litres: rim = ratio × height, base = taper × rim; volume = π h³ ratio² (1 + t + t²) / 12. */
function likelyRound(litres: number, widthToHeight: number, baseToRim: number): Dimensions {
  const shape = (Math.PI / 12) * widthToHeight ** 2 * (1 + baseToRim + baseToRim ** 2);
  const heightMillimetres = Math.cbrt((litres * 1e6) / shape);
  const rimMillimetres = widthToHeight * heightMillimetres;
  return { rimMillimetres, baseMillimetres: baseToRim * rimMillimetres, heightMillimetres };
}

function tooMuchTaper(size: Dimensions) {
  return length(size, 'baseMillimetres') > length(size, 'rimMillimetres') * 1.25
    ? {
        key: 'baseMillimetres',
        message: 'The base is more than a quarter wider than the top. Are the two swapped?',
      }
    : undefined;
}

export const roundFabric: ContainerKind = {
  id: 'round-fabric',
  name: 'Round fabric bag',
  words: 'Breathes, dries fast, hard to overwater.',
  type: 'bag',
  wall: 'fabric',
  corners: 'rounded',
  holdsCane: true,
  stations: { usual: 1, most: 4 },
  hasTradeClass: true,
  dimensions: roundSizes,
  check: tooMuchTaper,
  solid: roundFrom,
  likelyDimensions: (litres, assumed: Assumed) => likelyRound(litres, assumed.roundWidthToHeight, 1),
};

export const squareFabric: ContainerKind = {
  id: 'square-fabric',
  name: 'Square fabric bag',
  words: 'As the round one; stands close in rows.',
  type: 'bag',
  wall: 'fabric',
  corners: 'square',
  holdsCane: true,
  stations: { usual: 1, most: 4 },
  hasTradeClass: true,
  dimensions: [
    { key: 'lengthMillimetres', label: 'Length', low: 80, high: 2500 },
    { key: 'widthMillimetres', label: 'Width', low: 80, high: 1500 },
    heightOf,
  ],
  solid: (size) =>
    squareSolid({
      lengthMillimetres: length(size, 'lengthMillimetres'),
      widthMillimetres: length(size, 'widthMillimetres'),
      heightMillimetres: length(size, 'heightMillimetres'),
    }),
  likelyDimensions: (litres, assumed) => {
    const heightMillimetres = Math.cbrt((litres * 1e6) / assumed.roundWidthToHeight ** 2);
    const side = assumed.roundWidthToHeight * heightMillimetres;
    return { lengthMillimetres: side, widthMillimetres: side, heightMillimetres };
  },
};

export const pillow: ContainerKind = {
  id: 'pillow',
  name: 'Pillow bag, lying flat',
  words: 'Shallow, cheap, planted through the top; cannot hold a cane by itself.',
  type: 'bag',
  wall: 'film',
  corners: 'rounded',
  holdsCane: false,
  stations: { usual: 3, most: 4 },
  hasTradeClass: false,
  dimensions: [
    { key: 'lengthMillimetres', label: 'Length', low: 300, high: 1600 },
    { key: 'widthMillimetres', label: 'Width', low: 150, high: 800 },
    { ...heightOf, low: 60, high: 400 },
  ],
  check: (size) =>
    length(size, 'heightMillimetres') > length(size, 'widthMillimetres')
      ? { key: 'heightMillimetres', message: 'A pillow bag lies flat: it cannot be higher than it is wide.' }
      : undefined,
  solid: (size) =>
    pillowSolid({
      lengthMillimetres: length(size, 'lengthMillimetres'),
      widthMillimetres: length(size, 'widthMillimetres'),
      heightMillimetres: length(size, 'heightMillimetres'),
    }),
  // the usual proportions of a filled bag, about 6 : 2.7 : 1, scaled to the litres
  likelyDimensions: (litres) => {
    const model = { lengthMillimetres: 900, widthMillimetres: 400, heightMillimetres: 150 };
    const scale = Math.cbrt(litres / (pillowSolid(model).volumeBelow(150) / 1e6));
    return {
      lengthMillimetres: 900 * scale,
      widthMillimetres: 400 * scale,
      heightMillimetres: 150 * scale,
    };
  },
};

export const bucket: ContainerKind = {
  id: 'bucket',
  name: 'Bucket with holes',
  words: 'Rigid, tapered; holes a little up the side keep a wet reserve.',
  type: 'pot',
  wall: 'plastic',
  corners: 'rounded',
  holdsCane: true,
  stations: { usual: 1, most: 1 },
  hasTradeClass: true,
  dimensions: roundSizes,
  check: tooMuchTaper,
  solid: roundFrom,
  likelyDimensions: (litres, assumed) =>
    likelyRound(litres, assumed.rigidWidthToHeight, assumed.rigidBaseToRim),
};
