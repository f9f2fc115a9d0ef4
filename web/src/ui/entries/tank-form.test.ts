import { describe, expect, it } from 'vitest';
import { fieldsIn } from '../../../test/field-context.ts';
import { tankFields } from './tank-form.ts';

const { found } = tankFields({ litres: 120 });
const metric = fieldsIn('metric');

describe('what was found in a tank', () => {
  it.each([
    ['half', 60],
    ['Half full', 60],
    ['a quarter', 30],
    ['40 %', 48],
    ['empty', 0],
    ['60 L', 60],
    ['', undefined],
  ])('"%s" in 120 L is %s L', (text, litres) => {
    expect(found.read(text, metric)).toEqual({ ok: true, value: litres });
  });

  it.each(['140 %', '150 L', 'some'])('"%s" is asked about', (text) => {
    expect(found.read(text, metric).ok).toBe(false);
  });

  it('a share of a tank that is not known is no number', () => {
    expect(tankFields(undefined).found.read('half', metric).ok).toBe(false);
  });
});
