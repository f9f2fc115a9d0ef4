import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { readGardenFile } from '@rundel/core/garden-file';
import type { AgendaItem } from '@rundel/core/agenda';
import { unzipSync, zipSync } from 'fflate';
import ICAL from 'ical.js';
import JSZip from 'jszip';
import { describe, expect, it } from 'vitest';
import { fileName, reportWords, rowsWords, savedWords, sizeWords } from '../../text/file-text.ts';
import { fieldWords, saidWords } from '../../text/record-text.ts';
import { packGarden, unpackGarden } from '../../workers/archive.ts';
import { bagOfCode, codeOfBag } from './bag-of-code.ts';
import { calendarFile } from './calendar/calendar-file.ts';
import { LABEL_SHEETS, onSheets } from './paper/label-sheets.ts';

const garden = gannetSlip(3);
const few = { ...garden, entries: garden.entries.slice(-40) };

describe('the archive', () => {
  const photo = new Uint8Array([0xff, 0xd8, 1, 2, 3]);
  const packed = packGarden(few, DEMO_EVENING, [], new Map([['pho_aaaaaa', photo]]));

  it('is opened by another library, with the garden, its tables and its photographs', async () => {
    const zip = await JSZip.loadAsync(packed);
    const text = (await zip.file('garden.json')?.async('string')) ?? '';
    const reading = readGardenFile(text);
    expect(reading.kind === 'readable' && reading.garden.entries).toHaveLength(40);
    expect(await zip.file('photos/pho_aaaaaa.jpg')?.async('uint8array')).toEqual(photo);
    expect(await zip.file('tables/containers.csv')?.async('string')).toContain('id,label,kindId');
    expect(await zip.file('README.txt')?.async('string')).toContain('garden.json');
  });

  it('of one garden at one moment is the same to the last byte', () => {
    expect(packGarden(few, DEMO_EVENING, [], new Map([['pho_aaaaaa', photo]]))).toEqual(packed);
  });

  it('comes back with its photographs; the plain JSON is read as well', () => {
    const back = unpackGarden(packed);
    if ('problem' in back) throw new Error(back.problem);
    expect([...back.photos]).toEqual([['pho_aaaaaa', photo]]);
    const plain = unpackGarden(new TextEncoder().encode(back.text));
    expect(plain).toEqual({ text: back.text, photos: new Map() });
  });

  it('takes nothing but the garden and pictures of ids out of what it is given', () => {
    const foreign = zipSync({
      'garden.json': new TextEncoder().encode('{}'),
      '../evil.jpg': photo,
      'photos/../../evil.jpg': photo,
      'photos/pho_bbbbbb.exe': photo,
      'photos/pho_bbbbbb.jpg': photo,
    }) as Uint8Array<ArrayBuffer>;
    const read = unpackGarden(foreign);
    expect('photos' in read && [...read.photos.keys()]).toEqual(['pho_bbbbbb']);
  });

  it.each([0.5, 0.9, 0.99])('cut at %d of it still gives the garden, as far as it is whole', (share) => {
    const read = unpackGarden(packed.slice(0, Math.floor(packed.length * share)));
    if ('problem' in read) throw new Error(read.problem);
    expect(read.isDamaged).toBe(true);
    const reading = readGardenFile(read.text);
    if (reading.kind === 'refused') throw new Error(reading.problem);
    expect(reading.garden.containers.length).toBeGreaterThan(5);
    expect(unpackGarden(packed)).not.toHaveProperty('isDamaged');
  });

  it.each([
    ['cut short', packed.slice(0, 120), /damaged or cut short, before its garden begins/],
    ['without a garden', zipSync({ 'a.txt': photo }) as Uint8Array<ArrayBuffer>, /no garden\.json/],
  ])('%s is refused in words', (_, bytes, words) => {
    const read = unpackGarden(bytes);
    expect('problem' in read && read.problem).toMatch(words);
  });

  it('holds no row of it twice', () => {
    expect(Object.keys(unzipSync(packed)).sort()).toEqual(
      [...new Set(Object.keys(unzipSync(packed)))].sort(),
    );
  });
});

describe('the calendar', () => {
  const long = 'take side shoots out; '.repeat(12);
  const events = [
    {
      item: {
        kind: 'round',
        uid: 'round-2026-07-17-8.5',
        day: '2026-07-17',
        hour: 8.5,
        containerIds: [],
      } as AgendaItem,
      title: 'Round: check 7, 12; and “A2”',
      detail: `7 · Red Keel\n${long}`,
    },
    {
      item: {
        kind: 'plan',
        uid: 'plan-pln_aaaaaa',
        day: '2026-08-31',
        containerIds: [],
      } as unknown as AgendaItem,
      title: 'Plant aubergine in 3',
      detail: '',
    },
  ];
  const text = calendarFile(events, 'Gannet Slip');
  const read = () =>
    new ICAL.Component(ICAL.parse(text) as unknown as ConstructorParameters<typeof ICAL.Component>[0])
      .getAllSubcomponents('vevent')
      .map((each) => ({ event: new ICAL.Event(each), alarms: each.getAllSubcomponents('valarm') }));

  it('is read by another library with the same words and moments', () => {
    const [round, plan] = read();
    expect(round?.event.summary).toBe(events[0]?.title);
    expect(round?.event.description).toBe(events[0]?.detail);
    expect(round?.event.startDate.toString()).toBe('2026-07-17T08:30:00');
    expect(round?.event.duration.toSeconds()).toBe(1800);
    expect(plan?.event.startDate.isDate).toBe(true);
    expect(plan?.event.startDate.toString()).toBe('2026-08-31');
    expect(plan?.event.endDate.toString()).toBe('2026-09-01');
  });

  it('rings, and names each thing the same the next time', () => {
    expect(read().map(({ alarms }) => alarms.length)).toEqual([1, 1]);
    expect(read().map(({ event }) => event.uid)).toEqual([
      'round-2026-07-17-8.5@rundel.garden',
      'plan-pln_aaaaaa@rundel.garden',
    ]);
  });

  it('says of every duration how long it is', () => {
    const all = [...text.matchAll(/^(?:TRIGGER|DURATION):(.*)\r$/gm)].map(([, duration]) => duration);
    expect(all).toEqual(['PT30M', 'PT0S', 'P1D', 'PT8H']);
  });

  it('has no line longer than 75 bytes, and ends lines as the standard has it', () => {
    const bytes = text.split('\r\n').map((line) => new TextEncoder().encode(line).length);
    expect(Math.max(...bytes)).toBeLessThanOrEqual(75);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
  });
});

