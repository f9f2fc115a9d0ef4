// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { dialog, fill, openApp, press } from './live.tsx';

const garden = demoWith('7', '17', '13');
const LONG = idOf(garden, '13');
const SEVEN = idOf(garden, '7');
const RESERVOIR = idOf(garden, '17');
const EXPECTED = /I expect (its|it (dust|dry|barely|moist|wet))/;
const at = async (id: string) => {
  const app = await openApp(`/round/${id}`, garden, DEMO_EVENING);
  // its water is in
  await waitFor(() => expect(document.body.textContent).toMatch(EXPECTED));
  return app;
};
const key = (name: string) => fireEvent.keyDown(document.body, { key: name });
const proposal = () => screen.findByLabelText('Proposed watering');

describe('a stop of the round', () => {
  it('a dry bag is offered a drink, which is given as proposed with one tap more', async () => {
    const { made } = await at(SEVEN);
    await press(/^dry /);
    const watering = await proposal();
    expect(watering.textContent).toMatch(/It felt dry: water it\./);
    await press('Given', watering);
    await screen.findByText(/Watering( with feed)? at 7/);
    const entries = await made();
    expect(
      entries
        .map((e) => e.kind)
        .filter((k) => k !== 'fed')
        .sort(),
    ).toEqual(['check', 'watering']);
    const given = entries.find((e) => e.kind === 'watering');
    expect(given).toMatchObject({ containerId: SEVEN, isMeasured: true });
    expect((given as { readonly litres: number }).litres).toBeGreaterThan(1);
  });

  it('a look that is quicker than its water belongs to the walk that begins then', async () => {
    const { made } = await openApp(`/round/${SEVEN}`, garden, DEMO_EVENING);
    expect(document.body.textContent).not.toMatch(EXPECTED);
    await press(/^dry /);
    expect((await proposal()).textContent).toMatch(/It felt dry: water it\./);
    expect(await made()).toHaveLength(1);
  });

  it('more, less and run-through are kept as they were given', async () => {
    const { made } = await at(SEVEN);
    key('1');
    const watering = await proposal();
    const words = () => watering.textContent;
    const before = words();
    fireEvent.click(within(watering).getByLabelText('more'));
    expect(words()).not.toBe(before);
    fireEvent.click(within(watering).getByLabelText('less'));
    expect(words()).toBe(before);
    fireEvent.click(within(watering).getByLabelText('It ran through'));
    await press('Given', watering);
    await waitFor(async () => expect((await made()).map((e) => e.kind)).toContain('watering'));
    expect((await made()).find((e) => e.kind === 'watering')).toMatchObject({ ranThrough: true });
  });

  it('a double tap on a grade is one look', async () => {
    const { made } = await at(SEVEN);
    const dry = screen.getByRole('button', { name: /^dry / });
    for (let n = 0; n < 2; n++) fireEvent.click(dry, { detail: n + 1, clientX: 300, clientY: 400 });
    await proposal();
    expect(await made()).toHaveLength(1);
    // a menu that opens where the button was is another matter
    const place = { detail: 1, clientX: 300, clientY: 600 };
    fireEvent.click(screen.getByRole('button', { name: 'Other check' }), place);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'On a scale…' }), place);
    expect((await dialog()).textContent).toContain('The whole bag weighs');
  });

  it('a wet bag wants nothing, and the keys lead on', async () => {
    const { made } = await at(SEVEN);
    key('5');
    expect(await screen.findByText(/It has enough; no watering needed\./)).toBeTruthy();
    expect(await made()).toMatchObject([{ kind: 'check', check: { method: 'finger', grade: 5 } }]);
    key('u');
    await screen.findByText(/^Undone: check of 7/);
    expect(await screen.findByText(/^I expect it/)).toBeTruthy();
  });

  it('Enter on the grade that was just pressed gives the drink, and is not the same look again', async () => {
    const { made } = await at(SEVEN);
    await press(/^dry /);
    await proposal();
    fireEvent.keyDown(screen.getByRole('button', { name: /^moist/ }), { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('button', { name: /^dry / }), { key: 'Enter' });
    await screen.findByText(/Watering( with feed)? at 7/);
    const kinds = (await made()).map((e) => e.kind).filter((kind) => kind !== 'fed');
    expect(kinds.sort()).toEqual(['check', 'watering']);
  });

  it('two looks that do not agree are both kept, which is said, and one that was a slip is taken back', async () => {
    const { made } = await at(SEVEN);
    await press(/^dust-dry /);
    await proposal();
    expect(screen.queryByText(/do not agree/)).toBeNull();
    await press(/^wet /);
    const said = await screen.findByText(/Two checks within an hour do not agree \(dust-dry, then wet\)/);
    expect((await made()).map((e) => e.kind)).toEqual(['check', 'check']);
    await press('“dust-dry” was a slip', said);
    expect(await screen.findByText(/It has enough; no watering needed\./)).toBeTruthy();
    expect(screen.queryByText(/do not agree/)).toBeNull();
    await press('Undo');
    await screen.findByText(/Two checks within an hour do not agree/);
  });

  it('a bag of several plants may be felt plant by plant: the driest counts, and differing is no quarrel', async () => {
    const { made } = await at(LONG);
    const where = within(screen.getByRole('group', { name: 'Where you feel it' }));
    const isAt = (name: string) =>
      where.getByRole('button', { name }).getAttribute('aria-pressed') === 'true';
    expect(isAt('Whole bag')).toBe(true);
    fireEvent.click(where.getByRole('button', { name: 'Plant 1' }));
    key('5');
    // the next plant is asked for by itself
    await waitFor(() => expect(isAt('Plant 2')).toBe(true));
    await screen.findByText('wet at plant 1');
    key('2');
    expect((await proposal()).textContent).toMatch(/It felt dry at plant 2: water it\./);
    expect(screen.queryByText(/do not agree/)).toBeNull();
    const checks = await made();
    expect(checks).toMatchObject([{ check: { grade: 5 } }, { check: { grade: 2 } }]);
    expect(new Set(checks.map((e) => 'stationId' in e && e.stationId)).size).toBe(2);
    await press('Given', await proposal());
    await screen.findByText(/Watering( with feed)? at 13/);
  });

  it('the plant that has usually felt the driest is the one to feel', async () => {
    const stations = garden.containers.find(({ id }) => id === LONG)?.stations.map(({ id }) => id) ?? [];
    const checks = [11, 13, 15].flatMap((day) =>
      [4, 2].map((grade, place): Entry => ({
        id: `ent_felt${day}at${place}`,
        kind: 'check',
        at: `2026-07-${day}T06:3${place}:00.000+01:00`,
        recordedAt: DEMO_EVENING,
        containerId: LONG,
        stationId: stations[place],
        check: { method: 'finger', grade },
      })),
    );
    const felt = { ...garden, entries: [...garden.entries, ...checks] };
    await openApp(`/round/${LONG}`, felt, DEMO_EVENING);
    await screen.findByText(/Feel two knuckles deep at plant 2: it was the drier one 3 of 3 times\./);
    fireEvent.click(screen.getByRole('link', { name: /^13 ·/ }));
    await press('How do I know?');
    expect((await screen.findByText('Usually the drier one')).parentElement?.textContent).toContain(
      'plant 2, 3 of 3 times',
    );
  });

  it('keys grade in the way that was chosen', async () => {
    const { made } = await at(SEVEN);
    await press('Other check');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'By lifting it' }));
    await screen.findByRole('button', { name: /^light/ });
    key('4');
    key('3');
    await waitFor(async () => expect(await made()).toMatchObject([{ check: { method: 'lift', grade: 3 } }]));
  });

  it('a planter with a reservoir is looked at by its level', async () => {
    const { made } = await at(RESERVOIR);
    expect(document.body.textContent).toContain('I expect its reservoir');
    key('1');
    const watering = await proposal();
    expect(watering.textContent).toMatch(/Its store is low: fill it up\./);
    await press('Given', watering);
    await waitFor(async () => expect(await made()).toHaveLength(2));
    const entries = await made();
    expect(entries.find((e) => e.kind === 'check')).toMatchObject({ check: { method: 'level', share: 0 } });
    expect(entries.find((e) => e.kind === 'watering')).toMatchObject({ into: 'store' });
  });

  it('is left for later with a reason, which stays on record', async () => {
    const { made } = await at(SEVEN);
    await press('Skip');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Rain is coming' }));
    await screen.findByText('Bag 7 left for later');
    expect(await made()).toMatchObject([{ kind: 'skipped', containerId: SEVEN, reason: 'rain-coming' }]);
  });

  it('is looked at in other ways, each on its own scale', async () => {
    const { made } = await at(SEVEN);
    await press('Other check');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'By lifting it' }));
    await press(/^light/);
    await waitFor(async () =>
      expect(await made()).toMatchObject([{ kind: 'check', check: { method: 'lift', grade: 1 } }]),
    );
    key('u');
    await screen.findByText(/^Undone/);
    await press(/^(Other check|By )/);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'On a scale…' }));
    const form = await dialog();
    for (const [typed, said] of [
      ['', /Please give a number|What does the scale show/],
      ['heavy', /does not read as a number/],
      ['2000', /cannot be right here/],
    ] as const) {
      fill('The whole bag weighs', typed, form);
      await press('Put in the diary', form);
      await within(form).findByText(said);
    }
    fill('The whole bag weighs', '21.5 kg', form);
    await press('Put in the diary', form);
    await waitFor(async () =>
      expect((await made()).map((e) => e.kind).sort()).toEqual(['check', 'check', 'removed']),
    );
  });

  it('a note and a picking are made without leaving it', async () => {
    const { made } = await at(SEVEN);
    await press('Pick');
    const picked = await dialog();
    fill('How many', '3', picked);
    await press('Put in the diary', picked);
    await screen.findByText('Picking from 7');
    await press('Note');
    const note = await dialog();
    fill('What you saw or did', 'tied in', note);
    await press('Put in the diary', note);
    await waitFor(async () => expect((await made()).map((e) => e.kind).sort()).toEqual(['note', 'picking']));
    expect(location.pathname).toBe(`/round/${SEVEN}`);
  });
});

