/**
 * The practices of how deep a rooting stem goes, as data. A grower picks one; nobody is scolded for another.
 *
 * `crown` says how much of the plant stays above the mix; `below` how much loose mix stays under the ball.
 */
export interface DepthPractice {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  readonly crown:
    | { readonly leave: 'share' }
    | { readonly leave: 'least' }
    | { readonly leave: 'seed-leaves' }
    | { readonly leave: 'top-and-one-leaf' }
    | { readonly leave: 'all' };
  readonly below: 'usual' | 'none';
}

export const DEPTH_PRACTICES: readonly DepthPractice[] = [
  {
    id: 'first-leaves',
    name: 'To the first good leaves',
    description: 'Bury the bare stem and leave a third of the plant above.',
    crown: { leave: 'share' },
    below: 'usual',
  },
  {
    id: 'bottom',
    name: 'To the bottom of the bag',
    description: 'As deep as bag and crown allow; the ball stands on the base.',
    crown: { leave: 'least' },
    below: 'none',
  },
  {
    id: 'top-and-one',
    name: 'Top crown and one leaf',
    description: 'Only the growing tip and one good leaf stay out.',
    crown: { leave: 'top-and-one-leaf' },
    below: 'usual',
  },
  {
    id: 'seed-leaves',
    name: 'To the seed leaves',
    description: 'A little deeper than before, for those who fear rot.',
    crown: { leave: 'seed-leaves' },
    below: 'usual',
  },
  {
    id: 'neck-dry',
    name: 'Neck kept high and dry',
    description: 'Nothing of the stem goes under: in its pot with the base cut off, set on the bag.',
    crown: { leave: 'all' },
    below: 'usual',
  },
];

/** When leaves below the line come off, as practices. */
export const STRIP_PRACTICES = [
  { id: 'at-once', name: 'At planting', description: 'Strip them as you plant.' },
  {
    id: 'days-before',
    name: 'Days before',
    description: 'Strip them three days before, so that the cuts heal.',
  },
  {
    id: 'later',
    name: 'When it has taken',
    description: 'Leave them for now; take them off when it grows again.',
  },
] as const;

export type StripPracticeId = (typeof STRIP_PRACTICES)[number]['id'];
