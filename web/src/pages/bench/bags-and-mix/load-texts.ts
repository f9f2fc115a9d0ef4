import { parseNumber, trimmed, UNITS } from '@rundel/core/units';
import { refused } from '../../../text/amount-text.ts';
import type { Field } from '../../../ui/form/index.ts';
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

/** An area or load in the grower's own unit, whatever stands behind its number. */
function ownUnitField(
  words: { readonly label: string; readonly problem: string },
  factor: number,
  show: (value: number) => string,
  example: number,
): Field<number | undefined> {
  return {
    label: words.label,
    help: `As ${show(example)}.`,
    input: { kind: 'number' },
    read(text) {
      const number = parseNumber(text)?.value;
      if (text.trim() === '') return { ok: true, value: undefined };
      if (number === undefined || !(number > 0 && number * factor <= 5000)) return refused(words.problem);
      return { ok: true, value: number * factor };
    },
    write: show,
  };
}

/** What is asked of the floor of a place, m² and kg/m². */
export function floorFields(unitFormat: UnitFormat) {
  const isMetric = unitFormat.system === 'metric';
  return {
    area: ownUnitField(
      { label: 'Floor that they stand on', problem: 'The floor: a number above 0, please.' },
      isMetric ? 1 : SQUARE_FOOT,
      (value) => showArea(value, unitFormat),
      4,
    ),
    limit: ownUnitField(
      { label: 'What it bears, as you were told', problem: 'The limit: a number above 0, please.' },
      isMetric ? 1 : POUND_PER_SQUARE_FOOT,
      (value) => showLoad(value, unitFormat),
      150,
    ),
  };
}
