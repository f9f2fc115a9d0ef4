// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { CAUTIONS, SIGNS } from '@rundel/core/care';
import type { Container, Place } from '@rundel/core/records';
import { LEAF_SIGNS } from '../src/section/care/leaf-signs.tsx';
import { PLANT_SIGNS } from '../src/section/care/plant-signs.tsx';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, fill, openApp, pause, press } from './live.tsx';

const garden = demoWith('3', '7', '8', '24');
const [THREE, SEVEN] = ['3', '7'].map((label) => idOf(garden, label)) as [string, string];
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

async function more(act: string): Promise<void> {
  await press('More');
  fireEvent.click(await screen.findByRole('menuitem', { name: act }));
}

describe('what is said in the line', () => {
  it('of trouble, a job and the weather stands where each is kept, and a case has its name', async () => {
    const { made } = await openApp(`/bags/${SEVEN}`, garden, DEMO_EVENING);
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fill(/Find a bag/, 'greenfly on 7, took the side shoots off 7 and 8 yesterday, no rain yesterday');
    await screen.findByText(/7 · .*: Trouble: aphids or whitefly$/);
    await screen.findByText('2 bags: Side shoots out');
    await screen.findByText('The garden: Weather of 15 Jul: no rain');
    fireEvent.keyDown(line, { key: 'Enter' });
    await gone();
    const entries = await made();
    const trouble = entries.find((e) => e.kind === 'trouble');
    expect(trouble).toMatchObject({
      containerId: SEVEN,
      what: 'sap-suckers',
      caseId: expect.stringMatching(/^cas/),
    });
    expect(entries.filter((e) => e.kind === 'tended').map((e) => e.at.slice(0, 10))).toEqual([
      '2026-07-15',
      '2026-07-15',
    ]);
    await waitFor(() => expect(document.body.textContent).toContain('aphids or whitefly, seen 16 Jul'));
  });

  it('of bags that were carried and plants that died is so everywhere, and is taken back', async () => {
    const { made, stored } = await openApp('/bags', garden, DEMO_EVENING);
    const [bag] = garden.containers.filter(({ id }) => id === SEVEN) as [Container];
    const [there] = garden.places.filter(({ id }) => id !== bag.placeId) as [Place];
    const placeOf7 = async () => (await stored()).containers.find(({ id }) => id === SEVEN)?.placeId;
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fill(/Find a bag/, `moved 7 to the ${there.name} yesterday, all in 3 died of frost`);
    await screen.findByText(/^7 · .*: /);
    await waitFor(() => expect(screen.queryAllByText(/: .*died.*frost/)).toHaveLength(1));
    fireEvent.keyDown(line, { key: 'Enter' });
    await gone();
    await waitFor(async () => expect(await placeOf7()).toBe(there.id));
    const entries = await made();
    expect(entries.find((e) => e.kind === 'moved')).toMatchObject({
      containerId: SEVEN,
      fromPlaceId: bag.placeId,
      toPlaceId: there.id,
    });
    expect(entries.find((e) => e.kind === 'cleared')).toMatchObject({ containerId: THREE, why: 'died' });
    await press('Undo');
    await waitFor(async () => expect(await placeOf7()).toBe(bag.placeId));
  });

  it('of a move that was none goes with it, and the bag stands where it was', async () => {
    const { made, stored, goTo } = await openApp('/bags', garden, DEMO_EVENING);
    const [bag] = garden.containers.filter(({ id }) => id === SEVEN) as [Container];
    const [there] = garden.places.filter(({ id }) => id !== bag.placeId) as [Place];
    const placeOf7 = async () => (await stored()).containers.find(({ id }) => id === SEVEN)?.placeId;
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fill(/Find a bag/, `moved 7 to the ${there.name} on Monday`);
    await screen.findByText(/^7 · .*: Carried to/);
    fireEvent.keyDown(line, { key: 'Enter' });
    await gone();
    await waitFor(async () => expect(await placeOf7()).toBe(there.id));
    await goTo(`/bags/${SEVEN}`);
    await press(/^Remove: Carried to/);
    await waitFor(async () => expect(await made()).toHaveLength(2));
    await waitFor(async () => expect(await placeOf7()).toBe(bag.placeId));
  });

  it('and of which nothing is made can be kept as a note', async () => {
    const { made } = await openApp('/bags', garden, DEMO_EVENING);
    fireEvent.keyDown(document.body, { key: '/' });
    const line = await screen.findByRole('combobox', { name: /Find a bag/ });
    fill(/Find a bag/, '7 blew over');
    await screen.findByText(/it can be kept as it stands/);
    fireEvent.keyDown(line, { key: 'Enter' });
    await gone();
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect(await made()).toMatchObject([{ kind: 'note', containerId: SEVEN, text: '7 blew over' }]);
  });
});

