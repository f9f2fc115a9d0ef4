import { installWhenNeeded, run } from './install.mjs';

/** Thousands of damaged files through the reader, and gardens that nobody has through every page: some minutes. */
installWhenNeeded();
run('npx', ['vitest', 'run', 'core/src/garden-file/fuzz', 'web/test/fuzz', '--testTimeout=900000'], {
  env: { ...process.env, RUNDEL_FUZZ: 'whole' },
});
