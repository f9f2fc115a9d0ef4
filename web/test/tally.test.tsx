// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Garden } from '@rundel/core/records';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, openApp, press } from './live.tsx';

const garden = demoWith('7', '12');
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

/** A garden without what the demo's own neighbours picked and stored. */
const bareOf = (of: Garden): Garden => ({
  ...of,
  entries: of.entries.filter((e) => !['picking', 'shelved', 'shelf-check', 'worked'].includes(e.kind)),
  trials: [],
});

describe('yields', () => {
  it('of a garden without bags say what comes first', async () => {
    await openApp('/tally', EMPTY, MAY_MORNING);
    await screen.findByText('First, a picking');
  });

  it('take a picking from here, counted without a weight: it is worth its usual weight, and that is said', async () => {
    const { made } = await openApp('/tally', bareOf(garden), DEMO_EVENING);
    await screen.findByText('First, a picking');
    await choose('Picked from', /^12 · /);
    const form = await dialog();
    fill('How many', '5', form);
    await press('Put in the diary', form);
    await gone();
    const row = await screen.findByRole('row', { name: /12 · / });
    expect(row.textContent).toMatch(/\d+\sg of it by count/);
    const [picking] = await made();
    expect(picking).toMatchObject({ kind: 'picking', containerId: idOf(garden, '12'), count: 5 });
    expect(picking).not.toHaveProperty('kilograms');
  });

  it('of bowls at the scale go in one after another, how ripe they were with them', async () => {
    const { made } = await openApp('/tally', garden, DEMO_EVENING);
    await press('Weigh several in a row');
    const form = await dialog();
    const first = within(form).getByRole('heading').textContent;
    fill('Weight', '450 g', form);
    const stage = within(form).queryByRole('group', { name: 'How ripe' });
    if (stage) await press('First blush', stage);
    await press('Next bag', form);
    await waitFor(() => expect(within(form).getByRole('heading').textContent).not.toBe(first));
    expect(within(form).getByText(/In the diary: .*450\sg/)).toBeTruthy();
    await press('Back', form);
    expect(within(form).getByRole('heading').textContent).toBe(first);
    await waitFor(async () => expect(await made()).toHaveLength(1));
    expect((await made())[0]).toMatchObject({ kind: 'picking', kilograms: 0.45 });
  });

  it('of last summer stand beside this one, under the names of what stood there then', async () => {
    await openApp('/tally', garden, DEMO_EVENING);
    await screen.findByText(/In 2025 it was [\d.]+\s\w+ by this day, and [\d.]+\s\w+ in all\./);
    await screen.findByRole('columnheader', { name: 'In 2025' });
    const total = () => screen.getByTestId('total').textContent;
    const now = total();
    fireEvent.click(
      within(screen.getByRole('navigation', { name: 'Years' })).getByRole('button', { name: '2025' }),
    );
    await waitFor(() => expect(total()).not.toBe(now));
    // the year stands in the address: a reload comes back to it
    expect(new URLSearchParams(location.search).get('year')).toBe('2025');
    expect((await screen.findByRole('row', { name: /12 · Bosun Short/ })).textContent).toContain('Sep');
    // what this year picked is not in it
    const kilograms = (year: string) =>
      garden.entries.reduce(
        (sum, e) => sum + (e.kind === 'picking' && e.at.startsWith(year) ? (e.kilograms ?? 0) : 0),
        0,
      );
    expect(kilograms('2025')).toBeGreaterThan(0);
    expect(Number.parseFloat(total() ?? '')).toBeCloseTo(kilograms('2025'), 0);
  });

  it('are told by variety or crop, narrowed down and found, and the sum goes with them', async () => {
    await openApp('/tally?year=2025', garden, DEMO_EVENING);
    await screen.findByRole('row', { name: /12 · Bosun Short/ });
    const total = screen.getByTestId('total').textContent;
    await choose('Told by', 'Variety');
    await screen.findByRole('row', { name: /Bosun Short/ });
    expect(screen.getByTestId('total').textContent).toBe(total);
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'lantern' } });
    await waitFor(() => expect(screen.queryByRole('row', { name: /Bosun Short/ })).toBeNull());
    expect(location.search).toMatch(/by=variety.*find=lantern/);
    await press('Show all again');
    await screen.findByRole('row', { name: /Bosun Short/ });
    await press('Narrow it down');
    await choose('Place', 'Roof deck');
    await waitFor(() => expect(screen.queryByRole('row', { name: /Lantern Drop/ })).toBeNull());
  });
});

