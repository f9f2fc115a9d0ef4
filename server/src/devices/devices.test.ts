import { addDays } from '@rundel/core/calendar';
import express from 'express';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { deviceRoutes } from './routes.ts';
import { DEVICES, later, Simulator } from './simulator.ts';

let address = '';
let close = () => {};

beforeAll(async () => {
  const app = express();
  app.use(express.json());
  app.use('/api', deviceRoutes(5));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((done) => server.on('listening', done));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  close = () => {
    server.closeAllConnections();
    server.close();
  };
});

afterAll(() => close());

const NOON = '2026-07-10T12:00:00.000+01:00';
const get = async (path: string) => {
  const response = await fetch(address + path);
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};
const put = (path: string, body: unknown) =>
  fetch(address + path, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
const at = (moment: string) => encodeURIComponent(moment);

describe('the station', () => {
  it('has a day for each that was asked for, cold before warm', async () => {
    const { body } = await get('/station/days?from=2026-07-01&to=2026-07-10');
    const days = body['days'] as { day: string; minCelsius: number; maxCelsius: number; sunHours: number }[];
    expect(days.map((d) => d.day)).toHaveLength(10);
    expect(days[0]?.day).toBe('2026-07-01');
    for (const day of days) {
      expect(day.minCelsius).toBeLessThan(day.maxCelsius);
      expect(day.sunHours).toBeLessThanOrEqual(13);
      expect(day).not.toHaveProperty('clearness');
    }
  });

  it('foretells tomorrow nearly as it comes, and the tenth day less so', async () => {
    const simulator = new Simulator(5);
    const off = (lead: number) => {
      const errors = Array.from({ length: 60 }, (_, i) => {
        const from = addDays('2026-06-01', i);
        const foretold = simulator.forecast(from, 10)[lead - 1];
        const [came] = simulator.days(addDays(from, lead), addDays(from, lead));
        return ((foretold?.maxCelsius ?? NaN) - (came?.maxCelsius ?? NaN)) ** 2;
      });
      return Math.sqrt(errors.reduce((sum, e) => sum + e, 0) / errors.length);
    };
    expect(off(1)).toBeLessThan(1.5);
    expect(off(10)).toBeGreaterThan(2 * off(1));
    const { body } = await get('/station/forecast?from=2026-07-10&days=4');
    const days = body['days'] as { day: string; minCelsius: number; maxCelsius: number }[];
    expect(days.map((d) => d.day)).toEqual(['2026-07-11', '2026-07-12', '2026-07-13', '2026-07-14']);
    expect(days).toEqual((await get('/station/forecast?from=2026-07-10&days=4')).body['days']);
  });

  it('tells the air now, between the day’s ends', async () => {
    const { body } = await get(`/station/now?at=${at(NOON)}`);
    const day = new Simulator(5).days('2026-07-10', '2026-07-10')[0];
    expect(body['celsius']).toBeGreaterThanOrEqual(day?.minCelsius ?? 99);
    expect(body['celsius']).toBeLessThanOrEqual(day?.maxCelsius ?? -99);
  });

  it.each([
    ['/station/days?from=2026-07-10&to=2026-07-01', 400],
    ['/station/forecast?from=2026-07-10&days=11', 400],
    ['/station/days?from=yesterday&to=2026-07-01', 400],
    ['/station/now', 400],
    [`/station/now?at=${at('2026-01-10T12:00:00.000Z')}`, 422],
    ['/devices/probe-a/reading?at=noon', 400],
    [`/devices/probe-z/reading?at=${at(NOON)}`, 404],
    [`/devices/probe-a/reading?at=${at('2026-02-10T12:00:00.000Z')}`, 422],
    ['/stream?from=now', 400],
  ])('says what is wrong with %s', async (path, status) => {
    const { status: got, body } = await get(path);
    expect(got).toBe(status);
    expect(String(body['error']).length).toBeGreaterThan(10);
  });
});

describe('a device', () => {
  it.each(DEVICES.map(({ id }) => [id]))(
    '%s gives the same reading at the same moment, in any order',
    async (id) => {
      const read = (moment: string) => get(`/devices/${id}/reading?at=${at(moment)}`);
      const first = await read(NOON);
      await read('2026-08-20T07:00:00.000+01:00');
      expect(await read(NOON)).toEqual(first);
      expect(first.status).toBe(200);
    },
  );

  it('the kitchen scale weighs another bowl each minute, at any time of the year', () => {
    const simulator = new Simulator(5);
    const bowls = Array.from({ length: 40 }, (_, i) =>
      simulator.read('kitchen-scale', later('2026-12-20T12:00:00.000Z', i * 60)),
    );
    for (const { value, unit } of bowls) {
      expect(unit).toBe('kilograms');
      expect(value).toBeGreaterThan(0.1);
      expect(value).toBeLessThan(1.5);
    }
    expect(new Set(bowls.map(({ value }) => value)).size).toBeGreaterThan(30);
    simulator.setFault('kitchen-scale', 'silent');
    expect(() => simulator.read('kitchen-scale', NOON)).toThrow('Kitchen scale does not answer.');
    simulator.setFault('kitchen-scale', 'out-of-range');
    expect(simulator.read('kitchen-scale', NOON).value).toBeGreaterThan(10);
  });

  it('a probe and the scale follow the water that is really there', () => {
    const simulator = new Simulator(5);
    const moments = Array.from({ length: 60 }, (_, i) => later('2026-06-20T12:00:00.000+01:00', i * 43_200));
    for (const id of ['probe-a', 'scale-a']) {
      const pairs = moments.map((m) => ({
        truth: simulator.truth(id, m),
        value: simulator.read(id, m).value,
      }));
      const mean = (of: (p: (typeof pairs)[number]) => number) =>
        pairs.reduce((sum, p) => sum + of(p), 0) / pairs.length;
      const [mt, mv] = [mean((p) => p.truth), mean((p) => p.value)];
      const covariance = mean((p) => (p.truth - mt) * (p.value - mv));
      const spread = Math.sqrt(mean((p) => (p.truth - mt) ** 2) * mean((p) => (p.value - mv) ** 2));
      expect(covariance / spread).toBeGreaterThan(0.75);
    }
  });

  it('can be silent, wild or frozen, to try how it is taken', async () => {
    const reading = () => get(`/devices/probe-b/reading?at=${at(NOON)}`);
    const right = (await reading()).body['value'] as number;
    await put('/devices/probe-b/fault', { fault: 'out-of-range' });
    expect((await reading()).body['value']).toBeGreaterThan(right + 20);
    await put('/devices/probe-b/fault', { fault: 'silent' });
    expect((await reading()).status).toBe(504);
    await put('/devices/probe-b/fault', { fault: 'frozen' });
    const [a, b] = await Promise.all(
      ['08', '19'].map((h) => get(`/devices/probe-b/reading?at=${at(`2026-07-10T${h}:00:00.000+01:00`)}`)),
    );
    expect(a?.body['value']).toBe(b?.body['value']);
    expect((await put('/devices/probe-b/fault', { fault: 'broken' })).status).toBe(400);
    await put('/devices/probe-b/fault', { fault: 'none' });
    expect((await reading()).body['value']).toBe(right);
  });

  it('the timer drips what it is set to, and the bag is wetter for it', () => {
    const share = (litres: number) => {
      const simulator = new Simulator(5);
      simulator.setDrip(litres);
      return simulator.truth('timer-a', '2026-07-20T12:00:00.000+01:00');
    };
    expect(share(4)).toBeGreaterThan(share(0.5) + 0.2);
  });

  it('the stream begins with a reading of each, and its time goes as fast as asked', async () => {
    const stop = new AbortController();
    const response = await fetch(`${address}/stream?from=${at(NOON)}&speed=3600`, { signal: stop.signal });
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    const reader = (response.body as ReadableStream<Uint8Array>).getReader();
    let text = '';
    while (text.split('event: reading').length - 1 < DEVICES.length + 1)
      text += new TextDecoder().decode((await reader.read()).value);
    stop.abort();
    const readings = [...text.matchAll(/data: (.*)\n/g)].map(
      (m) => JSON.parse(m[1] as string) as { deviceId: string; at: string },
    );
    expect(readings.slice(0, DEVICES.length).map((r) => r.deviceId)).toEqual(DEVICES.map((d) => d.id));
    expect(readings[DEVICES.length]?.at).toBe('2026-07-10T13:00:00.000+01:00');
  });
});

describe('whoever asks for many years', () => {
  it('gets them, and the server remembers a few', () => {
    const simulator = new Simulator(1);
    for (let year = 2000; year < 2040; year++) {
      expect(simulator.days(`${year}-06-01`, `${year}-06-03`)).toHaveLength(3);
      simulator.read('probe-a', `${year}-05-01T12:00:00.000Z`);
    }
    const { weathers, lives } = simulator as unknown as {
      weathers: Map<string, unknown>;
      lives: Map<string, unknown>;
    };
    expect(weathers.size).toBeLessThanOrEqual(12);
    expect(lives.size).toBeLessThanOrEqual(60);
    // asked again, a year that was forgotten is the same
    const again = new Simulator(1).read('probe-a', '2001-05-01T12:00:00.000Z');
    expect(simulator.read('probe-a', '2001-05-01T12:00:00.000Z')).toEqual(again);
  });
});
