import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';

/** Plain Node, no packages: these scripts run before anything is installed. */
export const ROOT = resolve(import.meta.dirname, '..');
const STAMP = join(ROOT, 'node_modules', '.rundel-installed');

/** Runs a command in the project's root with its output shown; ends the process when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (done.status !== 0) {
    console.error(`\n"${command} ${args.join(' ')}" failed${done.error ? `: ${done.error.message}` : '.'}`);
    process.exit(done.status ?? 1);
  }
}

/** Installs packages when node_modules is missing or older than the lockfile. */
export function installWhenNeeded() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Rundel needs Node 20.19 or later; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  console.log('Installing packages (once)…');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(STAMP, wanted);
}

/** Makes the demo garden and builds the app. */
export function build() {
  run('npx', ['tsx', 'scripts/make-demo.ts'], { cwd: join(ROOT, 'web') });
  run('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: join(ROOT, 'web') });
}
