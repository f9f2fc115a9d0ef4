import { describe, expect, it } from 'vitest';
import {
  container,
  diary,
  noon,
  picked,
  plant,
  planted,
  smallGarden,
  variety,
} from '../../test/small-garden.ts';
import { liveEntries, type Draft, type Garden } from '../records/index.ts';
import {
  cumulative,
  groupUnits,
  mondayOf,
  pickingsWithWeights,
  seasonYears,
  tallyContext,
  tallyUnits,
  totalOf,
  weeklyPicked,
} from './index.ts';

const TODAY = '2026-08-31';
const one = container('1');
const two = container('2', {
  placeId: 'std_yard0001',
  stations: [{ id: 'stn_two00001' }, { id: 'stn_two00002' }],
});
const plants = [
  plant('one00001', 'var_redred'),
  plant('two00001', 'var_redred'),
  plant('two00002', 'var_yellow'),
];
const base = {
  containers: [one, two],
  varieties: [variety('redred'), variety('yellow', { fruitGrams: 20 })],
  plants,
};
const begun: readonly Draft[] = [
  planted(one, 'pla_one00001', '2026-05-20'),
  planted(two, 'pla_two00001', '2026-05-20', 0),
  planted(two, 'pla_two00002', '2026-05-20', 1),
];
const contextOf = (drafts: readonly Draft[], more: Partial<Garden> = {}) => {
  const garden = smallGarden({ ...base, entries: [...diary([...begun, ...drafts])], ...more });
  return tallyContext(garden, liveEntries(garden.entries));
};
const unitsOf = (drafts: readonly Draft[], more: Partial<Garden> = {}, year = 2026, today = TODAY) =>
  tallyUnits(contextOf(drafts, more), year, today);
const rowOf = (drafts: readonly Draft[], bag = one, more: Partial<Garden> = {}) => {
  const row = groupUnits(unitsOf(drafts, more), 'bag').find((r) => r.key === bag.id);
  if (!row) throw new Error('the bag is in the tally');
  return row;
};

describe('a worked example', () => {
  // a bag of £6 over four seasons, a feed of £2 and 40 minutes; 3 kg from 100 litres of water
  const season: readonly Draft[] = [
    ...Array.from({ length: 20 }, (_, i): Draft => ({
      kind: 'watering',
      at: noon(`2026-06-${String(i + 1).padStart(2, '0')}`),
      containerId: one.id,
      litres: 5,
      isMeasured: true,
      ranThrough: false,
    })),
    { kind: 'spent', at: noon('2026-06-03'), on: 'other', price: 2, containerIds: [one.id] },
    { kind: 'worked', at: noon('2026-06-04'), minutes: 40, containerIds: [one.id] },
    picked(one, '2026-07-20', { kilograms: 1, count: 10 }),
    picked(one, '2026-07-27', { kilograms: 1.5, count: 15, use: 'given' }),
    picked(one, '2026-08-03', { kilograms: 0.5, count: 5, use: 'lost', lostTo: 'slugs' }),
  ];
  const row = rowOf(season, one, {
    settings: { ...smallGarden().settings, shopPrices: { tomato: 4 } },
  });

  it('adds up what was picked, lost and given', () => {
    expect(row).toMatchObject({
      kilograms: 3,
      count: 30,
      pickings: 3,
      lostKilograms: 0.5,
      givenKilograms: 1.5,
    });
    expect(row.fruitKilograms).toBeCloseTo(0.1, 10);
    expect([row.firstOn, row.lastOn]).toEqual(['2026-07-20', '2026-08-03']);
  });

  it('comes to so much by plant, litre of water, litre of mix and money', () => {
    expect(row.cost).toBeCloseTo(6 / 4 + 2, 10);
    expect(row.costPerKilogram).toBeCloseTo(3.5 / 3, 10);
    expect(row.perCost).toBeCloseTo(3 / 3.5, 10);
    expect(row.waterLitres).toBe(100);
    expect(row.perWaterLitre).toBeCloseTo(0.03, 10);
    expect(row.perPlant).toBe(3);
    expect(row.perMixLitre).toBeCloseTo(3 / row.mixLitres, 10);
    expect(row.mixLitres).toBeGreaterThan(25);
    expect(row.mixLitres).toBeLessThan(38);
  });

  it('is worth what the shop asks, without what was lost, and so much an hour', () => {
    expect(row.worth).toBeCloseTo(2.5 * 4, 10);
    expect(row.minutes).toBe(40);
    expect(row.kilogramsAnHour).toBeCloseTo(4.5, 10);
    expect(row.worthAnHour).toBeCloseTo(15, 10);
  });

  it('sold goes by what was got for it, whatever the shop asks', () => {
    const sold = rowOf([picked(one, '2026-07-20', { kilograms: 1, use: 'sold', soldFor: 7 })], one, {
      settings: { ...smallGarden().settings, shopPrices: { tomato: 4 } },
    });
    expect(sold.worth).toBe(7);
    expect(rowOf([picked(one, '2026-07-20', { kilograms: 1 })]).worth).toBeUndefined();
  });
});

