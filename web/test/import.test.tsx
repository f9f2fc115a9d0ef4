// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EMPTY, MAY_MORNING } from './gardens.ts';
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
  it('wants a table with a date and two temperatures', async () => {
    const { app, give } = await reader();
    give('a;b\n1;2\n');
    await screen.findByText(/does not look like a table with a date and two temperatures/);
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
