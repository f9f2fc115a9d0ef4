import { sentence, whenWords } from './text.ts';

/** A field's name as words: "wireMillimetres" is "Wire, millimetres". */
export function fieldWords(field: string): string {
  const words = field
    .replace(/Id$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/ (millimetres|litres|kilograms|grams|degrees|celsius|percent)$/, ', $1');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A value of a record as it can be shown beside another one. */
export function saidWords(value: unknown, now: string): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string')
    return /^\d{4}-\d{2}-\d{2}T/.test(value) ? sentence(whenWords(value, now)).replace(/\.$/, '') : value;
  if (typeof value === 'number') return String(Number(value.toPrecision(6)));
  if (Array.isArray(value))
    return value.length === 0 ? 'none' : value.map((one) => saidWords(one, now)).join('; ');
  return Object.entries(value)
    .map(([field, inside]) => `${fieldWords(field).toLowerCase()} ${saidWords(inside, now)}`)
    .join(', ');
}
