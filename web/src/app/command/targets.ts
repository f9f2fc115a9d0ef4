import type { Garden } from '@rundel/core/records';
import type { Bag } from '../../store/index.ts';
import { kindWords, titleOf } from '../../text/bag-text.ts';
import type { UnitFormat } from '../../store/index.ts';
import { GROUPS } from '../../pages/bench/topics.ts';

/** Something that can be gone to or done. */
export interface Target {
  readonly id: string;
  readonly label: string;
  /** in a few words what it is */
  readonly what: string;
  /** further words under which it is found */
  readonly alias?: string;
  /** where it leads; what is done instead is known by its id */
  readonly to?: string;
}

const PAGES: readonly Target[] = [
  { id: 'round', label: 'Round', what: 'page', to: '/round', alias: 'walk check home' },
  { id: 'bags', label: 'Bags', what: 'page', to: '/bags', alias: 'places table' },
  { id: 'season', label: 'Season', what: 'page', to: '/season', alias: 'year calendar frost' },
  { id: 'away', label: 'Going away', what: 'page', to: '/season/away', alias: 'holiday helper sheet' },
  { id: 'weather', label: 'Weather', what: 'page', to: '/season/weather', alias: 'rain temperature import' },
  { id: 'tally', label: 'Yields', what: 'page', to: '/tally', alias: 'tally harvest pickings' },
  { id: 'coming', label: 'Coming', what: 'page', to: '/tally/coming', alias: 'ripe forecast' },
  { id: 'trials', label: 'Trials', what: 'page', to: '/tally/trials', alias: 'compare' },
  { id: 'shelf', label: 'Shelf', what: 'page', to: '/tally/shelf', alias: 'store keep' },
  { id: 'worth', label: 'Worth it', what: 'page', to: '/tally/worth', alias: 'money price' },
  { id: 'review', label: 'Review', what: 'page', to: '/tally/review', alias: 'season on one page' },
  { id: 'settings', label: 'Settings', what: 'page', to: '/settings', alias: 'units theme language' },
  {
    id: 'files',
    label: 'Files',
    what: 'page',
    to: '/files',
    alias: 'save open merge backup bin photographs csv',
  },
  {
    id: 'paper',
    label: 'Labels and sheets to print',
    what: 'page',
    to: '/files/paper',
    alias: 'print qr labels sheet',
  },
  {
    id: 'tables',
    label: 'Tables in and out',
    what: 'page',
    to: '/files/tables',
    alias: 'csv spreadsheet import export',
  },
  {
    id: 'calendar',
    label: 'Calendar and reminders',
    what: 'page',
    to: '/files/calendar',
    alias: 'ics phone notify quiet',
  },
  { id: 'help', label: 'Help and keys', what: 'page', to: '/help', alias: 'shortcuts' },
  { id: 'dangers', label: 'Dangers', what: 'page', to: '/help/dangers', alias: 'safety caution' },
];

const DEEDS: readonly Target[] = [
  { id: 'add-bag', label: 'Add a bag', what: 'do', to: '/bags/new', alias: 'new container' },
  {
    id: 'plant',
    label: 'Plant bags, step by step',
    what: 'do',
    to: '/round/planting',
    alias: 'planting session',
  },
  { id: 'scan', label: 'Scan a label', what: 'do', to: '/scan', alias: 'qr camera code' },
  { id: 'save', label: 'Save to a file', what: 'do', alias: 'backup export zip' },
  { id: 'undo', label: 'Undo the last change', what: 'do', alias: 'back' },
  { id: 'redo', label: 'Do again what was undone', what: 'do', alias: 'redo' },
  { id: 'other-garden', label: 'To the other garden', what: 'do', alias: 'demo own bags switch' },
];

/** Everything that the box reaches: each bag, place and plant, each page and deed. */
export function targetsOf(garden: Garden, bags: readonly Bag[], unitFormat: UnitFormat): readonly Target[] {
  const bagTargets = bags.map((bag) => ({
    id: bag.container.id,
    label: titleOf(bag),
    what: `${kindWords(bag, unitFormat)}, ${bag.place?.name ?? 'no place'}`,
    alias: 'bag',
    to: `/bags/${bag.container.id}`,
  }));
  const plants = bags.flatMap((bag) =>
    bag.occupants.flatMap(({ plant }) =>
      plant.name
        ? [
            {
              id: plant.id,
              label: plant.name,
              what: `plant in ${bag.container.label}`,
              to: `/bags/${bag.container.id}`,
            },
          ]
        : [],
    ),
  );
  const places = garden.places
    .filter(({ binnedAt }) => !binnedAt)
    .map(({ id, name }) => ({ id, label: name, what: 'place', to: '/bags' }));
  const topics = GROUPS.flatMap(({ name, topics: all }) =>
    all.map((topic) => ({
      id: `bench-${topic.id}`,
      label: topic.title,
      what: `Bench, ${name.toLowerCase()}`,
      alias: `${topic.name} ${topic.lead}`,
      to: `/bench/${topic.id}`,
    })),
  );
  return [...bagTargets, ...plants, ...places, ...PAGES, ...topics, ...DEEDS];
}

const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .split(/[^\p{L}\d]+/u)
    .filter((word) => word !== '');

/** How well a target answers to what was typed: every word of it begins a word of the target; greater is better, 0 not at all. */
export function fit(target: Target, typed: string): number {
  const asked = wordsOf(typed);
  if (asked.length === 0) return 1;
  const label = wordsOf(target.label);
  const further = wordsOf(`${target.what} ${target.alias ?? ''}`);
  let score = 0;
  for (const [i, word] of asked.entries()) {
    if (label[i] === word) score += 5;
    else if (label[0]?.startsWith(word)) score += 4;
    else if (label.some((own) => own.startsWith(word))) score += 3;
    else if (further.some((own) => own.startsWith(word))) score += 1;
    else return 0;
  }
  return score / asked.length;
}

/** The targets that answer to what was typed, best first. */
export function found(targets: readonly Target[], typed: string, most: number): readonly Target[] {
  return targets
    .map((target, i) => ({ target, i, score: fit(target, typed) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.i - b.i)
    .slice(0, most)
    .map(({ target }) => target);
}
