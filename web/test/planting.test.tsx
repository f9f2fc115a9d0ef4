// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, chooseBags, dialog, fill, openApp, press } from './live.tsx';

const garden = demoWith('1', '3', '6', '8');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

describe('how deep to plant', () => {
  const advice = () => screen.getByTestId('planting-advice').textContent ?? '';
  async function depthFor(bag: RegExp, height: string) {
    await openApp('/bench/depth', garden, DEMO_EVENING);
    await choose('Bag', bag);
    fill('Height of the plant', height);
  }

  it('is worked out as it is typed, for another graft, school and crop', async () => {
    await depthFor(/^6 · /, '20 cm');
    await waitFor(() => expect(advice()).toMatch(/bury 10\scm of the stem/));
    fill('Graft above the ball', '6 cm');
    await waitFor(() => expect(advice()).toMatch(/bury 3\.5\scm of the stem/));
    fill('Graft above the ball', '30 cm');
    await screen.findByText('The graft cannot be higher than the plant.');
    fill('Graft above the ball', '');
    await choose('Crop', 'Aubergine');
    await waitFor(() => expect(advice()).toContain('Plant it level with its old surface'));
  });

  it('that does not fit says which number stands in the way, and what would change it', async () => {
    await depthFor(/^1 · /, '40 cm');
    await waitFor(() => expect(advice()).toContain('Dig a trench'));
    await screen.findByText(/It takes .* of mix; the bag has 14.cm\./);
    await choose('How deep', 'Neck kept high and dry');
    await waitFor(() => expect(advice()).toContain('the neck stays dry'));
    fill('Height of the root ball', '20 cm');
    await screen.findByText(/The root ball is taller than the mix/);
  });

  it('is moved in the section by keys, and comes back', async () => {
    await depthFor(/^6 · /, '20 cm');
    const line = await screen.findByRole('slider', { name: /Planting line/ });
    fireEvent.keyDown(line, { key: 'ArrowDown', shiftKey: true });
    await waitFor(() => expect(advice()).toMatch(/bury 12\scm of the stem/));
    expect(line.getAttribute('aria-valuetext')).toMatch(/12.cm of the stem under/);
    await press('Back to what was worked out');
    await waitFor(() => expect(advice()).toMatch(/bury 10\scm of the stem/));
  });
});

describe('a support', () => {
  it('is chosen by its reasons, put up, and what it takes is named', async () => {
    const { made } = await openApp('/bench/supports', garden, DEMO_EVENING);
    await chooseBags('For which bags', '6');
    await screen.findByText(/Fits best: String to a wire/);
    expect(screen.getByText(/a frame under the bag \(it is for bags that lie flat\)/)).toBeTruthy();
    await press(/^Fits best/);
    await press('Use it for bag 6');
    const needs = await screen.findByRole('region', { name: 'What the supports take' });
    const string = await within(needs).findByRole('row', { name: /Soft string/ });
    expect(string.textContent).toMatch(/3.m/);
    expect(screen.getByText(/At the peak of the crop/)).toBeTruthy();
    await press('They are up');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        { kind: 'supported', containerId: idOf(garden, '6'), supportId: 'string', heightMillimetres: 2050 },
        { kind: 'used', productId: 'string', amount: 3 },
      ]),
    );
  });
});

describe('growth', () => {
  it('that was measured takes the place of a guess, and training is drawn', async () => {
    const { made } = await openApp(`/bags/${idOf(garden, '8')}`, garden, DEMO_EVENING);
    const growth = await screen.findByRole('region', { name: 'Growth and support' });
    await waitFor(() => expect(growth.textContent).toMatch(/Longfinger: about/));
    await press('Measure it', growth);
    const form = await dialog();
    fill('Height above the mix', '71 cm', form);
    await press('Put in the diary', form);
    await gone();
    await waitFor(() => expect(growth.textContent).toMatch(/Longfinger: 71.cm/));
    expect(await made()).toMatchObject([{ kind: 'height', heightMillimetres: 710 }]);
    const leadersDrawn = () => document.querySelectorAll('[data-part="plant"] > g').length;
    expect(leadersDrawn()).toBe(3);
    await choose('Trained to', 'two leaders');
    await waitFor(() => expect(leadersDrawn()).toBe(2));
  });

  it('asks for handwork on the round, which is ticked off and undone', async () => {
    const { made } = await openApp('/round', garden, DEMO_EVENING);
    const WIND = 'Wind it round its string at bag 3: done';
    await press(WIND);
    await waitFor(() => expect(screen.queryByRole('button', { name: WIND })).toBeNull());
    expect(await made()).toMatchObject([{ kind: 'tended', containerId: idOf(garden, '3') }]);
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await screen.findByRole('button', { name: WIND });
  });
});
