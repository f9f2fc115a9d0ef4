import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gannetSlip } from '../../demo/index.ts';
import { gardenTables, namedColumns, numbersIn, readCsv, writeCsv } from './index.ts';

describe('CSV', () => {
  const HOSTILE = ['=1+1', '+A1', '-2+3', '@SUM(A1)', '\tx', '=HYPERLINK("http://x")'];

  it('lets no cell or heading begin as a formula does, and reads them back as they were', () => {
    const text = writeCsv(
      ['=name', 'n'],
      HOSTILE.map((cell, i) => [cell, -i]),
    );
    const raw = parse(text) as string[][];
    expect(raw.flat().filter((cell) => /^[=+@\t]/.test(cell))).toEqual([]);
    expect(raw.slice(1).map(([cell]) => cell?.[0])).toEqual(HOSTILE.map(() => "'"));
    // numbers stay numbers
    expect(raw.at(-1)?.[1]).toBe('-5');
    const back = readCsv(text);
    expect(back.headings).toEqual(['=name', 'n']);
    expect(back.rows.map((row) => row['=name'])).toEqual(HOSTILE);
  });

  it('is read by another library with the same cells (RFC 4180)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.string({ unit: 'grapheme' }), fc.string()), { minLength: 1, maxLength: 8 }),
        (rows) => {
          const plain = rows.map((row) => row.map((cell) => cell.replace(/\r\n?|\n/g, '\n')));
          const read = parse(writeCsv(['a', 'b'], plain), { relax_column_count: true }) as string[][];
          const harmless = plain.map((row) =>
            row.map((cell) => (/^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell)),
          );
          expect(read.slice(1)).toEqual(harmless);
        },
      ),
    );
  });

  it.each([
    [',', '2026-07-01,"1,5"'],
    [';', '2026-07-01;1,5'],
    ['\t', '2026-07-01\t1,5'],
  ])('is read whatever stands between: %j', (between, row) => {
    const table = readCsv(`\uFEFFDay${between} kg \r\n${row}\r\n\r\n`);
    expect(table).toEqual({
      headings: ['Day', 'kg'],
      rows: [{ Day: '2026-07-01', kg: '1,5' }],
      delimiter: between,
    });
    expect(namedColumns({ ...table, headings: ['Pack amount'] }).headings).toEqual(['pack_amount']);
  });
});

describe('numbers of a table', () => {
  it.each([
    [['1,5', '2,25'], ';', '1,000', 1],
    [['1.5', '2.25'], ',', '1,000', 1000],
    [['1,000', '12,500'], ',', '1,000', 1000],
    [['1,5', '1.234,5'], ';', '1.234,5', 1234.5],
    [['3', '4'], ',', '0.5', 0.5],
  ])('%j between %j: %s is %d', (cells, delimiter, cell, value) => {
    expect(numbersIn(cells, delimiter)(cell)).toBe(value);
  });

  it.each(['0x10', '1e3', '1 kg', '', 'NaN', 'Infinity', '1,2,3'])('%j is none', (cell) => {
    expect(numbersIn(['1.5'], ',')(cell)).toBeUndefined();
  });
});

describe('the tables of a garden', () => {
  const garden = gannetSlip(3);
  const tables = gardenTables(garden);

  it('have every row and field, as another library reads them', () => {
    for (const table of ['containers', 'entries', 'places'] as const) {
      const rows = parse(tables[`${table}.csv`] ?? '', { columns: true }) as Record<string, string>[];
      expect(rows.map(({ id }) => id)).toEqual(garden[table].map(({ id }) => id));
    }
    const [bag] = parse(tables['containers.csv'] ?? '', { columns: true }) as Record<string, string>[];
    expect(JSON.parse(bag?.['size'] ?? '')).toEqual(garden.containers[0]?.size);
  });

  it('leave out those in which nothing stands', () => {
    expect(Object.keys(gardenTables({ ...garden, mixes: [] }))).not.toContain('mixes.csv');
  });
});
