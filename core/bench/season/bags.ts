import { chanceFrom, HiddenBag, type Chance, type HiddenMake } from '../../hidden/index.ts';
import type { WaterBag } from '../../src/water/index.ts';

/** A bag of the season test: as it really is, and as a grower's entries describe it. */
export interface TestBag {
  readonly seed: number;
  readonly hidden: (more?: Partial<HiddenMake>) => HiddenBag;
  readonly seen: WaterBag;
}

/** Size in litres of available water, grown shade in m², and the rest, over which the bags are mixed. */
const SIZES = [2.5, 4, 5.5, 7, 9, 12];
const CROPS = [
  { kc: 1.15, depletion: 0.4, canopySquareMetres: 0.55, weeksToFull: 11 },
  { kc: 1.05, depletion: 0.3, canopySquareMetres: 0.25, weeksToFull: 10 },
  { kc: 1.05, depletion: 0.45, canopySquareMetres: 0.3, weeksToFull: 10 },
  { kc: 1, depletion: 0.5, canopySquareMetres: 0.5, weeksToFull: 8 },
];

/** Mixed bags: what a grower says of each is near the truth and not the truth. */
export function mixedBags(seed: number, count: number, plantedOn: string): readonly TestBag[] {
  const chance = chanceFrom(seed);
  return Array.from({ length: count }, (_, i) => mixedBag(chance, seed * 1000 + i, plantedOn));
}

function mixedBag(chance: Chance, seed: number, plantedOn: string): TestBag {
  const pick = <T>(list: readonly T[]) => list[Math.floor(chance.next() * list.length)] as T;
  const crop = pick(CROPS);
  // nobody puts the largest plant into the smallest bag
  const sizes = SIZES.filter((litres) => litres > 14 * crop.canopySquareMetres);
  const availableLitres = pick(sizes) * Math.exp(0.1 * chance.normal());
  const breathes = chance.next() < 0.5;
  const isCovered = chance.next() < 0.4;
  const top = 0.012 * availableLitres;
  const make = {
    availableLitres: availableLitres * Math.exp(0.1 * chance.normal()),
    canopySquareMetres: crop.canopySquareMetres * Math.exp(0.2 * chance.normal()),
    weeksToFull: crop.weeksToFull,
    isCovered,
    openSquareMetres: top,
    breathes,
  };
  return {
    seed,
    hidden: (more = {}) => new HiddenBag(chanceFrom(seed), { ...make, ...more }),
    seen: {
      availableLitres,
      topSquareMetres: top,
      breathingSquareMetres: breathes ? 0.035 * availableLitres : 0,
      mulchMillimetres: 20,
      underCover: isCovered,
      shade: 0,
      stores: [],
      drips: [],
      plants: [
        {
          plantedOn,
          kc: crop.kc,
          depletion: crop.depletion,
          figures: {
            fullHeightMillimetres: 1500,
            canopySquareMetres: crop.canopySquareMetres,
            weeksToFull: crop.weeksToFull,
          },
        },
      ],
    },
  };
}
