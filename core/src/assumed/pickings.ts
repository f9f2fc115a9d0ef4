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
  bearingRampDays: assumed(12, 5, 35, 'days', 'From the first ripe fruit to full bearing.'),
  ripensFromCelsius: assumed(9, 6, 12, '°C', 'Below this by day and night fruit hardly ripens.'),
  ripensFullyCelsius: assumed(16, 13, 20, '°C', 'From here on warmth no longer holds ripening back.'),
  yieldSpread: assumed(0.5, 0.25, 1, 'of its yield', 'So unlike usual a bag may bear before it has shown.'),
  pickingLump: assumed(0.3, 0.1, 1, 'of a week', 'Fruit ripens in lumps: one truss, three cucumbers.'),
  yieldMemoryDays: assumed(14, 7, 90, 'days', 'What was picked so long ago tells half as much.'),
  weatherOfYield: assumed(0.25, 0.05, 0.5, 'of the yield', 'What sun and cold do to all bags alike.'),
  greenRipensDays: assumed(14, 9, 21, 'days', 'Full-sized green fruit to ripe, at 20 °C.'),
  blushRipensDays: assumed(6, 3, 9, 'days', 'First blush to ripe, at 20 °C.'),
  ripeningQ10: assumed(2.2, 1.6, 3, 'times', 'So much faster with each 10 °C.'),
  ripeFruitSpeeds: assumed(0.7, 0.5, 1, 'of the time', 'Beside a ripe apple or banana, in a closed bag.'),
  ripeKeepsDays: assumed(7, 4, 12, 'days', 'Ripe fruit at 15 °C before it goes over.'),
  shelfLossAWeek: assumed(0.02, 0, 0.2, 'a week', 'Of what lies on a shelf, some goes over unseen.'),
  chillCelsius: assumed(10, 7, 13, '°C', 'Colder than this unripe fruit takes harm and never ripens well.'),
  varietySpread: assumed(0.5, 0.2, 1.2, 'of its logarithm', 'From one variety to another, by weight.'),
} as const satisfies Record<string, Assumption>;
