import { trimmed, UNITS } from '@rundel/core/units';
import type { ReadAmount } from '../../../text/amount-text.ts';
import type { UnitFormat } from '../../../store/index.ts';

/** Square metres in a square foot, and kg/m² in lb/ft². */
const SQUARE_FOOT = (UNITS.foot.factor / 1000) ** 2;
const POUND_PER_SQUARE_FOOT = UNITS.pound.factor / SQUARE_FOOT;

export function showArea(squareMetres: number, unitFormat: UnitFormat): string {
  return unitFormat.system === 'metric'
    ? `${trimmed(squareMetres, 1)}\u00a0m²`
    : `${trimmed(squareMetres / SQUARE_FOOT, 0)}\u00a0sq\u00a0ft`;
}

export function showLoad(kilogramsPerSquareMetre: number, unitFormat: UnitFormat): string {
  return unitFormat.system === 'metric'
    ? `${trimmed(kilogramsPerSquareMetre, 0)}\u00a0kg/m²`
    : `${trimmed(kilogramsPerSquareMetre / POUND_PER_SQUARE_FOOT, 0)}\u00a0lb/sq\u00a0ft`;
}

/** A number with whatever unit stands behind it, in the grower's own units of area or load. */
function read(text: string, factor: number, high: number, what: string): ReadAmount {
  const bare = text.replace(/\s|\u00a0/g, '').replace(',', '.');
  if (bare === '') return { kind: 'left-out' };
  const number = /^(\d+(?:\.\d+)?)(?:\D.*)?$/.exec(bare)?.[1];
  const siValue = Number(number) * factor;
  return siValue > 0 && siValue <= high
    ? { kind: 'given', siValue, text }
    : { kind: 'refused', problem: `${what}: a number above 0, please.` };
}

export function readArea(text: string, unitFormat: UnitFormat): ReadAmount {
  return read(text, unitFormat.system === 'metric' ? 1 : SQUARE_FOOT, 5000, 'The floor');
}

export function readLimit(text: string, unitFormat: UnitFormat): ReadAmount {
  return read(text, unitFormat.system === 'metric' ? 1 : POUND_PER_SQUARE_FOOT, 5000, 'The limit');
}
