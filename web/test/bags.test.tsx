// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Container } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { DATABASE_NAMES, GardenStore } from '../src/db/index.ts';
import { DEMO_EVENING, demoWith, EMPTY, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, fillDay, openApp, part, pause, press } from './live.tsx';

const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

describe('a bag that is added', () => {
  it('wants a size that can be: what is wrong is said beside the field, and nothing is stored', async () => {
    const { stored } = await openApp('/bags/new', EMPTY, MAY_MORNING);
    fill('Height of the plant', '34');
    for (const [typed, said] of [
      ['', 'Please give a number.'],
      ['99999', /cannot be right here/],
      ['12 kg', /measures something else/],
    ] as const) {
      fill('Size on the label', typed);
      await press('Add the bag');
      expect((await screen.findAllByText(said)).length).toBeGreaterThan(0);
      expect(screen.getByText(/nothing was stored/i)).toBeTruthy();
    }
    await press('I have measured it');
    fill('Across the top', '20');
    fill('Across the base', '40');
    fill('Height', '30');
    await press('Add the bag');
    await screen.findByText(/Are the two swapped\?/);
    const { containers, entries } = await stored();
    expect([containers, entries]).toEqual([[], []]);
  });

  it('stands planted with its page open, and goes again with one undo', async () => {
    const { stored } = await openApp('/bags/new', EMPTY, MAY_MORNING);
    fill('Size on the label', '10 gal');
    await part('Number or name', (sheet) => fill('Number or name', 'door', sheet));
    fill('Height of the plant', '34 cm');
    await press('Add the bag');
    // the first bag of all: the round says what to do with it
    await screen.findByRole('heading', { level: 2, name: /^door · Tomato/ });
    const garden = await stored();
    expect(garden.containers).toMatchObject([{ label: 'door' }]);
    expect(garden.entries).toMatchObject([{ kind: 'planted', containerId: garden.containers[0]?.id }]);
    await press('Undo');
    await screen.findByText(/Undone: bag door added/);
    expect((await stored()).containers.filter((c) => !c.binnedAt)).toEqual([]);
  });

  it('cannot have a taken label, a graft above its plant or a planting to come', async () => {
    const garden = demoWith('7');
    const { stored } = await openApp('/bags/new', garden, DEMO_EVENING);
    fill('Size on the label', '30');
    await part('Number or name', (sheet) => fill('Number or name', '7', sheet));
    fill('Height of the plant', '20');
    await part('Root ball and depth', (sheet) => fill('Graft above the ball', '25', sheet));
    await fillDay('Planted on', '01/12/2026');
    await press('Add the bag');
    await part('Number or name does not read', (sheet) => {
      within(sheet).getByText('There is something called "7" already.');
    });
    await part('Root ball and depth does not read', (sheet) => {
      within(sheet).getByText('The graft cannot be higher than the plant.');
    });
    await screen.findByText(/That is in the future\./);
    expect((await stored()).containers).toHaveLength(1);
    expect((await stored()).entries).toHaveLength(garden.entries.length);
  });

  it('may be several alike, each with a number of its own', async () => {
    const { stored } = await openApp('/bags/new', EMPTY, MAY_MORNING);
    fill('Size on the label', '30');
    fill('How many of these', '100');
    await press(/^Add (the|100) bags?$/);
    await screen.findByText('A whole number from 1 to 60.');
    expect((await stored()).containers).toEqual([]);
    fill('How many of these', '3');
    fill('Height of the plant', '20');
    await press(/^Add 3 bags$|^Add the bags?$/);
    await screen.findByText('1 · Tomato');
    const { containers, entries } = await stored();
    expect(containers.map((c) => c.label).sort()).toEqual(['1', '2', '3']);
    expect(entries.map((e) => e.kind)).toEqual(['planted', 'planted', 'planted']);
  });
});

/** What another tab wrote has come here. */
async function heard(): Promise<void> {
  const channel = new BroadcastChannel(DATABASE_NAMES.demo);
  channel.postMessage('changed');
  await pause();
  channel.close();
}

