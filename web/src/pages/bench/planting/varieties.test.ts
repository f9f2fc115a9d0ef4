import { STARTER_VARIETIES, type KnownVariety } from '@rundel/core/plants';
import { describe, expect, it } from 'vitest';
import { readForm } from '../../../ui/form/read-form.ts';
import { daysRemark, daysWords } from '../../../text/variety-text.ts';
import { fieldsIn } from '../../../../test/field-context.ts';
import { readVarietiesCsv, varietiesAsCsv } from './varieties-csv.ts';
import { startOfVariety, varietyFields, varietyOf, varietyProblems } from './variety-form.ts';

describe('a table of varieties', () => {
  it('reads as it was written, every fact of it', () => {
    const all: KnownVariety[] = [
      ...STARTER_VARIETIES,
      {
        name: 'Old "Meg", grey',
        cropId: 'tomato',
        habitId: 'tall',
        isGrafted: true,
        seed: { source: 'saved', year: 2025, amount: 'half a jar', germination: 0.8 },
        setToRipe: { low: 44, high: 51 },
        keepsMonths: 3.5,
        growAgain: 'perhaps',
        note: 'mild; skins thick',
      },
    ];
    expect(readVarietiesCsv(varietiesAsCsv(all))).toEqual({ varieties: all, refused: [] });
  });

  it('refuses a row with its line and its reason, and takes the others', () => {
    const { varieties, refused } = readVarietiesCsv(
      [
        'Name,Crop,Growth,Days to ripe low',
        'Good,Tomato,Bush,"62,5"',
        'No crop,melon,,',
        ',tomato,,',
        'Wild,pepper,tall,70',
        'Too soon,tomato,bush,5',
      ].join('\n'),
    );
    expect(varieties).toEqual([
      {
        name: 'Good',
        cropId: 'tomato',
        habitId: 'bush',
        daysToRipe: { low: 62.5, high: 62.5, from: 'planting' },
      },
    ]);
    expect(refused.map(({ line, name }) => [line, name])).toEqual([
      [3, 'No crop'],
      [4, ''],
      [5, 'Wild'],
      [6, 'Too soon'],
    ]);
    expect(readVarietiesCsv('a,b\n1,2').refused[0]?.problem).toMatch(/no column name, crop/);
  });
});

describe('the form of a variety', () => {
  const context = fieldsIn('us');
  const read = (typed: Record<string, string>, start: KnownVariety = STARTER_VARIETIES[0] as KnownVariety) =>
    readForm(
      (texts) => varietyFields(texts, []),
      { values: startOfVariety(start), check: varietyProblems },
      typed,
      context,
    );

  it('gives back every variety that it begins with', () => {
    for (const starter of STARTER_VARIETIES) {
      const form = read({}, starter);
      if (!form.ok) throw new Error(JSON.stringify(form.problems));
      const back = varietyOf(form.values as Parameters<typeof varietyOf>[0]);
      expect({ ...back, heightMillimetres: 0 }).toEqual({
        ...starter,
        heightMillimetres: 0,
        fruitGrams: expect.closeTo(starter.fruitGrams ?? 0, 1) as number,
      });
      // shown in feet, it may be a little off
      expect(back.heightMillimetres).toBeCloseTo(starter.heightMillimetres ?? 0, -1);
    }
  });

  it.each([
    [{ ripeLow: '5' }, 'ripeLow'],
    [{ ripeLow: '500' }, 'ripeLow'],
    [{ ripeLow: '70', ripeHigh: '60' }, 'ripeHigh'],
    [{ ripeLow: '', ripeHigh: '60' }, 'ripeLow'],
    [{ ripeLow: '60', ripeHigh: '', greenLow: '70' }, 'greenLow'],
    [{ germination: '120' }, 'germination'],
    [{ setLow: '50', setHigh: '44' }, 'setHigh'],
    [{ setLow: '1' }, 'setLow'],
    [{ keepsMonths: '20' }, 'keepsMonths'],
    [{ name: ' ' }, 'name'],
  ])('says what is wrong with %o at its field', (typed, field) => {
    const form = read(typed);
    expect(form.ok ? [] : Object.keys(form.problems)).toEqual([field]);
  });
});

describe('days to a crop in words', () => {
  const bush = { cropId: 'tomato', habitId: 'bush' };

  it.each([
    [62, undefined],
    [50, /^12 days sooner than is usual for a bush tomato\.$/],
    [120, /from sowing, or from planting\? It is taken as you say\./],
  ])('%i from planting', (days, words) => {
    const daysToRipe = { low: days, high: days, from: 'planting' as const };
    const remark = daysRemark({ ...bush, daysToRipe });
    if (words) expect(remark).toMatch(words);
    else expect(remark).toBeUndefined();
    expect(daysWords(daysToRipe)).toBe(`${days} from planting`);
  });
});