describe('the walk', () => {
  it('begins at the first bag that wants a look, and its list says how each one stands', async () => {
    await openApp('/round', garden, DEMO_EVENING);
    const stops = await screen.findByRole('navigation', { name: 'Stops of this round' });
    await waitFor(() => expect(within(stops).getAllByRole('link').length).toBeGreaterThan(0));
    expect(within(stops).getAllByRole('link')[0]?.textContent).toMatch(/check/);
    // told as the current one, though no bag is in the address yet
    const current = stops.querySelectorAll('[aria-current="step"]');
    expect([...current].map((link) => link.textContent)).toEqual([expect.stringMatching(/check/)]);
    const head = screen.getByRole('heading', { level: 2, name: /·/ }).textContent ?? '';
    expect(current[0]?.textContent?.startsWith(head.split(' ·')[0] ?? '?')).toBe(true);
    expect(screen.getByText(/of 3 bags needs? you\./)).toBeTruthy();
  });

  it('weather that is noted on it is checked and used', async () => {
    const { made } = await openApp('/round', garden, DEMO_EVENING);
    const card = await screen.findByRole('form', { name: /^Weather of/ });
    fill('Coldest', '20', card);
    fill('Warmest', '12', card);
    await press('Add weather', card);
    await within(card).findByText('The warmest cannot be colder than the coldest.');
    fill('Coldest', '50 F', card);
    fill('Warmest', '24', card);
    await press('Add weather', card);
    await waitFor(async () =>
      expect(await made()).toMatchObject([{ kind: 'weather', minCelsius: 10, maxCelsius: 24 }]),
    );
  });

  it('a gauge alone is enough to tell, and is not asked again', async () => {
    const entries = garden.entries.filter(({ kind }) => kind !== 'weather');
    const { made } = await openApp('/round', { ...garden, entries }, DEMO_EVENING);
    const card = await screen.findByRole('form', { name: 'Weather of yesterday' });
    await press('Add weather', card);
    await within(card).findByText('Say one of them, the one that you know.');
    fill('Rain', '½ in', card);
    await press('Add weather', card);
    const [day] = await waitFor(async () => {
      const all = await made();
      expect(all).toHaveLength(1);
      return all;
    });
    expect(day).toHaveProperty('rainMillimetres', expect.closeTo(12.7, 6));
    expect(day).not.toHaveProperty('minCelsius');
    await screen.findByRole('form', { name: 'Weather of today' });
  });
});
