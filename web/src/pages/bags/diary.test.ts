import { type Entry, liveEntries } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { newGarden } from '../../store/new-garden.ts';
import { unitFormatIn } from '../../store/unit-format.ts';
import { entryWords } from '../../text/entry-text.ts';
import { removedFrom } from './removed.ts';

const base = { at: '2026-07-16T18:00:00.000+01:00', recordedAt: '2026-07-16T18:00:00.000+01:00' };
const inBag = { ...base, containerId: 'con_abcdef' };
const check: Entry = { ...inBag, id: 'ent_look001', kind: 'check', check: { method: 'finger', grade: 2 } };
const gone = (id: string, removes: string): Entry => ({ ...base, id, kind: 'removed', removes });

describe('what was removed', () => {
  const removed = (entries: readonly Entry[]) => removedFrom(entries, liveEntries(entries), 'con_abcdef');

  it('is offered with the tombstone that must go', () => {
    const tomb = gone('ent_tomb001', check.id);
    expect(removed([check, tomb])).toEqual([{ entry: check, tombId: tomb.id }]);
  });

  it('is not offered once it is back, nor in another bag', () => {
    const tomb = gone('ent_tomb001', check.id);
    expect(removed([check, tomb, gone('ent_tomb002', tomb.id)])).toEqual([]);
    expect(removedFrom([check, tomb], [], 'con_other1')).toEqual([]);
  });

  it('does not hold what was corrected: that is not gone', () => {
    const better: Entry = { ...check, id: 'ent_look002', replaces: check.id };
    expect(removed([check, better])).toEqual([]);
  });
});

