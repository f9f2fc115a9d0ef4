// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Draft, Entry, Garden } from '@rundel/core/records';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, press } from './live.tsx';

const demo = demoWith('7', '12');
const SEVEN = idOf(demo, '7');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

/** The demo with further entries, each with an id of its own. */
const withEntries = (garden: Garden, ...drafts: readonly Draft[]): Garden => ({
  ...garden,
  entries: [
    ...garden.entries,
    ...drafts.map((d, i) => ({ ...d, id: `ent_harvest${String(i)}0`, recordedAt: d.at }) as Entry),
  ],
});

describe('the round', () => {
  it('says what is likely ripe this week, and what on the shelf wants looking through', async () => {
    const stored: Draft = {
      kind: 'picking',
      at: '2026-07-02T18:00:00.000+01:00',
      containerId: idOf(demo, '12'),
      count: 9,
      stage: 'blush',
      use: 'stored',
      lotId: 'lot_harvest01',
    };
    await openApp('/round', withEntries(demo, stored), DEMO_EVENING);
    const list = await screen.findByRole('region', { name: 'Ripe and stored' });
    expect(within(list).getByText('Likely ripe this week')).toBeTruthy();
    expect(list.textContent).toMatch(/[\d.]+ to [\d.]+\s(g|kg), most of it from (7|12), (7|12)\./);
    expect(
      within(list)
        .getByRole('link', { name: /Bosun Short, first blush/ })
        .getAttribute('href'),
    ).toBe('/tally/shelf');
  });

  it('of a garden in which nothing bears says nothing of it', async () => {
    await openApp('/round', EMPTY, MAY_MORNING);
    await screen.findByRole('heading', { level: 1 });
    expect(screen.queryByRole('region', { name: 'Ripe and stored' })).toBeNull();
  });

  it('is timed where that is wanted, and the minutes can be put right before they count', async () => {
    localStorage.removeItem('rundel.round-clock');
    const { made } = await openApp('/round', demo, DEMO_EVENING);
    await press('Time this round');
    const timer = await screen.findByRole('group', { name: 'Time of this round' });
    expect(timer.textContent).toMatch(/On the round for 0 min/);
    fill('Minutes', 'long', timer);
    expect(within(timer).getByRole('button', { name: 'Stop the clock' })).toHaveProperty('disabled', true);
    fill('Minutes', '1 h 10', timer);
    await press('Stop the clock', timer);
    await screen.findByRole('button', { name: 'Time this round' });
    expect(await made()).toMatchObject([{ kind: 'worked', minutes: 70, during: 'round' }]);
  });

  it('whose clock was started by mistake is not counted', async () => {
    localStorage.removeItem('rundel.round-clock');
    const { made } = await openApp('/round', demo, DEMO_EVENING);
    await press('Time this round');
    await press('Do not count');
    await screen.findByRole('button', { name: 'Time this round' });
    expect(await made()).toEqual([]);
    expect(localStorage.getItem('rundel.round-clock')).toBeNull();
  });
});

describe('the kitchen scale', () => {
  const scale = { shows: 0.412 as number | string, isThere: true };
  function answer(path: string): Response {
    const { pathname } = new URL(path, 'http://app');
    if (pathname === '/api/devices')
      return Response.json({
        devices: scale.isThere
          ? [{ id: 'kitchen-scale', kind: 'kitchen-scale', name: 'Kitchen scale', unit: 'kilograms' }]
          : [],
      });
    return typeof scale.shows === 'number'
      ? Response.json({ deviceId: 'kitchen-scale', at: DEMO_EVENING, value: scale.shows })
      : Response.json({ error: scale.shows }, { status: 504 });
  }
  beforeEach(() => {
    scale.shows = 0.412;
    scale.isThere = true;
    vi.stubGlobal('fetch', (path: string) => Promise.resolve(answer(path)));
  });
  afterEach(() => vi.unstubAllGlobals());

  const form = async () => {
    const app = await openApp(`/bags/${SEVEN}`, demo, DEMO_EVENING);
    await press('Pick');
    return { app, form: await dialog() };
  };

  it('fills the weight of a picking, which can still be typed over', async () => {
    const { app, form: picking } = await form();
    await press('From the kitchen scale', picking);
    await waitFor(() =>
      expect(within(picking).getByLabelText('Weight')).toHaveProperty(
        'value',
        expect.stringMatching(/^412 ?g$/),
      ),
    );
    fill('Weight', '0.4 kg', picking);
    await press('Put in the diary', picking);
    await gone();
    expect(await app.made()).toMatchObject([{ kind: 'picking', kilograms: 0.4 }]);
  });

  it.each([
    ['silent says so', { shows: 'Kitchen scale does not answer.' }, /Kitchen scale does not answer/],
    ['that is not there says so', { isThere: false }, /There is no kitchen scale/],
    ['that shows nothing sensible is not believed', { shows: 480 }, /that cannot be a picking/],
  ])('%s, and what was typed stays', async (_, state, words) => {
    Object.assign(scale, state);
    const { form: picking } = await form();
    fill('Weight', '300 g', picking);
    await press('From the kitchen scale', picking);
    await within(picking).findByText(words);
    expect(within(picking).getByLabelText('Weight')).toHaveProperty('value', '300 g');
  });
});

