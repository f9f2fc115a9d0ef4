// @vitest-environment happy-dom
import type { Garden } from '@rundel/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { GardenStore } from '../src/db/index.ts';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, fill, openApp, pause, press } from './live.tsx';

const demo = demoWith('7', '12');
/** Two bags in the second spring: last year's mix is in them, and nobody's packs or stocks are known. */
const garden: Garden = { ...demo, packs: [], entries: demo.entries.filter((e) => !('productId' in e)) };
const BAGS = ['7', '12'].map((label) => idOf(garden, label)).join(',');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

describe('what is worked in', () => {
  async function filling() {
    const app = await openApp(`/bench/fill?bags=${BAGS}`, garden, DEMO_EVENING);
    await screen.findByRole('button', { name: 'These 2 are filled' });
    return app;
  }
  const perBag = async () => {
    const words = (await screen.findByText(/ for the first bag: /)).textContent ?? '';
    return Number(/([\d.]+)\sg\b/.exec(words.replace(',', ''))?.[1]);
  };

  it('is nothing until it is chosen, and counts by spoon, handful and gram', async () => {
    await filling();
    expect(screen.getByText(/Nothing but the mix: some growers leave it at that\./)).toBeTruthy();
    await press('Add to the mix');
    await choose('Product', 'Garden lime');
    expect(screen.getByText(/mask and gloves with lime, bone meal and perlite/)).toBeTruthy();
    expect(screen.getByText(/handful is/)).toBeTruthy();
    fill('How much', '2');
    const handfuls = await perBag();
    await choose('Unit', 'level tablespoons');
    await waitFor(() => expect(screen.queryByText(/handful is/)).toBeNull());
    const spoons = await perBag();
    await choose('Unit', 'level teaspoons');
    // a tablespoon is three teaspoons, and a handful holds more than a spoon
    await waitFor(async () => expect(await perBag()).toBeCloseTo(spoons / 3, 0));
    expect(handfuls).toBeGreaterThan(spoons);
    await choose('Unit', 'grams');
    await waitFor(async () => expect(await perBag()).toBe(2));
  });

  it('that does not read is said, and the rest is worked out without it', async () => {
    const { made } = await filling();
    await press('Add to the mix');
    await screen.findByLabelText('How much');
    fill('How much', 'a bit');
    await screen.findByText(/The rest is worked out without it\./);
    expect(screen.queryByText(/ for the first bag/)).toBeNull();
    await press('These 2 are filled');
    await waitFor(async () => expect(await made()).toHaveLength(2));
    for (const entry of await made()) expect(entry).toMatchObject({ kind: 'filled', amendments: [] });
  });

  it('may be given by another label, so that it brings as much of what is gone by', async () => {
    const { made } = await filling();
    await press('Add to the mix');
    await choose('Product', /^Blood meal/);
    await choose('Unit', 'grams');
    fill('How much', '100');
    await screen.findByText(/^100.g for the first bag: N 12/);
    await press('I have another label');
    // 100 g of 12-0-0 hold 12 g N; a feed of 5 per cent has that in 240 g
    const organic = (await screen.findByText(/^240.g Balanced organic feed 5-5-5$/)).closest(
      'li',
    ) as HTMLElement;
    expect(organic.textContent).toMatch(/more phosphate.*more potash/);
    await press('Take it', organic);
    await screen.findByText(/^240.g for the first bag: N 12/);
    await press('These 2 are filled');
    await waitFor(async () => expect(await made()).toHaveLength(2));
    for (const entry of await made())
      expect(entry).toMatchObject({ amendments: [{ productId: 'balanced-organic', grams: 240 }] });
  });

  it('can be left out again', async () => {
    await filling();
    await press('Add to the mix');
    await press(/^Leave out /);
    await screen.findByText(/Nothing but the mix/);
  });
});

