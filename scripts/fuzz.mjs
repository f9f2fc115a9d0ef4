import { installWhenNeeded, run } from './install.mjs';

/** Thousands of damaged files through the reader, gardens that nobody has through every page, ten thousand merges: minutes. */
installWhenNeeded();
const SUITES = ['core/src/garden-file/fuzz', 'core/src/merge', 'web/test/fuzz'];
run('npx', ['vitest', 'run', ...SUITES, '--testTimeout=900000'], {
  env: { ...process.env, RUNDEL_FUZZ: 'whole' },
});
