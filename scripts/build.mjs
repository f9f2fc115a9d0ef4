import { join } from 'node:path';
import { installWhenNeeded, ROOT, run } from './install.mjs';

/** Builds a folder that any server of files can serve, under any path (docs/static.md). */
installWhenNeeded();
run('npx', ['tsx', 'scripts/make-demo.ts'], { cwd: join(ROOT, 'web') });
run('npx', ['vite', 'build', '--logLevel', 'warn'], {
  cwd: join(ROOT, 'web'),
  env: { ...process.env, RUNDEL_STATIC: 'yes' },
});
console.log('\nweb/dist-static is ready. Any server of files can serve it; docs/static.md says how.');