describe('a bowl from several bags', () => {
  const two = async () => {
    const app = await openApp('/bags', bareOf(garden), DEMO_EVENING);
    await press('Several at once');
    for (const label of ['7', '12'])
      fireEvent.click(await screen.findByRole('checkbox', { name: new RegExp(`^${label} `) }));
    await press('More');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Pick' }));
    const form = await dialog();
    fireEvent.click(within(form).getByLabelText('That is for all of them together'));
    return { app, form };
  };

  it('is split by how many came from each: the weight follows the fruits', async () => {
    const { app, form } = await two();
    fill('Weight', '1 kg', form);
    fill('From 7', '1', form);
    fill('From 12', '3', form);
    await press('Put in the diary', form);
    await gone();
    const made = await app.made();
    expect(made).toHaveLength(2);
    expect(made).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ containerId: idOf(garden, '7'), count: 1, kilograms: 0.25 }),
        expect.objectContaining({ containerId: idOf(garden, '12'), count: 3, kilograms: 0.75 }),
      ]),
    );
  });

  it('whose parts are not its sum is asked about, and nothing is lost', async () => {
    const { app, form } = await two();
    fill('How many', '5', form);
    fill('From 7', '1', form);
    fill('From 12', '3', form);
    await press('Put in the diary', form);
    await within(form).findByText('These are 4 fruits, and above it says 5. Which is right?');
    fill('From 12', '4', form);
    await press('Put in the diary', form);
    await gone();
    expect((await app.made()).map((e) => (e.kind === 'picking' ? e.count : 0)).sort()).toEqual([1, 4]);
  });
});

