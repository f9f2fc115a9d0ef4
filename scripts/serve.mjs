import { spawn } from 'node:child_process';
import { ROOT } from './install.mjs';

/** Starts the real server on a port of its own; resolves when it answers. */
export async function serve(port) {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: ROOT,
    stdio: 'ignore',
    env: { ...process.env, RUNDEL_PORT: String(port) },
  });
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    const ok = await fetch(`${address}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ok) return { address, stop: () => server.kill() };
    await new Promise((wait) => setTimeout(wait, 100));
  }
  server.kill();
  throw new Error(`The server did not answer at ${address}. Is the port taken?`);
}

/** Debian's Chromium through Playwright, in the state that every shot and measurement starts from. */
export async function openBrowser(chromiumPath) {
  const { chromium } = await import('@playwright/test');
  return chromium.launch({
    executablePath: chromiumPath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--no-first-run',
    ],
  });
}
