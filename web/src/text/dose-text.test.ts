import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { doseInWater, perWords, parseDose, displayDose, displayFactor } from './dose-text.ts';

const SYSTEMS = ['metric', 'us', 'uk'] as const;
const PER = ['litre', 'bag', 'plant', 'mix-litre'] as const;

it.each([
  ['15 g in 5 L', '15 g', 5],
  ['1½ tbsp per gallon', '1½ tbsp', 3.785],
  ['½ tsp/L', '½ tsp', 1],
  ['2 scoops to a 10 L', '2 scoops', 10],
  ['1:200', '1 ml', 0.2],
  ['1 in 500', '1 ml', 0.5],
] as const)('%s says in how much water', (text, dose, litres) => {
  const read = doseInWater(text, 'us');
  expect(read?.dose).toBe(dose);
  expect(read?.litres).toBeCloseTo(litres, 3);
});

it.each(['15 g', '1/2 tsp', '3', '3 to each bag', '15 g in 5 kg', ''])('%s says nothing of water', (text) => {
  expect(doseInWater(text, 'metric')).toBeUndefined();
});

describe('a dose by the gallon', () => {
  it('is told so to growers in US units, for water and mix alone', () => {
    expect(displayDose({ amount: 4, per: 'litre' }, 'us')).toBe(15.142);
    expect(displayDose({ amount: 60, per: 'mix-litre' }, 'us')).toBe(227.12);
    for (const per of ['bag', 'plant'] as const) expect(displayDose({ amount: 3, per }, 'us')).toBe(3);
    for (const system of ['metric', 'uk'] as const)
      for (const per of PER) expect(displayDose({ amount: 4, per }, system)).toBe(4);
  });

  it('is stored by the litre, with the words that say which', () => {
    expect(parseDose(1, 'litre', 'us')).toBeCloseTo(0.264172, 6);
    expect(parseDose(1, 'bag', 'us')).toBe(1);
    expect(parseDose(Number.NaN, 'litre', 'us')).toBeNaN();
    expect(perWords('us').litre).toBe('in each gallon of water');
    expect(perWords('uk').litre).toBe('in each litre of water');
    expect(perWords('us').plant).toBe(perWords('metric').plant);
  });

  it('stays what it was when it is told and typed again: round by the litre', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 999 }),
        fc.integer({ min: -2, max: 1 }),
        fc.constantFrom(...SYSTEMS),
        fc.constantFrom(...PER),
        (digits, power, system, per) => {
          const amount = Number((digits * 10 ** power).toPrecision(3));
          expect(parseDose(displayDose({ amount, per }, system), per, system)).toBe(amount);
        },
      ),
    );
  });

  it('stays what was typed when it is told again: round by the gallon', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.constantFrom(...PER), (quarters, per) => {
        const typed = quarters / 4;
        const again = displayDose({ amount: parseDose(typed, per, 'us'), per }, 'us');
        expect(Math.abs(again / typed - 1)).toBeLessThanOrEqual(1e-4);
      }),
    );
  });

  it('is never off by more than its last told digit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 500, noNaN: true }), fc.constantFrom(...PER), (typed, per) => {
        const real = parseDose(typed, per, 'us') * displayFactor(per, 'us');
        expect(Math.abs(real / typed - 1)).toBeLessThan(1e-4);
      }),
    );
  });
});
