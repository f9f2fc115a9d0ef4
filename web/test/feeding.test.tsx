// @vitest-environment happy-dom
import type { Garden } from '@rundel/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, chooseBags, dialog, fill, fillDay, openApp, press } from './live.tsx';

const garden = demoWith('7', '12', '17');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
const kindsOf = (entries: readonly { readonly kind: string }[]) => entries.map(({ kind }) => kind);

describe('a drum of nutrient', () => {
  const DRUM = idOf(garden, '17');
  async function measuring(opened: Garden = garden) {
    const app = await openApp(`/bags/${DRUM}`, opened, DEMO_EVENING);
    await press('Measure, change or top up');
    return { ...app, form: await dialog() };
  }

  it('is measured; a number that cannot be is refused beside its field', async () => {
    const { form, made } = await measuring();
    for (const [label, typed, said] of [
      ['EC', '', 'Give an EC, a pH, or both.'],
      ['EC', '2100', 'In mS/cm, as 2.1. A number above 20 is in µS/cm: divide it by 1000.'],
      ['EC', 'strong', /does not read as a number/],
      ['pH', '65', 'pH goes from 0 to 14.'],
    ] as const) {
      fill(label, typed, form);
      await press('Put in the diary', form);
      await within(form).findByText(said);
      fill(label, '', form);
    }
    expect(await made()).toEqual([]);
    fill('EC', '2,4', form);
    fill('pH', '6.3', form);
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([
      { kind: 'solution', what: 'reading', containerId: DRUM, ecMillisiemens: 2.4, ph: 6.3 },
    ]);
    await screen.findByText(/EC 2\.4.*, pH 6\.3.*, read on 16 Jul\./);
  });

  it('is made up new with both parts of its nutrient, which its water carries', async () => {
    const { form, made } = await measuring();
    await choose('What was done', 'Made up new');
    await within(form).findByText('What was still in it is poured out: it counts as empty before this.');
    await press('Put in the diary', form);
    await within(form).findByText('How much went in?');
    fill('How much went in', '400 L', form);
    await press('Put in the diary', form);
    await within(form).findByText(/400\sL cannot be right here: it must be from .* to 200\sL\./);
    expect(await made()).toEqual([]);
    fill('How much went in', '40 L', form);
    const withNutrient = within(form).getByRole('switch', {
      name: /^With .* of nutrient part A .*, and as much/,
    });
    expect(withNutrient).toHaveProperty('checked', true);
    await press('Put in the diary', form);
    await gone();
    const entries = await made();
    expect(kindsOf(entries)).toEqual(['fed', 'fed', 'solution', 'watering']);
    const [partA, partB, solution, watering] = entries;
    expect(watering).toMatchObject({ litres: 40, into: 'store', isMeasured: true });
    expect(solution).toMatchObject({ what: 'changed', litres: 40 });
    expect([partA, partB].map((e) => e?.kind === 'fed' && e.productId).sort()).toEqual([
      'nutrient-a',
      'nutrient-b',
    ]);
    expect(partA).toMatchObject({ litres: 40, into: 'store' });
    expect(partB).toMatchObject({ amount: partA?.kind === 'fed' ? partA.amount : -1 });
    await screen.findByText(/made up new on 16 Jul, 0 days ago/);
    // one act, one undo
    await press('Undo');
    await waitFor(() => expect(screen.queryByText(/made up new on 16 Jul/)).toBeNull());
  });

  it('may be topped up with plain water, in the grower’s own measure', async () => {
    const { form, made } = await measuring();
    await choose('What was done', 'Topped up');
    fill('How much went in', '2 cans', form);
    fireEvent.click(within(form).getByRole('switch', { name: /^With / }));
    await press('Put in the diary', form);
    await gone();
    const litres = 2 * (garden.measures.find(({ kind }) => kind === 'can')?.litres ?? 0);
    expect(litres).toBeGreaterThan(0);
    expect(await made()).toMatchObject([
      { kind: 'solution', what: 'topped-up', litres },
      { kind: 'watering', litres },
    ]);
  });
});

