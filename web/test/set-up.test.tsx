// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, part, press } from './live.tsx';

const inUse = <T extends { readonly binnedAt?: string | undefined }>(rows: readonly T[]) =>
  rows.filter((row) => row.binnedAt === undefined);
const isChosen = (name: RegExp) => {
  const radio = screen.getByRole('radio', { name });
  return radio.getAttribute('aria-checked') === 'true' || (radio as HTMLInputElement).checked;
};
const pick = (name: RegExp) => fireEvent.click(screen.getByRole('radio', { name }));

describe('a size that is worked out on the bench', () => {
  it('is judged with its reason, becomes bags that stand where they are to, and one undo takes them back', async () => {
    const garden = demoWith('3', '7', '12');
    const { stored } = await openApp('/bench/size', garden, DEMO_EVENING);
    await waitFor(() => expect(isChosen(/^#10.*recommended/)).toBe(true));
    pick(/^#5/);
    await screen.findByText(/#5 .* is borderline for tomato/);
    fireEvent.click(screen.getByLabelText('it must be carried'));
    await screen.findByText(/#5 .* works for tomato/);
    fireEvent.click(screen.getByLabelText('it must be carried'));
    await screen.findByText(/#5 .* is borderline for tomato/);
    fill('How many', '6');
    await press('Set up 6 of these');
    await screen.findByRole('heading', { level: 1, name: 'Add a bag' });
    await waitFor(() => expect(screen.getByLabelText('How many of these')).toHaveProperty('value', '6'));
    await part('Where it stands', () => choose('Where it stands', 'Slipway terrace'));
    await press('Add 6 bags');
    await screen.findByText('9 bags in 3 places.');
    const added = (await stored()).containers.filter((c) => !garden.containers.some(({ id }) => id === c.id));
    expect(added).toHaveLength(6);
    expect(new Set(added.map(({ label }) => label)).size).toBe(6);
    expect(new Set(added.map(({ placeId }) => placeId)).size).toBe(1);
    await press('Undo');
    await screen.findByText('3 bags in 3 places.');
    expect(inUse((await stored()).containers)).toHaveLength(3);
  });
});

describe('sleeves of film', () => {
  it('what does not work out is said at its field; the rest goes on, and the sleeves are set up', async () => {
    await openApp('/bench/film', EMPTY, MAY_MORNING);
    await screen.findByText(/Each stands 28\.6\scm across and holds 25\sL/);
    fill('A seam takes', '-2');
    await screen.findByText(/it cannot be less than nothing/);
    fill('A seam takes', '2');
    await choose('The film is', 'A flat sheet');
    fill('Width of a sleeve, laid flat', '45');
    await screen.findByText(/The sleeve is wider than the film/);
    fill('Width of the roll', '2 m');
    fill('I hope each holds', '20 L');
    await screen.findByText(/The 20\sL meant for it will stand/);
    // the other half of the page goes on whatever this half says
    expect(screen.getByText(/Cut each 146\.4\scm long/)).toBeTruthy();
    await press('Set up these 6 sleeves');
    await screen.findByRole('heading', { level: 1, name: 'Add a bag' });
    await waitFor(() => expect(screen.getByLabelText('Width, laid flat')).toHaveProperty('value', '45 cm'));
  });
});

describe('what a floor bears', () => {
  it('a limit that does not read is not kept; one that is passed is said plainly', async () => {
    const garden = demoWith('12', '17');
    const limitOf = async () =>
      (await stored()).places.find(({ name }) => name === 'Roof deck')?.limitKilogramsPerSquareMetre;
    const { stored } = await openApp('/bench/load', garden, DEMO_EVENING);
    const before = await limitOf();
    const deck = await screen.findByRole('region', { name: 'Roof deck' });
    expect(deck.textContent).toContain('% of the limit');
    fill(/^What it bears/, 'plenty', deck);
    await within(deck).findByText(/The limit: a number above 0/);
    await press('Keep', deck);
    expect(await limitOf()).toBe(before);
    fill(/^What it bears/, '2', deck);
    await press('Keep', deck);
    expect((await within(deck).findByRole('alert')).textContent).toMatch(/beyond the limit of 2\skg/);
    expect(await limitOf()).toBe(2);
  });
});

describe('how a bag is made up', () => {
  it('is kept as a template and fills the form of the next one', async () => {
    const garden = demoWith('14');
    const { stored, goTo } = await openApp(`/bags/${idOf(garden, '14')}`, garden, DEMO_EVENING);
    await press('More');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Keep as a template' }));
    const form = await dialog();
    fill('Name', 'Long trough', form);
    await press('Save', form);
    await waitFor(async () => expect((await stored()).templates).toMatchObject([{ name: 'Long trough' }]));
    await goTo('/bags/new');
    await screen.findByRole('heading', { level: 1, name: /Add/ });
    await choose('Start from a template', 'Long trough');
    await waitFor(() =>
      expect(screen.getByRole('radio', { name: 'Trough' })).toHaveProperty('checked', true),
    );
    expect(screen.getByLabelText('Length')).toHaveProperty('value', '100 cm');
    await part('How many plants', (sheet) => {
      expect(within(sheet).getByLabelText('Plants side by side')).toHaveProperty('value', '3');
    });
  });

  it('goes over to another like it, which wants one number and has a label of its own', async () => {
    const { stored, goTo } = await openApp('/bags/new', EMPTY, MAY_MORNING);
    fill('Size on the label', '38 L');
    fill('Height of the plant', '34 cm');
    await press('Add the bag');
    await screen.findByRole('heading', { level: 2, name: '1 · Tomato' });
    await goTo(`/bags/${(await stored()).containers[0]?.id}`);
    await screen.findByRole('heading', { level: 1, name: '1 · Tomato' });
    await press('More');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Add another like it' }));
    await waitFor(() => expect(screen.getByLabelText('Size on the label')).toHaveProperty('value', '38 L'));
    await part('Number or name', (sheet) => {
      expect(within(sheet).getByLabelText('Number or name')).toHaveProperty('value', '2');
    });
    expect(screen.getByLabelText('Height of the plant')).toHaveProperty('value', '');
    fill('Height of the plant', '25');
    await press('Add the bag');
    await screen.findByRole('heading', { level: 1, name: '2 · Tomato' });
    const [one, two] = (await stored()).containers;
    expect([two?.kindId, two?.size]).toEqual([one?.kindId, one?.size]);
    await press('Undo');
    await screen.findByText(/Bag 2 was deleted/);
    expect(inUse((await stored()).containers)).toHaveLength(1);
  });
});

describe('old mix', () => {
  it('of a bag with trouble in it is refused with the reason, and a share that cannot be with its range', async () => {
    const garden = demoWith('7');
    const id = idOf(garden, '7');
    const { made, goTo } = await openApp(`/bags/${id}`, garden, DEMO_EVENING);
    await press('More');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Look into trouble' }));
    await press('Mix and roots');
    await press('Roots brown and soft');
    await choose('What you take it for', 'Rotting roots');
    await press('Put in the diary');
    await screen.findByText(/do not use it again/);
    expect(await made()).toMatchObject([{ kind: 'trouble', containerId: id }]);
    await goTo(`/bench/fill?bags=${id}`);
    fireEvent.change(await screen.findByLabelText('Old mix that stays, %'), { target: { value: '50' } });
    await screen.findByText(/Rotting roots was recorded in this bag/);
    fill('Old mix that stays, %', '95');
    await screen.findByText(/70 % may stay/);
    expect(await made()).toHaveLength(1);
  });
});

describe('the table of the stands', () => {
  it('says of each bag what its drawing says, and leads to it', async () => {
    const garden = demoWith('3', '7', '13', '17');
    await openApp('/bags', garden, DEMO_EVENING);
    await screen.findAllByText('check now');
    const due = screen.getAllByText('check now').length;
    await press('Table');
    await waitFor(() => expect(screen.getAllByRole('row')).toHaveLength(5));
    expect(screen.getAllByRole('cell', { name: 'now' })).toHaveLength(due);
    fireEvent.click(screen.getByRole('link', { name: '7' }));
    await screen.findByRole('heading', { level: 1, name: '7 · Lantern Drop' });
  });
});

describe('a measure of one’s own', () => {
  it('is what waterings are proposed in', async () => {
    const garden = demoWith('7');
    const settings = { ...garden.settings, wateringMeasureId: undefined };
    const { goTo } = await openApp('/bench/measures', { ...garden, settings }, DEMO_EVENING);
    await press('Measure another');
    const form = await dialog();
    await choose('What is it?', 'Hose');
    fill('Name', 'yard hose', form);
    fill('The bucket holds', '10 L', form);
    fill('Seconds to fill it', '40', form);
    await press('Save', form);
    await screen.findByText(/250\smL a second/);
    await choose('Propose waterings in', 'yard hose');
    await goTo(`/round/${idOf(garden, '7')}`);
    await press(/^dry /);
    expect((await screen.findByRole('group', { name: 'Proposed watering' })).textContent).toMatch(
      /\d+ s of yard hose/,
    );
  });
});
