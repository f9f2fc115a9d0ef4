import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { daySchema, momentSchema, monthDaySchema } from './time.ts';
import { ID_PREFIXES, type IdOf } from './id-prefixes.ts';
import { idSchema } from './ids.ts';
import type { TableName } from './kinds.ts';
import { RECORD_SCHEMAS } from './records.ts';
import { settingsSchema } from './settings.ts';

const demo = gannetSlip(1);
const TABLES = Object.keys(RECORD_SCHEMAS) as TableName[];
/** One record of each kind of which the demo has any. */
const samples = TABLES.flatMap((table) => {
  const row = demo[table][0] as Record<string, unknown> | undefined;
  return row ? [[table, row] as const] : [];
});

/** The places of what is wrong, as `support.kind`. */
function faults(table: TableName, row: unknown): readonly string[] {
  const read = RECORD_SCHEMAS[table].safeParse(row);
  return read.success ? [] : read.error.issues.map((issue) => issue.path.join('.'));
}

describe('records', () => {
  it.each(TABLES.filter((table) => demo[table].length > 0))(
    'every one of the demo’s %s reads as it is',
    (table) => {
      for (const row of demo[table]) expect(RECORD_SCHEMAS[table].parse(row)).toEqual(row);
    },
  );

  it('of nearly every kind stand in the demo', () => {
    expect(samples.length).toBeGreaterThanOrEqual(TABLES.length - 3);
  });

  it.each(samples)('%s: each field that it cannot do without is named when it is missing', (table, row) => {
    const missing = Object.keys(row).filter((key) => {
      const { [key]: _, ...rest } = row;
      const found = faults(table, rest);
      if (found.length > 0) expect(found.some((at) => at.split('.')[0] === key)).toBe(true);
      return found.length > 0;
    });
    expect(missing).toContain('id');
    expect(missing).toContain('createdAt');
    expect(missing).toContain('changedAt');
  });

  it.each(samples)('%s: a field that holds something of another make is named', (table, row) => {
    for (const [key, value] of Object.entries(row)) {
      const wrong = typeof value === 'object' ? 7 : typeof value === 'number' ? 'seven' : { seven: 7 };
      expect(
        faults(table, { ...row, [key]: wrong }).some((at) => at.split('.')[0] === key),
        key,
      ).toBe(true);
    }
  });

  it.each(samples)('%s: the id of another kind is no id of it', (table, row) => {
    const other = table === 'places' ? 'con_0123456789ab' : 'std_0123456789ab';
    expect(faults(table, { ...row, id: other })).toEqual(['id']);
  });

  it.each(samples)('%s: what it says survives being a file', (table, row) => {
    expect(RECORD_SCHEMAS[table].parse(JSON.parse(JSON.stringify(row)))).toEqual(row);
    const binned = { ...row, binnedAt: DEMO_EVENING };
    expect(RECORD_SCHEMAS[table].parse(binned)).toEqual(binned);
  });
});

describe('a container', () => {
  const bag = demo.containers[0] as unknown as Record<string, unknown>;

  it.each([
    ['no station', { stations: [] }, 'stations'],
    ['a label that is no label', { label: '  ' }, 'label'],
    ['mulch deeper than a hand', { mulchMillimetres: 300 }, 'mulchMillimetres'],
    [
      'a support as high as a house',
      { support: { kind: 'stake', heightMillimetres: 9000 } },
      'support.heightMillimetres',
    ],
    ['a store of its kind’s own', { stores: [{ kind: 'reservoir', litres: 5 }] }, 'stores.0.kind'],
    ['a saucer that holds nothing', { stores: [{ kind: 'saucer', litres: 0 }] }, 'stores.0.litres'],
    ['a season that never ends', { seasons: 99 }, 'seasons'],
    ['a price below nothing', { price: -1 }, 'price'],
  ])('with %s is refused at that place', (_, change, at) => {
    expect(faults('containers', { ...bag, ...change })).toEqual([at]);
  });

  it('whose gauge reads the same full and dry is refused with words', () => {
    const gauges = [{ kind: 'scale', fullReading: 20, dryReading: 20 }];
    const read = RECORD_SCHEMAS.containers.safeParse({ ...bag, gauges });
    expect(read.error?.issues[0]).toMatchObject({
      path: ['gauges', 0, 'dryReading'],
      message: 'Full and dry read the same: one of the two is wrong.',
    });
    const half = [{ kind: 'scale', fullReading: 20 }];
    expect(RECORD_SCHEMAS.containers.safeParse({ ...bag, gauges: half }).success).toBe(true);
  });
});