describe('trouble', () => {
  it('of two marks that cannot both be is told, and neither counts', async () => {
    await openApp(`/bags/${SEVEN}/trouble`, garden, DEMO_EVENING);
    await screen.findByText(/Mark what you see\. I weigh it/);
    await press('The whole plant');
    await press('Hangs, and the mix is dry');
    await press('Hangs, though the mix is wet');
    await screen.findByText(/cannot both be: neither counts until one is taken off/);
    await press('Hangs, though the mix is wet');
    await waitFor(() => expect(screen.queryByText(/cannot both be/)).toBeNull());
  });

  it('what the grower remembers goes before the diary, and is kept with what was seen', async () => {
    const { made } = await openApp(`/bags/${SEVEN}/trouble`, garden, DEMO_EVENING);
    await press('Leaves');
    await press('Pale, papery patches');
    const before = (await screen.findByRole('list', { name: 'What may be behind it' })).textContent ?? '';
    await press(/^What went before/);
    await press('Yes: sprayed in the sun, feed on leaves too');
    await screen.findByText(/^(Very likely|Likely|May well be): /);
    const after = screen.getByRole('list', { name: 'What may be behind it' }).textContent ?? '';
    expect(after).toMatch(/^A spray in sunshine/);
    expect(before).not.toMatch(/^A spray in sunshine/);
    await press('Put in the diary');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        { kind: 'trouble', what: 'spray-scorch', recalled: { 'sprayed-in-sun': true } },
      ]),
    );
  });

  it('is looked at again: what is better is better, and what it turned out to be is kept', async () => {
    const mites = garden.entries.find((e) => e.kind === 'trouble' && e.containerId === THREE);
    if (mites?.kind !== 'trouble') throw new Error('the demo has mites in bag 3');
    const { made } = await openApp(`/bags/${THREE}/trouble?case=${mites.caseId ?? ''}`, garden, DEMO_EVENING);
    await screen.findByText(/spider mites, seen on 12 Jul/);
    expect((await screen.findByRole('button', { name: 'Put in the diary' })).hasAttribute('disabled')).toBe(
      true,
    );
    await press('New leaves are clean');
    await press('over');
    fireEvent.click(screen.getByLabelText('I am sure of it: reckon with it here'));
    await press('Put in the diary');
    await waitFor(async () =>
      expect(await made()).toMatchObject([
        { kind: 'followed-up', outcome: 'over', what: 'mites', seen: ['clean-growth'] },
      ]),
    );
    await screen.findByText(/over on 16 Jul/);
  });
});

describe('a spray', () => {
  it('goes on from its test leaf to the whole plant, with what was given before, and holds picking back', async () => {
    const { made } = await openApp(`/bags/${THREE}`, garden, DEMO_EVENING);
    fireEvent.click(await screen.findByRole('link', { name: /^Spray: soap for plants/ }));
    const form = await dialog();
    await waitFor(() =>
      expect(within(form).getByLabelText('So much of it')).toHaveProperty('value', '10 mL'),
    );
    // six in the evening in July: the sun is up
    expect(within(form).getByText(/^Not now: in the sun it burns leaves/)).toBeTruthy();
    fill('So much of it', '20', form);
    fill('In so much water', '5', form);
    expect(await within(form).findByText('4 mL/L')).toBeTruthy();
    fill('Days until picking', '3', form);
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([
      {
        kind: 'sprayed',
        extent: 'whole',
        millilitresPerLitre: 4,
        litres: 5,
        harvestDays: 3,
        asEntered: '20',
      },
    ]);
    await screen.findByText(/no picking before 19 Jul/);
    await press('Pick');
    await within(await dialog()).findByText(/its label asks for 3 days/);
  });

  it('without its water says nothing of its strength: it is asked for', async () => {
    await openApp(`/bags/${SEVEN}?do=spray`, garden, DEMO_EVENING);
    const form = await dialog();
    fill('So much of it', '1 tsp', form);
    await press('Put in the diary', form);
    await within(form).findByText(/In how much water\?/);
  });
});

