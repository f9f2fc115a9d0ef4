import { assumed, type Assumption } from './assumption.ts';

/** Judgements about what a check tells: part of the one table. */
export const CHECK_ASSUMPTIONS = {
  fingerNoise: assumed(0.12, 0.08, 0.2, 'of available water', 'How far a finger is off.'),
  fingerOffset: assumed(
    0.02,
    -0.1,
    0.2,
    'of available water',
    'A finger feels the top layer, which is drier than the bag.',
  ),
  fingerPrior: assumed(
    6,
    2,
    30,
    'weighings',
    'What is assumed of fingers counts for as many that a scale checked.',
  ),
  plantSpread: assumed(0.08, 0.02, 0.2, 'of available water', 'How far one plant of several is off.'),
  liftNoise: assumed(0.18, 0.1, 0.3, 'of available water', 'How far judging by weight is off.'),
  wiltNoise: assumed(0.1, 0.05, 0.2, 'of available water', 'A plant that hangs has next to nothing left.'),
  levelNoise: assumed(0.1, 0.05, 0.25, 'of the store', 'How far a glance at a level is off.'),
  scaleNoise: assumed(
    0.03,
    0.01,
    0.08,
    'of the full weight',
    'What wind, fruit and a knock do to a reading.',
  ),
  probeNoise: assumed(0.12, 0.05, 0.25, 'of available water', 'A probe feels the mix round its own tip.'),
  ranThroughNoise: assumed(
    0.04,
    0.02,
    0.1,
    'of available water',
    'Water that runs through leaves the bag near full, softly.',
  ),
  strayReading: assumed(
    0.02,
    0.005,
    0.1,
    'probability',
    'A reading that has nothing to do with the bag: a loose wire, a bag that was leant on.',
  ),
  probePrior: assumed(8, 2, 40, 'readings', 'What is assumed of probes counts for as many readings of one.'),
  surprise: assumed(
    0.005,
    0.001,
    0.05,
    'probability',
    'A check less likely than this says that something was not written down: a neighbour watered.',
  ),
  surpriseForgetting: assumed(
    0.25,
    0.1,
    0.6,
    'of what was believed',
    'What a surprise takes away before the check decides.',
  ),
  contradictionForgetting: assumed(
    0.5,
    0.2,
    0.8,
    'of what was believed',
    'Two checks within an hour that cannot both be right leave less certainty than either.',
  ),
} as const satisfies Record<string, Assumption>;
