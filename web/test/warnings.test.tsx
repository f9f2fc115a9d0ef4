// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Entry, Garden } from '@rundel/core/records';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, fill, fillDay, openApp, press } from './live.tsx';

const garden = demoWith('3', '7', '9');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

/** The demo with what is foretold for tomorrow and the day after. */
function withDays(...days: readonly Partial<Entry & { kind: 'weather' }>[]): Garden {
  const foretold = days.map((facts, i): Entry => ({
    kind: 'weather',
    id: `ent_foretold${i}`,
    at: DEMO_EVENING,
    recordedAt: DEMO_EVENING,
    day: `2026-07-${17 + i}`,
    minCelsius: 14,
    maxCelsius: 24,
    source: 'typed',
    ...facts,
  }));
  return { ...garden, entries: [...garden.entries, ...foretold] };
}
const FROST = withDays({ minCelsius: -0.5, maxCelsius: 12 });
const HEAT = withDays({ maxCelsius: 34 }, { maxCelsius: 35 });
const frost = () => screen.findByText(/^Frost in the night from/);

describe('a warning', () => {
  it('is put off until tomorrow, and comes again then', async () => {
    const { stored } = await openApp('/round', FROST, DEMO_EVENING);
    expect((await frost()).parentElement?.textContent).toMatch(/weighted down/);
    // outdoors it freezes; under glass, some degrees warmer, it is only cold
    await screen.findByText(/^Cold in the night from/);
    await press(/^Put off: Frost/);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Not again until tomorrow' }));
    await waitFor(() => expect(screen.queryByText(/^Frost in the night from/)).toBeNull());
    const after = await stored();
    expect(after.places.some((p) => p.alerts?.frost?.snoozedUntil === '2026-07-17')).toBe(true);
    const next = withDays({ minCelsius: 14 }, { minCelsius: -0.5, maxCelsius: 12 });
    await openApp('/round', { ...next, places: after.places }, '2026-07-17T18:00:00.000+01:00');
    await frost();
  });

  it('is turned off for a place, and on again where its warnings are set', async () => {
    const { stored } = await openApp('/round', FROST, DEMO_EVENING);
    await frost();
    await press(/^Put off: Frost/);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Off here for good' }));
    await waitFor(() => expect(screen.queryByText(/^Frost in the night from/)).toBeNull());
    const off = (await stored()).places.find((p) => p.alerts?.frost?.isOff);
    expect(off?.name).toBe('Slipway terrace');
    await press(/^Put off: Cold/);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'When it warns' }));
    const form = await dialog();
    expect(within(form).getByRole('heading').textContent).toBe('Warnings at Lean-to');
    fill('Below', '45 F', form);
    await press('Save', form);
    await gone();
    const leanTo = (await stored()).places.find((p) => p.name === 'Lean-to');
    expect(leanTo?.alerts?.cold?.threshold).toBeCloseTo(7.2, 1);
  });

  it('of heat is answered with shade over all of them, which stays until it is over', async () => {
    const { made } = await openApp('/round', HEAT, DEMO_EVENING);
    await screen.findByText(/^Heat from 17 Jul to 18 Jul/);
    await press('Shaded');
    await waitFor(async () => expect((await made()).length).toBeGreaterThan(1));
    for (const entry of await made()) expect(entry).toMatchObject({ kind: 'tended', task: 'shaded' });
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Shaded' })).toBeNull());
    expect(screen.queryByText('Take the shade off')).toBeNull();
  });

  it('names flowers that will drop, with the bags', async () => {
    await openApp('/round', HEAT, DEMO_EVENING);
    const word = await screen.findByText(/^Flowers that open from 17 Jul to 18 Jul may drop unset/);
    expect(word.textContent).toMatch(/Bags? .*7/);
    expect(word.textContent).not.toMatch(/\b3\b\.$/);
  });
});

