import { assumed, type Assumption } from './assumption.ts';

/** Judgements about yields, trials and the shelf: part of the one table. */
export const PICKING_ASSUMPTIONS = {
  bagSpread: assumed(0.35, 0.2, 0.5, 'of its logarithm', 'Bags that had the same differ by about a third.'),
  bagSpreadWorth: assumed(
    1,
    0.5,
    6,
    'degrees of freedom',
    'Until bags have shown so much of their spread, the usual one stands in for it.',
  ),
  effectSpread: assumed(
    0.8,
    0.2,
    2,
    'of its logarithm',
    'Few things that growers try double a crop: an estimate is drawn towards no difference by this.',
  ),
  sameBagShare: assumed(0.3, 0, 0.8, 'of its spread', 'What makes a bag better is partly there next season.'),
  placeSpread: assumed(0.25, 0.1, 0.6, 'of its logarithm', 'From place to place of one garden.'),
  seasonSpread: assumed(0.25, 0.1, 0.6, 'of its logarithm', 'From one summer to the next.'),
  varietySpread: assumed(0.5, 0.2, 1.2, 'of its logarithm', 'From one variety to another, by weight.'),
} as const satisfies Record<string, Assumption>;
