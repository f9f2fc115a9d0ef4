import type { AddedStore } from '@rundel/core/records';
import { show, type NamedMeasure, type UnitSystem } from '@rundel/core/units';
import { readAmount } from '../../text/amount-text.ts';

/** The stores that a grower puts beside a bag, by the field that takes their litres. */
export const STORE_FIELDS = [
  {
    key: 'saucer',
    kind: 'saucer',
    label: 'Saucer under it',
    help: 'Catches what runs through and gives it back.',
  },
  {
    key: 'clayPots',
    kind: 'clay-pots',
    label: 'Clay pots in it',
    help: 'Unglazed, buried to the rim: all they hold.',
  },
  {
    key: 'wick',
    kind: 'wick',
    label: 'Drum on a wick',
    help: 'Checked by its level. Only food-safe drums.',
  },
  {
    key: 'drum',
    kind: 'drum',
    label: 'Drum with a float',
    help: 'Keeps a channel or reservoir full. Only food-safe drums.',
  },
] as const;

/** The stores of a bag as the form's texts. */
export function storeTexts(stores: AddedStore[] | undefined, system: UnitSystem) {
  const text = (kind: AddedStore['kind']) => {
    const found = stores?.find((store) => store.kind === kind);
    return found ? show(found.litres, 'water', system) : '';
  };
  return { saucer: text('saucer'), clayPots: text('clay-pots'), wick: text('wick'), drum: text('drum') };
}

/** The stores that the form asks for; what does not read is said beside its field. */
export function readStores(
  values: Readonly<Record<'saucer' | 'clayPots' | 'wick' | 'drum', string>>,
  system: UnitSystem,
  measures: readonly NamedMeasure[],
  say: (message: string, ...path: string[]) => void,
): AddedStore[] {
  return STORE_FIELDS.flatMap(({ key, kind }) => {
    const read = readAmount(values[key], {
      purpose: 'water',
      system,
      low: 0.1,
      high: 200,
      measures,
      isOptional: true,
    });
    if (read.kind === 'refused') say(read.problem, key);
    return read.kind === 'given' ? [{ kind, litres: read.siValue }] : [];
  });
}
