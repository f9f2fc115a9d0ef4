// @vitest-environment happy-dom
import type { Garden } from '@rundel/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY } from './gardens.ts';
import { fill, openApp } from './live.tsx';

const garden = demoWith('7', '12', '18');
const CHANGES = [
  'Shade, or out of the sun',
  'Thick mulch',
  'A saucer underneath',
  'Clay pots buried in the mix',
  'A drip line with a timer',
];

const answer = async () =>
  (await screen.findByRole('heading', { name: 'Which bags survive' })).parentElement?.textContent ?? '';

/** The planner with the time away as it was left on this device; it answers unless its dates cannot be. */
async function planner(
  texts: Readonly<Record<string, string>> = {},
  allowed: readonly string[] = [],
  answers = true,
) {
  const app = await openApp('/season', garden, DEMO_EVENING);
  const usual = { leaveOn: '2026-07-16', backOn: '2026-07-23', leaveAt: '20:00', backAt: '20:00' };
  await app.note('away', { texts: { ...usual, ...texts }, allowed, busyDays: [] });
  fireEvent.click(await screen.findByRole('link', { name: 'Going away' }));
  if (answers) await answer();
  return app;
}

describe('going away', () => {
  it('says which bags come through, and another choice changes the plan', async () => {
    await planner({}, ['shade', 'mulch', 'saucer']);
    const helped = await answer();
    expect(helped).toMatch(/7 Lantern Drop.*Comes through \d+ in 100, as it is/);
    for (const change of CHANGES) fireEvent.click(screen.getByLabelText(change));
    await waitFor(async () => expect(await answer()).not.toBe(helped));
    expect(screen.queryByText(/could not be worked out/)).toBeNull();
  });

  it('a helper gets a sheet for the bags that need one, and what more to carry would do is said', async () => {
    await planner();
    expect(await answer()).toMatch(
      /1 bag of 3 comes through 7 days as it is\. Nothing you allow is enough for bags 7 and 12:/,
    );
    expect(screen.queryByRole('heading', { name: /^For the helper/ })).toBeNull();
    fireEvent.click(screen.getByLabelText('Somebody could come and water'));
    fill(/^Fills of your/, '0,25');
    await waitFor(async () =>
      expect(await answer()).toMatch(
        /With (one more fill|\d more fills) on each of \d visits a helper would bring bags? [\d and]+ through too\./,
      ),
    );
    fill(/^Fills of your/, '8');
    const sheet = await screen.findByRole('table', { name: 'What each bag takes' });
    await waitFor(async () =>
      expect(await answer()).toMatch(/With what is below, (1 bag more does|2 bags more do)\./),
    );
    const rows = within(sheet)
      .getAllByRole('row')
      .map((row) => row.textContent ?? '');
    expect(rows.slice(1).map((words) => words.slice(0, 2))).toEqual(['7 ', '12']);
    expect(rows[1]).toMatch(/[⅛¼⅜½⅝¾⅞\d] green cans?.*\sL, up to .*\sL/);
    expect(screen.getByText(/Please come/).textContent).toMatch(
      /^Please come (on|every day from) \w+day \d+ July/,
    );
  });

  it('asks for cans that can be carried, and keeps the plan away until they are', async () => {
    await planner({ hasHelper: 'on', cans: '4' });
    fill(/^Fills of your/, '90');
    expect(await screen.findByText('How many cans in one visit, up to 40?')).toBeTruthy();
    fill(/^Fills of your/, '3');
    await waitFor(() => expect(screen.queryByText(/How many cans in one visit/)).toBeNull());
    await answer();
  });

  it('dates that cannot be are told beside them', async () => {
    await planner({ leaveOn: '2026-07-20', backOn: '2026-07-18' }, [], false);
    await screen.findByText('Back on: Back after leaving, please.');
    expect(screen.queryByRole('heading', { name: 'Which bags survive' })).toBeNull();
  });

  it('says what the grower’s own rounds leave dry, bag by bag', async () => {
    const seldom: Garden = {
      ...garden,
      settings: { ...garden.settings, roundHours: [9], roundDays: { by: 'weekdays', weekdays: [6, 7] } },
    };
    await openApp('/season/away', seldom, DEMO_EVENING);
    await screen.findByText(/You come at weekends, at 9:00\..*get too dry in between all the same/);
    const table = screen.getByRole('table', { name: /^Days too dry in a month/ });
    expect(within(table).getAllByRole('row')[1]?.textContent).toMatch(/^(7|12) .*\d+ \(\d+ to \d+\) of 16/);
  });

  it('there is nothing to plan where nothing is planted', async () => {
    await openApp('/season/away', EMPTY, DEMO_EVENING);
    await screen.findByText('Nothing is planted yet: go whenever you like.');
  });
});
