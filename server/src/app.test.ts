import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

let address = '';
let close = () => {};

beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'rundel-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), '<title>Rundel</title>');
  writeFileSync(join(dist, 'assets', 'a.js'), 'export {};');
  const server = createApp(dist).listen(0, '127.0.0.1');
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

  it.each(['/api/nothing', '/missing.js', '/assets/missing.js'])('says 404 for %s', async (path) => {
    expect((await fetch(address + path)).status).toBe(404);
  });

  it('says that it is well', async () => {
    expect(await (await fetch(`${address}/api/health`)).json()).toEqual({ app: 'rundel', ok: true });
  });

  it('says what to do when the app was never built', () => {
    expect(() => createApp('/nowhere')).toThrow(/npm run demo/);
  });
});
