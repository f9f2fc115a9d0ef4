/** A number as it was typed, and whatever stood behind it. */
export interface TypedNumber {
  readonly value: number;
  readonly rest: string;
}

const FRACTIONS: Readonly<Record<string, number>> = {
  '¼': 0.25,
  '½': 0.5,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125,
  '⅜': 0.375,
  '⅝': 0.625,
  '⅞': 0.875,
};

/** sign, then "1 1/2" or "1/2" or "13.5" or "13½", then the rest */
const NUMBER =
  /^(?<sign>[-+]?)\s*(?:(?:(?<whole>\d+)\s+)?(?<top>\d+)\s*\/\s*(?<bottom>\d+)|(?<decimal>\d*(?:[.,]\d+)?)\s*(?<glyph>[¼½¾⅓⅔⅛⅜⅝⅞])?)\s*(?<rest>.*)$/u;

/**
 * Reads a number as people write it, at the beginning of a text: "1,5", "1/2", "½", "3 1/2", "13½ in".
 *
 * @returns undefined where the text does not begin with a number
 * @example
 * parseNumber('3 1/2 gal')
 * // => { value: 3.5, rest: 'gal' }
 * @example
 * parseNumber('1,5')
 * // => { value: 1.5, rest: '' }
 */
export function parseNumber(text: string): TypedNumber | undefined {
  const match = NUMBER.exec(text.trim())?.groups;
  if (!match) return undefined;
  const { sign, whole, top, bottom, decimal, glyph, rest = '' } = match;
  const by = sign === '-' ? -1 : 1;
  if (top !== undefined && bottom !== undefined) {
    const value = by * (Number(whole ?? 0) + Number(top) / Number(bottom));
    return Number.isFinite(value) ? { value, rest } : undefined;
  }
  const hasDecimal = decimal !== undefined && decimal !== '';
  if (!hasDecimal && glyph === undefined) return undefined;
  const number = hasDecimal ? Number(decimal.replace(',', '.')) : 0;
  return { value: by * (number + (glyph === undefined ? 0 : (FRACTIONS[glyph] ?? 0))), rest };
}
