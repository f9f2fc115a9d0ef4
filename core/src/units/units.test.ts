import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  elementsFromLabel,
  fromSi,
  dripperLitresPerMinute,
  hoseLitresPerSecond,
  inMeasure,
  kilogramsOfLitres,
  parseAmount,
  parseMeasured,
  show,
  showParts,
  toSi,
  UNITS,
  type Purpose,
  type UnitName,
  type UnitSystem,
} from './index.ts';

const names = Object.keys(UNITS) as UnitName[];

describe('units', () => {
  it('a round trip through any unit loses nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.double({ min: -500, max: 5000, noNaN: true }),
        (name, value) => {
          expect(fromSi(toSi(value, name), name)).toBeCloseTo(value, 8);
        },
      ),
    );
  });

  it.each([
    ['usGallon', 3.785412],
    ['imperialGallon', 4.54609],
    ['cubicFoot', 28.316847],
    ['usDryQuart', 1.101221],
    ['usTablespoon', 0.014787],
    ['inch', 25.4],
    ['pound', 0.45359237],
  ] as const)('one %s is %d inside', (name, siValue) => {
    expect(toSi(1, name)).toBe(siValue);
  });

  it('231 cubic inches are one US gallon', () => {
    expect(fromSi(toSi(231, 'cubicInch'), 'usGallon')).toBeCloseTo(1, 5);
  });

  it('knows the fixed points of the thermometer', () => {
    expect(toSi(32, 'fahrenheit')).toBeCloseTo(0, 10);
    expect(toSi(212, 'fahrenheit')).toBeCloseTo(100, 10);
    expect(fromSi(-40, 'fahrenheit')).toBeCloseTo(-40, 10);
  });

  it('turns labels into elements, and spoons into mass by the product and not by water', () => {
    expect(elementsFromLabel({ n: 10, p2o5: 10, k2o: 10 })).toEqual({ n: 10, p: 4.364, k: 8.301 });
    expect(kilogramsOfLitres(0.03, 0.9)).toBeCloseTo(0.027, 10);
  });
});

