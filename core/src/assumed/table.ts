import { assumed, type Assumption } from './assumption.ts';
import { FEEDING_ASSUMPTIONS } from './feeding.ts';

/**
 * Every constant that is a judgement and not a published figure, in one table.
 *
 * Each has the value in use, the range in which it could honestly lie, its unit and the reason. A grower can
 * override any of them (Settings → Assumptions); core functions take the resolved numbers as an argument.
 */
export const ASSUMPTIONS = {
  // bags
  labelTruth: assumed(
    0.87,
    0.8,
    1,
    'of the label',
    'Bags named by their label hold a tenth to a fifth less than it says.',
  ),
  roundWidthToHeight: assumed(1.25, 1, 1.6, 'ratio', 'Round fabric bags are sold a little wider than high.'),
  rigidWidthToHeight: assumed(
    1.05,
    0.9,
    1.3,
    'ratio',
    'Pots and buckets are about as wide at the rim as they are high.',
  ),
  rigidBaseToRim: assumed(0.78, 0.7, 0.9, 'ratio', 'Pots and buckets taper so that they nest.'),
  headroom: assumed(30, 20, 50, 'mm', 'Left free below the rim so that a drink does not run over.'),
  softRounding: assumed(
    0.5,
    0.2,
    0.9,
    'of the way',
    'How far the sides of a filled shopping bag bulge from a box towards a circle.',
  ),
  reservoirFoot: assumed(
    0.15,
    0.05,
    0.3,
    'of the reservoir',
    'Taken up by the feet of mix through which a reservoir planter drinks.',
  ),
  // mixes and costs
  mixingLoss: assumed(
    0.08,
    0,
    0.2,
    'of the parts',
    'Fine parts fill the gaps between coarse ones: ten litres of parts make nine of mix.',
  ),
  keptMix: assumed(0.5, 0.2, 0.7, 'of the old mix', 'About half can stay; the rest is replaced with new.'),
  refreshFeed: assumed(2, 1, 4, 'g per litre', 'Balanced dry feed for old mix that is used again.'),
  refreshLime: assumed(1, 0, 3, 'g per litre', 'Lime for old mix, which has turned a little sour.'),
  mixLives: assumed(2, 1, 4, 'seasons', 'Seasons over which the price of a mix is spread.'),
  // load
  plantWeight: assumed(
    7,
    4,
    12,
    'kg per m² of leaf cover',
    'A grown plant with its fruit on; a tall tomato in full crop weighs about 4 kg.',
  ),
  // sizing
  pillowPerPlant: assumed(
    13,
    9,
    20,
    'L',
    'Three plants to a pillow bag, or two for bigger plants and small bags.',
  ),
  hotDay: assumed(6, 4.5, 8, 'mm of ETo', 'A hot, bright, breezy day in high summer.'),
  // planting
  crownShare: assumed(1 / 3, 0.2, 0.5, 'of the stem', 'Share of the plant that is left above the mix.'),
  crownLeast: assumed(100, 60, 200, 'mm', 'A small seedling keeps its top leaves whatever its height.'),
  leafClearance: assumed(20, 10, 40, 'mm', 'A leaf this close to the mix would lie on it.'),
  graftMargin: assumed(25, 10, 50, 'mm', 'The union stays this far above mix and mulch, or the scion roots.'),
  mixBelowBall: assumed(
    20,
    0,
    60,
    'mm',
    'A little loose mix below the root ball, unless the school says otherwise.',
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
  collarWidth: assumed(200, 150, 300, 'mm', 'A collar this wide holds a drink.'),
  collarSeat: assumed(20, 10, 40, 'mm', 'A collar is pressed this far into the mix.'),
  collarLip: assumed(25, 15, 40, 'mm', 'Left free below the collar’s rim for the drink.'),
  holeGap: assumed(40, 20, 80, 'mm', 'Room for a hand round the root ball.'),
  ringFirstFill: assumed(1 / 3, 0.2, 0.5, 'of the ring', 'A ring is filled this far at planting.'),
  topUpStep: assumed(80, 40, 150, 'mm', 'Mix added at one top-up; more would smother leaves.'),
  topUpCrown: assumed(200, 120, 300, 'mm', 'Plant that stays above the mix after a top-up.'),
  firstDrinkDry: assumed(0.2, 0.12, 0.3, 'L per L of mix', 'Four litres for twenty of dry mix.'),
  firstDrinkMoist: assumed(0.1, 0.05, 0.15, 'L per L of mix', 'Half of that where the mix was moistened.'),
  // growth and supports
  heightNoise: assumed(0.14, 0.05, 0.2, 'of the height', 'How far a measured plant is from a smooth curve.'),
  windingAllowance: assumed(0.15, 0.05, 0.3, 'of the string', 'String that goes round the stem.'),
  stringKnots: assumed(300, 150, 600, 'mm', 'For the knots at wire and base.'),
  baseLoop: assumed(350, 200, 500, 'mm', 'A loose loop round the foot of the stem.'),
  caneFoot: assumed(250, 150, 400, 'mm', 'Of a cane or stake in the mix.'),
  tieEvery: assumed(250, 150, 400, 'mm', 'Stem between two ties.'),
  windEvery: assumed(150, 80, 250, 'mm', 'New growth after which a stem wants winding or tying.'),
  wireSafety: assumed(2, 1.5, 3, 'times', 'Wet leaves, wind and a heavy truss at once.'),
  // timing
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
  // climate
  normalSpread: assumed(
    3.5,
    2,
    5,
    '°C',
    "Day-to-day spread about a month's normals, used where a day is filled in.",
  ),
  coverTransmissivity: assumed(
    0.65,
    0.4,
    0.85,
    'of the sun',
    'What clean glass or film with its bars lets through; whitewash and shade cloth let through less.',
  ),
  // water
  perchedRise: assumed(
    0.05,
    0,
    0.1,
    'of the volume',
    'A bag 15 cm deep holds this much more at capacity than one 30 cm deep.',
  ),
  refillPoint: assumed(
    0.33,
    0.2,
    0.5,
    'of available water',
    'Below it a drink is wanted; later is too late on every front.',
  ),
  sideEvaporation: assumed(0.3, 0.1, 0.6, 'of ETo', 'Evaporation through fabric, over its wetted side.'),
  topEvaporation: assumed(0.35, 0.2, 0.6, 'of ETo', 'Evaporation from bare mix in the shade of the plant.'),
  mulchHalving: assumed(25, 15, 40, 'mm', 'Mulch this thick halves evaporation from the top.'),
  dryKeeps: assumed(0.6, 0.4, 0.9, 'of a drink', 'Dry mix repels water: what one pour leaves in the bag.'),
  dryBelow: assumed(0.25, 0.1, 0.35, 'of available water', 'Below it the mix begins to repel water.'),
  rainCaught: assumed(
    0.35,
    0.1,
    0.8,
    'of rain',
    'Leaves shed rain past the bag; rain under leaves counts for little.',
  ),
  looseDrink: assumed(0.2, 0.1, 0.35, 'of the drink', 'Doubt of an amount that was judged by eye.'),
  measuredDrink: assumed(0.08, 0.03, 0.15, 'of the drink', 'Doubt of an amount poured from a measured can.'),
  demandSpread: assumed(
    0.27,
    0.15,
    0.5,
    "of a day's use",
    "Spread of one day's use about what the weather says.",
  ),
  spreadAt: assumed(
    3.5,
    2,
    6,
    'mm of ETo',
    'The day at which those spreads hold; a dull day is known worse for its size, a bright one better.',
  ),
  filledDemandSpread: assumed(
    0.45,
    0.3,
    0.7,
    "of a day's use",
    'The same for a day whose weather was filled in from normals.',
  ),
  useSpread: assumed(0.5, 0.3, 0.8, 'log', 'How much bags of one kind differ in their use, before any look.'),
  useDrift: assumed(
    0.06,
    0.02,
    0.1,
    'log a day',
    'Bags change as they grow; without drift the stated ranges are false.',
  ),
  fingerNoise: assumed(0.12, 0.08, 0.2, 'of available water', 'How far a finger is off.'),
  fingerOffset: assumed(
    0.02,
    -0.1,
    0.2,
    'of available water',
    'A finger feels the top layer, which is drier than the bag.',
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
  shadeEffect: assumed(
    0.8,
    0.5,
    1,
    'of the shade',
    'In the open, wind goes on drying leaves that the sun does not reach.',
  ),
  dripDoubt: assumed(0.15, 0.05, 0.4, 'of the drip', 'Emitters differ and clog.'),
  dripLoss: assumed(0.1, 0, 0.4, 'of the drip', 'Runs past the roots or drips where no bag is.'),
  reservoirPerDay: assumed(6, 2, 15, 'of the deficit a day', 'Mix with its foot in water stays near full.'),
  wickPerDay: assumed(3, 1, 8, 'of the deficit a day', 'A wick lifts water more slowly than a foot of mix.'),
  clayPotPerDay: assumed(
    0.8,
    0.3,
    2,
    'of the deficit a day',
    'Unglazed clay sweats slowly, faster into dry mix.',
  ),
  saucerPerDay: assumed(3, 1, 8, 'of the deficit a day', 'A saucer is drunk up through the base.'),
  reservePerDay: assumed(
    4,
    1,
    10,
    'of the deficit a day',
    'Water kept below raised holes touches the mix above.',
  ),
  soilPerDay: assumed(
    0.5,
    0.1,
    1.5,
    'of the deficit a day',
    'Roots that reach the soil below bring some up.',
  ),
  soilStore: assumed(40, 10, 100, 'L per m²', 'What the soil under an open bag holds within reach of roots.'),
  runThrough: assumed(
    0.1,
    0,
    0.2,
    'of the drink',
    'A little through the bottom shows that the whole bag was wetted.',
  ),
  establishingDays: assumed(
    14,
    5,
    28,
    'days',
    'Until roots are out in the mix, water stays close to the stem.',
  ),
  establishingShare: assumed(0.5, 0.2, 1, 'of the drink', 'What a newly planted bag gets of a full drink.'),
  coldNightShare: assumed(
    0.6,
    0.3,
    1,
    'of the drink',
    'Before a cold night, for those who keep roots on the dry side.',
  ),
  keepable: assumed(
    0.75,
    0.5,
    0.95,
    'of available water',
    'A bag that uses more than this in a day is not kept by one round.',
  ),
  youngLook: assumed(3, 1, 7, 'days', 'A bag just planted is looked at this often, whatever is reckoned.'),
  longestLook: assumed(8, 3, 14, 'days', 'No bag goes longer without a look, however sure the estimate.'),
  risk: assumed(0.15, 0.05, 0.3, 'probability', 'Chance of being dry at which a look is due.'),
  usualWarmth: assumed(
    7,
    5,
    11,
    '°C d a day',
    'Degree days above 10 °C of a day that counts as one day of growth.',
  ),
  ...FEEDING_ASSUMPTIONS,
  // growth, for the drawing and the canopy until heights are recorded
  growthSpread: assumed(
    0.25,
    0.15,
    0.4,
    'of the height',
    'How far a plant is from the usual height for its age.',
  ),
} as const satisfies Record<string, Assumption>;

export type AssumptionName = keyof typeof ASSUMPTIONS;
export type Assumed = Readonly<Record<AssumptionName, number>>;

/**
 * The numbers in use: the table's, with the grower's own in place where they lie inside the stated range.
 * A number outside its range is ignored here; the form that takes it says so.
 *
 * @example
 * resolveAssumed({ headroom: 40, risk: 7 }).headroom
 * // => 40
 */
export function resolveAssumed(own: Partial<Record<string, number>> = {}): Assumed {
  const names = Object.keys(ASSUMPTIONS) as AssumptionName[];
  const pairs = names.map((name) => {
    const { value, low, high } = ASSUMPTIONS[name];
    const mine = own[name];
    return [name, mine !== undefined && mine >= low && mine <= high ? mine : value] as const;
  });
  return Object.fromEntries(pairs) as Assumed;
}

export const DEFAULT_ASSUMED: Assumed = resolveAssumed();
