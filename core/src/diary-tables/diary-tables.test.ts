import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { readCsv } from '../csv/index.ts';
import { liveEntries, type EntryOf } from '../records/index.ts';
import type { UnitSystem } from '../units/index.ts';
import {
  DIARY_TABLES,
  guessDiaryMapping,
  isWholeMapping,
  readDiaryTable,
  withColumn,
  writeDiaryTable,
  type DiaryTable,
} from './index.ts';

const garden = gannetSlip(3);
const live = liveEntries(garden.entries);
const KINDS = { pickings: 'picking', checks: 'check', waterings: 'watering', feeds: 'fed' } as const;
const at = { system: 'metric' as const, now: DEMO_EVENING };

function read(table: DiaryTable, text: string, from: typeof live = [], system: UnitSystem = 'metric') {
  const csv = readCsv(text);
  const mapping = guessDiaryMapping(table, csv, { ...at, system });
  return { mapping, ...readDiaryTable(table, csv, mapping, garden, from, { ...at, system }) };
}

describe('tables of the diary', () => {
  it.each(DIARY_TABLES)('%s go out as another library reads them, and come back the same', (table) => {
    const text = writeDiaryTable(table, garden, live);
    const entries = live.filter(({ kind }) => kind === KINDS[table]);
    expect(parse(text, { columns: true })).toHaveLength(entries.length);
    const back = read(table, text);
    expect(back.refused).toEqual([]);
    expect(isWholeMapping(table, back.mapping)).toBe(true);
    expect(back.drafts).toHaveLength(entries.length);
    // into the garden that they came from nothing new is put
    expect(read(table, text, live)).toMatchObject({ drafts: [], known: entries.length });
  });

  it('as a notebook has them: sums, dozens, a day of which the year goes without saying, and a weight under any heading', () => {
    const found = read(
      'pickings',
      [
        'Date;Bag;Picked;Fruit;Remark',
        '3.7.2025;1;2 lb 4 oz;2 dozen;first',
        '5.7.;2;3 x 150 g;;split',
        'about 7.7.;1 & 2;1,5 kg;;both',
        '12.7.;3;300 g + 150 g;half a dozen;',
      ].join('\n'),
    );
    expect(found.refused).toEqual([]);
    expect(found.mapping.columns.kilograms).toBe('Picked');
    const said = (found.drafts as readonly Omit<EntryOf<'picking'>, 'id'>[]).map((d) => [
      d.at.slice(0, 10),
      Number(d.kilograms?.toFixed(3)),
      d.count,
    ]);
    expect(said).toEqual([
      ['2025-07-03', 1.021, 24],
      ['2025-07-05', 0.45, undefined],
      ['2025-07-07', 0.75, undefined],
      ['2025-07-07', 0.75, undefined],
      ['2025-07-12', 0.45, 6],
    ]);
  });

  it.each([
    ['metric', 'kilogram', 'litre', 'dmy'],
    ['uk', 'pound', 'imperialGallon', 'dmy'],
    ['us', 'pound', 'usGallon', 'mdy'],
  ] as const)(
    'a grower who writes %s means %s and %s where nothing is said, and dates as %s',
    (system, weight, water, order) => {
      const { mapping, drafts } = read('pickings', 'Date,Bag,Weight\n06/05/2026,7,2\n', [], system);
      expect(mapping).toMatchObject({ unit: weight, dateOrder: order });
      expect((drafts as EntryOf<'picking'>[])[0]?.kilograms).toBeCloseTo(weight === 'pound' ? 0.907 : 2, 3);
      expect(read('waterings', 'Date,Bag,Water\n06/05/2026,7,2\n', [], system).mapping.unit).toBe(water);
    },
  );

  it.each(DIARY_TABLES)('%s come back the same to a grower of other units', (table) => {
    const back = read(table, writeDiaryTable(table, garden, live), live, 'us');
    expect(back).toMatchObject({ drafts: [], refused: [] });
  });

  it('a date that is still to come is none that was written down', () => {
    const { mapping } = read('pickings', 'Date,Bag,Weight\n06/12/2026,7,2\n07/08/2026,7,2\n');
    expect(mapping.dateOrder).toBe('mdy');
  });

  it('pickings come back with their weight and count', () => {
    const [first] = live.filter(
      (e): e is EntryOf<'picking'> => e.kind === 'picking' && e.kilograms !== undefined,
    );
    const [back] = read('pickings', writeDiaryTable('pickings', garden, live)).drafts as EntryOf<'picking'>[];
    expect(back?.kilograms).toBeCloseTo(first?.kilograms ?? NaN, 4);
    expect([back?.containerId, back?.at.slice(0, 16)]).toEqual([first?.containerId, first?.at.slice(0, 16)]);
  });

  it('of somebody else’s, with other headings, a decimal comma and grams, are read too', () => {
    const { drafts, mapping, refused } = read(
      'pickings',
      'Datum;Pot;Weight (g);Remark\n03.07.2026;7;450,5;first\n13.07.2026;bag 12;1200;\n',
    );
    expect(refused).toEqual([]);
    expect(mapping).toMatchObject({ dateOrder: 'dmy', unit: 'gram' });
    expect(drafts).toMatchObject([
      { kind: 'picking', kilograms: 0.4505, note: 'first', at: '2026-07-03T12:00:00.000+01:00' },
      { kilograms: 1.2 },
    ]);
  });

  it('a row that does not make sense is told by its line, and costs no other', () => {
    const { drafts, refused } = read(
      'pickings',
      'bag,day,kilograms,count\n7,2026-07-01,0.5,\n99,2026-07-01,0.5,\n7,2026-13-01,0.5,\n7,2027-07-01,0.5,\n7,2026-07-02,heavy,\n7,2026-07-02,,\n7,2026-07-03,0x10,\n7,2026-07-03,500,\n7,2026-07-04,,2.5\n',
    );
    expect(drafts).toHaveLength(1);
    expect(refused.map(({ line, problem }) => `${line} ${problem}`)).toEqual([
      '3 There is no bag called “99”.',
      '4 “2026-13-01” is not a date.',
      '5 2027-07-01 is in the future.',
      '6 “heavy” is not a weight.',
      '7 It has neither a weight nor a count; with “?” for its weight it is taken as not weighed.',
      '8 “0x10” is not a weight.',
      expect.stringMatching(/^9 kilograms: Too big/) as string,
      '10 “2.5” is not a number of fruits.',
    ]);
  });

  it('pickings that nobody weighed are read by what stands in place of the weight, and come back as they went', () => {
    const { drafts, refused } = read(
      'pickings',
      'bag,day,kilograms,count\n7,2026-07-01,?,\n7,2026-07-02,some,\n7,2026-07-03,?,6\n7,2026-07-04,-,\n',
    );
    expect(drafts).toMatchObject([{ isUnmeasured: true }, { isUnmeasured: true }, { count: 6 }]);
    expect(drafts[2]).not.toHaveProperty('isUnmeasured');
    expect(refused).toEqual([{ line: 5, problem: '“-” is not a weight.' }]);
    const entries = drafts.map((draft, i) => ({ ...draft, id: `ent_table000${i}`, recordedAt: at.now }));
    const written = writeDiaryTable('pickings', garden, entries as unknown as typeof live);
    expect(written).toContain('7,2026-07-01,12:00,,,yes,');
    expect(read('pickings', written).drafts).toEqual(drafts);
  });

  it('how ripe it was, what became of it, what was got for it and what ran through come and go', () => {
    const facts = (text: string, table: DiaryTable = 'pickings') => read(table, text).drafts;
    expect(
      facts(
        'Day,Bag,kg,Ripe?,Became,Sold for\n2026-07-01,7,2,first blush,gave away,\n2026-07-02,7,1,Red,,£3.50\n',
      ),
    ).toMatchObject([
      { stage: 'blush', use: 'given' },
      // a colour says nothing of how ripe a variety is, and is kept as it was written
      { use: 'sold', soldFor: 3.5, note: 'red' },
    ]);
    expect(facts('Day,Bag,kg,Price\n2026-07-02,7 and 12,2,6\n')).toMatchObject([
      { kilograms: 1, soldFor: 3 },
      { kilograms: 1, soldFor: 3 },
    ]);
    expect(read('pickings', 'Day,Bag,kg,Price\n2026-07-02,7,2,dear\n').refused).toMatchObject([
      { problem: '“dear” is not a price.' },
    ]);
    expect(
      facts('Day,Bag,Litres,Ran through\n2026-07-02,7,9,x\n2026-07-03,7,2,\n', 'waterings'),
    ).toMatchObject([{ ranThrough: true }, { ranThrough: false }]);
    const over: EntryOf<'picking'> = {
      ...{ kind: 'picking', id: 'ent_over0001', at: DEMO_EVENING, recordedAt: DEMO_EVENING },
      ...{ containerId: live.find((e) => e.kind === 'picking')?.containerId ?? '', count: 4 },
      ...{ stage: 'over', use: 'lost' },
    };
    expect(facts(writeDiaryTable('pickings', garden, liveEntries([over])))).toMatchObject([
      { count: 4, stage: 'over', use: 'lost' },
    ]);
  });

  it('a row may be of several bags: what was poured of each, and one bowl of all together', () => {
    const labels = (drafts: ReturnType<typeof read>['drafts']) =>
      drafts.map(
        (d) => garden.containers.find(({ id }) => 'containerId' in d && id === d.containerId)?.label,
      );
    const poured = read('waterings', 'Date,Bag,Litres,Who\n2026-07-01,7 and 12,2,Ada\n2026-07-02,7+12,1,\n');
    expect(poured).toMatchObject({ refused: [], strangeBags: [], ofSeveral: 2 });
    expect(labels(poured.drafts)).toEqual(['7', '12', '7', '12']);
    expect(poured.drafts.map((d) => [d.kind === 'watering' && d.litres, d.who])).toEqual([
      [2, 'Ada'],
      [2, 'Ada'],
      [1, undefined],
      [1, undefined],
    ]);
    const bowl = read('pickings', 'Date,Bag,kg,Count\n2026-07-01,7 & 12,0.9,5\n2026-07-02,7 and 99,1,\n');
    expect(bowl.drafts).toMatchObject([
      { kilograms: 0.45, count: 3 },
      { kilograms: 0.45, count: 2 },
    ]);
    expect(bowl.refused).toEqual([{ line: 3, problem: 'There is no bag called “7 and 99”.' }]);
    const everything = read('checks', 'Date,Bag,Found\n2026-07-01,all,dry\n');
    expect(everything.drafts).toHaveLength(garden.containers.filter(({ binnedAt }) => !binnedAt).length);
    // once they are in the diary the same file changes nothing
    const entries = poured.drafts.map((draft, i) => ({
      ...draft,
      id: `ent_table000${i}`,
      recordedAt: at.now,
    }));
    const again = read(
      'waterings',
      'Date,Bag,Litres\n2026-07-01,7 and 12,2\n',
      entries as unknown as typeof live,
    );
    expect(again).toMatchObject({ drafts: [], known: 1 });
  });

  it('a bag may have another name in the table: it is told, and said once which it is', () => {
    const csv = readCsv(
      'bag,day,kilograms\nKeel,2026-07-01,0.5\nkeel,2026-07-02,0.5\n7,2026-07-02,0.5\nLoft,2026-07-03,1\n',
    );
    const mapping = guessDiaryMapping('pickings', csv, at);
    const reading = (bagOf: Readonly<Record<string, string>>) =>
      readDiaryTable('pickings', csv, mapping, garden, [], { ...at, bagOf });
    expect(reading({})).toMatchObject({ drafts: [{}], strangeBags: ['Keel', 'Loft'] });
    const twelve = garden.containers.find(({ label }) => label === '12')?.id ?? '';
    const { drafts, refused, strangeBags } = reading({ keel: twelve, 7: twelve });
    // a bag that is called so here stays that one
    expect(drafts.map((d) => 'containerId' in d && d.containerId === twelve)).toEqual([true, true, false]);
    expect(refused).toEqual([{ line: 5, problem: 'There is no bag called “Loft”.' }]);
    expect(strangeBags).toEqual(['Keel', 'Loft']);
  });

  it('may have pounds and ounces beside one another', () => {
    const text = 'Date,Bag,oz,lbs\n7/3/2026,7,4,1\n7/4/2026,7,14,\n7/5/2026,7,,2\n7/6/2026,7,a few,1\n';
    const { mapping, drafts, refused } = read('pickings', text, [], 'us');
    expect(mapping).toMatchObject({ unit: 'pound', columns: { kilograms: 'lbs', ounces: 'oz' } });
    expect(drafts).toMatchObject([0.567, 0.397, 0.907].map((kg) => ({ kilograms: expect.closeTo(kg, 3) })));
    expect(refused).toEqual([{ line: 5, problem: '“a few” is not a number of ounces.' }]);
    // of ounces alone the weight is
    expect(read('pickings', 'Date,Bag,oz\n7/3/2026,7,4\n', [], 'us').drafts).toMatchObject([
      { kilograms: expect.closeTo(0.1134, 4) },
    ]);
  });

  it('whose day is called otherwise are found by what stands there, with the time behind it', () => {
    const csv = readCsv(
      'Topf;Wann;Gewicht\n7;18.07.2026 07:30;0,5\n7;2.7.2026 7.05;1\n7;2026-07-17T06:15:00.000+01:00;0,4\n',
    );
    const mapping = guessDiaryMapping('pickings', csv, at);
    expect(mapping).toMatchObject({ columns: { day: 'Wann' }, dateOrder: 'dmy' });
    const later = { ...at, now: '2026-07-19T20:00:00.000+01:00' };
    const { drafts, refused } = readDiaryTable('pickings', csv, mapping, garden, [], later);
    expect(drafts.map((d) => d.at.slice(0, 16))).toEqual(['2026-07-18T07:30', '2026-07-02T07:05']);
    expect(refused).toEqual([{ line: 4, problem: '“2026-07-17T06:15:00.000+01:00” is not a date.' }]);
    const iso = withColumn(
      { ...mapping, columns: {} },
      'day',
      'Wann',
      { ...csv, rows: csv.rows.slice(2) },
      at,
    );
    expect(iso.dateOrder).toBe('ymd');
    const whole = { ...mapping, dateOrder: 'ymd' as const };
    expect(readDiaryTable('pickings', csv, whole, garden, [], later).drafts.map((d) => d.at)).toEqual([
      '2026-07-17T06:15:00.000+01:00',
    ]);
  });

  it.each([
    ['dry', { method: 'finger', grade: 2 }],
    ['4', { method: 'finger', grade: 4 }],
    ['heavy', { method: 'lift', grade: 3 }],
    ['wilted', { method: 'wilted' }],
    ['14.2 kg', { method: 'scale', kilograms: 14.2 }],
    ['41 %', { method: 'probe', reading: 41 }],
    ['level 50', { method: 'level', share: 0.5 }],
  ])('a check that found "%s"', (found, check) => {
    expect(read('checks', `bag,day,found\n7,2026-07-01,${found}`).drafts).toMatchObject([
      { kind: 'check', check },
    ]);
  });

  it('water in any unit, at a time or at noon', () => {
    const { drafts } = read(
      'waterings',
      'bag,day,time,water\n7,2026-07-01,8:30 am,500 ml\n7,2026-07-02,18:05,2\n7,2026-07-03,,1 gal\n7,2026-07-04,,1/2 green can\n',
    );
    expect(drafts).toMatchObject([
      { litres: 0.5, at: '2026-07-01T08:30:00.000+01:00' },
      { litres: 2, at: '2026-07-02T18:05:00.000+01:00' },
      { litres: expect.closeTo(3.785, 3) as number, at: '2026-07-03T12:00:00.000+01:00' },
      { litres: 4.5 },
    ]);
  });

  it('halves and two units in one cell, as they would be typed into a field', () => {
    const waterings =
      'bag,day,water\n7,2026-07-01,½ gal\n7,2026-07-02,1 1/2\n7,2026-07-03,½ us gal\n7,2026-07-04,half\n';
    const { drafts, refused } = read('waterings', waterings);
    const gallon = expect.closeTo(1.893, 3) as number;
    expect(drafts).toMatchObject([{ litres: gallon }, { litres: 1.5 }, { litres: gallon }]);
    expect(refused.map(({ line }) => line)).toEqual([5]);
    const [picked] = read('pickings', 'bag,day,weight\n7,2026-07-01,1 lb 4 oz\n').drafts;
    expect(picked).toMatchObject({ kilograms: expect.closeTo(0.567, 3) as number });
  });

  it('feeds by their name, in units of a dose', () => {
    const { drafts, refused } = read(
      'feeds',
      'bag,day,product,amount,unit\n7,2026-07-01,Garden lime,20,g\n7,2026-07-02,Moonshine,20,g\n7,2026-07-03,lime,1,bucket\n',
    );
    expect(drafts).toMatchObject([{ kind: 'fed', productId: 'lime', amount: 20, unit: 'gram' }]);
    expect(refused.map(({ line }) => line)).toEqual([3, 4]);
  });
});