describe('settings', () => {
  it('are those of the demo', () => {
    expect(settingsSchema.parse(demo.settings)).toEqual(demo.settings);
  });

  it.each([
    ['beyond the polar circle', { latitudeDegrees: 70 }],
    ['rounds at no hour', { roundHours: [] }],
    ['five rounds a day', { roundHours: [6, 9, 12, 15, 18] }],
    ['the 30th of February as last frost', { frost: { last: '02-30', first: '10-24' } }],
    ['units of nobody', { units: 'furlong' }],
  ])('do not take %s', (_, change) => {
    expect(settingsSchema.safeParse({ ...demo.settings, ...change }).success).toBe(false);
  });

  it('take normals with every night colder than its day, and say which is not', () => {
    const month = { minCelsius: 5, maxCelsius: 12, rainMillimetres: 60 };
    const normals = Array.from({ length: 12 }, () => month);
    expect(settingsSchema.safeParse({ ...demo.settings, normals }).success).toBe(true);
    const wrong = normals.with(3, { ...month, minCelsius: 14 });
    expect(settingsSchema.safeParse({ ...demo.settings, normals: wrong }).error?.issues[0]?.path).toEqual([
      'normals',
      3,
      'maxCelsius',
    ]);
    expect(settingsSchema.safeParse({ ...demo.settings, normals: normals.slice(1) }).success).toBe(false);
  });
});

describe('ids and times', () => {
  it('an id says what it names', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(ID_PREFIXES) as IdOf[])),
        fc.constantFrom(...(Object.keys(ID_PREFIXES) as IdOf[])),
        fc.stringMatching(/^[0-9A-Za-z]{6,30}$/),
        (of, other, rest) => {
          const id = `${ID_PREFIXES[of]}_${rest}`;
          expect(idSchema(of).safeParse(id).success).toBe(true);
          expect(idSchema(other).safeParse(id).success).toBe(of === other);
        },
      ),
    );
    expect(new Set(Object.values(ID_PREFIXES)).size).toBe(Object.keys(ID_PREFIXES).length);
  });

  it.each(['con_12345', `con_${'x'.repeat(31)}`, 'con_12345é', 'con-123456', ' con_123456'])(
    '%s is no id',
    (id) => {
      expect(idSchema('container').safeParse(id).success).toBe(false);
    },
  );

  it('a day is one that exists', () => {
    for (const day of ['2026-07-16', '2024-02-29']) expect(daySchema.safeParse(day).success).toBe(true);
    for (const day of ['2026-02-29', '2026-13-01', '16.7.2026', '2026-7-16', ''])
      expect(daySchema.safeParse(day).success, day).toBe(false);
    for (const day of ['02-29', '12-31']) expect(monthDaySchema.safeParse(day).success).toBe(true);
    for (const day of ['02-30', '13-01', '6-15']) expect(monthDaySchema.safeParse(day).success).toBe(false);
  });

  it('a moment keeps its own offset, and has one', () => {
    for (const at of [DEMO_EVENING, '2026-07-16T18:00:00Z', '2026-07-16T18:00:00.5-10:30'])
      expect(momentSchema.parse(at)).toBe(at);
    for (const at of [
      '2026-07-16T18:00:00',
      '2026-07-16 18:00:00Z',
      '2026-07-16T25:00:00Z',
      '2026-06-31T18:00:00Z',
    ])
      expect(momentSchema.safeParse(at).success, at).toBe(false);
  });
});
