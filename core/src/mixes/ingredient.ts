/** What goes into a mix, by what it does with water. Shares are of the settled volume, at container capacity. */
export interface Ingredient {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  /** water held after draining */
  readonly capacity: number;
  /** water that no root can take */
  readonly unavailable: number;
  /** air left after draining */
  readonly air: number;
  readonly dryKilogramsPerLitre: number;
  /** share of the volume lost at the first watering */
  readonly settling: number;
  readonly isPeat: boolean;
  readonly isOrganic: boolean;
  /** feed that it brings: grams of a labelled N-P2O5-K2O in a litre, given over some months */
  readonly base?: BaseFeed;
  /** lime that it comes with */
  readonly limeGramsPerLitre?: number;
}

export interface BaseFeed {
  /** percent by mass; calcium and magnesium where it brings any to speak of */
  readonly label: {
    readonly n: number;
    readonly p2o5: number;
    readonly k2o: number;
    readonly ca?: number;
    readonly mg?: number;
  };
  readonly gramsPerLitre: number;
  /** over which it gives four fifths of what is in it at about 20 °C; bulky organic parts take years */
  readonly months: number;
  /** the same for potash, which is not bound as the rest is; left out: as the rest */
  readonly potashMonths?: number;
  /** share that is there at once: what the heap has already set free */
  readonly quickShare?: number;
}

type Figures = readonly [capacity: number, unavailable: number, air: number, dryKg: number, settling: number];

function ingredient(
  id: string,
  name: string,
  description: string,
  [capacity, unavailable, air, dryKilogramsPerLitre, settling]: Figures,
  more: Partial<Pick<Ingredient, 'isPeat' | 'isOrganic' | 'base' | 'limeGramsPerLitre'>> = {},
): Ingredient {
  return {
    id,
    name,
    description,
    capacity,
    unavailable,
    air,
    dryKilogramsPerLitre,
    settling,
    isPeat: false,
    isOrganic: true,
    ...more,
  };
}

type Label = readonly [n: number, p2o5: number, k2o: number, ca: number, mg: number];

const feed = (
  [n, p2o5, k2o, ca, mg]: Label,
  gramsPerLitre: number,
  months: number,
  potashMonths?: number,
  quickShare?: number,
): BaseFeed => ({
  label: { n, p2o5, k2o, ca, mg },
  gramsPerLitre,
  months,
  ...(potashMonths === undefined ? {} : { potashMonths }),
  ...(quickShare === undefined ? {} : { quickShare }),
});

/** Feed and lime of bought mixes: a gram or so of feed in a litre, and lime beside it that the label does not count. */
const bought = feed([14, 16, 18, 0, 1.5], 1.2, 1.25);

/**
 * Every ingredient. Porosities are mid-range values for soilless ingredients (capacity 45–65 % in whole mixes);
 * densities, settling and feed are *assumed*: each sack differs, and a grower's own mix can carry its own figures.
 */
export const INGREDIENTS: readonly Ingredient[] = [
  ingredient(
    'bought-mix',
    'Bought potting mix',
    'With peat; fed for about five weeks.',
    [0.56, 0.28, 0.24, 0.22, 0.12],
    {
      isPeat: true,
      isOrganic: false,
      base: bought,
      limeGramsPerLitre: 4,
    },
  ),
  ingredient(
    'peat-free-mix',
    'Bought mix, peat-free',
    'Bark, coir and wood fibre; dries from the top.',
    [0.52, 0.27, 0.28, 0.24, 0.12],
    {
      isOrganic: false,
      base: bought,
      limeGramsPerLitre: 1.5,
    },
  ),
  ingredient('coir', 'Coir', 'Pressed fibre of coconut; swells from bricks.', [0.6, 0.25, 0.28, 0.09, 0.1]),
  ingredient('peat', 'Peat', 'Light, sour; repels water once dry.', [0.62, 0.27, 0.26, 0.1, 0.12], {
    isPeat: true,
  }),
  ingredient('bark', 'Composted bark', 'Coarse and airy.', [0.38, 0.22, 0.4, 0.25, 0.06]),
  ingredient('wood-fibre', 'Wood fibre', 'Very airy; sinks as it rots.', [0.38, 0.16, 0.5, 0.09, 0.18]),
  ingredient(
    'leaf-mould',
    'Leaf mould',
    'Two years old; holds water gently.',
    [0.52, 0.27, 0.28, 0.25, 0.12],
  ),
  ingredient('garden-compost', 'Garden compost', 'From the heap, sieved.', [0.55, 0.32, 0.22, 0.45, 0.12], {
    base: feed([1, 0.5, 1, 1.5, 0.2], 300, 40, 3, 0.06),
  }),
  ingredient('manure', 'Rotted manure', 'A year old at the least; rich.', [0.58, 0.33, 0.2, 0.45, 0.14], {
    base: feed([0.6, 0.3, 0.6, 0.4, 0.1], 450, 20, 3, 0.08),
  }),
  ingredient('worm-casts', 'Worm casts', 'A little goes far.', [0.55, 0.32, 0.2, 0.55, 0.08], {
    base: feed([1.5, 1, 1, 1.5, 0.3], 500, 14, 3, 0.08),
  }),
  ingredient('loam', 'Loam', 'Stacked turf or good topsoil; heavy.', [0.45, 0.28, 0.12, 1.1, 0.06]),
  ingredient(
    'garden-soil',
    'Bagged garden soil',
    'Heavy; below compost and in fabric only, some say.',
    [0.46, 0.28, 0.12, 0.9, 0.08],
  ),
  ingredient('perlite', 'Perlite', 'White and feather-light; opens the mix.', [0.3, 0.2, 0.45, 0.1, 0.02], {
    isOrganic: false,
  }),
  ingredient('vermiculite', 'Vermiculite', 'Holds water and feed.', [0.5, 0.22, 0.36, 0.12, 0.06], {
    isOrganic: false,
  }),
  ingredient('sharp-sand', 'Sharp sand', 'For weight and drainage.', [0.24, 0.09, 0.18, 1.5, 0.02], {
    isOrganic: false,
  }),
];
