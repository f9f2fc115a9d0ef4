// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, fillDay, openApp, press } from './live.tsx';

const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

describe('a mix of one’s own', () => {
  it('wants a name and parts that can be, and stands among the mixes then', async () => {
    const { stored } = await openApp('/bench/mix', EMPTY, MAY_MORNING);
    await press('A mix of my own');
    const form = await dialog();
    const [parts] = within(form).getAllByLabelText('Parts');
    fireEvent.change(parts as HTMLElement, { target: { value: 'some' } });
    fill('Lime, grams a litre', '900', form);
    await press('Save', form);
    expect(form.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThanOrEqual(3);
    expect((await stored()).mixes).toEqual([]);
    fill('Name', 'Step mix', form);
    fireEvent.change(parts as HTMLElement, { target: { value: '3' } });
    fill('Lime, grams a litre', '2', form);
    await press('Save', form);
    await gone();
    expect(await screen.findByRole('heading', { name: 'Step mix' })).toBeTruthy();
    expect((await stored()).mixes).toMatchObject([{ name: 'Step mix' }]);
  });
});

describe('measures of one’s own', () => {
  it('a hose is measured by a bucket and seconds', async () => {
    const { stored } = await openApp('/bench/measures', EMPTY, MAY_MORNING);
    await press('Measure another');
    const form = await dialog();
    await press('Save', form);
    await within(form).findByText('Give it a name: "green can".');
    await choose('What is it?', 'Hose');
    fill('Name', 'yard hose', form);
    fill('The bucket holds', '10 L', form);
    fill('Seconds to fill it', '0', form);
    await press('Save', form);
    await within(form).findByText('Seconds, from 1 to 3600.');
    fill('Seconds to fill it', '40', form);
    await press('Save', form);
    await gone();
    const hose = (await stored()).measures.find((m) => m.kind === 'hose');
    expect(hose).toMatchObject({ name: 'yard hose', litres: 0.25 });
  });

  it('one goes to the bin and comes back', async () => {
    const { stored } = await openApp('/bench/measures', EMPTY, MAY_MORNING);
    await press('Delete can');
    expect(await screen.findByText(/None yet: waterings are proposed in plain litres\./)).toBeTruthy();
    await press('Undo');
    await screen.findByRole('button', { name: 'Change can' });
    expect((await stored()).measures[0]?.binnedAt).toBeUndefined();
  });
});

describe('what a season costs', () => {
  const garden = demoWith('7', '12');
  const costs = () => openApp('/bench/costs', garden, DEMO_EVENING);

  it('money spent is shared or for some bags, and an amount is asked for', async () => {
    const { made } = await costs();
    await press('Money spent');
    const form = await dialog();
    await press('Put in the diary', form);
    await within(form).findByText('How much was it?');
    fill('How much', '3.40', form);
    fireEvent.click(within(form).getByLabelText('Bag 7'));
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([{ kind: 'spent', price: 3.4, containerIds: [idOf(garden, '7')] }]);
  });

  it('minutes worked lie between one and a day', async () => {
    const { made } = await costs();
    await press('Minutes worked');
    const form = await dialog();
    for (const [typed, said] of [
      ['0', /^Minutes from 1 to 1440/],
      ['long', /^Minutes from 1 to 1440/],
      ['2000', /^Minutes from 1 to 1440/],
    ] as const) {
      fill('Minutes', typed, form);
      await press('Put in the diary', form);
      await within(form).findByText(said);
    }
    fill('Minutes', '45', form);
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([{ kind: 'worked', minutes: 45 }]);
  });

  it('current for lamps is watts by hours by days', async () => {
    const { made } = await costs();
    await press('Current for lamps');
    const form = await dialog();
    fill('Watts, all lamps together', '60', form);
    fill('Hours a day', '14', form);
    fill('Days', 'few', form);
    await press('Put in the diary', form);
    await within(form).findByText(/does not read as a number/);
    fill('Days', '30', form);
    fill(/^A kilowatt-hour costs/, '', form);
    await press('Put in the diary', form);
    await within(form).findByText('What does a kilowatt-hour cost?');
    fill(/^A kilowatt-hour costs/, '0.30', form);
    await press('Put in the diary', form);
    await gone();
    // 60 W × 14 h × 30 days is 25.2 kWh
    expect(await made()).toMatchObject([{ kind: 'spent', on: 'current', price: 7.56 }]);
  });
});

describe('a product that feeds', () => {
  it('is checked by its label, kept, changed and binned', async () => {
    const { stored } = await openApp('/bench/feeds', EMPTY, MAY_MORNING);
    await press('Add a product');
    const form = await dialog();
    await press('Save', form);
    expect(form.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThanOrEqual(1);
    fill('Name', 'Tomato liquid 4-3-8', form);
    await press('Save', form);
    expect((await stored()).products).toEqual([]);
    fill('Name', 'Row liquid', form);
    const label = within(form).getByRole('group', { name: 'What its label says, per cent' });
    const [n, p, k] = within(label).getAllByRole('textbox') as HTMLElement[];
    fireEvent.change(n as HTMLElement, { target: { value: '4' } });
    fireEvent.change(p as HTMLElement, { target: { value: '2' } });
    fireEvent.change(k as HTMLElement, { target: { value: '6' } });
    const dose = within(form).queryByLabelText(/dose|how much/i);
    if (dose) fireEvent.change(dose, { target: { value: '5' } });
    await press('Save', form);
    await waitFor(async () =>
      expect((await stored()).products).toMatchObject([{ name: 'Row liquid', kind: 'feed' }]),
    );
  });
});

describe('products in a table', () => {
  it('come in; a row that cannot be is named with its reason, and a known name is left as it was', async () => {
    const { stored } = await openApp('/bench/feeds', EMPTY, MAY_MORNING);
    const read = async (...rows: readonly string[]) => {
      const text = ['name,form,n,p2o5,k2o,kg_per_litre,dose,dose_unit,dose_per', ...rows].join('\n');
      await screen.findByRole('button', { name: 'Add a product' });
      const input = document.querySelector('input[type="file"]') as HTMLInputElement;
      fireEvent.change(input, { target: { files: [new File([text], 'feeds.csv', { type: 'text/csv' })] } });
    };
    await read(
      'Deck powder,soluble,15,10,20,1,1,gram,litre',
      'Water,liquid,0,0,0,1,5,millilitre,litre',
      'Odd liquid,liquid,4,3,8,1,5,gram,litre',
    );
    await screen.findByRole('cell', { name: 'Deck powder' });
    await screen.findByText(/Line 3 \(Water\) was not taken: A label of 0-0-0/);
    await screen.findByText(/Line 4 \(Odd liquid\) was not taken: A liquid is dosed in mL/);
    await read('Deck powder,soluble,9,9,9,1,1,gram,litre');
    await waitFor(() => expect(screen.queryByText(/Line 3/)).toBeNull());
    expect((await stored()).products).toMatchObject([
      { name: 'Deck powder', label: { n: 15, p2o5: 10, k2o: 20 } },
    ]);
  });
});

describe('the drip bench', () => {
  it('opens at a bag that has a drip, and stays there when it is turned off', async () => {
    const { made } = await openApp('/bench/drip', demoWith('5', '7', '18'), DEMO_EVENING);
    const bag = await screen.findByRole('combobox', { name: 'Which bag' });
    expect(bag.textContent).toMatch(/^18 · /);
    await screen.findByText(/It is set to \d/);
    await press('It is turned off');
    await screen.findByText(/^This bag has no drip yet/);
    expect(bag.textContent).toMatch(/^18 · /);
    expect(await made()).toMatchObject([{ kind: 'drip', containerId: idOf(demoWith('18'), '18') }]);
  });

  it('that stood still is told afterwards, for all bags of the pump; one that was set late is set from then on', async () => {
    const { made } = await openApp('/bench/drip', demoWith('5', '7', '18'), DEMO_EVENING);
    await press('It stood still for a while');
    const form = await dialog();
    await fillDay('The first day without it', '12/07/2026', form);
    await fillDay('The first day that it ran again', '12/07/2026', form);
    await press('Put in the diary', form);
    await within(form).findByText(/on a later day/);
    await fillDay('The first day that it ran again', '15/07/2026', form);
    await press('Put in the diary', form);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    // what was made together comes in any order
    const byTime = async () => [...(await made())].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    const [off, on] = await byTime();
    expect(off).toMatchObject({ kind: 'drip', at: expect.stringMatching(/^2026-07-12/) });
    expect(off).not.toHaveProperty('setting');
    expect(on).toMatchObject({
      kind: 'drip',
      at: expect.stringMatching(/^2026-07-15/),
      setting: { emitters: 2 },
    });
    // the setting is the same as before
    fireEvent.click(screen.getByLabelText('It was earlier'));
    await fillDay('Day', '14/07/2026');
    await press('It is turned off');
    await waitFor(async () =>
      expect((await byTime()).map(({ at }) => at.slice(0, 10))).toEqual([
        '2026-07-12',
        '2026-07-14',
        '2026-07-15',
      ]),
    );
  });

  it('proposes a setting, which is taken and compared week by week', async () => {
    const garden = demoWith('7');
    const { made } = await openApp(`/bench/drip?bag=${idOf(garden, '7')}`, garden, DEMO_EVENING);
    await screen.findByText(/^This bag has no drip yet/);
    await screen.findByText(/I would set .* a week at the roots, of .* that the bag wants/);
    await press('Take the proposal');
    await press('It is set so');
    await screen.findByText(/It is set to \d/);
    const weeks = await screen.findByRole('table', { name: 'Use and drip by week' });
    expect(weeks.textContent).toContain('to come');
    expect(await made()).toMatchObject([{ kind: 'drip', containerId: idOf(garden, '7') }]);
  });

  it('a setting is kept in the diary, and what cannot be is said', async () => {
    const garden = demoWith('7', '12');
    const { made } = await openApp(`/bench/drip?bag=${idOf(garden, '12')}`, garden, DEMO_EVENING);
    fireEvent.change(await screen.findByLabelText('Minutes each time'), { target: { value: '0' } });
    await waitFor(() => expect(document.querySelectorAll('[aria-invalid="true"]')).toHaveLength(1));
    await press('It is set so');
    expect(await made()).toEqual([]);
    fill('Minutes each time', '20');
    fireEvent.click(screen.getByLabelText('Sun'));
    await press('It is set so');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        {
          kind: 'drip',
          containerId: idOf(garden, '12'),
          setting: { minutes: 20, weekdays: [1, 2, 3, 4, 5, 6] },
        },
      ]),
    );
  });
});

describe('regimes', () => {
  it('a second choice is not lost while the first is being drawn', async () => {
    const garden = demoWith('7', '12');
    const { made } = await openApp('/bench/regimes', garden, DEMO_EVENING);
    const plantingMethods = await screen.findByRole('navigation', { name: 'Ways of feeding' });
    await press(/^Bags to feed by it: .*Change$/);
    const chooser = await screen.findByRole('group', { name: 'Bags to feed by it' });
    // as fast as events come
    fireEvent.click(within(plantingMethods).getByRole('button', { name: /^Leaf first, then fruit/ }));
    fireEvent.click(within(chooser).getByRole('checkbox', { name: 'Bag 7' }));
    fireEvent.click(within(chooser).getByRole('checkbox', { name: 'Bag 12' }));
    await press('These 2 bags');
    await press('Feed 2 bags by it');
    await screen.findByText('2 bags fed by Leaf first, then fruit');
    expect((await made()).map((e) => 'regimeId' in e && e.regimeId)).toEqual([
      'leaf-then-fruit',
      'leaf-then-fruit',
    ]);
  });
});
