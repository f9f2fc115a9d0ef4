import { assumed, type Assumption } from './assumption.ts';

/** Judgements about growth and what holds it up: part of the one table. */
export const GROWTH_ASSUMPTIONS = {
  heightNoise: assumed(0.14, 0.05, 0.2, 'of the height', 'How far a measured plant is from a smooth curve.'),
  tapeNoise: assumed(15, 5, 40, 'mm', 'How far a tape along a stem is off, whatever its height.'),
  sharedMisfit: assumed(0.6, 0.2, 0.9, 'correlation', 'A warm week lifts every later height of a plant.'),
  windingAllowance: assumed(0.15, 0.05, 0.3, 'of the string', 'String that goes round the stem.'),
  stringKnots: assumed(300, 150, 600, 'mm', 'For the knots at wire and base.'),
  baseLoop: assumed(350, 200, 500, 'mm', 'A loose loop round the foot of the stem.'),
  caneFoot: assumed(250, 150, 400, 'mm', 'Of a cane or stake in the mix.'),
  tieEvery: assumed(250, 150, 400, 'mm', 'Stem between two ties.'),
  windEvery: assumed(150, 80, 250, 'mm', 'New growth after which a stem wants winding or tying.'),
  wireSafety: assumed(2, 1.5, 3, 'times', 'Wet leaves, wind and a heavy truss at once.'),
} as const satisfies Record<string, Assumption>;
