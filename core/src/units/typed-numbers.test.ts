import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseAmount, parseNumber, settledNumber } from './index.ts';

describe('numbers with thousands set apart', () => {
  it.each([
    ['12,345.6', 12345.6],
    ['1,234,567', 1234567],
    ['1.234,5', 1234.5],
    ['1.234.567', 1234567],
    ['12 500', 12500],
    ['12\u202F500,5', 12500.5],
    ['-1,234.5', -1234.5],
  ])('%s', (text, value) => {
    expect(parseNumber(text)).toEqual({ value, rest: '' });
  });

  it.each([
    ['0,450', 0.45],
    ['1,5', 1.5],
    ['1,25', 1.25],
    ['1.250', 1.25],
    ['10000', 10000],
    ['1 1/2', 1.5],
  ])('%s is not one of them', (text, value) => {
    expect(parseNumber(text)).toEqual({ value, rest: '' });
  });

  it('one comma before three figures has two readings, settled by how the grower counts or asked about', () => {
    const read = parseNumber('1,250 g');
    expect(read).toEqual({ value: 1.25, rest: 'g', grouped: 1250 });
    if (!read) throw new Error();
    expect([settledNumber(read, 'us'), settledNumber(read, 'uk')]).toEqual([1250, 1250]);
    expect([settledNumber(read, 'metric'), settledNumber(read, undefined)]).toEqual([undefined, undefined]);
    expect(parseAmount('1,000', 'water', 'metric')).toEqual({ ok: false, reason: 'two-readings' });
    expect(parseAmount('1,000 lb', 'crop', 'us')).toMatchObject({ amount: { value: 1000, unit: 'pound' } });
  });

  it('are never read as another number than what they were written from', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1_000_000, max: 999_999_999 }), (value) => {
        const read = (locale: string) => parseNumber(value.toLocaleString(locale))?.value;
        return read('en-US') === value && read('de-DE') === value && read('fr-FR') === value;
      }),
    );
  });

  it.each(['0x10', '1e3', '1E+3'])('%s is no amount', (text) => {
    expect(parseAmount(text, 'water', 'metric')).toMatchObject({ ok: false });
  });
});

describe('dozens', () => {
  it.each([
    ['2 dozen', 24],
    ['a dozen', 12],
    ['half a dozen', 6],
    ['two dozen tomatoes', 24],
    ['a couple of dozen', 24],
    ['1½ dozen', 18],
  ])('%s', (text, value) => {
    expect(parseNumber(text)?.value).toBe(value);
  });
});

describe('an amount that was left to be reckoned', () => {
  it.each([
    ['3 x 150 g', 'crop', 0.45],
    ['150 g + 200 g + 50 g', 'crop', 0.4],
    ['2×5 L', 'water', 10],
    ['1,5 kg', 'crop', 1.5],
  ] as const)('%s', (text, purpose, value) => {
    const read = parseAmount(text, purpose, 'metric');
    expect(read).toMatchObject({ ok: true, amount: { text } });
    expect(read.ok && read.amount.siValue).toBeCloseTo(value, 9);
  });

  it.each(['3 x 1,250 g', '1,250 g + 200 g'])('%s has two readings and is not reckoned', (text) => {
    expect(parseAmount(text, 'crop', 'metric')).toMatchObject({ ok: false });
  });

  it('of a length it is not: it may be how wide and how long', () => {
    expect(parseAmount('30 x 40 cm', 'size', 'metric')).toMatchObject({ ok: false });
  });
});
