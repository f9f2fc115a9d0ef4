import type { LabelDose } from '@rundel/core/records';
import { parseAmount, UNITS, type UnitSystem } from '@rundel/core/units';

/**
 * How much water or mix a dose "in each litre" is told for, L: growers who count in US units read labels by the gallon.
 * What is stored is per litre, whoever typed it.
 */
export function displayFactor(per: LabelDose['per'], system: UnitSystem): number {
  return system === 'us' && (per === 'litre' || per === 'mix-litre') ? UNITS.usGallon.factor : 1;
}

/** Digits in which a dose is told, and how far one told in so many may be off. */
const TOLD_DIGITS = 5;
const TOLD_OFF = 5e-5;

/**
 * A stored dose as it is told.
 *
 * @example
 * displayDose({ amount: 4, per: 'litre' }, 'us')
 * // => 15.142
 */
export function displayDose({ amount, per }: Pick<LabelDose, 'amount' | 'per'>, system: UnitSystem): number {
  const by = displayFactor(per, system);
  return by === 1 ? amount : Number((amount * by).toPrecision(TOLD_DIGITS));
}

/**
 * A told dose as it is stored: a round amount in each litre where that is told in the same words, so that what was told and
 * typed again stays what it was. NaN stays NaN.
 *
 * @example
 * parseDose(15.142, 'litre', 'us')
 * // => 4
 */
export function parseDose(told: number, per: LabelDose['per'], system: UnitSystem): number {
  const by = displayFactor(per, system);
  if (by === 1) return told;
  const round = Number((told / by).toPrecision(3));
  return Math.abs(round * by - told) <= TOLD_OFF * told ? round : Number((told / by).toPrecision(6));
}

/** What a dose is counted for, in words. */
export function perWords(system: UnitSystem): Record<LabelDose['per'], string> {
  const measure = system === 'us' ? 'gallon' : 'litre';
  return {
    litre: `in each ${measure} of water`,
    bag: 'to each bag',
    plant: 'to each plant',
    'mix-litre': `to each ${measure} of mix`,
  };
}

/** "15 g in 5 L", "1 tbsp per gallon", "5 ml/L"; a fraction alone is none. */
const IN_WATER =
  /^(.*?[^\s\d].*?)\s*(?:\/|(?<!\p{L})(?:in|per|to|for|each)(?!\p{L}))\s*(?:each |every |an? )?(.*)$/iu;
/** "1:200", "1 in 200": of what is poured. */
const DILUTION = /^1\s*(?::|in|to)\s*(\d+(?:[.,]\d+)?)$/i;

/**
 * A dose as a label has it, with the litres of water that it goes into; undefined where it says nothing of water.
 *
 * @example
 * doseInWater('15 g in 5 L', 'metric')
 * // => { dose: '15 g', litres: 5 }
 */
export function doseInWater(
  text: string,
  system: UnitSystem,
): { readonly dose: string; readonly litres: number } | undefined {
  const parts = Number(DILUTION.exec(text.trim())?.[1]?.replace(',', '.'));
  if (parts > 0) return { dose: '1 ml', litres: parts / 1000 };
  const [, dose, water = ''] = IN_WATER.exec(text.trim()) ?? [];
  const read = parseAmount(/^[\d½¼¾⅓⅔⅛]/.test(water) ? water : `1 ${water}`, 'water', system);
  return dose !== undefined && read.ok && read.amount.siValue > 0
    ? { dose, litres: read.amount.siValue }
    : undefined;
}