describe('a feed of any product', () => {
  const SEVEN = idOf(garden, '7');
  async function feeding() {
    const app = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    await press('Feed it now');
    return { ...app, form: await dialog() };
  }
  const amountIn = (form: HTMLElement) =>
    within(form).getByLabelText<HTMLInputElement>('How much of it').value;

  it('is proposed by its label, and follows its water until an amount is typed', async () => {
    const { form } = await feeding();
    await choose('With what', /^Tomato liquid/);
    const first = Number(amountIn(form));
    fill('In how much water', '4 L', form);
    expect(Number(amountIn(form))).toBeCloseTo(2 * first, 6);
    fill('How much of it', '5', form);
    fill('In how much water', '2 L', form);
    expect(amountIn(form)).toBe('5');
    // another product begins at its own label
    await choose('With what', 'Steeped weeds');
    expect(amountIn(form)).not.toBe('5');
  });

  it('said in the line is in its form as it was said, and its dose is told by that water', async () => {
    const { made } = await openApp('/bags', demoWith('7', '12'), DEMO_EVENING);
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fireEvent.change(line, { target: { value: 'fed 7 and 12 tomato liquid, 8 ml in half a litre' } });
    await screen.findByText(/fed Tomato liquid 4-3-8, 8 ml, in ½ litre of water$/);
    fireEvent.keyDown(line, { key: 'Enter' });
    const form = await dialog();
    // 4 mL in each litre: for half a litre 2 mL
    await within(form).findByText('That is 4 times the label’s dose.');
    await press('Put in the diary', form);
    await gone();
    const entries = await made();
    expect(entries.filter((e) => e.kind === 'watering').map((e) => e.litres)).toEqual([0.5, 0.5]);
    expect(entries.filter((e) => e.kind === 'fed').map((e) => [e.amount, e.unit, e.litres])).toEqual([
      [8, 'millilitre', 0.5],
      [8, 'millilitre', 0.5],
    ]);
  });

  it('of half a dose is half of what the label asks for in that water', async () => {
    const { made } = await openApp('/bags', demoWith('7'), DEMO_EVENING);
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fireEvent.change(line, { target: { value: 'fed 7 half a dose of tomato liquid in 5 L' } });
    await screen.findByText(/fed Tomato liquid 4-3-8, 50 % of its label’s dose, in 5 l of water$/);
    fireEvent.keyDown(line, { key: 'Enter' });
    const form = await dialog();
    await press('Put in the diary', form);
    await gone();
    const [fed] = (await made()).filter((e) => e.kind === 'fed');
    expect([fed?.amount, fed?.unit, fed?.litres]).toEqual([10, 'millilitre', 5]);
  });

  it('ten times the label is asked about, and can still be put down', async () => {
    const { form, made } = await feeding();
    await choose('With what', /^Tomato liquid/);
    fill('How much of it', String(10 * Number(amountIn(form))), form);
    await within(form).findByText('That is ten times the label: a decimal point gone astray?');
    await press('Put in the diary', form);
    await gone();
    expect(kindsOf(await made()).sort()).toEqual(['fed', 'watering']);
  });

  it('that was not given is taken away with its water, or without it', async () => {
    const { form, made } = await feeding();
    await press('Put in the diary', form);
    await gone();
    const removed = async () => (await made()).filter((e) => e.kind === 'removed').length;
    fireEvent.click((await screen.findAllByRole('button', { name: /^Remove: Fed/ }))[0] as HTMLElement);
    fireEvent.click(await screen.findByRole('menuitem', { name: /^Remove it with .* in one go: Watered/ }));
    await waitFor(async () => expect(await removed()).toBe(2));
    await press('Undo');
    await waitFor(async () => expect(await removed()).toBe(4));
    fireEvent.click((await screen.findAllByRole('button', { name: /^Remove: Watered/ }))[0] as HTMLElement);
    fireEvent.click(await screen.findByRole('menuitem', { name: /^Remove this alone: Watered/ }));
    await waitFor(async () => expect(await removed()).toBe(5));
    // the other of the two now stands alone
    fireEvent.click((await screen.findAllByRole('button', { name: /^Remove: Fed/ }))[0] as HTMLElement);
    await waitFor(async () => expect(await removed()).toBe(6));
  });

  it('goes over the leaves in as much as wets them, which is no watering, and may have been yesterday', async () => {
    const { form, made } = await feeding();
    await choose('With what', /^Tomato liquid/);
    await choose('How', 'Over the leaves');
    expect(within(form).getByLabelText<HTMLInputElement>('In how much water').value).toMatch(
      /^0\.3\s?L|300\s?mL/,
    );
    within(form).getByText(/Never in sun.*A spray is not a watering/);
    fireEvent.click(within(form).getByLabelText('It was earlier'));
    await fillDay('Day', '15/07/2026', form);
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([
      { kind: 'fed', into: 'leaves', litres: 0.3, amount: 1.2, at: expect.stringMatching(/^2026-07-15/) },
    ]);
  });

  it('no amount, or water that cannot be, is refused and nothing is put down', async () => {
    const { form, made } = await feeding();
    await choose('With what', /^Tomato liquid/);
    fill('How much of it', '0', form);
    await press('Put in the diary', form);
    await within(form).findByText('It must be more than nothing.');
    fill('How much of it', '8', form);
    fill('In how much water', '300 L', form);
    await press('Put in the diary', form);
    await within(form).findByText(/300\sL cannot be right here/);
    expect(await made()).toEqual([]);
    fill('In how much water', '1 can', form);
    await press('Put in the diary', form);
    await gone();
    const litres = garden.measures.find(({ kind }) => kind === 'can')?.litres;
    expect(await made()).toMatchObject([
      { kind: 'fed', productId: 'tomato-liquid', amount: 8, unit: 'millilitre', litres },
      { kind: 'watering', litres, containerId: SEVEN },
    ]);
  });

  it('what is given dry asks for no water and is no drink', async () => {
    const { form, made } = await feeding();
    await choose('With what', /^Bone meal/);
    expect(within(form).queryByLabelText('In how much water')).toBeNull();
    await press('Put in the diary', form);
    await gone();
    expect(kindsOf(await made())).toEqual(['fed']);
  });
});

