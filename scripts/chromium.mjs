import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** Path of Debian's Chromium, installed through apt when it is missing and this process may do so. */
export function ensureChromium() {
  const asked = process.env.CHROMIUM;
  if (asked) return asked;
  const found = () => PLACES.find((path) => existsSync(path));
  if (!found()) {
    console.log('Installing chromium for the browser tests (once)…');
    const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
    for (const args of [
      ['apt-get', 'update', '-qq'],
      ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', 'chromium'],
    ]) {
      const [command, ...rest] = [...sudo, ...args];
      spawnSync(command, rest, {
        stdio: 'inherit',
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      });
    }
  }
  const path = found();
  if (!path) {
    console.error(
      'There is no Chromium here and it could not be installed. Install it, or name it: CHROMIUM=/path npm test',
    );
    process.exit(1);
  }
  return path;
}
