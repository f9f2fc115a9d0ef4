/**
 * Every unit that growers write, in one table.
 *
 * Conventions: SI-like inside (litres, millimetres, kilograms, degrees Celsius); `factor` is how many of the
 * inner unit one of this unit holds, `zero` where its scale starts (only temperatures need it).
 * Sources: US gallon 3.785412 L and cubic foot 28.316847 L (NIST Handbook 44, appendix C); imperial gallon
 * 4.546090 L (UK Weights and Measures Act 1985); US dry quart 1.101221 L; US tablespoon 14.787 mL.
 * A plural is read as its singular is.
 */
export type Quantity = 'volume' | 'length' | 'mass' | 'temperature';

export interface Unit {
  readonly quantity: Quantity;
  /** how it is shown after a number */
  readonly symbol: string;
  /** other ways in which people type it, lower case */
  readonly spellings: readonly string[];
  /** inner units (L, mm, kg, °C) in one of these */
  readonly factor: number;
  /** inner value at this unit's zero; 0 for all but °F */
  readonly zero: number;
}

function unit(
  quantity: Quantity,
  symbol: string,
  factor: number,
  spellings: readonly string[] = [],
  zero = 0,
): Unit {
  return { quantity, symbol, spellings, factor, zero };
}

export const UNITS = {
  litre: unit('volume', 'L', 1, ['l', 'litre', 'litres', 'liter', 'liters', 'ltr']),
  millilitre: unit('volume', 'mL', 0.001, ['ml', 'millilitre', 'millilitres', 'cc']),
  usGallon: unit('volume', 'gal', 3.785412, [
    'us gal',
    'usgal',
    'gallon',
    'gallons',
    'us gallon',
    'us gallons',
  ]),
  usQuart: unit('volume', 'qt', 0.946353, ['quart', 'us qt', 'us quart']),
  imperialGallon: unit('volume', 'imp gal', 4.54609, [
    'imperial gallon',
    'imperial gallons',
    'impgal',
    'uk gal',
  ]),
  imperialQuart: unit('volume', 'imp qt', 1.1365225, ['imperial quart', 'uk qt', 'uk quart']),
  imperialPint: unit('volume', 'imp pt', 0.56826125, ['imperial pint', 'uk pt', 'uk pint']),
  usPint: unit('volume', 'pt', 0.473176473, ['us pt', 'pint', 'us pint']),
  usFluidOunce: unit('volume', 'fl oz', 0.0295735296, ['floz', 'fluid ounce', 'us fl oz', 'us fluid ounce']),
  imperialFluidOunce: unit('volume', 'imp fl oz', 0.0284130625, [
    'imperial fl oz',
    'imperial fluid ounce',
    'uk fl oz',
    'uk fluid ounce',
  ]),
  cubicFoot: unit('volume', 'ft³', 28.316847, ['cu ft', 'cuft', 'cubic foot', 'cubic feet', 'ft3']),
  cubicInch: unit('volume', 'in³', 0.016387064, ['cu in', 'cubic inch', 'cubic inches', 'in3']),
  usDryQuart: unit('volume', 'dry qt', 1.101221, ['dry quart', 'dry quarts', 'us dry qt']),
  usTablespoon: unit('volume', 'US tbsp', 0.014787, ['us tablespoon', 'us tablespoons', 'us tbsp', 'us tbs']),
  tablespoon: unit('volume', 'tbsp', 0.015, [
    'tablespoon',
    'tablespoons',
    'metric tbsp',
    'tbs',
    'spoon',
    'spoons',
    'level tablespoon',
    'level tablespoons',
  ]),
  usTeaspoon: unit('volume', 'US tsp', 0.004929, ['us teaspoon', 'us teaspoons', 'us tsp']),
  teaspoon: unit('volume', 'tsp', 0.005, [
    'teaspoon',
    'teaspoons',
    'metric tsp',
    'level teaspoon',
    'level teaspoons',
  ]),
  usCup: unit('volume', 'cup', 0.236588, ['cups', 'us cup', 'us cups']),
  metricCup: unit('volume', 'metric cup', 0.25, ['metric cups']),
  millimetre: unit('length', 'mm', 1, ['millimetre', 'millimetres', 'millimeter']),
  centimetre: unit('length', 'cm', 10, ['centimetre', 'centimetres', 'centimeter', 'centimeters']),
  metre: unit('length', 'm', 1000, ['metre', 'metres', 'meter', 'meters']),
  inch: unit('length', 'in', 25.4, ['inch', 'inches', '"', '″']),
  foot: unit('length', 'ft', 304.8, ['foot', 'feet', "'", '′']),
  gram: unit('mass', 'g', 0.001, ['gram', 'grams', 'gramme', 'grammes', 'gr', 'gm', 'gms']),
  kilogram: unit('mass', 'kg', 1, ['kilo', 'kilos', 'kilogram', 'kilograms']),
  ounce: unit('mass', 'oz', 0.028349523, ['ounce', 'ounces']),
  pound: unit('mass', 'lb', 0.45359237, ['lbs', 'pound', 'pounds']),
  celsius: unit('temperature', '°C', 1, ['c', 'degc', 'celsius']),
  fahrenheit: unit('temperature', '°F', 5 / 9, ['f', 'degf', 'fahrenheit'], -160 / 9),
} as const satisfies Record<string, Unit>;

export type UnitName = keyof typeof UNITS;

/**
 * A value in one unit as the inner value (L, mm, kg, °C).
 *
 * @example
 * toSi(10, 'usGallon')
 * // => 37.85412
 */
export function toSi(value: number, name: UnitName): number {
  return value * UNITS[name].factor + UNITS[name].zero;
}

/**
 * An inner value (L, mm, kg, °C) in the unit asked for; the inverse of {@link toSi}.
 *
 * @example
 * fromSi(25, 'fahrenheit')
 * // ≈> 77
 */
export function fromSi(siValue: number, name: UnitName): number {
  return (siValue - UNITS[name].zero) / UNITS[name].factor;
}
