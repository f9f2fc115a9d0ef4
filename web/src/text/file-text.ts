import { dayOf, daysBetween } from '@rundel/core/calendar';
import type { MergeReport } from '@rundel/core/merge';
import { agoWords } from './text.ts';

/** What a table's rows are called: one, and several. */
const ROWS: Readonly<Record<string, readonly [string, string]>> = {
  places: ['place', 'places'],
  containers: ['bag', 'bags'],
  varieties: ['variety', 'varieties'],
  batches: ['sowing', 'sowings'],
  plants: ['plant', 'plants'],
  measures: ['can or other measure', 'cans and other measures'],
  mixes: ['mix', 'mixes'],
  products: ['product', 'products'],
  packs: ['pack', 'packs'],
  templates: ['template', 'templates'],
  plans: ['plan', 'plans'],
  regimes: ['regime', 'regimes'],
  tanks: ['tank', 'tanks'],
  trials: ['trial', 'trials'],
  entries: ['diary entry', 'diary entries'],
  settings: ['setting', 'settings'],
};

/** A number of rows: "1 bag", "12 diary entries", "2 rows of a kind that is unknown here". */
export function rowsWords(table: string, count: number): string {
  const [one, several] = ROWS[table] ?? [`row of "${table}"`, `rows of "${table}"`];
  return `${count.toLocaleString('en-GB')} ${count === 1 ? one : several}`;
}

/** Words in a row: "a", "a and b", "a, b and c". */
export function listWords(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
}

/** What would come and change: one sentence a kind of change, none where nothing would. */
export function reportWords({ tables, settings }: MergeReport): readonly string[] {
  const of = (which: 'added' | 'changed') =>
    tables.filter((t) => t[which] > 0).map((t) => rowsWords(t.table, t[which]));
  const [added, changed] = [of('added'), of('changed')];
  return [
    ...(added.length > 0 ? [`New here: ${listWords(added)}.`] : []),
    ...(changed.length > 0 ? [`Otherwise than here: ${listWords(changed)}.`] : []),
    ...(settings.length > 0 ? [`${rowsWords('settings', settings.length)} would change.`] : []),
  ];
}

/** How large something is, as people say it. */
export function sizeWords(bytes: number): string {
  if (bytes < 1000) return `${bytes} bytes`;
  if (bytes < 1e6) return `${Math.round(bytes / 1000)} kB`;
  if (bytes < 1e9) return `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;
  return `${(bytes / 1e9).toFixed(1)} GB`;
}

/** After so many days without a saved file the grower is reminded, once there is something to lose. */
const REMINDED_AFTER_DAYS = 7;
/** So many entries are worth a file, where there never was one. */
const REMINDED_FROM = 20;

/**
 * When the garden was last saved to a file, in a sentence; and whether it is time to do it again.
 *
 * @param saved null: never; undefined: not known yet
 */
export function savedWords(
  saved: string | null | undefined,
  today: string,
  entries: readonly { readonly recordedAt: string }[],
): { readonly words: string; readonly isDue: boolean } {
  if (saved === undefined) return { words: '', isDue: false };
  if (saved === null) return { words: 'Not saved to a file yet.', isDue: entries.length >= REMINDED_FROM };
  const since = entries.filter((e) => Date.parse(e.recordedAt) > Date.parse(saved)).length;
  const days = daysBetween(dayOf(saved), today);
  const sinceWords = since === 0 ? 'nothing since' : `${rowsWords('entries', since)} since`;
  return {
    words: `Saved to a file ${agoWords(dayOf(saved), today)}, ${sinceWords}.`,
    isDue: days >= REMINDED_AFTER_DAYS && since > 0,
  };
}

/** A name for a saved file, from the garden's name and the day. */
export function fileName(gardenName: string, day: string | undefined, ending: string): string {
  const name = gardenName
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `rundel-${name || 'garden'}${day === undefined ? '' : `-${day}`}.${ending}`;
}