describe('reading amounts as they are typed', () => {
  it.each([
    ['38', 'bag', 'metric', 38, 'litre'],
    ['38 L', 'bag', 'us', 38, 'litre'],
    ['10 gal', 'bag', 'metric', 37.85412, 'usGallon'],
    ['10 gal', 'bag', 'uk', 45.4609, 'imperialGallon'],
    ['1 1/2 in', 'size', 'metric', 38.1, 'inch'],
    ['1/2 in', 'size', 'metric', 12.7, 'inch'],
    ['13½″', 'size', 'us', 342.9, 'inch'],
    ['½', 'size', 'us', 12.7, 'inch'],
    ['0,45 kg', 'crop', 'metric', 0.45, 'kilogram'],
    ['1 lb', 'crop', 'metric', 0.45359237, 'pound'],
    ['5 ft 6 in', 'height', 'us', 1676.4, 'foot'],
    ['5\' 6"', 'height', 'us', 1676.4, 'foot'],
    ['1 lb 4 oz', 'crop', 'uk', 0.566990463, 'pound'],
    ['2 lbs 3', 'crop', 'us', 0.99223331, 'pound'],
    ['1 kg and 250 g', 'crop', 'metric', 1.25, 'kilogram'],
    ['1 m 20', 'height', 'metric', 1200, 'metre'],
    ['34', 'height', 'metric', 340, 'centimetre'],
    ['-3', 'temperature', 'metric', -3, 'celsius'],
    ['minus 3', 'temperature', 'metric', -3, 'celsius'],
    ['86 degrees', 'temperature', 'us', 30, 'fahrenheit'],
    ['86 F', 'temperature', 'metric', 30, 'fahrenheit'],
    ['half a pound', 'crop', 'metric', 0.226_796, 'pound'],
    ['two litres', 'water', 'metric', 2, 'litre'],
    ['three quarters of a litre', 'water', 'metric', 0.75, 'litre'],
    ['3 quarters of a litre', 'water', 'metric', 0.75, 'litre'],
    ['a litre and a half', 'water', 'metric', 1.5, 'litre'],
    ['2 and a half kg', 'crop', 'metric', 2.5, 'kilogram'],
    ['a dozen L', 'water', 'metric', 12, 'litre'],
  ] as const)('%s as a %s in %s', (text, purpose, system, siValue, unit) => {
    const read = parseAmount(text, purpose, system);
    expect(read).toMatchObject({ ok: true, amount: { unit } });
    if (read.ok) expect(read.amount.siValue).toBeCloseTo(siValue, 6);
  });

  it.each([
    ['', 'empty'],
    ['  ', 'empty'],
    ['about a can', 'unknown-unit'],
    ['about', 'not-a-number'],
    ['half', 'not-a-number'],
    ['a', 'not-a-number'],
    ['a few', 'not-a-number'],
    ['tenpenny', 'not-a-number'],
    ['5 quarters', 'unknown-unit'],
    ['five quarters of a metre', 'unknown-unit'],
    ['12 parsecs', 'unknown-unit'],
    ['12 kg', 'wrong-quantity'],
  ] as const)('refuses "%s" as a length: %s', (text, reason) => {
    expect(parseAmount(text, 'size', 'metric')).toEqual({ ok: false, reason });
  });

  it('keeps the text as entered', () => {
    const read = parseAmount(' 2 1/4 gal ', 'water', 'us');
    expect(read.ok && read.amount.text).toBe('2 1/4 gal');
  });

  it.each([
    ['metric', 'water', 0.2994, 0.2996],
    ['metric', 'height', 994.9, 995.1],
    ['metric', 'crop', 0.9994, 0.9996],
    ['us', 'water', 0.4849, 0.4851],
    ['us', 'height', 901.6, 901.8],
    ['us', 'crop', 0.4521, 0.4523],
    ['uk', 'water', 1.12, 1.1649],
    ['uk', 'water', 1.1651, 1.18],
  ] as const)(
    '%s, %s: what is shown about the change of units is read back to itself',
    (system, purpose, below, above) => {
      for (const siValue of [below, above]) {
        const text = show(siValue, purpose, system);
        const read = parseAmount(text, purpose, system);
        expect(read.ok && show(read.amount.siValue, purpose, system)).toBe(text);
      }
    },
  );

  it('reads back what it shows, in every system and for every purpose, to the digits shown', () => {
    const purposes: Purpose[] = [
      'bag',
      'water',
      'size',
      'depth',
      'height',
      'crop',
      'weight',
      'temperature',
      'rain',
    ];
    const systems: UnitSystem[] = ['metric', 'us', 'uk'];
    fc.assert(
      fc.property(
        fc.constantFrom(...purposes),
        fc.constantFrom(...systems),
        fc.double({ min: 0.5, max: 90, noNaN: true }),
        (purpose, system, siValue) => {
          const text = show(siValue, purpose, system);
          const read = parseAmount(text, purpose, system);
          expect(read.ok).toBe(true);
          if (read.ok) expect(show(read.amount.siValue, purpose, system)).toBe(text);
        },
      ),
    );
  });
});

describe('showing amounts', () => {
  it('picks the unit that people say', () => {
    expect(show(0.25, 'water', 'metric')).toBe('250 mL');
    expect(show(6.5, 'water', 'metric')).toBe('6.5 L');
    expect(show(1290, 'height', 'metric')).toBe('1.29 m');
    expect(show(175, 'depth', 'us')).toBe('6.9 in');
    expect(showParts(30, 'temperature', 'us')).toEqual({ number: '86', symbol: '°F' });
    // beside a larger one it takes that one's unit
    expect(showParts(0.45, 'crop', 'metric', 2)).toEqual({ number: '0.45', symbol: 'kg' });
  });
});