describe('an entry in words', () => {
  const metric = unitFormatIn('metric');
  it.each<[Entry, string]>([
    [check, 'Check: dry'],
    [{ ...check, stationId: 'stn_abcdef' }, 'Check at one plant: dry'],
    [
      { ...inBag, id: 'ent_lift001', kind: 'check', check: { method: 'lift', grade: 3 } },
      'Check: heavy when lifted',
    ],
    [
      { ...inBag, id: 'ent_drink01', kind: 'watering', litres: 6.75, isMeasured: true, ranThrough: true },
      'Watered: 6.8\u00a0L, ran through',
    ],
    [
      { ...inBag, id: 'ent_drink02', kind: 'watering', litres: 2, isMeasured: false, ranThrough: false },
      'Watered: 2\u00a0L, by eye',
    ],
    [
      {
        ...inBag,
        id: 'ent_drink03',
        kind: 'watering',
        litres: 4.75,
        isMeasured: true,
        ranThrough: false,
        asEntered: '½ green can',
      },
      'Watered: ½ green can (4.8\u00a0L)',
    ],
    [
      {
        ...inBag,
        id: 'ent_pick003',
        kind: 'picking',
        kilograms: 0.45,
        asEntered: '0.45 kg',
      },
      'Picked: 450\u00a0g',
    ],
    [
      { ...inBag, id: 'ent_pick001', kind: 'picking', kilograms: 0.45, count: 3 },
      'Picked: 450\u00a0g, 3 fruit',
    ],
    [{ ...inBag, id: 'ent_pick002', kind: 'picking', count: 3 }, 'Picked: 3 fruit'],
    [{ ...inBag, id: 'ent_note001', kind: 'note', text: 'Leaves hung' }, 'Leaves hung'],
    [
      {
        ...base,
        id: 'ent_day0001',
        kind: 'weather',
        day: '2026-07-15',
        minCelsius: 12,
        maxCelsius: 29,
        source: 'typed',
      },
      'Weather of 15 Jul: 12 to 29\u00a0°C',
    ],
    [
      {
        ...base,
        id: 'ent_gauge01',
        kind: 'weather',
        day: '2026-07-15',
        rainMillimetres: 12,
        source: 'typed',
      },
      'Weather of 15 Jul: 12\u00a0mm of rain',
    ],
    [
      {
        ...base,
        id: 'ent_gauge02',
        kind: 'weather',
        day: '2026-07-16',
        maxCelsius: 31,
        rainMillimetres: 0,
        source: 'typed',
      },
      'Weather of 16 Jul: up to 31\u00a0°C, no rain',
    ],
    [
      {
        ...base,
        id: 'ent_gauge03',
        kind: 'weather',
        day: '2026-07-16',
        minCelsius: 4,
        humidityPercent: 90,
        windMetresPerSecond: 2,
        sunHours: 5,
        source: 'file',
      },
      'Weather of 16 Jul: down to 4\u00a0°C, humidity 90 %, wind 2 m/s, 5.0 h of sun',
    ],
    [
      {
        ...inBag,
        id: 'ent_fill001',
        kind: 'filled',
        layers: [
          { mixId: 'loam-compost', litres: 15 },
          { mixId: 'bought', litres: 15 },
        ],
        keptLitres: 10,
        amendments: [{ productId: 'lime', grams: 60, where: 'mixed' }],
      },
      'Filled: 30\u00a0L new mix, 10\u00a0L old mix kept, 60\u00a0g garden lime',
    ],
    [{ ...base, id: 'ent_buy0001', kind: 'bought', productId: 'coir', amount: 70 }, 'Bought 70\u00a0L coir'],
    [
      { ...base, id: 'ent_use0001', kind: 'used', productId: 'string', amount: 4 },
      'Used 4\u00a0m soft string',
    ],
    [{ ...base, id: 'ent_cnt0001', kind: 'counted', productId: 'cage', amount: 6 }, 'Counted 6 cages'],
    [
      { ...base, id: 'ent_prc0001', kind: 'priced', productId: 'lime', amount: 3, price: 5 },
      'Price seen for 3\u00a0kg garden lime',
    ],
    [
      {
        ...base,
        id: 'ent_spt0001',
        kind: 'spent',
        on: 'seed',
        price: 5,
        containerIds: [],
        asEntered: 'two kinds',
      },
      'Spent on seed: two kinds',
    ],
    [{ ...base, id: 'ent_wrk0001', kind: 'worked', minutes: 40, containerIds: [] }, 'Worked 40 minutes'],
    [
      { ...inBag, id: 'ent_sick001', kind: 'trouble', what: 'blight', livesInMix: true },
      'Trouble: blight; it may live on in the mix',
    ],
    [
      {
        ...inBag,
        id: 'ent_fed0001',
        kind: 'fed',
        productId: 'tomato-liquid',
        amount: 12,
        unit: 'millilitre',
        litres: 3,
      },
      'Fed: 12\u00a0mL tomato liquid 4-3-8 in 3\u00a0L',
    ],
    [
      {
        ...inBag,
        id: 'ent_fed0002',
        kind: 'fed',
        productId: 'seaweed-spray',
        amount: 4,
        unit: 'millilitre',
        litres: 1,
        into: 'leaves',
      },
      'Fed: 4\u00a0mL seaweed spray 1-0-2 in 1\u00a0L on the leaves',
    ],
    [
      { ...inBag, id: 'ent_fed0003', kind: 'feed-skipped', productId: 'tomato-liquid', reason: 'too-dry' },
      'Feed left out: the bag is too dry',
    ],
    [
      { ...inBag, id: 'ent_reg0001', kind: 'regime', regimeId: 'dry-monthly' },
      'Fed by another regime from here',
    ],
    [{ ...inBag, id: 'ent_reg0002', kind: 'regime' }, 'Fed by no regime from here'],
    [{ ...inBag, id: 'ent_stg0001', kind: 'stage', stage: 'set' }, 'First truss has set'],
    [
      {
        ...inBag,
        id: 'ent_sol0001',
        kind: 'solution',
        what: 'changed',
        litres: 12,
        ecMillisiemens: 2.1,
        ph: 6,
      },
      'Nutrient made up new: 12\u00a0L, EC 2.1\u00a0mS/cm, pH 6',
    ],
    [
      { ...base, id: 'ent_tea0001', kind: 'tea', productId: 'weed-tea', litres: 20 },
      'Tea set to steep: 20\u00a0L steeped weeds',
    ],
    [
      { ...base, id: 'ent_tea0002', kind: 'tea-tended', teaId: 'ent_tea0001', what: 'strained' },
      'Tea strained',
    ],
  ])('%#', (entry, words) => {
    expect(entryWords(entry, metric)).toBe(words);
  });

  it('says what was paid or got, in the garden’s own money', () => {
    const garden = newGarden(base.at, { gardenName: 'Yard', latitudeDegrees: 40, units: 'us' });
    const said = (entry: Entry) => entryWords(entry, metric, garden);
    expect(
      said({ ...inBag, id: 'ent_sold001', kind: 'picking', kilograms: 2, use: 'sold', soldFor: 3.5 }),
    ).toBe('Picked: 2\u00a0kg, sold for $3.50');
    expect(
      said({ ...base, id: 'ent_paid001', kind: 'bought', productId: 'coir', amount: 70, paid: 12 }),
    ).toBe('Bought 70\u00a0L coir for $12.00');
    expect(
      said({ ...base, id: 'ent_seed002', kind: 'spent', on: 'seed', price: 4.2, containerIds: [] }),
    ).toBe('Spent on seed for $4.20');
  });

  it('is in the grower’s units', () => {
    const watering: Entry = {
      ...inBag,
      id: 'ent_drink01',
      kind: 'watering',
      litres: 3.785412,
      isMeasured: true,
      ranThrough: false,
    };
    expect(entryWords(watering, unitFormatIn('us'))).toBe('Watered: 1\u00a0gal');
    expect(entryWords({ ...watering, litres: 4.54609 }, unitFormatIn('uk'))).toBe('Watered: 1\u00a0imp gal');
  });
});
