import { installWhenNeeded, run } from './install.mjs';

/** Kills the browser in the midst of sixty writes, and looks each time what is there: some minutes. */
installWhenNeeded();
run('npx', ['playwright', 'test', '--reporter=line', 'torture'], {
  cwd: new URL('../e2e', import.meta.url).pathname,
  env: { ...process.env, RUNDEL_TORTURE: 'whole' },
});
