// @vitest-environment happy-dom
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { openApp, press } from './live.tsx';

const garden = demoWith('7', '17');
const pageOf = async (label: string, of = garden) => {
  const app = await openApp(`/bags/${idOf(garden, label)}`, of, DEMO_EVENING);
  await screen.findByRole('button', { name: 'How do I know?' });
  return app;
};
const water = () => screen.getByRole('region', { name: 'Water' });

/** The number of hours in words such as "under 1 h", "13 h" or "1.5 days". */
function hoursIn(words: string): number {
  if (words.startsWith('under')) return 0.5;
  if (words.startsWith('over')) return 200;
  const [, days, hours] = /^(?:(\d+) days? ?)?(?:(\d+) h)?/.exec(words) ?? [];
  return 24 * Number(days ?? 0) + Number(hours ?? 0);
}

describe('the water of a bag', () => {
  it('opens to its reasons: what it holds, its chances, and what each entry did', async () => {
    await pageOf('7');
    await press('How do I know?');
    const words = water().textContent ?? '';
    expect(words).toMatch(/Chance that it is too dry now\d+ %/);
    expect(words).toMatch(/Days with weather from the usual, not measured\d+ of \d+/);
    const items = within(water())
      .getAllByRole('listitem')
      .map((item) => item.textContent ?? '');
    const moves = items.filter((item) => /^\w+’s (check|watering) /.test(item));
    expect(moves.length).toBeGreaterThan(2);
    for (const move of moves)
      expect(move).toMatch(/ (put|took) [\d.]+\sm?L (on|off)\.$| was as I expected\.$/);
  });

  it('what would change it is worked out anew for each change, and another round for when it helps most', async () => {
    await pageOf('7');
    await press('What would change it?');
    const bigger = await screen.findByText('In a bag half as big again');
    await waitFor(() => expect(bigger.parentElement?.textContent).toMatch(/: in [\d.u]/));
    const asItIs = /it would want water again in (.*?)\. Likewise/.exec(water().textContent ?? '')?.[1] ?? '';
    const then = /: in (.*)/.exec(bigger.parentElement?.textContent ?? '')?.[1] ?? '';
    expect(hoursIn(then)).toBeGreaterThan(hoursIn(asItIs));
    const found = await screen.findByText(/^With a round at 1[123]:[03]0 too$/);
    const round = found.parentElement?.textContent ?? '';
    const [less, more] = (round.match(/[\d.]+(?=\sL)/g) ?? []).map(Number);
    expect(less).toBeLessThan(more ?? 0);
  });

  it('has a course as a table too, with what is expected marked as such', async () => {
    await pageOf('7');
    await press('Water: past and forecast');
    await press('The same as a table');
    const rows = within(await screen.findByRole('region', { name: 'Water by moment' })).getAllByRole('row');
    const words = rows.map((row) => row.textContent ?? '');
    expect(words.some((w) => w.includes('a check'))).toBe(true);
    expect(words.at(-1)).toMatch(/expected/);
    expect(screen.getByText(/below the point where it wants water/)).toBeTruthy();
  });

  it('a grower who lets bags go drier sees fewer dry spells in the same days', async () => {
    const times = async (refillPoint: number) => {
      const settings = { ...garden.settings, assumptions: { refillPoint } };
      await pageOf('7', { ...garden, settings });
      await press('Water: past and forecast');
      const said = await screen.findByText(/below the point where it wants water/);
      const found = /wants water (once|(\d+) times)/.exec(said.textContent ?? '');
      return !found ? 0 : Number(found[2] ?? 1);
    };
    expect(await times(0.2)).toBeLessThan(await times(0.3));
  });

  it('of a planter with a store says how full that is', async () => {
    await pageOf('17');
    expect(water().textContent).toMatch(/\d+ %of its reservoir \([\d.]+\sL\) left; \d+ to \d+ %/);
  });
});
