import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { dayOf } from '../calendar/index.ts';
import { bagFeeding, bagWater, propertiesOf, warmthOf } from '../garden-state/index.ts';
import { liveEntries, type Entry, type Garden } from '../records/index.ts';
import { checksumOf } from './checksum.ts';
import { LATEST_VERSION, readGardenFile, writeGardenFile, type ReadableFile } from './index.ts';
import { MIGRATIONS, migrate } from './migrations.ts';

const demo = gannetSlip(3);

/** A file as an older Rundel wrote it. */
const fixture = (name: string) => readFileSync(join(import.meta.dirname, 'fixtures', name), 'utf8');

/** A garden as it is written, without what files of version 10 have about it. */
function rewritten(garden: Garden, savedAt: string): object {
  const {
    minor: _,
    checksum: __,
    ...rest
  } = JSON.parse(writeGardenFile(garden, savedAt)) as Record<string, unknown>;
  return rest;
}

function read(text: string): ReadableFile {
  const reading = readGardenFile(text);
  if (reading.kind === 'refused') throw new Error(reading.problem);
  return reading;
}

describe('the garden file', () => {
  const text = writeGardenFile(demo, DEMO_EVENING);

  it('reads back the same figures', async () => {
    const reading = readGardenFile(text);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(writeGardenFile(reading.garden, reading.savedAt)).toBe(text);
  });

  it('is the same text whatever order the rows were stored in', async () => {
    expect(writeGardenFile({ ...demo, entries: [...demo.entries].reverse() }, DEMO_EVENING)).toBe(text);
  });

  it.each([
    ['cut in its first line', text.slice(0, 12), /damaged or cut short/],
    ['no list of entries', text.replace('"entries"', '"diary"'), /no list of entries/],
    ['something else', '[1, 2]', /not a Rundel garden file/],
    ['another format', '{"format":"other","version":1}', /not a Rundel garden file/],
    ['newer', text.replace(/"version": \d+/, '"version": 99'), /newer Rundel \(file version 99/],
    ['of no version', text.replace(/"version": \d+/, '"version": "ten"'), /Its version is "ten"/],
  ])('refuses a file that is %s, with the reason', async (_, damaged, reason) => {
    const reading = readGardenFile(damaged);
    expect(reading.kind).toBe('refused');
    if (reading.kind === 'refused') expect(reading.problem).toMatch(reason);
  });

  it('loses one row and no more to a damaged row', async () => {
    const file = JSON.parse(text) as { entries: { at: string }[] };
    if (file.entries[3]) file.entries[3].at = 'teatime';
    const reading = readGardenFile(JSON.stringify(file));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.garden.entries).toHaveLength(demo.entries.length - 1);
    expect(reading.setAside).toMatchObject([
      { table: 'entries', problem: expect.stringContaining('at') as string },
    ]);
  });

  it('goes through migrations on a copy', () => {
    const old = { version: 1, settings: { gardenName: 'x' } };
    expect(migrate(old, 1)).toEqual({
      ...old,
      mixes: [],
      products: [],
      packs: [],
      templates: [],
      plans: [],
      regimes: [],
      tanks: [],
      trials: [],
    });
    expect(LATEST_VERSION).toBe(MIGRATIONS.length + 1);
    expect(migrate(old, LATEST_VERSION)).toEqual(old);
    expect(migrate(old, LATEST_VERSION)).not.toBe(old);
    expect(old).toEqual({ version: 1, settings: { gardenName: 'x' } });
  });

  it('of version 1 is read whole, with nothing set aside', async () => {
    const old = fixture('garden-v1.json');
    const reading = readGardenFile(old);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(reading.garden.containers.map((c) => c.label).sort()).toEqual(['5', '7']);
    expect(reading.garden.entries).toHaveLength(28);
    expect(reading.garden.mixes).toEqual([]);
    expect(writeGardenFile(reading.garden, reading.savedAt)).toContain(`"version": ${LATEST_VERSION}`);
  });
});

describe('a file of version 2', () => {
  it('is read whole, its mixes, packs and templates with it', async () => {
    const old = fixture('garden-v2.json');
    const reading = readGardenFile(old);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(reading.garden.entries).toHaveLength(28);
    expect(reading.garden.mixes.map((m) => m.name)).toEqual(['my mix']);
    expect(reading.garden.templates[0]?.size).toEqual({ by: 'label', litres: 38 });
    expect(reading.garden.plans).toEqual([]);
  });
});

