// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EMPTY, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, press } from './live.tsx';

const shed = (entries = EMPTY.entries, products = EMPTY.products) =>
  openApp('/bench/shed', { ...EMPTY, entries, products }, MAY_MORNING);

const stamps = { at: '2026-04-02T10:00:00.000+01:00', recordedAt: '2026-04-02T10:00:00.000+01:00' };
const COIR_IN = {
  id: 'ent_coirin0001',
  kind: 'bought' as const,
  ...stamps,
  productId: 'coir',
  amount: 70,
  paid: 9,
};

/** Opens the menu of the only thing in the shed and chooses from it. */
async function actOn(act: string | RegExp): Promise<HTMLElement> {
  await press(/^What happened to/);
  fireEvent.click(await screen.findByRole('menuitem', { name: act }));
  return dialog();
}

describe('the shed', () => {
  it('is empty at first, and says what to put in', async () => {
    await shed();
    expect(await screen.findByText(/Nothing is in the shed yet/)).toBeTruthy();
  });

  it('takes in what was bought, with its price', async () => {
    const { made } = await shed();
    await choose('Put in the shed', /^Coir$/);
    await press('How much?');
    const form = await dialog();
    fill('How much came in', '70 L', form);
    fill('Paid for it', '12.50', form);
    await press('Into the shed', form);
    expect(await screen.findByText('For mixes')).toBeTruthy();
    expect(await made()).toMatchObject([{ kind: 'bought', productId: 'coir', amount: 70, paid: 12.5 }]);
  });

  it('takes what was a gift without a price', async () => {
    const { made } = await shed();
    await press('How much?');
    const form = await dialog();
    fill('How much came in', '40', form);
    await press('Into the shed', form);
    await screen.findByRole('button', { name: /^What happened to/ });
    const [entry] = await made();
    expect(entry).toMatchObject({ kind: 'bought', amount: 40 });
    expect(entry).not.toHaveProperty('paid');
  });

  it.each([
    ['', 'Please give a number.'],
    ['plenty', /does not read as a number/],
    ['-3', 'It must be more than nothing.'],
    ['3 m', /measures something else/],
  ])(
    'says beside the field what is wrong with "%s", keeps the form, and stores nothing',
    async (typed, said) => {
      const { made } = await shed();
      await press('How much?');
      const form = await dialog();
      fill('How much came in', typed, form);
      await press('Into the shed', form);
      await within(form).findByText(said);
      expect(within(form).getByLabelText('How much came in').getAttribute('aria-invalid')).toBe('true');
      expect(await made()).toEqual([]);
    },
  );

  it('lets some of it out, and is set right by a count', async () => {
    const { made } = await shed([COIR_IN]);
    const out = await actOn('Used some');
    fill('How much went out', '20 L', out);
    await press('Out of the shed', out);
    await screen.findByText(/^50 L/);
    const counted = await actOn('Counted what is there');
    fill('How much is there', '46 L', counted);
    await press('That is what is there', counted);
    await screen.findByText(/^46 L/);
    expect(await made()).toMatchObject([
      { kind: 'used', amount: 20 },
      { kind: 'counted', amount: 46 },
    ]);
  });

  it('keeps a price that was only seen, and asks for one', async () => {
    const { made } = await shed([COIR_IN]);
    const form = await actOn('Saw a price');
    fill('In a pack of', '50 L', form);
    await press('Keep the price', form);
    await within(form).findByText('What did it cost?');
    fill('Price', '7', form);
    await press('Keep the price', form);
    await screen.findByText(/priced/i);
    expect(await made()).toMatchObject([{ kind: 'priced', amount: 50, price: 7 }]);
  });

  it('an act is undone from the foot of the screen', async () => {
    const { stored } = await shed([COIR_IN]);
    const out = await actOn('Used some');
    fill('How much went out', '20', out);
    await press('Out of the shed', out);
    await screen.findByText(/^50 L/);
    await press('Undo');
    await screen.findByText(/^70 L/);
    // nothing is ever taken out of the diary: what was undone stands there as removed
    expect((await stored()).entries.map((e) => e.kind).sort()).toEqual(['bought', 'removed', 'used']);
  });
});

describe('a thing that the list does not have', () => {
  const own = async () => {
    const app = await shed();
    await press('Something not in the list');
    return { app, form: await dialog() };
  };

  it('stands in the shed at once, with none of it there', async () => {
    const { app, form } = await own();
    fill('Name', 'Wool pellets', form);
    await choose('What it is', 'Granules or pellets');
    fill('N, per cent', '9', form);
    fill('Dose by its label', '5', form);
    fill('A litre of it weighs, kg', '0,6', form);
    await press('Save', form);
    expect(await screen.findByText('Wool pellets')).toBeTruthy();
    const { products } = await app.stored();
    expect(products).toMatchObject([
      {
        name: 'Wool pellets',
        kind: 'feed',
        unit: 'kilogram',
        label: { n: 9, p2o5: 0, k2o: 0 },
        kilogramsPerLitre: 0.6,
      },
    ]);
    expect(await app.made()).toMatchObject([{ kind: 'counted', productId: products[0]?.id, amount: 0 }]);
  });

  it('has its dose as its label says it, in so much water', async () => {
    const { app, form } = await own();
    fill('Name', 'Blue crystals', form);
    await choose('What it is', 'Granules or pellets');
    fill('N, per cent', '24', form);
    fill('Dose by its label', '15 g in 5 L', form);
    await press('Save', form);
    await screen.findByText('Blue crystals');
    expect((await app.stored()).products[0]?.feed?.dose).toEqual({ amount: 3, unit: 'gram', per: 'litre' });
  });

  it.each([
    [{}, 'Give it a name.'],
    [{ Name: 'Dust' }, 'How much does its label ask for?'],
    [{ Name: 'Dust', 'A litre of it weighs, kg': '12' }, 'Kilograms in a litre, from a little to 5.'],
    [
      { Name: 'Dust', 'N, per cent': '60', 'K₂O, per cent': '55' },
      'A label cannot promise more than 100 % in all.',
    ],
    [{ Name: 'Dust', 'N, per cent': 'much' }, /does not read as a number/],
  ])('with %j is refused: %s', async (fields, said) => {
    const { app, form } = await own();
    for (const [label, value] of Object.entries(fields)) fill(label, value, form);
    await press('Save', form);
    await within(form).findByText(said);
    expect((await app.stored()).products).toEqual([]);
  });
});
