/** A way of getting dry mix wet and into a bag. Both work; growers differ. */
export interface FillingPractice {
  readonly id: 'moisten-first' | 'flood';
  readonly name: string;
  readonly description: string;
  /** what the hands do, in order; `litres` is the water for a bag of so much loose mix, in the grower's words */
  steps(litres: string): readonly string[];
}

/** Water that a dry mix takes to clump without dripping, L per L: 4 L to 20 L. */
export const MOISTENING_LITRES_PER_LITRE = 0.2;

export const FILLING_PRACTICES: readonly FillingPractice[] = [
  {
    id: 'moisten-first',
    name: 'Moisten, then fill',
    description: 'No dry pockets, and the bag settles less.',
    steps: (litres) => [
      'Damp the dust first, open sacks away from your face, and wash your hands after.',
      `Tip the mix out and work in about ${litres} of water for each bag, in three goes.`,
      'Leave it ten minutes, then squeeze a handful: it should hold together and drip nothing.',
      'Fill to the line, firm lightly with the flat of the hand, fill again.',
    ],
  },
  {
    id: 'flood',
    name: 'Fill dry, then flood',
    description: 'Less mess and lighter to carry; the bag sinks and is topped up.',
    steps: (litres) => [
      'Put on a mask and gloves: dry mix is dust. Open sacks away from your face.',
      'Fill the bag where it will stand, to the rim, and make a hollow in the middle.',
      `Pour about ${litres} slowly, wait ten minutes, pour again until it runs through.`,
      'Look for dry pockets with a finger at three places; top up to the line once it has sunk.',
    ],
  },
];

/** The squeeze test: what a handful says before the bag is filled. */
export const SQUEEZE_TEST = [
  { feels: 'falls apart', means: 'Too dry: water it and wait ten minutes.' },
  { feels: 'holds together, drips nothing', means: 'Right: fill.' },
  { feels: 'drips when squeezed', means: 'Too wet: spread it out, or work in some dry mix.' },
] as const;
