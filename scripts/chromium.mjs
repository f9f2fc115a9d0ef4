import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Debian's Chromium without a window takes a third less of the machine than the one with it; either will do. */
const PACKAGES = ['chromium-headless-shell', 'chromium'];
const PLACES = [...PACKAGES, 'chromium-browser'].map((name) => `/usr/bin/${name}`);

/** Path of the Chromium that is asked for by CHROMIUM, or else of Debian's, if it is here. */
export const findChromium = () => process.env.CHROMIUM ?? PLACES.find((path) => existsSync(path));

/** Path of Chromium, installed through apt when it is missing and this process may do so. */
export function ensureChromium() {
  if (!findChromium()) {
    console.log('Installing chromium for the browser tests (once)…');
    const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
    const apt = (...args) => {
      const [command, ...rest] = [...sudo, 'apt-get', ...args];
      spawnSync(command, rest, {
        stdio: 'inherit',
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      });
    };
    apt('update', '-qq');
    for (const name of PACKAGES)
      if (!findChromium()) apt('install', '-y', '-qq', '--no-install-recommends', name);
  }
  const path = findChromium();
  if (!path) {
    console.error(
      'There is no Chromium here and it could not be installed. Install it, or name it: CHROMIUM=/path npm test',
    );
    process.exit(1);
  }
  return path;
}

/** Begins with installing Chromium when it is missing, while this process does something else. Resolves when that has ended, well or not. */
export function beginWithChromium() {
  if (findChromium()) return Promise.resolve();
  const child = spawn(process.execPath, [fileURLToPath(import.meta.url)], { stdio: 'inherit' });
  return new Promise((done) => child.on('close', done));
}

if (process.argv[1] === fileURLToPath(import.meta.url)) ensureChromium();
