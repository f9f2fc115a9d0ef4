// @vitest-environment happy-dom
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { EntryKind } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { dialog, fill, openApp, pause, press } from './live.tsx';

const garden = demoWith('7', '12');
const SEVEN = idOf(garden, '7');

/** Sends the form that is open as a held Enter and an impatient mouse do. */
async function sendOften(): Promise<void> {
  const sheet = await dialog();
  const form = sheet.querySelector('form') as HTMLFormElement;
  const button = form.querySelector('button[type="submit"]') as HTMLButtonElement;
  for (let i = 0; i < 3; i++) {
    fireEvent.submit(form);
    fireEvent.click(button);
  }
  await act(() => new Promise((done) => setTimeout(done)));
  fireEvent.submit(form);
}

interface Form {
  readonly name: string;
  /** what leads to it on a bag's page: a button, or an item of its menu */
  readonly button?: string;
  readonly item?: string;
  readonly say?: (sheet: HTMLElement) => void;
  readonly kind: EntryKind;
}

const FORMS: readonly Form[] = [
  {
    name: 'water',
    button: 'Water',
    say: (sheet) => fill(/^(How much|Water|Amount)/, '2 L', sheet),
    kind: 'watering',
  },
  { name: 'picking', button: 'Pick', say: (sheet) => fill('Weight', '450 g', sheet), kind: 'picking' },
  {
    name: 'note',
    button: 'Note',
    say: (sheet) => fill('What you saw or did', 'leaves curl', sheet),
    kind: 'note',
  },
  { name: 'work done', item: 'Work done', kind: 'tended' },
  { name: 'an earlier check', item: 'An earlier check', kind: 'check' },
  { name: 'spray', item: 'Spray or bait', kind: 'sprayed' },
  { name: 'cleaning', item: 'Clean it', kind: 'cleaned' },
];

describe('a form that is sent six times at once', () => {
  it.each(FORMS)('$name stores once', async ({ button, item, say, kind }) => {
    const { made } = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    if (button) await press(button);
    else {
      await press('More');
      fireEvent.click(await screen.findByRole('menuitem', { name: item ?? '' }));
    }
    const sheet = await dialog();
    await within(sheet).findByRole('button', { name: 'Cancel' });
    say?.(sheet);
    await sendOften();
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await waitFor(async () => expect((await made()).length).toBeGreaterThan(0));
    expect((await made()).map((e) => e.kind)).toEqual([kind]);
  });

  it('what is taken out three times in a row is taken out once, and one undo brings it back', async () => {
    const { made } = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    const [trash] = await screen.findAllByRole('button', { name: /^Remove: / });
    for (let i = 0; i < 3; i++) fireEvent.click(trash as HTMLElement);
    await waitFor(async () => expect((await made()).map((e) => e.kind)).toEqual(['removed']));
    await press('Undo');
    await waitFor(async () => expect((await made()).map((e) => e.kind)).toEqual(['removed', 'removed']));
  });

  it('a correction corrects once, and the line puts down once', async () => {
    const { made } = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    const [pencil] = await screen.findAllByRole('button', { name: /^Correct: / });
    fireEvent.click(pencil as HTMLElement);
    await sendOften();
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect((await made())[0]).toHaveProperty('replaces');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fireEvent.change(line, { target: { value: 'picked 300 g from 12' } });
    await screen.findByText(/Picked: 300 g/);
    for (let i = 0; i < 4; i++) fireEvent.keyDown(line, { key: 'Enter' });
    await waitFor(async () => expect((await made()).filter((e) => e.kind === 'picking')).toHaveLength(1));
  });

  it('a picking in the line that is doubtful is asked about once, and put down once', async () => {
    const { made } = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fireEvent.change(line, { target: { value: 'picked 45 kg from 12' } });
    await screen.findByText(/45\skg at one picking is much\.$/);
    for (let i = 0; i < 4; i++) fireEvent.keyDown(line, { key: 'Enter' });
    await screen.findByText(/is much\. Press again if it is right\./);
    expect(await made()).toEqual([]);
    await pause();
    for (let i = 0; i < 4; i++) fireEvent.keyDown(line, { key: 'Enter' });
    await waitFor(async () => expect(await made()).toMatchObject([{ kind: 'picking', kilograms: 45 }]));
  });
});
