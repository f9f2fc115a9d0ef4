// @vitest-environment happy-dom
import type { Garden } from '@rundel/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, idOf, MAY_MORNING } from './gardens.ts';
import { choose, dialog, fill, fillDay, openApp, press } from './live.tsx';

const demo = demoWith('7', '12');
/** The same with nothing planned, and nobody's own frost dates but the demo's. */
const garden: Garden = { ...demo, plans: [] };
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
const said = () => screen.getByTestId('consequence').textContent ?? '';

async function year(opened: Garden = garden, now = DEMO_EVENING) {
  const app = await openApp('/season', opened, now);
  await screen.findByRole('button', { name: 'Plan a crop' });
  return { ...app, plans: async () => (await app.stored()).plans };
}

/** Plans a crop of its proposed day, or of another. */
async function plan(variety: string, day?: string) {
  await press('Plan a crop');
  const form = await dialog();
  if (day !== undefined) await fillDay('Plant on', day.split('-').reverse().join('/'), form);
  fill('Variety', variety, form);
  await press('Add to the plan', form);
  return form;
}

describe('a plan', () => {
  it('is proposed after what stands in the bag, and shown in the year that it falls in', async () => {
    const { plans } = await year();
    await press('Plan a crop');
    const form = await dialog();
    await within(form).findByText(/^After what stands in it this season is too short: /);
    await choose('Crop', 'Cucumber');
    fill('Variety', 'Longfinger', form);
    await fillDay('Plant on', '20/05/2027', form);
    await press('Add to the plan', form);
    await gone();
    const [made] = await plans();
    expect(made).toMatchObject({ cropId: 'cucumber', varietyName: 'Longfinger', plantOn: '2027-05-20' });
    // the year of the plan is the one that is shown now
    await screen.findByRole('heading', { name: '2027' });
    await screen.findByRole('slider', { name: 'Planting day of Longfinger' });
    expect(said()).toMatch(/^Planting on 20 May/);
  });

  it('for which this season is too short is proposed for the next', async () => {
    const { plans } = await year();
    await press('Plan a crop');
    const form = await dialog();
    const words = await within(form).findByText(
      /too short: \d+ days are left.* Next season: \d+ \w+ to \d+ \w+/,
    );
    const [, opens] = /Next season: (\d+) /.exec(words.textContent ?? '') ?? [];
    // an emptied day is the one that was proposed
    await fillDay('Plant on', '', form);
    await press('Add to the plan', form);
    await gone();
    const [made] = await plans();
    expect(made?.plantOn).toMatch(/^2027-0[456]-/);
    expect(Number(made?.plantOn.slice(8))).toBe(Number(opens));
  });

  it('is moved by the arrow keys, which are one move and one undo', async () => {
    const { plans } = await year();
    await plan('Lantern Drop', '2027-06-01');
    await gone();
    const bar = await screen.findByRole('slider', { name: 'Planting day of Lantern Drop' });
    expect(said()).toMatch(/The day suits it\./);
    for (let i = 0; i < 8; i++) fireEvent.keyDown(bar, { key: 'ArrowLeft', shiftKey: true });
    fireEvent.keyDown(bar, { key: 'ArrowRight' });
    await waitFor(() => expect(said()).toMatch(/Earlier than your practice would/));
    expect(said()).toMatch(/Chance of frost after it: /);
    await waitFor(async () => expect((await plans())[0]?.plantOn).toBe('2027-04-07'));
    await press('Undo');
    await waitFor(async () => expect((await plans())[0]?.plantOn).toBe('2027-06-01'));
    await waitFor(() => expect(said()).toMatch(/The day suits it\./));
    // any other key is the browser's
    fireEvent.keyDown(bar, { key: 'End' });
    expect(said()).toMatch(/^Planting on 1 Jun/);
  });

  it('that is moved on while the move before it is undone stays where the undo put it', async () => {
    const { plans } = await year();
    await plan('Lantern Drop', '2027-06-01');
    await gone();
    const bar = await screen.findByRole('slider', { name: 'Planting day of Lantern Drop' });
    fireEvent.keyDown(bar, { key: 'ArrowLeft', shiftKey: true });
    await waitFor(async () => expect((await plans())[0]?.plantOn).toBe('2027-05-25'));
    const undo = await screen.findByRole('button', { name: 'Undo' });
    // at once, so that the second move still waits however slow the machine
    fireEvent.keyDown(bar, { key: 'ArrowLeft', shiftKey: true });
    fireEvent.click(undo);
    await waitFor(() => expect(said()).toMatch(/^Planting on 1 Jun/));
    await new Promise((done) => setTimeout(done, 800));
    expect(said()).toMatch(/^Planting on 1 Jun/);
    expect((await plans())[0]?.plantOn).toBe('2027-06-01');
    // and is moved from there again
    fireEvent.keyDown(bar, { key: 'ArrowRight' });
    await waitFor(async () => expect((await plans())[0]?.plantOn).toBe('2027-06-02'));
  });

  it('that is moved over the end of the year is followed there', async () => {
    const { plans } = await year();
    await plan('Lantern Drop', '2026-12-29');
    await gone();
    const bar = await screen.findByRole('slider', { name: 'Planting day of Lantern Drop' });
    expect(said()).toMatch(/Late: planted after|There is no season for it here/);
    fireEvent.keyDown(bar, { key: 'ArrowUp', shiftKey: true });
    await waitFor(async () => expect((await plans())[0]?.plantOn).toBe('2027-01-05'));
    await screen.findByRole('heading', { name: '2027' });
    await screen.findByRole('slider', { name: 'Planting day of Lantern Drop' });
  });

  it('that would find its bag taken says by what, and can be dropped and brought back', async () => {
    const { plans } = await year();
    await plan('Lantern Drop', '2026-07-20');
    await gone();
    await screen.findByText(/would still stand in this bag; clear it by then, or plant later\./);
    const planting = screen.getByRole('link', { name: 'Plant it' });
    expect(planting.getAttribute('href')).toContain(`bag=${idOf(garden, '7')}`);
    await press('Drop this plan');
    await waitFor(() => expect(screen.queryByRole('slider', { name: /Lantern Drop/ })).toBeNull());
    expect((await plans())[0]?.binnedAt).toBeDefined();
    await press('Undo');
    await screen.findByRole('slider', { name: 'Planting day of Lantern Drop' });
  });
});

