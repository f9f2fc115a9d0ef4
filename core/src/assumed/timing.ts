import { assumed, type Assumption } from './assumption.ts';

/** Judgements about frost and the year: part of the one table. */
export const TIMING_ASSUMPTIONS = {
  frostSpread: assumed(10, 5, 16, 'days', 'How far the last and first frost lie about their usual date.'),
  frostCluster: assumed(
    0.4,
    0.2,
    0.8,
    'of the nights',
    'Cold nights come together: few are chances of their own.',
  ),
  nightShelter: assumed(2, 0, 4, '°C', 'A wall or a yard keeps a bag warmer than the open field.'),
  hardenDays: assumed(10, 7, 14, 'days', 'From the windowsill to nights outdoors.'),
  coldCoverWeeks: assumed(7, 5, 9, 'weeks', 'Cold glass is planted this much before outdoors.'),
  heatedWeeks: assumed(11, 8, 14, 'weeks', 'Heat gains this much; light sets the end of it.'),
  leastDaylight: assumed(10, 9, 12, 'hours', 'In shorter days a heated plant only stretches.'),
  coverAutumnWeeks: assumed(
    3,
    2,
    5,
    'weeks',
    'Cold glass keeps a crop going this long after the first frost.',
  ),
  heatedAutumnWeeks: assumed(7, 4, 10, 'weeks', 'Heat keeps it going longer, until the light fails.'),
  shorteningDays: assumed(14, 7, 21, 'days', 'Fruit ripens more slowly as days shorten.'),
  coldCoverGain: assumed(
    3,
    1,
    5,
    '°C',
    'A closed cold house is warmer than outside at the end of the night.',
  ),
  hotCelsius: assumed(32, 28, 36, '°C', 'From here on flowers drop, and a bag may want water twice a day.'),
  flowersToSet: assumed(10, 5, 20, 'days', 'From first flowers to the first truss that has set.'),
} as const satisfies Record<string, Assumption>;
