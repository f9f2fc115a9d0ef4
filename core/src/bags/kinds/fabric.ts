import {
  boxDimensions,
  boxFrom,
  FABRIC,
  likelyBox,
  likelyRound,
  roundDimensions,
  roundFrom,
  tooMuchTaper,
} from './families.ts';
import type { ContainerKind } from './kind.ts';

export const roundFabric: ContainerKind = {
  ...FABRIC,
  id: 'round-fabric',
  name: 'Round fabric bag',
  short: 'round fabric',
  description: 'Straight or tapered. Breathes, dries fast, hard to overwater.',
  type: 'bag',
  corners: 'rounded',
  stations: { usual: 1, most: 4 },
  hasTradeClass: true,
  dimensions: roundDimensions,
  check: tooMuchTaper,
  solid: roundFrom,
  likelyDimensions: (litres, assumed) => likelyRound(litres, assumed.roundWidthToHeight, 1),
};

export const squareFabric: ContainerKind = {
  ...FABRIC,
  id: 'square-fabric',
  name: 'Square fabric bag',
  short: 'square fabric',
  description: 'As the round one; stands close in rows.',
  type: 'bag',
  corners: 'square',
  stations: { usual: 1, most: 4 },
  hasTradeClass: true,
  dimensions: boxDimensions,
  solid: boxFrom,
  likelyDimensions: (litres, assumed) =>
    likelyBox(litres, assumed.roundWidthToHeight, assumed.roundWidthToHeight),
};
