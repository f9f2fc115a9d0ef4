// @vitest-environment happy-dom
import { screen, waitFor, within } from '@testing-library/react';
import type { Garden } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, pause, press } from './live.tsx';

const garden = demoWith('11', '12', '15');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
const inUnits = (units: Garden['settings']['units']): Garden => ({
  ...garden,
  settings: { ...garden.settings, units },
});

describe('work', () => {
  it('is said in hours as well as minutes, on the round or at the bench, and what does not read is refused', async () => {
    const { made } = await openApp('/tally/worth', garden, DEMO_EVENING);
    await press('Minutes worked');
    const form = await dialog();
    fill('Minutes', '3/4 h', form);
    within(form).getByText(/^= 45.min\./);
    fill('Minutes', 'all day', form);
    await press('Put in the diary', form);
    await within(form).findByText('Minutes from 1 to 1440, or hours as "1 h 20".');
    expect(within(form).getByLabelText('Minutes')).toHaveProperty('value', 'all day');
    fill('Minutes', '1½ h', form);
    await press('At the bench', form);
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([{ kind: 'worked', minutes: 90, during: 'bench', containerIds: [] }]);
  });

  it('counts by the hour as soon as it is there', async () => {
    const lazy = { ...garden, entries: garden.entries.filter((e) => e.kind !== 'worked') };
    await openApp('/tally/worth', lazy, DEMO_EVENING);
    await screen.findByText(/No work is counted yet\./);
    await press('Minutes worked');
    const form = await dialog();
    fill('Minutes', '60', form);
    await press('Put in the diary', form);
    await gone();
    await screen.findByText(/1 h 0 min of work: £[\d.]+ of fruit an hour\./);
  });
});

describe('the shop’s prices', () => {
  it('are asked by the pound of who weighs in pounds, and kept by the kilogram', async () => {
    const { stored } = await openApp('/tally/worth', inUnits('uk'), DEMO_EVENING);
    const field = await screen.findByLabelText('Tomato, a lb');
    // 4.60 a kilogram
    expect(field).toHaveProperty('value', '2.09');
    fill('Tomato, a lb', '2');
    await press('Save');
    await waitFor(async () =>
      expect((await stored()).settings.shopPrices?.tomato).toBeCloseTo(2 / 0.45359237, 6),
    );
  });

  it('of one variety go before its crop’s, and are taken back by leaving them empty', async () => {
    const { stored } = await openApp('/tally/worth', garden, DEMO_EVENING);
    await press('A variety that has a price of its own');
    const bosun = garden.varieties.find((v) => v.name === 'Bosun Short')?.id ?? '';
    fill('Bosun Short, a kg', '9');
    await press('Save');
    await waitFor(async () => expect((await stored()).settings.shopPrices).toMatchObject({ [bosun]: 9 }));
    await pause();
    fill('Bosun Short, a kg', '');
    await press('Save');
    await waitFor(async () => expect((await stored()).settings.shopPrices).not.toHaveProperty(bosun));
    expect((await stored()).settings.shopPrices).toHaveProperty('tomato');
  });

  it('of a garden in which nothing stands have nothing to be of', async () => {
    await openApp('/tally/worth', EMPTY, MAY_MORNING);
    await screen.findByText('Once something stands in the bags, its price goes here.');
  });
});

describe('a trial', () => {
  it('of three ways compares each with the first, and is changed as it was put down', async () => {
    const { stored } = await openApp('/tally/trials', { ...garden, trials: [] }, DEMO_EVENING);
    await press('New trial');
    const form = await dialog();
    fill('What is tried', 'Three mixes', form);
    fill('One way', 'bought', form);
    fill('The other way', 'bark', form);
    fill('A third, if there is one', 'home-made', form);
    const give = async (bag: RegExp, what: string, at: HTMLElement) =>
      press(what, await within(at).findByRole('group', { name: bag }));
    await give(/^What 11 /, 'bought', form);
    await give(/^What 12 /, 'bark', form);
    await press('Save', form);
    await within(form).findByText(/Each way needs at least one bag/);
    await give(/^What 15 /, 'home-made', form);
    await press('Save', form);
    await gone();
    const panel = await screen.findByRole('region', { name: 'Three mixes' });
    await within(panel).findByText(/^Bark gave /);
    await within(panel).findByText(/^Home-made gave /);
    await press('Change', panel);
    const change = await dialog();
    expect(within(change).getByLabelText('A third, if there is one')).toHaveProperty('value', 'home-made');
    await choose('It is told by', 'Number of fruit, each plant');
    fill('What you make of it', 'Bark dries sooner.', change);
    await press('Save', change);
    await gone();
    await within(panel).findByText('“Bark dries sooner.”');
    expect((await stored()).trials).toMatchObject([{ measure: 'count', treatments: [{}, {}, {}] }]);
    expect((await stored()).trials[0]?.units).toHaveLength(3);
  });

  it('that was deleted is gone, and undo brings it back', async () => {
    await openApp('/tally/trials', garden, DEMO_EVENING);
    const panel = await screen.findByRole('region', { name: 'Bark and coir, or the rest' });
    await press('Delete', panel);
    await waitFor(() =>
      expect(screen.queryByRole('region', { name: 'Bark and coir, or the rest' })).toBeNull(),
    );
    await press('Undo');
    await screen.findByRole('region', { name: 'Bark and coir, or the rest' });
  });
});
