export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly description?: string | undefined;
  readonly parts: readonly { readonly ingredientId: string; readonly parts: number }[];
  readonly limeGramsPerLitre?: number | undefined;
  /** what a litre comes to, where the grower says so */
  readonly pricePerLitre?: number | undefined;
}

const recipe = (
  id: string,
  name: string,
  description: string,
  parts: Readonly<Record<string, number>>,
  limeGramsPerLitre?: number,
): Recipe => ({
  id,
  name,
  description,
  parts: Object.entries(parts).map(([ingredientId, count]) => ({ ingredientId, parts: count })),
  ...(limeGramsPerLitre === undefined ? {} : { limeGramsPerLitre }),
});

/** The mixes that forms start with; a grower's own stand beside them. */
export const RECIPES: readonly Recipe[] = [
  recipe('bought', 'Bought potting mix', 'Out of the sack, peat with something coarse.', { 'bought-mix': 1 }),
  recipe('bought-peat-free', 'Bought mix, peat-free', 'Out of the sack; look at it below the dry top.', {
    'peat-free-mix': 1,
  }),
  recipe('bark-coir', 'Bark, coir and compost', 'Airy and peat-free; drains fast and dries from the top.', {
    bark: 2,
    coir: 2,
    'garden-compost': 1,
  }),
  recipe('loam-compost', 'Loam and home compost', 'Heavy and holds long; carry it in two trips.', {
    loam: 1,
    'garden-compost': 1,
  }),
  recipe(
    'third-each',
    'Compost, coir and perlite, a third each',
    'Light enough for a roof, rich enough for two months.',
    { 'garden-compost': 1, coir: 1, perlite: 1 },
  ),
  recipe(
    'peat-perlite',
    'Peat and perlite',
    'Clean and light; feed it from the start.',
    { peat: 3, perlite: 1 },
    3,
  ),
  recipe('stretched', 'Bought mix stretched with compost', 'The cheapest that still drains.', {
    'bought-mix': 2,
    'garden-compost': 1,
    bark: 1,
  }),
  recipe('manured', 'Compost and rotted manure', 'One heavy manuring for the whole season.', {
    'garden-compost': 2,
    manure: 1,
    coir: 2,
    bark: 1,
  }),
];