describe('what is coming', () => {
  it('is a range for the week and the season, by bag, with last season’s errors', async () => {
    await openApp('/tally/coming', garden, DEMO_EVENING);
    expect((await screen.findByTestId('week')).textContent).toMatch(/ to /);
    await screen.findByRole('columnheader', { name: 'In seven days' });
    await screen.findByText(/A week ahead the garden's total was off by/);
    expect((await screen.findByRole('region', { name: 'Ripe this week, and after' })).textContent).toMatch(
      /Truss|truss|Nothing new ripens/,
    );
  });

  it('of an empty garden is nothing, and says so', async () => {
    await openApp('/tally/coming', EMPTY, MAY_MORNING);
    await screen.findByText(/Nothing stands in the bags/);
  });
});

describe('a trial', () => {
  const three = demoWith('11', '12', '15');

  it('is put down with its bags, and says what can be said; a bag is left out with a reason', async () => {
    const { stored } = await openApp('/tally/trials', { ...three, trials: [] }, DEMO_EVENING);
    await screen.findByText('Try one thing against another');
    await press('New trial');
    const form = await dialog();
    await press('Save', form);
    await within(form).findByText('Give it a name.');
    fill('What is tried', 'Fabric or plastic', form);
    fill('One way', 'plastic', form);
    fill('The other way', 'fabric', form);
    await press('Save', form);
    await within(form).findByText(/Each way needs at least one bag/);
    const give = async (bag: RegExp, what: string) =>
      press(what, await within(form).findByRole('group', { name: bag }));
    await give(/^What 11 /, 'fabric');
    await give(/^What 12 /, 'fabric');
    await give(/^What 15 /, 'plastic');
    await press('Save', form);
    await gone();
    await screen.findByRole('heading', { name: 'Fabric or plastic' });
    await screen.findByRole('img', { name: /^From .* to .*, most likely / });
    const panel = screen.getByRole('region', { name: 'Fabric or plastic' });
    expect(await within(panel).findAllByText(/would find a difference of 20 %/)).toHaveLength(1);
    await press('Leave out 12', panel);
    const why = await dialog();
    await press('Leave it out', why);
    await within(why).findByText(/a bag that did badly is no reason/);
    fill('Why it does not count', 'Slugs ate it', why);
    await press('Leave it out', why);
    await gone();
    await within(panel).findByText('left out: Slugs ate it');
    const trials = (await stored()).trials.filter((t) => t.name === 'Fabric or plastic');
    expect(trials[0]?.units.filter((u) => u.outBecause !== undefined)).toHaveLength(1);
    await within(panel).findByText('One each: too few to say.');
    await press('Count 12', panel);
    await waitFor(() => expect(within(panel).queryByText('left out: Slugs ate it')).toBeNull());
  });

  it('deals its bags by lot, and any two groups are compared without one', async () => {
    const { stored } = await openApp('/tally/trials', { ...three, trials: [] }, DEMO_EVENING);
    await press('New trial');
    const form = await dialog();
    fill('What is tried', 'Lot', form);
    fill('One way', 'this', form);
    fill('The other way', 'that', form);
    await press('Deal by lot', form);
    await press('Save', form);
    await gone();
    const [trial] = (await stored()).trials;
    const count = (id: string) => trial?.units.filter((u) => u.treatmentId === id).length ?? 0;
    expect(Math.abs(count('a') - count('b'))).toBe(1);
    const compare = await screen.findByRole('region', { name: 'Compare any two' });
    await choose('What is compared', 'Bag');
    await within(compare).findByText(/^(It may well be luck|One each: too few)/);
  });
});

describe('the shelf', () => {
  it('takes what is picked to be stored, is looked through, and what was said can be put right', async () => {
    const { made } = await openApp('/tally/shelf', bareOf(garden), DEMO_EVENING);
    await screen.findByText(/Picked green or at first blush/);
    await choose('Picked from', /^7 · /);
    const picking = await dialog();
    fill('How many', '9', picking);
    await press('Green', picking);
    await press('Stored', picking);
    await press('Put in the diary', picking);
    await gone();
    expect((await screen.findByTestId('on-shelf')).textContent).toBe('9');
    const lot = await screen.findByRole('region', { name: /^Lantern Drop, green/ });
    expect(lot.textContent).toMatch(/Ripe between/);
    await press('Move, name, keep', lot);
    const change = await dialog();
    fill('What you call it', 'Cellar crate', change);
    fill('How warm it is there', '8 C', change);
    await press('Save', change);
    await gone();
    const crate = await screen.findByRole('region', { name: 'Cellar crate' });
    await within(crate).findByText(/^Too cold/);
    await press('Look through', crate);
    const look = await dialog();
    fill('Taken to eat', '12', look);
    await press('Put in the diary', look);
    await within(look).findByText(/Only 9 were left/);
    fill('Taken to eat', '2', look);
    fill('Thrown out', '1', look);
    await press('Put in the diary', look);
    await gone();
    await waitFor(() => expect(screen.getByTestId('on-shelf').textContent).toBe('6'));
    const kinds = (await made()).map((e) => e.kind);
    expect(kinds).toEqual(['picking', 'shelved', 'shelf-check']);
    await press('What was put down: 2');
    fireEvent.click(screen.getAllByRole('button', { name: 'Delete' })[1] as HTMLElement);
    await waitFor(() => expect(screen.getByTestId('on-shelf').textContent).toBe('9'));
  });

  it('holds keepers that were brought in, and says how long they last', async () => {
    await openApp('/tally/shelf', bareOf(garden), DEMO_EVENING);
    await press('Put something on the shelf');
    const form = await dialog();
    await press('Put in the diary', form);
    await within(form).findByText('How many, or how heavy?');
    fill('How many', '30', form);
    fill('Drawn so many a week', '2', form);
    fill('Keeps so many months', '6', form);
    await press('Put in the diary', form);
    await gone();
    await screen.findByText(/30 at 2 a week last into (September|October|November) 2026/);
  });
});

describe('worth it', () => {
  it('asks for the shop’s price, and then says what is left', async () => {
    const of = { ...garden, settings: { ...garden.settings, shopPrices: undefined } } as unknown as Garden;
    const { stored } = await openApp('/tally/worth', of, DEMO_EVENING);
    await screen.findByText(/Say what the shop asks/);
    fill('Tomato, a kg', '4,50');
    await press('Save');
    await screen.findByText(/is what the shop would have asked for/);
    expect((await stored()).settings.shopPrices).toEqual({ tomato: 4.5 });
    await choose('Told by', 'Training');
    await screen.findByRole('columnheader', { name: /Worth an hour/ });
  });
});

describe('the review', () => {
  it('tells the season, and begins the next one from it', async () => {
    const { stored } = await openApp('/tally/review?year=2025', garden, DEMO_EVENING);
    await screen.findByRole('heading', { name: 'Gannet Slip, 2025' });
    const page = screen.getByRole('region', { name: 'Gannet Slip, 2025' });
    expect(page.textContent).toMatch(/2 plants in 2 bags gave [\d.]+\skg\. The first was picked on/);
    expect(within(page).getByRole('region', { name: 'Bags and mix' })).toBeTruthy();
    await choose('Of', 'Bag 12');
    await screen.findByRole('heading', { name: 'Bag 12, 2025' });
    await screen.findByText(/Bosun Short, planted 28 May.* It gave/);
    await choose('Of', 'The whole garden');
    await choose('Season', '2026');
    await screen.findByRole('heading', { name: 'Gannet Slip, 2026' });
    const before = (await stored()).plans.length;
    await press(/^Begin next season: /);
    await waitFor(async () => expect((await stored()).plans.length).toBeGreaterThan(before));
    expect((await stored()).plans.filter(({ plantOn }) => plantOn.startsWith('2027-05'))).toHaveLength(2);
  });

  it('of a season in which nothing stood says so', async () => {
    await openApp('/tally/review', EMPTY, MAY_MORNING);
    await screen.findByText(/A review is written from the diary/);
  });
});

describe('an address', () => {
  it('of a bag that is not there says so and leads back', async () => {
    await openApp('/bags/con_nothing1', garden, DEMO_EVENING);
    await screen.findByRole('heading', { level: 1, name: 'No such bag' });
    fireEvent.click(screen.getByRole('link', { name: 'To the bags' }));
    await screen.findByRole('heading', { level: 1, name: 'Bags' });
  });

  it('of nothing at all does too', async () => {
    await openApp('/attic', garden, DEMO_EVENING);
    await screen.findByRole('heading', { level: 1, name: 'There is nothing here' });
  });
});