describe('a regime of one’s own', () => {
  const dates = () => screen.getByRole('list', { name: 'Dates to come' }).textContent ?? '';
  async function editing() {
    const app = await openApp('/bench/regimes?regime=leaf-then-fruit', garden, DEMO_EVENING);
    await screen.findByRole('list', { name: 'Dates to come' });
    await press('Make my own of it');
    await screen.findByRole('heading', { name: 'A regime of my own' });
    return app;
  }
  const step = (number: number) => screen.getByRole('group', { name: `Step ${number}` });
  /** Chooses a word of a step's sentence. */
  async function word(number: number, label: string, option: string | RegExp) {
    fireEvent.mouseDown(within(step(number)).getByRole('combobox', { name: label }));
    fireEvent.click(await screen.findByRole('option', { name: option }));
    await waitFor(() => expect(document.querySelector('ul[role="listbox"]')).toBeNull());
  }

  it('is tried while it is written: its dates move, and what is odd about it is said', async () => {
    await editing();
    const before = dates();
    fill('At the least, days', '3', step(2));
    fill('At the most, days', '4', step(2));
    await within(step(2)).findByText('The label asks for 7 days between two feeds; this is closer.');
    await waitFor(() => expect(dates().length).toBeGreaterThan(before.length));
    const closer = dates();
    // what does not read is said at its step, and the preview keeps the last that did
    fill('At the most, days', '2', step(2));
    await within(step(2)).findByRole('alert');
    expect(dates()).toBe(closer);
    fill('At the most, days', '4', step(2));
    await word(2, 'Until when', 'so many times');
    fill('Times', '2', step(2));
    await waitFor(() => expect(dates().length).toBeLessThan(closer.length));
  });

  it('says each step as a sentence of the words that were chosen', async () => {
    await editing();
    await word(1, 'From when', 'Some weeks or days after planting');
    fill('Weeks, or days', '3', step(1));
    await word(1, 'What', /^Fish liquid/);
    await word(1, 'How much', 'at a dose of my own');
    fill('Dose', '40', step(1));
    await word(1, 'How often', 'once');
    expect(step(1).textContent).toMatch(/3 weeks after planting.*fish liquid.*40.*once/i);
    await word(1, 'From when', 'On a day of the year');
    fill('Month-day', '31-31', step(1));
    await within(step(1)).findByRole('alert');
    fill('Month-day', '06-15', step(1));
    await waitFor(() => expect(step(1).textContent).toContain('15 Jun'));
  });

  it('goes into every watering at a part of its dose, or over the leaves with a word of caution', async () => {
    await editing();
    await word(2, 'How often', 'with every watering, weaker');
    fill('Part of the dose, %', 'a fifth', step(2));
    await within(step(2)).findByText(/with every watering: a fifth of the dose/);
    await word(2, 'How often', 'again and again');
    fireEvent.click(within(step(2)).getByLabelText('over the leaves'));
    await within(step(2)).findByText(/over the leaves, every \d+ to \d+ days/);
    within(step(2)).getByText(/^Never in sun/);
  });

  it('is kept under a name of its own, changed, followed and put in the bin', async () => {
    const { made, stored } = await editing();
    await press('Another step');
    fireEvent.click(within(step(1)).getByRole('button', { name: 'Remove this step' }));
    fill('Name', ' ');
    await press('Save');
    await screen.findByText(/name/i, { selector: '.MuiAlert-message' });
    expect((await stored()).regimes).toEqual(garden.regimes);
    fill('Name', 'Slip feed');
    fill('What it holds, in a line', 'As it grows.');
    await press('Save');
    await screen.findByRole('heading', { name: 'Slip feed' });
    const own = async () => (await stored()).regimes.find(({ name }) => name === 'Slip feed');
    const kept = await own();
    expect(kept).toMatchObject({ name: 'Slip feed', description: 'As it grows.' });
    expect(new Set(kept?.steps.map(({ id }) => id)).size).toBe(kept?.steps.length);

    await chooseBags('Bags to feed by it', '7');
    await press('Feed 1 bag by it');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        { kind: 'regime', regimeId: kept?.id, containerId: idOf(garden, '7') },
      ]),
    );

    // a second one cannot have the name
    fireEvent.click(
      within(screen.getByRole('navigation', { name: 'Ways of feeding' })).getByRole('button', {
        name: /^Leaf first/,
      }),
    );
    await press('Make my own of it');
    fill('Name', 'Slip feed');
    await press('Save');
    await screen.findByText('There is a regime of this name already.');
    await press('Cancel');

    fireEvent.click(
      within(screen.getByRole('navigation', { name: 'Ways of feeding' })).getByRole('button', {
        name: /^Slip feed/,
      }),
    );
    await press('Change it');
    fill('What it holds, in a line', 'Little, and often.');
    await press('Save');
    await waitFor(async () =>
      expect(await own()).toMatchObject({ id: kept?.id, description: 'Little, and often.' }),
    );
    await press('Delete');
    await waitFor(async () => expect((await own())?.binnedAt).toBeDefined());
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Slip feed/ })).toBeNull());
  });
});

