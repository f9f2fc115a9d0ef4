import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

let address = '';
let close = () => {};

beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'rundel-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), '<title>Rundel</title>');
  writeFileSync(join(dist, 'assets', 'a.js'), 'export {};');
  writeFileSync(join(dist, 'assets', 'a.js.gz'), gzipSync('export {};'));
  const server = createApp(dist, { calendars: join(dist, 'calendars') }).listen(0, '127.0.0.1');
  await new Promise((done) => server.on('listening', done));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  close = () => server.close();
});

afterAll(() => close());

describe('the server', () => {
  it.each(['/', '/round', '/bags/con_abc123'])(
    'gives the app at %s, so that deep links work',
    async (path) => {
      const answer = await fetch(address + path);
      expect(answer.status).toBe(200);
      expect(await answer.text()).toContain('<title>Rundel</title>');
    },
  );

  it('lets pages ask nothing of other servers', async () => {
    const policy = (await fetch(address)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("connect-src 'self'");
    expect(policy).not.toMatch(/https?:/);
  });

  it('lets pages run compiled loops, but no script that is only text', async () => {
    const policy = (await fetch(address)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).not.toMatch(/'unsafe-eval'|script-src[^;]*'unsafe-inline'/);
  });

  it('keeps built files for ever and the page never', async () => {
    expect((await fetch(`${address}/assets/a.js`)).headers.get('cache-control')).toContain('immutable');
    expect((await fetch(address)).headers.get('cache-control')).toBe('no-cache');
  });

  it.each([
    ['gzip', 'gzip'],
    ['identity', null],
  ])('sends what the build has packed to who takes %s', async (takes, encoding) => {
    const answer = await fetch(`${address}/assets/a.js`, { headers: { 'Accept-Encoding': takes } });
    expect(answer.headers.get('content-encoding')).toBe(encoding);
    expect(answer.headers.get('content-type')).toContain('javascript');
    expect(await answer.text()).toBe('export {};');
  });

  it.each(['/api/nothing', '/missing.js', '/assets/missing.js'])('says 404 for %s', async (path) => {
    expect((await fetch(address + path)).status).toBe(404);
  });

  it('says that it is well', async () => {
    expect(await (await fetch(`${address}/api/health`)).json()).toEqual({ app: 'rundel', ok: true });
  });

  it.each(['evil.example', 'localhost.evil.example'])(
    'answers nothing to whoever calls it "%s": a name that was made to lead here',
    async (host) => {
      const { status, body } = await asked('/api/devices', host);
      expect(status).toBe(421);
      expect(body).not.toContain('probe');
    },
  );

  it.each(['localhost', '127.0.0.1:4617', '[::1]:4617'])('answers to %s', async (host) => {
    expect((await asked('/api/devices', host)).status).toBe(200);
  });

  it('shuts out plugins, forms to elsewhere and windows of others', async () => {
    const { headers } = await fetch(address);
    expect(headers.get('content-security-policy')).toMatch(/object-src 'none'.*form-action 'self'/);
    expect(headers.get('cross-origin-opener-policy')).toBe('same-origin');
  });

  it.each([
    ['PUT', '/api/devices/probe-a/fault', '{"fault":', 400],
    ['PUT', '/api/devices/probe-a/fault', `"${'x'.repeat(20_000)}"`, 413],
    ['GET', '/assets/missing.js', undefined, 404],
  ] as const)(
    'says what is wrong with %s %s in words, without a trace or a path',
    async (method, path, body, status) => {
      const answer = await fetch(address + path, {
        method,
        ...(body === undefined ? {} : { body, headers: { 'Content-Type': 'application/json' } }),
      });
      expect(answer.status).toBe(status);
      const { error } = (await answer.json()) as { error: string };
      expect(error).toMatch(/^[A-Z][^/\\]+\.$/);
    },
  );

  it('says what to do when the app was never built', () => {
    expect(() => createApp('/nowhere', { calendars: '/nowhere' })).toThrow(/npm run demo/);
  });
});

/** A request under a name, which fetch does not let one choose. */
function asked(path: string, host: string): Promise<{ readonly status: number; readonly body: string }> {
  const { hostname, port } = new URL(address);
  return new Promise((resolve, reject) => {
    const call = request({ hostname, port, path, headers: { Host: host } }, (answer) => {
      let body = '';
      answer.on('data', (part: Buffer) => (body += part.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
    });
    call.on('error', reject);
    call.end();
  });
}

describe('calendars for phones', () => {
  const token = 'a1b2c3d4e5f6a7b8c9d0e1f2';
  const calendar = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n';
  const put = (at: string, body: string) =>
    fetch(`${address}/api/calendar/${at}`, {
      method: 'PUT',
      body,
      headers: { 'Content-Type': 'text/calendar' },
    });

  it('are handed on as they were put there, until they are taken away', async () => {
    const { path } = (await (await put(token, calendar)).json()) as { path: string };
    const answer = await fetch(address + path);
    expect(answer.headers.get('content-type')).toContain('text/calendar');
    expect(await answer.text()).toBe(calendar);
    await fetch(`${address}/api/calendar/${token}`, { method: 'DELETE' });
    expect((await fetch(address + path)).status).toBe(404);
  });

  it.each([
    ['..%2F..%2Fetc', calendar],
    ['short', calendar],
    [token, 'hello'],
  ])('take nothing else: %s', async (at, body) => {
    expect((await put(at, body)).status).toBe(400);
  });

  it('are kept for so many gardens and no more', async () => {
    for (let i = 0; i < 23; i++) await put(`${token}${String(i).padStart(3, '0')}`, calendar);
    const kept = await Promise.all(
      Array.from({ length: 23 }, async (_, i) =>
        fetch(`${address}/calendar/${token}${String(i).padStart(3, '0')}.ics`).then(({ status }) => status),
      ),
    );
    expect(kept.filter((status) => status === 200)).toHaveLength(20);
  });
});
