// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { writeGardenFile } from '@rundel/core/garden-file';
import { PhotoDb } from '../src/db/index.ts';
import { DATABASE_NAMES } from '../src/db/index.ts';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, press } from './live.tsx';

describe('settings of a garden', () => {
  it('are kept when all of them can be, and otherwise none', async () => {
    const { stored } = await openApp('/settings', EMPTY, MAY_MORNING);
    for (const [label, typed, said] of [
      ['Times of my rounds', 'at noon', 'One to four times of day, as "8:00, 18:00".'],
      ['Times of my rounds', '6, 9, 12, 15, 18', 'One to four times of day, as "8:00, 18:00".'],
      ['Latitude, degrees north', '91', /From 66 south/],
      ['Name', ' ', /name/i],
    ] as const) {
      const field = screen.getByLabelText(label) as HTMLInputElement;
      const before = field.value;
      fill(label, typed);
      await press('Save');
      await waitFor(() => expect(field.getAttribute('aria-invalid')).toBe('true'));
      expect(screen.getAllByText(said).length).toBeGreaterThan(0);
      fill(label, before);
    }
    expect((await stored()).settings).toEqual(EMPTY.settings);
    fill('Name', 'Front step');
    fill('Times of my rounds', '7:30, 19:00');
    await press('Save');
    await screen.findByText('Kept.');
    expect((await stored()).settings).toMatchObject({ gardenName: 'Front step', roundHours: [7.5, 19] });
  });

  it('units are chosen once and shown everywhere', async () => {
    const { stored } = await openApp('/settings', EMPTY, MAY_MORNING);
    await choose('Units', /^US/);
    await waitFor(async () => expect((await stored()).settings.units).toBe('us'));
    expect(await screen.findByText(/when the coming night is below 50 °F/)).toBeTruthy();
  });

  it('an assumption is overridden within its range only', async () => {
    const { stored } = await openApp('/settings', EMPTY, MAY_MORNING);
    await press(/^Show all \d+/);
    const field = (await screen.findAllByRole('textbox')).find((f) =>
      /risk/i.test(f.getAttribute('aria-label') ?? ''),
    );
    expect(field).toBeTruthy();
    fireEvent.change(field as HTMLElement, { target: { value: '9' } });
    fireEvent.blur(field as HTMLElement);
    await screen.findByText('Outside the range: not used.');
    fireEvent.change(field as HTMLElement, { target: { value: '0.1' } });
    fireEvent.blur(field as HTMLElement);
    await waitFor(async () => expect((await stored()).settings.assumptions).toMatchObject({ risk: 0.1 }));
    expect(await screen.findByText(/You have changed 1/)).toBeTruthy();
  });
});

describe('photographs that nothing names', () => {
  it('are told with their size, and go only when they are let go; those of entries stay', async () => {
    const bare = demoWith('7');
    const [first, ...others] = bare.entries;
    if (!first) throw new Error('The demo has entries.');
    const garden = { ...bare, entries: [{ ...first, photoIds: ['pho_named00001'] }, ...others] };
    const db = new PhotoDb(DATABASE_NAMES.demo);
    const photo = (id: string) => ({ id, bytes: new ArrayBuffer(2_000_000), addedAt: DEMO_EVENING });
    await db.photos.bulkPut(['pho_named00001', 'pho_loose00001', 'pho_loose00002'].map(photo));
    await openApp('/files', garden, DEMO_EVENING);
    await screen.findByText(/^2 photographs belong to no entry of this garden and take 4(\.0)? MB/);
    await press('Let them go');
    await waitFor(() => expect(screen.queryByText(/belong to no entry/)).toBeNull());
    expect(await db.photos.toCollection().primaryKeys()).toEqual(['pho_named00001']);
    db.close();
  });
});

describe('files', () => {
  const garden = demoWith('7');
  const give = async (name: string, text: string) => {
    const input = document.querySelector('input[type="file"]') as HTMLInputElement;
    fireEvent.change(input, { target: { files: [new File([text], name, { type: 'application/json' })] } });
  };

  it.each([
    [
      'cut.json',
      (product: string) => product.slice(0, 9),
      /“cut\.json” was not opened\. It is not a whole JSON file/,
    ],
    ['other.json', () => '{"hello": 1}', /It is not a Rundel garden file\. Nothing here was changed\./],
    [
      'newer.json',
      (product: string) => product.replace(/"version": \d+/, '"version": 99'),
      /saved by a newer Rundel \(file version 99/,
    ],
  ])('%s is refused with the reason, and nothing is changed', async (name, hurt, said) => {
    const product = writeGardenFile(garden, DEMO_EVENING);
    const { stored } = await openApp('/files', garden, DEMO_EVENING);
    await give(name, hurt(product));
    expect(await screen.findByText(said)).toBeTruthy();
    expect((await stored()).entries).toHaveLength(garden.entries.length);
  });

  it('one bad row costs one row, and is named before anything is opened', async () => {
    const file = JSON.parse(writeGardenFile(garden, DEMO_EVENING)) as { entries: { at: string }[] };
    delete (file as { checksum?: string }).checksum;
    (file.entries[4] as { at: string }).at = 'teatime';
    await openApp('/files', garden, DEMO_EVENING);
    await give('hurt.json', JSON.stringify(file));
    await screen.findByText(/1 row does not read/);
    expect((await dialog()).textContent).toMatch(/at: not a time/);
  });

  it('a file is merged: entries of both, and undo brings back what was', async () => {
    const mine = demoWith('12');
    const { stored } = await openApp('/files', mine, DEMO_EVENING);
    await give('theirs.json', writeGardenFile(garden, DEMO_EVENING));
    await press(/^Merge/, await dialog());
    await screen.findByRole('heading', { name: 'Bags' });
    const merged = await stored();
    expect(merged.containers.map((c) => c.label).sort()).toEqual(['12', '7']);
    expect(new Set(merged.entries.map((e) => e.id)).size).toBe(merged.entries.length);
    await press('Undo');
    await waitFor(async () => expect((await stored()).containers.map((c) => c.label)).toEqual(['12']));
  });

  it('what was deleted is taken out of it again', async () => {
    const id = idOf(garden, '7');
    const binned = {
      ...garden,
      containers: garden.containers.map((c) => ({ ...c, binnedAt: DEMO_EVENING, changedAt: DEMO_EVENING })),
    };
    const { stored } = await openApp('/files', binned, DEMO_EVENING);
    await press('Restore');
    await waitFor(async () =>
      expect((await stored()).containers.find((c) => c.id === id)?.binnedAt).toBeUndefined(),
    );
  });

  it('everything here is cleared only after asking, and comes back with undo', async () => {
    const { stored } = await openApp('/files', garden, DEMO_EVENING);
    await press('Clear everything here');
    await press(/^Clear/, await dialog());
    await waitFor(async () => expect((await stored()).containers).toEqual([]));
    await press('Undo');
    await waitFor(async () => expect((await stored()).entries).toHaveLength(garden.entries.length));
  });
});
