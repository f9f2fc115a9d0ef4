// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, fill, openApp, press } from './live.tsx';

/** Bag 22 has three plants with names, one of another variety; bag 24 is empty. */
const garden = demoWith('22', '24', '5', '14');
const TROUGH = idOf(garden, '22');
const EMPTY_BAG = idOf(garden, '24');
const trough = () => openApp(`/bags/${TROUGH}`, garden, DEMO_EVENING);
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
const plantOf = (name: string) => garden.plants.find((p) => p.name === name);

/** Chooses what is done with one plant. */
async function change(name: string, act: string): Promise<HTMLElement> {
  await press(`Change ${name}`);
  fireEvent.click(await screen.findByRole('menuitem', { name: act }));
  return dialog();
}

describe('a bag of several plants', () => {
  it('says of each what it is and how old, and a picking is from one of them', async () => {
    const { made } = await trough();
    await screen.findByText(/Stout Ned, tomato, dwarf; planted 25 May/);
    expect(
      await screen.findAllByText(/Bosun Short, tomato, dwarf; sown 28 Mar, \d+ days ago; planted 25 May/),
    ).toHaveLength(2);
    await press('Pick');
    const form = await dialog();
    await press('Fen', form);
    fill('Weight', '200 g', form);
    await press('Put in the diary', form);
    await gone();
    await screen.findByText(/^Fen: picked: 200\sg$/);
    expect(await made()).toMatchObject([{ kind: 'picking', plantId: plantOf('Fen')?.id, kilograms: 0.2 }]);
  });

  it('a stage is seen at one of them, or not yet, and is asked again then', async () => {
    const { made } = await openApp(`/bags/${idOf(garden, '14')}`, garden, DEMO_EVENING);
    const asked = await screen.findAllByRole('group', { name: /of Nell$/ });
    const [first] = asked;
    if (!first) throw new Error('something is asked of Nell');
    await press('Not yet', first);
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect((await made())[0]).toMatchObject({ kind: 'stage', isNotYet: true, plantId: plantOf('Nell')?.id });
    await screen.findByText(/Not on 16 Jul\./);
    await press('Seen', (await screen.findAllByRole('group', { name: /of Nell$/ }))[0]);
    await waitFor(async () => expect(await made()).toHaveLength(2));
    expect((await made())[1]).not.toHaveProperty('isNotYet');
  });

  it('one is moved to another bag, with its name and its age', async () => {
    const { made } = await trough();
    const form = await change('Wyn', 'Move it to another bag');
    await press('Move it', form);
    await gone();
    const entries = await made();
    expect(entries).toMatchObject([
      { kind: 'cleared', why: 'moved', plantId: plantOf('Wyn')?.id, containerId: TROUGH },
      { kind: 'planted', isMoved: true, plantId: plantOf('Wyn')?.id, containerId: EMPTY_BAG },
    ]);
    await screen.findByText('Room for 1 more.');
    await screen.findByText('Wyn: left (moved to another bag)');
  });

  it('one that was put down as another is put right, with its variety, its name and its sowing', async () => {
    const { made, stored } = await trough();
    const form = await change('Fen', 'Change its details');
    fill('Variety', 'Thimble', form);
    await choose('Growth', 'Micro-dwarf');
    fill('Name of the plant', 'Fenella', form);
    fill('Height of the plant', '9 in', form);
    await press('Correct it', form);
    await gone();
    const [entry] = await made();
    expect(entry).toMatchObject({ kind: 'planted', plantId: plantOf('Fen')?.id });
    expect((entry as Entry & { kind: 'planted' }).seedling.stemMillimetres).toBeCloseTo(228.6, 1);
    const after = await stored();
    const plant = after.plants.find((p) => p.id === plantOf('Fen')?.id);
    const variety = after.varieties.find((v) => v.id === plant?.varietyId);
    expect(plant?.name).toBe('Fenella');
    // one of those to begin with comes with what is known of it
    expect(variety).toMatchObject({ name: 'Thimble', habitId: 'micro', fruitGrams: 6 });
    await screen.findByText(/Thimble, tomato, micro-dwarf;/);
  });

  it('an entry that was put down at the wrong plant, or the wrong bag, is moved to the right one', async () => {
    const at = '2026-07-16T08:00:00.000+01:00';
    const wrong: Entry = {
      id: 'ent_wrong00001',
      kind: 'note',
      at,
      recordedAt: at,
      containerId: TROUGH,
      stationId: garden.containers.find((c) => c.id === TROUGH)?.stations[0]?.id,
      plantId: plantOf('Sol')?.id,
      text: 'leans to the wall',
    } as Entry;
    const { made } = await openApp(
      `/bags/${TROUGH}`,
      { ...garden, entries: [...garden.entries, wrong] },
      DEMO_EVENING,
    );
    await press('Correct: Sol: leans to the wall');
    const form = await dialog();
    await choose('Plant', 'Wyn');
    await press('Correct it', form);
    await gone();
    expect((await made()).at(-1)).toMatchObject({
      kind: 'note',
      replaces: wrong.id,
      plantId: plantOf('Wyn')?.id,
      text: 'leans to the wall',
    });
    await screen.findByText(/^Wyn: leans to the wall/);
    await screen.findByText(/\(corrected; was sol: leans to the wall\)/i);
  });
});

describe('a bag that is carried', () => {
  it('stands elsewhere from its day on, and its diary says so', async () => {
    const { made, stored } = await openApp(`/bags/${idOf(garden, '5')}`, garden, DEMO_EVENING);
    await press('More');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Move it to another place' }));
    const form = await dialog();
    await choose('Where it goes', 'Roof deck');
    await press('Move it', form);
    await gone();
    const [entry] = await made();
    const deck = garden.places.find((p) => p.name === 'Roof deck');
    expect(entry).toMatchObject({ kind: 'moved', toPlaceId: deck?.id });
    expect((await stored()).containers.find((c) => c.label === '5')?.placeId).toBe(deck?.id);
    await screen.findByText('Carried to Roof deck');
  });
});

describe('a bag without holes', () => {
  it('asks for them, and drains once they are made', async () => {
    const five = garden.containers.find((c) => c.label === '5');
    if (!five) throw new Error('there is a bag 5');
    const holeless = {
      ...garden,
      containers: [
        { ...five, kindId: 'bucket', size: { by: 'label' as const, litres: 40 }, hasNoHoles: true },
      ],
    };
    const { made, stored } = await openApp(`/bags/${five.id}`, holeless, DEMO_EVENING);
    const job = (await screen.findByText('Make holes for the water')).closest('li') as HTMLElement;
    fireEvent.click(within(job).getByRole('button'));
    await waitFor(async () => expect(await made()).toMatchObject([{ kind: 'tended', task: 'holed' }]));
    expect((await stored()).containers[0]).not.toHaveProperty('hasNoHoles');
    await waitFor(() => expect(screen.queryByText('Make holes for the water')).toBeNull());
  });
});

describe('a bag with a support of no height', () => {
  it('is not changed, and the part that wants a word opens and says which', async () => {
    const { made } = await openApp(`/bags/${idOf(garden, '5')}/edit?part=support`, garden, DEMO_EVENING);
    const sheet = await dialog();
    fill('Its top, from the ground', '', sheet);
    await press('Done', sheet);
    await gone();
    await press('Change it');
    expect(
      within(await dialog())
        .getByLabelText('Its top, from the ground')
        .getAttribute('aria-invalid'),
    ).toBe('true');
    expect(await made()).toEqual([]);
  });
});
