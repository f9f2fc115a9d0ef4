/**
 * The developer's loop, after a small change: types, lint and the quick tests that the change bears on, side by side. What has
 * not changed since the last time is not looked at again. The pages in `web/test` are left to `npm test`.
 */
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { ROOT } from './install.mjs';

const CACHE = 'node_modules/.cache/check';
mkdirSync(`${ROOT}/${CACHE}`, { recursive: true });

function run(name, command, ...args) {
  const started = Date.now();
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    child.stdout.on('data', (text) => (said += text));
    child.stderr.on('data', (text) => (said += text));
    child.on('close', (status) => {
      const seconds = ((Date.now() - started) / 1000).toFixed(1);
      console.log(`${name}: ${status === 0 ? 'well' : 'FAILED'} in ${seconds} s`);
      if (status !== 0) console.log(said);
      done(status === 0);
    });
  });
}

const types = (name, project) =>
  run(
    name,
    'npx',
    'tsc',
    '-p',
    project,
    '--incremental',
    '--tsBuildInfoFile',
    `${CACHE}/${name.replaceAll(' ', '-')}`,
  );

const results = await Promise.all([
  types('types of core', 'core'),
  types('types', 'web/tsconfig.all.json'),
  run('lint', 'npx', 'oxlint', '-c', 'oxlint.config.mjs'),
  run(
    'tests of what changed',
    'npx',
    'vitest',
    'run',
    '--changed',
    '--passWithNoTests',
    '--exclude',
    'web/test/**',
  ),
]);
process.exit(results.every(Boolean) ? 0 : 1);