describe("the grower's own measures", () => {
  it('counts a can in quarters, eighths below a half, and never proposes none of it for a thirsty bag', () => {
    const can = { kind: 'can', litres: 9 } as const;
    expect(inMeasure(6.6, can)).toEqual({ count: 0.75, litres: 6.75 });
    expect(inMeasure(0.2, can).count).toBe(0.125);
    // what differs twofold is not said alike
    expect(inMeasure(1.4, { kind: 'can', litres: 10 }).count).not.toBe(
      inMeasure(2.9, { kind: 'can', litres: 10 }).count,
    );
    // and what is proposed lies in what is said beside it
    expect(inMeasure(1.2, { kind: 'can', litres: 10 }, { low: 1, high: 1.3 }).litres).toBe(1.25);
    expect(inMeasure(0, can)).toEqual({ count: 0, litres: 0 });
  });

  it('counts a hose in seconds', () => {
    expect(inMeasure(6, { kind: 'hose', litres: hoseLitresPerSecond(10, 40) }).count).toBe(24);
  });

  it('counts a dripper in minutes, by what a jar caught in five', () => {
    const litres = dripperLitresPerMinute(0.15, 5);
    expect(litres * 60).toBeCloseTo(1.8, 9);
    expect(inMeasure(0.9, { kind: 'dripper', litres })).toEqual({
      count: 30,
      litres: expect.closeTo(0.9, 9) as number,
    });
    expect(() => dripperLitresPerMinute(0, 5)).toThrow(/jarLitres/);
  });

  it('reads amounts counted in the grower’s own measures', () => {
    const measures = [
      { kind: 'can', name: 'green can', litres: 9 },
      { kind: 'hose', name: 'yard hose', litres: 0.25 },
      { kind: 'dripper', name: 'deck dripper', litres: 0.03 },
    ] as const;
    expect(parseMeasured('½ green can', measures)).toBe(4.5);
    expect(parseMeasured('2 cans', measures)).toBe(18);
    expect(parseMeasured('24 s of yard hose', measures)).toBe(6);
    expect(parseMeasured('40 min deck dripper', measures)).toBeCloseTo(1.2, 9);
    // a hose counts in seconds and a dripper in minutes, whatever they are told in
    expect(parseMeasured('2 minutes of yard hose', measures)).toBe(30);
    expect(parseMeasured('1 min 30 s hose', measures)).toBe(22.5);
    expect(parseMeasured('1½ h deck dripper', measures)).toBeCloseTo(2.7, 9);
    expect(parseMeasured('20 yard hose', measures)).toBe(5);
    expect(parseMeasured('2 min', measures)).toBeUndefined();
    expect(
      parseMeasured(
        '2 min',
        measures.filter(({ kind }) => kind !== 'dripper'),
      ),
    ).toBe(30);
    expect(parseMeasured('2 minutes of green can', measures)).toBeUndefined();
    expect(parseMeasured('5 L', measures)).toBeUndefined();
    // said in words
    expect(parseMeasured('half a can', measures)).toBe(4.5);
    expect(parseMeasured('a quarter of a can', measures)).toBe(2.25);
    expect(parseMeasured('a green can', measures)).toBe(9);
    expect(parseMeasured('a couple of cans', measures)).toBe(18);
    expect(parseMeasured('Two and a half cans', measures)).toBe(22.5);
    expect(parseMeasured('half an hour of deck dripper', measures)).toBeCloseTo(0.9, 9);
    expect(parseMeasured('half', measures)).toBeUndefined();
    expect(parseMeasured('a few cans', measures)).toBeUndefined();
    expect(parseMeasured('3', measures)).toBeUndefined();
  });

  it('counts a sunk pot in quarters', () => {
    expect(inMeasure(1.1, { kind: 'pot', litres: 0.8 }).count).toBe(1.5);
  });

  it('refuses a bucket test that took no time', () => {
    expect(() => hoseLitresPerSecond(10, 0)).toThrow(/seconds/);
    expect(() => hoseLitresPerSecond(-1, 10)).toThrow(/bucketLitres/);
  });
});
