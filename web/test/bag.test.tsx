// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, fill, openApp, pause, press } from './live.tsx';

const garden = demoWith('7', '12');
const SEVEN = idOf(garden, '7');
const bagPage = () => openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);

/** Chooses from the menu of what is done more rarely. */
async function more(act: string): Promise<void> {
  await press('More');
  fireEvent.click(await screen.findByRole('menuitem', { name: act }));
}

/** A button by its very name: amounts and units hang together in it. */
const labelled = (label: string) =>
  [...document.querySelectorAll('button')].find((button) => button.getAttribute('aria-label') === label);

const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

describe('what is noted at a bag', () => {
  it('a picking has a weight, a count or both, each a number that can be', async () => {
    const { made } = await bagPage();
    await press('Pick');
    const form = await dialog();
    for (const [weight, count, said] of [
      ['400 kg', '', /cannot be right here/],
      ['', '2.5', 'A whole number of fruits, please.'],
    ] as const) {
      fill('Weight', weight, form);
      fill('How many', count, form);
      await press('Put in the diary', form);
      await within(form).findByText(said);
    }
    expect(await made()).toEqual([]);
    fill('Weight', '1 lb', form);
    fill('How many', '4', form);
    await press('Put in the diary', form);
    // of so small a fruit that is much: it is asked once, and kept all the same
    await within(form).findByText(/4 tomato fruit usually weigh about .* Press again if it is right\./);
    await pause();
    await press('Put in the diary', form);
    await screen.findByText(/^Picked: 1 lb \(454\sg\), 4 fruit$/);
    const [entry] = await made();
    expect(entry).toMatchObject({ kind: 'picking', containerId: SEVEN, count: 4, asEntered: '1 lb' });
    expect(entry).toHaveProperty('kilograms', expect.closeTo(0.4536, 4));
  });

  it('a picking is said to be green, given away or lost to something, in one tap each; a second takes it back', async () => {
    const { made } = await bagPage();
    await press('Pick');
    const form = await dialog();
    fill('How many', '3', form);
    await press('Green', within(form).getByRole('group', { name: 'How ripe' }));
    const uses = within(form).getByRole('group', { name: 'What becomes of it' });
    await press('Sold', uses);
    await press('Sold', uses);
    expect(within(form).queryByLabelText('Lost to')).toBeNull();
    await press('Lost', uses);
    await choose('Lost to', 'Blossom-end rot');
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([
      { kind: 'picking', count: 3, stage: 'green', use: 'lost', lostTo: 'end-rot' },
    ]);
    await screen.findByText(/^Picked: 3 fruit, green, lost, to blossom-end rot$/);
  });

  it('a great picking is asked about once, and a negative or a future one is refused where it stands', async () => {
    const { made } = await bagPage();
    await press('Pick');
    const form = await dialog();
    fill('Weight', '-2', form);
    await press('Put in the diary', form);
    expect(await made()).toEqual([]);
    fill('Weight', '45 kg', form);
    await press('Put in the diary', form);
    await within(form).findByText(/45\skg at one picking is much\. Press again if it is right\./);
    expect(await made()).toEqual([]);
    await pause();
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([{ kind: 'picking', kilograms: 45 }]);
  });

  it('a drink of any amount, in the grower’s cans or litres, by eye or measured', async () => {
    const { made } = await bagPage();
    await press('Water');
    const form = await dialog();
    fill('How much', '', form);
    await press('Given', form);
    await within(form).findByText('Please give a number.');
    fill('How much', '1/2 green can', form);
    fireEvent.click(within(form).getByLabelText('Judged by eye'));
    await press('Given', form);
    await gone();
    expect(await made()).toMatchObject([
      { kind: 'watering', isMeasured: false, ranThrough: false, asEntered: '1/2 green can' },
    ]);
    // the next one begins as a measured one again
    await press('Water');
    expect(within(await dialog()).getByLabelText('Judged by eye')).toHaveProperty('checked', false);
  });

  it('a drink that was given earlier counts from then on, at a time that can be', async () => {
    const { made } = await bagPage();
    await press('Water');
    const form = await dialog();
    fill('How much', '5 L', form);
    fireEvent.click(within(form).getByLabelText('It was earlier'));
    fireEvent.change(await within(form).findByLabelText('Time'), { target: { value: '23:59' } });
    await press('Given', form);
    await within(form).findByText('That is in the future.');
    expect(await made()).toEqual([]);
    fill('Time', '07:30', form);
    await press('Given', form);
    await gone();
    await screen.findByText(/It used about .* since 07:30/);
    expect(await made()).toMatchObject([
      { kind: 'watering', at: '2026-07-16T07:30:00.000+01:00', litres: 5 },
    ]);
  });

  it('a round that was not noted is put in later: what was felt, and what was poured after it', async () => {
    const { made } = await bagPage();
    await more('An earlier check');
    const form = await dialog();
    fireEvent.change(await within(form).findByLabelText('Time'), { target: { value: '08:15' } });
    fill('The watering that followed', '900 L', form);
    await press('Put in the diary', form);
    await within(form).findByText(/cannot be right here/);
    fill('The watering that followed', '3 L', form);
    await press('Put in the diary', form);
    await gone();
    const [check, watering] = await made();
    expect(check).toMatchObject({ kind: 'check', check: { method: 'finger', grade: 2 } });
    expect(watering).toMatchObject({ kind: 'watering', litres: 3 });
    expect(Date.parse(watering?.at ?? '')).toBeGreaterThan(Date.parse(check?.at ?? ''));
    await press('Undo');
    await waitFor(async () => expect((await made()).filter((e) => e.kind === 'removed')).toHaveLength(2));
  });

  it('a note needs a word', async () => {
    const { made } = await bagPage();
    await press('Note');
    const form = await dialog();
    await press('Put in the diary', form);
    await within(form).findByText('Write a word or two first.');
    fill('What you saw or did', '  leaves curl at noon ', form);
    await press('Put in the diary', form);
    await screen.findByText(/leaves curl at noon/);
    expect(await made()).toMatchObject([{ kind: 'note', text: 'leaves curl at noon' }]);
  });

  it('trouble is looked into, and put on record with what was seen', async () => {
    const { made } = await bagPage();
    await more('Look into trouble');
    await press('Leaves');
    await press('Brown, dry edges');
    await press('No', await screen.findByRole('group', { name: 'What to look at next' }));
    fill('Note', 'spots');
    await press('Put in the diary');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        {
          kind: 'trouble',
          seen: ['edges-brown'],
          note: 'spots',
          caseId: expect.stringMatching(/^cas_/) as string,
        },
      ]),
    );
  });

  it('heights and the warmth of the mix go down together', async () => {
    const { made } = await bagPage();
    await press('Measure it');
    const form = await dialog();
    await press('Put in the diary', form);
    await within(form).findByText('Give a height or a temperature.');
    fill(/^(Height|How high|Tip)|above the mix/i, '1.55 m', form);
    fill('How warm the mix is', '68 F', form);
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([
      { kind: 'height', heightMillimetres: 1550 },
      { kind: 'warmth', mixCelsius: 20 },
    ]);
  });
});

