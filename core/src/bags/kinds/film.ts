import { FILM, lasts } from './families.ts';
import { DIMENSIONS, length, type ContainerKind, type Dimensions } from './kind.ts';
import { floppySolid, sealedTubeHeight, tubeDiameter } from './soft.ts';
import { pillowSolid } from './pillow.ts';
import { roundSolid } from './round.ts';

/** A tube of film standing full: a cylinder whose circumference is twice the width laid flat. */
function tubeSolid(size: Dimensions) {
  const across = tubeDiameter(length(size, 'flatMillimetres'));
  return roundSolid({
    rimMillimetres: across,
    baseMillimetres: across,
    heightMillimetres: length(size, 'heightMillimetres'),
  });
}

/** A tube of given litres that stands a little higher than it is wide. */
function likelyTube(litres: number, heightToWidth: number): Dimensions {
  const across = Math.cbrt((litres * 4e6) / (Math.PI * heightToWidth));
  return { flatMillimetres: (across * Math.PI) / 2, heightMillimetres: across * heightToWidth };
}

const standingHeight = { ...DIMENSIONS.height, label: 'Height, standing full' };

export const filmSleeve: ContainerKind = {
  ...FILM,
  id: 'film-sleeve',
  name: 'Film sleeve, base sealed',
  short: 'film sleeve',
  description: 'Home-made from a tube of film. Black, never clear: roots cook in clear film.',
  type: 'bag',
  corners: 'rounded',
  holdsCane: false,
  stations: { usual: 1, most: 2 },
  hasTradeClass: false,
  dimensions: [DIMENSIONS.flat, standingHeight],
  solid: tubeSolid,
  likelyDimensions: (litres) => likelyTube(litres, 1.1),
};

export const openSleeve: ContainerKind = {
  ...filmSleeve,
  id: 'open-sleeve',
  name: 'Open-bottomed sleeve on soil',
  short: 'open sleeve',
  description: 'Drains and roots into the soil below it.',
  drainage: {
    by: 'open-base',
    description: 'Open below: stand it on loosened soil, not on paving.',
    canBeRaised: false,
  },
};

export const refuseBag: ContainerKind = {
  ...FILM,
  id: 'refuse-bag',
  name: 'Refuse bag, rim rolled down',
  short: 'refuse bag',
  description: 'Floppy and thin: double it, roll the rim, stand it where it can lean.',
  type: 'bag',
  corners: 'rounded',
  holdsCane: false,
  stations: { usual: 1, most: 2 },
  hasTradeClass: false,
  seasons: lasts(1, 1, 1),
  dimensions: [DIMENSIONS.flat, { ...DIMENSIONS.height, label: 'Length, laid flat, rim rolled' }],
  check: (size) =>
    sealedTubeHeight(length(size, 'heightMillimetres'), length(size, 'flatMillimetres')) < 80
      ? {
          key: 'heightMillimetres',
          message: 'Its base takes up nearly all of that length: it would not stand 8 cm high.',
        }
      : undefined,
  solid: (size) => {
    const flat = length(size, 'flatMillimetres');
    const across = tubeDiameter(flat);
    return roundSolid({
      rimMillimetres: across,
      baseMillimetres: across,
      heightMillimetres: sealedTubeHeight(length(size, 'heightMillimetres'), flat),
    });
  },
  likelyDimensions: (litres) => {
    const tube = likelyTube(litres, 1);
    const flat = length(tube, 'flatMillimetres');
    return { flatMillimetres: flat, heightMillimetres: length(tube, 'heightMillimetres') + flat / Math.PI };
  },
};

export const shoppingBag: ContainerKind = {
  ...FILM,
  id: 'shopping-bag',
  name: 'Shopping bag',
  short: 'shopping bag',
  isSoft: true,
  description: 'Woven and floppy, with handles to carry it by. Make holes in its base.',
  type: 'bag',
  wall: 'fabric',
  corners: 'rounded',
  holdsCane: false,
  stations: { usual: 1, most: 2 },
  hasTradeClass: false,
  drainage: {
    by: 'base-holes',
    description: 'Make a dozen holes in the base with a hot nail or scissors.',
    canBeRaised: true,
  },
  seasons: lasts(2, 1, 3),
  dimensions: [DIMENSIONS.length, DIMENSIONS.width, DIMENSIONS.height],
  solid: (size, _, assumed) =>
    floppySolid(
      {
        lengthMillimetres: length(size, 'lengthMillimetres'),
        widthMillimetres: length(size, 'widthMillimetres'),
        heightMillimetres: length(size, 'heightMillimetres'),
      },
      assumed.softRounding,
    ),
  likelyDimensions: (litres, assumed) => {
    const model = { lengthMillimetres: 400, widthMillimetres: 220, heightMillimetres: 340 };
    const scale = Math.cbrt((litres * 1e6) / floppySolid(model, assumed.softRounding).volumeBelow(340));
    return {
      lengthMillimetres: 400 * scale,
      widthMillimetres: 220 * scale,
      heightMillimetres: 340 * scale,
    };
  },
};

const pillowDimensions = [
  { ...DIMENSIONS.length, low: 300, high: 1600 },
  { ...DIMENSIONS.width, low: 150, high: 800 },
  { ...DIMENSIONS.height, low: 60, high: 400 },
];

export function pillowFrom(size: Dimensions) {
  return pillowSolid({
    lengthMillimetres: length(size, 'lengthMillimetres'),
    widthMillimetres: length(size, 'widthMillimetres'),
    heightMillimetres: length(size, 'heightMillimetres'),
  });
}

export function tooHighToLie(size: Dimensions) {
  return length(size, 'heightMillimetres') > length(size, 'widthMillimetres')
    ? { key: 'heightMillimetres', message: 'A pillow bag lies flat: it cannot be higher than it is wide.' }
    : undefined;
}

/** The usual proportions of a filled pillow bag, about 6 : 2.7 : 1, scaled to the litres. */
export function likelyPillow(litres: number): Dimensions {
  const model = { lengthMillimetres: 900, widthMillimetres: 400, heightMillimetres: 150 };
  const scale = Math.cbrt(litres / (pillowSolid(model).volumeBelow(150) / 1e6));
  return { lengthMillimetres: 900 * scale, widthMillimetres: 400 * scale, heightMillimetres: 150 * scale };
}

export const pillow: ContainerKind = {
  ...FILM,
  id: 'pillow',
  name: 'Pillow bag, lying flat',
  short: 'pillow',
  description: 'Shallow, cheap, planted through the top; cannot hold a cane by itself.',
  type: 'bag',
  corners: 'rounded',
  isClosed: true,
  holdsCane: false,
  stations: { usual: 3, most: 4 },
  hasTradeClass: false,
  dimensions: pillowDimensions,
  check: tooHighToLie,
  solid: pillowFrom,
  likelyDimensions: likelyPillow,
};
