import { describe, expect, it } from 'vitest';
import { fieldsIn } from '../../../test/field-context.ts';
import {
  amountField,
  choiceField,
  dayField,
  gradeField,
  isWhole,
  numberField,
  optionalField,
  priceField,
  readForm,
  switchField,
  textField,
  type Field,
} from './index.ts';

const metric = fieldsIn('metric');
const us = fieldsIn('us');
const depth = amountField({ label: 'Depth', purpose: 'depth', low: 0, high: 150, isOptional: true });

describe('a field', () => {
  it.each<[string, Field<unknown>, string, unknown]>([
    ['an amount in another unit', depth as Field<unknown>, '2 in', 50.8],
    ['an amount that may be left out', depth as Field<unknown>, ' ', undefined],
    ['a number with a comma', numberField({ label: 'n', low: 0, high: 9 }) as Field<unknown>, '1,5', 1.5],
    ['a price with its sign', priceField({ label: 'p' }) as Field<unknown>, '£6,90', 6.9],
    ['a price with another sign behind it', priceField({ label: 'p' }) as Field<unknown>, '6.90 kr', 6.9],
    ['pence', priceField({ label: 'p' }) as Field<unknown>, '28 p', 0.28],
    ['cents', priceField({ label: 'p' }) as Field<unknown>, '95¢', 0.95],
    ['a text without its edges', textField({ label: 't', longest: 9 }) as Field<unknown>, ' a ', 'a'],
    ['a day', dayField({ label: 'd' }) as Field<unknown>, '2026-05-01', '2026-05-01'],
    ['yes', switchField({ label: 's' }) as Field<unknown>, 'on', true],
    ['no', switchField({ label: 's' }) as Field<unknown>, '', false],
    ['a grade', gradeField({ label: 'g', grades: ['dry', 'wet'] }) as Field<unknown>, '2', 2],
  ])('reads %s', (_, field, text, value) => {
    expect(field.read(text, metric)).toEqual({ ok: true, value });
  });

  it.each<[string, Field<unknown>, string, RegExp]>([
    ['too much', depth as Field<unknown>, '2 m', /must be from 0/],
    ['no number', numberField({ label: 'n', low: 0, high: 9 }) as Field<unknown>, 'some', /as a number/],
    [
      'half a fruit',
      numberField({ label: 'n', low: 0, high: 9, isWhole: true }) as Field<unknown>,
      '½',
      /whole/,
    ],
    ['a debt', priceField({ label: 'p' }) as Field<unknown>, '-1', /from 0 up/],
    ['a price in words', priceField({ label: 'p' }) as Field<unknown>, 'dear', /as a number/],
    [
      'nothing where it is needed',
      textField({ label: 't', longest: 9, missing: 'Say it.' }) as Field<unknown>,
      ' ',
      /Say it/,
    ],
    ['a taken name', textField({ label: 't', longest: 9, taken: ['a'] }) as Field<unknown>, 'a', /already/],
    ['half a day', dayField({ label: 'd' }) as Field<unknown>, '?', /whole date/],
  ])('refuses %s in a sentence', (_, field, text, said) => {
    expect(field.read(text, metric)).toMatchObject({
      ok: false,
      problem: expect.stringMatching(said) as string,
    });
  });

  it('may be made to be left out', () => {
    const field = optionalField(numberField({ label: 'n', low: 1, high: 9 }));
    expect(field.read('', metric)).toEqual({ ok: true, value: undefined });
    expect(field.read('10', metric).ok).toBe(false);
  });

  it('writes a value so that it reads again', () => {
    const level = amountField({ label: 'l', purpose: 'water', low: 0, high: 99 });
    for (const context of [metric, us]) {
      const again = level.read(level.write(2.5, context), context);
      expect(again.ok && again.value).toBeCloseTo(2.5, 1);
    }
    const price = priceField({ label: 'p' });
    expect(price.write(6.9, metric)).toBe('6.90');
  });
});

describe('a form', () => {
  const fields = {
    name: textField({ label: 'Name', longest: 9, missing: 'Give it a name.' }),
    kind: choiceField({
      label: 'Kind',
      options: [
        { id: 'low', label: 'Low' },
        { id: 'high', label: 'High' },
      ],
    }),
    depth,
  };

  it('gives its values once all of it reads, and says all that is wrong at once', () => {
    expect(readForm(fields, {}, { name: 'a', depth: '5' }, metric)).toMatchObject({
      ok: true,
      values: { name: 'a', kind: 'low', depth: 50 },
    });
    expect(readForm(fields, {}, { depth: 'deep' }, metric)).toMatchObject({
      ok: false,
      problems: { name: 'Give it a name.', depth: expect.any(String) as string },
    });
  });

  it('keeps what nobody touched to the last digit, whatever its text was rounded to', () => {
    const start = { values: { name: 'a', depth: 38.123 } };
    expect(readForm(fields, start, {}, us)).toMatchObject({ values: { depth: 38.123 } });
    expect(readForm(fields, start, { depth: '2' }, us)).toMatchObject({ values: { depth: 50.8 } });
  });

  it('does not read what is not asked, and looks at what does not go together', () => {
    const asked = { isAsked: (name: string) => name !== 'depth' };
    expect(readForm(fields, asked, { name: 'a', depth: 'nonsense' }, metric)).toMatchObject({
      ok: true,
      values: { depth: undefined },
    });
    const check = () => [{ at: 'depth' as const, problem: 'Not with this kind.' }];
    expect(readForm(fields, { check }, { name: 'a' }, metric)).toEqual({
      ok: false,
      problems: { depth: 'Not with this kind.' },
    });
  });

  it('can have other fields by what stands in it', () => {
    const described = (texts: Readonly<Record<string, string>>) => ({
      kind: fields.kind,
      ...(texts['kind'] === 'high' ? { name: fields.name } : {}),
    });
    expect(readForm(described, {}, {}, metric)).toMatchObject({ ok: true });
    expect(readForm(described, {}, { kind: 'high' }, metric)).toMatchObject({
      problems: { name: 'Give it a name.' },
    });
  });

  it('is whole when every field has a value or was left out', () => {
    expect(isWhole({ fields, values: { name: 'a', kind: 'low', depth: undefined } })).toBe(true);
    expect(isWhole({ fields, values: { name: 'a', kind: 'low' } })).toBe(false);
  });
});
