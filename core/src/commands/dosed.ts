import { toSi, unitNamed, UNITS, withFigures } from '../units/index.ts';
import { NUMBER, numberOf } from './amounts.ts';
import type { CommandContext } from './command.ts';

/** From here on a volume is water that something was in, and below it the thing itself, L. */
const LEAST_WATER_LITRES = 0.25;

/** What a dose is counted in, and never water. */
const OF_DOSE = /^(?:handfuls?|pieces?|spikes?)$/;

/** What was given in water, and in how much of it, each as it was said; '' where it was not. */
export function amountsIn(
  text: string,
  { measures, system }: CommandContext,
): { readonly water: string; readonly amount: string; readonly rest: string } | { readonly problem: string } {
  let rest = withFigures(text);
  const found = { water: '', amount: '' };
  const names = measures.flatMap(({ name, kind }) => [name.toLowerCase(), kind as string]);
  const isMeasure = (word: string) =>
    !OF_DOSE.test(word) && names.some((name) => word === name || word === `${name}s`);
  const pattern = new RegExp(
    `(?<![\\p{L}\\d.,/])(${NUMBER}) ?((?:us |imperial )?\\p{L}+(?: \\p{L}+)?)`,
    'gu',
  );
  for (const [all, figures = '', words = ''] of [...rest.matchAll(pattern)]) {
    const [first = ''] = words.split(' ');
    const word = [words, first].find(
      (each) => OF_DOSE.test(each) || isMeasure(each) || unitNamed(each, system) !== undefined,
    );
    if (word === undefined) continue;
    if (OF_DOSE.test(word)) {
      found.amount = `${figures} ${word}`;
      rest = rest.replace(all.slice(0, all.indexOf(words) + word.length), ' ');
      continue;
    }
    const unit = isMeasure(word) ? undefined : unitNamed(word, system);
    const quantity = unit ? UNITS[unit].quantity : 'volume';
    if (quantity !== 'mass' && quantity !== 'volume') continue;
    const number = numberOf(figures, system);
    if (typeof number !== 'number') return number;
    const isWater = unit === undefined || (quantity === 'volume' && toSi(number, unit) >= LEAST_WATER_LITRES);
    found[isWater ? 'water' : 'amount'] = `${figures} ${word}`;
    rest = rest.replace(all.slice(0, all.indexOf(words) + word.length), ' ');
  }
  return { ...found, rest };
}
