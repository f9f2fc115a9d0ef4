import type { FeedAmount, FeedUnit } from '../records/index.ts';
import {
  parseNumber,
  settledNumber,
  toSi,
  UNITS,
  unitNamed,
  type NotRead,
  type UnitName,
  type UnitSystem,
} from '../units/index.ts';

/** Units of a dose that a word of the general table stands for; spoons are the grower's own system's. */
const DOSE_UNIT: Partial<Record<UnitName, FeedUnit>> = {
  gram: 'gram',
  millilitre: 'millilitre',
  litre: 'litre',
  tablespoon: 'spoon',
  teaspoon: 'teaspoon',
};

export type DoseReading =
  | { readonly ok: true; readonly value: FeedAmount }
  | { readonly ok: false; readonly reason: NotRead };

/**
 * Reads how much of a product, as people write it: "12", "2½ handfuls", "3 us tablespoons", "1,5 kg", "½ cup". A bare number
 * is in the unit that stands beside it; what is no unit of a dose is kept in grams or millilitres.
 *
 * @example
 * parseDose('3 us tablespoons', 'gram', 'metric')
 * // ≈> { ok: true, value: { amount: 44.361, unit: 'millilitre' } }
 * @example
 * parseDose('1,5', 'handful', 'metric')
 * // => { ok: true, value: { amount: 1.5, unit: 'handful' } }
 */
export function parseDose(text: string, unit: FeedUnit, system: UnitSystem): DoseReading {
  if (text.trim() === '') return { ok: false, reason: 'empty' };
  const read = parseNumber(text);
  if (!read) return { ok: false, reason: 'not-a-number' };
  const number = settledNumber(read, system);
  if (number === undefined) return { ok: false, reason: 'two-readings' };
  const word = read.rest.trim().toLowerCase();
  const given = (amount: number, of: FeedUnit): DoseReading => ({ ok: true, value: { amount, unit: of } });
  if (word === '') return given(number, unit);
  if (/^handfuls?$/.test(word)) return given(number, 'handful');
  if (/^(pieces?|spikes?)$/.test(word)) return given(number, 'piece');
  const name = unitNamed(word, system);
  if (!name) return { ok: false, reason: 'unknown-unit' };
  const own = system === 'us' ? { usTablespoon: 'spoon', usTeaspoon: 'teaspoon' } : {};
  const known = { ...DOSE_UNIT, ...own }[name as 'gram'];
  if (known) return given(number, known);
  const { quantity } = UNITS[name];
  if (quantity === 'mass') return given(toSi(number, name) * 1000, 'gram');
  if (quantity === 'volume') return given(toSi(number, name) * 1000, 'millilitre');
  return { ok: false, reason: 'wrong-quantity' };
}
