// @vitest-environment happy-dom
import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { newGarden } from '../src/store/index.ts';
import { choose, fill, openApp, press } from './live.tsx';

const NOW = '2026-05-02T10:00:00.000+01:00';
const garden = newGarden(NOW, { gardenName: 'Back step', latitudeDegrees: 51, units: 'metric' });
const shed = () => openApp('/bench/shed', garden, NOW);

describe('the shed', () => {
  it('is empty at first, and says what to put in', async () => {
    await shed();
    expect(await screen.findByText(/Nothing is in the shed yet/)).toBeTruthy();
  });

  it('takes in what was bought, with its price, and lets some of it out again', async () => {
    const { made } = await shed();
    await choose('Put in the shed', /^Coir$/);
    await press('How much?');
    const dialog = await screen.findByRole('dialog');
    fill('How much came in', '70 L', dialog);
    fill('Paid for it', '12.50', dialog);
    await press('Into the shed', dialog);
    expect(await screen.findByText(/70 L/)).toBeTruthy();
    expect(await made()).toMatchObject([{ kind: 'bought', amount: 70, paid: 12.5 }]);
  });

  it('says what is wrong beside its field, keeps the form, and stores nothing', async () => {
    const { made } = await shed();
    await press('How much?');
    const dialog = await screen.findByRole('dialog');
    await press('Into the shed', dialog);
    expect(within(dialog).getByText('Please give a number.')).toBeTruthy();
    fill('How much came in', 'plenty', dialog);
    await press('Into the shed', dialog);
    expect(within(dialog).queryByText('Please give a number.')).toBeNull();
    expect(within(dialog).getByLabelText('How much came in').getAttribute('aria-invalid')).toBe('true');
    expect(await made()).toEqual([]);
  });
});
