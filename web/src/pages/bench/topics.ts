import { placeNow } from '../../ui/place-now.ts';
import { lazy, type ComponentType, type LazyExoticComponent } from 'react';

export interface Topic {
  readonly id: string;
  readonly name: string;
  readonly title: string;
  readonly lead: string;
  readonly Part: LazyExoticComponent<ComponentType>;
  /** where one goes from here */
  readonly next: readonly Next[];
}

interface Next {
  readonly to: string;
  readonly label: string;
}

export interface Group {
  readonly name: string;
  readonly topics: readonly Topic[];
}

const NEXT = {
  mix: { to: '/bench/mix', label: 'Choose a mix for it' },
  fill: { to: '/bench/fill', label: 'Fill bags' },
  shop: { to: '/bench/shop', label: 'What to buy' },
  add: { to: '/bags/new', label: 'Add the bag' },
  load: { to: '/bench/load', label: 'What it weighs' },
  year: { to: '/season', label: 'When to sow and plant' },
  plant: { to: '/round/planting', label: 'Plant bags, step by step' },
  training: { to: '/bench/training', label: 'How it is trained' },
  supports: { to: '/bench/supports', label: 'What holds it up' },
  batch: { to: '/bench/batch', label: 'Mix the feed that is due' },
  regimes: { to: '/bench/regimes', label: 'Who follows which regime' },
  feeds: { to: '/bench/feeds', label: 'Feeds and their labels' },
  round: { to: '/round', label: 'Start the round' },
  away: { to: '/season/away', label: 'Going away' },
  shed: { to: '/bench/shed', label: 'Put it in the shed' },
  costs: { to: '/bench/costs', label: 'What each bag came to' },
  tally: { to: '/tally', label: 'To the tally' },
} as const satisfies Record<string, Next>;

const topic = (
  id: string,
  name: string,
  title: string,
  lead: string,
  next: readonly Next[],
  load: () => Promise<{ readonly default: ComponentType }>,
): Topic => {
  // who comes straight to a topic need not wait for this page before it is read
  const isAsked = typeof location !== 'undefined' && placeNow().pathname === `/bench/${id}`;
  const early = isAsked ? load() : undefined;
  return { id, name, title, lead, next, Part: lazy(() => early ?? load()) };
};

/** What can be worked out on the bench, in the order in which the work of a year needs it. */
export const GROUPS: readonly Group[] = [
  {
    name: 'Bags and mix',
    topics: [
      topic(
        'size',
        'Which bag',
        'Which bag for which plant?',
        'All sizes side by side, with a grown plant in each.',
        [NEXT.mix, NEXT.add],
        () => import('./bags-and-mix/SizeBench.tsx'),
      ),
      topic(
        'mix',
        'Mixes',
        'Mixes',
        'What goes in, what it holds, and what it weighs.',
        [NEXT.fill, NEXT.shop],
        () => import('./bags-and-mix/MixBench.tsx'),
      ),
      topic(
        'fill',
        'Fill and feed',
        'Fill bags, and work feed into the mix',
        'Old mix, new mix, spoons and handfuls, for as many bags as you like.',
        [NEXT.shop, NEXT.plant],
        () => import('./bags-and-mix/FillBench.tsx'),
      ),
      topic(
        'film',
        'Film and sheet',
        'Sleeves, linings, cages and rings',
        'How to cut it, what is wasted, and what it really holds.',
        [NEXT.add, NEXT.shop],
        () => import('./bags-and-mix/FilmBench.tsx'),
      ),
      topic(
        'load',
        'Weight',
        'Weight and load',
        'What each bag weighs wet, and what the floor has to bear.',
        [NEXT.supports, NEXT.add],
        () => import('./bags-and-mix/LoadBench.tsx'),
      ),
    ],
  },
  {
    name: 'Planting and support',
    topics: [
      topic(
        'varieties',
        'Varieties',
        'Varieties and seedlings',
        'What each is known for, what was sown when, and what to grow again.',
        [NEXT.plant, NEXT.year],
        () => import('./planting/VarietiesBench.tsx'),
      ),
      topic(
        'depth',
        'Planting',
        'How does it go in?',
        'A seedling tried in a bag, by every way there is; nothing is stored.',
        [NEXT.plant, NEXT.supports],
        () => import('./planting/PlantingBench.tsx'),
      ),
      topic(
        'supports',
        'Supports',
        'What holds it up?',
        'Ranked for the plant, the bag and the place; and the string and canes for all of them.',
        [NEXT.shop, NEXT.training],
        () => import('./planting/SupportBench.tsx'),
      ),
      topic(
        'training',
        'Training',
        'What comes off, and what stays?',
        'Form by form, drawn; what you do otherwise is turned off, and no longer asked.',
        [NEXT.round, NEXT.supports],
        () => import('./planting/TrainingBench.tsx'),
      ),
    ],
  },
  {
    name: 'Feed',
    topics: [
      topic(
        'regimes',
        'Regimes',
        'How are they fed?',
        'Thirteen practices and your own, what each would mean for a bag, and which bags follow it.',
        [NEXT.batch, NEXT.feeds],
        () => import('./feeding/RegimesBench.tsx'),
      ),
      topic(
        'batch',
        'Feed batch',
        'What goes into the cans?',
        'For the bags that are due: can by can along the walk, and what is in it.',
        [NEXT.round, NEXT.shop],
        () => import('./feeding/BatchBench.tsx'),
      ),
      topic(
        'feeds',
        'Feeds',
        'Feeds',
        'What each label says and asks for; your own products beside the usual ones.',
        [NEXT.regimes, NEXT.shop],
        () => import('./feeding/FeedsBench.tsx'),
      ),
    ],
  },
  {
    name: 'Water',
    topics: [
      topic(
        'drip',
        'Drip',
        'Does the drip keep up?',
        'What a timer brings against what the bag uses, and a setting that would suit.',
        [NEXT.away, NEXT.round],
        () => import('./water/DripBench.tsx'),
      ),
      topic(
        'tanks',
        'Tanks',
        'How long does the tank last?',
        'Drums, tanks and channels that several bags share.',
        [NEXT.round, NEXT.batch],
        () => import('./water/TanksBench.tsx'),
      ),
      topic(
        'measures',
        'My measures',
        'My measures',
        'Measured once, in a minute; then every amount can be given in them.',
        [NEXT.round, NEXT.batch],
        () => import('./water/MeasuresPanel.tsx'),
      ),
    ],
  },
  {
    name: 'Money and stock',
    topics: [
      topic(
        'shop',
        'Shopping',
        'Shopping',
        'What to buy for any set of bags, in the cheapest packs that cover it.',
        [NEXT.shed, NEXT.fill],
        () => import('./money/ShopBench.tsx'),
      ),
      topic(
        'shed',
        'The shed',
        'The shed',
        'What is there, what it cost, and when it was cheap.',
        [NEXT.shop, NEXT.costs],
        () => import('./money/ShedBench.tsx'),
      ),
      topic(
        'costs',
        'Costs',
        'Costs',
        'Seed, current, work, and what each bag came to.',
        [NEXT.tally, NEXT.shop],
        () => import('./money/CostBench.tsx'),
      ),
    ],
  },
];
