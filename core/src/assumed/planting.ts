import { assumed, type Assumption } from './assumption.ts';

/** Judgements about planting: part of the one table. */
export const PLANTING_ASSUMPTIONS = {
  crownShare: assumed(1 / 3, 0.2, 0.5, 'of the stem', 'Share of the plant that is left above the mix.'),
  crownLeast: assumed(100, 60, 200, 'mm', 'A small seedling keeps its top leaves whatever its height.'),
  leafClearance: assumed(20, 10, 40, 'mm', 'A leaf this close to the mix would lie on it.'),
  graftMargin: assumed(25, 10, 50, 'mm', 'The union stays this far above mix and mulch, or the scion roots.'),
  mixBelowBall: assumed(
    20,
    0,
    60,
    'mm',
    'A little loose mix below the root ball, unless the practice says otherwise.',
  ),
  bareStemShare: assumed(
    0.3,
    0.15,
    0.45,
    'of the stem',
    'Height of the lowest leaf when the leaves were not measured.',
  ),
  bendRadius: assumed(80, 50, 150, 'mm', 'A soft stem bends this tightly without a crease.'),
  trenchCover: assumed(30, 15, 60, 'mm', 'Mix over a root ball that lies on its side.'),
  collarMost: assumed(250, 150, 350, 'mm', 'A taller collar is top-heavy and dries out.'),
  collarWidth: assumed(200, 150, 300, 'mm', 'A collar this wide holds a watering.'),
  collarSeat: assumed(20, 10, 40, 'mm', 'A collar is pressed this far into the mix.'),
  collarLip: assumed(25, 15, 40, 'mm', 'Left free below the collar’s rim for water.'),
  holeGap: assumed(40, 20, 80, 'mm', 'Room for a hand round the root ball.'),
  ringFirstFill: assumed(1 / 3, 0.2, 0.5, 'of the ring', 'A ring is filled this far at planting.'),
  topUpStep: assumed(80, 40, 150, 'mm', 'Mix added at one top-up; more would smother leaves.'),
  topUpCrown: assumed(200, 120, 300, 'mm', 'Plant that stays above the mix after a top-up.'),
  firstWateringDry: assumed(0.2, 0.12, 0.3, 'L per L of mix', 'Four litres for twenty of dry mix.'),
  firstWateringMoist: assumed(0.1, 0.05, 0.15, 'L per L of mix', 'Half of that where the mix was moistened.'),
} as const satisfies Record<string, Assumption>;