describe('plants in one bag', () => {
  it('share what names none of them, and keep what names them', () => {
    const units = unitsOf([
      picked(two, '2026-07-20', { kilograms: 1, count: 8 }),
      picked(two, '2026-07-21', { kilograms: 0.4, stationId: 'stn_two00002', plantId: 'pla_two00002' }),
    ]).filter((u) => u.containerId === two.id);
    expect(units.map((u) => [u.variety, u.kilograms])).toEqual([
      ['redred', 0.5],
      ['yellow', 0.9],
    ]);
    expect(groupUnits(units, 'bag')[0]).toMatchObject({ kilograms: 1.4, plants: 2, count: 8 });
  });

  it('that share a picking were picked from once, and each of them as well', () => {
    const units = unitsOf([
      picked(two, '2026-07-20', { kilograms: 1 }),
      picked(two, '2026-07-24', { isUnmeasured: true }),
      picked(two, '2026-07-27', { kilograms: 0.4, stationId: 'stn_two00002', plantId: 'pla_two00002' }),
    ]).filter((u) => u.containerId === two.id);
    expect(groupUnits(units, 'bag')[0]).toMatchObject({ pickings: 3, unmeasured: 1, kilograms: 1.4 });
    expect(groupUnits(units, 'plant').map((row) => [row.pickings, row.unmeasured])).toEqual([
      [3, 1],
      [2, 1],
    ]);
  });

  it('share its mix while they stand together, and one after the other each has all of it', () => {
    const together = groupUnits(unitsOf([]), 'bag').find((r) => r.key === two.id);
    const alone = groupUnits(unitsOf([]), 'bag').find((r) => r.key === one.id);
    expect(together?.mixLitres).toBeCloseTo(alone?.mixLitres ?? NaN, 6);
    expect(together?.units[0]?.mixLitres).toBeCloseTo((alone?.mixLitres ?? NaN) / 2, 6);
    const after = rowOf(
      [
        {
          kind: 'cleared',
          at: noon('2026-07-30'),
          containerId: one.id,
          stationId: 'stn_small01',
          plantId: 'pla_one00001',
        },
        planted(one, 'pla_next0001', '2026-08-01'),
        picked(one, '2026-07-20', { kilograms: 1 }),
        picked(one, '2026-08-25', { kilograms: 2 }),
      ],
      one,
      { plants: [...plants, plant('next0001', 'var_yellow')] },
    );
    expect(after.mixLitres).toBeCloseTo(alone?.mixLitres ?? NaN, 6);
    expect(after.units.map((u) => [u.variety, u.kilograms])).toEqual([
      ['redred', 1],
      ['yellow', 2],
    ]);
  });

  it('what was picked after clearing is of who stood there last', () => {
    const row = rowOf([
      {
        kind: 'cleared',
        at: noon('2026-07-30'),
        containerId: one.id,
        stationId: 'stn_small01',
        plantId: 'pla_one00001',
      },
      picked(one, '2026-08-02', { kilograms: 0.7 }),
    ]);
    expect(row.kilograms).toBe(0.7);
  });
});

describe('what nobody said', () => {
  it('what was picked before the planting on record is of that plant', () => {
    expect(rowOf([picked(one, '2026-05-12', { kilograms: 0.3 })]).kilograms).toBe(0.3);
  });

  it('what was picked from a bag without any planting counts all the same, as of nobody', () => {
    const bare = container('7');
    const units = unitsOf([picked(bare, '2026-07-12', { kilograms: 0.3, count: 4 })], {
      containers: [one, two, bare],
    });
    const [row] = groupUnits(units, 'variety').filter((r) => r.key === '');
    expect(row).toMatchObject({ kilograms: 0.3, count: 4, plants: 0, bags: 1 });
    expect(row?.units[0]).toMatchObject({ variety: 'not said', bag: '7', form: undefined });
    expect(totalOf(units).kilograms).toBe(0.3);
  });
});