describe('a batch', () => {
  const batch = (bags: string) =>
    openApp(`/bench/batch?bags=${bags}&with=tomato-liquid`, garden, DEMO_EVENING);
  const both = [idOf(garden, '7'), idOf(garden, '12')].join(',');
  const DOSE = 'mL in each litre of water';

  it('names its cans, and what a dose of one’s own means beside the label', async () => {
    await batch(both);
    const cans = await screen.findByRole('list', { name: 'Cans, in the order of the walk' });
    expect(within(cans).getAllByRole('listitem')[0]?.textContent).toMatch(/Can 1/);
    expect(screen.getByText(/Each litre brings 189 mg N, 62 mg P, 313 mg K/)).toBeTruthy();
    fill(DOSE, '40');
    await screen.findByText('That is ten times the label: a decimal point gone astray?');
    fill(DOSE, '18.2');
    await screen.findByText(/what the label gives for a gallon/);
    fill(DOSE, 'much');
    await screen.findByText(/does not read as a number/);
  });

  it('given is in the diary of every bag, with the water that it was in', async () => {
    const { made } = await batch(both);
    await press('All of it was given');
    await waitFor(async () =>
      expect(kindsOf(await made()).sort()).toEqual(['fed', 'fed', 'watering', 'watering']),
    );
    const fed = (await made()).filter((e) => e.kind === 'fed');
    expect(new Set(fed.map((e) => e.containerId)).size).toBe(2);
    for (const { amount, litres } of fed) expect(amount / (litres ?? 0)).toBeCloseTo(4, 6);
  });
});

