export {
  inTheWay,
  isCarriedOut,
  yearOfOccupant,
  yearOfPlan,
  type Band,
  type BandKind,
  type CropYear,
} from './bands.ts';
