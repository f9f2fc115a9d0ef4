import { parseNumber } from './parse-number.ts';

/** Seconds in what a word for time begins with. */
const SECONDS = { s: 1, m: 60, h: 3600 } as const;

/** Words for time; "m" alone is a metre. */
const WORD =
  /^(?<unit>s(?:ecs?|econds?)?|m(?:ins?|inutes?)|h(?:rs?|ours?)?)(?!\p{L})\.?\s*(?:,|and(?!\p{L}))?\s*/iu;

/** A length of time at the beginning of a text, and whatever stood behind it. */
export interface TypedTime {
  readonly seconds: number;
  readonly rest: string;
}

/**
 * Reads a length of time as people say it, at the beginning of a text: "20 s", "1½ minutes", "1 h 20 min of dripper".
 *
 * @returns undefined where the text does not begin with one
 * @example
 * parseTime('1 min 30 s of hose')
 * // => { seconds: 90, rest: 'of hose' }
 */
export function parseTime(text: string): TypedTime | undefined {
  let time: TypedTime | undefined;
  for (let rest = text.trim(); ; rest = time.rest) {
    const number = parseNumber(rest);
    const word = number && WORD.exec(number.rest);
    const unit = word?.groups?.['unit']?.[0]?.toLowerCase() as keyof typeof SECONDS | undefined;
    if (!number || !word || !unit) return time;
    const seconds = (time?.seconds ?? 0) + number.value * SECONDS[unit];
    time = { seconds, rest: number.rest.slice(word[0].length) };
  }
}