describe('the year', () => {
  it('of what was planted says what follows, and stands in a table too', async () => {
    await year(demo);
    const [bar] = await screen.findAllByRole('button', { name: /, planted .*, first picking / });
    fireEvent.click(bar as HTMLElement);
    await waitFor(() => expect(said()).toMatch(/^Planted on /));
    expect(bar?.getAttribute('aria-pressed')).toBe('true');
    await press('Table');
    const table = await screen.findByRole('region', { name: 'The year as a table' });
    const [head, ...rows] = within(table).getAllByRole('row');
    const fedAt = within(head as HTMLElement)
      .getAllByRole('columnheader')
      .findIndex(({ textContent }) => textContent === 'Fed');
    expect(rows.length).toBeGreaterThanOrEqual(2);
    const seven = rows.find((row) => within(row).queryByRole('link', { name: '7' })) as HTMLElement;
    const fed = demo.entries.filter((e) => e.kind === 'fed' && e.containerId === idOf(demo, '7'));
    const days = new Set(fed.map(({ at }) => at.slice(0, 10)).filter((day) => day.startsWith('2026')));
    expect(within(seven).getAllByRole('cell')[fedAt]?.textContent).toBe(`${days.size} times`);
    await press('Bands');
    await screen.findByRole('region', { name: 'The year, bag by bag' });
  });

  it('before and after are reached, and an empty one says so', async () => {
    await year();
    await screen.findByRole('heading', { name: '2026' });
    await press('Year before');
    await screen.findByRole('heading', { name: '2025' });
    await press('Next year');
    await press('Next year');
    await screen.findByRole('heading', { name: '2027' });
    expect(screen.getAllByText('nothing this year')).toHaveLength(2);
  });

  it('of a garden without bags asks for one, and so does its plan', async () => {
    await year(EMPTY, MAY_MORNING);
    expect(screen.getByText('Add a bag first; then its year stands here.')).toBeTruthy();
    await press('Plan a crop');
    const form = await dialog();
    await within(form).findByText('Add a bag first.');
    await press('Close', form);
    await gone();
  });

  it('in the south goes from July to June', async () => {
    await year({ ...garden, settings: { ...garden.settings, latitudeDegrees: -38, frost: undefined } });
    await screen.findByRole('heading', { name: /^20\d\d\/\d\d$/ });
  });
});

describe('frost here', () => {
  it('is the grower’s own: what does not read or leaves no season is refused with the reason', async () => {
    const { stored } = await year();
    await press('My own dates');
    const form = await dialog();
    for (const [last, first, why] of [
      ['soon', '1 Oct', 'I cannot read this as a day. Write it as "25 Apr".'],
      ['20 Aug', '1 Sep', /Only 12 days lie between the two/],
      ['1 Oct', '1 May', /Are they the wrong way round\?/],
    ] as const) {
      fill('Usual last frost', last, form);
      fill('Usual first frost', first, form);
      await press('Save', form);
      await within(form).findByText(why);
    }
    expect((await stored()).settings.frost).toEqual(garden.settings.frost);
    fill('Usual last frost', 'May 10', form);
    fill('Usual first frost', '1.10.', form);
    await press('Save', form);
    await gone();
    expect((await stored()).settings.frost).toEqual({ last: '05-10', first: '10-01' });
    await screen.findByText('10 May');
  });

  it('can be reckoned from the weather again', async () => {
    const { stored } = await year();
    await screen.findByText(/by the dates you gave/);
    await press('My own dates');
    await press('Work them out for me again', await dialog());
    await gone();
    await waitFor(async () => expect((await stored()).settings.frost).toBeUndefined());
    await waitFor(() => expect(screen.queryByText(/by the dates you gave/)).toBeNull());
  });

  it('weighs by the school of the grower', async () => {
    // frost that lasts longer than cold nights
    const { stored } = await year({
      ...garden,
      settings: { ...garden.settings, frost: { last: '06-20', first: '10-20' } },
    });
    const windows = () => screen.getByRole('region', { name: 'Planting windows' }).textContent;
    const before = windows();
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Outdoors I plant' }));
    const others = (await screen.findAllByRole('option')).filter(
      (option) => option.getAttribute('aria-selected') !== 'true',
    );
    fireEvent.click(others[0] as HTMLElement);
    await waitFor(async () =>
      expect((await stored()).settings.timingPracticeId).not.toBe(garden.settings.timingPracticeId),
    );
    await waitFor(() => expect(windows()).not.toBe(before));
  });
});
