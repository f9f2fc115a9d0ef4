import type { Entry } from '@rundel/core/records';
import { pause } from '../db/index.ts';

/** So many entries are written to a text, or read from it, in some milliseconds. */
const A_TEXT = 2500;

/**
 * A diary as a few long texts: another thread is handed those far sooner than the thousands of small values in them. Taps and
 * frames go first between one and the next.
 */
export async function textsOf(entries: readonly Entry[]): Promise<readonly string[]> {
  const texts: string[] = [];
  for (let from = 0; from < entries.length; from += A_TEXT) {
    if (from > 0) await pause();
    texts.push(JSON.stringify(entries.slice(from, from + A_TEXT)));
  }
  return texts;
}

/** The diary of such texts, likewise. */
export async function entriesOf(texts: readonly string[]): Promise<readonly Entry[]> {
  const entries: Entry[] = [];
  for (const [i, text] of texts.entries()) {
    if (i > 0) await pause();
    for (const entry of JSON.parse(text) as readonly Entry[]) entries.push(entry);
  }
  return entries;
}
