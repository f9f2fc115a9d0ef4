import { assumed, type Assumption } from './assumption.ts';

/** Judgements about training, trouble and protection: part of the one table. */
export const CARE_ASSUMPTIONS = {
  shootGrowth: assumed(120, 60, 250, 'mm', 'After this much new growth there are side shoots again.'),
  lowerLeafGrowth: assumed(220, 100, 400, 'mm', 'After this much new growth a lower leaf or two may go.'),
  shakeEvery: assumed(2, 1, 4, 'days', 'A flower can be set for about two days.'),
  flowersOffHeight: assumed(450, 250, 700, 'mm', 'Until this tall, first flowers cost it growth.'),
  flowersOffDays: assumed(30, 14, 45, 'days', 'And until it has been planted for so long.'),
  tipHeight: assumed(220, 120, 350, 'mm', 'Young plants whose tip is taken at this height branch low.'),
  stopBeforeFrost: assumed(
    7,
    5,
    10,
    'weeks',
    'A flower that opens later than this before frost gives no ripe fruit.',
  ),
  coldNightMargin: assumed(2, 0, 4, '°C', 'Leaves brown in nights this far below what the crop wants.'),
  swingCelsius: assumed(18, 12, 25, '°C', 'From night to day: more than this unsettles young plants.'),
  windMetresPerSecond: assumed(11, 7, 17, 'm/s', 'From here on canes lean and bags blow over.'),
  unmarkedSign: assumed(
    0.35,
    0,
    0.8,
    'of a plain no',
    'What was in sight and was not marked tells something, and less than a plain no.',
  ),
  elsewhereSign: assumed(
    0.18,
    0,
    0.5,
    'of a plain no',
    'Where nothing at all was marked on leaf, fruit or mix, it was hardly looked at, or nothing is amiss there.',
  ),
  signTrust: assumed(
    0.67,
    0.4,
    1,
    'of their weight',
    'Signs hang together: two of them tell less than twice as much as one.',
  ),
  outcomeWeight: assumed(
    25,
    8,
    80,
    'outcomes',
    'So many known outcomes in this garden weigh as much as what is usual.',
  ),
  testLeafHours: assumed(48, 24, 72, 'hours', 'A leaf that a spray harms shows it by then.'),
  sprayBeforeSunset: assumed(
    2,
    0.5,
    3,
    'hours',
    'Sprayed later than this before sunset it dries before the sun is on it again.',
  ),
  startAheadDays: assumed(14, 7, 28, 'days', 'Pests are looked for so long before they came last year.'),
} as const satisfies Record<string, Assumption>;
