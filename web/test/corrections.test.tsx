// @vitest-environment happy-dom
import type { Garden, Entry } from '@rundel/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, fill, fillDay, openApp, press } from './live.tsx';

const demo = demoWith('7');
const SEVEN = idOf(demo, '7');
const AT = '2026-07-16T17:30:00.000+01:00';
const base = { id: 'ent_tocorrect01', containerId: SEVEN, at: AT, recordedAt: AT } as const;
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

/** Opens the form that corrects the one entry of the last half hour. */
async function correcting(entry: Entry, opened: Garden = demo) {
  const app = await openApp(
    `/bags/${SEVEN}`,
    { ...opened, entries: [...opened.entries, entry] },
    DEMO_EVENING,
  );
  const [first] = await screen.findAllByRole('button', { name: /^Correct: / });
  fireEvent.click(first as HTMLElement);
  const form = await dialog();
  const made = async () => (await app.stored()).entries.filter((e) => e.replaces === entry.id);
  const keep = () => press('Correct it', form);
  const refused = async (why: string | RegExp) => {
    await keep();
    await within(form).findByText(why);
  };
  const kept = async () => {
    await keep();
    await gone();
    return made();
  };
  return { ...app, form, made, keep, refused, kept };
}

describe('a correction', () => {
  it('of a grade names the grades of the way that it was felt in', async () => {
    const { form, kept } = await correcting({
      ...base,
      kind: 'check',
      check: { method: 'lift', grade: 2 },
    });
    expect(within(form).queryByText('The first version stays on record.')).toBeTruthy();
    await choose('What it felt like', 'heavy');
    expect(await kept()).toMatchObject([{ kind: 'check', check: { method: 'lift', grade: 3 } }]);
  });

  it('of a level goes by the marks of its gauge', async () => {
    const { kept } = await correcting({
      ...base,
      kind: 'check',
      check: { method: 'level', share: 0 },
    });
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'What it felt like' }));
    fireEvent.click((await screen.findAllByRole('option')).at(-1) as HTMLElement);
    expect(await kept()).toMatchObject([{ check: { method: 'level', share: 1 } }]);
  });

  it.each([
    ['probe', { method: 'probe', reading: 41 }, 'The probe shows', '140', /^From 0 to 100/, '38,5', 38.5],
    [
      'scale',
      { method: 'scale', kilograms: 31 },
      'The whole bag weighs',
      '900 kg',
      /cannot be right/,
      '29 kg',
      29,
    ],
  ] as const)(
    'of a %s reads as it does, and keeps what cannot be out',
    async (_, check, label, bad, why, product, value) => {
      const { form, made, refused, kept } = await correcting({ ...base, kind: 'check', check });
      fill(label, bad, form);
      await refused(why);
      expect(await made()).toEqual([]);
      fill(label, product, form);
      const [corrected] = await kept();
      const seen = corrected?.kind === 'check' ? corrected.check : undefined;
      expect(seen?.method === 'probe' ? seen.reading : seen?.method === 'scale' && seen.kilograms).toBe(
        value,
      );
    },
  );

  it('of a picking may take the weight out, and the count', async () => {
    const { form, refused, kept } = await correcting({
      ...base,
      kind: 'picking',
      kilograms: 1.2,
      asEntered: '1.2 kg',
      count: 8,
    });
    fill('Weight', '', form);
    fill('How many', '-2', form);
    await refused('A whole number of fruits, please.');
    fill('How many', '9', form);
    const [picking] = await kept();
    expect(picking).toMatchObject({ kind: 'picking', count: 9 });
    expect(picking).not.toHaveProperty('kilograms');
    expect(picking).not.toHaveProperty('asEntered');
  });

  it('may change a note that came with the line or a table, and who did it', async () => {
    const { form, kept } = await correcting({
      ...base,
      kind: 'watering',
      litres: 2,
      isMeasured: true,
      ranThrough: false,
      note: 'slowly',
      who: 'Ada',
    });
    fill('Note', 'slowly, in two goes', form);
    fill('Who did it', '', form);
    const [watering] = await kept();
    expect(watering).toMatchObject({ kind: 'watering', litres: 2, note: 'slowly, in two goes' });
    expect(watering).not.toHaveProperty('who');
    await screen.findByText(/Watered: 2\sL, “slowly, in two goes”/);
  });

  it('of a note needs a word', async () => {
    const { form, refused, kept } = await correcting({ ...base, kind: 'note', text: 'first truss' });
    fill('What you saw or did', ' ', form);
    await refused('Write a word or two first.');
    fill('What you saw or did', 'second truss', form);
    expect(await kept()).toMatchObject([{ kind: 'note', text: 'second truss', at: AT }]);
  });

  it('of what ran through counts in the water', async () => {
    const { form, kept } = await correcting({
      ...base,
      kind: 'watering',
      litres: 3,
      isMeasured: true,
      ranThrough: false,
    });
    await choose('Ran through at the bottom', 'a little');
    fireEvent.click(within(form).getByRole('switch', { name: 'Poured in goes, with pauses' }));
    fill('Ran off over the edge', '0.5 L', form);
    expect(await kept()).toMatchObject([
      {
        kind: 'watering',
        litres: 2.5,
        spiltLitres: 0.5,
        ranThrough: true,
        through: 'little',
        isInGoes: true,
      },
    ]);
    await screen.findByText(/^Watered: 2.5.L, and .* ran off, in goes, a little ran through$/);
  });

  it('of the height at planting stays within what a plant can be', async () => {
    const planted = demo.entries.find((e) => e.kind === 'planted' && e.containerId === SEVEN);
    if (planted?.kind !== 'planted') throw new Error('bag 7 has a plant');
    const only = { ...demo, entries: demo.entries.filter((e) => e.kind !== 'planted') };
    const { form, refused, kept } = await correcting(
      { ...planted, at: AT, recordedAt: AT, id: base.id },
      only,
    );
    fill('Height of the plant', '4 m', form);
    await refused(/cannot be right here/);
    fill('Height of the plant', '24 cm', form);
    expect(await kept()).toMatchObject([{ kind: 'planted', seedling: { stemMillimetres: 240 } }]);
  });

  it.each([
    ['01/03/2024', /before anything was planted/],
    ['18/07/2026', /in the future/],
  ])('to %s is refused with the reason, and the entry stays as it was', async (day, why) => {
    const { form, made, refused } = await correcting({
      ...base,
      kind: 'watering',
      litres: 3,
      isMeasured: true,
      ranThrough: false,
    });
    await fillDay('Day', day, form);
    await refused(why);
    await press('Cancel', form);
    await gone();
    expect(await made()).toEqual([]);
    expect(screen.getAllByText(/^Watered: 3.L$/)).toHaveLength(1);
  });

  it('of its time moves it in the diary, but not into the future', async () => {
    const { form, made, keep, kept } = await correcting({ ...base, kind: 'note', text: 'hot wind' });
    fill('Time', '23:55', form);
    await keep();
    await waitFor(() =>
      expect(form.querySelectorAll('[aria-invalid="true"], .Mui-error').length).toBeGreaterThan(0),
    );
    expect(await made()).toEqual([]);
    fill('Time', '08:05', form);
    expect(await kept()).toMatchObject([{ text: 'hot wind', at: '2026-07-16T08:05:00.000+01:00' }]);
    // and is the one that counts, once
    expect(screen.getAllByText('hot wind')).toHaveLength(1);
  });
});

