import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { findChromium } from '../scripts/chromium.mjs';

const PORT = 4631;
const chromium = findChromium();

/** Debian's Chromium against the real server and the built app; no browser of its own is downloaded. */
export default defineConfig({
  testDir: './tests',
  outputDir: '../test-results',
  // a busy machine takes three times as long as a quiet one, and has been seen to stand still for twenty seconds
  timeout: 120_000,
  expect: { timeout: 30_000 },
  workers: Math.max(2, availableParallelism()),
  fullyParallel: true,
  forbidOnly: process.env['CI'] !== undefined,
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    locale: 'en-GB',
    contextOptions: { reducedMotion: 'reduce' },
    timezoneId: 'Europe/London',
    // filling the cache for days offline costs each test seconds; the test of going offline lets it in
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // traces cost more than the tests do on two cores: turn them on by hand with --trace on
    trace: 'off',
    launchOptions: {
      ...(chromium ? { executablePath: chromium } : {}),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node --import tsx ../server/src/main.ts',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { RUNDEL_PORT: String(PORT) },
    reuseExistingServer: false,
  },
});
