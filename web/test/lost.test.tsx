// @vitest-environment happy-dom
import { readGardenFile } from '@rundel/core/garden-file';
import type { Entry, Place } from '@rundel/core/records';
import { screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { filesHere } from './files-here.ts';
import { DEMO_EVENING, demoWith } from './gardens.ts';
import { DATABASE_NAMES, GardenStore, StorageError } from '../src/db/index.ts';
import { StoreInWorker } from '../src/workers/store.ts';
import { openApp, press } from './live.tsx';

const garden = demoWith('3', '7');
const place = garden.places[0] as Place;
const LATER = '2026-07-17T21:00:00.000+01:00';
const note = (id: string): Entry => ({
  kind: 'note',
  id: `ent_afterwards${id}`,
  at: LATER,
  recordedAt: LATER,
  text: `noted ${id}`,
});

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: new Date(DEMO_EVENING) });
  localStorage.removeItem('rundel.had');
  // the first page asks for a list of towns
  vi.spyOn(globalThis, 'fetch').mockImplementation(() => Promise.resolve(new Response('[]')));
});
afterEach(() => {
  vi.restoreAllMocks();
  vi.useRealTimers();
  localStorage.removeItem('rundel.had');
});

/** The own garden as it was before, with its second copy made. */
async function before() {
  const files = filesHere();
  const app = await openApp('/files', garden, DEMO_EVENING, { files, isLost: false });
  await screen.findByText(/keeps a second copy/);
  return { app, files };
}

it('a garden that the browser has lost comes back with all that was written, and says so until it is seen', async () => {
  const { app, files } = await before();
  const store = new StoreInWorker(DATABASE_NAMES.own);
  const photo = { id: 'pho_kept000001', bytes: new Uint8Array([7, 8, 9]).buffer, addedAt: LATER };
  await store.addPhotos([photo]);
  await store.append([{ ...note('1'), photoIds: [photo.id] }]);
  await store.write([{ table: 'places', before: place, after: { ...place, name: 'Lee wall' } }], [note('2')]);
  const settings = { ...garden.settings, gardenName: 'Quay' };
  await store.writeSettings(garden.settings, settings, LATER);
  app.unmount();
  const { stored } = await openApp('/bags', garden, DEMO_EVENING, { files, isLost: true });
  const alert = await screen.findByText(/came back from its second copy/);
  expect(alert.textContent).toContain(`2 bags and ${garden.entries.length + 2} entries`);
  expect(await screen.findByText('Lee wall')).toBeTruthy();
  const back = await stored();
  expect(new Set(back.entries.map(({ id }) => id))).toEqual(
    new Set([...garden.entries.map(({ id }) => id), 'ent_afterwards1', 'ent_afterwards2']),
  );
  expect(back.settings.gardenName).toBe('Quay');
  // it is in the database again, and not only in the copy
  files.content.clear();
  expect(await store.photo(photo.id)).toEqual(photo.bytes);
  await press('I have seen it');
  await waitFor(() => expect(screen.queryByText(/second copy/)).toBeNull());
});

it('a second copy that does not read is said on the first page, and can be saved as it is', async () => {
  const { app, files } = await before();
  app.unmount();
  const [slot] = [...files.content.keys()].filter((name) => !name.endsWith('journal'));
  const bytes = files.content.get(slot ?? '');
  // of the right length, and nothing that anybody can read
  bytes?.fill(0x20, bytes.indexOf(10) + 1);
  await openApp('/bags', garden, DEMO_EVENING, { files, isLost: true });
  await screen.findByText(/the browser has lost it\..*could not be opened/);
  const saved = vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:saved');
  // it would be gone to here
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockReturnValue();
  await press('Save the second copy');
  const [blob] = saved.mock.lastCall as [Blob];
  expect(blob.size).toBeGreaterThan(1000);
});

it('who has no second copy is told that the garden is gone, and who never had one is told nothing', async () => {
  const { app } = await before();
  app.unmount();
  await openApp('/bags', garden, DEMO_EVENING, { files: filesHere(), isLost: true });
  await screen.findByText(/the browser has lost it\. If you have saved it to a file, open that\./);
  localStorage.removeItem('rundel.had');
  await openApp('/bags', garden, DEMO_EVENING, { files: filesHere(), isLost: true });
  await screen.findByRole('button', { name: 'Start with my own bags' });
  await new Promise((done) => setTimeout(done, 50));
  expect(screen.queryByText(/lost it/)).toBeNull();
});

it('a garden that is there and does not open can be saved from its second copy, with what was written since', async () => {
  const { app, files } = await before();
  await new StoreInWorker(DATABASE_NAMES.own).append([note('3')]);
  app.unmount();
  vi.spyOn(GardenStore.prototype, 'load').mockRejectedValue(new StorageError('The disk has a scratch.'));
  await openApp('/bags', garden, DEMO_EVENING, { files, isLost: false });
  await screen.findByText('The disk has a scratch.');
  const saved = vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:saved');
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockReturnValue();
  await press('Save the second copy');
  const [blob] = saved.mock.lastCall as [Blob];
  const read = readGardenFile(await blob.text());
  expect(read.kind === 'readable' && read.garden.entries.map(({ id }) => id)).toContain('ent_afterwards3');
});

it('a garden comes back to a tab that reads it after another has written to what was left', async () => {
  const { app, files } = await before();
  app.unmount();
  const { stored } = await openApp('/bags', garden, DEMO_EVENING, {
    files,
    isLost: true,
    // as a tab does that was open when the browser lost it
    then: (own) => own.append([note('4')]).then(() => undefined),
  });
  await screen.findByText(/came back from its second copy/);
  expect((await stored()).entries).toHaveLength(garden.entries.length);
});

it('what is put down right after a file was merged is in what comes back', async () => {
  const { app, files } = await before();
  const copy = [...files.content];
  app.unmount();
  const store = new StoreInWorker(DATABASE_NAMES.own);
  await store.load();
  const next = new GardenStore('rundel~merged00');
  await next.replace(garden);
  await store.moveTo('rundel~merged00', true);
  await store.append([note('5')]);
  // the copy itself is still of the garden before
  expect(files.content.get(copy[0]?.[0] ?? '')).toEqual(copy[0]?.[1]);
  next.close();
  const { stored } = await openApp('/bags', garden, DEMO_EVENING, { files, isLost: true });
  await screen.findByText(/came back from its second copy/);
  expect((await stored()).entries.map(({ id }) => id)).toContain('ent_afterwards5');
});
