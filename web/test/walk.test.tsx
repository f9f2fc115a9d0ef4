// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { dialog, fill, openApp, press } from './live.tsx';

const garden = demoWith('7', '17', '13');
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
const proposal = () => screen.findByLabelText('Proposed drink');

describe('a stop of the round', () => {
  it('a dry bag is offered a drink, which is given as proposed with one tap more', async () => {
    const { made } = await at(SEVEN);
    await press(/^dry /);
    const drink = await proposal();
    expect(drink.textContent).toMatch(/It felt dry: give it a drink\./);
    await press('Given', drink);
    await screen.findByText(/Drink( with feed)? at 7/);
    const entries = await made();
    expect(
      entries
        .map((e) => e.kind)
        .filter((k) => k !== 'fed')
        .sort(),
    ).toEqual(['drink', 'look']);
    const given = entries.find((e) => e.kind === 'drink');
    expect(given).toMatchObject({ containerId: SEVEN, isMeasured: true });
    expect((given as { readonly litres: number }).litres).toBeGreaterThan(1);
  });

  it('a look that is quicker than its water belongs to the walk that begins then', async () => {
    const { made } = await openApp(`/round/${SEVEN}`, garden, DEMO_EVENING);
    expect(document.body.textContent).not.toMatch(EXPECTED);
    await press(/^dry /);
    expect((await proposal()).textContent).toMatch(/It felt dry: give it a drink\./);
    expect(await made()).toHaveLength(1);
  });

  it('more, less and run-through are kept as they were given', async () => {
    const { made } = await at(SEVEN);
    key('1');
    const drink = await proposal();
    const words = () => drink.textContent;
    const before = words();
    fireEvent.click(within(drink).getByLabelText('more'));
    expect(words()).not.toBe(before);
    fireEvent.click(within(drink).getByLabelText('less'));
    expect(words()).toBe(before);
    fireEvent.click(within(drink).getByLabelText('It ran through'));
    await press('Given', drink);
    await waitFor(async () => expect((await made()).map((e) => e.kind)).toContain('drink'));
    expect((await made()).find((e) => e.kind === 'drink')).toMatchObject({ ranThrough: true });
  });

  it('a wet bag wants nothing, and the keys lead on', async () => {
    const { made } = await at(SEVEN);
    key('5');
    expect(await screen.findByText(/It has enough; no drink needed\./)).toBeTruthy();
    expect(await made()).toMatchObject([{ kind: 'look', look: { method: 'finger', grade: 5 } }]);
    key('u');
    await screen.findByText(/^Undone: look at 7/);
    expect(await screen.findByText(/^I expect it/)).toBeTruthy();
  });

  it('a planter with a reservoir is looked at by its level', async () => {
    const { made } = await at(RESERVOIR);
    expect(document.body.textContent).toContain('I expect its reservoir');
    key('1');
    const drink = await proposal();
    expect(drink.textContent).toMatch(/Its store is low: fill it up\./);
    await press('Given', drink);
    await waitFor(async () => expect(await made()).toHaveLength(2));
    const entries = await made();
    expect(entries.find((e) => e.kind === 'look')).toMatchObject({ look: { method: 'level', share: 0 } });
    expect(entries.find((e) => e.kind === 'drink')).toMatchObject({ into: 'store' });
  });

  it('is left for later with a reason, which stays on record', async () => {
    const { made } = await at(SEVEN);
    await press('Not now');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Rain is coming' }));
    await screen.findByText('Bag 7 left for later');
    expect(await made()).toMatchObject([{ kind: 'skipped', containerId: SEVEN, reason: 'rain-coming' }]);
  });

  it('is looked at in other ways, each on its own scale', async () => {
    const { made } = await at(SEVEN);
    await press('Other look');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'By lifting it' }));
    await press(/^light/);
    await waitFor(async () =>
      expect(await made()).toMatchObject([{ kind: 'look', look: { method: 'lift', grade: 1 } }]),
    );
    key('u');
    await screen.findByText(/^Undone/);
    await press(/^(Other look|By )/);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'On a scale…' }));
    const form = await dialog();
    for (const [typed, said] of [
      ['', /Please give a number|What does the scale show/],
      ['heavy', /does not read as a number/],
      ['2000', /cannot be right here/],
    ] as const) {
      fill('The whole bag weighs', typed, form);
      await press('Put in the diary', form);
      expect(within(form).getByText(said)).toBeTruthy();
    }
    fill('The whole bag weighs', '21.5 kg', form);
    await press('Put in the diary', form);
    await waitFor(async () =>
      expect((await made()).map((e) => e.kind).sort()).toEqual(['look', 'look', 'removed']),
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
    expect(within(stops).getAllByRole('link')[0]?.textContent).toMatch(/look/);
    expect(screen.getByText(/of 3 bags needs? you\./)).toBeTruthy();
  });

  it('weather that is noted on it is checked and used', async () => {
    const { made } = await openApp('/round', garden, DEMO_EVENING);
    const card = await screen.findByRole('form', { name: /^Weather of/ });
    fill('Coldest', '20', card);
    fill('Warmest', '12', card);
    await press('Note it', card);
    expect(within(card).getByText('The warmest cannot be colder than the coldest.')).toBeTruthy();
    fill('Coldest', '50 F', card);
    fill('Warmest', '24', card);
    await press('Note it', card);
    await waitFor(async () =>
      expect(await made()).toMatchObject([{ kind: 'weather', minCelsius: 10, maxCelsius: 24 }]),
    );
  });
});
