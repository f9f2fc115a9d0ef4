import { cropOf, habitOf, habitOfVariety, type KnownVariety } from '@rundel/core/plants';
import type { Bearing, Variety } from '@rundel/core/records';

export const BEARING_WORDS: Readonly<Record<Bearing, string>> = {
  'one-flush': 'in one flush',
  'all-season': 'all season',
};

export const AGAIN_WORDS: Readonly<Record<NonNullable<Variety['growAgain']>, string>> = {
  yes: 'yes',
  perhaps: 'perhaps',
  no: 'no',
};

type Days = NonNullable<Variety['daysToRipe']>;

/** "62 to 68 from planting" */
export function daysWords({ low, high, from }: Days): string {
  return `${low === high ? low : `${low} to ${high}`} from ${from}`;
}

/**
 * How a variety's days lie beside what is usual for its growth: "9 days sooner than usual", and more than half off is likely a
 * slip or another plant. Undefined where nothing is known, or it is about as usual.
 */
export function daysRemark(
  variety: Pick<KnownVariety, 'cropId' | 'habitId' | 'daysToRipe'>,
): string | undefined {
  if (!variety.daysToRipe) return undefined;
  const usual = habitOf(variety.cropId, variety.habitId).daysToPicking;
  const own = habitOfVariety(variety).daysToPicking.value;
  const by = Math.round(own - usual.value);
  if (Math.abs(by) < 4) return undefined;
  const words = `${Math.abs(by)} days ${by < 0 ? 'sooner' : 'later'} than is usual for a ${habitOf(variety.cropId, variety.habitId).name.toLowerCase()} ${cropOf(variety.cropId).name.toLowerCase()}`;
  return own < usual.low * 0.6 || own > usual.high * 1.5
    ? `That is ${words}: is it counted from sowing, or from planting? It is taken as you say.`
    : `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
