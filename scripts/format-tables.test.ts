import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { formatTables, PAGE, withTables } from './format-tables.ts';

describe('the page on the garden file', () => {
  it('has the tables of the schemas as they are: `npm run tables` writes them', () => {
    const page = readFileSync(PAGE, 'utf8');
    expect(withTables(page)).toBe(page);
  });

  it('names types, bounds and what may be left out', () => {
    const { records = '', entries = '', settings = '' } = formatTables();
    expect(entries).toContain('`litres` number above 0, to 200');
    expect(entries).toMatch(/\| `picking` \|.*`count`\? whole number, 1 to 5000/);
    expect(records).toMatch(/\| `measures` \| `kind` `can`, `bottle`/);
    expect(settings).toContain('| `latitudeDegrees` | number, -66 to 66 |');
  });

  it('is refused where a table has no place', () => {
    expect(() => withTables('nothing')).toThrow(/no place for the table of settings/);
  });
});
