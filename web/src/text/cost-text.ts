import type { EntryOf } from '@rundel/core/records';
import type { CostLine } from '@rundel/core/stock';
import { UNITS } from '@rundel/core/units';
import type { Money, UnitFormat } from '../store/index.ts';

/** What a part of a bag's cost is called. */
export const COST_WORDS: Record<CostLine['what'], string> = {
  bag: 'bag',
  mix: 'mix',
  amendments: 'worked in',
  feeds: 'feeds given',
  supplies: 'supplies',
  seed: 'seed',
  plants: 'plants',
  current: 'current',
  water: 'water',
  other: 'other',
  work: 'work',
};

/** On what money was spent. */
export const SPENT_WORDS: Record<EntryOf<'spent'>['on'], string> = {
  seed: 'Seed',
  plants: 'Plants',
  current: 'Current',
  water: 'Water',
  other: 'Something else',
};

/** How a part of the cost came about, in a few words. */
export function howWords(line: CostLine, money: Money): string {
  const { how } = line;
  switch (how.kind) {
    case 'spread':
      return `${money.show(how.whole)} over ${how.over} seasons`;
    case 'shared':
      return `${how.among === 1 ? 'for this bag' : `${money.show(how.whole)} among ${how.among} bags`}${how.over ? `, over ${how.over} seasons` : ''}`;
    case 'minutes':
      return `${Math.round(how.minutes)} minutes`;
    case 'as-used':
      return 'as it was used';
  }
}

/** A price for a kilogram as the grower weighs: by the kilogram or the pound. */
export function perWeight(pricePerKilogram: number, unitFormat: UnitFormat) {
  return unitFormat.system === 'metric'
    ? { heading: 'Cost a kg', each: 'a kg', price: pricePerKilogram }
    : { heading: 'Cost a lb', each: 'a lb', price: pricePerKilogram * UNITS.pound.factor };
}