describe('a picking', () => {
  const pickFrom = async (garden: Garden) => {
    const app = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    await press('Pick');
    return { app, form: await dialog() };
  };

  it('of 45 kg is asked about once, and kept where it is right', async () => {
    const { app, form } = await pickFrom(demo);
    fill('Weight', '45 kg', form);
    await press('Put in the diary', form);
    await within(form).findByText(/45\skg at one picking is much\. Press again if it is right\./);
    expect(await app.made()).toEqual([]);
    await press('Put in the diary', form);
    await gone();
    expect(await app.made()).toMatchObject([{ kilograms: 45 }]);
  });

  it('that nobody weighed or counted is asked about once, and is told as that until it is weighed', async () => {
    const { app, form } = await pickFrom(demo);
    await press('Put in the diary', form);
    await within(form).findByText(/^No weight and no count: .* Press again if it is right\.$/);
    expect(await app.made()).toEqual([]);
    await press('Put in the diary', form);
    await gone();
    const [made] = await app.made();
    expect(made).toMatchObject({ kind: 'picking', isUnmeasured: true });
    expect(made).not.toHaveProperty('asEntered');
    await press('Correct: Picked: not weighed');
    const sheet = await dialog();
    fill('Weight', '1½ lb', sheet);
    await press('Correct it', sheet);
    await gone();
    const corrected = (await app.made()).at(-1);
    expect(corrected).toMatchObject({ replaces: made?.id, asEntered: '1½ lb' });
    expect(corrected).not.toHaveProperty('isUnmeasured');
  });

  it.each([
    ['Weight', '-2 kg'],
    ['How many', '2.5'],
    ['Weight', 'a bowl'],
  ])('with %s of "%s" is refused beside the field, and stays there', async (field, text) => {
    const { app, form } = await pickFrom(demo);
    fill(field, text, form);
    await press('Put in the diary', form);
    await waitFor(() => expect(within(form).getByLabelText(field).getAttribute('aria-invalid')).toBe('true'));
    expect(within(form).getByLabelText(field)).toHaveProperty('value', text);
    expect(await app.made()).toEqual([]);
  });

  it('that was sold asks for how much, and is worth that', async () => {
    const { app, form } = await pickFrom(demo);
    fill('Weight', '1 lb 4 oz', form);
    expect(within(form).queryByLabelText('Sold for')).toBeNull();
    await press('Sold', form);
    fill('Sold for', '3.50', form);
    await press('Put in the diary', form);
    await gone();
    const [sold] = await app.made();
    expect(sold).toMatchObject({ use: 'sold', soldFor: 3.5, asEntered: '1 lb 4 oz' });
    expect(sold?.kind === 'picking' && sold.kilograms).toBeCloseTo(0.567, 3);
  });

  it('that is stored goes into the lot of its day and kind, and into another the day after', async () => {
    const { app, form } = await pickFrom(demo);
    const store = async (at: HTMLElement, count: string) => {
      fill('How many', count, at);
      await press('Green', at);
      await press('Stored', at);
      await press('Put in the diary', at);
      await gone();
    };
    await store(form, '4');
    await press('Pick');
    await store(await dialog(), '3');
    const lots = (await app.made()).map((e) => (e.kind === 'picking' ? e.lotId : undefined));
    expect(lots[0]).toMatch(/^lot_/);
    expect(lots[1]).toBe(lots[0]);
  });
});

describe('a bag’s years', () => {
  it('lead to each season on one page', async () => {
    await openApp(`/bags/${idOf(demo, '12')}`, demo, DEMO_EVENING);
    const links = await screen.findAllByRole('link', { name: 'the season on one page' });
    fireEvent.click(links.at(-1) as HTMLElement);
    await screen.findByRole('heading', { name: 'Bag 12, 2025' });
  });
});

describe('a season over the new year', () => {
  it('is one season, named by both its years', async () => {
    const south: Garden = {
      ...demo,
      settings: { ...demo.settings, latitudeDegrees: -38 },
    };
    await openApp('/tally', south, DEMO_EVENING);
    const years = await screen.findByRole('navigation', { name: 'Years' });
    expect(
      within(years)
        .getAllByRole('button')
        .map((b) => b.textContent),
    ).toEqual(['2026/27', '2025/26', '2024/25']);
    await choose('Told by', 'Crop');
    await screen.findAllByRole('row', { name: /Tomato/ });
  });
});