describe('a file of version 3', () => {
  it('is read whole, its plans and drips with it, and knows no regime yet', async () => {
    const old = fixture('garden-v3.json');
    const reading = readGardenFile(old);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(reading.garden.entries).toHaveLength(30);
    expect(reading.garden.plans.map((p) => p.cropId)).toEqual(['cucumber']);
    expect(reading.garden.regimes).toEqual([]);
  });
});

describe('old garden files open to the figures that they had', () => {
  const figures = JSON.parse(fixture('figures.json')) as Record<string, Record<string, object>>;

  it.each(Object.keys(figures))('version %s', async (version) => {
    const reading = readGardenFile(fixture(`garden-v${version}.json`));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    const { garden, savedAt } = reading;
    const live = liveEntries(garden.entries);
    const warmth = warmthOf(live, garden.settings);
    for (const container of garden.containers) {
      const { estimate, availableLitres } = bagWater(garden, container, savedAt, live);
      const properties = propertiesOf(container, garden);
      const today = dayOf(savedAt);
      const { states } = bagFeeding(garden, container, properties, live, today, warmth, estimate.moves);
      const near = (value: number) => expect.closeTo(value, 5) as number;
      expect(figures[version]?.[container.label], container.label).toEqual({
        availableLitres: near(availableLitres),
        share: near(estimate.share.likely),
        low: near(estimate.share.low),
        use: near(estimate.useMultiplier.likely),
        feeds: states.map((s) => `${s.step.productId} ${s.kind}${'target' in s ? ` ${s.target}` : ''}`),
      });
    }
  });

  it('with names as they are now, and what the grower wrote as it was', async () => {
    const reading = readGardenFile(fixture('garden-v4.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden } = reading;
    expect(garden.products[0]).toMatchObject({ name: 'My tomato liquid', description: 'From the co-op.' });
    expect(garden.packs[0]?.productId).toBe(garden.products[0]?.id);
    expect(garden.regimes[0]?.steps[0]).toMatchObject({ shortensWithGrowth: true });
    expect(garden.settings.assumptions).toMatchObject({ checkMinutes: 0.7, firstWateringDry: 0.22 });
    expect(garden.places.map((place) => place.id)).toContain(garden.containers[0]?.placeId);
    const kinds = new Set(garden.entries.map((entry) => entry.kind));
    expect([kinds.has('check'), kinds.has('watering')]).toEqual([true, true]);
    // what it was saved as stands beside it in the names of today
    expect(rewritten(garden, reading.savedAt)).toEqual({
      ...(JSON.parse(fixture('garden-v5.json')) as object),
      version: LATEST_VERSION,
      tanks: [],
      trials: [],
    });
  });

  it('of version 6 with all that a grower knows of plants and bags is written as it was read', async () => {
    const reading = readGardenFile(fixture('garden-v6.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden } = reading;
    expect(garden.settings.frost).toEqual({ last: '05-05' });
    expect(garden.varieties.some((v) => v.daysToRipe?.from === 'sowing')).toBe(true);
    expect(garden.containers.map((c) => c.fill?.by)).toContain('loose');
    expect(rewritten(garden, reading.savedAt)).toEqual({
      ...(JSON.parse(fixture('garden-v6.json')) as object),
      version: LATEST_VERSION,
      tanks: [],
      trials: [],
    });
  });

  it('of version 7 with a shared tank and lines of drip is written as it was read', async () => {
    const reading = readGardenFile(fixture('garden-v7.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden } = reading;
    expect(garden.tanks.map(({ name }) => name)).toEqual(['Blue drum']);
    expect(garden.containers.some((c) => c.tankId === garden.tanks[0]?.id)).toBe(true);
    expect(garden.entries.some((e) => e.kind === 'drip' && e.setting?.further?.length === 1)).toBe(true);
    expect(rewritten(garden, reading.savedAt)).toEqual({
      ...(JSON.parse(fixture('garden-v7.json')) as object),
      version: LATEST_VERSION,
      trials: [],
    });
  });

  it('of version 8 with trouble, sprays, cleaning, trusses and warnings is written as it was read', async () => {
    const reading = readGardenFile(fixture('garden-v8.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden, setAside } = reading;
    expect(setAside).toEqual([]);
    const kinds = new Set<string>(garden.entries.map(({ kind }) => kind));
    for (const kind of ['trouble', 'followed-up', 'sprayed', 'cleaned', 'truss', 'warned'])
      expect(kinds.has(kind), kind).toBe(true);
    expect(garden.places[0]?.alerts).toEqual({ frost: { threshold: 1 }, wind: { isOff: true } });
    expect(rewritten(garden, reading.savedAt)).toEqual({
      ...(JSON.parse(fixture('garden-v8.json')) as object),
      version: LATEST_VERSION,
      trials: [],
    });
  });

  it('of version 9 with a trial, lots on the shelf, prices and minutes of a round is written as it was read', async () => {
    const reading = readGardenFile(fixture('garden-v9.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden, setAside } = reading;
    expect(setAside).toEqual([]);
    expect(garden.trials.map(({ name }) => name)).toEqual(['Big bag or small']);
    expect(garden.entries.some((e) => e.kind === 'shelf-check' && e.left === 3)).toBe(true);
    expect(garden.settings.shopPrices).toEqual({ tomato: 4.5 });
    expect(rewritten(garden, reading.savedAt)).toEqual({
      ...(JSON.parse(fixture('garden-v9.json')) as object),
      version: LATEST_VERSION,
    });
  });

  it('of version 10 with a photograph, the moments of settings, a checksum and a row of another Rundel is written as it was read', () => {
    const text = fixture('garden-v10.json');
    const reading = readGardenFile(text);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden, setAside, warnings } = reading;
    expect(warnings).toEqual([]);
    expect(garden.entries.flatMap(({ photoIds = [] }) => photoIds)).toEqual(['pho_7hq2m0x9c4ab']);
    expect(garden.settings.roundHours).toEqual([7, 19]);
    expect(Object.keys(garden.settings.stamps ?? {})).toContain('units');
    expect(setAside.map(({ id }) => id)).toEqual(['ent_ofanother1']);
    // all but what is of the Rundel that writes
    const rows = (of: string) => of.replaceAll(/^ "(minor|checksum)": .*$/gm, '');
    expect(rows(writeGardenFile(garden, reading.savedAt, setAside))).toBe(rows(text));
  });
});

describe('a damaged file', () => {
  const few = { ...demo, entries: demo.entries.slice(-60) };
  const text = writeGardenFile(few, DEMO_EVENING);
  const lines = text.split('\n');

  it('is told of by its checksum, where it still reads', () => {
    expect(read(text).warnings).toEqual([]);
    const changed = text.replace(/"gardenName":"[^"]*"/, '"gardenName":"Another"');
    expect(changed).not.toBe(text);
    expect(read(changed).warnings.join()).toMatch(/checksum does not fit/);
    expect(read(changed).garden.settings.gardenName).toBe('Another');
  });

  it('set out otherwise has the same checksum', () => {
    expect(read(JSON.stringify(JSON.parse(text))).warnings).toEqual([]);
    expect(checksumOf({ a: 1, checksum: 'x' })).toBe(checksumOf({ a: 1 }));
  });

  it.each([0.3, 0.6, 0.95])('cut at %d of it gives all rows that are whole', (share) => {
    const cut = text.slice(0, Math.round(text.length * share));
    const reading = read(cut);
    expect(reading.warnings.join()).toMatch(/damaged or cut short/);
    // a row that is on a line of its own, and all of it
    const whole = cut
      .split('\n')
      .slice(0, -1)
      .filter((line) => line.startsWith('  {'));
    const { settings: _, ...tables } = reading.garden;
    expect(Object.values(tables).flat()).toHaveLength(whole.length);
    expect(reading.setAside).toEqual([]);
  });

  it('with a hole in one row loses that row and no other', () => {
    const at = lines.findIndex((line) => line.startsWith('  {"kind"')) + 3;
    const hurt = lines.map((line, i) => (i === at ? line.slice(0, 25) : line)).join('\n');
    const reading = read(hurt);
    expect(reading.garden.entries).toHaveLength(few.entries.length - 1);
    expect(reading.garden.containers).toHaveLength(few.containers.length);
    expect(reading.warnings.join()).toMatch(/one piece of it does not read/);
  });

  it('of an older kind, a field a line, is read as far as it is whole', () => {
    const old = fixture('garden-v5.json');
    const reading = read(old.slice(0, Math.round(old.length * 0.7)));
    expect(reading.garden.containers.map((c) => c.label).sort()).toEqual(['12', '20', '7']);
    expect(reading.garden.entries.length).toBeGreaterThan(3);
  });

  it('without settings that read stands on the usual ones, and keeps those that do', () => {
    const { settings } = few;
    const hurt = text.replace(`"latitudeDegrees":${settings.latitudeDegrees}`, '"latitudeDegrees":"north"');
    const reading = read(hurt);
    expect(reading.garden.settings).toMatchObject({ gardenName: settings.gardenName, latitudeDegrees: 50 });
    expect(reading.warnings.join()).toMatch(/settings do not read \(latitudeDegrees/);
  });
});

describe('rows that a file had better not have', () => {
  const [first, second] = demo.entries as readonly [Entry, Entry];
  const fileWith = (entries: readonly unknown[], more: object = {}) => {
    const { checksum: _, ...file } = JSON.parse(
      writeGardenFile({ ...demo, entries: [] }, DEMO_EVENING),
    ) as object & {
      checksum: string;
    };
    return JSON.stringify({ ...file, entries, ...more });
  };
  const aside = (row: unknown) => {
    const { garden, setAside } = read(fileWith([first, row]));
    expect(garden.entries).toHaveLength(1);
    return setAside[0];
  };

  it('an id that is there twice: the second is kept aside, the very same is one', () => {
    expect(aside({ ...second, id: first.id })?.problem).toMatch(/another row has the id/);
    expect(read(fileWith([first, first])).setAside).toEqual([]);
    expect(read(fileWith([first, first])).garden.entries).toHaveLength(1);
  });

  it.each(['0000-01-01', '9999-12-31', '1949-12-31', '2201-01-01'])('a day in the year of %s', (day) => {
    expect(aside({ ...second, at: `${day}T12:00:00.000+00:00` })?.problem).toMatch(/not in the years/);
  });

  it('what is nested without end, and is not called along itself', () => {
    const text = fileWith([first, 'HERE']).replace('"HERE"', nested(50_000));
    const { garden, setAside } = read(text);
    expect(garden.entries).toHaveLength(1);
    expect(setAside).toEqual([{ table: 'entries', id: 'without an id', problem: 'it is nested too deeply' }]);
  });

  it('a pack of next to nothing', () => {
    const pack = { ...(demo.packs[0] as object), id: 'pak_nothing1', amount: 5e-324 };
    const { setAside } = read(fileWith([], { packs: [pack] }));
    expect(setAside[0]?.problem).toMatch(/amount: Too small/);
  });

  it('are written out again as they came, and read once a Rundel can', () => {
    const odd = { ...second, kind: 'sung-to' };
    const { garden, setAside } = read(fileWith([first, odd]));
    const again = read(writeGardenFile(garden, DEMO_EVENING, setAside));
    expect(again.setAside).toMatchObject([{ table: 'entries', id: second.id }]);
    expect(JSON.parse(again.setAside[0]?.text ?? '')).toEqual(odd);
    const able = writeGardenFile(garden, DEMO_EVENING, [{ table: 'entries', text: JSON.stringify(second) }]);
    expect(read(able).garden.entries.map(({ id }) => id)).toEqual([first.id, second.id].sort());
  });

  it('of a later Rundel of this version: what is unknown is told and kept, the rest is read', () => {
    const text = fileWith(
      [
        { ...first, mood: 'hopeful' },
        { ...second, kind: 'sung-to' },
      ],
      {
        minor: 3,
        songs: [],
      },
    );
    const { garden, setAside, warnings } = read(text);
    expect(warnings.join()).toMatch(/newer Rundel/);
    expect(garden.entries).toEqual([first]);
    expect(setAside.map(({ problem }) => problem).join()).toMatch(/"mood" is unknown to this Rundel/);
    expect(setAside).toHaveLength(2);
  });
});

/** An object in an object, so many deep, as JSON. */
function nested(times: number): string {
  return `${'{"a":'.repeat(times)}1${'}'.repeat(times)}`;
}
