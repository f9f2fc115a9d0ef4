/** Of a comma before three figures it has to be asked what it is. */
const PLAIN = String.raw`(?!\d{1,3},\d{3}(?!\d))\d+(?:[.,]\d+)?`;
const TIMES = new RegExp(String.raw`(?<![\p{L}\d.,/])(\d{1,2}) ?[x×] ?(${PLAIN})(?= ?\p{L})`, 'gu');
const SUM = new RegExp(String.raw`(?<![\p{L}\d.,/])(${PLAIN}) ?(\p{L}+) ?\+ ?(${PLAIN}) ?\2(?!\p{L})`, 'u');

/**
 * Amounts that were left to be reckoned, as the one that they come to; all else stays as it is.
 *
 * @example
 * reckoned('3 x 150 g')
 * // => '450 g'
 * @example
 * reckoned('150 g + 200 g from 7')
 * // => '350 g from 7'
 */
export function reckoned(text: string): string {
  const value = (figures: string) => Number(figures.replace(',', '.'));
  const shown = (number: number) => String(Number(number.toPrecision(12)));
  const times = text.replace(TIMES, (_, by: string, figures: string) => shown(Number(by) * value(figures)));
  for (let sum = times; ;) {
    const next = sum.replace(
      SUM,
      (_, one: string, unit: string, more: string) => `${shown(value(one) + value(more))} ${unit}`,
    );
    if (next === sum) return sum;
    sum = next;
  }
}
