import { afterEach, describe, expect, it, vi } from 'vitest';
import { DeviceError, listDevices, listenTo, readDevice, stationDays } from './devices.ts';

const AT = '2026-07-16T18:00:00.000+01:00';

/** A server that answers every question with one thing; what it was asked is kept. */
function answering(properties: unknown, status = 200): string[] {
  const asked: string[] = [];
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    const text = typeof properties === 'string' ? properties : JSON.stringify(properties);
    return Promise.resolve(new Response(text, { status }));
  });
  return asked;
}
afterEach(() => vi.unstubAllGlobals());

describe('asking a device', () => {
  it('gives its reading, and puts its name and the moment into the address as they may stand there', async () => {
    const asked = answering({ deviceId: 'probe a', at: AT, value: 41.5 });
    expect(await readDevice('probe a', AT)).toEqual({ deviceId: 'probe a', at: AT, value: 41.5 });
    expect(asked).toEqual(['/api/devices/probe%20a/reading?at=2026-07-16T18%3A00%3A00.000%2B01%3A00']);
  });

  it('gives the devices and the station’s days', async () => {
    const probe = { id: 'probe-a', kind: 'probe', name: 'Probe A', unit: 'percent' };
    answering({ devices: [probe] });
    expect(await listDevices()).toEqual([probe]);
    const day = { day: '2026-07-15', minCelsius: 12, maxCelsius: 24, rainMillimetres: 0, sunHours: 9 };
    const asked = answering({ days: [day] });
    expect(await stationDays('2026-07-15', '2026-07-15')).toEqual([day]);
    expect(asked[0]).toContain('from=2026-07-15&to=2026-07-15');
  });

  it.each([
    ['its own word', { error: 'Probe A does not answer.' }, 503, 'Probe A does not answer.'],
    ['the number, where it has no word', 'gone', 502, 'The server answered 502.'],
    ['an answer that is no reading', { value: 'wet' }, 200, 'What the device sent does not read.'],
    ['an answer that is no JSON', '<html>', 200, 'What the device sent does not read.'],
  ])('refuses with %s', async (_, properties, status, words) => {
    answering(properties, status);
    await expect(readDevice('probe-a', AT)).rejects.toThrow(words);
    await expect(readDevice('probe-a', AT)).rejects.toBeInstanceOf(DeviceError);
  });

  it('says that nothing answers when the server cannot be reached', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
    await expect(listDevices()).rejects.toThrow('No devices answer');
  });

  it('does not take a day that no thermometer has shown', async () => {
    answering({
      days: [{ day: '2026-07-15', minCelsius: 12, maxCelsius: 240, rainMillimetres: 0, sunHours: 9 }],
    });
    await expect(stationDays('2026-07-15', '2026-07-15')).rejects.toThrow('does not read');
  });
});

describe('listening to a device', () => {
  class Line extends EventTarget {
    static last: Line | undefined;
    isClosed = false;
    constructor(readonly address: string) {
      super();
      Line.last = this;
    }
    close(): void {
      this.isClosed = true;
    }
    send(kind: string, data: unknown): void {
      this.dispatchEvent(new MessageEvent(kind, { data: JSON.stringify(data) }));
    }
  }
  function listening() {
    vi.stubGlobal('EventSource', Line);
    const values: number[] = [];
    const problems: string[] = [];
    const stop = listenTo(
      'probe-a',
      AT,
      ({ value }) => values.push(value),
      (problem) => problems.push(problem),
    );
    return { values, problems, stop, line: Line.last as Line };
  }

  it('hears its own readings and silences, and not those of others', () => {
    const { values, problems, line } = listening();
    line.send('reading', { deviceId: 'probe-a', at: AT, value: 40 });
    line.send('reading', { deviceId: 'scale', at: AT, value: 18 });
    line.send('silent', { deviceId: 'scale', problem: 'The scale is silent.' });
    line.send('silent', { deviceId: 'probe-a', problem: 'Probe A is silent.' });
    expect(values).toEqual([40]);
    expect(problems).toEqual(['Probe A is silent.']);
  });

  it('passes over what does not read, says when the line breaks, and ends when asked', () => {
    const { values, problems, stop, line } = listening();
    line.send('reading', { deviceId: 'probe-a', at: 'soon', value: 40 });
    line.send('reading', { deviceId: 'probe-a', at: AT, value: null });
    line.dispatchEvent(new Event('error'));
    expect(values).toEqual([]);
    expect(problems[0]).toContain('broken');
    expect(line.address).toContain('from=2026-07-16T18%3A00');
    stop();
    expect(line.isClosed).toBe(true);
  });
});
