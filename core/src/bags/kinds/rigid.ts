import { assumed } from '../../assumed/index.ts';
import {
  boxDimensions,
  boxFrom,
  lasts,
  likelyBox,
  likelyRigid,
  RIGID,
  weighs,
  roundDimensions,
  roundFrom,
  tooMuchTaper,
} from './families.ts';
import { DIMENSIONS, length, type ContainerKind } from './kind.ts';
import { roundSolid } from './round.ts';
import { boxSolid } from './box.ts';

export const bucket: ContainerKind = {
  ...RIGID,
  id: 'bucket',
  name: 'Bucket with holes',
  short: 'bucket',
  description: 'Rigid, tapered, cheap. Only one that held food.',
  type: 'pot',
  corners: 'rounded',
  stations: { usual: 1, most: 1 },
  hasTradeClass: true,
  dimensions: roundDimensions,
  check: tooMuchTaper,
  solid: roundFrom,
  likelyDimensions: likelyRigid,
};

export const rigidPot: ContainerKind = {
  ...RIGID,
  id: 'rigid-pot',
  name: 'Rigid pot',
  short: 'pot',
  description: 'Plastic or clay, round. Holds its water longer than fabric.',
  type: 'pot',
  corners: 'rounded',
  stations: { usual: 1, most: 3 },
  hasTradeClass: true,
  dimensions: roundDimensions,
  check: tooMuchTaper,
  solid: roundFrom,
  likelyDimensions: likelyRigid,
};

export const trough: ContainerKind = {
  ...RIGID,
  id: 'trough',
  name: 'Trough',
  short: 'trough',
  description: 'A long box with several plants that share their water.',
  type: 'trough',
  corners: 'square',
  stations: { usual: 3, most: 8 },
  hasTradeClass: false,
  dimensions: boxDimensions,
  solid: boxFrom,
  likelyDimensions: (litres) => likelyBox(litres, 4, 1),
};

export const bed: ContainerKind = {
  id: 'bed',
  name: 'Bed with boards',
  short: 'bed',
  description: 'Stands among the bags, open to the soil below.',
  type: 'bed',
  wall: 'boards',
  corners: 'square',
  isClosed: false,
  holdsCane: true,
  stations: { usual: 6, most: 12 },
  hasTradeClass: false,
  drainage: {
    by: 'open-base',
    description: 'Open to the soil: drains into it and roots go down.',
    canBeRaised: false,
  },
  seasons: lasts(8, 4, 15),
  emptyKilogramsPerLitre: weighs(0.06, 0.03, 0.12),
  dimensions: [DIMENSIONS.length, DIMENSIONS.width, { ...DIMENSIONS.height, low: 80, high: 900 }],
  solid: boxFrom,
  likelyDimensions: (litres) => likelyBox(litres, 6, 3),
};

const reservoirHeight = { key: 'reservoirMillimetres', label: 'Reservoir, depth', low: 20, high: 400 };
const pipeHeight = { key: 'pipeMillimetres', label: 'Top of the fill pipe', low: 60, high: 1300 };

export const reservoirPlanter: ContainerKind = {
  ...RIGID,
  id: 'reservoir',
  name: 'Reservoir planter',
  short: 'reservoir planter',
  description: 'Mix above, water below; filled through a pipe and checked by its level.',
  type: 'pot',
  corners: 'square',
  stations: { usual: 2, most: 4 },
  hasTradeClass: false,
  drainage: {
    by: 'overflow',
    description: 'An overflow hole at the top of the reservoir: keep it open, or the roots drown.',
    canBeRaised: false,
  },
  dimensions: [...boxDimensions, reservoirHeight, pipeHeight],
  check(size) {
    if (length(size, 'reservoirMillimetres') > length(size, 'heightMillimetres') * 0.6) {
      return {
        key: 'reservoirMillimetres',
        message: 'The reservoir takes more than six tenths of the height: no room is left for mix.',
      };
    }
    return length(size, 'pipeMillimetres') <= length(size, 'reservoirMillimetres')
      ? {
          key: 'pipeMillimetres',
          message: 'The pipe ends inside the reservoir: it must come out above the mix.',
        }
      : undefined;
  },
  solid: (size) =>
    boxSolid({
      lengthMillimetres: length(size, 'lengthMillimetres'),
      widthMillimetres: length(size, 'widthMillimetres'),
      heightMillimetres: length(size, 'heightMillimetres') - length(size, 'reservoirMillimetres'),
    }),
  under: (size, numbers) => {
    const [long, wide, deep] = ['lengthMillimetres', 'widthMillimetres', 'reservoirMillimetres'].map((key) =>
      length(size, key),
    ) as [number, number, number];
    return {
      kind: 'reservoir',
      heightMillimetres: deep,
      widthMillimetres: long,
      litres: ((long * wide * deep) / 1e6) * (1 - numbers.reservoirFoot),
      pipeMillimetres: length(size, 'pipeMillimetres'),
    };
  },
  // the label's litres are those of the mix; the reservoir comes on top, a quarter of the height where it gives no litres
  likelyDimensions: (litres, numbers, reservoirLitres) => {
    const box = likelyBox(litres / 0.75, 2, 1);
    const [long, wide, tall] = ['lengthMillimetres', 'widthMillimetres', 'heightMillimetres'].map((key) =>
      length(box, key),
    ) as [number, number, number];
    const deep =
      reservoirLitres === undefined
        ? tall / 4
        : (reservoirLitres * 1e6) / (long * wide * (1 - numbers.reservoirFoot));
    const whole = tall * 0.75 + deep;
    return {
      ...box,
      heightMillimetres: whole,
      reservoirMillimetres: deep,
      pipeMillimetres: whole * 1.1,
    };
  },
};

export const netCupBag: ContainerKind = {
  id: 'net-cup',
  name: 'Net-cup bag over a channel',
  short: 'net-cup bag',
  description: 'A small bag whose roots hang into running or standing nutrient.',
  type: 'bag',
  wall: 'fabric',
  corners: 'rounded',
  isClosed: false,
  holdsCane: false,
  stations: { usual: 1, most: 1 },
  hasTradeClass: false,
  drainage: {
    by: 'open-base',
    description: 'Drains through its net into the channel below.',
    canBeRaised: false,
  },
  seasons: lasts(3, 1, 6),
  emptyKilogramsPerLitre: assumed(
    0.03,
    0.01,
    0.06,
    'kg per litre',
    'Net and bag; the channel is not counted.',
  ),
  dimensions: [
    { ...DIMENSIONS.rim, low: 40, high: 500 },
    { ...DIMENSIONS.base, low: 30, high: 500 },
    { ...DIMENSIONS.height, low: 40, high: 500 },
    { key: 'channelMillimetres', label: 'Channel, depth', low: 30, high: 400 },
  ],
  check: tooMuchTaper,
  solid: (size) =>
    roundSolid({
      rimMillimetres: length(size, 'rimMillimetres'),
      baseMillimetres: length(size, 'baseMillimetres'),
      heightMillimetres: length(size, 'heightMillimetres'),
    }),
  under: (size) => ({
    kind: 'channel',
    heightMillimetres: length(size, 'channelMillimetres'),
    widthMillimetres: length(size, 'rimMillimetres') * 1.5,
    litres: undefined,
  }),
  likelyDimensions: (litres, numbers) => ({ ...likelyRigid(litres, numbers), channelMillimetres: 80 }),
};