describe('several bags at once', () => {
  async function tick(act: string) {
    const app = await openApp('/bags', garden, DEMO_EVENING);
    await press('Several at once');
    for (const label of ['7', '9'])
      fireEvent.click(await screen.findByRole('checkbox', { name: new RegExp(`\\b${label}\\b`) }));
    const bar = await screen.findByRole('region', { name: 'With the ticked bags' });
    await press('More', bar);
    fireEvent.click(await screen.findByRole('menuitem', { name: act }));
    return app;
  }

  it('are sprayed, each followed up by itself, in the units of the label', async () => {
    const { made } = await tick('Spray or bait');
    const form = await dialog();
    await choose('What kind', 'Sulphur');
    fill('So much of it', '½ oz', form);
    fill('In so much water', '1 gal', form);
    await press('Put in the diary', form);
    await gone();
    const sprays = await made();
    expect(sprays).toHaveLength(2);
    for (const entry of sprays)
      expect(entry).toMatchObject({ kind: 'sprayed', agent: 'sulphur', asEntered: '½ oz' });
    const strengths = sprays.map((e) => (e.kind === 'sprayed' ? e.gramsPerLitre : undefined));
    // half an ounce in a US gallon
    expect(strengths[0]).toBeCloseTo(14.1748 / 3.785_41, 2);
    expect(new Set(sprays.map((e) => (e.kind === 'sprayed' ? e.caseId : undefined))).size).toBe(2);
  });

  it('were sprayed at noon of the day before, which was no time for it, and is put down all the same', async () => {
    const { made } = await tick('Spray or bait');
    const form = await dialog();
    fireEvent.click(within(form).getByLabelText('It was earlier'));
    await fillDay('Day', '15/07/2026', form);
    fill('Time', '', form);
    fill('Time', '12:00', form);
    await within(form).findByText(/^The sun was up then/);
    await press('Put in the diary', form);
    await gone();
    expect((await made()).map(({ at }) => at)).toEqual([
      '2026-07-15T12:00:00.000+01:00',
      '2026-07-15T12:00:00.000+01:00',
    ]);
  });

  it('sprayed as the line says are in its form with all that was said', async () => {
    const { made } = await openApp('/bags', garden, DEMO_EVENING);
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fireEvent.change(line, {
      target: { value: 'Rosa sprayed 7 and 9 for aphids with soap, 20 ml in 1 L, yesterday evening' },
    });
    await screen.findByText(/sprayed soap for plants, 20 ml, in 1 l, against aphids or whitefly, by Rosa$/);
    fireEvent.keyDown(line, { key: 'Enter' });
    const form = await dialog();
    fill('Days until picking', '3', form);
    await press('Put in the diary', form);
    await gone();
    const entries = await made();
    expect(entries).toHaveLength(2);
    for (const entry of entries)
      expect(entry).toMatchObject({
        ...{ kind: 'sprayed', agent: 'soap', extent: 'whole', against: 'sap-suckers', who: 'Rosa' },
        ...{ millilitresPerLitre: 20, litres: 1, harvestDays: 3, at: '2026-07-15T18:00:00.000+01:00' },
      });
  });

  it('are cleaned in one go; heat for what is not fabric is warned of', async () => {
    const { made } = await tick('Clean');
    const form = await dialog();
    fill('Heated to', '80', form);
    fill('For so many minutes', '40', form);
    expect(await within(form).findByText(/Fabric bears about 70\s°C/)).toBeTruthy();
    fireEvent.click(within(form).getByLabelText('Dried right through'));
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([
      { kind: 'cleaned', isWashed: true, isDried: true, heated: { celsius: 80, minutes: 40 } },
      { kind: 'cleaned', isWashed: true },
    ]);
  });
});

describe('at a stop of the round', () => {
  it('the jobs of that bag stand below its grades, and are done there', async () => {
    const id = idOf(garden, '3');
    const { made } = await openApp(`/round/${id}`, garden, DEMO_EVENING);
    const here = await screen.findByRole('list', { name: 'Also due here' });
    await press(/^Take the tip out at the wire at bag 3: done/, here);
    await waitFor(async () => expect(await made()).toMatchObject([{ kind: 'tended', task: 'stopped' }]));
  });
});

describe('what is put right later', () => {
  it('a sign that was marked and is not there after all speaks against what it spoke for', async () => {
    const mites = garden.entries.find((e) => e.kind === 'trouble' && e.what === 'mites');
    if (mites?.kind !== 'trouble') throw new Error('the demo has mites');
    const { made } = await openApp(
      `/bags/${mites.containerId}/trouble?case=${mites.caseId ?? ''}`,
      garden,
      DEMO_EVENING,
    );
    const chance = async () => {
      const list = await screen.findByRole('list', { name: 'What may be behind it' });
      return Number(/Spider mites(?:over |under )?(\d+)/.exec(list.textContent ?? '')?.[1] ?? 0);
    };
    const before = await chance();
    await press('Leaves');
    await press('Fine webs underneath');
    await press('Fine pale specks');
    await waitFor(async () => expect(await chance()).toBeLessThan(before));
    await press('the same');
    await choose('What it turned out to be', 'Heat');
    await press('Put in the diary');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        { kind: 'followed-up', outcome: 'same', what: 'heat', unseen: ['webs', 'specks'] },
      ]),
    );
  });

  it('last year’s trouble of a bag that is planted now is still told of', async () => {
    const id = idOf(garden, '9');
    const { made } = await openApp(`/bags/${id}/trouble`, garden, DEMO_EVENING);
    await press('Leaves');
    await press('Small dark spots, some with rings');
    fireEvent.click(await screen.findByLabelText('It was earlier'));
    const field = await screen.findByRole('group', { name: 'Day' });
    fireEvent.change(field.parentElement?.querySelector('input') as HTMLInputElement, {
      target: { value: '20/08/2025' },
    });
    await press('Put in the diary');
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect((await made())[0]?.at.slice(0, 10)).toBe('2025-08-20');
  });
});