describe('a bait', () => {
  it('wants neither a test leaf nor water, and is told with what was put out', async () => {
    const { made } = await openApp(`/bags/${SEVEN}?do=spray`, garden, DEMO_EVENING);
    const form = await dialog();
    await choose('What kind', 'Bait');
    await waitFor(() => expect(within(form).queryByLabelText('In so much water')).toBeNull());
    expect(within(form).queryByLabelText('On what')).toBeNull();
    fill('So much of it', '5 g', form);
    await press('Put in the diary', form);
    await gone();
    const [entry] = await made();
    expect(entry).toMatchObject({ kind: 'sprayed', agent: 'bait', extent: 'whole', asEntered: '5 g' });
    expect(entry).not.toHaveProperty('gramsPerLitre');
    await screen.findByText('Put out: bait, 5 g');
  });
});

describe('a bag that held a sick plant', () => {
  it('is warned of until it is washed and dried, by halves too, and then no more', async () => {
    const id = idOf(garden, '24');
    const { made } = await openApp(`/bags/${id}`, garden, DEMO_EVENING);
    await screen.findByText(
      /Bag 24 held a sick plant \(wilt in the sap, 2 Sep 2025\).*still wants to be dried/,
    );
    await more('Clean it');
    const form = await dialog();
    fireEvent.click(within(form).getByLabelText('Washed'));
    await press('Put in the diary', form);
    await within(form).findByText('Say at least one thing that was done.');
    fireEvent.click(within(form).getByLabelText('Dried right through'));
    await press('Put in the diary', form);
    await gone();
    expect(await made()).toMatchObject([{ kind: 'cleaned', what: 'bag', isDried: true }]);
    await waitFor(() => expect(screen.queryByText(/held a sick plant/)).toBeNull());
  });
});

describe('training', () => {
  it('that is not needed today, or never, is said in two taps', async () => {
    const { made, stored } = await openApp(`/bags/${THREE}`, garden, DEMO_EVENING);
    const at = /^Otherwise: Take the tip out at the wire/;
    await press(at);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'None there' }));
    await waitFor(async () =>
      expect(await made()).toMatchObject([{ kind: 'tended', task: 'stopped', isNothingThere: true }]),
    );
    await press(/^Otherwise: Take lower leaves off/);
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Not in my garden' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Otherwise: Take lower/ })).toBeNull());
    expect((await stored()).settings.training).toEqual({ 'cucumber-string leaves-off': false });
  });

  it('is told form by form, and what is turned off can be turned on again', async () => {
    const { stored } = await openApp('/bench/training', garden, DEMO_EVENING);
    await choose('Form', 'Branching pepper');
    const rule = await screen.findByRole('region', { name: 'Take out shoots below the fork' });
    expect(within(rule).getByRole('img', { name: /where$/ })).toBeTruthy();
    fireEvent.click(within(rule).getByLabelText('I do this'));
    await waitFor(async () => expect((await stored()).settings.training).toEqual({ 'pepper pinched': true }));
  });

  it('trusses take two taps on the round, and are told with the days on which they ripen', async () => {
    const { made } = await openApp(`/round/${SEVEN}`, garden, DEMO_EVENING);
    await press('Trusses');
    await screen.findByText(/7 fruit; ripe \d+ Aug to \d+ Aug/);
    await press('Truss 3: fruit set (4)');
    await waitFor(async () =>
      expect(await made()).toMatchObject([{ kind: 'truss', number: 3, stage: 'set', count: 4 }]),
    );
  });
});

describe('warnings', () => {
  it('of what was seen nearby stand on the round until they are taken off', async () => {
    const { made } = await openApp('/round', garden, DEMO_EVENING);
    await press('Trouble seen nearby');
    fill('Where, and by whom', 'next plot', await dialog());
    await press('Put in the diary', await dialog());
    await gone();
    expect(await made()).toMatchObject([{ kind: 'warned', what: 'blight', note: 'next plot' }]);
    await screen.findByText('Look out for blight:');
    await pause();
    await press('Trouble seen nearby');
    await press('Delete', await dialog());
    await waitFor(() => expect(screen.queryByText('Look out for blight:')).toBeNull());
  });

  it('all dangers stand on one page', async () => {
    await openApp('/help/dangers', garden, DEMO_EVENING);
    for (const { title } of CAUTIONS) expect(screen.getByText(title), title).toBeTruthy();
  });
});

it('every sign has a drawing of its own', () => {
  const drawn = { ...LEAF_SIGNS, ...PLANT_SIGNS };
  expect(Object.keys(drawn).sort()).toEqual(SIGNS.map(({ id }) => id).sort());
});