describe('a batch of one’s own size', () => {
  it('is made up in a drum, as many litres for each bag as were said; what does not read is not given', async () => {
    const { made } = await openApp(
      `/bench/batch?bags=${idOf(garden, '7')}&with=tomato-liquid`,
      garden,
      DEMO_EVENING,
    );
    await press('another can or other litres');
    fill('Made up in', '120 L');
    fill('Each bag gets', 'some');
    await press('All of it was given');
    await screen.findByText(/does not read as a number/);
    expect(await made()).toEqual([]);
    fill('Each bag gets', '2.5');
    fireEvent.click(screen.getByRole('switch', { name: 'Each made up full' }));
    await screen.findByText(/in 120\sL of water; 117.5\sL is left over/);
    await press('All of it was given');
    await waitFor(async () => expect(kindsOf(await made()).sort()).toEqual(['fed', 'watering']));
    expect((await made()).find((e) => e.kind === 'fed')).toMatchObject({ amount: 10, litres: 2.5 });
  });
});

describe('a tub of tea', () => {
  it('is started, stirred, strained and used up', async () => {
    const { made } = await openApp('/bench/batch', garden, DEMO_EVENING);
    await press('Start a tub');
    const form = await dialog();
    fill('Water', 'nothing', form);
    await press('Started', form);
    await within(form).findByText(/does not read as a number/);
    fill('Water', '10 L', form);
    await within(form).findByText(/About 1 kg of leaves/);
    await press('Started', form);
    await gone();
    const tub = (await screen.findByText(/has steeped 0 days/)).parentElement as HTMLElement;
    await press('Stirred', tub);
    await waitFor(() => expect(tub.textContent).toMatch(/Next stir on/));
    await press('Strained', tub);
    const strained = await dialog();
    fill('How much came off', '2000 L', strained);
    await press('Put in the diary', strained);
    await within(strained).findByText(/cannot be right here/);
    fill('How much came off', '8 L', strained);
    await press('Put in the diary', strained);
    await gone();
    await waitFor(() => expect(tub.textContent).toMatch(/is strained; 8\sL left, to be given/));
    await press('Used up', tub);
    await waitFor(async () =>
      expect((await made()).map((e) => (e.kind === 'tea-tended' ? e.what : e.kind))).toEqual([
        'tea',
        'stirred',
        'strained',
        'emptied',
      ]),
    );
    await waitFor(() => expect(screen.queryByText(/has steeped 0 days|is strained; 8/)).toBeNull());
  });
});