describe('a mix of one’s own', () => {
  it('fills bags, and the shed is counted down by what is in it', async () => {
    const { stored, goTo } = await openApp('/bench/mix', garden, DEMO_EVENING);
    await press('A mix of my own');
    const form = await dialog();
    fill('Name', 'Step mix', form);
    await press('Save', form);
    await gone();
    const mix = (await stored()).mixes.find(({ name }) => name === 'Step mix');
    const coir = mix?.parts.find(({ ingredientId }) => ingredientId === 'coir');
    expect(coir?.parts).toBeGreaterThan(0);
    await goTo('/bench/shed');
    await choose('Put in the shed', /^Coir$/);
    await press('How much?');
    const shed = await dialog();
    fill('How much came in', '70 L', shed);
    await press('Into the shed', shed);
    await screen.findByText(/70.L left of 70.L/);
    await goTo(`/bench/fill?bags=${idOf(garden, '7')}&mix=${mix?.id}`);
    await press('It is filled');
    await waitFor(async () =>
      expect((await stored()).containers.find(({ label }) => label === '7')?.mixId).toBe(mix?.id),
    );
    await goTo('/bench/shed');
    await waitFor(() => expect(screen.queryByText(/70.L left of 70.L/)).toBeNull());
    expect((await screen.findByText(/L left of 70.L/)).textContent).toMatch(/^\d/);
  });
});

describe('a plan that is still being read', () => {
  it('is not stored by; bags that the address names are those of the page from its first moment', async () => {
    const { readNote } = GardenStore.prototype;
    let isHeld = true;
    let letGo: (() => void) | undefined;
    vi.spyOn(GardenStore.prototype, 'readNote').mockImplementation(async function (this: GardenStore, name) {
      if (name === 'fillPlan' && isHeld) await new Promise<void>((done) => (letGo = done));
      return readNote.call(this, name);
    });
    const { made } = await openApp(`/bench/fill?bags=${idOf(garden, '7')}`, garden, DEMO_EVENING);
    const button = await screen.findByRole('button', { name: /filled$/ });
    expect(button).toHaveProperty('textContent', 'It is filled');
    expect(button).toHaveProperty('disabled', true);
    isHeld = false;
    letGo?.();
    await press('It is filled');
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect((await made())[0]).toMatchObject({ kind: 'filled', containerId: idOf(garden, '7') });
    await waitFor(() => expect(location.search).not.toContain('bags'));
    vi.restoreAllMocks();
  });
});

it('a filling of the day before brings another mix, and leaves the one before when it is taken away', async () => {
  const seven = idOf(garden, '7');
  const { made, stored, goTo } = await openApp(`/bench/fill?bags=${seven}`, garden, DEMO_EVENING);
  const mixOf7 = async () => (await stored()).containers.find(({ id }) => id === seven)?.mixId;
  const before = await mixOf7();
  await screen.findByRole('button', { name: 'It is filled' });
  await choose('Mix', 'Loam and home compost');
  fireEvent.click(screen.getByLabelText('It was earlier'));
  const time = await screen.findByLabelText('Time');
  fireEvent.change(time, { target: { value: '08:15' } });
  await press('It is filled');
  await waitFor(async () => expect(await made()).toHaveLength(1));
  const [filling] = await made();
  expect(filling).toMatchObject({ kind: 'filled', mixBefore: { mixId: before } });
  expect(filling?.at).toContain('T08:15');
  expect(await mixOf7()).not.toBe(before);
  await goTo(`/bags/${seven}`);
  await press(/^Remove: Filled/);
  await waitFor(async () => expect(await mixOf7()).toBe(before));
});

describe('old mix', () => {
  it('that stays is refreshed, and what that takes is in the diary', async () => {
    const { made } = await openApp(`/bench/fill?bags=${idOf(garden, '7')}`, garden, DEMO_EVENING);
    await press('It is filled');
    await waitFor(async () => expect(await made()).toHaveLength(1));
    fill('Old mix that stays, %', 'half');
    await waitFor(() => expect(document.querySelectorAll('[aria-invalid="true"]')).toHaveLength(1));
    fill('Old mix that stays, %', '50');
    await waitFor(() => expect(document.querySelectorAll('[aria-invalid="true"]')).toHaveLength(0));
    expect(screen.getAllByLabelText('How much')).toHaveLength(2);
    await pause();
    expect(screen.getByText(/been filled this year already/)).toBeTruthy();
    await press('It is filled');
    await waitFor(async () => expect(await made()).toHaveLength(2));
    const [fresh, refreshed] = await made();
    if (fresh?.kind !== 'filled' || refreshed?.kind !== 'filled')
      throw new Error('two fillings are expected');
    const litresOf = (entry: typeof fresh) => entry.layers.reduce((sum, { litres }) => sum + litres, 0);
    expect(fresh.keptLitres).toBe(0);
    expect(refreshed.keptLitres).toBeCloseTo(litresOf(refreshed), 6);
    expect(litresOf(refreshed) + refreshed.keptLitres).toBeCloseTo(litresOf(fresh), 6);
    // what refreshes is proposed in rows that may be changed; what stood in them is in the diary
    expect(refreshed.amendments).toHaveLength(2);
    for (const { asEntered } of refreshed.amendments) expect(asEntered).toMatch(/ per litre of old mix$/);
  });
});