it('is put right in the line as well, which says what it stands in place of', async () => {
  const wrong: Entry = { ...base, kind: 'check', check: { method: 'finger', grade: 1 }, note: 'crusty' };
  const app = await openApp('/bags', { ...demo, entries: [...demo.entries, wrong] }, DEMO_EVENING);
  fireEvent.keyDown(document.body, { key: '/' });
  const line = await screen.findByRole('combobox', { name: /Find a bag/ });
  fireEvent.change(line, { target: { value: 'actually 7 was wet' } });
  await screen.findByText(
    /^In place of 7 · check: dust-dry, “crusty” · .*The first version stays on record\.$/,
  );
  fireEvent.keyDown(line, { key: 'Enter' });
  await gone();
  const made = (await app.stored()).entries.filter((e) => e.replaces === wrong.id);
  expect(made).toMatchObject([{ at: AT, check: { grade: 5 }, note: 'crusty' }]);
  await screen.findByText(/put right/);
  // what a bag’s record says as well is put right there
  fireEvent.keyDown(document.body, { key: '/' });
  const again = await screen.findByRole('combobox', { name: /Find a bag/ });
  fireEvent.change(again, { target: { value: 'actually 7 died' } });
  await screen.findByText(/^Nothing of the kind was put down there lately/);
});
