// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, openApp, press } from './live.tsx';

async function reader() {
  const app = await openApp('/season/weather', EMPTY, MAY_MORNING);
  await press('Read weather from a file');
  await screen.findByRole('dialog');
  const give = (text: string) =>
    fireEvent.change(document.querySelector('input[type="file"]') as HTMLInputElement, {
      target: { files: [new File([text], 'days.csv', { type: 'text/csv' })] },
    });
  return { app, give };
}

describe('weather from a file', () => {
  it('wants a table with a date and the weather of each', async () => {
    const { app, give } = await reader();
    give('a\n1\n');
    await screen.findByText(/does not look like a table with a date and the weather of each/);
    expect(await app.made()).toEqual([]);
  });

  it('may have any names for its columns: they are asked for once, and only what reads is kept', async () => {
    const { app, give } = await reader();
    give('when,cold,warm\n2026-04-13,9,19\n');
    await screen.findByText(/Say which columns hold the date/);
    for (const [label, column] of [
      ['Date is in', 'when'],
      ['Coldest is in', 'cold'],
      ['Warmest is in', 'warm'],
    ] as const)
      await choose(label, column);
    await screen.findByText(/1 new day, 0 already here/);
    give(
      'when,cold,warm\n2026-04-13,9,19\n2026-04-14,30,12\nsometime,1,2\n2026-04-15,11,21.5\n2027-01-01,1,2\n',
    );
    await screen.findByText(
      /2 new days, 0 already here.* 1 further ahead than a forecast goes and left out, 2 rows that do not read\./,
    );
    expect(screen.getByText('Row 2: the coldest is warmer than the warmest.')).toBeTruthy();
    await press('Keep 2 days');
    await waitFor(async () => expect(await app.made()).toHaveLength(2));
    expect((await app.made()).map((e) => 'day' in e && e.day).sort()).toEqual(['2026-04-13', '2026-04-15']);
    await press('Undo');
    await screen.findByText(/^Undone: weather of 2 days read/);
  });
});

describe('pickings from a notebook', () => {
  it('may call the bags by other names: it is said once which they are, and remembered', async () => {
    const garden = demoWith('7', '12');
    const { made } = await openApp('/files/tables', garden, DEMO_EVENING);
    const give = async (text: string) => {
      await screen.findByRole('heading', { name: 'Of the diary' });
      fireEvent.change(document.querySelector('input[type="file"]') as HTMLInputElement, {
        target: { files: [new File([text], 'book.csv', { type: 'text/csv' })] },
      });
    };
    await give('Plant,Date,Weight\nRed one,2026-07-01,450 g\nloft,2026-07-02,8 oz\n');
    await screen.findByText('0 of 2 rows would be put in the diary; 2 cannot be taken.');
    expect(screen.getByRole('link', { name: 'add “loft”' }).getAttribute('href')).toBe(
      '/bags/new?label=loft',
    );
    await choose('“Red one” is', 'bag 12');
    await screen.findByText('1 of 2 rows would be put in the diary; 1 cannot be taken.');
    expect(screen.queryByRole('link', { name: 'add “Red one”' })).toBeNull();
    // who leaves to add the other bag finds it said
    await press('Cancel');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await give('Plant,Date,Weight\nRed one,2026-07-01,450 g\nloft,2026-07-02,8 oz\n');
    await screen.findByText('1 of 2 rows would be put in the diary; 1 cannot be taken.');
    await press('Put 1 in the diary');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        { kind: 'picking', containerId: idOf(garden, '12'), kilograms: 0.45 },
      ]),
    );
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await give('Plant,Date,Weight\nred one,2026-07-01,450 g\nred one,2026-07-03,1 lb\n');
    await screen.findByText('1 of 2 rows would be put in the diary; 1 are there already.');
  });
});