describe('packs', () => {
  const bySize = (list: Garden['packs']) => [...list].sort((a, b) => a.amount - b.amount);
  const pricesOf = (list: Garden['packs']) =>
    bySize(list).map(({ amount, price, binnedAt }) => ({ amount, price, isBinned: binnedAt !== undefined }));
  /** Opens the packs of the mix that the shopping list asks for. */
  async function packs(opened: Garden = garden) {
    const app = await openApp('/bench/shop', opened, DEMO_EVENING);
    const list = await screen.findByRole('region', { name: 'Line by line' });
    const [first] = await within(list).findAllByRole('button', { name: 'Packs and prices' });
    const row = (first as HTMLElement).closest('tr') as HTMLElement;
    const open = async () => {
      await press('Packs and prices', row);
      return dialog();
    };
    return { ...app, row, open };
  }

  it('are kept with their prices, and the cheapest cover follows', async () => {
    const { row, open, made, stored } = await packs();
    expect(row.textContent).toMatch(/loose or in any pack/);
    const form = await open();
    fill('Pack 1 holds', '', form);
    fill('Pack 1 costs', 'dear', form);
    await press('Save', form);
    await within(form).findByText('A pack needs a size: what does it hold?');
    expect((await stored()).packs).toEqual([]);
    fill('Pack 1 holds', '60 L', form);
    fill('Pack 1 costs', '9.50', form);
    await press('Another pack', form);
    fill('Pack 2 holds', '20 L', form);
    await press('Save', form);
    await gone();
    const [twenty, sixty] = bySize((await stored()).packs);
    expect(sixty).toMatchObject({ amount: 60, price: 9.5 });
    expect(twenty).toMatchObject({ amount: 20 });
    expect(twenty).not.toHaveProperty('price');
    // only what has a price goes into the price log
    expect(await made()).toMatchObject([{ kind: 'priced', amount: 60, price: 9.5 }]);
    await waitFor(() => expect(row.textContent).toMatch(/× 60.L/));
    expect(screen.getByTestId('shopping-price').textContent).toMatch(/^£\d/);
  });

  it('are changed and taken out; what has not changed is not written again', async () => {
    const { open, made, stored } = await packs();
    const first = await open();
    fill('Pack 1 holds', '60 L', first);
    fill('Pack 1 costs', '9.50', first);
    await press('Another pack', first);
    fill('Pack 2 holds', '20 L', first);
    fill('Pack 2 costs', '4', first);
    await press('Save', first);
    await gone();
    const before = (await stored()).packs;
    expect(before).toHaveLength(2);

    await press('Save', await open());
    await gone();
    expect((await stored()).packs).toEqual(before);
    expect(await made()).toHaveLength(2);

    const third = await open();
    fill('Pack 1 costs', '8', third);
    await press('Take pack 2 out', third);
    await press('Save', third);
    await gone();
    const [twenty, sixty] = bySize((await stored()).packs);
    expect(sixty).toMatchObject({ amount: 60, price: 8 });
    expect(twenty).toMatchObject({ amount: 20, binnedAt: expect.any(String) as string });
    expect((await made()).at(-1)).toMatchObject({ kind: 'priced', amount: 60, price: 8 });
    // one act, one undo
    await press('Undo');
    await waitFor(async () => expect(pricesOf((await stored()).packs)).toEqual(pricesOf(before)));
  });
});
