// @vitest-environment happy-dom
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, demoWith, EMPTY, MAY_MORNING } from './gardens.ts';
import { dialog, fill, openApp, press } from './live.tsx';

const weather = () => openApp('/season/weather', EMPTY, MAY_MORNING);

describe('a day’s weather', () => {
  it('is typed in any unit, checked, and marked as typed', async () => {
    const { made } = await weather();
    await press('Give the weather of 1 May');
    const form = await dialog();
    for (const [coldest, warmest, rain, said] of [
      ['', '', '', 'Say one of them, the one that you know.'],
      ['15', '4', '', 'The warmest cannot be colder than the coldest.'],
      ['-30', '40', '', 'No day is so cold and so warm: look at the units.'],
      ['-80', '4', '', /cannot be right here/],
      ['8', '19', '900', /cannot be right here/],
      ['8', '19', 'wet', /does not read as a number/],
    ] as const) {
      fill('Coldest', coldest, form);
      fill('Warmest', warmest, form);
      fill('Rain', rain, form);
      await press('Save', form);
      await within(form).findByText(said);
    }
    expect(await made()).toEqual([]);
    fill('Coldest', '46.4 F', form);
    fill('Rain', '0.1 in', form);
    await press('Save', form);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    const row = (await screen.findByText('1 May')).closest('tr') as HTMLElement;
    expect(row.textContent).toMatch(/^1 May8\s°C19\s°C2\.5\smm.*typed/);
    const [entry] = await made();
    expect(entry).toMatchObject({ kind: 'weather', day: '2026-05-01', maxCelsius: 19 });
    expect(entry).toHaveProperty('minCelsius', expect.closeTo(8, 6));
    expect(entry).toHaveProperty('rainMillimetres', expect.closeTo(2.54, 6));
  });
});

/** Types nights and days into the table of the days ahead, from the first on. */
async function foretell(days: readonly (readonly [string, string])[], first: string) {
  const [day, month] = first.split(' ') as [string, string];
  const at = (i: number) => `${Number(day) + i} ${month}`;
  await screen.findByRole('form', { name: 'Days ahead' });
  for (const [i, [coldest, warmest]] of days.entries()) {
    fill(`${at(i)}, coldest`, coldest);
    fill(`${at(i)}, warmest`, warmest);
  }
  await press('Keep the forecast');
  await screen.findByText(/^[Ff]orecast of \d days?$/);
}

describe('the days ahead', () => {
  it('are typed in one table, a part of a day too; a warmest below the coldest is said and nothing is lost', async () => {
    const { made } = await weather();
    await screen.findByRole('form', { name: 'Days ahead' });
    fill('3 May, coldest', '15');
    fill('3 May, warmest', '4');
    fill('4 May, coldest', '50 F');
    await press('Keep the forecast');
    await screen.findByText('Colder than the coldest.');
    expect(await made()).toEqual([]);
    fill('3 May, warmest', '24');
    await press('Keep the forecast');
    await screen.findByText(/^[Ff]orecast of 2 days$/);
    // put down at one moment, they come in any order
    const foretold = (await made()).map((e) => e.kind === 'weather' && [e.day, e.maxCelsius]);
    expect(foretold.sort()[0]).toEqual(['2026-05-03', 24]);
    expect(foretold).toHaveLength(2);
    const [half] = (await made()).filter((e) => e.kind === 'weather' && e.day === '2026-05-04');
    expect(half).toHaveProperty('minCelsius', expect.closeTo(10, 6));
    expect(half).not.toHaveProperty('maxCelsius');
    // what was only foretold of a day is no measurement of it
    fill('3 May, coldest', '');
    fill('3 May, warmest', '');
    await press('Keep the forecast');
    await waitFor(async () =>
      expect((await made()).map((e) => e.kind)).toEqual(['weather', 'weather', 'removed']),
    );
  });

  it('name a heat wave that is coming', async () => {
    await weather();
    await foretell(
      [
        ['14', '26'],
        ['18', '33'],
        ['19', '34.5'],
      ],
      '3 May',
    );
    await screen.findByText(/^Heat from 4 May to 5 May, up to 3\d(\.\d)?.°C\.$/);
  });
});

describe('what is usual here', () => {
  it('may be the grower’s own, and goes back to the latitude’s', async () => {
    const { stored } = await weather();
    fill('May night', '20');
    await press('Save');
    await screen.findByText('Colder than the night.');
    await screen.findByText('Something above does not read; nothing was changed.');
    fill('May night', 'mild');
    await press('Save');
    await screen.findByText(/does not read as a number/);
    expect((await stored()).settings.normals).toBeUndefined();
    fill('May night', '9');
    await press('Save');
    await screen.findByText('Kept; every bag is worked out anew.');
    // a day without weather is filled in from these
    expect((await screen.findByText('1 May')).closest('tr')?.textContent).toMatch(/^1 May\d+\s°C/);
    expect((await stored()).settings.normals?.[4]?.minCelsius).toBe(9);
    await press('Back to the latitude’s');
    await screen.findByText('Back to the latitude’s own.');
    expect((await stored()).settings.normals).toBeUndefined();
  });
});

describe('usual months that do not fit what was noted', () => {
  it('are said, and the kind of seasons that fits is taken up', async () => {
    const demo = demoWith('7');
    const { stored } = await openApp(
      '/season/weather',
      { ...demo, settings: { ...demo.settings, seasonsId: 'hot-dry' } },
      DEMO_EVENING,
    );
    const word = await screen.findByText(/^The \d+ days that you noted ask for \d+\s% less water/);
    await press('Use “mild winters, cool summers: by the sea”, the nearest', word);
    await screen.findByText('The months follow, and every bag is worked out anew.');
    expect((await stored()).settings.seasonsId).toBe('sea');
    expect(screen.queryByText(/days that you noted ask for/)).toBeNull();
  });
});

describe('a cold night that was entered', () => {
  // 7 stands in the open, 3 under glass
  const garden = demoWith('3', '7');
  async function nightOf(coldest: string) {
    const app = await openApp('/season/weather', garden, DEMO_EVENING);
    await foretell([[coldest, '18']], '17 Jul');
    await app.goTo('/round');
    await screen.findByRole('navigation', { name: 'Stops of this round' });
    return app;
  }

  it('asks for fleece where it gets in, and says at which place', async () => {
    await nightOf('1');
    const word = await screen.findByText(/^Frost in the night from .* to .*: 1\s°C\.$/);
    expect(word.parentElement?.textContent).toMatch(
      /Fleece or buckets over everything by dusk, weighted down/,
    );
    expect(word.parentElement?.textContent).toMatch(/Slipway terrace/);
  });

  it('that is mild asks for nothing', async () => {
    await nightOf('14');
    expect(screen.queryByText(/tonight/i)).toBeNull();
  });
});
