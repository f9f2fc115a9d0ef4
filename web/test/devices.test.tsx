// @vitest-environment happy-dom
import type { Garden } from '@rundel/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';
import { choose, dialog, openApp, pause, press } from './live.tsx';

const garden = demoWith('7', '12');
const SEVEN = idOf(garden, '7');

/** A server whose one probe shows a number, or says that it cannot. */
const server = { shows: 41.2 as number | string, stationDays: [] as object[] };

/** What the server at the app's own address answers. */
function answer(path: string): Response {
  const { pathname } = new URL(path, 'http://app');
  if (pathname === '/api/devices')
    return Response.json({
      devices: [
        { id: 'probe-a', kind: 'probe', name: 'Probe A', unit: 'percent' },
        { id: 'scale-a', kind: 'scale', name: 'Hanging scale', unit: 'kilograms' },
        { id: 'timer-a', kind: 'timer', name: 'Drip timer', unit: 'litres-a-day' },
      ],
    });
  if (pathname === '/api/devices/probe-a/reading')
    return typeof server.shows === 'number'
      ? Response.json({ deviceId: 'probe-a', at: DEMO_EVENING, value: server.shows })
      : Response.json({ error: server.shows }, { status: 504 });
  if (pathname === '/api/station/days') return Response.json({ days: server.stationDays });
  return Response.json({ error: 'There is nothing at this address.' }, { status: 404 });
}

/** A stream that shows what the probe shows, once it is listened to. */
class Stream extends EventTarget {
  constructor() {
    super();
    queueMicrotask(() => {
      const data =
        typeof server.shows === 'number'
          ? { deviceId: 'probe-a', at: DEMO_EVENING, value: server.shows }
          : { deviceId: 'probe-a', problem: server.shows };
      const kind = typeof server.shows === 'number' ? 'reading' : 'silent';
      this.dispatchEvent(new MessageEvent(kind, { data: JSON.stringify(data) }));
    });
  }
  close() {
    // nothing is held open here
  }
}

beforeEach(() => {
  server.shows = 41.2;
  vi.stubGlobal('fetch', (path: string) => Promise.resolve(answer(path)));
  vi.stubGlobal('EventSource', Stream);
});
afterEach(() => vi.unstubAllGlobals());

/** The garden with the probe paired with bag 7, calibrated or not. */
const pairedWith = (points: { readonly fullReading?: number; readonly dryReading?: number }): Garden => ({
  ...garden,
  containers: garden.containers.map((c) =>
    c.id === SEVEN ? { ...c, gauges: [{ kind: 'probe', deviceId: 'probe-a', ...points }] } : c,
  ),
});

/** The form that pairs devices with bag 7. */
async function gauges(opened = garden) {
  const app = await openApp(`/bags/${SEVEN}`, opened, DEMO_EVENING);
  await press('More');
  fireEvent.click(await screen.findByRole('menuitem', { name: 'Scale or probe' }));
  const form = await dialog();
  const gaugesNow = async () => (await app.stored()).containers.find(({ id }) => id === SEVEN)?.gauges;
  const said = () => within(form).getByRole('status').textContent;
  return { ...app, form, gaugesNow, said };
}

describe('a probe', () => {
  it('is paired, and calibrated in two points that must differ', async () => {
    const { form, gaugesNow, said } = await gauges();
    await screen.findByRole('combobox', { name: 'Device' });
    await choose('Device', /^Probe A/);
    expect(within(form).queryByText(/Weigh with help/)).toBeNull();
    await press('Pair it with this bag', form);
    await waitFor(() => expect(said()).toBe('Paired with Probe A.'));
    expect(await gaugesNow()).toEqual([{ kind: 'probe', deviceId: 'probe-a' }]);
    await waitFor(() => expect(form.textContent).toContain('It shows 41.2'));
    await press('It is full now', form);
    await waitFor(() => expect(said()).toBe('What it shows now is full.'));
    await press('It is dry now', form);
    await waitFor(() => expect(said()).toMatch(/Full and dry cannot read the same.*Nothing was changed/));
    expect(await gaugesNow()).toEqual([{ kind: 'probe', deviceId: 'probe-a', fullReading: 41.2 }]);
  });

  it('gives a reading to the diary; one that cannot be is set aside with a word and kept', async () => {
    const { form, made, said } = await gauges(pairedWith({ fullReading: 80, dryReading: 10 }));
    server.shows = 151.3;
    await press('Take a reading', form);
    await waitFor(() => expect(said()).toBe('151.3 is in the diary.'));
    server.shows = 'Probe A does not answer.';
    await pause();
    await press('Take a reading', form);
    await waitFor(() => expect(said()).toBe('Probe A does not answer.'));
    await press('Done', form);
    await screen.findByText(/A reading of today .* is set aside\. That is beyond what this bag can be/);
    expect(await made()).toMatchObject([
      { kind: 'check', check: { method: 'probe', reading: 151.3, deviceId: 'probe-a' } },
    ]);
  });

  it('is read at the beginning of a walk, and named with its last reading when it is silent', async () => {
    const { made } = await openApp('/round', pairedWith({ fullReading: 80, dryReading: 10 }), DEMO_EVENING);
    await screen.findByText('1 device read');
    expect(await made()).toMatchObject([{ containerId: SEVEN, check: { method: 'probe', reading: 41.2 } }]);
    server.shows = 'Probe A does not answer.';
    await press('Read it now');
    await screen.findByText(
      /Bag 7: Probe A does not answer\. Its last reading is from today .*; check it yourself\./,
    );
    expect(await made()).toHaveLength(1);
  });
});

describe('the weather station', () => {
  const day = (date: string, minCelsius: number, maxCelsius: number) => ({
    day: date,
    minCelsius,
    maxCelsius,
    rainMillimetres: 1,
    sunHours: 6,
  });
  const MISSING = '2026-06-20';
  const gappy = {
    ...garden,
    entries: garden.entries.filter((e) => e.kind !== 'weather' || e.day !== MISSING),
  };

  it('fills the days that nobody noted; what was noted stays, and what cannot be is not taken', async () => {
    const { made } = await openApp('/season/weather', gappy, DEMO_EVENING);
    server.stationDays = [day(MISSING, 20, 12), day('2026-06-21', 1, 2)];
    await press('Fill gaps from the station');
    await screen.findByText('No day of the last two months is missing.');
    server.stationDays = [day(MISSING, 9, 19), day('2026-06-21', 1, 2)];
    await press('Fill gaps from the station');
    await screen.findByText('1 day filled in; what you had noted stays.');
    expect(await made()).toMatchObject([
      { kind: 'weather', day: MISSING, maxCelsius: 19, source: 'station' },
    ]);
    await press('Fill gaps from the station');
    await screen.findByText('No day of the last two months is missing.');
  });

  it('that cannot be reached or understood is said, and nothing is changed', async () => {
    const { made } = await openApp('/season/weather', garden, DEMO_EVENING);
    server.stationDays = [{ day: 'yesterday' }];
    await press('Fill gaps from the station');
    await screen.findByText('What the device sent does not read.');
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no line')));
    await press('Fill gaps from the station');
    await screen.findByText(/No devices answer: the server that they are at cannot be reached\./);
    expect(await made()).toEqual([]);
  });
});