describe('what was counted and not weighed', () => {
  it('is worth its usual weight, and told apart', () => {
    const row = rowOf([
      picked(one, '2026-07-20', { kilograms: 1, count: 10 }),
      picked(one, '2026-07-24', { kilograms: 1, count: 10 }),
      picked(one, '2026-07-28', { count: 4 }),
    ]);
    // two own pickings of 100 g and the crop's 80 g, which counts as two
    expect(row.byCountKilograms).toBeCloseTo(4 * 0.09, 10);
    expect(row.kilograms).toBeCloseTo(2.36, 10);
    expect(row.fruitKilograms).toBeCloseTo(2 / 24, 3);
    expect(pickingsWithWeights(contextOf([]).garden, [])).toEqual([]);
  });
});

describe('lines of the tally', () => {
  const season = [
    picked(one, '2026-07-20', { kilograms: 2 }),
    picked(two, '2026-07-22', { kilograms: 1, plantId: 'pla_two00001', stationId: 'stn_two00001' }),
    picked(two, '2026-07-23', { kilograms: 4, plantId: 'pla_two00002', stationId: 'stn_two00002' }),
  ];
  const units = unitsOf(season);

  it.each([
    ['bag', [5, 2]],
    ['plant', [4, 2, 1]],
    ['variety', [4, 3]],
    ['crop', [7]],
    ['place', [5, 2]],
    ['kind', [7]],
    ['regime', [7]],
    ['form', [7]],
    ['mix', [7]],
  ] as const)('by %s are heaviest first and lose nothing', (by, kilograms) => {
    const rows = groupUnits(units, by);
    expect(rows.map((r) => r.kilograms)).toEqual(kilograms);
    expect(rows.reduce((sum, r) => sum + r.cost, 0)).toBeCloseTo(totalOf(units).cost, 10);
    expect(rows.reduce((sum, r) => sum + r.plants, 0)).toBe(3);
  });

  it('by week begin on Monday, and add up', () => {
    expect(mondayOf('2026-07-26')).toBe('2026-07-20');
    const weeks = weeklyPicked(units, 'bag', mondayOf);
    expect(weeks).toEqual([{ from: '2026-07-20', kilograms: 7, byKey: { [one.id]: 2, [two.id]: 5 } }]);
  });

  it('grow day by day', () => {
    expect(cumulative(units)).toEqual([
      { day: '2026-07-20', kilograms: 2 },
      { day: '2026-07-22', kilograms: 3 },
      { day: '2026-07-23', kilograms: 7 },
    ]);
  });

  it('of nothing are nothing to divide', () => {
    expect(totalOf([])).toMatchObject({ kilograms: 0, plants: 0, mixLitres: 0 });
    expect(totalOf([]).perPlant).toBeUndefined();
    expect(totalOf([]).costPerKilogram).toBeUndefined();
  });
});

describe('a season', () => {
  it('in the south runs over the new year', () => {
    const south = { ...smallGarden({ latitudeDegrees: -35 }).settings };
    const drafts = [
      planted(one, 'pla_one00001', '2026-10-01'),
      picked(one, '2026-12-20', { kilograms: 1 }),
      picked(one, '2027-02-01', { kilograms: 2 }),
      picked(one, '2027-09-01', { kilograms: 9 }),
    ];
    const garden = smallGarden({ ...base, settings: south, entries: [...diary(drafts)] });
    const context = tallyContext(garden, liveEntries(garden.entries));
    const [row] = groupUnits(tallyUnits(context, 2026, '2027-12-31'), 'bag');
    expect(row?.kilograms).toBe(3);
    expect(seasonYears(garden, liveEntries(garden.entries))).toEqual([2027, 2026]);
  });

  it('counts nothing of a later day, and keeps bags that are in the bin', () => {
    const drafts = [picked(one, '2026-07-20', { kilograms: 1 }), picked(one, '2026-08-20', { kilograms: 5 })];
    expect(totalOf(unitsOf(drafts, {}, 2026, '2026-08-01')).kilograms).toBe(1);
    const binned = { ...one, binnedAt: noon('2026-08-30') };
    expect(totalOf(unitsOf(drafts, { containers: [binned, two] })).kilograms).toBe(6);
    expect(unitsOf([], { containers: [binned] })).toEqual([]);
  });
});

describe('water of a season', () => {
  it('is what was poured and what dripped, while it stood there', () => {
    const row = rowOf([
      {
        kind: 'drip',
        at: noon('2026-08-01'),
        containerId: one.id,
        setting: {
          emitters: 1,
          litresPerHourEach: 2,
          minutes: 30,
          timesADay: 1,
          weekdays: [1, 2, 3, 4, 5, 6, 7],
        },
      },
      { kind: 'drip', at: noon('2026-08-11'), containerId: one.id },
      {
        kind: 'watering',
        at: noon('2026-08-20'),
        containerId: one.id,
        litres: 4,
        isMeasured: true,
        ranThrough: false,
      },
    ]);
    expect(row.waterLitres).toBeCloseTo(10 + 4, 0);
  });
});