describe('entries that were made', () => {
  it('are corrected: the old one stays on record, the new one counts', async () => {
    const { made, stored } = await bagPage();
    const [first] = await screen.findAllByRole('button', { name: /^Correct: Watered/ });
    fireEvent.click(first as HTMLElement);
    const form = await dialog();
    for (const [typed, said] of [
      ['', 'Please give a number.'],
      ['none', /does not read as a number/],
    ] as const) {
      fill('How much', typed, form);
      await press('Correct it', form);
      await within(form).findByText(said);
    }
    fill('How much', '2.5 L', form);
    await press('Correct it', form);
    await screen.findByText(/Watered: 2\.5 L/);
    const [correction] = await made();
    expect(correction).toMatchObject({ kind: 'watering', litres: 2.5 });
    const replaced = (correction as { readonly replaces?: string }).replaces;
    expect((await stored()).entries.map((e) => e.id)).toContain(replaced);
  });

  it('are taken out of account and brought back', async () => {
    const { made } = await bagPage();
    const [first] = await screen.findAllByRole('button', { name: /^Remove: Picked/ });
    const label = first?.getAttribute('aria-label') ?? '';
    fireEvent.click(first as HTMLElement);
    await waitFor(() => expect(labelled(label)).toBeUndefined());
    await press('Undo');
    await waitFor(() => expect(labelled(label)).toBeTruthy());
    expect((await made()).map((e) => e.kind)).toEqual(['removed', 'removed']);
  });
});

describe('what becomes of a bag', () => {
  it('its plants are cleared out, and it is planted anew', async () => {
    const { made, stored } = await bagPage();
    await more('Clear its plants out');
    expect(await screen.findByText('Nothing is planted in it.')).toBeTruthy();
    expect(await made()).toMatchObject([{ kind: 'cleared', containerId: SEVEN }]);
    expect((await stored()).containers).toHaveLength(2);
    await press('Record planting');
    const form = await dialog();
    await choose('Crop', 'Pepper');
    fill('Height of the plant', '22 km', form);
    await press('It is planted', form);
    await waitFor(() => expect(form.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThan(0));
    fill('Height of the plant', '22 cm', form);
    await within(form).findByText(/Plant it level with its old surface/);
    await press('It is planted', form);
    await gone();
    await screen.findByRole('heading', { level: 1, name: '7 · Pepper' });
    expect((await made()).at(-1)).toMatchObject({ kind: 'planted', seedling: { stemMillimetres: 220 } });
  });

  it('it goes to the bin, and can be taken out again with all of its diary', async () => {
    const { stored } = await bagPage();
    await more('Delete');
    await screen.findByRole('heading', { name: 'Bags' });
    expect((await stored()).containers.find((c) => c.id === SEVEN)?.binnedAt).toBeTruthy();
    expect(screen.queryByText('Lantern Drop')).toBeNull();
    await press('Undo');
    await screen.findByText('Lantern Drop');
    const after = await stored();
    expect(after.containers.find((c) => c.id === SEVEN)?.binnedAt).toBeUndefined();
    expect(after.entries).toHaveLength(garden.entries.length);
  });

  it('it is kept as a template, under a name of its own', async () => {
    const { stored } = await bagPage();
    await more('Keep as a template');
    const form = await dialog();
    fill('Name', ' ', form);
    await press('Save', form);
    await within(form).findByText('Give it a name.');
    fill('Name', 'Terrace bag', form);
    await press('Save', form);
    await gone();
    expect((await stored()).templates.map((t) => t.name)).toContain('Terrace bag');
  });

  it('how it is trained is chosen on its page', async () => {
    const { stored } = await bagPage();
    const trained = async () => (await stored()).plants.filter((p) => p.leaders === 2).map((p) => p.id);
    const before = await trained();
    await choose('Trained to', 'two leaders');
    await waitFor(async () => expect(await trained()).toHaveLength(before.length + 1));
    await press('Undo');
    await waitFor(async () => expect(await trained()).toEqual(before));
  });
});
