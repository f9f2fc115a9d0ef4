import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beginWithChromium, ensureChromium } from './chromium.mjs';
import { build, installWhenNeeded, ROOT } from './install.mjs';

// the browser is needed last
const browserIsThere = beginWithChromium();
installWhenNeeded();
// plain lines in a log: no colours, no dot for each test
process.env.NO_COLOR = '1';
delete process.env.FORCE_COLOR;
const results = mkdtempSync(join(tmpdir(), 'rundel-test-'));
const counts = { passed: 0, failed: 0 };

/** Runs a step to its end whatever happened before it, so that one run shows everything that is wrong. */
function step(name, command, args, options = {}) {
  const started = Date.now();
  console.log(`\n── ${name}`);
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  console.log(
    `── ${name}: ${done.status === 0 ? 'well' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(1)} s`,
  );
  return done.status === 0;
}

/** A step that is one check, beside others: what it says is shown when it ends. */
function check(name, command, args) {
  const started = Date.now();
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    child.stdout.on('data', (text) => (said += text));
    child.stderr.on('data', (text) => (said += text));
    child.on('close', (status) => {
      const seconds = ((Date.now() - started) / 1000).toFixed(1);
      console.log(`\n── ${name}\n${said}── ${name}: ${status === 0 ? 'well' : 'FAILED'} in ${seconds} s`);
      counts[status === 0 ? 'passed' : 'failed'] += 1;
      done();
    });
  });
}

function read(file) {
  try {
    return JSON.parse(readFileSync(join(results, file), 'utf8'));
  } catch {
    return undefined;
  }
}

await Promise.all([
  // the longest first
  check('nothing unused', 'npx', ['knip', '--no-progress']),
  check('types', 'npx', ['tsc', '-p', 'web/tsconfig.all.json']),
  // by itself, without what a browser or Node has
  check('types of core', 'npx', ['tsc', '-p', 'core']),
  check('lint', 'npx', ['oxlint', '-c', 'oxlint.config.mjs']),
  check('format', 'npx', ['oxfmt', '--check']),
]);

step(
  'unit tests',
  'npx',
  [
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(results, 'unit.json')}`,
  ],
  // screens leave much behind that is of no use a moment later: with room for it they take nine tenths of the time
  { env: { ...process.env, NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64` } },
);
const unit = read('unit.json');
counts.passed += unit?.numPassedTests ?? 0;
counts.failed += unit
  ? unit.numFailedTests +
    unit.testResults.filter((r) => r.status === 'failed' && r.assertionResults.length === 0).length
  : 1;

build();
await browserIsThere;
const CHROMIUM = ensureChromium();
step('browser tests', 'npx', ['playwright', 'test', '--reporter=list,json'], {
  cwd: join(ROOT, 'e2e'),
  env: { ...process.env, CHROMIUM, PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'browser.json') },
});
const browser = read('browser.json');
counts.passed += browser?.stats.expected ?? 0;
counts.failed += browser ? browser.stats.unexpected + browser.stats.flaky + browser.errors.length : 1;

console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
process.exit(counts.failed === 0 && counts.passed > 0 ? 0 : 1);