describe('a form that another tab has overtaken', () => {
  const garden = demoWith('7');
  const [bag] = garden.containers as [Container];
  const size = { by: 'label', litres: 44 } as const;

  /** Opens a bag's form; then another tab gives the bag another size and more mulch. */
  async function overtaken() {
    const { stored } = await openApp(`/bags/${bag.id}/edit`, garden, DEMO_EVENING);
    await screen.findByLabelText('Size on the label');
    const other = new GardenStore(DATABASE_NAMES.demo);
    const after = { ...bag, size, mulchMillimetres: 77, changedAt: '2026-07-15T20:00:00.000+01:00' };
    await other.write([{ table: 'containers', before: bag, after }]);
    await heard();
    return async () => (await stored()).containers[0];
  }

  it('leaves what it did not touch as the other has it', async () => {
    const now = await overtaken();
    await part('Number or name', (sheet) => fill('Number or name', 'seven', sheet));
    await press('Change it');
    await waitFor(async () => expect((await now())?.label).toBe('seven'));
    expect(await now()).toMatchObject({ size, mulchMillimetres: 77 });
  });

  it('asks whose counts of what both have changed', async () => {
    const now = await overtaken();
    fill('Size on the label', '60 L');
    await press('Change it');
    const asked = await screen.findByRole('dialog', { name: 'Changed in another tab as well' });
    within(asked).getByRole('row', { name: /^Size.*60.*44/ });
    await press('Keep what I entered');
    await waitFor(async () =>
      expect(await now()).toMatchObject({ size: { litres: 60 }, mulchMillimetres: 77 }),
    );
  });
});

it('settings of the garden that were not touched stay as another tab has them', async () => {
  const garden = demoWith('7');
  const { stored } = await openApp('/settings', garden, DEMO_EVENING);
  await screen.findByLabelText('Name');
  const other = new GardenStore(DATABASE_NAMES.demo);
  const named = { ...garden.settings, gardenName: 'Otherwise' };
  await other.writeSettings(garden.settings, named, '2026-07-15T20:00:00.000+01:00');
  await heard();
  fill('Latitude, degrees north', '49');
  await press('Save');
  await waitFor(async () => expect((await stored()).settings.latitudeDegrees).toBe(49));
  expect((await stored()).settings.gardenName).toBe('Otherwise');
});

describe('places', () => {
  it('are added under a name of their own', async () => {
    const { stored } = await openApp('/bags', EMPTY, MAY_MORNING);
    await press('Add a place');
    const form = await dialog();
    await press('Add it', form);
    await within(form).findByText('Give it a name.');
    fill('Name', 'Outside the door', form);
    await press('Add it', form);
    await within(form).findByText(/^There is something called .* already\.$/);
    fill('Name', 'Glass lean-to', form);
    fill('A wire overhead, above the ground', '2.1 m', form);
    fill('Shade cloth or whitewash', '200', form);
    await press('Add it', form);
    await within(form).findByText('From 0 to 90 %.');
    fill('Shade cloth or whitewash', '30', form);
    await press('Add it', form);
    await gone();
    expect((await stored()).places.find((s) => s.order === 1)).toMatchObject({
      name: 'Glass lean-to',
      shade: 0.3,
      wireMillimetres: 2100,
    });
  });

  it('go to the bin when they are empty, and come back', async () => {
    const { stored } = await openApp('/bags', EMPTY, MAY_MORNING);
    await press('Add a place');
    const form = await dialog();
    fill('Name', 'Glasshouse', form);
    await choose('Roof', 'Under glass or film');
    await press('Add it', form);
    await gone();
    await screen.findByRole('heading', { name: 'Glasshouse' });
    await press('Change Glasshouse');
    await press('Delete', await dialog());
    await waitFor(() => expect(screen.queryByRole('heading', { name: 'Glasshouse' })).toBeNull());
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await screen.findByRole('heading', { name: 'Glasshouse' });
    expect((await stored()).places.find(({ name }) => name === 'Glasshouse')).toMatchObject({
      cover: 'glass',
    });
  });
});

describe('several bags together', () => {
  const garden = demoWith('7', '12', '5');

  it('are changed in one go, and one undo takes all of it back', async () => {
    const { stored } = await openApp('/bags', garden, DEMO_EVENING);
    await press(/^Table/);
    for (const label of ['5', '7']) fireEvent.click(await screen.findByLabelText(`Tick bag ${label}`));
    await press('More');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Move or change' }));
    const form = await dialog();
    fill('Mulch on top', '4 miles', form);
    await press('Change them', form);
    expect(form.querySelectorAll('[aria-invalid="true"]')).toHaveLength(1);
    fill('Mulch on top', '30 mm', form);
    await press('Change them', form);
    await gone();
    const mulch = async () =>
      (await stored()).containers.map((c) => [c.label, c.mulchMillimetres] as const).sort();
    const before = garden.containers.map((c) => [c.label, c.mulchMillimetres] as const).sort();
    expect(await mulch()).toEqual(before.map(([label, was]) => [label, label === '12' ? was : 30] as const));
    await press('Undo');
    await waitFor(async () => expect(await mulch()).toEqual(before));
  });
});
