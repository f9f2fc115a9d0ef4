// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, press } from './live.tsx';

const garden = demoWith('7', '12');

describe('the tally', () => {
  it('of a garden without bags says what comes first', async () => {
    await openApp('/tally', EMPTY, MAY_MORNING);
    await screen.findByText('First, a picking');
  });

  it('takes a picking from here, counted without a weight: it is worth its usual weight, and that is said', async () => {
    const bare = { ...garden, entries: garden.entries.filter((e) => e.kind !== 'picking') };
    const { made } = await openApp('/tally', bare, DEMO_EVENING);
    await screen.findByText('First, a picking');
    await choose('Picked from', /^12 · /);
    const form = await dialog();
    fill('How many', '5', form);
    await press('Put in the diary', form);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    const row = await screen.findByRole('row', { name: /^12 · / });
    expect(row.textContent).toMatch(/\d+\sg of it by count/);
    const [picking] = await made();
    expect(picking).toMatchObject({ kind: 'picking', containerId: idOf(garden, '12'), count: 5 });
    expect(picking).not.toHaveProperty('kilograms');
  });

  it('bowls at the scale go in one after another, how ripe they were with them', async () => {
    const { made } = await openApp('/tally', garden, DEMO_EVENING);
    await press('Weigh several in a row');
    const form = await dialog();
    const first = within(form).getByRole('heading').textContent;
    fill('Weight', '450 g', form);
    const stage = within(form).queryByRole('group', { name: 'How ripe' });
    if (stage) await press('First blush', stage);
    await press('Next bag', form);
    await waitFor(() => expect(within(form).getByRole('heading').textContent).not.toBe(first));
    expect(within(form).getByText(/In the diary: .*450\sg/)).toBeTruthy();
    await press('Back', form);
    expect(within(form).getByRole('heading').textContent).toBe(first);
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect((await made())[0]).toMatchObject({ kind: 'picking', kilograms: 0.45 });
  });

  it('of last summer stands beside this one, under the names of what stood there then', async () => {
    await openApp('/tally', garden, DEMO_EVENING);
    await screen.findByText(/In 2025 it was [\d.]+\s\w+ by this day, and [\d.]+\s\w+ in all\./);
    await screen.findByRole('columnheader', { name: 'In 2025' });
    const total = () => screen.getByTestId('total').textContent;
    const now = total();
    fireEvent.click(
      within(screen.getByRole('navigation', { name: 'Years' })).getByRole('button', { name: '2025' }),
    );
    await waitFor(() => expect(total()).not.toBe(now));
    // the year stands in the address: a reload comes back to it
    expect(location.search).toBe('?year=2025');
    expect((await screen.findByRole('row', { name: /12 · Bosun Short/ })).textContent).toContain('Sep');
    expect(screen.queryByRole('columnheader', { name: 'Cost a kg' })).toBeNull();
    // what this year picked is not in it
    const kilograms = (year: string) =>
      garden.entries.reduce(
        (sum, e) => sum + (e.kind === 'picking' && e.at.startsWith(year) ? (e.kilograms ?? 0) : 0),
        0,
      );
    expect(kilograms('2025')).toBeGreaterThan(0);
    expect(Number.parseFloat(total() ?? '')).toBeCloseTo(kilograms('2025'), 0);
  });
});

describe('an address', () => {
  it('of a bag that is not there says so and leads back', async () => {
    await openApp('/bags/con_nothing1', garden, DEMO_EVENING);
    await screen.findByRole('heading', { level: 1, name: 'No such bag' });
    fireEvent.click(screen.getByRole('link', { name: 'To the bags' }));
    await screen.findByRole('heading', { level: 1, name: 'Bags' });
  });

  it('of nothing at all does too', async () => {
    await openApp('/attic', garden, DEMO_EVENING);
    await screen.findByRole('heading', { level: 1, name: 'There is nothing here' });
  });
});