describe('labels', () => {
  it('fit on their sheets', () => {
    const pages = { A4: [210, 297], letter: [215.9, 279.4], '62mm 29mm': [62, 29] } as Record<
      string,
      number[]
    >;
    for (const { id, page, columns, rows, wide, high, marginLeft, marginTop, gapX } of LABEL_SHEETS) {
      const [across = 0, down = 0] = pages[page] ?? [];
      expect(marginLeft + columns * wide + (columns - 1) * gapX, id).toBeLessThanOrEqual(across + 0.01);
      expect(marginTop + rows * high, id).toBeLessThanOrEqual(down + 0.01);
    }
  });

  it('go on to further sheets, and leave out what is used up', () => {
    const labels = Array.from({ length: 10 }, (_, i) => i);
    const pages = onSheets(labels, { columns: 2, rows: 3 }, 4);
    expect(pages.map((page) => page.filter((label) => label !== undefined).length)).toEqual([2, 6, 2]);
    expect(pages.flat().filter((label) => label !== undefined)).toEqual(labels);
  });

  it('carry an address that leads to their bag, wherever it was printed', () => {
    const id = 'con_96m4x0re9jv3';
    expect(bagOfCode(codeOfBag(`/bags/${id}`, 'http://a:4617/files/paper'))).toBe(id);
    expect(bagOfCode(codeOfBag(`#/bags/${id}`, 'https://b/x/?garden=demo#/files/paper'))).toBe(id);
    for (const other of ['https://else.where/', 'con_96m4x0re9jv3', '/bags/std_96m4x0re9jv3', ''])
      expect(bagOfCode(other)).toBeUndefined();
  });
});

describe('words about files', () => {
  it('count rows as people do', () => {
    expect([rowsWords('containers', 1), rowsWords('entries', 1234), rowsWords('songs', 2)]).toEqual([
      '1 bag',
      '1,234 diary entries',
      '2 rows of "songs"',
    ]);
    expect(
      reportWords({
        tables: [
          { table: 'places', added: 1, changed: 0 },
          { table: 'entries', added: 3, changed: 2 },
        ],
        settings: ['units'],
      }),
    ).toEqual([
      'New here: 1 place and 3 diary entries.',
      'Otherwise than here: 2 diary entries.',
      '1 setting would change.',
    ]);
  });

  it('remind once a file is old and there is something to lose', () => {
    const entry = { recordedAt: '2026-07-15T12:00:00.000+01:00' };
    const at = (saved: string | null, count = 1) =>
      savedWords(
        saved,
        '2026-07-16',
        Array.from({ length: count }, () => entry),
      );
    expect(at(null, 3).isDue).toBe(false);
    expect(at(null, 30)).toEqual({ words: 'Not saved to a file yet.', isDue: true });
    expect(at('2026-07-14T12:00:00.000+01:00').isDue).toBe(false);
    expect(at('2026-07-01T12:00:00.000+01:00').isDue).toBe(true);
    expect(at('2026-07-16T12:00:00.000+01:00', 2)).toEqual({
      words: 'Saved to a file today, nothing since.',
      isDue: false,
    });
  });

  it('name files and sizes', () => {
    expect(fileName('Gärten & Söhne!', '2026-07-16', 'zip')).toBe('rundel-g-rten-s-hne-2026-07-16.zip');
    expect(fileName('***', undefined, 'zip')).toBe('rundel-garden.zip');
    expect([999, 15_300, 2_345_678, 23_456_789, 4.31e9].map(sizeWords)).toEqual([
      '999 bytes',
      '15 kB',
      '2.3 MB',
      '23 MB',
      '4.3 GB',
    ]);
  });

  it('show what two tabs said of a field', () => {
    expect(fieldWords('wireMillimetres')).toBe('Wire, millimetres');
    expect(fieldWords('mixId')).toBe('Mix');
    const now = DEMO_EVENING;
    expect(saidWords(undefined, now)).toBe('nothing');
    expect(saidWords(true, now)).toBe('yes');
    expect(saidWords(2000.0000001, now)).toBe('2000');
    expect(saidWords([{ kind: 'wick', litres: 5 }], now)).toBe('kind wick, litres 5');
    expect(saidWords('2026-07-15T12:00:00.000+01:00', now)).toBe('Yesterday');
  });
});
