// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { dialog, fill, openApp, pause, press } from './live.tsx';

const garden = demoWith('5', '7', '12');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

/** Opens the bags with two of them ticked in the drawing, and takes one of the further actions. */
async function withTwo(action?: string) {
  const app = await openApp('/bags', garden, DEMO_EVENING);
  await press('Several at once');
  for (const label of ['5', '7'])
    fireEvent.click(await screen.findByRole('checkbox', { name: new RegExp(`^${label} `) }));
  await screen.findByText('All 2 bags of Slipway terrace');
  if (action === undefined) return app;
  await press('More');
  fireEvent.click(await screen.findByRole('menuitem', { name: action }));
  return app;
}

describe('several bags at once', () => {
  it('are watered alike, said in all, and one undo takes it back from each', async () => {
    const { made, stored } = await withTwo();
    await press('Water');
    const form = await dialog();
    fill('How much', '2½ L', form);
    await within(form).findByText(/Each gets this much, 5\sL in all/);
    await press('Given', form);
    await gone();
    const given = await made();
    expect(given.map((e) => e.kind === 'watering' && e.litres)).toEqual([2.5, 2.5]);
    expect(new Set(given.map((e) => 'containerId' in e && e.containerId))).toEqual(
      new Set([idOf(garden, '5'), idOf(garden, '7')]),
    );
    // nothing is ticked any more, and a tap opens a bag again
    expect(screen.queryByRole('region', { name: 'With the ticked bags' })).toBeNull();
    await pause();
    await press('Undo');
    await waitFor(async () =>
      expect((await stored()).entries.filter(({ kind }) => kind === 'removed').length).toBe(
        garden.entries.filter(({ kind }) => kind === 'removed').length + 2,
      ),
    );
  });

  it('share what was picked from all of them together', async () => {
    const { made } = await withTwo('Pick');
    const form = await dialog();
    fill('Weight', '3 kg', form);
    fireEvent.click(within(form).getByLabelText('That is for all of them together'));
    await press('Put in the diary', form);
    await gone();
    expect((await made()).map((e) => e.kind === 'picking' && e.kilograms)).toEqual([1.5, 1.5]);
  });

  it('are fed each by its own plants, with what the label asks', async () => {
    const { made } = await withTwo();
    await press('Feed');
    const form = await dialog();
    expect(form.textContent).toMatch(/5: 8\smL, 7: 8\smL/);
    await press('Put in the diary', form);
    await gone();
    const fed = (await made()).filter(({ kind }) => kind === 'fed');
    expect(fed.map((e) => 'containerId' in e && e.containerId).sort()).toEqual(
      [idOf(garden, '5'), idOf(garden, '7')].sort(),
    );
  });

  it('get new numbers that are free', async () => {
    const { stored } = await withTwo('New numbers');
    const form = await dialog();
    fill('The first is called', '12', form);
    await press('Number them so', form);
    await within(form).findByText('There is another bag 12.');
    fill('The first is called', '11', form);
    expect(form.textContent).toMatch(/becomes 11.*becomes 13/);
    await press('Number them so', form);
    await gone();
    expect((await stored()).containers.map(({ label }) => label).sort()).toEqual(['11', '12', '13']);
  });

  it('are cleared out together and keep their diary', async () => {
    const { made } = await withTwo('Clear out');
    const form = await dialog();
    expect(form.textContent).toMatch(/Old Peg goes out.*Lantern Drop goes out/);
    await press(/^Clear 2 plants out$/, form);
    await gone();
    expect((await made()).map(({ kind }) => kind)).toEqual(['cleared', 'cleared']);
  });

  it('are planned for, on a day that each place allows until one is said', async () => {
    const { stored } = await withTwo('Plan');
    const form = await dialog();
    expect(form.textContent).toMatch(/5tomato from about .*, after Old Peg/);
    fill('Variety', 'Harbour Light', form);
    await press('Add to the plan', form);
    await gone();
    const plans = (await stored()).plans.filter(({ varietyName }) => varietyName === 'Harbour Light');
    expect(plans.map(({ isDayOpen }) => isDayOpen)).toEqual([true, true]);
  });

  it('are left again with nothing done', async () => {
    const { made } = await withTwo();
    await press('One at a time');
    expect(screen.queryByRole('region', { name: 'With the ticked bags' })).toBeNull();
    expect(await made()).toEqual([]);
  });
});

describe('a job that is due at several bags', () => {
  it('is done at all of them in one tap', async () => {
    const { made } = await openApp('/round', demoWith('2', '3', '7', '13'), '2026-07-20T18:00:00.000+01:00');
    const [all] = await screen.findAllByRole('button', { name: /: done at all \d+$/ });
    if (!all) throw new Error('a job at several bags was expected');
    const count = Number(/\d+$/.exec(all.getAttribute('aria-label') ?? '')?.[0]);
    fireEvent.click(all);
    // plants of one bag that are due by themselves have an entry each
    const bagsOf = (done: readonly Entry[]) => new Set(done.map((e) => 'containerId' in e && e.containerId));
    await waitFor(async () => expect(bagsOf(await made()).size).toBe(count));
    expect(new Set((await made()).map(({ kind }) => kind)).size).toBe(1);
  });
});
