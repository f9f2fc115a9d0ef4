import { fromSi, UNITS, type Quantity, type UnitName } from './units.ts';

/** The three ways of writing amounts that a grower can choose in Settings. */
export type UnitSystem = 'metric' | 'us' | 'uk';

/** What an amount is for decides its unit: a bag and a spoon are both volumes, but nobody says "0.015 L". */
export type Purpose =
  | 'bag'
  | 'water'
  | 'size'
  | 'depth'
  | 'height'
  | 'crop'
  | 'weight'
  | 'temperature'
  | 'rain';

interface Choice {
  readonly unit: UnitName;
  /** digits after the point that are worth showing */
  readonly digits: number;
  /**
   * below this inner value the `small` unit reads better; it lies where the small unit rounds down and the other up, so
   * that what is shown is never shown in the other unit when it is read back
   */
  readonly smallBelow?: number;
  readonly small?: { readonly unit: UnitName; readonly digits: number };
}

const METRIC: Record<Purpose, Choice> = {
  bag: { unit: 'litre', digits: 0, smallBelow: 10, small: { unit: 'litre', digits: 1 } },
  water: { unit: 'litre', digits: 1, smallBelow: 0.2995, small: { unit: 'millilitre', digits: 0 } },
  size: { unit: 'centimetre', digits: 1 },
  depth: { unit: 'centimetre', digits: 1 },
  height: { unit: 'metre', digits: 2, smallBelow: 995, small: { unit: 'centimetre', digits: 0 } },
  crop: { unit: 'kilogram', digits: 2, smallBelow: 0.9995, small: { unit: 'gram', digits: 0 } },
  weight: { unit: 'kilogram', digits: 0 },
  temperature: { unit: 'celsius', digits: 0 },
  rain: { unit: 'millimetre', digits: 1 },
};

const US: Record<Purpose, Choice> = {
  bag: { unit: 'usGallon', digits: 1 },
  water: { unit: 'usGallon', digits: 2, smallBelow: 0.485, small: { unit: 'usCup', digits: 1 } },
  size: { unit: 'inch', digits: 1 },
  depth: { unit: 'inch', digits: 1 },
  height: { unit: 'foot', digits: 1, smallBelow: 901.7, small: { unit: 'inch', digits: 1 } },
  crop: { unit: 'pound', digits: 2, smallBelow: 0.4522, small: { unit: 'ounce', digits: 1 } },
  weight: { unit: 'pound', digits: 0 },
  temperature: { unit: 'fahrenheit', digits: 0 },
  rain: { unit: 'inch', digits: 2 },
};

const UK: Record<Purpose, Choice> = {
  ...US,
  bag: METRIC.bag,
  water: { unit: 'imperialGallon', digits: 2, smallBelow: 1.165, small: { unit: 'imperialPint', digits: 1 } },
  temperature: METRIC.temperature,
  rain: METRIC.rain,
};

const SYSTEMS: Record<UnitSystem, Record<Purpose, Choice>> = { metric: METRIC, us: US, uk: UK };

/** The units in which amounts of a purpose are shown: the usual one, and the smaller one where that reads better. */
export function unitsShown(system: UnitSystem, purpose: Purpose): readonly UnitName[] {
  const { unit, small } = SYSTEMS[system][purpose];
  return small ? [unit, small.unit] : [unit];
}

/** The unit that a form field of this purpose is typed in when no unit is written. */
export function fieldUnit(system: UnitSystem, purpose: Purpose): UnitName {
  const choice = SYSTEMS[system][purpose];
  // a bare number in a height field means the small unit: nobody types 0.34 for a seedling
  return purpose === 'height' && choice.small ? choice.small.unit : choice.unit;
}

/**
 * An inner value as number and unit in the grower's system, rounded to what is worth showing.
 *
 * @param beside the inner value that it is shown beside: it takes that one's unit, since "0.2 to 6.5 L" reads better
 *   than "200 mL to 6.5 L"
 * @example
 * showParts(0.45, 'crop', 'metric')
 * // => { number: '450', symbol: 'g' }
 */
export function showParts(
  siValue: number,
  purpose: Purpose,
  system: UnitSystem,
  beside = siValue,
): { readonly number: string; readonly symbol: string } {
  const choice = SYSTEMS[system][purpose];
  const isSmall =
    choice.small !== undefined && choice.smallBelow !== undefined && Math.abs(beside) < choice.smallBelow;
  const { unit, digits } = isSmall && choice.small ? choice.small : choice;
  return { number: trimmed(fromSi(siValue, unit), digits), symbol: UNITS[unit].symbol };
}

/**
 * An inner value in words, in the grower's system.
 *
 * @example
 * show(37.85412, 'bag', 'us')
 * // => '10 gal'
 */
export function show(siValue: number, purpose: Purpose, system: UnitSystem): string {
  const { number, symbol } = showParts(siValue, purpose, system);
  return `${number} ${symbol}`;
}

/** A number with at most `digits` after the point and no trailing zeros: 12.50 is shown as 12.5. */
export function trimmed(value: number, digits: number): string {
  const text = value.toFixed(digits);
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
}

/** What kind of quantity each purpose measures; parsing needs it to refuse "12 kg" as a length. */
export function quantityOf(purpose: Purpose): Quantity {
  return UNITS[METRIC[purpose].unit].quantity;
}
